#include "scene/archive.h"

#include <fmt/format.h>

#include <algorithm>
#include <fstream>
#include <thread>

#include "base/disk_space.h"
#include "base/error.h"
#include "base/text.h"
#include "scene/stac_item.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

constexpr size_t kPiece = 1 << 20;  // bytes

/// One file of a scene: where it is, and its name in the folder it is fetched to.
struct Part {
  std::string asset;
  fs::path source;
  std::string name;
  uintmax_t size = 0;
};

uintmax_t sizeOfFile(const fs::path& file) {
  std::error_code ec;
  const auto size = fs::file_size(file, ec);
  if (ec) throw Error("The archive has lost “{}”; fetch another scene.", file.string());
  return size;
}

std::string folderName(const CatalogueEntry& entry) {
  const std::string name = plainName(entry.id.empty() ? entry.title : entry.id);
  return name.empty() ? "scene" : name;
}

std::vector<Part> partsOf(const CatalogueEntry& entry) {
  std::vector<Part> parts;
  std::vector<std::string> taken{folderName(entry) + ".json"};
  for (const auto& [key, asset] : entry.item.at("assets").items()) {
    if (!asset.is_object() || !asset.contains("href") || !asset["href"].is_string()) continue;
    Part p{key, stacFile(asset["href"].get<std::string>(), entry.folder), "", 0};
    p.size = sizeOfFile(p.source);
    p.name = p.source.filename().string();
    for (int n = 2; std::find(taken.begin(), taken.end(), p.name) != taken.end(); ++n)
      p.name = fmt::format("{}-{}{}", p.source.stem().string(), n, p.source.extension().string());
    taken.push_back(p.name);
    parts.push_back(std::move(p));
  }
  return parts;
}

fs::path partFolder(const fs::path& place) {
  return place.parent_path() / ("." + place.filename().string() + ".part");
}

/// What the source was when a fetch began; another one is fetched anew.
std::string markOf(const Part& p) {
  std::error_code ec;
  return fmt::format("{} {}", p.size, fs::last_write_time(p.source, ec).time_since_epoch().count());
}

[[noreturn]] void cannotWrite(const fs::path& file) {
  throw Error("“{}” could not be written; make room or choose another folder, then fetch again.",
              file.string());
}

/// Bytes that go through the stand-in, which may be slow or break off.
struct Line {
  const ServiceConditions& conditions;
  const Progress& progress;
  uintmax_t whole = 0, there = 0, sent = 0;

  void wait() const {
    const auto until = std::chrono::steady_clock::now() + conditions.delay;
    while (std::chrono::steady_clock::now() < until) {
      progress.check();
      std::this_thread::sleep_for(std::chrono::milliseconds(5));
    }
  }
  /// Told before `n` more bytes are taken.
  void carry(size_t n) {
    wait();
    if (conditions.breaksOffAfter && sent + n > *conditions.breaksOffAfter)
      throw Error(
          "The archive broke off after {:.1f} of {:.1f} MiB. What came is kept: fetch again and it "
          "goes on from there.",
          static_cast<double>(there) / 1048576, static_cast<double>(whole) / 1048576);
    sent += n, there += n;
    progress.at(whole == 0 ? 1 : static_cast<double>(there) / static_cast<double>(whole));
  }
};

void fetchFile(const Part& p, const fs::path& target, Line& line) {
  std::error_code ec;
  uintmax_t have = fs::exists(target, ec) ? fs::file_size(target, ec) : 0;
  const fs::path mark = target.string() + ".mark";
  std::string before;
  if (std::ifstream in(mark); in) std::getline(in, before);
  if (before != markOf(p) || have > p.size) {
    fs::remove(target, ec);
    have = 0;
    std::ofstream(mark) << markOf(p);
  }
  line.there += have;
  std::ifstream in(p.source, std::ios::binary);
  in.seekg(static_cast<std::streamoff>(have));
  std::ofstream out(target, std::ios::binary | std::ios::app);
  if (!out) cannotWrite(target);
  std::vector<char> piece(kPiece);
  while (have < p.size) {
    const size_t n = std::min<uintmax_t>(kPiece, p.size - have);
    line.carry(n);
    if (!in.read(piece.data(), static_cast<std::streamsize>(n)))
      throw Error("The archive could not read “{}”; fetch again.", p.source.string());
    if (!out.write(piece.data(), static_cast<std::streamsize>(n)).flush()) cannotWrite(target);
    have += n;
  }
}

}  // namespace

