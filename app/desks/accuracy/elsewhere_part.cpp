#include "desks/accuracy/elsewhere_part.h"

#include "base/outputs.h"
#include "base/text.h"
#include "look/look.h"

namespace zp {

ElsewherePart::ElsewherePart(Workbench& bench, LabelBook& book) : bench_(bench), book_(book) {
  ask_ = linkButton(txt("Look at them in a viewer elsewhere…"));
  ask_->setObjectName("askElsewhere");
  auto* out = quietButton(txt("Points as KML…"));
  out->setObjectName("pointsOut");
  paste_ = quietButton(txt("Paste the list"));
  paste_->setObjectName("pasteLabels");
  back_ = linkButton(txt("Take the list back"));
  back_->setObjectName("takeListBack");
  back_->hide();
  told_ = secondLabel("");
  told_->setObjectName("elsewhereTold");
  parts_ = new QWidget;
  auto* inside = columnIn(parts_, 4);
  inside->addWidget(secondLabel(
      txt("The points go out under their numbers, without what the map says. Copy a list of two "
          "columns, number and class (by name or code), and paste it here.")));
  inside->addWidget(wrapping({out, paste_}));
  inside->addWidget(told_);
  inside->addWidget(back_, 0, Qt::AlignLeft);
  auto* column = columnIn(this, 4);
  column->addWidget(ask_, 0, Qt::AlignLeft);
  column->addWidget(parts_);
  parts_->hide();
  connect(ask_, &QPushButton::clicked, this, [this] {
    parts_->setVisible(!parts_->isVisible());
    look();
  });
  connect(out, &QPushButton::clicked, this, [this] {
    const QString file = QFileDialog::getSaveFileName(this, txt("Points for a viewer elsewhere"),
                                                      txt("points") + ".kml", "KML (*.kml)");
    if (!file.isEmpty()) writePoints(file);
  });
  connect(paste_, &QPushButton::clicked, this, &ElsewherePart::paste);
  connect(back_, &QPushButton::clicked, this, &ElsewherePart::takeBack);
  connect(QGuiApplication::clipboard(), &QClipboard::dataChanged, this, [this] {
    if (parts_->isVisible()) look();
  });
}

void ElsewherePart::refresh() {
  setVisible(!book_.none() && !book_.labelling().closed());
  if (!isVisibleTo(parentWidget())) {
    parts_->hide();
    before_.reset();
    back_->hide();
  }
}

/// What the clipboard would label.
void ElsewherePart::look() {
  if (!parts_->isVisible()) return;
  listed_ = labelsInList(QGuiApplication::clipboard()->text().left(1 << 20).toStdString(),
                         book_.labelling(), book_.legend());
  const auto n = static_cast<qint64>(listed_.labels.size());
  paste_->setEnabled(n > 0);
  QString told = n == 0 ? txt("The clipboard holds no list of numbers and classes yet.")
                        : txt("The clipboard holds labels of %1 points.",
                              "The clipboard holds the label of %1 point.", n)
                              .arg(grouped(listed_.labels.size()));
  if (listed_.otherPoints > 0)
    told += " " + txt("%1 numbers are of no point here.", "%1 number is of no point here.",
                      static_cast<qint64>(listed_.otherPoints))
                      .arg(grouped(listed_.otherPoints));
  if (!listed_.otherClasses.empty())
    told += " " + txt("No class of the legend: %1.").arg(q(listed(listed_.otherClasses).text()));
  tellIn(told_, told);
}

void ElsewherePart::paste() {
  before_ = book_.labelling();
  for (const auto& [id, code] : listed_.labels)
    book_.labelling().labelPoint(id, book_.labelOf(code), now());
  back_->show();
  const auto n = listed_.labels.size();
  book_.changed();
  tellIn(told_, txt("%1 points are labelled by the list.", "%1 point is labelled by the list.",
                    static_cast<qint64>(n))
                    .arg(grouped(n)));
}

void ElsewherePart::takeBack() {
  if (!before_) return;
  book_.labelling() = *before_;
  before_.reset();
  back_->hide();
  book_.changed();
  tellIn(told_, txt("The labels are as they were before."));
}

void ElsewherePart::writePoints(const QString& file) {
  try {
    Layer layer{"points", book_.crs(), {{"Name"}, {}}, {}};
    for (const auto& p : book_.labelling().points()) {
      layer.table.rows.push_back({std::to_string(p.id)});
      layer.shapes.push_back({{}, {p.place}});
    }
    Outputs outputs(true);
    const std::filesystem::path target = file.toStdString();
    writeLayer(outputs.add(target), target, layer, {FieldType::Text});
    outputs.commit();
    tellIn(told_, txt("The points are in “%1”.").arg(file));
  } catch (const std::exception& e) {
    tellIn(told_, sentenceOf(e));
  }
}

}  // namespace zp
