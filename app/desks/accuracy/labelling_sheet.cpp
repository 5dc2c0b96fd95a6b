#include "desks/accuracy/labelling_sheet.h"

#include "base/error.h"
#include "desks/class_key.h"
#include "study/study.h"

namespace zp {

namespace {

constexpr double kPixelsClose = 30;  // of the map, across the closest pane

/// A choice that looks like the words beside it, and leaves the keys to the desk.
QComboBox* flatChoice(const QString& name) {
  auto* choice = new LongChoice;
  choice->setFocusPolicy(Qt::ClickFocus);
  choice->setAccessibleName(name);
  choice->setStyleSheet("QComboBox { background: transparent; border: none; padding-right: 4px; }");
  return choice;
}

}  // namespace

LabellingSheet::LabellingSheet(Workbench& bench, LabelBook& book)
    : bench_(bench), book_(book), curvesJob_(this) {
  setObjectName("labellingSheet");
  setFocusPolicy(Qt::StrongFocus);
  keys_ = new QHBoxLayout;
  keys_->setSpacing(8);
  auto* panes = new QHBoxLayout;
  panes->setSpacing(20);
  const QString names[] = {txt("Close"), txt("Around"), txt("Wide")};
  for (size_t i = 0; i < 3; ++i) panes->addLayout(buildPane(i, names[i]), 1);
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
  bar_->setTextVisible(false);
  bar_->setFixedWidth(330);
  auto* head = new QGridLayout;
  head->addWidget(headingLabel(txt("What is here?")), 0, 0);
  head->addWidget(order_, 1, 0);
  head->addWidget(bar_, 0, 1, Qt::AlignRight | Qt::AlignVCenter);
  head->addWidget(count_, 1, 1);
  head->setColumnStretch(0, 1);
  return head;
}

QLayout* LabellingSheet::buildPane(size_t i, const QString& name) {
  Pane& pane = panes_[i];
  pane.name = name;
  pane.tiles = std::make_unique<TileStore>(1);
  pane.view = new MapView(*pane.tiles);
  pane.view->setBare(true);
  pane.view->setObjectName(QString("pane%1").arg(i));
  pane.view->setFocusPolicy(Qt::NoFocus);
  pane.view->setAttribute(Qt::WA_TransparentForMouseEvents);
  pane.caption = new QLabel;
  pane.caption->setFont(textFont(10, QFont::Medium));
  pane.picture = flatChoice(txt("Picture of %1").arg(name));
  connect(pane.picture, &QComboBox::activated, this, [this, i](int index) {
    setPicture(panes_[i], index);
    bench_.setPlace("label-picture-" + std::to_string(i),
                    pictures_[static_cast<size_t>(index)].key.toStdString());
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
  for (auto* c : {reflectance_, season_}) c->setFixedHeight(104), c->setFocusPolicy(Qt::NoFocus);
  note_ = new QPlainTextEdit;
  note_->setObjectName("labelNote");
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
  hints->addWidget(
      wrapping({keyHint("U", ""), unsure_, keyHint("M", ""), mixed_,
                keyHint(txt("Space"), txt("skip")), keyHint(txt("Backspace"), txt("back")),
                keyHint(txt("Enter"), txt("next without a label")), keyHint("+ −", txt("zoom")),
                keyHint("`", txt("other picture"))},
               14),
      1);
  hints->addWidget(pause);
  hints->addWidget(close_);
  return hints;
}

bool LabellingSheet::ready() const {
  return std::all_of(panes_.begin(), panes_.end(),
                     [](const Pane& p) { return p.view->complete(); }) &&
         !curvesJob_.pending();
}

void LabellingSheet::open() {
  late_->hide();
  hints_->show();
  lateCode_ = 0;
  fillSeason();
  fillPictures();
  fillKeys();
  // One pixel of the map at stake sets the scale of all three.
  double pixel = 10;
  mapGrid_ = {};
  mixing_ = kNotMixed;
  try {
    if (const auto* m = book_.map()) {
      mapGrid_ = RasterFile(m->file).grid();
      pixel = mapGrid_.pixelWidth();
    }
  } catch (const Error&) {
    // The map went away; labels can be given all the same.
  }
  const double spans[] = {kPixelsClose * pixel, 120 * pixel, 600 * pixel};
  for (size_t i = 0; i < 3; ++i) {
    panes_[i].span = spans[i];
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

void LabellingSheet::fillPictures() {
  pictures_.clear();
  size_t aerial = 0, falseColour = 0, natural = 0;
  double finest = 1e30;
  const auto* current = bench_.currentScene();
  for (const auto& s : bench_.study().scenes) {
    if (s.scene.grid.crs.empty()) continue;
    for (const auto& c : compositesOf(s.scene)) {
      std::array<size_t, 3> b{};
      for (size_t i = 0; i < 3; ++i) b[i] = static_cast<size_t>(s.scene.bandOf(c.roles[i]));
      if (c.id == "natural" && s.scene.grid.pixelWidth() < finest)
        finest = s.scene.grid.pixelWidth(), aerial = pictures_.size();
      if (current != nullptr && s.id == current->id && c.id == "natural")
        natural = pictures_.size();
      if (current != nullptr && s.id == current->id && c.id == "vegetation")
        falseColour = pictures_.size();
      pictures_.push_back(compositePicture(s.id, s.scene, b, txt(c.title)));
    }
    if (compositesOf(s.scene).empty()) pictures_.push_back(bench_.pictureOf(q(s.id)));
  }
  const size_t wanted[] = {aerial, falseColour, natural};
  for (size_t i = 0; i < 3; ++i) {
    auto* box = panes_[i].picture;
    box->clear();
    for (const auto& p : pictures_) box->addItem(p.title + ", " + p.detail);
    size_t index = wanted[i];
    const Json kept = bench_.place("label-picture-" + std::to_string(i));
    for (size_t k = 0; k < pictures_.size(); ++k)
      if (kept.is_string() && pictures_[k].key == q(kept.get<std::string>())) index = k;
    if (!pictures_.empty()) setPicture(panes_[i], static_cast<int>(index));
  }
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
  pane.view->setFront(pictures_[static_cast<size_t>(index)]);
  showPoint();
}

void LabellingSheet::fillKeys() {
  while (auto* item = keys_->takeAt(0)) {
    delete item->widget();
    delete item;
  }
  const auto& classes = bench_.study().legend.classes;
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
  for (const auto& c : bench_.study().legend.classes)
    if (auto* key = findChild<QPushButton*>(QString("key-%1").arg(c.code)))
      key->setChecked(mixing_ != kNotMixed ? mixing_ == c.code
                                           : p.reference == c.code || p.secondary == c.code);
  if (!note_->hasFocus()) note_->setPlainText(q(p.note));
  askCurves(p.place);
}

void LabellingSheet::showPanes(const ValidationPoint& p) {
  Place at = pixelCentre(p.place);
  try {
    CrsChange(book_.crs(), bench_.viewCrs()).apply(at);
  } catch (const std::exception&) {
    // Without a system that is known it stands where it says.
  }
  const double pixel = panes_[0].span / kPixelsClose;
  for (auto& pane : panes_) {
    const double span = pane.span * zoom_;
    const int wide = std::max(1, std::min(pane.view->width(), pane.view->height()));
    pane.view->setCentre(at, span / wide);
    pane.view->setMark(at, book_.block() * pixel);
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

QString LabellingSheet::className(int code) const {
  const auto* c = bench_.study().legend.find(code);
  return c != nullptr ? q(c->name) : code == 0 ? txt("no label") : txt("class %1").arg(code);
}

/// Which of the points looked at it is, and what both sides say of it.
QString LabellingSheet::tellLooking() const {
  const Labelling& l = book_.labelling();
  size_t number = 0, all = 0;
  for (size_t i = 0; i < l.points().size(); ++i) {
    if (!book_.inCell(l.points()[i])) continue;
    ++all;
    if (i <= l.position()) ++number;
  }
  return txt("Point %1 of %2: mapped as %3, labelled %4. Another label is recorded as a late "
             "change.")
      .arg(number)
      .arg(all)
      .arg(className(l.current().mapped), className(l.current().reference));
}

/// What the two labellers said of the point.
QString LabellingSheet::tellSettling() const {
  const auto agreement = book_.agreement();
  if (!agreement) return {};
  const auto& all = agreement->disagreements;
  for (size_t i = 0; i < all.size(); ++i)
    if (all[i].id == book_.labelling().current().id)
      return txt("Point %1 of %2 that you see differently: %3 says %4, %5 says %6. Which is it?")
          .arg(i + 1)
          .arg(all.size())
          .arg(book_.labellerName(1), className(all[i].first), book_.labellerName(2),
               className(all[i].second));
  return {};
}

QString LabellingSheet::tellMixed() const {
  return mixing_ == kFirstToCome
             ? txt("Mixed: the key of the class that most of it is, then that of the other.")
             : txt("Mixed: mostly %1. Now the key of the other class.").arg(className(mixing_));
}

QString LabellingSheet::tellOrder() const {
  const Labelling& l = book_.worked();
  if (mixing_ != kNotMixed) return tellMixed();
  if (settling()) return tellSettling();
  if (looking()) return tellLooking();
  const bool second = book_.task() == LabelBook::Task::Second;
  if (l.labelled() == l.points().size())
    return second ? txt("Every point has a label. Say that you are done to see where you differ.")
                  : txt("Every point has a label. Close the labelling to see what the map says.");
  return (second ? txt("Point %1 of %2 for %3, in an order of your own. What the map and the other "
                       "labeller say stays hidden.")
                       .arg(l.position() + 1)
                       .arg(l.points().size())
                       .arg(book_.labellerName(2))
                 : txt("Point %1 of %2, in shuffled order. What the map says stays hidden "
                       "until you close the labelling.")
                       .arg(l.position() + 1)
                       .arg(l.points().size()));
}

void LabellingSheet::showProgress() {
  const Labelling& l = book_.worked();
  const size_t n = l.points().size(), done = l.labelled();
  const bool all = done == n;
  order_->setText(tellOrder());
  QString left;
  if (paced_ >= 5 && !all) {
    const double minutes = static_cast<double>(pace_.elapsed()) / 60000 /
                           static_cast<double>(paced_) * static_cast<double>(n - done);
    left = txt(" · about %1 min to go").arg(std::max(1, static_cast<int>(std::ceil(minutes))));
  }
  count_->setText(txt("%1 labelled · %2 unsure%3").arg(done).arg(l.unsure()).arg(left));
  bar_->setRange(0, static_cast<int>(n));
  bar_->setValue(static_cast<int>(done));
  close_->setText(settling()                                ? txt("Leave the rest open")
                  : book_.task() == LabelBook::Task::Second ? txt("Done: see where you differ")
                  : l.closed()                              ? txt("See the matrix")
                               : txt("Close the labelling and see the matrix"));
  close_->setProperty("part", all && !settling() ? "primary" : "quiet");
  close_->style()->unpolish(close_);
  close_->style()->polish(close_);
  close_->setEnabled(done > 0);
}

void LabellingSheet::askCurves(Place place) {
  const auto* current = bench_.currentScene();
  const auto scene = current != nullptr ? std::optional<Scene>(current->scene) : std::nullopt;
  std::optional<SeasonQuantity> season;
  if (const int at = seasonOf_->currentIndex(); at >= 0)
    season = quantities_[static_cast<size_t>(at)];
  curvesJob_.ask([place, crs = book_.crs(), scene,
                  season](const Progress&) { return curvesAt(place, crs, scene, season); },
                 [this](const PixelCurves& c) { showCurves(c); }, [](const QString&) {});
}

void LabellingSheet::showCurves(const PixelCurves& c) {
  reflectanceTitle_->setText(c.reflectanceTitle);
  reflectance_->show(c.wavelengths, c.reflectance, "", "", false, tokens().text);
  season_->setVisible(!c.days.isEmpty());
  season_->show(c.days, c.season, "", "", true, tokens().accent);
}

void LabellingSheet::label(int code) {
  if (settling()) return settle(code);
  Labelling& l = book_.worked();
  if (l.closed()) return askWhy(code);
  if (mixing_ == kFirstToCome) {
    mixing_ = code;
    return showPoint();
  }
  if (mixing_ != kNotMixed)
    l.labelMixed(mixing_, code, now());
  else
    l.label(code, now());
  labelled();
}

void LabellingSheet::labelled() {
  mixing_ = kNotMixed;
  ++paced_;
  if (paced_ >= 5)
    bench_.setPlace("label-pace",
                    static_cast<double>(pace_.elapsed()) / 1000 / static_cast<double>(paced_));
  showPoint();  // its pictures are being read while the label is written
  book_.changed();
}

/// The next class given is the first of two; once more, and it is not.
void LabellingSheet::mix() {
  const bool can = !settling() && !book_.worked().closed();
  mixing_ = can && mixing_ == kNotMixed ? kFirstToCome : kNotMixed;
  showPoint();
}

/// Disagreements that are still open.
void LabellingSheet::findOpen() {
  open_.clear();
  const auto agreement = settling() ? book_.agreement() : std::nullopt;
  if (!agreement) return;
  for (const auto& d : agreement->disagreements)
    if (d.settled == 0) open_.insert(d.id);
}

/// And on to the next that is open; after the last of them the desk is left.
void LabellingSheet::settle(int code) {
  const int id = book_.labelling().current().id;
  book_.settle(id, code, now());
  findOpen();
  if (open_.empty()) return Q_EMIT leaveAsked();
  step(1);
}

void LabellingSheet::askWhy(int code) {
  const int before = book_.labelling().current().reference;
  showPoint();  // the key of the class it has stays pressed
  if (code == before) return;
  lateCode_ = code;
  const Json who = bench_.place("labeller");
  hints_->hide();
  late_->ask(txt("%1 becomes %2.").arg(className(before), className(code)),
             who.is_string() ? q(who.get<std::string>()) : QString());
}

void LabellingSheet::recordChange(const QString& who, const QString& why) {
  bench_.setPlace("labeller", who.toStdString());
  book_.labelling().change(lateCode_, now(), who.toStdString(), why.toStdString());
  book_.changed();
  endChange();
}

void LabellingSheet::endChange() {
  lateCode_ = 0;
  late_->hide();
  hints_->show();
  setFocus();
  showPoint();
}

/// Points of a cell of the matrix are looked at, one by one.
bool LabellingSheet::looking() const {
  return book_.task() == LabelBook::Task::Label && book_.labelling().closed() && book_.anyChosen();
}

/// While points are looked at or settled: those that are stepped through.
bool LabellingSheet::wanted(const ValidationPoint& p) const {
  return settling() ? open_.count(p.id) > 0 : book_.inCell(p);
}

/// To the next or last point of those looked at, round and round.
void LabellingSheet::step(int way) {
  Labelling& l = book_.labelling();
  const size_t n = l.points().size();
  for (size_t i = 1; i <= n; ++i) {
    const size_t at = (l.position() + (way > 0 ? i : n - i)) % n;
    if (wanted(l.points()[at])) {
      l.goTo(at);
      break;
    }
  }
  book_.changed();
  showPoint();
}

void LabellingSheet::zoom(double factor) {
  zoom_ = std::clamp(zoom_ * factor, 0.1, 10.0);
  showPoint();
}

void LabellingSheet::closeLabelling() {
  const bool second = book_.task() == LabelBook::Task::Second;
  if (settling()) return Q_EMIT leaveAsked();
  book_.worked().close(now());
  book_.changed();
  if (second) return Q_EMIT leaveAsked();
  Q_EMIT closed();
}

/// To another point.
bool LabellingSheet::moveByKey(int key) {
  Labelling& l = book_.worked();
  const bool some = looking() || settling();
  switch (key) {
    case Qt::Key_Space:
      if (some) return step(1), true;
      l.skip();
      break;
    case Qt::Key_Backspace:
      if (some) return step(-1), true;
      l.back();
      break;
    case Qt::Key_Return:
    case Qt::Key_Enter:
      if (some) return step(1), true;
      l.nextOpen();
      break;
    default:
      return false;
  }
  mixing_ = kNotMixed;
  book_.changed();
  showPoint();
  return true;
}

/// Something of the desk.
bool LabellingSheet::turnByKey(int key) {
  switch (key) {
    case Qt::Key_U:
      return unsure_->click(), true;
    case Qt::Key_M:
      return mixed_->click(), true;
    case Qt::Key_N:
      return note_->setFocus(), true;
    case Qt::Key_Plus:
    case Qt::Key_Equal:
      return zoom(1 / 1.4), true;
    case Qt::Key_Minus:
      return zoom(1.4), true;
    case Qt::Key_Escape:
      if (mixing_ != kNotMixed) return mix(), true;
      Q_EMIT leaveAsked();
      return true;
    case Qt::Key_QuoteLeft:
      if (pictures_.size() > 1)
        setPicture(panes_[0],
                   (panes_[0].picture->currentIndex() + 1) % static_cast<int>(pictures_.size()));
      return true;
    default:
      return false;
  }
}

void LabellingSheet::keyPressEvent(QKeyEvent* e) {
  if (book_.none() || moveByKey(e->key()) || turnByKey(e->key())) return;
  const auto& classes = bench_.study().legend.classes;
  const QString key = e->text().toLower();
  for (size_t i = 0; i < classes.size(); ++i)
    if (!key.isEmpty() && key == keyOfClass(i)) return label(classes[i].code);
  QWidget::keyPressEvent(e);
}

bool LabellingSheet::eventFilter(QObject* o, QEvent* e) {
  if (o == note_ && e->type() == QEvent::FocusOut) {
    book_.worked().setNote(note_->toPlainText().trimmed().toStdString());
    book_.changed();
  }
  if (o == note_ && e->type() == QEvent::KeyPress &&
      static_cast<QKeyEvent*>(e)->key() == Qt::Key_Escape) {
    setFocus();
    return true;
  }
  return QWidget::eventFilter(o, e);
}

}  // namespace zp
