#include "shell/view_tools.h"

#include "look/look.h"
#include "look/parts.h"
#include "view/map_sheet.h"

namespace zp {

namespace {

/// The scenes that something was made from, whatever stands between.
void addScenesOf(const Study& study, const std::string& id, QStringList& names) {
  if (const auto* s = study.scene(id); s != nullptr && !names.contains(q(s->scene.name)))
    names << q(s->scene.name);
  if (const auto* p = study.product(id))
    for (const auto& i : p->inputs) addScenesOf(study, i.id, names);
}

/// What is seen of the front picture, without the empty ground around it.
Extent seenPart(const MapView& view) {
  const Extent seen = view.visible();
  Extent whole = seen;
  try {
    const Grid g = gridOf(view.front());
    whole = g.extent();
    if (!view.crs().empty() && !g.crs.empty())
      whole = broughtTo(whole, g.crs, view.crs()).value_or(seen);
  } catch (const std::exception&) {
    return seen;  // it cannot be read; writing the map says so
  }
  if (!whole.overlaps(seen)) return seen;
  return {std::max(seen.left, whole.left), std::max(seen.bottom, whole.bottom),
          std::min(seen.right, whole.right), std::min(seen.top, whole.top)};
}

}  // namespace

MapSheetPanel::MapSheetPanel(Workbench& bench, MapView& view,
                             std::function<std::vector<ViewShape>()> shapes)
    : FloatingPanel(txt("Map to hand over"), &view),
      bench_(bench),
      view_(view),
      shapes_(std::move(shapes)) {
  body()->addWidget(
      secondLabel(txt("What is seen, with title, key, scale bar, north, source and date.")));
  const auto row = [this](const QString& label, QWidget* field, const char* name) {
    field->setObjectName(name);
    body()->addWidget(fieldRow(label, {field}, 58));
  };
  title_ = new QLineEdit;
  source_ = new QLineEdit;
  credit_ = new QLineEdit;
  credit_->setPlaceholderText(txt("who made it, its licence"));
  paper_ = new QComboBox;
  for (const auto& paper : sheetPapers()) paper_->addItem(txt(paper.toStdString()), paper);
  row(txt("Title"), title_, "sheetTitle");
  row(txt("Source"), source_, "sheetSource");
  row(txt("Credit"), credit_, "sheetCredit");
  row(txt("Paper"), paper_, "sheetPaper");
  areas_ = new QCheckBox(txt("Areas in the key"));
  areas_->setObjectName("sheetAreas");
  body()->addWidget(areas_);
  auto* write = primaryButton(txt("Write the map…"));
  write->setObjectName("sheetWrite");
  body()->addWidget(write);
  connect(write, &QPushButton::clicked, this, [this] {
    const QString file = QFileDialog::getSaveFileName(
        this, txt("Write the map"), txt("map") + ".pdf", txt("PDF (*.pdf);;PNG (*.png)"));
    if (!file.isEmpty()) this->write(file);
  });
}

void MapSheetPanel::open() {
  const Picture& p = view_.front();
  title_->setText(q(bench_.study().name) + (p.none() ? "" : ": " + p.title));
  QStringList from;
  addScenesOf(bench_.study(), p.of, from);
  source_->setText(from.join(", "));
  areas_->setVisible(p.kind == Picture::Kind::Classes);
  const Json credit = bench_.place("credit");
  credit_->setText(credit.is_string() ? q(credit.get<std::string>()) : QString());
  setVisible(true);
  place();
  title_->setFocus();
}

void MapSheetPanel::write(const QString& file) {
  bench_.setPlace("credit", credit_->text().toStdString());
  MapSheet sheet;
  sheet.title = title_->text();
  sheet.credit = credit_->text();
  sheet.source = source_->text();
  sheet.front = view_.front();
  sheet.back = view_.back();
  sheet.shapes = shapes_();
  sheet.extent = seenPart(view_);
  sheet.crs = view_.crs();
  if (const auto* p = bench_.study().product(sheet.front.of)) sheet.date = niceDate(p->date);
  if (const auto* s = bench_.study().scene(sheet.front.of)) sheet.date = niceDate(s->scene.date);
  if (const auto* p = bench_.study().product(sheet.front.of);
      p != nullptr && areas_->isChecked() && p->facts.contains("classes"))
    for (const auto& c : p->facts["classes"])
      if (c["area_m2"].is_number()) sheet.areas[c["code"].get<int>()] = c["area_m2"].get<double>();
  hide();
  bench_.background(
      txt("Write the map"),
      [sheet, paper = paper_->currentData().toString(), file](const Progress& progress) {
        writeMapSheet(sheet, paper, file);
        progress.at(1);
      },
      [this, file] { Q_EMIT bench_.notice(txt("The map is in “%1”.").arg(file)); });
}

ViewTools::ViewTools(Workbench& bench, MapView& view, TileStore& tiles,
                     std::function<std::vector<ViewShape>()> shapes)
    : QWidget(&view), view_(view) {
  setObjectName("viewTools");
  setAttribute(Qt::WA_StyledBackground);
  const QColor ground = tokens().overlay;
  setStyleSheet(QString("#viewTools { background: rgba(%1,%2,%3,205); border-radius: 4px; }")
                    .arg(ground.red())
                    .arg(ground.green())
                    .arg(ground.blue()));
  display_ = new DisplayPanel(bench, view, tiles);
  sheet_ = new MapSheetPanel(bench, view, std::move(shapes));
  profiles_ = new ProfileCard(bench, &view);
  auto* row = new QHBoxLayout(this);
  row->setContentsMargins(3, 3, 3, 3);
  row->setSpacing(1);
  const auto add = [&](const char* sign, const QString& tip, auto slot) {
    auto* b = new QToolButton;
    b->setIconSize(QSize(20, 20));
    b->setObjectName(sign);
    b->setIcon(icon(sign));
    b->setToolTip(tip);
    b->setAccessibleName(tip);
    connect(b, &QToolButton::clicked, this, slot);
    row->addWidget(b);
    return b;
  };
  const auto addMode = [&](MapView::Mode mode, const char* sign, const QString& tip) {
    modes_[mode] = add(sign, tip, [this, mode] { toggleMode(mode); });
    modes_[mode]->setCheckable(true);
  };
  using Mode = MapView::Mode;
  addMode(Mode::Curtain, "curtain", txt("Curtain: back picture left, front picture right (C)"));
  addMode(Mode::SideBySide, "side",
          txt("Side by side: back picture left, front picture right (V)"));
  addMode(Mode::Loupe, "loupe", txt("Loupe: the back picture enlarged under a glass (L)"));
  add("swap", txt("Swap front and back (X)"), [this] { Q_EMIT view_.swapAsked(); });
  add("fit", txt("Fit (0)"), [this] { view_.fit(); });
  add("display", txt("How it is shown: stretch, steps, opacity (D)"), [this] { openDisplay(); });
  add("sheet", txt("Map to hand over"), [this] {
    if (sheet_->isVisible())
      sheet_->hide();
    else
      display_->hide(), sheet_->open();
  });
  adjustSize();
  view_.installEventFilter(this);
}

void ViewTools::setMode(MapView::Mode mode) {
  view_.setMode(mode);
  for (const auto& [m, button] : modes_) button->setChecked(m == mode);
}

void ViewTools::toggleMode(MapView::Mode mode) {
  setMode(view_.mode() == mode ? MapView::Mode::Front : mode);
  Q_EMIT modeChosen();
}

void ViewTools::openDisplay() {
  sheet_->hide();
  display_->setVisible(!display_->isVisible());
  display_->refresh();
  if (display_->isVisible()) display_->place();
}

void ViewTools::setShown(bool shown) {
  setVisible(shown);
  if (!shown) display_->hide(), sheet_->hide(), profiles_->hide();
}

bool ViewTools::eventFilter(QObject*, QEvent* e) {
  if (e->type() != QEvent::Resize) return false;
  move(view_.width() - width() - 12, view_.height() - height() - 12);
  for (FloatingPanel* panel :
       {static_cast<FloatingPanel*>(display_), static_cast<FloatingPanel*>(sheet_)})
    if (panel->isVisible()) panel->place();
  profiles_->place();
  return false;
}

}  // namespace zp
