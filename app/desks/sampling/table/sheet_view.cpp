#include "desks/sampling/table/sheet_view.h"

#include "look/look.h"

namespace zp {

namespace {

constexpr int kPad = 8;  // at both sides of a column

/// Name and note of a column, one below the other, and an arrow where the rows follow it.
class SheetHead : public QHeaderView {
 public:
  SheetHead(TableBook& book, QWidget* parent) : QHeaderView(Qt::Horizontal, parent), book_(book) {
    setSectionsClickable(true);
    setSectionsMovable(true);
    setHighlightSections(false);
    fitHeight();
  }
  /// As low as it can be where no column has a note.
  void fitHeight() {
    bool any = false;
    for (int c = 0; model() != nullptr && c < count(); ++c)
      any = any || !model()->headerData(c, orientation(), SheetModel::kNote).toString().isEmpty();
    setFixedHeight((any ? 2 : 1) * QFontMetrics(textFont(9.5)).lineSpacing() + 6);
  }

 protected:
  void paintSection(QPainter* p, const QRect& rect, int section) const override {
    const auto of = [&](int role) { return model()->headerData(section, orientation(), role); };
    const QRect inside = rect.adjusted(kPad + 3, 2, -kPad - 3, -2);
    const int side = of(Qt::TextAlignmentRole).toInt();
    QString name = of(Qt::DisplayRole).toString();
    QString arrow;
    if (name.toStdString() == book_.sortedBy()) arrow = book_.sortedDown() ? " ↓" : " ↑";
    p->save();
    const QFont strong = textFont(9.5, QFont::DemiBold);
    const QFontMetrics metrics(strong);
    p->setFont(strong);
    p->setPen(tokens().text);
    name = metrics.elidedText(name, Qt::ElideMiddle,
                              inside.width() - metrics.horizontalAdvance(arrow)) +
           arrow;
    p->drawText(inside, side | Qt::AlignTop, name);
    p->setFont(textFont(8));
    p->setPen(tokens().second);
    p->drawText(inside, side | Qt::AlignBottom,
                QFontMetrics(textFont(8))
                    .elidedText(of(SheetModel::kNote).toString(), Qt::ElideRight, inside.width()));
    p->restore();
  }

