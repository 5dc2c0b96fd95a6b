#pragma once
#include <string>
#include <vector>

#include "base/error.h"

namespace zp {

/// What is wrong with a formula, and where.
class FormulaError : public Error {
 public:
  FormulaError(size_t place, size_t span, const Sentence& sentence, std::string nearest = "")
      : Error(sentence), at(place), length(span), suggestion(std::move(nearest)) {}
  size_t at, length;       // in bytes of the text
  std::string suggestion;  // the nearest known name, or ""
};

enum class FormulaOp : int {
  Band,
  Constant,
  Text,
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
  int band = 0;      // of Band: index into Formula::variables; of Text: into Formula::texts
  double value = 0;  // of Constant
};

/// A part of the text, for colouring.
struct FormulaToken {
  enum Kind { Name, Number, Text, Word, Function, Sign, Unknown } kind;
  size_t at, length;
};

/// What is taken of the valid pixels in a square window around each pixel.
enum class WindowFunction { Mean, Min, Max, Spread };

/// A part of a formula that looks around each pixel. Its values stand beside those of the
/// variables: as plane variables.size() + its place in Formula::windows.
struct FormulaWindow {
  WindowFunction function = WindowFunction::Mean;
  int size = 3;  // odd, pixels
  std::vector<FormulaStep> steps;
  int stack = 0;
};

/// A formula compiled for evaluation over blocks.
/// Roles, numbers, + - * / ^, parentheses, comparisons (1 or 0), and/or/not,
/// `when c then a else b`, min max abs sqrt log10 exp ndiff, and mean_in min_in max_in spread_in of
/// a window of pixels: `mean_in(nir, 5)`. `^` binds tighter than a sign before it and to the right.
/// NaN anywhere in what counts gives NaN, and so does what is not finite. A name that is no plain
/// word stands in braces: `{share of water}`. Over the rows of a table (sampling/row_formula.h)
/// there are texts too, in quotes, and no windows: `cover = "Reedbed"`.
struct Formula {
  std::string text;
  std::vector<std::string> variables;  // roles in order of first use
  std::vector<FormulaStep> steps;
  int stack = 0;                       // how deep it gets
  std::vector<FormulaWindow> windows;  // each may use those before it
  std::vector<std::string> texts = {};

  /// How many pixels beyond a block the windows look, one within the other.
  int halo() const;
};

enum class FormulaOver { Pixels, Rows };

/// Error (FormulaError with place): syntax, an unknown name (with the nearest of `known`), longer
/// than 4000 characters, nested deeper than 100, more than 16 windows or one above 101 pixels.
Formula parseFormula(const std::string& text, const std::vector<std::string>& known,
                     FormulaOver over = FormulaOver::Pixels);

std::vector<FormulaToken> formulaTokens(const std::string& text,
                                        const std::vector<std::string>& known);

/// Values of the formula at n pixels. `bands[i]` are the values of variables[i]. Without windows.
void evaluateFormula(const Formula& formula, const std::vector<const float*>& bands, size_t n,
                     float* out);

/// The same over a block of `width` columns, row by row, windows and all. Where a window reaches
/// over the block's edge, what lies in the block counts. A pixel without data gets none from around
/// it. `scale`: how many pixels of this block make one of the formula's (below 1 for a reduced
/// picture).
void evaluateFormula(const Formula& formula, const std::vector<const float*>& bands, int width,
                     int height, float* out, double scale = 1);

/// The functions, each with a line of help.
const std::vector<std::pair<std::string, std::string>>& formulaFunctions();

}  // namespace zp
