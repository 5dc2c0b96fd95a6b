#pragma once
#include <filesystem>
#include <map>

#include "base/progress.h"
#include "outline/class_polygons.h"
#include "study/study.h"
#include "training/signature.h"

namespace zp {

/// Does one step of a study and returns its product, not yet added to the study. A step is JSON:
/// its kind under "do", and the fields that this kind has (steps/step_kind.h; `zpatch run --list`
/// tells them all). The same step with the same inputs gives the same bytes. With `again`, the
/// product's file is replaced (bringing it up to date); its id and name stay. Nothing is left
/// behind when it fails or is cancelled.
Product runStep(const Study& study, const Json& step, const Progress& progress,
                const Product* again = nullptr);

/// Where a step writes that is done on files, outside a study: the caller puts them in place.
struct StepFiles {
  std::filesystem::path file, temporary;
  /// Further files that some kinds write beside, by what they hold: "confidence", "model".
  std::map<std::string, std::filesystem::path> beside = {};
};
/// The same, to files of the caller and without overviews. `study`: one of the moment, that holds
/// what the step names.
Product runStepTo(const StepFiles& files, const Study& study, const Json& step,
                  const Progress& progress);

/// Polygons of chosen classes of a map, to a vector file.
void exportClassPolygons(const Product& map, const std::vector<int>& codes,
                         const std::filesystem::path& target, const Progress& progress,
                         const PolygonOptions& options = {});

}  // namespace zp
