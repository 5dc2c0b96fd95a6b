#include "desks/sampling/sampling_desk.h"

#include "base/outputs.h"
#include "base/text.h"
#include "legend/class_map.h"

namespace zp {

SamplingDesk::SamplingDesk(Workbench& bench, MapView& view)
    : Desk(bench, view, "Sampling"), planJob_(this) {
  auto* chips = new QHBoxLayout;
  chips->setSpacing(8);
  stratified_ = chip("Stratified, per class");
  stratified_->setObjectName("planStratified");
  random_ = chip("Random");
  random_->setObjectName("planRandom");
  auto* group = new QButtonGroup(this);
  group->addButton(stratified_);
  group->addButton(random_);
  stratified_->setChecked(true);
  chips->addWidget(stratified_);
  chips->addWidget(random_);
  chips->addStretch();
  body()->addWidget(sectionLabel("Plan"));
  body()->addLayout(chips);
  over_ = new QComboBox;
  over_->setObjectName("planOver");
  body()->addLayout(labelledRow("Over", over_));
  inside_ = new QComboBox;
  inside_->setObjectName("planInside");
  body()->addLayout(labelledRow("Inside", inside_));
  count_ = new QSpinBox;
  count_->setObjectName("planCount");
  count_->setRange(1, 1000000);
  count_->setValue(30);
  countLabel_ = secondLabel("in each class");
  body()->addLayout(labelledRow("Points", count_, countLabel_));
  apart_ = new QDoubleSpinBox;
  apart_->setObjectName("planApart");
  apart_->setRange(0, 1e7);
  apart_->setDecimals(1);
  apart_->setSpecialValueText("any");
  unit_ = secondLabel("");
  body()->addLayout(labelledRow("At least apart", apart_, unit_));
  seed_ = new QSpinBox;
  seed_->setObjectName("planSeed");
  seed_->setRange(0, 2000000000);
  seed_->setValue(1);
  auto* again = linkButton("Another");
  again->setToolTip("Another seed: other places");
  connect(again, &QPushButton::clicked, this, [this] { seed_->setValue(seed_->value() + 1); });
  body()->addLayout(labelledRow("Seed", seed_, again));
  planned_ = secondLabel("");
  planned_->setObjectName("planned");
  body()->addWidget(planned_);
  body()->addWidget(hairline());
  body()->addWidget(sectionLabel("Readings"));
  points_ = new QComboBox;
  points_->setObjectName("readPoints");
  body()->addLayout(labelledRow("At", points_));
  layers_ = new QListWidget;
  layers_->setObjectName("readLayers");
  layers_->setAccessibleName("Layers to read");
  layers_->setVerticalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
  body()->addWidget(layers_);
  read_ = quietButton("Read layers");
  read_->setObjectName("readGo");
  body()->addWidget(read_);
  tableTitle_ = sectionLabel("");
  body()->addWidget(tableTitle_);
  table_ = new QTableWidget;
  table_->setObjectName("readingsTable");
  table_->setAccessibleName("Readings");
  table_->verticalHeader()->setVisible(false);
  table_->verticalHeader()->setDefaultSectionSize(22);
  table_->setEditTriggers(QAbstractItemView::NoEditTriggers);
  table_->setShowGrid(false);
  table_->setFixedHeight(190);
  body()->addWidget(table_);
  auto* out = new QHBoxLayout;
  separator_ = new QComboBox;
  separator_->setObjectName("csvSeparator");
  separator_->setAccessibleName("Separator");
  separator_->addItem("comma", ",");
  separator_->addItem("semicolon", ";");
  separator_->addItem("tab", "\t");
  export_ = quietButton("Table as CSV…");
  export_->setObjectName("csvGo");
  out->addWidget(separator_);
  out->addWidget(export_, 1);
  body()->addLayout(out);
  body()->addStretch();

  settle_.setSingleShot(true);
  settle_.setInterval(150);
  connect(&settle_, &QTimer::timeout, this, &SamplingDesk::plan);
  const auto changed = [this] {
    if (filling_) return;
    countLabel_->setText(stratified() ? "in each class" : "in all");
    settle_.start();
  };
  connect(stratified_, &QPushButton::toggled, this, [this, changed] {
    if (!filling_) count_->setValue(stratified() ? 30 : 200);
    refresh();
    changed();
  });
  connect(over_, &QComboBox::activated, this, changed);
  connect(inside_, &QComboBox::activated, this, changed);
  connect(count_, &QSpinBox::valueChanged, this, changed);
  connect(seed_, &QSpinBox::valueChanged, this, changed);
  connect(apart_, &QDoubleSpinBox::valueChanged, this, changed);
  connect(primary_, &QPushButton::clicked, this, [this] {
    say("");
    bench_.run(step(), primary_->text(), [this](const QString& id) {
      refresh();
      points_->setCurrentIndex(points_->findData(id));
      showMade();
    });
  });
  connect(read_, &QPushButton::clicked, this, &SamplingDesk::readLayers);
  connect(export_, &QPushButton::clicked, this, &SamplingDesk::exportTable);
}

void SamplingDesk::leave() {
  planJob_.stop();
  settle_.stop();
}

void SamplingDesk::forget() {
  for (auto* list : {over_, inside_, points_}) list->clear();
  layers_->clear();
  shown_.clear();
}

void SamplingDesk::refresh() {
  if (!bench_.hasStudy() || bench_.study().scenes.empty())
    return setMissing("Points are placed over a raster. Bring a scene in first.", "Go to scenes",
                      0);
  setReady();
  showSceneSelector();
  filling_ = true;
  const Study& s = bench_.study();
  const QVariant over = over_->currentData(), inside = inside_->currentData(),
                 at = points_->currentData();
  over_->clear();
  for (auto p = s.products.rbegin(); p != s.products.rend(); ++p)
    if (p->kind == ProductKind::ClassMap || (!stratified() && p->kind == ProductKind::Index))
      over_->addItem(q(p->name), q(p->id));
  if (!stratified())
    for (const auto& one : s.scenes) over_->addItem(q(one.scene.name), q(one.id));
  if (over_->findData(over) >= 0) over_->setCurrentIndex(over_->findData(over));
  // Points over a scene follow the scene the desk works on.
  if (const QString here = q(bench_.currentScene()->id); here != scene_) {
    scene_ = here;
    if (s.scene(over_->currentData().toString().toStdString()) != nullptr)
      over_->setCurrentIndex(over_->findData(here));
  }
  inside_->clear();
  inside_->addItem("everywhere", "");
  for (const auto& o : s.outlines) inside_->addItem(q(o.name), q(o.id));
  if (inside_->findData(inside) >= 0) inside_->setCurrentIndex(inside_->findData(inside));
  points_->clear();
  for (auto p = s.products.rbegin(); p != s.products.rend(); ++p)
    if (p->kind == ProductKind::Points) points_->addItem(q(p->name), q(p->id));
  if (points_->findData(at) >= 0) points_->setCurrentIndex(points_->findData(at));
  // Ticks stay; a product that is new here starts ticked, a scene without.
  std::map<QString, Qt::CheckState> ticks;
  for (int i = 0; i < layers_->count(); ++i)
    ticks[layers_->item(i)->data(Qt::UserRole).toString()] = layers_->item(i)->checkState();
  layers_->clear();
  const auto add = [&](const std::string& id, const QString& name, bool tick) {
    auto* item = new QListWidgetItem(name);
    item->setData(Qt::UserRole, q(id));
    item->setFlags(item->flags() | Qt::ItemIsUserCheckable);
    const auto known = ticks.find(q(id));
    item->setCheckState(known != ticks.end() ? known->second : tick ? Qt::Checked : Qt::Unchecked);
    layers_->addItem(item);
  };
  for (auto p = s.products.rbegin(); p != s.products.rend(); ++p)
    if (p->kind == ProductKind::Index || p->kind == ProductKind::ClassMap)
      add(p->id, q(p->name), true);
  for (const auto& one : s.scenes) add(one.id, q(one.scene.name) + ", all bands", false);
  // As tall as its rows: the desk scrolls, not a list in it.
  layers_->setFixedHeight(std::max(1, layers_->count()) * std::max(20, layers_->sizeHintForRow(0)) +
                          2 * layers_->frameWidth() + 2);
  read_->setEnabled(points_->count() > 0);
  countLabel_->setText(stratified() ? "in each class" : "in all");
  filling_ = false;
  const std::string crs = bench_.viewCrs();
  unit_->setText(crs.empty()                  ? "pixels"
                 : crsIsGeographic(crs)       ? "degrees"
                 : crsMetresPerUnit(crs) == 1 ? "m"
                                              : "map units");
  const bool can = over_->count() > 0;
  primary_->setEnabled(can);
  setHeading(
      "Sampling",
      can ? "The plan is shown on the view before it is made."
          : "Stratified points need a class map: make one first, or place points at random.");
  primary_->setText("Make points");
  fillTable();
  if (isVisible() && can) settle_.start();
  if (!can) shown_.clear(), planned_->clear(), Q_EMIT pointsChanged();
}

Json SamplingDesk::step() const {
  Json j = {{"do", "points"},
            {"over", over_->currentData().toString().toStdString()},
            {"plan", stratified() ? "stratified" : "random"},
            {"count", count_->value()},
            {"seed", seed_->value()}};
  if (apart_->value() > 0) j["apart"] = apart_->value();
  if (inside_->currentIndex() > 0) j["inside"] = inside_->currentData().toString().toStdString();
  j["name"] = stratified() ? std::to_string(count_->value()) + " points a class"
                           : std::to_string(count_->value()) + " random points";
  return j;
}

void SamplingDesk::plan() {
  if (over_->count() == 0 || !isVisible()) return;
  const Study& s = bench_.study();
  const std::string id = over_->currentData().toString().toStdString();
  const auto* scene = s.scene(id);
  const auto* product = s.product(id);
  if (scene == nullptr && product == nullptr) return;
  SamplingPlan plan;
  plan.kind = stratified() ? PlanKind::Stratified : PlanKind::Random;
  plan.count = static_cast<size_t>(count_->value());
  plan.seed = static_cast<uint64_t>(seed_->value());
  if (apart_->value() > 0) plan.apart = apart_->value();
  std::string outline;
  for (const auto& o : s.outlines)
    if (q(o.id) == inside_->currentData().toString()) outline = o.layer;
  planned_->setText("Placing…");
  planJob_.ask(
      [over = scene != nullptr ? std::optional<Scene>(scene->scene) : std::nullopt,
       raster = product != nullptr ? product->file : std::filesystem::path(), plan,
       outline](const Progress& progress) {
        const auto place = [&](const auto& ground, const std::string& crs) {
          std::optional<Layer> inside;
          if (!outline.empty()) inside = readLayer(outline, crs);
          return placePoints(ground, plan, inside ? &*inside : nullptr, progress);
        };
        return over ? place(*over, over->grid.crs) : place(raster, RasterFile(raster).grid().crs);
      },
      [this](const PlannedPoints& placed) {
        say("");
        primary_->setEnabled(true);
        showPoints(placed);
      },
      [this](const QString& sentence) {
        planned_->clear();
        shown_.clear();
        primary_->setEnabled(false);
        say(sentence);
        Q_EMIT pointsChanged();
      });
}

void SamplingDesk::showPoints(const PlannedPoints& placed) {
  shown_.clear();
  try {
    const CrsChange change(placed.crs, view_.crs());
    for (const auto& p : placed.points) {
      Place at = p.place;
      if (!change.apply(at)) continue;
      const auto* c = placed.legend.find(p.code);
      shown_.push_back({at, c != nullptr ? toQt(c->colour) : QColor(Qt::white), {}, false});
    }
  } catch (const std::exception& e) {
    say(QString::fromUtf8(e.what()));
  }
  const size_t n = placed.points.size();
  planned_->setText(placed.perClass.empty()
                        ? QString("%1 points on the view.").arg(grouped(n))
                        : QString("%1 points on the view, %2 in each of %3 classes.")
                              .arg(grouped(n))
                              .arg(count_->value())
                              .arg(placed.perClass.size()));
  primary_->setText(QString("Make %1 points").arg(grouped(n)));
  Q_EMIT pointsChanged();
}

void SamplingDesk::showMade() {
  Q_EMIT pointsChanged();
}

void SamplingDesk::readLayers() {
  Json from = Json::array();
  for (int i = 0; i < layers_->count(); ++i)
    if (layers_->item(i)->checkState() == Qt::Checked)
      from.push_back(layers_->item(i)->data(Qt::UserRole).toString().toStdString());
  if (from.empty()) return say("Tick at least one layer to read.");
  say("");
  const Json step = {{"do", "readings"},
                     {"points", points_->currentData().toString().toStdString()},
                     {"from", from},
                     {"name", "Readings at " + points_->currentText().toStdString()}};
  bench_.run(step, "Read layers", [this](const QString&) {
    fillTable();
    // Once the table has its place.
    QTimer::singleShot(0, this, [this] { showInScroll(table_); });
  });
}

void SamplingDesk::fillTable() {
  const auto* p = bench_.study().newest(ProductKind::Table);
  for (QWidget* w : {static_cast<QWidget*>(table_), static_cast<QWidget*>(tableTitle_),
                     static_cast<QWidget*>(export_), static_cast<QWidget*>(separator_)})
    w->setVisible(p != nullptr);
  if (p == nullptr) return;
  try {
    const Table t = readTable(p->file.string());
    constexpr size_t kShown = 500;
    tableTitle_->setText(QString("%1: %2 rows").arg(q(p->name), grouped(t.rows.size())) +
                         (t.rows.size() > kShown ? ", the first 500 shown" : ""));
    table_->clear();
    table_->setColumnCount(static_cast<int>(t.columns.size()));
    table_->setRowCount(static_cast<int>(std::min(kShown, t.rows.size())));
    QStringList heads;
    for (const auto& c : t.columns) heads << q(c);
    table_->setHorizontalHeaderLabels(heads);
    for (int r = 0; r < table_->rowCount(); ++r)
      for (int c = 0; c < table_->columnCount(); ++c) {
        const std::string& cell = t.rows[static_cast<size_t>(r)][static_cast<size_t>(c)];
        const auto v = parseNumber(cell);
        const QString text = cell.empty() ? "–"
                             : v && cell.find('.') != std::string::npos
                                 ? QString::number(*v, 'f', std::abs(*v) > 1000 ? 1 : 4)
                                 : q(cell);
        table_->setItem(r, c, figureItem(text));
      }
    table_->resizeColumnsToContents();
  } catch (const std::exception& e) {
    say(QString::fromUtf8(e.what()));
  }
}

void SamplingDesk::exportTable() {
  const auto* p = bench_.study().newest(ProductKind::Table);
  if (p == nullptr) return;
  const QString target = QFileDialog::getSaveFileName(this, "Table as CSV",
                                                      q(fileStem(p->name)) + ".csv", "CSV (*.csv)");
  if (target.isEmpty()) return;
  try {
    writeFileAtomically(
        target.toStdString(),
        toCsv(readTable(p->file.string()), separator_->currentData().toString()[0].toLatin1()));
    Q_EMIT bench_.notice(QString("The table is in “%1”, coordinates in %2.")
                             .arg(target, q(p->facts.value("system", ""))));
  } catch (const std::exception& e) {
    say(QString::fromUtf8(e.what()));
  }
}

}  // namespace zp
