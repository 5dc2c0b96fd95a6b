#include "desks/mapping/cluster_rows.h"

#include "base/nan.h"
#include "look/look.h"
#include "mapping/nearest_signature.h"

namespace zp {
namespace {

/// Where the features stand, and between which values each is drawn.
struct Frame {
  std::vector<double> x, low, high;
};

std::vector<double> meansOf(const Json& cluster) {
  std::vector<double> means;
  for (const auto& v : cluster.at("mean")) means.push_back(v.is_number() ? v.get<double>() : kNan);
  return means;
}

/// Of bands of the scene, by their names; empty where a feature is none, or has no wavelength.
std::vector<double> wavelengthsOf(const Scene& scene, const std::vector<std::string>& features) {
  std::vector<double> all;
  for (const auto& f : features)
    for (const auto& b : scene.bands)
      if ((b.role == f || b.name == f) && b.wavelength > 0) {
        all.push_back(b.wavelength);
        break;
      }
  return all.size() == features.size() ? all : std::vector<double>();
}

Frame frameOf(const Study& study, const Product& clusters) {
  const auto features = clusters.facts.at("features").get<std::vector<std::string>>();
  Frame frame{{},
              std::vector<double>(features.size(), 1e300),
              std::vector<double>(features.size(), -1e300)};
  if (const auto* s = study.scene(clusters.step.value("scene", "")))
    frame.x = wavelengthsOf(s->scene, features);
  for (const auto& c : clusters.facts.at("clusters")) {
    const auto means = meansOf(c);
    for (size_t f = 0; f < means.size(); ++f)
      if (!std::isnan(means[f])) {
        frame.low[f] = std::min(frame.low[f], means[f]);
        frame.high[f] = std::max(frame.high[f], means[f]);
      }
  }
  if (!frame.x.empty()) {  // bands of one scene have one unit
    const double low = *std::min_element(frame.low.begin(), frame.low.end());
    const double high = *std::max_element(frame.high.begin(), frame.high.end());
    std::fill(frame.low.begin(), frame.low.end(), low);
    std::fill(frame.high.begin(), frame.high.end(), high);
  } else {
    for (size_t f = 0; f < features.size(); ++f) frame.x.push_back(static_cast<double>(f));
  }
  return frame;
}

QPolygonF profileOf(const std::vector<double>& means, const Frame& frame) {
  const auto [first, last] = std::minmax_element(frame.x.begin(), frame.x.end());
  QPolygonF line;
  for (size_t f = 0; f < means.size(); ++f) {
    const double across = *last - *first, up = frame.high[f] - frame.low[f];
    if (!std::isnan(means[f]))
      line << QPointF(across > 0 ? (frame.x[f] - *first) / across : 0.5,
                      up > 0 ? std::clamp((means[f] - frame.low[f]) / up, -0.1, 1.1) : 0.5);
  }
  std::sort(line.begin(), line.end(),
            [](const QPointF& a, const QPointF& b) { return a.x() < b.x(); });
  return line;
}

void addNearest(ClusterRow& row, const std::vector<double>& means, const Frame& frame,
                const Legend& legend, const SignatureSet& signatures) {
  const auto nearest = nearestSignature(means, signatures);
  const auto* c = legend.find(nearest.code);
  if (c == nullptr) return;
  row.nearestName = q(c->name);
  row.nearestColour = toQt(c->colour);
  row.distance = nearest.distance;
  for (const auto& s : signatures.classes)
    if (s.code == nearest.code)
      row.nearest = profileOf({s.mean.data(), s.mean.data() + s.mean.size()}, frame);
}

}  // namespace

std::vector<ClusterRow> clusterRows(const Study& study, const Product& clusters,
                                    const SignatureSet* signatures) {
  const Frame frame = frameOf(study, clusters);
  const Legend colours = legendFrom(clusters.facts.at("legend"));
  const auto naming = namingOf(clusters, study.legend);
  double pixels = 0;
  for (const auto& c : clusters.facts.at("clusters")) pixels += c.at("pixels").get<double>();
  std::vector<ClusterRow> rows;
  for (const auto& c : clusters.facts.at("clusters")) {
    ClusterRow row;
    row.code = c.at("code");
    if (const auto* of = colours.find(row.code)) row.colour = toQt(of->colour);
    row.share = c.at("pixels").get<double>() / pixels;
    const auto means = meansOf(c);
    row.profile = profileOf(means, frame);
    if (signatures != nullptr) addNearest(row, means, frame, study.legend, *signatures);
    if (const auto is = naming.find(row.code); is != naming.end()) {
      row.is = is->second;
      if (const auto* of = study.legend.find(is->second)) {
        row.name = q(of->name);
        row.classColour = toQt(of->colour);
      }
    }
    rows.push_back(std::move(row));
  }
  return rows;
}

}  // namespace zp
