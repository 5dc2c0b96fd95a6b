#include "base/text.h"

#include <fmt/format.h>

#include <algorithm>
#include <cctype>
#include <charconv>
#include <cmath>
#include <numeric>

namespace zp {

std::string shortest(double value) {
  if (std::isnan(value)) return "";
  if (value == 0) return "0";
  return fmt::format("{}", value);
}

std::string readable(double value) {
  const auto narrow = static_cast<float>(value);
  if (static_cast<double>(narrow) != value || value == 0) return shortest(value);
  return fmt::format("{}", narrow);
}

namespace {
template <class T>
std::optional<T> parseWhole(std::string_view text) {
  T value{};
  if (!text.empty() && text.front() == '+') text.remove_prefix(1);
  const auto [end, error] = std::from_chars(text.data(), text.data() + text.size(), value);
  if (error != std::errc() || end != text.data() + text.size() || text.empty()) return {};
  return value;
}
}  // namespace

std::optional<double> parseNumber(std::string_view text) {
  const auto value = parseWhole<double>(text);
  if (value && !std::isfinite(*value)) return {};
  return value;
}

std::optional<long long> parseInteger(std::string_view text) {
  return parseWhole<long long>(text);
}

std::string trimmed(std::string_view text) {
  const auto isSpace = [](unsigned char c) { return std::isspace(c) != 0; };
  while (!text.empty() && isSpace(text.front())) text.remove_prefix(1);
  while (!text.empty() && isSpace(text.back())) text.remove_suffix(1);
  return std::string(text);
}

std::string lowered(std::string_view text) {
  std::string out(text);
  for (char& c : out) c = static_cast<char>(std::tolower(static_cast<unsigned char>(c)));
  return out;
}

std::vector<std::string> split(std::string_view text, char separator) {
  std::vector<std::string> parts;
  size_t from = 0;
  while (true) {
    const size_t at = text.find(separator, from);
    parts.push_back(trimmed(text.substr(from, at - from)));
    if (at == std::string_view::npos) return parts;
    from = at + 1;
  }
}

bool naturalLess(std::string_view a, std::string_view b) {
  const auto isDigit = [](char c) { return c >= '0' && c <= '9'; };
  size_t i = 0, j = 0;
  while (i < a.size() && j < b.size()) {
    if (!isDigit(a[i]) || !isDigit(b[j])) {
      if (a[i] != b[j]) return a[i] < b[j];
      ++i, ++j;
      continue;
    }
    while (i < a.size() && a[i] == '0') ++i;
    while (j < b.size() && b[j] == '0') ++j;
    size_t m = i, n = j;
    while (m < a.size() && isDigit(a[m])) ++m;
    while (n < b.size() && isDigit(b[n])) ++n;
    if (m - i != n - j) return m - i < n - j;
    const int order = a.substr(i, m - i).compare(b.substr(j, n - j));
    if (order != 0) return order < 0;
    i = m, j = n;
  }
  return a.size() - i < b.size() - j;
}

namespace {
/// Edits that turn a into b, where two neighbours that changed places count as one (optimal string
/// alignment, Damerau 1964).
size_t editDistance(std::string_view a, std::string_view b) {
  std::vector<size_t> before(b.size() + 1), last(b.size() + 1), row(b.size() + 1);
  std::iota(last.begin(), last.end(), size_t{0});
  for (size_t i = 1; i <= a.size(); ++i) {
    row[0] = i;
    for (size_t j = 1; j <= b.size(); ++j) {
      row[j] =
          std::min({last[j] + 1, row[j - 1] + 1, last[j - 1] + (a[i - 1] == b[j - 1] ? 0 : 1)});
      if (i > 1 && j > 1 && a[i - 1] == b[j - 2] && a[i - 2] == b[j - 1])
        row[j] = std::min(row[j], before[j - 2] + 1);
    }
    before.swap(last);
    last.swap(row);
  }
  return last.back();
}
}  // namespace

std::string nearestName(std::string_view name, const std::vector<std::string>& known) {
  const std::string wanted = lowered(name.substr(0, 64));
  std::string best;
  size_t bestDistance = std::max<size_t>(1, wanted.size() / 2) + 1;
  for (const auto& k : known) {
    const size_t d = editDistance(wanted, lowered(k));
    if (d < bestDistance) bestDistance = d, best = k;
  }
  return best;
}

Sentence didYouMean(std::string_view name, const std::vector<std::string>& known) {
  const std::string near = nearestName(name, known);
  return near.empty() ? Sentence("") : Sentence(" Did you mean “{}”?", near);
}

std::string csvField(std::string_view text, char separator) {
  const bool plain = text.find_first_of("\"\r\n") == std::string_view::npos &&
                     text.find(separator) == std::string_view::npos;
  if (plain) return std::string(text);
  std::string out = "\"";
  for (char c : text) {
    if (c == '"') out += '"';
    out += c;
  }
  return out + '"';
}

Sentence listed(const std::vector<Sentence>& items) {
  if (items.empty()) return Sentence("");
  Sentence all = items[0];
  for (size_t i = 1; i < items.size(); ++i)
    all = i + 1 == items.size() ? Sentence("{} and {}", all, items[i])
                                : Sentence("{}, {}", all, items[i]);
  return all;
}

Sentence listed(const std::vector<std::string>& items) {
  std::vector<Sentence> each;
  for (const auto& one : items)
    each.push_back(Sentence("{}", one));  // a name, not to be translated
  return listed(each);
}

std::string plainName(std::string_view text) {
  std::string name;
  for (char c : lowered(text)) {
    const bool plain = (c >= 'a' && c <= 'z') || (c >= '0' && c <= '9');
    if (plain)
      name += c;
    else if (!name.empty() && name.back() != '-')
      name += '-';
  }
  while (!name.empty() && name.back() == '-') name.pop_back();
  return name;
}

std::string freshName(const std::string& wanted, const std::vector<std::string>& taken) {
  std::string name = wanted;
  for (int n = 2; std::find(taken.begin(), taken.end(), name) != taken.end(); ++n)
    name = wanted + "-" + std::to_string(n);
  return name;
}

}  // namespace zp
