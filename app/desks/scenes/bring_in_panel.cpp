#include "desks/scenes/bring_in_panel.h"

#include "base/error.h"
#include "base/text.h"
#include "index/import_classes.h"
#include "radar/decibels.h"
#include "scene/sensor.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

constexpr int kLeaveOut = 0, kNewClass = -1;

bool isVector(const fs::path& file) {
  const std::string ending = lowered(file.extension().string());
  return ending == ".gpkg" || ending == ".geojson" || ending == ".shp" || ending == ".kml";
}

void open(Incoming& one) {
  one.trouble.clear();
  one.asksForPower = false;
  try {
    one.scene = openDraft(one.draft);
    one.draft.sensor = one.scene.sensor;
    if (one.scene.isRadar() && one.scene.state == ValueState::Unknown) {
      one.scene.state = recogniseBackscatter(one.scene);
      one.asksForPower = one.scene.state == ValueState::Unknown;
    }
  } catch (const std::exception& e) {
    one.trouble = sentenceOf(e).toStdString();
  }
}

/// One band of whole numbers with names or colours is a class map; one with a unit is a quantity.
Incoming::As guessKind(const Incoming& one) {
  if (!one.trouble.empty() || one.scene.bands.size() != 1) return Incoming::As::Scene;
  const RasterFile file(one.scene.bands[0].file);
  const BandFacts& facts = file.facts(one.scene.bands[0].number);
  if (!facts.categories.empty() || !facts.colours.empty()) return Incoming::As::ClassMap;
  return facts.unit.empty() ? Incoming::As::Scene : Incoming::As::Quantity;
}

void addLayers(const fs::path& file, std::vector<Incoming>& all) {
  for (const auto& [name, n] : layersOf(file)) {
    Incoming one;
    one.as = Incoming::As::Outline;
    one.draft.name = name;
    one.draft.files = {file};
    one.layer = file.string() + ":" + name;
    for (const auto& c : readTable(one.layer).columns) one.fields << q(c);
    all.push_back(std::move(one));
  }
}

std::vector<std::pair<std::string, std::string>> classesOf(const Incoming& one,
                                                           const Progress& progress) {
  if (one.layer.empty()) return classesIn(one.scene.bands[0].file, progress);
  return classesIn(readLayer(one.layer), one.field.toStdString());
}

/// The colour a raster gives a class, or a suggested one.
Colour colourOf(const Incoming& one, const std::string& theirs, size_t n) {
  if (one.layer.empty()) {
    const RasterFile file(one.scene.bands[0].file);
    const auto& colours = file.facts(1).colours;
    const auto code = parseInteger(theirs);
    if (const auto at = colours.find(static_cast<int>(code.value_or(-1))); at != colours.end())
      return {static_cast<uint8_t>(at->second[0]), static_cast<uint8_t>(at->second[1]),
              static_cast<uint8_t>(at->second[2])};
  }
  return suggestedColour(n);
}

bool isDate(const QString& text) {
  return text.isEmpty() || QDate::fromString(text, Qt::ISODate).isValid();
}

QString whatItIs(const Incoming& one) {
  switch (one.as) {
    case Incoming::As::ClassMap:
      return txt("class map");
    case Incoming::As::Quantity:
      return txt("quantity");
    case Incoming::As::Outline:
      return txt("outline");
    default:
      if (one.scene.bands.empty())
        return one.draft.files.size() > 1 ? txt("cannot be one scene") : txt("cannot be read");
      return txt("%n bands", "%n band", static_cast<qint64>(one.scene.bands.size()));
  }
}

}  // namespace

