#pragma once
#include "shell/display_panel.h"

namespace zp {

/// A paragraph or a sheet of facts over the view; a part of the window, which goes on working.
class TextPanel : public FloatingPanel {
  Q_OBJECT
 public:
  explicit TextPanel(QWidget* over);
  void show(const QString& title, const QString& html);
  QString text() const { return text_->text(); }

 Q_SIGNALS:
  void linkActivated(const QString& to);

 private:
  QLabel* text_;
};

}  // namespace zp
