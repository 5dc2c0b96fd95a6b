#pragma once
#include <filesystem>
#include <string>
#include <vector>

#include "base/json.h"

namespace zp {

enum class ProductKind {
  Index,
  ClassMap,
  Points,
  Table,
  Labels,
  Quantity,
  Scene,
  Areas,
  Clusters,  // a class map whose classes have no meaning yet
  Cells
};
std::string idOf(ProductKind kind);
std::string titleOf(ProductKind kind);

/// What something was made from, and how many times that had changed by then.
struct Input {
  std::string id;
  int revision = 0;
};

/// A result kept in the study: a file, what made it and from what.
struct Product {
  std::string id, name;
  ProductKind kind = ProductKind::Index;
  std::filesystem::path file;  // absolute
  std::string made;            // ISO 8601
  std::string date;            // that it stands for, or ""
  std::string ramp;            // of an index
  Json step;                   // runs again with runStep
  Json facts;                  // statistics, areas… for its sheet
  std::vector<Input> inputs;
  int revision = 1;
};

/// As study.json has it, with its file named below `base` where it lies there.
Json toJson(const Product& product, const std::filesystem::path& base);
/// Error when something that the rest leans on is not there.
Product productFrom(const Json& json, const std::filesystem::path& base);

/// A file or "FILE:LAYER" as it is named below a folder where it lies there; and back.
std::string pathBelow(const std::filesystem::path& base, const std::string& file);
std::string pathFrom(const std::filesystem::path& base, const std::string& file);

}  // namespace zp
