#pragma once
#include <memory>
#include <string>
#include <vector>

#include "base/parameter.h"
#include "training/samples.h"

namespace zp {

/// Gives pixels a class. Thread-safe once made.
class Classifier {
 public:
  virtual ~Classifier() = default;
  virtual size_t features() const = 0;
  /// The codes it may give.
  virtual std::vector<int> classes() const = 0;
  /// Codes of n pixels, `values[f]` being those of feature f; 0 where one is NaN or the class is
  /// rejected.
  virtual void classify(const std::vector<const float*>& values, size_t n,
                        uint16_t* codes) const = 0;
  /// Codes and, for each pixel, the probability of its class given its values, 0…1; NaN without a
  /// class. Error when the method knows no probabilities.
  virtual void classify(const std::vector<const float*>& values, size_t n, uint16_t* codes,
                        float* confidence) const;
  /// What it has learned, for Method::read.
  virtual Json toJson() const = 0;
  /// What is worth telling of how it learned; empty for nothing. Kept by toJson.
  virtual Json facts() const { return Json::object(); }
};

/// The class codes that a model learned, rising. Error: not such.
std::vector<uint16_t> codesFrom(const Json& json);

/// A trained method: what is said of it, its parameters, and how it learns. One file pair each in
/// mapping/methods/, one line in mapping/methods.cpp; the desk, zpatch and the help follow.
struct Method {
  std::string id, title, about, assumes, fails, source;
  std::vector<Parameter> parameters;
  /// Whether it tells the probability of the class it gives.
  bool confidence = false;
  /// `settings`: complete and checked. Error: samples that do not suffice, settings that do not fit
  /// the classes.
  std::unique_ptr<Classifier> (*train)(const Samples& samples, const Json& settings,
                                       const Progress& progress);
  /// From Classifier::toJson of the same settings. Error: not such.
  std::unique_ptr<Classifier> (*read)(const Json& learned, const Json& settings);
};

/// All there are, in the order they are offered in.
const std::vector<const Method*>& methods();
/// Error with the nearest known id; never another method.
const Method& method(const std::string& id);

/// Trains a method with what is set, checked, and the initial values of the rest.
std::unique_ptr<Classifier> trainMethod(const Method& method, const Samples& samples,
                                        const Json& settings = Json::object(),
                                        const Progress& progress = Progress());

}  // namespace zp
