#include "desks/scenes/bring_in_panel.h"

#include "desks/scenes/incoming_picture.h"
#include "desks/scenes/role_choice.h"
#include "scene/sensor.h"

namespace zp {

BringInPanel::BringInPanel(Workbench& bench, MapView& view)
    : Panel(bench), view_(view), classes_(this), layer_(this) {
  buildList();
  buildFields();
  buildScene();
  buildClasses();
  buildQuantity();
  box()->addWidget(csv_ = new CsvBox);
  note_ = secondLabel("");
  note_->setObjectName("incomingNote");
  setTone(note_, "warning");
  box()->addWidget(note_);
  box()->addStretch();
  connectFields();
}

void BringInPanel::buildList() {
  about_ = secondLabel("");
  about_->setObjectName("incomingAbout");
  list_ = new QListWidget;
  list_->setObjectName("incomingList");
  list_->setAccessibleName(txt("What comes in"));
  join_ = linkButton(txt("Join with the one above"));
  join_->setObjectName("incomingJoin");
  apart_ = linkButton(txt("One scene a file"));
  apart_->setObjectName("incomingApart");
  box()->addWidget(about_);
  box()->addWidget(list_);
  box()->addWidget(wrapping({join_, apart_}));
  box()->addWidget(hairline());
  connect(list_, &QListWidget::currentRowChanged, this, [this] {
    if (!filling_) fillOne();
  });
  connect(list_, &QListWidget::itemChanged, this, [this](QListWidgetItem* item) {
    if (filling_) return;
    all_[static_cast<size_t>(list_->row(item))].take = item->checkState() == Qt::Checked;
    Q_EMIT changed();
  });
  connect(join_, &QPushButton::clicked, this, &BringInPanel::joinWithAbove);
  connect(apart_, &QPushButton::clicked, this, &BringInPanel::takeApart);
}

void BringInPanel::buildFields() {
  as_ = new QComboBox;
  as_->setObjectName("incomingAs");
  name_ = lineEdit("incomingName");
  date_ = lineEdit("incomingDate", "2031-07-18");
  date_->setFixedWidth(104);
  date_->setAccessibleName(txt("Date"));
  box()->addWidget(fieldRow(txt("It is"), {as_}));
  box()->addWidget(fieldRow(txt("Name, date"), {name_, date_}));
}

void BringInPanel::buildScene() {
  preset_ = new LongChoice;
  preset_->setObjectName("incomingPreset");
  state_ = new LongChoice;
  state_->setObjectName("incomingState");
  for (auto s : allValueStates())
    if (s != ValueState::Quantity && s != ValueState::ClassCodes)
      state_->addItem(txt(titleOf(s)), q(idOf(s)));
  bands_ = tableOfChoices({txt("Band"), txt("Role")}, "incomingBands", 128);
  auto* inside = columnIn(sceneBox_ = new QWidget);
  inside->addWidget(fieldRow(txt("Sensor preset"), {preset_}));
  inside->addWidget(fieldRow(txt("Values are"), {state_}));
  inside->addWidget(bands_);
  box()->addWidget(sceneBox_);
}

void BringInPanel::buildClasses() {
  field_ = new QComboBox;
  field_->setObjectName("incomingField");
  match_ = tableOfChoices({txt("Theirs"), txt("Ours")}, "incomingMatch", 190);
  auto* inside = columnIn(classBox_ = new QWidget);
  inside->addWidget(fieldRow_ = fieldRow(txt("Field of classes"), {field_}));
  inside->addWidget(match_);
  box()->addWidget(classBox_);
}

void BringInPanel::buildQuantity() {
  unit_ = lineEdit("incomingUnit", txt("such as °C or mm"));
  from_ = lineEdit("incomingFrom", "2031-06-01");
  to_ = lineEdit("incomingTo", "2031-06-30");
  auto* inside = columnIn(quantityBox_ = new QWidget);
  inside->addWidget(fieldRow(txt("Unit"), {unit_}));
  inside->addWidget(fieldRow(txt("From, to"), {from_, to_}));
  box()->addWidget(quantityBox_);
}

/// What is said of the chosen one is kept with it at once.
void BringInPanel::change(const std::function<void(Incoming&)>& how) {
  if (auto* one = chosen()) how(*one);
}

void BringInPanel::connectFields() {
  connect(as_, &QComboBox::activated, this, [this] {
    change([this](Incoming& one) {
      one.as = static_cast<Incoming::As>(as_->currentData().toInt());
      one.unfit.clear();
    });
    fillList();
    Q_EMIT changed();
  });
  connect(name_, &QLineEdit::textEdited, this, [this](const QString& text) {
    change([&](Incoming& one) {
      one.draft.name = one.scene.name = text.trimmed().toStdString();
      list_->currentItem()->setText(text + "  " + whatItIs(one));
    });
  });
  connect(date_, &QLineEdit::textEdited, this, [this](const QString& text) {
    change([&](Incoming& one) { one.draft.date = one.scene.date = text.trimmed().toStdString(); });
  });
  connect(preset_, &QComboBox::activated, this, [this] {
    change([this](Incoming& one) {
      one.draft.sensor = preset_->currentData().toString().toStdString();
      if (one.draft.sensor.empty())
        one.scene.sensor.clear();  // the roles stay as they are
      else
        reopen(one);
    });
    fillOne();
  });
  connect(state_, &QComboBox::activated, this, [this] {
    change([this](Incoming& one) {
      one.scene.state = valueStateFrom(state_->currentData().toString().toStdString());
      one.asksForPower = one.scene.isRadar() && one.scene.state == ValueState::Unknown;
    });
    fillOne();
    Q_EMIT changed();
  });
  connect(field_, &QComboBox::activated, this, [this] {
    change([this](Incoming& one) {
      one.field = field_->currentText();
      one.theirs.clear();
      one.unfit.clear();
    });
    fillOne();
  });
  connect(csv_, &CsvBox::said, this, [this] {
    change([this](Incoming& one) { csv_->take(one); });
    fillOne();
    Q_EMIT changed();
  });
  for (auto [edit, part] : std::initializer_list<std::pair<QLineEdit*, QString Incoming::*>>{
           {unit_, &Incoming::unit}, {from_, &Incoming::from}, {to_, &Incoming::to}})
    connect(edit, &QLineEdit::textEdited, this, [this, part = part](const QString& text) {
      change([&](Incoming& one) { one.*part = text.trimmed(); });
    });
}

Panel::Heading BringInPanel::heading() const {
  return {txt("Bring in"), txt("What these files seem to be.")};
}

/// Come back to, it is looked at again.
void BringInPanel::refresh() {
  if (!looking_) showChosen();
}

void BringInPanel::leave() {
  layer_.stop();
  shapes_.clear();
  if (!looking_) return;
  looking_ = false;
  Q_EMIT overlayChanged();
  Q_EMIT lookEnded();
}

void BringInPanel::forget() {
  leave();
  classes_.stop();
  all_.clear();
}

void BringInPanel::offer(std::vector<Incoming> all) {
  const std::string files = filesOf(all);
  if (all_.empty() || files != offered_) all_ = std::move(all);
  offered_ = files;
  for (auto& one : all_)
    if (one.csv && one.system.isEmpty()) one.system = q(crsName(view_.crs()));
  for (auto& one : all_)
    if (!one.layer.empty() && one.field.isEmpty() && !one.fields.isEmpty())
      one.field = one.fields.contains("class") ? "class" : one.fields[0];
  list_->setCurrentRow(-1);
  fillList();
  Q_EMIT changed();
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
  fillKinds(*one);
  name_->setText(q(one->draft.name));
  date_->setText(q(one->draft.date));
  date_->setVisible(one->as == As::Scene || one->as == As::ClassMap);
  const bool read = one->csv || !one->layer.empty() || !one->scene.bands.empty();
  sceneBox_->setVisible(one->as == As::Scene && read);
  for (QWidget* field : std::initializer_list<QWidget*>{as_, name_, date_}) field->setEnabled(read);
  classBox_->setVisible(one->as == As::ClassMap);
  quantityBox_->setVisible(one->as == As::Quantity);
  csv_->setVisible(one->csv.has_value());
  if (one->csv) csv_->show(*one);
  unit_->setText(one->unit);
  from_->setText(one->from);
  to_->setText(one->to);
  join_->setVisible(one->as == As::Scene && read && list_->currentRow() > 0);
  apart_->setVisible(one->as == As::Scene && one->draft.files.size() > 1);
  QString note = one->as == As::ClassMap ? one->unfit : q(one->trouble);
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

/// What it can be.
void BringInPanel::fillKinds(const Incoming& one) {
  using As = Incoming::As;
  const bool vector = !one.layer.empty(), single = vector || one.scene.bands.size() == 1;
  as_->clear();
  const auto add = [&](const QString& title, As as) { as_->addItem(title, static_cast<int>(as)); };
  if (one.csv) {
    add(txt("a table"), As::Table);
    add(txt("points"), As::Points);
    return as_->setCurrentIndex(as_->findData(static_cast<int>(one.as)));
  }
  if (vector) add(txt("an outline"), As::Outline);
  if (!vector) add(txt("a scene"), As::Scene);
  if (single) add(txt("a class map"), As::ClassMap);
  if (single && !vector) add(txt("a quantity"), As::Quantity);
  as_->setCurrentIndex(as_->findData(static_cast<int>(one.as)));
}

/// The shapes of a layer over the view; none for an empty name.
void BringInPanel::showLayer(const std::string& layer) {
  layer_.stop();
  shapes_.clear();
  if (layer.empty()) return Q_EMIT overlayChanged();
  layer_.ask([layer, crs = view_.crs()](const Progress&) { return readLayer(layer, crs); },
             [this](const Layer& read) {
               for (const auto& shape : read.shapes) {
                 ViewShape v;
                 v.shape = shape;
                 v.colour = tokens().accent;
                 shapes_.push_back(std::move(v));
               }
               Q_EMIT overlayChanged();
             },
             [](const QString&) {});  // `trouble` of the one says what is wrong with it
}

/// In the view before it comes in: a wrong band shows at once.
void BringInPanel::showChosen() {
  const Incoming* one = chosen();
  if (one == nullptr || !isVisible()) return;
  looking_ = true;
  showLayer(one->layer);
  const Picture p = pictureOf(*one, bench_.study().legend);
  if (p.none()) return;
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
    bands_->setCellWidget(b, 1, roleBox(b, name->text(), band.role));
  }
  if (!scene.quality.file.empty()) {
    const int last = bands_->rowCount() - 1;
    bands_->removeCellWidget(last, 1);
    bands_->setItem(last, 0, new QTableWidgetItem(q(scene.quality.file.filename().string())));
    bands_->setItem(last, 1, new QTableWidgetItem(txt("flags")));
  }
  fitHeight(bands_, 14);
}

QComboBox* BringInPanel::roleBox(int band, const QString& of, const std::string& role) {
  auto* choice =
      roleChoice(QString("incomingRole-%1").arg(band + 1), txt("Role of %1").arg(of), role);
  connect(choice, &QComboBox::activated, this, [this, band, choice] {
    change([&](Incoming& one) { giveRole(one.scene, band, *choice); });
    // The table is filled anew, which must not happen under the box that tells.
    QMetaObject::invokeMethod(this, &BringInPanel::fillOne, Qt::QueuedConnection);
  });
  return choice;
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
    match_->setCellWidget(r++, 1, oursBox(*one, code));
  }
  fitHeight(match_, 14);
  match_->setVisible(one->unfit.isEmpty());
  if (one->theirs.empty() && one->unfit.isEmpty()) findClasses();
}

