#pragma once
#include "desks/panel.h"

namespace zp {

/// How an outline looks: colour, width of its line, filled or not, and the field that labels it.
class OutlineStyle : public QWidget {
  Q_OBJECT
 public:
  explicit OutlineStyle(Workbench& bench, QWidget* parent = nullptr);
  void show(const QString& id);

 private:
  const StudyOutline* outline() const;
  void change(const std::function<void(StudyOutline&)>& how);

  Workbench& bench_;
  QString id_;
  std::string fieldsOf_;  // layer whose fields are listed
  bool filling_ = false;
  QPushButton* colour_;
  QDoubleSpinBox* width_;
  QCheckBox* filled_;
  QComboBox* label_;
};

}  // namespace zp
