#include "desks/mapping/tidy_panel.h"

#include "base/error.h"
#include "desks/mapping/class_ticks.h"
#include "mapping/tidy.h"

namespace zp {

TidyPanel::TidyPanel(Workbench& bench) : Panel(bench) {
  map_ = new LongChoice;
  map_->setObjectName("tidyMap");
  settings_ = new SettingsPanel;
  settings_->offer(tidyParameters(), {{"smallest", 5}}, {});
  auto* explanation = parameterParagraph(tidyParameters());
  explanation->opener()->setObjectName("explain-tidy");
  auto* title = new QHBoxLayout;
  title->addWidget(sectionLabel(txt("What goes")));
  title->addWidget(explanation->opener());
  title->addStretch();
  box()->addWidget(fieldRow(txt("Map"), {map_}));
  box()->addLayout(title);
  box()->addWidget(explanation);
  box()->addWidget(settings_);
  box()->addWidget(hairline());
  said_ = secondLabel("");
  said_->setObjectName("tidySaid");
  box()->addWidget(said_);
  box()->addStretch();
  connect(map_, &QComboBox::activated, this, &TidyPanel::changed);
  connect(settings_, &SettingsPanel::changed, this, &TidyPanel::changed);
}

void TidyPanel::forget() {
  map_->clear();
}

/// The newest map that is not tidied itself, unless another was chosen.
void TidyPanel::refresh() {
  offerClassMaps(*map_, bench_.study(), "tidy");
  tellNewest();
  Q_EMIT changed();
}

/// How much of the map in hand was changed when it was tidied last.
void TidyPanel::tellNewest() {
  said_->clear();
  const auto& all = bench_.study().products;
  for (auto p = all.rbegin(); p != all.rend(); ++p) {
    if (p->step.value("do", "") != "tidy" || p->step.value("map", "") != mapId()) continue;
    double pixels = 0;
    for (const auto& c : p->facts.at("classes")) pixels += c.at("pixels").get<double>();
    const double changed = p->facts.value("changed", 0.0);
    said_->setText(txt("%1: %2 pixels have another class than before, %3 % of the map.")
                       .arg(q(p->name), grouped(static_cast<qulonglong>(changed)),
                            decimal(pixels > 0 ? 100 * changed / pixels : 0, 1)));
    return;
  }
}

std::string TidyPanel::mapId() const {
  return map_->currentData().toString().toStdString();
}

Panel::Heading TidyPanel::heading() const {
  return {{}, txt("Single pixels and small patches go to what is around them.")};
}

QString TidyPanel::missing() const {
  return map_->count() == 0 ? txt("There is no class map yet; make one first.") : QString();
}

Json TidyPanel::step() const {
  Json step = settings_->values();
  if (!step.contains("majority") && !step.contains("smallest"))
    throw Error("Give a window for the majority, or a smallest patch.");
  if (const int window = step.value("majority", 1); window % 2 == 0)
    throw Error("A window has an odd number of pixels; take {} or {}.", window - 1, window + 1);
  step["do"] = "tidy";
  step["map"] = mapId();
  step["name"] = txt("%1, tidied").arg(map_->currentText()).toStdString();
  return step;
}

void TidyPanel::showResult(const QString& product) {
  Panel::showResult(product);
  Q_EMIT behindAsked(q(mapId()));
}

}  // namespace zp
