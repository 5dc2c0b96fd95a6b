#include "desks/mapping/kept_classes.h"

#include "base/error.h"

namespace zp {

KeptClasses::KeptClasses(const QString& prefix, Workbench& bench) : bench_(bench) {
  of_ = new LongChoice;
  of_->setObjectName(prefix + "Kept");
  of_->setToolTip(txt("Its classes stay as they are; only what is left gets a class"));
  classes_ = new ClassTicks(prefix + "KeptClasses", txt("Classes that stay as they are"));
  auto* column = columnIn(this, 4);
  column->addWidget(fieldRow(txt("Keep from"), {of_}));
  column->addWidget(classes_);
  connect(of_, &QComboBox::activated, this, [this] {
    classes_->show(bench_.study(), map());
    classes_->setVisible(map() != nullptr);
    Q_EMIT changed();
  });
  connect(classes_, &QListWidget::itemChanged, this, &KeptClasses::changed);
}

const Product* KeptClasses::map() const {
  return bench_.study().product(of_->currentData().toString().toStdString());
}

void KeptClasses::forget() {
  of_->clear();
}

void KeptClasses::refresh() {
  const QString before = of_->currentData().toString();
  of_->clear();
  of_->addItem(txt("no map"), QString());
  for (const auto* p : classMapsOf(bench_.study())) of_->addItem(q(p->name), q(p->id));
  of_->setCurrentIndex(std::max(0, of_->findData(before)));
  setVisible(of_->count() > 1);
  classes_->show(bench_.study(), map());
  classes_->setVisible(map() != nullptr);
}

void KeptClasses::addTo(Json& step) const {
  const Product* kept = map();
  if (kept == nullptr) return;
  if (classes_->none()) throw Error("Tick a class that is kept, or keep none of the map.");
  step["kept"] = kept->id;
  if (const Json codes = classes_->codes(); !codes.empty()) step["kept_classes"] = codes;
}

}  // namespace zp
