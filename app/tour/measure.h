#pragma once
#include <QElapsedTimer>
#include <QString>

namespace zp {

class MainWindow;

/// Prints how fast the window is: at its start on the study that is open, and in a study of its own
/// below `folder` on a scene of 120 million pixels, which is made there when missing. `started`
/// runs since the program began.
int runMeasure(MainWindow& window, const QString& folder, const QElapsedTimer& started);

}  // namespace zp
