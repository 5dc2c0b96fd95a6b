#pragma once
#include "accuracy/labelling.h"
#include "accuracy/stratified_estimate.h"
#include "shell/workbench.h"

namespace zp {

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
  std::optional<ConfusionMatrix> matrix() const;
  /// Area by class of the map, in square metres; empty when not known.
  std::map<int, double> mappedAreas() const;
  /// The points were drawn per class of the whole map, perhaps of an earlier state of it.
  bool drawnPerClass() const;
  /// Weighted by mapped area, when the points were drawn per class of this very map.
  std::optional<StratifiedEstimate> weighted(const ConfusionMatrix& m) const;
  /// How the points were placed, where that gives an accuracy no interval: "by-hand"; "cells" for
  /// their centres, which no chance chose; "blocks", for which an interval of single points would
  /// be too narrow; else "".
  std::string withoutInterval() const;
  /// The accuracy to tell first: weighted where that can be.
  std::optional<Estimate> overall() const;

  /// A cell of the matrix whose points alone are shown (map, reference codes).
  std::optional<std::pair<int, int>> cell;

 Q_SIGNALS:
  void updated();

 private:
  /// That are labelled; nullptr when they are gone.
  const Product* points() const;

  Workbench& bench_;
  std::string id_, crs_;
  int revision_ = 0;
  Labelling labelling_;
};

}  // namespace zp
