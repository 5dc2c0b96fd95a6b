#pragma once
#include "desks/panel.h"

namespace zp {

/// Sets of training areas under names: today's are kept as one, and one is taken up again or added.
class SetsPanel : public Panel {
  Q_OBJECT
 public:
  explicit SetsPanel(Workbench& bench);
  void refresh() override;
  void forget() override { opener_->setChecked(false); }
  /// Opens it; for the row of tools.
  QPushButton* opener() const { return opener_; }
  /// Another way to keep areas.
  void addTool(QPushButton* tool);

 private:
  std::string chosen() const { return choice_->currentData().toString().toStdString(); }
  void keep();

  QPushButton *opener_, *take_, *add_, *drop_, *keep_;
  QComboBox* choice_;
  QWidget* kept_;
  QLineEdit* name_;
};

}  // namespace zp
