#pragma once
#include <QtWidgets>

namespace zp {

/// Asks who changes a label of a closed labelling, and why.
class LateChangeStrip : public QWidget {
  Q_OBJECT
 public:
  LateChangeStrip();
  /// `told`: what becomes what.
  void ask(const QString& told, const QString& who);

 Q_SIGNALS:
  void recorded(const QString& who, const QString& why);
  void dropped();

 protected:
  bool eventFilter(QObject*, QEvent*) override;
  /// Keys that its fields leave are none of the desk's.
  void keyPressEvent(QKeyEvent* e) override { e->accept(); }

 private:
  void record();
  QLabel* told_;
  QLineEdit *why_, *who_;
};

}  // namespace zp
