#include "index/formula.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <utility>

#include "base/text.h"
#include "base/words.h"
#include "index/formula_token.h"

namespace zp {
namespace {

constexpr size_t kLongest = 4000;
constexpr int kDeepest = 100;
constexpr size_t kMostWindows = 16;
constexpr int kWidestWindow = 101;

struct Function {
  const char* name;
  FormulaOp op;
  size_t fewest, most;
};
constexpr Function kFunctions[] = {
    {"min", FormulaOp::Min, 2, 16},    {"max", FormulaOp::Max, 2, 16},
    {"abs", FormulaOp::Abs, 1, 1},     {"sqrt", FormulaOp::Sqrt, 1, 1},
    {"log10", FormulaOp::Log10, 1, 1}, {"exp", FormulaOp::Exp, 1, 1},
    {"ndiff", FormulaOp::NDiff, 2, 2}};

constexpr std::pair<const char*, WindowFunction> kWindowFunctions[] = {
    {"mean_in", WindowFunction::Mean},
    {"min_in", WindowFunction::Min},
    {"max_in", WindowFunction::Max},
    {"spread_in", WindowFunction::Spread}};

const WindowFunction* windowFunctionNamed(const std::string& name) {
  for (const auto& [known, function] : kWindowFunctions)
    if (name == known) return &function;
  return nullptr;
}

const Function* functionNamed(const std::string& name) {
  for (const auto& f : kFunctions)
    if (name == f.name) return &f;
  return nullptr;
}

bool isWord(const std::string& t) {
  return t == "and" || t == "or" || t == "not" || t == "when" || t == "then" || t == "else";
}

class Parser {
 public:
  Parser(const std::string& text, const std::vector<std::string>& known, FormulaOver over)
      : known_(known), over_(over) {
    out_.text = text;
    token_ = nextToken(text, 0);
  }

  Formula run() {
    if (token_.kind == Token::End)
      throw FormulaError(
          0, 0, Sentence("The formula is empty; write one, such as (nir - red) / (nir + red)."));
    expression();
    if (token_.kind != Token::End) {
      if (token_.text == ")") fail(Sentence("This closing parenthesis has no opening one."));
      if (token_.kind == Token::Name && !isWord(token_.text) && out_.steps.size() == 1 &&
          functionNamed(lowered(token_.text)) == nullptr)
        fail(Sentence("There is a sign missing before “{}”.", token_.text));
      fail(Sentence("“{}” does not belong here; is a sign missing before it?", token_.text));
    }
    numberWindows();
    return std::move(out_);
  }

 private:
  [[noreturn]] void fail(const Sentence& sentence, const std::string& suggestion = "") const {
    throw FormulaError(token_.at, token_.length, sentence, suggestion);
  }

  void advance() { token_ = nextToken(out_.text, token_.at + token_.length); }
  bool at(const char* text) const {
    return (token_.kind == Token::Sign || token_.kind == Token::Name) && token_.text == text;
  }

  bool accept(const char* text) {
    if (!at(text)) return false;
    advance();
    return true;
  }

  void expect(const char* text, const Sentence& sentence) {
    if (!accept(text)) fail(sentence);
  }

  void emit(FormulaOp op, int takes, int band = 0, double value = 0) {
    out_.steps.push_back({op, band, value});
    depth_ += 1 - takes;
    out_.stack = std::max(out_.stack, depth_);
  }

  /// Guards every way in which one expression can stand inside another.
  struct Level {
    explicit Level(Parser& p) : parser(p) {
      if (++parser.level_ > kDeepest)
        parser.fail(
            Sentence("The formula is nested deeper than {} levels here; split it into "
                     "several.",
                     kDeepest));
    }
    ~Level() { --parser.level_; }
    Parser& parser;
  };

  void expression() {
    const Level level(*this);
    if (accept("when")) {
      expression();
      expect("then", Sentence("“when” needs a “then” here."));
      expression();
      expect("else", Sentence("“when … then …” needs an “else” here."));
      expression();
      return emit(FormulaOp::Choose, 3);
    }
    disjunction();
  }

  void disjunction() {
    conjunction();
    while (accept("or")) conjunction(), emit(FormulaOp::Or, 2);
  }

  void conjunction() {
    negation();
    while (accept("and")) negation(), emit(FormulaOp::And, 2);
  }

  void negation() {
    const Level level(*this);
    if (!accept("not")) return comparison();
    negation();
    emit(FormulaOp::Not, 1);
  }

  void comparison() {
    sum();
    static const std::pair<const char*, FormulaOp> kSigns[] = {
        {"<", FormulaOp::Less},          {"<=", FormulaOp::LessEqual}, {">", FormulaOp::Greater},
        {">=", FormulaOp::GreaterEqual}, {"=", FormulaOp::Equal},      {"<>", FormulaOp::NotEqual}};
    for (const auto& [sign, op] : kSigns) {
      if (!accept(sign)) continue;
      sum();
      emit(op, 2);
      for (const auto& [next, unused] : kSigns)
        if (at(next)) fail(Sentence("Comparisons are not chained; join two of them with “and”."));
      return;
    }
  }

