#include "shell/study_menu.h"

#include "look/look.h"

namespace zp {

StudyMenu::StudyMenu(Workbench& bench, QWidget* window)
    : QMenu(window), bench_(bench), window_(window) {
  setObjectName("studyMenuList");
  setLayoutDirection(Qt::LeftToRight);  // not the button's, which has its sign last
  connect(this, &QMenu::aboutToShow, this, &StudyMenu::fill);
}

void StudyMenu::fill() {
  clear();
  addStudies();
  addSeparator();
  addOutputs();
  addBin(addMenu(zp::icon("bin"), txt("Bin")));
  entry(txt("Close the study"), bench_.hasStudy(), [this] { bench_.close(); });
  addSeparator();
  addApplication();
  // The keys are the window's, and only told here: one that two have works for neither.
  for (auto* action : actions()) action->setShortcutContext(Qt::WidgetShortcut);
}

QAction* StudyMenu::entry(const QString& text, bool can, std::function<void()> action) {
  auto* added = addAction(text, this, std::move(action));
  added->setEnabled(can);
  return added;
}

void StudyMenu::addStudies() {
  addAction(txt("New study…"), QKeySequence::New, this, &StudyMenu::newStudy);
  addAction(txt("Open study…"), QKeySequence::Open, this, &StudyMenu::openStudy);
  auto* recent = addMenu(txt("Recent"));
  for (const auto& r : Workbench::recent())
    recent->addAction(QFileInfo(r).fileName() + "   " + r, this, [=, this] { bench_.open(r); });
  recent->setEnabled(!recent->isEmpty());
}

/// What goes out of the study.
void StudyMenu::addOutputs() {
  const bool any = bench_.hasStudy();
  entry(txt("Save a copy…"), any, [this] {
    const QString target =
        QFileDialog::getSaveFileName(window_, txt("Save a copy of the study"),
                                     txt("%1 copy").arg(q(bench_.study().folder().string())));
    if (!target.isEmpty()) bench_.saveCopy(target);
  });
  entry(txt("Map to hand over…"), any, [this] { Q_EMIT sheetAsked(); });
  entry(txt("Export the picture in view…"), any, [this] {
    const QString target = QFileDialog::getSaveFileName(window_, txt("Export the picture in view"),
                                                        txt("view") + ".png", txt("PNG (*.png)"));
    if (!target.isEmpty()) Q_EMIT exportAsked(target);
  });
  entry(txt("Write a STAC catalogue of the scenes…"), any && !bench_.study().scenes.empty(),
        [this] {
          const QString folder =
              QFileDialog::getExistingDirectory(window_, txt("Folder for the catalogue"));
          if (!folder.isEmpty()) bench_.writeCatalogueOf(folder);
        });
}

void StudyMenu::addBin(QMenu* menu) {
  menu->setEnabled(bench_.hasStudy() && !bench_.study().bin.empty());
  if (!menu->isEnabled()) return;
  menu->addSection(txt("Bring back"));
  for (const auto& p : bench_.study().bin)
    menu->addAction(q(p.name) + "   " + txt(titleOf(p.kind)), this,
                    [this, id = q(p.id)] { bench_.fromBin(id); });
  menu->addSeparator();
  menu->addAction(txt("Empty the bin…"), this, &StudyMenu::emptyBin);
}

void StudyMenu::emptyBin() {
  const auto n = static_cast<qint64>(bench_.study().bin.size());
  const auto answer =
      QMessageBox::question(window_, txt("Empty the bin"),
                            txt("The %n products in the bin will be deleted for good.",
                                "The product in the bin will be deleted for good.", n),
                            QMessageBox::Discard | QMessageBox::Cancel, QMessageBox::Cancel);
  if (answer == QMessageBox::Discard) bench_.emptyBin();
}

void StudyMenu::addApplication() {
  const QString other = currentLook() == "dusk" ? "daylight" : "dusk";
  entry(txt("Walk through the job"), bench_.hasStudy(), [this] { Q_EMIT walkAsked(); });
  addAction(txt("Keys"), QKeySequence("?"), this, &StudyMenu::keysAsked);
  addAction(zp::icon("light"), other == "dusk" ? txt("Look: dusk") : txt("Look: daylight"), this,
            [this, other] { Q_EMIT lookAsked(other); });
  entry(txt("Zany Patch %1").arg(ZP_VERSION), false, [] {});
  addAction(txt("Quit"), QKeySequence::Quit, window_, &QWidget::close);
}

void StudyMenu::newStudy() {
  const QString base =
      QStandardPaths::writableLocation(QStandardPaths::DocumentsLocation) + "/Zany Patch";
  QDir().mkpath(base);
  const QString folder = QFileDialog::getSaveFileName(window_, txt("New study: a new folder"),
                                                      base + "/" + txt("New study"));
  if (!folder.isEmpty()) bench_.create(folder, QFileInfo(folder).fileName());
}

void StudyMenu::openStudy() {
  const QString folder = QFileDialog::getExistingDirectory(window_, txt("Open a study"));
  if (!folder.isEmpty()) bench_.open(folder);
}

}  // namespace zp
