#pragma once
#include <memory>
#include <string>
#include <vector>

#include "base/parameter.h"
#include "training/samples.h"

namespace zp {

/// Gives pixels a code by their features. Thread-safe once made.
class PixelCoder {
 public:
  virtual ~PixelCoder() = default;
  virtual size_t features() const = 0;
  /// Codes of n pixels, `values[f]` being those of feature f; 0 where one is NaN or the class is
  /// rejected.
  virtual void classify(const std::vector<const float*>& values, size_t n,
                        uint16_t* codes) const = 0;
};

/// Gives pixels a class that it has learned.
class Classifier : public PixelCoder {
 public:
  /// The codes it may give, rising.
  virtual std::vector<int> classes() const = 0;
  /// How much speaks for each class, 0…1 and 1 together (Method::support): `out[c * n + i]`, the
  /// classes in the order of classes(). NaN where a value is.
  virtual void support(const std::vector<const float*>& values, size_t n, float* out) const = 0;
  /// What it has learned, for Method::read.
  virtual Json toJson() const = 0;
  /// What is worth telling of how it learned; empty for nothing. Kept by toJson.
  virtual Json facts() const { return Json::object(); }
};

/// Codes and, for each pixel, what speaks for its class; NaN without a class.
void classifySurely(const Classifier& classifier, const std::vector<const float*>& values, size_t n,
                    uint16_t* codes, float* confidence);

/// The class codes that a model learned, rising. Error: not such.
std::vector<uint16_t> codesFrom(const Json& json);

/// A trained method: what is said of it, its parameters, and how it learns. One file pair each in
/// mapping/methods/, one line in mapping/methods.cpp; the desk, zpatch and the help follow.
struct Method {
  std::string id, title, about, assumes, fails, source;
  /// What Classifier::support is: a posterior probability, a share of votes…
  std::string support;
  std::vector<Parameter> parameters;
  /// It learns nothing but signatures, so what `read` takes is such (training/signature.h).
  bool bySignatures = false;
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

}  // namespace zp
