#pragma once
#include "base/table.h"
#include "study/study.h"

namespace zp {

// A run sheet over the rows of a table: what of the sheet changes from row to row.
//   {column}       in any text of the sheet is the cell of that column; by itself, where a number
//                  is asked for, it is a number
//   scene          a scene of the row (a raster, a folder of one-band rasters, a STAC item): for
//                  the one scene that the sheet names and nothing else tells of
//   scene NAME     the scene that the sheet calls NAME
//   date, sensor, roles (red=3,nir=4), each alone or with NAME: of that scene
//   id             what the row is called, and its folder; else rows are numbered

/// A row, what it is called, and its cells by the columns' names.
struct SheetRow {
  std::string id, folder;  // the folder's name
  std::map<std::string, std::string> cells;
};

/// Error: no rows, a row without an id, two that would have the same folder.
std::vector<SheetRow> sheetRows(const Table& table);

/// Those of part `part` (from 1) of `parts`: every so many-th row.
std::vector<SheetRow> partOf(const std::vector<SheetRow>& rows, size_t part, size_t parts);

/// A sheet with {columns} in it, which is checked once they are filled in. Error: not a run sheet,
/// no steps, a step of no kind.
Json readSheetToFill(const std::filesystem::path& file);

/// The sheet of a row: cells filled in, relative files below `folder` named in full, and checked as
/// any sheet is. Error: a {column} that the table has not.
Json filledSheet(const Json& sheet, const SheetRow& row, const std::filesystem::path& folder);

/// The scenes that a row brings, by what the sheet calls them. `known`: what else the sheet may
/// name. Relative paths are below `folder`. Error: a cell that is no scene, a name that the sheet
/// has not, a column `scene` that could stand for several.
std::map<std::string, Scene> scenesOfRow(const Json& sheet, const SheetRow& row,
                                         const std::vector<std::string>& known,
                                         const std::filesystem::path& folder);

}  // namespace zp
