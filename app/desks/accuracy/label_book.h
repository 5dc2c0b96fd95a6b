#pragma once
#include <set>

#include "accuracy/second_labeller.h"
#include "shell/workbench.h"
#include "study/judgement.h"

namespace zp {

/// The labelling that is open, with its file: read once, written after every label.
class LabelBook : public QObject {
  Q_OBJECT
 public:
  explicit LabelBook(Workbench& bench);
  /// The newest labels product of the study; false when there is none or it cannot be read.
  bool load();
  bool none() const { return file_.labelling.empty(); }
  /// The labels that judge the map.
  Labelling& labelling() { return file_.labelling; }
  const Labelling& labelling() const { return file_.labelling; }
  const LabelsFile& file() const { return file_; }
  const std::string& crs() const { return file_.crs; }

  /// What is done on the labelling desk.
  enum class Task { Label, Second, Settle };
  Task task() const { return task_; }
  void setTask(Task task) { task_ = task; }
  /// The labels given there: those of the second labeller when it is their turn.
  Labelling& worked();
  const Labelling& worked() const { return const_cast<LabelBook*>(this)->worked(); }
  /// Nothing of what the map or the first labeller says may be seen: the labelling is not closed,
  /// or a second labeller has not finished.
  bool blind() const;
  const std::string& labeller() const { return file_.labeller; }
  void setLabeller(const std::string& name);
  const std::optional<SecondLabels>& second() const { return file_.second; }
  void addSecond(const std::string& labeller, double share);
  /// Of the two, once the second has finished.
  std::optional<Agreement> agreement() const;
  /// The class that both settled for at a point.
  void settle(int id, const Label& to, const std::string& now);
  /// The map is one of change: a label is a class of its earlier date and one of its later.
  bool ofChange() const { return file_.change.has_value(); }
  /// The classes of the map, which the labels are.
  const Legend& legend() const { return file_.legend(bench_.study().legend); }
  /// Those that have a key; of a map of change, the classes of its dates.
  Legend keys() const;
  Label labelOf(int code) const { return file_.labelOf(code); }
  Label labelOfChange(int earlier, int later);
  /// A class of the map or, of a map of change, of its dates, by name; a word for those unknown.
  QString className(int code) const;
  /// What the codes of another map are among those of the labels; none where it says something
  /// else.
  std::optional<std::map<int, int>> codesOf(const Product& map);
  /// Of the first (1) or second (2); a word for them where they gave no name.
  QString labellerName(int which) const;
  /// Pixels along the side of the square that a label is of: 1 or 3.
  int block() const { return file_.block; }
  /// Saves after a change and tells.
  void changed();
  const Product* product() const;
  const Product* map() const;
  /// The labels so far against the map; nullptr without a label. Stands until the next change.
  const Judged* judged() const;
  /// What the labels would say of points mapped so; Error: no point with both sides.
  Judged judge(const std::vector<DrawnPoint>& points, const ClassGroups& groups = {}) const;
  const std::map<int, double>& strata() const { return file_.strata; }
  /// The same, with no classes counted as one.
  const Judged* ungrouped() const;
  std::optional<ConfusionMatrix> matrix() const;
  /// Area by class of the map, grouped, in square metres; empty when not known.
  std::map<int, double> mappedAreas() const;
  /// Of all strata, in square metres; 0 where points were not drawn class by class.
  double wholeArea() const;
  bool drawnPerClass() const;
  /// See judgement.h.
  std::string withoutInterval() const;
  /// The accuracy to tell first, ungrouped: weighted where that can be.
  std::optional<Estimate> overall() const;

  /// The second class of mixed places counts too.
  bool either() const { return either_; }
  void setEither(bool on);
  bool anyMixed() const;

  /// Classes counted as one.
  const ClassGroups& groups() const { return groups_; }
  void merge(int a, int b);
  /// All changes as one and all that stayed as one; of a map of change.
  void mergeChanges();
  void takeApart();

  /// The points alone that are shown: of a cell of the matrix (map, reference codes), or with one
  /// side 0 of a row or column.
  std::optional<std::pair<int, int>> cell;
  /// Or these alone, by their ids.
  std::optional<std::set<int>> chosen;
  bool anyChosen() const { return cell || chosen; }
  void chooseAll();
  bool inCell(const ValidationPoint& p) const;

 Q_SIGNALS:
  void updated();

 private:
  void startAfresh();
  void keep();
  std::vector<DrawnPoint> drawn() const;

  Workbench& bench_;
  LabelsFile file_;
  std::string id_;  // of the product it stands in
  int revision_ = 0;
  bool unwritten_ = false;  // the file does not have the last label
  ClassGroups groups_;
  Task task_ = Task::Label;
  bool either_ = false;
  mutable std::optional<Judged> judged_, ungrouped_;
};

}  // namespace zp
