#include "desks/mapping/trained_panel.h"

#include "desks/mapping/mapped_areas.h"
#include "desks/mapping/what_parted.h"

namespace zp {

TrainedPanel::TrainedPanel(Workbench& bench) : Panel(bench) {
  untrained_ = buildUntrained();
  trained_ = buildTrained();
  box()->addWidget(untrained_);
  box()->addWidget(trained_);
  box()->addStretch();
}

QWidget* TrainedPanel::buildUntrained() {
  auto* holder = new QWidget;
  auto* column = columnIn(holder);
  column->addWidget(
      secondLabel(txt("A trained map needs training areas. Draw or import some first.")));
  auto* go = quietButton(txt("Go to training"));
  go->setObjectName("goToTraining");
  column->addWidget(go, 0, Qt::AlignLeft);
  connect(go, &QPushButton::clicked, this, [this] { Q_EMIT stageAsked(2); });
  return holder;
}

QWidget* TrainedPanel::buildTrained() {
  auto* holder = new QWidget;
  auto* column = columnIn(holder);
  column->addWidget(sectionLabel(txt("Features")));
  features_ = new FeaturesPanel(bench_);
  column->addWidget(features_);
  std::vector<MethodChoice::Entry> entries;
  for (const auto* m : methods()) entries.push_back(MethodChoice::entryOf(*m));
  method_ = new MethodChoice("method", std::move(entries));
  column->addWidget(method_);
  inside_ = new QCheckBox(txt("Inside the study area only"));
  inside_->setObjectName("mapInside");
  column->addWidget(inside_, 0, Qt::AlignLeft);
  told_ = {new WhatParted(bench_), new MappedAreas(bench_)};
  for (auto* panel : told_) {
    column->addWidget(panel);
    connect(panel, &Panel::revealAsked, this, &TrainedPanel::revealAsked);
  }
  connect(features_, &FeaturesPanel::changed, this, &TrainedPanel::changed);
  connect(features_, &FeaturesPanel::trouble, this, &TrainedPanel::trouble);
  connect(method_, &MethodChoice::changed, this, &TrainedPanel::offerMethod);
  return holder;
}

void TrainedPanel::forget() {
  features_->forget();
  method_->forget();
}

void TrainedPanel::refresh() {
  const bool any = !bench_.study().training.empty();
  untrained_->setVisible(!any);
  trained_->setVisible(any);
  inside_->setVisible(!bench_.studyAreaId().empty());
  features_->refresh();
  for (auto* panel : told_) panel->refresh();
  offerMethod();
}

void TrainedPanel::offerMethod() {
  const auto* s = bench_.currentScene();
  method_->offer({trainedClasses(), &s->scene}, s->id);
  Q_EMIT changed();
}

std::vector<LegendClass> TrainedPanel::trainedClasses() const {
  std::set<int> codes;
  for (const auto& a : bench_.study().training) codes.insert(a.code);
  std::vector<LegendClass> classes;
  for (const int code : codes)
    if (const auto* c = bench_.study().legend.find(code)) classes.push_back(*c);
  return classes;
}

Panel::Heading TrainedPanel::heading() const {
  if (bench_.study().training.empty()) return {};
  return {{},
          txt("%n training areas of %1 classes, %2 features.",
              "%n training area of %1 classes, %2 features.",
              static_cast<qint64>(bench_.study().training.size()))
              .arg(trainedClasses().size())
              .arg(features_->lines().size())};
}

QString TrainedPanel::action() const {
  return txt("Map %n classes", "Map %n class", static_cast<qint64>(trainedClasses().size()));
}

QString TrainedPanel::missing() const {
  if (bench_.study().training.empty()) return txt("There are no training areas yet.");
  if (trainedClasses().size() < 2) return txt("A map needs training for at least two classes.");
  return features_->missing();
}

Json TrainedPanel::step() const {
  Json step = features_->step();
  step["do"] = "map";
  step["method"] = method_->chosen().id;
  if (const Json values = method_->values(); !values.empty()) step["settings"] = values;
  if (const auto area = bench_.studyAreaId(); inside_->isChecked() && !area.empty())
    step["inside"] = area;
  step["name"] = txt("Cover, %1").arg(txt(method_->chosen().title).toLower()).toStdString();
  return step;
}

}  // namespace zp
