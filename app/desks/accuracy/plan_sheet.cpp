#include "desks/accuracy/plan_sheet.h"

#include <cmath>

#include "base/error.h"
#include "shell/product_face.h"

namespace zp {
namespace {

constexpr int kByHand = 3;  // beside the three splits of validation_plan.h
constexpr int kPlanSideWidth = 380;
constexpr double kUsualPace = 10;  // seconds a label, where nobody has given one yet

QDoubleSpinBox* margin(const char* name, double value) {
  auto* box = new QDoubleSpinBox;
  box->setObjectName(name);
  box->setRange(0.5, 50);
  box->setDecimals(1);
  box->setSuffix(" %");
  box->setPrefix("± ");
  box->setValue(value);
  return box;
}

size_t sumOf(const std::vector<size_t>& points) {
  size_t sum = 0;
  for (const size_t n : points) sum += n;
  return sum;
}

/// No class gets more points than it has pixels.
void keepWithin(std::vector<size_t>& points, const Json& classes) {
  for (size_t i = 0; i < std::min(points.size(), classes.size()); ++i)
    points[i] = std::min(points[i], classes[i].at("pixels").get<size_t>());
}

/// The first few of many names.
QString someOf(const QStringList& names) {
  constexpr qsizetype kMost = 6;
  if (names.size() <= kMost) return names.join(", ");
  return txt("%1 and %2 more").arg(names.mid(0, kMost).join(", ")).arg(names.size() - kMost);
}

}  // namespace

PlanSheet::PlanSheet(Workbench& bench) : bench_(bench), job_(this) {
  setObjectName("planSheet");
  setFocusPolicy(Qt::StrongFocus);
  setAccessibleName(txt("Validation plan"));
  settle_.setSingleShot(true);
  settle_.setInterval(250);
  connect(&settle_, &QTimer::timeout, this, &PlanSheet::place);
  connect(&bench_, &Workbench::trouble, this, [this](const QString& sentence) {
    if (!isVisible()) return;
    tellIn(said_, sentence);
    make_->setEnabled(true);
  });
  placeSideBySide(this, buildLeft(), buildRight());
}

QLayout* PlanSheet::buildLeft() {
  about_ = secondLabel("");
  rows_ = new PlanRows;
  auto* scroll = new QScrollArea;
  scroll->setWidgetResizable(true);
  scroll->setFrameShape(QFrame::NoFrame);
  scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
  scroll->setFocusPolicy(Qt::NoFocus);
  promise_ = new QLabel;
  promise_->setObjectName("planPromise");
  promise_->setTextFormat(Qt::RichText);
  promise_->setWordWrap(true);
  add_ = linkButton(txt("Add what is missing"));
  add_->setObjectName("planAdd");
  connect(add_, &QPushButton::clicked, this, &PlanSheet::addMissing);
  connect(rows_, &PlanRows::accuracyChanged, this, &PlanSheet::share);
  connect(rows_, &PlanRows::pointsChanged, this, [this] {
    splits_->button(kByHand)->setChecked(true);
    sayPlan();
    later();
  });
  auto* left = new QVBoxLayout;
  left->setContentsMargins(20, 14, 20, 14);
  left->setSpacing(8);
  left->addWidget(headingLabel(txt("How many points, and where?")));
  left->addWidget(about_);
  left->addWidget(buildWishes());
  auto* inside = new QWidget;
  auto* column = columnIn(inside, 12);
  column->addWidget(rows_);
  column->addLayout(buildSplits());
  column->addWidget(promise_);
  column->addWidget(add_, 0, Qt::AlignLeft);
  column->addStretch();
  scroll->setWidget(inside);
  left->addWidget(scroll, 1);
  return left;
}

/// What one wants to know.
QWidget* PlanSheet::buildWishes() {
  overall_ = margin("planOverall", 5);
  users_ = margin("planUsers", 15);
  overall_->setAccessibleName(txt("Margin of overall accuracy"));
  users_->setAccessibleName(txt("Margin of every class"));
  for (auto* box : {overall_, users_})
    connect(box, &QDoubleSpinBox::valueChanged, this, &PlanSheet::share);
  return wrapping({new QLabel(txt("Overall accuracy within")), overall_,
                   new QLabel(txt("and no class worse than")), users_});
}

QLayout* PlanSheet::buildSplits() {
  auto* row = new QHBoxLayout;
  row->setSpacing(8);
  splits_ = new QButtonGroup(this);
  const std::tuple<int, const char*, QString, QString> kinds[] = {
      {static_cast<int>(PlanSplit::Balanced), "splitBalanced", txt("balanced"),
       txt("Every class what its margin asks for, the rest in proportion to area")},
      {static_cast<int>(PlanSplit::Proportional), "splitProportional", txt("in proportion"),
       txt("In proportion to area, 20 at least")},
      {static_cast<int>(PlanSplit::Equal), "splitEqual", txt("equal"),
       txt("As many in each class")},
      {kByHand, "splitByHand", txt("by hand"), txt("As you set them")}};
  for (const auto& [id, name, text, hint] : kinds) {
    auto* c = chip(text);
    c->setObjectName(name);
    c->setToolTip(hint);
    splits_->addButton(c, id);
    row->addWidget(c);
    connect(c, &QPushButton::clicked, this, [this, i = id] { setSplit(i); });
  }
  row->addSpacing(12);
  row->addWidget(secondLabel(txt("┊ in proportion to area")));
  row->addStretch();
  return row;
}

QWidget* PlanSheet::buildRight() {
  cost_ = secondLabel("");
  cost_->setObjectName("planCost");
  inside_ = new QCheckBox(txt("Inside the study area"));
  inside_->setObjectName("planInside");
  avoid_ = new QCheckBox(txt("Kept out of training areas"));
  avoid_->setObjectName("planAvoid");
  avoid_->setChecked(true);
  avoid_->setToolTip(
      txt("What a map was trained on it knows better than the rest: points there "
          "make it look better than it is"));
  apart_ = new QDoubleSpinBox;
  apart_->setObjectName("planApart");
  apart_->setRange(0, 1e6);
  apart_->setDecimals(0);
  apart_->setSuffix(" m");
  seed_ = new QSpinBox;
  seed_->setObjectName("planSeed");
  seed_->setRange(1, 999999);
  auto* another = linkButton(txt("Another"));
  another->setObjectName("planAnother");
  connect(another, &QPushButton::clicked, this, [this] { seed_->setValue(seed_->value() + 1); });
  for (auto* box : {inside_, avoid_}) connect(box, &QCheckBox::toggled, this, &PlanSheet::later);
  connect(apart_, &QDoubleSpinBox::valueChanged, this, &PlanSheet::later);
  connect(seed_, &QSpinBox::valueChanged, this, &PlanSheet::later);
  tiles_ = std::make_unique<TileStore>(1);
  view_ = new MapView(*tiles_);
  view_->setObjectName("planView");
  view_->setBare(true);
  view_->setFocusPolicy(Qt::NoFocus);
  said_ = secondLabel("");
  said_->setObjectName("planSaid");
  setTone(said_, "warning");
  make_ = primaryButton("");
  make_->setObjectName("planMake");
  connect(make_, &QPushButton::clicked, this, &PlanSheet::make);
  auto* back = quietButton(txt("To the view"));
  back->setObjectName("planBack");
  connect(back, &QPushButton::clicked, this, &PlanSheet::leaveAsked);
  auto* side = new QWidget;
  side->setFixedWidth(kPlanSideWidth);
  auto* column = columnIn(side);
  column->setContentsMargins(18, 14, 18, 14);
  for (QWidget* part : std::initializer_list<QWidget*>{
           sectionLabel(txt("What it will cost")), cost_, hairline(), sectionLabel(txt("Places")),
           inside_, avoid_, fieldRow(txt("At least apart"), {apart_}),
           fieldRow(txt("Seed"), {seed_, another})})
    column->addWidget(part);
  column->addWidget(view_, 1);
  column->addWidget(said_);
  column->addWidget(make_);
  column->addWidget(back);
  return side;
}

void PlanSheet::open(const QString& map, double pace) {
  const Product* product = bench_.study().product(map.toStdString());
  if (product == nullptr) return Q_EMIT leaveAsked();
  map_ = map;
  pace_ = pace;
  about_->setText(txt("For “%1”. Say what you want to know and guess how right each class is; the "
                      "rest follows (Cochran 1977; Olofsson and others 2014).")
                      .arg(q(product->name)));
  inside_->setVisible(!bench_.studyAreaId().empty());
  avoid_->setEnabled(!bench_.study().training.empty());
  tellIn(said_, {});
  view_->setCrs(bench_.viewCrs());
  view_->setFront(bench_.pictureOf(map));
  view_->setPoints({});
  view_->fit();
  fillClasses(*product);
  setSplit(static_cast<int>(PlanSplit::Balanced));
  setFocus();
}

void PlanSheet::forget() {
  settle_.stop();
  job_.stop();
  rows_->setClasses({});
  map_.clear();
}

void PlanSheet::fillClasses(const Product& map) {
  std::vector<PlanRows::Class> classes;
  codes_.clear();
  names_.clear();
  double whole = 0;
  const Json list = map.facts.value("classes", Json::array());
  const auto sizeOf = [](const Json& c) {
    return c["area_m2"].is_number() ? c["area_m2"].get<double>() : c["pixels"].get<double>();
  };
  for (const auto& c : list) whole += sizeOf(c);
  const Legend legend = legendOfMap(map);
  for (const auto& c : list) {
    const int code = c["code"];
    const auto* known = legend.find(code);
    const QString name = known != nullptr ? q(known->name) : q(c["name"].get<std::string>());
    const QColor colour = known != nullptr ? toQt(known->colour) : tokens().second;
    classes.push_back({code, name, colour, sizeOf(c) / whole, 0.9});
    codes_.push_back(code);
    names_.push_back(name);
  }
  rows_->setClasses(classes);
}

PlanWish PlanSheet::wish() const {
  return {overall_->value() / 100, users_->value() / 100, 20};
}

void PlanSheet::setSplit(int split) {
  splits_->button(split)->setChecked(true);
  share();
}

/// Shares the points out anew, unless they are set by hand.
void PlanSheet::share() {
  const int split = splits_->checkedId();
  const auto classes = rows_->classes();
  if (classes.empty() || split < 0) return;
  if (split != kByHand) try {
      const auto how = static_cast<PlanSplit>(split);
      auto points = splitPoints(classes, totalFor(classes, how, wish()), how, wish());
      if (const Product* map = bench_.study().product(map_.toStdString()))
        keepWithin(points, map->facts.value("classes", Json::array()));
      rows_->setPoints(points);
      tellIn(said_, {});
    } catch (const Error& e) {
      tellIn(said_, sentenceOf(e));
    }
  sayPlan();
  later();
}

void PlanSheet::sayPlan() {
  const auto classes = rows_->classes();
  const auto points = rows_->points();
  const PlanMargins m = marginsOf(classes, points);
  const size_t total = sumOf(points);
  rows_->tell(m, splitPoints(classes, total, PlanSplit::Proportional, {0.05, 0.15, 0}),
              wish().users);
  QString told =
      txt("<b>%1 points</b> give overall accuracy within <b>± %2 %</b>.")
          .arg(grouped(total), std::isnan(m.overall) ? QString("–") : decimal(100 * m.overall, 1));
  size_t widest = 0;
  for (size_t i = 0; i < points.size(); ++i)
    if (m.area[i] > m.area[widest] || std::isnan(m.area[widest])) widest = i;
  if (!std::isnan(m.area[widest]))
    told += " " + txt("The least certain area is that of %1: ± %2 % of itself.")
                      .arg(names_[widest].toHtmlEscaped(), decimal(100 * m.area[widest], 0));
  QStringList without, wide;
  for (size_t i = 0; i < points.size(); ++i) {
    if (points[i] < 2)
      without << names_[i];
    else if (m.users[i] > wish().users + 5e-4)
      wide << names_[i];
  }
  const auto warn = [](const QString& text) {
    return QString(" <span style='color:%1'>%2</span>").arg(tokens().warning.name(), text);
  };
  if (!wide.isEmpty())
    told += warn(txt("Wider than you want: %1.").arg(someOf(wide).toHtmlEscaped()));
  if (!without.isEmpty())
    told += warn(txt("Fewer than two points, so nothing will be known of it: %1.")
                     .arg(someOf(without).toHtmlEscaped()));
  promise_->setText(told);
  add_->setVisible(!wide.isEmpty() || !without.isEmpty());
  const double pace = pace_ > 0 ? pace_ : kUsualPace;
  const int minutes =
      std::max(1, static_cast<int>(std::lround(static_cast<double>(total) * pace / 60)));
  cost_->setText((pace_ > 0 ? txt("About %1 min of labelling at your pace so far (%2 s a point). "
                                  "A second labeller on a fifth of them: %3 min.")
                            : txt("About %1 min of labelling at %2 s a point. A second labeller "
                                  "on a fifth of them: %3 min."))
                     .arg(minutes)
                     .arg(decimal(pace, 1))
                     .arg(std::max(1, (minutes + 4) / 5)));
  make_->setText(txt("Place %n points and start labelling", "Place %n point and start labelling",
                     static_cast<qint64>(total)));
  make_->setEnabled(total > 0);
}

/// Points to the classes that have too few for the margin one wants.
void PlanSheet::addMissing() {
  const auto classes = rows_->classes();
  auto points = rows_->points();
  for (size_t i = 0; i < points.size(); ++i)
    points[i] = std::max(points[i], pointsForClass(classes[i].accuracy, wish().users));
  rows_->setPoints(points);
  splits_->button(kByHand)->setChecked(true);
  sayPlan();
  later();
}

void PlanSheet::later() {
  settle_.start();
}

Json PlanSheet::step() const {
  Json step{{"do", "points"},
            {"over", map_.toStdString()},
            {"plan", "stratified"},
            {"split", "given"},
            {"given", Json::object()},
            {"seed", seed_->value()},
            {"name", txt("Validation points").toStdString()}};
  const auto points = rows_->points();
  for (size_t i = 0; i < points.size(); ++i)
    if (points[i] > 0) step["given"][std::to_string(codes_[i])] = points[i];
  if (apart_->value() > 0) step["apart"] = apart_->value();
  if (avoid_->isChecked() && !bench_.study().training.empty()) step["avoid"] = "training";
  if (const auto area = bench_.studyAreaId(); inside_->isChecked() && !area.empty())
    step["inside"] = area;
  return step;
}

void PlanSheet::place() {
  if (map_.isEmpty() || !isVisible() || sumOf(rows_->points()) == 0) return;
  job_.ask([study = bench_.study(), step = step()](
               const Progress& progress) { return plannedPoints(study, step, progress); },
           [this](const PointsPreview& placed) { showPlaces(placed); },
           [this](const QString& sentence) {
             view_->setPoints({});
             tellIn(said_, sentence);
             make_->setEnabled(false);
           });
}

void PlanSheet::showPlaces(const PointsPreview& placed) {
  tellIn(said_, {});
  make_->setEnabled(true);
  std::vector<ViewPoint> points;
  try {
    const CrsChange change(placed.points.crs, view_->crs());
    for (const auto& p : placed.points.points) {
      Place at = p.place;
      if (change.apply(at)) points.push_back({at, QColor(Qt::white), {}, false});
    }
  } catch (const std::exception&) {
    // Without a system that is known they are not shown.
  }
  view_->setPoints(std::move(points));
}

void PlanSheet::make() {
  make_->setEnabled(false);  // a second click before the first is done makes nothing
  const std::string map = map_.toStdString();
  bench_.run(step(), txt("Place the points"), [this, map](const QString& points) {
    const Json labels{{"do", "labels"},
                      {"points", points.toStdString()},
                      {"map", map},
                      {"seed", 1},
                      {"name", txt("Labels of %1").arg(txt("Validation points")).toStdString()}};
    bench_.run(labels, txt("Prepare the labelling"),
               [this](const QString&) { Q_EMIT labellingAsked(); });
  });
}

void PlanSheet::keyPressEvent(QKeyEvent* e) {
  if (e->key() == Qt::Key_Escape) return Q_EMIT leaveAsked();
  QWidget::keyPressEvent(e);
}

}  // namespace zp
