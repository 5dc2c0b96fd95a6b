#include "index/class_change.h"
#include "index/histogram.h"
#include "study/steps/step_run.h"

namespace zp {
namespace {

Product runHistory(StepRun& r) {
  const std::string what = r.step().value("what", "times");
  std::vector<std::filesystem::path> maps;
  std::vector<std::string> dates;
  for (const auto* p : r.sources("maps")) {
    maps.push_back(p->file);
    dates.push_back(dayOf(*p));
  }
  const bool times = what == "times";
  r.begin(times ? ProductKind::Quantity : ProductKind::ClassMap, ".tif");
  HistoryFiles files;
  (times ? files.times : what == "first" ? files.first : files.last) = r.temporary;
  classHistory(maps, dates, r.step().at("code"), files, r.progress().part(0, 0.7));
  const Progress rest = r.progress().part(0.7, 1);
  if (!times) return r.finishClassMap(rest);
  r.product.facts["unit"] = "times";
  r.product.ramp = "dusk";
  return r.finishPicture(histogramOf(r.temporary, 1, 16, rest).statistics);
}

}  // namespace

namespace steps {
extern const StepKind history{
    "history",
    "Over class maps of many dates: how often a class was there, or when first or last",
    {{"maps", Holds::Products, true, "By rising date"},
     {"code", Holds::Whole, true, "The class"},
     {"what", Holds::Text, false, "Which of the three", {"times", "first", "last"}}},
    &runHistory};
}
}  // namespace zp
