#pragma once
#include "walk/walk_steps.h"

namespace zp {

class HintCard;

/// The walk through the job: which step one is at, kept with the study, and its hint at the control
/// it speaks of. It looks at the window now and then; nothing in the window knows of it.
class Walk : public QObject {
  Q_OBJECT
 public:
  explicit Walk(MainWindow& window);

  /// From where it was left; from the beginning when it was finished.
  void begin();
  /// Only where it was never begun in this study.
  void offer();
  void leave();
  bool on() const;
  size_t at() const;  // of walkSteps(); their number when all are done

 protected:
  bool eventFilter(QObject* watched, QEvent* event) override;

 private:
  void keep(size_t at, bool on);
  void goOn();
  void look();
  QWidget* control(QString* says) const;
  QWidget* visibleControl(const QString& name) const;
  void show(QWidget* at, const QString& says);

  MainWindow& window_;
  HintCard* card_;
  QPointer<QWidget> target_;
  QTimer timer_;
};

}  // namespace zp
