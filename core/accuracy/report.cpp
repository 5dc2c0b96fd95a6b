#include "accuracy/report.h"

#include <fmt/format.h>

#include <algorithm>

#include "accuracy/report_style.h"
#include "accuracy/report_words.h"

namespace zp {
namespace {

constexpr double kChipWidth = 58;    // mm, as in the style
constexpr size_t kMostColumns = 25;  // of a matrix, and lines of a key beside its map

/// Writes the report part by part.
class HtmlReport {
 public:
  explicit HtmlReport(const Report& report) : r_(report) {}

  std::string html() {
    out_ = fmt::format(
        "<!DOCTYPE html>\n<html lang=\"en\">\n<head>\n<meta charset=\"utf-8\">\n"
        "<meta name=\"viewport\" content=\"width=device-width\">\n<title>{}</title>\n"
        "<style>{}</style>\n</head>\n<body>\n",
        escaped(r_.title), kReportStyle);
    head();
    map();
    matrix();
    chips();
    measures();
    if (r_.assessment.weighted) areas();
    sentences("How it was tested", r_.plan);
    agreement();
    lateChanges();
    sentences("What it learned from", r_.training);
    done();
    if (!r_.remarks.empty()) sentences("Remarks", {r_.remarks});
    return out_ + "</body>\n</html>\n";
  }

 private:
  template <class... Values>
  void add(fmt::format_string<Values...> form, Values&&... values) {
    fmt::format_to(std::back_inserter(out_), form, std::forward<Values>(values)...);
  }
  /// The interval of a share as the report tells it.
  std::string limits(const Estimate& e) const { return r_.intervals ? limitsText(e) : ""; }
  static std::string swatch(Colour c) {
    return fmt::format("<span class=\"swatch\" style=\"background:{}\"></span>", colourText(c));
  }
  std::string named(size_t i) const {
    for (const auto& c : r_.classes)
      if (c.code == r_.matrix.codes[i]) return swatch(c.colour) + escaped(r_.matrix.names[i]);
    return escaped(r_.matrix.names[i]);
  }
  double mappedArea(size_t i) const { return r_.assessment.mapShare(i) * r_.wholeArea; }

  void head() {
    add("<h1>{}</h1>\n<p class=\"second\">{}{}</p>\n", escaped(r_.title), escaped(r_.about),
        r_.author.empty() ? "" : " · by " + escaped(r_.author));
    const Assessment& a = r_.assessment;
    add("<p class=\"lead\"><b>{} of the {} right</b>", percentText(a.overall.value),
        a.weighted ? "mapped area is" : "tested points are");
    if (const auto told = limits(a.overall); !told.empty()) add(" (95 % interval {})", told);
    add(", by {} points.{}</p>\n", r_.matrix.total(), correction());
  }

  /// The class whose area the points correct most.
  std::string correction() const {
    if (!r_.assessment.weighted) return "";
    size_t most = 0;
    const auto moved = [&](size_t i) {
      return std::abs(r_.assessment.area[i].value - r_.assessment.mapShare(i));
    };
    for (size_t i = 1; i < r_.matrix.codes.size(); ++i)
      if (moved(i) > moved(most)) most = i;
    if (moved(most) * r_.wholeArea < 1) return "";
    const Estimate& e = r_.assessment.area[most];
    return fmt::format(" {} covers <b>{}</b>{}; the map alone would say {}.",
                       escaped(r_.matrix.names[most]), hectares(e.value * r_.wholeArea),
                       r_.intervals ? fmt::format(" ({} to {})", hectares(e.low * r_.wholeArea),
                                                  hectares(e.high * r_.wholeArea))
                                    : "",
                       hectares(mappedArea(most)));
  }

  void map() {
    add("<div class=\"map{}\">", r_.classes.size() > kMostColumns ? " below" : "");
    if (!r_.mapPng.empty())
      add("<img alt=\"The map\" src=\"data:image/png;base64,{}\">", base64(r_.mapPng));
    add("<div><table>");
    for (const auto& c : r_.classes)
      if (!(c.mapped == 0))
        add("<tr><td>{}{}</td><td class=\"n\">{}</td></tr>", swatch(c.colour), escaped(c.name),
            hectares(c.mapped));
    add("</table>\n<p></p>");
    for (const auto& s : r_.beside) add("<p class=\"second\">{}</p>", escaped(s));
    add("</div></div>\n");
  }

  /// So many classes, or such long words, that columns have no room for names.
  bool many() const {
    size_t longest = 0, word = 0;
    for (const auto& name : r_.matrix.names) {
      word = 0;
      for (const char c : name) longest = std::max(longest, word = c == ' ' ? 0 : word + 1);
    }
    return r_.matrix.codes.size() > 10 || longest > 14;
  }
  /// In points, so that all columns find room on a page.
  double matrixSize() const {
    return std::clamp(8.5 * 13 / (static_cast<double>(r_.matrix.codes.size()) + 4), 3.0, 8.5);
  }

