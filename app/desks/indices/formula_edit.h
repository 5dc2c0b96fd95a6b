#pragma once
#include <QtWidgets>

#include "index/formula.h"

namespace zp {

/// One line of formula: roles in colour, an error underlined where it is.
class FormulaEdit : public QPlainTextEdit {
  Q_OBJECT
 public:
  explicit FormulaEdit(QWidget* parent = nullptr);
  void setKnown(const std::vector<std::string>& roles);
  std::string formula() const { return toPlainText().simplified().toStdString(); }
  /// Empty when the formula is right.
  std::optional<FormulaError> error() const;

 Q_SIGNALS:
  void accepted();

 protected:
  void keyPressEvent(QKeyEvent*) override;

 private:
  void colour();
  std::vector<std::string> known_;
};

}  // namespace zp
