#pragma once
#include <map>
#include <optional>
#include <utility>
#include <vector>

#include "legend/legend.h"

namespace zp {

/// The class of an earlier and of a later date; codes of one legend.
using ClassPair = std::pair<int, int>;

/// The classes of a map of change: what each pair of an earlier and a later class is on it.
class ChangeClasses {
 public:
  ChangeClasses() = default;
  /// `of` 0: each of `pairs` is a class of its own, first those that changed ("saltmarsh →
  /// reedbed"). Else what became of that one class: 1 lost, 2 gained, 3 kept, 4 neither.
  ChangeClasses(Legend classes, const std::vector<ClassPair>& pairs, int of);

  int of() const { return of_; }
  const Legend& legend() const { return legend_; }    // of the map of change
  const Legend& classes() const { return classes_; }  // of both dates
  /// 0 for a pair that it lacks, or that has no class on one side.
  int codeOf(ClassPair pair) const;
  /// The same; a pair that it lacks gets a code of its own. Error: without a class on one side.
  int add(ClassPair pair);
  /// None where several pairs are one class.
  std::optional<ClassPair> pairOf(int code) const;
  /// Nothing changed where a pixel is of this class: it is as before, or kept, or neither.
  bool stays(int code) const;
  /// The code that each code here has in another, to which the pairs that it lacks are added.
  /// Error: the two are not of the same kind.
  std::map<int, int> codesIn(ChangeClasses& other) const;
  /// A class of the dates has another code now.
  void renumber(int from, int to);

 private:
  friend Json toJson(const ChangeClasses&);
  friend ChangeClasses changeClassesFrom(const Json&);
  void addClass(int code, ClassPair pair);
  std::string nameOf(int code) const;
  Colour colourOf(int code) const;

  Legend classes_, legend_;
  int of_ = 0;
  std::map<ClassPair, int> codes_;  // of_ 0 alone
};

Json toJson(const ChangeClasses& change);
/// Exception of the JSON library: not complete.
ChangeClasses changeClassesFrom(const Json& json);

}  // namespace zp
