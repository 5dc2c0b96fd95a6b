#include "desks/sampling/table/shares_page.h"

#include "look/look.h"

namespace zp {

namespace {
constexpr int kMostGroups = 30;
constexpr size_t kMostClasses = 40;
const QString kMap = "map/";
}  // namespace

SharesPage::SharesPage(TableBook& book, SheetModel& sheet) : ChartPage(book, sheet) {
  by_ = addChoice("sharesBy", txt("A bar each"), Takes::Any, txt("all rows"));
  of_ = new LongChoice;
  of_->setObjectName("sharesOf");
  connect(of_, &QComboBox::activated, this, &ChartPage::changed);
  addWidget(fieldRow(txt("Shares of"), {of_}, 64));
  chart_ = new SharesChart;
  setRoom(chart_);
  connect(chart_, &BrushedChart::clickedAt, this,
          [this](const QPointF& at) { chooseGroup(groups_, chart_->groupAt(at.x())); });
}

/// Maps whose shares were read, then columns of classes or texts; what is chosen stays.
void SharesPage::fillOf() {
  const QVariant before = of_->currentData();
  of_->clear();
  for (const auto& c : book_.shown().columns) {
    const auto& face = sheet_.faceOf(c);
    if (!face.share || of_->findData(kMap + q(face.of)) >= 0) continue;
    const auto* map = sheet_.productOf(c);
    of_->addItem(map != nullptr ? q(map->name) : q(c.name), kMap + q(face.of));
  }
  for (const auto& c : book_.shown().columns)
    if (sheet_.isOfClasses(c) || c.type == CellType::Text) of_->addItem(q(c.name), q(c.name));
  if (const int at = of_->findData(before); at >= 0) of_->setCurrentIndex(at);
}

/// The names of the groups; their rows are kept.
QStringList SharesPage::groupRows() {
  groups_.clear();
  QStringList names;
  std::map<std::string, size_t> known;
  const auto* by = columnOf(by_);
  for (size_t r = 0; r < book_.shown().rows(); ++r) {
    const std::string group = by == nullptr ? "" : by->texts[r];
    if (by != nullptr && group.empty()) continue;
    if (known.count(group) == 0 && names.size() == kMostGroups) continue;
    const auto [at, isNew] = known.try_emplace(group, groups_.size());
    if (isNew) {
      names << (by == nullptr ? txt("all rows") : sheet_.textOf(indexOf(*by), r));
      groups_.emplace_back();
    }
    groups_[at->second].push_back(r);
  }
  return names;
}

/// Their mean over the rows of a group, each counted as much.
std::vector<ClassShares> SharesPage::readShares(const std::string& map) const {
  std::vector<ClassShares> all;
  for (const auto& c : book_.shown().columns) {
    const auto& face = sheet_.faceOf(c);
    if (!face.share || face.of != map) continue;
    ClassShares one{q(face.share->name), toQt(face.share->colour), {}};
    for (const auto& rows : groups_) {
      double sum = 0, n = 0;
      for (const size_t r : rows)
        if (!std::isnan(c.numbers[r])) sum += c.numbers[r], n += 1;
      one.shares.push_back(n > 0 ? sum / n : 0);
    }
    all.push_back(std::move(one));
  }
  return all;
}

std::vector<ClassShares> SharesPage::countedShares(const Column& column) const {
  std::vector<ClassShares> all;
  std::map<std::string, size_t> known;
  const auto colours = coloursBy(&column);
  for (size_t g = 0; g < groups_.size(); ++g) {
    double n = 0;
    for (const size_t r : groups_[g]) n += column.texts[r].empty() ? 0 : 1;
    for (const size_t r : groups_[g]) {
      if (column.texts[r].empty()) continue;
      if (known.count(column.texts[r]) == 0 && all.size() == kMostClasses) continue;
      const auto [at, isNew] = known.try_emplace(column.texts[r], all.size());
      if (isNew)
        all.push_back({sheet_.textOf(indexOf(column), r), colours[r],
                       std::vector<double>(groups_.size(), 0.0)});
      all[at->second].shares[g] += 1 / n;
    }
  }
  return all;
}

bool SharesPage::redraw() {
  fillOf();
  said_.clear();
  const QString of = of_->currentData().toString();
  if (of.isEmpty()) {
    said_ =
        txt("There are no classes; summarise a class map in zones or cells, or read one at "
            "points.");
    return false;
  }
  const QStringList names = groupRows();
  const bool read = of.startsWith(kMap);
  chart_->setTitles({}, txt("share, %"));
  chart_->show(
      names, read ? readShares(of.mid(kMap.size()).toStdString()) : countedShares(*columnOf(of_)));
  title_ = txt("Shares of %1").arg(of_->currentText());
  said_ =
      read ? txt("Means over the rows, each counted as much; at the right those of the last bar.")
           : txt("Shares of the rows; at the right those of the last bar.");
  return true;
}

std::vector<QColor> SharesPage::colours() const {
  const auto* of = columnOf(of_);
  return of == nullptr ? std::vector<QColor>() : coloursBy(of);
}

}  // namespace zp
