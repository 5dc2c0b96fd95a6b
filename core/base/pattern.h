#pragma once
#include <memory>
#include <optional>
#include <string>
#include <vector>

namespace zp {

/// A regular expression (ECMAScript), made once and used often; what compiles long is in one file.
class Pattern {
 public:
  explicit Pattern(const std::string& expression);
  ~Pattern();
  Pattern(const Pattern&) = delete;
  Pattern& operator=(const Pattern&) = delete;

  struct Match {
    size_t at = 0, length = 0;
    std::vector<std::optional<std::string>>
        groups;  // 0: all of it; none where a group took no part
    std::string group(size_t i) const { return groups[i].value_or(""); }
  };
  /// All of a text; nothing when it does not fit.
  std::optional<Match> whole(const std::string& text) const;
  /// The first place in a text.
  std::optional<Match> in(const std::string& text) const;
  /// What begins at a place in a text.
  std::optional<Match> from(const std::string& text, size_t at) const;

 private:
  struct Compiled;
  std::unique_ptr<Compiled> compiled_;
};

}  // namespace zp
