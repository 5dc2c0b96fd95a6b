#include "arguments.h"
#include "calls.h"
#include "feature/feature_kind.h"
#include "training/signature.h"
#include "training_arguments.h"

namespace fs = std::filesystem;

namespace zp {
namespace calls {

Call signatures(CLI::App& app) {
  struct Arguments {
    SceneArguments scene;
    TrainingArguments training;
    OutputArguments output;
  };
  auto* call = app.add_subcommand("signatures", "Statistics of the training pixels of each class");
  auto a = std::make_shared<Arguments>();
  a->scene.addTo(*call, true);
  a->training.addTo(*call, true);
  a->output.addTo(*call, "Signatures to write, as JSON");
  call->callback([a] { a->scene.require("signatures"); });
  return {
      call, [a](const Progress& progress) {
        const Scope scope = a->scene.scope();
        Outputs outputs(a->output.replace);
        auto inputs = a->scene.files(scope);
        inputs.push_back(fileOfLayer(a->training.layer));
        const fs::path temporary = outputs.add(a->output.out, inputs);
        const auto lines = a->training.features.lines(scope);
        const FeatureReader reader(scope, makeFeatures(lines, scope));
        const auto areas = readTrainingAreas(a->training.layer, a->training.fields, scope.grid.crs);
        SignatureSet set = signaturesOf(drawSamples(reader, areas, legendOf(areas), {}, progress));
        set.lines = lines;
        Json result = toJson(set);
        writeJson(temporary, result);
        outputs.commit();
        result["outputs"] = names(outputs);
        return result;
      }};
}

}  // namespace calls
}  // namespace zp
