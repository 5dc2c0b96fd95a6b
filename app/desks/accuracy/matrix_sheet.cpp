#include "desks/accuracy/matrix_sheet.h"

#include "base/outputs.h"

namespace zp {

namespace {
constexpr size_t kFewPoints = 15;  // mapped as a class, below which its interval says little
constexpr int kSideWidth = 408;

QVBoxLayout* column(int left, int top, int right, int bottom) {
  auto* layout = new QVBoxLayout;
  layout->setContentsMargins(left, top, right, bottom);
  layout->setSpacing(8);
  return layout;
}

QString largeShare(double share) {
  return QString("<span style='font-size:30px;font-weight:600'>%1 %</span>")
      .arg(decimal(100 * share, 1));
}
}  // namespace

MatrixSheet::MatrixSheet(Workbench& bench, LabelBook& book) : bench_(bench), book_(book) {
  setObjectName("matrixSheet");
  auto* line = new QFrame;
  line->setFixedWidth(1);
  line->setStyleSheet(QString("background: %1;").arg(tokens().hairline.name()));
  auto* layout = new QHBoxLayout(this);
  layout->setContentsMargins(0, 0, 0, 0);
  layout->setSpacing(0);
  layout->addLayout(buildMatrix(), 1);
  layout->addWidget(line);
  layout->addWidget(buildSide());
  connect(view_, &MatrixView::cellChosen, this, &MatrixSheet::explain);
}

QLayout* MatrixSheet::buildMatrix() {
  title_ = headingLabel("");
  about_ = secondLabel("");
  view_ = new MatrixView;
  auto* words = new QVBoxLayout;
  words->setSpacing(3);
  words->addWidget(title_);
  words->addWidget(about_);
  auto* head = new QHBoxLayout;
  head->addLayout(words, 1);
  head->addLayout(buildShows());
  auto* left = column(20, 14, 20, 14);
  left->addLayout(head);
  left->addWidget(view_, 1);
  left->addWidget(buildSentence());
  return left;
}

/// What the cells tell.
QLayout* MatrixSheet::buildShows() {
  auto* chips = new QHBoxLayout;
  chips->setSpacing(6);
  auto* group = new QButtonGroup(this);
  const std::pair<QString, MatrixView::Show> shows[] = {
      {txt("Counts"), MatrixView::Show::Counts},
      {txt("Row %"), MatrixView::Show::RowShares},
      {txt("Column %"), MatrixView::Show::ColumnShares}};
  for (const auto& [name, show] : shows) {
    auto* c = chip(name);
    group->addButton(c);
    c->setChecked(show == MatrixView::Show::Counts);
    connect(c, &QPushButton::clicked, this, [this, s = show] { view_->setShow(s); });
    chips->addWidget(c);
  }
  return chips;
}

/// What the chosen cell says, and the way to its points.
QWidget* MatrixSheet::buildSentence() {
  sentence_ = new QLabel;
  sentence_->setObjectName("matrixSentence");
  sentence_->setWordWrap(true);
  sentence_->setTextFormat(Qt::RichText);
  show_ = linkButton(txt("Show these points →"));
  show_->setObjectName("showPoints");
  connect(show_, &QPushButton::clicked, this, &MatrixSheet::showPoints);
  auto* strip = new QFrame;
  strip->setObjectName("strip");
  strip->setStyleSheet(
      QString("#strip { background: %1; border-radius: 4px; }").arg(tokens().sunken.name()));
  auto* in = new QHBoxLayout(strip);
  in->setContentsMargins(14, 8, 14, 8);
  in->addWidget(sentence_, 1);
  in->addWidget(show_);
  return strip;
}

QWidget* MatrixSheet::buildSide() {
  // Above the buttons it scrolls where the room is short: nothing lies over anything.
  auto* scroll = new QScrollArea;
  scroll->setObjectName("matrixSide");
  scroll->setWidget(buildMeasures());
  scroll->setWidgetResizable(true);
  scroll->setFrameShape(QFrame::NoFrame);
  scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
  scroll->setFocusPolicy(Qt::NoFocus);
  auto* side = new QWidget;
  auto* whole = columnIn(side, 0);
  whole->addWidget(scroll, 1);
  whole->addLayout(buildFoot());
  side->setFixedWidth(kSideWidth);
  return side;
}

QWidget* MatrixSheet::buildMeasures() {
  overall_ = new QLabel;
  overall_->setObjectName("overall");
  overall_->setTextFormat(Qt::RichText);
  interval_ = secondLabel("");
  kappa_ = new QLabel;
  kappa_->setObjectName("kappa");
  kappa_->setWordWrap(true);
  kappa_->setTextFormat(Qt::RichText);
  counts_ = secondLabel("");
  areaTitle_ = sectionLabel(txt("Area, corrected for map errors"));
  areas_ = plainTable({txt("Class"), txt("mapped ha"), txt("estimated ha")});
  areas_->setObjectName("estimatedAreas");
  areas_->setSelectionMode(QAbstractItemView::NoSelection);
  areas_->setFocusPolicy(Qt::NoFocus);
  auto* words = secondLabel(txt(
      "<b>User's accuracy</b>: of what the map calls a class, how much is it on the ground. 100 % "
      "less it is the commission error.<br><b>Producer's accuracy</b>: of what is a class on the "
      "ground, how much the map found. 100 % less it is the omission error."));
  auto* side = column(18, 14, 18, 8);
  for (QWidget* part : std::initializer_list<QWidget*>{
           headingLabel(txt("How good is the map?")), overall_, interval_, hairline(), kappa_,
           hairline(), counts_, hairline(), areaTitle_, areas_, words})
    side->addWidget(part);
  side->addStretch();
  auto* inside = new QWidget;
  inside->setLayout(side);
  return inside;
}

QLayout* MatrixSheet::buildFoot() {
  said_ = secondLabel("");
  said_->setObjectName("matrixSaid");
  auto* csv = primaryButton(txt("Matrix as CSV…"));
  csv->setObjectName("matrixCsv");
  connect(csv, &QPushButton::clicked, this, [this] {
    const QString file = QFileDialog::getSaveFileName(
        this, txt("Matrix as CSV"), txt("confusion-matrix") + ".csv", txt("CSV (*.csv)"));
    if (!file.isEmpty()) writeCsv(file);
  });
  auto* back = quietButton(txt("To the view"));
  back->setObjectName("matrixBack");
  connect(back, &QPushButton::clicked, this, &MatrixSheet::leaveAsked);
  auto* foot = new QHBoxLayout;
  foot->addWidget(csv, 1);
  foot->addWidget(back);
  auto* below = column(18, 4, 18, 14);
  below->addWidget(said_);
  below->addLayout(foot);
  return below;
}

void MatrixSheet::showPoints() {
  const auto [i, j] = view_->chosen();
  if (matrix_ && i >= 0)
    book_.cell = {matrix_->codes[static_cast<size_t>(i)], matrix_->codes[static_cast<size_t>(j)]};
  Q_EMIT pointsAsked();
}

void MatrixSheet::open() {
  matrix_ = book_.matrix();
  say({});
  if (!matrix_) {
    title_->setText(txt("There is no label yet"));
    about_->setText(txt("Label some points first."));
    return;
  }
  const auto* map = book_.map();
  title_->setText(txt("Confusion matrix of “%1”")
                      .arg(map != nullptr ? q(map->name) : txt("a map that is gone")));
  about_->setText(txt("Rows: what the map says. Columns: what the reference says. %1 points.")
                      .arg(grouped(matrix_->total())));
  view_->setMatrix(*matrix_, bench_.study().legend);
  view_->setIntervals(book_.withoutInterval().empty());
  const auto weighted = book_.weighted(*matrix_);
  fillAreas(weighted);
  tellAccuracy(weighted);
  tellLimits(weighted.has_value());
  chooseWorst();
}

void MatrixSheet::tellAccuracy(const std::optional<StratifiedEstimate>& weighted) {
  if (const auto plan = book_.withoutInterval(); !plan.empty()) return tellWithoutInterval(plan);
  const Estimate o = weighted ? weighted->overall : matrix_->overall(), k = matrix_->kappa();
  overall_->setText(largeShare(o.value) +
                    QString(" &nbsp;<span style='color:%2'>± %1</span>")
                        .arg(decimal(50 * (o.high - o.low), 1), tokens().second.name()));
  interval_->setText(txt("overall accuracy, 95 % interval %1 to %2 %.%3")
                         .arg(decimal(100 * o.low, 1), decimal(100 * o.high, 1),
                              weighted
                                  ? txt(" Weighted by mapped area, since the points were drawn "
                                        "per class; of the points alone, %1 % are right.")
                                        .arg(decimal(100 * matrix_->overall().value, 1))
                                  : QString()));
  kappa_->setText(
      std::isnan(k.value)
          ? txt("Kappa is not defined with one class.")
          : txt("Kappa &nbsp;<b>%1</b> &nbsp;<span style='color:%4'>interval %2 to %3</span>")
                .arg(decimal(k.value, 3), decimal(k.low, 3), decimal(k.high, 3),
                     tokens().second.name()));
}

/// Of points that are no random sample, or come in blocks.
void MatrixSheet::tellWithoutInterval(const std::string& plan) {
  overall_->setText(largeShare(matrix_->overall().value));
  interval_->setText(
      plan == "by-hand"
          ? txt("of the points are right. They were put down by hand and are no random sample, so "
                "this is no accuracy of the whole map, and it has no interval.")
      : plan == "cells"
          ? txt("of the points are right. They are the centres of cells, which no chance chose, so "
                "this accuracy has no interval.")
          : txt("overall accuracy. The points lie in blocks and are more alike than single ones, "
                "so "
                "an interval as for single points would be too narrow; none is told."));
  const double kappa = matrix_->kappa().value;
  kappa_->setText(std::isnan(kappa) ? txt("Kappa is not defined with one class.")
                                    : txt("Kappa &nbsp;<b>%1</b>").arg(decimal(kappa, 3)));
}

/// What is to be known before the figures are believed.
void MatrixSheet::tellLimits(bool weighted) {
  QString told;
  if (matrix_->skipped > 0)
    told = txt("%n points without a label or outside the map are left out. ",
               "%n point without a label or outside the map is left out. ",
               static_cast<qint64>(matrix_->skipped));
  if (!weighted && book_.drawnPerClass())
    told +=
        txt("The points were drawn per class of an earlier state of the map, so the accuracy "
            "is counted point by point and not weighted by area. ");
  QStringList small;
  for (size_t i = 0; i < matrix_->codes.size(); ++i)
    if (matrix_->rowTotal(i) < kFewPoints) small << q(matrix_->names[i]);
  if (!small.isEmpty())
    told += (book_.withoutInterval().empty()
                 ? txt("Fewer than 15 points are mapped as %1: read those intervals before the "
                       "percentages.")
                 : txt("Fewer than 15 points are mapped as %1: those percentages say little."))
                .arg(small.join(", "));
  counts_->setText(told.isEmpty() ? txt("Every class has at least 15 points on the map.") : told);
}

/// The most frequent confusion is what to look at first.
void MatrixSheet::chooseWorst() {
  int wi = 0, wj = 0;
  size_t worst = 0;
  for (size_t i = 0; i < matrix_->codes.size(); ++i)
    for (size_t j = 0; j < matrix_->codes.size(); ++j)
      if (i != j && matrix_->counts[i][j] > worst)
        worst = matrix_->counts[i][j], wi = static_cast<int>(i), wj = static_cast<int>(j);
  view_->choose(wi, wj);
}

void MatrixSheet::fillAreas(const std::optional<StratifiedEstimate>& weighted) {
  areaTitle_->setVisible(weighted.has_value());
  areas_->setVisible(weighted.has_value());
  if (!weighted) return;
  const auto mapped = book_.mappedAreas();
  areas_->setRowCount(static_cast<int>(matrix_->codes.size()));
  for (int r = 0; r < areas_->rowCount(); ++r) {
    const auto i = static_cast<size_t>(r);
    areas_->setItem(r, 0, classItem(bench_.study(), matrix_->codes[i], matrix_->names[i]));
    const auto area = mapped.find(matrix_->codes[i]);
    areas_->setItem(r, 1, figureItem(area == mapped.end() ? "–" : areaText(area->second)));
    const Estimate& e = weighted->area[i];
    areas_->setItem(r, 2, figureItem(areaText(e.value) + " ± " + areaText((e.high - e.low) / 2)));
  }
  fitHeight(areas_, 9);
}

void MatrixSheet::explain(int map, int reference) {
  if (!matrix_) return;
  const auto i = static_cast<size_t>(map), j = static_cast<size_t>(reference);
  const size_t n = matrix_->counts[i][j];
  const QString a = q(matrix_->names[i]).toHtmlEscaped(), b = q(matrix_->names[j]).toHtmlEscaped();
  const auto count = static_cast<qint64>(n);
  if (i == j)
    sentence_->setText(
        txt("<b>%1 points</b> mapped as %2 are %2 on the ground: the map is right there.",
            "<b>%1 point</b> mapped as %2 is %2 on the ground: the map is right there.", count)
            .arg(grouped(n), a));
  else if (n == 0)
    sentence_->setText(txt("No point mapped as %1 is %2 on the ground.").arg(a, b));
  else
    sentence_->setText(
        txt("<b>%1 points</b> mapped as %2 are %3 on the ground: a commission error of "
            "%2, an omission of %3.",
            "<b>%1 point</b> mapped as %2 is %3 on the ground: a commission error of "
            "%2, an omission of %3.",
            count)
            .arg(grouped(n), a, b));
  show_->setVisible(n > 0);
}

/// An empty line takes no room from what stands above it.
void MatrixSheet::say(const QString& sentence) {
  said_->setText(sentence);
  said_->setVisible(!sentence.isEmpty());
}

void MatrixSheet::writeCsv(const QString& file) {
  if (!matrix_) return;
  try {
    writeFileAtomically(file.toStdString(),
                        toCsv(toTable(*matrix_, book_.withoutInterval().empty())));
    say(txt("The matrix is in “%1”.").arg(file));
  } catch (const std::exception& e) {
    say(sentenceOf(e));
  }
}

}  // namespace zp
