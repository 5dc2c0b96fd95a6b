#pragma once
#include "background/latest.h"
#include "mapping/doubts.h"
#include "mapping/held_out.h"
#include "shell/workbench.h"
#include "study/map_step.h"

namespace zp {

/// The method that a map by another is held against.
std::string otherThan(const std::string& method);

/// Learns what a step of kind map would, beside the window: first for the eye, then how it does on
/// training areas it has not seen, and where it is a guess. Only the newest question is answered.
class MapPreview : public QObject {
  Q_OBJECT
 public:
  explicit MapPreview(QObject* parent);

  /// Nothing when the same was asked last.
  void ask(const Study& study, const Json& step);
  void stop();
  /// Another study comes: what is kept of this one goes.
  void forget();
  bool learning() const { return learning_.pending(); }

 Q_SIGNALS:
  void learned(const zp::Picture& map);
  void checked(const zp::HeldOut& told);
  void progressed(double share);
  void failed(const QString& sentence);
  /// The check could not be done; the map can be.
  void unchecked(const QString& sentence);
  /// Where it is a guess; the picture hatches what is unlike all training.
  void doubted(const zp::MapDoubts& doubts, const zp::Picture& hatched);

 private:
  /// What was learned, and from what.
  struct Learned {
    QString samplesOf, planOf;
    std::shared_ptr<const Samples> samples;
    Model model;
    StepFeatures features;
  };
  void show(const Json& step);
  void check(const Json& step, const Legend& legend);
  void doubt();
  Picture picture(std::shared_ptr<const Unlikeness> hatched);

  Latest learning_, checking_, doubting_;
  Json shown_;  // the step that is seen
  std::optional<TrustedMap> kept_;
  QString asked_;  // the last question
  std::shared_ptr<const Learned> known_;
  // Of what is known; nothing while it is not found out.
  using Doubts = std::pair<MapDoubts, std::shared_ptr<const Unlikeness>>;
  std::optional<HeldOut> heldOut_;
  std::optional<Doubts> doubts_;
  int count_ = 0;  // of pictures
};

}  // namespace zp
