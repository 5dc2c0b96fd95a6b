#include "desks/training/area_edit.h"

#include "look/look.h"

namespace zp {

AreaEdit::AreaEdit(QWidget* parent) : QWidget(parent) {
  class_ = new LongChoice;
  class_->setObjectName("areaClass");
  class_->setToolTip(txt("The class of the chosen area"));
  subclass_ = new QComboBox;
  subclass_->setObjectName("areaSubclass");
  subclass_->setEditable(true);
  subclass_->setInsertPolicy(QComboBox::NoInsert);
  subclass_->lineEdit()->setPlaceholderText(txt("no subclass"));
  subclass_->lineEdit()->setMaxLength(80);
  subclass_->setToolTip(txt("A part of the class that may be learned by itself, such as mud"));
  auto* row = columnIn(this, 0);
  row->addWidget(fieldRow(txt("This area"), {class_, subclass_}, 84));
  hide();
  connect(class_, &QComboBox::activated, this,
          [this] { Q_EMIT classAsked(class_->currentData().toInt()); });
  const auto named = [this] {
    subclass_->lineEdit()->setModified(false);
    Q_EMIT subclassAsked(subclass_->currentText().trimmed());
  };
  connect(subclass_, &QComboBox::activated, this, named);
  connect(subclass_->lineEdit(), &QLineEdit::editingFinished, this, named);
}

void AreaEdit::show(const Study& study, std::optional<size_t> area) {
  const QSignalBlocker quiet(class_), quietToo(subclass_);
  const bool same = shown_ == area;
  shown_ = area;
  setVisible(area.has_value());
  if (!area) return;
  const TrainingArea& a = study.training.at(*area);
  class_->clear();
  for (const auto& c : study.legend.classes)
    class_->addItem(swatch(toQt(c.colour)), q(c.name), c.code);
  class_->setCurrentIndex(class_->findData(a.code));
  // What is being typed stays while something else of the study changes.
  if (same && subclass_->lineEdit()->hasFocus() && subclass_->lineEdit()->isModified()) return;
  subclass_->clear();
  subclass_->addItem("");
  if (const auto* c = study.legend.find(a.code))
    for (const auto& s : c->subclasses) subclass_->addItem(q(s.name));
  subclass_->setEditText(q(a.subclass));
}

}  // namespace zp
