#pragma once
#include <QtWidgets>

#include "legend/legend.h"

namespace zp {

/// Code, name, colour and description of a class, folded out on the desk; and what is done with
/// the whole legend.
class ClassEdit : public QWidget {
  Q_OBJECT
 public:
  explicit ClassEdit(QWidget* parent = nullptr);
  /// The colour of a new class follows its name until one is chosen.
  void open(const LegendClass& of, const Legend& legend, bool isNew);
  /// What the legend is now, while it is open.
  void follow(const Legend& legend);

 Q_SIGNALS:
  void kept(int code, const zp::LegendClass& changed);
  void mergeAsked(int code, int into);
  /// So many places down the list, or up.
  void moveAsked(int code, int places);
  void legendTold(const QString& name, const QString& about);
  void saveAsked();
  void loadAsked();
  /// Colours for all classes that colour-blind people tell apart.
  void coloursAsked();

 protected:
  void keyPressEvent(QKeyEvent*) override;

 private:
  QLayout* buildClass();
  QLayout* buildLegend();
  void keep();
  void told();
  void proposeColour(const QString& name);
  void chooseColour();
  void showColour();

  LegendClass class_;
  bool colourFollows_ = false;
  Legend legend_;
  QLineEdit *code_, *name_, *about_, *legendName_, *legendAbout_;
  QPushButton *colour_, *up_, *down_;
  QComboBox* into_;
  QLabel* error_;
};

}  // namespace zp
