#include "desks/scenes/mask_panel.h"

#include "base/error.h"
#include "base/outputs.h"
#include "scene/quality.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

/// A mask as classes, in colours that no land cover wears.
Picture maskPicture(const fs::path& file) {
  Picture p;
  p.kind = Picture::Kind::Classes;
  p.file = file;
  p.key = "mask/" + q(file.string());
  const std::pair<int, Colour> codes[] = {{kEmptyEdge, {90, 90, 90}},
                                          {kFlagged, {230, 120, 200}},
                                          {kDrawn, {255, 190, 90}},
                                          {kWidened, {235, 160, 215}}};
  for (const auto& [code, colour] : codes) {
    LegendClass c;
    c.code = code, c.colour = colour;
    p.legend.add(c);
  }
  return p;
}

}  // namespace

MaskPanel::MaskPanel(Workbench& bench, MapView& view) : Panel(bench, 6), view_(view), count_(this) {
  buildParts();
  buildTools();
  box()->addWidget(wrapping({edge_, quality_}));
  box()->addWidget(flagBox_);
  box()->addWidget(wrapping({draw_, grow_, tolerance_, widen_}));
  box()->addWidget(wrapping({drawnText_, clear_}));
  box()->addWidget(share_);
  box()->addWidget(wrapping({set_, none_}));
  box()->addStretch();
  connectTools();
}

/// What is set aside without drawing, and what comes of it.
void MaskPanel::buildParts() {
  edge_ = new QCheckBox(txt("The edge of zeros"));
  edge_->setObjectName("maskEdge");
  edge_->setToolTip(
      txt("Pixels that are zero in every band and reach the border; zeros inside stay valid"));
  flagBox_ = new QWidget;
  flags_ = new FlowLayout(6);
  flagBox_->setLayout(flags_);
  quality_ = quietButton(txt("Quality band…"));
  quality_->setObjectName("qualityBand");
  quality_->setToolTip(txt("A band whose bits or values say which pixels are cloud, shadow…"));
  share_ = secondLabel("");
  share_->setObjectName("maskShare");
  set_ = quietButton(txt("Set aside"));
  set_->setObjectName("maskSet");
  none_ = linkButton(txt("Use all pixels"));
  none_->setObjectName("maskNone");
  connect(edge_, &QCheckBox::clicked, this, &MaskPanel::look);
  connect(quality_, &QPushButton::clicked, this, &MaskPanel::chooseQuality);
  connect(set_, &QPushButton::clicked, this, &MaskPanel::set);
  connect(none_, &QPushButton::clicked, this, [this] {
    bench_.changeScene(q(id_), txt("Use all pixels"), [](Scene& s) {
      s.mask.clear();
      s.maskRecipe = {};
    });
  });
}

void MaskPanel::buildTools() {
  draw_ = quietButton(txt("Draw"));
  draw_->setObjectName("maskDraw");
  draw_->setCheckable(true);
  draw_->setToolTip(txt("Draw polygons in the view; what lies inside is set aside"));
  grow_ = quietButton(txt("Grow"));
  grow_->setObjectName("maskGrow");
  grow_->setCheckable(true);
  grow_->setToolTip(
      txt("Click a pixel in the view: what is like it and connected with it is set aside"));
  tolerance_ = new QDoubleSpinBox;
  tolerance_->setObjectName("maskTolerance");
  tolerance_->setDecimals(3);
  tolerance_->setRange(0, 1e6);
  tolerance_->setSingleStep(0.01);
  tolerance_->setValue(0.05);
  tolerance_->setPrefix("± ");
  tolerance_->setFixedWidth(100);
  tolerance_->setAccessibleName(txt("How like a pixel has to be, in the scene's values"));
  tolerance_->setToolTip(tolerance_->accessibleName());
  clear_ = linkButton(txt("Take back drawn"));
  clear_->setObjectName("maskClear");
  drawnText_ = secondLabel("");
  widen_ = new QSpinBox;
  widen_->setObjectName("maskWiden");
  widen_->setRange(0, kMostWidening);
  widen_->setSuffix(txt(" pixels wider"));
  widen_->setAccessibleName(txt("Widen what is set aside"));
  connect(widen_, &QSpinBox::valueChanged, this, &MaskPanel::look);
  connect(clear_, &QPushButton::clicked, this, [this] {
    drawn_.clear();
    grown_.clear();
    look();
  });
}

