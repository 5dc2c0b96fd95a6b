#include "mapping/make_unlikeness.h"
#include "study/steps/trained_map.h"

namespace zp {
namespace {

Product runUnlikeness(StepRun& r) {
  const Product& map = r.source("map");
  const TrainedMap by = trainedMap(r, map, r.progress().part(0, 0.3));
  const Unlikeness unlikeness = unlikenessOf(by);
  r.begin(ProductKind::Quantity, ".tif");
  const auto share =
      makeUnlikeness(*by.reader, unlikeness, map.file, r.temporary, r.progress().part(0.3, 0.9));
  r.product.date = map.date;
  r.product.ramp = "dusk";
  r.product.facts["of"] = map.name;
  r.product.facts["limit"] = unlikeness.limit();
  r.product.facts["guess"] = toJson(share);
  return r.finishPicture(share.index);
}

}  // namespace

namespace steps {
extern const StepKind unlikeness{
    "unlikeness",
    "How unlike all training each pixel of a trained map is, as a picture",
    {{"map", Holds::Product, true, "The trained map"}},
    &runUnlikeness};
}
}  // namespace zp
