#include "desks/training/signature_sheet.h"

#include "base/outputs.h"
#include "desks/feature_title.h"
#include "desks/training/band_figures.h"
#include "grid/crs.h"
#include "mapping/standard.h"
#include "scene/band_axis.h"

namespace zp {

SignatureSheet::SignatureSheet(Workbench& bench, std::function<Json()> mapFeatures)
    : bench_(bench), mapFeatures_(std::move(mapFeatures)), job_(this) {
  setObjectName("signatureSheet");
  setFocusPolicy(Qt::StrongFocus);
  setAccessibleName(txt("Signatures"));
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
  over_ = new LongChoice;
  over_->setObjectName("signaturesOver");
  over_->setToolTip(
      txt("The bands of the scene in hand, or the features chosen on the mapping "
          "desk: other scenes, radar, indices, texture"));
  connect(over_, &QComboBox::activated, this, [this] {
    say("");
    refresh();
  });
  auto* told = new QVBoxLayout;
  told->setSpacing(2);
  told->addWidget(headingLabel(txt("Signatures")));
  told->addWidget(about_);
  told->addWidget(trouble_);
  auto* head = new QHBoxLayout;
  head->setSpacing(8);
  head->addLayout(told, 1);
  auto* over = fieldRow(txt("Over"), {over_}, 44);
  over->setFixedWidth(300);
  head->addWidget(over, 0, Qt::AlignTop);
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
  other_ = new CompareSignatures(bench_);
  connect(other_, &CompareSignatures::changed, this, &SignatureSheet::showArea);
  connect(other_, &CompareSignatures::trouble, this, &SignatureSheet::say);
  histograms_ = new HistogramStack;
  auto* column = new QVBoxLayout;
  column->setSpacing(6);
  column->addWidget(curves_, 4);
  column->addWidget(other_);
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
  if (!sentence.isEmpty() && shown_ == nullptr) about_->clear();  // nothing is being read any more
}

void SignatureSheet::forget() {
  shown_ = ofBands_ = nullptr;
  job_.stop();
  ofFeatures_.reset();
  asked_.clear();
  other_->forget();
  over_->clear();
  say("");
}

void SignatureSheet::setTraining(const Training* training) {
  if (shown_ == ofBands_) shown_ = nullptr;  // it is gone, though nothing may be seen of it now
  ofBands_ = training;
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
  fillOver();
  const Json step = stepShown();
  shown_ = overFeatures() ? trainingOf(step) : ofBands_;
  titled_ = shown_ == nullptr ? SignatureSet() : shown_->set;
  for (size_t f = 0; f < titled_.bands.size(); ++f)
    titled_.bands[f] = titleOfFeature(bench_.study(), step, f, titled_.bands[f]).toStdString();
  other_->refresh(shown_, step);
  about_->setText(shown_ == nullptr
                      ? txt("Reading the training pixels…")
                      : txt("%n classes. Choose one, then one of its areas to see it against the "
                            "others.",
                            "%n class. Choose one of its areas to see it against the others.",
                            static_cast<qint64>(shown_->set.classes.size())));
  fillFeatures();
  fillClasses();
  showClass();
}

/// What is chosen stays so.
void SignatureSheet::fillOver() {
  const bool features = overFeatures();
  const Json map = mapFeatures_();
  const auto count = static_cast<qint64>(map.value("features", Json::array()).size());
  over_->clear();
  over_->addItem(txt("bands of %1").arg(nameWithDate(bench_.currentScene()->scene)));
  if (count > 0)
    over_->addItem(txt("%n features chosen for a map", "%n feature chosen for a map", count));
  over_->setCurrentIndex(features && count > 0 ? 1 : 0);
}

Json SignatureSheet::stepShown() const {
  return overFeatures() ? mapFeatures_() : Json{{"scene", bench_.currentScene()->id}};
}

/// nullptr while it is being computed.
const Training* SignatureSheet::trainingOf(const Json& step) {
  const QString asked = sourceOfSamples(bench_.study(), step);
  if (asked == asked_) return ofFeatures_ ? &*ofFeatures_ : nullptr;
  asked_ = asked;
  ofFeatures_.reset();
  job_.ask([study = bench_.study(),
            step](const Progress& progress) { return trainingOver(study, step, progress); },
           [this](const Training& found) {
             ofFeatures_ = found;
             say("");
             refresh();
           },
           [this](const QString& sentence) {
             asked_.clear();  // the next look tries again
             say(sentence);
           });
  return nullptr;
}

void SignatureSheet::fillClasses() {
  const QSignalBlocker quiet(classes_);
  const int before = chosen();
  const size_t count = shown_ == nullptr ? 0 : shown_->set.classes.size();
  classes_->setRowCount(static_cast<int>(count));
  for (size_t i = 0; i < count; ++i) {
    const auto& c = shown_->set.classes[i];
    const int r = static_cast<int>(i);
    const auto& h = shown_->health[i];
    auto* word = new QTableWidgetItem(txt(wordOf(h.word)));
    word->setToolTip(sentenceOf(h.reason));
    word->setForeground(h.word == Health::Good ? tokens().second : tokens().warning);
    classes_->setItem(r, 0, classItem(bench_.study().legend, c.code, c.name));
    classes_->setItem(r, 1, figureItem(grouped(c.pixels)));
    classes_->setItem(r, 2, word);
    if (c.code == before || (r == 0 && classes_->currentRow() < 0)) classes_->selectRow(r);
  }
  fitHeight(classes_);
}

/// Those of today's bands that were chosen stay so.
void SignatureSheet::fillFeatures() {
  if (shown_ == nullptr) return;
  const auto& bands = titled_.bands;
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
  const auto* c = shown_ == nullptr ? nullptr : shown_->signature(chosen());
  areasTitle_->setText(c == nullptr ? QString()
                                    : txt("Areas of %1, odd ones first").arg(q(c->name)));
  if (c != nullptr) areas_->show(c->code, shown_->areas);
  showArea();
  showEvidence();
  showScatter();
}

/// The chosen area over its class, and in the view.
void SignatureSheet::showArea() {
  showCurves();
  showHistograms();
  other_->tell(shown_ == nullptr ? nullptr : shown_->signature(chosen()));
  if (const auto area = areas_->chosen())
    lookAt(*area);
  else
    view_->setShapes({});
}

/// Features of several kinds have no scale in common, so they are drawn in spreads of all training.
void SignatureSheet::showCurves() {
  const auto* scene = bench_.currentScene();
  if (shown_ == nullptr || scene == nullptr) {
    curves_->clearPlottables();
    return curves_->replot();
  }
  auto [along, byWavelength] = bandAxis(scene->scene);
  SignatureSet set = titled_;
  const bool spreads = overFeatures();
  const Standard scale = spreads ? standardOf(set) : noStandard(shown_->set.bands.size());
  if (spreads) {
    byWavelength = false;
    along.resize(set.bands.size());
    std::iota(along.begin(), along.end(), 1.0);
    for (auto& c : set.classes) c = scaled(c, scale);
  }
  curves_->show(set, along, bench_.study().legend, chosen(), byWavelength ? "nm" : "");
  if (spreads) curves_->setTitles(txt("Feature"), txt("spreads from the mean of all"));
  if (const auto* there = other_->of(chosen()))
    curves_->lay(scaled(there->mean, scale), tokens().text, Qt::DashLine);
  for (const auto& f : shown_->areas)
    if (areas_->chosen() == f.area && f.code == chosen())
      curves_->lay(scaled(f.mean, scale), tokens().text, Qt::SolidLine);
  curves_->replot();
}

void SignatureSheet::showHistograms() {
  std::vector<HistogramStack::Row> rows;
  constexpr size_t kBars = 24;
  QColor colour = tokens().second;
  for (size_t i = 0; shown_ != nullptr && i < shown_->set.classes.size(); ++i) {
    const Signature& c = shown_->set.classes[i];
    if (c.code != chosen()) continue;
    if (const auto* known = bench_.study().legend.find(c.code)) colour = toQt(known->colour);
    const Eigen::VectorXd sd = c.sd();
    const auto& peaks = shown_->health[i].peaks;
    for (size_t f = 0; f < shown_->set.bands.size(); ++f) {
      const auto k = static_cast<Eigen::Index>(f);
      HistogramStack::Row row{q(titled_.bands[f]),
                              shown_->shapes[i][f],
                              {},
                              false,
                              compact(c.mean[k] - 3 * sd[k]),
                              compact(c.mean[k] + 3 * sd[k])};
      row.peaks = std::find(peaks.begin(), peaks.end(), shown_->set.bands[f]) != peaks.end();
      if (const auto area = areas_->chosen())
        row.over = shapeOf(*shown_->samples, c, f, kBars, area);
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
    s.shape.bring(change);
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
  const auto* c = shown_ == nullptr ? nullptr : shown_->signature(chosen());
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
  for (const auto& b : titled_.bands) names << q(b);
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
  fillBandFigures(figures_, titled_.bands, *c);
}

void SignatureSheet::showScatter() {
  brushed_->setText(
      txt("Draw a rectangle over the dots, and the view shows where their pixels lie."));
  if (!areas_->chosen()) view_->setShapes({});
  if (shown_ == nullptr || x_->currentIndex() < 0 || y_->currentIndex() < 0) {
    scatter_->clearPlottables();
    return scatter_->replot();
  }
  scatter_->show(*shown_->samples, titled_, bench_.study().legend,
                 static_cast<size_t>(x_->currentIndex()), static_cast<size_t>(y_->currentIndex()),
                 chosen());
}

/// Pixels whose values lie in the rectangle, in the view and counted by class.
void SignatureSheet::brush(const QRectF& values) {
  constexpr size_t kDots = 4000;
  const auto* scene = bench_.currentScene();
  if (shown_ == nullptr || scene == nullptr) return;
  if (values.isEmpty()) return showScatter();
  const Samples& samples = *shown_->samples;
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
    if (const auto* c = shown_->signature(code))
      told << QString("%1 %2").arg(q(c->name), grouped(n));
  brushed_->setText(
      txt("%1 pixels: %2", "%1 pixel: %2", static_cast<qint64>(which.size()))
          .arg(grouped(which.size()), told.isEmpty() ? QString("–") : told.join(", ")));
}

void SignatureSheet::save() {
  if (shown_ == nullptr) return say(txt("The training pixels are still being read."));
  const QString file = QFileDialog::getSaveFileName(
      this, txt("Save the signatures"), q((bench_.study().folder() / "signatures.json").string()),
      txt("Signatures (*.json)"));
  if (file.isEmpty()) return;
  try {
    Outputs outputs(true);
    SignatureSet set = shown_->set;
    const Json step = stepShown();
    set.lines = featuresOfStep(bench_.study(), step).lines;
    writeJson(outputs.add(file.toStdString()), toJson(set));
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
