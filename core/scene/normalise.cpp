#include "scene/normalise.h"

#include <fmt/format.h>

#include <Eigen/Dense>
#include <cmath>

#include "base/error.h"
#include "scene/combine.h"

namespace zp {
namespace {

using Eigen::MatrixXd;
using Eigen::VectorXd;

constexpr size_t kMostPixels = 200000;
constexpr int kMostRounds = 60;

/// Pixels valid in both, a row each: the scene's bands, then the reference's.
MatrixXd drawPixels(const BandReader& reader, size_t roles) {
  const Grid& g = reader.grid();
  const double shrink =
      std::max(1.0, std::sqrt(static_cast<double>(g.pixels()) / static_cast<double>(kMostPixels)));
  const int w = std::max(1, static_cast<int>(g.width / shrink)),
            h = std::max(1, static_cast<int>(g.height / shrink));
  std::vector<float> values;
  reader.readReduced({0, 0, g.width, g.height}, w, h, values);
  const size_t n = static_cast<size_t>(w) * static_cast<size_t>(h);
  std::vector<size_t> valid;
  for (size_t p = 0; p < n; ++p) {
    bool all = true;
    for (size_t b = 0; b < 2 * roles && all; ++b) all = !std::isnan(values[b * n + p]);
    if (all) valid.push_back(p);
  }
  MatrixXd x(valid.size(), 2 * roles);
  for (size_t i = 0; i < valid.size(); ++i)
    for (size_t b = 0; b < 2 * roles; ++b)
      x(static_cast<Eigen::Index>(i), static_cast<Eigen::Index>(b)) =
          static_cast<double>(values[b * n + valid[i]]);
  return x;
}

/// Probabilities of no change by one round of multivariate alteration detection.
VectorXd noChange(const MatrixXd& x, const VectorXd& weights, VectorXd& correlations) {
  const Eigen::Index k = x.cols() / 2;
  const double total = weights.sum();
  const VectorXd mean = x.transpose() * weights / total;
  const MatrixXd centred = x.rowwise() - mean.transpose();
  MatrixXd s = centred.transpose() * weights.asDiagonal() * centred / total;
  // A trace of the diagonal keeps bands that carry the same from breaking the decomposition.
  s.diagonal() *= 1 + 1e-9;
  const MatrixXd s11 = s.topLeftCorner(k, k), s22 = s.bottomRightCorner(k, k),
                 s12 = s.topRightCorner(k, k);
  const Eigen::LLT<MatrixXd> l22(s22);
  const Eigen::GeneralizedSelfAdjointEigenSolver<MatrixXd> solver(s12 * l22.solve(s12.transpose()),
                                                                  s11);
  const MatrixXd a = solver.eigenvectors();
  correlations = solver.eigenvalues().cwiseMax(0).cwiseMin(1).cwiseSqrt();
  MatrixXd b = l22.solve(s12.transpose() * a);
  for (Eigen::Index i = 0; i < k; ++i) {
    const double norm = std::sqrt(b.col(i).dot(s22 * b.col(i)));
    if (norm > 0) b.col(i) /= norm;
  }
  const MatrixXd mad = centred.leftCols(k) * a - centred.rightCols(k) * b;
  VectorXd p(x.rows());
  for (Eigen::Index r = 0; r < x.rows(); ++r) {
    double z = 0;
    for (Eigen::Index i = 0; i < k; ++i)
      z += mad(r, i) * mad(r, i) / std::max(1e-12, 2 * (1 - correlations(i)));
    p(r) = chiSquareTail(z, static_cast<int>(k));
  }
  return p;
}

/// The line of least orthogonal distances through the pixels (Deming, equal errors).
void regress(const MatrixXd& x, const std::vector<Eigen::Index>& pixels, Eigen::Index band,
             Normalisation& out) {
  const Eigen::Index k = x.cols() / 2;
  double mx = 0, my = 0, sxx = 0, syy = 0, sxy = 0;
  const double n = static_cast<double>(pixels.size());
  for (const auto p : pixels) mx += x(p, band) / n, my += x(p, band + k) / n;
  for (const auto p : pixels) {
    const double dx = x(p, band) - mx, dy = x(p, band + k) - my;
    sxx += dx * dx, syy += dy * dy, sxy += dx * dy;
  }
  const double gain =
      sxy == 0 ? 1 : (syy - sxx + std::sqrt((syy - sxx) * (syy - sxx) + 4 * sxy * sxy)) / (2 * sxy);
  out.gain.push_back(gain);
  out.offset.push_back(my - gain * mx);
  out.correlation.push_back(sxx > 0 && syy > 0 ? sxy / std::sqrt(sxx * syy) : 0);
}

}  // namespace

double chiSquareTail(double x, int n) {
  if (!(x > 0)) return 1;
  double tail = n % 2 == 1 ? std::erfc(std::sqrt(x / 2)) : std::exp(-x / 2);
  for (int k = n % 2 == 1 ? 3 : 4; k <= n; k += 2)
    tail += std::exp((k / 2.0 - 1) * std::log(x / 2) - x / 2 - std::lgamma(k / 2.0));
  return std::min(1.0, tail);
}

Normalisation normalisationOf(const Scene& scene, const Scene& reference,
                              const Progress& progress) {
  Normalisation out;
  out.roles = commonRoles({scene, reference});
  if (out.roles.empty())
    throw Error("“{}” and “{}” have no band role in common; give their bands roles.", scene.name,
                reference.name);
  std::vector<BandSource> sources;
  for (const auto* s : {&scene, &reference})
    for (const auto& r : out.roles) sources.push_back({s, static_cast<size_t>(s->bandOf(r))});
  const MatrixXd x = drawPixels(BandReader(scene.grid, sources), out.roles.size());
  out.looked = static_cast<size_t>(x.rows());
  if (out.looked < 100)
    throw Error("Fewer than 100 pixels are valid in both scenes; choose scenes that overlap.");
  VectorXd weights = VectorXd::Ones(x.rows()), before, correlations;
  for (out.rounds = 1; out.rounds <= kMostRounds; ++out.rounds) {
    weights = noChange(x, weights, correlations);
    if (before.size() > 0 && (correlations - before).cwiseAbs().maxCoeff() < 1e-3) break;
    before = correlations;
    if (!(weights.sum() > 50)) break;
    progress.at(static_cast<double>(out.rounds) / kMostRounds);
  }
  std::vector<Eigen::Index> still;
  for (Eigen::Index i = 0; i < x.rows(); ++i)
    if (weights(i) > 0.95) still.push_back(i);
  out.unchanged = still.size();
  if (still.size() < 50)
    throw Error(
        "Too few pixels stayed the same between the two scenes; choose dates that are nearer "
        "to each other.");
  for (Eigen::Index b = 0; b < x.cols() / 2; ++b) regress(x, still, b, out);
  return out;
}

void normalise(const Scene& scene, const Normalisation& how, const std::filesystem::path& temporary,
               const Progress& progress) {
  std::vector<size_t> bands;
  for (const auto& r : how.roles) bands.push_back(static_cast<size_t>(scene.bandOf(r)));
  makeScene(BandReader(scene, bands), specLike(scene, bands), temporary, progress,
            [&](const BandBlock& in, std::vector<std::vector<float>>& out) {
              for (size_t b = 0; b < out.size(); ++b)
                for (size_t p = 0; p < out[b].size(); ++p)
                  out[b][p] = static_cast<float>(how.gain[b] * static_cast<double>(in.band(b)[p]) +
                                                 how.offset[b]);
            });
}

}  // namespace zp
