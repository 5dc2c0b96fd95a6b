#pragma once
#include <QObject>
#include <QThreadPool>
#include <memory>

#include "base/progress.h"
#include "look/words.h"

namespace zp {

/// For results that follow a changing question: each `ask` cancels the one before it, and only the
/// newest answer arrives. Errors arrive as a sentence.
class Latest : public QObject {
 public:
  explicit Latest(QObject* parent) : QObject(parent) { pool_.setMaxThreadCount(1); }
  ~Latest() override {
    stop();
    pool_.waitForDone();
  }

  template <class Work, class Done, class Failed>
  void ask(Work work, Done done, Failed failed) {
    stop();
    progress_ = std::make_unique<Progress>();
    pool_.start([this, work, done, failed, progress = *progress_, mine = generation_] {
      try {
        progress.check();
        auto answer = std::make_shared<decltype(work(progress))>(work(progress));
        post([this, answer, done, mine] {
          if (mine == generation_) pending_ = false, done(*answer);
        });
      } catch (const Cancelled&) {
      } catch (const std::exception& e) {
        post([this, failed, mine, sentence = sentenceOf(e)] {
          if (mine == generation_) pending_ = false, failed(sentence);
        });
      }
    });
    pending_ = true;
  }

  void stop() {
    ++generation_;
    pending_ = false;
    pool_.clear();  // what has not begun never does
    if (progress_) progress_->cancel();
  }
  bool pending() const { return pending_; }

 private:
  template <class F>
  void post(F f) {
    QMetaObject::invokeMethod(this, f, Qt::QueuedConnection);
  }
  QThreadPool pool_;
  std::unique_ptr<Progress> progress_;
  int generation_ = 0;
  bool pending_ = false;
};

}  // namespace zp
