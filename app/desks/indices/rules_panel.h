#pragma once
#include "desks/desk.h"
#include "desks/indices/formula_edit.h"

namespace zp {

/// Conditions over several indices and bands, each with the class it gives; the first that holds
/// counts.
class RulesPanel : public QWidget {
  Q_OBJECT
 public:
  explicit RulesPanel(Workbench& bench, QWidget* parent = nullptr);
  /// The study or its scene changed.
  void refresh();
  /// What to run; nothing while a rule is wrong or there is none.
  std::optional<Json> step() const;

 Q_SIGNALS:
  void changed();

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

  Workbench& bench_;
  QVBoxLayout* rows_;
  std::vector<Row> all_;
  QLabel* hint_;
  QLineEdit* otherwise_;
  std::vector<std::string> known_;
};

}  // namespace zp
