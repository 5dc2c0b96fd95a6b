#include "arguments.h"
#include "calls.h"
#include "strata_arguments.h"
#include "study/write_report.h"

namespace zp {
namespace {

struct ReportArguments {
  std::string study, labels, out, pdf, matrix, points, sheet;
  ReportWish wish;
  bool replace = false;
};

const Product& labelsOf(const Study& study, const std::string& name) {
  const Product* found = nullptr;
  for (const auto& p : study.products)
    if (p.kind == ProductKind::Labels && (name.empty() || p.name == name)) found = &p;
  if (found != nullptr) return *found;
  if (name.empty()) throw Error("The study has no labels to report; label some points first.");
  throw Error("The study has no labels called “{}”.", name);
}

Json runReport(const ReportArguments& a, const Progress& progress) {
  const Study study = Study::open(a.study);
  const ReportFiles files{a.out, a.pdf, a.matrix, a.points, a.sheet};
  const Report report =
      writeReport(study, labelsOf(study, a.labels), a.wish, files, a.replace, progress);
  std::optional<Assessment> weighted;
  if (report.assessment.weighted) weighted = report.assessment;
  Json json{{"title", report.title}};
  json.update(told(Assessed{report.matrix, report.counts, weighted, report.wholeArea}));
  Json outputs = Json::array();
  for (const auto* file : {&a.out, &a.pdf, &a.matrix, &a.points, &a.sheet})
    if (!file->empty()) outputs.push_back(*file);
  json["outputs"] = outputs;
  return json;
}

}  // namespace

namespace calls {

Call report(CLI::App& app) {
  auto* call = app.add_subcommand("report", "A report of a study's map and its accuracy");
  auto a = std::make_shared<ReportArguments>();
  call->add_option("--study", a->study, "Folder of the study")->required();
  call->add_option("--labels", a->labels, "Name of the labels; the newest when left out");
  call->add_option("--out", a->out, "The report as one HTML file")->required();
  call->add_option("--pdf", a->pdf, "The same as PDF");
  call->add_option("--matrix", a->matrix, "The confusion matrix as CSV");
  call->add_option("--points", a->points, "The labelled points, as GeoPackage or another format");
  call->add_option("--sheet", a->sheet, "The run sheet that makes the map again");
  call->add_option("--title", a->wish.title, "The study's name when left out");
  call->add_option("--author", a->wish.author, "Who reports");
  call->add_option("--remarks", a->wish.remarks, "A paragraph at the end");
  call->add_flag("--either", a->wish.either, "The second class of mixed places counts too");
  call->add_flag("--replace", a->replace, "Existing files may be replaced");
  return {call, [a](const Progress& progress) { return runReport(*a, progress); }};
}

}  // namespace calls
}  // namespace zp
