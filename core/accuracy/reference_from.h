#pragma once
#include <filesystem>
#include <map>
#include <string>
#include <vector>

#include "accuracy/labelling.h"
#include "base/progress.h"
#include "outline/layer.h"

namespace zp {

// What something from elsewhere says at points, as it is written there; "" where it says nothing.

std::vector<std::string> saidByRaster(const std::vector<Place>& places, const std::string& crs,
                                      const std::filesystem::path& map,
                                      const Progress& progress = Progress());
/// A column of the polygon that each place lies in; of several the first. Error: no polygons, an
/// unknown column.
std::vector<std::string> saidByPolygons(const std::vector<Place>& places, const std::string& crs,
                                        const Layer& polygons, const std::string& column,
                                        const Progress& progress = Progress());

/// The class that a cell says: as `match` has it, else the one of the legend that is called so or
/// has that code; 0 for none.
int classSaid(const std::string& cell, const std::map<std::string, int>& match,
              const Legend& legend);

/// Labels from a list, a line a point: its id and the class by name or code, parted by tab,
/// semicolon or comma.
struct ListedLabels {
  std::map<int, int> labels;              // id → class
  size_t otherPoints = 0;                 // ids that no point has
  std::vector<std::string> otherClasses;  // what is no class, each once
  size_t otherLines = 0;                  // of another form, such as a heading
};
ListedLabels labelsInList(const std::string& text, const Labelling& labelling,
                          const Legend& legend);

}  // namespace zp
