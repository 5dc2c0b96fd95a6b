#pragma once
#include "charts/chart.h"
#include "desks/desk.h"
#include "desks/indices/dates_panel.h"
#include "desks/indices/formula_edit.h"
#include "desks/indices/rules_panel.h"
#include "index/index_book.h"
#include "shell/latest.h"
#include "shell/polygons_panel.h"

namespace zp {

/// An index of the book or a formula by hand, its live picture, its histogram and thresholds.
class IndicesDesk : public Desk {
  Q_OBJECT
 public:
  IndicesDesk(Workbench& bench, MapView& view, TileStore& tiles);
  void refresh() override;
  void forget() override;
  void leave() override;

  /// As chosen in the book; where the scene lacks a role, the book is opened and says which.
  void choose(const std::string& id);
  /// What is chosen to be seen stays in front; the preview comes with the next change.
  void keepFront();

 private:
  struct ClassRow {
    QString name;
    QColor colour;
  };
  void chooseIndex(const IndexEntry& entry);
  const IndexEntry& rememberedOr(const IndexEntry& other) const;
  void fillBook();
  void keepInBook();
  void chooseFound(QListWidgetItem* item);
  void formulaChanged();
  void showPreview();
  void showRange(const Statistics& s, bool exact);
  void showProduct();
  QStringList suggestedNames(size_t parts) const;
  void setCuts(const std::vector<double>& cuts);
  void fillAreas();
  void act();
  void lightUp(double low, double high);
  /// The newest product of this formula over this scene.
  const Product* product() const;
  const Product* classMap() const;

  enum class Mode { Index, Rules, Dates };
  void setMode(Mode mode);
  void updateAction();
  void updateIndexAction();
  void showWarnings();
  IndexInHand inHand() const;
  QString title() const;
  std::map<std::string, std::string> used(const Formula& formula) const;
  std::string cutTo() const;

  TileStore& tiles_;
  Mode mode_ = Mode::Index;
  QPushButton* modes_[3];
  QWidget* page_;
  RulesPanel* rules_;
  DatesPanel* dates_;
  QLabel* warning_;
  QCheckBox* inside_;
  Latest histogramJob_;
  FlowLayout* chips_;
  QWidget* book_;
  QLineEdit* search_;
  QListWidget* found_;
  PolygonsPanel* polygonsPanel_;
  QLabel* cannot_;
  QStringList suggested_;
  QPushButton *keep_, *drop_;
  Paragraph* about_;
  QLabel *error_, *range_, *thresholdTitle_;
  FormulaEdit* edit_;
  ThresholdChart* chart_;
  QComboBox* rampList_;
  QTableWidget* table_;
  QPushButton *addCut_, *dropCut_, *suggest_, *valley_, *polygons_;
  QComboBox* from_;
  QTimer settle_, moved_;
  std::string index_;  // id of the book, or "" for a formula by hand
  QString previewKey_, histogramOf_;
  Histogram histogram_;
  std::vector<double> cuts_;
  std::vector<ClassRow> classes_;
  double pixelArea_ = 0;
  bool filling_ = false;
};

}  // namespace zp
