#include "desks/sampling/table/sheet_model.h"

#include <cstring>

#include "base/day.h"
#include "look/look.h"
#include "look/parts.h"

namespace zp {

namespace {

/// Digits behind the point that tell values in the range of a column apart.
int decimalsOf(const SheetColumn& column) {
  if (column.type != CellType::Number) return 0;
  double most = 0;
  bool whole = true;
  for (const double v : column.numbers) {
    if (std::isnan(v)) continue;
    most = std::max(most, std::abs(v));
    whole = whole && v == std::floor(v) && std::abs(v) < 1e15;
  }
  if (whole) return 0;
  constexpr int kFigures = 4;
  const int before = most > 0 ? static_cast<int>(std::floor(std::log10(most))) + 1 : 1;
  return std::clamp(kFigures - std::max(before, 1), 1, 6);
}

/// Whether what a column says is the names of classes.
bool namesClasses(const SheetColumn& column, const Legend& legend) {
  constexpr size_t kLookedAt = 200;
  bool any = false;
  for (size_t r = 0; r < std::min(kLookedAt, column.texts.size()); ++r) {
    if (column.texts[r].empty()) continue;
    any = true;
    if (std::none_of(legend.classes.begin(), legend.classes.end(),
                     [&](const LegendClass& c) { return c.name == column.texts[r]; }))
      return false;
  }
  return any;
}

QString unitOf(const Study& study, const std::string& id) {
  if (const auto* p = study.product(id)) {
    const std::string unit = p->facts.value("unit", "");
    return unit.empty() ? txt(titleOf(p->kind)) : q(unit);
  }
  const auto* s = study.scene(id);
  return s == nullptr ? QString() : txt(titleOf(s->scene.state));
}

QString dateOfSource(const Study& study, const std::string& id) {
  if (const auto* p = study.product(id)) return niceDate(p->date);
  const auto* s = study.scene(id);
  return s == nullptr ? QString() : niceDate(s->scene.date);
}

}  // namespace

SheetModel::SheetModel(Workbench& bench, TableBook& book, QObject* parent)
    : QAbstractTableModel(parent), bench_(bench), book_(book) {}

/// The class in a map that a statistic is of: "share_4", "patches_4".
std::optional<LegendClass> SheetModel::classIn(const ColumnFace& face, const char* prefix) const {
  const QString what = q(face.what);
  if (!what.startsWith(prefix)) return {};
  const int code = what.mid(static_cast<int>(std::strlen(prefix))).toInt();
  const Legend legend = bench_.pictureOf(q(face.of)).legend;
  if (const auto* c = legend.find(code)) return *c;
  return LegendClass{code, txt("class %1").arg(code).toStdString(), suggestedColour(0), {}, {}};
}

/// As a person calls it.
QString SheetModel::statisticOf(const ColumnFace& face) const {
  if (face.share) return txt("share of %1").arg(q(face.share->name));
  if (const auto c = classIn(face, "patches_")) return txt("patches of %1").arg(q(c->name));
  if (const auto c = classIn(face, "patch_area_"))
    return txt("m² in patches of %1").arg(q(c->name));
  return q(face.what);
}

ColumnFace SheetModel::newFaceOf(const SheetColumn& column) {
  ColumnFace face;
  face.decimals = decimalsOf(column);
  const Study& study = bench_.study();
  if (const std::string formula = book_.formulaOf(column.name); !formula.empty()) {
    face.note = q(formula);
    return face;
  }
  const Json& facts = book_.product()->facts;
  const Json sources = facts.value("sources", Json::object());
  if (sources.contains(column.from)) {
    const Json& source = sources[column.from];
    face.of = source.value("of", "");
    face.what = source.value("what", "");
    face.line = source.value("line", "");
    face.share = classIn(face, "share_");
    const QString what = statisticOf(face), unit = q(source.value("unit", ""));
    face.note = QStringList({what, unit.isEmpty() ? unitOf(study, face.of) : unit,
                             dateOfSource(study, face.of)})
                    .filter(QRegularExpression("."))
                    .join(" · ");
    const auto* p = study.product(face.of);
    const bool codes = face.what.empty() || face.what == "majority";
    if (p != nullptr && p->kind == ProductKind::ClassMap && codes) {
      legends_[face.of] = bench_.pictureOf(q(face.of)).legend;
      face.legend = &legends_[face.of];
    }
  } else if (column.type == CellType::Text && namesClasses(column, study.legend)) {
    legends_[""] = study.legend;
    face.legend = &legends_[""];
  }
  return face;
}

void SheetModel::refresh() {
  beginResetModel();
  seen_.clear();
  faces_.clear();
  legends_.clear();
  const Sheet& sheet = book_.shown();
  if (book_.product() != nullptr)
    for (size_t c = 0; c < sheet.columns.size(); ++c) {
      faces_.push_back(newFaceOf(sheet.columns[c]));
      if (!book_.isHidden(sheet.columns[c].name)) seen_.push_back(c);
    }
  endResetModel();
}

int SheetModel::rowCount(const QModelIndex& parent) const {
  return parent.isValid() ? 0 : static_cast<int>(book_.shown().rows());
}

int SheetModel::columnCount(const QModelIndex& parent) const {
  return parent.isValid() ? 0 : static_cast<int>(seen_.size());
}

const SheetColumn& SheetModel::column(int section) const {
  return book_.shown().columns[seen_[static_cast<size_t>(section)]];
}

const ColumnFace& SheetModel::faceOf(const SheetColumn& column) const {
  return faces_[static_cast<size_t>(&column - book_.shown().columns.data())];
}

const Product* SheetModel::productOf(const SheetColumn& column) const {
  return bench_.study().product(faceOf(column).of);
}

const Scene* SheetModel::sceneOf(const SheetColumn& column) const {
  const auto* found = bench_.study().scene(faceOf(column).of);
  return found == nullptr ? nullptr : &found->scene;
}

bool SheetModel::isOfClasses(const SheetColumn& column) const {
  return faceOf(column).legend != nullptr;
}

const LegendClass* SheetModel::classOf(size_t column, size_t row) const {
  const auto& face = faces_[column];
  const auto& c = book_.shown().columns[column];
  if (face.legend == nullptr || c.texts[row].empty()) return nullptr;
  if (c.type == CellType::Number) return face.legend->find(static_cast<int>(c.numbers[row]));
  for (const auto& one : face.legend->classes)
    if (one.name == c.texts[row]) return &one;
  return nullptr;
}

QColor SheetModel::colourOf(size_t column, size_t row) const {
  const auto* c = classOf(column, row);
  return c == nullptr ? QColor() : toQt(c->colour);
}

QString SheetModel::textOf(size_t column, size_t row) const {
  const auto& c = book_.shown().columns[column];
  if (c.texts[row].empty()) return {};
  if (const auto* known = classOf(column, row)) return q(known->name);
  if (c.type == CellType::Date) return niceDate(dateOf(std::lround(c.numbers[row])));
  if (c.type == CellType::Text) return q(c.texts[row]);
  const int decimals = faces_[column].decimals;
  return decimals == 0 && c.texts[row].size() < 16 ? q(c.texts[row]).replace('-', QChar(0x2212))
                                                   : decimal(c.numbers[row], decimals);
}

QVariant SheetModel::data(const QModelIndex& index, int role) const {
  const size_t column = seen_[static_cast<size_t>(index.column())];
  const auto row = static_cast<size_t>(index.row());
  const auto& c = book_.shown().columns[column];
  const bool number = c.type == CellType::Number && faces_[column].legend == nullptr;
  switch (role) {
    case Qt::DisplayRole:
      return textOf(column, row);
    case Qt::DecorationRole: {
      const QColor colour = colourOf(column, row);
      return colour.isValid() ? QVariant(swatch(colour)) : QVariant();
    }
    case Qt::TextAlignmentRole:
      return QVariant(Qt::AlignVCenter | (number ? Qt::AlignRight : Qt::AlignLeft));
    case Qt::FontRole:
      return number ? figureFont(9.5) : QVariant();
    default:
      return {};
  }
}

QVariant SheetModel::headerData(int section, Qt::Orientation way, int role) const {
  if (way == Qt::Vertical || section >= columnCount()) return {};
  const auto& c = column(section);
  const auto& face = faces_[seen_[static_cast<size_t>(section)]];
  if (role == Qt::DisplayRole) return q(c.name);
  if (role == kNote) return face.note;
  if (role == Qt::ToolTipRole)
    return face.note.isEmpty() ? q(c.name) : q(c.name) + "\n" + face.note;
  if (role == Qt::TextAlignmentRole)
    return QVariant(c.type == CellType::Number && face.legend == nullptr ? Qt::AlignRight
                                                                         : Qt::AlignLeft);
  return {};
}

}  // namespace zp
