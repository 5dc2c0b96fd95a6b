#include "desks/accuracy/typed_sheet.h"

#include "desks/accuracy/percent.h"

namespace zp {
namespace {

constexpr int kSide = 408;

/// "85.6 % (80.1 to 90.2)".
QString shareText(const Estimate& e) {
  if (std::isnan(e.value)) return QString("–");
  const QString value = decimal(100 * e.value, 1) + " %";
  return std::isnan(e.low)
             ? value
             : txt("%1 (%2 to %3)").arg(value, decimal(100 * e.low, 1), decimal(100 * e.high, 1));
}

}  // namespace

TypedSheet::TypedSheet(Workbench& bench) : bench_(bench) {
  setObjectName("typedSheet");
  placeSideBySide(this, buildMatrix(), buildMeasures());
}

QLayout* TypedSheet::buildMatrix() {
  text_ = new QPlainTextEdit;
  text_->setObjectName("typedText");
  text_->setAccessibleName(txt("The matrix as text"));
  text_->setFont(figureFont(10));
  text_->setTabChangesFocus(true);
  text_->setFixedHeight(180);
  text_->setLineWrapMode(QPlainTextEdit::NoWrap);
  text_->setPlaceholderText(txt(
      "              Water   Reed   Wood\nWater            28      2      0\nReed              1 "
      "    25      4\nWood              0      3     27"));
  turned_ = chip(txt("Columns are the map"));
  turned_->setObjectName("typedTurned");
  told_ = secondLabel("");
  told_->setObjectName("typedTold");
  view_ = new MatrixView;
  view_->setObjectName("typedMatrix");
  auto* head = new QHBoxLayout;
  head->addWidget(headingLabel(txt("A matrix from elsewhere")), 1);
  head->addWidget(turned_);
  auto* left = new QVBoxLayout;
  left->setContentsMargins(20, 14, 20, 14);
  left->setSpacing(8);
  left->addLayout(head);
  left->addWidget(secondLabel(txt(
      "Type or paste the points: a row a class of the map, a column a class of the reference, "
      "parted by tabs, semicolons, commas or blanks; names before and above if there are any. A "
      "last column “area” weighs each row by how much of the map it is.")));
  left->addWidget(text_);
  left->addWidget(told_);
  left->addWidget(view_, 5);
  left->addStretch(1);
  connect(text_, &QPlainTextEdit::textChanged, this, &TypedSheet::read);
  connect(turned_, &QPushButton::clicked, this, &TypedSheet::read);
  return left;
}

QWidget* TypedSheet::buildMeasures() {
  measures_ = new QLabel;
  measures_->setObjectName("typedMeasures");
  measures_->setTextFormat(Qt::RichText);
  measures_->setWordWrap(true);
  classes_ = plainTable({txt("Class"), "F1", txt("share of the area")});
  classes_->setObjectName("typedClasses");
  classes_->setSelectionMode(QAbstractItemView::NoSelection);
  auto* back = quietButton(txt("To the view"));
  back->setObjectName("typedBack");
  connect(back, &QPushButton::clicked, this, &TypedSheet::leaveAsked);
  side_ = new QWidget;
  auto* inside = columnIn(side_);
  inside->addWidget(measures_);
  inside->addWidget(classes_);
  inside->addStretch();
  auto* side = new QWidget;
  side->setFixedWidth(kSide);
  auto* column = new QVBoxLayout(side);
  column->setContentsMargins(18, 14, 18, 14);
  column->addWidget(headingLabel(txt("How good is the map?")));
  column->addWidget(side_, 1);
  spare_ = new QWidget;
  column->addWidget(spare_, 1);
  column->addWidget(back);
  return side;
}

void TypedSheet::open() {
  const Json kept = bench_.place("typed-matrix");
  if (text_->toPlainText().isEmpty() && kept.is_string())
    text_->setPlainText(q(kept.get<std::string>()));
  read();
  text_->setFocus();
}

void TypedSheet::read() {
  const std::string text = text_->toPlainText().toStdString();
  const bool any = !text_->toPlainText().trimmed().isEmpty();
  bool good = false;
  tellIn(told_, {});
  if (any) try {
      const TypedMatrix typed = typedMatrix(text, turned_->isChecked());
      tell(typed, assess(typed));
      bench_.setPlace("typed-matrix", text);
      good = true;
    } catch (const std::exception& e) {
      tellIn(told_, sentenceOf(e));
    }
  view_->setVisible(good);
  side_->setVisible(good);
  spare_->setVisible(!good);
}

void TypedSheet::tell(const TypedMatrix& typed, const Assessment& a) {
  Legend legend;
  for (size_t i = 0; i < typed.matrix.codes.size(); ++i)
    legend.addMissing(typed.matrix.codes[i], typed.matrix.names[i]);
  view_->setShow(a.weighted ? MatrixView::Show::AreaShares : MatrixView::Show::Counts);
  view_->setMatrix(typed.matrix, a, legend);
  QStringList lines;
  lines << txt("Overall accuracy <b>%1</b>").arg(shareText(a.overall));
  lines << (std::isnan(a.kappa.value)
                ? txt("Kappa is not defined with one class.")
                : txt("Kappa <b>%1</b> (%2 to %3), standard error %4")
                      .arg(decimal(a.kappa.value, 3), decimal(a.kappa.low, 3),
                           decimal(a.kappa.high, 3),
                           std::isnan(a.kappa.error) ? QString("–") : decimal(a.kappa.error, 3)));
  lines << txt("Quantity disagreement <b>%1 %</b>, allocation <b>%2 %</b>")
               .arg(decimal(100 * a.quantity, 1), decimal(100 * a.allocation, 1));
  lines << (a.weighted
                ? txt("%1 points, weighted by area.").arg(grouped(typed.matrix.total()))
                : txt("%1 points, each counting the same.").arg(grouped(typed.matrix.total())));
  measures_->setText(lines.join("<br>"));
  fillClasses(typed, a);
}

void TypedSheet::fillClasses(const TypedMatrix& typed, const Assessment& a) {
  const auto& m = typed.matrix;
  classes_->setColumnHidden(2, !a.weighted);
  classes_->setRowCount(static_cast<int>(m.codes.size()));
  for (int r = 0; r < classes_->rowCount(); ++r) {
    const auto i = static_cast<size_t>(r);
    classes_->setItem(r, 0, new QTableWidgetItem(q(m.names[i])));
    const double f1 = a.f1[i].value;
    classes_->setItem(r, 1, figureItem(std::isnan(f1) ? QString("–") : decimal(f1, 2)));
    classes_->setItem(r, 2, figureItem(shareText(a.area[i])));
  }
  fitHeight(classes_, 14);
}

}  // namespace zp
