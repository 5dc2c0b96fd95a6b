#pragma once
#include <QComboBox>

#include "scene/scene.h"

namespace zp {

/// The roles that a band can have, in a cell of a table; the first entry is none.
QComboBox* roleChoice(const QString& name, const QString& accessible, const std::string& role);

/// Gives a band (from 0) the role that is chosen.
void giveRole(Scene& scene, int band, const QComboBox& choice);

}  // namespace zp
