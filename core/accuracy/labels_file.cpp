#include "accuracy/labels_file.h"

#include "base/error.h"

namespace zp {

namespace {

Json secondToJson(const SecondLabels& second) {
  Json json = toJson(second.labelling), settled = Json::array();
  json["labeller"] = second.labeller;
  for (const auto& s : second.settled)
    settled.push_back(
        {{"id", s.id}, {"first", s.first}, {"second", s.second}, {"to", s.to}, {"when", s.when}});
  json["settled"] = settled;
  return json;
}

SecondLabels secondFrom(const Json& json) {
  SecondLabels second{json.value("labeller", ""), labellingFrom(json), {}};
  for (const auto& s : json.value("settled", Json::array()))
    second.settled.push_back(
        {s.at("id"), s.at("first"), s.at("second"), s.at("to"), s.value("when", "")});
  return second;
}

}  // namespace

namespace {

void recode(LabelsFile& labels, const std::map<int, int>& codes) {
  labels.labelling.recode(codes);
  std::map<int, double> strata;
  for (const auto& [code, area] : labels.strata) {
    const auto at = codes.find(code);
    strata[at == codes.end() ? code : at->second] = area;
  }
  labels.strata = std::move(strata);
  if (!labels.second) return;
  labels.second->labelling.recode(codes);
  for (auto& s : labels.second->settled)
    for (int* code : {&s.first, &s.second, &s.to})
      if (const auto at = codes.find(*code); at != codes.end()) *code = at->second;
}

}  // namespace

Label LabelsFile::labelOf(int code) const {
  const auto pair = change ? change->pairOf(code) : std::nullopt;
  return pair ? Label(code, 0, pair->first, pair->second) : Label(code);
}

void renumber(LabelsFile& labels, int from, int to) {
  if (!labels.change) return recode(labels, {{from, to}});
  labels.change->renumber(from, to);
  labels.labelling.renumberDates(from, to);
  if (labels.second) labels.second->labelling.renumberDates(from, to);
}

LabelsFile onChangedMap(LabelsFile labels, LabelsFile now) {
  if (labels.change && now.change) {
    recode(labels, labels.change->codesIn(*now.change));
    labels.change = std::move(now.change);
  } else if (now.change && labels.labelling.labelled() == 0) {
    labels.change = std::move(now.change);
  }
  labels.labelling = labels.labelling.onChangedMap(now.labelling.points());
  if (labels.strata.empty()) labels.strata = std::move(now.strata);
  labels.crs = now.crs;
  return labels;
}

LabelsFile labelsFrom(const Json& json) {
  LabelsFile labels{labellingFrom(json), json.value("crs", "")};
  labels.labeller = json.value("labeller", "");
  labels.block = json.value("block", 1) == 3 ? 3 : 1;
  const Json strata = json.value("strata", Json::array());
  for (const auto& s : strata)
    labels.strata[s.at("code").get<int>()] = s.at("area_m2").get<double>();
  if (json.contains("change")) labels.change = changeClassesFrom(json["change"]);
  if (json.contains("second")) labels.second = secondFrom(json["second"]);
  return labels;
}

Json toJson(const LabelsFile& labels) {
  Json json;
  json["crs"] = labels.crs;
  for (const auto& [code, area] : labels.strata)
    json["strata"].push_back({{"code", code}, {"area_m2", area}});
  if (!labels.labeller.empty()) json["labeller"] = labels.labeller;
  if (labels.block != 1) json["block"] = labels.block;
  if (labels.change) json["change"] = toJson(*labels.change);
  json.update(toJson(labels.labelling));
  if (labels.second) json["second"] = secondToJson(*labels.second);
  return json;
}

LabelsFile readLabels(const std::filesystem::path& file) {
  const Json json = readJson(file, "zany-patch-labels");
  try {
    return labelsFrom(json);
  } catch (const Json::exception&) {
    throw Error("The labels in “{}” are not complete; take a copy from before.", file.string());
  }
}

void writeLabels(const std::filesystem::path& file, const LabelsFile& labels) {
  Json json = {{"format", "zany-patch-labels"}, {"version", 1}};
  json.update(toJson(labels));
  writeJson(file, json);
}

}  // namespace zp
