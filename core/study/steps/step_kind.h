#pragma once
#include <functional>
#include <string>
#include <vector>

#include "base/json.h"

namespace zp {

struct Product;
class StepRun;

/// What a field of a step holds.
enum class Holds {
  Text,
  File,      // or FILE:LAYER; a relative one is below the study's folder
  Number,    // or null: not given
  Whole,     // not below 0
  Numbers,   // a list
  Indices,   // a list of whole numbers, not below 0
  Shares,    // class code → share
  Texts,     // a list
  Settings,  // of a method: parameter → value
  Class,     // {name colour}
  Classes,   // a list of them
  Rules,     // a list of {when name colour}
  Codes,     // what stands in a file → class code
  Counts,    // class code → number of points
  Scene,     // the rest name something of the study, by its id
  Scenes,
  Product,
  Products,
  Layer,  // a scene or a product
  Layers,
  Named,  // name in formulas → layer
  Bands,  // a list of {scene band}
  Outline,
  Rows,         // a table, points, cells or an outline
  RowsList,     // a list of them
  Edits,        // changes of a table (sampling/table_edits.h)
  Corrections,  // a list of {rings code only}
  Places,       // a list of [x y]
  Labels        // those given to the points of a labelling
};

/// "a list of numbers".
std::string wordOf(Holds holds);

struct StepField {
  std::string id;
  Holds holds;
  bool needed;
  std::string about;
  std::vector<std::string> choices = {};  // of a text; empty: any
};

/// One kind of step: what it makes, its fields and how it runs. `name` and `do` are fields of all.
struct StepKind {
  std::string id, makes;
  std::vector<StepField> fields;
  Product (*run)(StepRun&);
};

/// All there are, in the order of steps/kinds.cpp.
const std::vector<const StepKind*>& stepKinds();
/// Error with the nearest known id.
const StepKind& stepKind(const std::string& id);

/// Error, naming the field, when a step lacks one, or one holds what it cannot hold.
void requireFields(const StepKind& kind, const Json& step);
/// Error when a step has a field that its kind does not know: written by hand, it is a slip.
void requireKnownFields(const StepKind& kind, const Json& step);
/// What may be asked of a step that is kept, whether or not it can be run: it is an object, and
/// what its kind reads as text is text; of an unknown kind, what any kind does.
bool textsAreTexts(const Json& step);

/// Calls for every id that a step names something of the study by.
void eachReference(const StepKind& kind, Json& step, const std::function<void(Json& id)>& visit);

}  // namespace zp
