#include "arguments.h"
#include "calls.h"
#include "file_step.h"
#include "wrong_call.h"

namespace zp {
namespace {

struct TidyArguments {
  std::string map;
  int majority = 0, smallest = 0;
  bool corners = false;
  OutputArguments output;
};

Json runTidy(const TidyArguments& a, const Progress& progress) {
  const ClassMapArgument map(a.map);
  Outputs outputs(a.output.replace);
  const auto file = outputs.add(a.output.out, {map.file});
  FileStep step("tidy");
  step.product("map", map.file);
  if (a.majority != 0) step["majority"] = a.majority;
  if (a.smallest != 0) step["smallest"] = a.smallest;
  if (a.corners) step["neighbours"] = "corners";
  const auto made = step.run({a.output.out, file}, progress);
  outputs.commit();
  return {{"classes", made.facts.at("classes")},
          {"changed", made.facts.at("changed")},
          {"outputs", names(outputs)}};
}

}  // namespace

namespace calls {

Call tidy(CLI::App& app) {
  auto* call = app.add_subcommand("tidy", "Class map without single pixels and small patches");
  auto a = std::make_shared<TidyArguments>();
  call->add_option("MAP", a->map, "A class map")->required();
  auto* vote = call->add_option("--majority", a->majority,
                                "Side of the window whose most common class each pixel gets, odd")
                   ->check(wholeNumber(3, 101));
  auto* patch = call->add_option("--smallest-patch", a->smallest,
                                 "Patches of fewer pixels go to the neighbour of longest border")
                    ->check(wholeNumber(2, 1000000000))
                    ->excludes(vote);
  call->add_flag("--corners", a->corners, "Pixels that touch by a corner are one patch too")
      ->needs(patch);
  a->output.addTo(*call, "Class map to write");
  call->callback([a] {
    if (a->majority == 0 && a->smallest == 0)
      throw CLI::RequiredError("--majority or --smallest-patch");
    if (a->majority % 2 == 0 && a->majority != 0)
      throw CLI::ValidationError("--majority", "A window has an odd number of pixels.");
  });
  return {call, [a](const Progress& progress) { return runTidy(*a, progress); }};
}

}  // namespace calls
}  // namespace zp
