#include "desks/accuracy/plan_rows.h"

#include <cmath>

#include "look/look.h"
#include "look/parts.h"

namespace zp {
namespace {

constexpr double kWidest = 0.3;  // margin that fills the bar
constexpr int kMostPoints = 2000;

QLabel* figure(const QString& text) {
  auto* label = new QLabel(text);
  label->setFont(figureFont(9.5));
  label->setAlignment(Qt::AlignRight | Qt::AlignVCenter);
  return label;
}

}  // namespace

/// A margin as a bar around a middle, the narrower the better.
class MarginBar : public QWidget {
 public:
  MarginBar() { setFixedSize(132, 20); }
  void set(double margin, bool tooWide) {
    margin_ = margin, tooWide_ = tooWide;
    update();
  }

 protected:
  void paintEvent(QPaintEvent*) override {
    if (std::isnan(margin_)) return;
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const double half = std::min(1.0, margin_ / kWidest) * (width() / 2.0 - 4),
                 middle = width() / 2.0;
    p.setPen(QPen(tooWide_ ? tokens().warning : tokens().accent, 5, Qt::SolidLine, Qt::RoundCap));
    p.drawLine(QPointF(middle - half, height() / 2.0), QPointF(middle + half, height() / 2.0));
    p.setPen(QPen(tokens().text, 1));
    p.drawLine(QPointF(middle, 3), QPointF(middle, height() - 3));
  }

 private:
  double margin_ = std::nan("");
  bool tooWide_ = false;
};

/// A slider with a mark where the points would be in proportion to area.
class PointsSlider : public QSlider {
 public:
  PointsSlider() : QSlider(Qt::Horizontal) { setRange(0, 100); }
  void mark(int at) {
    mark_ = at;
    update();
  }

 protected:
  void paintEvent(QPaintEvent* e) override {
    QSlider::paintEvent(e);
    if (mark_ < 0) return;
    const int x = 7 + QStyle::sliderPositionFromValue(minimum(), maximum(),
                                                      std::min(mark_, maximum()), width() - 14);
    QPainter p(this);
    p.setPen(QPen(tokens().second, 1, Qt::DotLine));
    p.drawLine(x, 1, x, height() - 1);
  }

 private:
  int mark_ = -1;
};

struct PlanRows::Row {
  int code = 0;
  double share = 0;
  QDoubleSpinBox* accuracy = nullptr;
  QSpinBox* points = nullptr;
  PointsSlider* slider = nullptr;
  MarginBar* bar = nullptr;
  QLabel* margin = nullptr;
};

PlanRows::PlanRows(QWidget* parent) : QWidget(parent) {
  setObjectName("planRows");
  grid_ = new QGridLayout(this);
  grid_->setContentsMargins(0, 0, 0, 0);
  grid_->setHorizontalSpacing(14);
  grid_->setVerticalSpacing(5);
  grid_->setColumnStretch(5, 1);
}

void PlanRows::setClasses(const std::vector<Class>& classes) {
  grid_->setRowStretch(static_cast<int>(rows_.size()) + 1, 0);
  rows_.clear();
  while (auto* item = grid_->takeAt(0)) {
    delete item->widget();
    delete item;
  }
  const QString heads[] = {txt("class"),  txt("of the map"),    txt("right, you guess"),
                           txt("points"), txt("more or fewer"), txt("margin of user's accuracy")};
  const int columns[] = {0, 2, 3, 4, 5, 6};
  for (int i = 0; i < 6; ++i)
    grid_->addWidget(secondLabel(heads[i]), 0, columns[i], 1, i == 0 ? 2 : i == 5 ? 2 : 1);
  for (int i = 0; i < static_cast<int>(classes.size()); ++i)
    addRow(i + 1, classes[static_cast<size_t>(i)]);
  grid_->setRowStretch(static_cast<int>(classes.size()) + 1, 1);
}

void PlanRows::addRow(int at, const Class& c) {
  auto row = std::make_shared<Row>();
  row->code = c.code;
  row->share = c.share;
  auto* swatchLabel = new QLabel;
  swatchLabel->setPixmap(swatch(c.colour).pixmap(12));
  row->accuracy = new QDoubleSpinBox;
  row->accuracy->setRange(0.5, 0.99);
  row->accuracy->setSingleStep(0.05);
  row->accuracy->setDecimals(2);
  row->accuracy->setValue(c.accuracy);
  row->accuracy->setObjectName(QString("expect-%1").arg(c.code));
  row->accuracy->setAccessibleName(txt("How right %1 is, you guess").arg(c.name));
  row->points = new QSpinBox;
  row->points->setRange(0, kMostPoints);
  row->points->setObjectName(QString("planned-%1").arg(c.code));
  row->points->setAccessibleName(txt("Points in %1").arg(c.name));
  row->slider = new PointsSlider;
  row->slider->setAccessibleName(row->points->accessibleName());
  row->slider->setObjectName(QString("slide-%1").arg(c.code));
  row->bar = new MarginBar;
  row->margin = figure("");
  row->margin->setObjectName(QString("margin-%1").arg(c.code));
  row->margin->setMinimumWidth(54);
  auto* name = new QLabel(c.name);
  const QList<QWidget*> parts{swatchLabel,   name,        figure(decimal(100 * c.share, 1) + " %"),
                              row->accuracy, row->points, row->slider,
                              row->bar,      row->margin};
  for (int i = 0; i < parts.size(); ++i) grid_->addWidget(parts[i], at, i);
  connect(row->accuracy, &QDoubleSpinBox::valueChanged, this, &PlanRows::accuracyChanged);
  connect(row->points, &QSpinBox::valueChanged, this, [this, r = row.get()](int n) {
    const QSignalBlocker quiet(r->slider);
    r->slider->setMaximum(std::max(r->slider->maximum(), n));
    r->slider->setValue(n);
    if (!filling_) Q_EMIT pointsChanged();
  });
  connect(row->slider, &QSlider::valueChanged, row->points, &QSpinBox::setValue);
  rows_.push_back(row);
}

void PlanRows::setPoints(const std::vector<size_t>& points) {
  filling_ = true;
  int most = 100;
  for (const size_t n : points) most = std::max(most, static_cast<int>(n) * 4 / 3);
  for (size_t i = 0; i < rows_.size(); ++i) {
    rows_[i]->slider->setMaximum(std::min(most, kMostPoints));
    rows_[i]->points->setValue(static_cast<int>(points[i]));
  }
  filling_ = false;
}

std::vector<size_t> PlanRows::points() const {
  std::vector<size_t> points;
  for (const auto& row : rows_) points.push_back(static_cast<size_t>(row->points->value()));
  return points;
}

std::vector<PlannedClass> PlanRows::classes() const {
  std::vector<PlannedClass> classes;
  for (const auto& row : rows_) classes.push_back({row->share, row->accuracy->value()});
  return classes;
}

void PlanRows::tell(const PlanMargins& margins, const std::vector<size_t>& inProportion,
                    double widest) {
  for (size_t i = 0; i < rows_.size(); ++i) {
    const double m = margins.users[i];
    const bool tooWide = m > widest + 5e-4;
    rows_[i]->bar->set(m, tooWide);
    rows_[i]->margin->setText(std::isnan(m) ? QString("–")
                                            : QString("± %1 %").arg(decimal(100 * m, 0)));
    setTone(rows_[i]->margin, tooWide ? "warning" : "text");
    rows_[i]->slider->mark(static_cast<int>(inProportion[i]));
  }
}

}  // namespace zp
