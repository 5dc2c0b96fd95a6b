#include "study/unsaved_moves.h"

#include <functional>
#include <optional>
#include <string>

#include "base/error.h"
#include "base/json.h"
#include "base/outputs.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

const char* const kCompanions[] = {".aux.xml", ".ovr", ""};

fs::path notesOf(const fs::path& study) {
  return study / ".unsaved";
}

struct Move {
  fs::path from, to;
};

/// A study may come from a stranger: only a file of its own folders of products is moved or
/// removed.
bool isPlaceOf(const fs::path& study, const fs::path& place) {
  const std::string folder = place.parent_path().filename().string();
  return (folder == "products" || folder == "bin") && place.has_filename() &&
         fs::weakly_canonical(place.parent_path()) == fs::weakly_canonical(study) / folder;
}

/// Nothing where it is no note of ours, or half of one: what it spoke of had not begun.
std::optional<Move> moveFrom(const fs::path& note, const fs::path& study) {
  try {
    const Json json = readJson(note);
    const std::string from = json.at("from"), to = json.at("to");
    const Move move{from.empty() ? fs::path() : study / from, study / to};
    if (isPlaceOf(study, move.to) && (from.empty() || isPlaceOf(study, move.from))) return move;
  } catch (const std::exception&) {
  }
  return {};
}

/// Each note for which `settled` says so is removed; it gets nothing of one that tells nothing.
void eachNote(const fs::path& study,
              const std::function<bool(const std::optional<Move>&)>& settled) {
  std::error_code ec;
  if (!fs::exists(notesOf(study), ec)) return;
  for (const auto& note : fs::directory_iterator(notesOf(study), ec)) {
    if (settled(moveFrom(note.path(), study))) fs::remove(note.path(), ec);
  }
  fs::remove(notesOf(study), ec);  // which it is not while a note is in it
}

}  // namespace

void noteMove(const fs::path& study, const fs::path& from, const fs::path& to) {
  const auto below = [&](const fs::path& p) { return p.lexically_relative(study).string(); };
  try {
    fs::create_directories(notesOf(study));
    const std::string name = to.parent_path().filename().string() + "-" + to.filename().string();
    writeUnseen(notesOf(study) / name,
                Json{{"from", from.empty() ? "" : below(from)}, {"to", below(to)}}.dump());
  } catch (const std::exception&) {
    // A full disk; moving to the bin is what makes room on it.
  }
}

void forgetMoves(const fs::path& study, const std::set<fs::path>& named) {
  // One that tells nothing may be one that a job is writing now.
  eachNote(study, [&](const auto& move) { return move && named.count(move->to) > 0; });
}

void takeBackMoves(const fs::path& study, const std::set<fs::path>& named) {
  eachNote(study, [&](const auto& move) {
    std::error_code ec;
    if (!move || named.count(move->to) > 0) return true;
    if (move->from.empty()) {
      removeWithCompanions(move->to);
      return true;
    }
    try {
      if (!fs::exists(move->from, ec))
        moveWithCompanions(move->to, move->from, move->from.string());
    } catch (const Error&) {
      return false;  // another time, when one may
    }
    return true;
  });
}

void moveWithCompanions(const fs::path& from, const fs::path& to, const std::string& name) {
  std::error_code ec;
  for (const char* companion : kCompanions) {
    if (fs::exists(from.string() + companion, ec))
      fs::rename(from.string() + companion, to.string() + companion, ec);
    if (ec)
      throw Error("The file of “{}” could not be moved ({}); check the study's folder.", name,
                  ec.message());
  }
}

void removeWithCompanions(const fs::path& file) {
  std::error_code ignored;
  for (const char* companion : kCompanions) fs::remove(file.string() + companion, ignored);
}

}  // namespace zp
