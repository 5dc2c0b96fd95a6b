#pragma once
#include "desks/sampling/table/table_book.h"
#include "view/map_view.h"

namespace zp {

/// Where the rows of a table lie: a small view whose places are lit as their rows are chosen. A
/// click on one chooses its rows, a rectangle those of all that it meets.
class PlacesView : public QWidget {
  Q_OBJECT
 public:
  PlacesView(Workbench& bench, TableBook& book, QWidget* parent = nullptr);
  void open(const Picture& front);
  bool ready() const { return view_->complete(); }
  MapView& view() { return *view_; }
  /// The colours of the rows, by their place in the file; none: all alike.
  void setColours(const std::vector<QColor>& colours);

 private:
  void takePlaces();
  void showAll();
  void light();
  void chooseAt(Place place);
  void chooseIn(const Extent& box);
  void choose(const std::function<bool(size_t place)>& is);
  std::optional<size_t> placeAt(Place place) const;

  Workbench& bench_;
  TableBook& book_;
  std::unique_ptr<TileStore> tiles_;
  MapView* view_;
  QPushButton* box_;
  std::vector<Shape> shapes_;  // in the view's system
  std::vector<QColor> colours_;
};

}  // namespace zp
