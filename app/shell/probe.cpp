#include "shell/probe.h"

#include "look/look.h"
#include "sampling/readings.h"

namespace zp {

Probe::Probe(Workbench& bench, QWidget* parent) : QWidget(parent), bench_(bench), latest_(this) {
  setObjectName("probe");
  setAccessibleName("Probe");
  setFixedHeight(50);
}

void Probe::setPictures(const Picture& front, const Picture& back) {
  front_ = front, back_ = back;
}

namespace {

/// "50.20000° N  3.50000° W" of a place in a projected system; "" where it is in degrees anyway.
QString inDegrees(Place p, const std::string& crs) {
  if (crs.empty() || crsIsGeographic(crs)) return {};
  try {
    if (!CrsChange(crs, crsFrom("EPSG:4326")).apply(p)) return {};
  } catch (const std::exception&) {
    return {};
  }
  return decimal(std::abs(p.y), 5) + (p.y < 0 ? "° S  " : "° N  ") + decimal(std::abs(p.x), 5) +
         (p.x < 0 ? "° W" : "° E");
}

/// Of a formula that is only looked at; NaN outside.
float valueAt(const Picture& p, Place place, const std::string& crs) {
  const bool both = !crs.empty() && !p.scope.grid.crs.empty();
  if (!CrsChange(both ? crs : "", both ? p.scope.grid.crs : "").apply(place)) return NAN;
  const Place at = p.scope.grid.toPixel(place);
  const Window w{static_cast<int>(std::floor(at.x)), static_cast<int>(std::floor(at.y)), 1, 1};
  if (w.x < 0 || w.y < 0 || w.x >= p.scope.grid.width || w.y >= p.scope.grid.height) return NAN;
  return FormulaReader(p.scope, {p.formula}).reduced(w, 1, 1)[0][0];
}

}  // namespace

Probe::Answer Probe::read(Place place, const std::string& crs, const Scene* scene,
                          const std::vector<Picture>& pictures) {
  Answer a;
  if (scene != nullptr)
    for (size_t b = 0; b < scene->bands.size(); ++b) {
      const double w = scene->bands[b].wavelength;
      a.profile.emplace_back(w > 0 ? w : static_cast<double>(b + 1),
                             readBandAt({place}, crs, *scene, b)[0]);
    }
  for (const auto& p : pictures) {
    if (p.kind == Picture::Kind::Classes) {
      const double v = readAt({place}, crs, {{p.file, 1, "map"}}).values[0][0];
      const auto* c = std::isnan(v) ? nullptr : p.legend.find(static_cast<int>(v));
      a.values.push_back({p.title, c != nullptr ? q(c->name) : "no class",
                          c != nullptr ? toQt(c->colour) : QColor()});
    } else if (p.kind == Picture::Kind::Index) {
      const double v = readAt({place}, crs, {{p.file, 1, "index"}}).values[0][0];
      a.values.push_back({p.title, std::isnan(v) ? "no data" : decimal(v, 3), {}});
    } else if (p.kind == Picture::Kind::Formula) {
      const float out = valueAt(p, place, crs);
      a.values.push_back({p.title, std::isnan(out) ? "no data" : decimal(out, 3), {}});
    } else if (p.kind == Picture::Kind::Composite) {
      QStringList texts;
      std::vector<size_t> bands(p.bands.begin(), p.bands.end());
      if (p.singleBand()) bands.resize(1);
      for (size_t b : bands) {
        double v = readBandAt({place}, crs, p.scene, b)[0];
        if (p.decibels) v = v > 0 ? 10 * std::log10(v) : std::nan("");
        texts << (std::isnan(v) ? "no data" : p.decibels ? decimal(v, 1) : compact(v));
      }
      texts.removeDuplicates();
      a.values.push_back({p.title, texts.join("  ") + (p.decibels ? " dB" : ""), {}});
    }
  }
  return a;
}

void Probe::look(Place place) {
  place_ = place;
  resting_ = false;
  update();
  std::vector<Picture> pictures;
  if (!front_.none()) pictures.push_back(front_);
  if (!back_.none() && back_.key != front_.key) pictures.push_back(back_);
  // What is not in view is read too: the newest index, map and radar scene.
  for (const auto& id : bench_.alsoRead()) {
    const Picture p = bench_.pictureOf(id);
    if (p.of != front_.of && p.of != back_.of) pictures.push_back(p);
  }
  const auto* s = bench_.currentScene();
  const std::optional<Scene> scene = s != nullptr ? std::optional<Scene>(s->scene) : std::nullopt;
  latest_.ask(
      [place, crs = bench_.viewCrs(), scene, pictures](const Progress&) {
        return read(place, crs, scene ? &*scene : nullptr, pictures);
      },
      [this](const Answer& a) { answer_ = a, update(); }, [](const QString&) {});
}

void Probe::rest() {
  latest_.stop();
  resting_ = true;
  update();
}

QString Probe::text() const {
  if (resting_) return {};
  QStringList all{where()};
  const QString degrees = inDegrees(place_, bench_.viewCrs());
  if (!degrees.isEmpty()) all << degrees;
  for (const auto& v : answer_.values) all << v.label + " " + v.text;
  return all.join("; ");
}

QString Probe::where() const {
  const std::string crs = bench_.viewCrs();
  if (crs.empty())
    return QString("column %1  row %2")
        .arg(static_cast<int>(std::floor(place_.x)))
        .arg(static_cast<int>(std::floor(-place_.y)));
  if (crsIsGeographic(crs)) return decimal(place_.x, 5) + "°  " + decimal(place_.y, 5) + "°";
  return decimal(place_.x, 0) + " E  " + decimal(place_.y, 0) + " N";
}

void Probe::paintEvent(QPaintEvent*) {
  QPainter p(this);
  p.setRenderHint(QPainter::Antialiasing);
  const Tokens& t = tokens();
  p.fillRect(rect(), t.panel);
  p.fillRect(QRect(0, 0, width(), 1), t.hairline);
  if (resting_) {
    p.setPen(t.second);
    p.setFont(textFont(9.5));
    p.drawText(rect().adjusted(14, 0, -14, 0), Qt::AlignVCenter,
               bench_.hasStudy() ? "Point at the picture to read its values here." : "");
    return;
  }
  p.setPen(t.text);
  p.setFont(figureFont(9.5));
  const QString where = this->where(), degrees = inDegrees(place_, bench_.viewCrs());
  const double tall = degrees.isEmpty() ? height() : height() / 2.0 - 4;
  p.drawText(QRectF(14, degrees.isEmpty() ? 0 : 5, 220, tall), Qt::AlignVCenter, where);
  double x = 30 + p.fontMetrics().horizontalAdvance(where);
  if (!degrees.isEmpty()) {
    p.setPen(t.second);
    p.drawText(QRectF(14, 4 + tall, 220, tall), Qt::AlignVCenter, degrees);
    x = std::max(x, 30.0 + p.fontMetrics().horizontalAdvance(degrees));
  }
  const auto& profile = answer_.profile;
  if (profile.size() > 2) {
    double low = 1e30, high = -1e30;
    for (const auto& [w, v] : profile)
      if (!std::isnan(v)) low = std::min(low, v), high = std::max(high, v);
    const double w0 = profile.front().first, w1 = profile.back().first;
    const QRectF box(x, 13, 140, height() - 26);
    QPolygonF line;
    for (const auto& [w, v] : profile)
      if (!std::isnan(v))
        line << QPointF(box.left() + (w - w0) / std::max(1e-9, w1 - w0) * box.width(),
                        box.bottom() - (v - low) / std::max(1e-9, high - low) * box.height());
    p.setPen(QPen(t.second, 1.5));
    p.setBrush(Qt::NoBrush);
    p.drawPolyline(line);
    p.setPen(Qt::NoPen);
    p.setBrush(t.text);
    for (const auto& c : line) p.drawEllipse(c, 1.8, 1.8);
    x += 164;
  }
  for (const auto& v : answer_.values) {
    if (x > width() - 140) break;  // the first ones matter most
    if (v.colour.isValid()) {
      p.setPen(Qt::NoPen);
      p.setBrush(v.colour);
      p.drawRoundedRect(QRectF(x, height() / 2.0 - 5.5, 11, 11), 2, 2);
      x += 18;
    } else {
      p.setPen(t.second);
      p.setFont(textFont(9.5));
      const QString label = p.fontMetrics().elidedText(v.label, Qt::ElideRight, 130);
      p.drawText(QPointF(x, height() / 2.0 + 4.5), label);
      x += p.fontMetrics().horizontalAdvance(label) + 7;
    }
    p.setPen(t.text);
    p.setFont(v.colour.isValid() ? textFont(9.5) : figureFont(9.5));
    p.drawText(QPointF(x, height() / 2.0 + 4.5), v.text);
    x += p.fontMetrics().horizontalAdvance(v.text) + 22;
  }
}

}  // namespace zp
