#include "shell/find_offers.h"

#include "feature/feature_kind.h"
#include "grid/crs.h"
#include "grid/place_text.h"
#include "index/formula.h"
#include "index/index_book.h"
#include "look/look.h"
#include "mapping/method.h"

namespace zp {

std::vector<FindOffer> helpOffers(
    const std::function<void(const QString& title, const QString& html)>& explain) {
  std::vector<FindOffer> all;
  const auto offer = [&](const QString& name, const QString& kind, const QString& title,
                         const QString& html, const QString& text) {
    all.push_back({name, kind, [explain, title, html] { explain(title, html); }, text});
  };
  for (const auto& e : indexBook())
    offer(txt("%1: what it is for").arg(txt(e.title)), txt("help"), txt(e.title),
          txt(e.about).toHtmlEscaped() + "<br><br>" + txt(e.reading).toHtmlEscaped() + "<br>" +
              txt(e.source).toHtmlEscaped(),
          txt(e.about) + " " + txt(e.reading));
  for (const auto* m : methods())
    offer(txt("%1: how it works").arg(txt(m->title)), txt("help"), txt(m->title), txt(m->about),
          txt(m->about));
  for (const auto* k : featureKinds())
    offer(txt("%1: what it is for").arg(txt(k->title)), txt("feature"), txt(k->title),
          txt(k->about), txt(k->about));
  for (const auto& [name, help] : formulaFunctions())
    offer(q(name), txt("in formulas"), q(name), txt(help).toHtmlEscaped(), txt(help));
  return all;
}

std::vector<FindOffer> placeOffers(const QString& text, const std::string& crs,
                                   const std::function<void(Place)>& go) {
  std::vector<FindOffer> found;
  for (const auto& written : placesIn(text.toStdString())) {
    Place p = written.place;
    const QString said = written.degrees ? QString("%1° %2  %3° %4")
                                               .arg(compact(std::abs(p.x)), p.x < 0 ? "W" : "E",
                                                    compact(std::abs(p.y)), p.y < 0 ? "S" : "N")
                                         : compact(p.x) + "  " + compact(p.y);
    if (written.degrees && !crs.empty() && !crsIsGeographic(crs)) {
      try {
        if (!CrsChange(crsFrom("EPSG:4326"), crs).apply(p)) continue;
      } catch (const std::exception&) {
        continue;
      }
    }
    found.push_back({txt("Go to %1").arg(said), txt("place"), [go, p] { go(p); }, {}});
  }
  return found;
}

std::vector<FindOffer> studyOffers(const Study& study,
                                   const std::function<void(const QString& id)>& show) {
  std::vector<FindOffer> all;
  for (const auto& p : study.products)
    all.push_back({q(p.name), txt(titleOf(p.kind)), [show, id = q(p.id)] { show(id); }, {}});
  for (const auto& s : study.scenes)
    all.push_back({q(s.scene.name), txt("scene"), [show, id = q(s.id)] { show(id); }, {}});
  return all;
}

}  // namespace zp
