#pragma once
#include <QObject>
#include <QPoint>
#include <optional>

namespace zp {

/// Takes the second click of two on what opened another page: it would land on whatever lies there
/// now.
class SecondClick : public QObject {
  Q_OBJECT
 public:
  explicit SecondClick(QObject* parent);
  /// Another page was opened.
  void opened();

 protected:
  bool eventFilter(QObject*, QEvent*) override;

 private:
  struct Press {
    QPoint place;            // on the screen
    unsigned long time = 0;  // of the window system, in ms
  };
  std::optional<Press> last_, opening_;
  bool taken_ = false;  // the press; so its release is, too
};

}  // namespace zp
