#include "mapping/methods/support_vectors.h"

#include <algorithm>
#include <cmath>

#include "base/error.h"
#include "base/nan.h"
#include "base/words.h"
#include "mapping/drawn_pixels.h"
#include "mapping/train_vectors.h"

namespace zp {

BySupportVectors::BySupportVectors(Standard scale, SupportVectors vectors,
                                   std::vector<uint16_t> codes, Json facts)
    : scale_(std::move(scale)),
      vectors_(std::move(vectors)),
      codes_(std::move(codes)),
      facts_(std::move(facts)) {}

template <class Visit>
void BySupportVectors::eachPiece(const std::vector<const float*>& values, size_t n,
                                 Visit visit) const {
  constexpr size_t kPiece = 1024;
  std::vector<float> scaled(features() * kPiece);
  std::vector<const float*> at(features());
  for (size_t from = 0; from < n; from += kPiece) {
    const size_t some = std::min(kPiece, n - from);
    for (size_t f = 0; f < features(); ++f) {
      float* to = scaled.data() + f * kPiece;
      for (size_t i = 0; i < some; ++i) to[i] = scale_.of(values[f][from + i], f);
      at[f] = to;
    }
    visit(from, some, at);
  }
}

void BySupportVectors::classify(const std::vector<const float*>& values, size_t n,
                                uint16_t* codes) const {
  std::vector<int16_t> best(n);
  eachPiece(values, n, [&](size_t from, size_t some, const std::vector<const float*>& at) {
    vectors_.decide(at, some, best.data() + from);
  });
  for (size_t i = 0; i < n; ++i)
    codes[i] = best[i] < 0 ? uint16_t{0} : codes_[static_cast<size_t>(best[i])];
}

void BySupportVectors::support(const std::vector<const float*>& values, size_t n,
                               float* out) const {
  std::vector<float> piece;
  eachPiece(values, n, [&](size_t from, size_t some, const std::vector<const float*>& at) {
    piece.resize(codes_.size() * some);
    vectors_.support(at, some, piece.data());
    for (size_t c = 0; c < codes_.size(); ++c)
      std::copy_n(piece.data() + c * some, some, out + c * n + from);
  });
}

Json BySupportVectors::toJson() const {
  return {{"scale", zp::toJson(scale_)},
          {"codes", codes_},
          {"vectors", zp::toJson(vectors_)},
          {"facts", facts_}};
}

namespace trained {
namespace {

VectorSamples scaledSamples(const Samples& samples, const std::vector<size_t>& drawn,
                            const Standard& scale) {
  VectorSamples s;
  s.features = samples.features.size();
  s.classes = samples.classes.size();
  for (const size_t i : drawn) {
    for (size_t f = 0; f < s.features; ++f) s.values.push_back(scale.of(samples.sample(i)[f], f));
    const auto known =
        std::find_if(samples.classes.begin(), samples.classes.end(),
                     [&](const Samples::Class& c) { return c.code == samples.codes[i]; });
    s.labels.push_back(static_cast<int>(known - samples.classes.begin()));
    s.areas.push_back(samples.areas[i]);
  }
  return s;
}

std::optional<double> given(const Json& settings, const char* key) {
  return settings.at(key).is_number() ? std::optional(settings[key].get<double>()) : std::nullopt;
}

std::unique_ptr<Classifier> learnVectors(const Samples& samples, const Json& settings,
                                         const Progress& progress) {
  constexpr size_t kSearched = 200;  // of a class
  if (samples.classes.size() < 2)
    throw Error("A map needs training for at least two classes; draw areas of another class.");
  const uint64_t seed = settings.at("seed");
  const bool radial = settings.at("kernel") == "radial";
  const size_t most = settings.at("pixels");
  const auto drawn = drawnPerClass(samples, most, seed);
  const Standard scale = standardOf(samples, drawn);
  const auto few = drawnPerClass(samples, std::min(most, kSearched), seed);
  const auto c = given(settings, "c"), gamma = given(settings, "gamma");
  const auto tried =
      searchPlan(scaledSamples(samples, few, scale), radial, c, gamma, seed, progress.part(0, 0.7));
  progress.check();
  const auto& best = tried.front();
  SupportVectors vectors = trainVectors(scaledSamples(samples, drawn, scale), best.plan);
  progress.check();
  Json facts = {{"held_out", best.right}, {"c", best.plan.c}, {"vectors", vectors.count()}};
  if (radial) facts["gamma"] = best.plan.gamma;
  std::vector<uint16_t> codes;
  for (const auto& one : samples.classes) codes.push_back(static_cast<uint16_t>(one.code));
  return std::make_unique<BySupportVectors>(scale, std::move(vectors), codes, facts);
}

std::unique_ptr<Classifier> readVectors(const Json& learned, const Json&) {
  const auto codes = codesFrom(learned.at("codes"));
  Standard scale = standardFrom(learned.at("scale"));
  SupportVectors vectors = supportVectorsFrom(learned.at("vectors"), codes.size());
  if (scale.features() != vectors.features)
    throw Error("The scale of the features is not complete; train again.");
  return std::make_unique<BySupportVectors>(std::move(scale), std::move(vectors), codes,
                                            learned.value("facts", Json::object()));
}

}  // namespace

extern const Method supportVectors{
    .id = "support-vectors",
    .title = words("Support vectors"),
    .about = words("Draws the border between each two classes where it is farthest from the "
                   "training pixels of both. Only those near the border count."),
    .assumes = words("Training pixels show where classes meet. Features are brought to one scale; "
                     "the classes may have any shape with the radial kernel."),
    .fails = words("With careless training near the borders, and far from all training, where it "
                   "gives some class without a doubt."),
    .source = words("Cortes and Vapnik 1995; search by cross-validation over training areas"),
    .support = words("how clearly it wins from the other classes"),
    .parameters =
        {{.id = "kernel",
          .title = words("Borders"),
          .about = words("Curved ones (radial kernel) follow classes of any shape; straight ones "
                         "(linear) are quicker and do with many features and little training."),
          .type = Parameter::Type::Choice,
          .initial = "radial",
          .choices = {{"radial", words("curved (radial)")},
                      {"linear", words("straight (linear)")}}},
         {.id = "c",
          .title = words("C"),
          .about = words("What a training pixel on the wrong side costs: high follows each pixel, "
                         "low gives smoother borders."),
          .lowest = 0,
          .unset = words("searched for"),
          .seldom = true},
         {.id = "gamma",
          .title = words("Gamma"),
          .about = words("How far a training pixel reaches with curved borders, in spreads of the "
                         "features: high reaches less far. Not used with straight ones."),
          .lowest = 0,
          .unset = words("searched for"),
          .seldom = true},
         pixelsOfAClass(words("Training pixels that are used of each class at most, drawn at "
                              "random. More take longer to train and to map."),
                        500),
         seedOfTheDraw()},
    .train = &learnVectors,
    .read = &readVectors};
}  // namespace trained

}  // namespace zp
