#include "desks/indices/indices_desk.h"

#include "desks/indices/rules_panel.h"
#include "shell/index_title.h"

namespace zp {

IndicesDesk::IndicesDesk(Workbench& bench, MapView& view, TileStore& tiles)
    : Desk(bench, view, txt("Indices")) {
  nameScene();
  body()->addWidget(chips());
  inside_ = new QCheckBox(txt("Inside the study area only"));
  inside_->setObjectName("insideStudyArea");
  body()->addWidget(inside_, 0, Qt::AlignLeft);
  index_ = new IndexPanel(bench, view, tiles, [this] { return cutTo(); });
  dates_ = new DatesPanel(bench, [this] { return index_->inHand(); });
  addPage(index_, "mode-index", txt("One index"));
  addPage(new RulesPanel(bench, [this] { return cutTo(); }), "mode-rules", txt("By rules"));
  addPage(dates_, "mode-dates", txt("Between dates"));
  connect(inside_, &QCheckBox::clicked, this, [this] {
    index_->startOver();
    refresh();
  });
}

Desk::Missing IndicesDesk::missing() const {
  if (bench_.currentScene() != nullptr) return {};
  return {txt("Indices are computed from the bands of a scene. Bring one in first."),
          txt("Go to scenes"), 0};
}

void IndicesDesk::fill() {
  inside_->setVisible(page() != dates_ && !bench_.studyAreaId().empty());
}

std::string IndicesDesk::cutTo() const {
  return inside_->isChecked() ? bench_.studyAreaId() : "";
}

void IndicesDesk::choose(const std::string& id) {
  showPage(index_);
  index_->choose(id);
}

Trail::Station IndicesDesk::station() const {
  Trail::Station station;
  const Product* newest = nullptr;
  int count = 0;
  for (const auto& p : bench_.study().products)
    if (p.kind == ProductKind::Index) newest = &p, ++count;
  if (newest == nullptr) return station;
  station.figure = q(newest->name) + (count > 1 ? QString(" +%1").arg(count - 1) : QString());
  station.state = stateOf(*newest);
  return station;
}

std::vector<FindOffer> IndicesDesk::offers() {
  std::vector<FindOffer> all;
  for (const auto& e : indexBook())
    all.push_back({titleInLists(e) + ", " + txt(e.name),
                   txt("index"),
                   [this, id = e.id] {
                     Q_EMIT stageAsked(1);
                     choose(id);
                   },
                   {}});
  return all;
}

}  // namespace zp
