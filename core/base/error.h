#pragma once
#include <stdexcept>
#include <string>

#include "base/sentence.h"

namespace zp {

/// What cannot be done, as one sentence for the person that names the remedy.
/// Whoever throws it has changed nothing that the person could lose.
class Error : public std::runtime_error {
 public:
  explicit Error(const Sentence& sentence)
      : std::runtime_error(sentence.text()), sentence_(sentence) {}
  explicit Error(const std::string& plain) : Error(Sentence(plain)) {}
  template <class First, class... Rest>
  explicit Error(fmt::format_string<First, Rest...> pattern, First&& first, Rest&&... rest)
      : Error(Sentence(pattern, std::forward<First>(first), std::forward<Rest>(rest)...)) {}

  const Sentence& sentence() const { return sentence_; }

 private:
  Sentence sentence_;
};

/// What an exception says; in its own words where it is none of ours.
inline Sentence saidBy(const std::exception& e) {
  const auto* ours = dynamic_cast<const Error*>(&e);
  return ours != nullptr ? ours->sentence() : Sentence(std::string(e.what()));
}

/// The person cancelled; nothing was left behind.
class Cancelled : public std::exception {
 public:
  const char* what() const noexcept override { return "Cancelled."; }
};

}  // namespace zp
