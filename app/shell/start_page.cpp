#include "shell/start_page.h"

#include "look/look.h"
#include "look/parts.h"

namespace zp {
namespace {

constexpr int kWay = 264, kSecond = 28;  // pixels
constexpr int kMostRecent = 5;           // studies

/// One way in: what it is, what it gives, and its button.
QWidget* way(const QString& sign, const QString& title, QLabel* about, QWidget* button,
             QWidget* second) {
  auto* card = new QFrame;
  card->setObjectName("startWay");
  card->setAttribute(Qt::WA_StyledBackground);
  card->setStyleSheet(QString("#startWay { background: %1; border: 1px solid %2; border-radius: "
                              "4px; }")
                          .arg(tokens().panel.name(), tokens().hairline.name()));
  card->setFixedWidth(kWay);
  auto* picture = new QLabel;
  picture->setPixmap(icon(sign).pixmap(22, 22));
  auto* head = new QHBoxLayout;
  head->setSpacing(10);
  head->addWidget(picture);
  head->addWidget(headingLabel(title), 1);
  about->setWordWrap(true);
  about->setAlignment(Qt::AlignTop);
  auto* column = new QVBoxLayout(card);
  column->setContentsMargins(18, 16, 18, 14);
  column->setSpacing(10);
  column->addLayout(head);
  column->addWidget(about, 1);
  column->addWidget(button);
  // Kept free where there is none, so that the buttons stand in a row.
  auto policy = second->sizePolicy();
  policy.setRetainSizeWhenHidden(true);
  second->setSizePolicy(policy);
  second->setFixedHeight(kSecond);
  column->addWidget(second, 0, Qt::AlignHCenter);
  return card;
}

QString shortPlace(const QString& folder) {
  const QString home = QDir::homePath();
  return folder.startsWith(home + "/") ? "~" + folder.mid(home.size()) : folder;
}

}  // namespace

StartPage::StartPage(Workbench& bench, StudyMenu& menu, QWidget* over)
    : QWidget(over), bench_(bench), menu_(menu), demo_(bench) {
  setObjectName("startPage");
  auto* ways = new QHBoxLayout;
  ways->setSpacing(16);
  ways->addStretch(1);
  for (auto* one : {buildDemo(), buildBringIn(), buildOpen()}) ways->addWidget(one);
  ways->addStretch(1);
  recentTitle_ = sectionLabel(txt("Recent studies"));
  recent_ = new QWidget;
  columnIn(recent_, 2);
  auto* below = new QVBoxLayout;
  below->setSpacing(6);
  below->addWidget(recentTitle_, 0, Qt::AlignHCenter);
  below->addWidget(recent_, 0, Qt::AlignHCenter);
  auto* title = headingLabel(txt("From scenes to a map that holds"));
  title->setWordWrap(false);
  auto* layout = new QVBoxLayout(this);
  layout->setSpacing(0);
  layout->addStretch(2);
  layout->addWidget(title, 0, Qt::AlignHCenter);
  layout->addSpacing(24);
  layout->addLayout(ways);
  layout->addSpacing(28);
  layout->addLayout(below);
  layout->addStretch(3);
  over->installEventFilter(this);
  connect(&bench_.jobs(), &JobRunner::changed, this, &StartPage::tellDemo);
}

QWidget* StartPage::buildDemo() {
  demoAbout_ = secondLabel("");
  openDemo_ = primaryButton("");
  openDemo_->setObjectName("startDemo");
  demoAnew_ = linkButton(txt("Begin it anew"));
  demoAnew_->setObjectName("startDemoAnew");
  demoAnew_->setToolTip(
      txt("The demo as it was at first; the one you worked in is kept beside it"));
  const auto opened = [this] { Q_EMIT walkAsked(); };
  connect(openDemo_, &QPushButton::clicked, this, [this, opened] { demo_.open(opened); });
  connect(demoAnew_, &QPushButton::clicked, this, [this, opened] { demo_.openAnew(opened); });
  return way("help", txt("Learn with the demo"), demoAbout_, openDemo_, demoAnew_);
}

QWidget* StartPage::buildBringIn() {
  auto* choose = quietButton(txt("Choose scenes…"));
  choose->setObjectName("startFiles");
  connect(choose, &QPushButton::clicked, this, &StartPage::filesAsked);
  auto* where = linkButton(txt("In a folder I choose…"));
  where->setObjectName("newStudy");
  where->setToolTip(txt("Makes an empty study where you want it (Ctrl N)"));
  connect(where, &QPushButton::clicked, &menu_, &StudyMenu::newStudy);
  return way("import", txt("Bring in scenes"),
             secondLabel(txt("Rasters, folders of bands and STAC items become a new study in "
                             "Documents; the files stay where they are. You can also drop them "
                             "anywhere here.")),
             choose, where);
}

QWidget* StartPage::buildOpen() {
  auto* open = quietButton(txt("Open study…"));
  open->setObjectName("openStudy");
  connect(open, &QPushButton::clicked, &menu_, &StudyMenu::openStudy);
  auto* nothing = linkButton(" ");
  nothing->setVisible(false);
  nothing->setEnabled(false);
  return way("map", txt("Open a study"),
             secondLabel(txt("A study is a folder that keeps one piece of work: its scenes, maps, "
                             "points and labels, and how each was made. It is saved after every "
                             "step.")),
             open, nothing);
}

void StartPage::refresh() {
  tellDemo();
  fillRecent();
}

void StartPage::tellDemo() {
  const bool there = DemoStudy::isThere(), can = there || DemoStudy::canBeMade();
  openDemo_->setText(there ? txt("Go on with the demo") : txt("Make the demo"));
  openDemo_->setEnabled(can && !bench_.jobs().busy());
  demoAnew_->setVisible(there && DemoStudy::canBeMade());
  demoAnew_->setEnabled(!bench_.jobs().busy());
  const QString about =
      txt("Ondrey Haven is a made-up estuary. Eight steps lead from its bands to a confusion "
          "matrix, one hint at a time, with the real controls.");
  demoAbout_->setText(there ? about
                      : can ? about + " " +
                                  txt("It is made here in about half a minute and takes 350 MB.")
                            : about + " " + txt("Install the package zany-patch-demo for it."));
}

void StartPage::fillRecent() {
  qDeleteAll(recent_->findChildren<QWidget*>(QString(), Qt::FindDirectChildrenOnly));
  int shown = 0;
  for (const auto& folder : Workbench::recent()) {
    if (shown == kMostRecent || !QFileInfo::exists(folder + "/study.json")) continue;
    ++shown;
    auto* link = linkButton(QFileInfo(folder).fileName() + "   " + shortPlace(folder));
    link->setObjectName("recentStudy");
    connect(link, &QPushButton::clicked, this, [this, folder] { bench_.open(folder); });
    recent_->layout()->addWidget(link);
  }
  recentTitle_->setVisible(shown > 0);
}

bool StartPage::eventFilter(QObject* watched, QEvent* event) {
  if (watched == parent() && event->type() == QEvent::Resize) resize(parentWidget()->size());
  return QWidget::eventFilter(watched, event);
}

void StartPage::paintEvent(QPaintEvent*) {
  QPainter(this).fillRect(rect(), tokens().around);
}

}  // namespace zp
