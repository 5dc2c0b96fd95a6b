#pragma once
#include <QtWidgets>

#include "look/spoken.h"
#include "shell/workbench.h"
#include "view/thumbnail.h"

namespace zp {

/// What a card is while it is dragged: its id.
inline constexpr char kCardMime[] = "application/x-zany-patch-card";

/// One card a scene or product: thumbnail, name, kind, date, state.
class Card : public QWidget, public Spoken {
  Q_OBJECT
 public:
  struct Sort {
    QString sign, group;  // its icon where it has no picture; with which it is shown alone
  };
  Card(const QString& id, const QString& name, const QString& about, const Sort& sort);
  const QString& id() const { return id_; }
  const QString& group() const { return sort_.group; }
  void setThumbnail(const QImage& image);
  void setState(bool front, bool back, bool outOfDate);
  QSize sizeHint() const override { return {130, 96}; }
  QAccessible::Role role() const override { return QAccessible::Button; }

 Q_SIGNALS:
  void front(const QString& id);
  void back(const QString& id);
  void sheet(const QString& id);
  void menu(const QString& id, const QPoint& at);

 protected:
  void paintEvent(QPaintEvent*) override;
  void mousePressEvent(QMouseEvent*) override;
  void mouseMoveEvent(QMouseEvent*) override;
  void mouseReleaseEvent(QMouseEvent*) override;
  void mouseDoubleClickEvent(QMouseEvent*) override;
  void contextMenuEvent(QContextMenuEvent*) override;
  void keyPressEvent(QKeyEvent*) override;

 private:
  QString id_, name_, about_;
  Sort sort_;
  QImage thumbnail_;
  bool front_ = false, back_ = false, old_ = false;
  std::optional<QPoint> pressed_;
};

/// The row of cards at the bottom: products, newest first, then scenes.
class Shelf : public QWidget {
  Q_OBJECT
 public:
  explicit Shelf(Workbench& bench, QWidget* parent = nullptr);
  void setShown(const QString& front, const QString& back);

 Q_SIGNALS:
  void frontAsked(const QString& id);
  void backAsked(const QString& id);
  void sheetAsked(const QString& id);
  void polygonsAsked(const QString& id);
  void namingAsked(const QString& id);

 private:
  void rebuild();
  void openMenu(const QString& id, const QPoint& at);
  void applyFilter();

  Workbench& bench_;
  QScrollArea* scroll_;
  QHBoxLayout* row_;
  QList<Card*> cards_;
  QToolButton* filter_;
  QString front_, back_, shownGroup_;
  Thumbnails thumbnails_;
};

}  // namespace zp
