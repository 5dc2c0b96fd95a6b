#include "desks/accuracy/errors_side.h"

#include "accuracy/reference_from.h"
#include "desks/accuracy/percent.h"
#include "sampling/readings.h"

namespace zp {
namespace {

constexpr int kFarthest = 10;  // pixels that a border is looked for
constexpr size_t kMostRegions = 40;
constexpr int kGroupHeight = 34;
constexpr const char* kBorder = "border";
constexpr const char* kConfidence = "confidence";
constexpr const char* kRegion = "region";

std::vector<std::string> borderNames() {
  return {txt("at a border of classes").toStdString(), txt("2 pixels from one").toStdString(),
          txt("3 to 5 pixels").toStdString(), txt("farther inside").toStdString()};
}

std::vector<std::string> confidenceNames() {
  return {txt("below 0.5").toStdString(), txt("0.5 to 0.7").toStdString(),
          txt("0.7 to 0.9").toStdString(), txt("above 0.9").toStdString()};
}

}  // namespace

ShareBars::ShareBars() {
  setObjectName("shareBars");
  setFocusPolicy(Qt::StrongFocus);
  setAccessibleName(txt("Share right by group"));
}

void ShareBars::show(const std::vector<ErrorGroup>& groups) {
  groups_ = groups;
  setFixedHeight(std::max(1, static_cast<int>(groups.size())) * kGroupHeight + 20);
  choose(-1);
}

void ShareBars::choose(int group) {
  chosen_ = group >= 0 && group < static_cast<int>(groups_.size()) ? group : -1;
  update();
  spokenChanged(this);
  Q_EMIT groupChosen(chosen_);
}

QString ShareBars::figure(const ErrorGroup& g) {
  return g.ids.empty() ? QString("–")
                       : txt("%1 of %2").arg(percent(g.share.value), grouped(g.ids.size()));
}

QList<SpokenPart> ShareBars::parts() const {
  QList<SpokenPart> all;
  for (int i = 0; i < static_cast<int>(groups_.size()); ++i) {
    const ErrorGroup& g = groups_[static_cast<size_t>(i)];
    all << SpokenPart{q(g.name) + ": " + figure(g),
                      QRect(0, i * kGroupHeight, width(), kGroupHeight), i == chosen_};
  }
  return all;
}

void ShareBars::mousePressEvent(QMouseEvent* e) {
  choose(static_cast<int>(e->position().y()) / kGroupHeight);
}

void ShareBars::keyPressEvent(QKeyEvent* e) {
  const int n = static_cast<int>(groups_.size());
  if (e->key() == Qt::Key_Down && n > 0) return choose(std::min(n - 1, chosen_ + 1));
  if (e->key() == Qt::Key_Up && n > 0) return choose(std::max(0, chosen_ - 1));
  QWidget::keyPressEvent(e);
}

void ShareBars::paintEvent(QPaintEvent*) {
  QPainter p(this);
  p.setRenderHint(QPainter::Antialiasing);
  const Tokens& t = tokens();
  const double figures = 118, left = 4, wide = width() - figures - left;
  const auto at = [&](double share) { return left + wide * share; };
  for (size_t i = 0; i < groups_.size(); ++i) {
    const ErrorGroup& g = groups_[i];
    const double top = static_cast<double>(i) * kGroupHeight;
    const QRectF row(0, top, width(), kGroupHeight - 2);
    if (static_cast<int>(i) == chosen_) {
      p.setPen(Qt::NoPen);
      p.setBrush(t.chosen);
      p.drawRoundedRect(row, 4, 4);
    }
    p.setPen(g.ids.empty() ? t.second : t.text);
    p.setFont(textFont(9.5));
    p.drawText(QRectF(left, top + 1, wide, 16), Qt::AlignVCenter,
               p.fontMetrics().elidedText(q(g.name), Qt::ElideRight, static_cast<int>(wide)));
    p.setFont(figureFont(9));
    p.drawText(QRectF(width() - figures, top + 8, figures - 4, 16),
               Qt::AlignVCenter | Qt::AlignRight, figure(g));
    const double y = top + 24;
    p.setPen(QPen(t.hairline, 3, Qt::SolidLine, Qt::RoundCap));
    p.drawLine(QPointF(at(0), y), QPointF(at(1), y));
    if (g.ids.empty()) continue;
    p.setPen(QPen(t.accent, 3, Qt::SolidLine, Qt::RoundCap));
    p.drawLine(QPointF(at(g.share.low), y), QPointF(at(g.share.high), y));
    p.setPen(Qt::NoPen);
    p.setBrush(t.text);
    p.drawEllipse(QPointF(at(g.share.value), y), 3.5, 3.5);
  }
  if (groups_.empty()) return;
  p.setPen(t.second);
  p.setFont(figureFont(8));
  const double y = static_cast<double>(groups_.size()) * kGroupHeight;
  p.drawText(QRectF(left, y, wide, 16), Qt::AlignLeft, "0 %");
  p.drawText(QRectF(left, y, wide, 16), Qt::AlignRight, "100 %");
}

ErrorsSide::ErrorsSide(Workbench& bench, LabelBook& book) : bench_(bench), book_(book), job_(this) {
  by_ = new LongChoice;
  by_->setObjectName("errorsBy");
  by_->setAccessibleName(txt("Errors by"));
  field_ = new LongChoice;
  field_->setObjectName("errorsField");
  field_->setAccessibleName(txt("Column with the names of the regions"));
  bars_ = new ShareBars;
  told_ = secondLabel("");
  told_->setObjectName("errorsTold");
  show_ = linkButton(txt("Show on the map"));
  show_->setObjectName("showGroup");
  each_ = linkButton(txt("Look at each"));
  each_->setObjectName("lookAtGroup");
  auto* ways = new QHBoxLayout;
  ways->addWidget(show_);
  ways->addWidget(each_);
  ways->addStretch();
  auto* side = new QVBoxLayout(this);
  side->setContentsMargins(18, 14, 18, 8);
  side->setSpacing(8);
  side->addWidget(headingLabel(txt("Where are the errors?")));
  side->addWidget(by_);
  side->addWidget(field_);
  side->addWidget(
      secondLabel(txt("Of the points in each group, so many are right; the line is the "
                      "95 % interval. Every point counts the same.")));
  side->addWidget(bars_);
  side->addLayout(ways);
  side->addWidget(told_);
  side->addStretch();
  connect(by_, &QComboBox::activated, this, [this] {
    fillFields();
    ask();
  });
  connect(field_, &QComboBox::activated, this, &ErrorsSide::ask);
  connect(bars_, &ShareBars::groupChosen, this, [this](int group) {
    const bool any = group >= 0 && !bars_->groups()[static_cast<size_t>(group)].ids.empty();
    show_->setVisible(any);
    each_->setVisible(any);
  });
  connect(show_, &QPushButton::clicked, this, [this] {
    choosePoints();
    Q_EMIT pointsAsked();
  });
  connect(each_, &QPushButton::clicked, this, [this] {
    choosePoints();
    book_.setTask(LabelBook::Task::Label);
    Q_EMIT labellingAsked();
  });
}

void ErrorsSide::open() {
  fillChoices();
  fillFields();
  ask();
}

void ErrorsSide::fillChoices() {
  const QVariant before = by_->currentData();
  by_->clear();
  by_->addItem(txt("by distance to a border of classes"), QString(kBorder) + ":");
  const Product* map = book_.map();
  for (const auto& p : bench_.study().products)
    if (map != nullptr && p.step.value("do", "") == "confidence" &&
        p.step.value("map", "") == map->id)
      by_->addItem(txt("by how sure the map is"), QString(kConfidence) + ":" + q(p.id));
  for (const auto& o : bench_.study().outlines)
    by_->addItem(txt("by region, of “%1”").arg(q(o.name)), QString(kRegion) + ":" + q(o.id));
  if (const int at = by_->findData(before); at >= 0) by_->setCurrentIndex(at);
}

void ErrorsSide::fillFields() {
  const QString by = by_->currentData().toString();
  const bool regions = by.startsWith(kRegion);
  field_->setVisible(regions);
  field_->clear();
  if (!regions) return;
  try {
    for (const auto& o : bench_.study().outlines)
      if (q(o.id) == by.section(':', 1))
        for (const auto& c : readTable(o.layer).columns) field_->addItem(q(c), q(c));
  } catch (const std::exception& e) {
    told_->setText(sentenceOf(e));
  }
}

void ErrorsSide::ask() {
  const Product* map = book_.map();
  const QString by = by_->currentData().toString();
  const std::string id = by.section(':', 1).toStdString();
  std::filesystem::path confidence;
  std::string regions;
  if (const auto* p = bench_.study().product(id)) confidence = p->file;
  for (const auto& o : bench_.study().outlines)
    if (o.id == id) regions = o.layer;
  bars_->show({});
  told_->setText("");
  if (map == nullptr) return job_.stop();
  job_.ask(
      [points = book_.labelling().points(), crs = book_.crs(), map = map->file, confidence, regions,
       column = field_->currentText().toStdString(),
       what = by.section(':', 0, 0).toStdString()](const Progress& progress) {
        if (what == kBorder)
          return errorsByValue(points, borderDistances(points, crs, map, kFarthest, progress),
                               {1, 2, 5}, borderNames());
        std::vector<Place> places;
        for (const auto& p : points) places.push_back(p.place);
        if (what == kConfidence) {
          const Readings read = readAt(places, crs, {{confidence, 1, "c"}}, progress);
          return errorsByValue(points, read.values[0], {0.5, 0.7, 0.9}, confidenceNames());
        }
        return errorsByName(points,
                            saidByPolygons(places, crs, readLayer(regions), column, progress));
      },
      [this](const std::vector<ErrorGroup>& groups) { tell(groups); },
      [this](const QString& sentence) { told_->setText(sentence); });
}

void ErrorsSide::tell(const std::vector<ErrorGroup>& groups) {
  if (groups.size() > kMostRegions)
    return told_->setText(txt("That column has %1 different names; choose one that names regions.")
                              .arg(grouped(groups.size())));
  bars_->show(groups);
  size_t points = 0;
  for (const auto& g : groups) points += g.ids.size();
  if (points == 0) return told_->setText(txt("No labelled point lies in any of them."));
  const double p = sameEverywhere(groups);
  told_->setText(
      std::isnan(p)
          ? txt("Too few points or errors to say whether the groups differ by more than chance.")
      : p < 0.05 ? txt("The groups differ by more than chance would make them (p %1).")
                       .arg(p < 0.001 ? QString("< 0.001") : "= " + decimal(p, 3))
                 : txt("Such differences come by chance, too (p = %1).").arg(decimal(p, 2)));
}

void ErrorsSide::choosePoints() {
  book_.chooseAll();
  book_.chosen = bars_->groups()[static_cast<size_t>(bars_->chosen())].ids;
}

}  // namespace zp
