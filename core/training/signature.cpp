#include "training/signature.h"

#include <fmt/format.h>

#include <Eigen/Cholesky>
#include <cmath>
#include <limits>
#include <map>

#include "base/error.h"
#include "feature/feature_kind.h"

namespace zp {
namespace {

/// Mean and covariance updated pixel by pixel (Welford 1962).
struct Accumulator {
  size_t n = 0;
  Eigen::VectorXd mean, min, max;
  Eigen::MatrixXd squares;

  void add(const Eigen::VectorXd& x) {
    if (n == 0) {
      mean = Eigen::VectorXd::Zero(x.size());
      squares = Eigen::MatrixXd::Zero(x.size(), x.size());
      min = max = x;
    }
    ++n;
    const Eigen::VectorXd before = x - mean;
    mean += before / static_cast<double>(n);
    squares += before * (x - mean).transpose();
    min = min.cwiseMin(x);
    max = max.cwiseMax(x);
  }
};

Signature finished(int code, const std::string& name, const Accumulator& a) {
  Signature s;
  s.code = code;
  s.name = name;
  s.pixels = a.n;
  s.mean = a.mean;
  s.min = a.min;
  s.max = a.max;
  s.covariance = Eigen::MatrixXd::Zero(a.mean.size(), a.mean.size());
  if (a.n > 1) {
    const Eigen::MatrixXd c = a.squares / static_cast<double>(a.n - 1);
    s.covariance = (c + c.transpose()) / 2;
  }
  return s;
}

double logDeterminant(const Eigen::MatrixXd& m) {
  const Eigen::LLT<Eigen::MatrixXd> cholesky(m);
  if (cholesky.info() != Eigen::Success) return std::numeric_limits<double>::quiet_NaN();
  return 2 * cholesky.matrixL().toDenseMatrix().diagonal().array().log().sum();
}

}  // namespace

size_t SignatureSet::pixels() const {
  size_t n = 0;
  for (const auto& c : classes) n += c.pixels;
  return n;
}

std::vector<int> SignatureSet::codes() const {
  std::vector<int> all;
  for (const auto& c : classes) all.push_back(c.code);
  return all;
}

SignatureSet signaturesOf(const Samples& samples) {
  const auto features = static_cast<Eigen::Index>(samples.features.size());
  std::map<int, Accumulator> accumulators;
  for (size_t i = 0; i < samples.size(); ++i)
    accumulators[samples.codes[i]].add(
        Eigen::Map<const Eigen::VectorXf>(samples.sample(i), features).cast<double>());
  SignatureSet set;
  set.bands = samples.features;
  set.conflicts = samples.conflicts;
  for (const auto& c : samples.classes)
    if (const auto a = accumulators.find(c.code); a != accumulators.end())
      set.classes.push_back(finished(c.code, c.name, a->second));
  return set;
}

double jeffriesMatusita(const Signature& a, const Signature& b) {
  const Eigen::MatrixXd pooled = (a.covariance + b.covariance) / 2;
  const Eigen::LLT<Eigen::MatrixXd> cholesky(pooled);
  if (cholesky.info() != Eigen::Success) return std::numeric_limits<double>::quiet_NaN();
  const Eigen::VectorXd gap = a.mean - b.mean;
  const double mahalanobis = gap.dot(cholesky.solve(gap));
  const double spread =
      logDeterminant(pooled) - (logDeterminant(a.covariance) + logDeterminant(b.covariance)) / 2;
  return 2 * (1 - std::exp(-(mahalanobis / 8 + spread / 2)));
}

void requireCovariances(const SignatureSet& set) {
  const size_t bands = set.bands.size();
  for (const auto& c : set.classes) {
    if (c.pixels <= bands)
      throw Error(
          "“{}” has {} training pixel{}, too few for a covariance over {} features; "
          "draw at least {}, better {}.",
          c.name, c.pixels, c.pixels == 1 ? "" : "s", bands, bands + 1, 10 * bands);
    // Bands that repeat each other leave a pivot that is nothing but rounding; of correlations, for
    // the units of the bands say nothing of it.
    const Eigen::VectorXd sd = c.sd();
    const Eigen::LDLT<Eigen::MatrixXd> ldlt(sd.cwiseInverse().asDiagonal() * c.covariance *
                                            sd.cwiseInverse().asDiagonal());
    if (!(sd.minCoeff() > 0) || !(ldlt.vectorD().minCoeff() > 1e-12))
      throw Error(
          "The training pixels of “{}” do not vary enough for a covariance over "
          "these features; leave out ones that repeat others or draw more areas.",
          c.name);
  }
}

std::vector<std::string> linesOf(const SignatureSet& set) {
  if (!set.lines.empty()) return set.lines;
  std::vector<std::string> lines;
  for (const auto& band : set.bands) lines.push_back(textOf(FeatureLine{"band", {band}, ""}));
  return lines;
}

Json toJson(const SignatureSet& set) {
  const auto list = [](const Eigen::VectorXd& v) {
    return numbers(std::vector<double>(v.data(), v.data() + v.size()));
  };
  Json classes = Json::array(), pairs = Json::array();
  for (const auto& c : set.classes) {
    Json rows = Json::array();
    for (Eigen::Index r = 0; r < c.covariance.rows(); ++r)
      rows.push_back(list(c.covariance.row(r).transpose()));
    classes.push_back({{"code", c.code},
                       {"name", c.name},
                       {"pixels", c.pixels},
                       {"mean", list(c.mean)},
                       {"sd", list(c.sd())},
                       {"covariance", rows},
                       {"min", list(c.min)},
                       {"max", list(c.max)}});
  }
  for (size_t i = 0; i < set.classes.size(); ++i)
    for (size_t j = i + 1; j < set.classes.size(); ++j)
      pairs.push_back(
          {{"a", set.classes[i].code},
           {"b", set.classes[j].code},
           {"jeffries_matusita", number(jeffriesMatusita(set.classes[i], set.classes[j]))}});
  Json json = {{"format", "zany-patch-signatures"},
               {"version", 1},
               {"bands", set.bands},
               {"classes", classes},
               {"separability", pairs},
               {"conflicts", set.conflicts}};
  if (!set.lines.empty()) json["features"] = set.lines;
  return json;
}

SignatureSet signaturesFrom(const Json& json) {
  SignatureSet set;
  try {
    set.bands = json.at("bands").get<std::vector<std::string>>();
    set.conflicts = json.value("conflicts", size_t{0});
    set.lines = json.value("features", std::vector<std::string>());
    const size_t n = set.bands.size();
    if (!set.lines.empty() && set.lines.size() != n)
      throw Error("The signatures do not name one feature a band.");
    const auto vector = [&](const Json& values) {
      if (values.size() != n) throw Error("The signatures do not have one value a band.");
      Eigen::VectorXd v(static_cast<Eigen::Index>(n));
      std::transform(values.begin(), values.end(), v.begin(), numberFrom);
      return v;
    };
    for (const auto& c : json.at("classes")) {
      Signature s;
      s.code = c.at("code").get<int>();
      s.name = c.at("name").get<std::string>();
      if (s.code < 1)
        throw Error("{} is not a class code; codes are whole numbers from 1 to 65535.", s.code);
      if (!c.at("pixels").is_number_unsigned())
        throw Error("The pixels of “{}” are not a count.", s.name);
      s.pixels = c["pixels"].get<size_t>();
      s.mean = vector(c.at("mean"));
      if (!s.mean.allFinite()) throw Error("The signature of “{}” has no mean.", s.name);
      s.min = vector(c.at("min"));
      s.max = vector(c.at("max"));
      s.covariance.resize(static_cast<Eigen::Index>(n), static_cast<Eigen::Index>(n));
      if (c.at("covariance").size() != n) throw Error("A covariance has a wrong number of rows.");
      for (size_t r = 0; r < n; ++r)
        s.covariance.row(static_cast<Eigen::Index>(r)) = vector(c["covariance"][r]).transpose();
      set.classes.push_back(std::move(s));
    }
  } catch (const Json::exception&) {
    throw Error("The signatures are not complete; see docs/formats/signatures.json.");
  }
  const auto byCode = [](const Signature& a, const Signature& b) { return a.code < b.code; };
  std::sort(set.classes.begin(), set.classes.end(), byCode);
  for (size_t c = 1; c < set.classes.size(); ++c)
    if (set.classes[c - 1].code == set.classes[c].code)
      throw Error("The signatures have the class {} twice; name each once.", set.classes[c].code);
  return set;
}

SignatureSet readSignatures(const std::filesystem::path& file) {
  return signaturesFrom(readJson(file, "zany-patch-signatures"));
}

}  // namespace zp
