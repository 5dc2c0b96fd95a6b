#include "sampling/row_formula.h"

#include <algorithm>
#include <cmath>
#include <optional>

#include "base/day.h"
#include "base/nan.h"
#include "index/formula.h"
#include "index/formula_token.h"

namespace zp {
namespace {

/// What stands on the stack: a value a row.
struct Operand {
  CellType type = CellType::Number;
  std::vector<double> numbers;
  std::vector<std::string> texts;
  std::optional<std::string> literal = {};  // a text of the formula, the same in every row
  std::string column = {};                  // whose it is, for sentences

  const std::string& text(size_t row) const { return literal ? *literal : texts[row]; }
};

Operand numbers(std::vector<double> values, CellType type = CellType::Number) {
  return {type, std::move(values), {}};
}

double finite(double v) {
  return std::isfinite(v) ? v : kNan;
}
double truth(bool is, double a, double b) {
  return std::isnan(a) || std::isnan(b) ? kNan : is ? 1 : 0;
}

double applied(FormulaOp op, double a) {
  switch (op) {
    case FormulaOp::Negate:
      return -a;
    case FormulaOp::Not:
      return truth(a == 0, a, a);
    case FormulaOp::Abs:
      return std::abs(a);
    case FormulaOp::Sqrt:
      return finite(std::sqrt(a));
    case FormulaOp::Log10:
      return finite(std::log10(a));
    default:
      return finite(std::exp(a));
  }
}

double applied(FormulaOp op, double a, double b) {
  if (std::isnan(a) || std::isnan(b)) return kNan;  // pow(NaN, 0) would be 1
  switch (op) {
    case FormulaOp::Add:
      return finite(a + b);
    case FormulaOp::Subtract:
      return finite(a - b);
    case FormulaOp::Multiply:
      return finite(a * b);
    case FormulaOp::Divide:
      return finite(a / b);
    case FormulaOp::NDiff:
      return finite((a - b) / (a + b));
    case FormulaOp::Power:
      return finite(std::pow(a, b));
    case FormulaOp::Less:
      return a < b;
    case FormulaOp::LessEqual:
      return a <= b;
    case FormulaOp::Greater:
      return a > b;
    case FormulaOp::GreaterEqual:
      return a >= b;
    case FormulaOp::Equal:
      return a == b;
    case FormulaOp::NotEqual:
      return a != b;
    case FormulaOp::And:
      return a != 0 && b != 0;
    case FormulaOp::Or:
      return a != 0 || b != 0;
    case FormulaOp::Min:
      return std::min(a, b);
    default:
      return std::max(a, b);
  }
}

bool compares(FormulaOp op) {
  return op >= FormulaOp::Less && op <= FormulaOp::NotEqual;
}

class RowProgram {
 public:
  RowProgram(const Formula& formula, const Sheet& sheet) : formula_(formula), sheet_(sheet) {}

  Operand run() {
    for (const auto& step : formula_.steps) {
      if (step.op == FormulaOp::Band)
        push(columnNamed(formula_.variables[static_cast<size_t>(step.band)]));
      else if (step.op == FormulaOp::Constant)
        push(numbers(std::vector<double>(sheet_.rows(), step.value)));
      else if (step.op == FormulaOp::Text)
        push({CellType::Text, {}, {}, formula_.texts[static_cast<size_t>(step.band)]});
      else if (step.op == FormulaOp::Choose)
        choose();
      else if (step.op == FormulaOp::Negate || step.op == FormulaOp::Not ||
               (step.op >= FormulaOp::Abs && step.op <= FormulaOp::Exp))
        unary(step.op);
      else
        binary(step.op);
    }
    return pop();
  }

 private:
  void push(Operand o) { stack_.push_back(std::move(o)); }
  Operand pop() {
    Operand o = std::move(stack_.back());
    stack_.pop_back();
    return o;
  }

  Operand columnNamed(const std::string& name) const {
    const auto& c = sheet_.columns[sheet_.column(name)];
    if (c.type == CellType::Text) return {c.type, {}, c.texts, {}, name};
    return {c.type, c.numbers, {}, {}, name};
  }

  /// A column without a filled cell may hold anything.
  static void needNumbers(Operand& o) {
    if (o.type != CellType::Text) return;
    if (!o.literal &&
        std::all_of(o.texts.begin(), o.texts.end(), [](const auto& t) { return t.empty(); })) {
      o = numbers(std::vector<double>(o.texts.size(), kNan));
      return;
    }
    if (o.column.empty()) throw Error("A text cannot be computed with; compare it by = or <>.");
    throw Error(
        "The column “{}” holds texts; it can be compared by = and <> with a text in quotes.",
        o.column);
  }

  void unary(FormulaOp op) {
    Operand& a = stack_.back();
    needNumbers(a);
    for (double& v : a.numbers) v = applied(op, v);
    a.type = CellType::Number;
  }

  void binary(FormulaOp op) {
    Operand b = pop(), a = pop();
    if (compares(op) && (a.literal || b.literal) && isEmptyTest(op, a, b)) return;
    if (compares(op)) {
      readDate(a, b);
      readDate(b, a);
      if (a.type == CellType::Text && b.type == CellType::Text) return compareTexts(op, a, b);
    }
    needNumbers(a);
    needNumbers(b);
    const CellType type = typeOf(op, a.type, b.type);
    for (size_t r = 0; r < a.numbers.size(); ++r)
      a.numbers[r] = applied(op, a.numbers[r], b.numbers[r]);
    push(numbers(std::move(a.numbers), type));
  }

