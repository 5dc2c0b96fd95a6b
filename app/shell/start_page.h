#pragma once
#include "shell/demo_study.h"
#include "shell/study_menu.h"

namespace zp {

/// The way in when no study is open, in place of the view: the demo, scenes of one's own, a study;
/// and the recent ones.
class StartPage : public QWidget {
  Q_OBJECT
 public:
  StartPage(Workbench& bench, StudyMenu& menu, QWidget* over);
  /// What is there now: the demo, recent studies.
  void refresh();

 Q_SIGNALS:
  void walkAsked();  // the demo is open
  void filesAsked();

 protected:
  bool eventFilter(QObject* watched, QEvent* event) override;
  void paintEvent(QPaintEvent*) override;

 private:
  QWidget* buildDemo();
  QWidget* buildBringIn();
  QWidget* buildOpen();
  void tellDemo();
  void fillRecent();

  Workbench& bench_;
  StudyMenu& menu_;
  DemoStudy demo_;
  QLabel *demoAbout_, *recentTitle_;
  QPushButton *openDemo_, *demoAnew_;
  QWidget* recent_;
};

}  // namespace zp
