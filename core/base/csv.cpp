#include "base/csv.h"

#include <algorithm>
#include <fstream>
#include <optional>

#include "base/error.h"
#include "base/text.h"

namespace zp {
namespace {

constexpr const char* kUtf8Mark = "\xEF\xBB\xBF";
constexpr size_t kLongestCell = 1 << 20;

std::ifstream opened(const std::filesystem::path& file) {
  std::error_code ec;
  if (!std::filesystem::is_regular_file(file, ec))
    throw Error("“{}” does not exist; check the name.", file.string());
  std::ifstream in(file, std::ios::binary);
  if (!in) throw Error("“{}” cannot be read; check who may read it.", file.string());
  std::string mark(3, '\0');
  in.read(mark.data(), 3);
  if (in.gcount() < 3 || mark != kUtf8Mark) {
    in.clear();
    in.seekg(0);
  }
  return in;
}

/// Reads record by record and knows where it is.
class Reader {
 public:
  Reader(std::istream& in, char separator) : in_(in.rdbuf()), separator_(separator) {}

  /// The cells of the next record; nothing at the end. Empty lines are passed over.
  std::optional<std::vector<std::string>> next() {
    while (peek() == '\n' || peek() == '\r') take();
    if (peek() == EOF) return {};
    recordLine_ = line_;
    std::vector<std::string> cells;
    while (true) {
      cells.push_back(cell());
      if (peek() != separator_) break;
      take();
    }
    if (peek() == '\r') take();
    if (peek() == '\n') take();
    return cells;
  }
  size_t line() const { return recordLine_; }

 private:
  int peek() const { return in_->sgetc(); }
  int take() {
    const int c = in_->sbumpc();
    ++column_;
    if (c == '\n') ++line_, column_ = 1;
    return c;
  }
  bool ended(int c) const { return c == EOF || c == separator_ || c == '\n' || c == '\r'; }

  std::string cell() {
    const size_t line = line_, column = column_;
    std::string text = peek() == '"' ? quoted(line, column) : plain();
    if (!isUtf8(text))
      throw Error("Line {}, column {}: this is no UTF-8; save the file in that encoding.", line,
                  column);
    return text;
  }

  std::string plain() {
    std::string text;
    while (!ended(peek())) {
      if (peek() == '"')
        throw Error(
            "Line {}, column {}: a quote stands within a cell; quote the whole cell and "
            "double the quote.",
            line_, column_);
      add(text, take());
    }
    return text;
  }

  std::string quoted(size_t line, size_t column) {
    std::string text;
    take();
    while (true) {
      const int c = take();
      if (c == EOF)
        throw Error("Line {}, column {}: the quote that begins here is never closed.", line,
                    column);
      if (c == '"' && peek() != '"') break;
      if (c == '"') take();
      add(text, c);
    }
    if (!ended(peek()))
      throw Error("Line {}, column {}: something follows a closing quote; part the cells there.",
                  line_, column_);
    return text;
  }

  void add(std::string& text, int c) const {
    if (text.size() == kLongestCell)
      throw Error("Line {}, column {}: a cell is longer than a million bytes.", line_, column_);
    text += static_cast<char>(c);
  }

  std::streambuf* in_;
  char separator_;
  size_t line_ = 1, column_ = 1, recordLine_ = 1;
};

std::vector<std::string> namesFrom(const std::vector<std::string>& head) {
  std::vector<std::string> names;
  for (size_t c = 0; c < head.size(); ++c) {
    std::string name = trimmed(head[c]);
    if (name.empty()) throw Error("Line 1: column {} of {} has no name.", c + 1, head.size());
    const std::string wanted = name;
    for (int n = 2; std::find(names.begin(), names.end(), name) != names.end(); ++n)
      name = wanted + "_" + std::to_string(n);
    names.push_back(name);
  }
  return names;
}

/// 1,5 as 1.5; what is no such number stays.
void readDecimal(std::string& cell) {
  const auto comma = cell.find(',');
  if (comma == std::string::npos) return;
  std::string point = cell;
  point[comma] = '.';
  if (parseNumber(trimmed(point))) cell = point;
}

/// How well a separator parts the first records: 0 for not at all.
size_t partedBy(const std::filesystem::path& file, char separator) {
  constexpr int kLooked = 20;
  auto in = opened(file);
  Reader reader(in, separator);
  size_t cells = 0;
  try {
    for (int i = 0; i < kLooked; ++i) {
      const auto record = reader.next();
      if (!record) break;
      if (i == 0) cells = record->size();
      if (record->size() != cells) return 0;
    }
  } catch (const Error&) {
    return 0;
  }
  return cells > 1 ? cells : 0;
}

}  // namespace

CsvDialect dialectOf(const std::filesystem::path& file) {
  CsvDialect dialect;
  size_t most = 0;
  for (const char separator : {',', ';', '\t'})
    if (const size_t cells = partedBy(file, separator); cells > most)
      most = cells, dialect.separator = separator;
  if (dialect.separator == ',' || most == 0) return dialect;
  size_t points = 0, commas = 0;
  auto in = opened(file);
  Reader reader(in, dialect.separator);
  reader.next();
  for (int i = 0; i < 20; ++i) {
    const auto record = reader.next();
    if (!record) break;
    for (std::string cell : *record) {
      if (cell.find('.') != std::string::npos && parseNumber(trimmed(cell))) ++points;
      const std::string before = cell;
      readDecimal(cell);
      commas += cell != before ? 1 : 0;
    }
  }
  if (commas > 0 && points == 0) dialect.decimal = ',';
  return dialect;
}

Table readCsv(const std::filesystem::path& file, const CsvDialect& dialect, size_t limit,
              size_t most) {
  auto in = opened(file);
  Reader reader(in, dialect.separator);
  const auto head = reader.next();
  if (!head) throw Error("The table is empty.");
  Table table{namesFrom(*head), {}};
  while (table.rows.size() < most) {
    auto cells = reader.next();
    if (!cells) break;
    if (cells->size() != table.columns.size())
      throw Error("Line {} has {} cells where the first has {}.", reader.line(), cells->size(),
                  table.columns.size());
    if (table.rows.size() == limit)
      throw Error("The table has more than {} rows; divide it first.", limit);
    if (dialect.decimal == ',')
      for (auto& cell : *cells) readDecimal(cell);
    table.rows.push_back(std::move(*cells));
  }
  return table;
}

}  // namespace zp
