#include "index/index_book.h"

#include <fmt/format.h>

#include <algorithm>
#include <sstream>

#include "base/data_folder.h"
#include "base/error.h"
#include "base/own_entries.h"
#include "base/text.h"
#include "index/formula.h"

namespace zp {
namespace {

IndexEntry entryFrom(const Json& e) {
  IndexEntry one;
  one.id = e.at("id");
  one.title = e.at("title");
  one.name = e.at("name");
  one.formula = e.at("formula");
  one.reading = e.at("reading");
  if (e.contains("ends")) one.ends = {e["ends"].at(0), e["ends"].at(1)};
  one.about = e.at("about");
  one.source = e.at("source");
  one.ramp = e.at("ramp");
  one.group = e.at("group");
  one.abbreviation = e.value("abbreviation", "");
  one.featured = e.value("featured", false);
  one.low = e.at("range").at(0);
  one.high = e.at("range").at(1);
  if (!(one.low < one.high)) throw Error("The range of “{}” does not rise.", one.title);
  one.roles = parseFormula(one.formula, knownRoles()).variables;
  return one;
}

Json toJson(const IndexEntry& e) {
  return {{"id", e.id},
          {"abbreviation", e.abbreviation},
          {"group", e.group},
          {"title", e.title},
          {"name", e.name},
          {"formula", e.formula},
          {"range", {number(e.low), number(e.high)}},
          {"reading", e.reading},
          {"ends", {e.ends.low, e.ends.high}},
          {"about", e.about},
          {"source", e.source},
          {"ramp", e.ramp},
          {"featured", e.featured}};
}

constexpr const char* kFormat = "zany-patch-index-book";

std::list<IndexEntry>& book() {
  static std::list<IndexEntry> all = [] {
    const auto file = dataFile("indices.json");
    const auto shipped = indexEntriesFrom(readJson(file, kFormat), file.string());
    std::list<IndexEntry> read(shipped.begin(), shipped.end());
    readOwnEntries("indices.json", kFormat, "indices", [&](const Json& e) {
      IndexEntry one = entryFrom(e);
      one.group = "own";
      read.push_back(std::move(one));
    });
    return read;
  }();
  return all;
}

void writeOwn() {
  Json list = Json::array();
  for (const auto& e : book())
    if (e.group == "own") list.push_back(toJson(e));
  writeOwnEntries("indices.json", kFormat, "indices", list);
}

}  // namespace

std::vector<IndexEntry> indexEntriesFrom(const Json& json, const std::string& name) {
  std::vector<IndexEntry> read;
  takeEntries(json, name, "indices", [&](const Json& e) { read.push_back(entryFrom(e)); });
  return read;
}

const std::list<IndexEntry>& indexBook() {
  return book();
}

const IndexEntry& keepIndex(IndexEntry entry) {
  if (entry.title.empty()) throw Error("The index has no name; write one.");
  for (const auto& e : book())
    if (lowered(e.title) == lowered(entry.title))
      throw Error("The book has an index “{}” already; take another name.", e.title);
  entry.roles = parseFormula(entry.formula, knownRoles()).variables;
  std::vector<std::string> ids;
  for (const auto& e : book()) ids.push_back(e.id);
  entry.id = freshName("own-" + plainName(entry.title), ids);
  entry.group = "own";
  entry.featured = true;
  book().push_back(std::move(entry));
  writeOwn();
  return book().back();
}

void dropIndex(const std::string& id) {
  book().remove_if([&](const IndexEntry& e) { return e.group == "own" && e.id == id; });
  writeOwn();
}

const IndexEntry& indexEntry(const std::string& id) {
  std::vector<std::string> names;
  for (const auto& e : indexBook()) {
    if (e.id == id || (!id.empty() && lowered(e.abbreviation) == lowered(id))) return e;
    names.push_back(e.id);
    if (!e.abbreviation.empty()) names.push_back(e.abbreviation);
  }
  throw Error("There is no index “{}” in the book of {}; look through its list.{}", id,
              indexBook().size(), didYouMean(id, names));
}

std::vector<const IndexEntry*> searchIndexBook(const std::string& text) {
  std::vector<std::string> words;
  std::istringstream in(lowered(text));
  for (std::string word; in >> word;) words.push_back(word);
  const auto holds = [&](const std::string& where) {
    const std::string low = lowered(where);
    return std::all_of(words.begin(), words.end(),
                       [&](const std::string& w) { return low.find(w) != std::string::npos; });
  };
  std::vector<const IndexEntry*> byName, byText;
  for (const auto& e : indexBook()) {
    const std::string name =
        fmt::format("{} {} {} {} {}", e.id, e.abbreviation, e.group, e.title, e.name);
    if (words.size() == 1 && lowered(e.abbreviation) == words[0])
      byName.insert(byName.begin(), &e);
    else if (holds(name))
      byName.push_back(&e);
    else if (holds(fmt::format("{} {} {} {} {}", name, e.reading, e.about, e.source, e.formula)))
      byText.push_back(&e);
  }
  byName.insert(byName.end(), byText.begin(), byText.end());
  return byName;
}

std::string formulaFor(const IndexEntry& entry, const Scene& scene) {
  if (entry.group != "radar" || scene.state != ValueState::BackscatterDecibels)
    return entry.formula;
  std::string out;
  size_t done = 0;
  for (const auto& t : formulaTokens(entry.formula, knownRoles())) {
    const std::string word = entry.formula.substr(t.at, t.length);
    out += entry.formula.substr(done, t.at - done);
    out += t.kind == FormulaToken::Name ? "(10 ^ (" + word + " / 10))" : word;
    done = t.at + t.length;
  }
  return out + entry.formula.substr(done);
}

std::vector<std::string> missingRoles(const IndexEntry& entry, const Scene& scene) {
  std::vector<std::string> missing;
  for (const auto& r : entry.roles)
    if (scene.bandOf(r) < 0) missing.push_back(r);
  return missing;
}

}  // namespace zp
