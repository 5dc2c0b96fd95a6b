#include "desks/accuracy/accuracy_desk.h"

#include "sampling/readings.h"

namespace zp {

LabelBook::LabelBook(Workbench& bench) : bench_(bench) {
  connect(&bench_, &Workbench::studyChanged, this, [this] {
    id_.clear();
    labelling_ = {};
    cell.reset();
    if (bench_.hasStudy()) load();
  });
  connect(&bench_, &Workbench::changed, this, [this] { load(); });
}

const Product* LabelBook::product() const {
  return bench_.hasStudy() ? bench_.study().newest(ProductKind::Labels) : nullptr;
}

const Product* LabelBook::map() const {
  const Product* p = product();
  return p == nullptr ? nullptr : bench_.study().product(p->step.value("map", ""));
}

bool LabelBook::load() {
  const Product* p = product();
  if (p == nullptr) {
    id_.clear();
    labelling_ = {};
    return false;
  }
  if (p->id == id_ && p->revision == revision_) return true;
  try {
    const LabelsFile labels = readLabels(p->file);
    if (p->id == id_ && !labelling_.empty()) {
      // Made again for a changed map: the labels in hand may be newer than those it began with.
      labelling_ = labelling_.onChangedMap(labels.labelling.points());
      writeLabels(p->file, {labelling_, labels.crs});
    } else {
      labelling_ = labels.labelling;
    }
    crs_ = labels.crs;
    id_ = p->id;
    revision_ = p->revision;
    Q_EMIT updated();
    return true;
  } catch (const std::exception& e) {
    Q_EMIT bench_.trouble(sentenceOf(e));
    return false;
  }
}

void LabelBook::changed() {
  const Product* p = product();
  if (p == nullptr) return;
  try {
    writeLabels(p->file, {labelling_, crs_});
  } catch (const std::exception& e) {
    Q_EMIT bench_.trouble(sentenceOf(e));
  }
  Q_EMIT updated();
}

std::optional<ConfusionMatrix> LabelBook::matrix() const {
  if (labelling_.labelled() == 0) return {};
  try {
    return confusionMatrix(labelling_.pairs(), bench_.study().legend);
  } catch (const std::exception&) {
    return {};
  }
}

std::map<int, double> LabelBook::mappedAreas() const {
  std::map<int, double> areas;
  const Product* m = map();
  if (m == nullptr || !m->facts.contains("classes")) return areas;
  for (const auto& c : m->facts["classes"])
    if (c["area_m2"].is_number()) areas[c["code"].get<int>()] = c["area_m2"].get<double>();
  return areas;
}

bool LabelBook::drawnPerClass() const {
  const Product* labels = product();
  const Product* points =
      labels == nullptr ? nullptr : bench_.study().product(labels->step.value("points", ""));
  return points != nullptr && points->step.value("plan", "") == "stratified" &&
         points->step.value("over", "") == labels->step.value("map", "") &&
         !points->step.contains("inside");
}

std::optional<StratifiedEstimate> LabelBook::weighted(const ConfusionMatrix& m) const {
  if (!drawnPerClass()) return {};
  // The classes the points were drawn in must still be those of the map.
  const Product* drawn = bench_.study().product(product()->step.value("points", ""));
  for (const auto& i : drawn->inputs)
    if (i.revision != bench_.study().revisionOf(i.id)) return {};
  try {
    return stratifiedEstimate(m, mappedAreas());
  } catch (const std::exception&) {
    return {};  // a class without points yet: counts alone are told
  }
}

std::optional<Estimate> LabelBook::overall() const {
  const auto m = matrix();
  if (!m) return {};
  const auto w = weighted(*m);
  return w ? w->overall : m->overall();
}

AccuracyDesk::AccuracyDesk(Workbench& bench, MapView& view, LabelBook& book)
    : Desk(bench, view, txt("Accuracy")), book_(book), known_(this) {
  map_ = new QComboBox;
  map_->setObjectName("accuracyMap");
  points_ = new QComboBox;
  points_->setObjectName("accuracyPoints");
  body()->addLayout(labelledRow(txt("Map"), map_));
  body()->addLayout(labelledRow(txt("Points"), points_));
  advice_ = secondLabel("");
  body()->addWidget(advice_);
  body()->addWidget(hairline());
  state_ = secondLabel("");
  state_->setObjectName("labelState");
  body()->addWidget(state_);
  bar_ = new QProgressBar;
  bar_->setTextVisible(false);
  body()->addWidget(bar_);
  table_ = plainTable({txt("Class"), txt("user's"), txt("producer's")});
  table_->setObjectName("accuracyTable");
  body()->addWidget(table_);
  knownTable_ = plainTable({txt("Class"), txt("mapped ha"), txt("points")});
  knownTable_->setObjectName("knownTable");
  knownTable_->setSelectionMode(QAbstractItemView::NoSelection);
  body()->addWidget(knownTable_);
  for (auto* box : {map_, points_})
    connect(box, &QComboBox::activated, this, &AccuracyDesk::showKnown);
  all_ = linkButton(txt("Show all points"));
  all_->setObjectName("allPoints");
  connect(all_, &QPushButton::clicked, this, [this] {
    book_.cell.reset();
    Q_EMIT book_.updated();
  });
  body()->addWidget(all_, 0, Qt::AlignLeft);
  fresh_ = linkButton(txt("Start again with the map and points above"));
  fresh_->setObjectName("freshLabels");
  body()->addWidget(fresh_, 0, Qt::AlignLeft);
  body()->addStretch();
  matrix_ = quietButton(txt("Matrix"));
  matrix_->setObjectName("openMatrix");
  footer()->addWidget(matrix_);
  connect(primary_, &QPushButton::clicked, this, &AccuracyDesk::act);
  connect(matrix_, &QPushButton::clicked, this, &AccuracyDesk::matrixAsked);
  connect(fresh_, &QPushButton::clicked, this, [this] {
    const Json step = {{"do", "labels"},
                       {"points", points_->currentData().toString().toStdString()},
                       {"map", map_->currentData().toString().toStdString()},
                       {"seed", 1},
                       {"name", txt("Labels of %1").arg(points_->currentText()).toStdString()}};
    bench_.run(step, txt("Prepare the labelling"),
               [this](const QString&) { Q_EMIT labellingAsked(); });
  });
  connect(&book_, &LabelBook::updated, this, [this] {
    if (isVisible()) refresh();
  });
}

/// Before there are labels: what the map says of each class, and how many points test it.
void AccuracyDesk::showKnown() {
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
    const auto* known = s.legend.find(c["code"].get<int>());
    auto* name =
        new QTableWidgetItem(swatch(known != nullptr ? toQt(known->colour) : tokens().second),
                             q(c["name"].get<std::string>()));
    name->setData(Qt::UserRole, c["code"].get<int>());
    knownTable_->setItem(r, 0, name);
    knownTable_->setItem(
        r, 1,
        figureItem(c["area_m2"].is_number() ? areaText(c["area_m2"].get<double>()) : QString("–")));
    knownTable_->setItem(r, 2, figureItem("…"));
  }
  fitHeight(knownTable_, 14);
  known_.ask(
      [map = map->file, points = points->file](const Progress& progress) {
        const Layer layer = readLayer(points.string());
        std::vector<Place> places;
        for (const auto& shape : layer.shapes)
          if (!shape.points.empty()) places.push_back(shape.points[0]);
        std::map<int, int> counts;
        const Readings read = readAt(places, layer.crs, {{map, 1, "map"}}, progress);
        for (const double v : read.values[0])
          if (!std::isnan(v)) ++counts[static_cast<int>(v)];
        return counts;
      },
      [this](const std::map<int, int>& counts) {
        for (int r = 0; r < knownTable_->rowCount(); ++r) {
          const auto at = counts.find(knownTable_->item(r, 0)->data(Qt::UserRole).toInt());
          knownTable_->item(r, 2)->setText(at == counts.end() ? "0" : QString::number(at->second));
        }
      },
      [this](const QString& sentence) { say(sentence); });
}

