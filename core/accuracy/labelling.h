#pragma once
#include <filesystem>
#include <map>
#include <optional>
#include <string>
#include <vector>

#include "accuracy/assessment.h"
#include "base/json.h"
#include "grid/grid.h"

namespace zp {

/// A validation point and what a labeller said of it.
struct ValidationPoint {
  int id = 0;
  Place place;
  int mapped = 0;     // class of the map; not shown before the labelling is closed
  int stratum = 0;    // class it was drawn in; 0: not drawn class by class
  int reference = 0;  // reference label; 0: none yet
  bool unsure = false, skipped = false;
  std::string note;
  int secondary = 0;  // of a mixed place: the class that comes second; 0: not mixed
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

  void label(int code, const std::string& now);  // and on to the next without a label
  /// Of a mixed place, before the closing: the class that most of it is, and the one after it.
  void labelMixed(int code, int secondary, const std::string& now);
  /// The point of an id, wherever one is; before the closing.
  void labelPoint(int id, int code, const std::string& now);
  /// To the next point without a label, if there is one.
  void nextOpen() { advance(); }
  /// After the labelling was closed: the point stays, and it is recorded.
  void change(int code, const std::string& now, const std::string& who, const std::string& why);
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
  /// A class has another code now.
  void renumber(int from, int to);
  /// The same labels after the map changed: `now` holds the same points with its new classes.
  /// Error when they are other points.
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
Labelling labellingFrom(const Json& json);

/// A point that two labellers saw differently, and the class they settled for.
struct Settled {
  int id = 0, first = 0, second = 0, to = 0;
  std::string when;  // ISO 8601
};

/// What a second labeller says of the same points, or a share of them; see second_labeller.h.
struct SecondLabels {
  std::string labeller;
  Labelling labelling;
  std::vector<Settled> settled = {};
};

/// A labelling with the reference system of its places: format zany-patch-labels.
struct LabelsFile {
  Labelling labelling;
  std::string crs;
  /// Of points drawn class by class: square metres of each stratum.
  std::map<int, double> strata = {};
  std::string labeller = {};
  /// Pixels along the side of the square that each label is of: 1 or 3.
  int block = 1;
  std::optional<SecondLabels> second = {};
};
/// A class has another code now.
void renumber(LabelsFile& labels, int from, int to);

Json toJson(const LabelsFile& labels);
LabelsFile labelsFrom(const Json& json);

/// Error: another format, not complete.
LabelsFile readLabels(const std::filesystem::path& file);
void writeLabels(const std::filesystem::path& file, const LabelsFile& labels);

}  // namespace zp
