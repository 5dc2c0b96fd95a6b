#include "look/parts.h"

#include "look/look.h"

namespace zp {

QLabel* headingLabel(const QString& text) {
  auto* l = new QLabel(text);
  l->setFont(textFont(11.5, QFont::DemiBold));
  l->setWordWrap(true);
  return l;
}

QLabel* sectionLabel(const QString& text) {
  auto* l = new QLabel(text);
  l->setFont(textFont(9.5, QFont::DemiBold));
  return l;
}

QLabel* secondLabel(const QString& text) {
  auto* l = new QLabel(text);
  l->setWordWrap(true);
  l->setFont(textFont(9.5));
  setTone(l, "second");
  return l;
}

void placeSideBySide(QWidget* sheet, QLayout* left, QWidget* right) {
  auto* line = new QFrame;
  line->setFixedWidth(1);
  line->setStyleSheet(QString("background: %1;").arg(tokens().hairline.name()));
  auto* layout = new QHBoxLayout(sheet);
  layout->setContentsMargins(0, 0, 0, 0);
  layout->setSpacing(0);
  layout->addLayout(left, 1);
  layout->addWidget(line);
  layout->addWidget(right);
}

void tellIn(QLabel* label, const QString& sentence) {
  label->setText(sentence);
  label->setVisible(!sentence.isEmpty());
}

void setTone(QLabel* label, const char* tone) {
  label->setProperty("tone", tone);
  label->style()->unpolish(label);
  label->style()->polish(label);
}

namespace {
/// What it does next is another thing, so a double click on it is one click.
class PrimaryButton : public QPushButton {
 public:
  using QPushButton::QPushButton;

