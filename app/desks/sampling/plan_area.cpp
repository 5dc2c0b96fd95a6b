#include "desks/sampling/plan_area.h"

#include "shell/product_face.h"

namespace zp {
namespace {

// What the choice of an outline holds beside outlines.
const char* const kInView = "view";
const char* const kBox = "box";
const char* const kAsGiven = "given";

/// Entries are filled anew; the one that was chosen stays so.
void chooseAgain(QComboBox& box, const QVariant& before) {
  if (const int at = box.findData(before); at >= 0) box.setCurrentIndex(at);
}

}  // namespace

QString lengthUnit(const std::string& crs) {
  return crs.empty()                  ? txt("pixels")
         : crsIsGeographic(crs)       ? txt("degrees")
         : crsMetresPerUnit(crs) == 1 ? QString("m")
                                      : txt("map units");
}

QString lengthText(double length) {
  if (length >= 100) return QString::number(length, 'f', 0);
  return QString::number(length, 'g', 3);
}

PlanArea::PlanArea(Workbench& bench, MapView& view) : bench_(bench), view_(view) {
  over_ = new LongChoice;
  over_->setObjectName("planOver");
  class_ = new LongChoice;
  class_->setObjectName("planClass");
  inside_ = new LongChoice;
  inside_->setObjectName("planInside");
  again_ = linkButton(txt("Draw"));
  again_->setObjectName("planBox");
  again_->hide();
  classRow_ = fieldRow(txt("In the class"), {class_});
  auto* column = columnIn(this);
  column->addWidget(fieldRow(txt("Over"), {over_}));
  column->addWidget(classRow_);
  column->addWidget(insideRow_ = fieldRow(txt("Inside"), {inside_, again_}));
  connect(over_, &QComboBox::activated, this, [this] {
    fillClasses();
    Q_EMIT changed();
  });
  connect(class_, &QComboBox::activated, this, &PlanArea::changed);
  connect(inside_, &QComboBox::activated, this, &PlanArea::chooseInside);
  connect(again_, &QPushButton::clicked, this, &PlanArea::drawBox);
  connect(&view_, &MapView::boxDrawn, this, [this](const Extent& box) {
    if (!isVisible() || inside() != kBox) return;
    box_ = box;
    view_.setTool(MapView::Tool::Look);
    Q_EMIT changed();
  });
  connect(&view_, &MapView::moved, this, [this] {
    if (isVisible() && inside() == kInView) Q_EMIT changed();
  });
}

void PlanArea::leave() {
  if (view_.tool() == MapView::Tool::DrawBox) view_.setTool(MapView::Tool::Look);
}

void PlanArea::forget() {
  for (auto* list : {over_, class_, inside_}) list->clear();
  box_.reset();
  given_.reset();
  grids_.clear();
  scene_.clear();
}

void PlanArea::fill(const QString& plan) {
  stratified_ = plan == "stratified";
  byHand_ = plan == "by-hand";
  insideRow_->setVisible(!byHand_);
  fillOver();
  fillClasses();
  fillInside();
}

/// Class maps; where the plan is not per class, indices, quantities and scenes too.
void PlanArea::fillOver() {
  const Study& s = bench_.study();
  const QVariant before = over_->currentData();
  over_->clear();
  for (auto p = s.products.rbegin(); p != s.products.rend(); ++p)
    if (p->kind == ProductKind::ClassMap ||
        (!stratified_ && (p->kind == ProductKind::Index || p->kind == ProductKind::Quantity)))
      over_->addItem(q(p->name), q(p->id));
  if (!stratified_)
    for (const auto& one : s.scenes) over_->addItem(q(one.scene.name), q(one.id));
  chooseAgain(*over_, before);
  // Points over a scene follow the scene the desk works on.
  const auto* current = bench_.currentScene();
  const QString here = current == nullptr ? QString() : q(current->id);
  const bool chosen = over_->findData(before) >= 0 && here == scene_;
  scene_ = here;
  if (!chosen && s.scene(over()) != nullptr) chooseAgain(*over_, here);
}

const Product* PlanArea::map() const {
  const auto* p = bench_.study().product(over());
  return p != nullptr && p->kind == ProductKind::ClassMap ? p : nullptr;
}

void PlanArea::fillClasses() {
  const QVariant before = class_->currentData();
  class_->clear();
  const Product* map = stratified_ || byHand_ ? nullptr : this->map();
  classRow_->setVisible(map != nullptr);
  if (map == nullptr) return;
  class_->addItem(txt("any class"), 0);
  const Legend legend = legendOfMap(*map);
  for (const auto& c : map->facts.value("classes", Json::array())) {
    const auto* known = legend.find(c.at("code").get<int>());
    class_->addItem(swatch(known == nullptr ? tokens().second : toQt(known->colour)),
                    q(c.at("name").get<std::string>()), c.at("code").get<int>());
  }
  chooseAgain(*class_, before);
}

void PlanArea::fillInside() {
  const QVariant before = inside_->currentData();
  inside_->clear();
  inside_->addItem(txt("everywhere"), "");
  for (const auto& o : bench_.study().outlines) inside_->addItem(q(o.name), q(o.id));
  inside_->addItem(txt("the part in view"), kInView);
  inside_->addItem(txt("a rectangle drawn there"), kBox);
  if (given_) inside_->addItem(txt("the same rectangle"), kAsGiven);
  chooseAgain(*inside_, before);
  again_->setVisible(inside() == kBox);
}

void PlanArea::chooseInside() {
  again_->setVisible(inside() == kBox);
  if (inside() == kBox && !box_)
    drawBox();
  else
    leave();
  Q_EMIT changed();
}

void PlanArea::drawBox() {
  view_.setTool(MapView::Tool::DrawBox);
}

bool PlanArea::boxMissing() const {
  return !byHand_ && inside() == kBox && !box_;
}

Grid PlanArea::grid() const {
  if (const auto* scene = bench_.study().scene(over())) return scene->scene.grid;
  Grid unknown;
  unknown.crs = bench_.viewCrs();
  const auto* p = bench_.study().product(over());
  if (p == nullptr) return unknown;
  const std::string key = p->id + "/" + std::to_string(p->revision);
  if (const auto known = grids_.find(key); known != grids_.end()) return known->second;
  try {
    return grids_[key] = RasterFile(p->file).grid();
  } catch (const std::exception&) {
    return unknown;  // placing points says so
  }
}

std::optional<Extent> PlanArea::within() const {
  if (inside() == kAsGiven) return given_;
  const std::optional<Extent> seen = inside() == kInView ? view_.visible()
                                     : inside() == kBox  ? box_
                                                         : std::nullopt;
  const std::string crs = grid().crs;
  if (!seen || view_.crs().empty() || crs.empty()) return seen;
  return broughtTo(*seen, view_.crs(), crs);
}

Json PlanArea::fields() const {
  Json j = {{"over", over()}};
  if (byHand_) return j;
  if (classRow_->isVisibleTo(this) && class_->currentData().toInt() > 0)
    j["class"] = class_->currentData().toInt();
  if (const auto e = within())
    j["within"] = {e->left, e->bottom, e->right, e->top};
  else if (!inside().isEmpty() && inside() != kBox && inside() != kInView)
    j["inside"] = inside().toStdString();
  return j;
}

void PlanArea::take(const Json& step) {
  chooseAgain(*over_, q(step.value("over", "")));
  fillClasses();
  if (class_->count() > 0) chooseAgain(*class_, step.value("class", 0));
  given_.reset();
  if (step.contains("within")) {
    const auto sides = step["within"].get<std::vector<double>>();
    if (sides.size() == 4) given_ = Extent{sides[0], sides[1], sides[2], sides[3]};
  }
  fillInside();
  chooseAgain(*inside_, given_ ? QString(kAsGiven) : q(step.value("inside", "")));
  again_->setVisible(false);
}

std::vector<ViewShape> PlanArea::shapes() const {
  if (inside() != kBox || !box_) return {};
  ViewShape box;
  const Extent& e = *box_;
  box.shape.rings = {{{e.left, e.bottom}, {e.right, e.bottom}, {e.right, e.top}, {e.left, e.top}}};
  box.colour = tokens().accent;
  box.dashed = true;
  return {box};
}

}  // namespace zp
