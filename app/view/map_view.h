#pragma once
#include <QWidget>
#include <optional>

#include "look/spoken.h"
#include "outline/layer.h"
#include "view/furniture.h"
#include "view/shape_edit.h"
#include "view/tile_store.h"

namespace zp {

/// A vector shape over the pictures.
struct ViewShape {
  Shape shape;
  QColor colour;
  QColor line = {};  // of the edge, where it is not that of the whole
  bool dashed = false, filled = false, chosen = false;
  QString label;
  double width = 1.5;
};

/// A point over the pictures: planned, right (small disc) or wrong (ring around a dot).
struct ViewPoint {
  Place place;
  QColor colour, ring;  // ring valid: wrong
  bool chosen = false;
};

/// The view: a front and a back picture, alone or together, with outlines and points over both. x
/// grows to the right and y upwards, in the view's reference system.
class MapView : public QWidget, public Spoken {
  Q_OBJECT
 public:
  // Pick: clicks are somebody's, and pin nothing. Brush: dragging paints a line. DrawBox: it draws
  // a rectangle.
  enum class Tool { Look, DrawArea, Pick, Brush, DrawBox };
  /// Front alone; parted by the curtain; back and front side by side at the same place and scale;
  /// or the back one, enlarged, in a round glass at the pointer.
  enum class Mode { Front, Curtain, SideBySide, Loupe };

  explicit MapView(TileStore& tiles, QWidget* parent = nullptr);

  void setCrs(const std::string& crs);
  const std::string& crs() const { return crs_; }
  void setFront(const Picture& p);
  void setBack(const Picture& p);
  const Picture& front() const { return front_; }
  const Picture& back() const { return back_; }
  /// Laid over the front picture, so that it shines through: what is only looked at, such as a
  /// mask.
  void setVeil(const Picture& p, double opacity = 0.6);
  const Picture& veil() const { return veil_; }
  void setMode(Mode mode);
  Mode mode() const { return mode_; }
  void setShapes(std::vector<ViewShape> shapes);
  void setPoints(std::vector<ViewPoint> points);
  /// One whose corners can be dragged; nothing: none.
  void setEditable(const std::optional<Shape>& shape);
  void setTool(Tool tool);
  Tool tool() const { return tool_; }
  /// In map units.
  void setBrushWidth(double width);
  void setEmptyText(const QString& title, const QString& text);
  /// Marks a square of `size` map units around a place (labelling).
  void setMark(Place centre, double size);
  /// Only the picture: no titles, key or curtain (labelling).
  void setBare(bool bare) { bare_ = bare; }

  void fit();
  void zoomTo(const Extent& extent);
  void setCentre(Place centre, double unitsPerPixel);
  /// Where the view is likely to go next: read once what is shown is painted.
  void setAhead(const std::optional<Place>& place);
  /// The whole picture is in view and stays so when the window changes its size.
  bool fitted() const { return keepFitted_; }
  Place centre() const { return centre_; }
  double unitsPerPixel() const { return scale_; }
  Extent visible() const;
  Place toMap(QPointF p) const;
  /// In the front picture's part of the view.
  QPointF toScreen(Place p) const;
  /// Places that are marked with a number, such as pinned ones.
  void setPins(std::vector<Place> pins);
  /// Every tile of what is shown has been painted.
  bool complete() const;
  /// A first tile of the front picture, coarse or fine, has been painted.
  bool anything() const;
  QAccessible::Role role() const override { return QAccessible::Canvas; }
  QAccessible::Role partRole() const override { return QAccessible::StaticText; }
  QList<SpokenPart> parts() const override;

 Q_SIGNALS:
  void hovered(zp::Place place);
  void left();
  void clicked(zp::Place place);
  void areaDrawn(const zp::Ring& ring);
  void boxDrawn(const zp::Extent& box);
  /// Where the brush went.
  void lineBrushed(const zp::Ring& along);
  void shapeEdited(const zp::Shape& shape);
  void deleteAsked();
  void toolChanged();
  void moved();
  void swapAsked();
  /// A plain click, or P over a place: its profile is to stay.
  void pinAsked(zp::Place place);
  void unpinAsked(int index);
  void onlyClassAsked(int code);
  void hideClassAsked(int code);

