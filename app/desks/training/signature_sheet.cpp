#include "desks/training/signature_sheet.h"

#include "base/outputs.h"
#include "desks/training/band_figures.h"
#include "grid/crs.h"

namespace zp {

SignatureSheet::SignatureSheet(Workbench& bench) : bench_(bench), other_(this) {
  setObjectName("signatureSheet");
  setFocusPolicy(Qt::StrongFocus);
  auto* right = new QVBoxLayout;
  right->setSpacing(8);
  right->addLayout(buildEvidence(), 1);
  right->addWidget(hairline());
  right->addLayout(buildScatter(), 1);
  auto* middle = new QHBoxLayout;
  middle->setSpacing(20);
  middle->addLayout(buildClasses());
  middle->addLayout(buildCurves(), 1);
  middle->addLayout(right);
  auto* layout = new QVBoxLayout(this);
  layout->setContentsMargins(20, 12, 20, 12);
  layout->setSpacing(8);
  layout->addLayout(buildHead());
  layout->addLayout(middle, 1);
}

QLayout* SignatureSheet::buildHead() {
  about_ = secondLabel("");
  about_->setObjectName("signaturesAbout");
  trouble_ = secondLabel("");
  trouble_->setObjectName("signaturesTrouble");
  setTone(trouble_, "warning");
  trouble_->hide();
  auto* keep = quietButton(txt("Save signatures…"));
  keep->setObjectName("saveSignatures");
  connect(keep, &QPushButton::clicked, this, &SignatureSheet::save);
  auto* back = quietButton(txt("Back to training"));
  back->setObjectName("leaveSignatures");
  connect(back, &QPushButton::clicked, this, &SignatureSheet::leaveAsked);
  auto* told = new QVBoxLayout;
  told->setSpacing(2);
  told->addWidget(headingLabel(txt("Signatures")));
  told->addWidget(about_);
  told->addWidget(trouble_);
  auto* head = new QHBoxLayout;
  head->setSpacing(8);
  head->addLayout(told, 1);
  head->addWidget(keep, 0, Qt::AlignTop);
  head->addWidget(back, 0, Qt::AlignTop);
  return head;
}

QLayout* SignatureSheet::buildClasses() {
  constexpr int kWide = 300;
  classes_ = plainTable({txt("Class"), txt("pixels"), txt("health")});
  classes_->setObjectName("sheetClasses");
  classes_->setAccessibleName(txt("Classes with training"));
  classes_->setFixedWidth(kWide);
  areasTitle_ = sectionLabel("");
  areas_ = new AreaTable(bench_);
  areas_->setFixedWidth(kWide);
  connect(classes_, &QTableWidget::itemSelectionChanged, this, &SignatureSheet::showClass);
  connect(areas_, &AreaTable::areaChosen, this, &SignatureSheet::showArea);
  auto* column = new QVBoxLayout;
  column->setSpacing(6);
  column->addWidget(classes_);
  column->addWidget(areasTitle_);
  column->addWidget(areas_, 1);
  return column;
}

QLayout* SignatureSheet::buildCurves() {
  curves_ = new SignatureChart;
  curves_->setObjectName("sheetCurves");
  others_ = new LongChoice;
  others_->setObjectName("compareSignatures");
  others_->setToolTip(txt("Signatures of a set of areas, or of a file, laid over these"));
  connect(others_, &QComboBox::activated, this, &SignatureSheet::compareWith);
  otherSaid_ = secondLabel("");
  otherSaid_->setObjectName("comparedSaid");
  histograms_ = new HistogramStack;
  auto* column = new QVBoxLayout;
  column->setSpacing(6);
  column->addWidget(curves_, 4);
  column->addWidget(fieldRow(txt("Compare with"), {others_}));
  column->addWidget(otherSaid_);
  column->addWidget(sectionLabel(txt("Histograms, within three spreads")));
  column->addWidget(histograms_, 6);
  return column;
}

QLayout* SignatureSheet::buildEvidence() {
  auto* chips = new QHBoxLayout;
  chips->setSpacing(6);
  auto* group = new QButtonGroup(this);
  const std::array<std::pair<const char*, QString>, 3> all{{{"showCorrelation", txt("Correlation")},
                                                            {"showCovariance", txt("Covariance")},
                                                            {"showFigures", txt("Figures")}}};
  for (size_t i = 0; i < all.size(); ++i) {
    kinds_[i] = chip(all[i].second);
    kinds_[i]->setObjectName(all[i].first);
    group->addButton(kinds_[i]);
    chips->addWidget(kinds_[i]);
    connect(kinds_[i], &QPushButton::clicked, this, &SignatureSheet::showEvidence);
  }
  kinds_[Correlation]->setChecked(true);
  chips->addStretch();
  grid_ = new TintedGrid;
  grid_->setAccessibleName(txt("How the features of the class go together"));
  figures_ = plainTable({txt("Band"), txt("mean"), txt("spread"), txt("lowest"), txt("highest")});
  figures_->setObjectName("sheetFigures");
  figures_->setSelectionMode(QAbstractItemView::NoSelection);
  evidence_ = new QStackedWidget;
  evidence_->addWidget(grid_);
  evidence_->addWidget(figures_);
  evidenceSaid_ = secondLabel("");
  evidenceSaid_->setObjectName("evidenceSaid");
  auto* column = new QVBoxLayout;
  column->setSpacing(6);
  column->addLayout(chips);
  column->addWidget(evidence_, 1);
  column->addWidget(evidenceSaid_);
  return column;
}

QLayout* SignatureSheet::buildScatter() {
  constexpr int kHalf = 276;
  x_ = new QComboBox;
  x_->setObjectName("scatterX");
  y_ = new QComboBox;
  y_->setObjectName("scatterY");
  for (auto* choice : {x_, y_})
    connect(choice, &QComboBox::activated, this, &SignatureSheet::showScatter);
  scatter_ = new FeatureScatter;
  scatter_->setFixedWidth(kHalf);
  connect(scatter_, &FeatureScatter::brushed, this, &SignatureSheet::brush);
  tiles_ = std::make_unique<TileStore>(1);
  view_ = new MapView(*tiles_);
  view_->setObjectName("sheetView");
  view_->setAccessibleName(txt("Where the chosen pixels lie"));
  view_->setFixedWidth(kHalf);
  view_->setBare(true);
  view_->setFocusPolicy(Qt::NoFocus);
  brushed_ = secondLabel("");
  brushed_->setObjectName("brushedSaid");
  auto* choices = new QHBoxLayout;
  choices->addWidget(fieldRow(txt("Across"), {x_}, 56));
  choices->addWidget(fieldRow(txt("Up"), {y_}, 36));
  choices->addStretch();
  auto* row = new QHBoxLayout;
  row->setSpacing(8);
  row->addWidget(scatter_);
  row->addWidget(view_);
  auto* column = new QVBoxLayout;
  column->setSpacing(6);
  column->addLayout(choices);
  column->addLayout(row, 1);
  column->addWidget(brushed_);
  return column;
}

void SignatureSheet::say(const QString& sentence) {
  trouble_->setText(sentence);
  trouble_->setVisible(!sentence.isEmpty());
}

void SignatureSheet::forget() {
  training_ = nullptr;
  other_.stop();
  otherSet_.reset();
  otherName_.clear();
  say("");
}

void SignatureSheet::setTraining(const Training* training) {
  training_ = training;
  if (isVisible()) refresh();
}

void SignatureSheet::open(int code) {
  say("");
  view_->setCrs(bench_.viewCrs());
  refresh();
  for (int r = 0; r < classes_->rowCount(); ++r)
    if (classes_->item(r, 0)->data(Qt::UserRole).toInt() == code) classes_->selectRow(r);
  view_->fit();
  classes_->setFocus();
}

int SignatureSheet::chosen() const {
  const auto* item = classes_->item(classes_->currentRow(), 0);
  return item == nullptr ? 0 : item->data(Qt::UserRole).toInt();
}

void SignatureSheet::refresh() {
  if (!bench_.hasStudy()) return;
  const auto* scene = bench_.currentScene();
  if (scene == nullptr || bench_.study().training.empty()) return Q_EMIT leaveAsked();
  view_->setFront(bench_.pictureOf(q(scene->id)));
  about_->setText(
      training_ == nullptr
          ? txt("Reading the training pixels…")
          : txt("%n classes over the bands of %1. Choose a class, then one of its areas "
                "to see it against the others.",
                "%n class over the bands of %1.",
                static_cast<qint64>(training_->set.classes.size()))
                .arg(nameWithDate(scene->scene)));
  fillOthers();
  fillFeatures();
  fillClasses();
  showClass();
}

void SignatureSheet::fillClasses() {
  const QSignalBlocker quiet(classes_);
  const int before = chosen();
  const size_t count = training_ == nullptr ? 0 : training_->set.classes.size();
  classes_->setRowCount(static_cast<int>(count));
  for (size_t i = 0; i < count; ++i) {
    const auto& c = training_->set.classes[i];
    const int r = static_cast<int>(i);
    const auto& h = training_->health[i];
    auto* word = new QTableWidgetItem(txt(wordOf(h.word)));
    word->setToolTip(sentenceOf(h.reason));
    word->setForeground(h.word == Health::Good ? tokens().second : tokens().warning);
    classes_->setItem(r, 0, classItem(bench_.study(), c.code, c.name));
    classes_->setItem(r, 1, figureItem(grouped(c.pixels)));
    classes_->setItem(r, 2, word);
    if (c.code == before || (r == 0 && classes_->currentRow() < 0)) classes_->selectRow(r);
  }
  fitHeight(classes_);
}

/// Those of today's bands that were chosen stay so.
void SignatureSheet::fillFeatures() {
  if (training_ == nullptr) return;
  const auto& bands = training_->set.bands;
  const auto placeOf = [&](const char* role, int otherwise) {
    const auto at = std::find(bands.begin(), bands.end(), role);
    return at == bands.end() ? otherwise : static_cast<int>(at - bands.begin());
  };
  int usual = placeOf("red", 0);
  for (auto* choice : {x_, y_}) {
    const QString before = choice->currentText();
    choice->clear();
    for (const auto& b : bands) choice->addItem(q(b));
    const int kept = choice->findText(before);
    choice->setCurrentIndex(kept >= 0 ? kept : std::clamp(usual, 0, choice->count() - 1));
    usual = placeOf("nir", choice->count() - 1);
  }
}

void SignatureSheet::showClass() {
  const auto* c = training_ == nullptr ? nullptr : training_->signature(chosen());
  areasTitle_->setText(c == nullptr ? QString()
                                    : txt("Areas of %1, odd ones first").arg(q(c->name)));
  if (c != nullptr) areas_->show(c->code, training_->areas);
  showArea();
  showEvidence();
  showScatter();
}

/// The chosen area over its class, and in the view.
void SignatureSheet::showArea() {
  showCurves();
  showHistograms();
  tellOther();
  if (const auto area = areas_->chosen())
    lookAt(*area);
  else
    view_->setShapes({});
}

void SignatureSheet::showCurves() {
  const auto* scene = bench_.currentScene();
  if (training_ == nullptr || scene == nullptr) {
    curves_->clearPlottables();
    return curves_->replot();
  }
  bool known = false;
  const auto along = alongBands(scene->scene, known);
  curves_->show(training_->set, along, bench_.study().legend, chosen(), known ? "nm" : "");
  if (otherSet_ && otherSet_->bands == training_->set.bands)
    for (const auto& c : otherSet_->classes)
      if (c.code == chosen()) curves_->lay(c.mean, tokens().text, Qt::DashLine);
  for (const auto& f : training_->areas)
    if (areas_->chosen() == f.area && f.code == chosen())
      curves_->lay(f.mean, tokens().text, Qt::SolidLine);
}

void SignatureSheet::showHistograms() {
  std::vector<HistogramStack::Row> rows;
  constexpr size_t kBars = 24;
  QColor colour = tokens().second;
  for (size_t i = 0; training_ != nullptr && i < training_->set.classes.size(); ++i) {
    const Signature& c = training_->set.classes[i];
    if (c.code != chosen()) continue;
    if (const auto* known = bench_.study().legend.find(c.code)) colour = toQt(known->colour);
    const Eigen::VectorXd sd = c.sd();
    const auto& peaks = training_->health[i].peaks;
    for (size_t f = 0; f < training_->set.bands.size(); ++f) {
      const auto k = static_cast<Eigen::Index>(f);
      HistogramStack::Row row{
          q(training_->set.bands[f]),     training_->shapes[i][f],       {}, false,
          compact(c.mean[k] - 3 * sd[k]), compact(c.mean[k] + 3 * sd[k])};
      row.peaks = std::find(peaks.begin(), peaks.end(), training_->set.bands[f]) != peaks.end();
      if (const auto area = areas_->chosen())
        row.over = shapeOf(*training_->samples, c, f, kBars, area);
      rows.push_back(std::move(row));
    }
  }
  histograms_->show(std::move(rows), colour);
}

void SignatureSheet::lookAt(size_t area) {
  const Study& study = bench_.study();
  if (area >= study.training.size()) return;
  try {
    ViewShape s;
    s.shape = study.training[area].shape;
    const CrsChange change(study.trainingCrs, view_->crs());
    for (auto& ring : s.shape.rings)
      for (auto& p : ring) change.apply(p);
    for (auto& p : s.shape.points) change.apply(p);
    s.colour = tokens().accent;
    s.width = 2.2;
    Extent e = s.shape.extent();
    const double around = 1.5 * std::max({e.right - e.left, e.top - e.bottom, 1e-9});
    view_->zoomTo({e.left - around, e.bottom - around, e.right + around, e.top + around});
    view_->setShapes({s});
  } catch (const std::exception& e) {
    say(sentenceOf(e));
  }
}

void SignatureSheet::showEvidence() {
  const auto* c = training_ == nullptr ? nullptr : training_->signature(chosen());
  const bool figures = kinds_[Figures]->isChecked(), covariance = kinds_[Covariance]->isChecked();
  evidence_->setCurrentIndex(figures ? 1 : 0);
  evidenceSaid_->setText(
      figures ? txt("In the values of the bands, over the training pixels of the class.")
      : covariance
          ? txt("The diagonal holds variances: how wide the class is in each band. It says "
                "nothing about peaks; for those look at the histograms.")
          : txt("Near 1 or −1, two bands tell the same of this class. The diagonal is 1 and "
                "says nothing, neither of spread nor of peaks."));
  if (c == nullptr) return grid_->show({}, {}, {}, 2);
  QStringList names;
  for (const auto& b : training_->set.bands) names << q(b);
  const Eigen::VectorXd sd = c->sd();
  const Eigen::MatrixXd both = sd * sd.transpose();
  const Eigen::MatrixXd correlation =
      (both.array() > 0)
          .select(c->covariance.cwiseQuotient(both),
                  Eigen::MatrixXd::Constant(both.rows(), both.cols(), NAN));
  if (covariance)
    grid_->show(names, c->covariance,
                Eigen::MatrixXd::Constant(both.rows(), both.cols(), both.maxCoeff()), 0);
  else
    grid_->show(names, correlation, Eigen::MatrixXd::Ones(both.rows(), both.cols()), 2);
  fillBandFigures(figures_, training_->set.bands, *c);
}

void SignatureSheet::showScatter() {
  brushed_->setText(
      txt("Draw a rectangle over the dots, and the view shows where their pixels lie."));
  if (!areas_->chosen()) view_->setShapes({});
  if (training_ == nullptr || x_->currentIndex() < 0 || y_->currentIndex() < 0) {
    scatter_->clearPlottables();
    return scatter_->replot();
  }
  scatter_->show(*training_->samples, training_->set, bench_.study().legend,
                 static_cast<size_t>(x_->currentIndex()), static_cast<size_t>(y_->currentIndex()),
                 chosen());
}

/// Pixels whose values lie in the rectangle, in the view and counted by class.
void SignatureSheet::brush(const QRectF& values) {
  constexpr size_t kDots = 4000;
  const auto* scene = bench_.currentScene();
  if (training_ == nullptr || scene == nullptr) return;
  if (values.isEmpty()) return showScatter();
  const Samples& samples = *training_->samples;
  std::map<int, size_t> counts;
  std::vector<size_t> which;
  for (size_t i = 0; i < samples.size(); ++i) {
    const float* v = samples.sample(i);
    const QPointF at(static_cast<double>(v[x_->currentIndex()]),
                     static_cast<double>(v[y_->currentIndex()]));
    if (!values.contains(at)) continue;
    which.push_back(i);
    ++counts[samples.codes[i]];
  }
  std::map<int, ViewShape> pixels;  // of each class, as small squares
  const Grid& grid = scene->scene.grid;
  const bool both = !grid.crs.empty() && !view_->crs().empty();
  const CrsChange change(both ? grid.crs : "", both ? view_->crs() : "");
  for (size_t k = 0; k < which.size(); k += which.size() / kDots + 1) {
    const auto& [column, row] = samples.pixels[which[k]];
    Ring ring;
    for (const auto& [x, y] : {std::pair{0, 0}, {1, 0}, {1, 1}, {0, 1}}) {
      ring.push_back(grid.toMap(column + x, row + y));
      change.apply(ring.back());
    }
    auto& shape = pixels[samples.codes[which[k]]];
    shape.shape.rings.push_back(ring);
    shape.filled = true;
    shape.width = 2;
  }
  std::vector<ViewShape> shapes;
  for (auto& [code, shape] : pixels) {
    const auto* c = bench_.study().legend.find(code);
    shape.colour = shape.line = c == nullptr ? tokens().accent : toQt(c->colour);
    shapes.push_back(std::move(shape));
  }
  if (!shapes.empty()) view_->fit();
  view_->setShapes(std::move(shapes));
  QStringList told;
  for (const auto& [code, n] : counts)
    if (const auto* c = training_->signature(code))
      told << QString("%1 %2").arg(q(c->name), grouped(n));
  brushed_->setText(
      txt("%1 pixels: %2", "%1 pixel: %2", static_cast<qint64>(which.size()))
          .arg(grouped(which.size()), told.isEmpty() ? QString("–") : told.join(", ")));
}

void SignatureSheet::fillOthers() {
  const QSignalBlocker quiet(others_);
  others_->clear();
  others_->addItem(txt("nothing"), 0);
  for (const auto& set : bench_.study().trainingSets)
    others_->addItem(txt("the set %1").arg(q(set.name)), q(set.name));
  others_->addItem(txt("a file of signatures…"), 1);
  const int kept = others_->findData(otherName_);
  if (otherSet_ && kept < 0) others_->insertItem(1, otherName_, otherName_);
  others_->setCurrentIndex(otherSet_ ? std::max(0, others_->findData(otherName_)) : 0);
}

void SignatureSheet::compareWith(int index) {
  const QVariant what = others_->itemData(index);
  other_.stop();
  if (what.typeId() == QMetaType::Int && what.toInt() == 1) return loadOther();
  if (what.typeId() == QMetaType::Int) {
    otherSet_.reset();
    return showArea();
  }
  const auto* scene = bench_.currentScene();
  Study study = bench_.study();
  for (const auto& set : bench_.study().trainingSets) {
    if (q(set.name) != what.toString() || scene == nullptr) continue;
    study.setTraining(set.areas, set.crs);
    other_.ask(
        [study, scene = scene->scene](const Progress& progress) {
          return studySignatures(study, scene, {}, progress);
        },
        [this, name = what.toString()](const SignatureSet& found) { compared(name, found); },
        [this](const QString& sentence) { say(sentence); });
    return;
  }
}

void SignatureSheet::loadOther() {
  const QString file =
      QFileDialog::getOpenFileName(this, txt("Signatures"), q(bench_.study().folder().string()),
                                   txt("Signatures (*.json);;All files (*)"));
  if (file.isEmpty()) return fillOthers();
  try {
    const SignatureSet read = signaturesFrom(readJson(file.toStdString()));
    if (training_ != nullptr && read.bands != training_->set.bands)
      throw Error(
          "These signatures are of other bands than those of the scene; choose a scene that "
          "has them.");
    compared(QFileInfo(file).fileName(), read);
  } catch (const std::exception& e) {
    say(sentenceOf(e));
    fillOthers();
  }
}

void SignatureSheet::compared(const QString& name, const SignatureSet& set) {
  say("");
  otherSet_ = set;
  otherName_ = name;
  fillOthers();
  showArea();
}

/// How far the chosen class lies from what it is compared with.
void SignatureSheet::tellOther() {
  otherSaid_->clear();
  const auto* c = training_ == nullptr ? nullptr : training_->signature(chosen());
  otherSaid_->setVisible(otherSet_ && c != nullptr);
  if (!otherSet_ || c == nullptr) return;
  for (const auto& o : otherSet_->classes) {
    if (o.code != c->code) continue;
    const double distance = jeffriesMatusita(*c, o);
    return otherSaid_->setText(
        txt("Dashed: %1, %2 pixels there, %3 here. Jeffries–Matusita distance %4 of 2.")
            .arg(otherName_, grouped(o.pixels), grouped(c->pixels),
                 std::isnan(distance) ? QString("–") : decimal(distance, 2)));
  }
  otherSaid_->setText(txt("%1 has no training pixels of this class.").arg(otherName_));
}

void SignatureSheet::save() {
  if (training_ == nullptr) return say(txt("The training pixels are still being read."));
  const QString file = QFileDialog::getSaveFileName(
      this, txt("Save the signatures"), q((bench_.study().folder() / "signatures.json").string()),
      txt("Signatures (*.json)"));
  if (file.isEmpty()) return;
  try {
    Outputs outputs(true);
    writeJson(outputs.add(file.toStdString()), toJson(training_->set));
    outputs.commit();
    say("");
  } catch (const std::exception& e) {
    say(sentenceOf(e));
  }
}

void SignatureSheet::keyPressEvent(QKeyEvent* e) {
  if (e->key() == Qt::Key_Escape) return Q_EMIT leaveAsked();
  QWidget::keyPressEvent(e);
}

}  // namespace zp
