#pragma once
#include <optional>

#include "outline/layer.h"
#include "study/study.h"

namespace zp {

/// The places that the rows of a table were read at: points, cells, or the polygons of an outline.
struct TablePlaces {
  std::string of;                 // the id of a product or an outline; it may be gone by now
  std::vector<size_t> rows = {};  // of each row, which of its places
};

/// Of a table's own step or facts; nothing of a table without places.
std::optional<TablePlaces> placesOfRows(const Product& product, const Table& table);

/// Notes it in the facts of a table that was made from another; where the rows are not those of the
/// places one by one, their numbers from 1 become a column "place".
void notePlaces(const TablePlaces& places, Table& table, Json& facts);

/// Notes of a column that was read what it is of, as {of, what, line}: a scene or product, where it
/// has them the statistic and the line of a feature (feature/feature_kind.h); and how many
/// different pixels are behind how many values.
void noteColumn(const std::string& column, const Json& source, const std::vector<double>& values,
                size_t pixels, Json& facts);

/// The same of the pixels alone, of a column that several layers share: each has pixels of its own.
void addDistinct(const std::string& column, const std::vector<double>& values, size_t pixels,
                 Json& facts);

/// Keeps what was known of columns in the facts of a table that was made from another. `columns`:
/// the name before and after of each that is there still; `sameRows`: no row went or came.
void keepColumnNotes(const Product& before,
                     const std::vector<std::pair<std::string, std::string>>& columns, bool sameRows,
                     Json& facts);

/// The layer behind such an id; nothing when there is none any more.
std::optional<Layer> layerOfPlaces(const Study& study, const std::string& of);

}  // namespace zp
