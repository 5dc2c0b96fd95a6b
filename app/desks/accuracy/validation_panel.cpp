#include "desks/accuracy/validation_panel.h"

#include "desks/accuracy/percent.h"
#include "sampling/readings.h"
#include "shell/product_face.h"

namespace zp {
namespace {

/// How many points lie on each class of a map, and in training areas.
KnownOfPoints lookAt(const Study& study, const std::filesystem::path& map,
                     const std::filesystem::path& points, const Progress& progress) {
  const Layer layer = readLayer(points.string());
  std::vector<Place> places;
  for (const auto& shape : layer.shapes)
    if (!shape.points.empty()) places.push_back(shape.points[0]);
  KnownOfPoints known;
  const Readings read = readAt(places, layer.crs, {{map, 1, "map"}}, progress);
  for (const double v : read.values[0])
    if (!std::isnan(v)) ++known.onClass[static_cast<int>(v)];
  known.inTraining = pointsInTraining(study, places, layer.crs);
  return known;
}

}  // namespace

ValidationPanel::ValidationPanel(Workbench& bench, MapView& view, LabelBook& book)
    : Panel(bench), view_(view), book_(book), known_(this) {
  buildChoices();
  buildTables();
  all_ = linkButton(txt("Show all points"));
  all_->setObjectName("allPoints");
  box()->addWidget(all_, 0, Qt::AlignLeft);
  plan_ = linkButton(txt("Plan other points…"));
  plan_->setObjectName("planPoints");
  box()->addWidget(plan_, 0, Qt::AlignLeft);
  connect(plan_, &QPushButton::clicked, this,
          [this] { Q_EMIT planAsked(map_->currentData().toString()); });
  fresh_ = linkButton("");
  fresh_->setObjectName("freshLabels");
  box()->addWidget(fresh_, 0, Qt::AlignLeft);
  auto* typed = linkButton(txt("Assess a matrix from elsewhere…"));
  typed->setObjectName("assessMatrix");
  box()->addWidget(typed, 0, Qt::AlignLeft);
  connect(typed, &QPushButton::clicked, this, &ValidationPanel::typedAsked);
  connect(all_, &QPushButton::clicked, this, [this] {
    book_.chooseAll();
    Q_EMIT book_.updated();
  });
  connect(fresh_, &QPushButton::clicked, this, [this] {
    again_ = !again_;
    refresh();
    Q_EMIT changed();
  });
}

void ValidationPanel::buildChoices() {
  map_ = new QComboBox;
  map_->setObjectName("accuracyMap");
  points_ = new QComboBox;
  points_->setObjectName("accuracyPoints");
  box()->addWidget(mapRow_ = fieldRow(txt("Map"), {map_}));
  pointsRow_ = fieldRow(txt("Points"), {points_});
  box()->addWidget(pointsRow_);
  box()->addWidget(reference_ = new ReferencePart(bench_));
  connect(reference_, &ReferencePart::trouble, this, &ValidationPanel::trouble);
  connect(reference_, &ReferencePart::changed, this, [this] {
    showOrder();
    Q_EMIT changed();
  });
  block_ = new LongChoice;
  block_->setObjectName("labelBlock");
  block_->addItem(txt("of the pixel"), 1);
  block_->addItem(txt("of the 3 × 3 pixels around it"), 3);
  seed_ = new QSpinBox;
  seed_->setObjectName("labelSeed");
  seed_->setRange(1, 9999);
  seed_->setPrefix(txt("seed") + " ");
  seed_->setToolTip(txt("Of the order in which the points come"));
  box()->addWidget(orderRow_ = fieldRow(txt("Each label"), {block_, seed_}));
  who_ = lineEdit("labeller", txt("Your name or initials"));
  const Json known = bench_.place("labeller");
  if (known.is_string()) who_->setText(q(known.get<std::string>()));
  box()->addWidget(whoRow_ = fieldRow(txt("Labelled by"), {who_}));
  connect(who_, &QLineEdit::editingFinished, this, [this] {
    bench_.setPlace("labeller", who_->text().trimmed().toStdString());
    if (!book_.none()) book_.setLabeller(who_->text().trimmed().toStdString());
  });
  connect(points_, &QComboBox::activated, this, &ValidationPanel::chooseTheirMap);
  for (auto* choice : {map_, points_})
    connect(choice, &QComboBox::activated, this, &ValidationPanel::showReference);
  for (auto* choice : {map_, points_})
    connect(choice, &QComboBox::activated, this, &ValidationPanel::showKnown);
}

void ValidationPanel::buildTables() {
  advice_ = secondLabel("");
  box()->addWidget(advice_);
  box()->addWidget(hairline());
  state_ = secondLabel("");
  state_->setObjectName("labelState");
  box()->addWidget(state_);
  bar_ = new QProgressBar;
  bar_->setAccessibleName(txt("Points labelled"));
  bar_->setTextVisible(false);
  box()->addWidget(bar_);
  second_ = new SecondPart(bench_, book_);
  connect(second_, &SecondPart::labellingAsked, this, &ValidationPanel::startLabelling);
  box()->addWidget(second_);
  box()->addWidget(elsewhere_ = new ElsewherePart(bench_, book_));
  table_ = plainTable({txt("Class"), txt("user's"), txt("producer's")});
  table_->setObjectName("accuracyTable");
  box()->addWidget(table_);
  warning_ = secondLabel("");
  warning_->setObjectName("inTraining");
  setTone(warning_, "warning");
  warning_->hide();
  box()->addWidget(warning_);
  knownTable_ = plainTable({txt("Class"), txt("mapped ha"), txt("points")});
  knownTable_->setObjectName("knownTable");
  knownTable_->setSelectionMode(QAbstractItemView::NoSelection);
  box()->addWidget(knownTable_);
}

void ValidationPanel::forget() {
  known_.stop();
  map_->clear();
  points_->clear();
  reference_->forget();
  again_ = false;
}

void ValidationPanel::refresh() {
  fillChoices();
  showReference();
  showProgress();
  showKnown();
  showAccuracies();
}

/// Points that were drawn over a map are there to test it.
void ValidationPanel::chooseTheirMap() {
  const Product* points = bench_.study().product(points_->currentData().toString().toStdString());
  if (points == nullptr || !points->step.is_object()) return;
  if (const int at = map_->findData(q(points->step.value("over", ""))); at >= 0)
    map_->setCurrentIndex(at);
}

void ValidationPanel::fillChoices() {
  const bool first = map_->count() == 0 || points_->count() == 0;
  const auto& products = bench_.study().products;
  for (auto [choice, kind] :
       {std::pair{map_, ProductKind::ClassMap}, {points_, ProductKind::Points}}) {
    const QVariant before = choice->currentData();
    choice->clear();
    for (auto p = products.rbegin(); p != products.rend(); ++p)
      if (p->kind == kind) choice->addItem(q(p->name), q(p->id));
    if (const int at = choice->findData(before); at >= 0) choice->setCurrentIndex(at);
  }
  if (first) chooseTheirMap();
}

/// Where the labels are to come from, before there are any.
void ValidationPanel::showReference() {
  reference_->setVisible(starting() && anyPoints());
  reference_->refresh(points_->currentData().toString(), map_->currentData().toString());
  showOrder();
}

/// Only labels given here have an order and a size.
void ValidationPanel::showOrder() {
  const bool here = !reference_->fromElsewhere();
  orderRow_->setVisible(starting() && anyPoints() && here);
  whoRow_->setVisible(anyPoints() && (here || !starting()));
}

void ValidationPanel::showProgress() {
  const Labelling& l = book_.labelling();
  const size_t n = l.points().size(), done = l.labelled();
  if (book_.none()) again_ = false;
  mapRow_->setVisible(starting());
  pointsRow_->setVisible(starting() && anyPoints());
  plan_->setVisible(anyPoints());
  advice_->setText(
      !anyPoints()
          ? txt("A map is tested at validation points, whose true class you say without seeing "
                "what "
                "the map says. How many there must be follows from how sure you want to be.")
          : txt("The points come in shuffled order, and the class of the map stays hidden "
                "until you close the labelling. Then here stand the user's and producer's "
                "accuracy of each class; 30 to 50 points in each say enough. What is known "
                "already:"));
  advice_->setVisible(starting());
  bar_->setVisible(!starting());
  bar_->setRange(0, static_cast<int>(std::max<size_t>(1, n)));
  bar_->setValue(static_cast<int>(done));
  state_->setVisible(!starting());
  const bool hidden = book_.blind() && !book_.none() && mapSeen();
  state_->setText(txt("%1 of %2 points labelled, %3 unsure.%4%5")
                      .arg(done)
                      .arg(n)
                      .arg(l.unsure())
                      .arg(l.closed() ? txt(" The labelling is closed.") : "",
                           hidden ? txt(" They are not shown on a class map until then.") : ""));
  if (!book_.none() && !who_->hasFocus() && !book_.labeller().empty())
    who_->setText(q(book_.labeller()));
  second_->refresh();
  elsewhere_->refresh();
  for (QWidget* part : std::initializer_list<QWidget*>{second_, elsewhere_})
    if (starting()) part->hide();
  fresh_->setVisible(!book_.none());
  fresh_->setText(again_ ? txt("Go on with the labels there are")
                         : txt("Start another labelling…"));
  all_->setVisible(!book_.blind() && book_.anyChosen());
}

/// Before there are labels: what the map says of each class, and how many points test it.
void ValidationPanel::showKnown() {
  const Study& s = bench_.study();
  const Product* map = s.product(map_->currentData().toString().toStdString());
  const Product* points = s.product(points_->currentData().toString().toStdString());
  const bool shown = starting() && map != nullptr && points != nullptr;
  knownTable_->setVisible(shown);
  if (!shown) warning_->hide();
  if (!shown) return known_.stop();
  const Json& classes = map->facts["classes"];
  const Legend legend = legendOfMap(*map);
  knownTable_->setRowCount(static_cast<int>(classes.size()));
  for (int r = 0; r < knownTable_->rowCount(); ++r) {
    const Json& c = classes[static_cast<size_t>(r)];
    const Json& area = c["area_m2"];
    knownTable_->setItem(r, 0,
                         classItem(legend, c["code"].get<int>(), c["name"].get<std::string>()));
    knownTable_->setItem(
        r, 1, figureItem(area.is_number() ? areaText(area.get<double>()) : QString("–")));
    knownTable_->setItem(r, 2, figureItem("…"));
  }
  fitHeight(knownTable_, 14);
  countPoints(*map, *points);
}

void ValidationPanel::countPoints(const Product& map, const Product& points) {
  known_.ask(
      [study = bench_.study(), map = map.file, points = points.file](const Progress& progress) {
        return lookAt(study, map, points, progress);
      },
      [this](const KnownOfPoints& known) {
        const auto& counts = known.onClass;
        const auto within = static_cast<qint64>(known.inTraining);
        tellIn(warning_,
               within == 0
                   ? QString()
                   : txt("%1 of these points lie in training areas, where a map is better than "
                         "elsewhere: plan other points, or say so.",
                         "%1 of these points lies in a training area, where a map is better than "
                         "elsewhere: plan other points, or say so.",
                         within)
                         .arg(grouped(known.inTraining)));
        for (int r = 0; r < knownTable_->rowCount(); ++r) {
          const auto at = counts.find(knownTable_->item(r, 0)->data(Qt::UserRole).toInt());
          knownTable_->item(r, 2)->setText(at == counts.end() ? "0" : QString::number(at->second));
        }
      },
      [this](const QString& sentence) { Q_EMIT trouble(sentence); });
}

/// Once the labelling is closed.
void ValidationPanel::showAccuracies() {
  const Judged* j = book_.blind() || starting() ? nullptr : book_.judged();
  table_->setVisible(j != nullptr);
  if (j == nullptr) return;
  const auto& m = j->matrix;
  table_->setRowCount(static_cast<int>(m.codes.size()));
  for (int r = 0; r < table_->rowCount(); ++r) {
    const auto i = static_cast<size_t>(r);
    table_->setItem(r, 0, classItem(book_.legend(), m.codes[i], m.names[i]));
    table_->setItem(r, 1, figureItem(percent(j->first().users[i].value)));
    table_->setItem(r, 2, figureItem(percent(j->first().producers[i].value)));
  }
  fitHeight(table_);
}

Panel::Heading ValidationPanel::heading() const {
  return {{},
          txt("Say what is at each point without seeing the map, then confront your labels with "
              "it.")};
}

QString ValidationPanel::action() const {
  if (!anyPoints()) return txt("Plan the points");
  if (starting())
    return reference_->fromElsewhere() ? txt("Take their labels") : txt("Start labelling");
  const Labelling& l = book_.labelling();
  if (!book_.blind()) return txt("See the matrix");
  if (l.closed())
    return txt("%1 goes on labelling (%2 left)")
        .arg(book_.labellerName(2))
        .arg(book_.second()->labelling.points().size() - book_.second()->labelling.labelled());
  const size_t left = l.points().size() - l.labelled();
  return left > 0 ? txt("Go on labelling (%1 left)").arg(left) : txt("Look over and close");
}

/// Labels of the same points are told apart by a number.
QString ValidationPanel::freeName() const {
  std::set<std::string> taken;
  for (const auto& p : bench_.study().products) taken.insert(p.name);
  const QString name = txt("Labels of %1").arg(points_->currentText());
  for (int n = 2; taken.count(name.toStdString()) > 0; ++n)
    if (const QString next = QString("%1 %2").arg(name).arg(n);
        taken.count(next.toStdString()) == 0)
      return next;
  return name;
}

Json ValidationPanel::step() const {
  Json step{{"do", "labels"},
            {"points", points_->currentData().toString().toStdString()},
            {"map", map_->currentData().toString().toStdString()},
            {"seed", seed_->value()},
            {"name", freeName().toStdString()}};
  if (const int block = block_->currentData().toInt(); block != 1) step["block"] = block;
  reference_->addTo(step);
  return step;
}

void ValidationPanel::act() {
  if (!anyPoints()) return Q_EMIT planAsked(map_->currentData().toString());
  if (starting()) return begin();
  if (!book_.blind()) return Q_EMIT matrixAsked();
  startLabelling(book_.labelling().closed() ? LabelBook::Task::Second : LabelBook::Task::Label);
}

void ValidationPanel::startLabelling(LabelBook::Task task) {
  book_.setTask(task);
  Q_EMIT labellingAsked();
}

void ValidationPanel::begin() {
  bench_.run(step(), txt("Prepare the labelling"), [this](const QString&) {
    again_ = false;
    if (!reference_->fromElsewhere()) book_.setLabeller(who_->text().trimmed().toStdString());
    if (!book_.blind()) return Q_EMIT matrixAsked();
    startLabelling(LabelBook::Task::Label);
  });
}

/// A class map is in view, so that points on it would tell what they are mapped as.
bool ValidationPanel::mapSeen() const {
  return view_.front().kind == Picture::Kind::Classes ||
         view_.back().kind == Picture::Kind::Classes;
}

std::vector<ViewPoint> ValidationPanel::points() const {
  std::vector<ViewPoint> out;
  const Labelling& l = book_.labelling();
  std::optional<CrsChange> change;
  try {
    change.emplace(book_.crs(), book_.crs().empty() ? "" : view_.crs());
  } catch (const std::exception&) {
    return out;
  }
  const auto colour = [&](int code) {
    const auto* c = book_.legend().find(code);
    return c != nullptr ? toQt(c->colour) : QColor(Qt::white);
  };
  const bool told = !book_.blind();
  if (!told && mapSeen()) return out;
  // While a second labeller is at it, not even the labels of the first are seen.
  const bool others = book_.second() && !book_.second()->labelling.closed();
  for (const auto& p : l.points()) {
    if (told && !book_.inCell(p)) continue;
    Place at = p.place;
    if (!change->apply(at)) continue;
    ViewPoint v{at, QColor(Qt::white), {}, false};
    if (p.reference != 0 && !others) v.colour = colour(p.reference);
    if (told && p.reference != 0 && p.mapped != 0 && p.mapped != p.reference)
      v.ring = colour(p.mapped);
    out.push_back(v);
  }
  return out;
}

}  // namespace zp
