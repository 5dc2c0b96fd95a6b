#pragma once
#include <QtWidgets>

#include "look/spoken.h"

namespace zp {

/// The scenes of a study at a glance: a row a sensor, a mark a scene, under it the share that is
/// set aside. Time runs to the right; years without scenes are folded. Click, or left and right,
/// chooses.
class TimeLine : public QWidget, public Spoken {
  Q_OBJECT
 public:
  enum class Sign { Optical, Radar, Picture };
  struct Mark {
    QString id, name, row;
    QDate date;  // invalid: not known
    Sign sign = Sign::Optical;
    double setAside = 0;  // share, 0…1
  };

  explicit TimeLine(QWidget* parent = nullptr);
  void setMarks(std::vector<Mark> marks);
  void setChosen(const QString& id);
  QString chosen() const { return chosen_; }
  QStringList rows() const { return rows_; }
  /// Where a scene's mark is, in the widget.
  QPoint markOf(const QString& id) const;
  QSize sizeHint() const override;
  QAccessible::Role role() const override { return QAccessible::List; }
  QList<SpokenPart> parts() const override;

 Q_SIGNALS:
  void chose(const QString& id);

 protected:
  void paintEvent(QPaintEvent*) override;
  void resizeEvent(QResizeEvent*) override { layOut(); }
  void mousePressEvent(QMouseEvent*) override;
  void mouseMoveEvent(QMouseEvent*) override;
  void keyPressEvent(QKeyEvent*) override;
  void focusInEvent(QFocusEvent*) override { update(); }
  void focusOutEvent(QFocusEvent*) override { update(); }
  bool event(QEvent*) override;

 private:
  /// A run of months with scenes; those between two runs are folded.
  struct Season {
    QDate from, to;  // first days of months
    double left = 0, right = 0;
  };
  void layOut();
  double xOf(const QDate& date) const;
  const Mark* markAt(QPoint at) const;
  QStringList told(const Mark& mark) const;
  void paintSeasons(QPainter& p) const;
  void paintMark(QPainter& p, const Mark& mark, QPointF at) const;

  std::vector<Mark> marks_;  // by date
  QStringList rows_;
  std::vector<Season> seasons_;
  std::map<QString, QPointF> places_;
  QString chosen_;
};

}  // namespace zp
