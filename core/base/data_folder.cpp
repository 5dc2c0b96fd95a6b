#include "base/data_folder.h"

#include <fmt/format.h>

#include <cstdlib>
#include <vector>

#include "base/error.h"

namespace fs = std::filesystem;

namespace zp {

fs::path dataFile(const std::string& name) {
  std::vector<fs::path> folders;
  if (const char* set = std::getenv("ZPATCH_DATA")) folders.emplace_back(set);
  std::error_code ec;
  const fs::path program = fs::read_symlink("/proc/self/exe", ec);
  // From bin/, or from libexec/zany-patch/.
  for (const char* up : {"..", "../.."})
    if (!ec) folders.push_back(program.parent_path() / up / "share/zany-patch/data");
  folders.emplace_back(ZP_SOURCE_DATA);
  folders.emplace_back(ZP_INSTALLED_DATA);
  for (const auto& folder : folders)
    if (fs::exists(folder / name, ec)) return folder / name;
  throw Error("The data file “{}” is missing; install Zany Patch again.", name);
}

fs::path ownFile(const std::string& name) {
  if (const char* set = std::getenv("ZPATCH_OWN")) return fs::path(set) / name;
  if (const char* set = std::getenv("XDG_CONFIG_HOME"); set != nullptr && *set != '\0')
    return fs::path(set) / "zany-patch" / name;
  const char* home = std::getenv("HOME");
  return fs::path(home != nullptr ? home : ".") / ".config/zany-patch" / name;
}

}  // namespace zp
