#include "arguments.h"
#include "base/text.h"
#include "calls.h"
#include "file_step.h"
#include "index/index_book.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

struct IndexArguments {
  SceneArguments scene;
  OutputArguments output;
  std::string index, formula, outline;
  bool inside = false, list = false;
};

Json listFor(const Scene& scene) {
  Json list = Json::array();
  for (const auto& e : indexBook())
    list.push_back({{"id", e.id},
                    {"abbreviation", e.abbreviation},
                    {"group", e.group},
                    {"name", e.name},
                    {"range", {e.low, e.high}},
                    {"source", e.source},
                    {"formula", e.formula},
                    {"missing", missingRoles(e, scene)}});
  return {{"indices", list}, {"outputs", Json::array()}};
}

/// Of an index of the book, when its bands are there.
std::string formulaOf(const IndexEntry& entry, const Scene& scene) {
  const auto missing = missingRoles(entry, scene);
  if (!missing.empty())
    throw Error("“{}” has no {} band, which {} needs; give it with --roles or --sensor.",
                scene.name, listed(missing), entry.name);
  return formulaFor(entry, scene);
}

Json runIndex(const IndexArguments& a, const Progress& progress) {
  const Scope scope = a.scene.scope();
  const Scene& scene = scope.scenes[0].scene;
  if (a.list) return listFor(scene);
  const bool book = !a.index.empty();
  FileStep step("index", book ? indexEntry(a.index).name : "formula");
  const std::string text = book ? formulaOf(indexEntry(a.index), scene) : a.formula;
  const Formula formula = formulaFrom(text, scope.names());
  step["formula"] = text;
  step.scope(scope);
  step.inside(a.outline);
  Outputs outputs(a.output.replace);
  Json result =
      step.run({a.output.out, outputs.add(a.output.out, a.scene.files(scope))}, progress).facts;
  result["warnings"] = Json::array();
  for (const auto& w : warningsFor(scope, formula)) result["warnings"].push_back(w.text());
  outputs.commit();
  result["outputs"] = names(outputs);
  return result;
}

}  // namespace

namespace calls {

Call index(CLI::App& app) {
  auto* call = app.add_subcommand("index", "Compute an index or a formula of band roles");
  auto a = std::make_shared<IndexArguments>();
  a->scene.addTo(*call, true);
  a->output.addTo(*call, "GeoTIFF to write", false);
  auto* index =
      call->add_option("--index", a->index, "An index of the book, by its id or abbreviation");
  call->add_option("--formula", a->formula, "A formula, such as (nir - red) / (nir + red)")
      ->excludes(index);
  auto* outline = call->add_option("--outline", a->outline, "Polygons: FILE or FILE:LAYER");
  call->add_flag("--inside", a->inside, "Keep only pixels inside the outline")->needs(outline);
  call->add_flag("--list", a->list, "List the indices this scene can and cannot do");
  call->callback([a] {
    a->scene.require("index");
    if (a->list) return;
    if (a->index.empty() && a->formula.empty())
      throw CLI::ValidationError("index", "give --index ID or --formula TEXT (or --list)");
    if (!a->index.empty()) argument("--index", [&] { indexEntry(a->index); });
    if (a->output.out.empty()) throw CLI::RequiredError("--out");
    if (!a->outline.empty() && !a->inside)
      throw CLI::ValidationError("--outline", "say --inside to cut to the outline");
  });
  return {call, [a](const Progress& progress) { return runIndex(*a, progress); }};
}

}  // namespace calls
}  // namespace zp
