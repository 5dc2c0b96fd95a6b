#include "grid/place_text.h"

#include <cmath>
#include <optional>

#include "base/pattern.h"
#include "base/text.h"

namespace zp {
namespace {

struct Figure {
  double value = 0;
  char letter = 0;     // N, S, E or W
  bool angle = false;  // written with a degree sign
};

std::string plainSigns(std::string text) {
  const std::pair<const char*, const char*> signs[] = {
      {"°", "d"}, {"º", "d"}, {"′", "'"}, {"’", "'"}, {"″", "\""}, {"”", "\""}, {"−", "-"}};
  for (const auto& [from, to] : signs)
    for (size_t at; (at = text.find(from)) != std::string::npos;)
      text.replace(at, std::string(from).size(), to);
  return text;
}

// Degrees, then perhaps a degree sign, minutes and seconds.
constexpr const char* kNumber =
    R"((-?\d+(?:\.\d+)?)\s*(d)?\s*(?:(\d+(?:\.\d+)?)\s*'\s*)?(?:(\d+(?:\.\d+)?)\s*(?:"|'')\s*)?)";
constexpr const char* kLetter = "([NSEWnsew])(?![a-z])\\s*";

/// Of a match of a number, and its letter.
std::optional<Figure> figureFrom(const std::string& degrees, bool angle, const std::string& minutes,
                                 const std::string& seconds, const std::string& letter) {
  const double m = parseNumber(minutes).value_or(0), s = parseNumber(seconds).value_or(0);
  if (m >= 60 || s >= 60 || (!minutes.empty() && !angle)) return {};
  Figure f;
  const double size = std::abs(parseNumber(degrees).value_or(0)) + m / 60 + s / 3600;
  f.value = degrees[0] == '-' ? -size : size;
  f.angle = angle;
  if (!letter.empty()) f.letter = static_cast<char>(std::toupper(letter[0]));
  if (f.letter == 'S' || f.letter == 'W') f.value = -f.value;
  return f;
}

std::vector<Figure> figuresIn(const std::string& text) {
  static const std::string separators = "[\\s,;]*";
  static const Pattern leading(kLetter + std::string(kNumber) + separators),
      trailing(kNumber + ("(?:" + std::string(kLetter) + ")?") + separators);
  std::vector<Figure> figures;
  for (size_t at = 0; at < text.size();) {
    const auto before = leading.from(text, at);
    const auto m = before ? before : trailing.from(text, at);
    if (!m) return {};
    const size_t n = before ? 2 : 1;  // where the number's groups begin
    const auto f = figureFrom(m->group(n), m->groups[n + 1].has_value(), m->group(n + 2),
                              m->group(n + 3), m->group(before ? 1 : 5));
    if (!f || figures.size() == 2) return {};
    figures.push_back(*f);
    at = m->at + m->length;
  }
  return figures;
}

bool isNorthing(char letter) {
  return letter == 'N' || letter == 'S';
}

}  // namespace

std::vector<WrittenPlace> placesIn(const std::string& text) {
  const auto f = figuresIn(trimmed(plainSigns(text.substr(0, 100))));
  if (f.size() != 2) return {};
  const Figure &a = f[0], &b = f[1];
  const auto lettered = a.letter != 0 || b.letter != 0;
  if (lettered && (a.letter == 0 || b.letter == 0 || isNorthing(a.letter) == isNorthing(b.letter)))
    return {};
  const auto inDegrees = [](double x, double y) { return std::abs(x) <= 180 && std::abs(y) <= 90; };
  std::vector<WrittenPlace> found;
  const auto add = [&](double x, double y) {
    if (inDegrees(x, y)) found.push_back({{x, y}, true});
  };
  if (!lettered || !isNorthing(a.letter)) add(a.value, b.value);
  if (!lettered || isNorthing(a.letter)) add(b.value, a.value);
  const bool swap = lettered && isNorthing(a.letter);
  if (found.empty() && !a.angle && !b.angle)
    found.push_back({swap ? Place{b.value, a.value} : Place{a.value, b.value}, false});
  return found;
}

}  // namespace zp
