#include "accuracy/matrix_table.h"

#include <cmath>

#include "base/text.h"

namespace zp {
namespace {

std::string told(double v) {
  return std::isnan(v) ? std::string() : shortest(v);
}

/// Builds the table row by row, all of one width.
class Writing {
 public:
  Writing(const ConfusionMatrix& m, const Assessment& a, const MatrixTable& how)
      : m_(m), a_(a), how_(how) {}

  Table table() {
    heads();
    const auto& ofRows = how_.turned ? a_.producers : a_.users;
    const auto& ofColumns = how_.turned ? a_.users : a_.producers;
    for (size_t r = 0; r < m_.codes.size(); ++r) body(r, ofRows[r]);
    const std::string words = how_.turned ? "user's accuracy" : "producer's accuracy";
    row(marginName(), [&](size_t c) { return margin(c, !how_.turned); });
    t_.rows.back()[m_.codes.size() + 1] = a_.weighted ? "1" : std::to_string(m_.total());
    row(words, [&](size_t c) { return told(ofColumns[c].value); });
    row("low (95 %)", [&](size_t c) { return limit(ofColumns[c].low); });
    row("high (95 %)", [&](size_t c) { return limit(ofColumns[c].high); });
    row("F1", [&](size_t c) { return told(a_.f1[c].value); });
    measures();
    return t_;
  }

 private:
  std::string limit(double v) const { return how_.intervals ? told(v) : std::string(); }
  std::string marginName() const { return a_.weighted ? "share of the area" : "points"; }

  std::string cell(size_t r, size_t c) const {
    const size_t map = how_.turned ? c : r, reference = how_.turned ? r : c;
    return a_.weighted ? told(a_.shares[map][reference])
                       : std::to_string(m_.counts[map][reference]);
  }

  std::string margin(size_t i, bool ofReference) const {
    if (!a_.weighted) return std::to_string(ofReference ? m_.columnTotal(i) : m_.rowTotal(i));
    return told(ofReference ? a_.area[i].value : a_.mapShare(i));
  }

  void heads() {
    t_.columns = {how_.turned ? "rows: reference, columns: map" : "rows: map, columns: reference"};
    for (const auto& name : m_.names) t_.columns.push_back(name);
    t_.columns.insert(t_.columns.end(),
                      {marginName(), how_.turned ? "producer's accuracy" : "user's accuracy",
                       "low (95 %)", "high (95 %)"});
  }

  void body(size_t r, const Estimate& accuracy) {
    row(m_.names[r], [&](size_t c) { return cell(r, c); });
    auto& cells = t_.rows.back();
    const size_t at = m_.codes.size() + 1;
    cells[at] = margin(r, how_.turned);
    cells[at + 1] = told(accuracy.value);
    cells[at + 2] = limit(accuracy.low);
    cells[at + 3] = limit(accuracy.high);
  }

  template <typename Cell>
  void row(const std::string& title, Cell cell) {
    std::vector<std::string> cells{title};
    for (size_t c = 0; c < m_.codes.size(); ++c) cells.push_back(cell(c));
    cells.resize(t_.columns.size());
    t_.rows.push_back(std::move(cells));
  }

  void measure(const std::string& title, const std::vector<std::string>& values) {
    std::vector<std::string> cells{title};
    cells.insert(cells.end(), values.begin(), values.end());
    cells.resize(t_.columns.size());
    t_.rows.push_back(std::move(cells));
  }

  void measures() {
    const auto estimate = [this](const Estimate& e) {
      return std::vector<std::string>{told(e.value), limit(e.low), limit(e.high)};
    };
    const std::string how = a_.weighted ? ", weighted by area" : "";
    measure("overall accuracy" + how + " (value, low, high)", estimate(a_.overall));
    measure("kappa" + how + " (value, low, high)", estimate(a_.kappa));
    measure("quantity disagreement" + how, {told(a_.quantity)});
    measure("allocation disagreement" + how, {told(a_.allocation)});
  }

  const ConfusionMatrix& m_;
  const Assessment& a_;
  const MatrixTable& how_;
  Table t_;
};

}  // namespace

Table toTable(const ConfusionMatrix& m, const Assessment& a, const MatrixTable& how) {
  return Writing(m, a, how).table();
}

}  // namespace zp
