#pragma once
#include "charts/relation_chart.h"
#include "window_fixture.h"

namespace zp::testing {

/// The sheet of a table of vegetation and temperature in cells of the demo study.
class TableWindow : public RealWindow {
 protected:
  /// Vegetation and surface temperature in cells of 500 m.
  void SetUp() override {
    RealWindow::SetUp();
    runStep({{"do", "index"},
             {"scene", s().scenes[2].id},
             {"formula", "ndiff(nir, red)"},
             {"name", "Vegetation"}});
    runStep({{"do", "import-quantity"},
             {"file", (s().folder() / "outlines/surface-temperature.tif").string()},
             {"unit", "°C"},
             {"from", "2031-07-01"},
             {"to", "2031-07-31"},
             {"name", "Temperature"}});
    runStep({{"do", "cells"},
             {"over", s().scenes[2].id},
             {"form", "squares"},
             {"size", 500},
             {"name", "Cells of 500 m"}});
    runStep({{"do", "zones"},
             {"cells", id(2)},
             {"from", {id(0), id(1)}},
             {"statistics", {"mean"}},
             {"name", "Warmth of the cells"}});
    open(id(3));
  }
  std::string id(size_t product) { return s().products[product].id; }
  void open(const std::string& table) {
    w().openTable(q(table));
    settle();
  }
  /// The means of the radar season in the compartments, as curves.
  void openSeason() {
    runStep({{"do", "zones"},
             {"outline", s().outlines[1].id},
             {"from", {s().scenes[3].id, s().scenes[4].id, s().scenes[5].id, s().scenes[6].id}},
             {"statistics", {"mean"}},
             {"rows", "zones-and-dates"},
             {"name", "Season"}});
    open(s().products.back().id);
    d().click("chartCurves");
  }
  void settle() {
    d().until([&] { return w().table().isVisible() && w().table().ready(); }, "the table");
  }
  TableBook& book() { return w().table().book(); }
  SheetView& rows() { return w().table().rows(); }
  QString trouble() {
    auto* label = w().findChild<QLabel*>("tableTrouble");
    return label->isVisible() ? label->text() : QString();
  }
  QString count() { return d().find<QLabel>("tableCount")->text(); }
  void where(const QString& formula) {
    auto* field = d().find<QLineEdit>("rowsWhere");
    field->setFocus();
    field->selectAll();
    QTest::keyClicks(field, formula);
    QTest::keyClick(field, Qt::Key_Return);
  }
  void type(const char* field, const QString& text) {
    auto* line = d().find<QLineEdit>(field);
    line->setFocus();
    line->clear();
    QTest::keyClicks(line, text);
  }
  void clickHead(int section, Qt::MouseButton button = Qt::LeftButton) {
    auto* head = rows().horizontalHeader();
    QTest::mouseClick(head->viewport(), button, {},
                      {head->sectionViewportPosition(section) + head->sectionSize(section) / 2, 8});
  }
  std::string cell(size_t row, const std::string& column) {
    return book().shown().columns[book().shown().column(column)].texts[row];
  }
  template <class Chart>
  Chart& chartOf() {
    return *w().table().template findChild<Chart*>();
  }
  bool enabled(const char* name) { return d().find(name)->isEnabled(); }
};

}  // namespace zp::testing
