#include "desks/accuracy/labelling_sheet.h"

#include "base/error.h"
#include "desks/class_key.h"
#include "radar/decibels.h"
#include "sampling/readings.h"
#include "study/study.h"

namespace zp {

namespace {

constexpr double kPixelsClose = 30;  // of the map, across the closest pane

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
  layout->addWidget(late_ = buildLate());
  late_->hide();
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
  pane.picture = new LongChoice;
  pane.picture->setFocusPolicy(Qt::ClickFocus);
  pane.picture->setAccessibleName(txt("Picture of %1").arg(name));
  pane.picture->setStyleSheet(
      "QComboBox { background: transparent; border: none; padding-right: 4px; }");
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
  radarTitle_ = secondLabel("");
  reflectance_ = new LineChart;
  radar_ = new LineChart;
  for (auto* c : {reflectance_, radar_}) c->setFixedHeight(104), c->setFocusPolicy(Qt::NoFocus);
  note_ = new QPlainTextEdit;
  note_->setObjectName("labelNote");
  note_->setPlaceholderText(txt("N to write, Esc to go back"));
  note_->setFixedHeight(58);
  note_->setTabChangesFocus(true);
  note_->installEventFilter(this);
  auto* curves = new QHBoxLayout;
  curves->setSpacing(20);
  for (const auto& [title, below] :
       std::initializer_list<std::pair<QLabel*, QWidget*>>{{reflectanceTitle_, reflectance_},
                                                           {radarTitle_, radar_},
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
    book_.labelling().toggleUnsure();
    book_.changed();
    showPoint();
  });
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
  hints->addWidget(keyHint("U", ""));
  hints->addWidget(unsure_);
  hints->addWidget(keyHint(txt("Space"), txt("skip")));
  hints->addWidget(keyHint(txt("Backspace"), txt("back")));
  hints->addWidget(keyHint("+ −", txt("zoom")));
  hints->addWidget(keyHint("`", txt("other picture")));
  hints->addStretch();
  hints->addWidget(pause);
  hints->addWidget(close_);
  return hints;
}

/// In place of the keys while a label of a closed labelling is to become another: who, and why.
QWidget* LabellingSheet::buildLate() {
  lateTold_ = new QLabel;
  lateTold_->setObjectName("lateTold");
  why_ = lineEdit("lateWhy", txt("Why?"));
  why_->setAccessibleName(txt("Why"));
  who_ = lineEdit("lateWho", txt("Who?"));
  who_->setAccessibleName(txt("Who"));
  who_->setFixedWidth(150);
  auto* record = quietButton(txt("Record the change"));
  record->setObjectName("lateRecord");
  auto* drop = linkButton(txt("Leave it as it is"));
  drop->setObjectName("lateDrop");
  connect(record, &QPushButton::clicked, this, &LabellingSheet::recordChange);
  connect(drop, &QPushButton::clicked, this, &LabellingSheet::endChange);
  for (auto* field : {why_, who_}) {
    connect(field, &QLineEdit::returnPressed, this, &LabellingSheet::recordChange);
    field->installEventFilter(this);
  }
  auto* strip = new QWidget;
  auto* row = new QHBoxLayout(strip);
  row->setContentsMargins(0, 0, 0, 0);
  row->setSpacing(12);
  row->addWidget(lateTold_);
  row->addWidget(why_, 1);
  row->addWidget(who_);
  row->addWidget(record);
  row->addWidget(drop);
  return strip;
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
  fillPictures();
  fillKeys();
  // One pixel of the map at stake sets the scale of all three.
  double pixel = 10;
  try {
    if (const auto* m = book_.map()) pixel = RasterFile(m->file).grid().pixelWidth();
  } catch (const Error&) {
    // The map went away; labels can be given all the same.
  }
  const double spans[] = {kPixelsClose * pixel, 120 * pixel, 600 * pixel};
  for (size_t i = 0; i < 3; ++i) {
    panes_[i].span = spans[i];
    panes_[i].view->setCrs(bench_.viewCrs());
  }
  if (looking() && !book_.inCell(book_.labelling().current())) step(1);
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
  const Labelling& l = book_.labelling();
  if (l.empty()) return;
  const ValidationPoint& p = l.current();
  showPanes(p);
  showProgress();
  unsure_->setChecked(p.unsure);
  for (const auto& c : bench_.study().legend.classes)
    if (auto* key = findChild<QPushButton*>(QString("key-%1").arg(c.code)))
      key->setChecked(p.reference == c.code);
  if (!note_->hasFocus()) note_->setPlainText(q(p.note));
  askCurves(p.place);
}

void LabellingSheet::showPanes(const ValidationPoint& p) {
  Place at = p.place;
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
    pane.view->setMark(at, pixel);
    pane.caption->setText(QString("%1 · %2").arg(
        pane.name, span >= 1000 ? decimal(span / 1000, 1) + " km" : decimal(span, 0) + " m"));
  }
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
  const auto name = [this](int code) {
    const auto* c = bench_.study().legend.find(code);
    return c != nullptr ? q(c->name) : txt("class %1").arg(code);
  };
  return txt("Point %1 of %2: mapped as %3, labelled %4. Another label is recorded as a late "
             "change.")
      .arg(number)
      .arg(all)
      .arg(name(l.current().mapped), name(l.current().reference));
}

