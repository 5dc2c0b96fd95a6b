#include "desks/sampling/plan_panel.h"

namespace zp {

PlanPanel::PlanPanel(Workbench& bench, MapView& view) : Panel(bench), view_(view), job_(this) {
  buildPlan();
  buildFields();
  toReadings_ = quietButton(txt("To readings"));
  toReadings_->setObjectName("pointsToReadings");
  connect(toReadings_, &QPushButton::clicked, this, &PlanPanel::readingsAsked);
  settle_.setSingleShot(true);
  settle_.setInterval(150);
  connect(&settle_, &QTimer::timeout, this, &PlanPanel::place);
  connect(plans_, &ChipChoice::chosen, this, &PlanPanel::planChosen);
  connect(area_, &PlanArea::changed, this, &PlanPanel::refresh);
  connect(sizes_, &PlanSizes::changed, this, &PlanPanel::later);
  connect(seed_, &QSpinBox::valueChanged, this, &PlanPanel::later);
  for (auto* length : {apart_, edge_})
    connect(length, &QDoubleSpinBox::valueChanged, this, &PlanPanel::later);
  connect(topUp_, &QComboBox::activated, this, &PlanPanel::topUpChosen);
}

void PlanPanel::buildPlan() {
  plans_ = new ChipChoice(
      {{"stratified", "planStratified", txt("Stratified"),
        txt("A number of points in each class of a map")},
       {"random", "planRandom", txt("Random"), txt("Anywhere, every place with the same chance")},
       {"systematic", "planSystematic", txt("Systematic"), txt("On a lattice with a random start")},
       {"blocks", "planInBlocks", txt("Blocks"),
        txt("Some squares are drawn first, then points in them: less way between them")},
       {"by-hand", "planByHand", txt("By hand"), txt("Where you click in the view")}});
  planned_ = secondLabel("");
  planned_->setObjectName("planned");
  warning_ = secondLabel("");
  warning_->setObjectName("planWarning");
  setTone(warning_, "warning");
  warning_->hide();
  box()->addWidget(plans_);
  box()->addWidget(planned_);
  box()->addWidget(warning_);
}

void PlanPanel::buildFields() {
  area_ = new PlanArea(bench_, view_);
  sizes_ = new PlanSizes;
  hand_ = new HandPoints(bench_, view_);
  const auto length = [](const char* name, const QString& none) {
    auto* box = new QDoubleSpinBox;
    box->setObjectName(name);
    box->setRange(0, 1e7);
    box->setDecimals(1);
    box->setSpecialValueText(none);
    return box;
  };
  apart_ = length("planApart", txt("any"));
  edge_ = length("planEdge", txt("any"));
  apartUnit_ = secondLabel("");
  edgeUnit_ = secondLabel("");
  seed_ = new QSpinBox;
  seed_->setObjectName("planSeed");
  seed_->setRange(0, 2000000000);
  seed_->setValue(1);
  auto* again = linkButton(txt("Another"));
  again->setToolTip(txt("Another seed: other places"));
  connect(again, &QPushButton::clicked, this, [this] { seed_->setValue(seed_->value() + 1); });
  topUp_ = new LongChoice;
  topUp_->setObjectName("planTopUp");
  system_ = new QComboBox;
  system_->setObjectName("planSystem");
  system_->setEditable(true);
  system_->lineEdit()->setPlaceholderText(txt("that of the layer"));
  system_->addItems({"", "EPSG:4326"});
  system_->setToolTip(txt("The system that the points are written in, such as EPSG:4326"));
  box()->addWidget(area_);
  box()->addWidget(sizes_);
  box()->addWidget(hand_);
  box()->addWidget(apartRow_ = fieldRow(txt("At least apart"), {apart_, apartUnit_}));
  box()->addWidget(seedRow_ = fieldRow(txt("Seed"), {seed_, again}));
  more_ = linkButton(txt("More: edges, topping up, system…"));
  more_->setObjectName("planMore");
  more_->setCheckable(true);
  connect(more_, &QPushButton::clicked, this, &PlanPanel::refresh);
  box()->addWidget(more_, 0, Qt::AlignLeft);
  box()->addWidget(edgeRow_ = fieldRow(txt("From the edge"), {edge_, edgeUnit_}));
  box()->addWidget(topUpRow_ = fieldRow(txt("Top up"), {topUp_}));
  box()->addWidget(systemRow_ = fieldRow(txt("Written in"), {system_}));
  box()->addStretch();
}

void PlanPanel::leave() {
  job_.stop();
  settle_.stop();
  area_->leave();
  hand_->leave();
}

void PlanPanel::forget() {
  area_->forget();
  topUp_->clear();
  shown_.clear();
  blocks_.clear();
  placed_.reset();
  cannot_.clear();
}

QString PlanPanel::unit() const {
  return lengthUnit(area_->grid().crs);
}

void PlanPanel::refresh() {
  filling_ = true;
  area_->fill(sizes_->plan());
  sizes_->showClasses(bench_.study(), sizes_->plan() == "stratified" ? area_->map() : nullptr);
  sizes_->suit(area_->grid(), unit());
  hand_->refresh();
  for (auto* label : {apartUnit_, edgeUnit_}) label->setText(unit());
  fillTopUp();
  const bool drawn = !byHand();
  hand_->setVisible(!drawn);
  apartRow_->setVisible(drawn && sizes_->plan() != "systematic");
  const bool more = more_->isChecked();
  more_->setText(more ? txt("Less") : txt("More: edges, topping up, system…"));
  // What is set stays in sight.
  edgeRow_->setVisible(drawn && (more || edge_->value() > 0));
  systemRow_->setVisible(more || !system_->currentText().isEmpty());
  seedRow_->setVisible(drawn);
  filling_ = false;
  if (area_->none() || area_->boxMissing())
    showNone({});
  else if (isVisible())
    settle_.start();
  Q_EMIT changed();
}

/// Points of the study that a plan placed.
void PlanPanel::fillTopUp() {
  const QVariant before = topUp_->currentData();
  topUp_->clear();
  topUp_->addItem(txt("none, new points"), "");
  const auto& products = bench_.study().products;
  for (auto p = products.rbegin(); p != products.rend(); ++p)
    if (p->kind == ProductKind::Points && p->step.value("do", "") == "points" &&
        p->step.value("plan", "") != "by-hand")
      topUp_->addItem(q(p->name), q(p->id));
  topUp_->setCurrentIndex(std::max(0, topUp_->findData(before)));
  topUpRow_->setVisible(!byHand() && topUp_->count() > 1 &&
                        (more_->isChecked() || topUp_->currentIndex() > 0));
}

const Product* PlanPanel::toppedUp() const {
  return byHand() ? nullptr
                  : bench_.study().product(topUp_->currentData().toString().toStdString());
}

/// The plan is that of the points; how many there are to be is asked anew.
void PlanPanel::topUpChosen() {
  if (const Product* points = toppedUp()) {
    const Json& step = points->step;
    filling_ = true;
    plans_->choose(q(step.value("plan", "")));
    sizes_->take(step);
    area_->fill(sizes_->plan());
    area_->take(step);
    sizes_->showClasses(bench_.study(), area_->map());
    sizes_->take(step);
    apart_->setValue(step.value("apart", 0.0));
    edge_->setValue(step.value("edge", 0.0));
    seed_->setValue(step.value("seed", 1));
    filling_ = false;
  }
  refresh();
}

void PlanPanel::planChosen() {
  leave();
  sizes_->setPlan(plans_->value());
  if (topUp_->currentIndex() > 0) topUp_->setCurrentIndex(0);
  refresh();
  if (byHand()) hand_->start();
}

void PlanPanel::later() {
  if (filling_) return;
  Q_EMIT changed();
  if (!area_->none()) settle_.start();
}

void PlanPanel::place() {
  if (area_->none() || area_->boxMissing() || !isVisible()) return;
  if (const QString why = sizes_->missing(); !why.isEmpty()) return showNone(why);
  if (byHand() && hand_->count() == 0)
    return showNone(hand_->putting() ? txt("Click in the view to put a point down.")
                                     : txt("Press “Put points down”, then click in the view."));
  planned_->setText(txt("Placing…"));
  job_.ask([study = bench_.study(), step = step()](
               const Progress& progress) { return plannedPoints(study, step, progress); },
           [this](const PointsPreview& placed) { show(placed); },
           [this](const QString& sentence) { showNone(sentence); });
}

void PlanPanel::showNone(const QString& why) {
  planned_->clear();
  warning_->hide();
  shown_.clear();
  blocks_.clear();
  placed_.reset();
  cannot_ = why;
  Q_EMIT changed();
  Q_EMIT overlayChanged();
}

void PlanPanel::show(const PointsPreview& placed) {
  Q_EMIT trouble("");
  cannot_.clear();
  try {
    showOnView(placed.points);
  } catch (const std::exception& e) {
    Q_EMIT trouble(sentenceOf(e));
  }
  placed_ = placed.points.points.size();
  sizes_->tell(placed.points.perClass, placed.points.tooFew);
  planned_->setText(told(placed));
  const QString warning = warned(placed);
  warning_->setText(warning);
  warning_->setVisible(!warning.isEmpty());
  Q_EMIT changed();
  Q_EMIT overlayChanged();
}

void PlanPanel::showOnView(const PlannedPoints& placed) {
  shown_.clear();
  blocks_.clear();
  const bool both = !placed.crs.empty() && !view_.crs().empty();
  const CrsChange change(both ? placed.crs : "", both ? view_.crs() : "");
  for (const auto& p : placed.points) {
    Place at = p.place;
    if (!change.apply(at)) continue;
    const auto* c = p.code > 0 ? placed.legend.find(p.code) : nullptr;
    shown_.push_back({at, c != nullptr ? toQt(c->colour) : QColor(Qt::white), {}, false});
  }
  for (const auto& ring : placed.blocks) {
    ViewShape block;
    block.shape.rings = {ring};
    for (auto& p : block.shape.rings[0]) change.apply(p);
    block.colour = tokens().accent;
    blocks_.push_back(std::move(block));
  }
}

/// What the plan gives.
QString PlanPanel::told(const PointsPreview& placed) const {
  const size_t n = placed.points.points.size(), each = static_cast<size_t>(sizes_->inEachClass());
  QString text;
  if (each > 0 && placed.points.tooFew.empty())
    text = txt("%1 points on the view, %2 in each of %3 classes.")
               .arg(grouped(n))
               .arg(each)
               .arg(placed.points.perClass.size());
  else
    text = txt("%1 points on the view.", "%1 point on the view.", static_cast<qint64>(n))
               .arg(grouped(n));
  if (!placed.points.blocks.empty())
    text += " " + txt("They lie in %n blocks.", "They lie in %n block.",
                      static_cast<qint64>(placed.points.blocks.size()));
  if (std::isfinite(placed.spread.nearest))
    text += " " +
            txt("The nearest two are %1 %2 apart.").arg(lengthText(placed.spread.nearest), unit());
  return text;
}

/// What is to be known before the points are believed.
QString PlanPanel::warned(const PointsPreview& placed) const {
  QStringList all;
  QStringList few;
  for (const auto& [code, asked] : placed.points.tooFew) {
    const auto* known = placed.points.legend.find(code);
    const auto reached = placed.points.perClass.find(code);
    const size_t n = code == 0                                 ? placed.points.points.size()
                     : reached == placed.points.perClass.end() ? 0
                                                               : reached->second;
    if (code == 0)
      all << txt("Only %1 of %2 fit with these distances.").arg(grouped(n), grouped(asked));
    else if (few.size() < 4)
      few << txt("%1 of %2 in %3")
                 .arg(grouped(n), grouped(asked),
                      known != nullptr ? q(known->name) : txt("class %1").arg(code));
  }
  if (!few.isEmpty()) all << txt("Only so many fit: %1.").arg(few.join(", "));
  const double apart = apartRow_->isVisibleTo(this) ? apart_->value() : 0;
  if (placed.spread.sharing > 0)
    all << txt("%1 of them share a pixel with another, so their readings are no facts of their "
               "own.")
               .arg(grouped(placed.spread.sharing));
  else if ((apart > 0 && apart < placed.pixel) ||
           (std::isfinite(placed.spread.nearest) && placed.spread.nearest < placed.pixel))
    all << txt("Some are nearer to each other than a pixel of %1 %2 is wide.")
               .arg(lengthText(placed.pixel), unit());
  if (byHand())
    all << txt("Points put down by hand are no random sample: no interval is computed from them.");
  return all.join(" ");
}

std::vector<ViewShape> PlanPanel::shapes() const {
  auto all = area_->shapes();
  all.insert(all.end(), blocks_.begin(), blocks_.end());
  return all;
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
  if (area_->none() && sizes_->plan() == "stratified")
    return txt("Stratified points need a class map: make one first, or place points at random.");
  if (area_->none()) return txt("There is nothing to place points over yet.");
  if (area_->boxMissing()) return txt("Drag a rectangle across the view.");
  return cannot_;
}

bool PlanPanel::offersBeside() const {
  return bench_.study().newest(ProductKind::Points) != nullptr;
}

Json PlanPanel::step() const {
  Json j = {{"do", "points"}};
  j.update(area_->fields());
  j.update(sizes_->fields());
  j["name"] = sizes_->name().toStdString();
  if (byHand()) {
    j["places"] = Json::array();
    for (const auto& p : hand_->places(area_->grid().crs)) j["places"].push_back({p.x, p.y});
    j["name"] =
        txt("%n points by hand", "%n point by hand", static_cast<qint64>(j["places"].size()))
            .toStdString();
  } else {
    j["seed"] = seed_->value();
    if (apart_->value() > 0 && sizes_->plan() != "systematic") j["apart"] = apart_->value();
    if (edge_->value() > 0) j["edge"] = edge_->value();
    // What does not fit is told beside the plan.
    j["too_few"] = "take";
    if (const Product* points = toppedUp()) j["tops_up"] = points->id;
  }
  if (const QString system = system_->currentText().trimmed(); !system.isEmpty())
    j["system"] = system.toStdString();
  return j;
}

/// They stand on the view already.
void PlanPanel::showResult(const QString& product) {
  Q_EMIT made(product);
}

}  // namespace zp
