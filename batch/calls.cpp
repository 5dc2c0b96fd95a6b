#include "calls.h"

namespace zp {

namespace calls {
Call look(CLI::App& app);
Call index(CLI::App& app);
Call threshold(CLI::App& app);
Call areas(CLI::App& app);
Call points(CLI::App& app);
Call cells(CLI::App& app);
Call readings(CLI::App& app);
Call zones(CLI::App& app);
Call join(CLI::App& app);
Call table(CLI::App& app);
Call plan(CLI::App& app);
Call matrix(CLI::App& app);
Call compare(CLI::App& app);
Call signatures(CLI::App& app);
Call map(CLI::App& app);
Call cluster(CLI::App& app);
Call nameClusters(CLI::App& app);
Call segments(CLI::App& app);
Call tidy(CLI::App& app);
Call listOfMethods(CLI::App& app);
Call listOfFeatures(CLI::App& app);
Call import(CLI::App& app);
Call composite(CLI::App& app);
Call change(CLI::App& app);
Call run(CLI::App& app);
Call gather(CLI::App& app);
Call record(CLI::App& app);
Call report(CLI::App& app);
}  // namespace calls

// In the order of the help.
std::vector<Call> addCalls(CLI::App& app) {
  std::vector<Call> all;
  for (auto* add : {&calls::look,     &calls::index,         &calls::threshold,
                    &calls::areas,    &calls::points,        &calls::cells,
                    &calls::readings, &calls::zones,         &calls::join,
                    &calls::table,    &calls::plan,          &calls::matrix,
                    &calls::compare,  &calls::signatures,    &calls::map,
                    &calls::cluster,  &calls::nameClusters,  &calls::segments,
                    &calls::tidy,     &calls::listOfMethods, &calls::listOfFeatures,
                    &calls::import,   &calls::composite,     &calls::change,
                    &calls::run,      &calls::gather,        &calls::record,
                    &calls::report})
    all.push_back(add(app));
  return all;
}

}  // namespace zp
