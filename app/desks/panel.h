#pragma once
#include <QtWidgets>

#include "look/look.h"
#include "look/parts.h"
#include "shell/workbench.h"
#include "view/map_view.h"

namespace zp {

/// The name of a scene with what of its date the name does not tell.
QString nameWithDate(const Scene& scene);

/// A class of a map in a cell, in the colour that the legend has for it now; its code is the cell's
/// data.
QTableWidgetItem* classItem(const Legend& legend, int code, const std::string& name);

/// An entry with a tick, and what it stands for.
QListWidgetItem* tickItem(const QString& text, const QString& id, bool on);
/// What the ticked entries of a list stand for.
QStringList tickedIn(const QListWidget& list);

/// A part of a desk: it shows something of the study and may make something of it. What it would
/// make stands on the desk's button, what keeps it from that above the button.
class Panel : public QWidget {
  Q_OBJECT
 public:
  struct Heading {
    QString title, second;
  };

  explicit Panel(Workbench& bench, int spacing = 8);

  /// The study, its scene or something in it changed; there is a study.
  virtual void refresh() = 0;
  /// It is seen no more: what was only looked at goes from the view.
  virtual void leave() {}
  /// Another study comes, or none: what was remembered of the one before goes, and what is being
  /// computed for it does not arrive.
  virtual void forget() {}

  /// Stands over the desk while it is seen; empty parts are the desk's own.
  virtual Heading heading() const { return {}; }
  /// The words on the desk's button. A panel without any makes nothing; the button then goes on to
  /// the next stage.
  virtual QString action() const { return {}; }
  /// Why it cannot be done yet, in a sentence; empty when it can.
  virtual QString missing() const { return {}; }
  /// What the button runs; asked for only while nothing is missing. Error with a sentence when what
  /// is written in it is wrong.
  virtual Json step() const { return {}; }
  /// The button was pressed: the step is run and its product shown.
  virtual void act();
  virtual void showResult(const QString& product) { Q_EMIT productAsked(product); }
  /// Another button beside the desk's, while it is seen; nullptr for none.
  virtual QPushButton* besideAction() const { return nullptr; }
  virtual bool offersBeside() const { return false; }

  /// What lies over the view while it is seen.
  virtual std::vector<ViewShape> shapes() const { return {}; }
  virtual std::vector<ViewPoint> points() const { return {}; }

 Q_SIGNALS:
  void changed();  // what it would do, or its heading
  void overlayChanged();
  /// Said in place; "" takes back what was said.
  void trouble(const QString& sentence);
  void pictureAsked(const zp::Picture& picture);
  void productAsked(const QString& id);
  void stageAsked(int stage);
  void areaAsked(size_t training);  // a training area is to be seen in the view
  /// Behind the curtain, to be compared with what is in front.
  void behindAsked(const QString& id);
  void revealAsked(QWidget* part);  // it opened below what is seen

 protected:
  QVBoxLayout* box() const { return box_; }

  Workbench& bench_;

 private:
  QVBoxLayout* box_;
};

}  // namespace zp
