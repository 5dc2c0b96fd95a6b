#include "desks/mapping/next_places.h"

namespace zp {

NextPlaces::NextPlaces(Workbench& bench, MapView& view) : Panel(bench, 4), view_(view) {
  share_ = secondLabel("");
  share_->setObjectName("unlikeShare");
  hatch_ = new QCheckBox(txt("Hatch"));
  hatch_->setObjectName("hatchGuess");
  hatch_->setToolTip(txt("Hatches in the preview what is unlike all training"));
  open_ = linkButton(txt("Where to look next…"));
  open_->setObjectName("nextPlaces");
  open_->setCheckable(true);
  auto* head = new QHBoxLayout;
  head->addWidget(share_, 1);
  head->addWidget(hatch_);
  box()->addLayout(head);
  box()->addWidget(open_, 0, Qt::AlignLeft);
  bySure_ = chip(txt("least sure"));
  bySure_->setObjectName("placesBySure");
  byUnlike_ = chip(txt("most unlike"));
  byUnlike_->setObjectName("placesByUnlike");
  byOther_ = chip(txt("disputed"));
  byOther_->setObjectName("placesByOther");
  byOther_->setToolTip(
      txt("Where a method of another kind, a forest or else maximum likelihood, is sure of another "
          "class"));
  table_ = plainTable({txt("Given"), txt("confidence"), txt("unlike")});
  table_->setObjectName("placeTable");
  table_->setAccessibleName(txt("Places to look at next"));
  table_->horizontalHeaderItem(2)->setToolTip(
      txt("Distance from all training, in that of training areas from each other; above 1 the "
          "class is a guess"));
  classes_ = wrapping({}, 4);
  list_ = new QWidget;
  auto* column = columnIn(list_, 4);
  column->addWidget(wrapping({bySure_, byUnlike_, byOther_}));
  column->addWidget(table_);
  auto* what = secondLabel(
      txt("What is it? A click, or a key from 1 to 9, makes it training of that class."));
  what->setWordWrap(true);
  column->addWidget(what);
  column->addWidget(classes_);
  list_->setVisible(false);
  box()->addWidget(list_);
  bySure_->setChecked(true);
  for (int n = 0; n < 9; ++n)
    connect(new QShortcut(QKeySequence(Qt::Key_1 + n), list_, nullptr, nullptr,
                          Qt::WidgetWithChildrenShortcut),
            &QShortcut::activated, this, [this, n] {
              const auto& classes = bench_.study().legend.classes;
              if (n < static_cast<int>(classes.size()))
                addTraining(classes[static_cast<size_t>(n)].code);
            });
  connect(open_, &QPushButton::toggled, this, [this](bool on) {
    list_->setVisible(on);
    fill();
    if (on) Q_EMIT revealAsked(list_);
  });
  for (auto* by : {bySure_, byUnlike_, byOther_})
    connect(by, &QPushButton::clicked, this, [this, by] {
      for (auto* one : {bySure_, byUnlike_, byOther_}) one->setChecked(one == by);
      fill();
    });
  connect(hatch_, &QCheckBox::clicked, this,
          [this](bool on) { Q_EMIT pictureAsked(on ? hatched_ : plain_); });
  connect(table_, &QTableWidget::itemSelectionChanged, this,
          [this] { goTo(table_->selectedItems().isEmpty() ? -1 : table_->currentRow()); });
  hide();
}

void NextPlaces::forget() {
  waiting();
  open_->setChecked(false);
}

void NextPlaces::waiting() {
  doubts_ = {};
  hide();
  Q_EMIT overlayChanged();
}

void NextPlaces::show(const MapDoubts& doubts, const std::string& crs, const Picture& plain,
                      const Picture& hatched) {
  doubts_ = doubts;
  crs_ = crs;
  plain_ = plain;
  hatched_ = hatched;
  tellShare();
  fill();
  setVisible(true);
  if (hatching()) Q_EMIT pictureAsked(hatched_);
}

void NextPlaces::tellShare() {
  const auto percent = [](size_t part, size_t all) {
    return decimal(all == 0 ? 0 : 100 * static_cast<double>(part) / static_cast<double>(all), 1);
  };
  share_->setText(
      txt("<b>%1 %</b> is unlike all training").arg(percent(doubts_.unlike, doubts_.pixels)));
  QStringList rows;
  for (const auto& [code, of] : doubts_.classes)
    if (const auto* c = bench_.study().legend.find(code))
      rows << txt("%1: %2 % is a guess").arg(q(c->name), percent(of.second, of.first));
  share_->setToolTip(rows.join("\n"));
}

const std::vector<MapDoubts::At>& NextPlaces::places() const {
  return byOther_->isChecked()  ? doubts_.disagreed
         : bySure_->isChecked() ? doubts_.leastSure
                                : doubts_.mostUnlike;
}

void NextPlaces::fill() {
  const QSignalBlocker quiet(table_);
  table_->clearSelection();
  table_->setRowCount(static_cast<int>(places().size()));
  table_->horizontalHeaderItem(2)->setText(byOther_->isChecked() ? txt("or") : txt("unlike"));
  int r = 0;
  for (const auto& at : places()) {
    const auto* c = bench_.study().legend.find(at.code);
    table_->setItem(
        r, 0,
        classItem(bench_.study().legend, at.code, c == nullptr ? txt("no class").toStdString() : c->name));
    table_->setItem(r, 1, figureItem(std::isnan(at.confidence) ? "–" : decimal(at.confidence, 2)));
    const auto* other = bench_.study().legend.find(at.other);
    table_->setItem(r++, 2,
                    byOther_->isChecked() && other != nullptr
                        ? new QTableWidgetItem(q(other->name))
                        : figureItem(decimal(at.unlikeness, 1)));
  }
  fitHeight(table_, 8);
  fillClasses();
  Q_EMIT overlayChanged();
}

/// Each class with its key.
void NextPlaces::fillClasses() {
  while (auto* item = classes_->layout()->takeAt(0)) {
    item->widget()->hide(), item->widget()->deleteLater();
    delete item;
  }
  int key = 0;
  for (const auto& c : bench_.study().legend.classes) {
    ++key;
    auto* b = chip(key <= 9 ? QString("%1  %2").arg(key).arg(q(c.name)) : q(c.name), false);
    b->setObjectName(QString("placeIs-%1").arg(c.code));
    b->setIcon(swatch(toQt(c.colour)));
    connect(b, &QPushButton::clicked, this, [this, code = c.code] { addTraining(code); });
    classes_->layout()->addWidget(b);
  }
}

void NextPlaces::goTo(int row) {
  constexpr double kAcross = 120;  // pixels of the scene
  Q_EMIT overlayChanged();
  if (bench_.currentScene() == nullptr || row < 0 || row >= static_cast<int>(places().size()))
    return;
  const double half = kAcross / 2 * bench_.currentScene()->scene.grid.pixelWidth();
  const Place at = places()[static_cast<size_t>(row)].place;
  const Extent around{at.x - half, at.y - half, at.x + half, at.y + half};
  if (const auto there = broughtTo(around, crs_, view_.crs())) view_.zoomTo(*there);
}

/// A square of three by three pixels around the chosen place.
void NextPlaces::addTraining(int code) {
  const int row = table_->selectedItems().isEmpty() ? -1 : table_->currentRow();
  if (row < 0 || row >= static_cast<int>(places().size()))
    return Q_EMIT trouble(txt("Choose a place in the list first."));
  const Study& study = bench_.study();
  const auto* c = study.legend.find(code);
  if (c == nullptr) return;
  const Grid& grid = bench_.currentScene()->scene.grid;
  const Place at = grid.toPixel(places()[static_cast<size_t>(row)].place);
  const double left = std::floor(at.x) - 1, top = std::floor(at.y) - 1;
  TrainingArea a;
  a.code = code;
  a.className = c->name;
  Ring ring{grid.toMap(left, top), grid.toMap(left + 3, top), grid.toMap(left + 3, top + 3),
            grid.toMap(left, top + 3)};
  const CrsChange change(crs_, study.trainingCrs);
  for (auto& p : ring) change.apply(p);
  a.shape.rings = {ring};
  auto all = study.training;
  all.push_back(a);
  Q_EMIT trouble("");
  bench_.setTraining(all, study.trainingCrs, txt("Draw an area of %1").arg(q(c->name)));
}

std::vector<ViewPoint> NextPlaces::points() const {
  std::vector<ViewPoint> all;
  if (!isVisible() || !list_->isVisible()) return all;
  try {
    const CrsChange change(crs_, view_.crs());
    for (size_t i = 0; i < places().size(); ++i) {
      ViewPoint point{places()[i].place, tokens().warning, {}};
      point.chosen = static_cast<int>(i) == table_->currentRow();
      if (change.apply(point.place)) all.push_back(point);
    }
  } catch (const std::exception&) {
    all.clear();
  }
  return all;
}

}  // namespace zp
