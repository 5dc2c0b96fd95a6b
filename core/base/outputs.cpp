#include "base/outputs.h"

#include <fcntl.h>
#include <fmt/format.h>
#include <signal.h>
#include <unistd.h>

#include <atomic>
#include <cerrno>
#include <cstring>
#include <fstream>

#include "base/error.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

const char* const kMark = ".zpatch-";

fs::path folderOf(const fs::path& file) {
  return file.has_parent_path() ? file.parent_path() : fs::path(".");
}

/// Companions that GDAL writes beside a raster or that belong to one file.
std::vector<fs::path> companionsOf(const fs::path& file) {
  return {fs::path(file.string() + ".aux.xml"), fs::path(file.string() + ".ovr")};
}

void sweep(const fs::path& folder) {
  std::error_code ignored;
  for (const auto& entry : fs::directory_iterator(folder, ignored)) {
    const std::string name = entry.path().filename().string();
    if (name.rfind(kMark, 0) != 0) continue;
    const int pid = std::atoi(name.c_str() + std::strlen(kMark));
    const bool alive = pid > 0 && (kill(pid, 0) == 0 || errno == EPERM);
    if (pid > 0 && !alive) fs::remove(entry.path(), ignored);
  }
}

fs::path temporaryFor(const fs::path& target) {
  static std::atomic<int> counter{0};
  return folderOf(target) /
         fmt::format("{}{}-{}-{}", kMark, getpid(), counter++, target.filename().string());
}

void flushToDisk(const fs::path& file) {
  const int fd = open(file.c_str(), O_RDONLY);
  if (fd < 0) return;
  const bool failed = fsync(fd) != 0 && errno != EINVAL;
  close(fd);
  if (failed)
    throw Error(
        fmt::format("“{}” could not be written to the disk ({}); free some space and try "
                    "again.",
                    file.filename().string(), std::strerror(errno)));
}

}  // namespace

Outputs::~Outputs() {
  if (committed_) return;
  std::error_code ignored;
  for (const auto& f : files_) {
    for (const auto& c : companionsOf(f.temporary)) fs::remove(c, ignored);
    fs::remove(f.temporary, ignored);
  }
}

fs::path Outputs::add(const fs::path& target, const std::vector<fs::path>& inputs) {
  const fs::path folder = folderOf(target);
  std::error_code ec;
  if (target.filename().empty()) throw Error("The output needs a file name.");
  if (!fs::is_directory(folder, ec))
    throw Error(fmt::format("The folder “{}” does not exist; make it first.", folder.string()));
  for (const auto& in : inputs)
    if (fs::equivalent(in, target, ec))
      throw Error(fmt::format("“{}” is an input too; name another output file.", target.string()));
  for (const auto& f : files_)
    if (fs::weakly_canonical(f.target) == fs::weakly_canonical(target))
      throw Error(fmt::format("“{}” is named twice as an output; give each its own name.",
                              target.string()));
  if (fs::is_directory(target, ec))
    throw Error(fmt::format("“{}” is a folder; name a file.", target.string()));
  if (fs::exists(target, ec) && !replace_)
    throw Error(
        fmt::format("“{}” exists already; name another file or allow it to be replaced "
                    "(--replace).",
                    target.string()));
  if (access(folder.c_str(), W_OK | X_OK) != 0)
    throw Error(
        fmt::format("The folder “{}” is read-only; choose one you may write to.", folder.string()));
  sweep(folder);
  files_.push_back({target, temporaryFor(target)});
  return files_.back().temporary;
}

void Outputs::commit() {
  struct Rename {
    fs::path from, to, backup;
  };
  std::vector<Rename> renames;
  for (const auto& f : files_) {
    if (!fs::exists(f.temporary)) continue;
    const auto mine = companionsOf(f.temporary), theirs = companionsOf(f.target);
    for (size_t i = 0; i < mine.size(); ++i)
      if (fs::exists(mine[i]) || fs::exists(theirs[i])) renames.push_back({mine[i], theirs[i], {}});
    renames.push_back({f.temporary, f.target, {}});
  }
  for (const auto& r : renames)
    if (fs::exists(r.from)) flushToDisk(r.from);

  size_t done = 0;
  std::error_code ec;
  for (auto& r : renames) {
    if (fs::exists(r.to)) {
      r.backup = temporaryFor(r.to);
      fs::rename(r.to, r.backup, ec);
    }
    if (!ec && fs::exists(r.from)) fs::rename(r.from, r.to, ec);
    if (ec) break;
    ++done;
  }
  std::error_code ignored;
  if (ec) {
    for (size_t i = 0; i <= done && i < renames.size(); ++i) {
      if (i < done && fs::exists(renames[i].to)) fs::remove(renames[i].to, ignored);
      if (!renames[i].backup.empty() && fs::exists(renames[i].backup))
        fs::rename(renames[i].backup, renames[i].to, ignored);
    }
    throw Error(fmt::format("“{}” could not be put in place ({}); check the folder and try again.",
                            renames[done].to.string(), ec.message()));
  }
  for (const auto& r : renames)
    if (!r.backup.empty()) fs::remove(r.backup, ignored);
  committed_ = true;
}

std::vector<fs::path> Outputs::targets() const {
  std::vector<fs::path> all;
  for (const auto& f : files_) all.push_back(f.target);
  return all;
}

void copyFile(const fs::path& file, const fs::path& target) {
  Outputs outputs(true);
  const fs::path temporary = outputs.add(target, {file});
  const auto from = companionsOf(file), to = companionsOf(temporary);
  std::error_code ec;
  fs::copy_file(file, temporary, ec);
  for (size_t i = 0; i < from.size() && !ec; ++i)
    if (fs::exists(from[i])) fs::copy_file(from[i], to[i], ec);
  if (ec)
    throw Error(fmt::format("“{}” could not be copied to “{}” ({}); check the space on the disk.",
                            file.filename().string(), target.string(), ec.message()));
  outputs.commit();
}

void writeFileAtomically(const fs::path& target, const std::string& text) {
  Outputs outputs(true);
  const fs::path temporary = outputs.add(target);
  {
    std::ofstream out(temporary, std::ios::binary);
    out.write(text.data(), static_cast<std::streamsize>(text.size()));
    out.close();
    if (!out)
      throw Error(
          fmt::format("“{}” could not be written; check the space on the disk.", target.string()));
  }
  outputs.commit();
}

}  // namespace zp
