#include "desks/scenes/bands_panel.h"

#include "base/text.h"
#include "desks/scenes/role_choice.h"
#include "scene/sensor.h"

namespace zp {
namespace {

enum Column { kBand, kRole, kWavelength, kScale, kOffset };
constexpr int kRoleWidth = 112;

}  // namespace

BandsPanel::BandsPanel(Workbench& bench) : Panel(bench) {
  buildScene();
  buildPreset();
  state_ = new LongChoice;
  state_->setObjectName("valueState");
  for (auto s : allValueStates()) state_->addItem(txt(titleOf(s)), q(idOf(s)));
  box()->addWidget(fieldRow(txt("Values are"), {state_}));
  connect(state_, &QComboBox::activated, this, [this] {
    const auto state = valueStateFrom(state_->currentData().toString().toStdString());
    change(txt("Change what the values are"), [=](Scene& one) { one.state = state; });
  });
  buildBands();
  box()->addWidget(sectionLabel(txt("Empty pixels")));
  nodata_ = new QLineEdit;
  nodata_->setObjectName("nodata");
  nodata_->setPlaceholderText(txt("none"));
  box()->addWidget(fieldRow(txt("No-data value"), {nodata_}));
  box()->addStretch();
  connect(nodata_, &QLineEdit::editingFinished, this, &BandsPanel::setNodata);
}

void BandsPanel::buildScene() {
  name_ = new QLineEdit;
  name_->setObjectName("sceneName");
  date_ = new QLineEdit;
  date_->setObjectName("sceneDate");
  date_->setAccessibleName(txt("Date of the scene"));
  date_->setPlaceholderText("2031-07-18");
  date_->setToolTip(txt("The day the scene was taken: year-month-day"));
  date_->setFixedWidth(104);
  box()->addWidget(fieldRow(txt("Name, date"), {name_, date_}));
  connect(name_, &QLineEdit::editingFinished, this, &BandsPanel::setName);
  connect(date_, &QLineEdit::editingFinished, this, &BandsPanel::setDate);
}

void BandsPanel::buildPreset() {
  preset_ = new LongChoice;
  preset_->setObjectName("preset");
  box()->addWidget(fieldRow(txt("Sensor preset"), {preset_}));
  keep_ = linkButton(txt("Keep these bands as a preset…"));
  keep_->setObjectName("keepPreset");
  forget_ = linkButton(txt("Forget this preset"));
  forget_->setObjectName("forgetPreset");
  own_ = wrapping({keep_, forget_});
  own_->layout()->setContentsMargins(116, 0, 0, 0);
  box()->addWidget(own_);
  connect(preset_, &QComboBox::activated, this, &BandsPanel::applyPreset);
  connect(keep_, &QPushButton::clicked, this, &BandsPanel::keepPreset);
  connect(forget_, &QPushButton::clicked, this, [this] {
    dropSensor(preset_->currentData().toString().toStdString());
    if (const auto* s = bench_.currentScene()) fill(s->scene);
  });
}

void BandsPanel::buildBands() {
  bands_ = plainTable({txt("Band"), txt("Role"), txt("nm"), txt("scale"), txt("offset")});
  bands_->setObjectName("bandTable");
  bands_->setEditTriggers(QAbstractItemView::DoubleClicked | QAbstractItemView::EditKeyPressed |
                          QAbstractItemView::AnyKeyPressed);
  bands_->setSelectionMode(QAbstractItemView::NoSelection);
  bands_->setToolTip(txt(
      "Value = stored number × scale + offset. A scale or offset typed here holds for every band "
      "that has the same now."));
  bands_->verticalHeader()->setDefaultSectionSize(28);
  bands_->horizontalHeader()->setSectionResizeMode(kRole, QHeaderView::Fixed);
  bands_->setColumnWidth(kRole, kRoleWidth);
  bands_->horizontalHeaderItem(kRole)->setTextAlignment(Qt::AlignLeft | Qt::AlignVCenter);
  box()->addWidget(bands_);
  connect(bands_, &QTableWidget::itemChanged, this, [this](QTableWidgetItem* item) {
    if (filling_ || item->column() < kScale) return;
    // The table is filled anew, which must not happen under the item that tells.
    QMetaObject::invokeMethod(
        this,
        [this, r = item->row(), c = item->column(), text = item->text()] { convert(r, c, text); },
        Qt::QueuedConnection);
  });
}

void BandsPanel::change(const QString& what, const std::function<void(Scene&)>& how) {
  if (const auto* s = bench_.currentScene()) bench_.changeScene(q(s->id), what, how);
}

/// What one is writing stays when something else of the study changes.
void BandsPanel::refresh() {
  const auto* s = bench_.currentScene();
  if (s == nullptr) return;
  const QString now = q(s->id) + "/" + sceneKey(s->scene) + tokens().second.name();
  if (now != std::exchange(shown_, now)) fill(s->scene);
}

void BandsPanel::fill(const Scene& scene) {
  filling_ = true;
  name_->setText(q(scene.name));
  date_->setText(q(scene.date).left(10));
  fillPresets(scene);
  state_->setCurrentIndex(state_->findData(q(idOf(scene.state))));
  const auto& nodata = scene.bands[0].conversion.nodata;
  nodata_->setText(nodata ? QString::number(*nodata) : QString());
  fillBands(scene);
  filling_ = false;
}

/// Those that fit the bands first; of the others, why not.
void BandsPanel::fillPresets(const Scene& scene) {
  preset_->clear();
  preset_->addItem(txt("none: roles set below"));
  bool own = false;
  for (const bool fits : {true, false})
    for (const auto& one : sensors()) {
      const Sentence why = whyNot(one, scene);
      if (why.empty() != fits) continue;
      preset_->addItem(txt(one.title), q(one.id));
      const int at = preset_->count() - 1;
      preset_->setItemData(at, fits ? txt(one.source) : sentenceOf(why), Qt::ToolTipRole);
      if (!fits) preset_->setItemData(at, tokens().second, Qt::ForegroundRole);
      if (one.id == scene.sensor) preset_->setCurrentIndex(at), own = one.own;
    }
  keep_->setVisible(preset_->currentIndex() == 0);
  forget_->setVisible(own);
  own_->setVisible(preset_->currentIndex() == 0 || own);
}

QComboBox* BandsPanel::roleBox(int band, const std::string& role) {
  auto* choice =
      roleChoice(QString("role-%1").arg(band + 1), txt("Role of band %1").arg(band + 1), role);
  connect(choice, &QComboBox::activated, this, [this, band, choice] {
    change(txt("Change a role"), [&](Scene& one) { giveRole(one, band, *choice); });
  });
  return choice;
}

void BandsPanel::fillBands(const Scene& scene) {
  bands_->setRowCount(static_cast<int>(scene.bands.size()));
  for (int b = 0; b < bands_->rowCount(); ++b) {
    const auto& band = scene.bands[static_cast<size_t>(b)];
    bands_->setItem(b, kBand, new QTableWidgetItem(QString("%1  %2").arg(b + 1).arg(q(band.name))));
    bands_->setCellWidget(b, kRole, roleBox(b, band.role));
    bands_->setItem(b, kWavelength,
                    figureItem(band.wavelength > 0 ? QString::number(band.wavelength) : "–"));
    bands_->setItem(b, kScale, figureItem(fieldNumber(band.conversion.scale)));
    bands_->setItem(b, kOffset, figureItem(fieldNumber(band.conversion.offset)));
    for (int column : {kBand, kWavelength})
      bands_->item(b, column)->setFlags(bands_->item(b, column)->flags() & ~Qt::ItemIsEditable);
  }
  fitHeight(bands_);
}

void BandsPanel::setName() {
  const auto* s = bench_.currentScene();
  const std::string name = name_->text().trimmed().toStdString();
  if (s == nullptr || filling_ || name == s->scene.name) return;
  if (name.empty()) return name_->setText(q(s->scene.name));
  change(txt("Rename a scene"), [&](Scene& one) { one.name = name; });
}

void BandsPanel::setDate() {
  const auto* s = bench_.currentScene();
  const QString text = date_->text().trimmed();
  if (s == nullptr || filling_ || text == q(s->scene.date).left(10)) return;
  if (!text.isEmpty() && !QDate::fromString(text, Qt::ISODate).isValid())
    return Q_EMIT trouble(
        txt("The date is not one; write year-month-day, such as 2031-07-18, or leave it empty."));
  Q_EMIT trouble("");
  change(txt("Change a date"), [&](Scene& one) { one.date = text.toStdString(); });
}

void BandsPanel::setNodata() {
  const auto* s = bench_.currentScene();
  if (s == nullptr || filling_) return;
  const QString text = nodata_->text().trimmed();
  const auto value = typedNumber(text);
  if (!text.isEmpty() && !value)
    return Q_EMIT trouble(
        txt("The no-data value is not a number; write one such as 0 or -9999, or leave it empty."));
  if (s->scene.bands[0].conversion.nodata == value) return;
  Q_EMIT trouble("");
  change(txt("Change the no-data value"), [&](Scene& one) {
    for (auto& b : one.bands) b.conversion.nodata = value;
  });
}

/// A scale or offset was typed: it goes to all bands that shared the old one.
void BandsPanel::convert(int row, int column, const QString& text) {
  const auto* s = bench_.hasStudy() ? bench_.currentScene() : nullptr;
  if (s == nullptr || static_cast<size_t>(row) >= s->scene.bands.size()) return;
  const bool scale = column == kScale;
  const auto part = scale ? &RasterFile::Conversion::scale : &RasterFile::Conversion::offset;
  const double before = s->scene.bands[static_cast<size_t>(row)].conversion.*part;
  const auto value = typedNumber(text);
  if (!value || (scale && *value == 0)) {
    fill(s->scene);
    return Q_EMIT trouble(scale ? txt("The scale is not a number other than 0; write one such as "
                                      "0.0001.")
                                : txt("The offset is not a number; write one such as 0 or -0.1."));
  }
  Q_EMIT trouble("");
  if (*value == before) return;
  change(scale ? txt("Change a scale") : txt("Change an offset"), [&](Scene& one) {
    for (auto& b : one.bands)
      if (b.conversion.*part == before) b.conversion.*part = *value;
  });
}

void BandsPanel::applyPreset(int index) {
  const auto* s = bench_.currentScene();
  if (s == nullptr) return;
  if (index == 0) {  // the roles stay
    if (!s->scene.sensor.empty())
      change(txt("Apply a sensor preset"), [](Scene& one) { one.sensor.clear(); });
    return;
  }
  try {
    Scene copy = s->scene;
    applySensor(copy, sensor(preset_->currentData().toString().toStdString()));
    Q_EMIT trouble("");
    change(txt("Apply a sensor preset"), [&](Scene& one) { one = copy; });
  } catch (const std::exception& e) {
    Q_EMIT trouble(sentenceOf(e));
    preset_->setCurrentIndex(0);
  }
}

void BandsPanel::keepPreset() {
  const auto* s = bench_.currentScene();
  if (s == nullptr) return;
  bool ok = false;
  const QString title =
      QInputDialog::getText(this, txt("Keep as a preset"), txt("Name of the sensor"),
                            QLineEdit::Normal, q(s->scene.name), &ok);
  if (!ok) return;
  try {
    keepSensor(s->scene, title.trimmed().toStdString());
    Q_EMIT trouble("");
    const std::string id = sensors().back().id;
    change(txt("Keep a preset"), [&](Scene& one) { one.sensor = id; });
  } catch (const std::exception& e) {
    Q_EMIT trouble(sentenceOf(e));
  }
}

}  // namespace zp
