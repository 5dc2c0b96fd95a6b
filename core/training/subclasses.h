#pragma once
#include "legend/legend.h"
#include "training/samples.h"

namespace zp {

/// A subclass as a class by itself.
struct SubclassCode {
  int code = 0;  // of itself
  int of = 0;    // the class
  std::string name;
};

/// What is learned of subclasses: they are one with their class; or learned by themselves, and
/// mapped to the class, or mapped by themselves.
enum class Subclasses { Together, Apart, Kept };
const char* idOf(Subclasses how);
/// "together", "apart", "kept". Error: anything else.
Subclasses subclassesFrom(const std::string& id);

/// The subclasses that samples have, by class and name. The code of the third of class 4 is 403; of
/// a class that has only one, or none, its own.
/// Error: a class with subclasses whose code is above 654, or which has more than 99.
std::vector<SubclassCode> subclassesOf(const Samples& samples);
/// The samples with the subclasses as their classes, "Ploughland, bare".
Samples apart(const Samples& samples, const std::vector<SubclassCode>& subclasses);
/// A legend with the subclasses in the place of their classes, in shades of their colours.
Legend apart(const Legend& legend, const std::vector<SubclassCode>& subclasses);

}  // namespace zp
