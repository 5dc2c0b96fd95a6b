#include "desks/accuracy/comparison_sheet.h"

#include <cmath>

#include "accuracy/maps_at_points.h"
#include "base/error.h"
#include "desks/accuracy/percent.h"
#include "study/change_behind.h"

namespace zp {
namespace {

QString chanceOf(double p) {
  return p < 0.0001 ? txt("p below 0.0001") : QString("p = %1").arg(decimal(p, p < 0.01 ? 4 : 2));
}

}  // namespace

ComparisonSheet::ComparisonSheet(Workbench& bench, LabelBook& book)
    : bench_(bench), book_(book), job_(this) {
  setObjectName("comparisonSheet");
  setFocusPolicy(Qt::StrongFocus);
  setAccessibleName(txt("Comparison"));
  about_ = secondLabel("");
  auto* both = new QHBoxLayout;
  both->setSpacing(24);
  both->addLayout(buildSide(sides_[0], "compareFirst"), 1);
  both->addLayout(buildSide(sides_[1], "compareSecond"), 1);
  table_ = plainTable({txt("map"), txt("overall"), txt("quantity"), txt("allocation"), txt("kappa"),
                       txt("points")});
  table_->setObjectName("allMaps");
  table_->setSelectionMode(QAbstractItemView::NoSelection);
  connect(table_, &QTableWidget::cellClicked, this, [this](int row, int) {
    sides_[1].choice->setCurrentIndex(row);
    show();
  });
  auto* left = new QVBoxLayout;
  left->setContentsMargins(20, 14, 20, 14);
  left->setSpacing(8);
  left->addWidget(headingLabel(txt("Two maps at the same points")));
  left->addWidget(about_);
  left->addLayout(both);
  left->addSpacing(8);
  left->addWidget(sectionLabel(txt("All maps of the study at these points")));
  left->addWidget(table_);
  left->addWidget(others_ = new OtherLabels(bench_, book_));
  left->addStretch();
  placeSideBySide(this, left, buildVerdict());
}

QLayout* ComparisonSheet::buildSide(Side& side, const char* name) {
  side.choice = new LongChoice;
  side.choice->setObjectName(name);
  side.choice->setAccessibleName(txt("Map"));
  connect(side.choice, &QComboBox::activated, this, &ComparisonSheet::show);
  side.figure = new QLabel;
  side.figure->setTextFormat(Qt::RichText);
  side.figure->setObjectName(QString(name) + "Figure");
  side.matrix = new SmallMatrix;
  auto* column = new QVBoxLayout;
  column->addWidget(side.choice);
  column->addWidget(side.figure);
  column->addWidget(side.matrix);
  column->addStretch();
  return column;
}

QWidget* ComparisonSheet::buildVerdict() {
  verdict_ = new QLabel;
  verdict_->setObjectName("verdict");
  verdict_->setTextFormat(Qt::RichText);
  verdict_->setWordWrap(true);
  test_ = secondLabel("");
  test_->setObjectName("verdictTest");
  unlike_ = linkButton("");
  unlike_->setObjectName("showUnlike");
  connect(unlike_, &QPushButton::clicked, this, &ComparisonSheet::showUnlike);
  dots_ = new AccuracyDots;
  byClass_ = secondLabel("");
  byClass_->setObjectName("verdictByClass");
  said_ = secondLabel("");
  auto* back = quietButton(txt("To the matrix"));
  back->setObjectName("comparisonBack");
  connect(back, &QPushButton::clicked, this, &ComparisonSheet::leaveAsked);
  auto* side = new QWidget;
  side->setFixedWidth(380);
  auto* column = columnIn(side);
  column->setContentsMargins(18, 14, 18, 14);
  column->addWidget(headingLabel(txt("Which one is better?")));
  column->addWidget(verdict_);
  column->addWidget(test_);
  column->addWidget(unlike_, 0, Qt::AlignLeft);
  column->addWidget(hairline());
  column->addWidget(sectionLabel(txt("User's accuracy, class by class")));
  column->addWidget(dots_);
  column->addWidget(byClass_);
  column->addStretch();
  column->addWidget(said_);
  column->addWidget(back);
  return side;
}

/// Classes of thresholds, say, are others than those that points are labelled with.
bool ComparisonSheet::speaksOfLegend(const Product& map) const {
  if (book_.map() != nullptr && map.id == book_.map()->id) return true;
  if (book_.ofChange()) return book_.codesOf(map).has_value();
  if (changeBehind(bench_.study(), map) != nullptr) return false;
  for (const auto& c : map.facts.value("classes", Json::array())) {
    const auto* known = bench_.study().legend.find(c["code"].get<int>());
    if (known != nullptr && known->name == c["name"].get<std::string>()) return true;
  }
  return false;
}

void ComparisonSheet::open() {
  tellIn(said_, {});
  maps_.clear();
  const auto& products = bench_.study().products;
  std::vector<std::filesystem::path> files;
  for (auto p = products.rbegin(); p != products.rend(); ++p) {
    if (p->kind != ProductKind::ClassMap || !speaksOfLegend(*p)) continue;
    const auto codes = book_.codesOf(*p);
    maps_.push_back({q(p->id), q(p->name), codes.value_or(std::map<int, int>()), {}, {}});
    files.push_back(p->file);
  }
  table_->setRowCount(0);
  for (auto& side : sides_) {
    side.choice->clear();
    for (const auto& m : maps_) side.choice->addItem(m.name, m.id);
  }
  chooseFirst();
  others_->open();
  setFocus();
  about_->setText(txt("The classes of the maps are being read at the points."));
  const Product* labels = book_.product();
  if (labels == nullptr) return;
  job_.ask(
      [study = bench_.study(), labels = *labels, file = book_.file(), maps = maps_, files](
          const Progress& progress) { return judged(study, labels, file, maps, files, progress); },
      [this](std::vector<Map> maps) {
        maps_ = std::move(maps);
        fillTable();
        show();
      },
      [this](const QString& sentence) { tellIn(said_, sentence); });
}

/// Every map by the labels. For any thread.
std::vector<ComparisonSheet::Map> ComparisonSheet::judged(
    const Study& study, const Product& labels, const LabelsFile& file, std::vector<Map> maps,
    const std::vector<std::filesystem::path>& files, const Progress& progress) {
  auto classes = classesAt(file.labelling.points(), file.crs, files, progress);
  for (size_t m = 0; m < maps.size(); ++m) {
    progress.check();
    auto points = file.labelling.drawn();
    for (size_t i = 0; i < points.size(); ++i) {
      int& code = classes[m][i];
      if (const auto at = maps[m].codes.find(code); at != maps[m].codes.end()) code = at->second;
      points[i].mapped = code;
    }
    maps[m].classes = std::move(classes[m]);
    try {
      maps[m].judged = zp::judge(study, labels, file, points);
    } catch (const Error&) {
      // No labelled point lies on it.
    }
  }
  return maps;
}

void ComparisonSheet::forget() {
  job_.stop();
  maps_.clear();
  for (auto& side : sides_) side.choice->clear();
}

/// The map that was labelled against the one before it.
void ComparisonSheet::chooseFirst() {
  const auto* map = book_.map();
  const int second = map == nullptr ? 0 : sides_[1].choice->findData(q(map->id));
  sides_[1].choice->setCurrentIndex(std::max(0, second));
  sides_[0].choice->setCurrentIndex(second == 0 && maps_.size() > 1 ? 1 : 0);
}

const ComparisonSheet::Map* ComparisonSheet::mapOf(const Side& side) const {
  const int at = side.choice->currentIndex();
  return at < 0 || at >= static_cast<int>(maps_.size()) ? nullptr : &maps_[static_cast<size_t>(at)];
}

void ComparisonSheet::show() {
  const Map *first = mapOf(sides_[0]), *second = mapOf(sides_[1]);
  if (first == nullptr || second == nullptr) return;
  if (second->judged)
    about_->setText(
        txt("Rows: what the map says. Columns: what the reference says, the same labels "
            "for both. ") +
        (second->judged->weighted ? txt("Weighted by area.")
                                  : txt("Every point counts the same.")));
  showSide(sides_[0], *first);
  showSide(sides_[1], *second);
  showVerdict(*first, *second);
}

void ComparisonSheet::showSide(const Side& side, const Map& map) {
  if (!map.judged) {
    side.figure->setText(map.classes.empty() ? QString()
                                             : txt("No labelled point lies on this map."));
    side.matrix->set({}, {}, {});
    return;
  }
  const Assessment& a = map.judged->first();
  QString told = QString("<span style='font-size:24px;font-weight:600'>%1 %</span>")
                     .arg(decimal(100 * a.overall.value, 1));
  if (book_.withoutInterval().empty())
    told += QString(" <span style='color:%1'>± %2 %</span>")
                .arg(tokens().second.name(), decimal(50 * (a.overall.high - a.overall.low), 1));
  side.figure->setText(told);
  side.matrix->set(map.judged->matrix, a, book_.legend());
}

void ComparisonSheet::showVerdict(const Map& first, const Map& second) {
  const bool two = first.judged && second.judged && first.id != second.id;
  for (QWidget* part : std::initializer_list<QWidget*>{test_, unlike_, dots_, byClass_})
    part->setVisible(two);
  if (!two) {
    verdict_->setText(first.id == second.id
                          ? txt("Choose another map at the left. A study with one map has nothing "
                                "to compare it with yet.")
                          : txt("One of the two has no labelled point on it."));
    return;
  }
  std::vector<ComparedPoint> points;
  const auto drawn = book_.labelling().drawn();
  for (size_t i = 0; i < drawn.size(); ++i)
    points.push_back({drawn[i].stratum, first.classes[i], second.classes[i], drawn[i].reference});
  const bool weighted = first.judged->weighted && second.judged->weighted;
  Comparison c;
  try {
    c = compare(points, weighted ? book_.strata() : std::map<int, double>{});
  } catch (const Error& e) {
    return verdict_->setText(sentenceOf(e));
  }
  const double d = 100 * c.difference.value;
  const QString better = (d >= 0 ? second : first).name.toHtmlEscaped();
  verdict_->setText(
      std::abs(d) < 0.05
          ? txt("Both are equally right.")
          : txt("<b>%1</b> is better by <b>%2</b> points of a hundred [%3 to %4].")
                    .arg(better, decimal(std::abs(d), 1),
                         decimal(100 * (d >= 0 ? c.difference.low : -c.difference.high), 1),
                         decimal(100 * (d >= 0 ? c.difference.high : -c.difference.low), 1)) +
                (c.difference.low < 0 && c.difference.high > 0
                     ? " " + txt("The interval holds 0, so it may be chance.")
                     : QString()));
  const size_t unlike = c.all.onlyFirst + c.all.onlySecond;
  test_->setText(txt("%1 points are right in the second only, %2 in the first only; %3 are alike. "
                     "A difference "
                     "as large by chance, of the points: %4 (McNemar 1947%5).")
                     .arg(c.all.onlySecond)
                     .arg(c.all.onlyFirst)
                     .arg(c.both + c.neither)
                     .arg(chanceOf(c.all.p), c.all.exact ? txt(", exact") : QString()));
  unlike_->setText(txt("Show the %n points", "Show the %n point", static_cast<qint64>(unlike)));
  unlike_->setVisible(unlike > 0);
  showClasses(*first.judged, *second.judged, c);
}

/// Class by class, and where a difference is more than chance.
void ComparisonSheet::showClasses(const Judged& first, const Judged& second, const Comparison& c) {
  std::vector<AccuracyDots::Line> lines;
  QStringList sure;
  const auto& m = second.matrix;
  for (size_t i = 0; i < m.codes.size(); ++i) {
    const auto& codes = first.matrix.codes;
    const auto at = std::find(codes.begin(), codes.end(), m.codes[i]);
    const auto* known = book_.legend().find(m.codes[i]);
    lines.push_back({q(m.names[i]), known != nullptr ? toQt(known->colour) : tokens().second,
                     at == codes.end()
                         ? std::nan("")
                         : first.first().users[static_cast<size_t>(at - codes.begin())].value,
                     second.first().users[i].value});
    if (const auto test = c.byClass.find(m.codes[i]);
        test != c.byClass.end() && test->second.p < 0.05)
      sure << q(m.names[i]);
  }
  dots_->set(std::move(lines));
  byClass_->setText(
      txt("○ the first   ● the second.") + " " +
      (sure.isEmpty() ? txt("In no class by itself is the difference more than chance (p < 0.05).")
                      : txt("More than chance by itself (p < 0.05): %1.").arg(sure.join(", "))));
}

void ComparisonSheet::fillTable() {
  table_->setRowCount(static_cast<int>(maps_.size()));
  for (int r = 0; r < table_->rowCount(); ++r) {
    const Map& m = maps_[static_cast<size_t>(r)];
    table_->setItem(r, 0, new QTableWidgetItem(m.name));
    for (int c = 1; c < table_->columnCount(); ++c) table_->setItem(r, c, figureItem("–"));
    if (!m.judged) continue;
    const Assessment& a = m.judged->first();
    QString overall = decimal(100 * a.overall.value, 1);
    if (book_.withoutInterval().empty())
      overall += " ± " + decimal(50 * (a.overall.high - a.overall.low), 1);
    table_->item(r, 1)->setText(overall);
    table_->item(r, 2)->setText(decimal(100 * a.quantity, 1));
    table_->item(r, 3)->setText(decimal(100 * a.allocation, 1));
    if (!std::isnan(a.kappa.value)) table_->item(r, 4)->setText(decimal(a.kappa.value, 2));
    table_->item(r, 5)->setText(grouped(m.judged->matrix.total()));
  }
  fitHeight(table_, 9);
}

void ComparisonSheet::showUnlike() {
  const Map *first = mapOf(sides_[0]), *second = mapOf(sides_[1]);
  if (first == nullptr || second == nullptr) return;
  std::set<int> ids;
  const auto& points = book_.labelling().points();
  for (size_t i = 0; i < points.size(); ++i) {
    const int truth = points[i].reference;
    if (truth != 0 && first->classes[i] != 0 && second->classes[i] != 0 &&
        (first->classes[i] == truth) != (second->classes[i] == truth))
      ids.insert(points[i].id);
  }
  book_.chooseAll();
  book_.chosen = ids;
  Q_EMIT pointsAsked(second->id, first->id);
}

void ComparisonSheet::keyPressEvent(QKeyEvent* e) {
  if (e->key() == Qt::Key_Escape) return Q_EMIT leaveAsked();
  QWidget::keyPressEvent(e);
}

}  // namespace zp
