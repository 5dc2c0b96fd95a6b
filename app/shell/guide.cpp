#include "shell/guide.h"

#include <QCoreApplication>
#include <QDesktopServices>
#include <QFileInfo>

namespace zp {

QString guidePageOf(Whereabouts place) {
  switch (place) {
    case Whereabouts::Scenes:
      return "stages/scenes.html";
    case Whereabouts::Indices:
      return "stages/indices.html";
    case Whereabouts::Training:
      return "stages/training.html";
    case Whereabouts::Mapping:
      return "stages/mapping.html";
    case Whereabouts::Sampling:
      return "stages/sampling.html";
    case Whereabouts::Accuracy:
      return "stages/accuracy.html";
    case Whereabouts::Naming:
      return "stages/mapping.html#clustered";
    case Whereabouts::Signatures:
      return "stages/training.html#are-they-good";
    case Whereabouts::Labelling:
      return "stages/accuracy.html#labels";
    case Whereabouts::Matrix:
      return "stages/accuracy.html#the-matrix";
    case Whereabouts::Table:
      return "stages/sampling.html#the-table";
  }
  return "index.html";
}

QUrl guideUrl(const QString& page) {
  const QString here = QCoreApplication::applicationDirPath();
  const QString file = page.section('#', 0, 0), at = page.section('#', 1);
  // Where it was built, else where it is installed.
  for (const QString& folder : {here + "/../guide/site/", here + "/../share/zany-patch/guide/"}) {
    if (!QFileInfo::exists(folder + file)) continue;
    QUrl url = QUrl::fromLocalFile(QFileInfo(folder + file).canonicalFilePath());
    if (!at.isEmpty()) url.setFragment(at);
    return url;
  }
  return {};
}

void openGuide(const QString& page) {
  if (const QUrl url = guideUrl(page); !url.isEmpty()) QDesktopServices::openUrl(url);
}

}  // namespace zp
