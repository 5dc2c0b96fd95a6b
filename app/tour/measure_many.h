#pragma once
#include <QDir>

namespace zp {

class Driver;

/// How fast the window is with a study of 200 scenes and 500 products, made below `folder` when
/// missing.
void measureMany(Driver& driver, const QDir& folder);

}  // namespace zp
