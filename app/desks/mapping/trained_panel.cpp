#include "desks/mapping/trained_panel.h"

#include "base/outputs.h"
#include "desks/mapping/mapped_areas.h"
#include "desks/mapping/what_parted.h"
#include "shell/find_widgets.h"

namespace zp {

TrainedPanel::TrainedPanel(Workbench& bench, MapView& view)
    : Panel(bench),
      view_(view),
      preview_(new MapPreview(this)),
      heldOut_(new HeldOutPanel(bench)),
      next_(new NextPlaces(bench, view)) {
  untrained_ = buildUntrained();
  trained_ = buildTrained();
  box()->addWidget(untrained_);
  box()->addWidget(trained_);
  box()->addStretch();
  settle_.setSingleShot(true);
  settle_.setInterval(60);
  connect(&settle_, &QTimer::timeout, this, &TrainedPanel::tryOut);
  connect(preview_, &MapPreview::learned, this, [this](const Picture& map) {
    showProgress(false);
    if (bench_.currentScene() == nullptr) return;  // it went meanwhile
    // What something else says stays.
    if (std::exchange(failed_, false)) Q_EMIT trouble("");
    Q_EMIT pictureAsked(map);
    // Judged against the image, whatever was in front before.
    if (!std::exchange(shown_, true)) Q_EMIT behindAsked(q(bench_.currentScene()->id));
    seen_ = map;
    heldOut_->showChecking();
    next_->waiting();
  });
  connect(preview_, &MapPreview::progressed, this,
          [this](double share) { progress_->setValue(static_cast<int>(share * 100)); });
  connect(preview_, &MapPreview::failed, this, [this](const QString& sentence) {
    showProgress(false);
    heldOut_->hide();
    next_->waiting();
    failed_ = true;
    Q_EMIT trouble(sentence);
  });
  connect(preview_, &MapPreview::doubted, this,
          [this](const MapDoubts& doubts, const Picture& hatched) {
            next_->show(doubts, hatched.learned->scope.grid.crs, seen_, hatched);
          });
  for (auto* part : {static_cast<Panel*>(heldOut_), static_cast<Panel*>(next_)}) {
    connect(part, &Panel::areaAsked, this, [this](size_t area) {
      areaSeen_ = area;
      Q_EMIT areaAsked(area);
      Q_EMIT overlayChanged();
    });
    connect(part, &Panel::revealAsked, this, &Panel::revealAsked);
    connect(part, &Panel::pictureAsked, this, &Panel::pictureAsked);
    connect(part, &Panel::overlayChanged, this, &Panel::overlayChanged);
    connect(part, &Panel::trouble, this, &Panel::trouble);
  }
  connect(preview_, &MapPreview::checked, heldOut_, &HeldOutPanel::show);
  connect(preview_, &MapPreview::unchecked, heldOut_, &HeldOutPanel::showTrouble);
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
  choices_ = buildChoices();
  column->addWidget(buildTrying());
  column->addWidget(choices_);
  column->addWidget(heldOut_);
  column->addWidget(next_);
  told_ = {new WhatParted(bench_), new MappedAreas(bench_)};
  for (auto* panel : told_) {
    column->addWidget(panel);
    connect(panel, &Panel::revealAsked, this, &TrainedPanel::revealAsked);
  }
  connect(features_, &FeaturesPanel::changed, this, &TrainedPanel::choseAgain);
  connect(features_, &FeaturesPanel::trouble, this, &TrainedPanel::trouble);
  connect(method_, &MethodChoice::changed, this, &TrainedPanel::offerMethod);
  connect(method_, &MethodChoice::set, this, &TrainedPanel::choseAgain);
  return holder;
}

QWidget* TrainedPanel::buildChoices() {
  subclasses_ = new LongChoice;
  subclasses_->setObjectName("mapSubclasses");
  subclasses_->addItem(txt("as one with their class"), idOf(Subclasses::Together));
  subclasses_->addItem(txt("apart, mapped as their class"), idOf(Subclasses::Apart));
  subclasses_->addItem(txt("apart, and kept in the map"), idOf(Subclasses::Kept));
  subclassRow_ = fieldRow(txt("Subclasses"), {subclasses_});
  connect(subclasses_, &QComboBox::activated, this, &TrainedPanel::choseAgain);
  subclassRow_->setToolTip(txt("How subclasses of the training areas are learned"));
  constexpr int kSteps = 19;  // to 0.95
  least_ = new QSlider(Qt::Horizontal);
  least_->setObjectName("mapLeast");
  least_->setRange(0, kSteps);
  least_->setPageStep(2);
  least_->setToolTip(txt("Pixels for whose class less speaks stay without a class"));
  leastSaid_ = new QLabel;
  leastSaid_->setFont(figureFont(10));
  leastSaid_->setFixedWidth(QFontMetrics(figureFont(10)).horizontalAdvance("0.00"));
  connect(least_, &QSlider::valueChanged, this, [this](int at) {
    leastSaid_->setText(at == 0 ? QString("–") : decimal(at / 20.0, 2));
    choseAgain();
  });
  leastSaid_->setText("–");
  inside_ = new QCheckBox(txt("Inside the study area only"));
  inside_->setObjectName("mapInside");
  auto* holder = new QWidget;
  auto* column = columnIn(holder);
  column->addWidget(subclassRow_);
  column->addWidget(fieldRow(txt("No class below"), {least_, leastSaid_}));
  kept_ = new KeptClasses("map", bench_);
  connect(kept_, &KeptClasses::changed, this, &TrainedPanel::choseAgain);
  column->addWidget(kept_);
  column->addWidget(inside_, 0, Qt::AlignLeft);
  auto* save = linkButton(txt("Save the model…"));
  save->setObjectName("saveModel");
  save->setToolTip(txt("What is learned so, for use on another scene or in another study"));
  connect(save, &QPushButton::clicked, this, &TrainedPanel::saveModel);
  column->addWidget(save, 0, Qt::AlignLeft);
  return holder;
}

/// Whether one sees what it would be, and how far that is.
QWidget* TrainedPanel::buildTrying() {
  trying_ = new QCheckBox(txt("Preview"));
  trying_->setToolTip(txt("Shows in the view what the map would be, while one chooses"));
  trying_->setObjectName("mapPreview");
  trying_->setChecked(true);
  progress_ = new QProgressBar;
  progress_->setObjectName("previewProgress");
  progress_->setTextVisible(false);
  progress_->setFixedSize(70, 6);
  progress_->setAccessibleName(txt("Learning"));
  stop_ = linkButton(txt("Stop"));
  stop_->setObjectName("stopPreview");
  for (QWidget* part : {static_cast<QWidget*>(progress_), static_cast<QWidget*>(stop_)})
    part->setVisible(false);
  auto* holder = new QWidget;
  auto* row = new QHBoxLayout(holder);
  row->setContentsMargins(0, 0, 0, 0);
  auto* more = linkButton(txt("Classes and area…"));
  more->setObjectName("mapChoices");
  more->setCheckable(true);
  choices_->setVisible(false);
  openedBy(choices_, "mapChoices");
  connect(more, &QPushButton::toggled, choices_, &QWidget::setVisible);
  row->addWidget(trying_);
  row->addWidget(progress_);
  row->addWidget(stop_);
  row->addStretch();
  row->addWidget(more);
  connect(trying_, &QCheckBox::clicked, this, [this](bool on) {
    bench_.setPlace("preview", on);
    askedFor_ = on;
    if (on) return choseAgain();
    preview_->stop();
    showProgress(false);
  });
  connect(stop_, &QPushButton::clicked, this, [this] {
    preview_->stop();
    showProgress(false);
  });
  return holder;
}

void TrainedPanel::showProgress(bool busy) {
  if (busy) progress_->setValue(0);
  progress_->setVisible(busy);
  stop_->setVisible(busy);
}

void TrainedPanel::leave() {
  settle_.stop();
  preview_->stop();
  areaSeen_.reset();
  shown_ = false;
  showProgress(false);
}

void TrainedPanel::forget() {
  settle_.stop();
  preview_->forget();
  showProgress(false);
  heldOut_->forget();
  next_->forget();
  before_.reset();
  features_->forget();
  method_->forget();
  kept_->forget();
}

void TrainedPanel::refresh() {
  const bool any = !bench_.study().training.empty();
  untrained_->setVisible(!any);
  trained_->setVisible(any);
  inside_->setVisible(!bench_.studyAreaId().empty());
  subclassRow_->setVisible(anySubclasses());
  const Json trying = bench_.place("preview");
  trying_->setChecked(!trying.is_boolean() || trying.get<bool>());
  features_->refresh();
  kept_->refresh();
  for (auto* panel : told_) panel->refresh();
  offerMethod();
}

Json TrainedPanel::chosenFeatures() {
  features_->refresh();
  return features_->step();
}

void TrainedPanel::offerMethod() {
  const auto* s = bench_.currentScene();
  method_->offer({trainedClasses(), &s->scene}, s->id);
  if (missing().isEmpty()) try {
      noteFound(step());
    } catch (const Error&) {
      // Half typed.
    }
  choseAgain();
}

void TrainedPanel::choseAgain() {
  if (trying_->isChecked() && bench_.hasStudy()) settle_.start();
  Q_EMIT changed();
}

QString TrainedPanel::choiceOf(const Json& step) const {
  const Study& study = bench_.study();
  return QString("%1/%2/%3")
      .arg(q(step.dump()))
      .arg(study.trainingRevision)
      .arg(study.revisionOf(step.value("kept", "")));
}

/// What one finds with a scene, noted at once: what is chosen a moment later is another thing.
void TrainedPanel::noteFound(const Json& step) {
  const auto scene = step.at("scene").get<std::string>();
  if (before_ && scene == sceneBefore_) return;
  const Product* map = newestTrainedMap(bench_.study());
  if (!before_ && (map == nullptr || bench_.study().outOfDate(*map))) askedFor_ = true;
  before_ = choiceOf(step);
  sceneBefore_ = scene;
}

/// What one finds is tried only where there is no map of it yet; what one chooses always.
bool TrainedPanel::worthTrying(const Json& step) {
  noteFound(step);
  return std::exchange(askedFor_, false) || choiceOf(step) != *before_;
}

void TrainedPanel::act() {
  Panel::act();
  try {
    before_ = choiceOf(step());
  } catch (const Error&) {
    // Said by the panel.
  }
}

/// Learned anew, whether it was tried or not.
void TrainedPanel::saveModel() {
  if (const QString what = missing(); !what.isEmpty()) return Q_EMIT trouble(what);
  try {
    const Json by = step();
    const QString file = QFileDialog::getSaveFileName(
        this, txt("Save the model"), q((bench_.study().folder() / "model.json").string()),
        txt("Models (*.json)"));
    if (file.isEmpty()) return;
    bench_.background(
        txt("Save the model"),
        [study = bench_.study(), by, file](const Progress& progress) {
          Outputs outputs(true);
          const auto temporary = outputs.add(file.toStdString());
          Model model = trainOn(samplesOfStep(study, by, progress.part(0, 0.5)), planOfStep(by),
                                study.legend, progress.part(0.5, 1));
          model.features = featuresOfStep(study, by).lines;
          writeJson(temporary, toJson(model));
          outputs.commit();
        },
        [this, file] { Q_EMIT bench_.notice(txt("The model is in “%1”.").arg(file)); },
        "model " + file);
    Q_EMIT trouble("");
  } catch (const std::exception& e) {
    Q_EMIT trouble(sentenceOf(e));
  }
}

void TrainedPanel::tryOut() {
  if (!bench_.hasStudy() || !isVisible() || !trying_->isChecked() || !missing().isEmpty()) return;
  try {
    const Json asked = step();
    if (!worthTrying(asked)) return;
    showProgress(true);
    preview_->ask(bench_.study(), asked);
    showProgress(preview_->learning());
  } catch (const Error&) {
    // Half typed; said when the map is asked for.
  }
}

std::vector<ViewShape> TrainedPanel::shapes() const {
  const Study& study = bench_.study();
  if (!areaSeen_ || *areaSeen_ >= study.training.size()) return {};
  ViewShape s;
  s.shape = study.training[*areaSeen_].shape;
  s.colour = tokens().accent;
  s.width = 2.4;
  try {
    const CrsChange change(study.trainingCrs, view_.crs());
    for (auto& ring : s.shape.rings)
      for (auto& p : ring) change.apply(p);
  } catch (const std::exception&) {
    return {};
  }
  return {s};
}

bool TrainedPanel::anySubclasses() const {
  std::map<int, std::set<std::string>> names;
  for (const auto& a : bench_.study().training) names[a.code].insert(a.subclass);
  return std::any_of(names.begin(), names.end(),
                     [](const auto& of) { return of.second.size() > 1; });
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
  if (const auto how = subclasses_->currentData().toString().toStdString();
      anySubclasses() && how != idOf(Subclasses::Together))
    step["subclasses"] = how;
  if (least_->value() > 0) step["least"] = least_->value() / 20.0;
  kept_->addTo(step);
  if (const auto area = bench_.studyAreaId(); inside_->isChecked() && !area.empty())
    step["inside"] = area;
  step["name"] = txt("Cover, %1").arg(withinSentence(txt(method_->chosen().title))).toStdString();
  return step;
}

}  // namespace zp
