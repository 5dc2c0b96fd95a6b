// What is dropped on the window: files, and cards of the shelf.
#include "shell/main_window.h"

namespace zp {

void MainWindow::dragEnterEvent(QDragEnterEvent* e) {
  if (e->mimeData()->hasUrls() || e->mimeData()->hasFormat(kCardMime)) e->acceptProposedAction();
}

/// A card dropped on the left half of the view is seen behind, on the right half in front.
void MainWindow::dropCard(const QString& id, QPoint at) {
  const QPoint inView = view_->mapFrom(this, at);
  if (!view_->rect().contains(inView)) return;
  const Picture p = bench_.pictureOf(id);
  if (p.none()) return;
  if (inView.x() >= view_->width() / 2) return pictures_->setFront(p);
  showBehind(p);
}

/// Under the curtain, unless both are seen together already.
void MainWindow::showBehind(const Picture& picture) {
  if (picture.none()) return;
  pictures_->setBack(picture);
  if (view_->mode() == MapView::Mode::Front) viewTools_->toggleMode(MapView::Mode::Curtain);
}

void MainWindow::dropEvent(QDropEvent* e) {
  if (e->mimeData()->hasFormat(kCardMime))
    return dropCard(QString::fromUtf8(e->mimeData()->data(kCardMime)), e->position().toPoint());
  QStringList files;
  for (const auto& url : e->mimeData()->urls())
    if (url.isLocalFile()) files << url.toLocalFile();
  openOrBringIn(files);
}

}  // namespace zp
