#pragma once
#include "base/outputs.h"
#include "study/report_of_study.h"

namespace zp {

/// Where the parts of a report go; "" for those not wanted.
struct ReportFiles {
  std::filesystem::path html, pdf;
  std::filesystem::path matrix;  // CSV
  std::filesystem::path points;  // of a vector format, by its ending
  std::filesystem::path sheet;   // the run sheet that makes the map again
};

/// Under the usual names, in a folder.
ReportFiles reportFilesIn(const std::filesystem::path& folder);

/// Writes them, all or none; what was reported. Error: see reportOf; a PDF without the program that
/// lays it out; a file that is there, unless `replace`.
Report writeReport(const Study& study, const Product& labels, const ReportWish& wish,
                   const ReportFiles& files, bool replace, const Progress& progress = Progress());

}  // namespace zp
