#include "desks/mapping/features_panel.h"

#include "feature/feature_kind.h"
#include "study/study_scope.h"

namespace zp {

FeaturesPanel::FeaturesPanel(Workbench& bench) : Panel(bench) {
  auto* flow = new QWidget;
  chips_ = new FlowLayout(6);
  flow->setLayout(chips_);
  box()->addWidget(flow);
  open_ = linkButton(txt("Add…"));
  open_->setObjectName("addFeature");
  open_->setToolTip(txt("A feature of another kind, or of another scene"));

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
  openAdding(false);
}

void FeaturesPanel::refresh() {
  const auto* s = bench_.currentScene();
  if (s == nullptr) return;
  if (scene_ != s->id) {
    scene_ = s->id;
    added_.clear();
    bands_.clear();
    for (size_t b = 0; b < s->scene.bands.size(); ++b) bands_.insert(b);
  }
  std::erase_if(bands_, [&](size_t b) { return b >= s->scene.bands.size(); });
  // A layer may have gone, or be called otherwise now.
  const auto names = formulaNames(bench_.study());
  std::erase_if(added_, [&](const Added& a) {
    const auto of = parseFeature(a.line).of;
    return !of.empty() && names.count(of) == 0;
  });
  fillChips();
  if (adding_->isVisible()) fillSources();
}

void FeaturesPanel::fillChips() {
  while (auto* item = chips_->takeAt(0)) {
    if (item->widget() != open_) item->widget()->hide(), item->widget()->deleteLater();
    delete item;
  }
  const auto* s = bench_.currentScene();
  for (size_t b = 0; b < s->scene.bands.size(); ++b) {
    const auto& band = s->scene.bands[b];
    auto* c = chip(band.role.empty() ? q(band.name) : q(band.role));
    c->setObjectName(QString("feature-%1").arg(b + 1));
    c->setChecked(bands_.count(b) > 0);
    connect(c, &QPushButton::toggled, this, [this, b](bool on) {
      if (on)
        bands_.insert(b);
      else
        bands_.erase(b);
      Q_EMIT changed();
    });
    chips_->addWidget(c);
  }
  for (size_t i = 0; i < added_.size(); ++i) {
    auto* c = chip(added_[i].title);
    c->setObjectName(QString("added-%1").arg(i + 1));
    c->setChecked(added_[i].chosen);
    connect(c, &QPushButton::toggled, this, [this, i](bool on) {
      added_[i].chosen = on;
      Q_EMIT changed();
    });
    chips_->addWidget(c);
  }
  chips_->addWidget(open_);
}

void FeaturesPanel::openAdding(bool open) {
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
    std::map<std::string, std::string> with;
    if (!line.of.empty()) with[line.of] = formulaNames(bench_.study()).at(line.of);
    const auto feature = makeFeature(textOf(line), studyScope(bench_.study(), scene_, with));
    auto all = lines();
    for (const auto& one : added_) all.push_back(one.line);
    if (std::find(all.begin(), all.end(), textOf(line)) != all.end())
      return Q_EMIT trouble(txt("This feature is among them already."));
    const QString name = q(feature->name());
    added_.push_back({textOf(line),
                      line.of.empty() ? name : txt("%1 of %2").arg(name, source_->currentText()),
                      true});
  } catch (const Error& e) {
    return Q_EMIT trouble(sentenceOf(e));
  }
  openAdding(false);
  fillChips();
  Q_EMIT changed();
}

std::vector<std::string> FeaturesPanel::lines() const {
  std::vector<std::string> all;
  const auto* s = bench_.currentScene();
  for (const size_t b : bands_)
    if (s != nullptr && b < s->scene.bands.size()) all.push_back(bandLine(s->scene, b));
  for (const auto& a : added_)
    if (a.chosen) all.push_back(a.line);
  return all;
}

std::map<std::string, std::string> FeaturesPanel::with() const {
  const auto names = formulaNames(bench_.study());
  std::map<std::string, std::string> used;
  for (const auto& a : added_)
    if (const auto of = parseFeature(a.line).of; a.chosen && !of.empty()) used[of] = names.at(of);
  return used;
}

}  // namespace zp
