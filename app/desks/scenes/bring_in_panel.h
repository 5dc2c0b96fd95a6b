#pragma once
#include "background/latest.h"
#include "desks/panel.h"
#include "desks/scenes/csv_box.h"

namespace zp {

/// Shows the files of a delivery as what they seem to be, and takes what is wrong in the guesses.
class BringInPanel : public Panel {
  Q_OBJECT
 public:
  BringInPanel(Workbench& bench, MapView& view);
  /// What was said of the same files, when they were looked at and not brought in, still holds.
  void offer(std::vector<Incoming> all);
  void refresh() override;
  void leave() override;
  void forget() override;
  Heading heading() const override;
  QString action() const override;
  void act() override;
  /// Those of the vector layer that is chosen.
  std::vector<ViewShape> shapes() const override { return shapes_; }

 Q_SIGNALS:
  void left();  // it is done, or nothing comes in
  /// What is chosen, with the roles as set so far; and that nothing is looked at any more.
  void looked(const zp::Picture& picture);
  void lookEnded();

 private:
  void buildList();
  void buildFields();
  void buildScene();
  void buildClasses();
  void buildQuantity();
  void connectFields();
  void fillList();
  void fillOne();
  void fillKinds(const Incoming& one);
  void showChosen();
  void showLayer(const std::string& layer);
  void fillScene();
  QComboBox* roleBox(int band, const QString& of, const std::string& role);
  void fillClasses();
  QComboBox* oursBox(const Incoming& one, const std::string& code);
  void joinWithAbove();
  void takeApart();
  void findClasses();
  void take(const Incoming& one);
  void change(const std::function<void(Incoming&)>& how);
  Incoming* chosen();

  MapView& view_;
  Latest classes_, layer_;
  std::vector<Incoming> all_;
  std::string offered_;  // of which files
  std::vector<ViewShape> shapes_;
  bool filling_ = false, looking_ = false;
  QLabel *about_, *note_;
  QListWidget* list_;
  QComboBox *as_, *preset_, *state_, *field_;
  QLineEdit *name_, *date_, *unit_, *from_, *to_;
  CsvBox* csv_;
  QWidget *sceneBox_, *classBox_, *quantityBox_, *fieldRow_;
  QTableWidget *bands_, *match_;
  QPushButton *join_, *apart_;
};

}  // namespace zp
