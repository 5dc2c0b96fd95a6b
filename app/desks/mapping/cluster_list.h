#pragma once
#include <QtWidgets>
#include <optional>

namespace zp {

/// A cluster as the board tells it. Profiles run from 0 to 1 in both directions.
struct ClusterRow {
  int code = 0;
  QColor colour;
  double share = 0;     // of the pixels
  QPolygonF profile;    // its mean
  QPolygonF nearest;    // the signature nearest to it; empty when there is none
  QString nearestName;  // of its class
  QColor nearestColour;
  double distance = 0;    // in spreads of that class
  std::optional<int> is;  // the class it is; 0: left out; none: not named yet
  QString name;           // of that class
  QColor classColour;
};

/// Clusters, largest first, a line each: colour, share, profile over the nearest signature, what is
/// nearest, and what each was said to be.
class ClusterList : public QListWidget {
  Q_OBJECT
 public:
  explicit ClusterList(QWidget* parent = nullptr);
  /// Keeps which one is chosen and how far it is scrolled.
  void setRows(std::vector<ClusterRow> rows);
  const std::vector<ClusterRow>& rows() const { return rows_; }
  /// The code of the chosen one; 0 for none.
  int chosen() const;
  void choose(int code);
  /// Under the pointer; 0 for none.
  int hovered() const { return hovered_; }
  /// Where the columns begin, for the heads over them.
  static constexpr int kShare = 38, kProfile = 148, kNearest = 282, kIs = 460;

 Q_SIGNALS:
  void lit();  // another one is chosen or hovered

 protected:
  bool viewportEvent(QEvent* e) override;
  void keyPressEvent(QKeyEvent* e) override;

 private:
  void setHovered(int code);
  std::vector<ClusterRow> rows_;
  int hovered_ = 0;
};

}  // namespace zp
