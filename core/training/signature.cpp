#include "training/signature.h"

#include <fmt/format.h>

#include <Eigen/Cholesky>
#include <cmath>
#include <limits>
#include <map>

#include "base/error.h"
#include "scene/band_reader.h"

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

void addRun(const LabelledPixels::Run& run, const BandBlock& block, Accumulator& a) {
  const Window& w = block.window;
  const int from = std::max(run.from, w.x), to = std::min(run.to, w.x + w.width);
  Eigen::VectorXd x(static_cast<Eigen::Index>(block.bands));
  for (int c = from; c < to; ++c) {
    const size_t p = static_cast<size_t>(run.row - w.y) * static_cast<size_t>(w.width) +
                     static_cast<size_t>(c - w.x);
    for (size_t b = 0; b < block.bands; ++b) x[static_cast<Eigen::Index>(b)] = block.band(b)[p];
    if (x.allFinite()) a.add(x);
  }
}

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

SignatureSet computeSignatures(const Scene& scene, const std::vector<size_t>& bands,
                               const LabelledPixels& labels, const Legend& legend,
                               const Progress& progress) {
  if (labels.pixels == 0)
    throw Error(
        "No training area covers a pixel of “{}”; check that they lie on the "
        "scene and are larger than a pixel.",
        scene.name);
  const BandReader reader(scene, bands);
  std::map<int, Accumulator> accumulators;
  BandBlock block;
  const auto windows = reader.windows();
  auto first = labels.runs.begin();
  for (size_t i = 0; i < windows.size(); ++i) {
    const Window w = windows[i];
    while (first != labels.runs.end() && first->row < w.y) ++first;
    bool wanted = false;
    for (auto run = first; run != labels.runs.end() && run->row < w.y + w.height; ++run)
      wanted = wanted || (run->from < w.x + w.width && run->to > w.x);
    if (wanted) {
      reader.read(w, block);
      for (auto run = first; run != labels.runs.end() && run->row < w.y + w.height; ++run)
        addRun(*run, block, accumulators[run->code]);
    }
    progress.at(static_cast<double>(i + 1) / static_cast<double>(windows.size()));
  }
  SignatureSet set;
  set.conflicts = labels.conflicts;
  for (const auto& b : bands) set.bands.push_back(scene.bands[b].name);
  if (bands.empty())
    for (const auto& b : scene.bands) set.bands.push_back(b.name);
  for (const auto& [code, a] : accumulators) {
    const LegendClass* known = legend.find(code);
    if (a.n > 0)
      set.classes.push_back(finished(code, known ? known->name : fmt::format("class {}", code), a));
  }
  if (set.classes.empty())
    throw Error(
        "All training pixels of “{}” are empty; draw areas where the scene has "
        "values.",
        scene.name);
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
          "“{}” has {} training pixel{}, too few for a covariance over {} bands; "
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
          "these bands; leave out bands that repeat others or draw more areas.",
          c.name);
  }
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
  return {{"format", "zany-patch-signatures"},
          {"version", 1},
          {"bands", set.bands},
          {"classes", classes},
          {"separability", pairs},
          {"conflicts", set.conflicts}};
}

SignatureSet signaturesFrom(const Json& json) {
  SignatureSet set;
  try {
    set.bands = json.at("bands").get<std::vector<std::string>>();
    set.conflicts = json.value("conflicts", size_t{0});
    const size_t n = set.bands.size();
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
      s.pixels = c.at("pixels").get<size_t>();
      s.mean = vector(c.at("mean"));
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
  return set;
}

}  // namespace zp
