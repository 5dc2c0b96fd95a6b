#include "mapping/methods/nearest_neighbours.h"

#include <algorithm>
#include <cmath>
#include <set>

#include "base/error.h"
#include "base/nan.h"
#include "base/words.h"
#include "mapping/drawn_pixels.h"

namespace zp {
namespace {

/// The class that most have; `index` from the nearest on.
uint16_t mostOf(const std::vector<uint32_t>& index, size_t found,
                const std::vector<uint16_t>& codes) {
  uint16_t best = 0;
  size_t most = 0;
  for (size_t i = 0; i < found; ++i) {
    const uint16_t code = codes[index[i]];
    size_t votes = 0;
    for (size_t j = 0; j < found; ++j) votes += codes[index[j]] == code ? 1 : 0;
    if (votes > most) best = code, most = votes;
  }
  return best;
}

}  // namespace

NearestNeighbours::NearestNeighbours(const Samples& samples, const Json& settings)
    : neighbours_(settings.at("neighbours")) {
  if (samples.classes.size() < 2)
    throw Error("A map needs training for at least two classes; draw areas of another class.");
  const auto drawn = drawnPerClass(samples, settings.at("pixels"), settings.at("seed"));
  scale_ = settings.at("scale") == "spread" ? standardOf(samples, drawn)
                                            : noStandard(samples.features.size());
  for (const size_t i : drawn) {
    for (size_t f = 0; f < features(); ++f) values_.push_back(scale_.of(samples.sample(i)[f], f));
    codes_.push_back(static_cast<uint16_t>(samples.codes[i]));
  }
  plant();
}

NearestNeighbours::NearestNeighbours(const Json& learned, const Json& settings)
    : neighbours_(settings.at("neighbours")),
      scale_(standardFrom(learned.at("scale"))),
      values_(learned.at("values").get<std::vector<float>>()) {
  for (const auto& code : learned.at("codes")) {
    if (!code.is_number_unsigned() || code < 1 || code > 65535)
      throw Error("The model has a class code that is none; train it again.");
    codes_.push_back(code);
  }
  const auto finite = [](float v) { return std::isfinite(v); };
  if (features() == 0 || codes_.empty() || values_.size() != codes_.size() * features() ||
      !std::all_of(values_.begin(), values_.end(), finite))
    throw Error("The training pixels of the model are not complete; train it again.");
  plant();
}

void NearestNeighbours::plant() {
  tree_ = std::make_unique<SampleTree>(values_, features());
  neighbours_ = std::min(neighbours_, codes_.size());
}

std::vector<int> NearestNeighbours::classes() const {
  const std::set<int> all(codes_.begin(), codes_.end());
  return {all.begin(), all.end()};
}

template <class Visit>
void NearestNeighbours::eachPixel(const std::vector<const float*>& values, size_t n,
                                  Visit visit) const {
  std::vector<float> at(features()), distances(neighbours_);
  std::vector<uint32_t> index(neighbours_);
  for (size_t p = 0; p < n; ++p) {
    bool all = true;
    for (size_t f = 0; f < at.size(); ++f) {
      at[f] = scale_.of(values[f][p], f);
      all = all && std::isfinite(at[f]);
    }
    visit(p, index,
          all ? tree_->nearest(at.data(), neighbours_, index.data(), distances.data()) : 0);
  }
}

void NearestNeighbours::classify(const std::vector<const float*>& values, size_t n,
                                 uint16_t* codes) const {
  eachPixel(values, n, [&](size_t p, const std::vector<uint32_t>& index, size_t found) {
    codes[p] = mostOf(index, found, codes_);
  });
}

void NearestNeighbours::support(const std::vector<const float*>& values, size_t n,
                                float* out) const {
  const auto all = classes();
  eachPixel(values, n, [&](size_t p, const std::vector<uint32_t>& index, size_t found) {
    for (size_t c = 0; c < all.size(); ++c) out[c * n + p] = found == 0 ? kNan : 0;
    for (size_t i = 0; i < found; ++i) {
      const auto c = std::lower_bound(all.begin(), all.end(), int{codes_[index[i]]}) - all.begin();
      out[static_cast<size_t>(c) * n + p] += 1 / static_cast<float>(found);
    }
  });
}

Json NearestNeighbours::toJson() const {
  return {{"scale", zp::toJson(scale_)}, {"values", values_}, {"codes", codes_}};
}

namespace trained {
namespace {
std::unique_ptr<Classifier> learnNeighbours(const Samples& samples, const Json& settings,
                                            const Progress&) {
  return std::make_unique<NearestNeighbours>(samples, settings);
}
std::unique_ptr<Classifier> readNeighbours(const Json& learned, const Json& settings) {
  return std::make_unique<NearestNeighbours>(learned, settings);
}
}  // namespace

extern const Method nearestNeighbours{
    .id = "nearest-neighbours",
    .title = words("Nearest neighbours"),
    .about = words("Gives each pixel the class that most of the training pixels nearest to it "
                   "have. It draws no conclusions beyond them."),
    .assumes = words("Training pixels show all there is of a class, about equally many of each. "
                     "Classes may have any shape, and several parts."),
    .fails = words("With many features, where everything is about equally far, and with careless "
                   "training pixels: each speaks for its surroundings."),
    .source = words("Cover and Hart 1967"),
    .support = words("the share of the neighbours"),
    .parameters = {{.id = "neighbours",
                    .title = words("Neighbours"),
                    .about = words("How many of the nearest are asked. More smooth the borders of "
                                   "classes; 3 to 10 is usual."),
                    .type = Parameter::Type::Whole,
                    .initial = 5,
                    .lowest = 1,
                    .highest = 100},
                   {.id = "scale",
                    .title = words("Scale"),
                    .about = words("Distances in the spread of each feature, so that features of "
                                   "other units count alike, or in the numbers as they are."),
                    .type = Parameter::Type::Choice,
                    .initial = "spread",
                    .choices = {{"spread", words("by the spread")}, {"none", words("as it is")}},
                    .seldom = true},
                   pixelsOfAClass(
                       words("Training pixels that are kept of each class at most, drawn at "
                             "random. More are slower.")),
                   seedOfTheDraw()},
    .train = &learnNeighbours,
    .read = &readNeighbours};
}  // namespace trained

}  // namespace zp