void AccuracyDesk::act() {
  if (book_.none()) return fresh_->click();
  if (book_.labelling().closed()) return Q_EMIT matrixAsked();
  Q_EMIT labellingAsked();
}

void AccuracyDesk::refresh() {
  const Study& s = bench_.study();
  const QVariant map = map_->currentData(), at = points_->currentData();
  map_->clear();
  points_->clear();
  for (auto p = s.products.rbegin(); p != s.products.rend(); ++p) {
    if (p->kind == ProductKind::ClassMap) map_->addItem(q(p->name), q(p->id));
    if (p->kind == ProductKind::Points) points_->addItem(q(p->name), q(p->id));
  }
  if (map_->findData(map) >= 0) map_->setCurrentIndex(map_->findData(map));
  if (points_->findData(at) >= 0) points_->setCurrentIndex(points_->findData(at));
  if (map_->count() == 0)
    return setMissing(
        txt("Here a map is tested at points whose true class you say, and its confusion matrix and "
            "accuracies with their intervals appear. There is no map to test yet; make one first."),
        txt("Go to mapping"), 3);
  if (points_->count() == 0)
    return setMissing(txt("A map is tested at validation points. Place some first, about 30 to 50 "
                          "in each class."),
                      txt("Go to sampling"), 4);
  setReady();
  const Labelling& l = book_.labelling();
  setHeading(
      txt("Accuracy"),
      txt("Say what is at each point without seeing the map, then confront your labels with it."));
  const size_t n = l.points().size(), done = l.labelled();
  advice_->setText(book_.none()
                       ? txt("The points come in shuffled order, and the class of the map "
                             "stays hidden until you close the labelling. Then here stand the "
                             "user's and producer's accuracy of each class; 30 to 50 points in "
                             "each say enough. What is known already:")
                       : QString());
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
  primary_->setText(book_.none() ? txt("Start labelling")
                    : l.closed() ? txt("See the matrix")
                                 : txt("Go on labelling (%1 left)").arg(n - done));
  fresh_->setVisible(!book_.none());
  all_->setVisible(l.closed() && book_.cell.has_value());
  matrix_->setVisible(!book_.none() && !l.closed());
  matrix_->setEnabled(done > 0);
  showKnown();
  const auto m = l.closed() ? book_.matrix() : std::nullopt;
  table_->setVisible(m.has_value());
  if (!m) return;
  table_->setRowCount(static_cast<int>(m->codes.size()));
  for (int r = 0; r < table_->rowCount(); ++r) {
    const auto i = static_cast<size_t>(r);
    const auto* c = s.legend.find(m->codes[i]);
    table_->setItem(r, 0,
                    new QTableWidgetItem(swatch(c != nullptr ? toQt(c->colour) : tokens().second),
                                         q(m->names[i])));
    table_->setItem(
        r, 1,
        figureItem(std::isnan(m->users(i).value) ? "–"
                                                 : decimal(100 * m->users(i).value, 0) + " %"));
    table_->setItem(r, 2,
                    figureItem(std::isnan(m->producers(i).value)
                                   ? "–"
                                   : decimal(100 * m->producers(i).value, 0) + " %"));
  }
  fitHeight(table_);
}

std::vector<ViewPoint> AccuracyDesk::points() const {
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
    if (l.closed() && book_.cell &&
        (p.mapped != book_.cell->first || p.reference != book_.cell->second))
      continue;
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