std::vector<Incoming> lookAtFiles(const QStringList& paths) {
  std::vector<Incoming> all;
  std::vector<fs::path> rasters;
  for (const auto& p : paths) {
    const fs::path file = p.toStdString();
    if (isVector(file))
      addLayers(file, all);
    else
      rasters.push_back(file);
  }
  if (rasters.empty()) return all;
  for (auto& draft : groupFiles(rasters)) {
    Incoming one;
    one.draft = std::move(draft);
    open(one);
    one.as = guessKind(one);
    if (one.as == Incoming::As::Quantity)
      one.unit = q(RasterFile(one.scene.bands[0].file).facts(1).unit);
    if (one.trouble.empty()) one.draft.name = one.scene.name, one.draft.date = one.scene.date;
    one.take = one.trouble.empty();
    all.push_back(std::move(one));
  }
  // Several files that cannot be one scene may still be taken apart.
  if (std::none_of(all.begin(), all.end(),
                   [](const Incoming& one) { return one.take || one.draft.files.size() > 1; }))
    throw Error(all[0].trouble);
  return all;
}

bool isPlain(const std::vector<Incoming>& all) {
  if (all.size() != 1 || all[0].as != Incoming::As::Scene || !all[0].trouble.empty()) return false;
  const auto& one = all[0];
  const bool item = lowered(one.draft.files[0].extension().string()) == ".json";
  return item || (one.draft.files.size() == 1 && !one.asksForPower &&
                  one.scene.roles().size() == one.scene.bands.size());
}

