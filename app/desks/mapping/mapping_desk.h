#pragma once
#include "desks/desk.h"
#include "mapping/classifier.h"

namespace zp {

/// Which bands, which method, its parameters; the map and its areas.
class MappingDesk : public Desk {
  Q_OBJECT
 public:
  MappingDesk(Workbench& bench, MapView& view);
  void refresh() override;
  void forget() override;

 private:
  void fillBands();
  void fillPriors();
  void fillAreas();
  void chooseMethod(const std::string& id);
  void map();
  const Product* newestMap() const;

  FlowLayout* bandChips_;
  std::set<size_t> bands_;
  std::string bandsOf_, method_ = "maximum-likelihood";
  std::map<std::string, QPushButton*> methodChips_;
  std::map<std::string, Paragraph*> paragraphs_;
  QComboBox* priors_;
  QTableWidget *priorTable_, *areas_;
  QWidget* priorRow_;
  QLineEdit* reject_;
  QCheckBox* inside_;
  QLabel *areaTitle_, *rejectUnit_;
};

}  // namespace zp
