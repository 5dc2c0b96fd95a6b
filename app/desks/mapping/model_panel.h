#pragma once
#include "desks/mapping/kept_classes.h"
#include "desks/mapping/method_choice.h"
#include "mapping/model.h"

namespace zp {

/// A map by what was learned before, perhaps in another study: a model, or signatures that a method
/// learns from. What the scene in hand lacks for it is told.
class ModelPanel : public Panel {
  Q_OBJECT
 public:
  explicit ModelPanel(Workbench& bench);
  void refresh() override;
  void forget() override;
  Heading heading() const override;
  QString action() const override;
  QString missing() const override;
  Json step() const override;

 private:
  /// What a file says.
  struct Learned {
    std::string file;  // as the study names it
    std::vector<std::string> lines;
    std::vector<LegendClass> classes;
    size_t pixels = 0;
    std::string method;  // "" for signatures
  };
  void choose();
  void take(const std::filesystem::path& file);
  Learned read(const std::string& file) const;
  std::map<std::string, std::string> with() const;
  void fillFeatures();

  std::optional<Learned> learned_;
  QStringList lacking_;  // features that the scene in hand does not have
  QLabel *name_, *said_;
  MethodChoice* method_;
  QTableWidget* features_;
  KeptClasses* kept_;
  QCheckBox* inside_;
  QWidget* known_;
};

}  // namespace zp
