#include "index/index_book.h"

#include <fmt/format.h>

#include "base/data_folder.h"
#include "base/error.h"
#include "base/text.h"
#include "index/formula.h"

namespace zp {
namespace {

std::vector<IndexEntry> readBook() {
  std::vector<IndexEntry> all;
  const Json json = readJson(dataFile("indices.json"), "zany-patch-index-book");
  for (const auto& e : json.at("indices")) {
    IndexEntry one{e.at("id"),
                   e.at("title"),
                   e.at("name"),
                   e.at("formula"),
                   e.at("reading"),
                   e.at("about"),
                   e.at("source"),
                   e.at("ramp"),
                   e["range"][0],
                   e["range"][1],
                   {}};
    one.roles = parseFormula(one.formula, knownRoles()).variables;
    all.push_back(std::move(one));
  }
  return all;
}

}  // namespace

const std::vector<IndexEntry>& indexBook() {
  static const std::vector<IndexEntry> all = readBook();
  return all;
}

const IndexEntry& indexEntry(const std::string& id) {
  std::vector<std::string> ids;
  for (const auto& e : indexBook()) {
    if (e.id == id) return e;
    ids.push_back(e.id);
  }
  throw Error(fmt::format("There is no index “{}”; the book has {}.{}", id, listed(ids),
                          didYouMean(id, ids)));
}

std::vector<std::string> missingRoles(const IndexEntry& entry, const Scene& scene) {
  std::vector<std::string> missing;
  for (const auto& r : entry.roles)
    if (scene.bandOf(r) < 0) missing.push_back(r);
  return missing;
}

}  // namespace zp
