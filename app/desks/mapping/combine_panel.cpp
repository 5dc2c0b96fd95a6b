#include "desks/mapping/combine_panel.h"

#include "base/error.h"

namespace zp {

CombinePanel::CombinePanel(Workbench& bench) : Panel(bench) {
  first_ = new LongChoice;
  first_->setObjectName("combineFirst");
  second_ = new LongChoice;
  second_->setObjectName("combineSecond");
  keep_ = new ClassTicks("combineKeep", txt("Classes of the first map that count"));
  compare_ = quietButton(txt("Where they disagree"));
  compare_->setObjectName("disagreement");
  said_ = secondLabel("");
  said_->setObjectName("combineSaid");
  box()->addWidget(fieldRow(txt("First trust"), {first_}));
  box()->addWidget(sectionLabel(txt("Its classes that are kept as they are")));
  box()->addWidget(keep_);
  box()->addWidget(fieldRow(txt("The rest from"), {second_}));
  box()->addWidget(hairline());
  box()->addWidget(said_);
  box()->addStretch();
  for (auto* choice : {first_, second_})
    connect(choice, &QComboBox::activated, choice, [choice] { choice->setProperty("own", true); });
  connect(first_, &QComboBox::activated, this, [this] {
    keep_->show(bench_.study(), bench_.study().product(first()));
    Q_EMIT changed();
  });
  connect(second_, &QComboBox::activated, this, &CombinePanel::changed);
  connect(keep_, &QListWidget::itemChanged, this, &CombinePanel::changed);
  connect(compare_, &QPushButton::clicked, this, &CombinePanel::compare);
}

void CombinePanel::forget() {
  for (auto* choice : {first_, second_}) {
    choice->clear();
    choice->setProperty("own", false);
  }
}

void CombinePanel::refresh() {
  const auto all = classMapsOf(bench_.study());
  int usual = 0;
  for (auto* choice : {first_, second_}) {
    const QString before = choice->currentData().toString();
    choice->clear();
    for (const auto* p : all) choice->addItem(q(p->name), q(p->id));
    const int kept = choice->property("own").toBool() ? choice->findData(before) : -1;
    choice->setCurrentIndex(kept >= 0 ? kept : std::min(usual++, choice->count() - 1));
  }
  keep_->show(bench_.study(), bench_.study().product(first()));
  tellNewest();
  Q_EMIT changed();
}

Panel::Heading CombinePanel::heading() const {
  return {{}, txt("One map for some classes, another for the rest.")};
}

QString CombinePanel::missing() const {
  if (classMapsOf(bench_.study()).size() < 2)
    return txt("There are fewer than two class maps yet.");
  if (first() == second()) return txt("Choose two different maps.");
  if (keep_->none()) return txt("Tick a class of the first map.");
  return {};
}

Json CombinePanel::step() const {
  Json step = {{"do", "combine"}, {"maps", {first(), second()}}};
  if (const Json codes = keep_->codes(); !codes.empty()) step["keep"] = codes;
  step["name"] = txt("%1 and %2").arg(first_->currentText(), second_->currentText()).toStdString();
  return step;
}

void CombinePanel::compare() {
  const Json step = {{"do", "disagreement"},
                     {"map", first()},
                     {"other", second()},
                     {"name", txt("Disagreement of %1 and %2")
                                  .arg(first_->currentText(), second_->currentText())
                                  .toStdString()}};
  bench_.run(step, txt("Where they disagree"), [this](const QString& id) {
    showResult(id);
    tellNewest();
  });
}

/// How far the two maps agree, where that was asked.
void CombinePanel::tellNewest() {
  said_->clear();
  const auto& all = bench_.study().products;
  for (auto p = all.rbegin(); p != all.rend(); ++p) {
    if (p->step.value("do", "") != "disagreement") continue;
    const Json& told = p->facts.at("disagreement");
    const auto pixels = told.at("pixels").get<double>(), other = told.at("different").get<double>();
    QStringList lines{txt("%1: another class in %2 % of the pixels.")
                          .arg(q(p->name), decimal(pixels > 0 ? 100 * other / pixels : 0, 1))};
    const auto name = [&](int code) {
      const auto* c = bench_.study().legend.find(code);
      return c == nullptr ? QString::number(code) : q(c->name);
    };
    for (const auto& pair : told.at("pairs")) {
      if (lines.size() > 3) break;
      lines << txt("%1 here, %2 there: %3 pixels")
                   .arg(name(pair.at("first")), name(pair.at("second")),
                        grouped(pair.at("pixels").get<size_t>()));
    }
    return said_->setText(lines.join("\n"));
  }
}

}  // namespace zp
