#include "desks/scenes/making_panel.h"

#include "base/error.h"
#include "base/text.h"
#include "radar/speckle.h"

namespace zp {

/// One thing that can be made, and which fields it asks for.
struct MakingPanel::Operation {
  const char *id, *title, *about, *action;
  enum Uses { ManyScenes, Bands, Other, Height, Nothing } uses;
  QList<QPair<const char*, const char*>> how;  // value, title
  const char* number = "";                     // label of the number, "" for none
  double from = 0, to = 0, preset = 0;
  bool window = false;
  const char* second = "";  // of a second number, in degrees
};

/// Longer than a function may be: a table, one entry an operation.
const QList<MakingPanel::Operation>& MakingPanel::operations() {
  using O = Operation;
  static const QList<O> all{
      {"composite",
       words("One scene out of several dates"),
       words("Band by band the median of the dates, or every pixel from the date at which it is "
             "greenest "
             "(Holben 1986). What is set aside is left out."),
       words("Combine the dates"),
       O::ManyScenes,
       {{"median", words("median")}, {"greenest", words("greenest pixel")}}},
      {"join",
       words("Adjoining scenes as one"),
       words("Each pixel from the first ticked scene that has it, over the place of all."),
       words("Join the scenes"),
       O::ManyScenes,
       {}},
      {"stack",
       words("Chosen bands as one file"),
       words("On the grid of the first ticked band; whole numbers keep value = stored × scale."),
       words("Stack the bands"),
       O::Bands,
       {{"float32", words("real numbers")},
        {"uint16", words("whole numbers, 16 bit")},
        {"byte", words("whole numbers, 8 bit")}},
       words("Scale"),
       1e-9,
       1e9,
       0.0001},
      {"season",
       words("A season of one band"),
       words("The same band of every ticked date, oldest first, as one file: a time stack on the "
             "grid of "
             "the oldest."),
       words("Stack the season"),
       O::ManyScenes,
       {}},
      {"sharpen",
       words("Sharpened for looking"),
       words("The detail of a sharper band (Brovey: Gillespie 1987; Gram–Schmidt: Laben and Brower "
             "2000). "
             "For looking and labelling; not for classification."),
       words("Sharpen"),
       O::Other,
       {{"gram-schmidt", words("Gram–Schmidt")}, {"brovey", words("Brovey")}}},
      {"haze",
       words("Haze subtracted"),
       words("Dark-object subtraction (Chavez 1988): what the darkest pixels of the starting band "
             "show, "
             "and "
             "less of it in longer wavelengths."),
       words("Subtract the haze"),
       O::Other,
       {{"2", words("clear air")},
        {"4", words("very clear air")},
        {"1", words("moderate haze")},
        {"0.7", words("hazy")},
        {"0.5", words("very hazy")}},
       words("Dark object is"),
       0,
       1e6,
       0.01},
      {"slope-light",
       words("In the light of level ground"),
       words(
           "Slopes that face the sun are made as bright as level ground, by a layer of heights in "
           "metres (Teillet et al. 1982): by the cosine alone, or with a constant for each band, "
           "which does not overdo it where light is low."),
       words("Correct the light"),
       O::Height,
       {{"c", words("with a constant (C)")}, {"cosine", words("cosine alone")}},
       words("Sun’s height, °"),
       0.1,
       90,
       45,
       false,
       words("Sun’s bearing, °")},
      {"normalise",
       words("Brought to another scene's light"),
       words(
           "Gain and offset a band from the pixels that did not change (Canty and Nielsen 2008)."),
       words("Normalise"),
       O::Other,
       {}},
      {"speckle",
       words("Speckle filtered"),
       words("Local statistics of a window (Lee 1980), or of the half window on the pixel's own "
             "side of "
             "an "
             "edge (Lee 1981). Averages are of power."),
       words("Filter the speckle"),
       O::Nothing,
       {{"lee", words("Lee")}, {"refined-lee", words("refined Lee")}},
       words("Looks"),
       0.5,
       1000,
       4,
       true},
      {"shift",
       words("Where it lies against another"),
       words("The shift in parts of a pixel, by phase correlation (Kuglin and Hines 1975). A "
             "correction "
             "is "
             "kept with the scene; its file stays as it is."),
       words("Measure the shift"),
       O::Other,
       {}}};
  return all;
}

QWidget* MakingPanel::row(const QString& label, QWidget* field) {
  auto* w = fieldRow(label, {field});
  layout()->addWidget(w);
  return w;
}

MakingPanel::MakingPanel(Workbench& bench) : Panel(bench, 6), latest_(this) {
  what_ = new QComboBox;
  what_->setObjectName("makeWhat");
  what_->setAccessibleName(txt("What to make"));
  for (const auto& o : operations()) what_->addItem(txt(o.title), QString(o.id));
  box()->addWidget(what_);
  about_ = secondLabel("");
  box()->addWidget(about_);
  ticks_ = new QListWidget;
  ticks_->setObjectName("makeTicks");
  ticks_->setAccessibleName(txt("What goes into it"));
  box()->addWidget(ticks_);
  other_ = new QComboBox;
  other_->setObjectName("makeOther");
  otherRow_ = row(txt("With"), other_);
  otherLabel_ = otherRow_->findChild<QLabel*>();
  how_ = new QComboBox;
  how_->setObjectName("makeHow");
  howRow_ = row(txt("How"), how_);
  number_ = new QDoubleSpinBox;
  number_->setObjectName("makeNumber");
  number_->setDecimals(4);
  numberRow_ = row(txt("Number"), number_);
  numberLabel_ = numberRow_->findChild<QLabel*>();
  window_ = new QSpinBox;
  window_->setObjectName("makeWindow");
  window_->setRange(3, 31);
  window_->setSingleStep(2);
  window_->setValue(7);
  window_->setSuffix(txt(" pixels"));
  windowRow_ = row(txt("Window"), window_);
  second_ = new QDoubleSpinBox;
  second_->setObjectName("makeSecond");
  second_->setRange(0, 360);
  second_->setDecimals(1);
  second_->setValue(180);
  secondRow_ = row(txt("Angle"), second_);
  secondLabel_ = secondRow_->findChild<QLabel*>();
  result_ = secondLabel("");
  result_->setObjectName("makeResult");
  box()->addWidget(result_);
  correct_ = quietButton(txt("Correct it"));
  correct_->setObjectName("correctShift");
  box()->addWidget(correct_, 0, Qt::AlignLeft);
  box()->addStretch();

  connect(what_, &QComboBox::currentIndexChanged, this, &MakingPanel::choose);
  connect(ticks_, &QListWidget::itemChanged, this, &MakingPanel::changed);
  connect(correct_, &QPushButton::clicked, this, [this] {
    if (!shift_) return;
    bench_.changeScene(q(id_), txt("Correct where a scene lies"),
                       [this](Scene& s) { moveScene(s, shift_->by); });
    shift_.reset();
    choose();
  });
}

const StudyScene* MakingPanel::scene() const {
  return bench_.hasStudy() ? bench_.study().scene(id_) : nullptr;
}

const MakingPanel::Operation& MakingPanel::chosen() const {
  return operations()[std::max(0, what_->currentIndex())];
}

void MakingPanel::refresh() {
  const auto* s = bench_.currentScene();
  if (s == nullptr) return;
  const bool another = s->id != id_;
  id_ = s->id;
  if (another && s->scene.isRadar() != (QString(chosen().id) == "speckle"))
    what_->setCurrentIndex(what_->findData(s->scene.isRadar() ? "speckle" : "composite"));
  choose();
}

void MakingPanel::choose() {
  const Operation& o = chosen();
  about_->setText(txt(o.about));
  shift_.reset();
  correct_->setVisible(false);
  result_->setText("");
  result_->setVisible(false);
  const QVariant kept = how_->currentData();
  how_->clear();
  for (const auto& [value, title] : o.how) how_->addItem(txt(title), value);
  // The season asks which of the scene's bands.
  if (QString(o.id) == "season" && scene() != nullptr)
    for (const auto& role : scene()->scene.roles()) how_->addItem(q(role), q(role));
  how_->setCurrentIndex(std::max(0, how_->findData(kept)));
  howRow_->setVisible(how_->count() > 0);
  const bool numbered = o.number[0] != '\0';
  numberRow_->setVisible(numbered);
  const QString label = numbered ? txt(o.number) : QString();
  numberLabel_->setText(label);
  number_->setAccessibleName(label);
  if (numbered) {
    number_->setDecimals(o.second[0] != '\0' ? 1 : 4);
    number_->setRange(o.from, o.to);
    number_->setValue(o.preset);
  }
  windowRow_->setVisible(o.window);
  const bool angled = o.second[0] != '\0';
  secondRow_->setVisible(angled);
  if (angled) {
    secondLabel_->setText(txt(o.second));
    second_->setAccessibleName(txt(o.second));
  }
  const bool beside = o.uses == Operation::Other || o.uses == Operation::Height;
  otherRow_->setVisible(beside);
  ticks_->setVisible(o.uses == Operation::ManyScenes || o.uses == Operation::Bands);
  if (beside) fillOthers();
  if (ticks_->isVisibleTo(this)) fillTicks();
  if (o.window) estimate();
  Q_EMIT changed();
}

QString MakingPanel::action() const {
  return txt(chosen().action);
}

/// The bands or scenes that can stand beside the chosen one.
void MakingPanel::fillOthers() {
  other_->clear();
  const auto* s = scene();
  if (s == nullptr) return;
  const QString what = chosen().id;
  otherLabel_->setText(what == "haze"                       ? txt("Starting band")
                       : what == "sharpen"                  ? txt("Sharp band")
                       : chosen().uses == Operation::Height ? txt("Heights")
                                                            : txt("Against"));
  if (chosen().uses == Operation::Height) return fillHeights(*s);
  if (what == "haze") {
    for (size_t b = 0; b < s->scene.bands.size(); ++b)
      other_->addItem(q(s->scene.bands[b].name), static_cast<int>(b));
    return;
  }
  for (const auto& one : bench_.study().scenes) {
    if (one.id == s->id) continue;
    if (what != "sharpen") {
      if (one.scene.isRadar() == s->scene.isRadar()) other_->addItem(q(one.scene.name), q(one.id));
      continue;
    }
    if (one.scene.grid.pixelWidth() >= s->scene.grid.pixelWidth()) continue;
    for (size_t b = 0; b < one.scene.bands.size(); ++b)
      other_->addItem(q(one.scene.name) + ", " + q(one.scene.bands[b].name),
                      QString("%1/%2").arg(q(one.id)).arg(b));
  }
}

/// Layers of quantities, and bands of other scenes that are of no colour: any may hold heights.
void MakingPanel::fillHeights(const StudyScene& scene) {
  for (const auto& p : bench_.study().products)
    if (p.kind == ProductKind::Quantity) other_->addItem(q(p.name), q(p.id) + "/0");
  for (const auto& one : bench_.study().scenes) {
    if (one.id == scene.id || one.scene.isRadar()) continue;
    for (size_t b = 0; b < one.scene.bands.size(); ++b)
      if (one.scene.bands[b].role.empty())
        other_->addItem(q(one.scene.name) + ", " + q(one.scene.bands[b].name),
                        QString("%1/%2").arg(q(one.id)).arg(b));
  }
}

void MakingPanel::fillTicks() {
  const QSignalBlocker quiet(ticks_);
  ticks_->clear();
  const auto* s = scene();
  if (s == nullptr) return;
  const auto add = [&](const QString& text, const QString& value, bool on) {
    ticks_->addItem(tickItem(text, value, on));
  };
  // The chosen scene comes first: its grid is that of the result.
  std::vector<const StudyScene*> all{s};
  for (const auto& one : bench_.study().scenes)
    if (one.id != s->id) all.push_back(&one);
  for (const auto* one : all) {
    if (chosen().uses == Operation::ManyScenes) {
      if (one->scene.isRadar() == s->scene.isRadar() && one->product.empty())
        add(nameWithDate(one->scene), q(one->id), one->scene.sensor == s->scene.sensor);
      continue;
    }
    for (size_t b = 0; b < one->scene.bands.size(); ++b)
      add(q(one->scene.name) + ", " + q(one->scene.bands[b].name),
          QString("%1/%2").arg(q(one->id)).arg(b), one == s);
  }
  fitHeight(ticks_);
}

void MakingPanel::estimate() {
  const auto* s = scene();
  if (s == nullptr || !s->scene.isRadar()) return;
  latest_.ask(
      [copy = s->scene](const Progress&) { return estimateLooks(copy, 0); },
      [this](double looks) {
        if (!chosen().window || !std::isfinite(looks)) return;
        number_->setValue(looks);
        result_->setText(txt("About %1 looks, by the evenest ground here.").arg(decimal(looks, 1)));
        result_->setVisible(true);
      },
      [](const QString&) {});
}

Json MakingPanel::step() const {
  const Operation& o = chosen();
  const auto* s = scene();
  const std::string how = how_->currentData().toString().toStdString();
  Json step = {{"do", o.id}, {"scene", s->id}};
  QString name = q(s->scene.name);
  const QString what = o.id;
  if (what == "season") return seasonStep(how);
  if (o.uses == Operation::ManyScenes) {
    step["scenes"] = Json::array();
    for (const auto& id : ticked()) step["scenes"].push_back(id.toStdString());
    step["how"] = how;
    const qint64 dates = ticked().size();
    name = what == "join"      ? txt("Joined scenes")
           : how == "greenest" ? txt("Greenest of %n dates", "Greenest of %n date", dates)
                               : txt("Median of %n dates", "Median of %n date", dates);
  } else if (o.uses == Operation::Bands) {
    step["bands"] = Json::array();
    for (const auto& t : ticked())
      step["bands"].push_back({{"scene", t.section('/', 0, 0).toStdString()},
                               {"band", t.section('/', 1).toULongLong()}});
    step["type"] = how;
    step["scale"] = how == "float32" ? 1.0 : number_->value();
    name = txt("Stack of %n bands", "Stack of %n band", ticked().size());
  } else if (what == "sharpen") {
    const QString sharp = other_->currentData().toString();
    step["sharp"] = sharp.section('/', 0, 0).toStdString();
    step["band"] = sharp.section('/', 1).toULongLong();
    step["how"] = how;
    name = txt("%1, sharpened").arg(name);
  } else if (what == "haze") {
    step["start"] = other_->currentData().toULongLong();
    step["power"] = std::stod(how);
    step["dark"] = number_->value();
    name = txt("%1, less haze").arg(name);
  } else if (what == "slope-light") {
    const QString height = other_->currentData().toString();
    step["with"] = {{"height", height.section('/', 0, 0).toStdString()}};
    step["band"] = height.section('/', 1).toULongLong();
    step["how"] = how;
    step["elevation"] = number_->value();
    step["azimuth"] = second_->value();
    name = txt("%1, on level ground").arg(name);
  } else if (what == "normalise") {
    step["reference"] = other_->currentData().toString().toStdString();
    name = txt("%1, normalised").arg(name);
  } else if (what == "speckle") {
    step["how"] = how;
    step["window"] = window_->value() | 1;
    step["looks"] = number_->value();
    name = txt("%1, filtered").arg(name);
  }
  step["name"] = name.toStdString();
  return step;
}

/// The bands of one role, in order of their dates.
Json MakingPanel::seasonStep(const std::string& role) const {
  std::vector<const StudyScene*> all;
  for (const auto& id : ticked())
    if (const auto* one = bench_.study().scene(id.toStdString());
        one != nullptr && one->scene.bandOf(role) >= 0)
      all.push_back(one);
  std::stable_sort(all.begin(), all.end(), [](const StudyScene* a, const StudyScene* b) {
    return a->scene.date < b->scene.date;
  });
  Json bands = Json::array();
  for (const auto* one : all)
    bands.push_back({{"scene", one->id}, {"band", one->scene.bandOf(role)}, {"dated", true}});
  return {{"do", "stack"},
          {"bands", bands},
          {"type", "float32"},
          {"name",
           txt("Season of %1, %n dates", "Season of %1, %n date", static_cast<qint64>(all.size()))
               .arg(q(role))
               .toStdString()}};
}

QString MakingPanel::missing() const {
  if (scene() == nullptr) return txt("Bring in a scene first.");
  const Operation& o = chosen();
  if (o.uses == Operation::Other && other_->count() == 0)
    return QString(o.id) == "sharpen" ? txt("No scene here has smaller pixels than this one.")
                                      : txt("There is no other scene of this kind.");
  if (o.uses == Operation::Height && other_->count() == 0)
    return txt("There is no layer of heights here; bring one in first.");
  if (o.uses == Operation::ManyScenes && ticked().size() < 2)
    return txt("Tick two scenes or more.");
  if (o.uses == Operation::Bands && ticked().isEmpty()) return txt("Tick one band or more.");
  return {};
}

void MakingPanel::act() {
  if (QString(chosen().id) == "shift") return measure();
  Panel::act();
}

void MakingPanel::measure() {
  const auto* s = scene();
  const auto* to = bench_.study().scene(other_->currentData().toString().toStdString());
  if (s == nullptr || to == nullptr) return;
  // The band that both have and that shows most: near infrared, else the first common one.
  int a = s->scene.bandOf("nir"), b = to->scene.bandOf("nir");
  for (const auto& role : s->scene.roles())
    if (a < 0 || b < 0) a = s->scene.bandOf(role), b = to->scene.bandOf(role);
  if (a < 0 || b < 0) return Q_EMIT trouble(txt("The two scenes have no band role in common."));
  result_->setText(txt("Measuring…"));
  result_->setVisible(true);
  latest_.ask(
      [one = s->scene, two = to->scene, a, b](const Progress& p) {
        return measureShift({&one, static_cast<size_t>(a)}, {&two, static_cast<size_t>(b)}, p);
      },
      [this, name = q(to->scene.name)](const Shift& found) {
        shift_ = found;
        const auto way = [](double v, const QString& plus, const QString& minus) {
          return (v >= 0 ? plus : minus).arg(decimal(std::abs(v), 2));
        };
        result_->setText(txt("It lies %1 and %2 of %3 (certainty %4).")
                             .arg(way(found.columns, txt("%1 pixels right"), txt("%1 pixels left")),
                                  way(found.rows, txt("%1 down"), txt("%1 up")), name,
                                  decimal(found.certainty, 2)));
        correct_->setVisible(std::hypot(found.columns, found.rows) >= 0.02);
      },
      [this](const QString& why) {
        result_->setText("");
        Q_EMIT trouble(why);
      });
}

}  // namespace zp
