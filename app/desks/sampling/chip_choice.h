#pragma once
#include "look/parts.h"

namespace zp {

/// Chips of which one is chosen; the first at the start.
class ChipChoice : public QWidget {
  Q_OBJECT
 public:
  struct Choice {
    const char *value, *name;  // what it stands for, and its name for tests and the tour
    QString title, tip = {};
  };
  explicit ChipChoice(const QList<Choice>& choices);
  QString value() const;
  void choose(const QString& value);

 Q_SIGNALS:
  void chosen();  // by the person

 private:
  QButtonGroup* group_;
};

}  // namespace zp
