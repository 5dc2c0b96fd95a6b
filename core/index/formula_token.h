#pragma once
#include <string>

namespace zp {

/// The smallest parts of a formula's text.
struct Token {
  enum Kind {
    Name,
    Quoted,  // a name in braces
    Number,
    Text,  // in quotes
    Sign,
    End
  } kind;
  std::string text;   // without quotes or braces
  size_t at, length;  // in bytes, with them
  double value = 0;
  bool closed = true;  // of Quoted and Text
};

/// The token at or after byte `from`; a character that starts none is a Sign of its own.
Token nextToken(const std::string& text, size_t from);

}  // namespace zp
