#pragma once
#include <QString>

namespace zp {

/// Where one is, for the keys that work there: a stage, or a sheet in place of it.
enum class Whereabouts {
  Scenes,
  Indices,
  Training,
  Mapping,
  Sampling,
  Accuracy,
  Naming,
  Signatures,
  Labelling,
  Matrix,
  Table
};

/// The keys that work at a place, as rich text, with a link to its page of the guide.
QString keysOf(Whereabouts place);

}  // namespace zp
