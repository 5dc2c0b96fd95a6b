#pragma once
#include <QtWidgets>

namespace zp {

/// A composite as a small picture with its title under it; pressed while it is in front.
class CompositeCard : public QPushButton {
  Q_OBJECT
 public:
  explicit CompositeCard(const QString& title, const QString& shortTitle);
  void setThumbnail(const QImage& image);
  QSize sizeHint() const override { return {118, 92}; }

 protected:
  void paintEvent(QPaintEvent*) override;

 private:
  QImage image_;
};

}  // namespace zp
