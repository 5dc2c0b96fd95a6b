#include "desks/training/training_desk.h"

#include <map>

#include "base/text.h"

namespace zp {

TrainingDesk::TrainingDesk(Workbench& bench, MapView& view)
    : Desk(bench, view, txt("Training")), signatureJob_(this) {
  draw_ = chip(txt("Draw area"));
  draw_->setObjectName("drawArea");
  draw_->setIcon(icon("area"));
  import_ = chip(txt("Import…"), false);
  import_->setObjectName("importTraining");
  import_->setIcon(icon("import"));
  add_ = chip(txt("New class"), false);
  add_->setObjectName("newClass");
  add_->setIcon(icon("plus"));
  body()->addWidget(wrapping({draw_, import_, add_}));
  importBox_ = new QWidget;
  auto* box = new QVBoxLayout(importBox_);
  box->setContentsMargins(0, 4, 0, 4);
  box->setSpacing(6);
  layerField_ = new QComboBox;
  layerField_->setObjectName("importLayer");
  codeField_ = new QComboBox;
  codeField_->setObjectName("importCode");
  nameField_ = new QComboBox;
  nameField_->setObjectName("importName");
  box->addLayout(labelledRow(txt("Layer"), layerField_));
  box->addLayout(labelledRow(txt("Class code in"), codeField_));
  box->addLayout(labelledRow(txt("Class name in"), nameField_));
  auto* go = quietButton(txt("Import these areas"));
  go->setObjectName("importGo");
  auto* stop = linkButton(txt("Not now"));
  box->addWidget(wrapping({go, stop}));
  importBox_->setVisible(false);
  body()->addWidget(importBox_);

  classes_ = plainTable({txt("Class"), txt("areas"), txt("pixels")});
  classes_->setObjectName("classTable");
  classes_->setAccessibleName(txt("Classes of the legend"));
  body()->addWidget(classes_);
  edit_ = linkButton(txt("Name and colour…"));
  edit_->setObjectName("editClass");
  drop_ = linkButton(txt("Remove class"));
  drop_->setObjectName("removeClass");
  drop_->setToolTip(
      txt("Takes the class out of the legend, with its training areas (Ctrl Z brings "
          "them back)"));
  remove_ = linkButton(txt("Remove chosen area"));
  remove_->setObjectName("removeArea");
  body()->addWidget(wrapping({edit_, drop_, remove_}));
  classEdit_ = new ClassEdit;
  body()->addWidget(classEdit_);
  connect(classEdit_, &ClassEdit::kept, this, &TrainingDesk::keepClass);
  chartTitle_ = sectionLabel(txt("Signatures"));
  body()->addWidget(chartTitle_);
  chart_ = new SignatureChart;
  body()->addWidget(chart_);
  bandTitle_ = sectionLabel("");
  body()->addWidget(bandTitle_);
  bandTable_ = plainTable({txt("Band"), txt("mean"), txt("spread"), txt("lowest"), txt("highest")});
  bandTable_->setObjectName("bandStatistics");
  bandTable_->setSelectionMode(QAbstractItemView::NoSelection);
  body()->addWidget(bandTable_);
  body()->addStretch();
  primary_->setText(txt("Go on to mapping"));
  connect(primary_, &QPushButton::clicked, this, [this] { Q_EMIT stageAsked(3); });

  connect(draw_, &QPushButton::toggled, this, [this](bool on) {
    if (on && chosenClass() == 0) {
      draw_->setChecked(false);
      return say(txt("Choose the class to draw first, or make a new one."));
    }
    say("");
    view_.setTool(on ? MapView::Tool::DrawArea : MapView::Tool::Look);
  });
  connect(&view_, &MapView::toolChanged, this,
          [this] { draw_->setChecked(isVisible() && view_.tool() == MapView::Tool::DrawArea); });
  connect(&view_, &MapView::areaDrawn, this, &TrainingDesk::drawn);
  connect(&view_, &MapView::clicked, this, &TrainingDesk::pick);
  connect(add_, &QPushButton::clicked, this, &TrainingDesk::addClass);
  connect(remove_, &QPushButton::clicked, this, &TrainingDesk::removeChosen);
  connect(drop_, &QPushButton::clicked, this, [this] { bench_.removeClass(chosenClass()); });
  connect(edit_, &QPushButton::clicked, this, [this] { editClass(classes_->currentRow()); });
  connect(classes_, &QTableWidget::cellDoubleClicked, this, [this](int r, int) { editClass(r); });
  connect(classes_, &QTableWidget::itemSelectionChanged, this, [this] {
    if (!filling_) fillBands();
  });
  connect(import_, &QPushButton::clicked, this, [this] {
    const QString file = QFileDialog::getOpenFileName(
        this, txt("Import training areas"), q((bench_.study().folder() / "outlines").string()),
        txt("Vector layers (*.gpkg *.geojson *.json *.shp);;All files (*)"));
    if (!file.isEmpty()) showImport(file);
  });
  connect(stop, &QPushButton::clicked, importBox_, &QWidget::hide);
  connect(layerField_, &QComboBox::currentTextChanged, this, [this](const QString& layer) {
    if (layer.isEmpty()) return;
    try {
      const auto columns = readLayer((importFile_ + ":" + layer).toStdString()).table.columns;
      codeField_->clear();
      nameField_->clear();
      nameField_->addItem(txt("no field"));
      for (const auto& c : columns) {
        codeField_->addItem(q(c));
        nameField_->addItem(q(c));
        const QString low = q(lowered(c));
        if (low == "code") codeField_->setCurrentText(q(c));
        if (low == "class" || low == "name") nameField_->setCurrentText(q(c));
      }
    } catch (const std::exception& e) {
      say(sentenceOf(e));
    }
  });
  connect(go, &QPushButton::clicked, this, [this] {
    const QString name = nameField_->currentIndex() > 0 ? nameField_->currentText() : QString();
    QString subclass;
    for (int i = 0; i < codeField_->count(); ++i)
      if (codeField_->itemText(i).toLower() == "subclass") subclass = codeField_->itemText(i);
    importFrom(importFile_ + ":" + layerField_->currentText(), codeField_->currentText(), name,
               subclass);
  });
}

void TrainingDesk::leave() {
  view_.setTool(MapView::Tool::Look);
}

void TrainingDesk::forget() {
  signatureJob_.stop();
  signatures_.reset();
  signaturesOf_.clear();
  chosenArea_ = -1;
  importBox_->setVisible(false);
  classEdit_->hide();
}

void TrainingDesk::showImport(const QString& file) {
  try {
    importFile_ = file;
    const auto layers = layersOf(file.toStdString());
    layerField_->clear();
    for (const auto& [name, n] : layers) layerField_->addItem(q(name));
    const int own = layerField_->findText("training", Qt::MatchContains);
    if (own >= 0) layerField_->setCurrentIndex(own);
    importBox_->setVisible(true);
    say("");
  } catch (const std::exception& e) {
    say(sentenceOf(e));
  }
}

void TrainingDesk::importFrom(const QString& layer, const QString& code, const QString& name,
                              const QString& subclass) {
  const auto* s = bench_.currentScene();
  try {
    const std::string crs =
        bench_.study().training.empty() ? s->scene.grid.crs : bench_.study().trainingCrs;
    auto areas = readTrainingAreas(
        layer.toStdString(), {code.toStdString(), name.toStdString(), subclass.toStdString()}, crs);
    const LabelledPixels labels = labelPixels(areas, s->scene.grid);
    if (labels.pixels == 0)
      return say(
          txt("None of these areas covers a pixel of the scene; choose areas that lie on it."));
    const size_t n = areas.size();
    auto all = bench_.study().training;
    all.insert(all.end(), areas.begin(), areas.end());
    bench_.setTraining(
        all, crs,
        txt("Import %n training areas", "Import %n training area", static_cast<qint64>(n)));
    importBox_->setVisible(false);
    QString told =
        labels.outside > 0
            ? txt("%1 of the %2 areas hold no pixel of this scene.").arg(labels.outside).arg(n)
            : QString();
    if (labels.conflicts > 0)
      told += " " + txt("%n pixels claimed by two classes are left out.",
                        "%n pixel claimed by two classes is left out.",
                        static_cast<qint64>(labels.conflicts));
    say(told.trimmed());
  } catch (const std::exception& e) {
    say(sentenceOf(e));
  }
}

void TrainingDesk::refresh() {
  const auto* s = bench_.currentScene();
  if (s == nullptr)
    return setMissing(txt("Training areas are drawn on a scene. Bring one in first."),
                      txt("Go to scenes"), 0);
  setReady();
  showSceneSelector();
  const Study& study = bench_.study();
  if (chosenArea_ >= static_cast<int>(study.training.size())) chosenArea_ = -1;
  const size_t n = study.training.size();
  setHeading(
      txt("Training"),
      n == 0 ? txt("Draw areas of known cover, or import polygons with a code and a name field. "
                   "Every class needs a few.")
             : txt("%n areas.", "%n area.", static_cast<qint64>(n)));
  fillClasses();
  computeSignatures();
  remove_->setEnabled(chosenArea_ >= 0);
  primary_->setEnabled(n > 0);
  chartTitle_->setVisible(n > 0);
  chart_->setVisible(n > 0);
  bandTable_->setVisible(n > 0);
  bandTitle_->setVisible(n > 0);
  Q_EMIT shapesChanged();
}

int TrainingDesk::chosenClass() const {
  const auto* item = classes_->item(classes_->currentRow(), 0);
  return item == nullptr ? 0 : item->data(Qt::UserRole).toInt();
}

void TrainingDesk::fillClasses() {
  filling_ = true;
  const int before = chosenClass();
  const Study& study = bench_.study();
  std::map<int, int> areas;
  for (const auto& a : study.training) ++areas[a.code];
  classes_->setRowCount(static_cast<int>(study.legend.classes.size()));
  for (int r = 0; r < classes_->rowCount(); ++r) {
    const auto& c = study.legend.classes[static_cast<size_t>(r)];
    auto* name = new QTableWidgetItem(swatch(toQt(c.colour)), q(c.name));
    name->setData(Qt::UserRole, c.code);
    name->setToolTip(txt("Code %1. %2").arg(c.code).arg(q(c.description)));
    classes_->setItem(r, 0, name);
    classes_->setItem(r, 1, figureItem(areas[c.code] > 0 ? QString::number(areas[c.code]) : "–"));
    QString pixels = "–";
    if (signatures_)
      for (const auto& s : signatures_->classes)
        if (s.code == c.code) pixels = grouped(s.pixels);
    classes_->setItem(r, 2, figureItem(pixels));
    if (c.code == before || (before == 0 && r == 0)) classes_->selectRow(r);
  }
  edit_->setEnabled(classes_->rowCount() > 0);
  drop_->setEnabled(classes_->rowCount() > 0);
  fitHeight(classes_);
  filling_ = false;
}

void TrainingDesk::computeSignatures() {
  const auto* s = bench_.currentScene();
  const Study& study = bench_.study();
  const QString tag =
      QString("%1/%2/%3").arg(q(s->id)).arg(s->revision).arg(study.trainingRevision);
  if (tag == signaturesOf_) return fillBands();
  signaturesOf_ = tag;
  signatures_.reset();
  if (study.training.empty()) return fillBands();
  signatureJob_.ask(
      [study, scene = s->scene](const Progress& progress) {
        return studySignatures(study, scene, {}, progress);
      },
      [this](const SignatureSet& set) {
        signatures_ = set;
        if (set.conflicts > 0)
          say(txt("%n pixels claimed by two classes are left out.",
                  "%n pixel claimed by two classes is left out.",
                  static_cast<qint64>(set.conflicts)));
        fillClasses();
        fillBands();
      },
      [this](const QString& sentence) { say(sentence); });
}

void TrainingDesk::fillBands() {
  const auto* s = bench_.currentScene();
  const int code = chosenClass();
  bandTable_->setRowCount(0);
  bandTitle_->clear();
  if (!signatures_ || s == nullptr) {
    chart_->clearPlottables();
    chart_->replot();
    return fitHeight(bandTable_);
  }
  std::vector<double> wavelengths;
  bool known = true;
  for (const auto& b : s->scene.bands)
    wavelengths.push_back(b.wavelength), known = known && b.wavelength > 0;
  if (!known)
    for (size_t i = 0; i < wavelengths.size(); ++i) wavelengths[i] = static_cast<double>(i + 1);
  chartTitle_->setText(txt("Signatures: %1").arg(txt(titleOf(s->scene.state))));
  chart_->show(*signatures_, wavelengths, bench_.study().legend, code, known ? "nm" : "");
  for (const auto& c : signatures_->classes) {
    if (c.code != code) continue;
    bandTitle_->setText(txt("%1: %2 pixels", "%1: %2 pixel", static_cast<qint64>(c.pixels))
                            .arg(q(c.name), grouped(c.pixels)));
    bandTable_->setRowCount(static_cast<int>(signatures_->bands.size()));
    const Eigen::VectorXd sd = c.sd();
    for (int b = 0; b < bandTable_->rowCount(); ++b) {
      bandTable_->setItem(b, 0,
                          new QTableWidgetItem(q(signatures_->bands[static_cast<size_t>(b)])));
      const double values[] = {c.mean[b], sd[b], c.min[b], c.max[b]};
      for (int k = 0; k < 4; ++k)
        bandTable_->setItem(
            b, k + 1,
            figureItem(std::abs(values[k]) < 10 ? decimal(values[k], 4) : compact(values[k])));
    }
  }
  if (bandTitle_->text().isEmpty() && code != 0)
    bandTitle_->setText(txt("No training pixels of this class yet."));
  fitHeight(bandTable_);
}

std::vector<ViewShape> TrainingDesk::shapes() const {
  std::vector<ViewShape> out;
  const Study& study = bench_.study();
  std::optional<CrsChange> change;
  try {
    change.emplace(study.training.empty() ? "" : study.trainingCrs,
                   study.training.empty() ? "" : view_.crs());
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
    s.chosen = static_cast<int>(i) == chosenArea_;
    out.push_back(std::move(s));
  }
  return out;
}

void TrainingDesk::drawn(const Ring& ring) {
  if (!isVisible()) return;
  const auto* c = bench_.study().legend.find(chosenClass());
  if (c == nullptr || bench_.viewCrs().empty())
    return say(txt(
        "The scene has no reference system, so areas cannot be placed on it; give it one first."));
  TrainingArea a;
  a.code = c->code;
  a.className = c->name;
  a.shape.rings = {ring};
  const std::string crs =
      bench_.study().training.empty() ? view_.crs() : bench_.study().trainingCrs;
  const CrsChange change(view_.crs(), crs);
  for (auto& p : a.shape.rings[0]) change.apply(p);
  auto all = bench_.study().training;
  all.push_back(a);
  chosenArea_ = static_cast<int>(all.size()) - 1;
  bench_.setTraining(all, crs, txt("Draw an area of %1").arg(q(c->name)));
}

void TrainingDesk::pick(Place place) {
  if (!isVisible()) return;
  const auto all = shapes();
  chosenArea_ = -1;
  for (size_t i = 0; i < all.size(); ++i) {
    QPainterPath path;
    for (const auto& ring : all[i].shape.rings) {
      QPolygonF polygon;
      for (const auto& p : ring) polygon << QPointF(p.x, p.y);
      path.addPolygon(polygon);
    }
    if (path.contains(QPointF(place.x, place.y))) chosenArea_ = static_cast<int>(i);
  }
  if (chosenArea_ >= 0) {
    const int code = bench_.study().training[static_cast<size_t>(chosenArea_)].code;
    for (int r = 0; r < classes_->rowCount(); ++r)
      if (classes_->item(r, 0)->data(Qt::UserRole).toInt() == code) classes_->selectRow(r);
  }
  remove_->setEnabled(chosenArea_ >= 0);
  Q_EMIT shapesChanged();
}

void TrainingDesk::removeChosen() {
  if (chosenArea_ < 0) return;
  auto all = bench_.study().training;
  all.erase(all.begin() + chosenArea_);
  chosenArea_ = -1;
  bench_.setTraining(all, bench_.study().trainingCrs, txt("Remove a training area"));
}

void TrainingDesk::keyPressEvent(QKeyEvent* e) {
  if (e->key() == Qt::Key_Delete) return removeChosen();
  Desk::keyPressEvent(e);
}

void TrainingDesk::addClass() {
  Legend legend = bench_.study().legend;
  LegendClass c;
  c.code = legend.firstFreeCode();
  c.name = txt("Class %1").arg(c.code).toStdString();
  c.colour = suggestedColour(static_cast<size_t>(c.code - 1));
  const int code = c.code;
  legend.add(c);
  bench_.setLegend(legend, txt("New class"));
  for (int r = 0; r < classes_->rowCount(); ++r)
    if (classes_->item(r, 0)->data(Qt::UserRole).toInt() == code) classes_->selectRow(r);
  editClass(classes_->currentRow());
}

void TrainingDesk::editClass(int row) {
  const auto* item = classes_->item(row, 0);
  if (item == nullptr) return;
  if (const auto* c = bench_.study().legend.find(item->data(Qt::UserRole).toInt()))
    classEdit_->open(*c);
}

void TrainingDesk::keepClass(const LegendClass& changed) {
  Legend legend = bench_.study().legend;
  LegendClass* c = legend.find(changed.code);
  if (c == nullptr) return;
  *c = changed;
  bench_.setLegend(legend, txt("Change a class"));
}

}  // namespace zp
