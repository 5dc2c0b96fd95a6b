#include "desks/accuracy/validation_panel.h"

#include "desks/accuracy/percent.h"
#include "sampling/readings.h"

namespace zp {
namespace {

/// How many points lie on each class of a map.
std::map<int, int> pointsByClass(const std::filesystem::path& map,
                                 const std::filesystem::path& points, const Progress& progress) {
  const Layer layer = readLayer(points.string());
  std::vector<Place> places;
  for (const auto& shape : layer.shapes)
    if (!shape.points.empty()) places.push_back(shape.points[0]);
  std::map<int, int> counts;
  const Readings read = readAt(places, layer.crs, {{map, 1, "map"}}, progress);
  for (const double v : read.values[0])
    if (!std::isnan(v)) ++counts[static_cast<int>(v)];
  return counts;
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
  fresh_ = linkButton(txt("Start again with the map and points above"));
  fresh_->setObjectName("freshLabels");
  box()->addWidget(fresh_, 0, Qt::AlignLeft);
  connect(all_, &QPushButton::clicked, this, [this] {
    book_.chooseAll();
    Q_EMIT book_.updated();
  });
  connect(fresh_, &QPushButton::clicked, this, &ValidationPanel::begin);
}

void ValidationPanel::buildChoices() {
  map_ = new QComboBox;
  map_->setObjectName("accuracyMap");
  points_ = new QComboBox;
  points_->setObjectName("accuracyPoints");
  box()->addWidget(fieldRow(txt("Map"), {map_}));
  pointsRow_ = fieldRow(txt("Points"), {points_});
  box()->addWidget(pointsRow_);
  field_ = new LongChoice;
  field_->setObjectName("accuracyField");
  field_->setToolTip(
      txt("Points from elsewhere may say in one of their columns, by name or code, "
          "which class they are"));
  box()->addWidget(fieldRow_ = fieldRow(txt("Their classes"), {field_}));
  connect(points_, &QComboBox::activated, this, &ValidationPanel::fillFields);
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
  bar_->setTextVisible(false);
  box()->addWidget(bar_);
  table_ = plainTable({txt("Class"), txt("user's"), txt("producer's")});
  table_->setObjectName("accuracyTable");
  box()->addWidget(table_);
  knownTable_ = plainTable({txt("Class"), txt("mapped ha"), txt("points")});
  knownTable_->setObjectName("knownTable");
  knownTable_->setSelectionMode(QAbstractItemView::NoSelection);
  box()->addWidget(knownTable_);
}

void ValidationPanel::forget() {
  known_.stop();
  map_->clear();
  points_->clear();
  field_->clear();
  fieldsOf_.clear();
}

void ValidationPanel::refresh() {
  fillChoices();
  fillFields();
  showProgress();
  showKnown();
  showAccuracies();
}

void ValidationPanel::fillChoices() {
  const auto& products = bench_.study().products;
  for (auto [choice, kind] :
       {std::pair{map_, ProductKind::ClassMap}, {points_, ProductKind::Points}}) {
    const QVariant before = choice->currentData();
    choice->clear();
    for (auto p = products.rbegin(); p != products.rend(); ++p)
      if (p->kind == kind) choice->addItem(q(p->name), q(p->id));
    if (const int at = choice->findData(before); at >= 0) choice->setCurrentIndex(at);
  }
}

/// Of points that came in; points placed here say no class.
void ValidationPanel::fillFields() {
  const QString id = points_->currentData().toString();
  const Product* points = bench_.study().product(id.toStdString());
  const bool fromElsewhere = points != nullptr && points->step.is_object() &&
                             points->step.value("do", "") == "import-table";
  fieldRow_->setVisible(fromElsewhere && book_.none());
  if (id == fieldsOf_) return;
  fieldsOf_ = id;
  field_->clear();
  field_->addItem(txt("are labelled here"), "");
  if (!fromElsewhere) return;
  try {
    for (const auto& c : readTable(points->file.string()).columns)
      field_->addItem(txt("stand in %1").arg(q(c)), q(c));
  } catch (const std::exception& e) {
    Q_EMIT trouble(sentenceOf(e));
  }
}

void ValidationPanel::showProgress() {
  const Labelling& l = book_.labelling();
  const size_t n = l.points().size(), done = l.labelled();
  pointsRow_->setVisible(anyPoints());
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
  advice_->setVisible(book_.none());
  bar_->setVisible(!book_.none());
  bar_->setRange(0, static_cast<int>(std::max<size_t>(1, n)));
  bar_->setValue(static_cast<int>(done));
  state_->setVisible(!book_.none());
  state_->setText(txt("%1 of %2 points labelled, %3 unsure.%4")
                      .arg(done)
                      .arg(n)
                      .arg(l.unsure())
                      .arg(l.closed() ? txt(" The labelling is closed.") : ""));
  fresh_->setVisible(!book_.none());
  all_->setVisible(l.closed() && book_.anyChosen());
}

/// Before there are labels: what the map says of each class, and how many points test it.
void ValidationPanel::showKnown() {
  const Study& s = bench_.study();
  const Product* map = s.product(map_->currentData().toString().toStdString());
  const Product* points = s.product(points_->currentData().toString().toStdString());
  const bool shown = book_.none() && map != nullptr && points != nullptr;
  knownTable_->setVisible(shown);
  if (!shown) return known_.stop();
  const Json& classes = map->facts["classes"];
  knownTable_->setRowCount(static_cast<int>(classes.size()));
  for (int r = 0; r < knownTable_->rowCount(); ++r) {
    const Json& c = classes[static_cast<size_t>(r)];
    const Json& area = c["area_m2"];
    knownTable_->setItem(r, 0, classItem(s, c["code"].get<int>(), c["name"].get<std::string>()));
    knownTable_->setItem(
        r, 1, figureItem(area.is_number() ? areaText(area.get<double>()) : QString("–")));
    knownTable_->setItem(r, 2, figureItem("…"));
  }
  fitHeight(knownTable_, 14);
  countPoints(*map, *points);
}

void ValidationPanel::countPoints(const Product& map, const Product& points) {
  known_.ask(
      [map = map.file, points = points.file](const Progress& progress) {
        return pointsByClass(map, points, progress);
      },
      [this](const std::map<int, int>& counts) {
        for (int r = 0; r < knownTable_->rowCount(); ++r) {
          const auto at = counts.find(knownTable_->item(r, 0)->data(Qt::UserRole).toInt());
          knownTable_->item(r, 2)->setText(at == counts.end() ? "0" : QString::number(at->second));
        }
      },
      [this](const QString& sentence) { Q_EMIT trouble(sentence); });
}

/// Once the labelling is closed.
void ValidationPanel::showAccuracies() {
  const Judged* j = book_.labelling().closed() ? book_.judged() : nullptr;
  table_->setVisible(j != nullptr);
  if (j == nullptr) return;
  const auto& m = j->matrix;
  table_->setRowCount(static_cast<int>(m.codes.size()));
  for (int r = 0; r < table_->rowCount(); ++r) {
    const auto i = static_cast<size_t>(r);
    table_->setItem(r, 0, classItem(bench_.study(), m.codes[i], m.names[i]));
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
  if (book_.none()) return txt("Start labelling");
  const Labelling& l = book_.labelling();
  if (l.closed()) return txt("See the matrix");
  return txt("Go on labelling (%1 left)").arg(l.points().size() - l.labelled());
}

Json ValidationPanel::step() const {
  Json step{{"do", "labels"},
            {"points", points_->currentData().toString().toStdString()},
            {"map", map_->currentData().toString().toStdString()},
            {"seed", 1},
            {"name", txt("Labels of %1").arg(points_->currentText()).toStdString()}};
  if (const QString field = field_->currentData().toString(); !field.isEmpty())
    step["field"] = field.toStdString();
  return step;
}

void ValidationPanel::act() {
  if (!anyPoints()) return Q_EMIT planAsked(map_->currentData().toString());
  if (book_.none()) return begin();
  if (book_.labelling().closed()) return Q_EMIT matrixAsked();
  Q_EMIT labellingAsked();
}

void ValidationPanel::begin() {
  bench_.run(step(), txt("Prepare the labelling"),
             [this](const QString&) { Q_EMIT labellingAsked(); });
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
    const auto* c = bench_.study().legend.find(code);
    return c != nullptr ? toQt(c->colour) : QColor(Qt::white);
  };
  for (const auto& p : l.points()) {
    if (l.closed() && !book_.inCell(p)) continue;
    Place at = p.place;
    if (!change->apply(at)) continue;
    ViewPoint v{at, QColor(Qt::white), {}, false};
    if (p.reference != 0) v.colour = colour(p.reference);
    if (l.closed() && p.reference != 0 && p.mapped != 0 && p.mapped != p.reference)
      v.ring = colour(p.mapped);
    out.push_back(v);
  }
  return out;
}

}  // namespace zp
