#include "desks/training/grow_panel.h"

#include "feature/feature_kind.h"
#include "outline/cut.h"

namespace zp {
namespace {

constexpr double kStep = 0.05;  // of the tolerance

}  // namespace

GrowPanel::GrowPanel(Workbench& bench, MapView& view, std::function<int()> chosenClass)
    : Panel(bench, 6), view_(view), chosenClass_(std::move(chosenClass)), job_(this) {
  opener_ = chip(txt("Grow area"));
  opener_->setObjectName("growArea");
  opener_->setToolTip(txt("Makes an area of the pixels around one that are like it"));
  told_ = secondLabel("");
  told_->setObjectName("growSaid");
  tolerance_ = new QSlider(Qt::Horizontal);
  tolerance_->setObjectName("growTolerance");
  tolerance_->setRange(1, 40);
  tolerance_->setValue(6);
  tolerance_->setToolTip(
      txt("How unlike the pixel others may be, in the spread of the bands around it"));
  toleranceTold_ = new QLabel;
  toleranceTold_->setFont(figureFont(10));
  toleranceTold_->setFixedWidth(QFontMetrics(figureFont(10)).horizontalAdvance("0.00"));
  most_ = new QSpinBox;
  most_->setObjectName("growMost");
  most_->setRange(1, 100000);
  most_->setValue(1000);
  most_->setToolTip(txt("It grows no larger"));
  keep_ = quietButton(txt("Keep area"));
  keep_->setObjectName("growKeep");
  auto* stop = linkButton(txt("Not now"));
  stop->setObjectName("growLeave");
  auto* card = new QWidget;
  auto* column = columnIn(card, 6);
  column->addWidget(told_);
  column->addWidget(fieldRow(txt("Tolerance"), {tolerance_, toleranceTold_}));
  column->addWidget(fieldRow(txt("Pixels at most"), {most_}));
  column->addWidget(wrapping({keep_, stop}));
  box()->addWidget(card);
  hide();
  connect(opener_, &QPushButton::toggled, this, &GrowPanel::open);
  connect(stop, &QPushButton::clicked, this, [this] { opener_->setChecked(false); });
  connect(keep_, &QPushButton::clicked, this, &GrowPanel::keep);
  connect(tolerance_, &QSlider::valueChanged, this, &GrowPanel::grow);
  connect(most_, &QSpinBox::valueChanged, this, &GrowPanel::grow);
  connect(&view_, &MapView::clicked, this, &GrowPanel::pointAt);
  connect(&view_, &MapView::toolChanged, this, [this] {
    if (opener_->isChecked() && view_.tool() != MapView::Tool::Pick) opener_->setChecked(false);
  });
}

void GrowPanel::refresh() {
  if (bench_.currentScene() == nullptr) opener_->setChecked(false);
}

void GrowPanel::open(bool on) {
  if (on && chosenClass_() == 0) {
    opener_->setChecked(false);
    return Q_EMIT trouble(txt("Choose the class to draw first, or make a new one."));
  }
  Q_EMIT trouble("");
  job_.stop();
  seed_.reset();
  grown_ = {};
  keep_->setEnabled(false);
  told_->setText(txt("Click a pixel; those around that are like it make the area."));
  toleranceTold_->setText(decimal(tolerance_->value() * kStep, 2));
  setVisible(on);
  if (on)
    view_.setTool(MapView::Tool::Pick);
  else if (view_.tool() == MapView::Tool::Pick)
    view_.setTool(MapView::Tool::Look);
  Q_EMIT overlayChanged();
}

void GrowPanel::pointAt(Place place) {
  if (!isVisible() || !opener_->isChecked()) return;
  seed_ = place;
  grow();
}

void GrowPanel::grow() {
  toleranceTold_->setText(decimal(tolerance_->value() * kStep, 2));
  const auto* s = bench_.hasStudy() ? bench_.currentScene() : nullptr;
  if (!seed_ || s == nullptr) return;
  const Growth growth{tolerance_->value() * kStep, static_cast<size_t>(most_->value())};
  job_.ask(
      [scene = s->scene, place = *seed_, crs = view_.crs(), growth](const Progress&) {
        Place at = place;
        const bool both = !crs.empty() && !scene.grid.crs.empty();
        CrsChange(both ? crs : "", both ? scene.grid.crs : "").apply(at);
        at = scene.grid.toPixel(at);
        const Scope scope(scene);
        const FeatureReader reader(scope,
                                   makeFeatures(bandLines(bandsNamed("", scene), scene), scope));
        return growRegion(reader, static_cast<int>(std::floor(at.x)),
                          static_cast<int>(std::floor(at.y)), growth);
      },
      [this](const std::vector<Span>& pixels) { show(pixels); },
      [this](const QString& sentence) {
        grown_ = {};
        keep_->setEnabled(false);
        told_->setText(sentence);
        Q_EMIT overlayChanged();
      });
}

void GrowPanel::show(const std::vector<Span>& pixels) {
  if (bench_.currentScene() == nullptr) return;  // it went meanwhile
  const Grid& grid = bench_.currentScene()->scene.grid;
  size_t count = 0;
  for (const auto& s : pixels) count += static_cast<size_t>(s.to - s.from);
  grown_ = outlineOf(pixels, grid);
  const bool both = !view_.crs().empty() && !grid.crs.empty();
  const CrsChange change(both ? grid.crs : "", both ? view_.crs() : "");
  for (auto& ring : grown_.rings)
    for (auto& p : ring) change.apply(p);
  told_->setText(count >= static_cast<size_t>(most_->value())
                     ? txt("%n pixels, as many as it may be.", "%n pixel, as many as it may be.",
                           static_cast<qint64>(count))
                     : txt("%n pixels.", "%n pixel.", static_cast<qint64>(count)));
  keep_->setEnabled(true);
  Q_EMIT overlayChanged();
}

void GrowPanel::keep() {
  const Shape area = grown_;
  grown_ = {};
  seed_.reset();
  keep_->setEnabled(false);
  told_->setText(txt("Click a pixel; those around that are like it make the area."));
  if (!area.rings.empty()) Q_EMIT kept(area);
}

std::vector<ViewShape> GrowPanel::shapes() const {
  if (grown_.rings.empty()) return {};
  const auto* c = bench_.study().legend.find(chosenClass_());
  ViewShape s;
  s.shape = grown_;
  s.colour = c == nullptr ? tokens().accent : toQt(c->colour);
  s.line = tokens().accent;
  s.filled = true;
  return {s};
}

}  // namespace zp
