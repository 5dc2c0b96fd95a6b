#include "desks/indices/rules_panel.h"

#include "base/text.h"
#include "mapping/rules.h"
#include "study/study_scope.h"

namespace zp {

RulesPanel::RulesPanel(Workbench& bench, std::function<std::string()> inside)
    : Panel(bench), inside_(std::move(inside)) {
  hint_ = secondLabel("");
  hint_->setObjectName("rulesHint");
  box()->addWidget(hint_);
  rows_ = new QVBoxLayout;
  rows_->setSpacing(10);
  box()->addLayout(rows_);
  auto* add = linkButton(txt("Add a rule"));
  add->setObjectName("addRule");
  box()->addWidget(add, 0, Qt::AlignLeft);
  connect(add, &QPushButton::clicked, this, [this] {
    if (all_.size() >= 20) return;
    addRow("", txt("Class %1").arg(all_.size() + 1));
    all_.back().condition->setFocus();
    check();
  });
  otherwise_ = new QLineEdit(txt("Other"));
  otherwise_->setObjectName("ruleOtherwise");
  otherwise_->setPlaceholderText(txt("nothing: no class"));
  otherwise_->setAccessibleName(txt("Class of what no rule gives one"));
  auto* row = new QHBoxLayout;
  row->setSpacing(8);
  row->addWidget(secondLabel(txt("All else is")));
  row->addWidget(otherwise_, 1);
  box()->addLayout(row);
  box()->addStretch();
  connect(otherwise_, &QLineEdit::textChanged, this, &RulesPanel::changed);
  addRow("", txt("Class %1").arg(1));
}

void RulesPanel::addRow(const QString& condition, const QString& name) {
  Row r;
  const int number = static_cast<int>(all_.size()) + 1;
  r.shade = toQt(suggestedColour(all_.size()));
  r.box = new QWidget;
  r.box->setSizePolicy(QSizePolicy::Preferred, QSizePolicy::Maximum);
  auto* inside = columnIn(r.box, 4);
  r.condition = new FormulaEdit;
  r.condition->setObjectName(QString("rule-%1").arg(number));
  r.condition->setAccessibleName(txt("Rule %1").arg(number));
  r.condition->setPlaceholderText(txt("such as nir < 0.1 and green > red"));
  r.condition->setKnown(known_);
  r.condition->setPlainText(condition);
  r.name = new QLineEdit(name);
  r.name->setObjectName(QString("ruleName-%1").arg(number));
  r.name->setAccessibleName(txt("Class of rule %1").arg(number));
  r.colour = new QToolButton;
  r.colour->setIcon(swatch(r.shade, 14));
  r.colour->setAccessibleName(txt("Colour of rule %1").arg(number));
  r.error = secondLabel("");
  setTone(r.error, "warning");
  r.error->setVisible(false);
  auto* drop = new QToolButton;
  drop->setIcon(icon("close"));
  drop->setAccessibleName(txt("Remove rule %1").arg(number));
  auto* head = new QHBoxLayout;
  head->setSpacing(6);
  head->addWidget(secondLabel(txt("gives")));
  head->addWidget(r.colour);
  head->addWidget(r.name, 1);
  head->addWidget(drop);
  inside->addWidget(r.condition);
  inside->addLayout(head);
  inside->addWidget(r.error);
  rows_->addWidget(r.box);
  all_.push_back(r);
  connect(r.condition, &QPlainTextEdit::textChanged, this, &RulesPanel::check);
  connect(r.name, &QLineEdit::textChanged, this, &RulesPanel::check);
  connect(r.colour, &QToolButton::clicked, this, [this, button = r.colour] {
    for (auto& one : all_)
      if (one.colour == button) {
        const QColor c = QColorDialog::getColor(one.shade, this, txt("Colour of the class"));
        if (c.isValid()) one.shade = c, button->setIcon(swatch(c, 14));
      }
  });
  connect(drop, &QToolButton::clicked, this, [this, gone = r.box] {
    if (all_.size() < 2) return;
    std::erase_if(all_, [&](const Row& one) { return one.box == gone; });
    gone->deleteLater();
    check();
  });
}

void RulesPanel::refresh() {
  const auto* s = bench_.currentScene();
  if (s == nullptr) return;
  known_ = knownNames(bench_.study(), s->id);
  for (auto& r : all_) r.condition->setKnown(known_);
  QStringList layers;
  for (const auto& [name, id] : formulaNames(bench_.study()))
    if (bench_.study().product(id) != nullptr) layers << q(name);
  hint_->setText(
      layers.isEmpty()
          ? txt("The first rule that holds gives the class. Names: the roles of %1, and indices "
                "you make.")
                .arg(q(s->scene.name))
          : txt("The first rule that holds gives the class. Names: the roles of %1, and %2.")
                .arg(q(s->scene.name),
                     layers.mid(0, 6).join(", ") + (layers.size() > 6 ? "…" : "")));
  check();
}

void RulesPanel::check() {
  for (auto& r : all_) {
    const auto e =
        r.condition->toPlainText().trimmed().isEmpty() ? std::nullopt : r.condition->error();
    r.error->setVisible(e.has_value());
    if (e) r.error->setText(sentenceOf(*e));
  }
  Q_EMIT changed();
}

Panel::Heading RulesPanel::heading() const {
  return {txt("Classes by rules"),
          txt("Conditions over several indices and bands, straight to classes.")};
}

QString RulesPanel::action() const {
  return txt("Make the class map");
}

QString RulesPanel::missing() const {
  bool any = false;
  for (const auto& r : all_) {
    if (r.condition->toPlainText().trimmed().isEmpty()) continue;
    any = true;
    if (r.condition->error()) return txt("A rule is wrong; what is said below it tells where.");
    if (r.name->text().trimmed().isEmpty()) return txt("A rule gives a class without a name.");
  }
  return any ? QString() : txt("Write a rule first.");
}

Json RulesPanel::step() const {
  Json rules = Json::array();
  std::vector<Formula> formulas;
  for (const auto& r : all_) {
    if (r.condition->toPlainText().trimmed().isEmpty()) continue;
    formulas.push_back(parseFormula(r.condition->formula(), known_));
    rules.push_back({{"when", r.condition->formula()},
                     {"name", r.name->text().trimmed().toStdString()},
                     {"colour", colourText(fromQt(r.shade))}});
  }
  Json step = {
      {"do", "rules"},
      {"scene", bench_.currentScene()->id},
      {"name", txt("%1 by rules").arg(q(rules[0]["name"].get<std::string>())).toStdString()},
      {"rules", rules},
      {"with", usedNames(formulas, formulaNames(bench_.study()))}};
  if (!otherwise_->text().trimmed().isEmpty())
    step["otherwise"] = {{"name", otherwise_->text().trimmed().toStdString()},
                         {"colour", "#5a5a5a"}};
  if (!inside_().empty()) step["inside"] = inside_();
  return step;
}

}  // namespace zp
