#include "index/import_classes.h"

#include "base/error.h"
#include "study/steps/step_run.h"

namespace zp {
namespace {

Product runImportClasses(StepRun& r) {
  const auto match = r.step().at("match").get<CodeMatch>();
  const auto part = r.progress().part(0, 0.8);
  const std::string file = r.file("file");
  r.begin(ProductKind::ClassMap, ".tif");
  if (r.step().contains("field")) {
    if (!r.step().contains("scene"))
      throw Error("Polygons need a scene on whose pixels they are put; choose one.");
    const Grid& grid = r.scene().grid;
    importClasses(readLayer(file, grid.crs), r.step()["field"], match, grid, r.study().legend,
                  r.temporary, part);
  } else {
    importClasses(file, match, r.study().legend, r.temporary, part);
  }
  r.product.date = r.step().value("date", "");
  r.product.facts["from"] = file;
  return r.finishClassMap(r.progress().part(0.8, 1));
}

}  // namespace

namespace steps {
extern const StepKind importClasses{
    "import-classes",
    "A class map made elsewhere: a raster, or polygons",
    {{"file", Holds::File, true, "The raster, or FILE:LAYER of polygons"},
     {"match", Holds::Codes, true, "Its codes or names to classes of the legend"},
     {"field", Holds::Text, false, "Of polygons: the field with the class"},
     {"scene", Holds::Scene, false, "Of polygons: on whose pixels they are put"},
     {"date", Holds::Text, false, "That it stands for"}},
    &runImportClasses};
}
}  // namespace zp
