#include "desks/training/legend_panel.h"

#include "base/outputs.h"
#include "legend/cover_colour.h"
#include "training/legend_file.h"
#include "training/training_area.h"

namespace zp {
namespace {

enum Column { kClass, kAreas, kPixels, kShape, kHealth };

/// The shape of a class in one band: bars in its colour, from the cell's data.
class ShapeCell : public QStyledItemDelegate {
 public:
  using QStyledItemDelegate::QStyledItemDelegate;
  void paint(QPainter* p, const QStyleOptionViewItem& option,
             const QModelIndex& index) const override {
    QStyledItemDelegate::paint(p, option, index);
    const auto bars = index.data(Qt::UserRole).toList();
    if (bars.isEmpty()) return;
    const QRectF box = QRectF(option.rect).adjusted(4, 3, -4, -2);
    const double wide = box.width() / static_cast<double>(bars.size());
    p->save();
    p->setPen(Qt::NoPen);
    p->setBrush(index.data(Qt::UserRole + 1).value<QColor>());
    for (qsizetype i = 0; i < bars.size(); ++i) {
      const double high = bars[i].toDouble() * box.height();
      p->drawRect(QRectF(box.left() + static_cast<double>(i) * wide, box.bottom() - high,
                         wide * 0.8, high));
    }
    p->restore();
  }
};

/// Near infrared tells most covers apart; without it the first band.
size_t bandShown(const SignatureSet& set) {
  const auto nir = std::find(set.bands.begin(), set.bands.end(), "nir");
  return nir == set.bands.end() ? 0 : static_cast<size_t>(nir - set.bands.begin());
}

}  // namespace

LegendPanel::LegendPanel(Workbench& bench) : Panel(bench) {
  table_ = plainTable({txt("Class"), txt("areas"), txt("pixels"), "", txt("health")});
  table_->setItemDelegateForColumn(kShape, new ShapeCell(table_));
  table_->horizontalHeader()->setSectionResizeMode(kShape, QHeaderView::Fixed);
  table_->setColumnWidth(kShape, 70);
  table_->setObjectName("classTable");
  table_->setAccessibleName(txt("Classes of the legend"));
  table_->installEventFilter(this);
  box()->addWidget(table_);
  edit_ = linkButton(txt("Edit class…"));
  edit_->setObjectName("editClass");
  drop_ = linkButton(txt("Remove class"));
  drop_->setObjectName("removeClass");
  drop_->setToolTip(
      txt("Takes the class out of the legend, with its training areas (Ctrl Z brings "
          "them back)"));
  reason_ = secondLabel("");
  reason_->setObjectName("healthReason");
  auto* add = linkButton(txt("New class"));
  add->setObjectName("newClass");
  connect(add, &QPushButton::clicked, this, &LegendPanel::addClass);
  reasonRow_ = new QHBoxLayout;
  reasonRow_->addWidget(reason_, 1);
  box()->addLayout(reasonRow_);
  buttons_ = wrapping({edit_, add, drop_});
  box()->addWidget(buttons_);
  classEdit_ = new ClassEdit;
  box()->addWidget(classEdit_);
  connect(classEdit_, &ClassEdit::kept, this, [this](int code, const LegendClass& as) {
    bench_.changeClass(code, as);
    choose(as.code);
  });
  connect(classEdit_, &ClassEdit::mergeAsked, &bench_, &Workbench::mergeClass);
  connect(classEdit_, &ClassEdit::saveAsked, this, &LegendPanel::save);
  connect(classEdit_, &ClassEdit::moveAsked, this, &LegendPanel::move);
  connect(classEdit_, &ClassEdit::legendTold, this,
          [this](const QString& name, const QString& about) {
            Legend legend = bench_.study().legend;
            legend.name = name.toStdString();
            legend.description = about.toStdString();
            bench_.setLegend(legend, txt("Describe the legend"));
          });
  connect(classEdit_, &ClassEdit::coloursAsked, this, [this] {
    Legend legend = bench_.study().legend;
    proposeColours(legend);
    classEdit_->hide();
    bench_.setLegend(legend, txt("Propose colours"));
  });
  connect(classEdit_, &ClassEdit::loadAsked, this, &LegendPanel::load);
  connect(drop_, &QPushButton::clicked, this, [this] { bench_.removeClass(chosenClass()); });
  connect(edit_, &QPushButton::clicked, this, [this] { edit(table_->currentRow()); });
  connect(table_, &QTableWidget::cellDoubleClicked, this, [this](int row, int) { edit(row); });
  connect(table_, &QTableWidget::itemSelectionChanged, this, [this] {
    if (filling_) return;
    tellReason();
    Q_EMIT classChosen();
  });
}

void LegendPanel::placeRemedies(const std::array<QPushButton*, 2>& openers) {
  reasonRow_->addWidget(openers[0], 0, Qt::AlignBottom);
  buttons_->layout()->addWidget(openers[1]);
}

void LegendPanel::forget() {
  training_ = nullptr;
  classEdit_->hide();
}

int LegendPanel::chosenClass() const {
  const auto* item = table_->item(table_->currentRow(), 0);
  return item == nullptr ? 0 : item->data(Qt::UserRole).toInt();
}

void LegendPanel::choose(int code) {
  for (int r = 0; r < table_->rowCount(); ++r)
    if (table_->item(r, 0)->data(Qt::UserRole).toInt() == code) table_->selectRow(r);
}

void LegendPanel::setTraining(const Training* training) {
  training_ = training;
  refresh();
}

void LegendPanel::refresh() {
  filling_ = true;
  const int before = chosenClass();
  const auto& classes = bench_.study().legend.classes;
  table_->setRowCount(static_cast<int>(classes.size()));
  const QString band =
      training_ == nullptr ? QString() : q(training_->set.bands[bandShown(training_->set)]);
  table_->setHorizontalHeaderItem(kShape, new QTableWidgetItem(band));
  for (int r = 0; r < table_->rowCount(); ++r) {
    const auto& c = classes[static_cast<size_t>(r)];
    fillRow(r, c);
    if (c.code == before || (before == 0 && r == 0)) table_->selectRow(r);
  }
  edit_->setEnabled(table_->rowCount() > 0);
  drop_->setEnabled(table_->rowCount() > 0);
  fitHeight(table_);
  classEdit_->follow(bench_.study().legend);
  filling_ = false;
  tellReason();
}

void LegendPanel::fillRow(int r, const LegendClass& c) {
  const Study& study = bench_.study();
  const auto areas = std::count_if(study.training.begin(), study.training.end(),
                                   [&](const TrainingArea& a) { return a.code == c.code; });
  auto* name = classItem(study.legend, c.code, c.name);
  name->setToolTip(txt("Code %1. %2").arg(c.code).arg(q(c.description)));
  table_->setItem(r, kClass, name);
  table_->setItem(r, kAreas, figureItem(areas > 0 ? QString::number(areas) : "–"));
  auto* pixels = figureItem("–");
  auto *shape = new QTableWidgetItem, *health = new QTableWidgetItem;
  for (size_t i = 0; training_ != nullptr && i < training_->set.classes.size(); ++i) {
    if (training_->set.classes[i].code != c.code) continue;
    pixels->setText(grouped(training_->set.classes[i].pixels));
    QVariantList bars;
    for (const double b : training_->shapes[i][bandShown(training_->set)]) bars << b;
    shape->setData(Qt::UserRole, bars);
    shape->setData(Qt::UserRole + 1, toQt(c.colour));
    const auto& h = training_->health[i];
    health->setText(txt(wordOf(h.word)));
    health->setToolTip(sentenceOf(h.reason));
    health->setForeground(h.word == Health::Good ? tokens().second : tokens().warning);
  }
  table_->setItem(r, kPixels, pixels);
  table_->setItem(r, kShape, shape);
  table_->setItem(r, kHealth, health);
}

/// Of the chosen class, where its training is not good.
void LegendPanel::tellReason() {
  QString reason;
  if (training_ != nullptr)
    for (const auto& h : training_->health)
      if (h.code == chosenClass() && h.word != Health::Good) reason = sentenceOf(h.reason);
  reason_->setText(reason);
  reason_->setVisible(!reason.isEmpty());
}

void LegendPanel::move(int code, int places) {
  Legend legend = bench_.study().legend;
  if (legend.move(code, places)) bench_.setLegend(legend, txt("Order of the legend"));
}

/// Alt with an arrow key moves the chosen class.
bool LegendPanel::eventFilter(QObject* of, QEvent* e) {
  if (of == table_ && e->type() == QEvent::KeyPress) {
    const auto* key = static_cast<QKeyEvent*>(e);
    const int places = key->key() == Qt::Key_Up ? -1 : key->key() == Qt::Key_Down ? 1 : 0;
    if (places != 0 && key->modifiers() == Qt::AltModifier) {
      move(chosenClass(), places);
      return true;
    }
  }
  return Panel::eventFilter(of, e);
}

void LegendPanel::addClass() {
  Legend legend = bench_.study().legend;
  LegendClass c;
  c.code = legend.firstFreeCode();
  c.name = txt("Class %1").arg(c.code).toStdString();
  c.colour = colourFor("", legend.classes, legend.classes.size());
  legend.add(c);
  bench_.setLegend(legend, txt("New class"));
  choose(c.code);
  classEdit_->open(c, bench_.study().legend, true);
  Q_EMIT trouble("");
}

void LegendPanel::edit(int row) {
  const auto* item = table_->item(row, 0);
  if (item == nullptr) return;
  if (const auto* c = bench_.study().legend.find(item->data(Qt::UserRole).toInt()))
    classEdit_->open(*c, bench_.study().legend, false);
}

void LegendPanel::save() {
  const QString file = QFileDialog::getSaveFileName(
      this, txt("Save the legend"), q((bench_.study().folder() / "legend.json").string()),
      txt("Legends (*.json *.csv)"));
  if (file.isEmpty()) return;
  try {
    Outputs outputs(true);
    const std::filesystem::path target = file.toStdString();
    writeLegendFile(outputs.add(target), target, bench_.study().legend);
    outputs.commit();
    Q_EMIT trouble("");
  } catch (const std::exception& e) {
    Q_EMIT trouble(sentenceOf(e));
  }
}

/// Classes that have training areas stay, though the file lacks them.
void LegendPanel::load() {
  const QString file =
      QFileDialog::getOpenFileName(this, txt("Load a legend"), q(bench_.study().folder().string()),
                                   txt("Legends (*.json *.csv);;All files (*)"));
  if (file.isEmpty()) return;
  try {
    const Legend read = readLegendFile(file.toStdString());
    bench_.setLegend(legendOf(bench_.study().training, read), txt("Load a legend"));
    classEdit_->hide();
    Q_EMIT trouble("");
  } catch (const std::exception& e) {
    Q_EMIT trouble(sentenceOf(e));
  }
}

}  // namespace zp
