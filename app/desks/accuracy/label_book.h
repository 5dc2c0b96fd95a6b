#pragma once
#include <set>

#include "accuracy/class_groups.h"
#include "accuracy/labelling.h"
#include "shell/workbench.h"

namespace zp {

/// What labels say of a map: of the points alone, and weighted by area where they were drawn class
/// by class.
struct Judged {
  ConfusionMatrix matrix;
  Assessment counts;
  std::optional<Assessment> weighted;
  QString whyNotWeighted;  // of points that were drawn class by class
  const Assessment& first() const { return weighted ? *weighted : counts; }
};

/// The labelling that is open, with its file: read once, written after every label.
class LabelBook : public QObject {
  Q_OBJECT
 public:
  explicit LabelBook(Workbench& bench);
  /// The newest labels product of the study; false when there is none or it cannot be read.
  bool load();
  bool none() const { return labelling_.empty(); }
  Labelling& labelling() { return labelling_; }
  const Labelling& labelling() const { return labelling_; }
  const std::string& crs() const { return crs_; }
  /// Saves after a change and tells.
  void changed();
  const Product* product() const;
  const Product* map() const;
  /// The labels so far against the map; nullptr without a label. Stands until the next change.
  const Judged* judged() const;
  /// What the labels would say of points mapped so; Error: no point with both sides.
  Judged judge(const std::vector<DrawnPoint>& points, const ClassGroups& groups = {}) const;
  const std::map<int, double>& strata() const { return strata_; }
  /// The same, with no classes counted as one.
  const Judged* ungrouped() const;
  std::optional<ConfusionMatrix> matrix() const;
  /// Area by class of the map, grouped, in square metres; empty when not known.
  std::map<int, double> mappedAreas() const;
  /// Of all strata, in square metres; 0 where points were not drawn class by class.
  double wholeArea() const;
  /// The points were drawn per class of a map.
  bool drawnPerClass() const;
  /// How the points were placed, where that gives an accuracy no interval: "by-hand"; "cells" for
  /// their centres, which no chance chose; "blocks", for which an interval of single points would
  /// be too narrow; else "".
  std::string withoutInterval() const;
  /// The accuracy to tell first, ungrouped: weighted where that can be.
  std::optional<Estimate> overall() const;

  /// Classes counted as one.
  const ClassGroups& groups() const { return groups_; }
  void merge(int a, int b);
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
  /// That are labelled; nullptr when they are gone.
  const Product* points() const;

  Workbench& bench_;
  void startAfresh();

  std::string id_, crs_;
  std::map<int, double> strata_;
  ClassGroups groups_;
  mutable std::optional<Judged> judged_, ungrouped_;
  int revision_ = 0;
  Labelling labelling_;
};

}  // namespace zp
