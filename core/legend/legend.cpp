#include "legend/legend.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "base/error.h"
#include "base/text.h"
#include "legend/cover_colour.h"

namespace zp {

Colour colourFrom(const std::string& text) {
  const bool shape = text.size() == 7 && text[0] == '#' &&
                     text.find_first_not_of("0123456789abcdefABCDEF", 1) == std::string::npos;
  if (!shape) throw Error("“{}” is not a colour; write it as #rrggbb.", text);
  const auto part = [&](size_t at) {
    return static_cast<uint8_t>(std::stoi(text.substr(at, 2), nullptr, 16));
  };
  return {part(1), part(3), part(5)};
}

std::string colourText(Colour c) {
  return fmt::format("#{:02x}{:02x}{:02x}", c.r, c.g, c.b);
}

Colour suggestedColour(size_t n) {
  static constexpr Colour kSet[] = {{0, 114, 178},  {230, 159, 0}, {0, 158, 115},  {204, 121, 167},
                                    {86, 180, 233}, {213, 94, 0},  {240, 228, 66}, {140, 140, 140}};
  const Colour base = kSet[n % 8];
  const int turn = static_cast<int>(n / 8) % 3;
  const auto shade = [&](int v) {
    if (turn == 1) v = v * 6 / 10;
    if (turn == 2) v = 255 - (255 - v) * 5 / 10;
    return static_cast<uint8_t>(v);
  };
  return {shade(base.r), shade(base.g), shade(base.b)};
}

const LegendClass* Legend::find(int code) const {
  for (const auto& c : classes)
    if (c.code == code) return &c;
  return nullptr;
}

LegendClass* Legend::find(int code) {
  return const_cast<LegendClass*>(static_cast<const Legend*>(this)->find(code));
}

namespace {

void requireFree(const Legend& legend, int code) {
  if (code < 1 || code > 65535)
    throw Error("{} is not a class code; codes are whole numbers from 1 to 65535.", code);
  if (legend.find(code) != nullptr)
    throw Error("The legend has a class {} already; choose another code.", code);
}

}  // namespace

LegendClass& Legend::add(LegendClass c) {
  requireFree(*this, c.code);
  const auto at = std::find_if(classes.begin(), classes.end(),
                               [&](const LegendClass& o) { return o.code > c.code; });
  return *classes.insert(at, std::move(c));
}

void Legend::addMissing(int code, const std::string& className) {
  if (auto* known = find(code)) {
    if (known->name.empty()) known->name = className;
    return;
  }
  LegendClass c;
  c.code = code;
  c.name = className.empty() ? fmt::format("class {}", code) : className;
  c.colour = colourFor(className, classes, static_cast<size_t>(code - 1));
  add(std::move(c));
}

void Legend::addMissing(const Legend& other) {
  for (const auto& c : other.classes)
    if (find(c.code) == nullptr) add(c);
}

int Legend::highestCode() const {
  int highest = 0;
  for (const auto& c : classes) highest = std::max(highest, c.code);
  return highest;
}

void Legend::change(int code, LegendClass as) {
  if (as.code != code) requireFree(*this, as.code);
  const auto byCode = [](const LegendClass& a, const LegendClass& b) { return a.code < b.code; };
  const bool rising = std::is_sorted(classes.begin(), classes.end(), byCode);
  if (auto* at = find(code)) *at = std::move(as);
  if (rising) std::sort(classes.begin(), classes.end(), byCode);
}

bool Legend::move(int code, int places) {
  const auto at = std::find_if(classes.begin(), classes.end(),
                               [&](const LegendClass& c) { return c.code == code; });
  if (at == classes.end()) return false;
  const auto now = at - classes.begin();
  const auto to = std::clamp<std::ptrdiff_t>(now + places, 0, std::ssize(classes) - 1);
  if (to > now) std::rotate(at, at + 1, classes.begin() + to + 1);
  if (to < now) std::rotate(classes.begin() + to, at, at + 1);
  return to != now;
}

bool Legend::sameClasses(const Legend& other) const {
  return classes.size() == other.classes.size() &&
         std::all_of(classes.begin(), classes.end(), [&](const LegendClass& c) {
           const auto* there = other.find(c.code);
           return there != nullptr && *there == c;
         });
}

int Legend::firstFreeCode() const {
  int code = 1;
  while (find(code) != nullptr) ++code;
  return code;
}

Json toJson(const Legend& legend) {
  Json classes = Json::array();
  for (const auto& c : legend.classes) {
    Json one = {{"code", c.code}, {"name", c.name}, {"colour", colourText(c.colour)}};
    if (!c.description.empty()) one["description"] = c.description;
    for (const auto& s : c.subclasses) one["subclasses"].push_back({{"name", s.name}});
    classes.push_back(std::move(one));
  }
  Json json = {{"format", "zany-patch-legend"}, {"version", 1}, {"classes", std::move(classes)}};
  if (!legend.name.empty()) json["name"] = legend.name;
  if (!legend.description.empty()) json["description"] = legend.description;
  return json;
}

Legend legendFrom(const Json& json) {
  Legend legend;
  if (!json.contains("classes") || !json["classes"].is_array())
    throw Error("The legend has no list “classes”; see docs/formats/legend.json.");
  for (const auto& [field, said] :
       {std::pair{"name", &legend.name}, {"description", &legend.description}})
    if (json.contains(field)) {
      if (!json[field].is_string()) throw Error("The {} of the legend is no text.", field);
      *said = json[field];
    }
  for (size_t i = 0; i < json["classes"].size(); ++i) {
    const Json& one = json["classes"][i];
    try {
      LegendClass c;
      if (!one.at("code").is_number_integer())
        throw Error("{} is not a class code; codes are whole numbers from 1 to 65535.",
                    one["code"].dump());
      const auto code = one["code"].get<long long>();
      if (code < 1 || code > 65535)
        throw Error("{} is not a class code; codes are whole numbers from 1 to 65535.", code);
      c.code = static_cast<int>(code);
      c.name = one.at("name").get<std::string>();
      if (trimmed(c.name).empty())
        throw Error("Class {} of the legend has no name; give it one.", code);
      c.colour = one.contains("colour") ? colourFrom(one["colour"].get<std::string>())
                                        : suggestedColour(i);
      c.description = one.value("description", "");
      if (one.contains("subclasses"))
        for (const auto& s : one["subclasses"])
          c.subclasses.push_back({s.at("name").get<std::string>()});
      requireFree(legend, c.code);
      legend.classes.push_back(std::move(c));
    } catch (const Json::exception&) {
      throw Error("Class {} of the legend needs a whole-number “code” and a “name”.", i + 1);
    }
  }
  return legend;
}

Legend readLegend(const std::filesystem::path& file) {
  return legendFrom(readJson(file, "zany-patch-legend"));
}

void writeLegend(const std::filesystem::path& file, const Legend& legend) {
  writeJson(file, toJson(legend));
}

int classCode(const std::string& text, const std::string& where) {
  auto code = parseInteger(trimmed(text));
  if (!code) {
    const auto real = parseNumber(trimmed(text));
    if (real && *real >= 1 && *real <= 65535 && *real == std::floor(*real))
      code = static_cast<long long>(*real);
  }
  if (!code || *code < 1 || *code > 65535)
    throw Error(
        "“{}” in {} is not a class code; codes are whole numbers from 1 to "
        "65535.",
        text, where);
  return static_cast<int>(*code);
}

}  // namespace zp
