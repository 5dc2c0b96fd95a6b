#include "desks/sampling/plan_panel.h"

#include "legend/class_map.h"

namespace zp {
namespace {

constexpr int kInEachClass = 30, kInAll = 200;

/// Entries are filled anew; the one that was chosen stays so.
void choose(QComboBox& box, const QVariant& before) {
  if (const int at = box.findData(before); at >= 0) box.setCurrentIndex(at);
}

}  // namespace

PlanPanel::PlanPanel(Workbench& bench, MapView& view) : Panel(bench), view_(view), job_(this) {
  buildPlan();
  buildFields();
  planned_ = secondLabel("");
  planned_->setObjectName("planned");
  box()->addWidget(planned_);
  settle_.setSingleShot(true);
  settle_.setInterval(150);
  connect(&settle_, &QTimer::timeout, this, &PlanPanel::place);
  connect(over_, &QComboBox::activated, this, &PlanPanel::later);
  connect(inside_, &QComboBox::activated, this, &PlanPanel::later);
  connect(count_, &QSpinBox::valueChanged, this, &PlanPanel::later);
  connect(seed_, &QSpinBox::valueChanged, this, &PlanPanel::later);
  connect(apart_, &QDoubleSpinBox::valueChanged, this, &PlanPanel::later);
}

void PlanPanel::buildPlan() {
  stratified_ = chip(txt("Stratified, per class"));
  stratified_->setObjectName("planStratified");
  random_ = chip(txt("Random"));
  random_->setObjectName("planRandom");
  auto* group = new QButtonGroup(this);
  group->addButton(stratified_);
  group->addButton(random_);
  stratified_->setChecked(true);
  box()->addWidget(sectionLabel(txt("Plan")));
  box()->addWidget(wrapping({stratified_, random_}));
  connect(stratified_, &QPushButton::toggled, this, [this] {
    if (!filling_) count_->setValue(stratified() ? kInEachClass : kInAll);
    refresh();
    later();
  });
}

void PlanPanel::buildFields() {
  over_ = new QComboBox;
  over_->setObjectName("planOver");
  inside_ = new QComboBox;
  inside_->setObjectName("planInside");
  count_ = new QSpinBox;
  count_->setObjectName("planCount");
  count_->setRange(1, 1000000);
  count_->setValue(kInEachClass);
  countLabel_ = secondLabel(txt("in each class"));
  apart_ = new QDoubleSpinBox;
  apart_->setObjectName("planApart");
  apart_->setRange(0, 1e7);
  apart_->setDecimals(1);
  apart_->setSpecialValueText(txt("any"));
  unit_ = secondLabel("");
  seed_ = new QSpinBox;
  seed_->setObjectName("planSeed");
  seed_->setRange(0, 2000000000);
  seed_->setValue(1);
  auto* again = linkButton(txt("Another"));
  again->setToolTip(txt("Another seed: other places"));
  connect(again, &QPushButton::clicked, this, [this] { seed_->setValue(seed_->value() + 1); });
  box()->addWidget(fieldRow(txt("Over"), {over_}));
  box()->addWidget(fieldRow(txt("Inside"), {inside_}));
  box()->addWidget(fieldRow(txt("Points"), {count_, countLabel_}));
  box()->addWidget(fieldRow(txt("At least apart"), {apart_, unit_}));
  box()->addWidget(fieldRow(txt("Seed"), {seed_, again}));
}

void PlanPanel::leave() {
  job_.stop();
  settle_.stop();
}

void PlanPanel::forget() {
  for (auto* list : {over_, inside_}) list->clear();
  shown_.clear();
  placed_.reset();
  cannot_.clear();
}

void PlanPanel::refresh() {
  filling_ = true;
  fillOver();
  fillInside();
  countLabel_->setText(stratified() ? txt("in each class") : txt("in all"));
  const std::string crs = bench_.viewCrs();
  unit_->setText(crs.empty()                  ? txt("pixels")
                 : crsIsGeographic(crs)       ? txt("degrees")
                 : crsMetresPerUnit(crs) == 1 ? "m"
                                              : txt("map units"));
  filling_ = false;
  if (over_->count() == 0)
    showNone({});
  else if (isVisible())
    settle_.start();
  Q_EMIT changed();
}

/// Class maps; at random, indices and scenes too.
void PlanPanel::fillOver() {
  const Study& s = bench_.study();
  const QVariant before = over_->currentData();
  over_->clear();
  for (auto p = s.products.rbegin(); p != s.products.rend(); ++p)
    if (p->kind == ProductKind::ClassMap || (!stratified() && p->kind == ProductKind::Index))
      over_->addItem(q(p->name), q(p->id));
  if (!stratified())
    for (const auto& one : s.scenes) over_->addItem(q(one.scene.name), q(one.id));
  choose(*over_, before);
  // Points over a scene follow the scene the desk works on.
  const QString here = q(bench_.currentScene()->id);
  if (here == scene_) return;
  scene_ = here;
  if (s.scene(over_->currentData().toString().toStdString()) != nullptr) choose(*over_, here);
}

void PlanPanel::fillInside() {
  const QVariant before = inside_->currentData();
  inside_->clear();
  inside_->addItem(txt("everywhere"), "");
  for (const auto& o : bench_.study().outlines) inside_->addItem(q(o.name), q(o.id));
  choose(*inside_, before);
}

void PlanPanel::later() {
  if (filling_) return;
  countLabel_->setText(stratified() ? txt("in each class") : txt("in all"));
  settle_.start();
}

SamplingPlan PlanPanel::plan() const {
  SamplingPlan plan;
  plan.kind = stratified() ? PlanKind::Stratified : PlanKind::Random;
  plan.count = static_cast<size_t>(count_->value());
  plan.seed = static_cast<uint64_t>(seed_->value());
  if (apart_->value() > 0) plan.apart = apart_->value();
  return plan;
}

void PlanPanel::place() {
  if (over_->count() == 0 || !isVisible()) return;
  const Study& s = bench_.study();
  const std::string id = over_->currentData().toString().toStdString();
  const auto* scene = s.scene(id);
  const auto* product = s.product(id);
  if (scene == nullptr && product == nullptr) return;
  std::string outline;
  for (const auto& o : s.outlines)
    if (q(o.id) == inside_->currentData().toString()) outline = o.layer;
  planned_->setText(txt("Placing…"));
  job_.ask(
      [over = scene != nullptr ? std::optional<Scene>(scene->scene) : std::nullopt,
       raster = product != nullptr ? product->file : std::filesystem::path(), plan = plan(),
       outline](const Progress& progress) {
        const auto place = [&](const auto& ground, const std::string& crs) {
          std::optional<Layer> inside;
          if (!outline.empty()) inside = readLayer(outline, crs);
          return placePoints(ground, plan, inside ? &*inside : nullptr, progress);
        };
        return over ? place(*over, over->grid.crs) : place(raster, RasterFile(raster).grid().crs);
      },
      [this](const PlannedPoints& placed) { show(placed); },
      [this](const QString& sentence) { showNone(sentence); });
}

void PlanPanel::showNone(const QString& why) {
  planned_->clear();
  shown_.clear();
  placed_.reset();
  cannot_ = why;
  Q_EMIT changed();
  Q_EMIT overlayChanged();
}

void PlanPanel::show(const PlannedPoints& placed) {
  Q_EMIT trouble("");
  shown_.clear();
  cannot_.clear();
  try {
    const CrsChange change(placed.crs, view_.crs());
    for (const auto& p : placed.points) {
      Place at = p.place;
      if (!change.apply(at)) continue;
      const auto* c = placed.legend.find(p.code);
      shown_.push_back({at, c != nullptr ? toQt(c->colour) : QColor(Qt::white), {}, false});
    }
  } catch (const std::exception& e) {
    Q_EMIT trouble(sentenceOf(e));
  }
  const size_t n = placed.points.size();
  placed_ = n;
  planned_->setText(
      placed.perClass.empty()
          ? txt("%1 points on the view.", "%1 point on the view.", static_cast<qint64>(n))
                .arg(grouped(n))
          : txt("%1 points on the view, %2 in each of %3 classes.")
                .arg(grouped(n))
                .arg(count_->value())
                .arg(placed.perClass.size()));
  Q_EMIT changed();
  Q_EMIT overlayChanged();
}

Panel::Heading PlanPanel::heading() const {
  return {{}, txt("The plan is shown on the view before it is made.")};
}

QString PlanPanel::action() const {
  if (!placed_) return txt("Make points");
  return txt("Make %1 points", "Make %1 point", static_cast<qint64>(*placed_))
      .arg(grouped(*placed_));
}

QString PlanPanel::missing() const {
  if (over_->count() == 0)
    return txt("Stratified points need a class map: make one first, or place points at random.");
  return cannot_;
}

Json PlanPanel::step() const {
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

/// They stand on the view already.
void PlanPanel::showResult(const QString& product) {
  Q_EMIT made(product);
}

}  // namespace zp
