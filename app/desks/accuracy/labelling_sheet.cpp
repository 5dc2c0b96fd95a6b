#include "desks/accuracy/labelling_sheet.h"

#include "base/error.h"
#include "desks/class_key.h"
#include "study/change_behind.h"

namespace zp {

namespace {

constexpr double kPixelsClose = 30, kPixelsAround = 120, kPixelsWide = 600;  // across a pane

/// A choice that looks like the words beside it.
QComboBox* flatChoice(const QString& name) {
  auto* choice = new LongChoice;
  choice->setFocusPolicy(Qt::StrongFocus);
  choice->setAccessibleName(name);
  choice->setStyleSheet("QComboBox { background: transparent; border: none; padding-right: 4px; }");
  return choice;
}

}  // namespace

LabellingSheet::LabellingSheet(Workbench& bench, LabelBook& book)
    : bench_(bench), book_(book), curvesJob_(this) {
  setObjectName("labellingSheet");
  setFocusPolicy(Qt::StrongFocus);
  setAccessibleName(txt("Labelling"));
  keys_ = new QHBoxLayout;
  keys_->setSpacing(8);
  auto* panes = new QHBoxLayout;
  panes->setSpacing(20);
  for (size_t i = 0; i < 3; ++i) panes->addLayout(buildPane(i), 1);
  auto* layout = new QVBoxLayout(this);
  layout->setContentsMargins(20, 14, 20, 14);
  layout->setSpacing(10);
  layout->addLayout(buildHead());
  layout->addLayout(panes, 1);
  layout->addLayout(buildCurves());
  layout->addLayout(keys_);
  hints_ = new QWidget;
  auto* hints = columnIn(hints_, 0);
  hints->addLayout(buildHints());
  layout->addWidget(hints_);
  layout->addWidget(late_ = new LateChangeStrip);
  late_->hide();
  connect(late_, &LateChangeStrip::recorded, this, &LabellingSheet::recordChange);
  connect(late_, &LateChangeStrip::dropped, this, &LabellingSheet::endChange);
}

QLayout* LabellingSheet::buildHead() {
  order_ = secondLabel("");
  order_->setObjectName("labelOrder");
  count_ = secondLabel("");
  count_->setObjectName("labelCount");
  count_->setAlignment(Qt::AlignRight);
  bar_ = new QProgressBar;
  bar_->setAccessibleName(txt("Points labelled"));
  bar_->setTextVisible(false);
  bar_->setFixedWidth(330);
  auto* head = new QGridLayout;
  head->addWidget(title_ = headingLabel(""), 0, 0);
  head->addWidget(order_, 1, 0);
  head->addWidget(bar_, 0, 1, Qt::AlignRight | Qt::AlignVCenter);
  head->addWidget(count_, 1, 1);
  head->setColumnStretch(0, 1);
  return head;
}

QLayout* LabellingSheet::buildPane(size_t i) {
  Pane& pane = panes_[i];
  pane.tiles = std::make_unique<TileStore>(1);
  pane.view = new MapView(*pane.tiles);
  pane.view->setBare(true);
  pane.view->setObjectName(QString("pane%1").arg(i));
  pane.view->setFocusPolicy(Qt::NoFocus);
  pane.view->setAttribute(Qt::WA_TransparentForMouseEvents);
  pane.caption = new QLabel;
  pane.caption->setFont(textFont(10, QFont::Medium));
  pane.picture = flatChoice("");
  connect(pane.picture, &QComboBox::activated, this, [this, i](int index) {
    setPicture(panes_[i], index);
    bench_.setPlace(placeOfPicture(i),
                    pictures_[static_cast<size_t>(index)].picture.key.toStdString());
    setFocus();
  });
  auto* under = new QHBoxLayout;
  under->addWidget(pane.caption);
  under->addWidget(pane.picture, 1);
  auto* column = new QVBoxLayout;
  column->setSpacing(2);
  column->addWidget(pane.view, 1);
  column->addLayout(under);
  return column;
}

/// The pixel's curves, and the note.
QLayout* LabellingSheet::buildCurves() {
  reflectanceTitle_ = secondLabel("");
  seasonOf_ = flatChoice(txt("What the season curve is of"));
  seasonOf_->setObjectName("seasonOf");
  connect(seasonOf_, &QComboBox::activated, this, [this](int index) {
    bench_.setPlace("label-season", quantities_[static_cast<size_t>(index)].id);
    setFocus();
    showPoint();
  });
  reflectance_ = new LineChart;
  season_ = new LineChart;
  reflectance_->setAccessibleName(txt("Reflectance at the point"));
  season_->setAccessibleName(txt("Season at the point"));
  for (auto* c : {reflectance_, season_}) c->setFixedHeight(104), c->setFocusPolicy(Qt::NoFocus);
  note_ = new QPlainTextEdit;
  note_->setObjectName("labelNote");
  note_->setAccessibleName(txt("Note"));
  note_->setPlaceholderText(txt("N to write, Esc to go back"));
  note_->setFixedHeight(58);
  note_->setTabChangesFocus(true);
  note_->installEventFilter(this);
  auto* curves = new QHBoxLayout;
  curves->setSpacing(20);
  for (const auto& [title, below] :
       std::initializer_list<std::pair<QWidget*, QWidget*>>{{reflectanceTitle_, reflectance_},
                                                            {seasonOf_, season_},
                                                            {secondLabel(txt("Note")), note_}}) {
    auto* stack = new QVBoxLayout;
    stack->setSpacing(2);
    stack->addWidget(title);
    stack->addWidget(below);
    stack->addStretch();
    curves->addLayout(stack, 1);
  }
  return curves;
}

/// The keys beside those of the classes, and the ways out.
QLayout* LabellingSheet::buildHints() {
  unsure_ = chip(txt("Unsure"));
  unsure_->setObjectName("unsure");
  unsure_->setFocusPolicy(Qt::NoFocus);
  connect(unsure_, &QPushButton::clicked, this, [this] {
    book_.worked().toggleUnsure();
    book_.changed();
    showPoint();
  });
  mixed_ = chip(txt("Mixed"));
  mixed_->setObjectName("mixed");
  mixed_->setFocusPolicy(Qt::NoFocus);
  mixed_->setToolTip(txt("Two classes: first the one that most of it is, then the other"));
  connect(mixed_, &QPushButton::clicked, this, &LabellingSheet::mix);
  close_ = quietButton(txt("Close the labelling and see the matrix"));
  close_->setObjectName("closeLabelling");
  close_->setFocusPolicy(Qt::TabFocus);
  connect(close_, &QPushButton::clicked, this, &LabellingSheet::closeLabelling);
  auto* pause = quietButton(txt("Pause"));
  pause->setObjectName("pauseLabelling");
  pause->setFocusPolicy(Qt::TabFocus);
  connect(pause, &QPushButton::clicked, this, &LabellingSheet::leaveAsked);
  auto* hints = new QHBoxLayout;
  hints->setSpacing(20);
  mixedHint_ = keyHint("M", "");
  hints->addWidget(
      wrapping({keyHint("U", ""), unsure_, mixedHint_, mixed_, keyHint(txt("Space"), txt("skip")),
                keyHint(txt("Backspace"), txt("the point before")),
                keyHint(txt("Enter"), txt("next without a label")), keyHint("+ −", txt("zoom")),
                keyHint("`", txt("other picture"))},
               14),
      1);
  hints->addWidget(pause);
  hints->addWidget(close_);
  return hints;
}

bool LabellingSheet::painted() const {
  return std::all_of(panes_.begin(), panes_.end(),
                     [](const Pane& p) { return p.view->complete(); });
}

bool LabellingSheet::ready() const {
  return painted() && !curvesJob_.pending();
}

bool LabellingSheet::readAhead() const {
  return ready() &&
         std::all_of(panes_.begin(), panes_.end(), [](const Pane& p) { return p.tiles->idle(); });
}

void LabellingSheet::open() {
  late_->hide();
  hints_->show();
  lateLabel_ = {};
  namePanes();
  fillSeason();
  fillPictures();
  fillKeys();
  // One pixel of the map at stake sets the scale of all three.
  double pixel = 10;
  mapGrid_ = {};
  mixing_ = kNotMixed;
  was_ = 0;
  try {
    if (const auto* m = book_.map()) {
      mapGrid_ = RasterFile(m->file).grid();
      pixel = mapGrid_.pixelWidth();
    }
  } catch (const Error&) {
    // The map went away; labels can be given all the same.
  }
  pixel_ = pixel;
  for (size_t i = 0; i < 3; ++i) {
    panes_[i].span = panes_[i].pixels * pixel;
    panes_[i].view->setCrs(bench_.viewCrs());
  }
  findOpen();
  if (looking() || settling()) {
    // From the first of them.
    Labelling& l = book_.labelling();
    l.goTo(l.points().size() - 1);
    step(1);
  }
  zoom_ = 1;
  pace_.start();
  paced_ = 0;
  showPoint();
  setFocus();
}

/// What the three panes are for, and how many pixels of the map lie across each.
void LabellingSheet::namePanes() {
  const bool change = book_.ofChange();
  const QString names[] = {change ? txt("Before") : txt("Near"),
                           change ? txt("After") : txt("Around"),
                           change ? txt("Around, after") : txt("Wide")};
  const double pixels[] = {kPixelsClose, change ? kPixelsClose : kPixelsAround,
                           change ? kPixelsAround : kPixelsWide};
  for (size_t i = 0; i < 3; ++i) {
    panes_[i].name = names[i];
    panes_[i].pixels = pixels[i];
    panes_[i].picture->setAccessibleName(txt("Picture of %1").arg(names[i]));
  }
  title_->setText(change ? txt("What was here before, and what after?") : txt("What is here?"));
  for (QWidget* part : std::initializer_list<QWidget*>{mixed_, mixedHint_})
    part->setVisible(!change);
}

/// Where the point that comes after this one will be in view.
std::optional<Place> LabellingSheet::pointAfter() const {
  const Labelling& l = book_.worked();
  const auto& points = l.points();
  for (size_t i = 1; i < points.size(); ++i) {
    const auto& p = points[(l.position() + i) % points.size()];
    if (looking() || settling() ? wanted(p) : p.reference == 0) return inView(p);
  }
  return {};
}

void LabellingSheet::fillPictures() {
  pictures_ = labelPictures(bench_);
  const auto* current = bench_.currentScene();
  const Product* change = book_.ofChange() && book_.map() != nullptr
                              ? changeBehind(bench_.study(), *book_.map())
                              : nullptr;
  const auto first =
      change != nullptr
          ? firstPicturesOfChange(pictures_, change->facts.value("from", ""),
                                  change->facts.value("to", ""))
          : firstPictures(pictures_, current == nullptr ? std::string() : current->id);
  for (size_t i = 0; i < 3; ++i) {
    auto* box = panes_[i].picture;
    box->clear();
    for (const auto& p : pictures_) box->addItem(p.picture.title + ", " + p.picture.detail);
    size_t index = first[i];
    const Json kept = bench_.place(placeOfPicture(i));
    for (size_t k = 0; k < pictures_.size(); ++k)
      if (kept.is_string() && pictures_[k].picture.key == q(kept.get<std::string>())) index = k;
    if (!pictures_.empty()) setPicture(panes_[i], static_cast<int>(index));
  }
}

/// Where the choice of a pane is kept; those of two dates are others.
std::string LabellingSheet::placeOfPicture(size_t pane) const {
  return (book_.ofChange() ? "label-picture-of-change-" : "label-picture-") + std::to_string(pane);
}

/// What the curve through the season may be of; as it was last.
void LabellingSheet::fillSeason() {
  quantities_ = seasonQuantities(bench_.study());
  seasonOf_->clear();
  const Json kept = bench_.place("label-season");
  for (const auto& quantity : quantities_) {
    seasonOf_->addItem(quantity.title);
    if (kept.is_string() && kept.get<std::string>() == quantity.id)
      seasonOf_->setCurrentIndex(seasonOf_->count() - 1);
  }
  seasonOf_->setVisible(!quantities_.empty());
}

void LabellingSheet::setPicture(Pane& pane, int index) {
  if (index < 0 || index >= static_cast<int>(pictures_.size())) return;
  pane.picture->setCurrentIndex(index);
  pane.view->setFront(pictures_[static_cast<size_t>(index)].picture);
  showPoint();
}

void LabellingSheet::fillKeys() {
  while (auto* item = keys_->takeAt(0)) {
    delete item->widget();
    delete item;
  }
  const auto classes = book_.keys().classes;
  for (size_t i = 0; i < classes.size(); ++i) {
    auto* key = new ClassKey(keyOfClass(i).toUpper(), q(classes[i].name), toQt(classes[i].colour));
    key->setCheckable(true);
    key->setObjectName(QString("key-%1").arg(classes[i].code));
    connect(key, &QPushButton::clicked, this, [this, code = classes[i].code] { label(code); });
    keys_->addWidget(key);
  }
}

void LabellingSheet::showPoint() {
  const Labelling& l = book_.worked();
  if (l.empty()) return;
  const ValidationPoint& p = l.current();
  showPanes(p);
  showProgress();
  unsure_->setChecked(p.unsure);
  mixed_->setChecked(mixing_ != kNotMixed || p.secondary != 0);
  const std::set<int> pressed = keysPressed(p);
  for (const auto& c : book_.keys().classes)
    if (auto* key = findChild<QPushButton*>(QString("key-%1").arg(c.code)))
      key->setChecked(pressed.count(c.code) > 0);
  if (!note_->hasFocus()) note_->setPlainText(q(p.note));
  askCurves(p.place);
}

/// The keys of what is said of it so far.
std::set<int> LabellingSheet::keysPressed(const ValidationPoint& p) const {
  if (mixing_ != kNotMixed) return {mixing_};
  if (!book_.ofChange()) return {p.reference, p.secondary};
  return was_ != 0 ? std::set{was_} : std::set{p.earlier, p.later};
}

Place LabellingSheet::inView(const ValidationPoint& p) const {
  Place at = pixelCentre(p.place);
  try {
    CrsChange(book_.crs(), bench_.viewCrs()).apply(at);
  } catch (const std::exception&) {
    // Without a system that is known it stands where it says.
  }
  return at;
}

void LabellingSheet::showPanes(const ValidationPoint& p) {
  const Place at = inView(p);
  const auto next = pointAfter();
  for (auto& pane : panes_) {
    const double span = pane.span * zoom_;
    const int wide = std::max(1, std::min(pane.view->width(), pane.view->height()));
    pane.view->setCentre(at, span / wide);
    pane.view->setMark(at, book_.block() * pixel_);
    pane.view->setAhead(next);
    pane.caption->setText(QString("%1 · %2").arg(
        pane.name, span >= 1000 ? decimal(span / 1000, 1) + " km" : decimal(span, 0) + " m"));
  }
}

/// What is labelled is a pixel of the map, wherever in it the point lies.
Place LabellingSheet::pixelCentre(Place place) const {
  if (mapGrid_.width == 0) return place;
  try {
    Place inMap = place;
    CrsChange(book_.crs(), mapGrid_.crs).apply(inMap);
    const Place at = mapGrid_.toPixel(inMap);
    Place centre =
        mapGrid_.centre(static_cast<int>(std::floor(at.x)), static_cast<int>(std::floor(at.y)));
    CrsChange(mapGrid_.crs, book_.crs()).apply(centre);
    return centre;
  } catch (const std::exception&) {
    return place;
  }
}

/// Whose values are told: of a map of change, those of both dates as they are in view.
std::vector<Scene> LabellingSheet::scenesTold() const {
  std::vector<Scene> scenes;
  const auto* current = bench_.currentScene();
  if (!book_.ofChange() && current != nullptr) scenes.push_back(current->scene);
  for (size_t i = 0; i < 2 && book_.ofChange(); ++i)
    if (const int at = panes_[i].picture->currentIndex(); at >= 0)
      if (const auto* s = bench_.study().scene(pictures_[static_cast<size_t>(at)].scene))
        scenes.push_back(s->scene);
  return scenes;
}

void LabellingSheet::askCurves(Place place) {
  std::optional<SeasonQuantity> season;
  if (const int at = seasonOf_->currentIndex(); at >= 0)
    season = quantities_[static_cast<size_t>(at)];
  curvesJob_.ask([place, crs = book_.crs(), scenes = scenesTold(),
                  season](const Progress&) { return curvesAt(place, crs, scenes, season); },
                 [this](const PixelCurves& c) { showCurves(c); }, [](const QString&) {});
}

void LabellingSheet::showCurves(const PixelCurves& c) {
  reflectance_->setVisible(!c.reflectances.empty());
  reflectanceTitle_->setVisible(!c.reflectances.empty());
  if (!c.reflectances.empty()) {
    const auto& last = c.reflectances.back();
    const bool two = c.reflectances.size() > 1, waves = c.byWavelength;
    QString title = two ? (waves ? txt("%1 by wavelength in nm, before (grey) and after")
                                 : txt("%1 by band, before (grey) and after"))
                              .arg(last.quantity)
                        : (waves ? txt("%1 by wavelength in nm, %2") : txt("%1 by band, %2"))
                              .arg(last.quantity, last.scene);
    title[0] = title[0].toUpper();
    reflectanceTitle_->setText(title);
    reflectance_->nameTicks(last.along, waves ? QStringList() : last.bands);
    reflectance_->show(last.along, last.values, "", "", false, tokens().text);
    if (two) reflectance_->lay(c.reflectances[0].along, c.reflectances[0].values, tokens().second);
  }
  season_->setVisible(!c.days.isEmpty());
  season_->show(c.days, c.season, "", "", true, tokens().accent);
}

}  // namespace zp
