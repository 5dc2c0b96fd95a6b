#include "desks/indices/dates_panel.h"

#include "base/text.h"
#include "study/study_scope.h"

namespace zp {
namespace {

struct Words {
  const char *title, *about, *action;
};
constexpr Words kWords[] = {
    {words("Difference of the index"),
     words("The index in hand of the later scene less that of the earlier one. "
           "Cut it by a threshold afterwards, as any index."),
     words("Make the difference")},
    {words("From one map to the other"),
     words("What became of every class between two class maps, as a map and a "
           "table in hectares; or one class alone: lost, gained and kept."),
     words("Map the change")},
    {words("How often and when a class was there"),
     words("Over class maps of many dates: how many times each pixel was of "
           "the class, or at which date first or last."),
     words("Follow the class")},
    {words("Areas over many dates"),
     words("The index in hand with its thresholds over each ticked scene: a table "
           "and a curve of area against date."),
     words("Follow the area")},
    {words("Against another's layer"),
     words("An index of yours less the same quantity made elsewhere, and why they "
           "may differ."),
     words("Compare the layers")}};

QWidget* row(const QString& label, QWidget* field) {
  return fieldRow(label, {field}, 84);
}

}  // namespace

std::string formulaOfScene(const std::string& formula, const std::vector<std::string>& roles,
                           const std::string& name) {
  std::string out;
  size_t done = 0;
  for (const auto& t : formulaTokens(formula, roles)) {
    out += formula.substr(done, t.at - done);
    if (t.kind == FormulaToken::Name) out += name + ".";
    out += formula.substr(t.at, t.length);
    done = t.at + t.length;
  }
  return out + formula.substr(done);
}

DatesPanel::DatesPanel(Workbench& bench, std::function<IndexInHand()> inHand)
    : Panel(bench), inHand_(std::move(inHand)) {
  what_ = new QComboBox;
  what_->setObjectName("datesWhat");
  what_->setAccessibleName(txt("What to compare"));
  for (const auto& w : kWords) what_->addItem(txt(w.title));
  about_ = secondLabel("");
  from_ = new QComboBox;
  from_->setObjectName("datesFrom");
  to_ = new QComboBox;
  to_->setObjectName("datesTo");
  class_ = new QComboBox;
  class_->setObjectName("datesClass");
  when_ = new QComboBox;
  when_->setObjectName("datesWhen");
  when_->addItem(txt("how many times"), "times");
  when_->addItem(txt("at which date first"), "first");
  when_->addItem(txt("at which date last"), "last");
  ticks_ = new QListWidget;
  ticks_->setObjectName("datesTicks");
  ticks_->setAccessibleName(txt("Dates"));
  result_ = secondLabel("");
  result_->setObjectName("datesResult");
  table_ = plainTable({txt("From \\ to")});
  table_->setObjectName("datesTable");
  curve_ = new LineChart;
  curve_->setFixedHeight(150);
  auto* layout = box();
  layout->addWidget(what_);
  layout->addWidget(about_);
  layout->addWidget(fromRow_ = row(txt("Earlier"), from_));
  layout->addWidget(toRow_ = row(txt("Later"), to_));
  layout->addWidget(ticks_);
  layout->addWidget(classRow_ = row(txt("Class"), class_));
  layout->addWidget(whenRow_ = row(txt("Was there"), when_));
  warning_ = secondLabel("");
  warning_->setObjectName("datesWarning");
  setTone(warning_, "warning");
  layout->addWidget(warning_);
  layout->addWidget(result_);
  layout->addWidget(table_);
  layout->addWidget(curve_);
  layout->addStretch();
  connect(what_, &QComboBox::currentIndexChanged, this, &DatesPanel::choose);
  connect(from_, &QComboBox::activated, this, [this] { fillClasses(), Q_EMIT changed(); });
  connect(to_, &QComboBox::activated, this, &DatesPanel::changed);
  connect(ticks_, &QListWidget::itemChanged, this, [this] {
    fillClasses();
    warn();
    Q_EMIT changed();
  });
  choose();
}

void DatesPanel::choose() {
  const auto what = static_cast<What>(what_->currentIndex());
  about_->setText(txt(kWords[what].about));
  const bool pair = what == Difference || what == FromTo || what == Against;
  fromRow_->setVisible(pair);
  toRow_->setVisible(pair);
  fromRow_->findChild<QLabel*>()->setText(what == Against ? txt("Yours") : txt("Earlier"));
  toRow_->findChild<QLabel*>()->setText(what == Against ? txt("Theirs") : txt("Later"));
  ticks_->setVisible(!pair);
  classRow_->setVisible(what == FromTo || what == HowOften);
  whenRow_->setVisible(what == HowOften);
  result_->setText("");
  table_->setVisible(false);
  curve_->setVisible(false);
  fill();
  const char* steps[] = {"", "change", "", "series", "compare"};
  const auto& all = bench_.hasStudy() ? bench_.study().products : std::vector<Product>();
  for (auto p = all.rbegin(); p != all.rend(); ++p)
    if (p->step.value("do", "") == steps[what]) {
      showTable(*p);
      break;
    }
  Q_EMIT changed();
}

void DatesPanel::refresh() {
  fill();
  Q_EMIT changed();
}

void DatesPanel::fill() {
  if (!bench_.hasStudy()) return;
  const Study& s = bench_.study();
  const auto what = static_cast<What>(what_->currentIndex());
  std::vector<std::tuple<std::string, QString, QString>> all;  // date, text, id
  if (what == Difference || what == Series) {
    for (const auto& one : s.scenes)
      if (!one.scene.isRadar() || what == Series)
        all.emplace_back(one.scene.date, q(one.scene.name), q(one.id));
  } else {
    for (const auto& p : s.products) {
      const bool map = p.kind == ProductKind::ClassMap;
      const bool layer = p.kind == ProductKind::Index || p.kind == ProductKind::Quantity;
      if (what == Against ? layer : map && p.step.value("do", "") != "change")
        all.emplace_back(p.date, q(p.name) + "  " + niceDate(p.date), q(p.id));
    }
  }
  std::stable_sort(all.begin(), all.end(),
                   [](const auto& a, const auto& b) { return std::get<0>(a) < std::get<0>(b); });
  const QVariant from = from_->currentData(), to = to_->currentData();
  const QStringList before = tickedIn(*ticks_);
  const QSignalBlocker quiet(ticks_);
  from_->clear();
  to_->clear();
  ticks_->clear();
  const auto* current = bench_.currentScene();
  for (const auto& [date, text, id] : all) {
    from_->addItem(text, id);
    to_->addItem(text, id);
    const auto* scene = s.scene(id.toStdString());
    const bool like = scene == nullptr || (current != nullptr && scene->product.empty() &&
                                           scene->scene.sensor == current->scene.sensor);
    ticks_->addItem(tickItem(text, id, before.isEmpty() ? like : before.contains(id)));
  }
  fitHeight(ticks_);
  from_->setCurrentIndex(std::max(0, from_->findData(from)));
  const int later = to_->findData(to);
  to_->setCurrentIndex(later >= 0 ? later : to_->count() - 1);
  fillClasses();
  warn();
}

/// Numbers of different kinds do not make one curve.
void DatesPanel::warn() {
  std::map<ValueState, QStringList> states;
  if (static_cast<What>(what_->currentIndex()) == Series)
    for (const auto& id : tickedIn(*ticks_))
      if (const auto* s = bench_.study().scene(id.toStdString()))
        states[s->scene.state] << q(s->scene.name);
  QStringList parts;
  for (const auto& [state, names] : states)
    parts << txt("%1 is %2").arg(names.first(), txt(titleOf(state)));
  warning_->setText(
      txt("The ticked scenes hold different kinds of values: %1. Their areas cannot be compared.")
          .arg(parts.join(", ")));
  warning_->setVisible(states.size() > 1);
}

Json DatesPanel::classesOf(const Product& map) const {
  return map.facts.value("classes", Json::array());
}

void DatesPanel::fillClasses() {
  const auto what = static_cast<What>(what_->currentIndex());
  const QVariant kept = class_->currentData();
  class_->clear();
  if (what == FromTo) class_->addItem(txt("every class"), 0);
  const QString id = what == FromTo ? from_->currentData().toString() : tickedIn(*ticks_).value(0);
  if (const auto* p = bench_.hasStudy() ? bench_.study().product(id.toStdString()) : nullptr)
    for (const auto& c : classesOf(*p))
      class_->addItem(q(c.at("name").get<std::string>()), c.at("code").get<int>());
  class_->setCurrentIndex(std::max(0, class_->findData(kept)));
}

Panel::Heading DatesPanel::heading() const {
  return {txt("Between dates"), txt("What changed, where, and how much.")};
}

QString DatesPanel::action() const {
  return txt(kWords[what_->currentIndex()].action);
}

QString DatesPanel::missing() const {
  const auto what = static_cast<What>(what_->currentIndex());
  const bool pair = from_->count() >= 2 && from_->currentData() != to_->currentData();
  const auto ticks = tickedIn(*ticks_).size();
  switch (what) {
    case Difference:
      if (!pair) return txt("Choose two different scenes.");
      try {
        difference();
      } catch (const std::exception&) {
        return txt("One of the two scenes lacks a band that the index needs.");
      }
      return {};
    case FromTo:
      return pair ? QString() : txt("Make class maps of two dates first.");
    case Against:
      return pair ? QString() : txt("Choose two different layers.");
    case HowOften:
      return ticks >= 2 ? QString() : txt("Make class maps of two dates first.");
    case Series:
      if (ticks < 2) return txt("Tick two scenes or more.");
      return inHand_().cuts.empty()
                 ? txt("Make the index of one date first, and set its threshold.")
                 : QString();
  }
  return {};
}

Json DatesPanel::step() const {
  const Study& s = bench_.study();
  const std::string from = from_->currentData().toString().toStdString(),
                    to = to_->currentData().toString().toStdString();
  switch (static_cast<What>(what_->currentIndex())) {
    case Difference:
      return difference();
    case HowOften:
      return history();
    case Series:
      return series();
    case Against:
      return {
          {"do", "compare"},
          {"product", from},
          {"to", to},
          {"name",
           txt("%1 less %2").arg(q(s.product(from)->name), q(s.product(to)->name)).toStdString()}};
    case FromTo:
      break;
  }
  const int code = class_->currentData().toInt();
  return {{"do", "change"},
          {"from", from},
          {"to", to},
          {"code", code},
          {"name",
           (code == 0 ? txt("Change of classes") : txt("Change of %1").arg(class_->currentText()))
               .toStdString()}};
}

/// Error when a scene lacks a band of the index.
Json DatesPanel::difference() const {
  const Study& s = bench_.study();
  const std::string from = from_->currentData().toString().toStdString(),
                    to = to_->currentData().toString().toStdString();
  const IndexInHand index = inHand_();
  std::string earlier, later;
  for (const auto& [name, id] : formulaNames(s)) {
    if (id == from) earlier = name;
    if (id == to) later = name;
  }
  const auto& a = s.scene(from)->scene;
  const auto& b = s.scene(to)->scene;
  const std::string formula = "(" + formulaOfScene(index.formula, b.roles(), later) + ") - (" +
                              formulaOfScene(index.formula, a.roles(), earlier) + ")";
  const std::map<std::string, std::string> with{{earlier, from}, {later, to}};
  parseFormula(formula, studyScope(s, to, with).names());
  return {{"do", "index"},
          {"scene", to},
          {"formula", formula},
          {"with", with},
          {"ramp", "diverging"},
          {"name", txt("%1, %2 less %3").arg(q(index.title), q(b.name), q(a.name)).toStdString()}};
}

Json DatesPanel::history() const {
  Json maps = Json::array();
  for (const auto& id : tickedIn(*ticks_)) maps.push_back(id.toStdString());
  const QString name[] = {txt("Times %1"), txt("First date of %1"), txt("Last date of %1")};
  return {{"do", "history"},
          {"maps", maps},
          {"code", class_->currentData().toInt()},
          {"what", when_->currentData().toString().toStdString()},
          {"name", name[when_->currentIndex()].arg(class_->currentText()).toStdString()}};
}

Json DatesPanel::series() const {
  const IndexInHand index = inHand_();
  Json scenes = Json::array();
  for (const auto& id : tickedIn(*ticks_)) scenes.push_back(id.toStdString());
  Json step = {
      {"do", "series"},           {"scenes", scenes},
      {"formula", index.formula}, {"at", index.cuts},
      {"classes", index.classes}, {"name", txt("%1 by date").arg(q(index.title)).toStdString()}};
  if (const auto area = bench_.studyAreaId(); !area.empty()) step["inside"] = area;
  return step;
}

void DatesPanel::showResult(const QString& product) {
  Panel::showResult(product);
  if (const auto* p = bench_.study().product(product.toStdString())) showTable(*p);
}

void DatesPanel::showTable(const Product& p) {
  result_->setText("");
  const bool series = p.kind == ProductKind::Areas, change = p.facts.contains("change");
  table_->setVisible(series || change);
  curve_->setVisible(series);
  if (change) showChange(p.facts["change"], p);
  if (series) showSeries(p);
  if (p.facts.contains("reasons")) {
    QString text =
        txt("Mean difference %1, spread %2, correlation %3.")
            .arg(compact(numberFrom(p.facts["mean"])), compact(numberFrom(p.facts["sd"])),
                 decimal(numberFrom(p.facts["correlation"]), 4));
    for (const auto& r : p.facts["reasons"]) text += "\n• " + sentenceOf(sentenceFrom(r));
    if (p.facts["reasons"].empty()) text += "\n" + txt("They are the same.");
    result_->setText(text);
  }
}

/// Rows are what it was, columns what it is; hectares.
void DatesPanel::showChange(const Json& change, const Product& p) {
  const auto n = static_cast<int>(change.at("classes").size());
  QStringList columns{txt("From \\ to, ha")};
  std::map<int, int> place;
  for (const auto& c : change["classes"]) {
    place[c.at("code")] = static_cast<int>(place.size());
    columns << q(c.at("name").get<std::string>());
  }
  table_->clear();
  table_->setColumnCount(n + 1);
  table_->setHorizontalHeaderLabels(columns);
  table_->setRowCount(n);
  for (int r = 0; r < n; ++r) {
    table_->setItem(r, 0, new QTableWidgetItem(columns[r + 1]));
    for (int c = 1; c <= n; ++c) table_->setItem(r, c, figureItem("0"));
  }
  for (const auto& c : change.at("cells")) {
    const double area = numberFrom(c.at("area_m2"));
    const QString text =
        std::isnan(area) ? grouped(c.at("pixels").get<qulonglong>()) : decimal(area / 10000, 1);
    table_->setItem(place[c.at("from")], place[c.at("to")] + 1, figureItem(text));
  }
  table_->resizeColumnsToContents();
  fitHeight(table_);
  result_->setText(
      txt("From %1 to %2.")
          .arg(niceDate(p.facts.value("from", "")), niceDate(p.facts.value("to", ""))));
}

void DatesPanel::showSeries(const Product& p) {
  Table t;
  try {
    t = readTable(p.file.string());
  } catch (const std::exception& e) {
    return result_->setText(sentenceOf(e));
  }
  const auto last = static_cast<int>(t.columns.size()) - 2;  // mean and usable share stand behind
  table_->clear();
  table_->setColumnCount(last);
  QStringList columns{txt("Date")};
  for (int c = 2; c < last; ++c) columns << q(t.columns[static_cast<size_t>(c)]);
  columns << txt("usable");
  table_->setHorizontalHeaderLabels(columns);
  table_->setRowCount(static_cast<int>(t.rows.size()));
  QVector<double> days, areas;
  for (int r = 0; r < table_->rowCount(); ++r) {
    const auto& cells = t.rows[static_cast<size_t>(r)];
    table_->setItem(r, 0, new QTableWidgetItem(niceDate(cells[0])));
    for (int c = 2; c < last; ++c)
      table_->setItem(
          r, c - 1,
          figureItem(decimal(parseNumber(cells[static_cast<size_t>(c)]).value_or(NAN), 1)));
    table_->setItem(r, last - 1,
                    figureItem(decimal(100 * parseNumber(cells.back()).value_or(NAN), 0) + " %"));
    const QDate day = QDate::fromString(q(cells[0]), Qt::ISODate);
    const auto area = parseNumber(cells[static_cast<size_t>(last - 1)]);
    if (!day.isValid() || !area) continue;
    days << static_cast<double>(day.startOfDay(Qt::UTC).toSecsSinceEpoch());
    areas << *area;
  }
  table_->resizeColumnsToContents();
  fitHeight(table_);
  curve_->show(days, areas, txt("date"), columns[last - 2], true, tokens().accent);
}

}  // namespace zp
