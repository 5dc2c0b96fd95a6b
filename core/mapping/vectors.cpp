#include "mapping/vectors.h"

#include <algorithm>
#include <cmath>
#include <limits>

#include "base/cpu.h"
#include "base/error.h"
#include "base/nan.h"
#include "mapping/vectors_kernel.h"

namespace zp {

void SupportVectors::arrange() {
  struct Weight {
    int32_t vector, function;
    float weight;
  };
  std::vector<Weight> all;
  offset_.clear();
  for (size_t f = 0; f < functions.size(); ++f) {
    offset_.push_back(static_cast<float>(functions[f].offset));
    for (size_t i = 0; i < functions[f].vectors.size(); ++i)
      all.push_back({functions[f].vectors[i], static_cast<int32_t>(f),
                     static_cast<float>(functions[f].weights[i])});
  }
  std::stable_sort(all.begin(), all.end(),
                   [](const Weight& a, const Weight& b) { return a.vector < b.vector; });
  first_.assign(count() + 1, 0);
  function_.clear();
  weight_.clear();
  for (const auto& w : all) {
    ++first_[static_cast<size_t>(w.vector) + 1];
    function_.push_back(w.function);
    weight_.push_back(w.weight);
  }
  for (size_t v = 0; v < count(); ++v) first_[v + 1] += first_[v];
}

namespace {

/// Which class wins, from the value of each function at one pixel; −1 where one is NaN.
int16_t winnerOf(const float* values, size_t step, size_t classes, std::vector<int>& votes) {
  std::fill(votes.begin(), votes.end(), 0);
  for (size_t a = 0, f = 0; a < classes; ++a)
    for (size_t b = a + 1; b < classes; ++b, ++f) {
      const float v = values[f * step];
      if (std::isnan(v)) return -1;
      ++votes[v > 0 ? a : b];
    }
  return static_cast<int16_t>(std::max_element(votes.begin(), votes.end()) - votes.begin());
}

/// As SupportVectors::support says; NaN becomes NaN by itself.
void couple(const float* values, size_t step, std::vector<double>& support) {
  constexpr double kFarthest = 40;
  const size_t classes = support.size();
  std::fill(support.begin(), support.end(), 2 - static_cast<double>(classes));
  for (size_t a = 0, f = 0; a < classes; ++a)
    for (size_t b = a + 1; b < classes; ++b, ++f) {
      const double odds =
          std::exp(std::clamp(-2 * static_cast<double>(values[f * step]), -kFarthest, kFarthest));
      support[a] += 1 + odds;
      support[b] += 1 + 1 / odds;
    }
  double sum = 0;
  for (double& s : support) sum += s = 1 / s;
  for (double& s : support) s /= sum;
}

}  // namespace

template <class Visit>
void SupportVectors::eachPixel(const std::vector<const float*>& pixels, size_t n,
                               Visit visit) const {
  const VectorsModel model{static_cast<int>(features),
                           static_cast<int>(count()),
                           static_cast<int>(functions.size()),
                           values.data(),
                           radial,
                           static_cast<float>(gamma),
                           first_.data(),
                           function_.data(),
                           weight_.data(),
                           offset_.data()};
  const auto kernel = cpuHasV3() ? &v3::decide : &baseline::decide;
  std::vector<float> out(functions.size() * kVectorsChunk);
  std::vector<const float*> at(features);
  for (size_t from = 0; from < n; from += kVectorsChunk) {
    const size_t some = std::min(kVectorsChunk, n - from);
    for (size_t f = 0; f < features; ++f) at[f] = pixels[f] + from;
    kernel(model, at.data(), some, out.data());
    for (size_t i = 0; i < some; ++i) visit(from + i, out.data() + i);
  }
}

void SupportVectors::decide(const std::vector<const float*>& pixels, size_t n,
                            int16_t* best) const {
  std::vector<int> votes(classes);
  eachPixel(pixels, n, [&](size_t i, const float* at) {
    best[i] = winnerOf(at, kVectorsChunk, classes, votes);
  });
}

void SupportVectors::support(const std::vector<const float*>& pixels, size_t n, float* out) const {
  std::vector<double> each(classes);
  eachPixel(pixels, n, [&](size_t i, const float* at) {
    couple(at, kVectorsChunk, each);
    for (size_t c = 0; c < classes; ++c) out[c * n + i] = static_cast<float>(each[c]);
  });
}

Json toJson(const SupportVectors& v) {
  Json functions = Json::array();
  for (const auto& f : v.functions)
    functions.push_back({{"offset", f.offset}, {"vectors", f.vectors}, {"weights", f.weights}});
  return {{"features", v.features},
          {"radial", v.radial},
          {"gamma", v.gamma},
          {"values", v.values},
          {"functions", functions}};
}

SupportVectors supportVectorsFrom(const Json& json, size_t classes) {
  SupportVectors v;
  v.features = json.at("features");
  v.classes = classes;
  v.radial = json.at("radial");
  v.gamma = json.at("gamma");
  v.values = json.at("values").get<std::vector<float>>();
  const Error broken("The support vectors of the model are not complete; train it again.");
  const auto finite = [](double x) { return std::isfinite(x); };
  if (v.features == 0 || v.features > kMostVectorFeatures || v.values.size() % v.features != 0 ||
      !std::all_of(v.values.begin(), v.values.end(), finite) || !finite(v.gamma) ||
      json.at("functions").size() != classes * (classes - 1) / 2)
    throw broken;
  for (const auto& f : json.at("functions")) {
    SupportVectors::Function function{f.at("offset"), f.at("vectors").get<std::vector<int32_t>>(),
                                      f.at("weights").get<std::vector<double>>()};
    const bool there = std::all_of(
        function.vectors.begin(), function.vectors.end(),
        [&](int32_t vector) { return vector >= 0 && static_cast<size_t>(vector) < v.count(); });
    if (!there || function.vectors.size() != function.weights.size() || !finite(function.offset) ||
        !std::all_of(function.weights.begin(), function.weights.end(), finite))
      throw broken;
    v.functions.push_back(std::move(function));
  }
  v.arrange();
  return v;
}

}  // namespace zp
