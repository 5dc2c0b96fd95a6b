#pragma once
#include <filesystem>
#include <set>

namespace zp {

/// Files that stand at a new place in a study's folder before study.json names them there: made by
/// a step, brought to the bin or back. Each is noted in the folder; should the program be killed
/// before the study is saved, whoever opens it next takes them back to where study.json looks.

/// Before it is done; `from`: empty when it is made. A note that cannot be written is no error.
void noteMove(const std::filesystem::path& study, const std::filesystem::path& from,
              const std::filesystem::path& to);
/// After saving: forgets those that are `named` at their new place.
void forgetMoves(const std::filesystem::path& study, const std::set<std::filesystem::path>& named);
/// On opening: takes back those that are not, and forgets all. Nothing else in the folder is
/// touched.
void takeBackMoves(const std::filesystem::path& study,
                   const std::set<std::filesystem::path>& named);

/// A raster moves and goes with what lies beside it. Error, by the name of the product: it cannot
/// be moved.
void moveWithCompanions(const std::filesystem::path& from, const std::filesystem::path& to,
                        const std::string& name);
void removeWithCompanions(const std::filesystem::path& file);

}  // namespace zp
