#include "desks/indices/threshold_panel.h"

#include "grid/pixel_area.h"
#include "outline/scanline.h"
#include "view/ramp.h"

namespace zp {
namespace {

/// The very ends of a ramp are left out, which are too dark or too light for a chart.
constexpr size_t kRampEnd = 24;
constexpr size_t kMostCuts = 5;
enum Part { kWhole, kStudyArea, kSeen };

/// Of the pixels inside polygons that are in another system.
Histogram histogramOfPart(const std::filesystem::path& file, std::vector<Shape> area,
                          const std::string& crs, const Progress& progress) {
  const Grid grid = RasterFile(file).grid();
  const Window window = bringOnto(grid, crs, area);
  Layer layer;
  layer.shapes = std::move(area);
  return histogramOf(file, 1, 2000, &layer, window, progress);
}

QPushButton* tool(const QString& text, const char* name, const QString& tip) {
  auto* b = linkButton(text);
  b->setObjectName(name);
  b->setToolTip(tip);
  return b;
}

}  // namespace

ThresholdPanel::ThresholdPanel(Workbench& bench, MapView& view)
    : Panel(bench), view_(view), job_(this) {
  buildTools();
  chart_ = new ThresholdChart;
  chart_->setBrushable(true);
  box()->addWidget(chart_);
  buildTable();
  connect(chart_, &ThresholdChart::dragged, this, [this](const std::vector<double>& cuts) {
    cuts_ = cuts;
    fillAreas();
  });
  connect(chart_, &ThresholdChart::brushed, this, &ThresholdPanel::lightUp);
  connect(&view_, &MapView::moved, this, [this] {
    if (isVisible() && from_->currentIndex() == kSeen) moved_.start();
  });
  moved_.setSingleShot(true);
  moved_.setInterval(300);
  connect(&moved_, &QTimer::timeout, this, &ThresholdPanel::askAgain);
}

void ThresholdPanel::buildTools() {
  from_ = new QComboBox;
  from_->setObjectName("histogramFrom");
  from_->addItems({txt("the whole"), txt("the study area"), txt("what is seen")});
  from_->setAccessibleName(txt("Histogram of"));
  from_->setToolTip(txt(
      "Histogram and areas of the whole picture or of a part. Dragging in the histogram beside the "
      "handles lights up the pixels of those values."));
  from_->setStyleSheet("QComboBox { padding: 1px 6px; min-height: 20px; }");
  auto* suggest = tool(txt("Suggest"), "suggestCut",
                       txt("The threshold that parts the histogram best in two (Otsu 1979)"));
  auto* valley = tool(txt("Valley"), "valleyCut",
                      txt("At the deepest valley between the two peaks of the histogram (Prewitt "
                          "and Mendelsohn 1966)"));
  auto* more = tool("+", "addCut", txt("Another threshold"));
  more->setAccessibleName(txt("Add a threshold"));
  auto* less = tool("−", "dropCut", txt("One threshold less"));
  less->setAccessibleName(txt("Remove the last threshold"));
  box()->addWidget(wrapping({sectionLabel(txt("Thresholds")), from_, suggest, valley, more, less}));
  connect(from_, &QComboBox::activated, this, &ThresholdPanel::askAgain);
  connect(suggest, &QPushButton::clicked, this, [this] { setCuts({otsuThreshold(histogram_)}); });
  connect(valley, &QPushButton::clicked, this, &ThresholdPanel::setValley);
  connect(more, &QPushButton::clicked, this, &ThresholdPanel::addCut);
  connect(less, &QPushButton::clicked, this, [this] {
    auto cuts = cuts_;
    if (cuts.size() > 1) cuts.pop_back();
    setCuts(cuts);
  });
}

void ThresholdPanel::buildTable() {
  table_ = plainTable({txt("Class"), txt("share"), txt("pixels"), txt("ha"), txt("km²")});
  table_->setObjectName("thresholdTable");
  table_->setEditTriggers(QAbstractItemView::DoubleClicked | QAbstractItemView::EditKeyPressed);
  table_->setToolTip(txt("Double-click a name to change it"));
  box()->addWidget(table_);
  connect(table_, &QTableWidget::itemChanged, this, [this](QTableWidgetItem* item) {
    if (filling_ || item->column() != 0) return;
    const auto row = static_cast<size_t>(item->row());
    if (!item->text().trimmed().isEmpty()) classes_[row].name = item->text().trimmed();
    fillAreas();
  });
}

void ThresholdPanel::forget() {
  job_.stop();
  histogramOf_.clear();
  index_.clear();
  cuts_.clear();
}

const Product* ThresholdPanel::index() const {
  return bench_.hasStudy() ? bench_.study().product(index_) : nullptr;
}

void ThresholdPanel::show(const Product* index, const std::string& ramp,
                          const IndexEntry::Ends& ends) {
  index_ = index == nullptr ? "" : index->id;
  ramp_ = ramp;
  ends_ = ends;
  setVisible(index != nullptr);
}

void ThresholdPanel::refresh() {
  const Product* p = index();
  if (p == nullptr) return;
  const QString tag = q(p->id) + "/" + QString::number(p->revision);
  if (tag == histogramOf_) {
    Q_EMIT ranged(histogram_.statistics);
    return setCuts(cuts_.empty() ? std::vector<double>{otsuThreshold(histogram_)} : cuts_);
  }
  const int part = from_->currentIndex();
  std::vector<Shape> area = part == kStudyArea ? bench_.studyArea() : std::vector<Shape>();
  if (part == kStudyArea && area.empty()) {
    from_->setCurrentIndex(kWhole);
    Q_EMIT trouble(txt("There is no study area yet; draw or choose one under Scenes."));
  }
  if (part == kSeen) {
    const Extent e = view_.visible();
    area = {{{{{e.left, e.bottom}, {e.right, e.bottom}, {e.right, e.top}, {e.left, e.top}}}, {}}};
  }
  // What is seen changes all the time; where it is cut does not.
  const std::vector<double> kept = part == kSeen ? cuts_ : std::vector<double>();
  job_.ask(
      [file = p->file, area, crs = view_.crs()](const Progress& progress) {
        if (area.empty()) return histogramOf(file, 1, 2000, progress);
        return histogramOfPart(file, area, crs, progress);
      },
      [this, tag, kept](const Histogram& h) {
        histogramOf_ = tag;
        take(h, kept);
      },
      [this](const QString& sentence) { Q_EMIT trouble(sentence); });
}

void ThresholdPanel::take(const Histogram& h, const std::vector<double>& kept) {
  const Product* p = index();
  if (p == nullptr) return;
  histogram_ = h;
  chart_->setHistogram(h);
  const auto areas = pixelAreas(RasterFile(p->file).grid());
  pixelArea_ = areas.empty() ? 0 : areas[areas.size() / 2];
  Q_EMIT ranged(h.statistics);
  setCuts(kept.empty() ? std::vector<double>{otsuThreshold(h)} : kept);
}

void ThresholdPanel::askAgain() {
  histogramOf_.clear();
  refresh();
}

/// The pixels whose values were chosen in the histogram, over the view.
void ThresholdPanel::lightUp(double low, double high) {
  const Product* p = index();
  if (p == nullptr || low >= high) return view_.setVeil({});
  Display lit;
  lit.lit = true;
  lit.range = Display::Range::ByHand;
  lit.low.fill(static_cast<float>(low)), lit.high.fill(static_cast<float>(high));
  view_.setVeil(displayed(bench_.pictureOf(q(p->id)), lit));
}

/// The parts of the index as its reading calls them.
QStringList ThresholdPanel::suggestedNames(size_t parts) const {
  QStringList names{txt(ends_.low)};
  for (size_t i = 1; i + 1 < parts; ++i)
    names << (parts == 3 ? txt("Between") : txt("Between %1").arg(i));
  return names << txt(ends_.high);
}

void ThresholdPanel::addCut() {
  if (cuts_.size() >= kMostCuts) return;
  auto cuts = cuts_;
  const double last = cuts.empty() ? histogram_.low : cuts.back();
  cuts.push_back((last + histogram_.high) / 2);
  setCuts(cuts);
}

void ThresholdPanel::setValley() {
  if (const auto at = valleyThreshold(histogram_))
    setCuts({*at});
  else
    Q_EMIT trouble(
        txt("The histogram has one peak only, so it has no valley; set the threshold by hand."));
}

void ThresholdPanel::setCuts(const std::vector<double>& cuts) {
  cuts_ = cuts;
  const size_t n = cuts.size() + 1, had = classes_.size();
  const QStringList names = suggestedNames(n);
  // Names of one's own stay; those nobody changed follow the number of classes and the index.
  classes_.resize(n);
  // From one end of the ramp to the other: a class looks like its pixels in the picture.
  const auto& colours = ramp(ramp_);
  std::vector<QColor> shown;
  for (size_t i = 0; i < n; ++i) {
    const auto at = static_cast<qsizetype>(i);
    if (i >= had || classes_[i].name == suggested_.value(at)) classes_[i].name = names[at];
    classes_[i].colour =
        QColor(colours[kRampEnd + i * (255 - 2 * kRampEnd) / std::max<size_t>(1, n - 1)]);
    shown.push_back(classes_[i].colour);
  }
  suggested_ = names;
  chart_->setCuts(cuts_, shown);
  fillAreas();
  Q_EMIT changed();
}

/// Pixels by class.
std::vector<double> ThresholdPanel::counts() const {
  std::vector<double> counts(classes_.size());
  for (size_t i = 0; i < histogram_.bins.size(); ++i) {
    const double v = histogram_.low + (static_cast<double>(i) + 0.5) * histogram_.binWidth();
    size_t c = 0;
    for (double cut : cuts_) c += v >= cut ? 1 : 0;
    counts[c] += static_cast<double>(histogram_.bins[i]);
  }
  counts.front() += static_cast<double>(histogram_.below);
  counts.back() += static_cast<double>(histogram_.above);
  return counts;
}

void ThresholdPanel::fillAreas() {
  filling_ = true;
  table_->setRowCount(static_cast<int>(classes_.size()));
  const auto counts = this->counts();
  double all = 0;
  for (double n : counts) all += n;
  for (int r = 0; r < table_->rowCount(); ++r) {
    const auto& c = classes_[static_cast<size_t>(r)];
    const double n = counts[static_cast<size_t>(r)];
    table_->setItem(r, 0, new QTableWidgetItem(swatch(c.colour), c.name));
    const auto cell = [&](int column, const QString& text) {
      auto* item = figureItem(text);
      item->setFlags(item->flags() & ~Qt::ItemIsEditable);
      table_->setItem(r, column, item);
    };
    cell(1, decimal(all > 0 ? 100 * n / all : 0, 1) + " %");
    cell(2, grouped(static_cast<qulonglong>(n + 0.5)));
    cell(3, pixelArea_ > 0 ? areaText(n * pixelArea_) : "–");
    cell(4, pixelArea_ > 0 ? decimal(n * pixelArea_ / 1e6, 2) : "–");
  }
  fitHeight(table_);
  filling_ = false;
}

QString ThresholdPanel::action() const {
  return txt("Make map of %n classes", "Make map of %n class",
             static_cast<qint64>(cuts_.size() + 1));
}

Json ThresholdPanel::classes() const {
  Json all = Json::array();
  for (const auto& c : classes_)
    all.push_back({{"name", c.name.toStdString()}, {"colour", colourText(fromQt(c.colour))}});
  return all;
}

Json ThresholdPanel::step() const {
  return {{"do", "threshold"},
          {"product", index_},
          {"at", cuts_},
          {"classes", classes()},
          {"name", txt("%1, %n classes", "%1, %n class", static_cast<qint64>(classes_.size()))
                       .arg(q(index()->name))
                       .toStdString()}};
}

}  // namespace zp
