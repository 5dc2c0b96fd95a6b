#pragma once
#include "study/sheet_rows.h"

namespace zp {

/// A run sheet over rows, each in a study of its own below `into`.
struct RunOver {
  Json sheet;                         // as read, cells not filled in
  std::filesystem::path sheetFolder;  // relative files of the sheet are below it
  std::filesystem::path tableFolder;  // and those of the rows below this
  std::filesystem::path into;         // exists
  std::optional<Study> start;         // its legend, training areas and outlines, and what scenes
                                      // the sheet names of it, are those of every row
};

enum class RowState { Done, Skipped, Failed };
std::string idOf(RowState state);  // "done"

struct RowResult {
  std::string id;
  RowState state = RowState::Failed;
  Sentence problem{""};  // what went wrong; or what was kept, where it was done
  double seconds = 0;
  std::filesystem::path study;
  std::vector<std::pair<std::string, std::filesystem::path>> outputs;  // by "as", else the name
};

/// Runs one row. What goes wrong with it stands in the result; Cancelled is thrown. A row is
/// skipped when its study was made from the same steps and files (by size and time of change) and
/// nothing of it is missing. The study appears complete or not at all; one made before that
/// somebody has worked in since is kept under another name, and a folder that no run made is left
/// alone.
RowResult runRow(const RunOver& task, const SheetRow& row, const Progress& progress);

/// Columns id, state, seconds, problem, study and one for each output.
Table tableOf(const std::vector<RowResult>& results);

}  // namespace zp
