#include "desks/mapping/mapping_desk.h"

#include "base/error.h"

namespace zp {

MappingDesk::MappingDesk(Workbench& bench, MapView& view) : Desk(bench, view, txt("Mapping")) {
  method_ = methods().front()->id;
  body()->addWidget(sectionLabel(txt("Features")));
  features_ = new FeaturesPanel(bench);
  body()->addWidget(features_);
  explanation_ = new Paragraph("");
  explanation_->opener()->setObjectName("explainMethod");
  auto* title = new QHBoxLayout;
  title->addWidget(sectionLabel(txt("Method")));
  title->addWidget(explanation_->opener());
  title->addStretch();
  body()->addLayout(title);
  body()->addWidget(methodRow());
  body()->addWidget(explanation_);
  settings_ = new SettingsPanel;
  // So that they are found by their names before one has been here.
  settings_->offer(method(method_).parameters, Json::object(), {});
  body()->addWidget(settings_);
  inside_ = new QCheckBox(txt("Inside the study area only"));
  inside_->setObjectName("mapInside");
  body()->addWidget(inside_, 0, Qt::AlignLeft);
  body()->addWidget(hairline());
  areaTitle_ = sectionLabel("");
  body()->addWidget(areaTitle_);
  areas_ = plainTable({txt("Class"), txt("pixels"), txt("ha"), txt("km²")});
  areas_->setObjectName("areaTable");
  body()->addWidget(areas_);
  body()->addStretch();
  connect(features_, &FeaturesPanel::changed, this, &MappingDesk::tellState);
  connect(features_, &FeaturesPanel::said, this, &MappingDesk::say);
  connect(settings_, &SettingsPanel::changed, this, [this] {
    try {
      values_[method_] = settings_->values();
    } catch (const Error&) {
      // Half typed; said when the map is asked for.
    }
  });
  connect(primary_, &QPushButton::clicked, this, &MappingDesk::map);
}

QWidget* MappingDesk::methodRow() {
  auto* row = wrapping({}, 6);
  for (const auto* m : methods()) {
    auto* b = chip(txt(m->title));
    b->setObjectName("method-" + q(m->id));
    methodChips_[m->id] = b;
    row->layout()->addWidget(b);
    connect(b, &QPushButton::clicked, this, [this, id = m->id] { chooseMethod(id); });
  }
  return row;
}

/// The chosen method and each of its parameters.
QString MappingDesk::explanation() const {
  const Method& m = method(method_);
  const auto paragraph = [](const QString& head, const QString& text) {
    return QString("<p><b>%1</b> %2</p>").arg(head, text);
  };
  QString html = "<p>" + txt(m.about) + "</p>";
  html += paragraph(txt("Assumes:"), txt(m.assumes)) + paragraph(txt("Fails:"), txt(m.fails));
  for (const auto& p : m.parameters) html += paragraph(txt(p.title) + ":", txt(p.about));
  return html + "<p><i>" + txt(m.source) + "</i></p>";
}

void MappingDesk::forget() {
  features_->forget();
  values_.clear();
  offeredFor_.clear();
}

void MappingDesk::refresh() {
  const auto* s = bench_.currentScene();
  if (s == nullptr)
    return setMissing(txt("A map needs a scene. Bring one in first."), txt("Go to scenes"), 0);
  if (bench_.study().training.empty())
    return setMissing(txt("A trained map needs training areas. Draw or import some first."),
                      txt("Go to training"), 2);
  setReady();
  showSceneSelector();
  const auto& outlines = bench_.study().outlines;
  inside_->setVisible(std::any_of(outlines.begin(), outlines.end(),
                                  [](const StudyOutline& o) { return o.studyArea; }));
  features_->refresh();
  chooseMethod(method_);
  fillAreas();
}

std::vector<LegendClass> MappingDesk::trainedClasses() const {
  std::set<int> codes;
  for (const auto& a : bench_.study().training) codes.insert(a.code);
  std::vector<LegendClass> classes;
  for (const int code : codes)
    if (const auto* c = bench_.study().legend.find(code)) classes.push_back(*c);
  return classes;
}

void MappingDesk::chooseMethod(const std::string& id) {
  method_ = id;
  for (const auto& [name, b] : methodChips_) b->setChecked(name == id);
  explanation_->setText(explanation());
  offerSettings();
  tellState();
}

/// Anew only for another method, scene or classes: what is being typed stays otherwise.
void MappingDesk::offerSettings() {
  const auto* s = bench_.currentScene();
  const auto classes = trainedClasses();
  Json around = {method_, s->id};
  for (const auto& c : classes) around.push_back({c.code, c.name, toQt(c.colour).rgb()});
  if (const std::string now = around.dump(); now != offeredFor_)
    offeredFor_ = now;
  else
    return;
  const Json values = values_[method_];
  settings_->offer(method(method_).parameters, values.is_null() ? Json::object() : values,
                   {classes, &s->scene});
}

void MappingDesk::tellState() {
  const auto classes = trainedClasses().size();
  const auto features = features_->lines().size();
  setHeading(txt("Mapping"), txt("%n training areas of %1 classes, %2 features.",
                                 "%n training area of %1 classes, %2 features.",
                                 static_cast<qint64>(bench_.study().training.size()))
                                 .arg(classes)
                                 .arg(features));
  primary_->setText(txt("Map %n classes", "Map %n class", static_cast<qint64>(classes)));
  primary_->setEnabled(features > 0 && classes > 1);
  if (classes < 2)
    say(txt("A map needs training for at least two classes."));
  else if (features == 0)
    say(txt("Choose at least one band or feature."));
  else
    say("");
}

const Product* MappingDesk::newestMap() const {
  const auto& all = bench_.study().products;
  for (auto p = all.rbegin(); p != all.rend(); ++p)
    if (p->kind == ProductKind::ClassMap && p->step.value("do", "") == "map") return &*p;
  return nullptr;
}

void MappingDesk::fillAreas() {
  const Product* p = newestMap();
  areaTitle_->setVisible(p != nullptr);
  areas_->setVisible(p != nullptr);
  if (p == nullptr) return;
  areaTitle_->setText(bench_.study().outOfDate(*p) ? txt("%1: out of date").arg(q(p->name))
                                                   : q(p->name));
  const Json& classes = p->facts["classes"];
  areas_->setRowCount(static_cast<int>(classes.size()));
  int r = 0;
  for (const auto& c : classes) {
    const auto* known = bench_.study().legend.find(c["code"].get<int>());
    areas_->setItem(r, 0,
                    new QTableWidgetItem(swatch(known ? toQt(known->colour) : tokens().second),
                                         q(c["name"].get<std::string>())));
    areas_->setItem(r, 1, figureItem(grouped(c["pixels"].get<size_t>())));
    const double m2 = c["area_m2"].is_number() ? c["area_m2"].get<double>() : std::nan("");
    areas_->setItem(r, 2, figureItem(areaText(m2)));
    areas_->setItem(r, 3, figureItem(std::isnan(m2) ? "–" : decimal(m2 / 1e6, 2)));
    ++r;
  }
  fitHeight(areas_);
}

void MappingDesk::map() {
  Json step = {{"do", "map"},
               {"scene", bench_.currentScene()->id},
               {"features", features_->lines()},
               {"method", method_}};
  if (const auto with = features_->with(); !with.empty()) step["with"] = with;
  try {
    if (const Json values = settings_->values(); !values.empty()) step["settings"] = values;
  } catch (const Error& e) {
    return say(sentenceOf(e));
  }
  for (const auto& o : bench_.study().outlines)
    if (o.studyArea && inside_->isChecked()) step["inside"] = o.id;
  say("");
  step["name"] = txt("Cover, %1").arg(txt(method(method_).title).toLower()).toStdString();
  bench_.run(step, primary_->text(), [this](const QString& id) { Q_EMIT productAsked(id); });
}

}  // namespace zp
