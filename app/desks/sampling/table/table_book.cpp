#include "desks/sampling/table/table_book.h"

#include "look/look.h"
#include "sampling/row_formula.h"

namespace zp {

namespace {
Json listOf(const Json& state, const char* key) {
  return state.contains(key) && state[key].is_array() ? state[key] : Json::array();
}

QString whyNot(const std::exception& e) {
  return sentenceOf(e);
}
}  // namespace

TableBook::TableBook(Workbench& bench)
    : bench_(bench), reading_(this), computing_(this), looking_(this) {
  close();
}

void TableBook::close() {
  for (Latest* work : {&reading_, &computing_, &looking_}) work->stop();
  id_.clear();
  revision_ = -1;
  read_.reset();
  whole_ = shown_ = std::make_shared<Sheet>();
  seen_ = Json();
  places_.reset();
  layer_.reset();
  chosen_.clear();
  chosenCount_ = 0;
  Q_EMIT changed();
}

const Product* TableBook::product() const {
  return bench_.hasStudy() ? bench_.study().product(id_.toStdString()) : nullptr;
}

void TableBook::open(const QString& product) {
  if (product != id_) close();
  id_ = product;
  refresh();
}

TableBook::Read TableBook::read(const Study& study, const Product& product) {
  const Table table = readTable(product.file.string());
  Read read{std::make_shared<Sheet>(sheetOf(table)), placesOfRows(product, table), nullptr};
  if (read.places)
    if (auto layer = layerOfPlaces(study, read.places->of))
      read.layer = std::make_shared<Layer>(std::move(*layer));
  return read;
}

void TableBook::refresh() {
  const Product* p = product();
  if (p == nullptr) return;
  if (p->revision == revision_) {
    if (read_ != nullptr && state() != seen_) compute();
    return;
  }
  revision_ = p->revision;
  read_.reset();
  reading_.ask([study = bench_.study(), one = *p](const Progress&) { return read(study, one); },
               [this](const Read& read) { take(read); },
               [this](const QString& sentence) { Q_EMIT trouble(sentence); });
}

void TableBook::take(Read read) {
  read_ = read.sheet;
  places_ = std::move(read.places);
  layer_ = std::move(read.layer);
  chosen_.assign(read_->rows(), false);
  chosenCount_ = 0;
  Q_EMIT opened();
  compute();
}

/// A change that cannot be made any more is told, and the table is shown without any.
TableBook::Shown TableBook::shownOf(const Sheet& read, const Json& state) {
  Shown out;
  Sheet whole = read;
  try {
    whole = edited(std::move(whole), listOf(state, "edits"));
  } catch (const std::exception& e) {
    whole = read;
    out.trouble = whyNot(e);
  }
  Sheet rows = whole;
  try {
    if (const std::string where = state.value("where", ""); !where.empty())
      takeRows(rows, rowsWhere(where, rows));
    if (const std::string by = state.value("sort", ""); !by.empty())
      takeRows(rows, inOrderOf(rows, rows.column(by), state.value("down", false)));
  } catch (const std::exception& e) {
    out.trouble = whyNot(e);
  }
  out.whole = std::make_shared<Sheet>(std::move(whole));
  out.shown = std::make_shared<Sheet>(std::move(rows));
  return out;
}

void TableBook::compute() {
  seen_ = state();
  computing_.ask([read = read_, state = seen_](const Progress&) { return shownOf(*read, state); },
                 [this](const Shown& shown) {
                   whole_ = shown.whole;
                   shown_ = shown.shown;
                   Q_EMIT changed();
                   Q_EMIT trouble(shown.trouble);
                 },
                 [this](const QString& sentence) { Q_EMIT trouble(sentence); });
}

Json TableBook::state() const {
  const Json kept = bench_.place(key());
  return kept.is_object() ? kept : Json::object();
}

void TableBook::keep(const Json& state, const QString& what) {
  if (state != this->state()) bench_.keep(key(), state, what);
}

bool TableBook::isHidden(const std::string& column) const {
  const Json hidden = listOf(state(), "hidden");
  return std::find(hidden.begin(), hidden.end(), Json(column)) != hidden.end();
}

int TableBook::hiddenColumns() const {
  int n = 0;
  for (const auto& c : whole().columns) n += isHidden(c.name) ? 1 : 0;
  return n;
}

QString TableBook::where() const {
  return q(state().value("where", ""));
}
std::string TableBook::sortedBy() const {
  return state().value("sort", "");
}
bool TableBook::sortedDown() const {
  return state().value("down", false);
}

std::string TableBook::formulaOf(const std::string& column) const {
  std::string name = column, formula;
  const Json edits = listOf(state(), "edits");
  for (auto e = edits.rbegin(); e != edits.rend(); ++e) {
    if (e->value("to", "") == name && e->contains("rename")) name = e->value("rename", "");
    if (e->value("add", "") == name) return e->value("formula", "");
  }
  return {};
}

void TableBook::look(const TableEdit& edit, std::function<void(size_t)> would,
                     std::function<void(const QString&)> wrong) {
  looking_.ask(
      [sheet = whole_, edit](const Progress&) {
        Sheet copy = *sheet;
        return applyEdit(copy, edit);
      },
      [would](size_t rows) { would(rows); }, [wrong](const QString& sentence) { wrong(sentence); });
}

/// What names a column keeps naming it.
void TableBook::edit(const TableEdit& edit, const QString& what) {
  Json now = state();
  Json edits = listOf(now, "edits");
  edits.push_back(edit);
  now["edits"] = edits;
  if (edit.contains("rename")) {
    if (now.value("sort", "") == edit.value("rename", "")) now["sort"] = edit["to"];
    Json hidden = listOf(now, "hidden");
    for (auto& name : hidden)
      if (name == edit["rename"]) name = edit["to"];
    now["hidden"] = hidden;
    if (now.contains("where"))
      now["where"] = renamedIn(now.value("where", ""), edit["rename"], edit["to"]);
  }
  if (edit.contains("drop"))
    for (const auto& name : edit["drop"])
      if (now.value("sort", "") == name) now.erase("sort");
  keep(now, what);
}

void TableBook::setWhere(const QString& formula) {
  Json now = state();
  if (formula.isEmpty())
    now.erase("where");
  else
    now["where"] = formula.toStdString();
  keep(now, formula.isEmpty() ? txt("Show all rows") : txt("Show rows where %1").arg(formula));
}

void TableBook::sortBy(const std::string& column, bool down) {
  Json now = state();
  now.erase("sort");
  now.erase("down");
  if (!column.empty()) now["sort"] = column, now["down"] = down;
  keep(now, txt("Order the rows"));
}

void TableBook::hide(const std::string& column) {
  Json now = state();
  Json hidden = listOf(now, "hidden");
  hidden.push_back(column);
  now["hidden"] = hidden;
  keep(now, txt("Hide the column %1").arg(q(column)));
}

void TableBook::showAllColumns() {
  Json now = state();
  now.erase("hidden");
  keep(now, txt("Show all columns"));
}

Json TableBook::editsShown() const {
  Json edits = listOf(seen_, "edits");
  if (const std::string where = seen_.value("where", ""); !where.empty())
    edits.push_back({{"keep", where}});
  if (const std::string by = seen_.value("sort", ""); !by.empty())
    edits.push_back({{"sort", by}, {"down", seen_.value("down", false)}});
  return edits;
}

void TableBook::choose(const std::vector<size_t>& rows) {
  std::vector<bool> now(chosen_.size(), false);
  for (const size_t r : rows)
    if (r < now.size()) now[r] = true;
  if (now == chosen_) return;
  chosen_ = std::move(now);
  chosenCount_ = static_cast<size_t>(std::count(chosen_.begin(), chosen_.end(), true));
  Q_EMIT choiceChanged();
}

}  // namespace zp