BringInPanel::BringInPanel(Workbench& bench, QWidget* parent)
    : QWidget(parent), bench_(bench), classes_(this) {
  about_ = secondLabel("");
  about_->setObjectName("incomingAbout");
  list_ = new QListWidget;
  list_->setObjectName("incomingList");
  list_->setAccessibleName(txt("What comes in"));
  note_ = secondLabel("");
  note_->setObjectName("incomingNote");
  setTone(note_, "warning");
  as_ = new QComboBox;
  as_->setObjectName("incomingAs");
  name_ = new QLineEdit;
  name_->setObjectName("incomingName");
  date_ = new QLineEdit;
  date_->setObjectName("incomingDate");
  date_->setPlaceholderText("2031-07-18");
  preset_ = new LongChoice;
  preset_->setObjectName("incomingPreset");
  state_ = new LongChoice;
  state_->setObjectName("incomingState");
  for (auto s : allValueStates())
    if (s != ValueState::Quantity && s != ValueState::ClassCodes)
      state_->addItem(txt(titleOf(s)), q(idOf(s)));
  field_ = new QComboBox;
  field_->setObjectName("incomingField");
  unit_ = new QLineEdit;
  unit_->setObjectName("incomingUnit");
  unit_->setPlaceholderText(txt("such as °C or mm"));
  from_ = new QLineEdit;
  from_->setObjectName("incomingFrom");
  from_->setPlaceholderText("2031-06-01");
  to_ = new QLineEdit;
  to_->setObjectName("incomingTo");
  to_->setPlaceholderText("2031-06-30");
  bands_ = plainTable({txt("Band"), txt("Role")});
  bands_->setObjectName("incomingBands");
  match_ = plainTable({txt("Theirs"), txt("Ours")});
  match_->setObjectName("incomingMatch");
  for (auto* table : {bands_, match_}) {
    table->verticalHeader()->setDefaultSectionSize(28);
    table->horizontalHeader()->setSectionResizeMode(0, QHeaderView::Stretch);
    table->horizontalHeader()->setSectionResizeMode(1, QHeaderView::Fixed);
    table->horizontalHeaderItem(1)->setTextAlignment(Qt::AlignLeft | Qt::AlignVCenter);
  }
  bands_->setColumnWidth(1, 128);
  match_->setColumnWidth(1, 190);
  join_ = linkButton(txt("Join with the one above"));
  join_->setObjectName("incomingJoin");
  apart_ = linkButton(txt("One scene a file"));
  apart_->setObjectName("incomingApart");

  auto* box = new QVBoxLayout(this);
  box->setContentsMargins(0, 0, 0, 0);
  box->setSpacing(8);
  const auto group = [&] {
    auto* holder = new QWidget;
    auto* g = new QVBoxLayout(holder);
    g->setContentsMargins(0, 0, 0, 0);
    g->setSpacing(8);
    return std::pair(holder, g);
  };
  box->addWidget(about_);
  box->addWidget(list_);
  box->addWidget(wrapping({join_, apart_}));
  box->addWidget(hairline());
  box->addWidget(fieldRow(txt("It is"), {as_}));
  date_->setFixedWidth(104);
  date_->setAccessibleName(txt("Date"));
  box->addWidget(fieldRow(txt("Name, date"), {name_, date_}));
  QVBoxLayout* g;
  std::tie(sceneBox_, g) = group();
  g->addWidget(fieldRow(txt("Sensor preset"), {preset_}));
  g->addWidget(fieldRow(txt("Values are"), {state_}));
  g->addWidget(bands_);
  box->addWidget(sceneBox_);
  std::tie(classBox_, g) = group();
  fieldRow_ = fieldRow(txt("Field of classes"), {field_});
  g->addWidget(fieldRow_);
  g->addWidget(match_);
  box->addWidget(classBox_);
  std::tie(quantityBox_, g) = group();
  g->addWidget(fieldRow(txt("Unit"), {unit_}));
  g->addWidget(fieldRow(txt("From, to"), {from_, to_}));
  box->addWidget(quantityBox_);
  box->addWidget(note_);

  connect(list_, &QListWidget::currentRowChanged, this, [this] {
    if (!filling_) fillOne();
  });
  connect(list_, &QListWidget::itemChanged, this, [this](QListWidgetItem* item) {
    if (filling_) return;
    all_[static_cast<size_t>(list_->row(item))].take = item->checkState() == Qt::Checked;
    Q_EMIT actionChanged();
  });
  connect(join_, &QPushButton::clicked, this, &BringInPanel::joinWithAbove);
  connect(apart_, &QPushButton::clicked, this, &BringInPanel::takeApart);
  connect(as_, &QComboBox::activated, this, [this] {
    if (auto* one = chosen()) one->as = static_cast<Incoming::As>(as_->currentData().toInt());
    fillList();
    Q_EMIT actionChanged();
  });
  connect(name_, &QLineEdit::textEdited, this, [this](const QString& text) {
    auto* one = chosen();
    if (one == nullptr) return;
    one->draft.name = one->scene.name = text.trimmed().toStdString();
    list_->currentItem()->setText(text + "  " + whatItIs(*one));
  });
  connect(date_, &QLineEdit::textEdited, this, [this](const QString& text) {
    if (auto* one = chosen()) one->draft.date = one->scene.date = text.trimmed().toStdString();
  });
  connect(preset_, &QComboBox::activated, this, [this] {
    auto* one = chosen();
    if (one == nullptr) return;
    one->draft.sensor = preset_->currentData().toString().toStdString();
    if (one->draft.sensor.empty())
      one->scene.sensor.clear();  // the roles stay as they are
    else
      reopen(*one);
    fillOne();
  });
  connect(state_, &QComboBox::activated, this, [this] {
    auto* one = chosen();
    if (one == nullptr) return;
    one->scene.state = valueStateFrom(state_->currentData().toString().toStdString());
    one->asksForPower = one->scene.isRadar() && one->scene.state == ValueState::Unknown;
    fillOne();
    Q_EMIT actionChanged();
  });
  connect(field_, &QComboBox::activated, this, [this] {
    auto* one = chosen();
    if (one == nullptr) return;
    one->field = field_->currentText();
    one->theirs.clear();
    fillOne();
  });
  connect(unit_, &QLineEdit::textEdited, this, [this](const QString& text) {
    if (auto* one = chosen()) one->unit = text.trimmed();
  });
  connect(from_, &QLineEdit::textEdited, this, [this](const QString& text) {
    if (auto* one = chosen()) one->from = text.trimmed();
  });
  connect(to_, &QLineEdit::textEdited, this, [this](const QString& text) {
    if (auto* one = chosen()) one->to = text.trimmed();
  });
}

