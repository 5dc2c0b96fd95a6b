#pragma once
#include <sys/wait.h>

#include "base/json.h"
#include "support/rasters.h"

namespace zp::testing {

/// Runs zpatch in a folder of its own.
class ZpatchRun : public ::testing::Test {
 protected:
  int run(const std::string& arguments) {
    const int status = std::system(("cd '" + folder_.path().string() + "' && " ZPATCH " " +
                                    arguments + " > out.log 2> err.log")
                                       .c_str());
    return WIFEXITED(status) ? WEXITSTATUS(status) : -1;
  }
  Json json() { return parseJson(textOf(folder_ / "out.log"), "out"); }
  std::string out() { return textOf(folder_ / "out.log"); }
  std::string err() { return textOf(folder_ / "err.log"); }
  Folder folder_;
};

}  // namespace zp::testing
