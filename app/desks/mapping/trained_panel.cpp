#include "desks/mapping/trained_panel.h"

#include "base/error.h"

namespace zp {

TrainedPanel::TrainedPanel(Workbench& bench) : Panel(bench) {
  method_ = methods().front()->id;
  box()->addWidget(sectionLabel(txt("Features")));
  features_ = new FeaturesPanel(bench);
  box()->addWidget(features_);
  buildMethods();
  settings_ = new SettingsPanel;
  // So that they are found by their names before one has been here.
  settings_->offer(method(method_).parameters, Json::object(), {});
  box()->addWidget(settings_);
  inside_ = new QCheckBox(txt("Inside the study area only"));
  inside_->setObjectName("mapInside");
  box()->addWidget(inside_, 0, Qt::AlignLeft);
  connect(features_, &FeaturesPanel::changed, this, &TrainedPanel::changed);
  connect(features_, &FeaturesPanel::trouble, this, &TrainedPanel::trouble);
  connect(settings_, &SettingsPanel::changed, this, [this] {
    try {
      values_[method_] = settings_->values();
    } catch (const Error&) {
      // Half typed; said when the map is asked for.
    }
  });
}

void TrainedPanel::buildMethods() {
  explanation_ = new Paragraph("");
  explanation_->opener()->setObjectName("explainMethod");
  auto* title = new QHBoxLayout;
  title->addWidget(sectionLabel(txt("Method")));
  title->addWidget(explanation_->opener());
  title->addStretch();
  box()->addLayout(title);
  auto* row = wrapping({}, 6);
  for (const auto* m : methods()) {
    auto* b = chip(txt(m->title));
    b->setObjectName("method-" + q(m->id));
    methodChips_[m->id] = b;
    row->layout()->addWidget(b);
    connect(b, &QPushButton::clicked, this, [this, id = m->id] { chooseMethod(id); });
  }
  box()->addWidget(row);
  box()->addWidget(explanation_);
}

/// The chosen method and each of its parameters.
QString TrainedPanel::explanation() const {
  const Method& m = method(method_);
  const auto paragraph = [](const QString& head, const QString& text) {
    return QString("<p><b>%1</b> %2</p>").arg(head, text);
  };
  QString html = "<p>" + txt(m.about) + "</p>";
  html += paragraph(txt("Assumes:"), txt(m.assumes)) + paragraph(txt("Fails:"), txt(m.fails));
  for (const auto& p : m.parameters) html += paragraph(txt(p.title) + ":", txt(p.about));
  return html + "<p><i>" + txt(m.source) + "</i></p>";
}

void TrainedPanel::forget() {
  features_->forget();
  values_.clear();
  offeredFor_.clear();
}

void TrainedPanel::refresh() {
  inside_->setVisible(!bench_.studyAreaId().empty());
  features_->refresh();
  chooseMethod(method_);
}

std::vector<LegendClass> TrainedPanel::trainedClasses() const {
  std::set<int> codes;
  for (const auto& a : bench_.study().training) codes.insert(a.code);
  std::vector<LegendClass> classes;
  for (const int code : codes)
    if (const auto* c = bench_.study().legend.find(code)) classes.push_back(*c);
  return classes;
}

void TrainedPanel::chooseMethod(const std::string& id) {
  method_ = id;
  for (const auto& [name, b] : methodChips_) b->setChecked(name == id);
  explanation_->setText(explanation());
  offerSettings();
  Q_EMIT changed();
}

/// Anew only for another method, scene or classes: what is being typed stays otherwise.
void TrainedPanel::offerSettings() {
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

Panel::Heading TrainedPanel::heading() const {
  return {{},
          txt("%n training areas of %1 classes, %2 features.",
              "%n training area of %1 classes, %2 features.",
              static_cast<qint64>(bench_.study().training.size()))
              .arg(trainedClasses().size())
              .arg(features_->lines().size())};
}

QString TrainedPanel::action() const {
  return txt("Map %n classes", "Map %n class", static_cast<qint64>(trainedClasses().size()));
}

QString TrainedPanel::missing() const {
  if (trainedClasses().size() < 2) return txt("A map needs training for at least two classes.");
  if (features_->lines().empty()) return txt("Choose at least one band or feature.");
  return {};
}

Json TrainedPanel::step() const {
  Json step = {{"do", "map"},
               {"scene", bench_.currentScene()->id},
               {"features", features_->lines()},
               {"method", method_}};
  if (const auto with = features_->with(); !with.empty()) step["with"] = with;
  if (const Json values = settings_->values(); !values.empty()) step["settings"] = values;
  if (const auto area = bench_.studyAreaId(); inside_->isChecked() && !area.empty())
    step["inside"] = area;
  step["name"] = txt("Cover, %1").arg(txt(method(method_).title).toLower()).toStdString();
  return step;
}

}  // namespace zp
