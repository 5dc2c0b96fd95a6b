#pragma once
#include <QtWidgets>

#include "look/look.h"
#include "look/parts.h"
#include "shell/workbench.h"
#include "view/map_view.h"

namespace zp {

/// The name of a scene with what of its date the name does not tell.
QString nameWithDate(const Scene& scene);

/// The panel of a stage: heading, what is there, controls and evidence, and one primary action at
/// the bottom. Problems are said in place, above the action.
class Desk : public QWidget {
  Q_OBJECT
 public:
  Desk(Workbench& bench, MapView& view, const QString& title, QWidget* parent = nullptr);

  /// Called when the stage is entered, the study or its scene changed.
  virtual void refresh() = 0;
  virtual void leave() {}
  /// Another study comes, or none: what was remembered of the one before goes, and what is being
  /// computed for it does not arrive.
  virtual void forget() {}
  void say(const QString& sentence);
  QString said() const { return notice_->text(); }
  QPushButton* primary() const { return primary_; }

 Q_SIGNALS:
  void stageAsked(int stage);
  void pictureAsked(const zp::Picture& picture);
  void productAsked(const QString& id);

 protected:
  void setHeading(const QString& title, const QString& second);
  /// Names the scene the desk works on beside its title, to be chosen there.
  void showSceneSelector();
  QVBoxLayout* body() const { return body_; }
  /// Scrolled to, where a part of the desk that opened lies below what is seen.
  void showInScroll(QWidget* part) { scroll_->ensureWidgetVisible(part, 0, 8); }
  QHBoxLayout* footer() const { return footer_; }
  /// Says what is missing, with a button to where it is made; hides the rest.
  void setMissing(const QString& sentence, const QString& action, int stage);
  void setReady();
  QHBoxLayout* labelledRow(const QString& label, QWidget* field, QWidget* after = nullptr);

  Workbench& bench_;
  MapView& view_;
  QPushButton* primary_;

 private:
  QLabel *title_, *second_, *notice_, *missing_;
  QComboBox* scene_;
  QPushButton* missingAction_;
  int missingStage_ = 0;
  QWidget* inside_;
  QScrollArea* scroll_;
  QVBoxLayout* body_;
  QHBoxLayout* footer_;
  QWidget* footerBox_;
};

}  // namespace zp
