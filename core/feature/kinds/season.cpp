#include <algorithm>
#include <cmath>

#include "base/day.h"
#include "base/error.h"
#include "base/nan.h"
#include "base/text.h"
#include "base/words.h"
#include "feature/feature_kind.h"
#include "feature/kinds/scene_formula.h"
#include "index/statistics.h"
#include "radar/decibels.h"

namespace zp {
namespace {

/// One date: the formula over its scene, and where its planes stand among all.
struct Date {
  std::shared_ptr<const Feature> value;
  size_t firstPlane = 0;
  double day = 0;  // from the first of January before the first date, which is day 1
};

enum class SeasonWhat { Mean, Spread, Min, Max, Peak };

/// A statistic of the dates that have a value at a pixel.
class Season : public Feature {
 public:
  Season(const std::string& name, std::vector<FeaturePlane> planes, std::vector<Date> dates,
         SeasonWhat of, ValueState state)
      : Feature(name, std::move(planes)), dates_(std::move(dates)), of_(of), state_(state) {}
  int halo() const override {
    int most = 0;
    for (const auto& d : dates_) most = std::max(most, d.value->halo());
    return most;
  }
  bool inDecibels() const override {
    return isBackscatter(state_) && of_ != SeasonWhat::Spread && of_ != SeasonWhat::Peak;
  }
  void compute(const std::vector<const float*>& planes, int width, int height, float* out,
               double scale) const override {
    const size_t n = static_cast<size_t>(width) * static_cast<size_t>(height);
    std::vector<std::vector<float>> values(dates_.size(), std::vector<float>(n));
    for (size_t d = 0; d < dates_.size(); ++d) {
      const auto& date = dates_[d];
      const auto first = planes.begin() + static_cast<std::ptrdiff_t>(date.firstPlane);
      date.value->compute({first, first + static_cast<std::ptrdiff_t>(date.value->planes().size())},
                          width, height, values[d].data(), scale);
    }
    std::vector<float> here(dates_.size());
    for (size_t i = 0; i < n; ++i) {
      for (size_t d = 0; d < dates_.size(); ++d) here[d] = values[d][i];
      out[i] = at(here);
    }
  }

 private:
  /// The mean of backscatter is that of its power; all else is told of its decibels.
  float at(std::vector<float>& values) const {
    const bool power = state_ == ValueState::BackscatterPower, radar = isBackscatter(state_);
    if (of_ == SeasonWhat::Mean) {
      for (float& v : values) v = radar && !power ? toPower(v) : v;
      const Statistics s = statistics(values);
      const float mean = s.valid == 0 ? kNan : static_cast<float>(s.mean);
      return radar ? toDecibels(mean) : mean;
    }
    for (float& v : values) v = power ? toDecibels(v) : v;
    const Statistics s = statistics(values);
    if (s.valid == 0) return kNan;
    if (of_ == SeasonWhat::Spread) return static_cast<float>(s.sd());
    if (of_ == SeasonWhat::Min) return static_cast<float>(s.min);
    if (of_ == SeasonWhat::Max) return static_cast<float>(s.max);
    for (size_t d = 0; d < dates_.size(); ++d)
      if (!std::isnan(values[d]) && static_cast<double>(values[d]) == s.max)
        return static_cast<float>(dates_[d].day);
    return kNan;
  }
  static Statistics statistics(const std::vector<float>& values) {
    Statistics s;
    s.add(values.data(), values.size());
    return s;
  }

