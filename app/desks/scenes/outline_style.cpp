#include "desks/scenes/outline_style.h"

namespace zp {

OutlineStyle::OutlineStyle(Workbench& bench, QWidget* parent) : QWidget(parent), bench_(bench) {
  colour_ = quietButton(txt("Colour…"));
  colour_->setObjectName("outlineColour");
  width_ = new QDoubleSpinBox;
  width_->setObjectName("outlineWidth");
  width_->setRange(0.5, 8);
  width_->setSingleStep(0.5);
  width_->setDecimals(1);
  width_->setSuffix(txt(" px"));
  width_->setAccessibleName(txt("Width of the line"));
  filled_ = new QCheckBox(txt("filled"));
  filled_->setObjectName("outlineFilled");
  label_ = new QComboBox;
  label_->setObjectName("outlineLabel");
  label_->setAccessibleName(txt("Field that labels it"));
  auto* box = new QVBoxLayout(this);
  box->setContentsMargins(0, 0, 0, 0);
  box->setSpacing(8);
  auto* line = new QHBoxLayout;
  line->setSpacing(8);
  line->addWidget(colour_);
  line->addWidget(width_);
  line->addWidget(filled_, 0, Qt::AlignLeft);
  line->addStretch();
  box->addLayout(line);
  auto* second = new QHBoxLayout;
  second->addWidget(secondLabel(txt("Labelled by")));
  second->addWidget(label_, 1);
  box->addLayout(second);
  setVisible(false);

  connect(colour_, &QPushButton::clicked, this, [this] {
    const auto* o = outline();
    if (o == nullptr) return;
    const QColor colour =
        QColorDialog::getColor(toQt(o->colour), this, txt("Colour of the outline"));
    if (colour.isValid()) change([&](StudyOutline& one) { one.colour = fromQt(colour); });
  });
  connect(width_, &QDoubleSpinBox::valueChanged, this,
          [this](double w) { change([w](StudyOutline& one) { one.width = w; }); });
  connect(filled_, &QCheckBox::toggled, this,
          [this](bool on) { change([on](StudyOutline& one) { one.filled = on; }); });
  connect(label_, &QComboBox::activated, this, [this](int i) {
    change([&](StudyOutline& one) { one.label = i == 0 ? "" : label_->itemText(i).toStdString(); });
  });
}

const StudyOutline* OutlineStyle::outline() const {
  if (bench_.hasStudy())
    for (const auto& o : bench_.study().outlines)
      if (o.id == id_.toStdString()) return &o;
  return nullptr;
}

void OutlineStyle::change(const std::function<void(StudyOutline&)>& how) {
  const auto* o = outline();
  if (filling_ || o == nullptr) return;
  StudyOutline styled = *o;
  how(styled);
  bench_.styleOutline(styled);
}

void OutlineStyle::show(const QString& id) {
  id_ = id;
  const auto* o = outline();
  setVisible(o != nullptr);
  if (o == nullptr) return;
  filling_ = true;
  colour_->setIcon(swatch(toQt(o->colour)));
  width_->setValue(o->width);
  filled_->setChecked(o->filled);
  if (fieldsOf_ != o->layer) {
    fieldsOf_ = o->layer;
    label_->clear();
    label_->addItem(txt("no field"));
    try {
      for (const auto& c : readTable(o->layer).columns) label_->addItem(q(c));
    } catch (const std::exception&) {
      // The layer went away; the view says so when it draws it.
    }
  }
  label_->setCurrentIndex(o->label.empty() ? 0 : std::max(0, label_->findText(q(o->label))));
  filling_ = false;
}

}  // namespace zp