void LabellingSheet::showProgress() {
  const Labelling& l = book_.labelling();
  const size_t n = l.points().size(), done = l.labelled();
  const bool all = done == n;
  order_->setText(
      looking() ? tellLooking()
      : all     ? txt("Every point has a label. Close the labelling to see what the map says.")
                : txt("Point %1 of %2, in shuffled order. What the map says stays hidden "
                          "until you close the labelling.")
                  .arg(l.position() + 1)
                  .arg(n));
  QString left;
  if (paced_ >= 5 && !all) {
    const double minutes = static_cast<double>(pace_.elapsed()) / 60000 /
                           static_cast<double>(paced_) * static_cast<double>(n - done);
    left = txt(" · about %1 min to go").arg(std::max(1, static_cast<int>(std::ceil(minutes))));
  }
  count_->setText(txt("%1 labelled · %2 unsure%3").arg(done).arg(l.unsure()).arg(left));
  bar_->setRange(0, static_cast<int>(n));
  bar_->setValue(static_cast<int>(done));
  close_->setText(l.closed() ? txt("See the matrix")
                             : txt("Close the labelling and see the matrix"));
  close_->setProperty("part", all ? "primary" : "quiet");
  close_->style()->unpolish(close_);
  close_->style()->polish(close_);
  close_->setEnabled(done > 0);
}

void LabellingSheet::askCurves(Place place) {
  const auto* current = bench_.currentScene();
  const auto scene = current != nullptr ? std::optional<Scene>(current->scene) : std::nullopt;
  std::vector<Scene> radar;
  for (const auto& s : bench_.study().scenes)
    if (s.scene.isRadar() && s.scene.bandOf("vh") >= 0 && !s.scene.date.empty())
      radar.push_back(s.scene);
  std::sort(radar.begin(), radar.end(),
            [](const Scene& a, const Scene& b) { return a.date < b.date; });
  curvesJob_.ask(
      [place, crs = book_.crs(), scene, radar](const Progress&) {
        Curves c;
        if (scene) readReflectance(*scene, place, crs, c);
        readBackscatter(radar, place, crs, c);
        return c;
      },
      [this](const Curves& c) { showCurves(c); }, [](const QString&) {});
}

/// For any thread, as the next.
void LabellingSheet::readReflectance(const Scene& scene, Place place, const std::string& crs,
                                     Curves& c) {
  c.reflectanceTitle =
      txt("%1 by wavelength in nm, %2").arg(txt(titleOf(scene.state)), q(scene.name));
  c.reflectanceTitle[0] = c.reflectanceTitle[0].toUpper();
  for (size_t b = 0; b < scene.bands.size(); ++b) {
    const double v = readBandAt({place}, crs, scene, b)[0];
    if (std::isnan(v)) continue;
    const double wavelength = scene.bands[b].wavelength;
    c.wavelengths << (wavelength > 0 ? wavelength : static_cast<double>(c.wavelengths.size() + 1));
    c.reflectance << v;
  }
}

void LabellingSheet::readBackscatter(const std::vector<Scene>& radar, Place place,
                                     const std::string& crs, Curves& c) {
  for (const auto& s : radar) {
    const bool power = s.state == ValueState::BackscatterPower;
    const double v = readBandAt({place}, crs, s, static_cast<size_t>(s.bandOf("vh")))[0];
    if (!(v > 0) && power) continue;
    c.days << static_cast<double>(
        QDate::fromString(q(s.date), Qt::ISODate).startOfDay(Qt::UTC).toSecsSinceEpoch());
    c.backscatter << (power ? toDecibels(v) : v);
  }
}

