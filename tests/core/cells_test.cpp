// Cells over a raster: they cover it without gap or overlap, and only it.
#include "sampling/cells.h"

#include <ogr_geometry.h>

#include <numbers>

#include "base/nan.h"
#include "outline/ogr_shape.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;
using Form = CellPlan::Form;

double areaOf(const OGRGeometry& g) {
  return dynamic_cast<const OGRGeometryCollection&>(g).get_Area();
}

/// The area of the cells' parts within a region, and of what they have together: the same where
/// they do not overlap.
std::pair<double, double> covered(const PlannedCells& cells, const OGRGeometry& region) {
  double sum = 0;
  OGRMultiPolygon all;
  for (const auto& shape : cells.shapes) {
    const auto cell = toGeometry(shape);
    std::unique_ptr<OGRGeometry> part(cell->Intersection(&region));
    part.reset(OGRGeometryFactory::forceToMultiPolygon(part.release()));
    EXPECT_GT(areaOf(*part), 0) << "a cell beyond the area";
    sum += areaOf(*part);
    for (const auto* piece :
         *part->toGeometryCollection())  // where it touches, lines are among them
      if (wkbFlatten(piece->getGeometryType()) == wkbPolygon) all.addGeometry(piece);
  }
  std::unique_ptr<OGRGeometry> joined(all.UnionCascaded());
  joined.reset(OGRGeometryFactory::forceToMultiPolygon(joined.release()));
  return {sum, areaOf(*joined)};
}

std::unique_ptr<OGRGeometry> frame(const Grid& g) {
  return toGeometry(
      {{{g.toMap(0, 0), g.toMap(g.width, 0), g.toMap(g.width, g.height), g.toMap(0, g.height)}},
       {}});
}

TEST(Cells, CoverTheGridWithoutGapOrOverlap) {
  const Grid g = metricGrid(100, 60);
  for (const Form form : {Form::Squares, Form::Hexagons})
    for (double size : {100.0, 130.0, 333.3, 5000.0}) {
      const auto cells = planCells(g, {form, size, 0});
      const auto [sum, joined] = covered(cells, *frame(g));
      EXPECT_NEAR(sum, 1000 * 600, 1e-2) << size;
      EXPECT_NEAR(joined, 1000 * 600, 1e-2) << size;
      EXPECT_EQ(cells.centres.size(), cells.shapes.size());
    }
  EXPECT_EQ(planCells(g, {Form::Squares, 100, 0}).shapes.size(), 60u);
  EXPECT_EQ(planCells(g, {Form::Squares, 130, 0}).shapes.size(), 8u * 5u);
}

TEST(Cells, HexagonsAreRegularAndAsWideAsAskedFor) {
  const auto cells = planCells(metricGrid(100, 60), {Form::Hexagons, 120, 0});
  for (size_t i = 0; i < cells.shapes.size(); ++i) {
    const Ring& ring = cells.shapes[i].rings[0];
    ASSERT_EQ(ring.size(), 6u);
    for (size_t k = 0; k < 6; ++k) {
      const Place &a = ring[k], &b = ring[(k + 1) % 6];
      EXPECT_NEAR(std::hypot(a.x - b.x, a.y - b.y), 120 / std::numbers::sqrt3, 1e-6);
      EXPECT_NEAR(
          std::hypot((a.x + b.x) / 2 - cells.centres[i].x, (a.y + b.y) / 2 - cells.centres[i].y),
          60, 1e-6);
    }
  }
}

TEST(Cells, AboutAsManyAsAskedFor) {
  const Grid g = metricGrid(100, 100);
  EXPECT_EQ(planCells(g, {Form::Squares, 0, 100}).shapes.size(), 100u);
  for (const Form form : {Form::Squares, Form::Hexagons}) {
    const auto cells = planCells(g, {form, 0, 2000});
    EXPECT_NEAR(static_cast<double>(cells.shapes.size()), 2000, 150);
  }
}

TEST(Cells, OnlyWhereTheyOverlapPolygonsAndNotTheirHoles) {
  const Grid g = metricGrid(100, 60);
  const auto box = [&](double from, double to) {
    return Ring{g.toMap(from, from), g.toMap(to, from), g.toMap(to, to), g.toMap(from, to)};
  };
  Layer inside;
  inside.crs = g.crs;
  inside.shapes = {{{box(5, 55), box(15, 45)}, {}}, {{}, {}}};
  for (const Form form : {Form::Squares, Form::Hexagons}) {
    const auto cells = planCells(g, {form, 30, 0}, &inside);
    const auto region = toGeometry(inside.shapes[0]);
    EXPECT_NEAR(covered(cells, *region).first, 500 * 500 - 300 * 300, 1e-2);
    EXPECT_LT(cells.shapes.size(), planCells(g, {form, 30, 0}).shapes.size() / 2);
  }
}

TEST(Cells, ThePixelsOfACoarseRasterThatHaveAValue) {
  Folder folder;
  const Grid g = metricGrid(4, 3, 90);
  writeFloats(folder / "c.tif", g, {{1, 2, kNan, 4, 5, 6, 7, 8, 9, kNan, 11, 12}}, {}, -9999);
  const auto cells = pixelsAsCells(groundOf(folder / "c.tif", false, 1));
  ASSERT_EQ(cells.shapes.size(), 10u);
  EXPECT_EQ(cells.centres[2], g.centre(3, 0));
  EXPECT_EQ(cells.shapes[0].rings[0],
            (Ring{g.toMap(0, 0), g.toMap(1, 0), g.toMap(1, 1), g.toMap(0, 1)}));
  const Layer points = toLayer(cells, true);
  EXPECT_EQ(points.table.rows[9][0], "10");
  EXPECT_EQ(placesOf(points)[2], g.centre(3, 0));
}

TEST(Cells, WhatCannotBeIsSaid) {
  Grid g = metricGrid(100, 60);
  EXPECT_NE(sentenceOf([&] {
              planCells(g, {Form::Squares, 0.5, 0});
            }).find("more than the 1000000"),
            std::string::npos);
  EXPECT_NE(sentenceOf([&] {
              planCells(g, {Form::Squares, 1e-300, 0});
            }).find("make them larger"),
            std::string::npos);
  EXPECT_NE(sentenceOf([&] {
              planCells(g, {Form::Squares, 1e300, 0});
            }).find("make them smaller"),
            std::string::npos);
  EXPECT_EQ(planCells(g, {Form::Squares, 1e6, 0}).shapes.size(), 1u);
  EXPECT_NE(sentenceOf([&] { planCells(g, {}); }).find("how many"), std::string::npos);
  Layer far;
  far.crs = g.crs;
  far.shapes.push_back({{Ring{{0, 0}, {1, 0}, {1, 1}}}, {}});
  EXPECT_NE(sentenceOf([&] {
              planCells(g, {Form::Squares, 50, 0}, &far);
            }).find("None of the"),
            std::string::npos);
  g.crs.clear();
  EXPECT_NE(sentenceOf([&] {
              planCells(g, {Form::Squares, 50, 0});
            }).find("no reference system"),
            std::string::npos);
}

}  // namespace
}  // namespace zp
