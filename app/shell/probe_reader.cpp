#include "shell/probe_reader.h"

#include <cmath>

#include "feature/formula_feature.h"
#include "grid/crs.h"
#include "look/look.h"
#include "radar/decibels.h"

namespace zp {

ProbeAnswer ProbeReader::read(const ProbeQuestion& q, const Progress& progress) {
  ProbeAnswer a;
  for (size_t b = 0; q.scene && b < q.scene->bands.size(); ++b) {
    progress.check();
    const double w = q.scene->bands[b].wavelength;
    a.profile.emplace_back(w > 0 ? w : static_cast<double>(b + 1),
                           readBandAt(q.place, q.crs, *q.scene, b, open_));
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
      const double v = readAt(asked.place, asked.crs, p.file, 1, open_);
      const auto* c = std::isnan(v) ? nullptr : p.legend.find(static_cast<int>(v));
      if (c == nullptr) return {p.title, txt("no class"), {}};
      return {p.title, q(c->name), toQt(c->colour)};
    }
    case Picture::Kind::Index:
      return {p.title, figure(readAt(asked.place, asked.crs, p.file, 1, open_)), {}};
    case Picture::Kind::Formula:
      return {p.title, figure(static_cast<double>(formulaAt(p, asked.place, asked.crs))), {}};
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

/// Of a formula that is only looked at; NaN outside.
float ProbeReader::formulaAt(const Picture& p, Place place, const std::string& crs) {
  const bool both = !crs.empty() && !p.scope.grid.crs.empty();
  if (!CrsChange(both ? crs : "", both ? p.scope.grid.crs : "").apply(place)) return NAN;
  const Place at = p.scope.grid.toPixel(place);
  const double column = std::floor(at.x), row = std::floor(at.y);
  if (!(column >= 0 && row >= 0 && column < p.scope.grid.width && row < p.scope.grid.height))
    return NAN;
  if (formulaKey_ != p.key) {
    formula_ =
        std::make_unique<FeatureReader>(p.scope, Features{formulaFeature(p.formula, p.scope)});
    formulaKey_ = p.key;
  }
  return formula_->reduced({static_cast<int>(column), static_cast<int>(row), 1, 1}, 1, 1)[0][0];
}

}  // namespace zp
