#pragma once
#include "accuracy/comparison.h"
#include "background/latest.h"
#include "desks/accuracy/label_book.h"
#include "desks/accuracy/other_labels.h"
#include "desks/accuracy/small_matrix.h"
#include "desks/panel.h"

namespace zp {

/// All maps of the study at the labelled points, and two of them against each other.
class ComparisonSheet : public QWidget {
  Q_OBJECT
 public:
  ComparisonSheet(Workbench& bench, LabelBook& book);
  void open();
  void forget();
  bool ready() const { return !job_.pending(); }

 Q_SIGNALS:
  void leaveAsked();
  /// The points chosen in the book are to be seen, one map in front and the other behind it.
  void pointsAsked(const QString& front, const QString& behind);

 protected:
  void keyPressEvent(QKeyEvent*) override;

 private:
  /// One map, by the points that it and the reference speak of.
  struct Map {
    QString id, name;
    std::map<int, int> codes;  // its own → those of the labels, where they are others
    std::vector<int> classes;  // at each point of the labelling
    std::optional<Judged> judged;
  };
  struct Side {
    QComboBox* choice;
    QLabel* figure;
    SmallMatrix* matrix;
  };
  QLayout* buildSide(Side& side, const char* name);
  QWidget* buildVerdict();
  static std::vector<Map> judged(const Study& study, const Product& labels, const LabelsFile& file,
                                 std::vector<Map> maps,
                                 const std::vector<std::filesystem::path>& files,
                                 const Progress& progress);
  bool speaksOfLegend(const Product& map) const;
  void chooseFirst();
  void show();
  void showSide(const Side& side, const Map& map);
  void showVerdict(const Map& first, const Map& second);
  void showClasses(const Judged& first, const Judged& second, const Comparison& c);
  void fillTable();
  void showUnlike();
  const Map* mapOf(const Side& side) const;

  Workbench& bench_;
  LabelBook& book_;
  Latest job_;
  std::vector<Map> maps_;  // the newest first
  std::array<Side, 2> sides_{};
  QLabel *about_, *verdict_, *test_, *said_, *byClass_;
  AccuracyDots* dots_;
  QTableWidget* table_;
  QPushButton* unlike_;
  OtherLabels* others_;
};

}  // namespace zp
