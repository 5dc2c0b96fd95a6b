#include "desks/scenes/incoming.h"

#include <QDate>

#include "base/error.h"
#include "base/text.h"
#include "legend/cover_colour.h"
#include "look/look.h"
#include "radar/decibels.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

bool isVector(const fs::path& file) {
  const std::string ending = lowered(file.extension().string());
  return ending == ".gpkg" || ending == ".geojson" || ending == ".shp" || ending == ".kml";
}

void open(Incoming& one) {
  one.trouble.clear();
  one.asksForPower = false;
  try {
    Scene opened = openDraft(one.draft);
    requireNames(opened);
    one.scene = std::move(opened);
    one.draft.sensor = one.scene.sensor;
    if (one.scene.isRadar() && one.scene.state == ValueState::Unknown) {
      one.scene.state = recogniseBackscatter(one.scene);
      one.asksForPower = one.scene.state == ValueState::Unknown;
    }
  } catch (const std::exception& e) {
    one.trouble = sentenceOf(e).toStdString();
  }
}

/// One band of whole numbers with names or colours is a class map; one with a unit is a quantity.
Incoming::As guessKind(const Incoming& one) {
  if (!one.trouble.empty() || one.scene.bands.size() != 1) return Incoming::As::Scene;
  const RasterFile file(one.scene.bands[0].file);
  const BandFacts& facts = file.facts(one.scene.bands[0].number);
  if (!facts.categories.empty() || !facts.colours.empty()) return Incoming::As::ClassMap;
  return facts.unit.empty() ? Incoming::As::Scene : Incoming::As::Quantity;
}

void addLayers(const fs::path& file, std::vector<Incoming>& all) {
  for (const auto& [name, n] : layersOf(file)) {
    Incoming one;
    one.as = Incoming::As::Outline;
    one.draft.name = name;
    one.draft.files = {file};
    one.layer = file.string() + ":" + name;
    for (const auto& c : readTable(one.layer).columns) one.fields << q(c);
    all.push_back(std::move(one));
  }
}

/// The first of some names that a column has, in whatever letters; "" for none.
QString columnCalled(const Table& table, const QStringList& names) {
  for (const auto& name : names)
    for (const auto& c : table.columns)
      if (q(c).compare(name, Qt::CaseInsensitive) == 0) return q(c);
  return {};
}

/// With columns of coordinates it is points.
void addTable(const fs::path& file, std::vector<Incoming>& all) {
  Incoming one;
  one.as = Incoming::As::Table;
  one.draft.name = file.stem().string();
  one.draft.files = {file};
  one.csv = CsvDialect();
  try {
    one.csv = dialectOf(file);
  } catch (const std::exception&) {
  }  // reading the first rows says why
  readFirst(one);
  one.x = columnCalled(one.first, {"x", "easting", "east", "longitude", "lon", "lng"});
  one.y = columnCalled(one.first, {"y", "northing", "north", "latitude", "lat"});
  if (!one.x.isEmpty() && !one.y.isEmpty()) one.as = Incoming::As::Points;
  if (one.x.startsWith("lo", Qt::CaseInsensitive) || one.x.startsWith("ln", Qt::CaseInsensitive))
    one.system = "EPSG:4326";
  one.take = one.trouble.empty();
  all.push_back(std::move(one));
}

/// The colour a raster gives a class, or one that fits its name beside those of the legend.
Colour colourOf(const BandFacts& facts, const std::string& theirs, const std::string& name,
                const Legend& legend) {
  const auto code = parseInteger(theirs);
  const auto at = facts.colours.find(static_cast<int>(code.value_or(-1)));
  if (at != facts.colours.end())
    return {static_cast<uint8_t>(at->second[0]), static_cast<uint8_t>(at->second[1]),
            static_cast<uint8_t>(at->second[2])};
  return colourFor(name, legend.classes, legend.classes.size());
}

bool isDate(const QString& text) {
  return text.isEmpty() || QDate::fromString(text, Qt::ISODate).isValid();
}

}  // namespace

