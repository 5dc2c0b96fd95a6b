#include "desks/sampling/table/summary_panel.h"

#include <set>

#include "desks/panel.h"
#include "look/look.h"

namespace zp {

SummaryPanel::SummaryPanel(Workbench& bench, TableBook& book, QWidget* parent)
    : QWidget(parent), bench_(bench), book_(book) {
  auto* lists = new QHBoxLayout;
  lists->setSpacing(16);
  const auto list = [&](const char* name, const QString& title) {
    auto* one = new QListWidget;
    one->setObjectName(name);
    one->setAccessibleName(title);
    connect(one, &QListWidget::itemChanged, this, &SummaryPanel::look);
    auto* column = new QVBoxLayout;
    column->addWidget(sectionLabel(title));
    column->addWidget(one, 1);
    lists->addLayout(column);
    return one;
  };
  by_ = list("summaryBy", txt("A row for each of"));
  of_ = list("summaryOf", txt("Count, mean, spread and quartiles of"));
  said_ = secondLabel("");
  said_->setObjectName("summarySaid");
  go_ = primaryButton(txt("Make the summary"));
  go_->setObjectName("summaryGo");
  connect(go_, &QPushButton::clicked, this, &SummaryPanel::make);
  auto* box = columnIn(this);
  box->setContentsMargins(16, 10, 16, 8);
  box->addLayout(lists, 1);
  box->addWidget(said_);
  box->addWidget(go_);
  connect(&book_, &TableBook::changed, this, &SummaryPanel::fill);
}

void SummaryPanel::open() {
  fill();
}

/// Ticks stay.
void SummaryPanel::fill() {
  const QSignalBlocker quietBy(by_), quietOf(of_);
  const QStringList by = tickedIn(*by_), of = tickedIn(*of_);
  by_->clear();
  of_->clear();
  for (const auto& c : book_.shown().columns) {
    if (book_.isHidden(c.name)) continue;
    by_->addItem(tickItem(q(c.name), q(c.name), by.contains(q(c.name))));
    if (c.type == CellType::Number)
      of_->addItem(tickItem(q(c.name), q(c.name), of.contains(q(c.name))));
  }
  look();
}

TableEdit SummaryPanel::wanted() const {
  Json by = Json::array(), of = Json::array();
  for (const auto& name : tickedIn(*by_)) by.push_back(name.toStdString());
  for (const auto& name : tickedIn(*of_)) of.push_back(name.toStdString());
  return {{"group", by}, {"of", of}};
}

void SummaryPanel::look() {
  const QStringList by = tickedIn(*by_);
  go_->setEnabled(!by.isEmpty());
  if (by.isEmpty()) return said_->setText(txt("Tick by what the rows are put together."));
  const auto& sheet = book_.shown();
  std::vector<size_t> keys;
  for (const auto& name : by) keys.push_back(sheet.column(name.toStdString()));
  std::set<std::vector<std::string>> groups;
  for (size_t r = 0; r < sheet.rows(); ++r) {
    std::vector<std::string> cells;
    for (const size_t k : keys) cells.push_back(sheet.columns[k].texts[r]);
    groups.insert(std::move(cells));
  }
  said_->setText(txt("%1 rows make %2.").arg(grouped(sheet.rows()), grouped(groups.size())));
}

void SummaryPanel::make() {
  const auto* table = book_.product();
  if (table == nullptr || !go_->isEnabled()) return;
  go_->setEnabled(false);  // until the columns change: the same is not made twice
  Json edits = book_.editsShown();
  edits.push_back(wanted());
  const QString name = txt("%1 by %2").arg(q(table->name), tickedIn(*by_).join(", "));
  bench_.run(
      {{"do", "table"}, {"table", table->id}, {"edits", edits}, {"name", name.toStdString()}},
      txt("Summary"), [this](const QString& id) { Q_EMIT made(id); });
}

}  // namespace zp
