#pragma once
#include "shell/study_menu.h"

namespace zp {

/// The way in when no study is open, in the middle of the view.
class StartPage : public QWidget {
  Q_OBJECT
 public:
  StartPage(Workbench& bench, StudyMenu& menu, QWidget* over);
};

}  // namespace zp