QComboBox* BringInPanel::oursBox(const Incoming& one, const std::string& code) {
  auto* choice = choiceInTable("ours-" + q(code), txt("What becomes of %1").arg(q(code)));
  for (const auto& c : bench_.study().legend.classes)
    choice->addItem(swatch(toQt(c.colour)), QString("%1  %2").arg(c.code).arg(q(c.name)), c.code);
  choice->addItem(txt("a new class"), kNewClass);
  choice->addItem(txt("leave out"), kLeaveOut);
  choice->setCurrentIndex(choice->findData(becomes(one, code, bench_.study().legend)));
  connect(choice, &QComboBox::activated, this, [this, code, choice] {
    change([&](Incoming& now) { now.ours[code] = choice->currentData().toInt(); });
    showChosen();
  });
  return choice;
}

/// Their classes are read from the whole file; they arrive when they are there.
void BringInPanel::findClasses() {
  const int row = list_->currentRow();
  note_->setText("");
  const auto found = [this, row](const auto& take) {
    if (row >= static_cast<int>(all_.size())) return;
    Q_EMIT trouble("");  // that they were being read
    take(all_[static_cast<size_t>(row)]);
    if (row == list_->currentRow()) fillOne();
    Q_EMIT changed();
  };
  classes_.ask(
      [copy = *chosen()](const Progress& progress) { return classesOf(copy, progress); },
      [=, this](const std::vector<std::pair<std::string, std::string>>& theirs) {
        found([&](Incoming& one) { takeClasses(one, theirs, bench_.study().legend); });
      },
      [=](const QString& sentence) { found([&](Incoming& one) { one.unfit = sentence; }); });
}

