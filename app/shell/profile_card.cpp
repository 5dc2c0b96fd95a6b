#include "shell/profile_card.h"

#include "look/look.h"
#include "look/parts.h"
#include "sampling/readings.h"
#include "scene/band_axis.h"

namespace zp {

ProfileCard::ProfileCard(Workbench& bench, QWidget* over)
    : QFrame(over), bench_(bench), latest_(this) {
  setObjectName("profiles");
  setAttribute(Qt::WA_StyledBackground);
  setStyleSheet(
      QString("#profiles { background: %1; border-radius: 4px; }").arg(tokens().panel.name()));
  setFixedSize(300, 176);
  title_ = secondLabel("");
  title_->setWordWrap(false);
  auto* all = linkButton(txt("Unpin all"));
  all->setObjectName("unpinAll");
  connect(all, &QPushButton::clicked, this, &ProfileCard::unpinAll);
  chart_ = new Chart;
  chart_->setObjectName("profileChart");
  chart_->setAccessibleName(txt("Profiles of the pinned places"));
  auto* head = new QHBoxLayout;
  head->addWidget(title_, 1);
  head->addWidget(all);
  auto* box = new QVBoxLayout(this);
  box->setContentsMargins(10, 6, 10, 6);
  box->setSpacing(2);
  box->addLayout(head);
  box->addWidget(chart_, 1);
  setVisible(false);
}

void ProfileCard::place() {
  move(12, parentWidget()->height() - height() - 52);
  raise();
}

void ProfileCard::pin(Place at) {
  if (!bench_.hasStudy() || bench_.currentScene() == nullptr) return;
  if (pins_.size() == kMostPins) pins_.erase(pins_.begin());
  pins_.push_back(at);
  keep();
}

void ProfileCard::unpin(size_t index) {
  if (index >= pins_.size()) return;
  pins_.erase(pins_.begin() + static_cast<std::ptrdiff_t>(index));
  keep();
}

void ProfileCard::unpinAll() {
  pins_.clear();
  keep();
}

void ProfileCard::keep() {
  Json list = Json::array();
  for (const auto& p : pins_) list.push_back({p.x, p.y});
  bench_.setPlace("pins", list);
  read();
  Q_EMIT changed();
}

void ProfileCard::refresh() {
  pins_.clear();
  const Json kept = bench_.place("pins");
  if (kept.is_array())
    for (const auto& p : kept)
      if (p.is_array() && p.size() == 2 && p[0].is_number() && p[1].is_number() &&
          pins_.size() < kMostPins)
        pins_.push_back({p[0], p[1]});
  read();
  Q_EMIT changed();
}

void ProfileCard::read() {
  const auto* s = bench_.hasStudy() ? bench_.currentScene() : nullptr;
  setVisible(!pins_.empty() && s != nullptr);
  if (!isVisibleTo(parentWidget())) return latest_.stop();
  place();
  title_->setText(q(s->scene.name));
  latest_.ask(
      [scene = s->scene, pins = pins_, crs = bench_.viewCrs()](const Progress&) {
        Profiles all(pins.size());
        const BandAxis axis = bandAxis(scene);
        for (size_t b = 0; b < scene.bands.size(); ++b) {
          const auto values = readBandAt(pins, crs, scene, b);
          for (size_t i = 0; i < pins.size(); ++i) all[i].emplace_back(axis.at[b], values[i]);
        }
        return all;
      },
      [this](const Profiles& all) { show(all); },
      [this](const QString& sentence) { title_->setText(sentence); });
}

void ProfileCard::show(const Profiles& profiles) {
  chart_->clearGraphs();
  const auto* s = bench_.currentScene();
  chart_->setTitles(s != nullptr && bandAxis(s->scene).byWavelength ? txt("nm") : txt("band"), "");
  for (size_t i = 0; i < profiles.size(); ++i) {
    auto line = profiles[i];
    std::sort(line.begin(), line.end());
    QVector<double> x, y;
    for (const auto& [w, v] : line) x << w, y << v;  // NaN makes a gap
    auto* graph = chart_->addGraph();
    graph->setPen(QPen(toQt(suggestedColour(i)), 1.8));
    graph->setScatterStyle(QCPScatterStyle(QCPScatterStyle::ssDisc, 4));
    graph->setData(x, y);
  }
  chart_->rescaleAxes();
  chart_->yAxis->scaleRange(1.15);
  chart_->xAxis->scaleRange(1.05);
  chart_->replot();
}

size_t ProfileCard::valuesOf(size_t pin) const {
  if (static_cast<int>(pin) >= chart_->graphCount()) return 0;
  size_t n = 0;
  for (const auto& point : *chart_->graph(static_cast<int>(pin))->data())
    if (!std::isnan(point.value)) ++n;
  return n;
}

}  // namespace zp
