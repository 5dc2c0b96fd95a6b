#include "desks/sampling/table/values_page.h"

#include "look/look.h"

namespace zp {

namespace {
constexpr size_t kMostBoxes = 40;
}

ValuesPage::ValuesPage(TableBook& book, SheetModel& sheet) : ChartPage(book, sheet) {
  x_ = addChoice("chartOf", txt("Of"), Takes::Numbers);
  chart_ = new ValuesChart;
  setRoom(chart_);
  connect(chart_, &BrushedChart::brushed, this, [this](const QRectF& r) {
    if (const auto* x = columnOf(x_))
      chooseShown(
          [&](size_t i) { return r.left() <= x->numbers[i] && x->numbers[i] <= r.right(); });
  });
}

bool ValuesPage::redraw() {
  const auto* x = columnOf(x_);
  if (x == nullptr) return false;
  title_ = titleOf(*x);
  chart_->setTitles(title_, txt("rows"));
  chart_->show(x->numbers);
  said_ = txt("%1 values").arg(grouped(x->filled()));
  return true;
}

BoxesPage::BoxesPage(TableBook& book, SheetModel& sheet) : ChartPage(book, sheet) {
  x_ = addChoice("boxesOf", txt("Of"), Takes::Numbers);
  by_ = addChoice("boxesBy", txt("By"), Takes::Any, txt("all rows"));
  chart_ = new BoxChart;
  setRoom(chart_);
  connect(chart_, &BrushedChart::clickedAt, this,
          [this](const QPointF& at) { chooseGroup(groups_, chart_->groupAt(at.x())); });
}

std::vector<QColor> BoxesPage::colours() const {
  const auto* by = columnOf(by_);
  return by == nullptr ? std::vector<QColor>() : coloursBy(by);
}

bool BoxesPage::redraw() {
  groups_.clear();
  const auto *x = columnOf(x_), *by = columnOf(by_);
  if (x == nullptr) return false;
  const auto colours = coloursBy(by);
  std::map<std::string, size_t> known;
  std::vector<BoxGroup> boxes;
  bool all = true;
  for (size_t r = 0; r < book_.shown().rows(); ++r) {
    if (std::isnan(x->numbers[r]) || (by != nullptr && by->texts[r].empty())) continue;
    const std::string group = by == nullptr ? "" : by->texts[r];
    if (known.count(group) == 0 && boxes.size() == kMostBoxes) {
      all = false;
      continue;
    }
    const auto [at, isNew] = known.try_emplace(group, boxes.size());
    if (isNew) {
      const QString name = by == nullptr ? txt("all rows") : sheet_.textOf(indexOf(*by), r);
      boxes.push_back({name, colours[r], {}});
      groups_.emplace_back();
    }
    boxes[at->second].values.push_back(x->numbers[r]);
    groups_[at->second].push_back(r);
  }
  for (auto& box : boxes) std::sort(box.values.begin(), box.values.end());
  title_ = by == nullptr ? titleOf(*x) : txt("%1 by %2").arg(titleOf(*x), q(by->name));
  chart_->setTitles({}, titleOf(*x));
  chart_->show(boxes);
  said_ = all ? txt("Box: quartiles and median; whiskers: within one and a half boxes. Below each "
                    "the number of cases.")
              : txt("Only the first %1 groups are drawn.").arg(kMostBoxes);
  return true;
}

}  // namespace zp
