#pragma once
#include <cmath>
#include <optional>
#include <string>
#include <vector>

#include "accuracy/assessment.h"
#include "accuracy/second_labeller.h"
#include "legend/legend.h"

namespace zp {

struct ReportClass {
  int code = 0;
  std::string name;
  Colour colour;
  double mapped = std::nan("");  // square metres
};

/// A confusion with what it looks like on the ground.
struct ReportChip {
  std::string mapped, reference;
  size_t points = 0;
  std::string png;      // around one of these points, which is in its middle; "" without a picture
  double pixel = 0.1;   // how wide a pixel of the map is in it, 0…1
  double height = 0.5;  // of the picture, of its width
};

/// Something that was done, by its name, and how.
struct DoneStep {
  std::string name, how;
};

/// All that a report tells. Texts are plain; whatever stands in them, it is shown as it is.
struct Report {
  std::string title, about;  // about: in one line, what map of what, in which system
  std::string author, remarks;
  std::string mapPng;
  std::vector<std::string> beside;  // sentences beside the map: how it was made
  std::vector<ReportClass> classes;
  std::vector<std::string> plan;      // sentences: how points were placed and labelled
  std::vector<std::string> training;  // sentences

  ConfusionMatrix matrix;
  Assessment assessment;  // the one that is told
  Assessment counts;      // the same where nothing is weighted
  bool intervals = true;  // points that chance placed
  std::string whyCounted;
  double wholeArea = 0;  // square metres; 0 where nothing is weighted
  std::vector<ReportChip> chips;

  std::string first, second;  // labellers
  std::optional<Agreement> agreement;
  std::vector<LateChange> late;
  std::vector<double> overallBefore;  // each late change
  std::vector<DoneStep> done;
};

/// The report as one HTML file that leans on no other, laid out for the screen and for A4 paper.
std::string toHtml(const Report& report);

}  // namespace zp
