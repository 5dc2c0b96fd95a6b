#include "desks/sampling/table/table_sheet.h"

#include "look/look.h"

namespace zp {

namespace {
constexpr const char* kCharts = "table-charts";
}

TableSheet::TableSheet(Workbench& bench) : bench_(bench), book_(bench) {
  setObjectName("tableSheet");
  rows_ = new SheetView(bench_, book_);
  chart_ = new ChartPanel(bench_, book_, rows_->sheet());
  setStyleSheet(QString("QSplitter::handle { background: %1; }").arg(tokens().hairline.name()));
  auto* parts = new QSplitter(Qt::Vertical);
  parts->setHandleWidth(1);
  parts->addWidget(buildAbove());
  parts->addWidget(buildBelow());
  parts->setStretchFactor(0, 3);
  parts->setStretchFactor(1, 2);
  parts->setSizes({372, 250});
  parts->setChildrenCollapsible(false);
  columnIn(this, 0)->addWidget(parts);
  connect(&book_, &TableBook::changed, this, &TableSheet::tell);
  connect(&book_, &TableBook::choiceChanged, this, &TableSheet::tellChoice);
  connect(&book_, &TableBook::trouble, this, [this](const QString& s) {
    if (!s.isEmpty() || wrong_) say(s);
  });
  connect(chart_, &ChartPanel::coloured, places_, &PlacesView::setColours);
  connect(rows_, &SheetView::columnAsked, this, [this](const std::string& name) {
    showSide(kColumn);
    column_->open(name);
  });
  connect(summary_, &SummaryPanel::made, this, &TableSheet::tableAsked);
  connect(chart_, &ChartPanel::pictureMade, this, &TableSheet::pictureAsked);
  connect(join_, &JoinPanel::made, this, &TableSheet::tableAsked);
  connect(out_, &OutPanel::made, this, &TableSheet::tableAsked);
}

QWidget* TableSheet::buildAbove() {
  places_ = new PlacesView(bench_, book_);
  places_->setMinimumWidth(260);
  column_ = new ColumnPanel(book_);
  summary_ = new SummaryPanel(bench_, book_);
  join_ = new JoinPanel(bench_, book_);
  out_ = new OutPanel(bench_, book_, *rows_);
  side_ = new QStackedWidget;
  for (QWidget* side : std::initializer_list<QWidget*>{chart_, column_, summary_, join_, out_})
    side_->addWidget(side);
  above_ = new QSplitter(Qt::Horizontal);
  above_->setHandleWidth(1);
  above_->addWidget(places_);
  above_->addWidget(side_);
  above_->setStretchFactor(0, 3);
  above_->setStretchFactor(1, 5);
  above_->setSizes({470, 810});
  above_->setChildrenCollapsible(false);
  return above_;
}

QWidget* TableSheet::buildBelow() {
  trouble_ = secondLabel("");
  trouble_->setObjectName("tableTrouble");
  trouble_->hide();
  auto* below = new QWidget;
  auto* box = columnIn(below, 4);
  box->setContentsMargins(14, 6, 14, 4);
  box->addLayout(buildHead());
  box->addWidget(trouble_);
  box->addWidget(rows_, 1);
  return below;
}

QLayout* TableSheet::buildHead() {
  title_ = sectionLabel("");
  title_->setObjectName("tableTitle");
  count_ = secondLabel("");
  count_->setObjectName("tableCount");
  count_->setWordWrap(false);
  where_ = lineEdit("rowsWhere", txt("Rows where…"));
  where_->setAccessibleName(txt("Rows where…"));
  where_->setFont(figureFont(9.5));
  where_->setClearButtonEnabled(true);
  where_->setMinimumWidth(150);
  where_->setMaximumWidth(300);
  where_->setToolTip(
      txt("A comparison, such as temperature > 20 or cover = \"Reedbed\"; Enter shows "
          "the rows for which it is true"));
  connect(where_, &QLineEdit::returnPressed, this, &TableSheet::look);
  connect(where_, &QLineEdit::textChanged, this, [this](const QString& text) {
    if (text.isEmpty() && !book_.where().isEmpty()) look();
  });
  auto* head = new QHBoxLayout;
  head->setSpacing(8);
  head->addWidget(title_);
  head->addWidget(count_);
  head->addStretch();
  head->addWidget(where_, 1);
  const std::pair<const char*, QString> sides[] = {{"sideChart", txt("Charts")},
                                                   {"sideColumn", txt("Column…")},
                                                   {"sideSummary", txt("Summary…")},
                                                   {"sideJoin", txt("Join…")},
                                                   {"sideOut", txt("Out…")}};
  for (const auto& [name, title] : sides) {
    auto* link = linkButton(title);
    link->setObjectName(name);
    const auto side = static_cast<Side>(sides_.size());
    connect(link, &QPushButton::clicked, this, [this, side] {
      // What is seen already goes, and the view has the room.
      const bool seen = side_->isVisible() && side_->currentIndex() == side;
      showCharts(!seen || side != kChart);
      showSide(seen ? kChart : side);
    });
    sides_ << link;
    head->addWidget(link);
  }
  auto* back = quietButton(txt("Back"));
  back->setObjectName("leaveTable");
  connect(back, &QPushButton::clicked, this, &TableSheet::leaveAsked);
  head->addWidget(back);
  return head;
}

void TableSheet::showSide(Side side) {
  side_->setCurrentIndex(side);
  if (side == kColumn) column_->open("");
  if (side == kSummary) summary_->open();
  if (side == kJoin) join_->open();
  if (side == kOut) out_->open();
}

void TableSheet::showCharts(bool shown) {
  side_->setVisible(shown);
  bench_.setPlace(kCharts, shown);
}

/// Of a joined table, what found another row and what did not.
void TableSheet::tellMatches() {
  const auto* table = book_.product();
  if (table == nullptr || !table->facts.contains("matched")) return;
  const auto count = [&](const char* key) {
    return grouped(table->facts.value(key, qulonglong{0}));
  };
  say(txt("%1 rows found another, %2 found none, %3 found several; %4 of the other were not used. "
          "Rows where matches = 0 shows those without.")
          .arg(count("matched"), count("unmatched"), count("several"), count("unused")),
      false);
}

void TableSheet::open(const QString& product, const Picture& front) {
  say("");
  const Json charts = bench_.place(kCharts);
  side_->setVisible(!charts.is_boolean() || charts.get<bool>());
  showSide(kChart);
  book_.open(product);
  places_->open(front);
  tell();
  tellMatches();
  rows_->setFocus();
}

void TableSheet::refresh() {
  if (book_.product() == nullptr) return Q_EMIT leaveAsked();
  book_.refresh();
}

void TableSheet::forget() {
  book_.close();
  say("");
}

bool TableSheet::ready() const {
  return book_.ready() && places_->ready();
}

void TableSheet::tell() {
  const auto* table = book_.product();
  title_->setText(table == nullptr ? QString() : q(table->name));
  if (!where_->hasFocus() || book_.where().isEmpty()) where_->setText(book_.where());
  tellChoice();
}

void TableSheet::tellChoice() {
  const size_t all = book_.whole().rows(), shown = book_.shown().rows();
  QStringList parts;
  parts << (shown == all ? txt("%1 rows").arg(grouped(all))
                         : txt("%1 of %2 rows").arg(grouped(shown), grouped(all)));
  if (book_.chosenCount() > 0) parts << txt("%1 chosen").arg(grouped(book_.chosenCount()));
  count_->setText(parts.join(", "));
}

/// A formula that is wrong is told and changes nothing.
void TableSheet::look() {
  const QString formula = where_->text().trimmed();
  if (formula.isEmpty()) {
    say("");
    return book_.setWhere("");
  }
  book_.look(
      {{"keep", formula.toStdString()}},
      [this, formula](size_t) {
        say("");
        book_.setWhere(formula);
      },
      [this](const QString& sentence) { say(sentence); });
}

void TableSheet::say(const QString& sentence, bool wrong) {
  wrong_ = wrong && !sentence.isEmpty();
  setTone(trouble_, wrong_ ? "warning" : "second");
  trouble_->setText(sentence);
  trouble_->setVisible(!sentence.isEmpty());
}

void TableSheet::keyPressEvent(QKeyEvent* e) {
  if (e->key() == Qt::Key_Escape) {
    if (side_->isVisible() && side_->currentIndex() != kChart) return showSide(kChart);
    return Q_EMIT leaveAsked();
  }
  QWidget::keyPressEvent(e);
}

}  // namespace zp