std::vector<Incoming> lookAtFiles(const QStringList& paths) {
  std::vector<Incoming> all;
  std::vector<fs::path> rasters;
  for (const auto& p : paths) {
    const fs::path file = p.toStdString();
    if (isVector(file))
      addLayers(file, all);
    else if (lowered(file.extension().string()) == ".csv")
      addTable(file, all);
    else
      rasters.push_back(file);
  }
  if (rasters.empty()) return all;
  for (auto& draft : groupFiles(rasters)) {
    Incoming one;
    one.draft = std::move(draft);
    open(one);
    one.as = guessKind(one);
    if (one.as == Incoming::As::Quantity)
      one.unit = q(RasterFile(one.scene.bands[0].file).facts(1).unit);
    if (one.trouble.empty()) one.draft.name = one.scene.name, one.draft.date = one.scene.date;
    one.take = one.trouble.empty();
    all.push_back(std::move(one));
  }
  // Several files that cannot be one scene may still be taken apart.
  if (std::none_of(all.begin(), all.end(),
                   [](const Incoming& one) { return one.take || one.draft.files.size() > 1; }))
    throw Error(all[0].trouble);
  return all;
}

bool isPlain(const std::vector<Incoming>& all) {
  if (all.size() != 1 || all[0].as != Incoming::As::Scene || !all[0].trouble.empty()) return false;
  const auto& one = all[0];
  const bool item = lowered(one.draft.files[0].extension().string()) == ".json";
  return item || (one.draft.files.size() == 1 && !one.asksForPower &&
                  one.scene.roles().size() == one.scene.bands.size());
}

std::string filesOf(const std::vector<Incoming>& all) {
  std::string as;
  for (const auto& one : all)
    for (const auto& file : one.draft.files) {
      std::error_code none;
      as += fmt::format("{}|{}|{}\n", file.string(), fs::file_size(file, none),
                        fs::last_write_time(file, none).time_since_epoch().count());
    }
  return as;
}

void reopen(Incoming& one) {
  const SceneDraft kept = one.draft;
  open(one);
  one.draft = kept;
  if (!one.trouble.empty()) return;
  one.scene.name = kept.name;
  one.scene.date = kept.date;
}

Incoming joined(const Incoming& first, const Incoming& second) {
  Incoming both = first;
  both.draft.files.insert(both.draft.files.end(), second.draft.files.begin(),
                          second.draft.files.end());
  if (both.draft.quality.empty()) both.draft.quality = second.draft.quality;
  reopen(both);
  return both;
}

std::vector<Incoming> apart(const Incoming& incoming) {
  std::vector<Incoming> parts;
  for (const auto& file : incoming.draft.files) {
    Incoming part;
    part.draft = {file.stem().string(), incoming.draft.date, {file}, {}, {}};
    reopen(part);
    parts.push_back(std::move(part));
  }
  return parts;
}

std::vector<std::pair<std::string, std::string>> classesOf(const Incoming& one,
                                                           const Progress& progress) {
  if (one.layer.empty()) return classesIn(one.scene.bands[0].file, progress);
  return classesIn(readLayer(one.layer), one.field.toStdString());
}

void takeClasses(Incoming& one, const std::vector<std::pair<std::string, std::string>>& theirs,
                 const Legend& legend) {
  constexpr size_t kMost = 1024;
  one.theirs.clear();
  one.ours.clear();
  if (theirs.empty()) one.unfit = txt("It holds no classes.");
  if (theirs.size() > kMost)
    one.unfit = txt("It holds %1 different values, more than the %2 classes that a map can have; "
                    "bring it in as something else.")
                    .arg(theirs.size())
                    .arg(kMost);
  if (!one.unfit.isEmpty()) return;
  one.theirs = theirs;
  const CodeMatch match = suggestMatch(theirs, legend);
  for (const auto& [code, name] : theirs)
    one.ours[code] = match.count(code) > 0 ? match.at(code) : kNewClass;
}

int becomes(const Incoming& one, const std::string& theirs, const Legend& legend) {
  const auto said = one.ours.find(theirs);
  if (said == one.ours.end()) return kNewClass;
  return said->second == kLeaveOut || legend.find(said->second) != nullptr ? said->second
                                                                           : kNewClass;
}

