#include "desks/mapping/touch_up_panel.h"

#include "desks/mapping/class_ticks.h"
#include "grid/crs.h"
#include "mapping/patch_at.h"
#include "outline/brush.h"

namespace zp {

TouchUpPanel::TouchUpPanel(Workbench& bench, MapView& view) : Panel(bench), view_(view) {
  const auto choice = [](const char* name) {
    auto* box = new LongChoice;
    box->setObjectName(name);
    return box;
  };
  map_ = choice("touchUpMap");
  becomes_ = choice("touchUpBecomes");
  only_ = choice("touchUpOnly");
  draw_ = chip(txt("Draw area"));
  draw_->setObjectName("touchUpDraw");
  draw_->setIcon(icon("area"));
  brush_ = chip(txt("Brush"));
  brush_->setObjectName("touchUpBrush");
  patch_ = chip(txt("Patch"));
  patch_->setObjectName("touchUpPatch");
  patch_->setToolTip(txt("A click takes the whole patch of one class"));
  width_ = new QSpinBox;
  width_->setObjectName("touchUpWidth");
  width_->setRange(1, 200);
  width_->setValue(5);
  width_->setSuffix(txt(" pixels"));
  width_->setAccessibleName(txt("Width of the brush"));
  width_->hide();
  out_ = linkButton(txt("Take out"));
  out_->setObjectName("touchUpOut");
  list_ = plainTable({txt("Becomes"), txt("where it is")});
  list_->setObjectName("touchUpList");
  list_->setAccessibleName(txt("Corrections by hand"));
  box()->addWidget(fieldRow(txt("Map"), {map_}));
  box()->addWidget(fieldRow(txt("Becomes"), {becomes_}));
  box()->addWidget(fieldRow(txt("Where it is"), {only_}));
  box()->addWidget(wrapping({draw_, brush_, patch_, width_, out_}));
  box()->addWidget(list_);
  box()->addStretch();
  connect(map_, &QComboBox::activated, this, [this] {
    fillList();
    Q_EMIT changed();
  });
  for (const auto& [button, tool] : tools())
    connect(button, &QPushButton::clicked, this, [this, tool = tool](bool on) {
      if (on && map_->count() > 0) Q_EMIT productAsked(q(mapId()));  // what is drawn on is seen
      tellBrush();
      view_.setTool(on ? tool : MapView::Tool::Look);
    });
  connect(width_, &QSpinBox::valueChanged, this, &TouchUpPanel::tellBrush);
  connect(out_, &QPushButton::clicked, this, &TouchUpPanel::takeOut);
  connect(list_, &QTableWidget::itemSelectionChanged, this, [this] {
    out_->setVisible(!list_->selectedItems().isEmpty());
    Q_EMIT overlayChanged();
  });
  connect(&view_, &MapView::areaDrawn, this, [this](const Ring& ring) {
    add({{ring}, {}}, view_.crs());
  });
  connect(&view_, &MapView::lineBrushed, this, [this](const Ring& along) {
    if (isVisible()) guarded([&] { add(brushed(along, brushWidth()), view_.crs()); });
  });
  connect(&view_, &MapView::clicked, this, &TouchUpPanel::takePatch);
  connect(&view_, &MapView::toolChanged, this, [this] {
    for (const auto& [button, tool] : tools())
      button->setChecked(isVisible() && view_.tool() == tool);
    width_->setVisible(brush_->isChecked());
  });
}

void TouchUpPanel::leave() {
  for (const auto& [button, tool] : tools())
    if (button->isChecked()) view_.setTool(MapView::Tool::Look);
}

std::array<std::pair<QPushButton*, MapView::Tool>, 3> TouchUpPanel::tools() const {
  return {{{draw_, MapView::Tool::DrawArea},
           {brush_, MapView::Tool::Brush},
           {patch_, MapView::Tool::Pick}}};
}

void TouchUpPanel::guarded(const std::function<void()>& action) {
  try {
    Q_EMIT trouble("");
    action();
  } catch (const std::exception& e) {
    Q_EMIT trouble(sentenceOf(e));
  }
}

/// Pixels of the map that is corrected, in units of the view.
double TouchUpPanel::brushWidth() const {
  const Product* map = bench_.study().product(mapId());
  if (map == nullptr) return 1;
  const Grid grid = RasterFile(map->file).grid();
  const bool both = !grid.crs.empty() && !view_.crs().empty();
  const CrsChange change(both ? grid.crs : "", both ? view_.crs() : "");
  Place a = grid.centre(grid.width / 2, grid.height / 2),
        b = grid.centre(grid.width / 2 + 1, grid.height / 2);
  change.apply(a);
  change.apply(b);
  return width_->value() * std::hypot(a.x - b.x, a.y - b.y);
}

void TouchUpPanel::tellBrush() {
  bench_.setPlace("brush", width_->value());
  guarded([&] { view_.setBrushWidth(brushWidth()); });
}

void TouchUpPanel::takePatch(Place place) {
  const Product* map = bench_.hasStudy() ? bench_.study().product(mapId()) : nullptr;
  if (!isVisible() || !patch_->isChecked() || map == nullptr) return;
  guarded([&] {
    const Grid grid = RasterFile(map->file).grid();
    const bool both = !grid.crs.empty() && !view_.crs().empty();
    CrsChange(both ? view_.crs() : "", both ? grid.crs : "").apply(place);
    add(patchAt(map->file, place), grid.crs);
  });
}

/// The newest map that is not touched up itself, unless another was chosen.
void TouchUpPanel::refresh() {
  const int becomes = becomes_->currentData().toInt(), only = only_->currentData().toInt();
  offerClassMaps(*map_, bench_.study(), "touch-up");
  becomes_->clear();
  only_->clear();
  only_->addItem(txt("any class"), 0);
  for (const auto& c : bench_.study().legend.classes)
    for (auto* choice : {becomes_, only_})
      choice->addItem(swatch(toQt(c.colour)), q(c.name), c.code);
  becomes_->setCurrentIndex(std::max(0, becomes_->findData(becomes)));
  only_->setCurrentIndex(std::max(0, only_->findData(only)));
  if (const Json width = bench_.place("brush"); width.is_number_integer()) {
    const QSignalBlocker quiet(width_);
    width_->setValue(width.get<int>());
  }
  fillList();
  Q_EMIT changed();
}

std::vector<TouchUp> TouchUpPanel::corrections() const {
  std::vector<TouchUp> all;
  try {
    for (const auto& one : kept().value("list", Json::array())) all.push_back(touchUpFrom(one));
  } catch (const std::exception&) {
    all.clear();
  }
  return all;
}

/// What the study has for the map in hand.
Json TouchUpPanel::kept() const {
  const Json all = bench_.place("corrections");
  const Json own = all.is_object() ? all.value(mapId(), Json()) : Json();
  return own.is_object() ? own : Json::object();
}

std::string TouchUpPanel::crs() const {
  return kept().value("crs", view_.crs());
}

void TouchUpPanel::setCorrections(const std::vector<TouchUp>& all, const QString& what) {
  Json list = Json::array();
  for (const auto& one : all) list.push_back(toJson(one));
  Json whole = bench_.place("corrections");
  if (!whole.is_object()) whole = Json::object();
  whole[mapId()] = {{"crs", crs()}, {"list", list}};
  bench_.keep("corrections", whole, what);
}

void TouchUpPanel::add(const Shape& shape, const std::string& from) {
  if (!isVisible() || map_->count() == 0 || becomes_->count() == 0 || shape.rings.empty()) return;
  TouchUp one{shape, becomes_->currentData().toInt(), only_->currentData().toInt()};
  const std::string to = crs();
  const bool both = !to.empty() && !from.empty();
  const CrsChange change(both ? from : "", both ? to : "");
  for (auto& ring : one.shape.rings)
    for (auto& p : ring) change.apply(p);
  auto all = corrections();
  all.push_back(one);
  setCorrections(all, txt("Correct an area to %1").arg(className(one.code)));
}

void TouchUpPanel::takeOut() {
  auto all = corrections();
  const int row = list_->currentRow();
  if (row < 0 || row >= static_cast<int>(all.size())) return;
  all.erase(all.begin() + row);
  setCorrections(all, txt("Take out a correction"));
}

QString TouchUpPanel::className(int code) const {
  const auto* c = bench_.study().legend.find(code);
  return c == nullptr ? QString::number(code) : q(c->name);
}

void TouchUpPanel::fillList() {
  const auto all = corrections();
  list_->clearSelection();
  list_->setRowCount(static_cast<int>(all.size()));
  for (int r = 0; r < list_->rowCount(); ++r) {
    const auto& one = all[static_cast<size_t>(r)];
    list_->setItem(r, 0,
                   classItem(bench_.study().legend, one.code, className(one.code).toStdString()));
    list_->setItem(r, 1,
                   new QTableWidgetItem(one.only == 0 ? txt("any class") : className(one.only)));
  }
  fitHeight(list_);
  list_->setVisible(!all.empty());
  out_->setVisible(false);
  Q_EMIT overlayChanged();
}

Panel::Heading TouchUpPanel::heading() const {
  return {{}, txt("What is plainly wrong is put right by hand, and kept apart from the map.")};
}

QString TouchUpPanel::missing() const {
  if (map_->count() == 0) return txt("There is no class map yet; make one first.");
  if (corrections().empty()) return txt("Draw an area, and what it becomes.");
  return {};
}

Json TouchUpPanel::step() const {
  Json list = Json::array();
  for (const auto& one : corrections()) list.push_back(toJson(one));
  Json step = {{"do", "touch-up"}, {"map", mapId()}, {"corrections", list}};
  if (const auto system = crs(); !system.empty()) step["crs"] = system;
  step["name"] = txt("%1, touched up").arg(map_->currentText()).toStdString();
  return step;
}

std::vector<ViewShape> TouchUpPanel::shapes() const {
  std::vector<ViewShape> all;
  try {
    const bool both = !crs().empty() && !view_.crs().empty();
    const CrsChange change(both ? crs() : "", both ? view_.crs() : "");
    int row = 0;
    for (const auto& one : corrections()) {
      ViewShape s;
      s.shape = one.shape;
      for (auto& ring : s.shape.rings)
        for (auto& p : ring) change.apply(p);
      const auto* c = bench_.study().legend.find(one.code);
      s.colour = c == nullptr ? tokens().second : toQt(c->colour);
      s.line = Qt::white;
      s.filled = true;
      s.chosen = !list_->selectedItems().isEmpty() && list_->currentRow() == row;
      ++row;
      all.push_back(std::move(s));
    }
  } catch (const std::exception&) {
    all.clear();
  }
  return all;
}

}  // namespace zp
