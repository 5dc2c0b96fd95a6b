#include "desks/sampling/table/join_panel.h"

#include "look/look.h"

namespace zp {

JoinPanel::JoinPanel(Workbench& bench, TableBook& book, QWidget* parent)
    : QWidget(parent), bench_(bench), book_(book), reading_(this) {
  build();
  connect(other_, &QComboBox::activated, this, &JoinPanel::readOther);
  for (QComboBox* choice : {how_, key_, otherKey_, date_, otherDate_})
    connect(choice, &QComboBox::activated, this, &JoinPanel::arrange);
  connect(go_, &QPushButton::clicked, this, &JoinPanel::make);
  connect(&book_, &TableBook::changed, this, &JoinPanel::fill);
}

void JoinPanel::build() {
  const auto choice = [](const char* name) {
    auto* one = new LongChoice;
    one->setObjectName(name);
    return one;
  };
  other_ = choice("joinOther");
  how_ = choice("joinHow");
  for (const auto& [title, id] :
       {std::pair(txt("a column that holds the same"), "keys"),
        std::pair(txt("place: within a polygon of it"), "within"),
        std::pair(txt("place: the largest overlap"), "overlap"),
        std::pair(txt("place: the nearest, with its distance"), "nearest")})
    how_->addItem(title, id);
  key_ = choice("joinKey");
  otherKey_ = choice("joinOtherKey");
  date_ = choice("joinDate");
  otherDate_ = choice("joinOtherDate");
  several_ = choice("joinSeveral");
  several_->addItem(txt("takes the best"), "first");
  several_->addItem(txt("makes a row for each"), "all");
  days_ = new QSpinBox;
  days_->setObjectName("joinDays");
  days_->setRange(0, 3660);
  days_->setSuffix(txt(" days"));
  share_ = new QSpinBox;
  share_->setObjectName("joinShare");
  share_->setRange(0, 99);
  share_->setSuffix(" %");
  said_ = secondLabel("");
  said_->setObjectName("joinSaid");
  go_ = primaryButton(txt("Join the tables"));
  go_->setObjectName("joinGo");
  auto* box = columnIn(this);
  box->setContentsMargins(16, 10, 16, 8);
  box->addWidget(fieldRow(txt("Beside it"), {other_}));
  box->addWidget(fieldRow(txt("Told by"), {how_}));
  box->addWidget(keyRow_ = fieldRow(txt("Column, and its"), {key_, otherKey_}));
  box->addWidget(dateRow_ = fieldRow(txt("And date, its"), {date_, otherDate_}));
  box->addWidget(daysRow_ = fieldRow(txt("At most apart"), {days_}));
  box->addWidget(shareRow_ = fieldRow(txt("Overlap above"), {share_}));
  box->addWidget(fieldRow(txt("Several of it"), {several_}));
  box->addWidget(said_);
  box->addStretch();
  box->addWidget(go_);
}

void JoinPanel::open() {
  fill();
  readOther();
}

/// Tables, the newest first, points, cells and outlines; choices stay.
void JoinPanel::fill() {
  if (book_.product() == nullptr) return;
  const QVariant before = other_->currentData();
  other_->clear();
  const auto& products = bench_.study().products;
  for (const auto kind : {ProductKind::Table, ProductKind::Points, ProductKind::Cells})
    for (auto p = products.rbegin(); p != products.rend(); ++p)
      if (p->kind == kind && p->id != book_.product()->id) other_->addItem(q(p->name), q(p->id));
  for (const auto& o : bench_.study().outlines) other_->addItem(q(o.name), q(o.id));
  if (const int at = other_->findData(before); at >= 0) other_->setCurrentIndex(at);
  for (QComboBox* choice : {key_, date_}) {
    const QVariant was = choice->currentData();
    choice->clear();
    if (choice == date_) choice->addItem(txt("no date"), "");
    for (const auto& c : book_.whole().columns)
      if (choice == key_ || c.type == CellType::Date) choice->addItem(q(c.name), q(c.name));
    if (const int at = choice->findData(was); at >= 0) choice->setCurrentIndex(at);
  }
  if (isVisible() && other_->currentData() != before) readOther();
  arrange();
}

/// Its columns, and first of all one that is called as one of ours.
void JoinPanel::readOther() {
  theirs_.clear();
  const std::string id = other_->currentData().toString().toStdString();
  std::string layer;
  if (const auto* p = bench_.study().product(id)) layer = p->file.string();
  for (const auto& o : bench_.study().outlines)
    if (o.id == id) layer = o.layer;
  arrange();
  if (layer.empty()) return;
  reading_.ask([layer](const Progress&) { return readTable(layer).columns; },
               [this](const std::vector<std::string>& columns) {
                 for (const auto& c : columns) theirs_ << q(c);
                 for (QComboBox* choice : {otherKey_, otherDate_}) {
                   choice->clear();
                   for (const auto& c : theirs_) choice->addItem(c, c);
                 }
                 for (const auto& c : theirs_)
                   if (const int at = key_->findData(c); at >= 0) {
                     key_->setCurrentIndex(at);
                     otherKey_->setCurrentIndex(otherKey_->findData(c));
                     break;
                   }
                 const int date =
                     static_cast<int>(theirs_.indexOf(QRegularExpression("^(date|day)$")));
                 otherDate_->setCurrentIndex(std::max(0, date));
                 arrange();
               },
               [this](const QString& sentence) { said_->setText(sentence); });
}

QString JoinPanel::missing() const {
  if (other_->count() == 0)
    return txt("There is nothing to join yet; read a table, or bring in an outline.");
  if (byKeys() && theirs_.isEmpty()) return txt("Reading its columns…");
  if (!byKeys() && book_.places() == nullptr)
    return txt("These rows have no places; join them by a column.");
  return {};
}

void JoinPanel::arrange() {
  const bool dated = byKeys() && date_->currentIndex() > 0;
  keyRow_->setVisible(byKeys());
  dateRow_->setVisible(byKeys() && date_->count() > 1);
  otherDate_->setVisible(dated);
  daysRow_->setVisible(dated);
  shareRow_->setVisible(how_->currentData() == "overlap");
  const QString why = missing();
  said_->setText(why.isEmpty() ? txt("Every row stays; what finds no other gets empty cells. How "
                                     "many matched is told, and stands in the column matches.")
                               : why);
  go_->setEnabled(why.isEmpty());
}

Json JoinPanel::step() const {
  const auto of = [](const QComboBox* choice) {
    return choice->currentData().toString().toStdString();
  };
  Json step{{"do", "join-tables"},
            {"one", book_.product()->id},
            {"other", of(other_)},
            {"several", of(several_)},
            {"name",
             txt("%1 with %2").arg(q(book_.product()->name), other_->currentText()).toStdString()}};
  if (!byKeys()) {
    step["place"] = of(how_);
    if (step["place"] == "overlap") step["least_share"] = share_->value() / 100.0;
    return step;
  }
  step["by"] = {of(key_)};
  step["other_by"] = {of(otherKey_)};
  if (date_->currentIndex() > 0) {
    step["date"] = of(date_);
    step["other_date"] = of(otherDate_);
    step["days"] = days_->value();
  }
  return step;
}

/// The table as it is shown is what is joined: what was done to it becomes a table first.
void JoinPanel::make() {
  if (book_.product() == nullptr || !missing().isEmpty()) return;
  go_->setEnabled(false);  // the same is not made twice
  const auto join = [this](const QString& one) {
    Json step = this->step();
    step["one"] = one.toStdString();
    bench_.run(step, txt("Joined table"), [this](const QString& id) { Q_EMIT made(id); });
  };
  const Json edits = book_.editsShown();
  const auto* table = book_.product();
  if (edits.empty()) return join(q(table->id));
  bench_.run({{"do", "table"},
              {"table", table->id},
              {"edits", edits},
              {"name", txt("%1, as shown").arg(q(table->name)).toStdString()}},
             txt("Table as shown"), join);
}

}  // namespace zp
