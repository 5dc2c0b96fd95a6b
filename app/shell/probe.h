#pragma once
#include <QtWidgets>

#include "background/latest.h"
#include "look/spoken.h"
#include "shell/probe_reader.h"
#include "shell/workbench.h"

namespace zp {

/// The strip under the view: coordinates, the scene's profile and the values of the pictures under
/// the pointer.
class Probe : public QWidget, public Spoken {
  Q_OBJECT
 public:
  explicit Probe(Workbench& bench, QWidget* parent = nullptr);
  void setPictures(const Picture& front, const Picture& back);
  void look(Place place);
  void rest();
  /// What it says: the place, in degrees too, and the values under it.
  QString text() const;
  bool waiting() const { return latest_.pending(); }
  QAccessible::Role role() const override { return QAccessible::Grouping; }
  QAccessible::Role partRole() const override { return QAccessible::StaticText; }
  QList<SpokenPart> parts() const override;

 Q_SIGNALS:
  void answered();

 protected:
  void paintEvent(QPaintEvent*) override;

 private:
  // Each from x on; the first two tell where the next begins.
  double paintPlace(QPainter& p) const;
  double paintProfile(QPainter& p, double x) const;
  void paintValues(QPainter& p, double x) const;
  void prepare();
  void forget();
  void lookAgain();
  QString inDegrees(Place place);
  QString where() const;

  Workbench& bench_;
  std::shared_ptr<ProbeReader> reader_;  // used by the one thread of `latest_` alone
  Latest latest_;
  Picture front_, back_;
  Place place_;
  std::string placeCrs_;
  QTimer again_;  // what is under a pointer at rest may change
  bool resting_ = true;
  std::optional<ProbeQuestion> question_;
  ProbeAnswer answer_;
  QString degrees_;
  std::string degreesOf_;
  std::optional<CrsChange> toDegrees_;
};

}  // namespace zp
