#include "arguments.h"
#include "calls.h"
#include "file_step.h"
#include "index/class_change.h"
#include "wrong_call.h"

namespace fs = std::filesystem;

namespace zp {
namespace calls {

Call change(CLI::App& app) {
  struct Arguments {
    std::vector<std::string> maps;
    int code = 0;
    OutputArguments output;
  };
  auto* call = app.add_subcommand("change", "What became of each class between class maps");
  auto a = std::make_shared<Arguments>();
  call->add_option("MAPS", a->maps,
                   "Two class maps, the earlier first; or more, in order, with --class")
      ->required();
  call->add_option("--class", a->code,
                   "Code of the class to follow: gained, lost and kept; of more "
                   "than two maps, how often a pixel was of it")
      ->check(wholeNumber(1, 65535));
  a->output.addTo(*call, "GeoTIFF to write", false);
  call->callback([a] {
    if (a->maps.size() < 2) throw CLI::ValidationError("change", "give two class maps or more");
    if (a->maps.size() > 2 && (a->code == 0 || a->output.out.empty()))
      throw CLI::ValidationError("change", "more than two maps need --class and --out");
  });
  return {call, [a](const Progress& progress) {
            const std::vector<fs::path> maps(a->maps.begin(), a->maps.end());
            if (a->output.out.empty()) {
              Json json = toJson(classChange(maps[0], maps[1], a->code, {}, progress));
              json["outputs"] = Json::array();
              return json;
            }
            const bool two = maps.size() == 2;
            FileStep step(two ? "change" : "history");
            if (two) {
              step.product("from", maps[0]);
              step.product("to", maps[1]);
            } else {
              step.products("maps", maps);
            }
            step["code"] = a->code;
            Outputs outputs(a->output.replace);
            const auto made = step.run({a->output.out, outputs.add(a->output.out, maps)}, progress);
            outputs.commit();
            Json json = two ? made.facts.at("change") : Json::object();
            if (!two)
              for (const auto& m : maps) json["dates"].push_back(m.stem().string());
            json["outputs"] = names(outputs);
            return json;
          }};
}

}  // namespace calls
}  // namespace zp
