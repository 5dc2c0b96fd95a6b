#include "base/commit_note.h"

#include <fcntl.h>
#include <fmt/format.h>
#include <signal.h>
#include <unistd.h>

#include <algorithm>
#include <atomic>
#include <cerrno>
#include <cstring>
#include <fstream>
#include <set>
#include <sstream>

#include "base/error.h"
#include "base/json.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

const char* const kMark = ".zpatch-";
const char* const kNote = ".zpatch-note";

/// When a process started, in clock ticks since the machine did; 0 when there is none. With it a
/// number that was given to another process since is not taken for the run that left something.
unsigned long long startOf(int pid) {
  std::ifstream in(fmt::format("/proc/{}/stat", pid));
  std::string line;
  std::getline(in, line);
  const size_t name = line.rfind(')');
  if (name == std::string::npos) return 0;
  std::istringstream rest(line.substr(name + 1));
  std::string field;
  for (int i = 0; i < 20; ++i) rest >> field;
  return std::strtoull(field.c_str(), nullptr, 10);
}

/// ".zpatch-PID-START-N-name"; the run that made it is still there.
bool ofARunningProcess(const std::string& name) {
  const char* at = name.c_str() + std::strlen(kMark);
  char* end = nullptr;
  const long pid = std::strtol(at, &end, 10);
  if (pid <= 0 || *end != '-') return true;  // none of ours
  const bool alive = kill(static_cast<int>(pid), 0) == 0 || errno == EPERM;
  const auto started = std::strtoull(end + 1, nullptr, 10), now = startOf(static_cast<int>(pid));
  return alive && (now == 0 || started == now);
}

void writeDown(const fs::path& file, const std::string& text) {
  const fs::path part = temporaryFor(folderOf(file) / "part");
  {
    std::ofstream out(part, std::ios::binary);
    out << text;
    out.close();
    if (!out) {
      std::error_code ignored;
      fs::remove(part, ignored);
      throw Error("“{}” could not be written; check the space on the disk.",
                  folderOf(file).string());
    }
  }
  flushToDisk(part);
  fs::rename(part, file);
  flushToDisk(folderOf(file));
}

/// The one name of a folder, however it was written.
fs::path wholeFolder(const fs::path& folder) {
  std::error_code ec;
  const fs::path whole = fs::canonical(folder, ec);
  return ec ? folder : whole;
}

/// The note that a pointer leads to; empty when it is none.
fs::path notePointedTo(const fs::path& pointer) {
  try {
    if (const Json said = readJson(pointer); said.is_object() && said.contains("see"))
      return said["see"].get<std::string>();
  } catch (const std::exception&) {
  }
  return {};
}

/// The moves of a note, with those left out that are none of its business.
std::vector<FileMove> movesFrom(const Json& said, const fs::path& note) {
  std::set<fs::path> folders{folderOf(note)};
  for (const auto& p : said.at("pointers"))
    if (const fs::path pointer = p.get<std::string>(); notePointedTo(pointer) == note)
      folders.insert(folderOf(pointer));
  std::vector<FileMove> moves;
  for (const auto& m : said.at("moves")) {
    const fs::path folder =
        m.at("folder") == "" ? folderOf(note) : fs::path(m.at("folder").get<std::string>());
    const std::string from = m.at("from"), to = m.at("to");
    const bool plain = from.find('/') == std::string::npos && to.find('/') == std::string::npos;
    const bool ours = from.empty() || from.rfind(kMark, 0) == 0;
    if (folders.count(folder) == 0 || !plain || !ours || to.empty()) continue;
    moves.push_back({from.empty() ? fs::path() : folder / from, folder / to});
  }
  return moves;
}

/// Does what a note of a run that is over says; then the note goes. False when it is none, or can
/// not be followed now.
bool finish(const fs::path& note) {
  std::error_code ignored;
  try {
    const Json said = readJson(note);
    if (carryOut(movesFrom(said, note))) return false;
    for (const auto& p : said.at("pointers"))
      if (notePointedTo(p.get<std::string>()) == note) fs::remove(p.get<std::string>(), ignored);
  } catch (const std::exception&) {
    return false;
  }
  return fs::remove(note, ignored);
}

}  // namespace

