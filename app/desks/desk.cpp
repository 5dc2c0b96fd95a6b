#include "desks/desk.h"

#include "shell/find_widgets.h"

namespace zp {

Desk::Desk(Workbench& bench, MapView& view, const QString& title)
    : bench_(bench), view_(view), name_(title) {
  buildHead(title);
  buildBody();
  buildFooter();
  auto* layout = new QVBoxLayout(this);
  layout->setContentsMargins(0, 0, 0, 0);
  layout->setSpacing(0);
  layout->addLayout(head_);
  layout->addWidget(scroll_, 1);
  for (auto* line : {notice_, need_}) {
    auto* row = new QHBoxLayout;
    row->setContentsMargins(18, 0, 18, 0);
    row->addWidget(line);
    layout->addLayout(row);
  }
  layout->addWidget(footerBox_);
}

void Desk::buildHead(const QString& title) {
  title_ = headingLabel(title);
  second_ = secondLabel("");
  missing_ = secondLabel("");
  missingAction_ = quietButton("");
  missing_->setVisible(false);
  missingAction_->setVisible(false);
  connect(missingAction_, &QPushButton::clicked, this,
          [this] { Q_EMIT stageAsked(missingStage_); });
  scene_ = new LongChoice;
  scene_->setObjectName("deskScene");
  scene_->setAccessibleName(txt("Scene this desk works on"));
  scene_->setToolTip(txt("The scene this desk works on; a click on a scene's card chooses it too"));
  scene_->setStyleSheet("QComboBox { padding: 1px 8px; min-height: 22px; }");
  scene_->setFixedWidth(210);
  scene_->setVisible(false);
  connect(scene_, &QComboBox::activated, this,
          [this] { bench_.setCurrentScene(scene_->currentData().toString()); });
  head_ = new QVBoxLayout;
  head_->setContentsMargins(18, 14, 18, 8);
  head_->setSpacing(3);
  auto* titleRow = new QHBoxLayout;
  titleRow->setSpacing(8);
  titleRow->addWidget(title_, 1);
  titleRow->addWidget(scene_, 0, Qt::AlignTop);
  head_->addLayout(titleRow);
  head_->addWidget(second_);
  head_->addWidget(missing_);
  head_->addWidget(missingAction_, 0, Qt::AlignLeft);
}

void Desk::buildBody() {
  inside_ = new QWidget;
  body_ = new QVBoxLayout(inside_);
  body_->setContentsMargins(18, 0, 18, 8);
  body_->setSpacing(8);
  chips_ = wrapping({}, 6);
  chips_->setVisible(false);
  scroll_ = new QScrollArea;
  scroll_->setWidget(inside_);
  scroll_->setWidgetResizable(true);
  scroll_->setFrameShape(QFrame::NoFrame);
  scroll_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
  scroll_->setFocusPolicy(Qt::NoFocus);
  // Its bar stands in the margin, so that nothing is laid out anew when it comes.
  connect(scroll_->verticalScrollBar(), &QScrollBar::rangeChanged, this, [this](int, int to) {
    const int bar = to > 0 ? scroll_->verticalScrollBar()->sizeHint().width() : 0;
    body_->setContentsMargins(18, 0, 18 - bar, 8);
  });
}

void Desk::buildFooter() {
  notice_ = secondLabel("");
  notice_->setObjectName("deskNotice");
  setTone(notice_, "warning");
  notice_->setVisible(false);
  need_ = secondLabel("");
  need_->setObjectName("deskNeed");
  need_->setVisible(false);
  primary_ = primaryButton("");
  primary_->setObjectName("primary");
  connect(primary_, &QPushButton::clicked, this, [this] {
    say("");
    Panel* panel = acting();
    if (panel == nullptr || panel->action().isEmpty()) return Q_EMIT stageAsked(nextStage_);
    panel->act();
  });
  footerBox_ = new QWidget;
  footer_ = new QHBoxLayout(footerBox_);
  footer_->setContentsMargins(18, 6, 18, 14);
  footer_->setSpacing(8);
  footer_->addWidget(primary_, 1);
}

void Desk::connectPanel(Panel* panel) {
  panels_.push_back(panel);
  connect(panel, &Panel::changed, this, &Desk::tell);
  connect(panel, &Panel::trouble, this, &Desk::say);
  connect(panel, &Panel::overlayChanged, this, &Desk::overlayChanged);
  connect(panel, &Panel::pictureAsked, this, &Desk::pictureAsked);
  connect(panel, &Panel::productAsked, this, &Desk::productAsked);
  connect(panel, &Panel::behindAsked, this, &Desk::behindAsked);
  connect(panel, &Panel::stageAsked, this, &Desk::stageAsked);
  connect(panel, &Panel::areaAsked, this, &Desk::showArea);
  connect(panel, &Panel::revealAsked, this, [this](QWidget* part) {
    // Once it has its place.
    QTimer::singleShot(0, part, [this, part] { scroll_->ensureWidgetVisible(part, 0, 8); });
  });
  if (auto* beside = panel->besideAction()) footer_->addWidget(beside);
}

void Desk::addPanel(Panel* panel, int stretch) {
  connectPanel(panel);
  body_->addWidget(panel, stretch);
}

void Desk::addPage(Panel* page, const char* name, const QString& title) {
  connectPanel(page);
  if (pages_.empty()) page_ = page;
  if (chips_->parentWidget() == nullptr) body_->addWidget(chips_);
  QPushButton* button = nullptr;
  if (!title.isEmpty()) {
    button = chip(title);
    button->setObjectName(name);
    button->setChecked(page == page_);
    chips_->layout()->addWidget(button);
    openedBy(page, name);
    connect(button, &QPushButton::clicked, this, [this, page] { showPage(page); });
  }
  pages_[page] = button;
  chips_->setVisible(pages_.size() > 1);
  page->setVisible(page == page_);
  body_->addWidget(page, 1);
}

void Desk::showPage(Panel* wanted) {
  Panel* before = page_;
  page_ = wanted;
  if (before != wanted) {
    before->leave();
    say("");
  }
  for (const auto& [page, button] : pages_) {
    if (button != nullptr) button->setChecked(page == page_);
    page->setVisible(page == page_);
  }
  if (bench_.hasStudy() && missing().sentence.isEmpty()) {
    fill();
    page_->refresh();
  }
  tell();
  Q_EMIT overlayChanged();
}

void Desk::setNext(const QString& words, int stage) {
  next_ = words;
  nextStage_ = stage;
}

Panel* Desk::acting() const {
  if (page_ != nullptr) return page_;
  return panels_.empty() ? nullptr : panels_.front();
}

bool Desk::isSeen(const Panel* panel) const {
  return pages_.count(const_cast<Panel*>(panel)) == 0 || panel == page_;
}

Panel::Heading Desk::heading() const {
  return acting() == nullptr ? Panel::Heading() : acting()->heading();
}

void Desk::refresh() {
  const Missing lacks = missing();
  tellMissing(lacks);
  if (!lacks.sentence.isEmpty()) return;
  if (namesScene_) fillScenes();
  fill();
  for (auto* panel : panels_) panel->refresh();
  tell();
}

void Desk::leave() {
  for (auto* panel : panels_) panel->leave();
}

void Desk::forget() {
  for (auto* panel : panels_) panel->forget();
}

void Desk::tell() {
  if (!bench_.hasStudy() || !missing().sentence.isEmpty()) return;
  const auto head = heading();
  title_->setText(head.title.isEmpty() ? name_ : head.title);
  second_->setText(head.second);
  second_->setVisible(!head.second.isEmpty());
  const Panel* panel = acting();
  const QString action = panel == nullptr ? QString() : panel->action();
  const QString need = action.isEmpty() ? QString() : panel->missing();
  primary_->setText(action.isEmpty() ? next_ : action);
  primary_->setEnabled(action.isEmpty() ? mayGoOn() : need.isEmpty());
  need_->setText(need);
  need_->setVisible(!need.isEmpty());
  for (const auto* one : panels_)
    if (auto* beside = one->besideAction()) beside->setVisible(isSeen(one) && one->offersBeside());
}

/// With some of what lies around it.
void Desk::showArea(size_t training) {
  constexpr double kAround = 2;
  const Study& study = bench_.study();
  if (training >= study.training.size()) return;
  const Extent e = study.training[training].shape.extent();
  const auto there = broughtTo(e, study.trainingCrs, view_.crs());
  if (!there) return;
  const double across = std::max(there->right - there->left, 10 * view_.unitsPerPixel()) * kAround,
               down = std::max(there->top - there->bottom, 10 * view_.unitsPerPixel()) * kAround;
  view_.zoomTo(
      {there->left - across, there->bottom - down, there->right + across, there->top + down});
}

std::vector<ViewShape> Desk::shapes() const {
  std::vector<ViewShape> all;
  for (const auto* panel : panels_) {
    if (!isSeen(panel)) continue;
    auto some = panel->shapes();
    all.insert(all.end(), std::make_move_iterator(some.begin()),
               std::make_move_iterator(some.end()));
  }
  return all;
}

std::vector<ViewPoint> Desk::points() const {
  std::vector<ViewPoint> all;
  for (const auto* panel : panels_) {
    if (!isSeen(panel)) continue;
    const auto some = panel->points();
    all.insert(all.end(), some.begin(), some.end());
  }
  return all;
}

void Desk::fillScenes() {
  const auto* current = bench_.currentScene();
  scene_->clear();
  for (const auto& one : bench_.study().scenes) scene_->addItem(nameWithDate(one.scene), q(one.id));
  if (current != nullptr) scene_->setCurrentIndex(scene_->findData(q(current->id)));
  scene_->setVisible(scene_->count() > 0);
}

void Desk::say(const QString& sentence) {
  notice_->setText(sentence);
  notice_->setVisible(!sentence.isEmpty());
}

void Desk::tellMissing(const Missing& lacks) {
  const bool any = !lacks.sentence.isEmpty();
  missing_->setText(lacks.sentence);
  missingAction_->setText(lacks.action);
  missingStage_ = lacks.stage;
  missing_->setVisible(any);
  missingAction_->setVisible(any && !lacks.action.isEmpty());
  inside_->setVisible(!any);
  footerBox_->setVisible(!any);
  if (!any) return;
  title_->setText(name_);
  second_->setVisible(false);
  scene_->setVisible(false);
  need_->setVisible(false);
}

}  // namespace zp
