#include "desks/accuracy/label_pictures.h"

#include "base/day.h"

namespace zp {
namespace {

/// The one of a composite whose day is nearest; any where none has a day, the first where none is
/// of the composite.
size_t nearestOf(const std::vector<LabelPicture>& pictures, const std::string& composite,
                 const std::string& day) {
  const auto wanted = dayOf(day);
  size_t best = 0;
  auto least = std::numeric_limits<double>::infinity();
  for (size_t i = 0; i < pictures.size(); ++i) {
    if (pictures[i].composite != composite) continue;
    const auto own = dayOf(pictures[i].day);
    const double away = wanted && own ? std::abs(static_cast<double>(*own - *wanted)) : 1e9;
    if (away < least) least = away, best = i;
  }
  return best;
}

}  // namespace

std::vector<LabelPicture> labelPictures(Workbench& bench) {
  std::vector<LabelPicture> all;
  for (const auto& s : bench.study().scenes) {
    if (s.scene.grid.crs.empty()) continue;
    const double pixel = s.scene.grid.pixelWidth();
    for (const auto& c : compositesOf(s.scene)) {
      std::array<size_t, 3> b{};
      for (size_t i = 0; i < 3; ++i) b[i] = static_cast<size_t>(s.scene.bandOf(c.roles[i]));
      all.push_back(
          {compositePicture(s.id, s.scene, b, txt(c.title)), s.id, c.id, s.scene.date, pixel});
    }
    if (compositesOf(s.scene).empty())
      all.push_back({bench.pictureOf(q(s.id)), s.id, "", s.scene.date, pixel});
  }
  return all;
}

std::array<size_t, 3> firstPictures(const std::vector<LabelPicture>& pictures,
                                    const std::string& scene) {
  std::array<size_t, 3> first{};
  double finest = 1e30;
  for (size_t i = 0; i < pictures.size(); ++i) {
    const auto& p = pictures[i];
    if (p.composite == "natural" && p.pixel < finest) finest = p.pixel, first[0] = i;
    if (p.scene == scene && p.composite == "vegetation") first[1] = i;
    if (p.scene == scene && p.composite == "natural") first[2] = i;
  }
  return first;
}

std::array<size_t, 3> firstPicturesOfChange(const std::vector<LabelPicture>& pictures,
                                            const std::string& earlier, const std::string& later) {
  return {nearestOf(pictures, "natural", earlier), nearestOf(pictures, "natural", later),
          nearestOf(pictures, "vegetation", later)};
}

}  // namespace zp