void BringInPanel::offer(std::vector<Incoming> all) {
  all_ = std::move(all);
  for (auto& one : all_)
    if (!one.layer.empty() && one.field.isEmpty() && !one.fields.isEmpty())
      one.field = one.fields.contains("class") ? "class" : one.fields[0];
  list_->setCurrentRow(-1);
  fillList();
  Q_EMIT actionChanged();
}

Incoming* BringInPanel::chosen() {
  const int row = list_->currentRow();
  return row < 0 || row >= static_cast<int>(all_.size()) ? nullptr
                                                         : &all_[static_cast<size_t>(row)];
}

void BringInPanel::fillList() {
  filling_ = true;
  const int row =
      std::clamp(list_->currentRow(), 0, std::max(0, static_cast<int>(all_.size()) - 1));
  list_->clear();
  size_t scenes = 0;
  for (const auto& one : all_) {
    if (one.as == Incoming::As::Scene) ++scenes;
    auto* item = new QListWidgetItem(q(one.draft.name) + "  " + whatItIs(one));
    item->setFlags(item->flags() | Qt::ItemIsUserCheckable);
    item->setCheckState(one.take ? Qt::Checked : Qt::Unchecked);
    list_->addItem(item);
  }
  fitHeight(list_);
  list_->setCurrentRow(row);
  about_->setText(
      scenes == 0
          ? txt("Say what comes in, and under which name.")
          : txt("Put together by folder, name and date. Look whether names, dates and roles "
                "are right; untick what is to stay out."));
  filling_ = false;
  fillOne();
}

void BringInPanel::fillOne() {
  const Incoming* one = chosen();
  if (one == nullptr) return;
  filling_ = true;
  using As = Incoming::As;
  const bool vector = !one->layer.empty(), single = vector || one->scene.bands.size() == 1;
  as_->clear();
  const auto add = [&](const QString& title, As as) { as_->addItem(title, static_cast<int>(as)); };
  if (vector) add(txt("an outline"), As::Outline);
  if (!vector) add(txt("a scene"), As::Scene);
  if (single) add(txt("a class map"), As::ClassMap);
  if (single && !vector) add(txt("a quantity"), As::Quantity);
  as_->setCurrentIndex(as_->findData(static_cast<int>(one->as)));
  name_->setText(q(one->draft.name));
  date_->setText(q(one->draft.date));
  date_->setVisible(one->as == As::Scene || one->as == As::ClassMap);
  const bool read = vector || !one->scene.bands.empty();
  sceneBox_->setVisible(one->as == As::Scene && read);
  for (QWidget* field : std::initializer_list<QWidget*>{as_, name_, date_}) field->setEnabled(read);
  classBox_->setVisible(one->as == As::ClassMap);
  quantityBox_->setVisible(one->as == As::Quantity);
  unit_->setText(one->unit);
  from_->setText(one->from);
  to_->setText(one->to);
  join_->setVisible(one->as == As::Scene && read && list_->currentRow() > 0);
  apart_->setVisible(one->as == As::Scene && one->draft.files.size() > 1);
  QString note = q(one->trouble);
  if (one->as == As::Scene && one->trouble.empty()) fillScene();
  if (one->as == As::ClassMap) fillClasses();
  if (one->asksForPower && one->as == As::Scene)
    note =
        txt("Its numbers do not tell whether they are power or decibels; say what the values are.");
  note_->setText(note);
  note_->setVisible(!note.isEmpty());
  filling_ = false;
  showChosen();
}

