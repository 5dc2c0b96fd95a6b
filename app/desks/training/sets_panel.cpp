#include "desks/training/sets_panel.h"

#include "shell/find_widgets.h"

namespace zp {

SetsPanel::SetsPanel(Workbench& bench) : Panel(bench, 6) {
  opener_ = linkButton(txt("Keep…"));
  opener_->setObjectName("trainingSets");
  opener_->setCheckable(true);
  opener_->setToolTip(
      txt("Areas kept under a name, to be taken up again or added, and their export"));
  openedBy(this, "trainingSets");
  connect(opener_, &QPushButton::toggled, this, &QWidget::setVisible);
  choice_ = new LongChoice;
  choice_->setObjectName("trainingSet");
  take_ = quietButton(txt("Use these instead"));
  take_->setObjectName("takeSet");
  add_ = quietButton(txt("Add"));
  add_->setObjectName("addSet");
  drop_ = linkButton(txt("Drop"));
  drop_->setObjectName("dropSet");
  kept_ = new QWidget;
  auto* column = columnIn(kept_, 6);
  column->addWidget(fieldRow(txt("Set"), {choice_}));
  column->addWidget(wrapping({take_, add_, drop_}, 6));
  name_ = lineEdit("setName", txt("name"));
  keep_ = quietButton(txt("Keep"));
  keep_->setObjectName("keepSet");
  box()->addWidget(kept_);
  box()->addWidget(fieldRow(txt("These areas as"), {name_, keep_}));
  hide();
  connect(take_, &QPushButton::clicked, this, [this] { bench_.takeTrainingSet(chosen(), false); });
  connect(add_, &QPushButton::clicked, this, [this] { bench_.takeTrainingSet(chosen(), true); });
  connect(drop_, &QPushButton::clicked, this, [this] { bench_.dropTrainingSet(chosen()); });
  connect(keep_, &QPushButton::clicked, this, &SetsPanel::keep);
  connect(name_, &QLineEdit::returnPressed, this, &SetsPanel::keep);
  connect(name_, &QLineEdit::textChanged, this, &SetsPanel::refresh);
}

void SetsPanel::addTool(QPushButton* tool) {
  box()->addWidget(tool, 0, Qt::AlignLeft);
}

/// The same name again: its areas are those of now.
void SetsPanel::keep() {
  if (!keep_->isEnabled()) return;
  const QString name = name_->text().trimmed();
  bench_.keepTrainingSet(name.toStdString());
  name_->clear();
  choice_->setCurrentIndex(choice_->findData(name));
}

void SetsPanel::refresh() {
  if (!bench_.hasStudy()) return;
  const QString before = choice_->currentData().toString();
  choice_->clear();
  for (const auto& set : bench_.study().trainingSets)
    choice_->addItem(
        txt("%1, %n areas", "%1, %n area", static_cast<qint64>(set.areas.size())).arg(q(set.name)),
        q(set.name));
  choice_->setCurrentIndex(std::max(0, choice_->findData(before)));
  kept_->setVisible(choice_->count() > 0);
  keep_->setEnabled(!name_->text().trimmed().isEmpty() && !bench_.study().training.empty());
}

}  // namespace zp
