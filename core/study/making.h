#pragma once
#include <optional>

#include "base/outputs.h"
#include "base/progress.h"
#include "index/scope.h"
#include "index/statistics.h"
#include "outline/layer.h"
#include "study/study.h"

namespace zp {

/// What is common to all steps: where the file goes and how the product describes itself.
class Making {
 public:
  /// `into`: the product that is made again, in its file unless `freshFile`.
  Making(const Study& study, const Json& step, ProductKind kind, const std::string& ending,
         const Product* into, bool freshFile = false);
  void uses(const Study& study, const std::string& id);
  Product finish() {
    outputs_.commit();
    return product;
  }
  Product product;
  std::filesystem::path temporary;

 private:
  Outputs outputs_;
};

// Error, in words, when what a step names is gone.
const StudyScene& needScene(const Study& study, const std::string& id);
const Product& needProduct(const Study& study, const std::string& id);
std::vector<Scene> needScenes(const Study& study, const Json& ids);

/// The outline a step names under `inside`, in a system, which the product then counts among its
/// inputs; nothing when it names none.
std::optional<Layer> insideOf(Making& making, const Study& study, const std::string& crs);
/// The delivery grid, prescribed or not, of a step whose result lies on it.
inline void usesDelivery(Making& making, const Study& study) {
  making.uses(study, kDeliveryInput);
}

/// The classes and colours of a class map among its facts, so that the file need not be opened for
/// them.
void noteLegend(Making& making);
/// A class map of a step, with overviews and the areas of its classes in its facts.
void finishClassMap(Making& making, const Progress& progress);
/// A continuous picture, with overviews and its statistics.
void finishPicture(Making& making, const Statistics& statistics);

using Maker = Product (*)(const Study&, const Json& step, const Progress&, const Product* into);
/// The steps that make new scenes, those that compare dates and layers, and those that bring in
/// what was made elsewhere, by what they do.
const std::map<std::string, Maker>& sceneMakers();
const std::map<std::string, Maker>& importMakers();
const std::map<std::string, Maker>& changeMakers();

}  // namespace zp