void BringInPanel::joinWithAbove() {
  const int row = list_->currentRow();
  if (row < 1) return;
  Incoming &above = all_[static_cast<size_t>(row - 1)], &one = all_[static_cast<size_t>(row)];
  const Incoming both = joined(above, one);
  if (!both.trouble.empty()) return Q_EMIT trouble(q(both.trouble));
  all_[static_cast<size_t>(row - 1)] = both;
  all_.erase(all_.begin() + row);
  list_->setCurrentRow(row - 1);
  fillList();
  Q_EMIT changed();
}

void BringInPanel::takeApart() {
  const int row = list_->currentRow();
  Incoming* one = chosen();
  if (one == nullptr) return;
  const auto parts = apart(*one);
  all_.erase(all_.begin() + row);
  all_.insert(all_.begin() + row, parts.begin(), parts.end());
  fillList();
  Q_EMIT changed();
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
    case Incoming::As::Table:
      return txt("Bring in %n tables", "Bring in %n table", n);
    case Incoming::As::Points:
      return txt("Bring in the points");
    default:
      return txt("Bring in %n scenes", "Bring in %n scene", n);
  }
}

void BringInPanel::act() {
  for (int i = 0; i < static_cast<int>(all_.size()); ++i) {
    const auto& one = all_[static_cast<size_t>(i)];
    const QString why = one.take ? missingOf(one) : QString();
    if (why.isEmpty()) continue;
    list_->setCurrentRow(i);
    return Q_EMIT trouble(why);
  }
  const auto all = std::move(all_);
  all_.clear();
  Q_EMIT left();
  std::vector<Scene> scenes;
  for (const auto& one : all) {
    if (!one.take) continue;
    if (one.as == Incoming::As::Scene)
      scenes.push_back(one.scene);
    else
      take(one);
  }
  if (!scenes.empty()) bench_.addScenes(std::move(scenes));
}

/// What comes in beside scenes.
void BringInPanel::take(const Incoming& one) {
  if (one.as == Incoming::As::Outline) return bench_.addOutline(q(one.layer), q(one.draft.name));
  if (one.csv) return bench_.run(tableStep(one), txt("Bring in a table"));
  if (one.as == Incoming::As::Quantity)
    return bench_.run(quantityStep(one), txt("Bring in a quantity"));
  const auto* scene = bench_.currentScene();
  if (scene == nullptr && !one.layer.empty())
    return Q_EMIT trouble(txt("Bring in a scene first: polygons become a map on its pixels."));
  Legend legend = bench_.study().legend;
  const Json step = classesStep(one, scene == nullptr ? "" : scene->id, legend);
  if (legend.classes.size() != bench_.study().legend.classes.size())
    bench_.setLegend(legend, txt("Add classes of a map"));
  bench_.run(step, txt("Bring in a class map"));
}

}  // namespace zp
