#include "desks/sampling/sampling_desk.h"

#include "base/outputs.h"
#include "base/text.h"
#include "legend/class_map.h"

namespace zp {

SamplingDesk::SamplingDesk(Workbench& bench, MapView& view)
    : Desk(bench, view, txt("Sampling")), planJob_(this) {
  stratified_ = chip(txt("Stratified, per class"));
  stratified_->setObjectName("planStratified");
  random_ = chip(txt("Random"));
  random_->setObjectName("planRandom");
  auto* group = new QButtonGroup(this);
  group->addButton(stratified_);
  group->addButton(random_);
  stratified_->setChecked(true);
  body()->addWidget(sectionLabel(txt("Plan")));
  body()->addWidget(wrapping({stratified_, random_}));
  over_ = new QComboBox;
  over_->setObjectName("planOver");
  body()->addLayout(labelledRow(txt("Over"), over_));
  inside_ = new QComboBox;
  inside_->setObjectName("planInside");
  body()->addLayout(labelledRow(txt("Inside"), inside_));
  count_ = new QSpinBox;
  count_->setObjectName("planCount");
  count_->setRange(1, 1000000);
  count_->setValue(30);
  countLabel_ = secondLabel(txt("in each class"));
  body()->addLayout(labelledRow(txt("Points"), count_, countLabel_));
  apart_ = new QDoubleSpinBox;
  apart_->setObjectName("planApart");
  apart_->setRange(0, 1e7);
  apart_->setDecimals(1);
  apart_->setSpecialValueText(txt("any"));
  unit_ = secondLabel("");
  body()->addLayout(labelledRow(txt("At least apart"), apart_, unit_));
  seed_ = new QSpinBox;
  seed_->setObjectName("planSeed");
  seed_->setRange(0, 2000000000);
  seed_->setValue(1);
  auto* again = linkButton(txt("Another"));
  again->setToolTip(txt("Another seed: other places"));
  connect(again, &QPushButton::clicked, this, [this] { seed_->setValue(seed_->value() + 1); });
  body()->addLayout(labelledRow(txt("Seed"), seed_, again));
  planned_ = secondLabel("");
  planned_->setObjectName("planned");
  body()->addWidget(planned_);
  body()->addWidget(hairline());
  body()->addWidget(sectionLabel(txt("Readings")));
  points_ = new QComboBox;
  points_->setObjectName("readPoints");
  body()->addLayout(labelledRow(txt("At"), points_));
  layers_ = new QListWidget;
  layers_->setObjectName("readLayers");
  layers_->setAccessibleName(txt("Layers to read"));
  layers_->setVerticalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
  body()->addWidget(layers_);
  read_ = quietButton(txt("Read layers"));
  read_->setObjectName("readGo");
  body()->addWidget(read_);
  tableTitle_ = sectionLabel("");
  body()->addWidget(tableTitle_);
  table_ = new ReadingsTable;
  body()->addWidget(table_);
  auto* out = new QHBoxLayout;
  separator_ = new QComboBox;
  separator_->setObjectName("csvSeparator");
  separator_->setAccessibleName(txt("Separator"));
  separator_->addItem(txt("comma"), ",");
  separator_->addItem(txt("semicolon"), ";");
  separator_->addItem(txt("tab"), "\t");
  export_ = quietButton(txt("Table as CSV…"));
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
    countLabel_->setText(stratified() ? txt("in each class") : txt("in all"));
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
    return setMissing(txt("Points are placed over a raster. Bring a scene in first."),
                      txt("Go to scenes"), 0);
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
  inside_->addItem(txt("everywhere"), "");
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
  for (const auto& one : s.scenes) add(one.id, txt("%1, all bands").arg(q(one.scene.name)), false);
  fitHeight(layers_);
  read_->setEnabled(points_->count() > 0);
  countLabel_->setText(stratified() ? txt("in each class") : txt("in all"));
  filling_ = false;
  const std::string crs = bench_.viewCrs();
  unit_->setText(crs.empty()                  ? txt("pixels")
                 : crsIsGeographic(crs)       ? txt("degrees")
                 : crsMetresPerUnit(crs) == 1 ? "m"
                                              : txt("map units"));
  const bool can = over_->count() > 0;
  primary_->setEnabled(can);
  setHeading(
      txt("Sampling"),
      can ? txt("The plan is shown on the view before it is made.")
          : txt("Stratified points need a class map: make one first, or place points at random."));
  primary_->setText(txt("Make points"));
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
  j["name"] = (stratified() ? txt("%n points a class", "%n point a class", count_->value())
                            : txt("%n random points", "%n random point", count_->value()))
                  .toStdString();
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
  planned_->setText(txt("Placing…"));
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
    say(sentenceOf(e));
  }
  const size_t n = placed.points.size();
  planned_->setText(
      placed.perClass.empty()
          ? txt("%1 points on the view.", "%1 point on the view.", static_cast<qint64>(n))
                .arg(grouped(n))
          : txt("%1 points on the view, %2 in each of %3 classes.")
                .arg(grouped(n))
                .arg(count_->value())
                .arg(placed.perClass.size()));
  primary_->setText(txt("Make %1 points", "Make %1 point", static_cast<qint64>(n)).arg(grouped(n)));
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
  if (from.empty()) return say(txt("Tick at least one layer to read."));
  say("");
  const Json step = {{"do", "readings"},
                     {"points", points_->currentData().toString().toStdString()},
                     {"from", from},
                     {"name", txt("Readings at %1").arg(points_->currentText()).toStdString()}};
  bench_.run(step, txt("Read layers"), [this](const QString&) {
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
    tableTitle_->setText(q(p->name));
    table_->show(readTable(p->file.string()));
  } catch (const std::exception& e) {
    say(sentenceOf(e));
  }
}

void SamplingDesk::exportTable() {
  const auto* p = bench_.study().newest(ProductKind::Table);
  if (p == nullptr) return;
  const QString target = QFileDialog::getSaveFileName(
      this, txt("Table as CSV"), q(fileStem(p->name)) + ".csv", txt("CSV (*.csv)"));
  if (target.isEmpty()) return;
  try {
    writeFileAtomically(
        target.toStdString(),
        toCsv(readTable(p->file.string()), separator_->currentData().toString()[0].toLatin1()));
    Q_EMIT bench_.notice(txt("The table is in “%1”, coordinates in %2.")
                             .arg(target, q(p->facts.value("system", ""))));
  } catch (const std::exception& e) {
    say(sentenceOf(e));
  }
}

}  // namespace zp
