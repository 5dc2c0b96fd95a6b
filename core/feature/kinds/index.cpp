#include "base/words.h"
#include "feature/feature_kind.h"
#include "feature/kinds/scene_formula.h"
#include "index/index_book.h"

namespace zp {
namespace {

std::shared_ptr<Feature> makeIndex(const Scope& scope, size_t scene, const Json& settings) {
  const IndexEntry& entry = indexEntry(settings.at("index"));
  const Scene& s = scope.scenes[scene].scene;
  return sceneFormula(scope, scene, formulaFor(entry, s),
                      entry.abbreviation.empty() ? entry.id : entry.abbreviation);
}

}  // namespace

namespace features {
extern const FeatureKind index{"index",
                               words("Index"),
                               words("An index of the book over the bands of a scene."),
                               "",
                               {{.id = "index",
                                 .title = words("Index"),
                                 .about = words("Its id or its abbreviation."),
                                 .type = Parameter::Type::Index}},
                               &makeIndex};
}
}  // namespace zp
