#include "study/run_over.h"

#include <fcntl.h>
#include <sys/file.h>
#include <sys/stat.h>
#include <unistd.h>

#include <algorithm>
#include <chrono>
#include <new>
#include <set>

#include "base/error.h"
#include "base/outputs.h"
#include "base/text.h"
#include "outline/layer.h"
#include "study/run_sheet.h"
#include "study/steps/step_kind.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

const char* const kNote = "row.json";
const char* const kNoteFormat = "zany-patch-row";

/// Where a row is made before it appears. Held, so that two runs do not make the same one.
class Workplace {
 public:
  Workplace(const fs::path& into, const std::string& name)
      : folder_(into / ("." + name + ".making")) {
    std::error_code ec;
    fs::create_directory(folder_, ec);
    held_ = ::open(folder_.c_str(), O_RDONLY | O_DIRECTORY | O_CLOEXEC);
    if (held_ < 0) throw Error("“{}” cannot be written to; choose another folder.", into.string());
    if (flock(held_, LOCK_EX | LOCK_NB) != 0) {
      ::close(held_);
      throw Error("Another run is making it now.");
    }
    fs::remove_all(study(), ec);  // of a run that was killed
  }
  ~Workplace() {
    std::error_code ec;
    fs::remove_all(folder_, ec);
    ::close(held_);
  }
  Workplace(const Workplace&) = delete;
  Workplace& operator=(const Workplace&) = delete;
  fs::path study() const { return folder_ / "study"; }

 private:
  fs::path folder_;
  int held_ = -1;
};