 protected:
  void mouseDoubleClickEvent(QMouseEvent* e) override { e->accept(); }
};

QPushButton* dressed(QPushButton* b, const char* part) {
  b->setProperty("part", part);
  b->setFocusPolicy(Qt::StrongFocus);
  b->setCursor(Qt::PointingHandCursor);
  return b;
}

QPushButton* button(const QString& text, const char* part) {
  return dressed(new QPushButton(text), part);
}
}  // namespace

QPushButton* chip(const QString& text, bool checkable) {
  auto* b = button(text, "chip");
  b->setCheckable(checkable);
  b->setFont(textFont(9.5));
  return b;
}

QPushButton* primaryButton(const QString& text) {
  auto* b = dressed(new PrimaryButton(text), "primary");
  b->setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
  return b;
}

QPushButton* quietButton(const QString& text) {
  return button(text, "quiet");
}
QPushButton* linkButton(const QString& text) {
  return button(text, "link");
}

QFrame* hairline() {
  auto* f = new QFrame;
  f->setFixedHeight(1);
  f->setStyleSheet(QString("background: %1; border: none;").arg(tokens().hairline.name()));
  return f;
}

namespace {
QIcon drawnSwatch(const QColor& colour, int size) {
  QPixmap map(size * 2, size * 2);
  map.fill(Qt::transparent);
  QPainter p(&map);
  p.setRenderHint(QPainter::Antialiasing);
  p.setPen(Qt::NoPen);
  p.setBrush(colour);
  p.drawRoundedRect(QRectF(0, 0, size * 2, size * 2), 6, 6);
  p.end();
  map.setDevicePixelRatio(2);
  QIcon out(map);
  out.addPixmap(map, QIcon::Selected);  // a chosen row leaves the colour as it is
  return out;
}
}  // namespace

QIcon swatch(const QColor& colour, int size) {
  static auto& drawn = *new QHash<std::pair<QRgb, int>, QIcon>;  // outlives the application
  const std::pair key(colour.rgba(), size);
  if (!drawn.contains(key)) drawn[key] = drawnSwatch(colour, size);
  return drawn[key];
}

QVBoxLayout* columnIn(QWidget* holder, int spacing) {
  auto* column = new QVBoxLayout(holder);
  column->setContentsMargins(0, 0, 0, 0);
  column->setSpacing(spacing);
  return column;
}

QWidget* fieldRow(const QString& label, std::initializer_list<QWidget*> fields, int labelWidth) {
  auto* holder = new QWidget;
  auto* row = new QHBoxLayout(holder);
  row->setContentsMargins(0, 0, 0, 0);
  row->setSpacing(8);
  auto* text = secondLabel(label);
  // A word is not parted: a long one has the room it needs.
  int widest = labelWidth;
  for (const auto& word : label.split(' '))
    widest = std::max(widest, text->fontMetrics().horizontalAdvance(word) + 2);
  text->setFixedWidth(widest);
  text->setBuddy(*fields.begin());
  row->addWidget(text);
  for (auto* field : fields) {
    // What only stands beside a field speaks for itself, and takes no more room than it needs.
    const bool beside = qobject_cast<QLabel*>(field) || qobject_cast<QAbstractButton*>(field);
    if (!beside && field->accessibleName().isEmpty()) field->setAccessibleName(label);
    // What has a width of its own keeps it.
    row->addWidget(field, beside || field->minimumWidth() == field->maximumWidth() ? 0 : 1);
  }
  return holder;
}

FlowLayout::FlowLayout(int spacing) : spacing_(spacing) {
  setContentsMargins(0, 0, 0, 0);
}
FlowLayout::~FlowLayout() {
  qDeleteAll(items_);
}
void FlowLayout::addItem(QLayoutItem* item) {
  items_.append(item);
}
QLayoutItem* FlowLayout::takeAt(int i) {
  return i >= 0 && i < items_.size() ? items_.takeAt(i) : nullptr;
}
int FlowLayout::heightForWidth(int width) const {
  return arrange(QRect(0, 0, width, 0), false);
}
void FlowLayout::setGeometry(const QRect& rect) {
  QLayout::setGeometry(rect);
  arrange(rect, true);
}

QSize FlowLayout::minimumSize() const {
  QSize size;
  for (const auto* item : items_) size = size.expandedTo(item->minimumSize());
  return size;
}

int FlowLayout::arrange(const QRect& rect, bool apply) const {
  int y = rect.y();
  for (int first = 0; first < items_.size();) {
    // As many as fit, at least one; the low ones in the middle of the line.
    int last = first, x = rect.x(), height = 0;
    for (; last < items_.size(); ++last) {
      if (items_[last]->isEmpty()) continue;
      const QSize size = items_[last]->sizeHint();
      if (height > 0 && x + size.width() > rect.right() + 1) break;
      x += size.width() + spacing_;
      height = std::max(height, size.height());
    }
    x = rect.x();
    for (; first < last; ++first) {
      if (items_[first]->isEmpty()) continue;
      QSize size = items_[first]->sizeHint();
      size.setWidth(std::min(size.width(), rect.width()));
      if (apply)
        items_[first]->setGeometry(QRect(QPoint(x, y + (height - size.height()) / 2), size));
      x += size.width() + spacing_;
    }
    if (height > 0) y += height + spacing_;
  }
  return std::max(0, y - spacing_ - rect.y());
}

QWidget* wrapping(const QList<QWidget*>& parts, int spacing) {
  auto* holder = new QWidget;
  auto* row = new FlowLayout(spacing);
  holder->setLayout(row);
  for (auto* part : parts) row->addWidget(part);
  return holder;
}

LongChoice::LongChoice(QWidget* parent) : QComboBox(parent) {
  setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
  setMinimumContentsLength(8);
}

QString LongChoice::shown() const {
  QStyleOptionComboBox option;
  initStyleOption(&option);
  const QRect room =
      style()->subControlRect(QStyle::CC_ComboBox, &option, QStyle::SC_ComboBoxEditField, this);
  const int icon = option.currentIcon.isNull() ? 0 : option.iconSize.width() + 4;
  return fontMetrics().elidedText(currentText(), Qt::ElideRight, room.width() - icon - 2);
}

void LongChoice::paintEvent(QPaintEvent*) {
  QStylePainter painter(this);
  QStyleOptionComboBox option;
  initStyleOption(&option);
  option.currentText = shown();
  painter.drawComplexControl(QStyle::CC_ComboBox, option);
  painter.drawControl(QStyle::CE_ComboBoxLabel, option);
}

bool LongChoice::event(QEvent* e) {
  if (e->type() != QEvent::ToolTip || shown() == currentText()) return QComboBox::event(e);
  const QString whole = toolTip().isEmpty() ? currentText() : currentText() + "\n" + toolTip();
  QToolTip::showText(static_cast<QHelpEvent*>(e)->globalPos(), whole, this);
  return true;
}

Paragraph::Paragraph(const QString& html, QWidget* parent) : QWidget(parent) {
  opener_ = new QToolButton;
  opener_->setIcon(icon("help"));
  opener_->setCheckable(true);
  opener_->setAccessibleName(txt("Explain"));
  opener_->setToolTip(txt("What it does, what it assumes, when it fails"));
  text_ = new QLabel(html, this);
  text_->setWordWrap(true);
  text_->setTextFormat(Qt::RichText);
  text_->setFont(textFont(9.5));
  text_->setMargin(10);
  text_->setStyleSheet(QString("background: %1; border-radius: 4px;").arg(tokens().sunken.name()));
  auto* layout = new QVBoxLayout(this);
  layout->setContentsMargins(0, 0, 0, 0);
  layout->addWidget(text_);
  setVisible(false);
  connect(opener_, &QToolButton::toggled, this, &QWidget::setVisible);
}

QTableWidget* plainTable(const QStringList& columns) {
  auto* t = new QTableWidget(0, static_cast<int>(columns.size()));
  t->setHorizontalHeaderLabels(columns);
  t->setAccessibleName(columns.join(", "));
  dressTable(t);
  return t;
}

void dressTable(QTableWidget* t) {
  t->verticalHeader()->setVisible(false);
  t->verticalHeader()->setDefaultSectionSize(23);
  t->setSelectionBehavior(QAbstractItemView::SelectRows);
  t->setSelectionMode(QAbstractItemView::SingleSelection);
  t->setEditTriggers(QAbstractItemView::NoEditTriggers);
  t->setShowGrid(false);
  t->setFont(textFont(9.5));
  t->horizontalHeader()->setFont(textFont(9));
  t->horizontalHeader()->setHighlightSections(false);
  t->horizontalHeader()->setSectionResizeMode(QHeaderView::ResizeToContents);
  t->horizontalHeader()->setSectionResizeMode(0, QHeaderView::Stretch);
  t->horizontalHeaderItem(0)->setTextAlignment(Qt::AlignLeft | Qt::AlignVCenter);
  for (int c = 1; c < t->columnCount(); ++c)
    t->horizontalHeaderItem(c)->setTextAlignment(Qt::AlignRight | Qt::AlignVCenter);
  t->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
  t->setTabKeyNavigation(false);
}

QTableWidgetItem* figureItem(const QString& text) {
  auto* item = new QTableWidgetItem(text);
  item->setFont(figureFont(9.5));
  item->setTextAlignment(Qt::AlignRight | Qt::AlignVCenter);
  return item;
}

void fitHeight(QTableWidget* table, int most) {
  const int rows = std::clamp(table->rowCount(), 1, most);
  table->setFixedHeight(table->horizontalHeader()->sizeHint().height() +
                        rows * table->verticalHeader()->defaultSectionSize() + 4);
}

void fitHeight(QListWidget* list) {
  list->setVerticalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
  list->setFixedHeight(std::max(1, list->count()) * std::max(20, list->sizeHintForRow(0)) +
                       2 * list->frameWidth() + 2);
}

QLineEdit* lineEdit(const char* name, const QString& hint) {
  auto* edit = new QLineEdit;
  edit->setObjectName(name);
  edit->setPlaceholderText(hint);
  return edit;
}

QTableWidget* tableOfChoices(const QStringList& columns, const char* name, int width) {
  auto* table = plainTable(columns);
  table->setObjectName(name);
  table->verticalHeader()->setDefaultSectionSize(28);
  table->horizontalHeader()->setSectionResizeMode(0, QHeaderView::Stretch);
  table->horizontalHeader()->setSectionResizeMode(1, QHeaderView::Fixed);
  table->horizontalHeaderItem(1)->setTextAlignment(Qt::AlignLeft | Qt::AlignVCenter);
  table->setColumnWidth(1, width);
  return table;
}

QComboBox* choiceInTable(const QString& name, const QString& accessible) {
  auto* choice = new QComboBox;
  choice->setObjectName(name);
  choice->setAccessibleName(accessible);
  choice->setStyleSheet("QComboBox { padding: 1px 6px; min-height: 18px; }");
  return choice;
}

}  // namespace zp
