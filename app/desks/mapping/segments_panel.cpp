#include "desks/mapping/segments_panel.h"

#include "mapping/segments.h"

namespace zp {

SegmentsPanel::SegmentsPanel(Workbench& bench) : Panel(bench) {
  box()->addWidget(sectionLabel(txt("Alike in")));
  features_ = new FeaturesPanel(bench);
  box()->addWidget(features_);
  settings_ = new SettingsPanel;
  settings_->offer(segmentParameters(), Json::object(), {});
  auto* explanation = parameterParagraph(segmentParameters());
  explanation->opener()->setObjectName("explain-segments");
  auto* row = new QHBoxLayout;
  row->addWidget(sectionLabel(txt("How large")));
  row->addWidget(explanation->opener());
  row->addStretch();
  box()->addLayout(row);
  box()->addWidget(explanation);
  box()->addWidget(settings_);
  inside_ = new QCheckBox(txt("Inside the study area only"));
  inside_->setObjectName("segmentsInside");
  box()->addWidget(inside_, 0, Qt::AlignLeft);
  found_ = new QWidget;
  auto* column = columnIn(found_, 4);
  column->addWidget(hairline());
  title_ = sectionLabel("");
  column->addWidget(title_);
  said_ = secondLabel("");
  said_->setObjectName("segmentsSaid");
  column->addWidget(said_);
  auto* map = linkButton(txt("Map by these segments"));
  map->setObjectName("mapSegments");
  map->setToolTip(txt("A trained map of which each segment gets one class"));
  column->addWidget(map, 0, Qt::AlignLeft);
  box()->addWidget(found_);
  box()->addStretch();
  connect(map, &QPushButton::clicked, this, [this] {
    const StudyScene* s = newest();
    if (s == nullptr) return;
    bench_.setCurrentScene(q(s->id));
    Q_EMIT mapAsked();
  });
  connect(features_, &FeaturesPanel::changed, this, &SegmentsPanel::changed);
  connect(features_, &FeaturesPanel::trouble, this, &SegmentsPanel::trouble);
  connect(settings_, &SettingsPanel::changed, this, &SegmentsPanel::changed);
}

void SegmentsPanel::forget() {
  features_->forget();
}

void SegmentsPanel::refresh() {
  inside_->setVisible(!bench_.studyAreaId().empty());
  features_->refresh();
  tellNewest();
  Q_EMIT changed();
}

/// The scene of the segments found last.
const StudyScene* SegmentsPanel::newest() const {
  const Study& study = bench_.study();
  for (auto p = study.products.rbegin(); p != study.products.rend(); ++p) {
    if (p->step.value("do", "") != "segments") continue;
    for (const auto& s : study.scenes)
      if (s.product == p->id) return &s;
  }
  return nullptr;
}

void SegmentsPanel::tellNewest() {
  const StudyScene* s = newest();
  found_->setVisible(s != nullptr);
  if (s == nullptr) return;
  const Json& facts = bench_.study().product(s->product)->facts;
  const auto count = facts.at("segments").get<double>(),
             pixels = facts.at("segmented").get<double>();
  title_->setText(q(s->scene.name));
  said_->setText(
      txt("%1 segments of %2 pixels on average. Each is told by the means and spreads of "
          "what it is alike in, its size and its compactness.")
          .arg(grouped(static_cast<qulonglong>(count)),
               decimal(count > 0 ? pixels / count : 0, 1)));
}

Panel::Heading SegmentsPanel::heading() const {
  return {{}, txt("Pieces of like pixels, to be mapped as one each.")};
}

Json SegmentsPanel::step() const {
  Json step = features_->step();
  step["do"] = "segments";
  if (const Json values = settings_->values(); !values.empty()) step["settings"] = values;
  if (const auto area = bench_.studyAreaId(); inside_->isChecked() && !area.empty())
    step["inside"] = area;
  step["name"] = txt("Segments of %1").arg(q(bench_.currentScene()->scene.name)).toStdString();
  return step;
}

}  // namespace zp
