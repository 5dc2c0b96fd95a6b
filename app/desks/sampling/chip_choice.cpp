#include "desks/sampling/chip_choice.h"

namespace zp {

ChipChoice::ChipChoice(const QList<Choice>& choices) : group_(new QButtonGroup(this)) {
  QList<QWidget*> chips;
  for (const auto& c : choices) {
    auto* one = chip(c.title);
    one->setObjectName(c.name);
    one->setToolTip(c.tip);
    one->setProperty("value", c.value);
    one->setChecked(chips.isEmpty());
    group_->addButton(one);
    chips << one;
  }
  columnIn(this)->addWidget(wrapping(chips, 6));
  connect(group_, &QButtonGroup::buttonClicked, this, &ChipChoice::chosen);
}

QString ChipChoice::value() const {
  return group_->checkedButton()->property("value").toString();
}

void ChipChoice::choose(const QString& value) {
  for (auto* one : group_->buttons())
    if (one->property("value").toString() == value) one->setChecked(true);
}

}  // namespace zp
