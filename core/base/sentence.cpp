#include "base/sentence.h"

#include <algorithm>

namespace zp {
namespace {

/// Calls with each part outside of braces, and with what stands in each pair of them.
template <class Plain, class Field>
void walk(std::string_view pattern, const Plain& plain, const Field& field) {
  size_t from = 0;
  for (size_t i = 0; i < pattern.size(); ++i) {
    const char c = pattern[i];
    if (c != '{' && c != '}') continue;
    plain(pattern.substr(from, i - from));
    const size_t end = c == '{' ? pattern.find('}', i) : std::string_view::npos;
    if (i + 1 < pattern.size() && pattern[i + 1] == c) {
      plain(pattern.substr(i++, 1));  // twice is the brace itself
    } else if (end != std::string_view::npos) {
      field(pattern.substr(i + 1, end - i - 1));
      i = end;
    }
    from = i + 1;
  }
  plain(pattern.substr(from));
}

}  // namespace

Sentence::Sentence(fmt::string_view pattern, fmt::format_args args,
                   const std::vector<const Sentence*>& within)
    : pattern_(pattern.data(), pattern.size()) {
  values_.assign(within.size(), Sentence(""));
  size_t next = 0;
  walk(
      pattern_, [](std::string_view) {},
      [&](std::string_view field) {
        const auto colon = std::min(field.find(':'), field.size());
        const size_t at = colon > 0 ? static_cast<size_t>(field[0] - '0') : next++;
        if (within.at(at) != nullptr) {
          values_[at] = *within[at];
        } else {
          values_[at] =
              Sentence(fmt::vformat(fmt::format("{{{}{}}}", at, field.substr(colon)), args));
          values_[at].data_ = true;
        }
      });
}

Sentence Sentence::kept(std::string pattern, const std::vector<std::string>& values) {
  Sentence s(std::move(pattern));
  for (const auto& v : values) s.values_.emplace_back(v).data_ = true;
  return s;
}

std::vector<std::string> Sentence::values() const {
  std::vector<std::string> all;
  for (const auto& v : values_) all.push_back(v.text());
  return all;
}

std::string Sentence::text() const {
  return text([](const std::string& english) { return english; });
}

std::string Sentence::text(const std::function<std::string(const std::string&)>& translate) const {
  const std::string pattern = data_ || pattern_.empty() ? pattern_ : translate(pattern_);
  if (values_.empty()) return pattern;
  std::string text;
  size_t next = 0;
  walk(
      pattern, [&](std::string_view plain) { text += plain; },
      [&](std::string_view field) {
        const bool numbered = !field.empty() && field[0] >= '0' && field[0] <= '9';
        const size_t at = numbered ? static_cast<size_t>(field[0] - '0') : next++;
        if (at < values_.size()) text += values_[at].text(translate);
      });
  return text;
}

}  // namespace zp
