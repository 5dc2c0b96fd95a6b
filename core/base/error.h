#pragma once
#include <stdexcept>
#include <string>

namespace zp {

/// What cannot be done, as one sentence for the person that names the remedy.
/// Whoever throws it has changed nothing that the person could lose.
class Error : public std::runtime_error {
 public:
  explicit Error(const std::string& sentence) : std::runtime_error(sentence) {}
};

/// The person cancelled; nothing was left behind.
class Cancelled : public std::exception {
 public:
  const char* what() const noexcept override { return "Cancelled."; }
};

}  // namespace zp