  std::vector<Date> dates_;
  SeasonWhat of_;
  ValueState state_;
};

/// "2031-05-02" as days; NaN for no date.
double daysOf(const std::string& date) {
  const auto day = dayOf(date);
  return day ? static_cast<double>(*day) : kNan;
}

std::vector<std::string> wordsIn(const std::string& text) {
  std::vector<std::string> all;
  for (const auto& word : split(text, ' '))
    if (!word.empty()) all.push_back(word);
  return all;
}

bool isOneFile(const Scene& a, const Scene& b) {
  return a.bands[0].file == b.bands[0].file && a.date == b.date;
}

/// The scenes of the scope that count, each once: those named, or all.
std::vector<size_t> scenesOf(const Scope& scope, const Json& named) {
  std::vector<size_t> all;
  if (named.is_string()) {
    for (const auto& name : wordsIn(named)) {
      size_t i = 0;
      while (i < scope.scenes.size() && scope.scenes[i].name != name) ++i;
      if (i == scope.scenes.size()) throw Error("There is no scene “{}” here.", name);
      all.push_back(i);
    }
    return all;
  }
  for (size_t i = 0; i < scope.scenes.size(); ++i)
    if (std::none_of(all.begin(), all.end(), [&](size_t before) {
          return isOneFile(scope.scenes[before].scene, scope.scenes[i].scene);
        }))
      all.push_back(i);
  return all;
}

/// Those with a date that have what is asked for, by date.
std::vector<std::pair<double, size_t>> datesOf(const Scope& scope, const Json& settings) {
  std::vector<std::pair<double, size_t>> dates;
  for (const size_t i : scenesOf(scope, settings.at("dates"))) {
    const double day = daysOf(scope.scenes[i].scene.date);
    if (std::isnan(day)) continue;
    try {
      sceneFormula(scope, i, settings.at("value"), "");
      dates.emplace_back(day, i);
    } catch (const FormulaError&) {
      // Another sensor; this scene has not these bands.
    }
  }
  std::sort(dates.begin(), dates.end());
  return dates;
}

SeasonWhat whatOf(const std::string& of) {
  if (of == "mean") return SeasonWhat::Mean;
  if (of == "spread") return SeasonWhat::Spread;
  if (of == "min") return SeasonWhat::Min;
  return of == "max" ? SeasonWhat::Max : SeasonWhat::Peak;
}

std::shared_ptr<Feature> makeSeason(const Scope& scope, size_t, const Json& settings) {
  const std::string value = settings.at("value"), of = settings.at("of");
  const auto found = datesOf(scope, settings);
  if (found.size() < 2)
    throw Error(
        "A season of “{}” needs two or more scenes with a date that have it; there are {}. Name "
        "them all.",
        value, found.size());
  const ValueState state = backscatterState(scope.scenes[found[0].second].scene);
  for (const auto& [day, i] : found)
    if (backscatterState(scope.scenes[i].scene) != state)
      throw Error("“{}” and “{}” hold values of another kind; a season needs the same.",
                  scope.scenes[found[0].second].scene.name, scope.scenes[i].scene.name);
  const std::string first = scope.scenes[found[0].second].scene.date.substr(0, 4) + "-01-01";
  std::vector<FeaturePlane> planes;
  std::vector<Date> dates;
  for (const auto& [day, i] : found) {
    auto feature = sceneFormula(scope, i, value, "");
    const size_t at = planes.size();
    planes.insert(planes.end(), feature->planes().begin(), feature->planes().end());
    dates.push_back({std::move(feature), at, day - daysOf(first) + 1});
  }
  return std::make_shared<Season>(fmt::format("{} {} of {} dates", value, of, dates.size()),
                                  std::move(planes), std::move(dates), whatOf(of), state);
}

}  // namespace

namespace features {
extern const FeatureKind season{
    "season",
    words("Season"),
    words("A statistic over several dates that have these bands, pixel by pixel; dates without a "
          "value there do not count. The mean of radar is that of its power."),
    "",
    {{.id = "value",
      .title = words("Of"),
      .about = words("A band by its role, or a formula of roles, such as vh or ndiff(nir, red)."),
      .type = Parameter::Type::Text},
     {.id = "of",
      .title = words("What of it"),
      .about = words("Mean, spread, lowest or highest value, or the day of the year when it is "
                     "highest."),
      .type = Parameter::Type::Choice,
      .initial = "mean",
      .choices = {{"mean", words("mean")},
                  {"spread", words("spread")},
                  {"min", words("lowest")},
                  {"max", words("highest")},
                  {"peak", words("day of the highest")}}},
     {.id = "dates",
      .title = words("Dates"),
      .about = words("The names of the scenes that count, parted by spaces."),
      .type = Parameter::Type::Text,
      .unset = words("all that are named here"),
      .seldom = true}},
    &makeSeason,
    [](const FeatureLine& line) {
      return line.arguments.size() < 3 ? std::vector<std::string>() : wordsIn(line.arguments[2]);
    }};
}
}  // namespace zp
