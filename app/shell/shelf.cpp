#include "shell/shelf.h"

#include "look/look.h"
#include "look/parts.h"
#include "shell/product_face.h"

namespace zp {

namespace {
constexpr int kThumbWidth = 130, kThumbHeight = 57;
}

Card::Card(const QString& id, const QString& name, const QString& about, const Sort& sort)
    : id_(id), name_(name), about_(about), sort_(sort) {
  setFixedSize(sizeHint());
  setFocusPolicy(Qt::StrongFocus);
  setObjectName("card-" + id);
  setAccessibleName(name + ", " + about);
  setToolTip(name + "\n" + about + "\n" +
             txt("Click: front picture. Shift-click: back picture. Double-click: facts."));
}

void Card::setThumbnail(const QImage& image) {
  thumbnail_ = image;
  update();
}

void Card::setState(bool front, bool back, bool outOfDate) {
  front_ = front, back_ = back, old_ = outOfDate;
  QStringList told;
  if (front) told << txt("front");
  if (back) told << txt("back");
  if (outOfDate) told << txt("out of date");
  setAccessibleDescription(told.join(", "));
  update();
}

void Card::paintEvent(QPaintEvent*) {
  QPainter p(this);
  p.setRenderHint(QPainter::Antialiasing);
  const Tokens& t = tokens();
  const QRectF box = QRectF(rect()).adjusted(1, 1, -1, -1);
  QPainterPath shape;
  shape.addRoundedRect(box, 4, 4);
  p.fillPath(shape, t.raised);
  p.save();
  p.setClipPath(shape);
  const QRectF picture(1, 1, kThumbWidth - 2, kThumbHeight);
  p.fillRect(picture, t.around);
  if (!thumbnail_.isNull()) {
    p.setRenderHint(QPainter::SmoothPixmapTransform);
    p.drawImage(picture, thumbnail_);
  } else {
    const QPixmap sign = icon(sort_.sign).pixmap(22, 22);
    p.drawPixmap(QPointF(picture.center().x() - 11, picture.center().y() - 11), sign);
  }
  p.restore();
  if (front_ || back_) {
    const QString word = front_ ? txt("front") : txt("back");
    p.setFont(textFont(8.5, QFont::Medium));
    const QRectF tag(5, 5, p.fontMetrics().horizontalAdvance(word) + 10, 16);
    p.setPen(Qt::NoPen);
    p.setBrush(QColor(24, 24, 24, 215));
    p.drawRoundedRect(tag, 3, 3);
    p.setPen(Qt::white);
    p.drawText(tag, Qt::AlignCenter, word);
  }
  if (old_) {
    const QPointF c(width() - 13, 13);
    p.setPen(Qt::NoPen);
    p.setBrush(QColor(24, 24, 24, 215));
    p.drawEllipse(c, 8, 8);
    p.setPen(QPen(Qt::white, 1.4));
    p.setBrush(Qt::NoBrush);
    p.drawEllipse(c, 5, 5);
    p.setBrush(Qt::white);
    p.drawPie(QRectF(c.x() - 5, c.y() - 5, 10, 10), 90 * 16, -180 * 16);
  }
  p.setPen(t.text);
  p.setFont(textFont(9.5));
  p.drawText(QRectF(8, kThumbHeight + 3, width() - 14, 17), Qt::AlignVCenter,
             p.fontMetrics().elidedText(name_, Qt::ElideRight, width() - 14));
  p.setPen(t.second);
  p.setFont(textFont(8.5));
  p.drawText(QRectF(8, kThumbHeight + 19, width() - 14, 15), Qt::AlignVCenter,
             p.fontMetrics().elidedText(about_, Qt::ElideRight, width() - 14));
  p.setBrush(Qt::NoBrush);
  if (front_ || back_ || hasFocus()) {
    p.setPen(QPen(t.accent, front_ || hasFocus() ? 2 : 1));
    p.drawPath(shape);
  }
}

void Card::mousePressEvent(QMouseEvent* e) {
  if (e->button() == Qt::LeftButton) pressed_ = e->position().toPoint();
}

void Card::mouseMoveEvent(QMouseEvent* e) {
  if (!pressed_ ||
      (e->position().toPoint() - *pressed_).manhattanLength() < QApplication::startDragDistance())
    return;
  pressed_.reset();
  auto* mime = new QMimeData;
  mime->setData(kCardMime, id_.toUtf8());
  auto* drag = new QDrag(window());  // the card may go while it is dragged
  drag->setMimeData(mime);
  drag->setPixmap(grab());
  drag->exec(Qt::CopyAction);
}

void Card::mouseReleaseEvent(QMouseEvent* e) {
  if (!pressed_ || !rect().contains(e->position().toPoint())) return pressed_.reset();
  pressed_.reset();
  if (e->modifiers() & Qt::ShiftModifier)
    Q_EMIT back(id_);
  else
    Q_EMIT front(id_);
}

void Card::mouseDoubleClickEvent(QMouseEvent*) {
  Q_EMIT sheet(id_);
}
void Card::contextMenuEvent(QContextMenuEvent* e) {
  Q_EMIT menu(id_, e->globalPos());
}

void Card::keyPressEvent(QKeyEvent* e) {
  if (e->key() == Qt::Key_Return || e->key() == Qt::Key_Space) {
    if (e->modifiers() & Qt::ShiftModifier) return Q_EMIT back(id_);
    return Q_EMIT front(id_);
  }
  if (e->key() == Qt::Key_Menu) return Q_EMIT menu(id_, mapToGlobal(rect().center()));
  QWidget::keyPressEvent(e);
}

Shelf::Shelf(Workbench& bench, QWidget* parent)
    : QWidget(parent), bench_(bench), thumbnails_(kThumbWidth * 2, kThumbHeight * 2, this) {
  setObjectName("shelf");
  setFixedHeight(114);
  scroll_ = new QScrollArea;
  scroll_->setWidgetResizable(true);
  scroll_->setFrameShape(QFrame::NoFrame);
  scroll_->setVerticalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
  scroll_->setFocusPolicy(Qt::NoFocus);
  auto* inside = new QWidget;
  row_ = new QHBoxLayout(inside);
  row_->setContentsMargins(13, 8, 13, 8);
  row_->setSpacing(8);
  scroll_->setWidget(inside);
  filter_ = new QToolButton;
  filter_->setObjectName("shelfFilter");
  filter_->setIcon(icon("filter"));
  filter_->setToolTip(txt("Which cards are shown"));
  filter_->setAccessibleName(txt("Which cards are shown"));
  filter_->setPopupMode(QToolButton::InstantPopup);
  auto* kinds = new QMenu(filter_);
  auto* group = new QActionGroup(kinds);
  const auto offer = [&](const QString& wanted, const QString& name) {
    auto* action = kinds->addAction(name, this, [this, wanted] {
      shownGroup_ = wanted;
      applyFilter();
    });
    action->setCheckable(true);
    action->setChecked(wanted.isEmpty());
    group->addAction(action);
  };
  offer("", txt("Everything"));
  QStringList offered;
  for (const auto& face : productFaces())
    if (!offered.contains(face.group)) offer(face.group, txt(face.groups)), offered << face.group;
  filter_->setMenu(kinds);
  auto* across = new QHBoxLayout;
  across->setContentsMargins(0, 0, 8, 0);
  across->addWidget(scroll_, 1);
  across->addWidget(filter_);
  auto* layout = new QVBoxLayout(this);
  layout->setContentsMargins(0, 0, 0, 0);
  layout->setSpacing(0);
  layout->addWidget(hairline());
  layout->addLayout(across);
  connect(&bench_, &Workbench::studyChanged, this, &Shelf::rebuild);
  connect(&bench_, &Workbench::changed, this, &Shelf::rebuild);
}

void Shelf::setShown(const QString& front, const QString& back) {
  front_ = front, back_ = back;
  for (auto* c : cards_) {
    const auto* product = bench_.study().product(c->id().toStdString());
    c->setState(c->id() == front, c->id() == back,
                product != nullptr && bench_.study().outOfDate(*product));
  }
}

void Shelf::rebuild() {
  while (auto* item = row_->takeAt(0)) {
    if (item->widget() != nullptr) item->widget()->deleteLater();
    delete item;
  }
  cards_.clear();
  if (!bench_.hasStudy()) return;
  thumbnails_.startRound();
  const Study& s = bench_.study();
  const auto add = [&](const std::string& id, const std::string& name, const QString& about,
                       const char* sign, const char* group) {
    auto* card = new Card(q(id), q(name), about, {sign, group});
    connect(card, &Card::front, this, &Shelf::frontAsked);
    connect(card, &Card::back, this, &Shelf::backAsked);
    connect(card, &Card::sheet, this, &Shelf::sheetAsked);
    connect(card, &Card::menu, this, &Shelf::openMenu);
    row_->addWidget(card);
    cards_.append(card);
    const Picture picture = bench_.pictureOf(q(id));
    if (picture.none()) return;
    thumbnails_.ask(picture, card, [card](const QImage& image) { card->setThumbnail(image); });
  };
  for (auto p = s.products.rbegin(); p != s.products.rend(); ++p) {
    const ProductFace& face = faceOf(p->kind);
    if (!face.shelved) continue;
    const QString date = niceDate(p->date);
    add(p->id, p->name, cardWord(p->kind) + (date.isEmpty() ? QString() : " · " + date), face.sign,
        face.group);
  }
  auto scenes = s.scenes;
  std::stable_sort(scenes.begin(), scenes.end(), [](const StudyScene& a, const StudyScene& b) {
    return a.scene.date > b.scene.date;
  });
  for (const auto& one : scenes) {
    const QString kind = one.scene.isRadar() ? txt("radar") : txt("scene");

    add(one.id, one.scene.name,
        kind + " · " + txt("%n bands", "%n band", static_cast<qint64>(one.scene.bands.size())),
        "scene", "scene");
  }
  if (cards_.isEmpty()) {
    auto* empty = secondLabel(txt("Scenes and what you make of them stand here."));
    empty->setWordWrap(false);
    row_->addWidget(empty);
  }
  row_->addStretch();
  setShown(front_, back_);
  applyFilter();
}

void Shelf::applyFilter() {
  for (auto* c : cards_) c->setVisible(shownGroup_.isEmpty() || c->group() == shownGroup_);
  filter_->setDown(!shownGroup_.isEmpty());
}

void Shelf::openMenu(const QString& id, const QPoint& at) {
  QMenu menu;
  menu.addAction(txt("Show in front"), this, [=, this] { Q_EMIT frontAsked(id); });
  menu.addAction(txt("Show behind"), this, [=, this] { Q_EMIT backAsked(id); });
  menu.addAction(txt("Facts"), this, [=, this] { Q_EMIT sheetAsked(id); });
  menu.addSeparator();
  if (const auto* p = bench_.study().product(id.toStdString())) {
    auto* fresh =
        menu.addAction(txt("Bring up to date"), this, [=, this] { bench_.bringUpToDate(id); });
    fresh->setEnabled(bench_.study().outOfDate(*p));
    menu.addAction(txt("Rename…"), this, [this, id, before = q(p->name)] {
      bool ok = false;
      const QString name =
          QInputDialog::getText(this, txt("Rename"), txt("Name"), QLineEdit::Normal, before, &ok);
      if (ok) bench_.renameProduct(id, name);
    });
    menu.addAction(txt("Save a copy as…"), this, [this, id, file = p->file.filename()] {
      const QString target =
          QFileDialog::getSaveFileName(this, txt("Save a copy as"), q(file.string()));
      if (!target.isEmpty()) bench_.copyProduct(id, target);
    });
    if (p->kind == ProductKind::ClassMap)
      menu.addAction(txt("Polygons…"), this, [=, this] { Q_EMIT polygonsAsked(id); });
    if (p->kind == ProductKind::Clusters)
      menu.addAction(txt("Name the clusters…"), this, [=, this] { Q_EMIT namingAsked(id); });
    menu.addAction(icon("bin"), txt("To the bin"), this, [=, this] { bench_.toBin(id); });
  } else {
    const auto* s = bench_.study().scene(id.toStdString());
    const QString product = s != nullptr ? q(s->product) : QString();
    if (const auto* made = bench_.study().product(product.toStdString())) {
      auto* fresh = menu.addAction(txt("Bring up to date"), this,
                                   [=, this] { bench_.bringUpToDate(product); });
      fresh->setEnabled(bench_.study().outOfDate(*made));
      menu.addAction(icon("bin"), txt("To the bin"), this, [=, this] { bench_.toBin(product); });
    } else {
      menu.addAction(txt("Take out of the study"), this, [=, this] { bench_.removeScene(id); });
    }
  }
  menu.exec(at);
}

}  // namespace zp
