#include "desks/training/remedy_panel.h"

namespace zp {
namespace {

QColor partColour(size_t part) {
  return part == 0 ? tokens().accent : tokens().warning;
}

/// The place of near infrared, or of the first feature, and its name.
size_t featureTold(const Samples& s) {
  const auto nir = std::find(s.features.begin(), s.features.end(), "nir");
  return nir == s.features.end() ? 0 : static_cast<size_t>(nir - s.features.begin());
}

}  // namespace

RemedyPanel::RemedyPanel(Workbench& bench, MapView& view, std::function<int()> chosenClass)
    : Panel(bench, 4), view_(view), chosenClass_(std::move(chosenClass)), job_(this) {
  openSplit_ = linkButton(txt("Split in two…"));
  openSplit_->setObjectName("openSplit");
  openSplit_->setToolTip(
      txt("Parts the training pixels of the class by their own clusters; seen before it is done"));
  openOutliers_ = linkButton(txt("Outliers…"));
  openOutliers_->setObjectName("openOutliers");
  openOutliers_->setToolTip(txt("Lists training pixels that lie far from the rest of the class"));
  splitCard_ = buildSplit();
  outlierCard_ = buildOutliers();
  for (auto* card : {splitCard_, outlierCard_}) {
    card->setVisible(false);
    box()->addWidget(card);
  }
  hide();  // until one of them is open
  connect(openSplit_, &QPushButton::clicked, this, &RemedyPanel::askSplit);
  connect(openOutliers_, &QPushButton::clicked, this, &RemedyPanel::askOutliers);
}

QWidget* RemedyPanel::buildSplit() {
  auto* card = new QWidget;
  auto* column = columnIn(card, 6);
  splitSaid_ = secondLabel("");
  splitSaid_->setObjectName("splitSaid");
  column->addWidget(splitSaid_);
  for (const size_t part : {0, 1}) {
    names_[part] = lineEdit(part == 0 ? "splitFirst" : "splitSecond");
    auto* sign = new QLabel;
    sign->setPixmap(swatch(partColour(part)).pixmap(12, 12));
    told_[part] = secondLabel("");
    auto* row = new QHBoxLayout;
    row->addWidget(sign);
    row->addWidget(names_[part], 1);
    row->addWidget(told_[part]);
    column->addLayout(row);
  }
  auto* accept = quietButton(txt("Split in two"));
  accept->setObjectName("acceptSplit");
  auto* dropPart = quietButton(txt("Drop the smaller"));
  dropPart->setObjectName("dropPart");
  dropPart->setToolTip(txt("Takes the smaller part out of the training instead"));
  auto* leave = linkButton(txt("Not now"));
  leave->setObjectName("leaveSplit");
  column->addWidget(wrapping({accept, dropPart, leave}));
  connect(accept, &QPushButton::clicked, this, &RemedyPanel::acceptSplit);
  connect(dropPart, &QPushButton::clicked, this, &RemedyPanel::dropPart);
  connect(leave, &QPushButton::clicked, this, &RemedyPanel::close);
  return card;
}

QWidget* RemedyPanel::buildOutliers() {
  auto* card = new QWidget;
  auto* column = columnIn(card, 6);
  outliersSaid_ = secondLabel("");
  outliersSaid_->setObjectName("outliersSaid");
  column->addWidget(outliersSaid_);
  outlierTable_ = plainTable({txt("Area"), txt("pixels"), txt("spreads off"), txt("most like")});
  outlierTable_->setObjectName("outlierTable");
  column->addWidget(outlierTable_);
  drop_ = quietButton("");
  drop_->setObjectName("dropOutliers");
  auto* leave = linkButton(txt("Not now"));
  leave->setObjectName("leaveOutliers");
  column->addWidget(wrapping({drop_, leave}));
  connect(drop_, &QPushButton::clicked, this, &RemedyPanel::dropOutliers);
  connect(leave, &QPushButton::clicked, this, &RemedyPanel::close);
  connect(outlierTable_, &QTableWidget::cellClicked, this, [this](int row, int) {
    Q_EMIT areaAsked(outlierTable_->item(row, 0)->data(Qt::UserRole).toULongLong());
  });
  return card;
}

void RemedyPanel::forget() {
  training_ = nullptr;
  close();
}

void RemedyPanel::setTraining(const Training* training) {
  training_ = training;
  close();
  refresh();
}

void RemedyPanel::showClass() {
  if (split_ && split_->code == chosenClass_()) return;
  close();
  refresh();
}

void RemedyPanel::refresh() {
  const auto* h = health();
  openOutliers_->setVisible(h != nullptr);
  openSplit_->setVisible(h != nullptr && h->word == Health::Mixed);
}

const ClassHealth* RemedyPanel::health() const {
  if (training_ == nullptr) return nullptr;
  for (const auto& h : training_->health)
    if (h.code == chosenClass_()) return &h;
  return nullptr;
}

QString RemedyPanel::className() const {
  const auto* c = bench_.study().legend.find(chosenClass_());
  return c == nullptr ? QString() : q(c->name);
}

std::string RemedyPanel::sceneCrs() const {
  return bench_.currentScene()->scene.grid.crs;
}

void RemedyPanel::close() {
  job_.stop();
  split_.reset();
  outliers_.clear();
  samples_.reset();
  splitCard_->setVisible(false);
  outlierCard_->setVisible(false);
  hide();
  Q_EMIT overlayChanged();
}

void RemedyPanel::askSplit() {
  const auto* h = health();
  if (h == nullptr || bench_.currentScene() == nullptr) return;
  close();
  samples_ = training_->samples;
  job_.ask(
      [samples = samples_, study = bench_.study(), grid = bench_.currentScene()->scene.grid,
       code = h->code, subclass = h->subclass](const Progress&) {
        const std::string before = subclass.empty() ? "" : subclass + ", ";
        const size_t f = featureTold(*samples);
        const auto split = [&](const std::array<std::string, 2>& names) {
          return splitClass(*samples, trainingIn(study, grid.crs), grid, code, subclass, names);
        };
        std::array<std::string, 2> names{before + txt("brighter").toStdString(),
                                         before + txt("darker").toStdString()};
        ClassSplit found = split(names);
        if (found.parts[0].mean[f] >= found.parts[1].mean[f]) return found;
        return split({names[1], names[0]});
      },
      [this](const ClassSplit& split) { showSplit(split); },
      [this](const QString& sentence) { Q_EMIT trouble(sentence); });
}

void RemedyPanel::showSplit(const ClassSplit& split) {
  split_ = split;
  const size_t f = featureTold(*samples_);
  const QString whole = split.subclass.empty() ? className() : q(split.subclass);
  splitSaid_->setText(txt("%1 parts like this; both stay %2 in the map.").arg(whole, className()));
  for (const size_t part : {0, 1}) {
    const auto& p = split.parts[part];
    names_[part]->setText(q(split.areas[p.areas.front()].subclass));
    told_[part]->setText(txt("%1 pixels, %2 %3")
                             .arg(grouped(p.pixels), q(samples_->features[f]), compact(p.mean[f])));
  }
  splitCard_->setVisible(true);
  setVisible(true);
  Q_EMIT revealAsked(splitCard_);
  Q_EMIT overlayChanged();
}

void RemedyPanel::acceptSplit() {
  if (!split_) return;
  std::array<std::string, 2> names;
  for (const size_t part : {0, 1}) names[part] = names_[part]->text().trimmed().toStdString();
  if (names[0].empty() || names[1].empty() || names[0] == names[1])
    return Q_EMIT trouble(txt("The two parts need a name each, and not the same."));
  auto areas = split_->areas;
  for (const size_t part : {0, 1})
    for (const size_t a : split_->parts[part].areas) areas[a].subclass = names[part];
  change(areas, txt("Split %1 in two").arg(className()));
}

void RemedyPanel::dropPart() {
  if (split_) change(withoutPart(*split_, 1), txt("Drop a part of %1").arg(className()));
}

void RemedyPanel::askOutliers() {
  if (health() == nullptr) return;
  close();
  samples_ = training_->samples;
  job_.ask([samples = samples_,
            code = chosenClass_()](const Progress&) { return outliersOf(*samples, code); },
           [this](const std::vector<Outlier>& found) { showOutliers(found); },
           [this](const QString& sentence) { Q_EMIT trouble(sentence); });
}

void RemedyPanel::showOutliers(const std::vector<Outlier>& found) {
  outliers_ = found;
  const auto n = static_cast<qint64>(found.size());
  outliersSaid_->setText(
      found.empty()
          ? txt("No training pixel of %1 lies far from the rest.").arg(className())
          : txt("%n training pixels of %1 lie farther from the rest than one in 10 000.",
                "%n training pixel of %1 lies farther from the rest than one in 10 000.", n)
                .arg(className()));
  struct Row {
    size_t pixels = 0;
    double farthest = 0;
    std::map<int, size_t> like;
  };
  std::map<size_t, Row> rows;
  for (const auto& o : found) {
    Row& row = rows[samples_->areas[o.sample]];
    ++row.pixels;
    row.farthest = std::max(row.farthest, o.distance);
    ++row.like[o.like];
  }
  outlierTable_->setRowCount(static_cast<int>(rows.size()));
  int r = 0;
  for (const auto& [area, row] : rows) {
    auto* place = new QTableWidgetItem(QString::number(area + 1));
    place->setData(Qt::UserRole, static_cast<qulonglong>(area));
    const int like = std::max_element(row.like.begin(), row.like.end(), [](auto& a, auto& b) {
                       return a.second < b.second;
                     })->first;
    const auto* c = bench_.study().legend.find(like);
    outlierTable_->setItem(r, 0, place);
    outlierTable_->setItem(r, 1, figureItem(grouped(row.pixels)));
    outlierTable_->setItem(r, 2, figureItem(decimal(row.farthest, 1)));
    outlierTable_->setItem(r++, 3, new QTableWidgetItem(c == nullptr ? QString() : q(c->name)));
  }
  fitHeight(outlierTable_, 6);
  outlierTable_->setVisible(!found.empty());
  drop_->setVisible(!found.empty());
  drop_->setText(txt("Drop %n pixels", "Drop %n pixel", n));
  outlierCard_->setVisible(true);
  setVisible(true);
  Q_EMIT revealAsked(outlierCard_);
  Q_EMIT overlayChanged();
}

void RemedyPanel::dropOutliers() {
  std::vector<size_t> which;
  for (const auto& o : outliers_) which.push_back(o.sample);
  if (which.empty()) return;
  try {
    change(withoutPixels(trainingIn(bench_.study(), sceneCrs()), *samples_, which,
                         bench_.currentScene()->scene.grid),
           txt("Drop outlying pixels of %1").arg(className()));
  } catch (const std::exception& e) {
    Q_EMIT trouble(sentenceOf(e));
  }
}

void RemedyPanel::change(const std::vector<TrainingArea>& areas, const QString& what) {
  const std::string crs = sceneCrs();
  const auto kept = areas;  // closing lets go of what they may belong to
  close();
  Q_EMIT trouble("");
  bench_.setTraining(kept, crs, what);
}

std::vector<ViewShape> RemedyPanel::shapes() const {
  std::vector<ViewShape> all;
  if (!split_ || bench_.currentScene() == nullptr) return all;
  try {
    const CrsChange change(sceneCrs(), view_.crs());
    for (const size_t part : {0, 1})
      for (const size_t a : split_->parts[part].areas) {
        ViewShape s;
        s.shape = split_->areas[a].shape;
        for (auto& ring : s.shape.rings)
          for (auto& p : ring) change.apply(p);
        s.colour = s.line = partColour(part);
        s.filled = true;
        all.push_back(std::move(s));
      }
  } catch (const std::exception&) {
    all.clear();
  }
  return all;
}

std::vector<ViewPoint> RemedyPanel::points() const {
  std::vector<ViewPoint> all;
  if (outliers_.empty() || bench_.currentScene() == nullptr) return all;
  try {
    const CrsChange change(sceneCrs(), view_.crs());
    for (const auto& o : outliers_) {
      const auto& at = samples_->pixels[o.sample];
      ViewPoint point{
          bench_.currentScene()->scene.grid.centre(at.column, at.row), tokens().warning, {}};
      if (change.apply(point.place)) all.push_back(point);
    }
  } catch (const std::exception&) {
    all.clear();
  }
  return all;
}

}  // namespace zp