/// In the view before it comes in: a wrong band shows at once.
void BringInPanel::showChosen() {
  const Incoming* one = chosen();
  if (one == nullptr || !isVisible()) return;
  Q_EMIT lookedAtLayer(q(one->layer));
  const auto& bands = one->scene.bands;
  if (bands.empty()) return;
  const auto can = compositesOf(one->scene);
  std::array<size_t, 3> shown{};
  QString title = txt("band by band: the first three");
  if (!can.empty()) {
    for (size_t i = 0; i < 3; ++i)
      shown[i] = static_cast<size_t>(one->scene.bandOf(can[0].roles[i]));
    title = txt(can[0].title);
  } else if (bands.size() >= 3) {
    shown = {0, 1, 2};
  } else {
    title = q(bands[0].role.empty() ? bands[0].name : bands[0].role);
  }
  Picture p =
      compositePicture("preview", one->scene, shown, txt("%1, not in the study yet").arg(title));
  p.title = q(one->draft.name);
  Q_EMIT looked(p);
}

void BringInPanel::fillScene() {
  const Incoming* one = chosen();
  const Scene& scene = one->scene;
  preset_->clear();
  preset_->addItem(txt("none: roles as below"));
  for (const auto& s : sensors()) {
    if (!whyNot(s, scene).empty()) continue;
    preset_->addItem(txt(s.title), q(s.id));
    if (s.id == scene.sensor) preset_->setCurrentIndex(preset_->count() - 1);
  }
  state_->setCurrentIndex(std::max(0, state_->findData(q(idOf(scene.state)))));
  bands_->setRowCount(static_cast<int>(scene.bands.size()) + (scene.quality.file.empty() ? 0 : 1));
  for (int b = 0; b < static_cast<int>(scene.bands.size()); ++b) {
    const auto& band = scene.bands[static_cast<size_t>(b)];
    const QString file = q(band.file.filename().string());
    auto* name = new QTableWidgetItem(
        one->draft.files.size() > 1 ? file : QString("%1  %2").arg(band.number).arg(q(band.name)));
    name->setToolTip(q(band.file.string()));
    bands_->setItem(b, 0, name);
    auto* role = new QComboBox;
    role->setObjectName(QString("incomingRole-%1").arg(b + 1));
    role->setAccessibleName(txt("Role of %1").arg(name->text()));
    role->addItem(txt("no role"));
    for (const auto& r : knownRoles()) role->addItem(q(r));
    role->setCurrentIndex(std::max(0, role->findText(q(band.role))));
    role->setStyleSheet("QComboBox { padding: 1px 6px; min-height: 18px; }");
    connect(role, &QComboBox::activated, this, [this, b, role] {
      auto* now = chosen();
      if (now == nullptr) return;
      if (role->currentIndex() == 0)
        now->scene.bands[static_cast<size_t>(b)].role.clear();
      else
        setRoles(now->scene, {{role->currentText().toStdString(), b + 1}});
      // The table is filled anew, which must not happen under the box that tells.
      QMetaObject::invokeMethod(this, &BringInPanel::fillOne, Qt::QueuedConnection);
    });
    bands_->setCellWidget(b, 1, role);
  }
  if (!scene.quality.file.empty()) {
    const int last = bands_->rowCount() - 1;
    bands_->removeCellWidget(last, 1);
    bands_->setItem(last, 0, new QTableWidgetItem(q(scene.quality.file.filename().string())));
    bands_->setItem(last, 1, new QTableWidgetItem(txt("flags")));
  }
  fitHeight(bands_, 14);
}

