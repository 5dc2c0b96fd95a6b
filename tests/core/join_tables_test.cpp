// Tables joined by keys, dates and places.
#include "sampling/join_tables.h"

#include <cmath>

#include "base/random.h"
#include "base/text.h"
#include "outline/field_types.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;

const Table kBeds{{"bed", "kind"}, {{"1", "reed"}, {"2", "osier"}, {"07", "reed"}, {"", "none"}}};

TEST(JoinByKeys, NumbersAreEqualAsNumbersAndEmptyEqualsNothing) {
  const Table records{{"number", "kind", "cut"},
                      {{"7.0", "x", "2029"},
                       {" 1 ", "y", "2031"},
                       {"", "z", "0"},
                       {"1", "w", "2030"},
                       {"9", "v", "1"}}};
  const auto m = matchByKeys(kBeds, records, {{"bed", "number"}});
  EXPECT_EQ(m.rows, (std::vector<std::vector<size_t>>{{1, 3}, {}, {0}, {}}));
  EXPECT_EQ(m.matched(), 2u);
  EXPECT_EQ(m.several(), 1u);
  EXPECT_EQ(m.unused(records.rows.size()), 2u);
  const Table first = joined(kBeds, records, m, false);
  EXPECT_EQ(first.columns,
            (std::vector<std::string>{"bed", "kind", "number", "kind_2", "cut", "matches"}));
  ASSERT_EQ(first.rows.size(), 4u);
  EXPECT_EQ(first.rows[0], (std::vector<std::string>{"1", "reed", " 1 ", "y", "2031", "2"}));
  EXPECT_EQ(first.rows[1], (std::vector<std::string>{"2", "osier", "", "", "", "0"}));
  std::vector<size_t> origin;
  EXPECT_EQ(joined(kBeds, records, m, true, &origin).rows.size(), 5u);
  EXPECT_EQ(origin, (std::vector<size_t>{0, 0, 1, 2, 3}));
}

TEST(JoinByKeys, ByKeyAndTheNearestDate) {
  const Table seen{
      {"bed", "date"},
      {{"1", "2031-05-10"}, {"1", "2031-06-01T10:20:00Z"}, {"2", "2031-05-10"}, {"1", ""}}};
  const Table level{{"bed", "day", "cm"},
                    {{"1", "2031-05-08", "4"},
                     {"1", "2031-05-12", "6"},
                     {"1", "2031-06-01", "9"},
                     {"2", "2031-09-01", "1"},
                     {"1", "", "0"}}};
  const JoinDates same{{"date", "day"}, 0}, near{{"date", "day"}, 5};
  EXPECT_EQ(matchByKeys(seen, level, {{"bed", "bed"}}, same).rows,
            (std::vector<std::vector<size_t>>{{}, {2}, {}, {}}));
  // Of two as near, the earlier.
  EXPECT_EQ(matchByKeys(seen, level, {{"bed", "bed"}}, near).rows,
            (std::vector<std::vector<size_t>>{{0}, {2}, {}, {}}));
  const Table broken{{"bed", "day"}, {{"1", "2031-05-08"}, {"1", "31 May"}}};
  EXPECT_NE(sentenceOf([&] {
              matchByKeys(seen, broken, {{"bed", "bed"}}, same);
            }).find("row 2 of the column “day”"),
            std::string::npos);
  const Table never{{"bed", "day"}, {{"1", "2031-02-30"}}};
  EXPECT_NE(sentenceOf([&] {
              matchByKeys(seen, never, {{"bed", "bed"}}, same);
            }).find("no date"),
            std::string::npos);
}

TEST(JoinByKeys, SeveralKeysAndWrongOnes) {
  const Table a{{"x", "y"}, {{"1", "a"}, {"1", "b"}}}, b{{"y", "x"}, {{"b", "1.0"}, {"c", "1"}}};
  EXPECT_EQ(matchByKeys(a, b, {{"x", "x"}, {"y", "y"}}).rows,
            (std::vector<std::vector<size_t>>{{}, {0}}));
  EXPECT_NE(sentenceOf([&] {
              matchByKeys(a, b, {{"z", "x"}});
            }).find("no column “z”"),
            std::string::npos);
  EXPECT_NE(sentenceOf([&] { matchByKeys(a, b, {}); }).find("by which columns"), std::string::npos);
}

Layer squares(const std::vector<std::array<double, 3>>& cornersAndSide) {
  Layer layer;
  layer.crs = crsFrom("EPSG:32627");
  layer.table.columns = {"id"};
  for (const auto& [x, y, side] : cornersAndSide) {
    layer.table.rows.push_back({std::to_string(layer.shapes.size() + 1)});
    layer.shapes.push_back({{{{x, y}, {x + side, y}, {x + side, y + side}, {x, y + side}}}, {}});
  }
  return layer;
}

Layer points(const std::vector<Place>& places) {
  Layer layer;
  layer.crs = crsFrom("EPSG:32627");
  layer.table.columns = {"id"};
  for (const auto& p : places) {
    layer.table.rows.push_back({std::to_string(layer.shapes.size() + 1)});
    layer.shapes.push_back({{}, {p}});
  }
  return layer;
}