QString whatItIs(const Incoming& one) {
  switch (one.as) {
    case Incoming::As::ClassMap:
      return txt("class map");
    case Incoming::As::Quantity:
      return txt("quantity");
    case Incoming::As::Outline:
      return txt("outline");
    case Incoming::As::Table:
      return txt("table");
    case Incoming::As::Points:
      return txt("points");
    default:
      if (one.scene.bands.empty())
        return one.draft.files.size() > 1 ? txt("cannot be one scene") : txt("cannot be read");
      return txt("%n bands", "%n band", static_cast<qint64>(one.scene.bands.size()));
  }
}

QString missingOf(const Incoming& one) {
  const QString name = q(one.draft.name);
  if (name.trimmed().isEmpty()) return txt("One of them has no name; write one.");
  if (!one.trouble.empty()) return q(one.trouble);
  if (one.as == Incoming::As::Scene && one.asksForPower)
    return txt("Say whether the values of “%1” are power or decibels first.").arg(name);
  if (!isDate(q(one.draft.date)) || !isDate(one.from) || !isDate(one.to))
    return txt("A date is not one; write year-month-day, such as 2031-07-18, or leave it empty.");
  if (one.as == Incoming::As::Points && (one.x.isEmpty() || one.y.isEmpty() || one.x == one.y))
    return txt("Say in which two columns of “%1” the coordinates are.").arg(name);
  if (one.as == Incoming::As::Points && one.system.isEmpty())
    return txt("Say in which reference system the coordinates of “%1” are.").arg(name);
  if (one.as == Incoming::As::ClassMap && !one.unfit.isEmpty()) return one.unfit;
  if (one.as == Incoming::As::ClassMap && one.theirs.empty())
    return txt("The classes of “%1” are being read; look at what they become first.").arg(name);
  return {};
}

CodeMatch matchOf(const Incoming& one, Legend& legend) {
  const Legend before = legend;  // a class that is added here is not one of those said
  const BandFacts facts =
      one.layer.empty() ? RasterFile(one.scene.bands[0].file).facts(1) : BandFacts();
  CodeMatch match;
  for (const auto& [code, name] : one.theirs) {
    int ours = becomes(one, code, before);
    if (ours == kLeaveOut) continue;
    if (ours == kNewClass) {
      const int theirs = static_cast<int>(parseInteger(code).value_or(0));
      LegendClass added;
      added.code = theirs >= 1 && theirs <= 65535 && legend.find(theirs) == nullptr
                       ? theirs
                       : legend.firstFreeCode();
      added.name = name.empty() ? txt("class %1").arg(q(code)).toStdString() : name;
      added.colour = colourOf(facts, code, name, legend);
      ours = added.code;
      legend.add(added);
    }
    match[code] = ours;
  }
  return match;
}

Json classesStep(const Incoming& one, const std::string& scene, Legend& legend) {
  Json step = {{"do", "import-classes"},
               {"name", one.draft.name},
               {"file", one.layer.empty() ? one.scene.bands[0].file.string() : one.layer},
               {"date", one.draft.date},
               {"match", matchOf(one, legend)}};
  if (!one.layer.empty()) {
    step["field"] = one.field.toStdString();
    step["scene"] = scene;
  }
  return step;
}

void readFirst(Incoming& one) {
  constexpr size_t kShown = 6;
  one.trouble.clear();
  try {
    one.first = readCsv(one.draft.files[0], *one.csv, kShown, kShown);
  } catch (const std::exception& e) {
    one.first = {};
    one.trouble = sentenceOf(e).toStdString();
  }
}

Json tableStep(const Incoming& one) {
  Json step{{"do", "import-table"},
            {"name", one.draft.name},
            {"file", one.draft.files[0].string()},
            {"separator", one.csv->separator == '\t'  ? "tab"
                          : one.csv->separator == ';' ? "semicolon"
                                                      : "comma"},
            {"decimal", one.csv->decimal == ',' ? "comma" : "point"}};
  if (one.as != Incoming::As::Points) return step;
  step["x"] = one.x.toStdString();
  step["y"] = one.y.toStdString();
  step["system"] = one.system.toStdString();
  return step;
}

Json quantityStep(const Incoming& one) {
  return {{"do", "import-quantity"},
          {"name", one.draft.name},
          {"file", one.scene.bands[0].file.string()},
          {"unit", one.unit.toStdString()},
          {"from", one.from.toStdString()},
          {"to", one.to.toStdString()}};
}

}  // namespace zp
