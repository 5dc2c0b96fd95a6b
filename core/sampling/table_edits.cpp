#include "sampling/table_edits.h"

#include <algorithm>
#include <set>

#include "base/error.h"
#include "base/text.h"
#include "sampling/group_rows.h"
#include "sampling/row_formula.h"

namespace zp {
namespace {

SheetColumn& columnNamed(Sheet& sheet, const std::string& name) {
  return sheet.columns[sheet.column(name)];
}

/// A new name: something, and not that of another column.
std::string freeName(const Sheet& sheet, const std::string& name) {
  if (trimmed(name).empty()) throw Error("Give the column a name.");
  if (name.find_first_of("{}\n\r\t") != std::string::npos)
    throw Error("“{}” cannot be the name of a column; leave out braces and line ends.", name);
  const auto names = sheet.names();
  if (std::find(names.begin(), names.end(), name) != names.end())
    throw Error("There is a column “{}” already; take another name.", name);
  return name;
}

size_t add(Sheet& sheet, const TableEdit& edit) {
  sheet.columns.push_back(
      computedColumn(freeName(sheet, edit.at("add")), edit.at("formula"), sheet));
  return sheet.columns.back().filled();
}

/// Puts new texts into a column; how many are others than before.
size_t replace(SheetColumn& column, std::vector<std::string> texts) {
  size_t changed = 0;
  for (size_t r = 0; r < texts.size(); ++r) changed += texts[r] != column.texts[r];
  column = columnOf(column.name, std::move(texts));
  return changed;
}

size_t fill(Sheet& sheet, const TableEdit& edit) {
  auto& column = columnNamed(sheet, edit.at("fill"));
  const auto computed = computedColumn("", edit.at("formula"), sheet);
  if (!edit.contains("where")) return replace(column, computed.texts);
  auto texts = column.texts;
  for (const size_t r : rowsWhere(edit.at("where"), sheet)) texts[r] = computed.texts[r];
  return replace(column, std::move(texts));
}

size_t paste(Sheet& sheet, const TableEdit& edit) {
  const std::string name = edit.at("paste");
  const auto& keys = columnNamed(sheet, edit.at("by")).texts;
  const auto names = sheet.names();
  const bool isNew = std::find(names.begin(), names.end(), name) == names.end();
  auto texts = isNew ? std::vector<std::string>(sheet.rows()) : columnNamed(sheet, name).texts;
  const Json& values = edit.at("values");
  for (size_t r = 0; r < keys.size(); ++r)
    if (const auto at = values.find(keys[r]); at != values.end() && !keys[r].empty())
      texts[r] = at->get<std::string>();
  if (!isNew) return replace(columnNamed(sheet, name), std::move(texts));
  sheet.columns.push_back(columnOf(freeName(sheet, name), std::move(texts)));
  return sheet.columns.back().filled();
}

size_t rename(Sheet& sheet, const TableEdit& edit) {
  const size_t c = sheet.column(edit.at("rename"));
  if (edit.at("to") == sheet.columns[c].name) return 0;
  sheet.columns[c].name = freeName(sheet, edit.at("to"));
  return 0;
}

size_t drop(Sheet& sheet, const TableEdit& edit) {
  for (const auto& name : edit.at("drop"))
    sheet.columns.erase(sheet.columns.begin() +
                        static_cast<std::ptrdiff_t>(sheet.column(name.get<std::string>())));
  if (sheet.columns.empty()) throw Error("A table keeps one column at least.");
  return 0;
}

size_t keep(Sheet& sheet, const TableEdit& edit) {
  const size_t before = sheet.rows();
  takeRows(sheet, rowsWhere(edit.at("keep"), sheet));
  return before - sheet.rows();
}

size_t sort(Sheet& sheet, const TableEdit& edit) {
  takeRows(sheet, inOrderOf(sheet, sheet.column(edit.at("sort")), edit.value("down", false)));
  return 0;
}

size_t group(Sheet& sheet, const TableEdit& edit) {
  const size_t before = sheet.rows();
  sheet = groupRows(sheet, edit.at("group"), edit.at("of"));
  return before;
}

enum class Is { Text, Texts, Pairs, Yes };
struct Field {
  const char* id;
  Is is;
  bool needed = true;
};
struct EditKind {
  std::vector<Field> fields;  // the first tells it from the others
  size_t (*apply)(Sheet&, const TableEdit&);
};

const std::vector<EditKind>& kinds() {
  static const std::vector<EditKind> all{
      {{{"add", Is::Text}, {"formula", Is::Text}}, &add},
      {{{"fill", Is::Text}, {"formula", Is::Text}, {"where", Is::Text, false}}, &fill},
      {{{"paste", Is::Text}, {"by", Is::Text}, {"values", Is::Pairs}}, &paste},
      {{{"rename", Is::Text}, {"to", Is::Text}}, &rename},
      {{{"drop", Is::Texts}}, &drop},
      {{{"keep", Is::Text}}, &keep},
      {{{"sort", Is::Text}, {"down", Is::Yes, false}}, &sort},
      {{{"group", Is::Texts}, {"of", Is::Texts}}, &group}};
  return all;
}

bool fits(Is is, const Json& value) {
  const auto isText = [](const Json& v) { return v.is_string(); };
  switch (is) {
    case Is::Text:
      return value.is_string();
    case Is::Yes:
      return value.is_boolean();
    case Is::Texts:
      return value.is_array() && std::all_of(value.begin(), value.end(), isText);
    default:
      return value.is_object() && std::all_of(value.begin(), value.end(), isText);
  }
}

const EditKind& kindOf(const TableEdit& edit) {
  if (edit.is_object())
    for (const auto& kind : kinds())
      if (edit.contains(kind.fields[0].id)) return kind;
  throw Error(
      "A change of a table is one of add, fill, paste, rename, drop, keep, sort and group.");
}

}  // namespace

void requireEdit(const TableEdit& edit) {
  const EditKind& kind = kindOf(edit);
  std::set<std::string> known;
  for (const auto& field : kind.fields) {
    known.insert(field.id);
    if (!edit.contains(field.id)) {
      if (field.needed)
        throw Error("The change “{}” of a table lacks “{}”.", kind.fields[0].id, field.id);
    } else if (!fits(field.is, edit.at(field.id))) {
      throw Error("“{}” of the change “{}” of a table is not of the right kind.", field.id,
                  kind.fields[0].id);
    }
  }
  for (const auto& [id, value] : edit.items())
    if (known.count(id) == 0)
      throw Error("The change “{}” of a table knows no “{}”.", kind.fields[0].id, id);
}

size_t applyEdit(Sheet& sheet, const TableEdit& edit) {
  requireEdit(edit);
  return kindOf(edit).apply(sheet, edit);
}

Sheet edited(Sheet sheet, const Json& edits) {
  for (const auto& edit : edits) applyEdit(sheet, edit);
  return sheet;
}

}  // namespace zp
