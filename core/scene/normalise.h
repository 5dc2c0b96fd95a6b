#pragma once
#include "scene/make_scene.h"

namespace zp {

/// Relative normalisation of one scene to another by the pixels that did not change (Canty and
/// Nielsen 2008): canonical correlation of the two, reweighted by how little each pixel changed
/// until the correlations stay, then an orthogonal regression a band over the pixels with a
/// no-change probability above 0.95.
struct Normalisation {
  std::vector<std::string> roles;
  std::vector<double> gain, offset;  // value in the reference = gain × value + offset
  std::vector<double> correlation;   // over the unchanged pixels, band by band
  size_t unchanged = 0, looked = 0;  // pixels
  int rounds = 0;
};

/// Over the roles that both have. Draws at most 200 000 pixels on a regular lattice. Error: no
/// common role, fewer than 100 pixels valid in both, or too few of them unchanged.
Normalisation normalisationOf(const Scene& scene, const Scene& reference,
                              const Progress& progress = Progress());

/// The scene's common bands as the reference would show them, to `temporary`.
void normalise(const Scene& scene, const Normalisation& how, const std::filesystem::path& temporary,
               const Progress& progress = Progress());

/// Probability that a chi-square value with n degrees of freedom exceeds x.
double chiSquareTail(double x, int n);

}  // namespace zp
