#include "index/formula_token.h"

#include <cctype>
#include <cmath>

#include "base/text.h"

namespace zp {
namespace {

bool nameStart(char c) {
  return std::isalpha(static_cast<unsigned char>(c)) || c == '_';
}
bool namePart(char c) {
  return std::isalnum(static_cast<unsigned char>(c)) || c == '_';
}
bool digit(char c) {
  return c >= '0' && c <= '9';
}

size_t numberEnd(const std::string& s, size_t i) {
  while (i < s.size() && digit(s[i])) ++i;
  if (i < s.size() && s[i] == '.') {
    ++i;
    while (i < s.size() && digit(s[i])) ++i;
  }
  if (i < s.size() && (s[i] == 'e' || s[i] == 'E')) {
    size_t j = i + 1;
    if (j < s.size() && (s[j] == '+' || s[j] == '-')) ++j;
    if (j < s.size() && digit(s[j])) {
      while (j < s.size() && digit(s[j])) ++j;
      i = j;
    }
  }
  return i;
}

Token number(const std::string& s, size_t at) {
  const std::string text = s.substr(at, numberEnd(s, at) - at);
  std::string padded = text.front() == '.' ? "0" + text : text;
  if (padded.back() == '.') padded += '0';
  return {Token::Number, text, at, text.size(), parseNumber(padded).value_or(NAN)};
}

/// What stands between two signs.
Token between(Token::Kind kind, char last, const std::string& s, size_t at) {
  const size_t end = s.find(last, at + 1);
  const bool closed = end != std::string::npos;
  const size_t length = (closed ? end + 1 : s.size()) - at;
  return {kind, s.substr(at + 1, length - (closed ? 2 : 1)), at, length, 0, closed};
}

}  // namespace

Token nextToken(const std::string& s, size_t i) {
  while (i < s.size() && std::isspace(static_cast<unsigned char>(s[i]))) ++i;
  if (i >= s.size()) return {Token::End, "", s.size(), 0};
  if (s[i] == '{') return between(Token::Quoted, '}', s, i);
  if (s[i] == '"') return between(Token::Text, '"', s, i);
  size_t end = i + 1;
  if (nameStart(s[i])) {
    while (end < s.size() &&
           (namePart(s[end]) || (s[end] == '.' && end + 1 < s.size() && nameStart(s[end + 1]))))
      ++end;
    return {Token::Name, s.substr(i, end - i), i, end - i};
  }
  if (digit(s[i]) || (s[i] == '.' && i + 1 < s.size() && digit(s[i + 1]))) return number(s, i);
  const std::string two = s.substr(i, 2);
  if (two == "<=" || two == ">=" || two == "<>") return {Token::Sign, two, i, 2};
  while (end < s.size() && (static_cast<unsigned char>(s[end]) & 0xC0) == 0x80) ++end;  // UTF-8
  return {Token::Sign, s.substr(i, end - i), i, end - i};
}

}  // namespace zp
