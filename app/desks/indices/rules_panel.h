#pragma once
#include "desks/indices/formula_edit.h"
#include "desks/panel.h"

namespace zp {

/// Conditions over several indices and bands, each with the class it gives; the first that holds
/// counts.
class RulesPanel : public Panel {
  Q_OBJECT
 public:
  /// `inside` tells the outline that the map is cut to; "" for none.
  RulesPanel(Workbench& bench, std::function<std::string()> inside);
  void refresh() override;
  Heading heading() const override;
  QString action() const override;
  QString missing() const override;
  Json step() const override;

 private:
  struct Row {
    QWidget* box;
    FormulaEdit* condition;
    QLineEdit* name;
    QToolButton* colour;
    QColor shade;
    QLabel* error;
  };
  void addRow(const QString& condition, const QString& name);
  void check();

  std::function<std::string()> inside_;
  QVBoxLayout* rows_;
  std::vector<Row> all_;
  QLabel* hint_;
  QLineEdit* otherwise_;
  std::vector<std::string> known_;
};

}  // namespace zp
