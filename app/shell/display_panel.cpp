#include "shell/display_panel.h"

#include "look/look.h"
#include "look/parts.h"

namespace zp {

namespace {
constexpr int kLabels = 74;  // pixels
}

FloatingPanel::FloatingPanel(const QString& title, QWidget* over) : QFrame(over) {
  setAttribute(Qt::WA_StyledBackground);
  setObjectName("floating");
  setFocusPolicy(Qt::ClickFocus);
  setFixedWidth(320);
  setStyleSheet(QString("#floating { background: %1; border: 1px solid %2; border-radius: 4px; }")
                    .arg(tokens().panel.name(), tokens().hairline.name()));
  close_ = new QToolButton;
  close_->setObjectName("closePanel");
  close_->setIcon(icon("close"));
  connect(close_, &QToolButton::clicked, this, &QWidget::hide);
  title_ = sectionLabel(title);
  setTitle(title);
  auto* head = new QHBoxLayout;
  head->addWidget(title_, 1);
  head->addWidget(close_);
  body_ = new QVBoxLayout(this);
  body_->setContentsMargins(14, 8, 14, 14);
  body_->setSpacing(8);
  body_->addLayout(head);
  setVisible(false);
}

void FloatingPanel::setTitle(const QString& title) {
  title_->setText(title);
  close_->setAccessibleName(txt("Close “%1”").arg(title));
}

void FloatingPanel::place() {
  resize(width(), layout()->totalHeightForWidth(width()));
  const QWidget* over = parentWidget();
  move(over->width() - width() - 12, std::max(8, over->height() - height() - 56));
  raise();
}

void FloatingPanel::keyPressEvent(QKeyEvent* e) {
  if (e->key() == Qt::Key_Escape) return hide();
  QFrame::keyPressEvent(e);
}

DisplayPanel::DisplayPanel(Workbench& bench, MapView& view, TileStore& tiles)
    : FloatingPanel(txt("How it is shown"), &view), bench_(bench), view_(view), tiles_(tiles) {
  what_ = secondLabel("");
  what_->setObjectName("displayWhat");
  none_ = secondLabel(txt("Nothing is in front; show a scene or a product first."));
  body()->addWidget(what_);
  body()->addWidget(none_);
  buildStretch(part(stretchBox_));
  buildSteps(part(stepBox_));
  buildClasses(part(classBox_));
  reset_ = linkButton(txt("As it was at first"));
  reset_->setObjectName("displayReset");
  body()->addWidget(reset_, 0, Qt::AlignLeft);
  connect(reset_, &QPushButton::clicked, this, [this] { change([](Display& d) { d = {}; }); });
  connect(&tiles_, &TileStore::overviewArrived, this, [this](const QString& key) {
    if (isVisible() && key == view_.front().key) fillHistogram();
  });
}

/// Shown for some kinds of pictures.
QVBoxLayout* DisplayPanel::part(QWidget*& holder) {
  holder = new QWidget;
  auto* layout = columnIn(holder);
  body()->addWidget(holder);
  return layout;
}

void DisplayPanel::buildStretch(QVBoxLayout* into) {
  auto* chips = new QHBoxLayout;
  chips->setSpacing(6);
  const QString ranges[] = {txt("Automatic"), txt("Full range"), txt("By hand")};
  const QString tips[] = {txt("All but the outer 1 % at each end"),
                          txt("From the lowest to the highest value"),
                          txt("Drag the two lines of the histogram")};
  const char* names[] = {"range-automatic", "range-full", "range-hand"};
  for (int i = 0; i < 3; ++i) {
    range_[i] = chip(ranges[i]);
    range_[i]->setObjectName(names[i]);
    range_[i]->setToolTip(tips[i]);
    chips->addWidget(range_[i]);
    connect(range_[i], &QPushButton::clicked, this, [this, i] {
      change([&](Display& d) {
        d.range = static_cast<Display::Range>(i);
        takeShownRange(d);
      });
    });
  }
  chips->addStretch();
  into->addLayout(chips);
  channel_ = new QComboBox;
  channel_->setObjectName("displayChannel");
  channel_->addItems({txt("red channel"), txt("green channel"), txt("blue channel")});
  channel_->setAccessibleName(txt("Channel"));
  connect(channel_, &QComboBox::activated, this, &DisplayPanel::fillHistogram);
  chart_ = new ThresholdChart;
  chart_->setObjectName("stretchChart");
  chart_->setAccessibleName(txt("Histogram with the darkest and the brightest value"));
  chart_->setFixedHeight(110);
  connect(chart_, &ThresholdChart::dragged, this, &DisplayPanel::drag);
  from_ = new QComboBox;
  from_->setObjectName("displayFrom");
  from_->addItems({txt("the whole"), txt("the study area"), txt("what is seen")});
  connect(from_, &QComboBox::activated, this, &DisplayPanel::takeFrom);
  into->addWidget(channel_);
  into->addWidget(chart_);
  into->addWidget(fieldRow(txt("Taken from"), {from_}, kLabels));
}

/// What is seen now is where one starts by hand.
void DisplayPanel::takeShownRange(Display& d) const {
  if (const auto* o = tiles_.overview(view_.front().key))
    d.low = o->stretch.low, d.high = o->stretch.high;
}

void DisplayPanel::drag(const std::vector<double>& cuts) {
  if (cuts.size() != 2) return;
  change([&](Display& d) {
    if (d.range != Display::Range::ByHand) takeShownRange(d);
    d.range = Display::Range::ByHand;
    const bool one = view_.front().kind != Picture::Kind::Composite || view_.front().singleBand();
    for (size_t c = one ? 0 : channel(); c <= (one ? 2 : channel()); ++c)
      d.low[c] = static_cast<float>(cuts[0]), d.high[c] = static_cast<float>(cuts[1]);
  });
}

void DisplayPanel::takeFrom(int part) {
  const auto from = static_cast<Display::From>(part);
  if (from == Display::From::Area && bench_.studyArea().empty()) {
    from_->setCurrentIndex(0);
    what_->setText(txt("There is no study area yet; draw or choose one under Scenes."));
    return;
  }
  change([&](Display& d) {
    d.from = from;
    d.part.clear();
    if (d.from != Display::From::Visible) return;
    const Extent e = view_.visible();
    d.part = {{{{{e.left, e.bottom}, {e.right, e.bottom}, {e.right, e.top}, {e.left, e.top}}}, {}}};
    d.partCrs = view_.crs();
  });
}

void DisplayPanel::buildSteps(QVBoxLayout* into) {
  steps_ = new QComboBox;
  steps_->setObjectName("displaySteps");
  steps_->addItems({txt("without steps"), txt("equal steps"), txt("equal counts")});
  count_ = new QSpinBox;
  count_->setObjectName("displayCount");
  count_->setFixedWidth(64);
  count_->setRange(2, kMostSteps);
  count_->setAccessibleName(txt("How many steps"));
  into->addWidget(fieldRow(txt("Classed"), {steps_, count_}, kLabels));
  connect(steps_, &QComboBox::activated, this,
          [this](int i) { change([i](Display& d) { d.steps = static_cast<Display::Steps>(i); }); });
  connect(count_, &QSpinBox::valueChanged, this,
          [this](int n) { change([n](Display& d) { d.count = n; }); });
}

void DisplayPanel::buildClasses(QVBoxLayout* into) {
  opacity_ = new QSlider(Qt::Horizontal);
  opacity_->setObjectName("displayOpacity");
  opacity_->setRange(0, 100);
  all_ = linkButton(txt("Show all classes"));
  all_->setObjectName("displayAll");
  into->addWidget(fieldRow(txt("Opacity"), {opacity_}, kLabels));
  into->addWidget(secondLabel(txt(
      "Over the back picture. In the key, a click shows a class alone, a right click hides it.")));
  into->addWidget(all_, 0, Qt::AlignLeft);
  connect(opacity_, &QSlider::valueChanged, this,
          [this](int v) { change([v](Display& d) { d.opacity = v / 100.0; }); });
  connect(all_, &QPushButton::clicked, this,
          [this] { change([](Display& d) { d.hidden.clear(); }); });
}

void DisplayPanel::change(const std::function<void(Display&)>& how) {
  if (filling_ || view_.front().none()) return;
  Display d = view_.front().display;
  how(d);
  bench_.setDisplay(view_.front(), d);
}

void DisplayPanel::refresh() {
  if (!isVisible()) return;
  filling_ = true;
  const Picture& p = view_.front();
  const Display& d = p.display;
  const bool classes = p.kind == Picture::Kind::Classes, any = !p.none() && p.of != "preview";
  what_->setText(p.detail.isEmpty() ? p.title : p.title + " · " + p.detail);
  what_->setVisible(any);
  none_->setVisible(!any);
  none_->setText(
      p.of == "preview"
          ? txt("This is a picture of a formula; it can be displayed in other ways once it "
                "is made.")
          : txt("Nothing is in front; show a scene or a product first."));
  stretchBox_->setVisible(any && !classes);
  stepBox_->setVisible(any && hasRamp(p));
  classBox_->setVisible(any && classes);
  reset_->setVisible(any && !d.plain());
  channel_->setVisible(p.kind == Picture::Kind::Composite && !p.singleBand());
  for (int i = 0; i < 3; ++i) range_[i]->setChecked(static_cast<int>(d.range) == i);
  from_->setCurrentIndex(static_cast<int>(d.from));
  steps_->setCurrentIndex(static_cast<int>(d.steps));
  count_->setValue(d.count);
  count_->setEnabled(d.steps != Display::Steps::None);
  opacity_->setValue(static_cast<int>(d.opacity * 100 + 0.5));
  all_->setVisible(!d.hidden.empty());
  filling_ = false;
  fillHistogram();
  place();
}

void DisplayPanel::fillHistogram() {
  const Picture& p = view_.front();
  const Overview* o = tiles_.overview(p.key);
  if (o == nullptr || o->histograms.empty()) return;
  const size_t c = channel_->isVisible() ? std::min(channel(), o->histograms.size() - 1) : 0;
  Histogram h = o->histograms[c];
  // By hand the range may go beyond what there is.
  chart_->setHistogram(h);
  const QColor outside = tokens().hairline, inside = tokens().second;
  chart_->setCuts({o->stretch.low[c], o->stretch.high[c]}, {outside, inside, outside});
}

}  // namespace zp
