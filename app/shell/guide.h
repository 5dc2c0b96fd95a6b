#pragma once
#include <QUrl>

#include "shell/keys.h"

namespace zp {

/// The page of the guide for where one is, such as "stages/accuracy.html#labels".
QString guidePageOf(Whereabouts place);
/// Its place on the disk; empty where the guide is not installed.
QUrl guideUrl(const QString& page);
/// Opens it in the desktop's browser.
void openGuide(const QString& page);

}  // namespace zp
