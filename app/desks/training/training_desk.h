#pragma once
#include "charts/chart.h"
#include "desks/desk.h"
#include "desks/training/class_edit.h"
#include "shell/latest.h"

namespace zp {

/// The legend, training areas drawn or imported, and the signatures of the classes.
class TrainingDesk : public Desk {
  Q_OBJECT
 public:
  TrainingDesk(Workbench& bench, MapView& view);
  void refresh() override;
  void leave() override;
  void forget() override;
  /// Training areas as shapes for the view; only those of the study.
  std::vector<ViewShape> shapes() const;
  void importFrom(const QString& layer, const QString& codeField, const QString& nameField,
                  const QString& subclassField);

 Q_SIGNALS:
  void shapesChanged();

 protected:
  void keyPressEvent(QKeyEvent*) override;

 private:
  void fillClasses();
  void fillBands();
  void computeSignatures();
  void showImport(const QString& file);
  void drawn(const Ring& ring);
  void pick(Place place);
  void removeChosen();
  void addClass();
  void editClass(int row);
  void keepClass(const LegendClass& changed);
  int chosenClass() const;

  Latest signatureJob_;
  QString signaturesOf_;
  std::optional<SignatureSet> signatures_;
  QTableWidget *classes_, *bandTable_;
  QPushButton *draw_, *import_, *add_, *remove_, *edit_, *drop_;
  QWidget* importBox_;
  ClassEdit* classEdit_;
  QComboBox *layerField_, *codeField_, *nameField_;
  QString importFile_;
  QLabel *bandTitle_, *chartTitle_;
  SignatureChart* chart_;
  int chosenArea_ = -1;
  bool filling_ = false;
};

}  // namespace zp