  /// Days added to a date are a date; two dates apart are days.
  static CellType typeOf(FormulaOp op, CellType a, CellType b) {
    const bool dateA = a == CellType::Date, dateB = b == CellType::Date;
    const bool keeps = op == FormulaOp::Add                           ? dateA != dateB
                       : op == FormulaOp::Subtract                    ? dateA && !dateB
                       : op == FormulaOp::Min || op == FormulaOp::Max ? dateA && dateB
                                                                      : false;
    return keeps ? CellType::Date : CellType::Number;
  }

  /// `column = ""`.
  bool isEmptyTest(FormulaOp op, const Operand& a, const Operand& b) {
    const Operand &text = a.literal ? a : b, &other = a.literal ? b : a;
    if (!text.literal || !text.literal->empty()) return false;
    if (op != FormulaOp::Equal && op != FormulaOp::NotEqual)
      throw Error("Whether a cell is empty is told by = \"\" or <> \"\".");
    std::vector<double> is(sheet_.rows());
    for (size_t r = 0; r < is.size(); ++r) {
      const bool empty =
          other.type == CellType::Text ? other.text(r).empty() : std::isnan(other.numbers[r]);
      is[r] = empty == (op == FormulaOp::Equal);
    }
    push(numbers(std::move(is)));
    return true;
  }

  /// A text that stands beside a date is one, beside a number a slip.
  void readDate(Operand& text, const Operand& beside) const {
    if (!text.literal || beside.type == CellType::Text) return;
    if (beside.type == CellType::Number)
      throw Error("“{}” is compared with numbers; write a number, without quotes.", *text.literal);
    const auto day = dayOf(*text.literal);
    if (!day) throw Error("“{}” is no date such as 2031-07-18.", *text.literal);
    text = numbers(std::vector<double>(sheet_.rows(), static_cast<double>(*day)), CellType::Date);
  }

  void compareTexts(FormulaOp op, const Operand& a, const Operand& b) {
    if (op != FormulaOp::Equal && op != FormulaOp::NotEqual)
      throw Error("Texts are compared by = and <>.");
    std::vector<double> is(sheet_.rows());
    for (size_t r = 0; r < is.size(); ++r)
      is[r] = a.text(r).empty() || b.text(r).empty()
                  ? kNan
                  : (a.text(r) == b.text(r)) == (op == FormulaOp::Equal);
    push(numbers(std::move(is)));
  }

  void choose() {
    Operand no = pop(), yes = pop(), when = pop();
    needNumbers(when);
    if (yes.type == CellType::Text || no.type == CellType::Text) return chooseTexts(when, yes, no);
    const bool dates = yes.type == CellType::Date && no.type == CellType::Date;
    for (size_t r = 0; r < when.numbers.size(); ++r) {
      double& c = when.numbers[r];
      if (!std::isnan(c)) c = c != 0 ? yes.numbers[r] : no.numbers[r];
    }
    push(numbers(std::move(when.numbers), dates ? CellType::Date : CellType::Number));
  }

  void chooseTexts(const Operand& when, const Operand& yes, const Operand& no) {
    if (yes.type != no.type)
      throw Error(
          "“when … then … else …” chooses between two texts or two numbers, not one of "
          "each.");
    Operand out{CellType::Text, {}, std::vector<std::string>(sheet_.rows())};
    for (size_t r = 0; r < out.texts.size(); ++r)
      if (!std::isnan(when.numbers[r]))
        out.texts[r] = when.numbers[r] != 0 ? yes.text(r) : no.text(r);
    push(std::move(out));
  }

  const Formula& formula_;
  const Sheet& sheet_;
  std::vector<Operand> stack_;
};

Operand evaluated(const std::string& text, const Sheet& sheet) {
  const Formula formula = parseFormula(text, sheet.names(), FormulaOver::Rows);
  return RowProgram(formula, sheet).run();
}

}  // namespace

SheetColumn computedColumn(std::string name, const std::string& formula, const Sheet& sheet) {
  Operand result = evaluated(formula, sheet);
  if (result.literal) result.texts.assign(sheet.rows(), *result.literal);
  if (result.type == CellType::Text) return columnOf(std::move(name), std::move(result.texts));
  return columnOf(std::move(name), result.type, std::move(result.numbers));
}

std::vector<size_t> rowsWhere(const std::string& formula, const Sheet& sheet) {
  const Operand result = evaluated(formula, sheet);
  if (result.type == CellType::Text)
    throw Error("This is a text; rows are chosen by a comparison, such as cover = \"Reedbed\".");
  std::vector<size_t> rows;
  for (size_t r = 0; r < result.numbers.size(); ++r)
    if (!std::isnan(result.numbers[r]) && result.numbers[r] != 0) rows.push_back(r);
  return rows;
}

std::string renamedIn(const std::string& formula, const std::string& column,
                      const std::string& name) {
  std::string out;
  size_t end = 0;
  for (const auto& token : formulaTokens(formula, {column})) {
    out += formula.substr(end, token.at - end);
    const bool named = token.kind == FormulaToken::Name;
    out += named ? inFormula(name) : formula.substr(token.at, token.length);
    end = token.at + token.length;
  }
  return out + formula.substr(end);
}

std::string inFormula(const std::string& column) {
  const Token token = nextToken(column, 0);
  const bool plain = token.kind == Token::Name && token.at == 0 && token.length == column.size();
  return plain && formulaTokens(column, {})[0].kind == FormulaToken::Unknown ? column
                                                                             : "{" + column + "}";
}

}  // namespace zp
