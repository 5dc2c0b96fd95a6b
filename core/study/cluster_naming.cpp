#include "study/cluster_naming.h"

#include "base/text.h"
#include "study/map_step.h"

namespace zp {

ClusterNaming namingOf(const Product& clusters, const Legend& legend) {
  ClusterNaming naming;
  const Json kept = clusters.facts.value("naming", Json::object());
  for (const auto& [cluster, code] : kept.items()) {
    const auto number = parseInteger(cluster);
    if (number && (code == 0 || legend.find(code.get<int>()) != nullptr))
      naming[static_cast<int>(*number)] = code;
  }
  return naming;
}

Json toJson(const ClusterNaming& naming) {
  Json json = Json::object();
  for (const auto& [cluster, code] : naming) json[std::to_string(cluster)] = code;
  return json;
}

Json namingStep(const Product& clusters, const ClusterNaming& naming, const std::string& name) {
  Json sizes = Json::array();
  for (const auto& c : clusters.facts.at("clusters")) sizes.push_back(c.at("pixels"));
  return {{"do", "name-clusters"},
          {"name", name},
          {"clusters", clusters.id},
          {"names", toJson(naming)},
          {"sizes", sizes}};
}

SignatureSet signaturesFor(const Study& study, const Product& clusters, const Progress& progress) {
  return signaturesOf(samplesOfStep(study, clusters.step, progress));
}

}  // namespace zp
