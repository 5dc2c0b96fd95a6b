#pragma once
#include <QObject>

#include "shell/workbench.h"
#include "view/map_view.h"

namespace zp {

/// Which pictures of the study are in the view, in front and behind; kept with the study.
class PicturesShown : public QObject {
  Q_OBJECT
 public:
  PicturesShown(Workbench& bench, MapView& view);

  void setFront(const Picture& picture);
  void setBack(const Picture& picture);
  /// What was in front goes behind, so that a product can be compared with it. False when it has
  /// no picture.
  bool showFront(const QString& id);
  void showBack(const QString& id) { setBack(bench_.pictureOf(id)); }
  /// Something that is not in the study yet, all of it where it lies elsewhere; and back.
  void lookAt(const Picture& picture);
  void endLook();
  /// A preview belongs to its desk: elsewhere what was there before it is shown again.
  void dropPreview();
  bool preview() const { return view_.front().of == "preview"; }

  /// Something in the study changed: what is shown may look otherwise, or have gone.
  void refresh();
  void clear();
  /// The pictures and the part of the view as they were left.
  void restore();
  void remember();

 Q_SIGNALS:
  void changed();
  void modeRestored(zp::MapView::Mode mode);
  void toldOf(const QString& sentence);

 private:
  Picture asItIsNow(const Picture& shown) const;
  /// What is shown when nothing else is known: the scene one works on or, without one, a product.
  Picture atFirst() const;
  void swap();
  void showAlone(int code);
  void hideClass(int code);
  void showAgain();
  void made(const QString& id);
  void offerToGo(const QString& id);

  Workbench& bench_;
  MapView& view_;
  std::optional<std::pair<Place, double>> beforeLook_;  // where the view was
};

}  // namespace zp
