#include "study/write_report.h"

#include "accuracy/matrix_table.h"
#include "base/error.h"
#include "base/run_program.h"
#include "study/run_sheet.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

/// The same pages as the HTML file.
void writePdf(const std::string& html, const fs::path& pdf, const Progress& progress) {
  const fs::path page = pdf.string() + ".html";
  writeUnseen(page, html);
  try {
    if (!runProgram({"weasyprint", "--quiet", page.string(), pdf.string()}, progress))
      throw Error(
          "A PDF needs the program weasyprint, which is not installed; leave the PDF out (the HTML "
          "file says the same), or install it.");
  } catch (const std::exception& e) {
    fs::remove(page);
    if (std::string(e.what()).find("No space left on device") != std::string::npos)
      throw Error("The PDF could not be written; free some space on the disk and try again.");
    throw;
  }
  fs::remove(page);
}

/// What a study is made of, none of which a report may take the place of.
std::vector<fs::path> filesOf(const Study& study) {
  std::vector<fs::path> files{study.folder() / "study.json", study.folder() / "study.json.last"};
  for (const auto& p : study.products) files.push_back(p.file);
  for (const auto& p : study.bin) files.push_back(p.file);
  for (const auto& s : study.scenes)
    for (const auto& b : s.scene.bands) files.push_back(b.file);
  for (const auto& o : study.outlines) files.push_back(o.layer.substr(0, o.layer.rfind(':')));
  return files;
}

}  // namespace

ReportFiles reportFilesIn(const fs::path& folder) {
  return {folder / "report.html", folder / "report.pdf", folder / "matrix.csv",
          folder / "points.gpkg", folder / "run-sheet.json"};
}

Report writeReport(const Study& study, const Product& labels, const ReportWish& wish,
                   const ReportFiles& files, bool replace, const Progress& progress) {
  Outputs outputs(replace);
  const auto own = filesOf(study);
  const auto add = [&](const fs::path& file) {
    return file.empty() ? fs::path() : outputs.add(file, own);
  };
  const fs::path html = add(files.html), pdf = add(files.pdf), matrix = add(files.matrix),
                 points = add(files.points), sheet = add(files.sheet);
  Report report = reportOf(study, labels, wish, progress.part(0, 0.5));
  const std::string page = toHtml(report);
  if (!html.empty()) writeUnseen(html, page);
  if (!matrix.empty())
    writeUnseen(matrix,
                toCsv(toTable(report.matrix, report.assessment, {false, report.intervals})));
  if (!points.empty()) {
    const LabelsFile file = readLabels(labels.file);
    writeLayer(points, files.points, pointsLayer(study, file), pointsFieldTypes(file));
  }
  if (!sheet.empty()) {
    std::vector<Sentence> warnings;
    writeJson(sheet, recordOf(study, warnings));
  }
  if (!pdf.empty()) writePdf(page, pdf, progress.part(0.6, 1));
  outputs.commit();
  return report;
}

}  // namespace zp