  /// Of more classes than stand side by side on a page: what was taken for what, the largest first.
  void confusions() {
    const auto& m = r_.matrix;
    const auto& shares = r_.assessment.shares;
    std::vector<std::pair<size_t, size_t>> wrong;
    for (size_t i = 0; i < m.codes.size(); ++i)
      for (size_t j = 0; j < m.codes.size(); ++j)
        if (i != j && m.counts[i][j] > 0) wrong.push_back({i, j});
    std::stable_sort(wrong.begin(), wrong.end(), [&](const auto& a, const auto& b) {
      return shares[a.first][a.second] > shares[b.first][b.second];
    });
    add("<h2>Where it is wrong</h2>\n<p class=\"second\">{} of {} points are right. The others, "
        "those "
        "that stand for the largest part of the area first; the whole matrix is too wide for a "
        "page "
        "and goes out as CSV.</p>\n<table><tr><th>mapped as</th><th>on the ground</th><th "
        "class=\"n\">points</th><th class=\"n\">% {}</th></tr>\n",
        m.right(), m.total(), r_.assessment.weighted ? "of the area" : "of the points");
    for (const auto& [i, j] : wrong)
      add("<tr><td>{}</td><td>{}</td><td class=\"n\">{}</td><td class=\"n\">{:.1f}</td></tr>\n",
          named(i), named(j), m.counts[i][j], 100 * shares[i][j]);
    add("</table>\n");
  }

  void matrix() {
    const auto& m = r_.matrix;
    const Assessment& a = r_.assessment;
    if (m.codes.size() > kMostColumns) return confusions();
    add("<h2>Where it is wrong</h2>\n<p class=\"second\">Rows: what the map says. Columns: what "
        "the reference says. {}</p>\n<table class=\"matrix\" style=\"font-size:{:.1f}pt\">"
        "<tr><th></th>",
        a.weighted ? "Per cent of the area." : "Points.", matrixSize());
    // Many classes stand in their columns by a number.
    for (size_t j = 0; j < m.codes.size(); ++j)
      add("<th class=\"n column\">{}</th>", many() ? std::to_string(j + 1) : escaped(m.names[j]));
    add("<th class=\"n\">points</th><th class=\"n\">user’s %</th></tr>\n");
    for (size_t i = 0; i < m.codes.size(); ++i) {
      add("<tr><td>{}{}</td>", many() ? std::to_string(i + 1) + " " : "", named(i));
      for (size_t j = 0; j < m.codes.size(); ++j) cell(i, j);
      add("<td class=\"n\">{}</td><td class=\"n\">{}</td></tr>\n", m.rowTotal(i),
          percentText(a.users[i].value, 0));
    }
    add("<tr><td>producer’s %</td>");
    for (const auto& p : a.producers) add("<td class=\"n\">{}</td>", percentText(p.value, 0));
    add("<td class=\"n\">{}</td><td class=\"n\"><b>{}</b></td></tr></table>\n", m.total(),
        percentText(a.overall.value));
  }

  void cell(size_t i, size_t j) {
    const size_t n = r_.matrix.counts[i][j];
    if (n == 0 && i != j) return add("<td class=\"n none\">·</td>");
    add("<td class=\"n {}\">{}</td>", i == j ? "right" : "wrong",
        r_.assessment.weighted ? fmt::format("{:.1f}", 100 * r_.assessment.shares[i][j])
                               : std::to_string(n));
  }

  void chips() {
    if (r_.chips.empty()) return;
    add("<div class=\"chips\">");
    for (const auto& c : r_.chips) {
      add("<figure>");
      if (!c.png.empty())
        add("<div class=\"chip\"><img alt=\"\" src=\"data:image/png;base64,{}\"><span "
            "class=\"mark\" style=\"width:{:.2f}mm;height:{:.2f}mm;left:{:.2f}mm;top:{:.2f}mm\">"
            "</span></div>",
            base64(c.png), kChipWidth * c.pixel, kChipWidth * c.pixel,
            kChipWidth * (0.5 - c.pixel / 2), kChipWidth * (c.height - c.pixel) / 2);
      add("<figcaption>mapped <b>{}</b>, is <b>{}</b>: {} {}</figcaption></figure>",
          escaped(c.mapped), escaped(c.reference), c.points, c.points == 1 ? "point" : "points");
    }
    add("</div>\n");
  }

  void measure(const char* what, const std::string& value, const std::string& limits) {
    add("<tr><td>{}</td><td class=\"n\">{}</td><td class=\"n\">{}</td></tr>\n", what, value,
        limits.empty() ? "–" : limits);
  }

