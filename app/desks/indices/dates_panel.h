#pragma once
#include "charts/chart.h"
#include "desks/panel.h"

namespace zp {

/// What the index page holds now, which the dates are compared by.
struct IndexInHand {
  std::string formula, title, ramp;
  std::vector<double> cuts;
  Json classes = Json::array();
};

/// Between dates: the difference of an index, what became of the classes of two maps, how often a
/// class was there, the same index and thresholds over many dates; and against a layer made
/// elsewhere.
class DatesPanel : public Panel {
  Q_OBJECT
 public:
  DatesPanel(Workbench& bench, std::function<IndexInHand()> inHand);
  void refresh() override;
  Heading heading() const override;
  QString action() const override;
  QString missing() const override;
  Json step() const override;
  void showResult(const QString& product) override;

 private:
  enum What { Difference, FromTo, HowOften, Series, Against };
  void choose();
  void fill();
  Json classesOf(const Product& map) const;
  void fillClasses();
  void warn();
  Json difference() const;
  Json series() const;
  Json history() const;
  void showTable(const Product& product);
  void showChange(const Json& change, const Product& product);
  void showSeries(const Product& product);

  std::function<IndexInHand()> inHand_;
  QComboBox *what_, *from_, *to_, *class_, *when_;
  QListWidget* ticks_;
  QWidget *fromRow_, *toRow_, *classRow_, *whenRow_;
  QLabel *about_, *result_, *warning_;
  QTableWidget* table_;
  LineChart* curve_;
};

/// The formula with every role of it taken from a scene of this name: "nir" → "spring.nir".
std::string formulaOfScene(const std::string& formula, const std::vector<std::string>& roles,
                           const std::string& name);

}  // namespace zp
