#include "base/own_entries.h"

#include <fmt/format.h>

#include "base/data_folder.h"
#include "base/error.h"

namespace fs = std::filesystem;

namespace zp {

namespace {
std::vector<Sentence>& troubles() {
  static std::vector<Sentence> all;
  return all;
}
}  // namespace

const std::vector<Sentence>& ownTroubles() {
  return troubles();
}

void takeEntries(const Json& json, const std::string& name, const std::string& list,
                 const std::function<void(const Json&)>& take) {
  if (!json.is_object() || !json.contains(list) || !json[list].is_array())
    throw Error("“{}” has no list “{}”; mend it or take it away.", name, list);
  size_t n = 0;
  for (const auto& entry : json[list]) {
    ++n;
    try {
      take(entry);
    } catch (const std::exception& e) {
      const auto* ours = dynamic_cast<const Error*>(&e);
      throw Error("Entry {} of “{}” in “{}” is not right: {}", n, list, name,
                  ours != nullptr ? ours->sentence()
                                  : Sentence("something is missing or of another kind."));
    }
  }
}

void readOwnEntries(const std::string& name, const std::string& format, const std::string& list,
                    const std::function<void(const Json&)>& take) {
  const fs::path file = ownFile(name);
  std::error_code ec;
  if (!fs::exists(file, ec)) return;
  try {
    takeEntries(readJson(file, format), file.string(), list, take);
  } catch (const std::exception& e) {
    fs::rename(file, file.string() + ".damaged", ec);
    troubles().push_back(Sentence("{} It is kept as “{}.damaged”.", saidBy(e), file.string()));
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
