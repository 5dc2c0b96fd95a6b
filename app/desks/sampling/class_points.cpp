#include "desks/sampling/class_points.h"

#include "shell/product_face.h"

namespace zp {

ClassPoints::ClassPoints() : QTableWidget(0, 3) {
  setObjectName("planClasses");
  setAccessibleName(txt("Points in each class"));
  setHorizontalHeaderLabels({txt("Class"), txt("of the area"), txt("Points")});
  dressTable(this);
  setFocusPolicy(Qt::StrongFocus);
  connect(this, &QTableWidget::itemChanged, this, [this](QTableWidgetItem* changed) {
    if (changed->column() == 2) {
      bool whole = false;
      const int n = changed->text().remove(' ').toInt(&whole);
      if (whole && n >= 0 && n <= 1'000'000) numbers_[code(changed->row())] = n;
    }
    fillNumbers();
    Q_EMIT classesChanged();
  });
}

void ClassPoints::show(const Study& study, const Product* map) {
  const QSignalBlocker quiet(this);
  std::string of = map == nullptr ? "" : map->id + "/" + std::to_string(map->revision);
  for (const auto& c : study.legend.classes) of += "/" + c.name + colourText(c.colour);
  if (of == of_) return;
  const bool sameMap = of.substr(0, of.find('/')) == of_.substr(0, of_.find('/'));
  std::set<int> without;
  for (int r = 0; r < rowCount() && sameMap; ++r)
    if (!ticked(r)) without.insert(code(r));
  if (!sameMap) numbers_.clear();
  of_ = of;
  const Json classes = map == nullptr ? Json::array() : map->facts.value("classes", Json::array());
  const Legend legend = map == nullptr ? Legend() : legendOfMap(*map);
  double pixels = 0;
  for (const auto& c : classes) pixels += c.at("pixels").get<double>();
  setRowCount(0);
  for (const auto& c : classes) {
    if (c.at("pixels") == 0) continue;
    const int row = rowCount(), code = c.at("code");
    insertRow(row);
    auto* name = classItem(legend, code, c.at("name"));
    name->setData(Qt::UserRole, code);
    name->setFlags(Qt::ItemIsEnabled | Qt::ItemIsUserCheckable);
    name->setCheckState(without.count(code) > 0 ? Qt::Unchecked : Qt::Checked);
    setItem(row, 0, name);
    setItem(row, 1, figureItem(decimal(100 * c.at("pixels").get<double>() / pixels, 1) + " %"));
    setItem(row, 2, figureItem(""));
    item(row, 1)->setFlags(Qt::ItemIsEnabled);
  }
  fitHeight(this, 14);
  setGiven(given_, 0);
}

void ClassPoints::setGiven(bool given, int count) {
  given_ = given;
  setEditTriggers(given ? QAbstractItemView::DoubleClicked | QAbstractItemView::SelectedClicked |
                              QAbstractItemView::EditKeyPressed | QAbstractItemView::AnyKeyPressed
                        : QAbstractItemView::NoEditTriggers);
  for (int r = 0; r < rowCount() && count > 0; ++r) numbers_.try_emplace(code(r), count);
  fillNumbers();
}

void ClassPoints::fillNumbers() {
  const QSignalBlocker quiet(this);
  for (int r = 0; r < rowCount(); ++r) {
    auto* number = item(r, 2);
    number->setFlags(given_ && ticked(r)
                         ? Qt::ItemIsEnabled | Qt::ItemIsSelectable | Qt::ItemIsEditable
                         : Qt::ItemIsEnabled);
    if (!ticked(r)) {
      number->setText("–");
    } else if (given_) {
      number->setText(QString::number(numbers_[code(r)]));
    }
  }
}

void ClassPoints::tell(const std::map<int, size_t>& planned, const std::map<int, size_t>& asked) {
  const QSignalBlocker quiet(this);
  for (int r = 0; r < rowCount(); ++r) {
    auto* number = item(r, 2);
    const auto at = planned.find(code(r));
    const auto wanted = asked.find(code(r));
    const bool few = ticked(r) && wanted != asked.end();
    number->setForeground(few ? tokens().warning : tokens().text);
    number->setToolTip(few ? txt("Only so many fit, of %1.").arg(grouped(wanted->second))
                           : QString());
    if (given_ || !ticked(r)) continue;
    number->setText(at == planned.end() ? "–" : grouped(at->second));
  }
}

Json ClassPoints::leftOut() const {
  Json codes = Json::array();
  for (int r = 0; r < rowCount(); ++r)
    if (!ticked(r)) codes.push_back(code(r));
  return codes;
}

Json ClassPoints::given() const {
  Json counts = Json::object();
  for (int r = 0; r < rowCount(); ++r) {
    const auto at = numbers_.find(code(r));
    if (ticked(r) && at != numbers_.end() && at->second > 0)
      counts[std::to_string(code(r))] = at->second;
  }
  return counts;
}

void ClassPoints::take(const Json& step) {
  const QSignalBlocker quiet(this);
  const auto out = step.value("left_out", std::vector<int>());
  for (int r = 0; r < rowCount(); ++r)
    item(r, 0)->setCheckState(
        std::find(out.begin(), out.end(), code(r)) != out.end() ? Qt::Unchecked : Qt::Checked);
  const Json given = step.value("given", Json::object());
  for (const auto& [code, n] : given.items()) numbers_[q(code).toInt()] = n.get<int>();
  fillNumbers();
}

bool ClassPoints::none() const {
  for (int r = 0; r < rowCount(); ++r)
    if (ticked(r) && (!given_ || numbers_.count(code(r)) == 0 || numbers_.at(code(r)) > 0))
      return false;
  return true;
}

}  // namespace zp
