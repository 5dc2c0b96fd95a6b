#include "desks/accuracy/matrix_sheet.h"

#include "base/outputs.h"

namespace zp {

namespace {
constexpr int kNames = 122, kHead = 92, kMargins = 250, kFoot = 34;

QString percent(double share) {
  return std::isnan(share) ? QString("–") : decimal(100 * share, 0) + " %";
}
}  // namespace

MatrixView::MatrixView(QWidget* parent) : QWidget(parent) {
  setObjectName("matrixView");
  setAccessibleName(txt("Confusion matrix"));
  setFocusPolicy(Qt::StrongFocus);
  setMinimumSize(520, 320);
}

void MatrixView::setMatrix(const ConfusionMatrix& m, const Legend& legend) {
  matrix_ = m;
  legend_ = legend;
  chosen_ = {-1, -1};
  update();
}

void MatrixView::setShow(Show show) {
  show_ = show;
  update();
}

int MatrixView::cellWidth() const {
  return std::clamp(
      (width() - kNames - kMargins) / std::max(1, static_cast<int>(matrix_.codes.size())), 30, 72);
}

int MatrixView::cellHeight() const {
  return std::clamp(
      (height() - kHead - kFoot) / std::max(1, static_cast<int>(matrix_.codes.size())), 20, 40);
}

QRect MatrixView::cellRect(size_t map, size_t reference) const {
  return QRect(kNames + static_cast<int>(reference) * cellWidth(),
               kHead + static_cast<int>(map) * cellHeight(), cellWidth() - 1, cellHeight() - 1);
}

QString MatrixView::cellText(size_t i, size_t j) const {
  const size_t n = matrix_.counts[i][j];
  if (n == 0) return "·";
  if (show_ == Show::Counts) return grouped(n);
  const size_t all = show_ == Show::RowShares ? matrix_.rowTotal(i) : matrix_.columnTotal(j);
  return decimal(100.0 * static_cast<double>(n) / static_cast<double>(all), 0);
}

void MatrixView::paintEvent(QPaintEvent*) {
  QPainter p(this);
  p.setRenderHint(QPainter::Antialiasing);
  const Tokens& t = tokens();
  const size_t k = matrix_.codes.size();
  if (k == 0) return;
  const bool light = currentLook() == "daylight";
  size_t most = 1;
  for (size_t i = 0; i < k; ++i)
    for (size_t j = 0; j < k; ++j)
      if (i != j) most = std::max(most, matrix_.counts[i][j]);
  const auto mixed = [](QColor a, QColor b, double s) {
    return QColor::fromRgbF(static_cast<float>(a.redF() + s * (b.redF() - a.redF())),
                            static_cast<float>(a.greenF() + s * (b.greenF() - a.greenF())),
                            static_cast<float>(a.blueF() + s * (b.blueF() - a.blueF())));
  };
  const auto swatchOf = [&](size_t i) {
    const auto* c = legend_.find(matrix_.codes[i]);
    return c != nullptr ? toQt(c->colour) : t.second;
  };
  // Column heads, slanted.
  for (size_t j = 0; j < k; ++j) {
    p.save();
    p.translate(cellRect(0, j).center().x() - 2, kHead - 8);
    p.rotate(-45);
    p.setFont(textFont(9.5));
    p.setPen(t.text);
    p.drawText(0, 0, p.fontMetrics().elidedText(q(matrix_.names[j]), Qt::ElideRight, 110));
    p.restore();
  }
  const int right = kNames + static_cast<int>(k) * cellWidth();
  p.setFont(textFont(9));
  p.setPen(t.second);
  p.drawText(QRect(right + 2, kHead - 24, 52, 18), Qt::AlignRight, txt("points"));
  p.drawText(QRect(right + 70, kHead - 24, 160, 18), Qt::AlignLeft, txt("user's accuracy"));
  for (size_t i = 0; i < k; ++i) {
    const QRect first = cellRect(i, 0);
    p.setPen(Qt::NoPen);
    p.setBrush(swatchOf(i));
    p.drawRoundedRect(QRectF(2, first.center().y() - 5, 11, 11), 2, 2);
    p.setPen(t.text);
    p.setFont(textFont(9.5));
    p.drawText(QRect(21, first.top(), kNames - 26, first.height()), Qt::AlignVCenter,
               p.fontMetrics().elidedText(q(matrix_.names[i]), Qt::ElideRight, kNames - 26));
    for (size_t j = 0; j < k; ++j) {
      const QRect cell = cellRect(i, j);
      const size_t n = matrix_.counts[i][j];
      const double share =
          i == j ? 0.35 + 0.5 * static_cast<double>(n) /
                              static_cast<double>(std::max<size_t>(
                                  1, std::max(matrix_.rowTotal(i), matrix_.columnTotal(j))))
                 : 0.22 + 0.5 * static_cast<double>(n) / static_cast<double>(most);
      const QColor tint = i == j ? (light ? QColor("#9c86d8") : QColor("#8a74c8"))
                                 : (light ? QColor("#d98a68") : QColor("#a8543c"));
      if (n > 0) p.fillRect(cell, mixed(t.panel, tint, share));
      p.setPen(n > 0 ? t.text : t.second);
      p.setFont(figureFont(9.5));
      p.drawText(cell, Qt::AlignCenter, cellText(i, j));
    }
    const Estimate u = matrix_.users(i);
    p.setPen(t.text);
    p.setFont(figureFont(9.5));
    p.drawText(QRect(right + 2, first.top(), 52, first.height()), Qt::AlignRight | Qt::AlignVCenter,
               grouped(matrix_.rowTotal(i)));
    if (!std::isnan(u.value)) {
      const double x0 = right + 70, w = 104, y = first.center().y() + 0.5;
      p.setPen(QPen(t.hairline, 2));
      p.drawLine(QPointF(x0, y), QPointF(x0 + w, y));
      p.setPen(QPen(t.accent, 4, Qt::SolidLine, Qt::RoundCap));
      p.drawLine(QPointF(x0 + w * u.low, y), QPointF(x0 + w * u.high, y));
      p.setPen(QPen(t.panel, 1));
      p.setBrush(t.text);
      p.drawEllipse(QPointF(x0 + w * u.value, y), 4.5, 4.5);
      p.setPen(t.text);
      p.drawText(QRect(right + 180, first.top(), 60, first.height()),
                 Qt::AlignRight | Qt::AlignVCenter, percent(u.value));
    }
  }
  const int foot = kHead + static_cast<int>(k) * cellHeight() + 4;
  p.setPen(t.second);
  p.setFont(textFont(9));
  p.drawText(QRect(0, foot - 4, kNames - 6, 30), Qt::AlignVCenter | Qt::TextWordWrap,
             txt("producer's accuracy"));
  p.setPen(t.text);
  p.setFont(figureFont(9));
  for (size_t j = 0; j < k; ++j) {
    const QRect c = cellRect(0, j);
    p.drawText(QRect(c.left() - 6, foot, c.width() + 12, 20), Qt::AlignCenter,
               percent(matrix_.producers(j).value));
  }
  if (chosen_.first >= 0) {
    p.setBrush(Qt::NoBrush);
    p.setPen(QPen(t.text, 2));
    p.drawRect(cellRect(static_cast<size_t>(chosen_.first), static_cast<size_t>(chosen_.second))
                   .adjusted(-1, -1, 1, 1));
  }
}

void MatrixView::choose(int map, int reference) {
  const int last = static_cast<int>(matrix_.codes.size()) - 1;
  if (last < 0) return;
  chosen_ = {std::clamp(map, 0, last), std::clamp(reference, 0, last)};
  update();
  Q_EMIT cellChosen(chosen_.first, chosen_.second);
}

void MatrixView::mousePressEvent(QMouseEvent* e) {
  for (size_t i = 0; i < matrix_.codes.size(); ++i)
    for (size_t j = 0; j < matrix_.codes.size(); ++j)
      if (cellRect(i, j).contains(e->position().toPoint()))
        return choose(static_cast<int>(i), static_cast<int>(j));
}

void MatrixView::keyPressEvent(QKeyEvent* e) {
  const auto [i, j] = chosen_;
  switch (e->key()) {
    case Qt::Key_Up:
      return choose(i - 1, j);
    case Qt::Key_Down:
      return choose(i + 1, j);
    case Qt::Key_Left:
      return choose(i, j - 1);
    case Qt::Key_Right:
      return choose(i, j + 1);
    default:
      QWidget::keyPressEvent(e);
  }
}

MatrixSheet::MatrixSheet(Workbench& bench, LabelBook& book) : bench_(bench), book_(book) {
  setObjectName("matrixSheet");
  title_ = headingLabel("");
  about_ = secondLabel("");
  view_ = new MatrixView;
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
  auto* words = new QVBoxLayout;
  words->setSpacing(3);
  words->addWidget(title_);
  words->addWidget(about_);
  auto* head = new QHBoxLayout;
  head->addLayout(words, 1);
  head->addLayout(chips);
  sentence_ = new QLabel;
  sentence_->setObjectName("matrixSentence");
  sentence_->setWordWrap(true);
  sentence_->setTextFormat(Qt::RichText);
  show_ = linkButton(txt("Show these points →"));
  show_->setObjectName("showPoints");
  connect(show_, &QPushButton::clicked, this, [this] {
    const auto [i, j] = view_->chosen();
    if (matrix_ && i >= 0)
      book_.cell = {matrix_->codes[static_cast<size_t>(i)], matrix_->codes[static_cast<size_t>(j)]};
    Q_EMIT pointsAsked();
  });
  auto* strip = new QFrame;
  strip->setObjectName("strip");
  strip->setStyleSheet(
      QString("#strip { background: %1; border-radius: 4px; }").arg(tokens().sunken.name()));
  auto* in = new QHBoxLayout(strip);
  in->setContentsMargins(14, 8, 14, 8);
  in->addWidget(sentence_, 1);
  in->addWidget(show_);
  auto* left = new QVBoxLayout;
  left->setContentsMargins(20, 14, 20, 14);
  left->setSpacing(8);
  left->addLayout(head);
  left->addWidget(view_, 1);
  left->addWidget(strip);

  // Above the buttons it scrolls where the room is short: nothing lies over anything.
  auto* inside = new QWidget;
  auto* side = new QVBoxLayout(inside);
  side->setContentsMargins(18, 14, 18, 8);
  side->setSpacing(8);
  side->addWidget(headingLabel(txt("How good is the map?")));
  overall_ = new QLabel;
  overall_->setObjectName("overall");
  overall_->setTextFormat(Qt::RichText);
  interval_ = secondLabel("");
  kappa_ = new QLabel;
  kappa_->setObjectName("kappa");
  kappa_->setWordWrap(true);
  kappa_->setTextFormat(Qt::RichText);
  counts_ = secondLabel("");
  side->addWidget(overall_);
  side->addWidget(interval_);
  side->addWidget(hairline());
  side->addWidget(kappa_);
  side->addWidget(hairline());
  side->addWidget(counts_);
  side->addWidget(hairline());
  areaTitle_ = sectionLabel(txt("Area, corrected for map errors"));
  side->addWidget(areaTitle_);
  areas_ = plainTable({txt("Class"), txt("mapped ha"), txt("estimated ha")});
  areas_->setObjectName("estimatedAreas");
  areas_->setSelectionMode(QAbstractItemView::NoSelection);
  areas_->setFocusPolicy(Qt::NoFocus);
  side->addWidget(areas_);
  side->addWidget(secondLabel(txt(
      "<b>User's accuracy</b>: of what the map calls a class, how much is it on the ground. 100 % "
      "less it is the commission error.<br><b>Producer's accuracy</b>: of what is a class on the "
      "ground, how much the map found. 100 % less it is the omission error.")));
  side->addStretch();
  auto* scroll = new QScrollArea;
  scroll->setObjectName("matrixSide");
  scroll->setWidget(inside);
  scroll->setWidgetResizable(true);
  scroll->setFrameShape(QFrame::NoFrame);
  scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
  scroll->setFocusPolicy(Qt::NoFocus);
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
  auto* below = new QVBoxLayout;
  below->setContentsMargins(18, 4, 18, 14);
  below->addWidget(said_);
  below->addLayout(foot);
  auto* sideBox = new QWidget;
  auto* whole = new QVBoxLayout(sideBox);
  whole->setContentsMargins(0, 0, 0, 0);
  whole->setSpacing(0);
  whole->addWidget(scroll, 1);
  whole->addLayout(below);
  sideBox->setFixedWidth(408);
  auto* line = new QFrame;
  line->setFixedWidth(1);
  line->setStyleSheet(QString("background: %1;").arg(tokens().hairline.name()));
  auto* layout = new QHBoxLayout(this);
  layout->setContentsMargins(0, 0, 0, 0);
  layout->setSpacing(0);
  layout->addLayout(left, 1);
  layout->addWidget(line);
  layout->addWidget(sideBox);
  connect(view_, &MatrixView::cellChosen, this, &MatrixSheet::explain);
}

void MatrixSheet::open() {
  matrix_ = book_.matrix();
  said_->clear();
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
  const auto weighted = book_.weighted(*matrix_);
  fillAreas(weighted);
  const Estimate o = weighted ? weighted->overall : matrix_->overall(), k = matrix_->kappa();
  overall_->setText(QString("<span style='font-size:30px;font-weight:600'>%1 %</span> &nbsp;<span "
                            "style='color:%3'>± %2</span>")
                        .arg(decimal(100 * o.value, 1), decimal(50 * (o.high - o.low), 1),
                             tokens().second.name()));
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
  QString told;
  if (matrix_->skipped > 0)
    told = txt("%n points without a label or outside the map are left out. ",
               "%n point without a label or outside the map is left out. ",
               static_cast<qint64>(matrix_->skipped));
  if (!weighted && book_.drawnPerClass())
    told +=
        txt("The points were drawn per class of an earlier state of the map, so the accuracy is "
            "counted "
            "point by point and not weighted by area. ");
  QStringList small;
  for (size_t i = 0; i < matrix_->codes.size(); ++i)
    if (matrix_->rowTotal(i) < 15) small << q(matrix_->names[i]);
  if (!small.isEmpty())
    told +=
        txt("Fewer than 15 points are mapped as %1: read those intervals before the percentages.")
            .arg(small.join(", "));
  counts_->setText(told.isEmpty() ? txt("Every class has at least 15 points on the map.") : told);
  // The most frequent confusion is what to look at first.
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
    const auto* c = bench_.study().legend.find(matrix_->codes[i]);
    areas_->setItem(r, 0,
                    new QTableWidgetItem(swatch(c != nullptr ? toQt(c->colour) : tokens().second),
                                         q(matrix_->names[i])));
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

void MatrixSheet::writeCsv(const QString& file) {
  if (!matrix_) return;
  try {
    writeFileAtomically(file.toStdString(), toCsv(toTable(*matrix_)));
    said_->setText(txt("The matrix is in “%1”.").arg(file));
  } catch (const std::exception& e) {
    said_->setText(sentenceOf(e));
  }
}

}  // namespace zp
