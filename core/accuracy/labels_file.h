#pragma once
#include <filesystem>
#include <optional>

#include "accuracy/labelling.h"
#include "legend/change_classes.h"

namespace zp {

/// A point that two labellers saw differently, and the class they settled for.
struct Settled {
  int id = 0, first = 0, second = 0, to = 0;
  std::string when;  // ISO 8601
};

/// What a second labeller says of the same points, or a share of them; see second_labeller.h.
struct SecondLabels {
  std::string labeller;
  Labelling labelling;
  std::vector<Settled> settled = {};
};

/// A labelling with the reference system of its places: format zany-patch-labels.
struct LabelsFile {
  Labelling labelling;
  std::string crs;
  /// Of points drawn class by class: square metres of each stratum.
  std::map<int, double> strata = {};
  std::string labeller = {};
  /// Pixels along the side of the square that each label is of: 1 or 3.
  int block = 1;
  std::optional<SecondLabels> second = {};
  /// Of a map of change: its classes, which are the labels; each is given as two classes of the
  /// study's legend.
  std::optional<ChangeClasses> change = {};

  /// The classes that labels are, given those of the study.
  const Legend& legend(const Legend& study) const { return change ? change->legend() : study; }
  /// What a class is as a label.
  Label labelOf(int code) const;
};
/// A class of the study's legend has another code now.
void renumber(LabelsFile& labels, int from, int to);
/// The same labels of the same points, on a map that changed; those given by hand stay, those from
/// elsewhere follow, and so do the codes of a map of change. `now`: as a labelling of the map as it
/// is would begin. Error: other points, another kind of change.
LabelsFile onChangedMap(LabelsFile labels, LabelsFile now);

Json toJson(const LabelsFile& labels);
/// Exception of the JSON library: not complete.
LabelsFile labelsFrom(const Json& json);

/// Error: another format, not complete.
LabelsFile readLabels(const std::filesystem::path& file);
void writeLabels(const std::filesystem::path& file, const LabelsFile& labels);

}  // namespace zp
