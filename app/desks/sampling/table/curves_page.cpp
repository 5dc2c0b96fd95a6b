#include "desks/sampling/table/curves_page.h"

#include "base/nan.h"
#include "look/look.h"

namespace zp {

namespace {
constexpr const char* kLayer = "layer";  // the column that a table a zone and date has
}

CurvesPage::CurvesPage(TableBook& book, SheetModel& sheet) : ChartPage(book, sheet) {
  y_ = addChoice("curvesOf", txt("Of"), Takes::Numbers);
  below_ = addChoice("curvesBelow", txt("Below it"), Takes::Numbers, txt("nothing"));
  by_ = addChoice("curvesBy", txt("A curve each"), Takes::Any, txt("all rows"));
  date_ = addChoice("curvesDate", txt("Date"), Takes::Dates);
  layer_ = new LongChoice;
  layer_->setObjectName("curvesLayer");
  along_ = new LongChoice;
  along_->setObjectName("curvesAlong");
  along_->addItem(txt("by date"));
  along_->addItem(txt("by day of the year, years over each other"));
  along_->addItem(txt("by days since"));
  since_ = addChoice("curvesSince", "", Takes::Dates);
  since_->parentWidget()->hide();  // it stands in the second row
  auto* second = new QHBoxLayout;
  second->setSpacing(10);
  auto* holder = new QWidget;
  holder->setLayout(second);
  second->setContentsMargins(0, 0, 0, 0);
  second->addWidget(layerRow_ = fieldRow(txt("Layer"), {layer_}, 40), 1);
  second->addWidget(fieldRow(txt("Along"), {along_, since_}, 44), 2);
  addWidget(holder);
  for (QComboBox* choice : {layer_, along_})
    connect(choice, &QComboBox::activated, this, &ChartPage::changed);
  chart_ = new CurveChart;
  setRoom(chart_);
  connect(chart_, &BrushedChart::brushed, this, [this](const QRectF& r) {
    const auto* date = columnOf(date_);
    if (date == nullptr || along() != Along::Date) return book_.choose({});
    chooseShown([&](size_t i) {
      const double at = date->numbers[i] * 86'400;
      return r.left() <= at && at <= r.right();
    });
  });
  connect(chart_, &BrushedChart::clickedAt, this, [this](const QPointF& at) {
    const int curve = chart_->curveAt(at);
    const auto* by = columnOf(by_);
    if (curve < 0) return book_.choose({});
    const std::string group = curves_[static_cast<size_t>(curve)].group;
    chooseShown([&](size_t i) { return by == nullptr || by->texts[i] == group; });
  });
}

Along CurvesPage::along() const {
  return along_->currentIndex() == 1   ? Along::DayOfYear
         : along_->currentIndex() == 2 ? Along::DaysSince
                                       : Along::Date;
}

/// Of a table of several layers, which one; what is chosen stays.
void CurvesPage::fillLayers() {
  const QString before = layer_->currentText();
  layer_->clear();
  const auto& columns = book_.shown().columns;
  const auto at = std::find_if(columns.begin(), columns.end(),
                               [](const Column& c) { return c.name == kLayer; });
  if (at != columns.end()) {
    QStringList all;
    for (const auto& text : at->texts)
      if (!all.contains(q(text))) all << q(text);
    layer_->addItems(all);
    if (const int known = layer_->findText(before); known >= 0) layer_->setCurrentIndex(known);
  }
  layerRow_->setVisible(layer_->count() > 1);
}

std::string CurvesPage::layerOf(size_t row) const {
  for (const auto& c : book_.shown().columns)
    if (c.name == kLayer) return c.texts[row];
  return {};
}

/// Backscatter is averaged as power, whatever it is told in: of a layer in decibels its own
/// statistics, but not what was joined beside them.
bool CurvesPage::inDecibels(const Column& value) const {
  static const QRegularExpression own("^(value|mean|median|min|max|p[0-9.]+)$"),
      named(" dB(_(mean|median|min|max|p[0-9.]+))?$");
  const QString from = q(value.from);
  return (layer_->currentText().endsWith(" dB") && own.match(from).hasMatch()) ||
         named.match(from).hasMatch();
}

SeasonRows CurvesPage::rowsOf(const Column& value, const Column& date,
                              const std::vector<bool>* only) const {
  const auto *by = columnOf(by_), *since = columnOf(since_);
  const bool layers = layer_->count() > 1;
  const std::string layer = layer_->currentText().toStdString();
  SeasonRows rows;
  rows.decibels = inDecibels(value);
  for (size_t r = 0; r < value.numbers.size(); ++r) {
    const bool counts = (!layers || layerOf(r) == layer) && (only == nullptr || (*only)[r]);
    rows.dates.push_back(counts ? date.numbers[r] : kNan);
    rows.values.push_back(value.numbers[r]);
    rows.groups.push_back(only != nullptr || by == nullptr ? " " : by->texts[r]);
    if (along() == Along::DaysSince)
      rows.since.push_back(since == nullptr ? kNan : since->numbers[r]);
  }
  return rows;
}

/// The group, its year, and of how many places it is the mean.
QString CurvesPage::nameOf(const SeasonCurve& curve) const {
  size_t most = 0;
  for (const auto& p : curve.points) most = std::max(most, p.n);
  QStringList parts;
  if (columnOf(by_) != nullptr) parts << q(curve.group);
  if (curve.year != 0) parts << QString::number(curve.year);
  if (parts.isEmpty()) parts << txt("all rows");
  return parts.join(" ") + (most > 1 ? ", " + grouped(most) : QString());
}

bool CurvesPage::redraw() {
  fillLayers();
  since_->setVisible(along() == Along::DaysSince);
  const auto *y = columnOf(y_), *date = columnOf(date_);
  said_.clear();
  if (y == nullptr) return false;
  if (date == nullptr) {
    said_ =
        txt("There is no column of dates; read or summarise scenes of several dates with a row a "
            "place and date.");
    return false;
  }
  curves_ = seasonCurves(rowsOf(*y, *date, nullptr), along());
  const auto* below = columnOf(below_);
  chart_->setTitles(along() == Along::DaysSince ? txt("days") : QString(), titleOf(*y),
                    below == nullptr ? QString() : titleOf(*below));
  chart_->show(drawn(curves_), along(),
               below == nullptr ? std::vector<DrawnCurve>()
                                : drawn(seasonCurves(rowsOf(*below, *date, nullptr), along())));
  title_ = layer_->count() > 1 ? titleOf(*y) + " · " + layer_->currentText() : titleOf(*y);
  if (below != nullptr) title_ += txt("; below: %1").arg(titleOf(*below));
  tell(curves_.size());
  return true;
}

std::vector<DrawnCurve> CurvesPage::drawn(const std::vector<SeasonCurve>& curves) const {
  const auto* by = columnOf(by_);
  const auto colours = coloursBy(by);
  std::map<std::string, QColor> known;
  for (size_t r = 0; by != nullptr && r < colours.size(); ++r)
    known.emplace(by->texts[r], colours[r]);
  int newest = 0;
  for (const auto& c : curves) newest = std::max(newest, c.year);
  std::vector<DrawnCurve> all;
  for (const auto& c : curves) {
    if (all.size() == kMostCurves) break;
    const auto colour = known.find(c.group);
    all.push_back({c, nameOf(c), colour == known.end() ? tokens().text : colour->second,
                   c.year != newest, false});
  }
  return all;
}

void CurvesPage::tell(size_t curves) {
  size_t readings = 0, gaps = 0;
  for (const auto& c : curves_)
    for (const auto& p : c.points) readings += p.n, gaps += p.n == 0 ? 1 : 0;
  QStringList parts;
  parts << txt("%1 readings; band: one spread").arg(grouped(readings));
  if (inDecibels(*columnOf(y_))) parts << txt("Means are of power, told in decibels");
  if (gaps > 0) parts << txt("%1 places of curves are empty: gaps").arg(grouped(gaps));
  if (along() == Along::DaysSince)
    parts << txt("In steps of %1 days").arg(usualStep(columnOf(date_)->numbers));
  if (curves > kMostCurves) parts << txt("Only the first %1 curves are drawn").arg(kMostCurves);
  said_ = parts.join(". ") + ".";
}

void CurvesPage::showChoice() {
  const auto *y = columnOf(y_), *date = columnOf(date_);
  std::optional<DrawnCurve> laid;
  if (y != nullptr && date != nullptr && book_.chosenCount() > 0) {
    const auto chosen = chosenShown();
    const auto own = seasonCurves(rowsOf(*y, *date, &chosen), along());
    if (!own.empty()) laid = DrawnCurve{own.back(), txt("chosen"), tokens().accent, false, true};
  }
  chart_->lay(laid);
}

std::vector<QColor> CurvesPage::colours() const {
  const auto* by = columnOf(by_);
  return by == nullptr ? std::vector<QColor>() : coloursBy(by);
}

}  // namespace zp
