#include "accuracy/labelling.h"

#include <algorithm>
#include <map>
#include <set>

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

namespace {

/// Whatever else was said of the point is gone.
void give(ValidationPoint& p, const Label& label) {
  p.reference = label.code;
  p.secondary = label.secondary == label.code ? 0 : label.secondary;
  p.earlier = label.earlier;
  p.later = label.later;
  p.skipped = false;
}

}  // namespace

void Labelling::label(const Label& label, const std::string& now) {
  if (closed_) return change(label, now, "", "");
  give(points_.at(position_), label);
  advance();
}

void Labelling::labelPoint(int id, const Label& label, const std::string& now) {
  const size_t at = position_;
  for (size_t i = 0; i < points_.size() && !closed_; ++i)
    if (points_[i].id == id) {
      position_ = i;
      change(label, now, "", "");
    }
  position_ = at;
}

void Labelling::change(const Label& label, const std::string& now, const std::string& who,
                       const std::string& why) {
  auto& p = points_.at(position_);
  const bool same = p.reference == label.code;
  if (same && p.earlier == label.earlier && p.later == label.later) return;
  if (closed_ && !same) late_.push_back({p.id, p.reference, label.code, now, who, why});
  give(p, label);
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

void Labelling::recode(const std::map<int, int>& codes) {
  const auto follow = [&](int& code) {
    if (const auto at = codes.find(code); at != codes.end()) code = at->second;
  };
  for (auto& p : points_)
    for (int* code : {&p.mapped, &p.stratum, &p.reference, &p.secondary, &p.said}) follow(*code);
  for (auto& change : late_) {
    follow(change.from);
    follow(change.to);
  }
}

void Labelling::renumberDates(int from, int to) {
  for (auto& p : points_)
    for (int* code : {&p.earlier, &p.later})
      if (*code == from) *code = to;
}

Labelling Labelling::onChangedMap(const std::vector<ValidationPoint>& now) const {
  std::map<int, const ValidationPoint*> byId;
  for (const auto& p : now) byId[p.id] = &p;
  std::set<int> late;
  for (const auto& c : late_) late.insert(c.id);
  Labelling changed = *this;
  bool same = byId.size() == points_.size();
  for (auto& p : changed.points_) {
    const auto at = byId.find(p.id);
    same = same && at != byId.end() && at->second->place == p.place;
    if (!same) continue;
    p.mapped = at->second->mapped;
    if (p.stratum == 0) p.stratum = at->second->stratum;
    const bool follows = p.reference == p.said && p.secondary == 0 && late.count(p.id) == 0 &&
                         at->second->reference == at->second->said;
    p.said = at->second->said;
    if (!follows) continue;
    p.reference = at->second->reference;
    p.earlier = at->second->earlier;
    p.later = at->second->later;
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
    for (const auto& [name, code] : {std::pair{"secondary", p.secondary},
                                     {"earlier", p.earlier},
                                     {"later", p.later},
                                     {"said", p.said}})
      if (code != 0) one[name] = code;
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
                         p.value("secondary", 0),
                         p.value("earlier", 0),
                         p.value("later", 0),
                         p.value("said", 0)});
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

}  // namespace zp
