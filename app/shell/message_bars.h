#pragma once
#include <QtWidgets>

#include "background/job_runner.h"

namespace zp {

/// A sentence on the view's lower edge: a warning stays until it is closed, else it goes by itself.
class NoticeBar : public QWidget {
  Q_OBJECT
 public:
  NoticeBar();
  void tell(const QString& sentence, bool warning);
  QString text() const { return text_->text(); }

 Q_SIGNALS:
  void linkActivated(const QString& to);

 private:
  QLabel* text_;
  QTimer timer_;
};

/// What is running, how far it is and how long it takes; hidden while nothing runs.
class JobBar : public QWidget {
  Q_OBJECT
 public:
  explicit JobBar(JobRunner& jobs);

 private:
  void refresh();

  JobRunner& jobs_;
  QLabel* text_;
  QProgressBar* share_;
};

}  // namespace zp
