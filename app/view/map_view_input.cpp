// The view under mouse and keys.
#include "view/map_view.h"

namespace zp {

void MapView::moveCurtainTo(double x) {
  curtainAt_ = std::clamp(x / width(), 0.02, 0.98);
  update();
}

bool MapView::nearCurtain(QPointF p) const {
  return mode_ == Mode::Curtain && two() && !bare_ && std::abs(p.x() - curtainX()) < 8;
}

void MapView::mousePressEvent(QMouseEvent* e) {
  setFocus();
  byKeys_ = false;
  if (e->button() != Qt::LeftButton && e->button() != Qt::MiddleButton) return;
  if (e->button() == Qt::LeftButton && tool_ == Tool::Look &&
      edit_.press(e->position(), screenOf()))
    return;
  if (e->button() == Qt::LeftButton && (tool_ == Tool::Brush || tool_ == Tool::DrawBox)) {
    drawing_ = {toMap(e->position())};
    return update();
  }
  pressed_ = e->position();
  pressedHere_ = true;
  pressedCentre_ = centre_;
  draggingCurtain_ = e->button() == Qt::LeftButton && nearCurtain(pressed_);
}

void MapView::mouseMoveEvent(QMouseEvent* e) {
  mouse_ = e->position();
  inside_ = true;
  byKeys_ = false;
  if (edit_.holding()) return movedTo(mouse_);
  if (draggingCurtain_) {
    return moveCurtainTo(mouse_.x());
  }
  const bool held = pressedHere_ && (e->buttons() & (Qt::LeftButton | Qt::MiddleButton));
  if (held && !panning_ && (mouse_ - pressed_).manhattanLength() > 5) panning_ = true;
  if (panning_) {
    const QPointF d = mouse_ - pressed_;
    keepFitted_ = false;
    centre_ = {pressedCentre_.x - d.x() * scale_, pressedCentre_.y + d.y() * scale_};
    changed();
  } else if (tool_ == Tool::Look) {
    setCursor(edit_.near(mouse_, screenOf()) ? Qt::SizeAllCursor
              : nearCurtain(mouse_)          ? Qt::SplitHCursor
                                             : Qt::ArrowCursor);
  }
  movedTo(mouse_);
}

/// What follows the pointer.
void MapView::movedTo(QPointF at) {
  if (edit_.holding()) {
    edit_.drag(toMap(at));
    return update();
  }
  if (tool_ == Tool::Brush && !drawing_.empty()) drawing_.push_back(toMap(at));
  if (tool_ == Tool::Brush || tool_ == Tool::DrawBox || tool_ == Tool::DrawArea ||
      mode_ == Mode::Loupe)
    update();
  Q_EMIT hovered(toMap(at));
}

void MapView::mouseReleaseEvent(QMouseEvent* e) {
  if (e->button() == Qt::RightButton)
    for (const auto& row : keyRows_)
      if (row.code != 0 && row.box.contains(e->position())) return Q_EMIT hideClassAsked(row.code);
  if ((edit_.holding() || e->button() == Qt::LeftButton) && letGo(e->position())) return;
  if (!pressedHere_) return;
  const bool wasClick = !panning_ && !draggingCurtain_ && e->button() == Qt::LeftButton;
  panning_ = draggingCurtain_ = pressedHere_ = false;
  if (wasClick) actAt(e->position(), e->modifiers());
}

/// A corner, a stroke or a rectangle that was held is let go; false where nothing was.
bool MapView::letGo(QPointF at) {
  if (edit_.holding()) {
    const auto shape = edit_.release();
    update();
    if (shape) Q_EMIT shapeEdited(*shape);
    return true;
  }
  if (drawing_.empty() || (tool_ != Tool::Brush && tool_ != Tool::DrawBox)) return false;
  const Ring along = std::exchange(drawing_, {});
  update();
  if (tool_ == Tool::Brush) {
    Q_EMIT lineBrushed(along);
    return true;
  }
  Extent box{INFINITY, INFINITY, -INFINITY, -INFINITY};
  box.include(along[0]);
  box.include(toMap(at));
  if (box.empty())
    Q_EMIT clicked(toMap(at));
  else
    Q_EMIT boxDrawn(box);
  return true;
}

/// A click.
void MapView::actAt(QPointF at, Qt::KeyboardModifiers held) {
  if (tool_ == Tool::DrawArea) {
    drawing_.push_back(toMap(at));
    return update();
  }
  for (const auto& row : keyRows_) {
    if (row.code == 0 || !row.box.contains(at)) continue;
    if (held & Qt::ControlModifier) return Q_EMIT hideClassAsked(row.code);
    return Q_EMIT onlyClassAsked(row.code);
  }
  for (size_t i = 0; i < pins_.size() && tool_ == Tool::Look; ++i)
    if ((toScreen(pins_[i]) - QPointF(0, 20) - at).manhattanLength() < 11)
      return Q_EMIT unpinAsked(static_cast<int>(i));
  Q_EMIT clicked(toMap(at));
  if (tool_ == Tool::Look && held == Qt::NoModifier) Q_EMIT pinAsked(toMap(at));
}

void MapView::mouseDoubleClickEvent(QMouseEvent* e) {
  if (tool_ != Tool::DrawArea || e->button() != Qt::LeftButton) return;
  QKeyEvent enter(QEvent::KeyPress, Qt::Key_Return, Qt::NoModifier);
  keyPressEvent(&enter);
}

void MapView::wheelEvent(QWheelEvent* e) {
  zoomBy(std::pow(1.0015, -e->angleDelta().y()), e->position());
  e->accept();
}

void MapView::zoomBy(double factor, QPointF around) {
  const Place before = toMap(around);
  keepFitted_ = false;
  scale_ = std::clamp(scale_ * factor, 1e-9, 1e7);
  const Place after = toMap(around);
  centre_ = {centre_.x + before.x - after.x, centre_.y + before.y - after.y};
  changed();
}

/// Moves and zooms; false for another key.
bool MapView::moveByKey(const QKeyEvent& e) {
  const double pixels = e.modifiers() & Qt::ShiftModifier ? 8 : 80, step = pixels * scale_;
  const double way = e.key() == Qt::Key_Right ? 1 : e.key() == Qt::Key_Left ? -1 : 0;
  if (way != 0 && mode_ == Mode::Curtain && (e.modifiers() & Qt::ControlModifier)) {
    moveCurtainTo(curtainX() + way * pixels);
    return true;
  }
  const auto move = [this](double x, double y) {
    keepFitted_ = false;
    centre_ = {centre_.x + x, centre_.y + y};
    byKeys_ = !bare_ && (byKeys_ || !inside_ || tool_ != Tool::Look);
    changed();
    if (byKeys_) movedTo(pointer());
    return true;
  };
  switch (e.key()) {
    case Qt::Key_Left:
      return move(-step, 0);
    case Qt::Key_Right:
      return move(step, 0);
    case Qt::Key_Up:
      return move(0, step);
    case Qt::Key_Down:
      return move(0, -step);
    case Qt::Key_Plus:
    case Qt::Key_Equal:
      zoomBy(1 / 1.4, frontPane().center());
      return true;
    case Qt::Key_Minus:
      zoomBy(1.4, frontPane().center());
      return true;
    case Qt::Key_ParenRight:
    case Qt::Key_0:
      if (!(e.modifiers() & Qt::ShiftModifier))
        fit();
      else if (const Picture& p = front_.none() ? back_ : front_; !p.none())
        setCentre(centre_, gridOf(p).pixelWidth());
      return true;
    default:
      return false;
  }
}

/// While an area is drawn: takes a corner back, or closes it. False for another key.
bool MapView::drawByKey(const QKeyEvent& e) {
  if (tool_ != Tool::DrawArea) return false;
  if (e.key() == Qt::Key_Backspace && !drawing_.empty()) {
    drawing_.pop_back();
  } else if ((e.key() == Qt::Key_Return || e.key() == Qt::Key_Enter) && drawing_.size() >= 3) {
    const Ring ring = drawing_;
    drawing_.clear();
    Q_EMIT areaDrawn(ring);
  } else {
    return false;
  }
  update();
  return true;
}

/// At the cross: a click, or what is dragged begins and ends. False for another key.
bool MapView::pointByKey(const QKeyEvent& e) {
  if (bare_ || e.key() != Qt::Key_Space || front_.none()) return false;
  byKeys_ = true;
  const QPointF at = pointer();
  if (letGo(at)) return true;
  if (tool_ == Tool::Brush || tool_ == Tool::DrawBox)
    drawing_ = {toMap(at)};
  else if (tool_ != Tool::Look || !edit_.press(at, screenOf()))
    actAt(at, e.modifiers());
  update();
  return true;
}

void MapView::setEditable(const std::optional<Shape>& shape) {
  edit_.set(shape);
  update();
}

/// Takes the corner under the pointer away, or asks for the whole to go. False for another key.
bool MapView::editByKey(const QKeyEvent& e) {
  if (!edit_.active() || edit_.holding() || e.key() != Qt::Key_Delete) return false;
  const bool corner = (inside_ || byKeys_) && edit_.near(pointer(), screenOf());
  if (const auto left = edit_.without(pointer(), screenOf()); left && corner)
    Q_EMIT shapeEdited(*left);
  else if (!corner)
    Q_EMIT deleteAsked();
  return true;
}

void MapView::keyPressEvent(QKeyEvent* e) {
  if (moveByKey(*e) || pointByKey(*e) || drawByKey(*e) || editByKey(*e)) return;
  switch (e->key()) {
    case Qt::Key_X:
      return Q_EMIT swapAsked();
    case Qt::Key_P:
      if ((inside_ || byKeys_) && !bare_) return Q_EMIT pinAsked(toMap(pointer()));
      break;
    case Qt::Key_QuoteLeft:
      peeking_ = true;
      return update();
    case Qt::Key_Escape:
      if (tool_ != Tool::Look) return setTool(Tool::Look);
      break;
    default:
      break;
  }
  QWidget::keyPressEvent(e);
}

void MapView::keyReleaseEvent(QKeyEvent* e) {
  if (e->key() == Qt::Key_QuoteLeft && !e->isAutoRepeat()) {
    peeking_ = false;
    return update();
  }
  QWidget::keyReleaseEvent(e);
}

void MapView::leaveEvent(QEvent*) {
  inside_ = false;
  if (byKeys_) return;
  if (mode_ == Mode::Loupe) update();
  Q_EMIT left();
}

}  // namespace zp
