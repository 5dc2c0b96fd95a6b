#include "desks/mapping/naming_sheet.h"

#include "base/error.h"
#include "desks/class_key.h"
#include "desks/mapping/cluster_rows.h"
#include "grid/raster_file.h"

namespace zp {
namespace {

/// All of them: those that have a class in its colour, as in the map to come, and without those
/// that are left out.
Picture mapSoFar(Picture clusters, const std::vector<ClusterRow>& rows) {
  for (const auto& row : rows)
    if (auto* c = clusters.legend.find(row.code); c != nullptr && row.is) {
      if (*row.is == 0) clusters.display.hidden.insert(row.code);
      const QColor colour = row.classColour;
      c->colour = {static_cast<uint8_t>(colour.red()), static_cast<uint8_t>(colour.green()),
                   static_cast<uint8_t>(colour.blue())};
      clusters.key += QString("/%1:%2%3").arg(row.code).arg(*row.is).arg(colour.name());
    }
  return clusters;
}

/// One cluster alone, in the accent.
Picture litPicture(Picture clusters, int code) {
  const QColor accent = tokens().accent;
  for (auto& c : clusters.legend.classes)
    c.colour = {static_cast<uint8_t>(accent.red()), static_cast<uint8_t>(accent.green()),
                static_cast<uint8_t>(accent.blue())};
  clusters.onlyClass = code;
  clusters.key += QString("/lit/%1/%2").arg(code).arg(accent.name());
  return clusters;
}

/// The code of a class map at a place; 0 outside it and without data.
int codeAt(const std::filesystem::path& map, Place place, const std::string& crs) {
  const RasterFile file(map);
  if (!crs.empty() && !file.grid().crs.empty()) CrsChange(crs, file.grid().crs).apply(place);
  const Place at = file.grid().toPixel(place);
  const int column = static_cast<int>(std::floor(at.x)), row = static_cast<int>(std::floor(at.y));
  if (column < 0 || row < 0 || column >= file.grid().width || row >= file.grid().height) return 0;
  uint16_t code = 0;
  file.readCodes(1, {column, row, 1, 1}, &code);
  return code;
}

}  // namespace

NamingSheet::NamingSheet(Workbench& bench) : bench_(bench), signaturesJob_(this) {
  setObjectName("namingSheet");
  setFocusPolicy(Qt::StrongFocus);
  setAccessibleName(txt("Naming the clusters"));
  keys_ = new QHBoxLayout;
  keys_->setSpacing(6);
  auto* middle = new QHBoxLayout;
  middle->setSpacing(20);
  middle->addLayout(buildView(), 1);
  middle->addLayout(buildList());
  auto* layout = new QVBoxLayout(this);
  layout->setContentsMargins(20, 14, 20, 14);
  layout->setSpacing(10);
  layout->addLayout(buildHead());
  layout->addLayout(middle, 1);
  layout->addLayout(keys_);
  layout->addLayout(buildFoot());
}

QLayout* NamingSheet::buildHead() {
  about_ = secondLabel("");
  about_->setObjectName("namingAbout");
  auto* head = new QVBoxLayout;
  head->setSpacing(3);
  head->addWidget(headingLabel(txt("What are these clusters?")));
  head->addWidget(about_);
  return head;
}

QLayout* NamingSheet::buildView() {
  tiles_ = std::make_unique<TileStore>(1);
  view_ = new MapView(*tiles_);
  view_->setObjectName("namingView");
  view_->setAccessibleName(txt("Where the pixels of the cluster lie"));
  view_->setTool(MapView::Tool::Pick);
  view_->setFocusPolicy(Qt::NoFocus);
  connect(view_, &MapView::clicked, this, &NamingSheet::pick);
  auto* hints = new QHBoxLayout;
  hints->setSpacing(16);
  hints->addWidget(keyHint(txt("` held"), txt("the map so far")));
  hints->addWidget(keyHint("↑ ↓", txt("next cluster")));
  hints->addWidget(keyHint(txt("Backspace"), txt("not named")));
  hints->addWidget(keyHint("Ctrl Z", txt("take back")));
  hints->addStretch();
  auto* column = new QVBoxLayout;
  column->setSpacing(6);
  column->addWidget(view_, 1);
  column->addLayout(hints);
  return column;
}

QLayout* NamingSheet::buildList() {
  list_ = new ClusterList;
  list_->setObjectName("clusterList");
  list_->setFixedWidth(630);
  connect(list_, &ClusterList::lit, this, [this] { light(); });
  auto* heads = new QWidget;
  heads->setFixedHeight(20);
  const auto head = [heads](int x, const QString& text) {
    auto* label = secondLabel(text);
    label->setParent(heads);
    label->setWordWrap(false);
    label->move(x, 0);
    label->adjustSize();
  };
  head(ClusterList::kShare, txt("share"));
  head(ClusterList::kProfile, txt("profile"));
  head(ClusterList::kNearest, txt("nearest, in its spreads"));
  head(ClusterList::kIs, txt("is"));
  nearest_ = linkButton(txt("Take the nearest for what has no name yet"));
  nearest_->setObjectName("takeNearest");
  nearest_->setToolTip(
      txt("Gives each cluster without a name the class whose signature is nearest, where that is "
          "within two of its spreads"));
  connect(nearest_, &QPushButton::clicked, this, &NamingSheet::takeNearest);
  auto* column = new QVBoxLayout;
  column->setSpacing(4);
  column->addWidget(heads);
  column->addWidget(list_, 1);
  column->addWidget(nearest_, 0, Qt::AlignLeft);
  return column;
}

QLayout* NamingSheet::buildFoot() {
  left_ = secondLabel("");
  left_->setObjectName("namingLeft");
  trouble_ = secondLabel("");
  trouble_->setObjectName("namingTrouble");
  setTone(trouble_, "warning");
  trouble_->setVisible(false);
  auto* later = quietButton(txt("Later"));
  later->setObjectName("nameLater");
  connect(later, &QPushButton::clicked, this, &NamingSheet::leaveAsked);
  make_ = primaryButton("");
  make_->setObjectName("makeNamed");
  connect(make_, &QPushButton::clicked, this, &NamingSheet::finish);
  auto* told = new QVBoxLayout;
  told->addWidget(left_);
  told->addWidget(trouble_);
  auto* foot = new QHBoxLayout;
  foot->setSpacing(10);
  foot->addLayout(told, 1);
  foot->addWidget(later);
  foot->addWidget(make_);
  return foot;
}

const Product* NamingSheet::product() const {
  return bench_.hasStudy() ? bench_.study().product(id_) : nullptr;
}

void NamingSheet::open(const QString& id) {
  const bool another = id_ != id.toStdString();
  id_ = id.toStdString();
  const Product* p = product();
  if (p == nullptr) return Q_EMIT leaveAsked();
  trouble_->setVisible(false);
  view_->setCrs(bench_.viewCrs());
  if (another) list_->clear();
  refresh();
  view_->fit();
  list_->setFocus();
}

void NamingSheet::refresh() {
  const Product* p = product();
  if (p == nullptr || p->kind != ProductKind::Clusters) return Q_EMIT leaveAsked();
  askSignatures(*p);
  showHead(*p);
  showRows(*p);
  fillKeys();
  showFoot();
  light();
}

void NamingSheet::showHead(const Product& p) {
  const auto count = static_cast<qint64>(p.facts.at("clusters").size());
  about_->setText(txt("%n clusters, %1 features of %2. Point at one and its pixels light up; click "
                      "a pixel and its cluster is taken.",
                      "%n cluster, %1 features of %2. Point at it and its pixels light up.", count)
                      .arg(p.facts.at("features").size())
                      .arg(q(p.facts.value("scene", ""))));
}

void NamingSheet::showRows(const Product& p) {
  list_->setRows(clusterRows(bench_.study(), p, signatures_ ? &*signatures_ : nullptr));
}

void NamingSheet::askSignatures(const Product& p) {
  const Study& study = bench_.study();
  const QString of = QString("%1/%2/%3").arg(q(p.id)).arg(p.revision).arg(study.trainingRevision);
  if (of == signaturesOf_) return;
  signaturesOf_ = of;
  signatures_.reset();
  if (study.training.empty()) return signaturesJob_.stop();
  signaturesJob_.ask(
      [study, p](const Progress& progress) { return signaturesFor(study, p, progress); },
      [this](const SignatureSet& set) {
        signatures_ = set;
        if (const Product* now = product()) {
          showRows(*now);
          showFoot();
        }
      },
      [](const QString&) {});  // without them there is no suggestion, and names can be given
}

void NamingSheet::fillKeys() {
  const auto& classes = bench_.study().legend.classes;
  const QString of = q(toJson(bench_.study().legend).dump());
  if (of == keysOf_) return;
  keysOf_ = of;
  while (auto* item = keys_->takeAt(0)) {
    delete item->widget();
    delete item;
  }
  const auto add = [this](ClassKey* key, int code) {
    key->setObjectName(QString("name-%1").arg(code));
    connect(key, &QPushButton::clicked, this, [this, code] { say(code); });
    keys_->addWidget(key);
  };
  for (size_t i = 0; i < classes.size(); ++i)
    add(new ClassKey(keyOfClass(i).toUpper(), q(classes[i].name), toQt(classes[i].colour)),
        classes[i].code);
  add(new ClassKey("0", txt("leave out"), {}), 0);
}

/// The chosen cluster's class stands out; how much is without one is said.
void NamingSheet::showFoot() {
  std::set<int> classes;
  double unnamed = 0;
  qint64 clusters = 0;
  bool suggested = false;
  std::optional<int> chosen;
  for (const auto& row : list_->rows()) {
    if (row.code == list_->chosen()) chosen = row.is;
    if (row.is && *row.is != 0) classes.insert(*row.is);
    if (row.is) continue;
    ++clusters;
    unnamed += row.share;
    suggested = suggested || !row.nearestName.isEmpty();
  }
  for (auto* key : findChildren<ClassKey*>())
    key->setChecked(chosen && key->objectName() == QString("name-%1").arg(*chosen));
  if (bench_.study().legend.classes.empty())
    left_->setText(txt("There is no class to give yet; make a legend on the training desk first."));
  else if (clusters == 0)
    left_->setText(txt("Every cluster is named or left out."));
  else
    left_->setText(txt("%n clusters (%1 % of the pixels) are not named yet; they would stay "
                       "without a class.",
                       "%n cluster (%1 % of the pixels) is not named yet; it would stay without a "
                       "class.",
                       clusters)
                       .arg(decimal(unnamed * 100, 1)));
  nearest_->setVisible(suggested);
  make_->setText(classes.empty() ? txt("Make the map")
                                 : txt("Make the map of %n classes", "Make the map of %n class",
                                       static_cast<qint64>(classes.size())));
  make_->setEnabled(!classes.empty());
}

void NamingSheet::light(bool all) {
  const Product* p = product();
  if (p == nullptr) return;
  const int code = all ? 0 : list_->hovered() != 0 ? list_->hovered() : list_->chosen();
  Picture under = bench_.pictureOf(q(p->step.value("scene", "")));
  under.title = code == 0 ? txt("The map so far over %1").arg(under.title)
                          : txt("Cluster %1 over %2").arg(code).arg(under.title);
  view_->setFront(under);
  const Picture clusters = bench_.pictureOf(q(id_));
  view_->setVeil(code == 0 ? mapSoFar(clusters, list_->rows()) : litPicture(clusters, code), 0.85);
  showFoot();
}

void NamingSheet::pick(Place place) {
  const Product* p = product();
  if (p == nullptr) return;
  try {
    if (const int code = codeAt(p->file, place, view_->crs()); code != 0) list_->choose(code);
  } catch (const std::exception& e) {
    trouble_->setText(sentenceOf(e));
    trouble_->setVisible(true);
  }
}

void NamingSheet::give(ClusterNaming naming, const QString& what) {
  bench_.nameClusters(q(id_), naming, what);
}

/// And on to the next that has no name, as long as one goes through them.
void NamingSheet::say(int code) {
  const Product* p = product();
  const int cluster = list_->chosen();
  if (p == nullptr || cluster == 0) return;
  auto naming = namingOf(*p, bench_.study().legend);
  const bool first = naming.count(cluster) == 0;
  naming[cluster] = code;
  give(naming, txt("Name cluster %1").arg(cluster));
  if (!first) return;
  for (const auto& row : list_->rows())
    if (!row.is) return list_->choose(row.code);
}

void NamingSheet::takeBackName() {
  const Product* p = product();
  const int cluster = list_->chosen();
  if (p == nullptr) return;
  auto naming = namingOf(*p, bench_.study().legend);
  if (naming.erase(cluster) > 0) give(naming, txt("Take the name of cluster %1").arg(cluster));
}

void NamingSheet::takeNearest() {
  constexpr double kNear = 2;
  const Product* p = product();
  if (p == nullptr || !signatures_) return;
  auto naming = namingOf(*p, bench_.study().legend);
  const size_t before = naming.size();
  for (const auto& c : p->facts.at("clusters")) {
    std::vector<double> mean;
    for (const auto& v : c.at("mean")) mean.push_back(v.is_number() ? v.get<double>() : 0);
    const auto nearest = nearestSignature(mean, *signatures_);
    if (nearest.code != 0 && nearest.distance <= kNear)
      naming.try_emplace(c.at("code").get<int>(), nearest.code);
  }
  if (naming.size() > before) give(naming, txt("Name clusters by the nearest"));
  trouble_->setText(txt("No cluster without a name is within two spreads of a class."));
  trouble_->setVisible(naming.size() == before);
}

void NamingSheet::finish() {
  const Product* p = product();
  if (p == nullptr) return;
  const Json step = namingStep(*p, namingOf(*p, bench_.study().legend),
                               txt("Cover, named clusters").toStdString());
  Q_EMIT leaveAsked();
  bench_.run(step, txt("Make the map"));
}

void NamingSheet::keyPressEvent(QKeyEvent* e) {
  if (e->isAutoRepeat() && e->key() == Qt::Key_QuoteLeft) return;
  switch (e->key()) {
    case Qt::Key_QuoteLeft:
      return light(true);
    case Qt::Key_Backspace:
    case Qt::Key_Delete:
      return takeBackName();
    case Qt::Key_Escape:
      return Q_EMIT leaveAsked();
    case Qt::Key_0:
      if (e->modifiers() == Qt::NoModifier) return say(0);
      break;
    default:
      break;
  }
  const QString key = e->text().toLower();
  const auto& classes = bench_.study().legend.classes;
  for (size_t i = 0; i < classes.size(); ++i)
    if (!key.isEmpty() && key == keyOfClass(i)) return say(classes[i].code);
  QWidget::keyPressEvent(e);
}

void NamingSheet::keyReleaseEvent(QKeyEvent* e) {
  if (e->key() == Qt::Key_QuoteLeft && !e->isAutoRepeat()) return light();
  QWidget::keyReleaseEvent(e);
}

}  // namespace zp