  void sum() {
    product();
    while (at("+") || at("-")) {
      const bool plus = accept("+");
      if (!plus) advance();
      product();
      emit(plus ? FormulaOp::Add : FormulaOp::Subtract, 2);
    }
  }

  void product() {
    sign();
    while (at("*") || at("/")) {
      const bool times = accept("*");
      if (!times) advance();
      sign();
      emit(times ? FormulaOp::Multiply : FormulaOp::Divide, 2);
    }
  }

  void sign() {
    const Level level(*this);
    if (accept("+")) return sign();
    if (!accept("-")) return power();
    sign();
    emit(FormulaOp::Negate, 1);
  }

  void power() {
    primary();
    if (!accept("^")) return;
    sign();  // binds to the right: 2^3^2, and takes a sign: 2^-1
    emit(FormulaOp::Power, 2);
  }

  void primary() {
    if (token_.kind == Token::Number) {
      if (!std::isfinite(token_.value) || std::abs(token_.value) > 3e38)
        fail(Sentence("This number is too large."));
      emit(FormulaOp::Constant, 0, 0, token_.value);
      return advance();
    }
    if (token_.kind == Token::Text) return literal();
    if (accept("(")) {
      expression();
      return expect(")", Sentence("A closing parenthesis is missing here."));
    }
    if (token_.kind == Token::Quoted && over_ == FormulaOver::Rows) return variable();
    if (token_.kind == Token::Name && !isWord(token_.text)) return named();
    if (token_.kind == Token::End)
      fail(Sentence("The formula ends too early; something is missing here."));
    fail(over_ == FormulaOver::Rows
             ? Sentence("“{}” does not belong here; a column, a number or a parenthesis does.",
                        token_.text)
             : Sentence("“{}” does not belong here; a role, a number or a parenthesis does.",
                        token_.text));
  }

  void literal() {
    if (over_ == FormulaOver::Pixels)
      fail(Sentence("A text has no place here; pixels hold numbers."));
    if (!token_.closed) fail(Sentence("This text has no closing quote."));
    emit(FormulaOp::Text, 0, static_cast<int>(out_.texts.size()));
    out_.texts.push_back(token_.text);
    advance();
  }

  void named() {
    const Token name = token_;
    if (const Function* f = functionNamed(name.text)) {
      advance();
      return call(*f, name);
    }
    if (const WindowFunction* f = windowFunctionNamed(name.text)) {
      if (over_ == FormulaOver::Rows)
        fail(Sentence("“{}” looks at the pixels around; a row has none.", name.text));
      advance();
      return window(*f, name);
    }
    variable();
  }

  void variable() {
    const Token name = token_;
    if (!name.closed) fail(Sentence("This name has no closing brace."));
    if (std::find(known_.begin(), known_.end(), name.text) == known_.end()) unknown();
    const auto& v = out_.variables;
    auto index = static_cast<int>(std::find(v.begin(), v.end(), name.text) - v.begin());
    if (index == static_cast<int>(v.size())) out_.variables.push_back(name.text);
    emit(FormulaOp::Band, 0, index);
    advance();
  }

  void call(const Function& f, const Token& name) {
    expect("(", Sentence("A function is followed by its values in parentheses."));
    size_t count = 0;
    do {
      expression();
      ++count;
      if (count > 1 && f.most > 2) emit(f.op, 2);
    } while (accept(","));
    expect(")", Sentence("A closing parenthesis is missing here."));
    if (count < f.fewest || count > f.most) {
      const Sentence wants = f.fewest != f.most ? Sentence("{} to {} values", f.fewest, f.most)
                             : f.most == 1      ? Sentence("1 value")
                                                : Sentence("{} values", f.most);
      throw FormulaError(name.at, name.length,
                         Sentence("“{}” takes {}, not {}.", name.text, wants, count));
    }
    if (f.most <= 2) emit(f.op, static_cast<int>(count));
  }

  /// What it looks at is compiled as a program of its own, and stands as a plane in this one.
  void window(WindowFunction function, const Token& name) {
    expect("(", Sentence("A function is followed by its values in parentheses."));
    FormulaWindow w;
    w.function = function;
    std::swap(w.steps, out_.steps);
    std::swap(w.stack, out_.stack);
    const int depth = std::exchange(depth_, 0);
    expression();
    std::swap(w.steps, out_.steps);
    std::swap(w.stack, out_.stack);
    depth_ = depth;
    if (!accept(","))
      fail(Sentence("“{}” takes a second value: the size of its window in pixels, such as 5.",
                    name.text));
    const double size = token_.value;  // may be far beyond any whole number
    if (token_.kind != Token::Number || !(size >= 3 && size <= kWidestWindow) ||
        std::fmod(size, 2) != 1)
      fail(Sentence("The size of a window is an odd whole number from 3 to {}.", kWidestWindow));
    w.size = static_cast<int>(size);
    advance();
    expect(")", Sentence("A closing parenthesis is missing here."));
    out_.windows.push_back(std::move(w));
    if (out_.windows.size() > kMostWindows)
      throw FormulaError(name.at, name.length,
                         Sentence("A formula looks around at most {} times; split it into "
                                  "several.",
                                  kMostWindows));
    emit(FormulaOp::Band, 0, -static_cast<int>(out_.windows.size()));
  }

