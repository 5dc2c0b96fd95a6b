#pragma once
#include "base/json.h"
#include "sampling/sheet.h"

namespace zp {

/// A change of a table, as data; it is kept with a study, written into a run sheet and made by
/// zpatch, and never changes the table it starts from. One of
///   {"add": NAME, "formula": F}                        a computed column (row_formula.h)
///   {"fill": NAME, "formula": F, "where": F}           cells of a column; without "where", of all
///   {"paste": NAME, "by": NAME, "values": {KEY: TEXT}} cells of a column, which may be new, in the
///                                                      rows whose cell of another is the key
///   {"rename": NAME, "to": NAME}
///   {"drop": [NAME…]}                                  columns
///   {"keep": F}                                        the rows for which it is true
///   {"sort": NAME, "down": BOOL}
///   {"group": [NAME…], "of": [NAME…]}                  a row a group (group_rows.h)
using TableEdit = Json;

/// Error, naming the field, when it is none of those.
void requireEdit(const TableEdit& edit);

/// Returns how many rows it touched: those with another cell than before, or that went. Error: an
/// unknown column, a name that is taken, a formula that is wrong.
size_t applyEdit(Sheet& sheet, const TableEdit& edit);

/// One after the other.
Sheet edited(Sheet sheet, const Json& edits);

}  // namespace zp
