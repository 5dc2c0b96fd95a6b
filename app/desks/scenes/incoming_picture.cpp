#include "desks/scenes/incoming_picture.h"

#include "base/error.h"
#include "base/text.h"
#include "look/look.h"
#include "scene/band_axis.h"

namespace zp {
namespace {

QString notYet(const QString& title) {
  return txt("%1, not in the study yet").arg(title);
}

Picture mapPicture(const Incoming& one, Legend legend) {
  Picture p;
  p.kind = Picture::Kind::Classes;
  p.of = "preview";
  p.scene = one.scene;
  p.file = one.scene.bands[0].file;
  p.detail = notYet(txt("class map"));
  for (const auto& [theirs, ours] : matchOf(one, legend)) {
    LegendClass shown = *legend.find(ours);
    shown.code = static_cast<int>(parseInteger(theirs).value_or(0));
    const bool code = shown.code >= 1 && shown.code <= 65535;
    if (code && p.legend.find(shown.code) == nullptr) p.legend.add(shown);
  }
  p.key = QString("incoming/%1/%2")
              .arg(sceneKey(p.scene))
              .arg(std::hash<std::string>{}(toJson(p.legend).dump()), 0, 16);
  return p;
}

Picture bandsPicture(const Incoming& one) {
  const auto& bands = one.scene.bands;
  const auto can = compositesOf(one.scene);
  std::array<size_t, 3> shown{};
  QString title = txt("band by band: the first three");
  if (!can.empty()) {
    for (size_t i = 0; i < 3; ++i)
      shown[i] = static_cast<size_t>(one.scene.bandOf(can[0].roles[i]));
    title = txt(can[0].title);
  } else if (bands.size() >= 3) {
    shown = {0, 1, 2};
  } else {
    title = q(calledBand(bands[0]));
  }
  return compositePicture("preview", one.scene, shown, notYet(title));
}

}  // namespace

Picture pictureOf(const Incoming& one, const Legend& legend) {
  if (one.scene.bands.empty()) return {};
  Picture p = bandsPicture(one);
  try {
    if (one.as == Incoming::As::ClassMap && !one.theirs.empty()) p = mapPicture(one, legend);
  } catch (const Error&) {
    // Its file is gone; the view says so.
  }
  p.title = q(one.draft.name);
  return p;
}

}  // namespace zp