void LabellingSheet::showCurves(const Curves& c) {
  reflectanceTitle_->setText(c.reflectanceTitle);
  reflectance_->show(c.wavelengths, c.reflectance, "", "", false, tokens().text);
  radarTitle_->setText(c.days.isEmpty() ? txt("No radar scenes with dates in this study.")
                                        : txt("Radar VH through the season, dB"));
  radar_->setVisible(!c.days.isEmpty());
  radar_->show(c.days, c.backscatter, "", "", true, tokens().accent);
}

void LabellingSheet::label(int code) {
  if (book_.labelling().closed()) return askWhy(code);
  book_.labelling().label(code, now());
  ++paced_;
  if (paced_ >= 5)
    bench_.setPlace("label-pace",
                    static_cast<double>(pace_.elapsed()) / 1000 / static_cast<double>(paced_));
  book_.changed();
  showPoint();
}

void LabellingSheet::askWhy(int code) {
  const int before = book_.labelling().current().reference;
  showPoint();  // the key of the class it has stays pressed
  if (code == before) return;
  lateCode_ = code;
  const auto name = [this](int c) {
    const auto* known = bench_.study().legend.find(c);
    return known != nullptr ? q(known->name) : txt("no label");
  };
  lateTold_->setText(txt("%1 becomes %2.").arg(name(before), name(code)));
  why_->clear();
  const Json who = bench_.place("labeller");
  if (who.is_string()) who_->setText(q(who.get<std::string>()));
  hints_->hide();
  late_->show();
  why_->setFocus();
}

/// Nobody changes a closed label without saying why.
void LabellingSheet::recordChange() {
  const std::string why = why_->text().trimmed().toStdString(),
                    who = who_->text().trimmed().toStdString();
  if (why.empty() || who.empty()) return (why.empty() ? why_ : who_)->setFocus();
  bench_.setPlace("labeller", who);
  book_.labelling().change(lateCode_, now(), who, why);
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
  return book_.labelling().closed() && book_.anyChosen();
}

/// To the next or last point of those looked at, round and round.
void LabellingSheet::step(int way) {
  Labelling& l = book_.labelling();
  const size_t n = l.points().size();
  for (size_t i = 1; i <= n; ++i) {
    const size_t at = (l.position() + (way > 0 ? i : n - i)) % n;
    if (book_.inCell(l.points()[at])) {
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
  book_.labelling().close(now());
  book_.changed();
  Q_EMIT closed();
}

void LabellingSheet::keyPressEvent(QKeyEvent* e) {
  if (book_.none()) return;
  Labelling& l = book_.labelling();
  const auto& classes = bench_.study().legend.classes;
  switch (e->key()) {
    case Qt::Key_Space:
      if (looking()) return step(1);
      l.skip();
      book_.changed();
      return showPoint();
    case Qt::Key_Backspace:
      if (looking()) return step(-1);
      l.back();
      book_.changed();
      return showPoint();
    case Qt::Key_U:
      return unsure_->click();
    case Qt::Key_N:
      return note_->setFocus();
    case Qt::Key_Plus:
    case Qt::Key_Equal:
      return zoom(1 / 1.4);
    case Qt::Key_Minus:
      return zoom(1.4);
    case Qt::Key_Escape:
      return Q_EMIT leaveAsked();
    case Qt::Key_QuoteLeft:
      if (pictures_.size() > 1)
        setPicture(panes_[0],
                   (panes_[0].picture->currentIndex() + 1) % static_cast<int>(pictures_.size()));
      return;
    default:
      break;
  }
  const QString key = e->text().toLower();
  for (size_t i = 0; i < classes.size(); ++i)
    if (!key.isEmpty() && key == keyOfClass(i)) return label(classes[i].code);
  QWidget::keyPressEvent(e);
}

bool LabellingSheet::eventFilter(QObject* o, QEvent* e) {
  if (o == note_ && e->type() == QEvent::FocusOut) {
    book_.labelling().setNote(note_->toPlainText().trimmed().toStdString());
    book_.changed();
  }
  if ((o == why_ || o == who_) && e->type() == QEvent::KeyPress &&
      static_cast<QKeyEvent*>(e)->key() == Qt::Key_Escape) {
    endChange();
    return true;
  }
  if (o == note_ && e->type() == QEvent::KeyPress &&
      static_cast<QKeyEvent*>(e)->key() == Qt::Key_Escape) {
    setFocus();
    return true;
  }
  return QWidget::eventFilter(o, e);
}

}  // namespace zp
