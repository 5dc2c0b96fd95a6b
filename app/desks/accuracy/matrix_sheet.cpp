#include "desks/accuracy/matrix_sheet.h"

#include "accuracy/matrix_table.h"
#include "base/outputs.h"
#include "desks/accuracy/percent.h"

namespace zp {

namespace {
constexpr int kSideWidth = 408;

QVBoxLayout* column(int left, int top, int right, int bottom) {
  auto* layout = new QVBoxLayout;
  layout->setContentsMargins(left, top, right, bottom);
  layout->setSpacing(8);
  return layout;
}
}  // namespace

MatrixSheet::MatrixSheet(Workbench& bench, LabelBook& book) : bench_(bench), book_(book) {
  setObjectName("matrixSheet");
  placeSideBySide(this, buildMatrix(), buildSide());
  connect(view_, &MatrixView::cellChosen, this, &MatrixSheet::explain);
}

QLayout* MatrixSheet::buildMatrix() {
  title_ = headingLabel("");
  about_ = secondLabel("");
  about_->setObjectName("matrixAbout");
  view_ = new MatrixView;
  auto* head = new QHBoxLayout;
  head->addWidget(title_, 1);
  head->addLayout(buildShows());
  auto* left = column(20, 14, 20, 14);
  left->setSpacing(4);
  left->addLayout(head);
  left->addWidget(about_);
  left->addWidget(view_, 1);
  left->addWidget(buildSentence());
  return left;
}

/// What the cells tell, and which way round.
QLayout* MatrixSheet::buildShows() {
  auto* chips = new QHBoxLayout;
  chips->setSpacing(6);
  shows_ = new QButtonGroup(this);
  const std::tuple<const char*, QString, MatrixView::Show> shows[] = {
      {"showArea", txt("Area %"), MatrixView::Show::AreaShares},
      {"showCounts", txt("Counts"), MatrixView::Show::Counts},
      {"showRows", txt("Row %"), MatrixView::Show::RowShares},
      {"showColumns", txt("Column %"), MatrixView::Show::ColumnShares}};
  for (const auto& [id, name, show] : shows) {
    auto* c = chip(name);
    c->setObjectName(id);
    shows_->addButton(c, static_cast<int>(show));
    connect(c, &QPushButton::clicked, this, [this, s = show] { setShow(s); });
    chips->addWidget(c);
  }
  turned_ = chip(txt("Turned"));
  turned_->setObjectName("matrixTurned");
  turned_->setToolTip(
      txt("Rows are what the reference says, columns what the map says; so it goes "
          "out as CSV too"));
  connect(turned_, &QPushButton::clicked, this, [this](bool on) {
    bench_.setPlace("matrix-turned", on);
    view_->setTurned(on);
    tellAbout();
  });
  either_ = chip(txt("Either class"));
  either_->setObjectName("eitherClass");
  either_->setToolTip(txt("Of a mixed place the map is right with either of its two classes"));
  connect(either_, &QPushButton::clicked, this, [this](bool on) {
    book_.setEither(on);
    refresh();
    chooseWorst();
  });
  changes_ = chip(txt("Changed or not"));
  changes_->setObjectName("changedOrNot");
  changes_->setToolTip(txt("All changes count as one, and so does all that is as before"));
  connect(changes_, &QPushButton::clicked, this, [this](bool on) {
    on ? book_.mergeChanges() : book_.takeApart();
    refresh();
    chooseWorst();
  });
  chips->addSpacing(10);
  chips->addWidget(changes_);
  chips->addWidget(either_);
  chips->addWidget(turned_);
  return chips;
}

QPushButton* MatrixSheet::link(const char* name, const QString& text, void (MatrixSheet::*act)()) {
  auto* button = linkButton(text);
  button->setObjectName(name);
  connect(button, &QPushButton::clicked, this, act);
  return button;
}

/// What the chosen cell says, and the ways on from there.
QWidget* MatrixSheet::buildSentence() {
  sentence_ = new QLabel;
  sentence_->setObjectName("matrixSentence");
  sentence_->setWordWrap(true);
  sentence_->setTextFormat(Qt::RichText);
  grouped_ = secondLabel("");
  grouped_->setObjectName("matrixGrouped");
  show_ = link("showPoints", txt("Show on the map"), &MatrixSheet::showPoints);
  each_ = link("lookAtEach", txt("Look at each"), &MatrixSheet::lookAtEach);
  why_ = link("whyConfused", txt("Their signatures"), &MatrixSheet::askSignatures);
  merge_ = link("countAsOne", txt("Count both as one"), &MatrixSheet::merge);
  apart_ = link("takeApart", txt("Take apart again"), &MatrixSheet::takeApart);
  auto* strip = new QFrame;
  strip->setObjectName("strip");
  strip->setStyleSheet(
      QString("#strip { background: %1; border-radius: 4px; }").arg(tokens().sunken.name()));
  auto* ways = new QHBoxLayout;
  ways->setSpacing(18);
  for (auto* way : {show_, each_, why_, merge_}) ways->addWidget(way);
  ways->addStretch();
  auto* told = new QHBoxLayout;
  told->addWidget(grouped_, 1);
  told->addWidget(apart_);
  auto* in = new QVBoxLayout(strip);
  in->setContentsMargins(14, 8, 14, 6);
  in->setSpacing(2);
  in->addWidget(sentence_);
  in->addLayout(ways);
  in->addLayout(told);
  return strip;
}

QWidget* MatrixSheet::buildSide() {
  measures_ = new MeasuresSide(bench_, book_);
  errors_ = new ErrorsSide(bench_, book_);
  connect(errors_, &ErrorsSide::pointsAsked, this, &MatrixSheet::pointsAsked);
  connect(errors_, &ErrorsSide::labellingAsked, this, &MatrixSheet::labellingAsked);
  sides_ = new QStackedWidget;
  // Above the buttons it scrolls where the room is short: nothing lies over anything.
  for (QWidget* part : std::initializer_list<QWidget*>{measures_, errors_}) {
    auto* scroll = new QScrollArea;
    scroll->setObjectName("matrixSide");
    scroll->setWidget(part);
    scroll->setWidgetResizable(true);
    scroll->setFrameShape(QFrame::NoFrame);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    scroll->setFocusPolicy(Qt::NoFocus);
    sides_->addWidget(scroll);
  }
  auto* side = new QWidget;
  auto* whole = columnIn(side, 0);
  whole->addLayout(buildSideChips());
  whole->addWidget(sides_, 1);
  whole->addLayout(buildFoot());
  side->setFixedWidth(kSideWidth);
  return side;
}

/// How good the map is, or where it is wrong.
QLayout* MatrixSheet::buildSideChips() {
  goodChip_ = chip(txt("Measures"));
  goodChip_->setObjectName("sideMeasures");
  whereChip_ = chip(txt("Where the errors are"));
  whereChip_->setObjectName("sideErrors");
  auto* one = new QButtonGroup(this);
  for (auto* c : {goodChip_, whereChip_}) one->addButton(c);
  connect(goodChip_, &QPushButton::clicked, this, [this] { showSide(0); });
  connect(whereChip_, &QPushButton::clicked, this, [this] { showSide(1); });
  auto* chips = new QHBoxLayout;
  chips->setContentsMargins(18, 12, 18, 0);
  chips->setSpacing(6);
  chips->addWidget(goodChip_);
  chips->addWidget(whereChip_);
  chips->addStretch();
  return chips;
}

void MatrixSheet::showSide(int side) {
  sides_->setCurrentIndex(side);
  (side == 0 ? goodChip_ : whereChip_)->setChecked(true);
  if (side == 1) errors_->open();
}

QLayout* MatrixSheet::buildFoot() {
  said_ = secondLabel("");
  said_->setObjectName("matrixSaid");
  report_ = new ReportPart(bench_, book_);
  report_->hide();
  connect(report_, &ReportPart::said, this, [this](const QString& told) { tellIn(said_, told); });
  auto* report = primaryButton(txt("Report…"));
  report->setObjectName("report");
  connect(report, &QPushButton::clicked, this,
          [this] { report_->isVisible() ? report_->hide() : report_->open(); });
  auto* csv = quietButton(txt("Matrix as CSV…"));
  csv->setObjectName("matrixCsv");
  connect(csv, &QPushButton::clicked, this, [this] {
    const QString file = QFileDialog::getSaveFileName(
        this, txt("Matrix as CSV"), txt("confusion-matrix") + ".csv", txt("CSV (*.csv)"));
    if (!file.isEmpty()) writeCsv(file);
  });
  auto* back = quietButton(txt("To the view"));
  back->setObjectName("matrixBack");
  connect(back, &QPushButton::clicked, this, &MatrixSheet::leaveAsked);
  auto* compared = quietButton(txt("Compare maps"));
  compared->setObjectName("compareMaps");
  connect(compared, &QPushButton::clicked, this, &MatrixSheet::comparisonAsked);
  auto* foot = new QHBoxLayout;
  for (auto* button : {compared, back}) foot->addWidget(button, 1);
  auto* out = new QHBoxLayout;
  out->addWidget(report, 1);
  out->addWidget(csv);
  auto* below = column(18, 4, 18, 14);
  below->addWidget(said_);
  below->addWidget(report_);
  below->addLayout(out);
  below->addLayout(foot);
  return below;
}

void MatrixSheet::open() {
  tellIn(said_, {});
  report_->hide();
  showSide(0);
  either_->setVisible(book_.anyMixed());
  either_->setChecked(book_.either());
  changes_->setVisible(book_.ofChange());
  const Judged* j = book_.judged();
  if (j == nullptr) {
    title_->setText(txt("There is no label yet"));
    about_->setText(txt("Label some points first."));
    return;
  }
  const auto* map = book_.map();
  title_->setText(txt("Confusion matrix of “%1”")
                      .arg(map != nullptr ? q(map->name) : txt("a map that is gone")));
  const Json turned = bench_.place("matrix-turned");
  turned_->setChecked(turned.is_boolean() && turned.get<bool>());
  view_->setTurned(turned_->isChecked());
  view_->setIntervals(book_.withoutInterval().empty());
  auto* area = shows_->button(static_cast<int>(MatrixView::Show::AreaShares));
  area->setVisible(j->weighted.has_value());
  setShow(j->weighted ? MatrixView::Show::AreaShares : MatrixView::Show::Counts);
  chooseWorst();
}

/// What counts and what is weighted never stand beside each other.
const Assessment& MatrixSheet::shown() const {
  const Judged& j = *book_.judged();
  return view_->showing() == MatrixView::Show::Counts ? j.counts : j.first();
}

void MatrixSheet::setShow(MatrixView::Show show) {
  view_->setShow(show);
  shows_->button(static_cast<int>(show))->setChecked(true);
  refresh();
}

void MatrixSheet::refresh() {
  const Judged* j = book_.judged();
  if (j == nullptr) return;
  view_->setMatrix(j->matrix, shown(), book_.groups().legend(book_.legend()));
  measures_->tell(*j, shown());
  tellAbout();
  tellGroups();
}

void MatrixSheet::tellAbout() {
  const Judged* j = book_.judged();
  if (j == nullptr) return;
  const QString way = view_->turned()
                          ? txt("Rows: what the reference says. Columns: what the map says.")
                          : txt("Rows: what the map says. Columns: what the reference says.");
  const QString points = grouped(j->matrix.total());
  about_->setText(way + " " +
                  (shown().weighted ? txt("%1 points, weighted by area.").arg(points)
                                    : txt("%1 points, each counting the same.").arg(points)));
}

/// The most frequent confusion is what to look at first.
void MatrixSheet::chooseWorst() {
  const Judged& j = *book_.judged();
  size_t wi = 0, wj = 0;
  double worst = 0;
  for (size_t a = 0; a < j.matrix.codes.size(); ++a)
    for (size_t b = 0; b < j.matrix.codes.size(); ++b)
      if (a != b && shown().shares[a][b] > worst) worst = shown().shares[a][b], wi = a, wj = b;
  view_->choose(static_cast<int>(wi), static_cast<int>(wj));
}

void MatrixSheet::setCell() {
  const auto [i, j] = view_->chosen();
  const auto& codes = book_.judged()->matrix.codes;
  const auto codeOf = [&](int at) { return at < 0 ? 0 : codes[static_cast<size_t>(at)]; };
  book_.chooseAll();
  book_.cell = {codeOf(i), codeOf(j)};
}

void MatrixSheet::showPoints() {
  setCell();
  Q_EMIT pointsAsked();
}

void MatrixSheet::lookAtEach() {
  setCell();
  book_.setTask(LabelBook::Task::Label);
  Q_EMIT labellingAsked();
}

void MatrixSheet::askSignatures() {
  const auto [i, j] = view_->chosen();
  Q_EMIT signaturesAsked(book_.judged()->matrix.codes[static_cast<size_t>(std::max({i, j, 0}))]);
}

void MatrixSheet::merge() {
  const auto [i, j] = view_->chosen();
  const auto& codes = book_.judged()->matrix.codes;
  book_.merge(codes[static_cast<size_t>(i)], codes[static_cast<size_t>(j)]);
  refresh();
  chooseWorst();
}

void MatrixSheet::takeApart() {
  book_.takeApart();
  refresh();
  chooseWorst();
}

void MatrixSheet::tellGroups() {
  const bool any = !book_.groups().none();
  if (!any) changes_->setChecked(false);
  grouped_->setVisible(any);
  apart_->setVisible(any);
  if (!any) return;
  const Judged& whole = *book_.ungrouped();
  const Assessment& before = shown().weighted ? *whole.weighted : whole.counts;
  grouped_->setText(
      txt("Some classes count as one: overall accuracy %1 % instead of %2 %.")
          .arg(decimal(100 * shown().overall.value, 1), decimal(100 * before.overall.value, 1)));
}

void MatrixSheet::explain(int map, int reference) {
  if (book_.judged() == nullptr) return;
  const bool cell = map >= 0 && reference >= 0, mixed = cell && map != reference;
  merge_->setVisible(mixed);
  why_->setVisible(!bench_.study().training.empty() && !book_.ofChange());
  why_->setText(mixed ? txt("Their signatures") : txt("Its signature"));
  if (cell)
    explainCell(static_cast<size_t>(map), static_cast<size_t>(reference));
  else if (map >= 0)
    explainRow(static_cast<size_t>(map));
  else if (reference >= 0)
    explainColumn(static_cast<size_t>(reference));
}

void MatrixSheet::explainCell(size_t i, size_t j) {
  const ConfusionMatrix& m = book_.judged()->matrix;
  const size_t n = m.counts[i][j];
  const QString a = q(m.names[i]).toHtmlEscaped(), b = q(m.names[j]).toHtmlEscaped();
  const auto count = static_cast<qint64>(n);
  QString told;
  if (i == j)
    told = txt("<b>%1 points</b> mapped as %2 are %2 on the ground: the map is right there.",
               "<b>%1 point</b> mapped as %2 is %2 on the ground: the map is right there.", count)
               .arg(grouped(n), a);
  else if (n == 0)
    told = txt("No point mapped as %1 is %2 on the ground.").arg(a, b);
  else
    told = txt("<b>%1 points</b> mapped as %2 are %3 on the ground: a commission error of "
               "%2, an omission of %3.",
               "<b>%1 point</b> mapped as %2 is %3 on the ground: a commission error of "
               "%2, an omission of %3.",
               count)
               .arg(grouped(n), a, b);
  if (n > 0 && shown().weighted)
    told += " " + txt("That is %1 % of the area.").arg(decimal(100 * shown().shares[i][j], 1));
  sentence_->setText(told);
  for (auto* way : {show_, each_}) way->setVisible(n > 0);
}

void MatrixSheet::explainRow(size_t i) {
  const ConfusionMatrix& m = book_.judged()->matrix;
  const QString a = q(m.names[i]).toHtmlEscaped();
  const double u = shown().users[i].value;
  sentence_->setText(
      std::isnan(u)
          ? txt("No point is mapped as %1, so it has no user's accuracy.").arg(a)
          : txt("Of what the map calls %1, <b>%2</b> is %1 on the ground: its user's accuracy. The "
                "rest is its commission error.")
                .arg(a, percent(u)));
  for (auto* way : {show_, each_}) way->setVisible(m.rowTotal(i) > 0);
}

void MatrixSheet::explainColumn(size_t j) {
  const ConfusionMatrix& m = book_.judged()->matrix;
  const QString b = q(m.names[j]).toHtmlEscaped();
  const double p = shown().producers[j].value;
  sentence_->setText(
      std::isnan(p) ? txt("No point is %1 on the ground, so it has no producer's accuracy.").arg(b)
                    : txt("Of what is %1 on the ground, the map found <b>%2</b>: its producer's "
                          "accuracy. The "
                          "rest is its omission error.")
                          .arg(b, percent(p)));
  for (auto* way : {show_, each_}) way->setVisible(m.columnTotal(j) > 0);
}

void MatrixSheet::writeCsv(const QString& file) {
  const Judged* j = book_.judged();
  if (j == nullptr) return;
  try {
    writeFileAtomically(
        file.toStdString(),
        toCsv(toTable(j->matrix, shown(), {view_->turned(), book_.withoutInterval().empty()})));
    tellIn(said_, txt("The matrix is in “%1”.").arg(file));
  } catch (const std::exception& e) {
    tellIn(said_, sentenceOf(e));
  }
}

}  // namespace zp
