#include "desks/scenes/scene_head.h"

namespace zp {
namespace {

constexpr int kRoom = 340, kLeastTitle = 160;  // pixels of the line that the title is on

/// What else is worth knowing of a scene, in a sentence each.
QString factsBeside(const Scene& scene) {
  QString text;
  if (!scene.pass.empty() || scene.incidence > 0)
    text += " " + (scene.pass.empty()          ? txt("Unknown pass%1.")
                   : scene.pass == "ascending" ? txt("Ascending pass%1.")
                                               : txt("Descending pass%1."))
                      .arg(scene.incidence > 0
                               ? txt(", %1° from the vertical").arg(decimal(scene.incidence, 1))
                               : QString());
  size_t elsewhere = 0;
  try {
    elsewhere = scene.bandsOnOtherGrids().size();
  } catch (const std::exception&) {
    // A file went away while the study is open; the view says so when it reads it.
  }
  if (elsewhere > 0)
    text += " " + txt("%n of its bands lie on another grid and are brought over as they are read.",
                      "%n of its bands lies on another grid and is brought over as it is read.",
                      static_cast<qint64>(elsewhere));
  if (scene.shift != Place{})
    text += txt(" Its place is corrected by %1, %2.")
                .arg(compact(scene.shift.x), compact(scene.shift.y));
  return text;
}

QString sizeOf(const Grid& grid) {
  const QString wide = grouped(static_cast<qulonglong>(grid.width)),
                high = grouped(static_cast<qulonglong>(grid.height));
  if (!grid.georeferenced) return txt("%1 x %2 pixels").arg(wide, high);
  return txt("%1 x %2 pixels of %3 %4")
      .arg(wide, high, compact(grid.pixelWidth()), crsIsGeographic(grid.crs) ? "°" : "m");
}

}  // namespace

SceneHead::SceneHead(Workbench& bench, const MaskShares& shares) : Panel(bench), shares_(shares) {
  title_ = headingLabel("");
  title_->setObjectName("sceneTitle");
  title_->setWordWrap(false);
  usable_ = secondLabel("");
  usable_->setObjectName("usable");
  usable_->setWordWrap(false);
  facts_ = linkButton(txt("Facts"));
  facts_->setObjectName("openFacts");
  box()->addWidget(wrapping({title_, usable_, facts_}, 10));
  about_ = secondLabel("");
  about_->setObjectName("sceneFacts");
  box()->addWidget(about_);
  connect(facts_, &QPushButton::clicked, this, [this] {
    if (const auto* s = bench_.currentScene()) Q_EMIT factsAsked(q(s->id));
  });
}

void SceneHead::refresh() {
  const auto* s = bench_.currentScene();
  if (s == nullptr) return;
  const Scene& scene = s->scene;
  const auto share = shares_.of(scene.mask);
  usable_->setText(scene.mask.empty() ? txt("nothing set aside")
                   : !share           ? QString()
                                      : txt("%1 % usable").arg(decimal(100 * (1 - *share), 1)));
  // On one line with what stands beside it.
  const QString title = nameWithDate(scene);
  const int room = kRoom - usable_->sizeHint().width() - facts_->sizeHint().width();
  title_->setText(
      title_->fontMetrics().elidedText(title, Qt::ElideRight, std::max(kLeastTitle, room)));
  title_->setToolTip(title);
  about_->setText(sizeOf(scene.grid) + ", " +
                  (scene.grid.crs.empty() ? txt("without a reference system: looking, indices and "
                                                "maps work, areas and points do not")
                                          : q(crsTitle(scene.grid.crs))) +
                  "." + factsBeside(scene));
}

}  // namespace zp