  void measures() {
    const Assessment& a = r_.assessment;
    add("<h2>How right it is</h2>\n<p class=\"second\">{} 95 % intervals in per cent.</p>\n",
        a.weighted              ? "Weighted by area."
        : r_.whyCounted.empty() ? "Every point counts the same."
                                : escaped(r_.whyCounted));
    add("<table class=\"lines\"><tr><th></th><th class=\"n\"></th><th class=\"n\">95 %</th></tr>");
    measure("Overall accuracy", percentText(a.overall.value), limits(a.overall));
    const std::string strength = strengthOf(a.kappa.value);
    add("<tr><td>Kappa{}</td><td class=\"n\">{}</td><td class=\"n\">{}</td></tr>\n",
        strength.empty() ? "" : " (“" + strength + "” by the convention of Landis and Koch 1977)",
        std::isnan(a.kappa.value) ? "–" : fmt::format("{:.3f}", a.kappa.value),
        !r_.intervals || std::isnan(a.kappa.low)
            ? "–"
            : fmt::format("{:.3f} to {:.3f}", a.kappa.low, a.kappa.high));
    measure("Quantity disagreement", percentText(a.quantity), "");
    measure("Allocation disagreement", percentText(a.allocation), "");
    add("</table>\n<table class=\"lines\"><tr><th></th><th class=\"n\">user’s</th><th "
        "class=\"n\">95 %</th><th class=\"n\">producer’s</th><th class=\"n\">95 %</th><th "
        "class=\"n\">F1</th><th class=\"n\">95 %</th></tr>\n");
    for (size_t i = 0; i < r_.matrix.codes.size(); ++i) {
      add("<tr><td>{}</td>", named(i));
      for (const auto* e : {&a.users[i], &a.producers[i], &a.f1[i]})
        add("<td class=\"n\">{}</td><td class=\"n second\">{}</td>", percentText(e->value),
            limits(*e));
      add("</tr>\n");
    }
    add("</table>\n");
  }

  void areas() {
    add("<h2>How much there is of each class</h2>\n<p class=\"second\">Areas corrected by the "
        "points (Olofsson et al. 2014), beside those that the map alone says.</p>\n<table "
        "class=\"lines\"><tr><th></th><th class=\"n\">mapped</th><th class=\"n\">corrected</th>"
        "<th class=\"n\">95 %</th></tr>\n");
    for (size_t i = 0; i < r_.matrix.codes.size(); ++i) {
      const Estimate& e = r_.assessment.area[i];
      add("<tr><td>{}</td><td class=\"n\">{}</td><td class=\"n\">{}</td><td class=\"n "
          "second\">{}</td></tr>\n",
          named(i), hectares(mappedArea(i)), hectares(e.value * r_.wholeArea),
          r_.intervals && !std::isnan(e.low)
              ? hectares(e.low * r_.wholeArea) + " to " + hectares(e.high * r_.wholeArea)
              : "");
    }
    add("</table>\n");
  }

  void sentences(const char* title, const std::vector<std::string>& all) {
    if (all.empty()) return;
    add("<h2>{}</h2>\n<p>", title);
    for (const auto& s : all) add("{} ", escaped(s));
    add("</p>\n");
  }

  void agreement() {
    if (!r_.agreement) return;
    const Agreement& a = *r_.agreement;
    add("<p>{} and {} say the same at {} of {} points that both labelled ({}), ", escaped(r_.first),
        escaped(r_.second), percentText(a.share.value), a.matrix.total(), limitsText(a.share));
    add("kappa {}. {} of {} differences were settled between them.</p>\n",
        std::isnan(a.kappa.value) ? "–" : fmt::format("{:.2f}", a.kappa.value),
        a.disagreements.size() - a.open(), a.disagreements.size());
  }

  std::string nameOf(int code) const {
    for (const auto& c : r_.classes)
      if (c.code == code) return escaped(c.name);
    return code == 0 ? "no label" : fmt::format("class {}", code);
  }

  void lateChanges() {
    if (r_.late.empty()) return;
    add("<h2>Labels changed after the closing</h2>\n<table class=\"lines\"><tr><th>Point</th>"
        "<th>From</th><th>To</th><th>Who</th><th>Why</th><th>When</th><th class=\"n\">overall "
        "before</th></tr>\n");
    for (size_t i = 0; i < r_.late.size(); ++i) {
      const LateChange& c = r_.late[i];
      add("<tr><td>{}</td><td>{}</td><td>{}</td><td>{}</td><td>{}</td><td>{}</td><td "
          "class=\"n\">{}</td></tr>\n",
          c.id, nameOf(c.from), nameOf(c.to), escaped(c.who), escaped(c.why),
          escaped(c.when.substr(0, 10)),
          i < r_.overallBefore.size() ? percentText(r_.overallBefore[i]) : "");
    }
    add("</table>\n");
  }

  void done() {
    if (r_.done.empty()) return;
    add("<h2>What was done</h2>\n<ol class=\"second\">\n");
    for (const auto& d : r_.done)
      add("<li>{}{}</li>\n", escaped(d.name), d.how.empty() ? "" : ": " + escaped(d.how));
    add("</ol>\n");
  }

  const Report& r_;
  std::string out_;
};

}  // namespace

std::string toHtml(const Report& report) {
  return HtmlReport(report).html();
}

}  // namespace zp
