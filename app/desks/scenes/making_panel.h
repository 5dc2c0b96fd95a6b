#pragma once
#include "background/latest.h"
#include "desks/panel.h"
#include "scene/shift.h"

namespace zp {

/// New scenes out of those of the study: combined, filtered, corrected, sharpened; and where one
/// lies against another.
class MakingPanel : public Panel {
  Q_OBJECT
 public:
  explicit MakingPanel(Workbench& bench);
  void refresh() override;
  void forget() override { latest_.stop(); }
  QString action() const override;
  QString missing() const override;
  Json step() const override;
  void act() override;

 private:
  struct Operation;
  static const QList<Operation>& operations();
  const Operation& chosen() const;
  void choose();
  void fillOthers();
  void fillHeights(const StudyScene& scene);
  void fillTicks();
  void estimate();
  QStringList ticked() const { return tickedIn(*ticks_); }
  Json seasonStep(const std::string& role) const;
  void measure();
  const StudyScene* scene() const;
  QWidget* row(const QString& label, QWidget* field);

  Latest latest_;
  std::string id_;
  QComboBox *what_, *how_, *other_;
  QListWidget* ticks_;
  QDoubleSpinBox *number_, *second_;
  QSpinBox* window_;
  QLabel *about_, *result_, *otherLabel_ = nullptr, *numberLabel_ = nullptr,
                            *secondLabel_ = nullptr;
  QWidget *howRow_, *otherRow_, *numberRow_, *windowRow_, *secondRow_;
  QPushButton* correct_;
  std::optional<Shift> shift_;
};

}  // namespace zp
