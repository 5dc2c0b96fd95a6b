#include "desks/mapping/mapping_desk.h"

#include <map>

#include "base/text.h"

namespace zp {

MappingDesk::MappingDesk(Workbench& bench, MapView& view) : Desk(bench, view, txt("Mapping")) {
  body()->addWidget(sectionLabel(txt("Features")));
  auto* box = new QWidget;
  bandChips_ = new FlowLayout(6);
  box->setLayout(bandChips_);
  body()->addWidget(box);
  body()->addWidget(sectionLabel(txt("Method")));
  auto* row = wrapping({}, 6);
  body()->addWidget(row);
  for (const auto& m : methods()) {
    auto* b = chip(txt(m.title));
    b->setObjectName("method-" + q(m.id));
    methodChips_[m.id] = b;
    auto* paragraph =
        new Paragraph(QString("<p>%1</p><p><b>%2</b> %3</p><p><b>%4</b> %5</p><p><i>%6</i></p>")
                          .arg(txt(m.about), txt("Assumes:"), txt(m.assumes), txt("Fails:"),
                               txt(m.fails), txt(m.source)));
    paragraph->opener()->setObjectName("explain-" + q(m.id));
    paragraphs_[m.id] = paragraph;
    row->layout()->addWidget(b);
    row->layout()->addWidget(paragraph->opener());
    body()->addWidget(paragraph);
    connect(b, &QPushButton::clicked, this, [this, id = m.id] { chooseMethod(id); });
  }
  body()->addWidget(sectionLabel(txt("Parameters")));
  priors_ = new QComboBox;
  priors_->setObjectName("priors");
  priors_->addItems({txt("equal"), txt("shares of my own")});
  priors_->setToolTip(txt("How common each class is before looking"));
  priorRow_ = new QWidget;
  auto* pr = labelledRow(txt("Priors"), priors_);
  pr->setContentsMargins(0, 0, 0, 0);
  priorRow_->setLayout(pr);
  body()->addWidget(priorRow_);
  priorTable_ = plainTable({txt("Class"), txt("share, %")});
  priorTable_->setObjectName("priorTable");
  priorTable_->setEditTriggers(QAbstractItemView::AllEditTriggers);
  priorTable_->setVisible(false);
  body()->addWidget(priorTable_);
  reject_ = new QLineEdit;
  reject_->setObjectName("reject");
  reject_->setPlaceholderText(txt("never: every pixel gets a class"));
  rejectUnit_ = secondLabel("");
  body()->addLayout(labelledRow(txt("Reject beyond"), reject_));
  body()->addWidget(rejectUnit_);
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
  connect(priors_, &QComboBox::currentIndexChanged, this, [this](int i) {
    priorTable_->setVisible(i == 1);
    fillPriors();
  });
  connect(primary_, &QPushButton::clicked, this, &MappingDesk::map);
}

void MappingDesk::forget() {
  bandsOf_.clear();
  priorTable_->setRowCount(0);
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
  if (bandsOf_ != s->id) {
    bandsOf_ = s->id;
    bands_.clear();
    for (size_t b = 0; b < s->scene.bands.size(); ++b) bands_.insert(b);
  }
  const auto& outlines = bench_.study().outlines;
  inside_->setVisible(std::any_of(outlines.begin(), outlines.end(),
                                  [](const StudyOutline& o) { return o.studyArea; }));
  fillBands();
  chooseMethod(method_);
  fillPriors();
  fillAreas();
}

void MappingDesk::fillBands() {
  while (auto* item = bandChips_->takeAt(0)) {
    delete item->widget();
    delete item;
  }
  const auto* s = bench_.currentScene();
  for (size_t b = 0; b < s->scene.bands.size(); ++b) {
    const auto& band = s->scene.bands[b];
    auto* c = chip(band.role.empty() ? q(band.name) : q(band.role));
    c->setObjectName(QString("feature-%1").arg(b + 1));
    c->setChecked(bands_.count(b) > 0);
    connect(c, &QPushButton::toggled, this, [this, b](bool on) {
      if (on)
        bands_.insert(b);
      else
        bands_.erase(b);
      chooseMethod(method_);
    });
    bandChips_->addWidget(c);
  }
}

void MappingDesk::chooseMethod(const std::string& id) {
  method_ = id;
  for (const auto& [name, b] : methodChips_) b->setChecked(name == id);
  const bool likelihood = id == "maximum-likelihood";
  priorRow_->setVisible(likelihood);
  priorTable_->setVisible(likelihood && priors_->currentIndex() == 1);
  rejectUnit_->setText(
      likelihood
          ? txt("In standard deviations from the class (Mahalanobis distance); 3 to 5 is usual.")
          : txt("In the unit of the bands, from the nearest mean."));
  std::set<int> classes;
  for (const auto& a : bench_.study().training) classes.insert(a.code);
  const auto* s = bench_.currentScene();
  setHeading(txt("Mapping"), txt("%n training areas of %1 classes, %2 of %3 bands.",
                                 "%n training area of %1 classes, %2 of %3 bands.",
                                 static_cast<qint64>(bench_.study().training.size()))
                                 .arg(classes.size())
                                 .arg(bands_.size())
                                 .arg(s->scene.bands.size()));
  primary_->setText(txt("Map %n classes", "Map %n class", static_cast<qint64>(classes.size())));
  primary_->setEnabled(!bands_.empty() && classes.size() > 1);
  if (classes.size() < 2)
    say(txt("A map needs training for at least two classes."));
  else if (bands_.empty())
    say(txt("Choose at least one band."));
  else
    say("");
}

void MappingDesk::fillPriors() {
  std::set<int> codes;
  for (const auto& a : bench_.study().training) codes.insert(a.code);
  std::set<int> listed;
  for (int r = 0; r < priorTable_->rowCount(); ++r)
    listed.insert(priorTable_->item(r, 0)->data(Qt::UserRole).toInt());
  // Shares of one's own stay while the classes are the same; their names may have changed.
  const bool same = listed == codes;
  priorTable_->setRowCount(static_cast<int>(codes.size()));
  int r = 0;
  for (int code : codes) {
    const auto* c = bench_.study().legend.find(code);
    auto* name = new QTableWidgetItem(swatch(toQt(c->colour)), q(c->name));
    name->setData(Qt::UserRole, code);
    name->setFlags(name->flags() & ~Qt::ItemIsEditable);
    priorTable_->setItem(r, 0, name);
    if (!same)
      priorTable_->setItem(
          r, 1, figureItem(QString::number(100.0 / static_cast<double>(codes.size()), 'f', 1)));
    ++r;
  }
  fitHeight(priorTable_);
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
  const auto* s = bench_.currentScene();
  Json step = {{"do", "map"},
               {"scene", s->id},
               {"bands", std::vector<size_t>(bands_.begin(), bands_.end())},
               {"method", method_}};
  const QString reject = reject_->text().trimmed();
  if (!reject.isEmpty()) {
    const auto value = parseNumber(reject.toStdString());
    if (!value || *value <= 0)
      return say(txt("The reject distance is not a number above 0; mend it or leave it empty."));
    step["reject"] = *value;
  }
  if (method_ == "maximum-likelihood" && priors_->currentIndex() == 1) {
    for (int r = 0; r < priorTable_->rowCount(); ++r) {
      const auto share = parseNumber(priorTable_->item(r, 1)->text().trimmed().toStdString());
      if (!share || *share <= 0)
        return say(
            txt("The prior of %1 is not a number above 0.").arg(priorTable_->item(r, 0)->text()));
      step["priors"][std::to_string(priorTable_->item(r, 0)->data(Qt::UserRole).toInt())] = *share;
    }
  }
  for (const auto& o : bench_.study().outlines)
    if (o.studyArea && inside_->isChecked()) step["inside"] = o.id;
  say("");
  step["name"] = txt("Cover, %1").arg(txt(method(method_).title).toLower()).toStdString();
  bench_.run(step, primary_->text(), [this](const QString& id) { Q_EMIT productAsked(id); });
}

}  // namespace zp
