#pragma once
#include <list>
#include <string>
#include <vector>

#include "base/words.h"
#include "scene/scene.h"

namespace zp {

/// An index of `data/indices.json`, or one of the user's own (group "own").
struct IndexEntry {
  std::string id, title, name, formula, reading, about, source, ramp;
  struct Ends {
    std::string low = words("Low"), high = words("High");
  } ends;                          // what its low and its high values are: The rest, Open water
  std::string abbreviation;        // as the trade has it: NDVI; "" when there is none
  std::string group;               // vegetation, water, moisture, soil, built-up, snow, burn, radar
  bool featured = false;           // shown before one searches
  double low = 0, high = 0;        // expected range
  std::vector<std::string> roles;  // that it needs
};

/// Reads entries. Error: not the format, or which entry is wrong and how.
std::vector<IndexEntry> indexEntriesFrom(const Json& json, const std::string& name);

/// The shipped ones, then the user's own.
const std::list<IndexEntry>& indexBook();
/// Keeps an index of one's own for all studies; its id is made from its title. Error: no title, a
/// title that the book has already, a formula that is none. Not for several threads at once.
const IndexEntry& keepIndex(IndexEntry entry);
/// Forgets an index of one's own.
void dropIndex(const std::string& id);
/// By its id, or its abbreviation in capitals or not. Error with the nearest known id.
const IndexEntry& indexEntry(const std::string& id);
/// Entries that hold every word of `text`: the one of that abbreviation first, then those with them
/// in their names, then in any of their texts, each in the order of the book. All of them for an
/// empty text.
std::vector<const IndexEntry*> searchIndexBook(const std::string& text);
/// The entry's formula over a scene. Indices of radar are of power: of a scene in decibels each
/// band is turned into power first.
std::string formulaFor(const IndexEntry& entry, const Scene& scene);
/// The roles of an index that the scene lacks.
std::vector<std::string> missingRoles(const IndexEntry& entry, const Scene& scene);

}  // namespace zp
