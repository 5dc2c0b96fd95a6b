#include "desks/mapping/features_panel.h"

#include "base/error.h"
#include "mapping/distance_kernel.h"
#include "scene/band_axis.h"
#include "study/study_scope.h"

namespace zp {
namespace {

/// Of segments the means are chosen from the start (mapping/segments.h), of anything else all
/// bands.
bool isUsual(const Study& study, const StudyScene& scene, size_t band) {
  const Product* made = study.product(scene.product);
  if (made == nullptr || made->step.value("do", "") != "segments") return true;
  return band % 2 == 0 && band + 2 < scene.scene.bands.size();
}

}  // namespace

FeaturesPanel::FeaturesPanel(Workbench& bench) : Panel(bench) {
  auto* flow = new QWidget;
  chips_ = new FlowLayout(6);
  flow->setLayout(chips_);
  box()->addWidget(flow);
  bandChips_ = new QWidget;
  bandFlow_ = new FlowLayout(6);
  bandChips_->setLayout(bandFlow_);
  bandChips_->hide();
  box()->addWidget(bandChips_);
  openBands_ = linkButton(txt("Bands…"));
  openBands_->setObjectName("openBands");
  openBands_->setToolTip(txt("Choose among the bands of the scene in hand"));
  connect(openBands_, &QPushButton::clicked, this,
          [this] { bandChips_->setVisible(!bandChips_->isVisible()); });
  open_ = linkButton(txt("Add…"));
  open_->setObjectName("addFeature");
  open_->setToolTip(txt("A feature of another kind, or of another scene"));
  for (auto* link : {openBands_, open_}) chips_->addWidget(link);

  adding_ = new QWidget;
  auto* inside = columnIn(adding_);
  kind_ = new QComboBox;
  kind_->setObjectName("featureKind");
  for (const auto* k : featureKinds()) kind_->addItem(txt(k->title), q(k->id));
  kind_->setCurrentIndex(kind_->findData("index"));  // the bands stand there already
  source_ = new LongChoice;
  source_->setObjectName("featureOf");
  inside->addWidget(fieldRow(txt("Kind"), {kind_}));
  inside->addWidget(fieldRow(txt("Of"), {source_}));
  settings_ = new SettingsPanel;
  inside->addWidget(settings_);
  about_ = secondLabel("");
  about_->setWordWrap(true);
  inside->addWidget(about_);
  auto* go = quietButton(txt("Add"));
  go->setObjectName("featureAdd");
  auto* stop = linkButton(txt("Not now"));
  stop->setObjectName("featureNotNow");
  inside->addWidget(wrapping({go, stop}));
  box()->addWidget(adding_);
  adding_->hide();

  connect(open_, &QPushButton::clicked, this, [this] { openAdding(true); });
  connect(stop, &QPushButton::clicked, this, [this] { openAdding(false); });
  connect(go, &QPushButton::clicked, this, &FeaturesPanel::add);
  connect(kind_, &QComboBox::currentIndexChanged, this, &FeaturesPanel::showParameters);
  connect(source_, &QComboBox::currentIndexChanged, this, &FeaturesPanel::showParameters);
}

void FeaturesPanel::forget() {
  scene_.clear();
  settingsOf_.clear();
  added_.clear();
  chosenGroups_.clear();
  bandChips_->hide();
  openAdding(false);
}

void FeaturesPanel::refresh() {
  const auto* s = bench_.currentScene();
  if (s == nullptr) return;
  if (scene_ != s->id) {
    scene_ = s->id;
    added_.clear();
    chosenGroups_.erase("scene-" + q(s->id));
    bands_.clear();
    for (size_t b = 0; b < s->scene.bands.size(); ++b)
      if (isUsual(bench_.study(), *s, b)) bands_.insert(b);
  }
  std::erase_if(bands_, [&](size_t b) { return b >= s->scene.bands.size(); });
  // A layer may have gone, or be called otherwise now.
  const auto names = formulaNames(bench_.study());
  std::erase_if(added_, [&](const Added& a) {
    const auto layers = layersOf(parseFeature(a.line));
    return std::any_of(layers.begin(), layers.end(),
                       [&](const std::string& name) { return names.count(name) == 0; });
  });
  fillChips();
  if (adding_->isVisible()) fillSources();
}

/// All radar scenes together, each band quieted by its surroundings.
FeaturesPanel::Group FeaturesPanel::radarGroup(
    const std::map<std::string, std::string>& names) const {
  Group radar{"radar", {}, {}, {}};
  qint64 dates = 0;
  QStringList told;
  for (const auto& [name, id] : names) {
    const auto* s = bench_.study().scene(id);
    if (s == nullptr || !s->scene.isRadar() || s->scene.grid.crs.empty()) continue;
    ++dates;
    told << nameWithDate(s->scene);
    for (size_t b = 0; b < s->scene.bands.size(); ++b) {
      const std::string line = bandLine(s->scene, b);
      radar.lines.push_back("neighbourhood(" + parseFeature(line).arguments.at(0) +
                            ", mean, 5) of " + name);
    }
  }
  radar.title = txt("Radar, %n dates · %1", "Radar, %n date · %1", dates).arg(radar.lines.size());
  radar.tip = txt("In decibels, averaged over 5 by 5 pixels: %1").arg(told.join(", "));
  return radar;
}

std::vector<FeaturesPanel::Group> FeaturesPanel::groups() const {
  std::vector<Group> all;
  const auto names = formulaNames(bench_.study());
  for (const auto& one : bench_.study().scenes) {
    if (one.id == scene_ || one.scene.isRadar() || one.scene.grid.crs.empty()) continue;
    for (const auto& [name, id] : names) {
      if (id != one.id) continue;
      Group g{"scene-" + q(id), {}, nameWithDate(one.scene), {}};
      for (size_t b = 0; b < one.scene.bands.size(); ++b)
        g.lines.push_back(bandLine(one.scene, b) + " of " + name);
      g.title = QString("%1 · %2").arg(nameWithDate(one.scene)).arg(g.lines.size());
      all.push_back(std::move(g));
    }
  }
  if (Group radar = radarGroup(names); !radar.lines.empty()) all.push_back(std::move(radar));
  return all;
}

void FeaturesPanel::addChip(QPushButton* made, bool on, const std::function<void(bool)>& chosen) {
  made->setChecked(on);
  connect(made, &QPushButton::clicked, this, [this, chosen](bool now) {
    chosen(now);
    Q_EMIT changed();
  });
  chips_->addWidget(made);
}

void FeaturesPanel::fillChips() {
  while (auto* item = chips_->takeAt(0)) {
    if (item->widget() != open_ && item->widget() != openBands_)
      item->widget()->hide(), item->widget()->deleteLater();
    delete item;
  }
  const auto* s = bench_.currentScene();
  const size_t all = s->scene.bands.size();
  auto* whole = chip(QString("%1 · %2").arg(
      nameWithDate(s->scene),
      bands_.size() == all ? QString::number(all) : txt("%1 of %2").arg(bands_.size()).arg(all)));
  whole->setObjectName("sceneFeatures");
  addChip(whole, !bands_.empty(), [this, all](bool on) {
    bands_.clear();
    for (size_t b = 0; on && b < all; ++b) bands_.insert(b);
    fillChips();
  });
  for (const auto& g : groups()) {
    auto* c = chip(g.title);
    c->setObjectName("group-" + g.key);
    c->setToolTip(g.tip);
    addChip(c, chosenGroups_.count(g.key) > 0, [this, key = g.key](bool on) {
      if (on)
        chosenGroups_.insert(key);
      else
        chosenGroups_.erase(key);
    });
  }
  for (size_t i = 0; i < added_.size(); ++i) {
    auto* c = chip(added_[i].title);
    c->setObjectName(QString("added-%1").arg(i + 1));
    addChip(c, added_[i].chosen, [this, i](bool on) { added_[i].chosen = on; });
  }
  chips_->addWidget(openBands_);
  chips_->addWidget(open_);
  fillBands();
}

/// The bands of the scene in hand, each by itself.
void FeaturesPanel::fillBands() {
  while (auto* item = bandFlow_->takeAt(0)) {
    item->widget()->hide(), item->widget()->deleteLater();
    delete item;
  }
  const auto* s = bench_.currentScene();
  for (size_t b = 0; b < s->scene.bands.size(); ++b) {
    const auto& band = s->scene.bands[b];
    auto* c = chip(q(calledBand(band)));
    c->setObjectName(QString("feature-%1").arg(b + 1));
    c->setChecked(bands_.count(b) > 0);
    connect(c, &QPushButton::clicked, this, [this, b](bool on) {
      if (on)
        bands_.insert(b);
      else
        bands_.erase(b);
      fillChips();
      Q_EMIT changed();
    });
    bandFlow_->addWidget(c);
  }
}

void FeaturesPanel::openAdding(bool open) {
  Q_EMIT trouble("");
  adding_->setVisible(open);
  open_->setVisible(!open);
  if (open) fillSources(), kind_->setFocus();
}

/// The scene in hand first, then what else has a name in formulas.
void FeaturesPanel::fillSources() {
  QList<std::pair<QString, QString>> now{{txt("this scene"), QString()}}, there;
  for (const auto& [name, id] : formulaNames(bench_.study()))
    for (const auto& s : bench_.study().scenes)
      if (s.id == id && id != scene_) now.append({nameWithDate(s.scene), q(name)});
  for (int i = 0; i < source_->count(); ++i)
    there.append({source_->itemText(i), source_->itemData(i).toString()});
  if (now == there && settingsOf_ == scene_) return;  // what is being typed stays
  settingsOf_ = scene_;
  const QSignalBlocker quiet(source_);
  const QString before = source_->currentData().toString();
  source_->clear();
  for (const auto& [title, name] : now) source_->addItem(title, name);
  source_->setCurrentIndex(std::max(0, source_->findData(before)));
  showParameters();
}

const StudyScene* FeaturesPanel::sourceScene() const {
  const auto name = source_->currentData().toString().toStdString();
  if (name.empty()) return bench_.currentScene();
  const auto names = formulaNames(bench_.study());
  const auto at = names.find(name);
  return at == names.end() ? nullptr : bench_.study().scene(at->second);
}

void FeaturesPanel::showParameters() {
  const auto& kind = featureKind(kind_->currentData().toString().toStdString());
  const auto* source = sourceScene();
  about_->setText(txt(kind.about));
  settings_->offer(kind.parameters, Json::object(), {{}, source ? &source->scene : nullptr});
}

void FeaturesPanel::add() {
  const auto& kind = featureKind(kind_->currentData().toString().toStdString());
  FeatureLine line{kind.id, {}, source_->currentData().toString().toStdString()};
  try {
    const Json values = settings_->values();
    for (const auto& p : kind.parameters)
      if (values.contains(p.id)) line.arguments.push_back(textOf(p, values[p.id]));
    const std::string text = withDates(kind, line);
    const auto names = formulaNames(bench_.study());
    std::map<std::string, std::string> with;
    for (const auto& name : layersOf(parseFeature(text))) with[name] = names.at(name);
    const auto feature = makeFeature(text, studyScope(bench_.study(), scene_, with));
    auto all = lines();
    for (const auto& one : added_) all.push_back(one.line);
    if (std::find(all.begin(), all.end(), text) != all.end())
      return Q_EMIT trouble(txt("This feature is among them already."));
    const QString name = q(feature->name());
    added_.push_back(
        {text, line.of.empty() ? name : txt("%1 of %2").arg(name, source_->currentText()), true});
  } catch (const Error& e) {
    return Q_EMIT trouble(sentenceOf(e));
  }
  openAdding(false);
  fillChips();
  Q_EMIT changed();
}

/// A season of which no date is named takes those of the year of the scene in hand that have it.
std::string FeaturesPanel::withDates(const FeatureKind& kind, FeatureLine line) const {
  if (kind.id != "season" || line.arguments.size() > 2) return textOf(line);
  line.of.clear();
  const std::string year = bench_.currentScene()->scene.date.substr(0, 4);
  std::string dates;
  for (const auto& [name, id] : formulaNames(bench_.study())) {
    const auto* s = bench_.study().scene(id);
    if (s == nullptr || s->scene.date.substr(0, 4) != year || s->scene.grid.crs.empty()) continue;
    try {
      makeFeature("formula(" + line.arguments.at(0) + ")", Scope(s->scene));
      dates += (dates.empty() ? "" : " ") + name;
    } catch (const Error&) {
      // Another sensor.
    }
  }
  if (line.arguments.size() == 1) line.arguments.push_back("mean");
  if (!dates.empty()) line.arguments.push_back(dates);
  return textOf(line);
}

QString FeaturesPanel::missing() const {
  const size_t count = lines().size();
  if (count == 0) return txt("Choose at least one band or feature.");
  if (count > kMostBands)
    return txt("%1 features are more than the %2 that can be used at once; leave some out.")
        .arg(count)
        .arg(kMostBands);
  return {};
}

std::vector<std::string> FeaturesPanel::lines() const {
  std::vector<std::string> all;
  const auto* s = bench_.currentScene();
  for (const size_t b : bands_)
    if (s != nullptr && b < s->scene.bands.size()) all.push_back(bandLine(s->scene, b));
  for (const auto& g : groups())
    if (chosenGroups_.count(g.key) > 0) all.insert(all.end(), g.lines.begin(), g.lines.end());
  for (const auto& a : added_)
    if (a.chosen) all.push_back(a.line);
  return all;
}

std::map<std::string, std::string> FeaturesPanel::with() const {
  const auto names = formulaNames(bench_.study());
  std::map<std::string, std::string> used;
  for (const auto& line : lines())
    for (const auto& name : layersOf(parseFeature(line))) used[name] = names.at(name);
  return used;
}

Json FeaturesPanel::step() const {
  Json step = {{"scene", bench_.currentScene()->id}, {"features", lines()}};
  if (const auto named = with(); !named.empty()) step["with"] = named;
  return step;
}

}  // namespace zp
