// Columns of polygons around points, and of what is nearest to them.
#include "sampling/attribute_readings.h"

#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;
using Cells = std::vector<std::string>;

Layer pointsIn(const std::string& crs, const std::vector<Place>& places) {
  Layer layer{"points", crs, {{"id"}, {}}, {}};
  for (const auto& p : places) {
    layer.shapes.push_back({{}, {p}});
    layer.table.rows.push_back({std::to_string(layer.shapes.size())});
  }
  return layer;
}

/// Two beds of 100 m side by side that overlap in 10 m, with a row for each.
class ReadAttributes : public ::testing::Test {
 protected:
  ReadAttributes() {
    beds_.crs = crsFrom("EPSG:32633");
    beds_.table = {{"bed", "distance"}, {{"A", "far"}, {"B", "near"}}};
    for (const double left : {500'000., 500'090.})
      beds_.shapes.push_back({{{{left, 5'000'000},
                                {left + 100, 5'000'000},
                                {left + 100, 5'000'100},
                                {left, 5'000'100}}},
                              {}});
  }
  AttributeReadings read(const Layer& points, Attributes which) {
    return readAttributesAt(points, beds_, "Beds", which, {"id", "Beds bed"});
  }
  Layer beds_;
};

TEST_F(ReadAttributes, OfThePolygonAroundAndTheFirstOfSeveral) {
  const auto read = this->read(
      pointsIn(
          beds_.crs,
          {{500'050, 5'000'050}, {500'095, 5'000'050}, {500'150, 5'000'050}, {500'150, 5'000'150}}),
      Attributes::OfPolygonAround);
  EXPECT_EQ(read.columns, (Cells{"Beds bed_2", "Beds distance"}));
  EXPECT_EQ(read.rows, (std::vector<Cells>{{"A", "far"}, {"A", "far"}, {"B", "near"}, {"", ""}}));
  EXPECT_EQ(read.none, 1u);
  EXPECT_EQ(read.several, 1u);
  EXPECT_EQ(read.distance, "");
  Table table{{"id"}, {{"1"}, {"2"}, {"3"}, {"4"}}};
  appendTo(table, read);
  EXPECT_EQ(table.rows[2], (Cells{"3", "B", "near"}));
}

TEST_F(ReadAttributes, OfTheNearestInMetresWhateverTheSystemOfThePoints) {
  const std::vector<Place> places{{499'970, 5'000'050}, {500'220, 5'000'140}};
  const auto metres = read(pointsIn(beds_.crs, places), Attributes::OfNearest);
  EXPECT_EQ(metres.columns, (Cells{"Beds bed_2", "Beds distance", "Beds distance_2"}));
  EXPECT_EQ(metres.distance, "Beds distance_2");
  EXPECT_EQ(metres.rows[0], (Cells{"A", "far", "30"}));
  EXPECT_EQ(metres.rows[1], (Cells{"B", "near", "50"}));  // 30 east and 40 north of a corner
  auto degrees = places;
  const CrsChange change(beds_.crs, crsFrom("EPSG:4326"));
  for (auto& p : degrees) change.apply(p);
  const auto again = read(pointsIn(crsFrom("EPSG:4326"), degrees), Attributes::OfNearest);
  EXPECT_NEAR(std::stod(again.rows[1][2]), 50, 1e-3);
  EXPECT_EQ(again.rows[1][0], "B");
}

TEST_F(ReadAttributes, FeetBecomeMetres) {
  beds_.crs = crsFrom("EPSG:2263");
  const auto feet = read(pointsIn(beds_.crs, {{499'970, 5'000'050}}), Attributes::OfNearest);
  EXPECT_NEAR(std::stod(feet.rows[0][2]), 30 * 1200. / 3937, 1e-9);
}

TEST_F(ReadAttributes, LinesAreNearAndNothingLiesInThem) {
  Layer roads{"roads", beds_.crs, {{"road"}, {{"north"}, {"south"}}}, {}};
  for (const double y : {5'000'300., 4'999'900.}) {
    roads.shapes.emplace_back();
    roads.shapes.back().lines = {{{500'000, y}, {500'100, y}, {500'200, y + 50}}};
  }
  // As a file has them.
  const Folder folder;
  for (const char* ending : {"gpkg", "geojson", "shp"}) {
    const auto file = folder / (std::string("roads.") + ending);
    writeLayer(file, file, roads, {FieldType::Text});
    const Layer back = readLayer(file.string(), beds_.crs);
    ASSERT_EQ(back.shapes.size(), 2u) << ending;
    ASSERT_EQ(back.shapes[1].lines.size(), 1u) << ending;
    EXPECT_NEAR(back.shapes[1].lines[0][2].y, 4'999'950, 0.01) << ending;
    const auto read =
        readAttributesAt(pointsIn(beds_.crs, {{500'050, 5'000'000}, {500'050, 5'000'290}}), back,
                         "Roads", Attributes::OfNearest, {});
    EXPECT_EQ(read.rows[0][0], "south");
    EXPECT_NEAR(std::stod(read.rows[0][1]), 100, 0.01);
    EXPECT_EQ(read.rows[1][0], "north");
    EXPECT_NEAR(std::stod(read.rows[1][1]), 10, 0.01);
  }
  EXPECT_NE(sentenceOf([&] {
              readAttributesAt(pointsIn(beds_.crs, {{0, 0}}), roads, "Roads",
                               Attributes::OfPolygonAround, {});
            }).find("no polygons"),
            std::string::npos);
}

TEST_F(ReadAttributes, WhatCannotBeIsSaid) {
  const auto sentence = [&](const Layer& points, Attributes which) {
    return sentenceOf([&] { read(points, which); });
  };
  EXPECT_NE(sentence(pointsIn("", {{0, 0}}), Attributes::OfPolygonAround).find("reference system"),
            std::string::npos);
  beds_.crs = crsFrom("EPSG:4326");
  EXPECT_NE(sentence(pointsIn(beds_.crs, {{0, 0}}), Attributes::OfNearest).find("degrees"),
            std::string::npos);
  for (auto& shape : beds_.shapes) shape = {{}, {{1, 1}}};
  EXPECT_NE(sentence(pointsIn(beds_.crs, {{0, 0}}), Attributes::OfPolygonAround).find("polygons"),
            std::string::npos);
  beds_.shapes.assign(2, {});
  EXPECT_NE(sentence(pointsIn(beds_.crs, {{0, 0}}), Attributes::OfNearest).find("no places"),
            std::string::npos);
}

}  // namespace
}  // namespace zp
