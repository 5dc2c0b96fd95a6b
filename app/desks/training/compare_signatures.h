#pragma once
#include "background/latest.h"
#include "desks/training/training_over.h"
#include "look/look.h"
#include "look/parts.h"
#include "shell/workbench.h"

namespace zp {

/// Which signatures are laid over those of the training in hand: those of a named set of areas, in
/// the same features, or of a file.
class CompareSignatures : public QWidget {
  Q_OBJECT
 public:
  explicit CompareSignatures(Workbench& bench);
  /// What they are compared with, nullptr while it is not known, and the step that says its
  /// features.
  void refresh(const Training* shown, const Json& step);
  void forget();
  bool pending() const { return job_.pending(); }
  /// The signature of a class; nullptr for none.
  const Signature* of(int code) const;
  /// How far a class lies from what it is compared with; nullptr for none.
  void tell(const Signature* chosen);

 Q_SIGNALS:
  void changed();
  /// Empty: none any more.
  void trouble(const QString& sentence);

 private:
  enum What { kNothing, kSet, kFile, kLoaded };
  void fill();
  void choose(int index);
  void compute();
  void load();
  void show(const SignatureSet& set);

  Workbench& bench_;
  Latest job_;
  const Training* shown_ = nullptr;
  Json step_;
  QString set_, file_;  // what was chosen; of which one is empty
  QString computed_;    // what set_ was computed for
  std::optional<SignatureSet> other_;
  LongChoice* choice_;
  QLabel* said_;
};

}  // namespace zp
