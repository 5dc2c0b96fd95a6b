// The keys of the window.
#include "shell/keys.h"
#include "shell/main_window.h"
#include "shell/tab_order.h"

namespace zp {

void MainWindow::buildShortcuts() {
  // Of a standard key every way of pressing it is taken.
  const auto on = [this](const auto& keys, std::function<void()> action) {
    connect(new QShortcut(keys, this), &QShortcut::activated, this, std::move(action));
  };
  for (int i = 0; i < 6; ++i) on(QKeySequence(Qt::Key_F1 + i), [this, i] { goTo(i); });
  on(QKeySequence("Ctrl+K"), [this] { trail_->find()->setFocus(); });
  on(QKeySequence::Undo, [this] { undo(); });
  on(QKeySequence::Redo, [this] { bench_.undo().redo(); });
  on(QKeySequence::New, [this] { studyMenu_->newStudy(); });
  on(QKeySequence::Open, [this] { studyMenu_->openStudy(); });
  on(QKeySequence::Quit, [this] { close(); });
}

/// A letter alone, while the view is there.
bool MainWindow::toggledByKey(const QKeyEvent& e) {
  if (e.modifiers() != Qt::NoModifier || pages_->currentIndex() != kWork) return false;
  using Mode = MapView::Mode;
  switch (e.key()) {
    case Qt::Key_C:
      viewTools_->toggleMode(Mode::Curtain);
      return true;
    case Qt::Key_V:
      viewTools_->toggleMode(Mode::SideBySide);
      return true;
    case Qt::Key_L:
      viewTools_->toggleMode(Mode::Loupe);
      return true;
    case Qt::Key_D:
      viewTools_->openDisplay();
      return true;
    case Qt::Key_X:
      Q_EMIT view_->swapAsked();
      return true;
    default:
      return false;
  }
}

void MainWindow::keyPressEvent(QKeyEvent* e) {
  if (toggledByKey(*e)) return;
  if (e->key() == Qt::Key_Question) return showKeys();
  if (e->key() == Qt::Key_Escape && keys_->isVisible()) return keys_->hide();
  if (e->key() == Qt::Key_Escape && (facts_->isVisible() || polygonsPanel_->isVisible())) {
    facts_->hide();
    return polygonsPanel_->hide();
  }
  if (e->key() == Qt::Key_Escape &&
      (pages_->currentIndex() == kMatrix || pages_->currentIndex() == kTyped))
    return goTo(5);
  if (e->key() == Qt::Key_Escape && pages_->currentIndex() == kSignatures) return goTo(2);
  QMainWindow::keyPressEvent(e);
}

/// Parts come and go; Tab goes through them as they are read, not as they were made.
bool MainWindow::focusNextPrevChild(bool next) {
  return focusNext(this, next);
}

void MainWindow::showKeys() {
  if (keys_->isVisible()) return keys_->hide();
  const Whereabouts where = pages_->currentIndex() == kLabelling    ? Whereabouts::Labelling
                            : pages_->currentIndex() == kMatrix     ? Whereabouts::Matrix
                            : pages_->currentIndex() == kNaming     ? Whereabouts::Naming
                            : pages_->currentIndex() == kSignatures ? Whereabouts::Signatures
                            : pages_->currentIndex() == kTable      ? Whereabouts::Table
                                                               : static_cast<Whereabouts>(stage_);
  keys_->show(txt("Keys"), keysOf(where));
}

void MainWindow::undo() {
  if (!bench_.undo().canUndo())
    return noticeBar_->tell(txt("There is nothing to take back."), false);
  const QString what = bench_.undo().undoText();
  bench_.undo().undo();
  noticeBar_->tell(txt("Taken back: %1.").arg(what), false);
}

}  // namespace zp
