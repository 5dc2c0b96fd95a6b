#include "desks/mapping/mapping_desk.h"

#include "desks/mapping/clustered_panel.h"
#include "desks/mapping/combine_panel.h"
#include "desks/mapping/mapped_areas.h"
#include "desks/mapping/model_panel.h"
#include "desks/mapping/segments_panel.h"
#include "desks/mapping/tidy_panel.h"
#include "desks/mapping/touch_up_panel.h"
#include "desks/mapping/trained_panel.h"
#include "mapping/cluster_method.h"

namespace zp {

MappingDesk::MappingDesk(Workbench& bench, MapView& view) : Desk(bench, view, txt("Mapping")) {
  nameScene();
  trained_ = new TrainedPanel(bench, view);
  addPage(trained_, "trainedMap", txt("Trained"));
  addPage(new ModelPanel(bench), "modelPage", txt("By model"));
  auto* clustered = new ClusteredPanel(bench);
  addPage(clustered, "clusteredMap", txt("Clustered"));
  auto* segments = new SegmentsPanel(bench);
  addPage(segments, "segmentsPage", txt("Segments"));
  addPage(new TidyPanel(bench), "tidyPage", txt("Tidy"));
  addPage(new CombinePanel(bench), "combinePage", txt("Combine"));
  addPage(new TouchUpPanel(bench, view), "touchUpPage", txt("By hand"));
  connect(segments, &SegmentsPanel::mapAsked, this, [this] { showPage(trained_); });
  connect(clustered, &ClusteredPanel::namingAsked, this, &MappingDesk::namingAsked);
}

Json MappingDesk::features() {
  return trained_->chosenFeatures();
}

Desk::Missing MappingDesk::missing() const {
  if (bench_.currentScene() == nullptr)
    return {txt("A map needs a scene. Bring one in first."), txt("Go to scenes"), 0};
  return {};
}

/// The newest map; or clusters, while they are being named.
Trail::Station MappingDesk::station() const {
  Trail::Station station;
  const Study& study = bench_.study();
  const Product* clusters = study.newest(ProductKind::Clusters);
  if (clusters != nullptr && mapOfClusters(study, *clusters) == nullptr) {
    const size_t named = namedOf(study, *clusters);
    if (named > 0 || newestMap(study) == nullptr) {
      station.figure = txt("%1 of %2 named").arg(named).arg(clusters->facts.at("clusters").size());
      station.state = stateOf(*clusters);
      return station;
    }
  }
  const Product* map = newestMap(study);
  if (map == nullptr) return station;
  station.figure =
      q(map->name).section(", ", -1) + QString(" · %1").arg(map->facts["classes"].size());
  station.state = stateOf(*map);
  return station;
}

std::vector<FindOffer> MappingDesk::offers() {
  std::vector<FindOffer> all;
  for (const auto* m : methods()) {
    QStringList parameters;
    for (const auto& p : m->parameters) parameters << txt(p.title);
    all.push_back(
        {txt(m->title), txt("method"), [this] { Q_EMIT stageAsked(3); }, parameters.join(" ")});
  }
  for (const auto* m : clusterMethods())
    all.push_back(
        {txt(m->title), txt("method"), [this] { Q_EMIT stageAsked(3); }, txt("Clustered map")});
  return all;
}

}  // namespace zp
