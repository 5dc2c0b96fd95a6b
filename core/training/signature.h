#pragma once
#include <Eigen/Core>
#include <filesystem>
#include <string>
#include <vector>

#include "training/samples.h"

namespace zp {

/// The statistics of the training pixels of one class, in the values of the features.
struct Signature {
  int code = 0;
  std::string name;
  size_t pixels = 0;
  Eigen::VectorXd mean, min, max;  // per band
  Eigen::MatrixXd covariance;      // with n − 1; zero below two pixels
  Eigen::VectorXd sd() const { return covariance.diagonal().cwiseMax(0).cwiseSqrt(); }
};

struct SignatureSet {
  std::vector<std::string> bands;       // or other features
  std::vector<std::string> lines = {};  // that ask for them (feature/feature_kind.h), where known
  std::vector<Signature> classes;  // by ascending code; classes without a valid pixel are left out
  size_t conflicts = 0;
  size_t pixels() const;
  std::vector<int> codes() const;
};

/// The signatures of the classes of some samples.
SignatureSet signaturesOf(const Samples& samples);

/// Jeffries–Matusita distance, 0 (the same) … 2 (apart): 2 (1 − e^−B) with the Bhattacharyya
/// distance B (Richards 2013, ch. 10). NaN where a covariance cannot be inverted.
double jeffriesMatusita(const Signature& a, const Signature& b);

/// Error when a class has too few pixels, or values too much alike, for a covariance that can be
/// inverted; the sentence names the class and how many pixels it needs.
void requireCovariances(const SignatureSet& set);

/// What asks for its features: lines, or bands by their names where it has none.
std::vector<std::string> linesOf(const SignatureSet& set);

Json toJson(const SignatureSet& set);
/// Error: not complete, or what cannot be.
SignatureSet signaturesFrom(const Json& json);
SignatureSet readSignatures(const std::filesystem::path& file);

}  // namespace zp
