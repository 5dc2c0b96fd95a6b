#include "shell/probe.h"

#include "look/look.h"

namespace zp {

Probe::Probe(Workbench& bench, QWidget* parent)
    : QWidget(parent), bench_(bench), reader_(std::make_shared<ProbeReader>()), latest_(this) {
  for (auto signal : {&Workbench::changed, &Workbench::studyChanged,
                      &Workbench::currentSceneChanged, &Workbench::displayChanged})
    connect(&bench_, signal, this, &Probe::forget);
  again_.setSingleShot(true);
  again_.setInterval(0);
  connect(&again_, &QTimer::timeout, this, &Probe::lookAgain);
  setObjectName("probe");
  setAccessibleName(txt("Probe"));
  setFixedHeight(50);
}

void Probe::setPictures(const Picture& front, const Picture& back) {
  front_ = front, back_ = back;
  forget();
}

/// "50.20000° N  3.50000° W" of a place in a projected system; "" where it is in degrees anyway.
QString Probe::inDegrees(Place p) {
  const std::string& crs = question_->crs;
  if (crs.empty() || crsIsGeographic(crs)) return {};
  try {
    if (!toDegrees_ || degreesOf_ != crs) {
      toDegrees_.emplace(crs, crsFrom("EPSG:4326"));
      degreesOf_ = crs;
    }
    if (!toDegrees_->apply(p)) return {};
  } catch (const std::exception&) {
    return {};
  }
  return decimal(std::abs(p.y), 5) + (p.y < 0 ? "° S  " : "° N  ") + decimal(std::abs(p.x), 5) +
         (p.x < 0 ? "° W" : "° E");
}

void Probe::forget() {
  question_.reset();
  if (!resting_) again_.start();
}

/// The pointer stayed where it was, the pictures did not.
void Probe::lookAgain() {
  if (resting_) return;
  if (bench_.hasStudy() && bench_.viewCrs() == placeCrs_) return look(place_);
  rest();
}

/// What is to be read does not change with the place: it is put together once.
void Probe::prepare() {
  question_.emplace();
  question_->crs = bench_.viewCrs();
  if (const auto* s = bench_.currentScene()) question_->scene = s->scene;
  auto& pictures = question_->pictures;
  if (!front_.none()) pictures.push_back(front_);
  if (!back_.none() && back_.key != front_.key) pictures.push_back(back_);
  // What is not in view is read too: the newest index, map and radar scene.
  for (const auto& id : bench_.alsoRead()) {
    const Picture p = bench_.pictureOf(id);
    if (p.of != front_.of && p.of != back_.of) pictures.push_back(p);
  }
}

void Probe::look(Place place) {
  place_ = place;
  placeCrs_ = bench_.viewCrs();
  resting_ = false;
  if (!question_) prepare();
  question_->place = place;
  degrees_ = inDegrees(place);
  update();
  latest_.ask([reader = reader_, asked = *question_](
                  const Progress& progress) { return reader->read(asked, progress); },
              [this](const ProbeAnswer& a) {
                answer_ = a;
                update();
                Q_EMIT answered();
              },
              [this](const QString& sentence) {
                answer_ = {};
                answer_.values.push_back({sentence, {}, {}});
                update();
                Q_EMIT answered();
              });
}

void Probe::rest() {
  latest_.stop();
  again_.stop();
  resting_ = true;
  update();
}

QString Probe::text() const {
  if (resting_) return {};
  QStringList all{where()};
  if (!degrees_.isEmpty()) all << degrees_;
  for (const auto& v : answer_.values) all << v.label + " " + v.text;
  return all.join("; ");
}

QList<SpokenPart> Probe::parts() const {
  if (resting_) return {};
  return {{text(), rect()}};
}

QString Probe::where() const {
  const std::string crs = bench_.viewCrs();
  if (crs.empty())
    return txt("column %1  row %2")
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
  if (!resting_) return paintValues(p, paintProfile(p, paintPlace(p)));
  p.setPen(t.second);
  p.setFont(textFont(9.5));
  p.drawText(rect().adjusted(14, 0, -14, 0), Qt::AlignVCenter,
             bench_.hasStudy() ? txt("Point at the picture to read its values here.") : "");
}

double Probe::paintPlace(QPainter& p) const {
  p.setPen(tokens().text);
  p.setFont(figureFont(9.5));
  const QString where = this->where();
  const double tall = degrees_.isEmpty() ? height() : height() / 2.0 - 4;
  p.drawText(QRectF(14, degrees_.isEmpty() ? 0 : 5, 220, tall), Qt::AlignVCenter, where);
  const double right = 30 + p.fontMetrics().horizontalAdvance(where);
  if (degrees_.isEmpty()) return right;
  p.setPen(tokens().second);
  p.drawText(QRectF(14, 4 + tall, 220, tall), Qt::AlignVCenter, degrees_);
  return std::max(right, 30.0 + p.fontMetrics().horizontalAdvance(degrees_));
}

double Probe::paintProfile(QPainter& p, double x) const {
  const auto& profile = answer_.profile;
  if (profile.size() <= 2) return x;
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
  p.setPen(QPen(tokens().second, 1.5));
  p.setBrush(Qt::NoBrush);
  p.drawPolyline(line);
  p.setPen(Qt::NoPen);
  p.setBrush(tokens().text);
  for (const auto& c : line) p.drawEllipse(c, 1.8, 1.8);
  return x + 164;
}

void Probe::paintValues(QPainter& p, double x) const {
  const double middle = height() / 2.0;
  for (const auto& v : answer_.values) {
    if (x > width() - 140) break;  // the first ones matter most
    if (v.colour.isValid()) {
      p.setPen(Qt::NoPen);
      p.setBrush(v.colour);
      p.drawRoundedRect(QRectF(x, middle - 5.5, 11, 11), 2, 2);
      x += 18;
    } else {
      p.setPen(tokens().second);
      p.setFont(textFont(9.5));
      const QString label = p.fontMetrics().elidedText(v.label, Qt::ElideRight, 130);
      p.drawText(QPointF(x, middle + 4.5), label);
      x += p.fontMetrics().horizontalAdvance(label) + 7;
    }
    p.setPen(tokens().text);
    p.setFont(v.colour.isValid() ? textFont(9.5) : figureFont(9.5));
    p.drawText(QPointF(x, middle + 4.5), v.text);
    x += p.fontMetrics().horizontalAdvance(v.text) + 22;
  }
}

}  // namespace zp
