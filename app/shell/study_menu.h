#pragma once
#include <QtWidgets>

#include "shell/workbench.h"

namespace zp {

/// The menu of the study: making, opening and leaving studies, what goes out of one, its bin, and
/// the application's own. Filled anew each time it opens.
class StudyMenu : public QMenu {
  Q_OBJECT
 public:
  StudyMenu(Workbench& bench, QWidget* window);
  void fill();

 public Q_SLOTS:
  void newStudy();
  void openStudy();

 Q_SIGNALS:
  void sheetAsked();
  void exportAsked(const QString& file);
  void keysAsked();
  void walkAsked();
  /// The window is to be built again with another "look", "language" ("": that of the desktop) or
  /// "size" (text_size.h).
  void dressAsked(const QString& setting, const QVariant& value);

 private:
  void addStudies();
  void addOutputs();
  void addBin(QMenu* menu);
  void tellDiskUse();
  void addApplication();
  void addLanguages(QMenu* menu);
  void addSizes(QMenu* menu);
  void emptyBin();
  QAction* entry(const QString& text, bool can, std::function<void()> action);

  Workbench& bench_;
  QWidget* window_;
  QMenu* bin_ = nullptr;
  QAction* use_ = nullptr;
};

}  // namespace zp