fs::path folderOf(const fs::path& file) {
  return file.has_parent_path() ? file.parent_path() : fs::path(".");
}

fs::path temporaryFor(const fs::path& target) {
  static std::atomic<int> counter{0};
  static const auto started = startOf(getpid());
  return folderOf(target) / fmt::format("{}{}-{}-{}-{}", kMark, getpid(), started, counter++,
                                        target.filename().string());
}

std::string targetNameOf(const fs::path& file) {
  std::string name = file.filename().string();
  // The mark, the process, when it started, a number; a file may be one of one.
  while (name.rfind(kMark, 0) == 0) {
    size_t at = std::string_view(kMark).size();
    for (int part = 0; part < 3 && at != std::string::npos; ++part) {
      at = name.find('-', at);
      if (at != std::string::npos) ++at;
    }
    if (at == std::string::npos) break;
    name = name.substr(at);
  }
  return name;
}

void flushToDisk(const fs::path& file) {
  const int fd = open(file.c_str(), O_RDONLY | O_CLOEXEC);
  if (fd < 0) return;
  const bool failed = fsync(fd) != 0 && errno != EINVAL;
  const int why = errno;
  close(fd);
  if (failed)
    throw Error("“{}” could not be written to the disk ({}); free some space and try again.",
                file.filename().string(), std::strerror(why));
}

std::error_code carryOut(const std::vector<FileMove>& moves) {
  std::error_code ec;
  std::set<fs::path> folders;
  for (const auto& m : moves) {
    folders.insert(folderOf(m.to));
    if (m.from.empty())
      fs::remove(m.to, ec);
    else if (fs::exists(m.from))  // else a run before this one came so far
      fs::rename(m.from, m.to, ec);
    if (ec) return ec;
  }
  for (const auto& f : folders) flushToDisk(f);
  return ec;
}

CommitNote::CommitNote(const std::vector<FileMove>& moves)
    : note_(wholeFolder(folderOf(moves.at(0).to)) /
            (temporaryFor(moves.at(0).to).filename().string() + kNote)) {
  std::set<fs::path> folders;
  for (const auto& m : moves) folders.insert(wholeFolder(folderOf(m.to)));
  folders.erase(folderOf(note_));
  for (const auto& f : folders) pointers_.push_back(temporaryFor(f / "see").string() + kNote);
}

void CommitNote::write(const std::vector<FileMove>& moves) const {
  for (const auto& p : pointers_)
    if (!fs::exists(p)) writeDown(p, Json{{"see", note_.string()}}.dump());
  Json list = Json::array(), beside = Json::array();
  for (const auto& m : moves) {
    const fs::path folder = wholeFolder(folderOf(m.to));
    list.push_back({{"folder", folder == folderOf(note_) ? "" : folder.string()},
                    {"from", m.from.filename().string()},
                    {"to", m.to.filename().string()}});
  }
  for (const auto& p : pointers_) beside.push_back(p.string());
  writeDown(note_, Json{{"moves", list}, {"pointers", beside}}.dump());
}

void CommitNote::remove() const {
  std::error_code ignored;
  fs::remove(note_, ignored);
  for (const auto& p : pointers_) fs::remove(p, ignored);
}

void sweep(const fs::path& wanted) {
  std::error_code ignored;
  const fs::path folder = wholeFolder(wanted);
  std::vector<fs::path> notes, rest;
  for (const auto& entry : fs::directory_iterator(folder, ignored)) {
    const std::string name = entry.path().filename().string();
    if (name.rfind(kMark, 0) != 0 || ofARunningProcess(name)) continue;
    (entry.path().extension() == kNote ? notes : rest).push_back(entry.path());
  }
  for (const auto& note : notes) {
    const fs::path whole = notePointedTo(note).empty() ? note : notePointedTo(note);
    // What cannot be followed yet is left as it is, with all that it may speak of.
    if (fs::exists(whole, ignored) && !finish(whole) && fs::exists(whole, ignored)) return;
    fs::remove(note, ignored);
  }
  for (const auto& r : rest) fs::remove(r, ignored);
}

}  // namespace zp
