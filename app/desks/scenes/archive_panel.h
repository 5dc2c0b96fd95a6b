#pragma once
#include "desks/desk.h"
#include "scene/archive.h"
#include "shell/latest.h"

namespace zp {

/// Searches a catalogue for scenes and fetches them into the study.
class ArchivePanel : public QWidget {
  Q_OBJECT
 public:
  ArchivePanel(Workbench& bench, MapView& view, QWidget* parent = nullptr);
  /// Another catalogue, which the study then remembers; with none, the one it remembers.
  void open(const QString& catalogue = {});
  QString action() const;
  bool canAct() const;
  void act();
  /// Where the chosen scenes lie, over the view.
  std::vector<ViewShape> shapes() const;
  void stop() { answer_.stop(); }
  /// What is in the study already, and how much of a fetch is there, has changed.
  void refreshStates();

 Q_SIGNALS:
  void actionChanged();
  void shapesChanged();
  void trouble(const QString& sentence);

 private:
  /// A scene of the archive with its small picture.
  struct Offer {
    CatalogueEntry entry;
    QImage picture;
    uintmax_t bytes = 0;
  };
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

  Workbench& bench_;
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
