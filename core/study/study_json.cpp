// The study as study.json has it, and back.
#include <algorithm>

#include "base/error.h"
#include "base/text.h"
#include "grid/crs.h"
#include "outline/shape_json.h"
#include "study/study.h"

namespace fs = std::filesystem;

namespace zp {

Json Study::toJson() const {
  Json j = {{"format", kStudyFormat}, {"version", kStudyVersion}, {"name", name}};
  j["legend"] = zp::toJson(legend);
  j["scenes"] = Json::array();
  for (const auto& s : scenes) {
    Json one = zp::toJson(s.scene, folder_);
    one["id"] = s.id;
    one["revision"] = s.revision;
    if (!s.product.empty()) one["product"] = s.product;
    j["scenes"].push_back(std::move(one));
  }
  for (const auto& s : missingScenes_) j["scenes"].push_back(s);
  j["outlines"] = Json::array();
  for (const auto& o : outlines)
    j["outlines"].push_back({{"id", o.id},
                             {"name", o.name},
                             {"layer", pathBelow(folder_, o.layer)},
                             {"colour", colourText(o.colour)},
                             {"shown", o.shown},
                             {"study_area", o.studyArea},
                             {"filled", o.filled},
                             {"width", o.width},
                             {"label", o.label}});
  j["training"] = {
      {"crs", trainingCrs}, {"revision", trainingRevision}, {"areas", zp::toJson(training)}};
  for (const auto& set : trainingSets)
    j["training"]["sets"].push_back(
        {{"name", set.name}, {"crs", set.crs}, {"areas", zp::toJson(set.areas)}});
  if (delivery)
    j["delivery_grid"] = {{"system", crsName(delivery->crs)},
                          {"origin", {delivery->origin.x, delivery->origin.y}},
                          {"pixel", delivery->pixel},
                          {"revision", delivery->revision}};
  j["products"] = Json::array();
  for (const auto& p : products) j["products"].push_back(zp::toJson(p, folder_));
  for (const auto& p : missingProducts_) j["products"].push_back(p);
  j["bin"] = Json::array();
  for (const auto& p : bin) j["bin"].push_back(zp::toJson(p, folder_));
  j["place"] = place;
  return j;
}

void Study::readScenes(const Json& j, std::vector<std::string>& lost) {
  for (const auto& s : j) {
    try {
      scenes.push_back(
          {s.at("id"), sceneFrom(s, folder_), s.value("revision", 1), s.value("product", "")});
    } catch (const Error&) {
      lost.push_back(s.value("name", "a scene"));
      missingScenes_.push_back(s);
    }
  }
}

void Study::readProducts(const Json& j, std::vector<std::string>& lost) {
  for (const auto& p : j.at("products")) {
    Product product = productFrom(p, folder_);
    if (fs::exists(product.file))
      products.push_back(std::move(product));
    else
      lost.push_back(product.name), missingProducts_.push_back(p);
  }
  if (!j.contains("bin")) return;
  for (const auto& p : j["bin"]) {
    Product product = productFrom(p, folder_);
    if (fs::exists(fileInBin(product))) bin.push_back(std::move(product));
  }
}

namespace {
DeliveryGrid deliveryFrom(const Json& d) {
  const DeliveryGrid grid{crsFrom(d.at("system")),
                          {d.at("origin").at(0).get<double>(), d.at("origin").at(1).get<double>()},
                          d.at("pixel").get<double>(),
                          d.value("revision", 1)};
  if (!(grid.pixel > 0)) throw Error("The delivery grid of the study has no pixel size.");
  return grid;
}
}  // namespace

void Study::readRest(const Json& j) {
  for (const auto& o : j.at("outlines"))
    outlines.push_back({o.at("id"), o.at("name"), pathFrom(folder_, o.at("layer")),
                        colourFrom(o.value("colour", "#ffffff")), o.value("shown", true),
                        o.value("study_area", false), o.value("filled", false),
                        std::clamp(o.value("width", 1.5), 0.5, 8.0), o.value("label", "")});
  if (j.contains("delivery_grid")) delivery = deliveryFrom(j["delivery_grid"]);
  const Json& t = j.at("training");
  trainingCrs = t.value("crs", "");
  trainingRevision = t.value("revision", 1);
  training = trainingAreasFrom(t.at("areas"));
  for (const auto& set : t.value("sets", Json::array()))
    trainingSets.push_back(
        {set.at("name"), set.value("crs", ""), trainingAreasFrom(set.at("areas"))});
  if (j.contains("place") && j["place"].is_object()) place = j["place"];
  for (const char* count : {"highest-s", "highest-p", "highest-o", "training-revisions",
                            "scene-revisions", "delivery-revisions"})
    if (place.contains(count) && !place[count].is_number_integer()) place.erase(count);
}

void Study::readFrom(const Json& j) {
  std::vector<std::string> lost;
  try {
    name = j.at("name").get<std::string>();
    legend = legendFrom(j.at("legend"));
    readScenes(j.at("scenes"), lost);
    readRest(j);
    readProducts(j, lost);
  } catch (const Json::exception& e) {
    throw Error("The study “{}” is not complete ({}); restore it from a copy.", folder_.string(),
                e.what());
  }
  if (!lost.empty())
    notice = Sentence(
        "The files of {} are missing; bring them back to their place and open the "
        "study again.",
        listed(lost));
}

}  // namespace zp
