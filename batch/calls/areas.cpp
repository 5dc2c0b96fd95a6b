#include "arguments.h"
#include "calls.h"
#include "legend/class_map.h"

namespace zp {
namespace calls {

Call areas(CLI::App& app) {
  auto* call = app.add_subcommand("areas", "Pixels and area per class of a class map");
  auto map = std::make_shared<std::string>();
  call->add_option("MAP", *map, "A class map: M.tif or M.tif:BAND")->required();
  return {call, [map](const Progress& progress) {
            const ClassMapArgument of(*map);
            return Json{{"classes", toJson(classAreas(of.file, {}, progress, of.band))},
                        {"outputs", Json::array()}};
          }};
}

}  // namespace calls
}  // namespace zp
