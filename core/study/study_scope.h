#pragma once
#include <map>

#include "index/scope.h"
#include "study/study.h"

namespace zp {

/// Names under which formulas may call the scenes, indices, quantities and class maps of a study,
/// each with its id.
std::map<std::string, std::string> formulaNames(const Study& study);

/// All that a formula over a scene of the study may name, without opening a file: what the names of
/// a scope of everything would be. Empty when the scene is gone.
std::vector<std::string> knownNames(const Study& study, const std::string& scene);

/// What a formula over a study may name: the roles of the scene stand alone, and everything in
/// `with` (name → id) under its name. The grid is the scene's, or the study's delivery grid over
/// it. Error when something is gone.
Scope studyScope(const Study& study, const std::string& scene,
                 const std::map<std::string, std::string>& with);

/// Those of `names` that a formula uses, with their ids: what a step has to keep.
std::map<std::string, std::string> usedNames(const std::vector<Formula>& formulas,
                                             const std::map<std::string, std::string>& names);

/// A raster product as a layer by itself.
Scene layerOf(const Product& product);

/// The prescribed grid over the place of another; that one itself when the study prescribes none.
Grid onDeliveryGrid(const Study& study, const Grid& grid);

}  // namespace zp
