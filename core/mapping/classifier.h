#pragma once
#include <map>
#include <memory>
#include <optional>
#include <string>
#include <vector>

#include "training/signature.h"

namespace zp {

/// Parameters of a method, as `--set key=value` and the window give them.
struct MethodOptions {
  std::map<int, double> priors;  // class code → share; empty: equal
  std::optional<double> reject;  // distance beyond which a pixel gets no class

  /// Sets one by its key; Error for an unknown key or a value that does not fit.
  void set(const std::string& key, const std::string& value);
};

/// Gives pixels a class. Thread-safe once made.
class Classifier {
 public:
  virtual ~Classifier() = default;
  virtual size_t bands() const = 0;
  /// Codes of n pixels; 0 where a band is NaN or the class is rejected.
  virtual void classify(const std::vector<const float*>& bands, size_t n,
                        uint16_t* codes) const = 0;
  /// Codes and, for each pixel, the probability of its class given its values, 0…1; NaN without a
  /// class. Error when the method knows no probabilities.
  virtual void classify(const std::vector<const float*>& bands, size_t n, uint16_t* codes,
                        float* confidence) const;
};

struct MethodParameter {
  std::string id, title, about;
};

/// A method of `data/methods.json`, with its paragraph.
struct Method {
  std::string id, title, about, assumes, fails, source;
  std::vector<MethodParameter> parameters;
};

const std::vector<Method>& methods();
/// Error with the nearest known id.
const Method& method(const std::string& id);

/// Error: an unknown method, signatures that do not suffice, priors that do not fit the classes.
std::unique_ptr<Classifier> makeClassifier(const std::string& method, const SignatureSet& set,
                                           const MethodOptions& options);

}  // namespace zp
