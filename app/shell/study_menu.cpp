#include "shell/study_menu.h"

#include "look/ask.h"
#include "look/look.h"
#include "shell/guide.h"
#include "shell/text_size.h"
#include "study/disk_use.h"

namespace zp {

StudyMenu::StudyMenu(Workbench& bench, QWidget* window)
    : QMenu(window), bench_(bench), window_(window) {
  setObjectName("studyMenuList");
  setLayoutDirection(Qt::LeftToRight);  // not the button's, which has its sign last
  connect(this, &QMenu::aboutToShow, this, [this] {
    fill();
    tellDiskUse();
  });
}

void StudyMenu::fill() {
  const bool any = bench_.hasStudy();
  clear();
  addStudies();
  addSeparator();
  addOutputs();
  bin_ = addMenu(zp::icon("bin"), txt("Bin"));
  addBin(bin_);
  use_ = entry(txt("On the disk"), false, [] {});
  entry(txt("Close the study"), any, [this] { bench_.close(); });
  addSeparator();
  addApplication();
  // The keys are the window's, and only told here: one that two have works for neither.
  for (auto* action : actions()) action->setShortcutContext(Qt::WidgetShortcut);
}

/// Counted only for who opens the menu, not for who searches it.
void StudyMenu::tellDiskUse() {
  use_->setVisible(bench_.hasStudy());
  if (!bench_.hasStudy()) return;
  const DiskUse use = diskUseOf(bench_.study().folder());
  const auto size = [&](std::uintmax_t bytes) {
    const QString text = bytesText(static_cast<double>(bytes));
    return use.whole ? text : txt("more than %1").arg(text);
  };
  use_->setText(txt("On the disk: %1").arg(size(use.all)));
  if (use.bin > 0) bin_->setTitle(txt("Bin (%1)").arg(size(use.bin)));
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
  if (surely(window_, txt("Empty the bin"),
             txt("The %n products in the bin will be deleted for good.",
                 "The product in the bin will be deleted for good.", n),
             txt("Delete"), txt("Keep")))
    bench_.emptyBin();
}

void StudyMenu::addApplication() {
  const QString other = currentLook() == "dusk" ? "daylight" : "dusk";
  entry(txt("Walk through the job"), bench_.hasStudy(), [this] { Q_EMIT walkAsked(); });
  entry(txt("Guide"), !guideUrl("index.html").isEmpty(), [] { openGuide("index.html"); });
  addAction(txt("Keys"), QKeySequence("?"), this, &StudyMenu::keysAsked);
  addAction(zp::icon("light"), other == "dusk" ? txt("Look: dusk") : txt("Look: daylight"), this,
            [this, other] { Q_EMIT dressAsked("look", other); });
  addSizes(addMenu(txt("Text size")));
  addLanguages(addMenu(txt("Language")));
  entry(txt("Zany Patch %1").arg(ZP_VERSION), false, [] {});
  addAction(txt("Quit"), QKeySequence::Quit, window_, &QWidget::close);
}

/// Those that leave the window room on its screen; a larger one says what it would need.
void StudyMenu::addSizes(QMenu* menu) {
  const QSizeF screen = QSizeF(window_->screen()->size()) * window_->devicePixelRatioF();
  const double usual = window_->devicePixelRatioF() * 100 / textSize();
  for (const int size : kTextSizes) {
    const QSizeF need = QSizeF(window_->minimumSize()) * (usual * size / 100);
    const bool fits = size == kTextSizes[0] ||
                      (need.width() <= screen.width() && need.height() <= screen.height());
    const QString name = txt("%1 %").arg(size);
    auto* one = menu->addAction(fits ? name
                                     : txt("%1, on a screen of %2 × %3 pixels")
                                           .arg(name)
                                           .arg(need.width())
                                           .arg(need.height()),
                                this, [this, size] { Q_EMIT dressAsked("size", size); });
    one->setCheckable(true);
    one->setChecked(size == textSize());
    one->setEnabled(fits);
  }
}

/// Each in its own words, so that it is found by who does not read the others.
void StudyMenu::addLanguages(QMenu* menu) {
  const QString now = QSettings().value("language").toString();
  const auto add = [&](const QString& id, const QString& name) {
    auto* one = menu->addAction(name, this, [this, id] { Q_EMIT dressAsked("language", id); });
    one->setCheckable(true);
    one->setChecked(id == now);
  };
  add("", txt("That of the desktop"));
  for (const auto& [id, name] : languagesIn(languageFolders())) add(id, name);
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