 protected:
  void paintEvent(QPaintEvent*) override;
  void resizeEvent(QResizeEvent*) override;
  void mousePressEvent(QMouseEvent*) override;
  void mouseMoveEvent(QMouseEvent*) override;
  void mouseReleaseEvent(QMouseEvent*) override;
  void mouseDoubleClickEvent(QMouseEvent*) override;
  void wheelEvent(QWheelEvent*) override;
  void keyPressEvent(QKeyEvent*) override;
  void keyReleaseEvent(QKeyEvent*) override;
  void leaveEvent(QEvent*) override;

 private:
  using Wanted = std::vector<std::pair<Picture, TileId>>;
  /// Both pictures are there to be seen together.
  bool two() const { return !back_.none() && !peeking_; }
  QRectF frontPane() const;
  /// Where back and front stand side by side, the one under a point; else the whole.
  QRectF paneAt(QPointF p) const;
  void paintPane(QPainter& p, const QRectF& pane, const Picture& picture, Wanted& wanted);
  void paintPicture(QPainter& p, const Picture& picture, const QRect& clip, Wanted& wanted);
  void paintOver(QPainter& p, const Picture& picture, const QRect& clip, Wanted& wanted);
  void paintLoupe(QPainter& p, Wanted& wanted);
  void wantAhead(Wanted& wanted);
  void paintShapes(QPainter& p);
  void paintPoints(QPainter& p);
  void paintManyPoints(QPainter& p);
  void paintMark(QPainter& p);
  void paintPins(QPainter& p);
  void paintDrawing(QPainter& p);
  void paintBrush(QPainter& p);
  void paintBox(QPainter& p);
  void paintHint(QPainter& p, const QString& hint);
  void paintCross(QPainter& p) const;
  void paintTitles(QPainter& p);
  void paintTitle(QPainter& p, const Picture& picture, const QRectF& pane, bool atRight);
  void paintCurtain(QPainter& p);
  void paintEmpty(QPainter& p);
  void zoomBy(double factor, QPointF around);
  bool moveByKey(const QKeyEvent& e);
  bool drawByKey(const QKeyEvent& e);
  bool editByKey(const QKeyEvent& e);
  bool pointByKey(const QKeyEvent& e);
  void actAt(QPointF at, Qt::KeyboardModifiers held);
  bool letGo(QPointF at);
  void movedTo(QPointF at);
  /// Where one points: with the mouse, or by keys at the cross in the middle.
  QPointF pointer() const { return byKeys_ ? frontPane().center() : mouse_; }
  ShapeEdit::ToScreen screenOf() const {
    return [this](Place p) { return toScreen(p); };
  }
  bool nearCurtain(QPointF p) const;
  void moveCurtainTo(double x);
  int curtainX() const { return static_cast<int>(width() * curtainAt_); }
  void changed();

  TileStore& tiles_;
  std::string crs_;
  Picture front_, back_, veil_;
  double veilOpacity_ = 0.6;
  Mode mode_ = Mode::Front;
  QRectF pane_;  // that is painted now; empty between paintings
  bool peeking_ = false, bare_ = false, fitted_ = false, keepFitted_ = false, inside_ = false;
  bool byKeys_ = false;  // arrow keys move the picture under a cross, Space acts there
  double curtainAt_ = 0.5;
  Place centre_;
  double scale_ = 1;
  std::vector<ViewShape> shapes_;
  std::vector<ViewPoint> points_;
  Tool tool_ = Tool::Look;
  Ring drawing_;
  double brushWidth_ = 1;
  ShapeEdit edit_;
  QPointF pressed_, mouse_;
  Place pressedCentre_;
  bool panning_ = false, draggingCurtain_ = false, pressedHere_ = false;
  QString emptyTitle_, emptyText_;
  std::optional<Place> mark_;
  double markSize_ = 0;
  std::vector<KeyRow> keyRows_;
  std::vector<Place> pins_;
  QString
      staleKey_;  // of the front picture as it was displayed before: shown until it is repainted
  std::optional<Place> ahead_;
  bool all_ = false;  // everything shown was painted when it was last
};

}  // namespace zp
