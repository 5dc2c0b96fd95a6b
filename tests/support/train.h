#pragma once
#include "mapping/method.h"

namespace zp::testing {

/// Trains a method with what is set, checked, and the initial values of the rest.
inline std::unique_ptr<Classifier> trainMethod(const Method& method, const Samples& samples,
                                               const Json& settings = Json::object(),
                                               const Progress& progress = Progress()) {
  return method.train(samples, settingsFrom(method.parameters, settings, method.title), progress);
}

}  // namespace zp::testing
