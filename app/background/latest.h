#pragma once
#include "background/background.h"

namespace zp {

/// For results that follow a changing question: each `ask` cancels the one before it, and only the
/// newest answer arrives. Errors arrive as a sentence.
class Latest : public Background {
 public:
  explicit Latest(QObject* parent) : Background(parent) {}

  template <class Compute, class Done, class Failed>
  void ask(Compute compute, Done done, Failed failed) {
    stop();
    add(asked(compute, done, failed));
  }
  bool pending() const { return !idle(); }
};

}  // namespace zp
