#pragma once
#include "desks/panel.h"
#include "training/area_fit.h"

namespace zp {

/// The training areas of a class: pixels, how far each lies from the others, whether it is to be
/// looked at again, and a note; the last two are kept as they are given.
class AreaTable : public QTableWidget {
  Q_OBJECT
 public:
  explicit AreaTable(Workbench& bench);
  /// Areas without pixels are listed too. Keeps which one is chosen.
  void show(int code, const std::vector<AreaFit>& fits);
  /// Its place among the training areas.
  std::optional<size_t> chosen() const;

 Q_SIGNALS:
  void areaChosen();

 protected:
  void keyPressEvent(QKeyEvent*) override;

 private:
  void fillRow(int row, size_t area, const AreaFit* fit);
  void toggleAgain(int row);
  void keepNote(int row);
  void tell(size_t area, const std::string& note, bool again);
  Workbench& bench_;
  bool filling_ = false;
};

}  // namespace zp