void BringInPanel::fillClasses() {
  const Incoming* one = chosen();
  fieldRow_->setVisible(!one->layer.empty());
  field_->clear();
  field_->addItems(one->fields);
  field_->setCurrentText(one->field);
  match_->setRowCount(static_cast<int>(one->theirs.size()));
  int r = 0;
  for (const auto& [code, name] : one->theirs) {
    match_->setItem(
        r, 0, new QTableWidgetItem(q(name.empty() || name == code ? code : code + "  " + name)));
    auto* ours = new QComboBox;
    ours->setObjectName("ours-" + q(code));
    ours->setAccessibleName(txt("What becomes of %1").arg(q(code)));
    for (const auto& c : bench_.study().legend.classes)
      ours->addItem(swatch(toQt(c.colour)), QString("%1  %2").arg(c.code).arg(q(c.name)), c.code);
    ours->addItem(txt("a new class"), kNewClass);
    ours->addItem(txt("leave out"), kLeaveOut);
    const auto at = one->ours.find(code);
    ours->setCurrentIndex(ours->findData(at == one->ours.end() ? kNewClass : at->second));
    ours->setStyleSheet("QComboBox { padding: 1px 6px; min-height: 18px; }");
    connect(ours, &QComboBox::activated, this, [this, code = code, ours] {
      if (auto* now = chosen()) now->ours[code] = ours->currentData().toInt();
    });
    match_->setCellWidget(r++, 1, ours);
  }
  fitHeight(match_, 14);
  if (one->theirs.empty()) findClasses();
}

/// Their classes are read from the whole file; they arrive when they are there.
void BringInPanel::findClasses() {
  const int row = list_->currentRow();
  Incoming* one = chosen();
  note_->setText("");
  classes_.ask([copy = *one](const Progress& progress) { return classesOf(copy, progress); },
               [this, row](const std::vector<std::pair<std::string, std::string>>& theirs) {
                 if (row >= static_cast<int>(all_.size())) return;
                 Incoming& into = all_[static_cast<size_t>(row)];
                 into.theirs = theirs;
                 if (theirs.empty()) into.trouble = txt("It holds no classes.").toStdString();
                 into.ours.clear();
                 const CodeMatch match = suggestMatch(theirs, bench_.study().legend);
                 for (const auto& [code, name] : theirs)
                   into.ours[code] = match.count(code) > 0 ? match.at(code) : kNewClass;
                 if (row == list_->currentRow() && !theirs.empty()) fillOne();
                 Q_EMIT actionChanged();
               },
               [this](const QString& sentence) { Q_EMIT trouble(sentence); });
}

void BringInPanel::reopen(Incoming& one) {
  const SceneDraft kept = one.draft;
  open(one);
  one.draft = kept;
  if (!one.trouble.empty()) return;
  one.scene.name = kept.name;
  one.scene.date = kept.date;
}

void BringInPanel::joinWithAbove() {
  const int row = list_->currentRow();
  if (row < 1) return;
  Incoming &above = all_[static_cast<size_t>(row - 1)], &one = all_[static_cast<size_t>(row)];
  SceneDraft joined = above.draft;
  joined.files.insert(joined.files.end(), one.draft.files.begin(), one.draft.files.end());
  if (joined.quality.empty()) joined.quality = one.draft.quality;
  Incoming both = above;
  both.draft = joined;
  reopen(both);
  if (!both.trouble.empty()) return Q_EMIT trouble(q(both.trouble));
  all_[static_cast<size_t>(row - 1)] = both;
  all_.erase(all_.begin() + row);
  list_->setCurrentRow(row - 1);
  fillList();
  Q_EMIT actionChanged();
}

void BringInPanel::takeApart() {
  const int row = list_->currentRow();
  Incoming* one = chosen();
  if (one == nullptr) return;
  std::vector<Incoming> parts;
  for (const auto& file : one->draft.files) {
    Incoming part;
    part.draft = {file.stem().string(), one->draft.date, {file}, {}, {}};
    open(part);
    parts.push_back(std::move(part));
  }
  all_.erase(all_.begin() + row);
  all_.insert(all_.begin() + row, parts.begin(), parts.end());
  fillList();
  Q_EMIT actionChanged();
}

QString BringInPanel::action() const {
  std::map<Incoming::As, int> counts;
  int n = 0;
  for (const auto& one : all_)
    if (one.take) ++counts[one.as], ++n;
  if (n == 0) return txt("Bring in nothing");
  if (counts.size() > 1) return txt("Bring in %1 of them").arg(n);
  switch (counts.begin()->first) {
    case Incoming::As::ClassMap:
      return txt("Bring in %n class maps", "Bring in %n class map", n);
    case Incoming::As::Quantity:
      return txt("Bring in %n quantities", "Bring in %n quantity", n);
    case Incoming::As::Outline:
      return txt("Bring in %n outlines", "Bring in %n outline", n);
    default:
      return txt("Bring in %n scenes", "Bring in %n scene", n);
  }
}

