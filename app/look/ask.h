#pragma once
#include <QWidget>

namespace zp {

/// A question about what cannot be taken back: whether to go on. The buttons say what they do;
/// Return and Escape keep what there is.
bool surely(QWidget* parent, const QString& title, const QString& question, const QString& goOn,
            const QString& keep);

}  // namespace zp
