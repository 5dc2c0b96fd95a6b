#include "accuracy/typed_matrix.h"

#include <algorithm>
#include <cmath>

#include "base/error.h"
#include "base/text.h"

namespace zp {
namespace {

using Cells = std::vector<std::string>;
constexpr size_t kMostClasses = 200;
constexpr double kMostTyped = 1e6;

char separatorOf(const std::string& text) {
  for (const char c : {'\t', ';', ','})
    if (text.find(c) != std::string::npos) return c;
  return ' ';
}

Cells cellsOf(const std::string& line, char separator) {
  Cells cells(1);
  bool quoted = false;
  for (const char c : line) {
    if (c == '"')
      quoted = !quoted;
    else if (c == separator && !quoted)
      cells.emplace_back();
    else
      cells.back() += c;
  }
  for (auto& cell : cells) cell = trimmed(cell);
  if (separator == ' ')
    cells.erase(std::remove(cells.begin(), cells.end(), std::string()), cells.end());
  return cells;
}

std::vector<Cells> linesOf(const std::string& text) {
  const char separator = separatorOf(text);
  std::vector<Cells> lines;
  for (const auto& line : split(text, '\n')) {
    Cells cells = cellsOf(line, separator);
    const bool any =
        std::any_of(cells.begin(), cells.end(), [](const auto& c) { return !c.empty(); });
    if (any) lines.push_back(std::move(cells));
  }
  return lines;
}

bool isNumber(const std::string& cell) {
  return parseNumber(cell).has_value();
}

/// What is there: where the counts stand, and what the classes are called.
struct Layout {
  Cells names;
  std::vector<Cells> rows;                // of these classes, in this order
  std::vector<size_t> columns;            // likewise
  size_t area = static_cast<size_t>(-1);  // column; none
};

/// What is called so is no class.
bool isSum(const std::string& name) {
  for (const char* sum : {"total", "totals", "sum", "sums", "all", "points"})
    if (lowered(name) == sum) return true;
  return name.empty();
}

/// Rows are found by the names of the columns; what else stands there (totals, accuracies) is not
/// of the matrix.
Layout byNames(const std::vector<Cells>& lines) {
  Layout layout;
  const Cells& head = lines[0];
  bool classes = true;  // still; then come totals and the like
  for (size_t c = 1; c < head.size(); ++c) {
    const auto row = std::find_if(lines.begin() + 1, lines.end(), [&](const Cells& line) {
      return lowered(line[0]) == lowered(head[c]);
    });
    if (lowered(head[c]) == "area") {
      layout.area = c;
    } else if (!classes || row == lines.end() || isSum(head[c])) {
      classes = false;
    } else {
      layout.names.push_back(head[c]);
      layout.rows.push_back(*row);
      layout.columns.push_back(c);
    }
  }
  return layout;
}

/// Numbers alone, or names before them or above them.
Layout byPlace(std::vector<Cells> lines) {
  Layout layout;
  Cells head;
  if (!isNumber(lines[0].back())) {
    head = lines[0];
    lines.erase(lines.begin());
  }
  const bool named = !lines.empty() && !isNumber(lines[0][0]);
  const size_t first = named ? 1 : 0, n = lines.size();
  if (!head.empty() && head.size() == n) head.insert(head.begin(), first, "");
  for (const auto& line : lines)
    if (line.size() != first + n)
      throw Error("It has {} rows, and {} numbers in one of them; a matrix has as many of both.", n,
                  line.size() - first);
  for (size_t i = 0; i < n; ++i) {
    layout.columns.push_back(first + i);
    layout.names.push_back(named ? lines[i][0]
                           : first + i < head.size() && !head.empty()
                               ? head[first + i]
                               : "class " + std::to_string(i + 1));
  }
  layout.rows = std::move(lines);
  return layout;
}

double numberAt(const Cells& row, size_t column, const std::string& name, const char* what) {
  const std::string cell = column < row.size() ? row[column] : "";
  const auto v = parseNumber(cell);
  if (!v || *v < 0 || !std::isfinite(*v))
    throw Error("In the row of “{}” “{}” is no {}.", name, cell, what);
  return *v;
}

}  // namespace

TypedMatrix typedMatrix(const std::string& text, bool columnsAreMap) {
  const auto lines = linesOf(text);
  if (lines.empty()) throw Error("There is no matrix yet: a row of numbers for each class.");
  const bool heading = lines.size() > 1 && !isNumber(lines[0].back());
  Layout layout = heading ? byNames(lines) : Layout();
  if (layout.names.empty()) layout = byPlace(lines);
  const size_t n = layout.names.size();
  if (n == 0) throw Error("There is no row of numbers in it.");
  if (n > kMostClasses) throw Error("It has {} classes; {} are the most.", n, kMostClasses);
  TypedMatrix typed;
  auto& m = typed.matrix;
  double all = 0;
  m.counts.assign(n, std::vector<size_t>(n, 0));
  for (size_t i = 0; i < n; ++i) {
    m.codes.push_back(static_cast<int>(i) + 1);
    m.names.push_back(layout.names[i]);
    for (size_t j = 0; j < n; ++j) {
      const double v =
          numberAt(layout.rows[i], layout.columns[j], layout.names[i], "number of points");
      if (v != std::floor(v))
        throw Error(
            "In the row of “{}” {} is no whole number; a matrix of points is needed, not of "
            "shares.",
            layout.names[i], readable(v));
      all += v;
      (columnsAreMap ? m.counts[j][i] : m.counts[i][j]) = static_cast<size_t>(std::min(v, 1e9));
    }
    if (layout.area != static_cast<size_t>(-1))
      typed.areas[m.codes[i]] = numberAt(layout.rows[i], layout.area, layout.names[i], "area");
  }
  if (all == 0) throw Error("It holds no point.");
  for (size_t i = 0; i < n; ++i)
    if (const auto area = typed.areas.find(m.codes[i]);
        area != typed.areas.end() && area->second > 0 && m.rowTotal(i) == 0)
      throw Error("“{}” has an area but no point; leave the areas out, or the class.", m.names[i]);
  if (all > kMostTyped) throw Error("It holds more than a million points.");
  return typed;
}

Assessment assess(const TypedMatrix& typed) {
  if (typed.areas.empty()) return assessCounts(typed.matrix);
  std::vector<DrawnPoint> points;
  const auto& m = typed.matrix;
  for (size_t i = 0; i < m.codes.size(); ++i)
    for (size_t j = 0; j < m.codes.size(); ++j)
      points.insert(points.end(), m.counts[i][j], {m.codes[i], m.codes[i], m.codes[j]});
  return assessByStrata(m, points, typed.areas);
}

}  // namespace zp
