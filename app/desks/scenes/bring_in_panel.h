#pragma once
#include "desks/desk.h"
#include "scene/group_files.h"
#include "shell/latest.h"

namespace zp {

/// What one of the files, or a group of them, is to become.
struct Incoming {
  enum class As { Scene, ClassMap, Quantity, Outline };
  As as = As::Scene;
  bool take = true;
  SceneDraft draft;
  Scene scene;                // of rasters
  std::string layer;          // "FILE:LAYER" of vectors
  QStringList fields;         // of vectors
  std::string trouble;        // why it cannot come in as it is
  bool asksForPower = false;  // radar whose numbers do not tell power from decibels
  QString unit, from, to;     // of a quantity
  QString field;              // of a vector class map
  /// Their classes, with names; and what each becomes: a code, 0 to leave out, −1 a new class.
  std::vector<std::pair<std::string, std::string>> theirs;
  std::map<std::string, int> ours;
};

/// The files of a delivery as what they seem to be, for a look before they come in: grouped into
/// scenes, with roles guessed from names; class maps with their codes matched; quantities with unit
/// and period. Reads files; for any thread.
std::vector<Incoming> lookAtFiles(const QStringList& paths);
/// Whether it says all there is to know, so that nothing has to be confirmed.
bool isPlain(const std::vector<Incoming>& all);

/// Shows them and takes what is wrong in the guesses.
class BringInPanel : public QWidget {
  Q_OBJECT
 public:
  explicit BringInPanel(Workbench& bench, QWidget* parent = nullptr);
  void offer(std::vector<Incoming> all);
  QString action() const;
  void act();

 Q_SIGNALS:
  void actionChanged();
  void trouble(const QString& sentence);
  void left();  // it is done, or nothing comes in
  /// What is chosen, with the roles as set so far.
  void looked(const zp::Picture& picture);
  /// The same of a vector layer.
  void lookedAtLayer(const QString& layer);

 private:
  void fillList();
  void fillOne();
  void showChosen();
  void fillScene();
  void fillClasses();
  void joinWithAbove();
  void takeApart();
  void reopen(Incoming& one);
  void findClasses();
  void importClasses(const Incoming& one);
  void importQuantity(const Incoming& one);
  Incoming* chosen();

  Workbench& bench_;
  Latest classes_;
  std::vector<Incoming> all_;
  bool filling_ = false;
  QLabel *about_, *note_;
  QListWidget* list_;
  QComboBox *as_, *preset_, *state_, *field_;
  QLineEdit *name_, *date_, *unit_, *from_, *to_;
  QWidget *sceneBox_, *classBox_, *quantityBox_, *fieldRow_;
  QTableWidget *bands_, *match_;
  QPushButton *join_, *apart_;
};

}  // namespace zp
