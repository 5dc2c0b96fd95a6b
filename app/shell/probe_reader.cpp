#include "shell/probe_reader.h"

#include <cmath>

#include "feature/formula_feature.h"
#include "grid/crs.h"
#include "look/look.h"
#include "radar/decibels.h"
#include "scene/band_axis.h"

namespace zp {

ProbeAnswer ProbeReader::read(const ProbeQuestion& q, const Progress& progress) {
  ProbeAnswer a;
  const BandAxis axis = q.scene ? bandAxis(*q.scene) : BandAxis();
  for (size_t b = 0; b < axis.at.size(); ++b) {
    progress.check();
    a.profile.emplace_back(axis.at[b], readBandAt(q.place, q.crs, *q.scene, b, open_));
  }
  for (const auto& p : q.pictures) {
    progress.check();
    if (p.none()) continue;
    try {
      a.values.push_back(valueOf(p, q));
    } catch (const Error&) {
      a.values.push_back({p.title, txt("cannot be read"), {}});
    }
  }
  return a;
}

ProbeAnswer::Value ProbeReader::valueOf(const Picture& p, const ProbeQuestion& asked) {
  const auto figure = [](double v) { return std::isnan(v) ? txt("no data") : decimal(v, 3); };
  switch (p.kind) {
    case Picture::Kind::Classes: {
      if (p.learned) return learnedValue(p, asked);
      const double v = readAt(asked.place, asked.crs, p.file, 1, open_);
      const auto* c = std::isnan(v) ? nullptr : p.legend.find(static_cast<int>(v));
      if (c == nullptr) return {p.title, txt("no class"), {}};
      return {p.title, q(c->name), toQt(c->colour)};
    }
    case Picture::Kind::Index:
      return {p.title, figure(readAt(asked.place, asked.crs, p.file, 1, open_)), {}};
    case Picture::Kind::Formula: {
      const auto values = featuresAt(p.key, p.scope, {formulaFeature(p.formula, p.scope)}, asked);
      return {p.title, figure(values.empty() ? NAN : static_cast<double>(values[0])), {}};
    }
    default:
      return {p.title, compositeText(p, asked), {}};
  }
}

QString ProbeReader::compositeText(const Picture& p, const ProbeQuestion& asked) {
  QStringList texts;
  std::vector<size_t> bands(p.bands.begin(), p.bands.end());
  if (p.singleBand()) bands.resize(1);
  for (const size_t b : bands) {
    double v = readBandAt(asked.place, asked.crs, p.scene, b, open_);
    if (p.decibels) v = toDecibels(v);
    texts << (std::isnan(v) ? txt("no data") : p.decibels ? decimal(v, 1) : compact(v));
  }
  texts.removeDuplicates();
  return texts.join("  ") + (p.decibels ? " dB" : "");
}

/// The class, what speaks for it, and the one after it.
ProbeAnswer::Value ProbeReader::learnedValue(const Picture& p, const ProbeQuestion& asked) {
  const LearnedMap& map = *p.learned;
  const auto values = featuresAt(p.key, map.scope, map.features, asked);
  std::vector<const float*> at;
  for (const float& v : values) at.push_back(&v);
  const auto classes = map.classifier->classes();
  std::vector<float> support(classes.size(), NAN);
  uint16_t code = 0;
  if (!values.empty()) {
    map.classifier->classify(at, 1, &code);
    map.classifier->support(at, 1, support.data());
  }
  const auto* c = p.legend.find(code);
  if (c == nullptr) return {p.title, txt("no class"), {}};
  const LegendClass* next = nullptr;
  float own = 0, second = 0;
  for (size_t k = 0; k < classes.size(); ++k) {
    if (classes[k] == code) own = support[k];
    if (classes[k] == code || !(support[k] > second)) continue;
    second = support[k];
    next = p.legend.find(classes[k]);
  }
  QString text = q(c->name) + " " + decimal(static_cast<double>(own), 2);
  if (next != nullptr && second >= 0.005f)
    text += ", " + txt("then %1 %2").arg(q(next->name), decimal(static_cast<double>(second), 2));
  return {p.title, text, toQt(c->colour)};
}

std::vector<float> ProbeReader::featuresAt(const QString& key, const Scope& scope,
                                           const Features& features, const ProbeQuestion& asked) {
  const bool both = !asked.crs.empty() && !scope.grid.crs.empty();
  Place place = asked.place;
  if (!CrsChange(both ? asked.crs : "", both ? scope.grid.crs : "").apply(place)) return {};
  const Place at = scope.grid.toPixel(place);
  const double column = std::floor(at.x), row = std::floor(at.y);
  if (!(column >= 0 && row >= 0 && column < scope.grid.width && row < scope.grid.height)) return {};
  if (featuresKey_ != key) {
    features_ = std::make_unique<FeatureReader>(scope, features);
    featuresKey_ = key;
  }
  std::vector<float> values;
  for (const auto& one :
       features_->reduced({static_cast<int>(column), static_cast<int>(row), 1, 1}, 1, 1))
    values.push_back(one[0]);
  return values;
}

}  // namespace zp
