#pragma once
#include "desks/panel.h"
#include "desks/training/area_edit.h"
#include "desks/training/grow_panel.h"
#include "desks/training/sets_panel.h"

namespace zp {

/// Training areas: drawn in the view, imported from a vector layer, chosen and removed.
class AreasPanel : public Panel {
  Q_OBJECT
 public:
  /// `chosenClass` tells the code of the class that is drawn; 0 for none.
  AreasPanel(Workbench& bench, MapView& view, std::function<int()> chosenClass);
  void refresh() override;
  void leave() override;
  void forget() override;
  std::vector<ViewShape> shapes() const override;

  void importFrom(const QString& layer, const QString& codeField, const QString& nameField,
                  const QString& subclassField);
  void removeChosen();

 Q_SIGNALS:
  /// An area of this class was picked in the view.
  void picked(int code);

 private:
  void buildTools();
  void buildImport();
  void chooseFile();
  void showImport(const QString& file);
  void fillFields(const QString& layer);
  void importChosen();
  TrainingFields chosenFields() const;
  void tellFound();
  void findOverlaps();
  void drawn(const Ring& ring) { add({{ring}, {}}, txt("Draw an area of %1")); }
  /// In the view's system; `what` names the class as %1.
  void add(const Shape& inView, const QString& what);
  void edited(const Shape& inView);
  void becomes(int code);
  void partOf(const QString& subclass);
  std::optional<size_t> chosen() const;
  void exportTo();
  void pick(Place place);

  MapView& view_;
  std::function<int()> chosenClass_;
  GrowPanel* grow_;
  QPushButton *draw_, *remove_;
  QWidget* import_;
  QComboBox *layer_, *code_, *name_, *subclass_;
  QLabel* found_;
  SetsPanel* sets_;
  AreaEdit* area_;
  QString overlapOf_;  // what it was found in
  Shape overlap_;      // in the view's system
  QString file_;
  int chosen_ = -1;
};

}  // namespace zp
