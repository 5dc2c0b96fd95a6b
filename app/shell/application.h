#pragma once
#include <QApplication>
#include <functional>

namespace zp {

/// The application with a barrier: what a handler of an event throws becomes one sentence, and the
/// program goes on.
class Application : public QApplication {
  Q_OBJECT
 public:
  Application(int& argc, char** argv);
  bool notify(QObject* receiver, QEvent* event) override;

 Q_SIGNALS:
  void trouble(const QString& sentence);

 private:
  bool telling_ = false;
};

}  // namespace zp