/// What tells whether a file is the one it was; null of one that is not there.
Json stateOf(const fs::path& file) {
  struct stat s {};
  if (::stat(file.c_str(), &s) != 0) return nullptr;
  return {{"size", s.st_size},
          {"changed", static_cast<int64_t>(s.st_mtim.tv_sec) * 1'000'000'000 + s.st_mtim.tv_nsec}};
}

/// All that a row is made from. Its own study's ids stand in no line of it.
Json askedOf(const RunOver& task, const Json& sheet, const std::map<std::string, Scene>& scenes) {
  std::set<fs::path> files;
  Json asked = {{"steps", sheet.at("steps")}, {"scenes", Json::object()}};
  for (const auto& [name, scene] : scenes) {
    asked["scenes"][name] = toJson(scene, "/");
    for (const auto& band : scene.bands) files.insert(band.file);
    for (const auto& other : {scene.mask, scene.quality.file})
      if (!other.empty()) files.insert(other);
  }
  for (const auto& step : sheet.at("steps"))
    for (const auto& f : stepKind(step.at("do")).fields)
      if (f.holds == Holds::File && step.contains(f.id)) files.insert(fileOfLayer(step[f.id]));
  if (task.start) {
    asked["legend"] = toJson(task.start->legend);
    asked["training"] = {{"crs", task.start->trainingCrs}, {"areas", toJson(task.start->training)}};
    if (const auto& grid = task.start->delivery)
      asked["delivery"] = {
          {"crs", grid->crs}, {"origin", {grid->origin.x, grid->origin.y}}, {"pixel", grid->pixel}};
    for (const auto& o : task.start->outlines) files.insert(fileOfLayer(o.layer));
  }
  asked["files"] = Json::object();
  for (const auto& file : files) asked["files"][file.string()] = stateOf(file);
  return asked;
}

/// The scenes of the row, and those of the study to start from that the sheet names besides.
std::map<std::string, Scene> allScenes(const RunOver& task, const Json& sheet,
                                       const SheetRow& row) {
  std::vector<std::string> known;
  if (task.start) {
    for (const auto& s : task.start->scenes) known.push_back(s.scene.name);
    for (const auto& o : task.start->outlines) known.push_back(o.name), known.push_back(o.id);
  }
  auto scenes = scenesOfRow(sheet, row, known, task.tableFolder);
  if (!task.start) return scenes;
  for (Json step : sheet.at("steps"))
    eachReference(stepKind(step.at("do")), step, [&](Json& id) {
      for (const auto& s : task.start->scenes)
        if (id.is_string() && s.product.empty() && (id == s.scene.name || id == s.id))
          scenes.emplace(id.get<std::string>(), s.scene);
    });
  return scenes;
}

/// A study with all that the sheet needs, and the sheet with its scenes by their ids.
Study begin(const RunOver& task, const SheetRow& row, const fs::path& folder,
            const std::map<std::string, Scene>& scenes, Json& sheet) {
  Study study = Study::create(folder, row.id);
  if (task.start) {
    study.legend = task.start->legend;
    study.setTraining(task.start->training, task.start->trainingCrs);
    study.trainingSets = task.start->trainingSets;
    study.delivery = task.start->delivery;
    for (auto outline : task.start->outlines) study.addOutline(std::move(outline));
  }
  std::map<std::string, std::string> ids;
  for (const auto& [name, scene] : scenes) ids[name] = study.addScene(scene);
  for (auto& step : sheet["steps"])
    eachReference(stepKind(step.at("do")), step, [&](Json& id) {
      if (const auto at = ids.find(id.is_string() ? id.get<std::string>() : ""); at != ids.end())
        id = at->second;
    });
  study.save();
  return study;
}

/// The steps, and what each made, by what the sheet calls it.
Json runSteps(Study& study, const Json& sheet, const Progress& progress) {
  Json outputs = Json::array();
  size_t at = 0;
  runSheet(study, sheet, progress, [&](const Product& p) {
    const Json& step = sheet["steps"][at++];
    const std::string name = step.value("as", p.name);
    if (!step.value("in_bin", false))
      outputs.push_back({{"name", name}, {"file", fs::relative(p.file, study.folder()).string()}});
  });
  study.save();
  return outputs;
}

/// The note of a study that a run made; null where there is none.
Json noteIn(const fs::path& folder) {
  std::error_code ec;
  if (!fs::exists(folder / kNote, ec)) return nullptr;
  try {
    return readJson(folder / kNote, kNoteFormat, 1);
  } catch (const Error&) {
    return Json::object();  // damaged: made by a run, to be made again
  }
}

void fillOutputs(RowResult& result, const Json& outputs) {
  for (const auto& o : outputs)
    result.outputs.emplace_back(o.at("name"), result.study / o.at("file").get<std::string>());
}

bool stillThere(const RowResult& result) {
  std::error_code ec;
  return fs::exists(result.study / "study.json", ec) &&
         std::all_of(result.outputs.begin(), result.outputs.end(),
                     [&](const auto& o) { return fs::exists(o.second, ec); });
}

bool workedIn(const fs::path& folder, const Json& note) {
  return stateOf(folder / "study.json") != note.value("study", Json());
}

/// What stands in the way of a fresh study goes, or is kept beside under another name: that then.
std::string makeWay(const fs::path& folder, const Json& note) {
  std::error_code ec;
  if (!fs::exists(folder, ec)) return "";
  if (note.is_null())
    throw Error("“{}” is there, and no run made it; move it away or choose another folder.",
                folder.string());
  if (!workedIn(folder, note)) {
    // Not half of it, should the run be killed.
    const fs::path gone = folder.parent_path() / ("." + folder.filename().string() + ".making/old");
    fs::rename(folder, gone);
    fs::remove_all(gone, ec);
    return "";
  }
  fs::path kept = folder;
  for (int i = 1; fs::exists(kept, ec); ++i)
    kept = folder.string() + "-kept" + (i > 1 ? "-" + std::to_string(i) : "");
  fs::rename(folder, kept);
  return kept.filename().string();
}

void make(const RunOver& task, const SheetRow& row, const Progress& progress, RowResult& result) {
  Json sheet = filledSheet(task.sheet, row, task.sheetFolder);
  const auto scenes = allScenes(task, sheet, row);
  const Json asked = askedOf(task, sheet, scenes), before = noteIn(result.study);
  if (before.is_object() && before.value("asked", Json()) == asked) {
    fillOutputs(result, before.at("outputs"));
    if (stillThere(result)) {
      result.state = RowState::Skipped;
      return;
    }
    result.outputs.clear();
  }
  const Workplace place(task.into, row.folder);
  std::optional<Study> held;  // nobody has the one before open
  std::error_code ec;
  if (!before.is_null() && fs::exists(result.study / "study.json", ec))
    held = Study::open(result.study);
  Json outputs;
  {
    Study study = begin(task, row, place.study(), scenes, sheet);
    outputs = runSteps(study, sheet, progress);
  }
  writeJson(place.study() / kNote, {{"format", kNoteFormat},
                                    {"version", 1},
                                    {"asked", asked},
                                    {"outputs", outputs},
                                    {"study", stateOf(place.study() / "study.json")}});
  const std::string kept = makeWay(result.study, before);
  fs::rename(place.study(), result.study);
  fillOutputs(result, outputs);
  result.state = RowState::Done;
  if (!kept.empty())
    result.problem = Sentence("What was changed in it by hand is kept as “{}”.", kept);
}

}  // namespace

std::string idOf(RowState state) {
  return state == RowState::Done ? "done" : state == RowState::Skipped ? "skipped" : "failed";
}

RowResult runRow(const RunOver& task, const SheetRow& row, const Progress& progress) {
  const auto begun = std::chrono::steady_clock::now();
  RowResult result;
  result.id = row.id;
  result.study = fs::absolute(task.into / row.folder).lexically_normal();
  try {
    make(task, row, progress, result);
  } catch (const Cancelled&) {
    throw;
  } catch (const Error& e) {
    result.problem = e.sentence();
  } catch (const std::bad_alloc&) {
    result.problem =
        Sentence("There is not enough memory; give it fewer threads or a smaller scene.");
  } catch (const std::exception& e) {
    result.problem = Sentence("This could not be done ({}).", std::string(e.what()));
  }
  result.seconds = std::chrono::duration<double>(std::chrono::steady_clock::now() - begun).count();
  return result;
}

Table tableOf(const std::vector<RowResult>& results) {
  Table table{{"id", "state", "seconds", "problem", "study"}, {}};
  std::map<std::string, size_t> columns;
  for (const auto& r : results)
    for (const auto& [name, file] : r.outputs)
      if (columns.emplace(name, table.columns.size()).second) table.columns.push_back(name);
  for (const auto& r : results) {
    std::vector<std::string> cells(table.columns.size());
    cells[0] = r.id;
    cells[1] = idOf(r.state);
    cells[2] = shortest(std::round(r.seconds * 1000) / 1000);
    cells[3] = r.problem.text();
    cells[4] = r.study.string();
    for (const auto& [name, file] : r.outputs) cells[columns[name]] = file.string();
    table.rows.push_back(std::move(cells));
  }
  return table;
}

}  // namespace zp
