#pragma once
#include <QPainter>
#include <functional>
#include <optional>

#include "outline/layer.h"

namespace zp {

/// A shape whose corners are dragged in the view: a corner moves, the small square in the middle of
/// an edge becomes one, and one is taken away. What is too small on the screen to be aimed at is
/// not edited.
class ShapeEdit {
 public:
  using ToScreen = std::function<QPointF(Place)>;

  /// In the view's system; nothing: none is edited. One that is being dragged stays in hand.
  void set(const std::optional<Shape>& shape);
  bool active() const { return shape_.has_value(); }
  bool holding() const { return held_.has_value(); }
  /// Whether there is something to take hold of.
  bool near(QPointF at, const ToScreen& toScreen) const;
  /// Takes hold of what is there; false where nothing is.
  bool press(QPointF at, const ToScreen& toScreen);
  void drag(Place to);
  /// Lets go; the shape, where it is another than before.
  std::optional<Shape> release();
  /// Without the corner that is there; nothing where there is none, or it is one of three.
  std::optional<Shape> without(QPointF at, const ToScreen& toScreen) const;
  void paint(QPainter& p, const ToScreen& toScreen) const;

 private:
  struct Corner {
    size_t ring = 0, place = 0;
  };
  bool largeEnough(const ToScreen& toScreen) const;
  std::optional<Corner> cornerAt(QPointF at, const ToScreen& toScreen) const;
  /// The corner that an edge begins with whose middle is there.
  std::optional<Corner> edgeAt(QPointF at, const ToScreen& toScreen) const;

  std::optional<Shape> shape_;
  std::optional<Corner> held_;
  bool changed_ = false;
};

}  // namespace zp
