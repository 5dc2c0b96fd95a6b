#include "desks/sampling/table/column_panel.h"

#include "base/text.h"
#include "look/look.h"
#include "sampling/row_formula.h"

namespace zp {

namespace {
constexpr int kMostPasted = 20'000;

QString textOf(const QLineEdit* field) {
  return field->text().trimmed();
}
}  // namespace

ColumnPanel::ColumnPanel(TableBook& book, QWidget* parent) : QWidget(parent), book_(book) {
  timer_.setSingleShot(true);
  timer_.setInterval(200);
  connect(&timer_, &QTimer::timeout, this, &ColumnPanel::look);
  const std::pair<const char*, QString> kinds[] = {{"columnAdd", txt("New")},
                                                   {"columnChange", txt("Change values")},
                                                   {"columnRename", txt("Name, hide, drop")},
                                                   {"columnPaste", txt("Paste a list")}};
  auto* group = new QButtonGroup(this);
  QList<QWidget*> chips;
  for (const auto& [name, title] : kinds) {
    auto* one = chip(title);
    one->setObjectName(name);
    group->addButton(one);
    const int at = static_cast<int>(kinds_.size());
    connect(one, &QPushButton::clicked, this, [this, at] {
      pages_->setCurrentIndex(at);
      columnRow_->setVisible(at == kChange || at == kRename);
      if (at == kChange && where_->text().isEmpty()) where_->setText(book_.where());
      look();
    });
    kinds_ << one;
    chips << one;
  }
  column_ = new LongChoice;
  column_->setObjectName("columnChoice");
  columnRow_ = fieldRow(txt("Column"), {column_});
  connect(column_, &QComboBox::activated, this, [this] {
    to_->setText(column_->currentText());
    look();
  });
  pages_ = new QStackedWidget;
  for (QWidget* page : {buildAdd(), buildChange(), buildRename(), buildPaste()})
    pages_->addWidget(page);
  said_ = secondLabel("");
  said_->setObjectName("columnSaid");
  go_ = primaryButton("");
  go_->setObjectName("columnGo");
  connect(go_, &QPushButton::clicked, this, &ColumnPanel::apply);
  auto* box = columnIn(this);
  box->setContentsMargins(16, 10, 16, 8);
  box->addWidget(wrapping(chips, 6));
  box->addWidget(columnRow_);
  box->addWidget(pages_);
  box->addWidget(said_);
  box->addStretch();
  box->addWidget(go_);
  connect(&book_, &TableBook::changed, this, &ColumnPanel::fill);
}

QLineEdit* ColumnPanel::formulaLine(const char* name, const QString& hint) {
  auto* line = lineEdit(name, hint);
  line->setFont(figureFont(9.5));
  line->setToolTip(
      txt("Columns by their names, in braces where a name is no plain word. Texts and dates in "
          "quotes. + - * / ^, comparisons, and, or, not, when … then … else, min, max, abs, sqrt, "
          "log10, exp."));
  connect(line, &QLineEdit::textChanged, this, &ColumnPanel::lookLater);
  connect(line, &QLineEdit::returnPressed, this, &ColumnPanel::apply);
  return line;
}

QWidget* ColumnPanel::buildAdd() {
  auto* page = new QWidget;
  auto* column = columnIn(page);
  name_ = lineEdit("newColumn");
  connect(name_, &QLineEdit::textChanged, this, &ColumnPanel::lookLater);
  formula_ = formulaLine("newFormula", txt("such as temperature - 273.15"));
  column->addWidget(fieldRow(txt("Name"), {name_}));
  column->addWidget(fieldRow(txt("Formula"), {formula_}));
  column->addStretch();
  return page;
}

QWidget* ColumnPanel::buildChange() {
  auto* page = new QWidget;
  auto* column = columnIn(page);
  change_ = formulaLine("changeTo", txt("a formula, or a text in quotes"));
  where_ = formulaLine("changeWhere", txt("all rows"));
  column->addWidget(fieldRow(txt("Becomes"), {change_}));
  column->addWidget(fieldRow(txt("Where"), {where_}));
  column->addStretch();
  return page;
}

QWidget* ColumnPanel::buildRename() {
  auto* page = new QWidget;
  auto* box = columnIn(page);
  to_ = lineEdit("renameTo");
  connect(to_, &QLineEdit::textChanged, this, &ColumnPanel::lookLater);
  connect(to_, &QLineEdit::returnPressed, this, &ColumnPanel::apply);
  hide_ = quietButton(txt("Hide it"));
  hide_->setObjectName("hideColumn");
  drop_ = quietButton(txt("Drop it"));
  drop_->setObjectName("dropColumn");
  showAll_ = quietButton("");
  showAll_->setObjectName("showColumns");
  connect(hide_, &QPushButton::clicked, this, [this] { book_.hide(column()); });
  connect(drop_, &QPushButton::clicked, this, [this] {
    book_.edit({{"drop", {column()}}}, txt("Drop the column %1").arg(column_->currentText()));
  });
  connect(showAll_, &QPushButton::clicked, this, [this] { book_.showAllColumns(); });
  box->addWidget(fieldRow(txt("New name"), {to_}));
  box->addWidget(wrapping({hide_, drop_, showAll_}));
  box->addStretch();
  return page;
}

QWidget* ColumnPanel::buildPaste() {
  auto* page = new QWidget;
  auto* column = columnIn(page);
  key_ = new LongChoice;
  key_->setObjectName("pasteKey");
  connect(key_, &QComboBox::activated, this, &ColumnPanel::look);
  into_ = lineEdit("pasteInto");
  connect(into_, &QLineEdit::textChanged, this, &ColumnPanel::lookLater);
  pasteSaid_ = secondLabel("");
  pasteSaid_->setObjectName("pasteSaid");
  column->addWidget(
      secondLabel(txt("Copy lines of two columns, what tells the row and its value, "
                      "wherever they are; they are taken from the clipboard.")));
  column->addWidget(fieldRow(txt("Row told by"), {key_}));
  column->addWidget(fieldRow(txt("Into column"), {into_}));
  column->addWidget(pasteSaid_);
  column->addStretch();
  connect(QGuiApplication::clipboard(), &QClipboard::dataChanged, this, [this] {
    if (isVisible() && what() == kPaste) look();
  });
  return page;
}

void ColumnPanel::open(const std::string& column) {
  fill();
  if (const int at = column_->findData(q(column)); !column.empty() && at >= 0) {
    column_->setCurrentIndex(at);
    to_->setText(q(column));
    kinds_[kRename]->click();
    to_->setFocus();
    return;
  }
  kinds_[what()]->setChecked(true);
  kinds_[what()]->click();
  name_->setFocus();
}

/// What is chosen stays so.
void ColumnPanel::fill() {
  for (QComboBox* choice : {column_, key_}) {
    const QVariant before = choice->currentData();
    choice->clear();
    for (const auto& c : book_.whole().columns) choice->addItem(q(c.name), q(c.name));
    if (const int at = choice->findData(before); at >= 0) choice->setCurrentIndex(at);
  }
  const int hidden = book_.hiddenColumns();
  showAll_->setVisible(hidden > 0);
  showAll_->setText(txt("Show %n hidden columns", "Show %n hidden column", hidden));
  if (isVisible()) look();
}

/// Lines of two fields, parted by tab, semicolon or comma.
Json ColumnPanel::pasted() const {
  Json values = Json::object();
  const QString text = QGuiApplication::clipboard()->text();
  for (const auto& line : text.split(QRegularExpression("[\r\n]+"), Qt::SkipEmptyParts)) {
    const auto parts = line.split(QRegularExpression("[\t;,]"));
    if (parts.size() != 2) return Json::object();
    values[parts[0].trimmed().toStdString()] = parts[1].trimmed().toStdString();
  }
  return values;
}

/// Null while something of it is not said yet.
Json ColumnPanel::wanted() const {
  const auto said = [](const QLineEdit* field) { return textOf(field).toStdString(); };
  switch (what()) {
    case kAdd:
      if (textOf(name_).isEmpty() || textOf(formula_).isEmpty()) return {};
      return {{"add", said(name_)}, {"formula", said(formula_)}};
    case kChange: {
      if (textOf(change_).isEmpty()) return {};
      Json edit{{"fill", column()}, {"formula", said(change_)}};
      if (!textOf(where_).isEmpty()) edit["where"] = said(where_);
      return edit;
    }
    case kRename:
      if (textOf(to_).isEmpty() || textOf(to_) == column_->currentText()) return {};
      return {{"rename", column()}, {"to", said(to_)}};
    case kPaste: {
      const Json values = pasted();
      if (textOf(into_).isEmpty() || values.empty() ||
          values.size() > static_cast<size_t>(kMostPasted))
        return {};
      return {{"paste", said(into_)},
              {"by", key_->currentData().toString().toStdString()},
              {"values", values}};
    }
  }
  return {};
}

QString ColumnPanel::actionFor(size_t rows) const {
  const auto n = static_cast<qint64>(rows);
  switch (what()) {
    case kAdd:
      return txt("Add the column, %n values", "Add the column, %n value", n);
    case kRename:
      return txt("Rename the column");
    default:
      return txt("Change %n rows", "Change %n row", n) +
             txt(" of %1").arg(grouped(book_.whole().rows()));
  }
}

QString ColumnPanel::undoText() const {
  switch (what()) {
    case kAdd:
      return txt("Add the column %1").arg(textOf(name_));
    case kRename:
      return txt("Rename the column %1").arg(column_->currentText());
    default:
      return txt("Change values of %1")
          .arg(what() == kPaste ? textOf(into_) : column_->currentText());
  }
}

void ColumnPanel::say(const QString& sentence, bool wrong) {
  said_->setText(sentence);
  setTone(said_, wrong ? "warning" : "second");
}

/// What the change would touch, before it is made.
void ColumnPanel::look() {
  timer_.stop();
  const auto values = what() == kPaste ? static_cast<qint64>(pasted().size()) : 0;
  pasteSaid_->setText(
      values == 0 ? txt("The clipboard holds no such list.")
      : values > kMostPasted
          ? txt("The list has more than %1 lines; join it as a table.").arg(grouped(kMostPasted))
          : txt("The clipboard holds %n values.", "The clipboard holds %n value.", values));
  go_->setEnabled(false);
  const Json edit = wanted();
  say("", false);
  if (edit.is_null()) {
    const std::array<QString, 4> idle{txt("Add the column"), txt("Change rows"),
                                      txt("Rename the column"), txt("Change rows")};
    return go_->setText(idle[static_cast<size_t>(what())]);
  }
  book_.look(
      edit,
      [this](size_t rows) {
        go_->setText(actionFor(rows));
        go_->setEnabled(rows > 0 || what() == kAdd || what() == kRename);
        if (rows == 0 && what() != kRename) say(txt("No row would change."), false);
      },
      [this](const QString& sentence) { say(sentence, true); });
}

void ColumnPanel::apply() {
  if (!go_->isEnabled()) return look();
  const Json edit = wanted();
  if (edit.is_null()) return;
  go_->setEnabled(false);  // the same is not done twice
  const bool added = what() == kAdd;
  book_.edit(edit, undoText());
  if (!added) return;
  name_->clear();
  formula_->clear();
}

}  // namespace zp
