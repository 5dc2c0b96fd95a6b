#include "training_arguments.h"

namespace zp {

void TrainingArguments::addTo(CLI::App& app, bool required) {
  auto* training = app.add_option("--training", layer, "Training areas: FILE or FILE:LAYER");
  auto* code = app.add_option("--code", fields.code, "Field with the class code");
  if (required) training->required();
  if (required) code->required();
  training->needs(code);
  app.add_option("--name", fields.name, "Field with the class name");
  app.add_option("--subclass", fields.subclass, "Field with the subclass")->needs(training);
  features.addTo(app);
}

}  // namespace zp
