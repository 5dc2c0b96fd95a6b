#include "desks/accuracy/reference_part.h"

#include "accuracy/reference_from.h"
#include "study/change_behind.h"

namespace zp {
namespace {

constexpr size_t kMostMatched = 60;
// What the choice stands for: a word, and after a colon the id of a product or outline.
constexpr const char* kColumn = "column";
constexpr const char* kMap = "map";
constexpr const char* kPolygons = "polygons";

using Counted = std::map<std::string, size_t>;

Counted counted(const std::vector<std::string>& said) {
  Counted counts;
  for (const auto& cell : said)
    if (!cell.empty()) ++counts[cell];
  return counts;
}

QString keyOf(const char* what, const std::string& id) {
  return QString(what) + ":" + q(id);
}

}  // namespace

ReferencePart::ReferencePart(Workbench& bench) : bench_(bench), job_(this) {
  from_ = new LongChoice;
  from_->setObjectName("accuracyField");
  field_ = new LongChoice;
  field_->setObjectName("referenceField");
  told_ = secondLabel("");
  told_->setObjectName("referenceTold");
  match_ = tableOfChoices({txt("Theirs"), txt("Ours")}, "referenceMatch", 190);
  auto* column = columnIn(this);
  column->addWidget(fieldRow(txt("Their classes"), {from_}));
  column->addWidget(fieldRow_ = fieldRow(txt("Column"), {field_}));
  column->addWidget(told_);
  column->addWidget(match_);
  connect(from_, &QComboBox::activated, this, [this] {
    fillFields();
    chosen_.clear();
    ask();
  });
  connect(field_, &QComboBox::activated, this, [this] {
    chosen_.clear();
    ask();
  });
}

std::string ReferencePart::choice() const {
  return from_->currentData().toString().section(':', 0, 0).toStdString();
}

std::string ReferencePart::id() const {
  return from_->currentData().toString().section(':', 1).toStdString();
}

void ReferencePart::forget() {
  job_.stop();
  from_->clear();
  of_.clear();
  chosen_.clear();
}

void ReferencePart::refresh(const QString& points, const QString& map) {
  const Study& s = bench_.study();
  points_ = points;
  map_ = map;
  QString of = points + "|" + map;
  for (const auto& p : s.products)
    if (p.kind == ProductKind::ClassMap) of += "|" + q(p.id);
  for (const auto& o : s.outlines) of += "|" + q(o.id);
  if (of == of_) return;
  of_ = of;
  const QVariant before = from_->currentData();
  from_->clear();
  from_->addItem(txt("are labelled here"), "");
  const Product* p = s.product(points.toStdString());
  if (p != nullptr && p->step.value("do", "") == "import-table")
    from_->addItem(txt("stand in a column of the points"), keyOf(kColumn, p->id));
  for (auto one = s.products.rbegin(); one != s.products.rend(); ++one)
    if (one->kind == ProductKind::ClassMap && q(one->id) != map &&
        (changeBehind(s, *one) != nullptr) == ofChange())
      from_->addItem(txt("are those of the map “%1”").arg(q(one->name)), keyOf(kMap, one->id));
  for (const auto& o : s.outlines)
    from_->addItem(txt("are those of the polygons “%1”").arg(q(o.name)), keyOf(kPolygons, o.id));
  if (const int at = from_->findData(before); at >= 0) from_->setCurrentIndex(at);
  fillFields();
  ask();
}

const Product* ReferencePart::mapAtStake() const {
  return bench_.study().product(map_.toStdString());
}

bool ReferencePart::ofChange() const {
  return mapAtStake() != nullptr && changeBehind(bench_.study(), *mapAtStake()) != nullptr;
}

Legend ReferencePart::legend() const {
  if (!ofChange()) return bench_.study().legend;
  return changeClassesOf(bench_.study(), *mapAtStake())->legend();
}

/// Of the points or the polygons.
void ReferencePart::fillFields() {
  const std::string what = choice();
  const bool shown = what == kColumn || what == kPolygons;
  fieldRow_->setVisible(shown);
  field_->clear();
  if (!shown) return;
  try {
    std::string layer;
    if (what == kColumn) layer = needProduct(bench_.study(), id()).file.string();
    for (const auto& o : bench_.study().outlines)
      if (what == kPolygons && o.id == id()) layer = o.layer;
    for (const auto& c : readTable(layer).columns) field_->addItem(q(c), q(c));
  } catch (const std::exception& e) {
    Q_EMIT trouble(sentenceOf(e));
  }
}

/// What stands there at the points.
void ReferencePart::ask() {
  told_->setVisible(false);
  match_->setVisible(false);
  Q_EMIT changed();
  const std::string what = choice(), column = field_->currentText().toStdString();
  const Product* points = bench_.study().product(points_.toStdString());
  if (what.empty() || points == nullptr) return job_.stop();
  std::filesystem::path map;
  std::string polygons;
  if (const auto* p = bench_.study().product(id())) map = p->file;
  for (const auto& o : bench_.study().outlines)
    if (o.id == id()) polygons = o.layer;
  job_.ask(
      [what, column, map, polygons, file = points->file](const Progress& progress) {
        const Layer layer = readLayer(file.string());
        if (what == kMap) return counted(saidByRaster(placesOf(layer), layer.crs, map, progress));
        if (what == kPolygons)
          return counted(
              saidByPolygons(placesOf(layer), layer.crs, readLayer(polygons), column, progress));
        std::vector<std::string> said;
        const size_t at = layer.table.column(column);
        for (const auto& row : layer.table.rows) said.push_back(row[at]);
        return counted(said);
      },
      [this](const Counted& said) { fillMatch(said); },
      [this](const QString& sentence) { Q_EMIT trouble(sentence); });
}

/// Each with the class it is taken for.
void ReferencePart::fillMatch(const Counted& said) {
  const Legend legend = this->legend();
  size_t points = 0;
  for (const auto& [cell, n] : said) points += n;
  const bool several = said.size() > kMostMatched;
  told_->setVisible(true);
  // The pairs of another map of change are known without being told.
  const bool known = ofChange() && choice() == kMap;
  told_->setText(said.empty() ? txt("Nothing stands there at any of the points.")
                 : known      ? txt("It says what changed at %1 points.",
                                    "It says what changed at %1 point.", static_cast<qint64>(points))
                               .arg(grouped(points))
                 : several ? txt("%1 different things stand there; that is no column of classes.")
                                 .arg(grouped(said.size()))
                           : txt("At %1 points something stands there. What it is in the legend:",
                                 "At %1 point something stands there. What it is in the legend:",
                                 static_cast<qint64>(points))
                                 .arg(grouped(points)));
  match_->setVisible(!said.empty() && !several && !known);
  if (!match_->isVisibleTo(this)) return;
  match_->setRowCount(static_cast<int>(said.size()));
  int r = 0;
  for (const auto& [cell, n] : said) {
    match_->setItem(r, 0, new QTableWidgetItem(txt("%1 (%2)").arg(q(cell), grouped(n))));
    auto* ours = choiceInTable(QString("ours-%1").arg(q(cell)), txt("Class of %1").arg(q(cell)));
    ours->addItem(txt("left out"), 0);
    for (const auto& c : legend.classes) ours->addItem(swatch(toQt(c.colour)), q(c.name), c.code);
    const auto at = chosen_.find(cell);
    const int code = at != chosen_.end() ? at->second : classSaid(cell, {}, legend);
    ours->setCurrentIndex(std::max(0, ours->findData(code)));
    connect(ours, &QComboBox::activated, this,
            [this, ours, cell = cell] { chosen_[cell] = ours->currentData().toInt(); });
    match_->setCellWidget(r++, 1, ours);
  }
  fitHeight(match_, 10);
}

void ReferencePart::addTo(Json& step) const {
  const std::string what = choice();
  if (what.empty()) return;
  if (what == kMap) step["reference"] = id();
  if (what == kPolygons) step["polygons"] = id();
  if (what != kMap) step["field"] = field_->currentText().toStdString();
  if (!chosen_.empty()) step["match"] = chosen_;
}

}  // namespace zp
