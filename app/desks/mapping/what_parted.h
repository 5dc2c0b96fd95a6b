#pragma once
#include "charts/bar_list.h"
#include "desks/panel.h"

namespace zp {

/// What the method of the newest map tells of its training: how well it knew pixels that it had not
/// seen, and which features helped. Hidden for a method that tells nothing.
class WhatParted : public Panel {
  Q_OBJECT
 public:
  explicit WhatParted(Workbench& bench);
  void refresh() override;

 private:
  QLabel *title_, *share_, *note_;
  BarList* bars_;
  QPushButton* all_;
  bool open_ = false;
};

}  // namespace zp
