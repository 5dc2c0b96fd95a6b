#pragma once
#include <QAccessible>
#include <QRect>
#include <QString>
#include <QWidget>

namespace zp {

/// One thing that a painted widget shows: what is said of it, and where it is in the widget.
struct SpokenPart {
  QString name;
  QRect place;
  bool chosen = false;
};

/// A painted widget in words, for those who do not see it. Its name is the accessible name, as of
/// any widget; what it is, and what it shows, it tells itself.
class Spoken {
 public:
  virtual ~Spoken() = default;
  virtual QAccessible::Role role() const = 0;
  virtual QAccessible::Role partRole() const { return QAccessible::ListItem; }
  virtual QList<SpokenPart> parts() const { return {}; }
};

/// Widgets that are Spoken are told as they say, as long as this application lasts.
void speakPainted();

/// Another part was chosen, or parts changed: who listens is told.
void spokenChanged(QWidget* widget);

}  // namespace zp
