#include "desks/mapping/model_panel.h"

#include "base/error.h"
#include "base/outputs.h"
#include "feature/feature_kind.h"
#include "study/study_scope.h"

namespace zp {
namespace {

constexpr const char* kPlace = "model";  // under which the study remembers the file

}  // namespace

ModelPanel::ModelPanel(Workbench& bench) : Panel(bench) {
  name_ = new QLabel;
  name_->setObjectName("modelName");
  name_->setWordWrap(true);
  auto* open = quietButton(txt("Choose a file…"));
  open->setObjectName("openModel");
  open->setToolTip(txt("A model or signatures, saved here or in another study"));
  said_ = secondLabel("");
  said_->setObjectName("modelSaid");
  std::vector<MethodChoice::Entry> entries;
  for (const auto* m : methods())
    if (m->bySignatures) entries.push_back(MethodChoice::entryOf(*m));
  method_ = new MethodChoice("by", std::move(entries));
  features_ = plainTable({txt("Feature"), txt("here")});
  features_->setObjectName("modelFeatures");
  features_->setAccessibleName(txt("What it needs"));
  features_->setSelectionMode(QAbstractItemView::NoSelection);
  kept_ = new KeptClasses("model", bench);
  inside_ = new QCheckBox(txt("Inside the study area only"));
  inside_->setObjectName("modelInside");
  known_ = new QWidget;
  auto* column = columnIn(known_);
  column->addWidget(method_);
  column->addWidget(sectionLabel(txt("What it needs")));
  column->addWidget(features_);
  column->addWidget(kept_);
  column->addWidget(inside_, 0, Qt::AlignLeft);
  box()->addWidget(name_);
  box()->addWidget(said_);
  box()->addWidget(open, 0, Qt::AlignLeft);
  box()->addWidget(known_);
  box()->addStretch();
  connect(open, &QPushButton::clicked, this, &ModelPanel::choose);
  connect(method_, &MethodChoice::changed, this, &ModelPanel::refresh);
  connect(method_, &MethodChoice::set, this, &ModelPanel::changed);
  connect(kept_, &KeptClasses::changed, this, &ModelPanel::changed);
}

void ModelPanel::forget() {
  learned_.reset();
  lacking_.clear();
  method_->forget();
  kept_->forget();
}

void ModelPanel::choose() {
  const QString file = QFileDialog::getOpenFileName(
      this, txt("What was learned"), q(bench_.study().folder().string()),
      txt("Models and signatures (*.json);;All files (*)"));
  if (file.isEmpty()) return;
  try {
    take(file.toStdString());
    Q_EMIT trouble("");
  } catch (const std::exception& e) {
    Q_EMIT trouble(sentenceOf(e));
  }
}

/// One from elsewhere is copied into the study, or maps by it could not be made again.
void ModelPanel::take(const std::filesystem::path& file) {
  const Study& study = bench_.study();
  Learned learned = read(file.string());
  learned.file = study.relative(file.string());
  if (std::filesystem::path(learned.file).is_absolute()) {
    const auto here = study.freshFile(file.stem().string(), ".json");
    Outputs outputs(true);
    std::filesystem::copy_file(file, outputs.add(here),
                               std::filesystem::copy_options::overwrite_existing);
    outputs.commit();
    learned.file = study.relative(here.string());
  }
  learned_ = learned;
  bench_.setPlace(kPlace, learned.file);
  refresh();
}

ModelPanel::Learned ModelPanel::read(const std::string& file) const {
  const std::filesystem::path path = bench_.study().absolute(file);
  Learned learned;
  learned.file = file;
  Legend legend = bench_.study().legend;
  std::vector<int> codes;
  if (readJson(path).value("format", "") == "zany-patch-signatures") {
    const SignatureSet set = readSignatures(path);
    learned.lines = linesOf(set);
    learned.pixels = set.pixels();
    codes = set.codes();
    for (const auto& c : set.classes) legend.addMissing(c.code, c.name);
  } else {
    const Model model = readModel(path);
    learned.lines = model.features;
    learned.pixels = model.trainingPixels;
    learned.method = model.plan.method;
    codes = model.classifier->classes();
    legend = model.legend;
  }
  for (const auto& line : learned.lines) layersOf(parseFeature(line));  // none that cannot be read
  for (const int code : codes)
    if (const auto* c = legend.find(code)) learned.classes.push_back(*c);
  return learned;
}

void ModelPanel::refresh() {
  if (const Json before = bench_.place(kPlace); !learned_ && before.is_string()) try {
      learned_ = read(before.get<std::string>());
    } catch (const std::exception&) {
      bench_.setPlace(kPlace, Json());  // it is gone
    }
  known_->setVisible(learned_.has_value());
  said_->setVisible(learned_.has_value());
  name_->setVisible(learned_.has_value());
  inside_->setVisible(!bench_.studyAreaId().empty());
  kept_->refresh();
  if (learned_) {
    name_->setText(QFileInfo(q(learned_->file)).fileName());
    const bool signatures = learned_->method.empty();
    method_->setVisible(signatures);
    if (signatures) method_->offer({learned_->classes, nullptr}, learned_->file);
    const QString what = signatures ? txt("Signatures") : txt(method(learned_->method).title);
    said_->setText(txt("%1: %2 classes, learned from %3 training pixels.")
                       .arg(what)
                       .arg(learned_->classes.size())
                       .arg(grouped(learned_->pixels)));
    fillFeatures();
  }
  Q_EMIT changed();
}

/// What the names in its lines stand for here.
std::map<std::string, std::string> ModelPanel::with() const {
  const auto names = formulaNames(bench_.study());
  std::map<std::string, std::string> used;
  for (const auto& line : learned_->lines)
    for (const auto& name : layersOf(parseFeature(line)))
      if (const auto at = names.find(name); at != names.end()) used[name] = at->second;
  return used;
}

void ModelPanel::fillFeatures() {
  lacking_.clear();
  features_->setRowCount(static_cast<int>(learned_->lines.size()));
  const auto* scene = bench_.currentScene();
  for (int r = 0; r < features_->rowCount(); ++r) {
    const auto& line = learned_->lines[static_cast<size_t>(r)];
    auto* name = new QTableWidgetItem(q(line));
    auto* here = new QTableWidgetItem;
    try {
      const auto feature = makeFeature(line, studyScope(bench_.study(), scene->id, with()));
      name->setText(q(feature->name()));
      name->setToolTip(q(line));
      here->setText(txt("there"));
    } catch (const Error& e) {
      here->setText(txt("missing"));
      here->setForeground(tokens().warning);
      here->setToolTip(sentenceOf(e));
      lacking_ << q(line);
    }
    features_->setItem(r, 0, name);
    features_->setItem(r, 1, here);
  }
  fitHeight(features_);
}

Panel::Heading ModelPanel::heading() const {
  return {{}, txt("A map by what was learned before, from other training or another scene.")};
}

QString ModelPanel::action() const {
  return learned_
             ? txt("Map %n classes", "Map %n class", static_cast<qint64>(learned_->classes.size()))
             : txt("Map");
}

QString ModelPanel::missing() const {
  if (!learned_) return txt("Choose a model, or signatures, that were saved before.");
  if (!lacking_.isEmpty())
    return txt("%1 lacks %2; choose another scene.")
        .arg(nameWithDate(bench_.currentScene()->scene), lacking_.join(", "));
  return {};
}

Json ModelPanel::step() const {
  const std::string scene = bench_.currentScene()->id;
  Json step = {{"do", "map"}, {"scene", scene}, {"features", learned_->lines}};
  if (const auto named = with(); !named.empty()) step["with"] = named;
  if (learned_->method.empty()) {
    step["signatures"] = learned_->file;
    step["method"] = method_->chosen().id;
    if (const Json values = method_->values(); !values.empty()) step["settings"] = values;
  } else {
    step["model"] = learned_->file;
  }
  kept_->addTo(step);
  if (const auto area = bench_.studyAreaId(); inside_->isChecked() && !area.empty())
    step["inside"] = area;
  const auto& by = learned_->method.empty() ? method_->chosen().id : learned_->method;
  step["name"] = txt("Cover, %1").arg(withinSentence(txt(method(by).title))).toStdString();
  return step;
}

}  // namespace zp
