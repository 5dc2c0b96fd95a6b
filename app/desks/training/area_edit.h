#pragma once
#include <QtWidgets>

#include "look/parts.h"
#include "study/study.h"

namespace zp {

/// What the chosen training area is of: its class, and the subclass within it.
class AreaEdit : public QWidget {
  Q_OBJECT
 public:
  explicit AreaEdit(QWidget* parent = nullptr);
  /// Nothing: it hides.
  void show(const Study& study, std::optional<size_t> area);

 Q_SIGNALS:
  void classAsked(int code);
  void subclassAsked(const QString& name);

 private:
  std::optional<size_t> shown_;
  LongChoice* class_;
  QComboBox* subclass_;
};

}  // namespace zp
