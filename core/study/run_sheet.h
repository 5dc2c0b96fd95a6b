#pragma once
#include <functional>

#include "base/progress.h"
#include "study/study.h"

namespace zp {

// A run sheet: steps in order, as JSON of the format zany-patch-run-sheet. Each entry is a step
// (see step.h) and may have more:
//   as          what later steps of the sheet call its product by; a made scene goes by it too
//   called      the product's name afterwards, where it is another than that of the step
//   drawn_with  its ramp, likewise
//   scene_as    what was said of a made scene afterwards: names, roles, shift, mask
//   in_bin      it was thrown away once later steps had used it
// Scenes, outlines and products of the study are called by their name, or by their id. Relative
// files are below the study's folder.

inline constexpr const char* kRunSheetFormat = "zany-patch-run-sheet";

/// The run sheet of a study. `warnings` tells what the sheet will make otherwise: products that are
/// out of date. Error: a product was made from something that is gone for good.
Json recordOf(const Study& study, std::vector<Sentence>& warnings);

/// Reads one, from a file or from what was in it; `name` stands in messages. Error: another format
/// or a newer version, an unknown kind or field of a step, one that lacks what it needs; the
/// sentence names the step.
Json readRunSheet(const std::filesystem::path& file);
void requireRunSheet(const Json& sheet, const std::string& name);
/// Only that it has steps, each of a kind that there is.
void requireSteps(const Json& sheet, const std::string& name);

/// Runs a sheet in a study and calls `made` after every step, when its product has been added.
/// Error before anything is run when a step names what neither the study nor an earlier step has;
/// when a step fails, what was made before it stays.
void runSheet(Study& study, const Json& sheet, const Progress& progress,
              const std::function<void(const Product&)>& made);

}  // namespace zp
