#include "base/outputs.h"

#include <fmt/format.h>
#include <unistd.h>

#include <fstream>

#include "base/commit_note.h"
#include "base/error.h"
#include "base/text.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

/// Companions that GDAL writes beside a raster or that belong to one file; a shapefile is several.
std::vector<fs::path> companionsOf(const fs::path& file) {
  if (lowered(file.extension().string()) == ".shp") {
    std::vector<fs::path> all;
    for (const char* part : {".dbf", ".shx", ".prj", ".cpg"})
      all.push_back(fs::path(file).replace_extension(part));
    return all;
  }
  return {fs::path(file.string() + ".aux.xml"), fs::path(file.string() + ".ovr")};
}

Error notInPlace(const fs::path& target, const std::error_code& why) {
  return Error("“{}” could not be put in place ({}); check the folder and try again.",
               target.string(), why.message());
}

void removeBackups(const std::vector<FileMove>& back) {
  std::error_code ignored;
  for (const auto& b : back)
    if (!b.from.empty()) fs::remove(b.from, ignored);
}

/// What stands at the targets now, under other names, and the way back to it.
std::vector<FileMove> keepBackups(const std::vector<FileMove>& moves) {
  std::vector<FileMove> back;
  std::error_code ec;
  for (const auto& m : moves) {
    if (!fs::exists(m.to)) {
      back.push_back({{}, m.to});
      continue;
    }
    const fs::path backup = temporaryFor(m.to);
    fs::create_hard_link(m.to, backup, ec);
    if (ec) fs::copy_file(m.to, backup, ec);  // a disk without links
    back.push_back({backup, m.to});
    if (ec) {
      removeBackups(back);
      throw notInPlace(m.to, ec);
    }
  }
  return back;
}

/// Several files: a note says what is to be done, then it is done. After a failure the note leads
/// back.
void commitTogether(const std::vector<FileMove>& moves) {
  const auto back = keepBackups(moves);
  const CommitNote note(moves);
  try {
    note.write(moves);
  } catch (...) {
    note.remove();
    removeBackups(back);
    throw;
  }
  const auto failed = carryOut(moves);
  if (failed) {
    note.write(back);
    if (carryOut(back)) throw notInPlace(moves[0].to, failed);  // the next run goes on with it
  }
  note.remove();
  removeBackups(back);
  if (failed) throw notInPlace(moves[0].to, failed);
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
    throw Error("The folder “{}” does not exist; make it, or connect the disk it is on.",
                folder.string());
  for (const auto& in : inputs)
    if (fs::equivalent(in, target, ec))
      throw Error("“{}” is an input too; name another output file.", target.string());
  for (const auto& f : files_)
    if (fs::weakly_canonical(f.target) == fs::weakly_canonical(target))
      throw Error("“{}” is named twice as an output; give each its own name.", target.string());
  if (access(folder.c_str(), W_OK | X_OK) != 0)
    throw Error("The folder “{}” is read-only; choose one you may write to.", folder.string());
  sweep(folder);
  if (fs::is_directory(target, ec)) throw Error("“{}” is a folder; name a file.", target.string());
  if (fs::exists(target, ec) && !replace_)
    throw Error(
        "“{}” exists already; name another file or allow it to be replaced "
        "(--replace).",
        target.string());
  files_.push_back({target, temporaryFor(target)});
  return files_.back().temporary;
}

std::vector<FileMove> Outputs::moves() const {
  std::vector<FileMove> all;
  for (const auto& f : files_) {
    if (!fs::exists(f.temporary)) continue;
    const auto mine = companionsOf(f.temporary), theirs = companionsOf(f.target);
    for (size_t i = 0; i < mine.size(); ++i) {
      if (fs::exists(mine[i]))
        all.push_back({mine[i], theirs[i]});
      else if (fs::exists(theirs[i]))
        all.push_back({{}, theirs[i]});
    }
    all.push_back({f.temporary, f.target});
  }
  return all;
}

void Outputs::commit() {
  const auto all = moves();
  for (const auto& m : all)
    if (!m.from.empty()) flushToDisk(m.from);
  if (all.size() == 1) {
    std::error_code ec;
    fs::rename(all[0].from, all[0].to, ec);
    if (ec) throw notInPlace(all[0].to, ec);
    flushToDisk(folderOf(all[0].to));
  } else if (!all.empty()) {
    commitTogether(all);
  }
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
    throw Error("“{}” could not be copied to “{}” ({}); check the space on the disk.",
                file.filename().string(), target.string(), ec.message());
  outputs.commit();
}

void writeUnseen(const fs::path& file, std::string_view bytes) {
  std::ofstream out(file, std::ios::binary);
  out.write(bytes.data(), static_cast<std::streamsize>(bytes.size()));
  out.close();
  if (!out)
    throw Error("“{}” could not be written; free some space on the disk and try again.",
                targetNameOf(file));
}

void writeFileAtomically(const fs::path& target, const std::string& text) {
  Outputs outputs(true);
  const fs::path temporary = outputs.add(target);
  writeUnseen(temporary, text);
  outputs.commit();
}

}  // namespace zp
