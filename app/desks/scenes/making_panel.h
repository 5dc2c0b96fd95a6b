#pragma once
#include "desks/desk.h"
#include "scene/shift.h"
#include "shell/latest.h"

namespace zp {

/// New scenes out of those of the study: combined, filtered, corrected, sharpened; and where one
/// lies against another.
class MakingPanel : public QWidget {
  Q_OBJECT
 public:
  explicit MakingPanel(Workbench& bench, QWidget* parent = nullptr);
  void show(const StudyScene* scene);
  /// The words on the desk's button, and what it does.
  QString action() const;
  void act();

 Q_SIGNALS:
  void trouble(const QString& sentence);
  void made(const QString& id);
  void actionChanged();

 private:
  struct Operation;
  static const QList<Operation>& operations();
  const Operation& chosen() const;
  void choose();
  void fillOthers();
  void fillTicks();
  void estimate();
  QStringList ticked() const;
  Json step() const;
  Json seasonStep(const std::string& role) const;
  void measure();
  const StudyScene* scene() const;
  QWidget* row(const QString& label, QWidget* field);

  Workbench& bench_;
  Latest latest_;
  std::string id_;
  QComboBox *what_, *how_, *other_;
  QListWidget* ticks_;
  QDoubleSpinBox* number_;
  QSpinBox* window_;
  QLabel *about_, *result_, *otherLabel_ = nullptr, *numberLabel_ = nullptr;
  QWidget *howRow_, *otherRow_, *numberRow_, *windowRow_;
  QPushButton* correct_;
  std::optional<Shift> shift_;
};

}  // namespace zp
