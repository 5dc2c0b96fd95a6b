#include "shell/text_size.h"

#include <QByteArray>
#include <QSettings>
#include <algorithm>

namespace zp {

int textSize() {
  const int size = QSettings().value("size", kTextSizes[0]).toInt();
  return std::find(kTextSizes.begin(), kTextSizes.end(), size) == kTextSizes.end() ? kTextSizes[0]
                                                                                   : size;
}

void useTextSize() {
  constexpr const char* kFactor = "QT_SCALE_FACTOR";
  static const QByteArray asked = qgetenv(kFactor);
  bool number = false;
  const double factor = asked.toDouble(&number);
  const int size = textSize();
  if (size == kTextSizes[0] && asked.isEmpty())
    qunsetenv(kFactor);
  else
    qputenv(kFactor, QByteArray::number((number ? factor : 1) * size / 100));
}

}  // namespace zp
