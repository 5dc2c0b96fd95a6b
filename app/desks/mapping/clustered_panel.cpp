#include "desks/mapping/clustered_panel.h"

#include "base/error.h"
#include "mapping/cluster_method.h"
#include "mapping/cluster_number.h"
#include "study/cluster_naming.h"
#include "study/map_step.h"

namespace zp {

size_t namedOf(const Study& study, const Product& clusters) {
  return namingOf(clusters, study.legend).size();
}

const Product* mapOfClusters(const Study& study, const Product& clusters) {
  for (auto p = study.products.rbegin(); p != study.products.rend(); ++p)
    if (p->step.value("do", "") == "name-clusters" && p->step.value("clusters", "") == clusters.id)
      return &*p;
  return nullptr;
}

ClusteredPanel::ClusteredPanel(Workbench& bench) : Panel(bench), howManyJob_(this) {
  box()->addWidget(sectionLabel(txt("Features")));
  features_ = new FeaturesPanel(bench);
  box()->addWidget(features_);
  std::vector<MethodChoice::Entry> entries;
  for (const auto* m : clusterMethods()) entries.push_back(MethodChoice::entryOf(*m));
  method_ = new MethodChoice("cluster", std::move(entries));
  box()->addWidget(method_);
  auto* howMany = linkButton(txt("How many clusters?"));
  howMany->setObjectName("howMany");
  box()->addWidget(howMany, 0, Qt::AlignLeft);
  howMany_ = buildHowMany();
  box()->addWidget(howMany_);
  connect(howMany, &QPushButton::clicked, this, [this] {
    howMany_->setVisible(!howMany_->isVisible());
    askHowMany();
  });
  kept_ = new KeptClasses("cluster", bench);
  box()->addWidget(kept_);
  inside_ = new QCheckBox(txt("Inside the study area only"));
  inside_->setObjectName("clusterInside");
  box()->addWidget(inside_, 0, Qt::AlignLeft);
  found_ = new QWidget;
  auto* column = columnIn(found_, 4);
  column->addWidget(hairline());
  foundTitle_ = sectionLabel("");
  column->addWidget(foundTitle_);
  foundNote_ = secondLabel("");
  foundNote_->setObjectName("clustersFound");
  column->addWidget(foundNote_);
  toBin_ = linkButton(txt("Put the clusters into the bin"));
  toBin_->setObjectName("clustersToBin");
  toBin_->setToolTip(txt("The map that was made of them stays as it is"));
  column->addWidget(toBin_, 0, Qt::AlignLeft);
  box()->addWidget(found_);
  box()->addStretch();
  name_ = quietButton(txt("Name them"));
  name_->setObjectName("nameClusters");
  connect(name_, &QPushButton::clicked, this, [this] {
    if (const Product* p = newest()) Q_EMIT namingAsked(q(p->id));
  });
  connect(toBin_, &QPushButton::clicked, this, [this] {
    if (const Product* p = newest()) bench_.toBin(q(p->id));
  });
  connect(features_, &FeaturesPanel::changed, this, &ClusteredPanel::offerMethod);
  connect(features_, &FeaturesPanel::trouble, this, &ClusteredPanel::trouble);
  connect(kept_, &KeptClasses::changed, this, &ClusteredPanel::changed);
  connect(method_, &MethodChoice::changed, this, &ClusteredPanel::offerMethod);
}

QWidget* ClusteredPanel::buildHowMany() {
  chart_ = new NumberChart;
  chart_->setObjectName("numberChart");
  best_ = secondLabel("");
  best_->setObjectName("howManySaid");
  auto* holder = new QWidget;
  auto* column = columnIn(holder, 4);
  column->addWidget(chart_);
  column->addWidget(best_);
  holder->setVisible(false);
  return holder;
}

void ClusteredPanel::askHowMany() {
  if (!howMany_->isVisible() || !missing().isEmpty()) {
    howManyOf_.clear();
    return howManyJob_.stop();
  }
  Json asked;
  try {
    asked = step();
  } catch (const Error&) {
    return;  // a figure is half typed; said when the clusters are asked for
  }
  const QString of = q(asked.dump());
  if (of == howManyOf_) return;
  howManyOf_ = of;
  best_->setText(txt("Trying 2 to 20 clusters on a draw of the pixels…"));
  chart_->show({});
  howManyJob_.ask(
      [study = bench_.study(), asked](const Progress& progress) {
        constexpr size_t kPixels = 10000, kMost = 20;
        const Json settings = asked.value("settings", Json::object());
        auto sample =
            drawPixels(featuresOfStep(study, asked).reader(), kPixels, 1, progress.part(0, 0.3));
        if (settings.value("scale", "spread") == "spread") scale(sample, standardOf(sample));
        return tryNumbers(sample, kMost, 1, progress.part(0.3, 1));
      },
      [this](const std::vector<NumberTrial>& trials) { showHowMany(trials); },
      [this](const QString& sentence) { best_->setText(sentence); });
}

void ClusteredPanel::showHowMany(const std::vector<NumberTrial>& trials) {
  chart_->show(trials);
  const NumberTrial* best = nullptr;
  for (const auto& t : trials)
    if (!std::isnan(t.separation) && (best == nullptr || t.separation > best->separation))
      best = &t;
  best_->setText(best == nullptr
                     ? txt("There are too few different pixels to tell.")
                     : txt("By themselves, %1 clusters part best. Classes are often narrower than "
                           "that: take more and join them by name. More clusters are not more "
                           "accuracy.")
                           .arg(best->clusters));
}

const Product* ClusteredPanel::newest() const {
  return bench_.hasStudy() ? bench_.study().newest(ProductKind::Clusters) : nullptr;
}

void ClusteredPanel::forget() {
  howManyJob_.stop();
  howManyOf_.clear();
  features_->forget();
  method_->forget();
  kept_->forget();
}

void ClusteredPanel::refresh() {
  inside_->setVisible(!bench_.studyAreaId().empty());
  features_->refresh();
  kept_->refresh();
  tellNewest();
  offerMethod();
}

void ClusteredPanel::offerMethod() {
  const auto* s = bench_.currentScene();
  method_->offer({{}, &s->scene}, s->id);
  askHowMany();
  Q_EMIT changed();
}

void ClusteredPanel::tellNewest() {
  const Product* p = newest();
  found_->setVisible(p != nullptr);
  if (p == nullptr) return;
  const Json& facts = p->facts;
  const size_t count = facts.at("clusters").size(), asked = facts.value("asked", count);
  foundTitle_->setText(q(p->name));
  QString note = txt("%n clusters found in %1 passes, %2 of them named.",
                     "%n cluster found in %1 passes, %2 of them named.", static_cast<qint64>(count))
                     .arg(facts.value("iterations", 0))
                     .arg(namedOf(bench_.study(), *p));
  if (count < asked && p->step.value("method", "") == "k-means")
    note +=
        " " +
        txt("There are no more groups of different pixels, though %1 were asked for.").arg(asked);
  foundNote_->setText(note);
  toBin_->setVisible(mapOfClusters(bench_.study(), *p) != nullptr);
}

Panel::Heading ClusteredPanel::heading() const {
  return {{}, txt("Like pixels in groups, without training; you name them.")};
}

QString ClusteredPanel::action() const {
  return txt("Find clusters");
}

QString ClusteredPanel::missing() const {
  return features_->missing();
}

Json ClusteredPanel::step() const {
  Json step = features_->step();
  step["do"] = "cluster";
  step["method"] = method_->chosen().id;
  if (const Json values = method_->values(); !values.empty()) step["settings"] = values;
  kept_->addTo(step);
  if (const auto area = bench_.studyAreaId(); inside_->isChecked() && !area.empty())
    step["inside"] = area;
  step["name"] = txt("Clusters, %1").arg(txt(method_->chosen().title)).toStdString();
  return step;
}

}  // namespace zp
