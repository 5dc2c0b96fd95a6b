#include "desks/training/areas_panel.h"

#include "base/outputs.h"
#include "base/text.h"
#include "outline/cut.h"
#include "training/training_area.h"

namespace zp {

AreasPanel::AreasPanel(Workbench& bench, MapView& view, std::function<int()> chosenClass)
    : Panel(bench),
      view_(view),
      chosenClass_(std::move(chosenClass)),
      grow_(new GrowPanel(bench, view, chosenClass_)),
      sets_(new SetsPanel(bench)),
      area_(new AreaEdit) {
  buildTools();
  box()->addWidget(area_);
  box()->addWidget(grow_);
  box()->addWidget(sets_);
  buildImport();
  connect(grow_, &Panel::overlayChanged, this, &Panel::overlayChanged);
  connect(grow_, &Panel::trouble, this, &Panel::trouble);
  connect(grow_, &GrowPanel::kept, this,
          [this](const Shape& area) { add(area, txt("Grow an area of %1")); });
  connect(area_, &AreaEdit::classAsked, this, &AreasPanel::becomes);
  connect(area_, &AreaEdit::subclassAsked, this, &AreasPanel::partOf);
  connect(&view_, &MapView::shapeEdited, this, &AreasPanel::edited);
  connect(&view_, &MapView::deleteAsked, this, [this] {
    if (isVisible()) removeChosen();
  });
  connect(&view_, &MapView::toolChanged, this,
          [this] { draw_->setChecked(isVisible() && view_.tool() == MapView::Tool::DrawArea); });
  connect(&view_, &MapView::areaDrawn, this, &AreasPanel::drawn);
  connect(&view_, &MapView::clicked, this, &AreasPanel::pick);
}

void AreasPanel::buildTools() {
  draw_ = chip(txt("Draw area"));
  draw_->setObjectName("drawArea");
  draw_->setIcon(icon("area"));
  auto* import = chip(txt("Import…"), false);
  import->setObjectName("importTraining");
  import->setIcon(icon("import"));
  remove_ = linkButton(txt("Remove"));
  remove_->setToolTip(txt("Removes the chosen area"));
  remove_->setObjectName("removeArea");
  auto* save = linkButton(txt("Export…"));
  save->setObjectName("exportTraining");
  box()->addWidget(wrapping({draw_, grow_->opener(), import, remove_, sets_->opener()}, 6));
  sets_->addTool(save);
  connect(save, &QPushButton::clicked, this, &AreasPanel::exportTo);
  connect(draw_, &QPushButton::toggled, this, [this](bool on) {
    if (on && chosenClass_() == 0) {
      draw_->setChecked(false);
      return Q_EMIT trouble(txt("Choose the class to draw first, or make a new one."));
    }
    Q_EMIT trouble("");
    view_.setTool(on ? MapView::Tool::DrawArea : MapView::Tool::Look);
  });
  connect(import, &QPushButton::clicked, this, &AreasPanel::chooseFile);
  connect(remove_, &QPushButton::clicked, this, &AreasPanel::removeChosen);
}

void AreasPanel::buildImport() {
  import_ = new QWidget;
  auto* inside = columnIn(import_);
  layer_ = new QComboBox;
  layer_->setObjectName("importLayer");
  code_ = new QComboBox;
  code_->setObjectName("importCode");
  name_ = new QComboBox;
  name_->setObjectName("importName");
  inside->addWidget(fieldRow(txt("Layer"), {layer_}));
  inside->addWidget(fieldRow(txt("Class code in"), {code_}));
  inside->addWidget(fieldRow(txt("Class name in"), {name_}));
  subclass_ = new QComboBox;
  subclass_->setObjectName("importSubclass");
  inside->addWidget(fieldRow(txt("Subclass in"), {subclass_}));
  found_ = secondLabel("");
  found_->setObjectName("importFound");
  inside->addWidget(found_);
  for (auto* field : {code_, name_, subclass_})
    connect(field, &QComboBox::activated, this, &AreasPanel::tellFound);
  auto* go = quietButton(txt("Import these areas"));
  go->setObjectName("importGo");
  auto* stop = linkButton(txt("Not now"));
  inside->addWidget(wrapping({go, stop}));
  import_->setVisible(false);
  box()->addWidget(import_);
  connect(stop, &QPushButton::clicked, import_, &QWidget::hide);
  connect(layer_, &QComboBox::currentTextChanged, this, &AreasPanel::fillFields);
  connect(go, &QPushButton::clicked, this, &AreasPanel::importChosen);
}

void AreasPanel::leave() {
  grow_->leave();
  view_.setTool(MapView::Tool::Look);
  view_.setEditable(std::nullopt);
}

void AreasPanel::forget() {
  grow_->forget();
  sets_->forget();
  view_.setEditable(std::nullopt);
  chosen_ = -1;
  import_->setVisible(false);
}

void AreasPanel::refresh() {
  if (chosen_ >= static_cast<int>(bench_.study().training.size())) chosen_ = -1;
  remove_->setVisible(chosen_ >= 0);
  area_->show(bench_.study(), chosen());
  grow_->refresh();
  sets_->refresh();
  findOverlaps();
  // One or the other, so that nothing below moves.
  sets_->opener()->setVisible(chosen_ < 0);
  const auto all = shapes();
  if (chosen_ >= 0 && chosen_ < static_cast<int>(all.size()) && isVisible())
    view_.setEditable(all[static_cast<size_t>(chosen_)].shape);
  else
    view_.setEditable(std::nullopt);
  Q_EMIT overlayChanged();
}

void AreasPanel::chooseFile() {
  const QString file = QFileDialog::getOpenFileName(
      this, txt("Import training areas"), q((bench_.study().folder() / "outlines").string()),
      txt("Vector layers (*.gpkg *.geojson *.json *.shp);;All files (*)"));
  if (!file.isEmpty()) showImport(file);
}

void AreasPanel::showImport(const QString& file) {
  try {
    file_ = file;
    const auto layers = layersOf(file.toStdString());
    layer_->clear();
    for (const auto& [name, n] : layers) layer_->addItem(q(name));
    const int own = layer_->findText("training", Qt::MatchContains);
    if (own >= 0) layer_->setCurrentIndex(own);
    import_->setVisible(true);
    Q_EMIT trouble("");
  } catch (const std::exception& e) {
    Q_EMIT trouble(sentenceOf(e));
  }
}

void AreasPanel::fillFields(const QString& layer) {
  if (layer.isEmpty()) return;
  try {
    const auto columns = readLayer((file_ + ":" + layer).toStdString()).table.columns;
    for (auto* field : {code_, name_, subclass_}) {
      field->clear();
      field->addItem(txt("no field"));
    }
    for (const auto& c : columns) {
      for (auto* field : {code_, name_, subclass_}) field->addItem(q(c));
      const QString low = q(lowered(c));
      if (low == "code") code_->setCurrentText(q(c));
      if (low == "class" || low == "name") name_->setCurrentText(q(c));
      if (low == "subclass") subclass_->setCurrentText(q(c));
    }
    tellFound();
  } catch (const std::exception& e) {
    Q_EMIT trouble(sentenceOf(e));
  }
}

void AreasPanel::importChosen() {
  const TrainingFields fields = chosenFields();
  importFrom(file_ + ":" + layer_->currentText(), q(fields.code), q(fields.name),
             q(fields.subclass));
}

TrainingFields AreasPanel::chosenFields() const {
  const auto of = [](const QComboBox* field) {
    return field->currentIndex() > 0 ? field->currentText().toStdString() : std::string();
  };
  return {of(code_), of(name_), of(subclass_)};
}

/// Which classes the areas are of, and which of those the legend does not have.
void AreasPanel::tellFound() {
  const auto* s = bench_.currentScene();
  if (s == nullptr || layer_->currentText().isEmpty()) return;
  try {
    const Legend& legend = bench_.study().legend;
    const auto areas = readTrainingAreas((file_ + ":" + layer_->currentText()).toStdString(),
                                         chosenFields(), s->scene.grid.crs, legend);
    QStringList fresh;
    qint64 known = 0;
    for (const auto& c : foundClasses(areas, legend)) {
      if (c.known)
        ++known;
      else
        fresh << QString("%1 %2").arg(c.code).arg(q(c.name)).trimmed();
    }
    constexpr qsizetype kTold = 8;
    const qsizetype more = fresh.size() - kTold;
    if (more > 0) fresh = fresh.mid(0, kTold) << txt("%1 more").arg(more);
    QString told = txt("%n areas.", "%n area.", static_cast<qint64>(areas.size()));
    if (known > 0)
      told += " " + txt("%n classes are in the legend.", "%n class is in the legend.", known);
    if (!fresh.isEmpty()) told += " " + txt("New in it: %1.").arg(fresh.join(", "));
    found_->setText(told);
  } catch (const std::exception& e) {
    found_->setText(sentenceOf(e));
  }
}

void AreasPanel::importFrom(const QString& layer, const QString& code, const QString& name,
                            const QString& subclass) {
  const auto* s = bench_.currentScene();
  try {
    const Study& study = bench_.study();
    const std::string crs = study.training.empty() ? s->scene.grid.crs : study.trainingCrs;
    const auto areas = readTrainingAreas(
        layer.toStdString(), {code.toStdString(), name.toStdString(), subclass.toStdString()}, crs,
        study.legend);
    const LabelledPixels labels = labelPixels(areas, s->scene.grid);
    if (labels.pixels == 0)
      return Q_EMIT trouble(
          txt("None of these areas covers a pixel of the scene; choose areas that lie on it."));
    const size_t n = areas.size();
    auto all = study.training;
    all.insert(all.end(), areas.begin(), areas.end());
    bench_.setTraining(
        all, crs,
        txt("Import %n training areas", "Import %n training area", static_cast<qint64>(n)));
    import_->setVisible(false);
    QString told =
        labels.outside > 0
            ? txt("%1 of the %2 areas hold no pixel of this scene.").arg(labels.outside).arg(n)
            : QString();
    if (labels.conflicts > 0)
      told += " " + txt("%n pixels claimed by two classes are left out.",
                        "%n pixel claimed by two classes is left out.",
                        static_cast<qint64>(labels.conflicts));
    Q_EMIT trouble(told.trimmed());
  } catch (const std::exception& e) {
    Q_EMIT trouble(sentenceOf(e));
  }
}

std::vector<ViewShape> AreasPanel::shapes() const {
  std::vector<ViewShape> out;
  const Study& study = bench_.study();
  if (study.training.empty()) return grow_->shapes();
  std::optional<CrsChange> change;
  try {
    change.emplace(study.trainingCrs, view_.crs());
  } catch (const std::exception&) {
    return out;
  }
  for (size_t i = 0; i < study.training.size(); ++i) {
    const auto& a = study.training[i];
    ViewShape s;
    s.shape = a.shape;
    for (auto& ring : s.shape.rings)
      for (auto& p : ring) change->apply(p);
    const auto* c = study.legend.find(a.code);
    s.colour = c != nullptr ? toQt(c->colour) : tokens().second;
    s.filled = true;
    s.line = Qt::white;
    s.chosen = static_cast<int>(i) == chosen_;
    out.push_back(std::move(s));
  }
  if (!overlap_.rings.empty()) {
    ViewShape both;
    both.shape = overlap_;
    both.colour = both.line = tokens().warning;
    both.filled = true;
    both.label = txt("two classes");
    out.push_back(std::move(both));
  }
  for (auto& grown : grow_->shapes()) out.push_back(std::move(grown));
  return out;
}

/// Pixels that areas of two classes hold.
void AreasPanel::findOverlaps() {
  const auto* s = bench_.currentScene();
  const Study& study = bench_.study();
  if (s == nullptr) return;
  const QString of = QString("%1/%2/%3").arg(q(s->id)).arg(s->revision).arg(study.trainingRevision);
  if (of == overlapOf_) return;
  overlapOf_ = of;
  overlap_ = {};
  try {
    if (study.training.empty()) return;
    const Grid& grid = s->scene.grid;
    overlap_ = outlineOf(labelPixels(trainingIn(study, grid.crs), grid).claimedTwice, grid);
    const CrsChange change(grid.crs, view_.crs());
    for (auto& ring : overlap_.rings)
      for (auto& p : ring) change.apply(p);
  } catch (const std::exception&) {
    overlap_ = {};  // said where the areas are used
  }
}

void AreasPanel::add(const Shape& inView, const QString& what) {
  if (!isVisible()) return;
  const Study& study = bench_.study();
  const auto* c = study.legend.find(chosenClass_());
  if (c == nullptr || bench_.viewCrs().empty())
    return Q_EMIT trouble(txt(
        "The scene has no reference system, so areas cannot be placed on it; give it one first."));
  TrainingArea a;
  a.code = c->code;
  a.className = c->name;
  a.shape = inView;
  const std::string crs = study.training.empty() ? view_.crs() : study.trainingCrs;
  const CrsChange change(view_.crs(), crs);
  for (auto& ring : a.shape.rings)
    for (auto& p : ring) change.apply(p);
  auto all = study.training;
  all.push_back(a);
  chosen_ = static_cast<int>(all.size()) - 1;
  bench_.setTraining(all, crs, what.arg(q(c->name)));
}

/// The chosen area has other corners now.
void AreasPanel::edited(const Shape& inView) {
  const Study& study = bench_.study();
  if (!isVisible() || chosen_ < 0 || chosen_ >= static_cast<int>(study.training.size())) return;
  auto all = study.training;
  auto& area = all[static_cast<size_t>(chosen_)];
  area.shape.rings = inView.rings;
  const CrsChange change(view_.crs(), study.trainingCrs);
  for (auto& ring : area.shape.rings)
    for (auto& p : ring) change.apply(p);
  bench_.setTraining(all, study.trainingCrs, txt("Change an area of %1").arg(q(area.className)));
}

std::optional<size_t> AreasPanel::chosen() const {
  if (chosen_ < 0 || chosen_ >= static_cast<int>(bench_.study().training.size())) return {};
  return static_cast<size_t>(chosen_);
}

/// The chosen area is of another class; what part it was of the one before means nothing there.
void AreasPanel::becomes(int code) {
  const auto area = chosen();
  const auto* c = bench_.study().legend.find(code);
  if (!area || c == nullptr) return;
  auto all = bench_.study().training;
  TrainingArea& a = all[*area];
  if (a.code == code) return;
  a.code = code;
  a.className = c->name;
  a.subclass.clear();
  bench_.setTraining(all, bench_.study().trainingCrs, txt("Make an area %1").arg(q(c->name)));
  Q_EMIT picked(code);
}

void AreasPanel::partOf(const QString& subclass) {
  const auto area = chosen();
  if (!area || bench_.study().training[*area].subclass == subclass.toStdString()) return;
  auto all = bench_.study().training;
  all[*area].subclass = subclass.toStdString();
  bench_.setTraining(all, bench_.study().trainingCrs, txt("Subclass of an area"));
}

void AreasPanel::exportTo() {
  const QString file = QFileDialog::getSaveFileName(
      this, txt("Export training areas"), q((bench_.study().folder() / "training.gpkg").string()),
      txt("Vector layers (*.gpkg *.geojson *.shp)"));
  if (file.isEmpty()) return;
  try {
    const Study& study = bench_.study();
    Outputs outputs(true);
    const std::filesystem::path target = file.toStdString();
    writeLayer(outputs.add(target), target, toLayer(study.training, study.trainingCrs),
               {FieldType::Integer, FieldType::Text, FieldType::Text, FieldType::Text});
    outputs.commit();
    Q_EMIT trouble("");
  } catch (const std::exception& e) {
    Q_EMIT trouble(sentenceOf(e));
  }
}

void AreasPanel::pick(Place place) {
  if (!isVisible() || view_.tool() == MapView::Tool::Pick) return;
  const auto all = shapes();
  chosen_ = -1;
  for (size_t i = 0; i < bench_.study().training.size() && i < all.size(); ++i) {
    QPainterPath path;
    for (const auto& ring : all[i].shape.rings) {
      QPolygonF polygon;
      for (const auto& p : ring) polygon << QPointF(p.x, p.y);
      path.addPolygon(polygon);
    }
    if (path.contains(QPointF(place.x, place.y))) chosen_ = static_cast<int>(i);
  }
  if (chosen_ >= 0) Q_EMIT picked(bench_.study().training[static_cast<size_t>(chosen_)].code);
  refresh();
}

void AreasPanel::removeChosen() {
  if (chosen_ < 0) return;
  auto all = bench_.study().training;
  all.erase(all.begin() + chosen_);
  chosen_ = -1;
  bench_.setTraining(all, bench_.study().trainingCrs, txt("Remove a training area"));
}

}  // namespace zp
