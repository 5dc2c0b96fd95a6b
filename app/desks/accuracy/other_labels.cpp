#include "desks/accuracy/other_labels.h"

#include "accuracy/comparison.h"
#include "desks/panel.h"

namespace zp {
namespace {

QString accuracyText(const Estimate& e) {
  return txt("%1 % (%2 to %3)")
      .arg(decimal(100 * e.value, 1), decimal(100 * e.low, 1), decimal(100 * e.high, 1));
}

/// Labels with their map: two sets of the same points may bear the same name.
QString titleOf(const Study& study, const Product& labels) {
  const Product* map = study.product(labels.step.value("map", ""));
  return map == nullptr ? q(labels.name) : txt("%1, of “%2”").arg(q(labels.name), q(map->name));
}

}  // namespace

OtherLabels::OtherLabels(Workbench& bench, LabelBook& book) : bench_(bench), book_(book) {
  others_ = new LongChoice;
  others_->setObjectName("otherLabels");
  others_->setAccessibleName(txt("Other labels"));
  told_ = secondLabel("");
  told_->setObjectName("otherLabelsTold");
  auto* column = columnIn(this, 4);
  column->addWidget(hairline());
  column->addWidget(sectionLabel(txt("Against labels of other points")));
  column->addWidget(others_);
  column->addWidget(told_);
  connect(others_, &QComboBox::activated, this, &OtherLabels::tell);
}

void OtherLabels::open() {
  const QVariant before = others_->currentData();
  others_->clear();
  const Product* own = book_.product();
  const auto& products = bench_.study().products;
  for (auto p = products.rbegin(); p != products.rend(); ++p)
    if (p->kind == ProductKind::Labels && own != nullptr && p->id != own->id &&
        p->step.value("points", "") != own->step.value("points", ""))
      others_->addItem(titleOf(bench_.study(), *p), q(p->id));
  if (const int at = others_->findData(before); at >= 0) others_->setCurrentIndex(at);
  setVisible(others_->count() > 0);
  if (others_->count() > 0) tell();
}

void OtherLabels::tell() {
  const Product* other = bench_.study().product(others_->currentData().toString().toStdString());
  if (other == nullptr) return;
  try {
    told_->setText(verdict(*other));
  } catch (const std::exception& e) {
    told_->setText(sentenceOf(e));
  }
}

QString OtherLabels::verdict(const Product& labels) const {
  const auto own = book_.overall();
  const LabelsFile file = readLabels(labels.file);
  if (!own) return {};
  if (!file.labelling.closed())
    return txt("They are not closed yet; close them first, then the two are compared.");
  if (!book_.withoutInterval().empty() || !withoutInterval(bench_.study(), labels).empty())
    return txt(
        "One of the two has no interval, as its points are no random sample; so they are "
        "not compared.");
  if (file.change.has_value() != book_.ofChange())
    return txt("One of the two is of a map of change, the other of classes.");
  const Estimate theirs =
      judge(bench_.study(), labels, file, file.labelling.drawn()).first().overall;
  const DifferenceTest test = differenceTest(theirs, *own);
  QString told =
      txt("Overall accuracy %1 by those, %2 by these: a difference of %3 points (95 % "
          "interval %4 to %5).")
          .arg(accuracyText(theirs), accuracyText(*own), decimal(100 * test.difference.value, 1),
               decimal(100 * test.difference.low, 1), decimal(100 * test.difference.high, 1));
  if (!std::isnan(test.p))
    told += " " + (test.p < 0.05 ? txt("That is more than chance (z = %1, p = %2).")
                                 : txt("Chance makes such differences, too (z = %1, p = %2)."))
                      .arg(decimal(test.z, 2),
                           test.p < 0.0001 ? QString("< 0.0001") : decimal(test.p, 4));
  return told;
}

}  // namespace zp
