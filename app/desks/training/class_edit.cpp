#include "desks/training/class_edit.h"

#include "base/error.h"
#include "legend/cover_colour.h"
#include "look/look.h"
#include "look/parts.h"

namespace zp {

ClassEdit::ClassEdit(QWidget* parent) : QWidget(parent) {
  auto* layout = new QVBoxLayout(this);
  layout->setContentsMargins(0, 4, 0, 4);
  layout->setSpacing(6);
  layout->addLayout(buildClass());
  layout->addLayout(buildLegend());
  setVisible(false);
}

QLayout* ClassEdit::buildClass() {
  name_ = new QLineEdit;
  name_->setObjectName("className");
  colour_ = quietButton("");
  colour_->setObjectName("classColour");
  about_ = new QLineEdit;
  about_->setObjectName("classAbout");
  about_->setPlaceholderText(txt("what belongs to it"));
  code_ = new QLineEdit;
  code_->setObjectName("classCode");
  code_->setFixedWidth(64);
  code_->setToolTip(txt("1 to 65535, and no other class's; training areas follow"));
  into_ = new LongChoice;
  into_->setObjectName("mergeInto");
  into_->setToolTip(txt("Its training areas become those of the other class"));
  error_ = secondLabel("");
  error_->setObjectName("classError");
  setTone(error_, "warning");
  up_ = linkButton(txt("Up"));
  up_->setObjectName("classUp");
  up_->setToolTip(txt("One place up in the legend (Alt ↑ in the list)"));
  down_ = linkButton(txt("Down"));
  down_->setObjectName("classDown");
  down_->setToolTip(txt("One place down in the legend (Alt ↓ in the list)"));
  auto* keep = quietButton(txt("Keep"));
  keep->setObjectName("classKeep");
  auto* leave = linkButton(txt("Not now"));
  leave->setObjectName("classLeave");
  auto* column = new QVBoxLayout;
  column->setSpacing(6);
  column->addWidget(fieldRow(txt("Code, name"), {code_, name_}));
  column->addWidget(fieldRow(txt("Colour"), {colour_}));
  column->addWidget(fieldRow(txt("Description"), {about_}));
  column->addWidget(error_);
  column->addWidget(wrapping({keep, leave, up_, down_}));
  column->addWidget(fieldRow(txt("Merge into"), {into_}));
  connect(into_, &QComboBox::activated, this, [this] {
    const int into = into_->currentData().toInt();
    if (into == 0) return;
    hide();
    Q_EMIT mergeAsked(class_.code, into);
  });
  connect(name_, &QLineEdit::textEdited, this, &ClassEdit::proposeColour);
  connect(colour_, &QPushButton::clicked, this, &ClassEdit::chooseColour);
  connect(up_, &QPushButton::clicked, this, [this] { Q_EMIT moveAsked(class_.code, -1); });
  connect(down_, &QPushButton::clicked, this, [this] { Q_EMIT moveAsked(class_.code, 1); });
  connect(keep, &QPushButton::clicked, this, &ClassEdit::keep);
  connect(leave, &QPushButton::clicked, this, &QWidget::hide);
  for (auto* field : {code_, name_, about_})
    connect(field, &QLineEdit::returnPressed, this, &ClassEdit::keep);
  return column;
}

QLayout* ClassEdit::buildLegend() {
  legendName_ = new QLineEdit;
  legendName_->setObjectName("legendName");
  legendName_->setPlaceholderText(txt("such as Cover of summer"));
  legendAbout_ = new QLineEdit;
  legendAbout_->setObjectName("legendAbout");
  legendAbout_->setPlaceholderText(txt("what holds for all of its classes"));
  auto* save = linkButton(txt("Save legend…"));
  save->setObjectName("saveLegend");
  auto* load = linkButton(txt("Load legend…"));
  load->setObjectName("loadLegend");
  auto* colours = linkButton(txt("Propose colours"));
  colours->setObjectName("proposeColours");
  colours->setToolTip(
      txt("For all classes, such as colour-blind people tell apart (Okabe and Ito 2008), and blue "
          "for water"));
  auto* column = new QVBoxLayout;
  column->setSpacing(6);
  column->addWidget(sectionLabel(txt("The whole legend")));
  column->addWidget(fieldRow(txt("Name"), {legendName_}));
  column->addWidget(fieldRow(txt("Description"), {legendAbout_}));
  column->addWidget(wrapping({save, load, colours}));
  for (auto* field : {legendName_, legendAbout_})
    connect(field, &QLineEdit::editingFinished, this, &ClassEdit::told);
  connect(colours, &QPushButton::clicked, this, &ClassEdit::coloursAsked);
  connect(save, &QPushButton::clicked, this, &ClassEdit::saveAsked);
  connect(load, &QPushButton::clicked, this, &ClassEdit::loadAsked);
  return column;
}

void ClassEdit::open(const LegendClass& of, const Legend& legend, bool isNew) {
  class_ = of;
  colourFollows_ = isNew;
  code_->setText(QString::number(of.code));
  error_->setVisible(false);
  name_->setText(q(of.name));
  about_->setText(q(of.description));
  showColour();
  setVisible(true);
  follow(legend);
  name_->setFocus();
  name_->selectAll();
}

void ClassEdit::follow(const Legend& legend) {
  legend_ = legend;
  if (!isVisible() || legend.classes.empty()) return;
  into_->clear();
  into_->addItem(txt("another class…"), 0);
  for (const auto& c : legend.classes)
    if (c.code != class_.code) into_->addItem(swatch(toQt(c.colour)), q(c.name), c.code);
  into_->setEnabled(into_->count() > 1);
  up_->setEnabled(legend.classes.front().code != class_.code);
  down_->setEnabled(legend.classes.back().code != class_.code);
  legendName_->setText(q(legend.name));
  legendAbout_->setText(q(legend.description));
}

void ClassEdit::told() {
  const QString name = legendName_->text().trimmed(), about = legendAbout_->text().trimmed();
  if (name != q(legend_.name) || about != q(legend_.description)) Q_EMIT legendTold(name, about);
}

void ClassEdit::proposeColour(const QString& name) {
  if (!colourFollows_) return;
  auto beside = legend_.classes;
  std::erase_if(beside, [this](const auto& c) { return c.code == class_.code; });
  class_.colour = colourFor(name.toStdString(), beside, beside.size());
  showColour();
}

void ClassEdit::chooseColour() {
  const QColor got = QColorDialog::getColor(toQt(class_.colour), this, txt("Colour of the class"));
  if (!got.isValid()) return;
  colourFollows_ = false;
  class_.colour = fromQt(got);
  showColour();
}

void ClassEdit::showColour() {
  colour_->setText(q(colourText(class_.colour)));
  colour_->setIcon(swatch(toQt(class_.colour)));
}

void ClassEdit::keep() {
  if (!isVisible()) return;
  const auto refuse = [this](const QString& sentence) {
    error_->setText(sentence);
    error_->setVisible(true);
  };
  LegendClass now = class_;
  now.name = name_->text().trimmed().toStdString();
  now.description = about_->text().toStdString();
  if (now.name.empty()) return refuse(txt("A class needs a name."));
  try {
    now.code = classCode(code_->text().toStdString(), txt("the field").toStdString());
  } catch (const Error&) {
    return refuse(txt("A code is a whole number from 1 to 65535."));
  }
  const auto* other = legend_.find(now.code);
  if (now.code != class_.code && other != nullptr)
    return refuse(txt("%1 has the code %2 already.").arg(q(other->name)).arg(now.code));
  hide();
  Q_EMIT kept(class_.code, now);
}

void ClassEdit::keyPressEvent(QKeyEvent* e) {
  if (e->key() == Qt::Key_Escape) return hide();
  QWidget::keyPressEvent(e);
}

}  // namespace zp
