#include "sampling/join_tables.h"

#include "base/error.h"
#include "study/steps/step_run.h"
#include "study/table_places.h"

namespace zp {
namespace {

/// Rows, with the places they were read at where there are any.
struct Side {
  Layer layer;
  std::optional<TablePlaces> places;
  const Product* table = nullptr;
};

/// A table gets the shapes of its places, so that it can be joined by them too.
Side ofTable(const Study& study, const Product& product) {
  Side side;
  side.table = &product;
  side.layer.table = readTable(product.file.string());
  side.places = placesOfRows(product, side.layer.table);
  auto places = side.places ? layerOfPlaces(study, side.places->of) : std::nullopt;
  if (!places) return side;
  side.layer.crs = places->crs;
  for (const size_t row : side.places->rows)
    side.layer.shapes.push_back(row < places->shapes.size() ? places->shapes[row] : Shape());
  return side;
}

Side sideOf(StepRun& r, const char* field) {
  const std::string id = r.step().at(field);
  if (const auto* p = r.study().product(id); p != nullptr && p->kind == ProductKind::Table)
    return ofTable(r.study(), r.sourceOf(id));
  Side side;
  side.layer = r.rowsOf(id).layer;
  side.places = TablePlaces{id, {}};
  for (size_t row = 0; row < side.layer.table.rows.size(); ++row) side.places->rows.push_back(row);
  return side;
}

Matches byPlace(const Json& step, const Layer& one, const Layer& other, const Progress& progress) {
  const std::string place = step.at("place");
  PlaceMatch how;
  how.relation = place == "overlap"   ? PlaceRelation::Overlap
                 : place == "nearest" ? PlaceRelation::Nearest
                                      : PlaceRelation::Within;
  how.leastShare = step.value("least_share", 0.0);
  if (step.contains("farthest")) how.farthest = step["farthest"].get<double>();
  if (one.shapes.empty() || other.shapes.empty())
    throw Error("Both need places to be joined by place; join them by a column they share.");
  return matchByPlace(one, other, how, progress);
}

Matches byKeys(const Json& step, const Table& one, const Table& other) {
  const auto ours = step.at("by").get<std::vector<std::string>>();
  const auto theirs = step.value("other_by", ours);
  if (ours.size() != theirs.size())
    throw Error("There are {} columns of the one and {} of the other; name them in pairs.",
                ours.size(), theirs.size());
  std::vector<JoinKey> keys;
  for (size_t i = 0; i < ours.size(); ++i) keys.push_back({ours[i], theirs[i]});
  std::optional<JoinDates> dates;
  if (step.contains("date")) {
    const std::string date = step["date"];
    dates = JoinDates{{date, step.value("other_date", date)}, step.value("days", 0)};
  }
  return matchByKeys(one, other, keys, dates);
}

Product runJoinTables(StepRun& r) {
  const Side one = sideOf(r, "one"), other = sideOf(r, "other");
  if (r.step().contains("by") == r.step().contains("place"))
    throw Error("Say by which columns the rows belong together, or by which relation of places.");
  const Matches matches = r.step().contains("by")
                              ? byKeys(r.step(), one.layer.table, other.layer.table)
                              : byPlace(r.step(), one.layer, other.layer, r.progress());
  std::vector<size_t> origin;
  Table table = joined(one.layer.table, other.layer.table, matches,
                       r.step().value("several", "first") == "all", &origin);
  r.begin(ProductKind::Table, ".csv");
  if (one.places) {
    TablePlaces places{one.places->of, {}};
    for (const size_t row : origin) places.rows.push_back(one.places->rows[row]);
    notePlaces(places, table, r.product.facts);
  }
  if (one.table != nullptr) {
    std::vector<std::pair<std::string, std::string>> columns;
    for (const auto& name : one.layer.table.columns) columns.push_back({name, name});
    keepColumnNotes(*one.table, columns, origin.size() == one.layer.table.rows.size(),
                    r.product.facts);
  }
  writeFileAtomically(r.temporary, toCsv(table));
  const Json counts{
      {"rows", table.rows.size()},    {"columns", table.columns},
      {"matched", matches.matched()}, {"unmatched", matches.rows.size() - matches.matched()},
      {"several", matches.several()}, {"unused", matches.unused(other.layer.table.rows.size())}};
  r.product.facts.update(counts);
  return r.finish();
}

}  // namespace

namespace steps {
extern const StepKind joinTables{
    "join-tables",
    "The columns of another table beside those of the rows they belong to",
    {{"one", Holds::Rows, true, "Whose rows stay"},
     {"other", Holds::Rows, true, "Whose columns come beside them"},
     {"by", Holds::Texts, false, "Columns that hold the same in both"},
     {"other_by", Holds::Texts, false, "What they are called in the other; without it, the same"},
     {"date", Holds::Text, false, "And a column of dates"},
     {"other_date", Holds::Text, false, "What it is called in the other"},
     {"days", Holds::Whole, false, "So many days apart at most; the nearest counts"},
     {"place",
      Holds::Text,
      false,
      "Or by place: within a polygon of the other, by the share that overlaps, or the nearest",
      {"within", "overlap", "nearest"}},
     {"least_share", Holds::Number, false, "Of an overlap: more than this share of the area"},
     {"farthest", Holds::Number, false, "Of the nearest: no farther than this"},
     {"several",
      Holds::Text,
      false,
      "Where several match: the best, or a row for each",
      {"first", "all"}}},
    &runJoinTables};
}
}  // namespace zp
