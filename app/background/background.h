#pragma once
#include <QObject>
#include <condition_variable>
#include <deque>
#include <functional>
#include <mutex>
#include <optional>
#include <thread>
#include <vector>

#include "base/progress.h"
#include "look/words.h"

namespace zp {

/// Runs, on the owner's thread, what came of a piece of work; empty for nothing.
using Answer = std::function<void()>;
/// A piece of work on one of the background's threads, which are numbered from 0. It throws
/// Cancelled when its progress is cancelled, and nothing else.
using Work = std::function<Answer(const Progress& progress, size_t thread)>;

/// The one way to work beside the window: pieces of work on threads of its own, whose answers
/// arrive on the thread of the owner, through its event loop. Everything here is for that thread,
/// but for `post`. job_runner.h (jobs with progress, one after the other) and latest.h (answers to
/// the newest question) are made of it.
class Background : public QObject {
  Q_OBJECT
 public:
  explicit Background(QObject* parent = nullptr, size_t threads = 1);
  /// Nothing arrives any more; what runs is cancelled and waited for.
  ~Background() override;

  /// Begins when what was added before has begun.
  void add(Work work);
  /// These in place of all that waits; what runs goes on.
  void replace(std::vector<Work> works);
  /// What waits never begins, what runs is cancelled, and no answer of either arrives.
  void stop();
  /// Stops, and returns when nothing runs any more.
  void stopAndWait();
  /// Every answer has arrived.
  bool idle() const { return open_ == 0; }

  /// From any thread: runs on the owner's, unless it, or the piece that posts it, is stopped
  /// before.
  void post(Answer answer);

 protected:
  bool event(QEvent* e) override;

 private:
  struct Task {
    Work work;
    Progress progress;
    int generation = 0;
  };
  struct Arrival {
    Answer answer;
    int generation = 0;
    bool ends = false;  // a piece of work
  };
  void start();
  void work(const std::stop_token& stop, size_t thread);
  void arrive(Arrival arrival);

  const size_t threadCount_;
  size_t open_ = 0;  // pieces whose answer has not arrived; of the owner's thread
  std::mutex mutex_;
  std::condition_variable_any wake_, ended_;
  std::deque<Task> waiting_;
  std::vector<std::optional<Progress>> running_;  // by thread
  std::deque<Arrival> arrived_;
  int generation_ = 0;  // one more with each stop
  std::vector<std::jthread> threads_;
};

/// A piece of work that computes something: `done` gets it, or `failed` a sentence.
template <class Compute, class Done, class Failed>
Work asked(Compute compute, Done done, Failed failed) {
  return [compute, done, failed](const Progress& progress, size_t) -> Answer {
    try {
      progress.check();
      auto answer = std::make_shared<decltype(compute(progress))>(compute(progress));
      return [answer, done] { done(*answer); };
    } catch (const Cancelled&) {
      throw;
    } catch (const std::exception& e) {
      return [failed, sentence = sentenceOf(e)] { failed(sentence); };
    }
  };
}

}  // namespace zp
