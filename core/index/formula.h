#pragma once
#include <string>
#include <vector>

#include "base/error.h"

namespace zp {

/// What is wrong with a formula, and where.
class FormulaError : public Error {
 public:
  FormulaError(size_t place, size_t span, const std::string& sentence, std::string nearest = "")
      : Error(sentence), at(place), length(span), suggestion(std::move(nearest)) {}
  size_t at, length;       // in bytes of the text
  std::string suggestion;  // the nearest known name, or ""
};

enum class FormulaOp : int {
  Band,
  Constant,
  Add,
  Subtract,
  Multiply,
  Divide,
  Power,
  Negate,
  Less,
  LessEqual,
  Greater,
  GreaterEqual,
  Equal,
  NotEqual,
  And,
  Or,
  Not,
  Choose,
  Min,
  Max,
  Abs,
  Sqrt,
  Log10,
  Exp,
  NDiff
};

/// One step of a stack program: takes its operands from the top, leaves its result there.
struct FormulaStep {
  FormulaOp op = FormulaOp::Constant;
  int band = 0;     // of Band: index into Formula::variables
  float value = 0;  // of Constant
};

/// A part of the text, for colouring.
struct FormulaToken {
  enum Kind { Name, Number, Word, Function, Sign, Unknown } kind;
  size_t at, length;
};

/// A formula compiled for evaluation over blocks.
/// Roles, numbers, + - * / ^, parentheses, comparisons (1 or 0), and/or/not,
/// `when c then a else b`, min max abs sqrt log10 exp ndiff. `^` binds tighter than a sign before
/// it and to the right. NaN anywhere in what counts gives NaN, and so does what is not finite.
struct Formula {
  std::string text;
  std::vector<std::string> variables;  // roles in order of first use
  std::vector<FormulaStep> steps;
  int stack = 0;  // how deep it gets
};

/// Error (FormulaError with place): syntax, an unknown name (with the nearest of `known`), longer
/// than 4000 characters or nested deeper than 100.
Formula parseFormula(const std::string& text, const std::vector<std::string>& known);

std::vector<FormulaToken> formulaTokens(const std::string& text,
                                        const std::vector<std::string>& known);

/// Values of the formula at n pixels. `bands[i]` are the values of variables[i].
void evaluateFormula(const Formula& formula, const std::vector<const float*>& bands, size_t n,
                     float* out);

/// The functions, each with a line of help.
const std::vector<std::pair<std::string, std::string>>& formulaFunctions();

}  // namespace zp
