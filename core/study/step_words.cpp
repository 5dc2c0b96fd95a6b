#include "study/step_words.h"

#include <fmt/format.h>

#include <algorithm>
#include <array>

#include "base/day.h"
#include "base/text.h"
#include "mapping/cluster_method.h"
#include "mapping/method.h"
#include "study/steps/step_kind.h"

namespace zp {
namespace {

std::string figure(double v) {
  return fmt::format("{:.6g}", v);
}

/// An id of ours as words: "random-forest", "per_class".
std::string plain(std::string id) {
  std::replace(id.begin(), id.end(), '-', ' ');
  std::replace(id.begin(), id.end(), '_', ' ');
  return id;
}

std::string methodTitle(const std::string& id) {
  for (const auto* m : methods())
    if (m->id == id) return lowered(m->title);
  for (const auto* m : clusterMethods())
    if (m->id == id) return m->title;
  return plain(id);
}

std::string settingsWords(const Json& settings) {
  std::vector<std::string> all;
  for (const auto& [key, value] : settings.items())
    if (value.is_number())
      all.push_back(plain(key) + " " + figure(value.get<double>()));
    else if (value.is_string())
      all.push_back(plain(key) + " " + plain(value.get<std::string>()));
  return fmt::format("{}", fmt::join(all, ", "));
}

bool namesSomething(Holds h) {
  return h == Holds::Scene || h == Holds::Product || h == Holds::Layer || h == Holds::Outline ||
         h == Holds::Rows;
}

bool namesSeveral(Holds h) {
  return h == Holds::Scenes || h == Holds::Products || h == Holds::Layers || h == Holds::RowsList;
}

/// What a field says; "" where that would tell nothing.
std::string fieldWords(const Study& study, const StepField& f, const Json& v) {
  if (f.id == "method") return methodTitle(v.get<std::string>());
  if (f.id == "settings") return settingsWords(v);
  if (namesSomething(f.holds) && v.is_string())
    return (f.id == "inside" || f.id == "to" ? f.id + " " : "from ") +
           nameIn(study, v.get<std::string>());
  if (namesSeveral(f.holds) && v.is_array() && !v.empty())
    return v.size() == 1 && v[0].is_string() ? "from " + nameIn(study, v[0].get<std::string>())
                                             : fmt::format("from {} layers", v.size());
  if (v.is_number()) return plain(f.id) + " " + figure(v.get<double>());
  if (f.holds == Holds::Texts && v.is_array()) return fmt::format("{} {}", v.size(), plain(f.id));
  if (f.holds == Holds::Text && v.is_string()) {
    if (f.id == "ramp" || f.id == "too_few") return "";  // say nothing of the result
    return f.choices.empty() ? v.get<std::string>() : plain(v.get<std::string>());
  }
  if (f.holds == Holds::Numbers && v.is_array()) {
    std::vector<std::string> all;
    for (const auto& one : v)
      if (one.is_number()) all.push_back(figure(one.get<double>()));
    return plain(f.id) + " " + fmt::format("{}", fmt::join(all, ", "));
  }
  return "";
}

}  // namespace

std::string nameIn(const Study& study, const std::string& id) {
  if (const auto* s = study.scene(id)) return s->scene.name;
  if (const auto* p = study.product(id)) return p->name;
  for (const auto& o : study.outlines)
    if (o.id == id) return o.name;
  for (const auto& p : study.bin)
    if (p.id == id) return p.name;
  return "something that is gone";
}

std::string howMade(const Study& study, const Product& product) {
  std::vector<std::string> all;
  try {
    for (const auto& f : stepKind(product.step.value("do", "")).fields)
      if (const auto at = product.step.find(f.id); at != product.step.end())
        if (auto told = fieldWords(study, f, *at); !told.empty()) all.push_back(std::move(told));
  } catch (const std::exception&) {
    // A step of a newer version: its name is told alone.
  }
  return fmt::format("{}", fmt::join(all, "; "));
}

std::string dayInWords(const std::string& iso) {
  static constexpr std::array<const char*, 12> kMonths{
      "January", "February", "March",     "April",   "May",      "June",
      "July",    "August",   "September", "October", "November", "December"};
  if (!dayOf(iso)) return iso;
  return fmt::format("{} {} {}", std::stoi(iso.substr(8, 2)),
                     kMonths.at(static_cast<size_t>(std::stoi(iso.substr(5, 2))) - 1),
                     iso.substr(0, 4));
}

}  // namespace zp
