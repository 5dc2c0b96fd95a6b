#include "desks/sampling/readings_panel.h"

namespace zp {

namespace {
constexpr size_t kMostShown = 20'000;  // places the view draws without a delay
// What stands before the id of a layer whose columns are read, as a list under the same name.
const std::string kAttributesOf = "attributes:", kNearestOf = "nearest:";

/// Places as they are drawn over the view.
struct Drawn {
  std::vector<Shape> polygons;
  std::vector<Place> points;
};

Drawn drawn(const std::string& layer, const std::string& crs) {
  Drawn out;
  for (auto& shape : readLayer(layer, crs).shapes) {
    if (!shape.rings.empty()) out.polygons.push_back({shape.rings, {}});
    out.points.insert(out.points.end(), shape.points.begin(), shape.points.end());
    if (out.polygons.size() + out.points.size() >= kMostShown) break;
  }
  return out;
}
}  // namespace

ReadingsPanel::ReadingsPanel(Workbench& bench, MapView& view)
    : Panel(bench), view_(view), job_(this) {
  buildChoices();
  buildStatistics();
  buildTable();
}

void ReadingsPanel::buildChoices() {
  places_ = new LongChoice;
  places_->setObjectName("readPlaces");
  layers_ = new QListWidget;
  layers_->setObjectName("readLayers");
  layers_->setAccessibleName(txt("Layers to read"));
  layers_->setVerticalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
  withFeatures_ = chip(txt("Features of the scene too"));
  withFeatures_->setObjectName("readFeatures");
  features_ = new FeaturesPanel(bench_);
  features_->hide();
  box()->addWidget(fieldRow(txt("At"), {places_}));
  box()->addWidget(layers_);
  box()->addWidget(wrapping({withFeatures_}));
  box()->addWidget(features_);
  how_ = new LongChoice;
  how_->setObjectName("readHow");
  how_->addItem(txt("the pixel it lies in"), "nearest");
  how_->addItem(txt("between four pixels"), "bilinear");
  how_->addItem(txt("the mean around it"), "mean");
  how_->setToolTip(txt("Of class maps always the pixel it lies in"));
  window_ = new QSpinBox;
  window_->setObjectName("readWindow");
  window_->setRange(3, 99);
  window_->setSingleStep(2);
  window_->setSuffix(txt(" pixels"));
  window_->setAccessibleName(txt("Width of the window"));
  window_->hide();
  box()->addWidget(howRow_ = fieldRow(txt("A point gets"), {how_, window_}));
  connect(how_, &QComboBox::activated, this,
          [this] { window_->setVisible(how_->currentData() == "mean"); });
  connect(places_, &QComboBox::activated, this, [this] {
    refresh();
    showPlaces();
  });
  connect(layers_, &QListWidget::itemChanged, this, &ReadingsPanel::changed);
  connect(withFeatures_, &QPushButton::toggled, this, [this](bool on) {
    features_->setVisible(on);
    if (on) features_->refresh();
    Q_EMIT changed();
  });
  connect(features_, &FeaturesPanel::changed, this, &ReadingsPanel::changed);
  connect(features_, &FeaturesPanel::trouble, this, &ReadingsPanel::trouble);
}

/// Of zones and cells.
void ReadingsPanel::buildStatistics() {
  zones_ = new QWidget;
  auto* column = columnIn(zones_);
  const std::pair<const char*, QString> statistics[] = {
      {"mean", txt("mean")},    {"sd", txt("spread")},         {"median", txt("median")},
      {"min", txt("least")},    {"max", txt("most")},          {"p10", txt("10 %")},
      {"p90", txt("90 %")},     {"sum", txt("sum")},           {"count", txt("pixels")},
      {"share", txt("shares")}, {"majority", txt("majority")}, {"patches", txt("patches")}};
  QList<QWidget*> chips;
  for (const auto& [id, title] : statistics) {
    auto* one = chip(title);
    one->setObjectName(QString("stat-") + id);
    one->setProperty("statistic", id);
    one->setChecked(QStringList{"mean", "count", "share"}.contains(id));
    connect(one, &QPushButton::clicked, this, &ReadingsPanel::changed);
    statistics_ << one;
    chips << one;
  }
  statistics_[9]->setToolTip(txt("Of each class, in class maps"));
  statistics_[10]->setToolTip(txt("The most frequent class, in class maps"));
  statistics_[11]->setToolTip(txt("Of each class their number and area, in class maps"));
  pixels_ = new LongChoice;
  pixels_->setObjectName("zonePixels");
  pixels_->addItem(txt("whose centre lies inside"), "centres");
  pixels_->addItem(txt("by the share that lies inside"), "by-area");
  rows_ = new LongChoice;
  rows_->setObjectName("zoneRows");
  rows_->addItem(txt("a row a place"));
  rows_->addItem(txt("a row a place and date"));
  column->addWidget(wrapping(chips, 6));
  column->addWidget(fieldRow(txt("Pixels"), {pixels_}));
  box()->addWidget(zones_);
  box()->addWidget(rowsRow_ = fieldRow(txt("Table"), {rows_}));
}

void ReadingsPanel::buildTable() {
  title_ = sectionLabel("");
  empty_ = secondLabel("");
  empty_->setObjectName("emptyZones");
  openTable_ = quietButton(txt("Open the table"));
  openTable_->setObjectName("openTable");
  box()->addWidget(title_);
  box()->addWidget(empty_);
  box()->addWidget(openTable_);
  box()->addStretch();
  connect(openTable_, &QPushButton::clicked, this, [this] {
    if (const auto* p = bench_.study().newest(ProductKind::Table)) Q_EMIT productAsked(q(p->id));
  });
}

void ReadingsPanel::forget() {
  places_->clear();
  layers_->clear();
  features_->forget();
  seen_.clear();
  shapes_.clear();
  points_.clear();
}

void ReadingsPanel::refresh() {
  fillPlaces();
  fillLayers();
  if (withFeatures_->isChecked()) features_->refresh();
  zones_->setVisible(places_->count() > 0 && !atPoints());
  howRow_->setVisible(atPoints());
  rowsRow_->setVisible(places_->count() > 0);
  fillTable();
  if (isVisible()) showPlaces();
  Q_EMIT changed();
}

/// Points and cells, the newest first, and outlines.
void ReadingsPanel::fillPlaces() {
  const QVariant before = places_->currentData();
  places_->clear();
  const auto& products = bench_.study().products;
  for (auto p = products.rbegin(); p != products.rend(); ++p)
    if (p->kind == ProductKind::Points || p->kind == ProductKind::Cells)
      places_->addItem(q(p->name), q(p->id));
  for (const auto& o : bench_.study().outlines)
    places_->addItem(txt("zones of %1").arg(q(o.name)), q(o.id));
  if (const int at = places_->findData(before); at >= 0) places_->setCurrentIndex(at);
}

void ReadingsPanel::choosePlaces(const QString& product) {
  if (const int at = places_->findData(product); at >= 0) places_->setCurrentIndex(at);
  refresh();
}

bool ReadingsPanel::atPoints() const {
  const auto* p = bench_.study().product(places_->currentData().toString().toStdString());
  return p != nullptr && p->kind == ProductKind::Points;
}

/// What is read stands on the view; an outline that is shown does so already.
void ReadingsPanel::showPlaces() {
  const QString id = places_->currentData().toString();
  const auto* p = bench_.study().product(id.toStdString());
  std::string layer = p == nullptr ? "" : p->file.string();
  QColor colour(255, 255, 255, 150);
  for (const auto& o : bench_.study().outlines)
    if (q(o.id) == id && !o.shown) layer = o.layer, colour = toQt(o.colour);
  const QString key = q(layer) + "/" + QString::number(p == nullptr ? 0 : p->revision);
  if (key == seen_) return;
  seen_ = key;
  shapes_.clear();
  points_.clear();
  Q_EMIT overlayChanged();
  if (layer.empty()) return job_.stop();
  job_.ask([layer, crs = view_.crs()](const Progress&) { return drawn(layer, crs); },
           [this, colour](const Drawn& places) {
             for (const auto& shape : places.polygons) {
               ViewShape cell;
               cell.shape = shape;
               cell.colour = colour;
               cell.width = 1;
               shapes_.push_back(std::move(cell));
             }
             for (const auto& at : places.points) points_.push_back({at, Qt::white, {}, false});
             Q_EMIT overlayChanged();
           },
           [this](const QString& sentence) { Q_EMIT trouble(sentence); });
}

/// Ticks stay; a product that is new here starts ticked, all else without. Points read columns of
/// outlines and cells too.
void ReadingsPanel::fillLayers() {
  std::map<QString, bool> ticks;
  for (int i = 0; i < layers_->count(); ++i)
    ticks[layers_->item(i)->data(Qt::UserRole).toString()] =
        layers_->item(i)->checkState() == Qt::Checked;
  layers_->clear();
  const auto add = [&](const std::string& id, const QString& name, bool tick) {
    const auto known = ticks.find(q(id));
    layers_->addItem(tickItem(name, q(id), known != ticks.end() ? known->second : tick));
  };
  const Study& s = bench_.study();
  for (auto p = s.products.rbegin(); p != s.products.rend(); ++p)
    if (p->kind == ProductKind::Index || p->kind == ProductKind::ClassMap ||
        p->kind == ProductKind::Quantity)
      add(p->id, q(p->name), true);
  for (const auto& one : s.scenes) add(one.id, txt("%1, all bands").arg(q(one.scene.name)), false);
  if (atPoints()) {
    for (const auto& o : s.outlines) {
      add(kAttributesOf + o.id, txt("%1, the polygon it lies in").arg(q(o.name)), false);
      add(kNearestOf + o.id, txt("%1, the nearest and its distance").arg(q(o.name)), false);
    }
    for (const auto& p : s.products)
      if (p.kind == ProductKind::Cells)
        add(kAttributesOf + p.id, txt("%1, the cell it lies in").arg(q(p.name)), false);
      else if (p.kind == ProductKind::Points && q(p.id) != places_->currentData().toString())
        add(kNearestOf + p.id, txt("%1, the nearest and its distance").arg(q(p.name)), false);
  }
  fitHeight(layers_);
}

Panel::Heading ReadingsPanel::heading() const {
  return {{}, txt("Layers of any grid and system, at points, in zones or cells.")};
}

QString ReadingsPanel::action() const {
  return places_->count() == 0 || atPoints() ? txt("Read layers") : txt("Summarise layers");
}

QString ReadingsPanel::missing() const {
  if (places_->count() == 0) return txt("Make points or cells first, or bring in an outline.");
  if (ticked().isEmpty() && !withFeatures_->isChecked())
    return txt("Tick at least one layer to read.");
  if (withFeatures_->isChecked())
    if (const QString why = features_->missing(); !why.isEmpty()) return why;
  if (!atPoints() && statistics().empty()) return txt("Choose at least one statistic.");
  return {};
}

Json ReadingsPanel::statistics() const {
  Json all = Json::array();
  for (const auto* one : statistics_)
    if (one->isChecked()) all.push_back(one->property("statistic").toString().toStdString());
  return all;
}

Json ReadingsPanel::step() const {
  const std::string places = places_->currentData().toString().toStdString();
  Json j = {{"do", atPoints() ? "readings" : "zones"}, {"from", Json::array()}};
  for (const auto& id : ticked()) {
    const QStringList parts = id.split(':');
    j[parts.size() == 1 ? "from" : parts[0].toStdString()].push_back(parts.last().toStdString());
  }
  if (withFeatures_->isChecked()) j.update(features_->step());
  if (atPoints()) {
    j["points"] = places;
    if (how_->currentIndex() > 0) j["how"] = how_->currentData().toString().toStdString();
    if (how_->currentData() == "mean") j["window"] = window_->value() | 1;  // an odd one
    if (rows_->currentIndex() == 1) j["rows"] = "points-and-dates";
    j["name"] = txt("Readings at %1").arg(places_->currentText()).toStdString();
    return j;
  }
  const bool cells = bench_.study().product(places) != nullptr;
  j[cells ? "cells" : "outline"] = places;
  j["statistics"] = statistics();
  j["pixels"] = pixels_->currentData().toString().toStdString();
  j["rows"] = rows_->currentIndex() == 1 ? "zones-and-dates" : "zones";
  j["name"] =
      (cells ? txt("Summary of %1") : txt("Summary, %1")).arg(places_->currentText()).toStdString();
  return j;
}

/// Which layers have no pixel in some zones.
QString ReadingsPanel::emptyZones(const Product& table) const {
  QStringList all;
  for (const auto& one : table.facts.value("without_pixels", Json::array()))
    if (all.size() < 3)
      all << txt("%n zones hold no pixel of %1.", "%n zone holds no pixel of %1.",
                 one.at("zones").get<qint64>())
                 .arg(q(one.at("layer").get<std::string>()));
  return all.join(" ");
}

/// Points that lie in no polygon of a layer, or in several.
QString ReadingsPanel::withoutAttributes(const Product& table) const {
  QStringList all;
  for (const auto& one : table.facts.value("attributes", Json::array())) {
    const auto count = [&](const char* key) { return one.at(key).get<qint64>(); };
    const QString layer = q(one.at("layer").get<std::string>());
    if (count("none") > 0)
      all << txt("%n points lie in nothing of %1.", "%n point lies in nothing of %1.",
                 count("none"))
                 .arg(layer);
    if (count("several") > 0)
      all << txt("%n points belong to several of %1; the first counts.",
                 "%n point belongs to several of %1; the first counts.", count("several"))
                 .arg(layer);
  }
  return all.mid(0, 3).join(" ");
}

/// Layers of which several places read the same pixel: those are no facts of their own.
QString ReadingsPanel::sharedPixels(const Product& table) const {
  QStringList all;
  const Json distinct = table.facts.value("distinct_pixels", Json::object());
  for (const auto& [column, counts] : distinct.items()) {
    const auto count = [&, of = &counts](const char* key) { return of->value(key, size_t{0}); };
    if (count("pixels") < count("values") && all.size() < 3)
      all << txt("%1 readings of %2 come from %3 different pixels.")
                 .arg(grouped(count("values")), q(column), grouped(count("pixels")));
  }
  return all.join(" ");
}

void ReadingsPanel::fillTable() {
  const auto* p = bench_.study().newest(ProductKind::Table);
  for (QWidget* w : std::initializer_list<QWidget*>{title_, openTable_})
    w->setVisible(p != nullptr);
  const QString empty = p == nullptr
                            ? QString()
                            : QStringList({emptyZones(*p), sharedPixels(*p), withoutAttributes(*p)})
                                  .join(" ")
                                  .trimmed();
  empty_->setText(empty);
  empty_->setVisible(!empty.isEmpty());
  if (p != nullptr)
    title_->setText(
        txt("%1, %n rows", "%1, %n row", p->facts.value("rows", qint64{0})).arg(q(p->name)));
}

}  // namespace zp
