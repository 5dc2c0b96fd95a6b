#pragma once
#include "desks/panel.h"
#include "desks/training/class_edit.h"
#include "desks/training/signatures_panel.h"

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
  /// Their buttons: of the first beside the reason, of the second beside those of the class.
  void placeRemedies(const std::array<QPushButton*, 2>& openers);
  /// How many training pixels each class has, and what is to be thought of them; nullptr while not
  /// known.
  void setTraining(const Training* training);
  bool eventFilter(QObject* of, QEvent* e) override;

 Q_SIGNALS:
  void classChosen();

 private:
  void edit(int row);
  void move(int code, int places);
  void save();
  void load();

  void fillRow(int row, const LegendClass& c);
  void tellReason();

  const Training* training_ = nullptr;
  QLabel* reason_;
  QHBoxLayout* reasonRow_;
  QWidget* buttons_;
  QTableWidget* table_;
  QPushButton *edit_, *drop_;
  ClassEdit* classEdit_;
  bool filling_ = false;
};

}  // namespace zp
