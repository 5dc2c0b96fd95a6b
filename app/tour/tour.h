#pragma once
#include <QString>

namespace zp {

class MainWindow;

/// Drives the real window through the whole job with mouse and keys, and saves a picture of each
/// main view and the matrix as CSV to `folder`. `truth` is the demo's hidden cover, for a labeller
/// who errs now and then. Returns an exit code.
int runTour(MainWindow& window, const QString& folder, const QString& truth);

}  // namespace zp