 private:
  TableBook& book_;
};

/// Cells with room at both sides; what is chosen is filled from edge to edge.
class RoomyCells : public QStyledItemDelegate {
 public:
  using QStyledItemDelegate::QStyledItemDelegate;
  void paint(QPainter* p, const QStyleOptionViewItem& option,
             const QModelIndex& index) const override {
    QStyleOptionViewItem whole = option;
    initStyleOption(&whole, index);
    whole.widget->style()->drawPrimitive(QStyle::PE_PanelItemViewItem, &whole, p, whole.widget);
    QStyleOptionViewItem inner = option;
    inner.rect.adjust(kPad, 0, -kPad, 0);
    inner.state.setFlag(QStyle::State_HasFocus, false);
    QStyledItemDelegate::paint(p, inner, index);
  }
};

}  // namespace

SheetView::SheetView(Workbench& bench, TableBook& book, QWidget* parent)
    : QTableView(parent), book_(book), model_(new SheetModel(bench, book, this)) {
  setObjectName("sheetTable");
  setAccessibleName(txt("Rows of the table"));
  setModel(model_);
  setHorizontalHeader(new SheetHead(book, this));
  verticalHeader()->hide();
  verticalHeader()->setSectionResizeMode(QHeaderView::Fixed);
  verticalHeader()->setDefaultSectionSize(22);
  setShowGrid(false);
  setAlternatingRowColors(true);
  setWordWrap(false);
  setSelectionBehavior(SelectRows);
  setSelectionMode(ExtendedSelection);
  setEditTriggers(NoEditTriggers);
  setHorizontalScrollMode(ScrollPerPixel);
  horizontalHeader()->setStretchLastSection(true);
  setItemDelegate(new RoomyCells(this));
  setStyleSheet(
      QString("QTableView { alternate-background-color: %1; }").arg(tokens().sunken.name()));
  connect(horizontalHeader(), &QHeaderView::sectionClicked, this, &SheetView::orderBy);
  horizontalHeader()->setContextMenuPolicy(Qt::CustomContextMenu);
  connect(horizontalHeader(), &QWidget::customContextMenuRequested, this, [this](QPoint at) {
    const int section = horizontalHeader()->logicalIndexAt(at);
    if (section >= 0) Q_EMIT columnAsked(model_->column(section).name, at);
  });
  connect(&book_, &TableBook::changed, this, &SheetView::refresh);
  connect(&book_, &TableBook::choiceChanged, this, &SheetView::showChoice);
  connect(selectionModel(), &QItemSelectionModel::selectionChanged, this,
          &SheetView::takeSelection);
}

void SheetView::refresh() {
  taking_ = true;
  model_->refresh();
  taking_ = false;
  static_cast<SheetHead*>(horizontalHeader())->fitHeight();
  fitColumns();
  showChoice();
}

/// As wide as the first rows and the head need.
void SheetView::fitColumns() {
  QStringList names;
  for (int c = 0; c < model_->columnCount(); ++c) names << q(model_->column(c).name);
  if (names == fitted_) return;
  fitted_ = names;
  constexpr int kLookedAt = 100, kNarrow = 64, kWide = 240, kRoom = 2 * kPad + 14;
  const QFontMetrics strong(textFont(9.5, QFont::DemiBold)), small(textFont(8)),
      figures(figureFont(9.5));
  needed_.clear();
  for (int c = 0; c < names.size(); ++c) {
    int width =
        std::max(strong.horizontalAdvance(names[c] + " ↓"),
                 std::min(small.horizontalAdvance(
                              model_->headerData(c, Qt::Horizontal, SheetModel::kNote).toString()),
                          140));
    for (int r = 0; r < std::min(kLookedAt, model_->rowCount()); ++r) {
      const auto cell = model_->index(r, c);
      const int mark = cell.data(Qt::DecorationRole).isNull() ? 0 : 22;
      width = std::max(width, mark + figures.horizontalAdvance(cell.data().toString()));
    }
    needed_ << std::clamp(width + kRoom, kNarrow, kWide);
  }
  spreadColumns();
}

/// What room is left they share.
void SheetView::spreadColumns() {
  int left = viewport()->width();
  for (const int width : needed_) left -= width;
  const int more = needed_.isEmpty() ? 0 : std::max(0, left / static_cast<int>(needed_.size()));
  for (int c = 0; c < needed_.size(); ++c) setColumnWidth(c, needed_[c] + more);
  spread_ = viewport()->width();
}

void SheetView::resizeEvent(QResizeEvent* e) {
  QTableView::resizeEvent(e);
  if (viewport()->width() != spread_) spreadColumns();
}

/// Rows beside each other are selected as one range.
void SheetView::showChoice() {
  if (taking_) return;
  QItemSelection all;
  const auto& origin = book_.shown().origin;
  const auto& chosen = book_.chosen();
  const int last = model_->columnCount() - 1;
  const auto is = [&](size_t r) { return r < origin.size() && chosen[origin[r]]; };
  std::optional<int> first;
  for (size_t r = 0; last >= 0 && r < origin.size(); ++r) {
    if (!is(r)) continue;
    const size_t from = r;
    while (is(r + 1)) ++r;
    if (!first) first = static_cast<int>(from);
    all.select(model_->index(static_cast<int>(from), 0), model_->index(static_cast<int>(r), last));
  }
  taking_ = true;
  selectionModel()->select(all, QItemSelectionModel::ClearAndSelect);
  taking_ = false;
  if (first && !hasFocus()) scrollTo(model_->index(*first, 0), PositionAtTop);
}

void SheetView::takeSelection() {
  if (taking_) return;
  std::vector<size_t> rows;
  for (const auto& range : selectionModel()->selection())
    for (int r = range.top(); r <= range.bottom(); ++r)
      rows.push_back(book_.shown().origin[static_cast<size_t>(r)]);
  taking_ = true;
  book_.choose(rows);
  taking_ = false;
}

/// The smallest first, then the largest, then as they are in the file.
void SheetView::orderBy(int section) {
  const std::string name = model_->column(section).name;
  const bool now = book_.sortedBy() == name;
  if (now && book_.sortedDown()) return book_.sortBy("", false);
  book_.sortBy(name, now);
}

QString SheetView::copyText() const {
  const auto& sheet = book_.shown();
  const bool all = book_.chosenCount() == 0;
  QStringList lines, names;
  for (int c = 0; c < model_->columnCount(); ++c) names << q(model_->column(c).name);
  lines << names.join('\t');
  for (size_t r = 0; r < sheet.rows(); ++r) {
    if (!all && !book_.chosen()[sheet.origin[r]]) continue;
    QStringList cells;
    for (int c = 0; c < model_->columnCount(); ++c)
      cells << q(model_->column(c).texts[r]).replace(QRegularExpression("[\t\r\n]"), " ");
    lines << cells.join('\t');
  }
  return lines.join('\n') + '\n';
}

void SheetView::keyPressEvent(QKeyEvent* e) {
  if (e->matches(QKeySequence::Copy)) return QGuiApplication::clipboard()->setText(copyText());
  if (e->key() == Qt::Key_Escape && book_.chosenCount() > 0) return book_.choose({});
  QTableView::keyPressEvent(e);
}

}  // namespace zp
