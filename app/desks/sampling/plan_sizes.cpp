#include "desks/sampling/plan_sizes.h"

#include "desks/sampling/plan_area.h"

namespace zp {
namespace {

constexpr int kInEachClass = 30, kInAll = 200;

/// 1, 2 or 5 times a power of ten, not above a value.
double roundLength(double value) {
  if (!(value > 0)) return 0;
  const double ten = std::pow(10, std::floor(std::log10(value)));
  return value >= 5 * ten ? 5 * ten : value >= 2 * ten ? 2 * ten : ten;
}

}  // namespace

PlanSizes::PlanSizes() {
  auto* column = columnIn(this);
  column->addWidget(stratified_ = buildStratified());
  column->addWidget(random_ = fieldRow(txt("Points"), {all_ = number("planAll", kInAll),
                                                       secondLabel(txt("in all"))}));
  column->addWidget(lattice_ = buildLattice());
  column->addWidget(blocksBox_ = buildBlocks());
  showFields();
}

QSpinBox* PlanSizes::number(const QString& name, int value) {
  auto* box = new QSpinBox;
  box->setObjectName(name);
  box->setRange(1, 1'000'000);
  box->setValue(value);
  connect(box, &QSpinBox::valueChanged, this, &PlanSizes::changed);
  return box;
}

QDoubleSpinBox* PlanSizes::length(const QString& name) {
  auto* box = new QDoubleSpinBox;
  box->setObjectName(name);
  box->setRange(0, 1e7);
  box->setDecimals(1);
  connect(box, &QDoubleSpinBox::valueChanged, this, &PlanSizes::changed);
  return box;
}

QWidget* PlanSizes::buildStratified() {
  auto* box = new QWidget;
  auto* column = columnIn(box);
  splits_ = new ChipChoice({{"equal", "splitEqual", txt("As many in each class")},
                            {"proportional", "splitProportional", txt("By area")},
                            {"given", "splitGiven", txt("By number")}});
  each_ = number("planCount", kInEachClass);
  eachLabel_ = secondLabel("");
  classes_ = new ClassPoints;
  column->addWidget(splits_);
  column->addWidget(countRow_ = fieldRow(txt("Points"), {each_, eachLabel_}));
  chooseClasses_ = linkButton("");
  chooseClasses_->setObjectName("planChooseClasses");
  chooseClasses_->setCheckable(true);
  column->addWidget(chooseClasses_, 0, Qt::AlignLeft);
  column->addWidget(classes_);
  connect(chooseClasses_, &QPushButton::clicked, this, &PlanSizes::showFields);
  connect(splits_, &ChipChoice::chosen, this, &PlanSizes::splitChosen);
  connect(classes_, &ClassPoints::classesChanged, this, &PlanSizes::changed);
  return box;
}

QWidget* PlanSizes::buildLattice() {
  auto* box = new QWidget;
  auto* column = columnIn(box);
  by_ = new ChipChoice({{"spacing", "latticeSpacing", txt("By spacing")},
                        {"number", "latticeNumber", txt("By number")}});
  forms_ = new ChipChoice({{"square", "latticeSquare", txt("Square")},
                           {"staggered", "latticeStaggered", txt("Staggered")}});
  spacing_ = length("planSpacing");
  across_ = number("planAcross", 15);
  down_ = number("planDown", 12);
  spacingUnit_ = secondLabel("");
  column->addWidget(by_);
  column->addWidget(spacingRow_ = fieldRow(txt("Every"), {spacing_, spacingUnit_}));
  column->addWidget(sidesRow_ = fieldRow(txt("Points"), {across_, secondLabel(txt("across")), down_,
                                                         secondLabel(txt("down"))}));
  column->addWidget(fieldRow(txt("Rows"), {forms_}));
  for (auto* choice : {by_, forms_})
    connect(choice, &ChipChoice::chosen, this, [this] {
      showFields();
      Q_EMIT changed();
    });
  return box;
}

QWidget* PlanSizes::buildBlocks() {
  auto* box = new QWidget;
  auto* column = columnIn(box);
  blocks_ = number("planBlocks", 12);
  blockSize_ = length("planBlockSize");
  inBlock_ = number("planInBlock", 10);
  blockUnit_ = secondLabel("");
  column->addWidget(
      fieldRow(txt("Blocks"), {blocks_, secondLabel(txt("of")), blockSize_, blockUnit_}));
  column->addWidget(fieldRow(txt("Points"), {inBlock_, secondLabel(txt("in each"))}));
  return box;
}

std::string PlanSizes::split() const {
  return splits_->value().toStdString();
}

bool PlanSizes::bySpacing() const {
  return by_->value() == "spacing";
}

/// In all, so many as before in the classes together.
void PlanSizes::splitChosen() {
  const bool inAll = split() == "proportional";
  const int classes = std::max(1, classes_->rowCount());
  const bool wasInAll = eachLabel_->text() == txt("in all");
  if (inAll != wasInAll && split() != "given") {
    const QSignalBlocker quiet(each_);
    each_->setValue(inAll ? each_->value() * classes : std::max(1, each_->value() / classes));
  }
  showFields();
  Q_EMIT changed();
}

void PlanSizes::showFields() {
  stratified_->setVisible(plan_ == "stratified");
  random_->setVisible(plan_ == "random");
  lattice_->setVisible(plan_ == "systematic");
  blocksBox_->setVisible(plan_ == "blocks");
  spacingRow_->setVisible(bySpacing());
  sidesRow_->setVisible(!bySpacing());
  const bool given = split() == "given";
  countRow_->setVisible(!given);
  if (!given) eachLabel_->setText(split() == "proportional" ? txt("in all") : txt("in each class"));
  classes_->setGiven(given, each_->value());
  const bool open = given || chooseClasses_->isChecked();
  chooseClasses_->setVisible(!given && classes_->rowCount() > 0);
  const auto out = static_cast<int>(classes_->leftOut().size());
  chooseClasses_->setText(
      open ? txt("Close the list of classes")
      : out == 0
          ? txt("In all classes; choose some…")
          : txt("%1 of %2 classes left out; choose others…").arg(out).arg(classes_->rowCount()));
  classes_->setVisible(open && classes_->rowCount() > 0);
}

void PlanSizes::showClasses(const Study& study, const Product* map) {
  classes_->show(study, map);
  showFields();
}

void PlanSizes::setPlan(const QString& plan) {
  plan_ = plan;
  showFields();
}

void PlanSizes::suit(const Grid& grid, const QString& unit) {
  for (auto* label : {spacingUnit_, blockUnit_}) label->setText(unit);
  const Extent e = grid.extent();
  const double side = std::sqrt(std::max(0.0, (e.right - e.left) * (e.top - e.bottom)));
  const bool fine = side < 100;  // degrees
  for (auto* box : {spacing_, blockSize_}) {
    const QSignalBlocker quiet(box);
    box->setDecimals(fine ? 5 : 1);
    if (unit != unit_ || !(box->value() > 0))
      box->setValue(roundLength(side / (box == spacing_ ? 12 : 8)));
  }
  unit_ = unit;
}

Json PlanSizes::fields() const {
  Json j = {{"plan", plan_.toStdString()}};
  if (plan_ == "stratified") {
    if (split() == "given")
      j["given"] = classes_->given();
    else
      j["count"] = each_->value();
    if (split() != "equal") j["split"] = split();
    if (const Json out = classes_->leftOut(); !out.empty()) j["left_out"] = out;
  } else if (plan_ == "random") {
    j["count"] = all_->value();
  } else if (plan_ == "systematic") {
    if (bySpacing())
      j["spacing"] = spacing_->value();
    else
      j["across"] = across_->value(), j["down"] = down_->value();
    if (forms_->value() == "staggered") j["form"] = "staggered";
  } else if (plan_ == "blocks") {
    j["blocks"] = blocks_->value();
    j["block_size"] = blockSize_->value();
    j["count"] = inBlock_->value();
  }
  return j;
}

void PlanSizes::take(const Json& step) {
  const QSignalBlocker quiet(this);
  plan_ = q(step.value("plan", "random"));
  splits_->choose(q(step.value("split", "equal")));
  if (step.contains("count"))
    for (auto* box : {each_, all_, inBlock_}) box->setValue(step["count"].get<int>());
  by_->choose(step.contains("across") ? "number" : "spacing");
  forms_->choose(q(step.value("form", "square")));
  if (step.contains("spacing")) spacing_->setValue(step["spacing"].get<double>());
  if (step.contains("across")) across_->setValue(step["across"].get<int>());
  if (step.contains("down")) down_->setValue(step["down"].get<int>());
  if (step.contains("blocks")) blocks_->setValue(step["blocks"].get<int>());
  if (step.contains("block_size")) blockSize_->setValue(step["block_size"].get<double>());
  classes_->take(step);
  showFields();
}

QString PlanSizes::missing() const {
  if (plan_ == "stratified" && classes_->rowCount() > 0 && classes_->none())
    return txt("Give at least one class points.");
  if (plan_ == "systematic" && bySpacing() && !(spacing_->value() > 0))
    return txt("Say how far the points are from each other.");
  if (plan_ == "blocks" && !(blockSize_->value() > 0)) return txt("Say how large the blocks are.");
  return {};
}

QString PlanSizes::name() const {
  if (plan_ == "random") return txt("%n random points", "%n random point", all_->value());
  if (plan_ == "systematic")
    return bySpacing() ? txt("Points every %1 %2").arg(lengthText(spacing_->value()), unit_)
                       : txt("%1 x %2 points").arg(across_->value()).arg(down_->value());
  if (plan_ == "blocks") return txt("Points in %n blocks", "Points in %n block", blocks_->value());
  if (split() == "equal") return txt("%n points a class", "%n point a class", each_->value());
  return split() == "given" ? txt("Points by class")
                            : txt("%n points by area", "%n point by area", each_->value());
}

}  // namespace zp
