#pragma once
#include <map>
#include <string>
#include <vector>

#include "accuracy/assessment.h"
#include "base/json.h"
#include "grid/grid.h"

namespace zp {

/// What is said of a point: a class of the map at stake, and what it was seen by.
struct Label {
  int code = 0;
  int secondary = 0;           // of a mixed place: the class that comes second; 0: not mixed
  int earlier = 0, later = 0;  // of a map of change: the classes at its two dates
  Label(int c = 0, int s = 0, int e = 0, int l = 0) : code(c), secondary(s), earlier(e), later(l) {}
};

/// A validation point and what a labeller said of it.
struct ValidationPoint {
  int id = 0;
  Place place;
  int mapped = 0;     // class of the map; not shown before the labelling is closed
  int stratum = 0;    // class it was drawn in; 0: not drawn class by class
  int reference = 0;  // reference label; 0: none yet
  bool unsure = false, skipped = false;
  std::string note;
  int secondary = 0, earlier = 0, later = 0;  // see Label
  /// The label that a map or polygons gave it, which it follows while nobody says otherwise; 0:
  /// none.
  int said = 0;
};

/// A change of a label after the labelling was closed.
struct LateChange {
  int id, from, to;
  std::string when;  // ISO 8601
  std::string who, why;
};

/// The labelling of one set of validation points, in shuffled order. Labels are given to the point
/// at `position`; nothing else can be changed by accident.
class Labelling {
 public:
  Labelling() = default;
  /// Shuffles the points by seed (Fisher and Yates).
  Labelling(std::vector<ValidationPoint> points, uint64_t seed);

  const std::vector<ValidationPoint>& points() const { return points_; }  // in shown order
  bool empty() const { return points_.empty(); }
  size_t position() const { return position_; }
  const ValidationPoint& current() const { return points_.at(position_); }
  size_t labelled() const;
  size_t unsure() const;
  bool closed() const { return closed_; }

  void label(const Label& label, const std::string& now);  // and on to the next without one
  /// The point of an id, wherever one is; before the closing.
  void labelPoint(int id, const Label& label, const std::string& now);
  /// To the next point without a label, if there is one.
  void nextOpen() { advance(); }
  /// After the labelling was closed: the point stays, and it is recorded.
  void change(const Label& label, const std::string& now, const std::string& who,
              const std::string& why);
  void skip();
  void back();
  void goTo(size_t position);
  void toggleUnsure() { points_.at(position_).unsure = !points_.at(position_).unsure; }
  void setNote(const std::string& note) { points_.at(position_).note = note; }
  /// From here on the map's classes may be shown, and changes are recorded.
  void close(const std::string& now);
  const std::string& closedAt() const { return closedAt_; }
  const std::vector<LateChange>& lateChanges() const { return late_; }

  std::vector<MapAndReference> pairs() const;
  std::vector<DrawnPoint> drawn() const;
  /// The same, with a mixed point being the class that the map says if that is one of its two
  /// (Stehman and Czaplewski 1998: a primary and an alternate reference label).
  std::vector<DrawnPoint> drawnEither() const;
  /// As it was before a late change and all after it.
  std::vector<DrawnPoint> drawnBefore(size_t change) const;
  /// Classes of the map have other codes now: was → is.
  void recode(const std::map<int, int>& codes);
  /// A class of the two dates of a map of change has another code now.
  void renumberDates(int from, int to);
  /// The same labels after the map changed: `now` holds the same points with its new classes, and
  /// what is said of them elsewhere. Error when they are other points.
  Labelling onChangedMap(const std::vector<ValidationPoint>& now) const;

 private:
  friend Json toJson(const Labelling&);
  friend Labelling labellingFrom(const Json&);
  void advance();

  std::vector<ValidationPoint> points_;
  size_t position_ = 0;
  bool closed_ = false;
  std::string closedAt_;
  std::vector<LateChange> late_;
};

Json toJson(const Labelling& labelling);
/// Exception of the JSON library: not complete.
Labelling labellingFrom(const Json& json);

}  // namespace zp
