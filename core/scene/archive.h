#pragma once
#include <chrono>

#include "scene/catalogue.h"

namespace zp {

/// What one looks for; everything left as it is asks for nothing.
struct ArchiveQuery {
  std::string sensor;
  std::string from, to;         // ISO dates, both included
  double mostCloud = 1;         // share; scenes that say none are not clouded
  std::optional<Extent> place;  // degrees; touches the scene's bounds
};

/// How the stand-in for a provider's service behaves, so that its troubles can be tried.
struct ServiceConditions {
  std::chrono::milliseconds delay{0};       // before each answer, and each MiB
  bool down = false;                        // it never answers
  std::optional<uintmax_t> breaksOffAfter;  // bytes of a fetch
};

/// A provider's archive, stood in for by a local STAC catalogue. It is asked like a distant one:
/// answers may be slow, fail, or break off half way.
class Archive {
 public:
  explicit Archive(std::filesystem::path catalogue, ServiceConditions conditions = {});

  /// The scenes asked for, newest first. Error when it does not answer.
  std::vector<CatalogueEntry> search(const ArchiveQuery& query,
                                     const Progress& progress = Progress()) const;
  /// Bytes of all files of a scene. Error: a file that is gone.
  static uintmax_t sizeOf(const CatalogueEntry& entry);
  /// Where a scene goes below `scenes`, and how many bytes of it are there already, of a fetch
  /// that broke off.
  static std::filesystem::path placeOf(const CatalogueEntry& entry,
                                       const std::filesystem::path& scenes);
  static uintmax_t partFetched(const CatalogueEntry& entry, const std::filesystem::path& scenes);

  /// Copies a scene's files and its item into a folder of its own below `scenes`, and tells the
  /// item. What broke off is gone on with, as long as the source is the same; cancelled, nothing
  /// stays. The folder appears complete or not at all. A scene fetched before is only told.
  std::filesystem::path fetch(const CatalogueEntry& entry, const std::filesystem::path& scenes,
                              const Progress& progress = Progress()) const;

 private:
  void answer(const Progress& progress) const;
  std::filesystem::path catalogue_;
  ServiceConditions conditions_;
};

}  // namespace zp
