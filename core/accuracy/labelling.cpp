#include "accuracy/labelling.h"

#include <fmt/format.h>

#include <algorithm>
#include <map>

#include "base/error.h"
#include "base/random.h"

namespace zp {

Labelling::Labelling(std::vector<ValidationPoint> points, uint64_t seed)
    : points_(std::move(points)) {
  Random random(mix(seed, 0x6c6162656cull));
  for (size_t i = points_.size(); i > 1; --i) std::swap(points_[i - 1], points_[random.below(i)]);
}

size_t Labelling::labelled() const {
  return static_cast<size_t>(std::count_if(points_.begin(), points_.end(),
                                           [](const auto& p) { return p.reference != 0; }));
}

size_t Labelling::unsure() const {
  return static_cast<size_t>(
      std::count_if(points_.begin(), points_.end(), [](const auto& p) { return p.unsure; }));
}

/// To the next point without a label; skipped ones come again at the end.
void Labelling::advance() {
  const auto open = [](const ValidationPoint& p) { return p.reference == 0; };
  for (size_t i = position_ + 1; i < points_.size(); ++i)
    if (open(points_[i])) return goTo(i);
  for (size_t i = 0; i < position_; ++i)
    if (open(points_[i])) return goTo(i);
}

void Labelling::label(int code, const std::string& now) {
  auto& p = points_.at(position_);
  if (closed_) return change(code, now, "", "");
  p.reference = code;
  p.secondary = 0;
  p.skipped = false;
  advance();
}

void Labelling::labelPoint(int id, int code, const std::string& now) {
  const size_t at = position_;
  for (size_t i = 0; i < points_.size() && !closed_; ++i)
    if (points_[i].id == id) {
      position_ = i;
      change(code, now, "", "");
    }
  position_ = at;
}

void Labelling::labelMixed(int code, int secondary, const std::string& now) {
  const size_t at = position_;
  label(code, now);
  if (!closed_ && secondary != code) points_[at].secondary = secondary;
}

void Labelling::change(int code, const std::string& now, const std::string& who,
                       const std::string& why) {
  auto& p = points_.at(position_);
  if (p.reference == code) return;
  if (closed_) late_.push_back({p.id, p.reference, code, now, who, why});
  p.reference = code;
  p.secondary = 0;
  p.skipped = false;
}

void Labelling::close(const std::string& now) {
  if (closed_) return;
  closed_ = true;
  closedAt_ = now;
}

std::vector<DrawnPoint> Labelling::drawnBefore(size_t change) const {
  std::map<int, int> labels;  // of changed points, by id
  for (size_t i = late_.size(); i > change; --i) labels[late_[i - 1].id] = late_[i - 1].from;
  auto out = drawn();
  for (size_t i = 0; i < out.size(); ++i)
    if (const auto at = labels.find(points_[i].id); at != labels.end())
      out[i].reference = at->second;
  return out;
}

void Labelling::skip() {
  if (points_.at(position_).reference == 0) points_[position_].skipped = true;
  advance();
}

void Labelling::back() {
  if (position_ > 0) --position_;
}

void Labelling::goTo(size_t position) {
  position_ = std::min(position, points_.size() - 1);
}

std::vector<MapAndReference> Labelling::pairs() const {
  std::vector<MapAndReference> out;
  for (const auto& p : points_) out.push_back({p.mapped, p.reference});
  return out;
}

std::vector<DrawnPoint> Labelling::drawn() const {
  std::vector<DrawnPoint> out;
  for (const auto& p : points_) out.push_back({p.stratum, p.mapped, p.reference});
  return out;
}

std::vector<DrawnPoint> Labelling::drawnEither() const {
  auto out = drawn();
  for (size_t i = 0; i < out.size(); ++i)
    if (points_[i].secondary != 0 && points_[i].secondary == out[i].mapped)
      out[i].reference = out[i].mapped;
  return out;
}

void Labelling::renumber(int from, int to) {
  const auto follow = [&](int& code) {
    if (code == from) code = to;
  };
  for (auto& p : points_) {
    follow(p.mapped);
    follow(p.stratum);
    follow(p.reference);
    follow(p.secondary);
  }
  for (auto& change : late_) {
    follow(change.from);
    follow(change.to);
  }
}

Labelling Labelling::onChangedMap(const std::vector<ValidationPoint>& now) const {
  std::map<int, const ValidationPoint*> byId;
  for (const auto& p : now) byId[p.id] = &p;
  Labelling changed = *this;
  bool same = byId.size() == points_.size();
  for (auto& p : changed.points_) {
    const auto at = byId.find(p.id);
    same = same && at != byId.end() && at->second->place == p.place;
    if (!same) continue;
    p.mapped = at->second->mapped;
    if (p.stratum == 0) p.stratum = at->second->stratum;
  }
  if (!same)
    throw Error(
        "The points are others than those labelled, so the labels stay as they are; start a new "
        "labelling for the new points.");
  return changed;
}

Json toJson(const Labelling& l) {
  Json points = Json::array(), late = Json::array();
  for (const auto& p : l.points_) {
    Json one = {{"id", p.id},
                {"x", p.place.x},
                {"y", p.place.y},
                {"mapped", p.mapped},
                {"reference", p.reference}};
    if (p.stratum != 0) one["stratum"] = p.stratum;
    if (p.unsure) one["unsure"] = true;
    if (p.skipped) one["skipped"] = true;
    if (!p.note.empty()) one["note"] = p.note;
    if (p.secondary != 0) one["secondary"] = p.secondary;
    points.push_back(std::move(one));
  }
  for (const auto& c : l.late_)
    late.push_back({{"id", c.id},
                    {"from", c.from},
                    {"to", c.to},
                    {"when", c.when},
                    {"who", c.who},
                    {"why", c.why}});
  Json json = {{"position", l.position_}, {"closed", l.closed_}};
  if (!l.closedAt_.empty()) json["closed_at"] = l.closedAt_;
  json["points"] = points;
  json["late_changes"] = late;
  return json;
}

Labelling labellingFrom(const Json& json) {
  Labelling l;
  for (const auto& p : json.at("points"))
    l.points_.push_back({p.at("id"),
                         {p.at("x"), p.at("y")},
                         p.value("mapped", 0),
                         p.value("stratum", 0),
                         p.value("reference", 0),
                         p.value("unsure", false),
                         p.value("skipped", false),
                         p.value("note", ""),
                         p.value("secondary", 0)});
  l.position_ =
      std::min(json.value("position", size_t{0}), l.points_.empty() ? 0 : l.points_.size() - 1);
  l.closed_ = json.value("closed", false);
  l.closedAt_ = json.value("closed_at", "");
  if (json.contains("late_changes"))
    for (const auto& c : json["late_changes"])
      l.late_.push_back({c.at("id"), c.at("from"), c.at("to"), c.at("when"), c.value("who", ""),
                         c.value("why", "")});
  return l;
}

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

void renumber(LabelsFile& labels, int from, int to) {
  labels.labelling.renumber(from, to);
  if (auto stratum = labels.strata.extract(from)) {
    stratum.key() = to;
    labels.strata.insert(std::move(stratum));
  }
  if (!labels.second) return;
  labels.second->labelling.renumber(from, to);
  for (auto& s : labels.second->settled)
    for (int* code : {&s.first, &s.second, &s.to})
      if (*code == from) *code = to;
}

LabelsFile labelsFrom(const Json& json) {
  LabelsFile labels{labellingFrom(json), json.value("crs", "")};
  labels.labeller = json.value("labeller", "");
  labels.block = json.value("block", 1) == 3 ? 3 : 1;
  const Json strata = json.value("strata", Json::array());
  for (const auto& s : strata)
    labels.strata[s.at("code").get<int>()] = s.at("area_m2").get<double>();
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
