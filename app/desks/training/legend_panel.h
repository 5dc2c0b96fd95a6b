#pragma once
#include "desks/panel.h"
#include "desks/training/class_edit.h"
#include "training/signature.h"

namespace zp {

/// The classes of the legend, one of them chosen: made, named, coloured, removed.
class LegendPanel : public Panel {
  Q_OBJECT
 public:
  explicit LegendPanel(Workbench& bench);
  void refresh() override;
  void forget() override;

  /// Its code; 0 when there is none.
  int chosenClass() const;
  void choose(int code);
  void addClass();
  /// How many training pixels each class has; nullptr while not known.
  void setSignatures(const SignatureSet* signatures);

 Q_SIGNALS:
  void classChosen();

 private:
  void edit(int row);
  void keep(const LegendClass& changed);

  const SignatureSet* signatures_ = nullptr;
  QTableWidget* table_;
  QPushButton *edit_, *drop_;
  ClassEdit* classEdit_;
  bool filling_ = false;
};

}  // namespace zp
