#pragma once
#include <functional>
#include <memory>
#include <mutex>
#include <vector>

namespace zp {

/// Things of one kind that a thread uses by itself while it has one, such as open files. There are
/// as many as were ever in use at once.
template <class T>
class Pool {
 public:
  /// `another` makes one more like the first; it is called by several threads at once.
  Pool(std::unique_ptr<T> first, std::function<std::unique_ptr<T>(const T& first)> another)
      : another_(std::move(another)), first_(first.get()) {
    free_.push_back(std::move(first));
  }

  class Borrowed {
   public:
    Borrowed(Pool& pool, std::unique_ptr<T> one) : pool_(pool), one_(std::move(one)) {}
    ~Borrowed() {
      const std::lock_guard lock(pool_.mutex_);
      pool_.free_.push_back(std::move(one_));
    }
    Borrowed(const Borrowed&) = delete;
    Borrowed& operator=(const Borrowed&) = delete;
    T& operator*() const { return *one_; }
    T* operator->() const { return one_.get(); }

   private:
    Pool& pool_;
    std::unique_ptr<T> one_;
  };

  /// To ask what does not change; who borrowed it may be using it.
  const T& first() const { return *first_; }

  /// Must not outlive the pool.
  Borrowed borrow() {
    std::unique_ptr<T> one;
    {
      const std::lock_guard lock(mutex_);
      if (!free_.empty()) one = std::move(free_.back()), free_.pop_back();
    }
    return Borrowed(*this, one ? std::move(one) : another_(*first_));
  }

 private:
  std::mutex mutex_;
  std::vector<std::unique_ptr<T>> free_;
  std::function<std::unique_ptr<T>(const T&)> another_;
  const T* first_;  // lives as long as the pool, lent or not
};

}  // namespace zp
