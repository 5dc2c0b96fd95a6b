#include "background/background.h"

#include <QCoreApplication>
#include <QEvent>

namespace zp {
namespace {

/// Says that there are arrivals; what arrives is in the background's own queue.
QEvent::Type arrivalEvent() {
  static const auto type = static_cast<QEvent::Type>(QEvent::registerEventType());
  return type;
}

// The piece of work that this thread does: whose, and from before how many stops.
thread_local const Background* pieceOf = nullptr;
thread_local int pieceGeneration = 0;

}  // namespace

Background::Background(QObject* parent, size_t threads)
    : QObject(parent), threadCount_(threads), running_(threads) {
  arrivalEvent();
}

Background::~Background() {
  stop();
  for (auto& thread : threads_) thread.request_stop();
  threads_.clear();  // joins
}

/// Not before there is something to do.
void Background::start() {
  while (threads_.size() < threadCount_)
    threads_.emplace_back(
        [this, thread = threads_.size()](const std::stop_token& stop) { work(stop, thread); });
}

void Background::add(Work work) {
  start();
  {
    const std::lock_guard lock(mutex_);
    waiting_.push_back({std::move(work), Progress(), generation_});
  }
  ++open_;
  wake_.notify_one();
}

void Background::replace(std::vector<Work> works) {
  if (!works.empty()) start();
  std::deque<Task> before;
  {
    const std::lock_guard lock(mutex_);
    before.swap(waiting_);
    for (auto& one : works) waiting_.push_back({std::move(one), Progress(), generation_});
  }
  open_ += works.size();
  open_ -= before.size();
  wake_.notify_all();
}

void Background::stop() {
  std::deque<Task> tasks;
  std::deque<Arrival> arrivals;
  {
    const std::lock_guard lock(mutex_);
    ++generation_;
    tasks.swap(waiting_);
    arrivals.swap(arrived_);
    for (const auto& one : running_)
      if (one) one->cancel();
  }
  open_ = 0;
}

void Background::stopAndWait() {
  stop();
  std::unique_lock lock(mutex_);
  ended_.wait(lock, [this] {
    return std::none_of(running_.begin(), running_.end(),
                        [](const auto& one) { return one.has_value(); });
  });
}

void Background::work(const std::stop_token& stop, size_t thread) {
  while (true) {
    Task task;
    {
      std::unique_lock lock(mutex_);
      if (!wake_.wait(lock, stop, [this] { return !waiting_.empty(); })) return;
      task = std::move(waiting_.front());
      waiting_.pop_front();
      running_[thread] = task.progress;
    }
    pieceOf = this;
    pieceGeneration = task.generation;
    Answer answer;
    try {
      answer = task.work(task.progress, thread);
    } catch (const Cancelled&) {
      // Whoever cancelled it knows.
    }
    task.work = {};  // what it holds is let go before its answer arrives
    {
      const std::lock_guard lock(mutex_);
      running_[thread].reset();
    }
    ended_.notify_all();
    arrive({std::move(answer), task.generation, true});
  }
}

void Background::post(Answer answer) {
  int generation = 0;
  if (pieceOf == this) {
    generation = pieceGeneration;
  } else {
    const std::lock_guard lock(mutex_);
    generation = generation_;
  }
  arrive({std::move(answer), generation, false});
}

void Background::arrive(Arrival arrival) {
  const std::lock_guard lock(mutex_);
  if (arrival.generation != generation_) return;
  arrived_.push_back(std::move(arrival));
  // Under the lock, which `event` takes: so the event too is handed over by it.
  QCoreApplication::postEvent(this, new QEvent(arrivalEvent()));
}

/// An event for each arrival: one that opens a dialog holds up none of the next.
bool Background::event(QEvent* e) {
  std::optional<Arrival> next;
  {
    const std::lock_guard lock(mutex_);
    if (e->type() == arrivalEvent() && !arrived_.empty()) {
      next = std::move(arrived_.front());
      arrived_.pop_front();
    }
  }
  if (e->type() != arrivalEvent()) return QObject::event(e);
  if (!next) return true;  // it was stopped meanwhile
  if (next->ends) --open_;
  if (next->answer) next->answer();
  return true;
}

}  // namespace zp