/// Each button is pressed while the view has its tool.
void MaskPanel::connectTools() {
  using Tool = MapView::Tool;
  const auto give = [this](bool on, Tool tool) {
    if (on || view_.tool() == tool) view_.setTool(on ? tool : Tool::Look);
    drawing_ = draw_->isChecked(), growing_ = grow_->isChecked();
  };
  connect(draw_, &QPushButton::toggled, this, [give](bool on) { give(on, Tool::DrawArea); });
  connect(grow_, &QPushButton::toggled, this, [give](bool on) { give(on, Tool::Pick); });
  connect(&view_, &MapView::toolChanged, this, [this] {
    if (view_.tool() != Tool::DrawArea) draw_->setChecked(false);
    if (view_.tool() != Tool::Pick) grow_->setChecked(false);
    drawing_ = draw_->isChecked(), growing_ = grow_->isChecked();
  });
  connect(&view_, &MapView::areaDrawn, this, [this](const Ring& ring) {
    if (!drawing_ || !isVisible() || scene() == nullptr) return;
    Ring own;
    for (const auto& p : ring) own.push_back(inScene(p));
    drawn_.push_back({{own}, {}});
    look();
  });
  connect(&view_, &MapView::clicked, this, [this](Place p) {
    if (!growing_ || !isVisible() || scene() == nullptr) return;
    grown_.push_back({inScene(p), tolerance_->value()});
    look();
  });
}

/// A place of the view, in the scene's system.
Place MaskPanel::inScene(Place p) const {
  const auto& crs = scene()->scene.grid.crs;
  const bool both = !view_.crs().empty() && !crs.empty();
  CrsChange(both ? view_.crs() : "", both ? crs : "").apply(p);
  return p;
}

const StudyScene* MaskPanel::scene() const {
  return bench_.hasStudy() ? bench_.study().scene(id_) : nullptr;
}

void MaskPanel::refresh() {
  const auto* s = bench_.currentScene();
  if (s == nullptr || !isVisible()) return;
  if (s->id != id_ || s->revision != revision_) show(*s);
}

void MaskPanel::show(const StudyScene& s) {
  leave();
  id_ = s.id, revision_ = s.revision;
  const MaskRecipe& r = s.scene.maskRecipe;
  {
    const QSignalBlocker quiet(widen_);
    edge_->setChecked(r.edge);
    widen_->setValue(r.widen);
  }
  drawn_ = r.drawn, grown_ = r.grown;
  tolerance_->setValue(s.scene.state == ValueState::RawCounts ? 50 : 0.05);
  fillFlags();
  none_->setVisible(!s.scene.mask.empty());
  const bool any = !drawn_.empty() || !grown_.empty();
  clear_->setVisible(any);
  drawnText_->setVisible(any);
  set_->setEnabled(false);
  share_->setText(s.scene.mask.empty() ? txt("Nothing is set aside.") : "");
  if (s.scene.mask.empty()) return count_.stop();
  count_.ask([copy = s.scene](const Progress& p) { return countUsable(copy, p); },
             [this](const MaskCount& n) { share_->setText(said(n)); },
             [this](const QString& why) { Q_EMIT trouble(why); });
}

void MaskPanel::leave() {
  count_.stop();
  draw_->setChecked(false);
  grow_->setChecked(false);
  view_.setVeil({});
  id_.clear();
}

QString MaskPanel::said(const MaskCount& n) {
  QStringList parts;
  const auto part = [&](size_t pixels, const QString& what) {
    if (pixels > 0)
      parts << what.arg(
          decimal(100.0 * static_cast<double>(pixels) / static_cast<double>(n.pixels), 1));
  };
  part(n.edge, txt("%1 % edge"));
  part(n.flagged, txt("%1 % flagged"));
  part(n.drawn, txt("%1 % drawn"));
  part(n.widened, txt("%1 % around"));
  const QString usable = decimal(100 * n.usableShare(), 1);
  return parts.isEmpty()
             ? txt("%1 % of the pixels are usable.").arg(usable)
             : txt("%1 % of the pixels are usable; set aside: %2.").arg(usable, parts.join(", "));
}

