#include "desks/scenes/look_panel.h"

#include "desks/scenes/composite_card.h"
#include "scene/band_axis.h"

namespace zp {

LookPanel::LookPanel(Workbench& bench, MapView& view)
    : Panel(bench), view_(view), thumbnails_(236, 136, this) {
  auto* flow = new QWidget;
  cards_ = new FlowLayout;
  flow->setLayout(cards_);
  box()->addWidget(flow);
  buildByHand();
  box()->addStretch();
}

void LookPanel::buildByHand() {
  auto* row = new QHBoxLayout;
  row->setSpacing(6);
  auto* byHand = secondLabel(txt("By hand"));
  byHand->setWordWrap(false);
  row->addWidget(byHand);
  const QString titles[] = {txt("Red channel"), txt("Green channel"), txt("Blue channel")};
  for (int i = 0; i < 3; ++i) {
    channels_[i] = new QComboBox;
    channels_[i]->setObjectName(QString("channel-%1").arg(i + 1));
    channels_[i]->setAccessibleName(titles[i]);
    channels_[i]->setToolTip(
        txt("%1; the same band three times shows it alone in grey").arg(titles[i]));
    connect(channels_[i], &QComboBox::activated, this, [this] {
      std::array<size_t, 3> bands{};
      QStringList names;
      for (size_t c = 0; c < 3; ++c) {
        bands[c] = static_cast<size_t>(std::max(0, channels_[c]->currentIndex()));
        names << channels_[c]->currentText();
      }
      names.removeDuplicates();
      show(bands, names.join(", "));
    });
    row->addWidget(channels_[i], 1);
  }
  box()->addLayout(row);
}

void LookPanel::refresh() {
  while (auto* item = cards_->takeAt(0)) {
    delete item->widget();
    delete item;
  }
  const auto* s = bench_.currentScene();
  if (s == nullptr) return;
  thumbnails_.startRound();
  for (const auto& c : compositesOf(s->scene)) addCard(*s, c);
  fillByHand(s->scene);
}

void LookPanel::addCard(const StudyScene& s, const Composite& c) {
  const Picture shown = view_.front();
  auto* card = new CompositeCard(txt(c.title), txt(c.shortTitle));
  card->setObjectName("composite-" + q(c.id));
  card->setChecked(shown.of == s.id && shown.detail == txt(c.title));
  std::array<size_t, 3> bands{};
  for (size_t i = 0; i < 3; ++i) bands[i] = static_cast<size_t>(s.scene.bandOf(c.roles[i]));
  connect(card, &QPushButton::clicked, this,
          [this, bands, title = txt(c.title)] { show(bands, title); });
  cards_->addWidget(card);
  thumbnails_.ask(compositePicture(s.id, s.scene, bands, txt(c.title)), card,
                  [card](const QImage& image) { card->setThumbnail(image); });
}

void LookPanel::fillByHand(const Scene& scene) {
  for (int i = 0; i < 3; ++i) {
    channels_[i]->clear();
    for (const auto& b : scene.bands) channels_[i]->addItem(q(calledBand(b)));
    channels_[i]->setCurrentIndex(
        std::min(channels_[i]->count() - 1, scene.bands.size() >= 3 ? 2 - i : 0));
  }
}

void LookPanel::show(std::array<size_t, 3> bands, const QString& title) {
  const auto* s = bench_.currentScene();
  if (s == nullptr) return;
  Q_EMIT pictureAsked(compositePicture(s->id, s->scene, bands, title));
  refresh();
}

}  // namespace zp
