#pragma once
#include "look/parts.h"

namespace zp {

/// The key of the n-th class of a legend where classes are given by keys: 1…9, then letters; empty
/// beyond them.
QString keyOfClass(size_t index);

/// A class to be given by a click or its key: the key, its name, and its colour underneath. Without
/// a colour it is no class, and stands in a dashed line.
class ClassKey : public QPushButton {
 public:
  ClassKey(const QString& key, const QString& name, const QColor& colour);

 protected:
  void paintEvent(QPaintEvent*) override;

 private:
  QString key_, name_;
  QColor colour_;
};

/// A key and what it does, for the foot of a sheet.
QLabel* keyHint(const QString& key, const QString& what);

}  // namespace zp