TEST(JoinByPlace, WithinAPolygonItsHoleAndItsNeighbours) {
  Layer zones = squares({{500000, 5000000, 100}, {500100, 5000000, 100}, {500020, 5000020, 30}});
  // A hole in the second.
  zones.shapes[1].rings.push_back(
      {{500140, 5000040}, {500160, 5000040}, {500160, 5000060}, {500140, 5000060}});
  Layer places = points({{500030, 5000030},
                         {500150, 5000050},
                         {500190, 5000050},
                         {500100, 5000050},
                         {499999, 5000050}});
  places.shapes.push_back({});
  places.table.rows.push_back({"6"});
  const auto m = matchByPlace(places, zones, {});
  EXPECT_EQ(m.rows, (std::vector<std::vector<size_t>>{{0, 2}, {}, {1}, {0, 1}, {}, {}}));
  // The same from another system.
  const CrsChange change(places.crs, crsFrom("EPSG:4326"));
  Layer degrees = places;
  degrees.crs = crsFrom("EPSG:4326");
  for (auto& s : degrees.shapes)
    for (auto& p : s.points) change.apply(p);
  EXPECT_EQ(matchByPlace(degrees, zones, {}).rows[2], (std::vector<size_t>{1}));
}

TEST(JoinByPlace, TheLargestOverlapFirst) {
  const Layer cells = squares({{500000, 5000000, 100}, {501000, 5000000, 10}}),
              zones =
                  squares({{500090, 5000000, 100}, {499950, 5000000, 100}, {500100, 5000000, 50}});
  const auto m = matchByPlace(cells, zones, {PlaceRelation::Overlap, 0, {}});
  ASSERT_EQ(m.rows, (std::vector<std::vector<size_t>>{{1, 0}, {}}));  // touching is none
  EXPECT_NEAR(m.measures[0][0], 0.5, 1e-12);
  EXPECT_NEAR(m.measures[0][1], 0.1, 1e-12);
  EXPECT_EQ(matchByPlace(cells, zones, {PlaceRelation::Overlap, 0.2, {}}).rows[0].size(), 1u);
  const Table t = joined(cells.table, zones.table, m, false);
  EXPECT_EQ(t.columns, (std::vector<std::string>{"id", "id_2", "share", "matches"}));
  EXPECT_EQ(t.rows[0], (std::vector<std::string>{"1", "2", "0.5", "2"}));
  EXPECT_EQ(t.rows[1], (std::vector<std::string>{"2", "", "", "0"}));
}

TEST(JoinByPlace, TheNearestOfManyAgreesWithEveryPair) {
  Random random(4);
  const auto scattered = [&](int n, double wide) {
    std::vector<Place> all;
    for (int i = 0; i < n; ++i)
      all.push_back({500000 + random.between(0, wide), 5000000 + random.between(0, wide)});
    return all;
  };
  const auto here = scattered(200, 5000), there = scattered(300, 300);  // crowded in a corner
  const auto m = matchByPlace(points(here), points(there), {PlaceRelation::Nearest, 0, {}});
  for (size_t i = 0; i < here.size(); ++i) {
    double best = INFINITY;
    size_t at = 0;
    for (size_t j = 0; j < there.size(); ++j) {
      const double d = std::hypot(here[i].x - there[j].x, here[i].y - there[j].y);
      if (d < best) best = d, at = j;
    }
    ASSERT_EQ(m.rows[i], (std::vector<size_t>{at}));
    EXPECT_NEAR(m.measures[i][0], best, 1e-6);
  }
  const auto near = matchByPlace(points(here), points(there), {PlaceRelation::Nearest, 0, 50.0});
  for (size_t i = 0; i < here.size(); ++i) EXPECT_EQ(near.rows[i].empty(), m.measures[i][0] > 50);
  // Inside a polygon the distance is 0; one point of the same place.
  EXPECT_EQ(matchByPlace(points({{500010, 5000010}}), squares({{500000, 5000000, 100}}),
                         {PlaceRelation::Nearest, 0, {}})
                .measures[0][0],
            0);
}

TEST(JoinByPlace, WhatCannotBeJoined) {
  const Layer zones = squares({{500000, 5000000, 100}}), places = points({{500010, 5000010}});
  const auto said = [](const Layer& a, const Layer& b, PlaceRelation relation) {
    return sentenceOf([&] { matchByPlace(a, b, {relation, 0, {}}); });
  };
  EXPECT_NE(said(zones, places, PlaceRelation::Within).find("no polygons"), std::string::npos);
  EXPECT_NE(said(places, zones, PlaceRelation::Overlap).find("Points overlap"), std::string::npos);
  Layer nowhere = zones;
  nowhere.crs = "";
  EXPECT_NE(said(places, nowhere, PlaceRelation::Within).find("no reference system"),
            std::string::npos);
  Layer degrees = places;
  degrees.crs = crsFrom("EPSG:4326");
  EXPECT_NE(said(degrees, zones, PlaceRelation::Nearest).find("degrees"), std::string::npos);
  // A bow tie is mended; layers that lie apart match nothing.
  Layer bow = zones;
  bow.shapes[0].rings = {
      {{500000, 5000000}, {500100, 5000100}, {500100, 5000000}, {500000, 5000100}}};
  EXPECT_EQ(matchByPlace(points({{500090, 5000050}}), bow, {}).rows[0].size(), 1u);
  EXPECT_EQ(matchByPlace(points({{1, 1}}), zones, {}).matched(), 0u);
  EXPECT_EQ(matchByPlace(places, {"", zones.crs, {{"id"}, {{"1"}}}, {{}}},
                         {PlaceRelation::Nearest, 0, {}})
                .matched(),
            0u);
}

TEST(FieldTypes, AreThoseThatReadBackTheSame) {
  const Table t{{"a", "b", "c", "d", "e", "f"},
                {{"1", "1.5", "007", "", "x", "0.5"}, {"-3", "2", "8", "", "1", "1e9"}}};
  using F = FieldType;
  EXPECT_EQ(typesOf(t), (std::vector<F>{F::Integer, F::Real, F::Text, F::Text, F::Text, F::Real}));
}

}  // namespace
}  // namespace zp
