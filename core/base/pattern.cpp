#include "base/pattern.h"

#include <regex>

namespace zp {

struct Pattern::Compiled {
  std::regex regex;
};

namespace {

std::optional<Pattern::Match> matchOf(bool found, const std::smatch& m, size_t before) {
  if (!found) return {};
  Pattern::Match match;
  match.at = before + static_cast<size_t>(m.position());
  match.length = static_cast<size_t>(m.length());
  for (const auto& g : m)
    match.groups.push_back(g.matched ? std::optional<std::string>(g.str()) : std::nullopt);
  return match;
}

}  // namespace

Pattern::Pattern(const std::string& expression)
    : compiled_(std::make_unique<Compiled>(Compiled{std::regex(expression)})) {}
Pattern::~Pattern() = default;

std::optional<Pattern::Match> Pattern::whole(const std::string& text) const {
  std::smatch m;
  return matchOf(std::regex_match(text, m, compiled_->regex), m, 0);
}

std::optional<Pattern::Match> Pattern::in(const std::string& text) const {
  std::smatch m;
  return matchOf(std::regex_search(text, m, compiled_->regex), m, 0);
}

std::optional<Pattern::Match> Pattern::from(const std::string& text, size_t at) const {
  std::smatch m;
  const auto begin = text.cbegin() + static_cast<std::ptrdiff_t>(at);
  return matchOf(std::regex_search(begin, text.cend(), m, compiled_->regex,
                                   std::regex_constants::match_continuous),
                 m, at);
}

}  // namespace zp
