#include "desks/accuracy/measures_side.h"

#include "desks/accuracy/percent.h"

namespace zp {
namespace {

constexpr size_t kFewPoints = 15;  // mapped as a class, below which its interval says little

QString largeShare(double share) {
  return QString("<span style='font-size:30px;font-weight:600'>%1 %</span>")
      .arg(decimal(100 * share, 1));
}

/// As the sheet says it in its own language.
QString strengthWord(double kappa) {
  const std::string word = strengthOf(kappa);
  if (word == "poor") return txt("poor");
  if (word == "slight") return txt("slight");
  if (word == "fair") return txt("fair");
  if (word == "moderate") return txt("moderate");
  return word == "substantial" ? txt("substantial") : txt("almost perfect");
}

QString seconds(const QString& text) {
  return QString("<span style='color:%1'>%2</span>").arg(tokens().second.name(), text);
}

}  // namespace

MeasuresSide::MeasuresSide(Workbench& bench, LabelBook& book) : bench_(bench), book_(book) {
  const auto rich = [](const char* name) {
    auto* label = new QLabel;
    label->setObjectName(name);
    label->setTextFormat(Qt::RichText);
    label->setWordWrap(true);
    return label;
  };
  overall_ = rich("overall");
  interval_ = secondLabel("");
  interval_->setObjectName("overallInterval");
  kappa_ = rich("kappa");
  convention_ = secondLabel("");
  disagreement_ = rich("disagreement");
  counts_ = secondLabel("");
  counts_->setObjectName("matrixLimits");
  late_ = secondLabel("");
  late_->setObjectName("lateChanges");
  classTitle_ = sectionLabel("");
  classes_ = plainTable({txt("Class"), "F1", txt("mapped ha"), txt("estimated ha")});
  classes_->setObjectName("estimatedAreas");
  classes_->setTextElideMode(Qt::ElideMiddle);
  classes_->setSelectionMode(QAbstractItemView::NoSelection);
  classes_->setFocusPolicy(Qt::TabFocus);
  auto* side = new QVBoxLayout(this);
  side->setContentsMargins(18, 14, 18, 8);
  side->setSpacing(8);
  for (QWidget* part : std::initializer_list<QWidget*>{
           headingLabel(txt("How good is the map?")), overall_, interval_, hairline(), kappa_,
           convention_, disagreement_, hairline(), classTitle_, classes_, counts_, late_})
    side->addWidget(part);
  side->addStretch();
}

void MeasuresSide::tell(const Judged& judged, const Assessment& shown) {
  if (book_.withoutInterval().empty())
    tellOverall(judged, shown);
  else
    tellWithoutInterval(judged);
  tellKappa(shown);
  disagreement_->setText(
      txt("Quantity disagreement <b>%1 %</b>, allocation <b>%2 %</b>")
          .arg(decimal(100 * shown.quantity, 1), decimal(100 * shown.allocation, 1)));
  disagreement_->setToolTip(
      txt("What is wrong in all, in two parts: classes that are too large or too small on the map, "
          "and classes that lie in the wrong places (Pontius and Millones 2011)"));
  tellLimits(judged, shown);
  tellLateChanges();
  fillClasses(judged, shown);
}

void MeasuresSide::tellOverall(const Judged& judged, const Assessment& shown) {
  const Estimate& o = shown.overall;
  overall_->setText(largeShare(o.value) + " &nbsp;" +
                    seconds("± " + decimal(50 * (o.high - o.low), 1)));
  QString told = txt("overall accuracy, 95 % interval %1 to %2 %.")
                     .arg(decimal(100 * o.low, 1), decimal(100 * o.high, 1));
  if (shown.weighted)
    told += " " + txt("All here is weighted by area, since the points were drawn class by class "
                      "(Olofsson and others 2014).");
  else if (judged.weighted)
    told +=
        " " + txt("All here is of the points alone, of which small classes have more than their "
                  "share: this is not the accuracy of the map.");
  interval_->setText(told);
}

/// Of points that are no random sample, or come in blocks.
void MeasuresSide::tellWithoutInterval(const Judged& judged) {
  const std::string plan = book_.withoutInterval();
  overall_->setText(largeShare(judged.counts.overall.value));
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
}

void MeasuresSide::tellKappa(const Assessment& shown) {
  const Estimate& k = shown.kappa;
  convention_->setVisible(!std::isnan(k.value));
  if (std::isnan(k.value)) return kappa_->setText(txt("Kappa is not defined with one class."));
  QString told = txt("Kappa") + QString(" <b>%1</b>").arg(decimal(k.value, 3));
  if (book_.withoutInterval().empty())
    told += " &nbsp;" + seconds(txt("standard error %1, interval %2 to %3")
                                    .arg(std::isnan(k.error) ? QString("–") : decimal(k.error, 3),
                                         decimal(k.low, 3), decimal(k.high, 3)));
  kappa_->setText(told);
  convention_->setText(
      txt("A convention calls this “%1” (Landis and Koch 1977). It is no more than "
          "a convention.")
          .arg(strengthWord(k.value)));
}

/// What is to be known before the figures are believed.
void MeasuresSide::tellLimits(const Judged& judged, const Assessment& shown) {
  const ConfusionMatrix& m = judged.matrix;
  QString told;
  if (!judged.whyNotWeighted.empty())
    told = sentenceOf(judged.whyNotWeighted) + " " +
           txt("So the points are counted one by one and not weighted by area. ");
  if (m.skipped > 0)
    told += txt("%n points without a label or outside the map are left out. ",
                "%n point without a label or outside the map is left out. ",
                static_cast<qint64>(m.skipped));
  QStringList small;
  for (size_t i = 0; i < m.codes.size(); ++i)
    if (m.rowTotal(i) < kFewPoints) small << q(m.names[i]);
  if (!small.isEmpty())
    told += (book_.withoutInterval().empty()
                 ? txt("Fewer than 15 points are mapped as %1: read those intervals before the "
                       "percentages.")
                 : txt("Fewer than 15 points are mapped as %1: those percentages say little."))
                .arg(small.join(", "));
  if (shown.weighted && std::isnan(shown.overall.error))
    told += " " + txt("A class has a single point, so there are no standard errors.");
  counts_->setText(told.isEmpty() ? txt("Every class has at least 15 points on the map.") : told);
}

/// Who changed a label after the map's classes could be seen, why, and what it did.
void MeasuresSide::tellLateChanges() {
  const Labelling& l = book_.labelling();
  const auto& changes = l.lateChanges();
  QStringList lines;
  if (!changes.empty())
    lines << txt("%n labels were changed after the labelling was closed.",
                 "%n label was changed after the labelling was closed.",
                 static_cast<qint64>(changes.size()));
  const auto accuracyOf = [&](size_t change) {
    return decimal(100 * book_.judge(l.drawnBefore(change)).first().overall.value, 1);
  };
  for (size_t i = 0; i < changes.size(); ++i) {
    const LateChange& c = changes[i];
    lines << txt("%1, %2: %3 became %4, “%5”; overall accuracy %6 % before, %7 % after.")
                 .arg(niceDate(c.when.substr(0, 10)), q(c.who), book_.className(c.from),
                      book_.className(c.to), q(c.why), accuracyOf(i), accuracyOf(i + 1));
  }
  tellIn(late_, lines.join("\n"));
}

void MeasuresSide::fillClasses(const Judged& judged, const Assessment& shown) {
  const ConfusionMatrix& m = judged.matrix;
  classTitle_->setText(shown.weighted ? txt("Class by class, areas corrected for map errors")
                                      : txt("Class by class"));
  for (const int column : {2, 3}) classes_->setColumnHidden(column, !shown.weighted);
  // Of a change one wants its area, and its name is long.
  classes_->setColumnHidden(1, book_.ofChange() && shown.weighted);
  const auto mapped = book_.mappedAreas();
  const double whole = book_.wholeArea();
  const Legend legend = book_.groups().legend(book_.legend());
  classes_->setRowCount(static_cast<int>(m.codes.size()));
  for (int r = 0; r < classes_->rowCount(); ++r) {
    const auto i = static_cast<size_t>(r);
    auto* name = classItem(legend, m.codes[i], m.names[i]);
    name->setToolTip(q(m.names[i]));
    classes_->setItem(r, 0, name);
    const Estimate& f1 = shown.f1[i];
    auto* figure = figureItem(std::isnan(f1.value) ? QString("–") : decimal(f1.value, 2));
    if (!std::isnan(f1.low) && book_.withoutInterval().empty())
      figure->setToolTip(
          txt("95 % interval %1 to %2").arg(decimal(f1.low, 2), decimal(f1.high, 2)));
    classes_->setItem(r, 1, figure);
    const auto area = mapped.find(m.codes[i]);
    classes_->setItem(r, 2, figureItem(area == mapped.end() ? "–" : areaText(area->second)));
    const Estimate& e = shown.area[i];
    auto* estimated =
        figureItem(areaText(e.value * whole) + " ± " + areaText((e.high - e.low) / 2 * whole));
    estimated->setToolTip(
        txt("95 % interval %1 to %2 ha").arg(areaText(e.low * whole), areaText(e.high * whole)));
    classes_->setItem(r, 3, estimated);
  }
  fitHeight(classes_, 9);
}

}  // namespace zp
