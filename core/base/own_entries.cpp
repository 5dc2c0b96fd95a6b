#include "base/own_entries.h"

#include "base/data_folder.h"

namespace fs = std::filesystem;

namespace zp {

void readOwnEntries(const std::string& name, const std::string& format, const std::string& list,
                    const std::function<void(const Json&)>& take) {
  const fs::path file = ownFile(name);
  std::error_code ec;
  if (!fs::exists(file, ec)) return;
  try {
    const Json json = readJson(file, format);
    for (const auto& entry : json.at(list)) take(entry);
  } catch (const std::exception&) {
    fs::rename(file, file.string() + ".damaged", ec);
  }
}

void writeOwnEntries(const std::string& name, const std::string& format, const std::string& list,
                     const Json& entries) {
  const fs::path file = ownFile(name);
  std::error_code ec;
  fs::create_directories(file.parent_path(), ec);
  writeJson(file, {{"format", format}, {"version", 1}, {list, entries}});
}

}  // namespace zp