void MaskPanel::fillFlags() {
  while (auto* item = flags_->takeAt(0)) {
    delete item->widget();
    delete item;
  }
  const auto* s = scene();
  if (s == nullptr) return;
  const MaskRecipe& r = s->scene.maskRecipe;
  const auto has = [](const std::vector<int>& all, int v) {
    return std::find(all.begin(), all.end(), v) != all.end();
  };
  for (const auto& f : s->scene.quality.flags) {
    auto* b = chip(txt(f.name));
    b->setObjectName("flag-" + q(f.name));
    b->setToolTip(f.bit ? txt("Bit %1 of the quality band").arg(f.at)
                        : txt("Value %1 of the quality band").arg(f.at));
    b->setChecked(has(f.bit ? r.bits : r.values, f.at));
    b->setProperty("bit", f.bit);
    b->setProperty("at", f.at);
    connect(b, &QPushButton::clicked, this, &MaskPanel::look);
    flags_->addWidget(b);
  }
  flagBox_->setVisible(!s->scene.quality.flags.empty());
}

void MaskPanel::chooseQuality() {
  const auto* s = scene();
  if (s == nullptr) return;
  const QString file =
      QFileDialog::getOpenFileName(this, txt("The quality band of this scene"), {},
                                   txt("Rasters (*.tif *.tiff *.jp2 *.vrt *.png);;All files (*)"));
  if (file.isEmpty()) return;
  QStringList titles;
  for (const auto& p : qualityPresets()) titles << txt(p.title);
  bool ok = false;
  const QString title =
      QInputDialog::getItem(this, txt("What the quality band flags"),
                            txt("Meaning of its bits or values"), titles, 0, false, &ok);
  if (!ok) return;
  try {
    Scene copy = s->scene;
    setQuality(copy, {file.toStdString(), 1,
                      qualityPresets()[static_cast<size_t>(titles.indexOf(title))].flags});
    bench_.changeScene(q(id_), txt("Choose a quality band"),
                       [&](Scene& one) { one.quality = copy.quality; });
  } catch (const std::exception& e) {
    Q_EMIT trouble(sentenceOf(e));
  }
}

MaskRecipe MaskPanel::recipe() const {
  MaskRecipe r;
  r.edge = edge_->isChecked();
  for (int i = 0; i < flags_->count(); ++i) {
    const auto* b = qobject_cast<QPushButton*>(flags_->itemAt(i)->widget());
    if (b != nullptr && b->isChecked())
      (b->property("bit").toBool() ? r.bits : r.values).push_back(b->property("at").toInt());
  }
  r.drawn = drawn_, r.grown = grown_;
  r.widen = widen_->value();
  return r;
}

/// Makes the mask beside the study, and lays it over the picture.
void MaskPanel::look() {
  const auto* s = scene();
  if (s == nullptr) return;
  const bool any = !drawn_.empty() || !grown_.empty();
  clear_->setVisible(any);
  drawnText_->setVisible(any);
  drawnText_->setText(txt("%1 drawn, %2 grown").arg(drawn_.size()).arg(grown_.size()));
  const fs::path file = (scratch_.path() + QString("/look-%1.tif").arg(++looks_)).toStdString();
  share_->setText(txt("Counting…"));
  count_.ask([copy = s->scene, r = recipe(),
              file](const Progress& p) { return makeMask(copy, r, file, p); },
             [this, file](const MaskCount& n) {
               share_->setText(said(n));
               view_.setVeil(maskPicture(file));
               set_->setEnabled(true);
             },
             [this](const QString& why) {
               share_->setText("");
               set_->setEnabled(false);
               Q_EMIT trouble(why);
             });
}

void MaskPanel::set() {
  const auto* s = scene();
  if (s == nullptr) return;
  const MaskRecipe r = recipe();
  view_.setVeil({});
  if (r.none()) return none_->click();
  const fs::path target = bench_.study().freshFile(s->scene.name + " mask", ".tif");
  bench_.background(
      txt("Set pixels aside"),
      [copy = s->scene, r, target](const Progress& p) {
        Outputs outputs(true);
        makeMask(copy, r, outputs.add(target), p);
        outputs.commit();
      },
      [this, id = q(s->id), r, target] {
        bench_.changeScene(id, txt("Set pixels aside"), [&](Scene& one) {
          one.mask = target;
          one.maskRecipe = r;
        });
      });
}

}  // namespace zp