void BringInPanel::act() {
  for (int i = 0; i < static_cast<int>(all_.size()); ++i) {
    const auto& one = all_[static_cast<size_t>(i)];
    if (!one.take) continue;
    QString why = q(one.trouble);
    const QString name = q(one.draft.name);
    if (name.trimmed().isEmpty())
      why = txt("One of them has no name; write one.");
    else if (one.as == Incoming::As::Scene && one.asksForPower)
      why = txt("Say whether the values of “%1” are power or decibels first.").arg(name);
    else if (!isDate(q(one.draft.date)) || !isDate(one.from) || !isDate(one.to))
      why = txt("A date is not one; write year-month-day, such as 2031-07-18, or leave it empty.");
    else if (one.as == Incoming::As::ClassMap && one.theirs.empty() && one.trouble.empty())
      why = txt("The classes of “%1” are being read; look at what they become first.").arg(name);
    if (why.isEmpty()) continue;
    list_->setCurrentRow(i);
    return Q_EMIT trouble(why);
  }
  Q_EMIT trouble("");
  std::vector<Scene> scenes;
  const auto all = std::move(all_);
  all_.clear();
  Q_EMIT left();
  for (const auto& one : all) {
    if (!one.take) continue;
    if (one.as == Incoming::As::Scene) scenes.push_back(one.scene);
    if (one.as == Incoming::As::Outline) bench_.addOutline(q(one.layer), q(one.draft.name));
    if (one.as == Incoming::As::ClassMap) importClasses(one);
    if (one.as == Incoming::As::Quantity) importQuantity(one);
  }
  if (!scenes.empty()) bench_.addScenes(std::move(scenes));
}

void BringInPanel::importClasses(const Incoming& one) {
  Legend legend = bench_.study().legend;
  Json match = Json::object();
  for (const auto& [code, name] : one.theirs) {
    int ours = one.ours.at(code);
    if (ours == kLeaveOut) continue;
    if (ours == kNewClass) {
      const int theirs = static_cast<int>(parseInteger(code).value_or(0));
      LegendClass added;
      added.code = theirs >= 1 && theirs <= 65535 && legend.find(theirs) == nullptr
                       ? theirs
                       : legend.firstFreeCode();
      added.name = name.empty() ? txt("class %1").arg(q(code)).toStdString() : name;
      added.colour = colourOf(one, code, legend.classes.size());
      ours = added.code;
      legend.add(added);
    }
    match[code] = ours;
  }
  if (legend.classes.size() != bench_.study().legend.classes.size())
    bench_.setLegend(legend, txt("Add classes of a map"));
  Json step = {{"do", "import-classes"},
               {"name", one.draft.name},
               {"file", one.layer.empty() ? one.scene.bands[0].file.string() : one.layer},
               {"date", one.draft.date},
               {"match", match}};
  if (!one.layer.empty()) {
    const auto* scene = bench_.currentScene();
    if (scene == nullptr)
      return Q_EMIT trouble(txt("Bring in a scene first: polygons become a map on its pixels."));
    step["field"] = one.field.toStdString();
    step["scene"] = scene->id;
  }
  bench_.run(step, txt("Bring in a class map"));
}

void BringInPanel::importQuantity(const Incoming& one) {
  bench_.run({{"do", "import-quantity"},
              {"name", one.draft.name},
              {"file", one.scene.bands[0].file.string()},
              {"unit", one.unit.toStdString()},
              {"from", one.from.toStdString()},
              {"to", one.to.toStdString()}},
             txt("Bring in a quantity"));
}

}  // namespace zp
