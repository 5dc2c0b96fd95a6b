#include "desks/training/class_edit.h"

#include "look/look.h"
#include "look/parts.h"

namespace zp {

ClassEdit::ClassEdit(QWidget* parent) : QWidget(parent) {
  name_ = new QLineEdit;
  name_->setObjectName("className");
  colour_ = quietButton("");
  colour_->setObjectName("classColour");
  about_ = new QLineEdit;
  about_->setObjectName("classAbout");
  about_->setPlaceholderText(txt("what belongs to it"));
  auto* keep = quietButton(txt("Keep"));
  keep->setObjectName("classKeep");
  auto* leave = linkButton(txt("Not now"));
  leave->setObjectName("classLeave");
  auto* layout = new QVBoxLayout(this);
  layout->setContentsMargins(0, 4, 0, 4);
  layout->setSpacing(6);
  layout->addWidget(fieldRow(txt("Name, colour"), {name_, colour_}));
  layout->addWidget(fieldRow(txt("Description"), {about_}));
  layout->addWidget(wrapping({keep, leave}));
  connect(colour_, &QPushButton::clicked, this, &ClassEdit::chooseColour);
  connect(keep, &QPushButton::clicked, this, &ClassEdit::keep);
  connect(leave, &QPushButton::clicked, this, &QWidget::hide);
  for (auto* field : {name_, about_})
    connect(field, &QLineEdit::returnPressed, this, &ClassEdit::keep);
  setVisible(false);
}

void ClassEdit::open(const LegendClass& of) {
  class_ = of;
  name_->setText(q(of.name));
  about_->setText(q(of.description));
  colour_->setText(q(colourText(of.colour)));
  colour_->setIcon(swatch(toQt(of.colour)));
  setVisible(true);
  name_->setFocus();
  name_->selectAll();
}

void ClassEdit::chooseColour() {
  const QColor got = QColorDialog::getColor(toQt(class_.colour), this, txt("Colour of the class"));
  if (!got.isValid()) return;
  class_.colour = fromQt(got);
  colour_->setIcon(swatch(got));
  colour_->setText(got.name());
}

void ClassEdit::keep() {
  const std::string name = name_->text().trimmed().toStdString();
  if (name.empty() || !isVisible()) return;
  class_.name = name;
  class_.description = about_->text().toStdString();
  hide();
  Q_EMIT kept(class_);
}

void ClassEdit::keyPressEvent(QKeyEvent* e) {
  if (e->key() == Qt::Key_Escape) return hide();
  QWidget::keyPressEvent(e);
}

}  // namespace zp
