#pragma once
#include <QElapsedTimer>

#include "background/background.h"

namespace zp {

/// Runs one job after the other. The window hears of progress, of the time left, and of the end;
/// nothing here ever blocks it.
class JobRunner : public QObject {
  Q_OBJECT
 public:
  struct Job {
    QString title;
    std::function<void()> prepare;               // on the window's thread, just before the work
    std::function<void(const Progress&)> work;   // on a thread of the background
    std::function<void()> done;                  // on the window's thread, when it went well
    std::function<void(const QString&)> failed;  // on the window's thread, with the sentence
    QString does = {};                           // told apart by this; "" is like no other
  };

  explicit JobRunner(QObject* parent = nullptr);
  ~JobRunner() override;

  /// Not what waits or runs already: a second click before the first is done.
  void start(Job job);
  void cancel();
  bool busy() const { return running_; }
  QString title() const { return running_ ? current_.title : QString(); }
  double share() const { return share_; }
  /// Seconds to go, −1 while not known.
  double secondsLeft() const;

 Q_SIGNALS:
  void changed();
  void cancelled(const QString& title);

 private:
  void next();
  Answer end(const std::function<void(const Progress&)>& work, const Progress& progress);
  void finish(const QString& error, bool cancelled);

  std::deque<Job> queue_;
  Job current_;
  std::optional<Progress> progress_;
  bool running_ = false;
  double share_ = 0;
  QElapsedTimer clock_;
  Background background_;  // last, so that it goes first
};

}  // namespace zp
