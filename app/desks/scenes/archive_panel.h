#pragma once
#include "desks/panel.h"
#include "scene/archive.h"
#include "background/latest.h"

namespace zp {

/// Searches a catalogue for scenes and fetches them into the study.
class ArchivePanel : public Panel {
  Q_OBJECT
 public:
  ArchivePanel(Workbench& bench, MapView& view);
  /// Another catalogue, which the study then remembers; with none, the one it remembers.
  void open(const QString& catalogue = {});
  /// What is in the study already, and how much of a fetch is there, has changed.
  void refresh() override;
  void forget() override;
  Heading heading() const override;
  QString action() const override;
  QString missing() const override;
  void act() override;
  /// Where the chosen scenes lie.
  std::vector<ViewShape> shapes() const override;

 private:
  /// A scene of the archive with its small picture.
  struct Offer {
    CatalogueEntry entry;
    QImage picture;
    uintmax_t bytes = 0;
  };
  void buildQuery();
  void buildList();
  void later();
  void search();
  void show(const std::vector<Offer>& offers);
  bool inStudy(const CatalogueEntry& entry) const;
  QString stateOf(const Offer& offer) const;
  std::optional<ArchiveQuery> query();
  ServiceConditions conditions() const;
  std::vector<CatalogueEntry> chosen() const;
  void chooseCatalogue();
  void useInPlace();
  std::filesystem::path scenesFolder() const;
  std::filesystem::path catalogue() const;
  void keepCatalogue(const std::filesystem::path& file);

  MapView& view_;
  Latest answer_;
  std::vector<Offer> offers_;
  QLabel *where_, *said_;
  QComboBox *sensor_, *place_, *service_;
  QLineEdit *from_, *to_;
  QSpinBox* cloud_;
  QListWidget* list_;
  QPushButton *inPlace_, *cancel_;
  QTimer soon_;
};

}  // namespace zp
