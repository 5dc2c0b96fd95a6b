#pragma once
#include <QObject>

#include "shell/workbench.h"
#include "view/map_view.h"

namespace zp {

/// The outlines of the study over the view, each layer read once.
class OutlineOverlay : public QObject {
  Q_OBJECT
 public:
  OutlineOverlay(Workbench& bench, const MapView& view) : bench_(bench), view_(view) {}
  /// Those that are shown, as they are styled.
  std::vector<ViewShape> shapes();
  /// Of one outline, in the view's system; empty when it has not been shown yet.
  Extent extentOf(const std::string& outline) const;
  void forget() { read_.clear(); }

 Q_SIGNALS:
  void trouble(const QString& sentence);

 private:
  const std::vector<ViewShape>& read(const StudyOutline& outline);

  Workbench& bench_;
  const MapView& view_;
  std::map<std::string, std::vector<ViewShape>> read_;  // by layer and field of labels
};

}  // namespace zp
