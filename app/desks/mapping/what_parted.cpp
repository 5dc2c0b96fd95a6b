#include "desks/mapping/what_parted.h"

#include "desks/feature_title.h"
#include "desks/mapping/mapped_areas.h"

namespace zp {
namespace {

constexpr int kFew = 5;

QString percentText(double share) {
  return decimal(share * 100, 1) + " %";
}

/// The largest first.
QList<BarList::Bar> barsOf(const Study& study, const Product& map) {
  QList<BarList::Bar> bars;
  for (const auto& f : map.facts["training"]["importance"]) {
    const auto share = f.at("share").get<double>();
    bars.append({titleOfFeature(study, map.step, static_cast<size_t>(bars.size()),
                                f.at("feature").get<std::string>()),
                 share, percentText(share)});
  }
  std::stable_sort(bars.begin(), bars.end(),
                   [](const auto& a, const auto& b) { return a.value > b.value; });
  return bars;
}

}  // namespace

WhatParted::WhatParted(Workbench& bench) : Panel(bench, 4) {
  box()->addWidget(hairline());
  title_ = sectionLabel(txt("Pixels no tree had seen"));
  share_ = sectionLabel("");
  share_->setObjectName("outOfBag");
  share_->setFont(figureFont(11));
  auto* head = new QHBoxLayout;
  head->addWidget(title_);
  head->addStretch();
  head->addWidget(share_);
  box()->addLayout(head);
  note_ = secondLabel(
      txt("given the right class in training. Neighbouring pixels are alike, so this is no "
          "accuracy assessment. What parted the classes most:"));
  note_->setWordWrap(true);
  box()->addWidget(note_);
  bars_ = new BarList;
  bars_->setObjectName("importance");
  bars_->setAccessibleName(txt("What parted the classes most"));
  box()->addWidget(bars_);
  all_ = linkButton("");
  all_->setObjectName("allImportance");
  box()->addWidget(all_, 0, Qt::AlignLeft);
  connect(all_, &QPushButton::clicked, this, [this] {
    open_ = !open_;
    refresh();
    if (open_) Q_EMIT revealAsked(bars_);
  });
}

void WhatParted::refresh() {
  const Product* map = newestTrainedMap(bench_.study());
  const Json told = map == nullptr ? Json() : map->facts.value("training", Json());
  setVisible(told.is_object() && told.contains("importance") && told.contains("out_of_bag"));
  if (!told.is_object() || !told.contains("importance")) return;
  share_->setText(percentText(told.value("out_of_bag", 0.0)));
  const auto bars = barsOf(bench_.study(), *map);
  bars_->setBars(open_ ? bars : bars.mid(0, kFew));
  all_->setVisible(bars.size() > kFew);
  all_->setText(open_ ? txt("Fewer") : txt("All %1").arg(bars.size()));
}

}  // namespace zp
