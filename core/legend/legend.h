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
};

/// An information class. Codes are 1…65535; 0 stands for no data.
struct LegendClass {
  int code = 0;
  std::string name;
  Colour colour;
  std::string description;
  std::vector<Subclass> subclasses;
};

/// Classes in ascending order of their codes.
struct Legend {
  std::vector<LegendClass> classes;

  const LegendClass* find(int code) const;
  LegendClass* find(int code);
  /// Keeps the order; Error when the code is taken or outside 1…65535.
  LegendClass& add(LegendClass c);
  /// Adds what is missing, with suggested colours; names that are there already stay.
  void addMissing(int code, const std::string& name);
  /// The classes of another whose codes are not there yet.
  void addMissing(const Legend& other);
  int firstFreeCode() const;
  int highestCode() const { return classes.empty() ? 0 : classes.back().code; }
};

Json toJson(const Legend& legend);
/// Error with the place of what is wrong.
Legend legendFrom(const Json& json);
Legend readLegend(const std::filesystem::path& file);
void writeLegend(const std::filesystem::path& file, const Legend& legend);

/// Whole number 1…65535; Error saying where it stood.
int classCode(const std::string& text, const std::string& where);

}  // namespace zp
