#include "desks/sampling/hand_points.h"

namespace zp {

namespace {
constexpr double kReach = 9;  // pixels of the screen within which a click is on a point
}

HandPoints::HandPoints(Workbench& bench, MapView& view) : bench_(bench), view_(view) {
  put_ = chip(txt("Put points down"));
  put_->setObjectName("handPut");
  put_->setToolTip(txt("A click in the view puts a point down; a click on a point takes it out"));
  last_ = linkButton(txt("Take the last back"));
  last_->setObjectName("handLast");
  none_ = linkButton(txt("Take all out"));
  none_->setObjectName("handNone");
  columnIn(this)->addWidget(wrapping({put_, last_, none_}));
  connect(put_, &QPushButton::clicked, this,
          [this](bool on) { view_.setTool(on ? MapView::Tool::Pick : MapView::Tool::Look); });
  connect(&view_, &MapView::toolChanged, this,
          [this] { put_->setChecked(isVisible() && view_.tool() == MapView::Tool::Pick); });
  connect(&view_, &MapView::clicked, this, &HandPoints::clicked);
  connect(last_, &QPushButton::clicked, this, [this] {
    auto places = kept();
    if (!places.empty()) places.pop_back();
    keep(places, txt("Take a point out"));
  });
  connect(none_, &QPushButton::clicked, this, [this] { keep({}, txt("Take all points out")); });
}

void HandPoints::leave() {
  if (put_->isChecked()) view_.setTool(MapView::Tool::Look);
}

void HandPoints::start() {
  view_.setTool(MapView::Tool::Pick);
}

void HandPoints::refresh() {
  const bool any = count() > 0;
  last_->setVisible(any);
  none_->setVisible(any);
}

/// What the study has of them; nothing of what is none.
HandPoints::Kept HandPoints::all() const {
  Kept kept{view_.crs(), {}};
  const Json json = bench_.place("hand_points");
  if (!json.is_object() || !json.contains("crs") || !json["crs"].is_string()) return kept;
  kept.crs = json["crs"];
  for (const auto& at : json.value("places", Json::array()))
    if (at.is_array() && at.size() == 2 && at[0].is_number() && at[1].is_number())
      kept.places.push_back({at[0], at[1]});
  return kept;
}

std::vector<Place> HandPoints::places(const std::string& crs) const {
  const Kept kept = all();
  const bool both = !crs.empty() && !kept.crs.empty();
  const CrsChange change(both ? kept.crs : "", both ? crs : "");
  std::vector<Place> out;
  for (Place p : kept.places)
    if (change.apply(p)) out.push_back(p);
  return out;
}

void HandPoints::keep(const std::vector<Place>& places, const QString& what) {
  Json list = Json::array();
  for (const auto& p : places) list.push_back({p.x, p.y});
  bench_.keep("hand_points", {{"crs", all().crs}, {"places", list}}, what);
}

void HandPoints::clicked(Place place) {
  if (!isVisible() || !put_->isChecked()) return;
  auto stored = kept();
  const auto shown = places(view_.crs());
  const QPointF at = view_.toScreen(place);
  for (size_t i = 0; i < shown.size() && shown.size() == stored.size(); ++i) {
    const QPointF off = view_.toScreen(shown[i]) - at;
    if (std::hypot(off.x(), off.y()) > kReach) continue;
    stored.erase(stored.begin() + static_cast<std::ptrdiff_t>(i));
    return keep(stored, txt("Take a point out"));
  }
  const std::string crs = all().crs;
  const bool both = !crs.empty() && !view_.crs().empty();
  if (!CrsChange(both ? view_.crs() : "", both ? crs : "").apply(place)) return;
  stored.push_back(place);
  keep(stored, txt("Put a point down"));
}

}  // namespace zp
