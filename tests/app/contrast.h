#pragma once
#include <QtWidgets>
#include <cmath>
#include <map>
#include <optional>

namespace zp::testing {

/// Relative luminance and contrast, WCAG 2.1.
inline double luminance(const QColor& c) {
  const auto linear = [](double v) {
    return v <= 0.03928 ? v / 12.92 : std::pow((v + 0.055) / 1.055, 2.4);
  };
  return 0.2126 * linear(c.redF()) + 0.7152 * linear(c.greenF()) + 0.0722 * linear(c.blueF());
}
inline double contrast(const QColor& a, const QColor& b) {
  const double one = luminance(a), other = luminance(b);
  return (std::max(one, other) + 0.05) / (std::min(one, other) + 0.05);
}

/// A text that stands out too little from what it is painted on.
struct FaintText {
  QString text;
  QColor colour, ground;
  double contrast = 0;
  QPoint at = {};
};

/// What a part of a picture mostly is, beside a colour, and whether that is seen in it.
struct Ground {
  QColor colour;
  bool has = false;
};
inline Ground groundIn(const QImage& seen, const QRect& box, const QColor& beside) {
  std::map<QRgb, int> often;
  Ground ground{beside};
  int most = 0;
  for (int y = box.top(); y <= box.bottom(); ++y)
    for (int x = box.left(); x <= box.right(); ++x) {
      const QColor c = seen.pixelColor(x, y);
      const int away = std::abs(c.red() - beside.red()) + std::abs(c.green() - beside.green()) +
                       std::abs(c.blue() - beside.blue());
      ground.has = ground.has || away < 30;
      if (away < 60) continue;
      const int n = ++often[c.rgb() & 0xFFF8F8F8];
      if (n > most) most = n, ground.colour = c;
    }
  return ground;
}

inline QString attributeOf(const QString& element, const char* name) {
  return QRegularExpression(QString("\\b%1=\"([^\"]*)\"").arg(name)).match(element).captured(1);
}

inline QTransform placeOf(const QString& group, const QTransform& within) {
  const QStringList m = attributeOf(group, "transform").remove("matrix(").remove(")").split(',');
  if (m.size() != 6) return within;
  return QTransform(m[0].toDouble(), m[1].toDouble(), m[2].toDouble(), m[3].toDouble(),
                    m[4].toDouble(), m[5].toDouble());
}

/// The box of a text's capitals and its colour as it is mixed with what it is on.
inline std::optional<FaintText> faintText(const QString& element, const QString& text,
                                          const QTransform& place, const QImage& seen) {
  const QColor colour(attributeOf(element, "fill"));
  if (text.trimmed().isEmpty() || !colour.isValid()) return {};
  QFont font(attributeOf(element, "font-family"));
  font.setPixelSize(std::max(1, static_cast<int>(attributeOf(element, "font-size").toDouble())));
  const QFontMetricsF metrics(font);
  const QPointF at(attributeOf(element, "x").toDouble(), attributeOf(element, "y").toDouble());
  const QRect box = place
                        .mapRect(QRectF(at.x(), at.y() - metrics.capHeight(),
                                        metrics.horizontalAdvance(text), metrics.capHeight()))
                        .toAlignedRect()
                        .adjusted(-2, -2, 2, 2) &
                    seen.rect();
  if (box.isEmpty()) return {};
  const double share = attributeOf(element, "fill-opacity").toDouble();
  const auto mixedWith = [&](const QColor& ground) {
    const auto mix = [&](int over, int under) {
      return static_cast<int>(std::lround(share * over + (1 - share) * under));
    };
    return QColor(mix(colour.red(), ground.red()), mix(colour.green(), ground.green()),
                  mix(colour.blue(), ground.blue()));
  };
  const QColor mixed = mixedWith(groundIn(seen, box, colour).colour);
  const Ground ground = groundIn(seen, box, mixed);
  const double stands = contrast(mixed, ground.colour);
  if (!ground.has || stands >= 4.5) return {};  // it is covered, or stands out
  return FaintText{text, mixed, ground.colour, stands, box.center()};
}

/// Each text of a drawing (as SVG) against what it is on in the picture of the same: most of the
/// box it stands in.
inline QList<FaintText> faintTexts(const QByteArray& svg, const QImage& seen) {
  static const QRegularExpression part("<g ([^>]*)>|</g>|<text ([^>]*)>([^<]*)</text>");
  QList<FaintText> faint;
  QList<QTransform> places{QTransform()};
  for (auto found = part.globalMatch(QString::fromUtf8(svg)); found.hasNext();) {
    const auto one = found.next();
    if (one.captured() == "</g>") {
      if (places.size() > 1) places.removeLast();
    } else if (one.captured(2).isEmpty()) {
      places << placeOf(one.captured(1), places.last());
    } else if (const auto text = faintText(one.captured(2), one.captured(3), places.last(), seen)) {
      faint << *text;
    }
  }
  return faint;
}

}  // namespace zp::testing
