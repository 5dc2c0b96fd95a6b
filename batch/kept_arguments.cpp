#include "kept_arguments.h"

#include "wrong_call.h"

namespace zp {

void KeptArguments::addTo(CLI::App& app) {
  auto* of = app.add_option("--keep", map, "Class map whose classes stay; only the rest is done");
  app.add_option("--keep-classes", classes, "Codes of those that stay, such as 1,3; all by default")
      ->delimiter(',')
      ->check(wholeNumber(1, 65535))
      ->needs(of);
}

void KeptArguments::addTo(FileStep& step, std::vector<std::filesystem::path>& inputs) const {
  if (map.empty()) return;
  const ClassMapArgument kept(map);
  inputs.push_back(kept.file);
  step.product("kept", kept.file);
  if (!classes.empty()) step["kept_classes"] = classes;
}

}  // namespace zp
