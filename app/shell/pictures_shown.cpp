#include "shell/pictures_shown.h"

#include "look/look.h"

namespace zp {
namespace {

/// A class picture that shows one class alone; all of them for 0.
Picture alone(Picture p, int code) {
  p.onlyClass = code;
  if (code != 0) p.key += "#" + QString::number(code);
  return p;
}

}  // namespace

PicturesShown::PicturesShown(Workbench& bench, MapView& view) : bench_(bench), view_(view) {
  connect(&view_, &MapView::swapAsked, this, &PicturesShown::swap);
  connect(&view_, &MapView::onlyClassAsked, this, &PicturesShown::showAlone);
  connect(&view_, &MapView::hideClassAsked, this, &PicturesShown::hideClass);
  connect(&bench_, &Workbench::displayChanged, this, &PicturesShown::showAgain);
  connect(&bench_, &Workbench::productMade, this, &PicturesShown::made);
}

void PicturesShown::setFront(const Picture& p) {
  // A preview is compared with what was there before it.
  const Picture before = view_.front();
  if (p.of == "preview" && before.of != "preview" && !before.none()) view_.setBack(before);
  view_.setFront(bench_.asDisplayed(p));
  Q_EMIT changed();
}

void PicturesShown::setBack(const Picture& p) {
  view_.setBack(bench_.asDisplayed(p));
  Q_EMIT changed();
}

bool PicturesShown::showFront(const QString& id) {
  const Picture p = bench_.pictureOf(id);
  if (p.none()) return false;
  const Picture before = view_.front();
  if (!before.none() && before.of != "preview" && before.of != p.of &&
      bench_.study().product(p.of) != nullptr)
    setBack(before);
  setFront(p);
  return true;
}

Picture PicturesShown::atFirst() const {
  const auto* s = bench_.currentScene();
  return s == nullptr ? bench_.anyPicture() : bench_.pictureOf(q(s->id));
}

void PicturesShown::lookAt(const Picture& p) {
  const bool first = !preview();
  bench_.setLookedAtCrs(p.scene.grid.crs);
  view_.setCrs(bench_.viewCrs());
  setFront(p);
  try {
    const Grid g = gridOf(p);
    const bool known = !view_.crs().empty() && !g.crs.empty();
    const auto where = known ? broughtTo(g.extent(), g.crs, view_.crs()) : g.extent();
    if (!first || (where && where->overlaps(view_.visible()))) return;
    if (!bench_.study().scenes.empty()) beforeLook_ = {view_.centre(), view_.unitsPerPixel()};
    view_.fit();
  } catch (const std::exception&) {
    // It cannot be read; the view says so.
  }
}

void PicturesShown::endLook() {
  if (preview()) dropPreview();
  if (beforeLook_) view_.setCentre(beforeLook_->first, beforeLook_->second);
  beforeLook_.reset();
}

void PicturesShown::dropPreview() {
  const Picture before = view_.back();
  setFront(!before.none() && before.of != "preview" ? before : atFirst());
}

void PicturesShown::refresh() {
  for (const bool front : {true, false}) {
    const Picture shown = front ? view_.front() : view_.back();
    Picture now = asItIsNow(shown);
    if (now.none() && front) now = atFirst();
    now = bench_.asDisplayed(now);
    if (now.key != shown.key) front ? setFront(now) : setBack(now);
  }
}

Picture PicturesShown::asItIsNow(const Picture& shown) const {
  if (shown.of == "preview") return shown;
  if (const auto* s = bench_.study().scene(shown.of)) {
    const bool bands =
        *std::max_element(shown.bands.begin(), shown.bands.end()) < s->scene.bands.size();
    return bands ? compositePicture(s->id, s->scene, shown.bands, shown.detail)
                 : bench_.pictureOf(q(s->id));
  }
  Picture p = bench_.pictureOf(q(shown.of));
  return p.none() ? p : alone(p, shown.onlyClass);
}

/// What is shown is displayed in another way from now on.
void PicturesShown::showAgain() {
  setFront(view_.front());
  setBack(view_.back());
}

void PicturesShown::swap() {
  const Picture front = view_.front(), back = view_.back();
  if (back.none()) return;
  setFront(back);
  setBack(front);
}

void PicturesShown::showAlone(int code) {
  const Picture& p = view_.front();
  if (p.kind != Picture::Kind::Classes) return;
  setFront(alone(bench_.pictureOf(q(p.of)), p.onlyClass == code ? 0 : code));
}

void PicturesShown::hideClass(int code) {
  const Picture& p = view_.front();
  if (p.kind != Picture::Kind::Classes || preview()) return;
  Display d = p.display;
  if (d.hidden.erase(code) == 0) d.hidden.insert(code);
  bench_.setDisplay(p, d);
}

void PicturesShown::made(const QString& id) {
  offerToGo(id);
  if (view_.front().of == id.toStdString()) showFront(id);
  if (view_.back().of == id.toStdString()) showBack(id);
}

/// A new product that lies outside of what is seen.
void PicturesShown::offerToGo(const QString& id) {
  try {
    const Picture p = bench_.pictureOf(id);
    if (p.none() || view_.crs().empty()) return;
    const Grid g = gridOf(p);
    const auto where = g.crs.empty() ? std::nullopt : broughtTo(g.extent(), g.crs, view_.crs());
    if (where && !where->overlaps(view_.visible()))
      Q_EMIT toldOf(txt("%1 lies outside of what is seen. <a href=\"%2\">Go there</a>")
                        .arg(p.title.toHtmlEscaped(), id));
  } catch (const std::exception&) {
    // It cannot be read; the view says so.
  }
}

void PicturesShown::clear() {
  beforeLook_.reset();
  view_.setFront({});
  view_.setBack({});
}

void PicturesShown::restore() {
  const Json front = bench_.place("front"), back = bench_.place("back"),
             where = bench_.place("view"), mode = bench_.place("mode");
  Picture p = front.is_string() ? bench_.pictureOf(q(front.get<std::string>())) : Picture();
  setFront(p.none() ? atFirst() : p);
  if (back.is_string()) setBack(bench_.pictureOf(q(back.get<std::string>())));
  const auto figure = [&](const char* key) {
    return where.is_object() && where.contains(key) && where[key].is_number()
               ? where[key].get<double>()
               : std::nan("");
  };
  if (figure("scale") > 0 && std::isfinite(figure("x")) && std::isfinite(figure("y")))
    view_.setCentre({figure("x"), figure("y")}, figure("scale"));
  Q_EMIT modeRestored(
      static_cast<MapView::Mode>(mode.is_number_integer() ? std::clamp(mode.get<int>(), 0, 3) : 0));
}

void PicturesShown::remember() {
  if (!preview()) bench_.setPlaceSoon("front", view_.front().of);
  bench_.setPlaceSoon("back", view_.back().of);
  bench_.setPlaceSoon("mode", static_cast<int>(view_.mode()));
  if (view_.fitted())
    bench_.setPlaceSoon("view", nullptr);
  else if (!view_.front().none())
    bench_.setPlaceSoon(
        "view",
        {{"x", view_.centre().x}, {"y", view_.centre().y}, {"scale", view_.unitsPerPixel()}});
}

}  // namespace zp
