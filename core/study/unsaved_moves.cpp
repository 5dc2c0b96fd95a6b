#include "study/unsaved_moves.h"

#include <functional>
#include <string>

#include "base/error.h"
#include "base/json.h"
#include "base/outputs.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

const char* const kCompanions[] = {".aux.xml", ".ovr", ""};

fs::path notesOf(const fs::path& study) {
  return study / ".unsaved";
}

struct Move {
  fs::path from, to;
};

Move moveFrom(const fs::path& note, const fs::path& study) {
  const Json json = readJson(note);
  const std::string from = json.at("from");
  return {from.empty() ? fs::path() : study / from, study / json.at("to").get<std::string>()};
}

/// Each note for which `settled` says so is removed.
void eachNote(const fs::path& study, const std::function<bool(const Move&)>& settled) {
  std::error_code ec;
  if (!fs::exists(notesOf(study), ec)) return;
  for (const auto& note : fs::directory_iterator(notesOf(study), ec)) {
    bool over = true;
    try {
      over = settled(moveFrom(note.path(), study));
    } catch (const std::exception&) {
      // No note of ours, or half of one: what it spoke of had not begun.
    }
    if (over) fs::remove(note.path(), ec);
  }
  fs::remove(notesOf(study), ec);  // which it is not while a note is in it
}

}  // namespace

void noteMove(const fs::path& study, const fs::path& from, const fs::path& to) {
  const auto below = [&](const fs::path& p) { return p.lexically_relative(study).string(); };
  try {
    fs::create_directories(notesOf(study));
    const std::string name = to.parent_path().filename().string() + "-" + to.filename().string();
    writeUnseen(notesOf(study) / name,
                Json{{"from", from.empty() ? "" : below(from)}, {"to", below(to)}}.dump());
  } catch (const std::exception&) {
    // A full disk; moving to the bin is what makes room on it.
  }
}

void forgetMoves(const fs::path& study, const std::set<fs::path>& named) {
  eachNote(study, [&](const Move& move) { return named.count(move.to) > 0; });
}

void takeBackMoves(const fs::path& study, const std::set<fs::path>& named) {
  eachNote(study, [&](const Move& move) {
    std::error_code ec;
    if (named.count(move.to) > 0) return true;
    if (move.from.empty())
      removeWithCompanions(move.to);
    else if (!fs::exists(move.from, ec))
      moveWithCompanions(move.to, move.from, move.from.filename().string());
    return true;
  });
}

void moveWithCompanions(const fs::path& from, const fs::path& to, const std::string& name) {
  std::error_code ec;
  for (const char* companion : kCompanions) {
    if (fs::exists(from.string() + companion, ec))
      fs::rename(from.string() + companion, to.string() + companion, ec);
    if (ec)
      throw Error("The file of “{}” could not be moved ({}); check the study's folder.", name,
                  ec.message());
  }
}

void removeWithCompanions(const fs::path& file) {
  std::error_code ignored;
  for (const char* companion : kCompanions) fs::remove(file.string() + companion, ignored);
}

}  // namespace zp
