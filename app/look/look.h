#pragma once
#include <QColor>
#include <QFont>
#include <QIcon>
#include <QString>
#include <optional>

#include "legend/legend.h"
#include "look/words.h"

namespace zp {

/// The colours of a look, in one place. Greys have no hue, so that pictures are judged rightly.
struct Tokens {
  QColor around, sunken, panel, raised, hairline, text, second, accent, accentFilled, onAccent,
      chosen, warning, overlay;
};

const Tokens& tokens();
/// "dusk" (dark, the default) or "daylight".
QString currentLook();
void applyLook(const QString& look);
/// While many widgets are put together they wear no style sheet, for Qt would work it out anew
/// each time one is set into another; they are dressed at the end of this one's life.
class DressedLater {
 public:
  DressedLater();
  ~DressedLater();
  DressedLater(const DressedLater&) = delete;
  DressedLater& operator=(const DressedLater&) = delete;

 private:
  const QString sheet_;
};

QFont textFont(double points = 10, QFont::Weight weight = QFont::Normal);
QFont figureFont(double points = 10);
/// A line drawing in the text's colour.
QIcon icon(const QString& name);

QColor toQt(Colour c);
Colour fromQt(const QColor& c);

/// "1 234 567", groups parted by a space that both faces have.
QString grouped(qulonglong n);
/// A number with some decimals, as the language of the words writes it; minus as a true minus.
QString decimal(double value, int decimals);
/// A number in a field, which one may type over, and what was typed there: with the decimal sign of
/// the language, or a point.
QString fieldNumber(double value);
std::optional<double> typedNumber(const QString& text);
/// As few digits as tell values apart in a range of this size.
QString compact(double value);
/// "18 Jul 2031" of an ISO date; "" stays.
QString niceDate(const std::string& iso);
QString areaText(double squareMetres);
/// "3.1 MB", "1.20 GB".
QString bytesText(double bytes);
inline QString q(const std::string& s) {
  return QString::fromStdString(s);
}

}  // namespace zp
