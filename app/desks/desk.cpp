#include "desks/desk.h"

namespace zp {

QString nameWithDate(const Scene& scene) {
  // A name that tells the day already is followed by the year alone.
  const QString name = q(scene.name);
  QString date = niceDate(scene.date);
  if (!date.isEmpty() && name.contains(date.chopped(5)))
    date = name.contains(date) ? QString() : date.right(4);
  return name + (date.isEmpty() ? QString() : "  " + date);
}

Desk::Desk(Workbench& bench, MapView& view, const QString& title, QWidget* parent)
    : QWidget(parent), bench_(bench), view_(view) {
  title_ = headingLabel(title);
  second_ = secondLabel("");
  notice_ = secondLabel("");
  notice_->setObjectName("deskNotice");
  setTone(notice_, "warning");
  notice_->setVisible(false);
  missing_ = secondLabel("");
  missingAction_ = quietButton("");
  missing_->setVisible(false);
  missingAction_->setVisible(false);
  connect(missingAction_, &QPushButton::clicked, this,
          [this] { Q_EMIT stageAsked(missingStage_); });

  inside_ = new QWidget;
  body_ = new QVBoxLayout(inside_);
  body_->setContentsMargins(18, 0, 18, 8);
  body_->setSpacing(8);
  auto* scroll = scroll_ = new QScrollArea;
  scroll->setWidget(inside_);
  scroll->setWidgetResizable(true);
  scroll->setFrameShape(QFrame::NoFrame);
  scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
  scroll->setFocusPolicy(Qt::NoFocus);

  // Its bar stands in the margin, so that nothing is laid out anew when it comes.
  connect(scroll->verticalScrollBar(), &QScrollBar::rangeChanged, this,
          [this, scroll](int, int to) {
            const int bar = to > 0 ? scroll->verticalScrollBar()->sizeHint().width() : 0;
            body_->setContentsMargins(18, 0, 18 - bar, 8);
          });

  primary_ = primaryButton("");
  primary_->setObjectName("primary");
  footerBox_ = new QWidget;
  footer_ = new QHBoxLayout(footerBox_);
  footer_->setContentsMargins(18, 6, 18, 14);
  footer_->setSpacing(8);
  footer_->addWidget(primary_, 1);

  scene_ = new LongChoice;
  scene_->setObjectName("deskScene");
  scene_->setAccessibleName(txt("Scene this desk works on"));
  scene_->setToolTip(txt("The scene this desk works on; a click on a scene's card chooses it too"));
  scene_->setStyleSheet("QComboBox { padding: 1px 8px; min-height: 22px; }");
  scene_->setFixedWidth(210);
  scene_->setVisible(false);
  connect(scene_, &QComboBox::activated, this,
          [this] { bench_.setCurrentScene(scene_->currentData().toString()); });
  auto* head = new QVBoxLayout;
  head->setContentsMargins(18, 14, 18, 8);
  head->setSpacing(3);
  auto* titleRow = new QHBoxLayout;
  titleRow->setSpacing(8);
  titleRow->addWidget(title_, 1);
  titleRow->addWidget(scene_, 0, Qt::AlignTop);
  head->addLayout(titleRow);
  head->addWidget(second_);
  head->addWidget(missing_);
  head->addWidget(missingAction_, 0, Qt::AlignLeft);
  auto* noticeRow = new QHBoxLayout;
  noticeRow->setContentsMargins(18, 0, 18, 0);
  noticeRow->addWidget(notice_);
  auto* layout = new QVBoxLayout(this);
  layout->setContentsMargins(0, 0, 0, 0);
  layout->setSpacing(0);
  layout->addLayout(head);
  layout->addWidget(scroll, 1);
  layout->addLayout(noticeRow);
  layout->addWidget(footerBox_);
}

void Desk::setHeading(const QString& title, const QString& second) {
  title_->setText(title);
  second_->setText(second);
  second_->setVisible(!second.isEmpty());
}

void Desk::showSceneSelector() {
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

void Desk::setMissing(const QString& sentence, const QString& action, int stage) {
  scene_->setVisible(false);
  missing_->setText(sentence);
  missingAction_->setText(action);
  missingStage_ = stage;
  missing_->setVisible(true);
  missingAction_->setVisible(!action.isEmpty());
  inside_->setVisible(false);
  footerBox_->setVisible(false);
}

void Desk::setReady() {
  missing_->setVisible(false);
  missingAction_->setVisible(false);
  inside_->setVisible(true);
  footerBox_->setVisible(true);
}

QHBoxLayout* Desk::labelledRow(const QString& label, QWidget* field, QWidget* after) {
  auto* row = new QHBoxLayout;
  row->setSpacing(8);
  auto* l = secondLabel(label);
  l->setFixedWidth(108);
  l->setBuddy(field);
  field->setAccessibleName(label);
  row->addWidget(l);
  row->addWidget(field, 1);
  if (after != nullptr) row->addWidget(after);
  return row;
}

}  // namespace zp
