#pragma once
#include <QStringList>

#include "base/csv.h"
#include "base/json.h"
#include "base/progress.h"
#include "index/import_classes.h"
#include "legend/legend.h"
#include "scene/group_files.h"
#include "scene/scene.h"

namespace zp {

/// What one of the files, or a group of them, is to become.
struct Incoming {
  enum class As { Scene, ClassMap, Quantity, Outline, Table, Points };
  As as = As::Scene;
  bool take = true;
  SceneDraft draft;
  Scene scene;                         // of rasters
  std::string layer;                   // "FILE:LAYER" of vectors
  QStringList fields;                  // of vectors
  std::string trouble;                 // why it cannot come in as it is
  bool asksForPower = false;           // radar whose numbers do not tell power from decibels
  QString unit, from, to;              // of a quantity
  QString field;                       // of a vector class map
  std::optional<CsvDialect> csv = {};  // of a table
  Table first = {};                    // and its first rows
  QString x, y, system;                // of points: columns, and a reference system
  /// Their classes, with names; and what each becomes: a code, 0 to leave out, −1 a new class.
  std::vector<std::pair<std::string, std::string>> theirs;
  std::map<std::string, int> ours;
  QString unfit;  // why it can be no class map
};

/// The files of a delivery as what they seem to be, for a look before they come in: grouped into
/// scenes, with roles guessed from names; class maps with their codes matched; quantities with unit
/// and period. Reads files; for any thread.
std::vector<Incoming> lookAtFiles(const QStringList& paths);
/// Whether it says all there is to know, so that nothing has to be confirmed.
bool isPlain(const std::vector<Incoming>& all);

/// Which files they are, with size and time, to tell whether the same ones are offered again.
std::string filesOf(const std::vector<Incoming>& all);

/// Opens its files anew, as they are grouped and named now; `trouble` says when that does not go.
void reopen(Incoming& incoming);

/// The files of both as one scene, with the name and date of the first.
Incoming joined(const Incoming& first, const Incoming& second);
/// A scene a file.
std::vector<Incoming> apart(const Incoming& incoming);

/// "4 bands", "class map".
QString whatItIs(const Incoming& incoming);

/// What has to be said before it can come in; empty when it can.
QString missingOf(const Incoming& incoming);

/// What a class of theirs becomes beside a class of ours, which is told by its code.
inline constexpr int kLeaveOut = 0, kNewClass = -1;

/// What one of their classes becomes: as said, or a new class where the legend has no such one now.
int becomes(const Incoming& incoming, const std::string& theirs, const Legend& legend);

/// Their classes, with names; reads the whole file. For any thread.
std::vector<std::pair<std::string, std::string>> classesOf(const Incoming& incoming,
                                                           const Progress& progress);

/// What each of their classes becomes, but those left out; what is new to the legend is added to
/// it, in the colours of the file where it has some.
CodeMatch matchOf(const Incoming& incoming, Legend& legend);
/// These are its classes: what each becomes is suggested, or it is said why it can be no class map.
void takeClasses(Incoming& incoming, const std::vector<std::pair<std::string, std::string>>& theirs,
                 const Legend& legend);
/// The step that brings a class map in (study/steps/import_classes.cpp), over the pixels of `scene`
/// where it is of polygons; the classes that are new to the legend are added to it.
Json classesStep(const Incoming& incoming, const std::string& scene, Legend& legend);
/// Reads the first rows of a table anew, as its dialect is now; `trouble` says when that does not
/// go.
void readFirst(Incoming& incoming);
/// And a table, or points from one (study/steps/import_table.cpp).
Json tableStep(const Incoming& incoming);
/// And a quantity (study/steps/import_quantity.cpp).
Json quantityStep(const Incoming& incoming);

}  // namespace zp
