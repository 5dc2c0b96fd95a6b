#pragma once
#include "base/progress.h"
#include "scene/scene.h"

namespace zp {

/// What a catalogue says of a scene before it is brought in.
struct CatalogueEntry {
  std::string id, title;
  std::string sensor, date;       // "" when not said
  std::optional<double> cloud;    // share of the picture, 0 to 1
  std::optional<Extent> bounds;   // degrees
  std::filesystem::path preview;  // a small picture; "" when there is none
  Json item;                      // as it stands in the catalogue
  std::filesystem::path folder;   // that the item's files are named from
};

/// Whether a file is a STAC catalogue, collection or item collection, and not a single item.
bool isCatalogue(const std::filesystem::path& file);

/// The items that a STAC item or item collection holds itself; its files lie relative to `folder`.
std::vector<CatalogueEntry> itemsIn(const Json& json, const std::filesystem::path& folder);

/// The items of a local STAC catalogue (1.0) and of those it links to as children, oldest first.
/// Links to another machine are left out. Error: not a catalogue, one that links to a file that is
/// gone or damaged, more than 12 levels or 100 000 items.
std::vector<CatalogueEntry> readCatalogue(const std::filesystem::path& file,
                                          const Progress& progress = Progress());

/// Error as for an item.
Scene openEntry(const CatalogueEntry& entry);

/// Writes `folder`/catalog.json with an item a scene in folders beside it. The rasters stay where
/// they are. Error: a folder that holds a catalogue already, unless `replace`.
void writeCatalogue(const std::filesystem::path& folder, const std::string& title,
                    const std::vector<Scene>& scenes, bool replace);

}  // namespace zp
