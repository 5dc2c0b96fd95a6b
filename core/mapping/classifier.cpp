#include "mapping/classifier.h"

#include <fmt/format.h>

#include "base/data_folder.h"
#include "base/error.h"
#include "base/text.h"
#include "mapping/maximum_likelihood.h"
#include "mapping/minimum_distance.h"

namespace zp {
namespace {

std::map<int, double> priorsFrom(const std::string& text) {
  std::map<int, double> priors;
  if (text == "equal") return priors;
  for (const auto& part : split(text, ',')) {
    const auto pair = split(part, ':');
    const auto share = pair.size() == 2 ? parseNumber(pair[1]) : std::nullopt;
    if (!share || *share <= 0)
      throw Error("“{}” is not a prior; write equal, or code:share such as 1:0.4,2:0.6.", part);
    priors[classCode(pair[0], "the priors")] = *share;
  }
  return priors;
}

std::vector<Method> readMethods() {
  std::vector<Method> all;
  const Json json = readJson(dataFile("methods.json"), "zany-patch-methods");
  for (const auto& m : json.at("methods")) {
    Method one{
        m.at("id"), m.at("title"), m.at("about"), m.at("assumes"), m.at("fails"), m.at("source"),
        {}};
    for (const auto& p : m.at("parameters"))
      one.parameters.push_back({p.at("id"), p.at("title"), p.at("about")});
    all.push_back(std::move(one));
  }
  return all;
}

}  // namespace

void MethodOptions::set(const std::string& key, const std::string& value) {
  if (key == "priors") {
    priors = priorsFrom(value);
  } else if (key == "reject") {
    reject = parseNumber(value);
    if (!reject || *reject <= 0)
      throw Error("“{}” is not a distance; give a number above 0 for reject.", value);
  } else {
    throw Error("There is no parameter “{}”; the parameters are priors and reject.{}", key,
                didYouMean(key, {"priors", "reject"}));
  }
}

void Classifier::classify(const std::vector<const float*>&, size_t, uint16_t*, float*) const {
  throw Error("This method gives no confidence; leave it out or choose maximum likelihood.");
}

const std::vector<Method>& methods() {
  static const std::vector<Method> all = readMethods();
  return all;
}

const Method& method(const std::string& id) {
  std::vector<std::string> ids;
  for (const auto& m : methods()) {
    if (m.id == id) return m;
    ids.push_back(m.id);
  }
  throw Error("There is no method “{}”; the methods are {}.{}", id, listed(ids),
              didYouMean(id, ids));
}

std::unique_ptr<Classifier> makeClassifier(const std::string& id, const SignatureSet& set,
                                           const MethodOptions& options) {
  method(id);
  if (id == "maximum-likelihood") return std::make_unique<MaximumLikelihood>(set, options);
  return std::make_unique<MinimumDistance>(set, options);
}

}  // namespace zp
