#include "desks/accuracy/matrix_view.h"

#include "desks/accuracy/percent.h"
#include "desks/accuracy/tint.h"

namespace zp {
namespace {

constexpr int kLeastNames = 122, kMostNames = 220, kHead = 104, kFoot = 78;
constexpr int kLeastWidth = 42, kLeastHeight = 20;  // of a cell
// Of the margin at the right: where its columns begin, and its width.
constexpr int kBar = 62, kBarWidth = 62, kValue = 130, kInterval = 178, kError = 226,
              kMargins = 270;
constexpr int kLine = 18;    // of the foot
constexpr int kScroll = 10;  // for the bars, where not all fits

QString limits(const Estimate& e) {
  return decimal(100 * e.low, 0) + "–" + decimal(100 * e.high, 0);
}

}  // namespace

MatrixView::MatrixView(QWidget* parent) : QWidget(parent) {
  setObjectName("matrixView");
  setAccessibleName(txt("Confusion matrix"));
  setFocusPolicy(Qt::StrongFocus);
  setMinimumSize(520, 320);
  names_ = kLeastNames;
  for (auto [bar, way] : {std::pair{&down_, Qt::Vertical}, {&across_, Qt::Horizontal}}) {
    *bar = new QScrollBar(way, this);
    (*bar)->hide();
    connect(*bar, &QScrollBar::valueChanged, this, qOverload<>(&QWidget::update));
  }
}

void MatrixView::setMatrix(const ConfusionMatrix& m, const Assessment& a, const Legend& legend) {
  if (m.codes != matrix_.codes) chosen_ = {kWhole, kWhole};
  matrix_ = m;
  assessment_ = a;
  legend_ = legend;
  const QFontMetrics metrics(textFont(9.5));
  int widest = 0;
  for (const auto& name : m.names) widest = std::max(widest, metrics.horizontalAdvance(q(name)));
  // The names of the foot's lines stand below those of the classes, in a smaller face.
  const QFontMetrics small(textFont(9));
  const int foot = std::max(small.horizontalAdvance(txt("producer's accuracy")),
                            small.horizontalAdvance(txt("% of the area")));
  names_ = std::clamp(std::max(widest + 28, foot + 8), kLeastNames, kMostNames);
  fitBars();
  update();
}

/// From where a bar is, as many as there is room for.
MatrixView::Shown MatrixView::shownBy(const QScrollBar& bar, int room) const {
  const auto fit = static_cast<size_t>(std::clamp(room, 1, std::max(1, static_cast<int>(size()))));
  const size_t first = std::min(static_cast<size_t>(bar.value()), size() - std::min(fit, size()));
  return {first, std::min(size(), first + fit)};
}

MatrixView::Shown MatrixView::rows() const {
  return shownBy(*down_, (height() - kHead - kFoot - kScroll) / kLeastHeight);
}

MatrixView::Shown MatrixView::columns() const {
  return shownBy(*across_, (width() - names_ - kMargins - kScroll) / kLeastWidth);
}

/// There are bars only where not all fits.
void MatrixView::fitBars() {
  for (auto [bar, shown] : {std::pair{down_, rows()}, {across_, columns()}}) {
    const auto room = static_cast<int>(shown.end - shown.first);
    bar->setPageStep(room);
    bar->setRange(0, static_cast<int>(size()) - room);
    bar->setVisible(bar->maximum() > 0);
  }
  down_->setGeometry(width() - 8, kHead, 8, bottom() - kHead);
  across_->setGeometry(names_, height() - 8, right() - names_, 8);
}

void MatrixView::resizeEvent(QResizeEvent*) {
  // What was scrolled to may have come into sight: all that fits is shown.
  down_->setValue(0);
  across_->setValue(0);
  fitBars();
  bringIntoSight();
}

void MatrixView::wheelEvent(QWheelEvent* e) {
  const bool sideways = e->modifiers().testFlag(Qt::ShiftModifier);
  auto* bar = sideways ? across_ : down_;
  const QPoint turned = e->angleDelta();
  if (!bar->isVisible() || turned.isNull()) return e->ignore();
  bar->setValue(bar->value() - (turned.y() != 0 ? turned.y() : turned.x()) / 40);
}

void MatrixView::bringIntoSight() {
  const auto bring = [](QScrollBar* bar, const Shown& shown, int at) {
    if (at == kWhole) return;
    const int room = static_cast<int>(shown.end - shown.first);
    bar->setValue(std::clamp(bar->value(), at - room + 1, at));
  };
  const auto [map, reference] = chosen_;
  bring(down_, rows(), turned_ ? reference : map);
  bring(across_, columns(), turned_ ? map : reference);
}

void MatrixView::setShow(Show show) {
  show_ = show;
  update();
}

void MatrixView::setTurned(bool turned) {
  turned_ = turned;
  bringIntoSight();
  update();
}

void MatrixView::setIntervals(bool on) {
  intervals_ = on;
  update();
}

int MatrixView::cellWidth() const {
  return std::clamp((width() - names_ - kMargins - kScroll) / std::max(1, static_cast<int>(size())),
                    kLeastWidth, 72);
}

int MatrixView::cellHeight() const {
  return std::clamp((height() - kHead - kFoot - kScroll) / std::max(1, static_cast<int>(size())),
                    kLeastHeight, 40);
}

int MatrixView::right() const {
  const Shown shown = columns();
  return names_ + static_cast<int>(shown.end - shown.first) * cellWidth();
}

int MatrixView::bottom() const {
  const Shown shown = rows();
  return kHead + static_cast<int>(shown.end - shown.first) * cellHeight();
}

QRect MatrixView::gridRect(size_t row, size_t column) const {
  const int down = static_cast<int>(row) - down_->value(),
            across = static_cast<int>(column) - across_->value();
  return QRect(names_ + across * cellWidth(), kHead + down * cellHeight(), cellWidth() - 1,
               cellHeight() - 1);
}

QRect MatrixView::cellRect(size_t map, size_t reference) const {
  return turned_ ? gridRect(reference, map) : gridRect(map, reference);
}

QRect MatrixView::rowNameRect(size_t row) const {
  const QRect first = gridRect(row, 0);
  return QRect(0, first.top(), names_ - 4, first.height());
}

QRect MatrixView::columnNameRect(size_t column) const {
  const QRect any = gridRect(0, column);
  return QRect(any.left(), kHead - 40, any.width(), 38);
}

double MatrixView::share(size_t map, size_t reference) const {
  return assessment_.shares[map][reference];
}

double MatrixView::rowShare(size_t row) const {
  double sum = 0;
  for (size_t c = 0; c < size(); ++c) sum += turned_ ? share(c, row) : share(row, c);
  return sum;
}

double MatrixView::columnShare(size_t column) const {
  double sum = 0;
  for (size_t r = 0; r < size(); ++r) sum += turned_ ? share(column, r) : share(r, column);
  return sum;
}

const Estimate& MatrixView::rowAccuracy(size_t row) const {
  return turned_ ? assessment_.producers[row] : assessment_.users[row];
}

const Estimate& MatrixView::columnAccuracy(size_t column) const {
  return turned_ ? assessment_.users[column] : assessment_.producers[column];
}

QString MatrixView::cellText(size_t i, size_t j) const {
  const size_t n = matrix_.counts[i][j];
  if (n == 0) return "·";
  if (show_ == Show::Counts) return grouped(n);
  const size_t row = turned_ ? j : i, column = turned_ ? i : j;
  const double all = show_ == Show::RowShares      ? rowShare(row)
                     : show_ == Show::ColumnShares ? columnShare(column)
                                                   : 1;
  const double per = 100 * share(i, j) / all;
  return decimal(per, show_ == Show::AreaShares && per < 9.95 ? 1 : 0);
}

QString MatrixView::marginText(bool ofRow, size_t at) const {
  const bool ofMap = ofRow != turned_;
  if (!assessment_.weighted) return grouped(ofMap ? matrix_.rowTotal(at) : matrix_.columnTotal(at));
  return decimal(100 * (ofRow ? rowShare(at) : columnShare(at)), 1);
}

QList<SpokenPart> MatrixView::parts() const {
  QList<SpokenPart> all;
  for (size_t i = 0; i < size(); ++i)
    for (size_t j = 0; j < size(); ++j)
      all << SpokenPart{txt("map %1, reference %2: %3")
                            .arg(q(matrix_.names[i]), q(matrix_.names[j]), cellText(i, j)),
                        cellRect(i, j),
                        chosen_ == QPair<int, int>(static_cast<int>(i), static_cast<int>(j))};
  return all;
}

QColor MatrixView::colourOf(size_t i) const {
  const auto* c = legend_.find(matrix_.codes[i]);
  return c != nullptr ? toQt(c->colour) : tokens().second;
}

void MatrixView::paintEvent(QPaintEvent*) {
  QPainter p(this);
  p.setRenderHint(QPainter::Antialiasing);
  if (size() == 0) return;
  paintHeads(p);
  for (size_t r = rows().first; r < rows().end; ++r) {
    paintRow(p, r);
    paintRowMargin(p, r);
  }
  paintFoot(p);
  paintChosen(p);
}

/// Column heads, slanted, and those of the margins.
void MatrixView::paintHeads(QPainter& p) const {
  for (size_t c = columns().first; c < columns().end; ++c) {
    p.save();
    p.translate(gridRect(0, c).center().x() - 2, kHead - 8);
    p.rotate(-45);
    p.setFont(textFont(9.5));
    p.setPen(tokens().text);
    p.drawText(0, 0, p.fontMetrics().elidedText(q(matrix_.names[c]), Qt::ElideMiddle, 120));
    p.restore();
  }
  p.setFont(textFont(9));
  p.setPen(tokens().second);
  const auto head = [&](int x, int width, Qt::Alignment align, const QString& text) {
    p.drawText(QRect(right() + x, kHead - 42, width, 36),
               static_cast<int>(align) | Qt::AlignBottom | Qt::TextWordWrap, text);
  };
  head(0, 54, Qt::AlignRight, assessment_.weighted ? txt("% of the area") : txt("points"));
  head(kBar, kError - 22 - kBar, Qt::AlignLeft,
       turned_ ? txt("producer's accuracy") : txt("user's accuracy"));
  head(kError - 22, kMargins - kError + 22, Qt::AlignRight,
       turned_ ? txt("omission") : txt("commission"));
}

void MatrixView::paintRow(QPainter& p, size_t row) const {
  const Tokens& t = tokens();
  const QRect first = gridRect(row, 0);
  p.setPen(Qt::NoPen);
  p.setBrush(colourOf(row));
  p.drawRoundedRect(QRectF(2, first.center().y() - 5, 11, 11), 2, 2);
  p.setPen(t.text);
  p.setFont(textFont(9.5));
  p.drawText(QRect(21, first.top(), names_ - 26, first.height()), Qt::AlignVCenter,
             p.fontMetrics().elidedText(q(matrix_.names[row]), Qt::ElideMiddle, names_ - 26));
  p.setFont(figureFont(9.5));
  for (size_t c = columns().first; c < columns().end; ++c) {
    const size_t i = turned_ ? c : row, j = turned_ ? row : c;
    const bool any = matrix_.counts[i][j] > 0;
    if (any) p.fillRect(gridRect(row, c), matrixTint(assessment_, i, j));
    p.setPen(any ? t.text : t.second);
    p.drawText(gridRect(row, c), Qt::AlignCenter, cellText(i, j));
  }
}

/// How much a row is, its accuracy with the interval, and the error that is the rest.
void MatrixView::paintRowMargin(QPainter& p, size_t row) const {
  const Tokens& t = tokens();
  const QRect r = gridRect(row, 0);
  const Estimate& e = rowAccuracy(row);
  const auto cell = [&](int x, int width, const QString& text) {
    p.drawText(QRect(right() + x, r.top(), width, r.height()), Qt::AlignRight | Qt::AlignVCenter,
               text);
  };
  p.setPen(t.text);
  p.setFont(figureFont(9.5));
  cell(0, 54, marginText(true, row));
  cell(kValue, 44, percent(e.value));
  if (std::isnan(e.value)) return;
  p.setPen(t.second);
  p.setFont(figureFont(8.5));
  if (intervals_) cell(kInterval - 2, 50, limits(e));
  cell(kError, kMargins - kError, percent(1 - e.value));
  const double x = right() + kBar, w = kBarWidth, y = r.center().y() + 0.5;
  p.setPen(QPen(t.hairline, 2));
  p.drawLine(QPointF(x, y), QPointF(x + w, y));
  p.setPen(QPen(t.accent, 4, Qt::SolidLine, Qt::RoundCap));
  if (intervals_) p.drawLine(QPointF(x + w * e.low, y), QPointF(x + w * e.high, y));
  p.setPen(QPen(t.panel, 1));
  p.setBrush(t.text);
  p.drawEllipse(QPointF(x + w * e.value, y), 4.5, 4.5);
}

/// How much a column is, its accuracy with the interval, and the error that is the rest.
void MatrixView::paintFoot(QPainter& p) const {
  const Tokens& t = tokens();
  struct Line {
    QString name;
    std::function<QString(size_t)> text;
    QColor colour;
  };
  const auto of = [this](QString (*text)(const Estimate&)) {
    return [this, text](size_t c) { return text(columnAccuracy(c)); };
  };
  std::vector<Line> lines{{assessment_.weighted ? txt("% of the area") : txt("points"),
                           [this](size_t c) { return marginText(false, c); }, t.second},
                          {turned_ ? txt("user's accuracy") : txt("producer's accuracy"),
                           of([](const Estimate& e) { return percent(e.value); }), t.text}};
  if (intervals_)
    lines.push_back({txt("from–to"), of([](const Estimate& e) {
                       return std::isnan(e.value) ? QString() : limits(e);
                     }),
                     t.second});
  lines.push_back({turned_ ? txt("commission") : txt("omission"),
                   of([](const Estimate& e) { return percent(1 - e.value); }), t.second});
  int y = bottom() + 4;
  for (const auto& line : lines) {
    p.setFont(textFont(9));
    p.setPen(t.second);
    p.drawText(QRect(0, y, names_ - 4, kLine), Qt::AlignVCenter, line.name);
    p.setFont(figureFont(cellWidth() < 44 ? 8 : 8.5));
    p.setPen(line.colour);
    for (size_t c = columns().first; c < columns().end; ++c)
      p.drawText(QRect(gridRect(0, c).left() - 4, y, cellWidth() + 7, kLine), Qt::AlignCenter,
                 line.text(c));
    y += kLine;
  }
}

void MatrixView::paintChosen(QPainter& p) const {
  const auto [i, j] = chosen_;
  if (i == kWhole && j == kWhole) return;
  const auto first = [](int at) { return static_cast<size_t>(std::max(0, at)); };
  const size_t last = size() - 1;
  const QRect box =
      cellRect(first(i), first(j))
          .united(cellRect(i == kWhole ? last : first(i), j == kWhole ? last : first(j)));
  p.setClipRect(QRect(QPoint(names_ - 3, kHead - 3), QPoint(right() + 2, bottom() + 2)));
  p.setBrush(Qt::NoBrush);
  p.setPen(QPen(tokens().text, 2));
  p.drawRect(box.adjusted(-1, -1, 1, 1));
  p.setClipping(false);
}

void MatrixView::choose(int map, int reference) {
  const int last = static_cast<int>(size()) - 1;
  if (last < 0) return;
  chosen_ = {std::clamp(map, kWhole, last), std::clamp(reference, kWhole, last)};
  bringIntoSight();
  update();
  spokenChanged(this);
  Q_EMIT cellChosen(chosen_.first, chosen_.second);
}

void MatrixView::mousePressEvent(QMouseEvent* e) {
  const QPoint at = e->position().toPoint();
  for (size_t row = rows().first; row < rows().end; ++row) {
    const int r = static_cast<int>(row);
    if (rowNameRect(row).contains(at)) return turned_ ? choose(kWhole, r) : choose(r, kWhole);
    for (size_t column = columns().first; column < columns().end; ++column) {
      const int c = static_cast<int>(column);
      if (gridRect(row, column).contains(at)) return turned_ ? choose(c, r) : choose(r, c);
    }
  }
  for (size_t column = columns().first; column < columns().end; ++column) {
    const int c = static_cast<int>(column);
    if (columnNameRect(column).contains(at)) return turned_ ? choose(c, kWhole) : choose(kWhole, c);
  }
}

void MatrixView::keyPressEvent(QKeyEvent* e) {
  const auto step = [&](int down, int across) {
    const int i = std::max(0, chosen_.first), j = std::max(0, chosen_.second);
    const int map = i + (turned_ ? across : down), reference = j + (turned_ ? down : across);
    choose(std::max(0, map), std::max(0, reference));
  };
  switch (e->key()) {
    case Qt::Key_Up:
      return step(-1, 0);
    case Qt::Key_Down:
      return step(1, 0);
    case Qt::Key_Left:
      return step(0, -1);
    case Qt::Key_Right:
      return step(0, 1);
    default:
      QWidget::keyPressEvent(e);
  }
}

}  // namespace zp
