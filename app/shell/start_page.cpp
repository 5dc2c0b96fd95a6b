#include "shell/start_page.h"

#include "look/parts.h"

namespace zp {

StartPage::StartPage(Workbench& bench, StudyMenu& menu, QWidget* over) : QWidget(over) {
  auto* make = primaryButton(txt("New study…"));
  make->setObjectName("newStudy");
  auto* open = quietButton(txt("Open study…"));
  open->setObjectName("openStudy");
  connect(make, &QPushButton::clicked, &menu, &StudyMenu::newStudy);
  connect(open, &QPushButton::clicked, &menu, &StudyMenu::openStudy);
  auto* buttons = new QHBoxLayout;
  buttons->addStretch();
  buttons->addWidget(make);
  buttons->addWidget(open);
  buttons->addStretch();
  auto* recent = new QVBoxLayout;
  recent->setAlignment(Qt::AlignHCenter);
  for (const auto& r : Workbench::recent().mid(0, 4)) {
    auto* link = linkButton(QFileInfo(r).fileName() + "   " + r);
    connect(link, &QPushButton::clicked, this, [&bench, r] { bench.open(r); });
    recent->addWidget(link, 0, Qt::AlignHCenter);
  }
  auto* layout = new QVBoxLayout(this);
  layout->addLayout(buttons);
  layout->addSpacing(8);
  layout->addLayout(recent);
  auto* middle = new QVBoxLayout(over);
  middle->addStretch(1);
  middle->addWidget(this, 0, Qt::AlignHCenter);
  middle->addStretch(1);
}

}  // namespace zp
