#include "desks/training/pairs_panel.h"

namespace zp {

PairsPanel::PairsPanel(Workbench& bench) : Panel(bench, 4) {
  auto* explanation = new Paragraph(
      "<p>" +
      txt("The Jeffries–Matusita distance of two classes runs from 0, the same, to 2, apart. Below "
          "about 1.8 a map confuses them often; a feature of another date, or areas drawn more "
          "carefully, may part them.") +
      "</p><p><i>" + txt("Richards 2013, ch. 10") + "</i></p>");
  explanation->opener()->setObjectName("explain-pairs");
  auto* title = new QHBoxLayout;
  title->addWidget(sectionLabel(txt("Most alike")));
  title->addWidget(explanation->opener());
  title->addStretch();
  box()->addLayout(title);
  box()->addWidget(explanation);
  table_ = plainTable({txt("Classes"), txt("distance"), txt("best by")});
  table_->setObjectName("pairTable");
  table_->horizontalHeaderItem(2)->setToolTip(txt("The band that parts them best by itself"));
  table_->setSelectionMode(QAbstractItemView::NoSelection);
  box()->addWidget(table_);
}

void PairsPanel::setTraining(const Training* training) {
  training_ = training;
  refresh();
}

void PairsPanel::refresh() {
  constexpr size_t kFew = 5;
  setVisible(training_ != nullptr && !training_->pairs.empty());
  if (training_ == nullptr) return;
  const auto name = [this](int code) {
    const auto* c = bench_.study().legend.find(code);
    return c == nullptr ? QString::number(code) : q(c->name);
  };
  const size_t count = std::min(kFew, training_->pairs.size());
  table_->setRowCount(static_cast<int>(count));
  for (size_t i = 0; i < count; ++i) {
    const auto& pair = training_->pairs[i];
    const int r = static_cast<int>(i);
    table_->setItem(r, 0, new QTableWidgetItem(name(pair.a) + " – " + name(pair.b)));
    table_->setItem(r, 1, figureItem(decimal(pair.jeffriesMatusita, 2)));
    table_->setItem(r, 2, figureItem(q(pair.feature)));
  }
  fitHeight(table_);
}

}  // namespace zp
