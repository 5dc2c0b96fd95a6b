#include "study/study.h"

#include <fcntl.h>
#include <fmt/chrono.h>
#include <fmt/format.h>
#include <sys/file.h>
#include <unistd.h>

#include <algorithm>
#include <chrono>
#include <set>

#include "base/error.h"
#include "base/outputs.h"
#include "base/text.h"
#include "grid/crs.h"
#include "study/unsaved_moves.h"

namespace fs = std::filesystem;

namespace zp {
std::string now() {
  return fmt::format(
      "{:%Y-%m-%dT%H:%M:%SZ}",
      fmt::gmtime(std::chrono::system_clock::to_time_t(std::chrono::system_clock::now())));
}

std::string fileStem(const std::string& name) {
  const std::string stem = plainName(name);
  return stem.empty() ? "product" : stem.substr(0, 60);
}

/// Held while a study is open, by every copy of it.
struct Study::Lock {
  explicit Lock(const fs::path& file)
      : fd(::open(file.c_str(), O_CREAT | O_RDWR | O_CLOEXEC, 0644)) {
    if (fd >= 0 && flock(fd, LOCK_EX | LOCK_NB) != 0) {
      close(fd);
      throw Error("The study “{}” is open already; close it there first.",
                  file.parent_path().filename().string());
    }
  }
  ~Lock() {
    if (fd >= 0) close(fd);
  }
  Lock(const Lock&) = delete;
  Lock& operator=(const Lock&) = delete;
  int fd;
};

namespace {
std::string textOf(const Json& study) {
  return study.dump(1, ' ', false, Json::error_handler_t::replace) + "\n";
}

/// All but the lock and what running jobs write; one may write to the copies.
void copyInto(const fs::path& from, const fs::path& to) {
  for (const auto& entry : fs::directory_iterator(from)) {
    const std::string name = entry.path().filename().string();
    if (name == "study.lock" || name.rfind(".zpatch-", 0) == 0) continue;
    if (entry.is_directory()) {
      fs::create_directory(to / name);
      copyInto(entry.path(), to / name);
    } else {
      fs::copy_file(entry.path(), to / name);
      fs::permissions(to / name, fs::perms::owner_write, fs::perm_options::add);
    }
  }
}

fs::path placeInBin(const fs::path& folder, const Product& p) {
  return folder / "bin" / fmt::format("{}-{}", p.id, p.file.filename().string());
}

/// Where the files of products lie when the study is as it says.
std::set<fs::path> filesNamed(const fs::path& folder, const std::vector<Product>& products,
                              const std::vector<Product>& bin) {
  std::set<fs::path> all;
  for (const auto& p : products) all.insert(p.file);
  for (const auto& p : bin) all.insert(placeInBin(folder, p));
  return all;
}

/// What was moved without study.json knowing of it goes back to where it looks.
void takeBackFor(const Json& study, const fs::path& folder) {
  std::vector<Product> products, bin;
  try {
    for (const auto& p : study.at("products")) products.push_back(productFrom(p, folder));
    for (const auto& p : study.value("bin", Json::array())) bin.push_back(productFrom(p, folder));
  } catch (const std::exception&) {
    return;  // who reads it tells of it
  }
  takeBackMoves(folder, filesNamed(folder, products, bin));
}

/// What runs that were killed in this study had decided to do is done.
void finishInterrupted(const fs::path& folder) {
  sweep(folder);
  std::error_code ec;
  for (const auto& entry : fs::directory_iterator(folder, ec))
    if (entry.is_directory(ec)) sweep(entry.path());
}

/// The study as it stands; null where it is missing or no whole JSON of ours, and a version from
/// before lies beside it. What is whole but cannot be used here (a newer version, a folder that may
/// not be read) is an Error: an older version would pass for it.
Json readWhole(const fs::path& file) {
  std::error_code ec;
  const bool hasLast = fs::exists(fs::path(file.string() + ".last"), ec);
  if (hasLast && !fs::exists(file, ec)) return nullptr;
  if (hasLast && access(file.c_str(), R_OK) == 0) {
    try {
      const Json json = readJson(file);
      if (!json.is_object() || !json.contains("format") || json["format"] != kStudyFormat ||
          !json.contains("version") || !json["version"].is_number_integer())
        return nullptr;
    } catch (const Error&) {
      return nullptr;
    }
  }
  return readJson(file, kStudyFormat, kStudyVersion);
}
}  // namespace

Study Study::create(const fs::path& folder, const std::string& name) {
  std::error_code ec;
  if (fs::exists(folder, ec) && !fs::is_empty(folder, ec))
    throw Error("“{}” is not empty; choose a new folder for the study.", folder.string());
  fs::create_directories(folder, ec);
  if (ec)
    throw Error("The folder “{}” cannot be made ({}); choose another.", folder.string(),
                ec.message());
  Study study;
  study.folder_ = fs::absolute(folder).lexically_normal();
  study.name = name;
  study.lock_ = std::make_shared<Lock>(study.folder_ / "study.lock");
  study.save();
  return study;
}

Study Study::at(const fs::path& path) {
  Study study;
  study.folder_ =
      fs::absolute(path.filename() == "study.json" ? path.parent_path() : path).lexically_normal();
  std::error_code ec;
  if (!fs::exists(study.folder_ / "study.json", ec) &&
      !fs::exists(study.folder_ / "study.json.last", ec))
    throw Error("“{}” is not a study; choose a folder that holds a study.json.", path.string());
  return study;
}

Study Study::read(const fs::path& path) {
  Study study = at(path);
  study.readFrom(readJson(study.folder_ / "study.json", kStudyFormat, kStudyVersion));
  return study;
}

Study Study::open(const fs::path& path) {
  Study study = at(path);
  const fs::path folder = study.folder_;
  std::error_code ec;
  study.lock_ = std::make_shared<Lock>(folder / "study.lock");
  finishInterrupted(folder);
  const Json json = readWhole(folder / "study.json");
  if (!json.is_null()) {
    takeBackFor(json, folder);
    study.readFrom(json);
    return study;
  }
  study.readFrom(readJson(folder / "study.json.last", kStudyFormat, kStudyVersion));
  fs::rename(folder / "study.json", folder / "study.json.damaged", ec);
  const Sentence damaged("study.json was damaged; the last good version was opened instead.");
  study.notice = study.notice.empty() ? damaged : Sentence("{} {}", damaged, study.notice);
  return study;
}

void Study::save() const {
  const fs::path file = folder_ / "study.json", last = folder_ / "study.json.last";
  std::error_code ignored;
  if (fs::exists(file, ignored)) {
    const fs::path fresh = folder_ / ".study.json.last";
    fs::remove(fresh, ignored);
    fs::create_hard_link(file, fresh, ignored);
    if (ignored) fs::copy_file(file, fresh, ignored);
    fs::rename(fresh, last, ignored);
  }
  writeFileAtomically(file, textOf(toJson()));
  forgetMoves(folder_, filesNamed(folder_, products, bin));
}

void Study::saveCopy(const fs::path& target) const {
  std::error_code ec;
  if (fs::exists(target, ec))
    throw Error("“{}” exists already; choose a new name for the copy.", target.string());
  if (!fs::absolute(target).lexically_normal().lexically_relative(folder_).string().starts_with(
          ".."))
    throw Error("A copy cannot lie within the study itself; choose another place.");
  const fs::path part = target.string() + ".part";
  try {
    fs::create_directories(part);
    copyInto(folder_, part);
    fs::remove(part / "study.json.last");
    writeFileAtomically(part / "study.json",
                        textOf(toJson()));  // which may be newer than what could be saved
    fs::rename(part, target);
  } catch (const Error&) {
    fs::remove_all(part, ec);
    throw;
  } catch (const fs::filesystem_error& e) {
    fs::remove_all(part, ec);
    throw Error("The copy could not be written ({}); choose another place.", e.code().message());
  }
}

StudyScene* Study::scene(const std::string& id) {
  for (auto& s : scenes)
    if (s.id == id) return &s;
  return nullptr;
}
const StudyScene* Study::scene(const std::string& id) const {
  return const_cast<Study*>(this)->scene(id);
}
Product* Study::product(const std::string& id) {
  for (auto& p : products)
    if (p.id == id) return &p;
  return nullptr;
}
const Product* Study::product(const std::string& id) const {
  return const_cast<Study*>(this)->product(id);
}

const Product* Study::newest(ProductKind kind) const {
  for (auto p = products.rbegin(); p != products.rend(); ++p)
    if (p->kind == kind) return &*p;
  return nullptr;
}

std::string Study::takeId(const std::string& prefix) {
  int highest = 0;
  const auto look = [&](const std::string& id) {
    if (id.rfind(prefix, 0) == 0)
      highest = std::max<int>(highest,
                              static_cast<int>(parseInteger(id.substr(prefix.size())).value_or(0)));
  };
  for (const auto& s : scenes) look(s.id);
  for (const auto& p : products) look(p.id);
  for (const auto& p : bin) look(p.id);
  for (const auto& o : outlines) look(o.id);
  // What is not there any more, or was made from what is not, still counts.
  for (const auto* all : {&products, &bin})
    for (const auto& p : *all) {
      for (const auto& i : p.inputs) look(i.id);
      if (p.step.contains("inside") && p.step["inside"].is_string()) look(p.step["inside"]);
    }
  highest = std::max(highest, place.value("highest-" + prefix, 0)) + 1;
  place["highest-" + prefix] = highest;
  return fmt::format("{}{}", prefix, highest);
}

std::string Study::addScene(Scene s) {
  requireNames(s, folder_);
  const std::string id = takeId("s");
  scenes.push_back({id, std::move(s), 1, ""});
  return id;
}

std::string Study::addProduct(Product p) {
  if (p.id.empty()) p.id = takeId("p");
  products.push_back(std::move(p));
  if (products.back().kind == ProductKind::Scene) bringInMade(products.back(), takeId("s"), 1);
  return products.back().id;
}

void Study::bringInMade(const Product& p, const std::string& id, int revision) {
  Scene scene = openScene(p.file);
  scene.name = p.name;
  if (scene.date.empty()) scene.date = p.date;
  scenes.push_back({id, std::move(scene), revision, p.id});
}

namespace {
/// A scene whose file was made again: what the file says is new, what a person said of it stays.
void takeFrom(const Scene& fresh, Scene& scene) {
  for (size_t b = 0; b < std::min(fresh.bands.size(), scene.bands.size()); ++b) {
    const SceneBand old = scene.bands[b];
    scene.bands[b] = fresh.bands[b];
    if (!old.role.empty()) scene.bands[b].role = old.role;
    if (old.wavelength > 0) scene.bands[b].wavelength = old.wavelength;
  }
  if (fresh.bands.size() < scene.bands.size()) scene.bands.resize(fresh.bands.size());
  for (size_t b = scene.bands.size(); b < fresh.bands.size(); ++b)
    scene.bands.push_back(fresh.bands[b]);
  scene.gridBand = fresh.gridBand;
  scene.grid = fresh.grid.moved(scene.shift);
}
}  // namespace

void Study::replaceProduct(const Product& p) {
  if (Product* at = product(p.id)) *at = p;
  for (auto& s : scenes) {
    if (s.product != p.id) continue;
    takeFrom(openScene(p.file), s.scene);
    ++s.revision;
  }
}

void Study::sayOfMade(const Product& p, Json as) {
  try {
    for (auto& s : scenes) {
      if (s.product != p.id) continue;
      for (auto& b : as.at("bands")) b["file"] = relative(p.file.string());
      s.scene = sceneFrom(as, folder_);
    }
  } catch (const Json::exception&) {
    throw Error("What was said of the scene “{}” is not complete; it stands as its file is.",
                p.name);
  }
}

std::string Study::addOutline(StudyOutline o) {
  if (o.id.empty()) o.id = takeId("o");
  outlines.push_back(std::move(o));
  return outlines.back().id;
}

void Study::setTraining(std::vector<TrainingArea> areas, const std::string& crs) {
  training = std::move(areas);
  trainingCrs = crs;
  legend = legendOf(training, legend);
  ++trainingRevision;
}

int64_t numberOfId(const std::string& id) {
  return parseInteger(id.substr(std::min<size_t>(1, id.size()))).value_or(0);
}

fs::path Study::fileInBin(const Product& p) const {
  return placeInBin(folder_, p);
}

void Study::toBin(const std::string& id) {
  const auto at = std::find_if(products.begin(), products.end(),
                               [&](const Product& one) { return one.id == id; });
  if (at == products.end()) return;
  std::error_code ec;
  fs::create_directories(folder_ / "bin", ec);
  noteMove(folder_, at->file, fileInBin(*at));
  moveWithCompanions(at->file, fileInBin(*at), at->name);
  const auto made = std::find_if(scenes.begin(), scenes.end(),
                                 [&](const StudyScene& s) { return s.product == id; });
  if (made != scenes.end()) {
    at->facts["scene_id"] = made->id;
    at->facts["scene_revision"] = made->revision;
    at->facts["scene_as"] = zp::toJson(made->scene, folder_);
    scenes.erase(made);
  }
  bin.push_back(*at);
  products.erase(at);
}

void Study::fromBin(const std::string& id) {
  const auto at =
      std::find_if(bin.begin(), bin.end(), [&](const Product& one) { return one.id == id; });
  if (at == bin.end()) return;
  Product p = *at;
  // Its old name may have been taken since.
  if (fs::exists(p.file)) p.file = freshFile(p.name, p.file.extension().string());
  noteMove(folder_, fileInBin(*at), p.file);
  moveWithCompanions(fileInBin(*at), p.file, p.name);
  bin.erase(at);
  const auto later = std::find_if(products.begin(), products.end(), [&](const Product& one) {
    return numberOfId(one.id) > numberOfId(p.id);
  });
  const auto back = products.insert(later, std::move(p));
  if (back->kind == ProductKind::Scene) {
    Json& facts = back->facts;
    bringInMade(*back,
                facts.contains("scene_id") ? facts["scene_id"].get<std::string>() : takeId("s"),
                facts.value("scene_revision", 1));
    if (facts.contains("scene_as")) sayOfMade(*back, facts["scene_as"]);
    for (const char* key : {"scene_id", "scene_revision", "scene_as"}) facts.erase(key);
  }
}

void Study::emptyBin() {
  for (const auto& p : bin) removeWithCompanions(fileInBin(p));
  bin.clear();
}

int Study::revisionOf(const std::string& id) const {
  if (id == kTrainingInput) return trainingRevision;
  if (id == kDeliveryInput) return delivery ? delivery->revision : 0;
  if (const auto* s = scene(id)) return s->revision;
  if (const auto* p = product(id)) return p->revision;
  return std::any_of(outlines.begin(), outlines.end(),
                     [&](const StudyOutline& o) { return o.id == id; })
             ? 1
             : 0;
}

const Product* Study::maker(const std::string& id) const {
  const StudyScene* made = scene(id);
  return product(made != nullptr ? made->product : id);
}

bool Study::outOfDate(const Product& p) const {
  return std::any_of(p.inputs.begin(), p.inputs.end(), [&](const Input& i) {
    if (revisionOf(i.id) != i.revision) return !staysWithout(p, i);
    const Product* upstream = maker(i.id);
    return upstream != nullptr && followsStateOf(p, *upstream) && outOfDate(*upstream);
  });
}

bool Study::staysWithout(const Product& p, const Input& input) const {
  return p.step.value("do", "") == "name-clusters" &&
         std::any_of(bin.begin(), bin.end(), [&](const Product& gone) {
           return gone.id == input.id && gone.revision == input.revision;
         });
}

bool Study::followsStateOf(const Product& p, const Product& upstream) {
  return p.kind != ProductKind::Labels || upstream.kind != ProductKind::Points;
}

std::string Study::relative(const std::string& file) const {
  return pathBelow(folder_, file);
}

std::string Study::absolute(const std::string& file) const {
  return pathFrom(folder_, file);
}

fs::path Study::freshFile(const std::string& wanted, const std::string& ending) const {
  const fs::path sub = folder_ / "products";
  std::error_code ec;
  fs::create_directories(sub, ec);
  if (ec) throw Error("The study's folder cannot be written to ({}).", ec.message());
  const std::string stem = fileStem(wanted);
  fs::path file = sub / (stem + ending);
  for (int n = 2; fs::exists(file, ec); ++n) file = sub / fmt::format("{}-{}{}", stem, n, ending);
  return file;
}

const StudyScene& needScene(const Study& study, const std::string& id) {
  const auto* s = study.scene(id);
  if (s == nullptr) throw Error("The scene of this step is gone; choose another.");
  return *s;
}

const Product& needProduct(const Study& study, const std::string& id) {
  const auto* p = study.product(id);
  if (p == nullptr) throw Error("A product this step needs is gone; make it again first.");
  return *p;
}

std::vector<TrainingArea> trainingIn(const Study& study, const std::string& crs) {
  if (study.training.empty())
    throw Error("There are no training areas yet; draw or import some under Training.");
  std::vector<TrainingArea> areas = study.training;
  const CrsChange change(study.trainingCrs, crs);
  if (change.identity()) return areas;
  for (auto& a : areas) a.shape.bring(change);
  return areas;
}

}  // namespace zp
