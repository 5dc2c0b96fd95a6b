#include "arguments.h"
#include "calls.h"
#include "study/run_sheet.h"

namespace zp {
namespace calls {

Call record(CLI::App& app) {
  struct Arguments {
    std::string study;
    OutputArguments output;
  };
  auto* call = app.add_subcommand("record", "Write the run sheet of a study");
  auto a = std::make_shared<Arguments>();
  call->add_option("--study", a->study, "Folder of the study")->required();
  a->output.addTo(*call, "Run sheet to write, as JSON");
  return {call, [a](const Progress&) {
            const Study study = Study::open(a->study);
            std::vector<Sentence> warnings;
            const Json sheet = recordOf(study, warnings);
            Outputs outputs(a->output.replace);
            writeJson(outputs.add(a->output.out, {study.folder() / "study.json"}), sheet);
            outputs.commit();
            Json steps = Json::array(), said = Json::array();
            for (const auto& s : sheet["steps"]) steps.push_back(s["name"]);
            for (const auto& w : warnings) said.push_back(w.text());
            return Json{{"steps", steps}, {"warnings", said}, {"outputs", names(outputs)}};
          }};
}

}  // namespace calls
}  // namespace zp
