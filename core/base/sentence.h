#pragma once
#include <fmt/format.h>

#include <functional>
#include <string>
#include <string_view>
#include <type_traits>
#include <utility>
#include <vector>

namespace zp {

/// A sentence for the person, kept as its pattern and what fills it, so that a window can say it in
/// another language. In the pattern `{}` stands for the next value, with fmt's rules for its form;
/// a value that is a sentence itself is said in that language too.
class Sentence {
 public:
  explicit Sentence(std::string plain) : pattern_(std::move(plain)) {}
  template <class First, class... Rest>
  explicit Sentence(fmt::format_string<First, Rest...> pattern, First&& first, Rest&&... rest)
      : Sentence(fmt::string_view(pattern), fmt::make_format_args(first, rest...),
                 {within(first), within(rest)...}) {}
  /// From what is kept of one in a file.
  static Sentence kept(std::string pattern, const std::vector<std::string>& values);

  bool empty() const { return pattern_.empty(); }
  const std::string& pattern() const { return pattern_; }
  std::vector<std::string> values() const;
  /// In English.
  std::string text() const;
  /// In the language that `translate` gives patterns in; there `{1}` is the second value, whatever
  /// their order.
  std::string text(const std::function<std::string(const std::string&)>& translate) const;

 private:
  Sentence(fmt::string_view pattern, fmt::format_args args,
           const std::vector<const Sentence*>& within);
  template <class T>
  static const Sentence* within(const T& value) {
    if constexpr (std::is_same_v<T, Sentence>) return &value;
    return nullptr;
  }
  std::string pattern_;
  std::vector<Sentence> values_;
  bool data_ = false;  // a name or a figure, the same in every language
};

}  // namespace zp

/// In English, in longer texts.
template <>
struct fmt::formatter<zp::Sentence> : fmt::formatter<std::string> {
  template <class Context>
  auto format(const zp::Sentence& s, Context& context) const {
    return fmt::formatter<std::string>::format(s.text(), context);
  }
};
