#include "shell/product_face.h"

#include "legend/class_map.h"
#include "look/look.h"
#include "scene/band_axis.h"

namespace zp {
namespace {

Picture noPicture(const Study&, const Product&) {
  return {};
}

std::vector<FactRow> noFacts(const Product&) {
  return {};
}

/// A raster product; what its pixels are is said by the caller.
Picture rasterPicture(const Product& p, Picture::Kind kind) {
  Picture picture;
  picture.kind = kind;
  picture.of = p.id;
  picture.title = q(p.name);
  picture.detail = niceDate(p.date);
  picture.file = p.file;
  picture.ramp = p.ramp;
  picture.key =
      QString("p/%1/%2/%3/%4").arg(q(p.id)).arg(p.revision).arg(q(p.ramp), q(p.file.string()));
  return picture;
}

Picture continuousPicture(const Study&, const Product& p) {
  return rasterPicture(p, Picture::Kind::Index);
}

Picture classPicture(const Study&, const Product& p) {
  Picture picture = rasterPicture(p, Picture::Kind::Classes);
  picture.legend = legendOfMap(p);
  return picture;
}

/// Of a scene, the first composite by meaning that it can show, or a band.
Picture scenePicture(const StudyScene& s) {
  const auto can = compositesOf(s.scene);
  if (can.empty() || s.scene.bands.size() < 3) {
    const auto& band = s.scene.bands[0];
    return compositePicture(s.id, s.scene, {0, 0, 0}, q(calledBand(band)));
  }
  std::array<size_t, 3> bands{};
  for (size_t i = 0; i < 3; ++i) bands[i] = static_cast<size_t>(s.scene.bandOf(can[0].roles[i]));
  return compositePicture(s.id, s.scene, bands, txt(can[0].title));
}

Picture madeScenePicture(const Study& study, const Product& p) {
  for (const auto& s : study.scenes)
    if (s.product == p.id) return scenePicture(s);
  return {};
}

std::vector<FactRow> rangeFacts(const Product& p) {
  for (const char* key : {"min", "max", "mean"})
    if (!p.facts.contains(key) || !p.facts[key].is_number()) return {};
  return {{txt("Range"),
           txt("%1 to %2, mean %3")
               .arg(compact(p.facts["min"].get<double>()), compact(p.facts["max"].get<double>()),
                    compact(p.facts["mean"].get<double>()))}};
}

std::vector<FactRow> clusterFacts(const Product& p) {
  return {{txt("Clusters"), QString::number(p.facts["clusters"].size())},
          {txt("Passes"), QString::number(p.facts.value("iterations", 0))}};
}

std::vector<FactRow> countFacts(const Product& p, const char* key, const QString& title) {
  if (!p.facts.contains(key) || !p.facts[key].is_number_unsigned()) return {};
  return {{title, grouped(p.facts[key].get<size_t>())}};
}

std::vector<FactRow> pointFacts(const Product& p) {
  auto rows = countFacts(p, "points", txt("Points"));
  for (const auto& row : countFacts(p, "sharing_pixels", txt("Sharing a pixel")))
    rows.push_back(row);
  if (p.step.value("plan", "") == "by-hand")
    rows.push_back({txt("Chance"), txt("put down by hand, no random sample")});
  return rows;
}

std::vector<FactRow> cellFacts(const Product& p) {
  return countFacts(p, "cells", txt("Cells"));
}

std::vector<FactRow> tableFacts(const Product& p) {
  return countFacts(p, "rows", txt("Rows"));
}

}  // namespace

/// As the step noted it, or, of a study from before, from the file, which is read once. Empty where
/// that cannot be read; the view says why when it tries.
Legend legendOfMap(const Product& map) {
  try {
    if (map.facts.contains("legend")) return legendFrom(map.facts["legend"]);
    static std::map<std::string, Legend> read;
    const auto written = std::filesystem::last_write_time(map.file).time_since_epoch().count();
    const auto key = map.file.string() + "/" + std::to_string(written);
    if (const auto known = read.find(key); known != read.end()) return known->second;
    return read[key] = legendOf(RasterFile(map.file));
  } catch (const std::exception&) {
    return Legend();
  }
}

const std::vector<ProductFace>& productFaces() {
  enum Stage { kScenes, kIndices, kTraining, kMapping, kSampling, kAccuracy };
  static const char* const indices = words("Indices");
  static const char* const tables = words("Tables");
  using K = ProductKind;
  // kind, sign, word, group, groups, stage, read, shelved, picture, facts
  static const std::vector<ProductFace> all{
      {K::Scene, "scene", "", "scene", words("Scenes"), kScenes, false, false, madeScenePicture,
       noFacts},
      {K::Index, "index", "", "index", indices, kIndices, true, true, continuousPicture,
       rangeFacts},
      {K::Quantity, "index", "", "index", indices, kIndices, false, true, continuousPicture,
       rangeFacts},
      {K::ClassMap, "map", words("map"), "map", words("Class maps"), kMapping, true, true,
       classPicture, noFacts},
      {K::Clusters, "map", "", "clusters", words("Clusters"), kMapping, true, true, classPicture,
       clusterFacts},
      {K::Points, "points", "", "points", words("Points"), kSampling, false, true, noPicture,
       pointFacts},
      {K::Cells, "cells", "", "cells", words("Cells"), kSampling, false, true, noPicture,
       cellFacts},
      {K::Table, "table", "", "table", tables, kSampling, false, true, noPicture, tableFacts},
      {K::Areas, "table", "", "table", tables, kIndices, false, true, noPicture, noFacts},
      {K::Labels, "labels", "", "labels", words("Labels"), kAccuracy, false, true, noPicture,
       pointFacts}};
  return all;
}

const ProductFace& faceOf(ProductKind kind) {
  for (const auto& face : productFaces())
    if (face.kind == kind) return face;
  throw Error("A kind of product has no face.");
}

QString cardWord(ProductKind kind) {
  const char* word = faceOf(kind).word;
  return word[0] == '\0' ? txt(titleOf(kind)) : txt(word);
}

Picture pictureOf(const Study& study, const std::string& id) {
  if (const auto* s = study.scene(id)) return scenePicture(*s);
  const auto* p = study.product(id);
  return p == nullptr ? Picture() : faceOf(p->kind).picture(study, *p);
}

}  // namespace zp
