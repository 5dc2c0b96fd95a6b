#pragma once
#include <QtWidgets>

namespace zp {

/// A hint beside what it speaks of, with a line around that; a part of the window that takes no
/// focus and no click of others.
class HintCard : public QFrame {
  Q_OBJECT
 public:
  explicit HintCard(QWidget* over);

  void tell(const QString& title, const QString& text, size_t step);
  /// Beside this place of the parent, where there is room, with a line around it; off `clear`, in
  /// which it lies.
  void pointAt(const QRect& place, const QRect& clear);
  /// In the middle below, pointing at nothing: the walk is done.
  void rest();
  QString text() const { return text_->text(); }
  QRect pointedAt() const { return place_; }

 Q_SIGNALS:
  void left();
  void skipped();

 protected:
  void hideEvent(QHideEvent*) override;

 private:
  class Ring;
  QPoint cornerFor(const QRect& place, const QRect& clear) const;
  void fit();

  Ring* ring_;
  QLabel *title_, *text_, *count_;
  QPushButton *skip_, *leave_;
  QRect place_;
  QElapsedTimer skippedAt_;
};

}  // namespace zp