  /// Their planes come after those of the variables, whose number is known only now.
  void numberWindows() {
    const auto number = [&](std::vector<FormulaStep>& steps) {
      for (auto& s : steps)
        if (s.op == FormulaOp::Band && s.band < 0)
          s.band = static_cast<int>(out_.variables.size()) - s.band - 1;
    };
    number(out_.steps);
    for (auto& w : out_.windows) number(w.steps);
  }

  [[noreturn]] void unknown() const {
    std::vector<std::string> names = known_;
    for (const auto& f : kFunctions) names.emplace_back(f.name);
    for (const auto& f : kWindowFunctions) names.emplace_back(f.first);
    const std::string near = nearestName(token_.text, names);
    if (over_ == FormulaOver::Rows) {
      const Sentence hint = near.empty() ? Sentence("") : Sentence(" Did you mean “{}”?", near);
      fail(Sentence("There is no column “{}”.{}", token_.text, hint), near);
    }
    const Sentence hint = !near.empty()    ? Sentence(" Did you mean “{}”?", near)
                          : known_.empty() ? Sentence(" The scene has no band roles yet.")
                                           : Sentence(" The roles here are {}.", listed(known_));
    fail(token_.text.find('.') == std::string::npos
             ? Sentence("“{}” is not a role of this scene.{}", token_.text, hint)
             : Sentence("“{}” is not known here.{}", token_.text, hint),
         near);
  }

  Formula out_;
  const std::vector<std::string>& known_;
  FormulaOver over_;
  Token token_{Token::End, "", 0, 0};
  int depth_ = 0, level_ = 0;
};

}  // namespace

int Formula::halo() const {
  std::vector<int> reach;
  const auto of = [&](const std::vector<FormulaStep>& inner) {
    int most = 0;
    const auto planes = static_cast<int>(variables.size());
    for (const auto& s : inner)
      if (s.op == FormulaOp::Band && s.band >= planes)
        most = std::max(most, reach[static_cast<size_t>(s.band - planes)]);
    return most;
  };
  for (const auto& w : windows) reach.push_back(w.size / 2 + of(w.steps));
  return of(steps);
}

Formula parseFormula(const std::string& text, const std::vector<std::string>& known,
                     FormulaOver over) {
  if (text.size() > kLongest)
    throw FormulaError(kLongest, 0,
                       Sentence("The formula is longer than {} characters; split it into "
                                "several.",
                                kLongest));
  return Parser(text, known, over).run();
}

std::vector<FormulaToken> formulaTokens(const std::string& text,
                                        const std::vector<std::string>& known) {
  std::vector<FormulaToken> out;
  for (Token t = nextToken(text, 0); t.kind != Token::End; t = nextToken(text, t.at + t.length)) {
    auto kind = FormulaToken::Sign;
    if (t.kind == Token::Number) kind = FormulaToken::Number;
    if (t.kind == Token::Text) kind = FormulaToken::Text;
    if (t.kind == Token::Name || t.kind == Token::Quoted) {
      const bool isRole = std::find(known.begin(), known.end(), t.text) != known.end();
      const bool plain = t.kind == Token::Name;
      kind = plain && isWord(t.text) ? FormulaToken::Word
             : plain && (functionNamed(t.text) != nullptr || windowFunctionNamed(t.text) != nullptr)
                 ? FormulaToken::Function
             : isRole ? FormulaToken::Name
                      : FormulaToken::Unknown;
    }
    out.push_back({kind, t.at, t.length});
  }
  return out;
}

const std::vector<std::pair<std::string, std::string>>& formulaFunctions() {
  static const std::vector<std::pair<std::string, std::string>> all{
      {"ndiff", words("ndiff(a, b) is (a − b) / (a + b)")},
      {"min", words("the smallest of its values")},
      {"max", words("the largest of its values")},
      {"abs", words("without the sign")},
      {"sqrt", words("square root")},
      {"log10", words("logarithm to base 10")},
      {"exp", words("e to this power")},
      {"mean_in", words("mean_in(a, 5) is the mean of the 5 x 5 pixels around")},
      {"min_in", words("the smallest in a window")},
      {"max_in", words("the largest in a window")},
      {"spread_in", words("the standard deviation in a window")}};
  return all;
}

}  // namespace zp
