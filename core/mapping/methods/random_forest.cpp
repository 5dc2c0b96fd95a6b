#include "mapping/methods/random_forest.h"

#include <algorithm>
#include <numeric>

#include "base/error.h"
#include "base/nan.h"
#include "base/words.h"
#include "mapping/drawn_pixels.h"
#include "mapping/grow_forest.h"

namespace zp {

RandomForest::RandomForest(Forest forest, std::vector<uint16_t> codes, Json facts)
    : forest_(std::move(forest)), codes_(std::move(codes)), facts_(std::move(facts)) {}

void RandomForest::classify(const std::vector<const float*>& values, size_t n,
                            uint16_t* codes) const {
  std::vector<uint16_t> votes;
  forest_.vote(values, n, votes);
  for (size_t p = 0; p < n; ++p) {
    const auto first = votes.begin() + static_cast<std::ptrdiff_t>(p * codes_.size());
    const auto most = std::max_element(first, first + static_cast<std::ptrdiff_t>(codes_.size()));
    codes[p] = *most == 0 ? uint16_t{0} : codes_[static_cast<size_t>(most - first)];
  }
}

void RandomForest::support(const std::vector<const float*>& values, size_t n, float* out) const {
  std::vector<uint16_t> votes;
  forest_.vote(values, n, votes);
  for (size_t p = 0; p < n; ++p) {
    const uint16_t* of = votes.data() + p * codes_.size();
    const int all = std::accumulate(of, of + codes_.size(), 0);  // none where a value is missing
    for (size_t c = 0; c < codes_.size(); ++c)
      out[c * n + p] = all == 0 ? kNan : static_cast<float>(of[c]) / static_cast<float>(all);
  }
}

Json RandomForest::toJson() const {
  return {{"codes", codes_}, {"forest", zp::toJson(forest_)}, {"facts", facts_}};
}

namespace trained {
namespace {

std::unique_ptr<Classifier> learnForest(const Samples& samples, const Json& settings,
                                        const Progress& progress) {
  if (samples.classes.size() < 2)
    throw Error("A map needs training for at least two classes; draw areas of another class.");
  const auto drawn = drawnPerClass(samples, settings.at("pixels"), settings.at("seed"));
  ForestPlan plan;
  plan.trees = settings.at("trees");
  plan.depth = settings.at("depth");
  if (settings.at("features").is_number())
    plan.tried =
        std::min(settings["features"].get<int>(), static_cast<int>(samples.features.size()));
  plan.seed = settings.at("seed");
  auto grown = growForest(samples, drawn, plan, progress);
  std::vector<uint16_t> codes;
  for (const auto& c : samples.classes) codes.push_back(static_cast<uint16_t>(c.code));
  Json importance = Json::array();
  for (size_t f = 0; f < samples.features.size(); ++f)
    importance.push_back({{"feature", samples.features[f]}, {"share", grown.importance[f]}});
  return std::make_unique<RandomForest>(
      std::move(grown.forest), codes,
      Json{{"out_of_bag", grown.outOfBag}, {"importance", importance}});
}

std::unique_ptr<Classifier> readForest(const Json& learned, const Json&) {
  const auto codes = codesFrom(learned.at("codes"));
  return std::make_unique<RandomForest>(forestFrom(learned.at("forest"), codes.size()), codes,
                                        learned.value("facts", Json::object()));
}

}  // namespace

extern const Method randomForest{
    .id = "random-forest",
    .title = words("Random forest"),
    .about = words("Many decision trees, each grown on a draw of the training pixels, vote. It "
                   "takes features of any unit together and tells which of them helped."),
    .assumes = words("Training pixels show all there is of a class. It needs no shape of the "
                     "classes and no common scale of the features."),
    .fails = words("Where there was no training: it never doubts aloud and gives some class. Rare "
                   "classes lose to common ones when their pixels are few."),
    .source = words("Breiman 2001"),
    .support = words("the share of the trees"),
    .parameters = {{.id = "trees",
                    .title = words("Trees"),
                    .about = words("More trees make steadier maps and take longer; beyond a few "
                                   "hundred little changes."),
                    .type = Parameter::Type::Whole,
                    .initial = 100,
                    .lowest = 1,
                    .highest = 1000},
                   {.id = "depth",
                    .title = words("Depth"),
                    .about = words("Questions a tree asks of a pixel at most. Fewer give coarser, "
                                   "quicker trees."),
                    .type = Parameter::Type::Whole,
                    .initial = 20,
                    .lowest = 1,
                    .highest = 25,
                    .seldom = true},
                   {.id = "features",
                    .title = words("Features a split"),
                    .about = words("How many features, drawn anew, are tried at each split. Fewer "
                                   "make the trees differ more."),
                    .type = Parameter::Type::Whole,
                    .lowest = 1,
                    .highest = 64,
                    .unset = words("the root of their number"),
                    .seldom = true},
                   pixelsOfAClass(
                       words("Training pixels that are used of each class at most, drawn at "
                             "random. More take longer to train.")),
                   seedOfTheDraw()},
    .train = &learnForest,
    .read = &readForest};
}  // namespace trained

}  // namespace zp