Archive::Archive(fs::path catalogue, ServiceConditions conditions)
    : catalogue_(std::move(catalogue)), conditions_(conditions) {}

void Archive::answer(const Progress& progress) const {
  Line{conditions_, progress}.wait();
  if (conditions_.down)
    throw Error("The archive does not answer; try again later. What was fetched is in the study.");
}

std::vector<CatalogueEntry> Archive::search(const ArchiveQuery& query,
                                            const Progress& progress) const {
  answer(progress);
  auto all = readCatalogue(catalogue_, progress);
  std::erase_if(all, [&](const CatalogueEntry& e) {
    if (!query.sensor.empty() && e.sensor != query.sensor) return true;
    if (!query.from.empty() && e.date < query.from) return true;
    if (!query.to.empty() && e.date > query.to) return true;
    if (e.cloud.value_or(0) > query.mostCloud) return true;
    if (!query.place) return false;
    if (!e.bounds) return true;
    const Extent &a = *e.bounds, &b = *query.place;
    return a.left > b.right || b.left > a.right || a.bottom > b.top || b.bottom > a.top;
  });
  std::reverse(all.begin(), all.end());
  return all;
}

uintmax_t Archive::sizeOf(const CatalogueEntry& entry) {
  uintmax_t sum = 0;
  for (const auto& p : partsOf(entry)) sum += p.size;
  return sum;
}

fs::path Archive::placeOf(const CatalogueEntry& entry, const fs::path& scenes) {
  return scenes / folderName(entry);
}

uintmax_t Archive::partFetched(const CatalogueEntry& entry, const fs::path& scenes) {
  const fs::path folder = partFolder(placeOf(entry, scenes));
  std::error_code ec;
  uintmax_t sum = 0;
  for (const auto& p : partsOf(entry))
    if (const auto size = fs::file_size(folder / p.name, ec); !ec) sum += size;
  return sum;
}

fs::path Archive::fetch(const CatalogueEntry& entry, const fs::path& scenes,
                        const Progress& progress) const {
  const fs::path place = placeOf(entry, scenes), part = partFolder(place);
  const fs::path item = place / (place.filename().string() + ".json");
  if (fs::exists(item)) return item;
  answer(progress);
  const auto parts = partsOf(entry);
  const uintmax_t size = sizeOf(entry);
  requireRoom(Sentence("{}", entry.title), size - std::min(size, partFetched(entry, scenes)),
              scenes.parent_path());
  std::error_code ec;
  fs::create_directories(part, ec);
  if (ec) cannotWrite(part);
  try {
    Line line{conditions_, progress};
    for (const auto& p : parts) line.whole += p.size;
    Json json = entry.item;
    for (const auto& p : parts) {
      fetchFile(p, part / p.name, line);
      json["assets"][p.asset]["href"] = p.name;
    }
    json["links"] = Json::array();
    for (const auto& p : parts) fs::remove(part / (p.name + ".mark"), ec);
    writeJson(part / item.filename(), json);
    progress.check();
  } catch (const Cancelled&) {
    fs::remove_all(part, ec);
    throw;
  }
  // A folder without an item is what some other program left; it is not ours to replace.
  if (fs::exists(place))
    throw Error("There is something else in “{}”; move it away and fetch again.", place.string());
  fs::rename(part, place, ec);
  if (ec) cannotWrite(place);
  return item;
}

}  // namespace zp
