#include "desks/sampling/table/chart_page.h"

#include "look/look.h"

namespace zp {

void ChartPage::build() {
  if (column_ != nullptr) return;
  column_ = columnIn(this, 6);
  row_ = new QHBoxLayout;
  row_->setSpacing(10);
  column_->addLayout(row_);
}

QComboBox* ChartPage::addChoice(const char* name, const QString& label, Takes takes,
                                const QString& none) {
  build();
  auto* choice = new LongChoice;
  choice->setObjectName(name);
  choice->setMinimumWidth(90);
  connect(choice, &QComboBox::activated, this, &ChartPage::changed);
  all_.push_back({choice, takes, none});
  row_->addWidget(fieldRow(label, {choice}, QFontMetrics(textFont()).horizontalAdvance(label) + 6),
                  1);
  return choice;
}

void ChartPage::addWidget(QWidget* part) {
  build();
  column_->addWidget(part);
}

void ChartPage::setRoom(QWidget* chart) {
  build();
  auto policy = chart->sizePolicy();
  policy.setRetainSizeWhenHidden(true);  // with nothing to draw the choices stay where they are
  chart->setSizePolicy(policy);
  column_->addWidget(chart, 1);
}

bool ChartPage::isTaken(Takes takes, const Column& c) const {
  if (takes == Takes::Numbers) return c.type == CellType::Number && !sheet_.isOfClasses(c);
  return takes == Takes::Any || c.type == CellType::Date;
}

/// Where a choice of numbers starts that is so many before the last: at what was read from pictures,
/// which tells more than what came with the places; where there is not enough of it, at any.
int ChartPage::startOf(const QComboBox& box, int behind) const {
  std::vector<int> read;
  for (int i = 0; i < box.count(); ++i)
    for (const auto& c : book_.shown().columns)
      if (q(c.name) == box.itemData(i).toString() && isRead(c)) read.push_back(i);
  const auto last = static_cast<int>(read.size());
  return behind <= last ? read[static_cast<size_t>(last - behind)]
                        : std::max(0, box.count() - behind);
}

/// Of a table with a row a place and date, what it is about.
bool ChartPage::isRead(const Column& column) const {
  if (column.name == "mean" || column.name == "value") return true;
  return sheet_.productOf(column) != nullptr || sheet_.sceneOf(column) != nullptr;
}

/// The columns that were chosen last where the table has them.
void ChartPage::refresh(const Json& kept) {
  const auto takesLast = [](const Choice& c) {
    return c.takes == Takes::Numbers && c.none.isEmpty();
  };
  auto behind = static_cast<int>(std::count_if(all_.begin(), all_.end(), takesLast));
  for (const auto& c : all_) {
    c.box->clear();
    if (!c.none.isEmpty()) c.box->addItem(c.none, "");
    for (const auto& column : book_.shown().columns)
      if (!book_.isHidden(column.name) && isTaken(c.takes, column))
        c.box->addItem(q(column.name), q(column.name));
    c.box->setCurrentIndex(takesLast(c) ? startOf(*c.box, behind--) : 0);
    const auto wanted = kept.find(c.box->objectName().toStdString());
    if (wanted == kept.end() || !wanted->is_string()) continue;
    if (const int at = c.box->findData(q(wanted->get<std::string>())); at >= 0)
      c.box->setCurrentIndex(at);
  }
}

Json ChartPage::choices() const {
  Json all = Json::object();
  for (const auto& c : all_)
    all[c.box->objectName().toStdString()] = c.box->currentData().toString().toStdString();
  return all;
}

const SheetColumn* ChartPage::columnOf(const QComboBox* choice) const {
  for (const auto& c : book_.shown().columns)
    if (q(c.name) == choice->currentData().toString()) return &c;
  return nullptr;
}

size_t ChartPage::indexOf(const Column& column) const {
  return static_cast<size_t>(&column - book_.shown().columns.data());
}

/// With its unit, or what it is.
QString ChartPage::titleOf(const Column& column) const {
  const QString note = sheet_.faceOf(column).note;
  return note.isEmpty() ? q(column.name) : q(column.name) + ", " + note.section(" · ", 0, 0);
}

std::vector<QColor> ChartPage::coloursBy(const Column* by) const {
  const auto& sheet = book_.shown();
  std::vector<QColor> colours(sheet.rows(), tokens().second);
  if (by == nullptr) return colours;
  std::map<std::string, QColor> known;
  for (size_t r = 0; r < colours.size(); ++r) {
    if (by->texts[r].empty()) continue;
    const auto [at, isNew] = known.try_emplace(by->texts[r]);
    if (isNew) {
      const QColor own = sheet_.colourOf(indexOf(*by), r);
      at->second = own.isValid() ? own : toQt(suggestedColour(known.size() - 1));
    }
    colours[r] = at->second;
  }
  return colours;
}

std::vector<bool> ChartPage::chosenShown() const {
  const auto& origin = book_.shown().origin;
  std::vector<bool> chosen(origin.size());
  for (size_t r = 0; r < origin.size(); ++r) chosen[r] = book_.chosen()[origin[r]];
  return chosen;
}

void ChartPage::chooseGroup(const std::vector<std::vector<size_t>>& groups, int group) {
  std::vector<size_t> rows;
  if (group >= 0)
    for (const size_t r : groups[static_cast<size_t>(group)])
      rows.push_back(book_.shown().origin[r]);
  book_.choose(rows);
}

void ChartPage::chooseShown(const std::function<bool(size_t)>& is) {
  std::vector<size_t> rows;
  for (size_t r = 0; r < book_.shown().rows(); ++r)
    if (is(r)) rows.push_back(book_.shown().origin[r]);
  book_.choose(rows);
}

}  // namespace zp
