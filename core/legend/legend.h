#pragma once
#include <array>
#include <cstdint>
#include <filesystem>
#include <string>
#include <vector>

#include "base/json.h"

namespace zp {

struct Colour {
  uint8_t r = 0, g = 0, b = 0;
  bool operator==(const Colour&) const = default;
};

/// "#3a6ea5"; Error for anything else.
Colour colourFrom(const std::string& text);
std::string colourText(Colour c);
/// The n-th of a set of colours that colour-blind people tell apart (Okabe and Ito 2008, then
/// darker and lighter of the same).
Colour suggestedColour(size_t n);

struct Subclass {
  std::string name;
  bool operator==(const Subclass&) const = default;
};

/// An information class. Codes are 1…65535; 0 stands for no data.
struct LegendClass {
  int code = 0;
  std::string name;
  Colour colour;
  std::string description;
  std::vector<Subclass> subclasses;
  bool operator==(const LegendClass&) const = default;
};

/// Classes in the order they are shown in: by their codes, until somebody moves one.
struct Legend {
  std::vector<LegendClass> classes;
  std::string name = {}, description = {};

  const LegendClass* find(int code) const;
  LegendClass* find(int code);
  /// Before the first with a higher code; Error when the code is taken or outside 1…65535.
  LegendClass& add(LegendClass c);
  /// Adds what is missing, with colours that fit the names; names that are there already stay.
  void addMissing(int code, const std::string& className);
  /// The classes of another whose codes are not there yet.
  void addMissing(const Legend& other);
  int firstFreeCode() const;
  int highestCode() const;
  /// Keeps its place, but where all stand by their codes. Error: see add.
  void change(int code, LegendClass as);
  /// So many places down, or up, as far as there are any; false where it stays.
  bool move(int code, int places);
  /// Whether the same is said of the same classes, in whatever order.
  bool sameClasses(const Legend& other) const;
};

Json toJson(const Legend& legend);
/// Error with the place of what is wrong.
Legend legendFrom(const Json& json);
Legend readLegend(const std::filesystem::path& file);
void writeLegend(const std::filesystem::path& file, const Legend& legend);

/// Whole number 1…65535; Error saying where it stood.
int classCode(const std::string& text, const std::string& where);

}  // namespace zp
