#include "mapping/make_map.h"
#include "study/steps/trained_map.h"

namespace zp {
namespace {

Product runConfidence(StepRun& r) {
  const Product& map = r.source("map");
  const TrainedMap by = trainedMap(r, map, r.progress().part(0, 0.3));
  r.begin(ProductKind::Quantity, ".tif");
  const Statistics statistics =
      makeConfidence(*by.reader, *by.model.classifier, r.temporary, r.progress().part(0.3, 0.9));
  r.product.date = map.date;
  r.product.ramp = "dusk";
  r.product.facts["of"] = map.name;
  r.product.facts["means"] = method(by.model.plan.method).support;
  return r.finishPicture(statistics);
}

}  // namespace

namespace steps {
extern const StepKind confidence{
    "confidence",
    "What speaks for the class of each pixel of a trained map, 0 to 1, as a picture",
    {{"map", Holds::Product, true, "The trained map"}},
    &runConfidence};
}
}  // namespace zp
