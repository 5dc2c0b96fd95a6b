#include "desks/scenes/archive_panel.h"

#include "base/error.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

constexpr QSize kPicture(80, 60);
constexpr size_t kMostShown = 300;
constexpr int kLabels = 92;                           // pixels
enum Service { kAnswers, kSlow, kBreaksOff, kDown };  // as listed

/// Read at the size it is shown in, whatever its own.
QImage smallPicture(const fs::path& file) {
  if (file.empty()) return {};
  QImageReader reader(q(file.string()));
  const QSize size = reader.size();
  if (!size.isValid()) return {};
  reader.setScaledSize(size.scaled(kPicture * 2, Qt::KeepAspectRatio));
  return reader.read();
}

QString mebibytes(uintmax_t bytes) {
  return decimal(static_cast<double>(bytes) / 1048576, 1) + " MiB";
}

}  // namespace

ArchivePanel::ArchivePanel(Workbench& bench, MapView& view)
    : Panel(bench), view_(view), answer_(this) {
  where_ = secondLabel("");
  where_->setObjectName("archiveWhere");
  where_->setWordWrap(false);
  auto* other = linkButton(txt("Another catalogue…"));
  other->setObjectName("archiveOther");
  connect(other, &QPushButton::clicked, this, &ArchivePanel::chooseCatalogue);
  box()->addWidget(wrapping({where_, other}));
  buildQuery();
  buildList();
  service_ = new LongChoice;
  service_->setObjectName("archiveService");
  service_->addItems({txt("answers at once"), txt("is slow"), txt("breaks off"), txt("is down")});
  service_->setAccessibleName(txt("How the stand-in for a provider behaves"));
  service_->setToolTip(
      txt("This archive stands in for a provider's. It can be made to behave badly, to see what "
          "happens then."));
  box()->addWidget(fieldRow(txt("The stand-in"), {service_}, kLabels));
  connect(service_, &QComboBox::activated, this, &ArchivePanel::later);
  soon_.setSingleShot(true);
  soon_.setInterval(250);
  connect(&soon_, &QTimer::timeout, this, &ArchivePanel::search);
}

void ArchivePanel::buildQuery() {
  sensor_ = new LongChoice;
  sensor_->setObjectName("archiveSensor");
  sensor_->addItem(txt("any sensor"), "");
  place_ = new LongChoice;
  place_->setObjectName("archivePlace");
  place_->addItems({txt("anywhere"), txt("in the study area"), txt("where one looks")});
  place_->setAccessibleName(txt("Place"));
  from_ = new QLineEdit;
  from_->setObjectName("archiveFrom");
  from_->setPlaceholderText(txt("first day"));
  from_->setToolTip(txt("Year-month-day, such as 2031-05-01; empty for any"));
  to_ = new QLineEdit;
  to_->setObjectName("archiveTo");
  to_->setPlaceholderText(txt("last day"));
  to_->setToolTip(from_->toolTip());
  cloud_ = new QSpinBox;
  cloud_->setObjectName("archiveCloud");
  cloud_->setRange(0, 100);
  cloud_->setValue(100);
  cloud_->setPrefix(txt("at most "));
  cloud_->setSuffix(" %");
  box()->addWidget(fieldRow(txt("Sensor, place"), {sensor_, place_}, kLabels));
  box()->addWidget(fieldRow(txt("Days"), {from_, to_}, kLabels));
  box()->addWidget(fieldRow(txt("Cloud"), {cloud_}, kLabels));
  for (auto* choice : {sensor_, place_})
    connect(choice, &QComboBox::activated, this, &ArchivePanel::later);
  for (auto* day : {from_, to_})
    connect(day, &QLineEdit::editingFinished, this, &ArchivePanel::later);
  connect(cloud_, &QSpinBox::valueChanged, this, &ArchivePanel::later);
}

void ArchivePanel::buildList() {
  said_ = secondLabel("");
  said_->setObjectName("archiveSaid");
  cancel_ = linkButton(txt("Stop waiting"));
  cancel_->setObjectName("archiveStop");
  cancel_->setVisible(false);
  list_ = new QListWidget;
  list_->setObjectName("archiveList");
  list_->setAccessibleName(txt("Scenes of the archive"));
  list_->setSelectionMode(QAbstractItemView::MultiSelection);
  list_->setIconSize(kPicture);
  list_->setSpacing(2);
  list_->setWordWrap(true);
  // It takes what room there is, so that the desk needs no scroll bar beside its.
  list_->setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Ignored);
  list_->setMinimumHeight(120);
  inPlace_ = linkButton(txt("Use where they are, without a copy"));
  inPlace_->setObjectName("archiveInPlace");
  auto* said = new QHBoxLayout;
  said->addWidget(said_, 1);
  said->addWidget(cancel_);
  box()->addLayout(said);
  box()->addWidget(list_, 1);
  box()->addWidget(inPlace_, 0, Qt::AlignLeft);
  connect(inPlace_, &QPushButton::clicked, this, &ArchivePanel::useInPlace);
  connect(cancel_, &QPushButton::clicked, this, [this] {
    answer_.stop();
    cancel_->setVisible(false);
    said_->setText(txt("You stopped waiting. Change something of the search to ask again."));
  });
  connect(list_, &QListWidget::itemSelectionChanged, this, [this] {
    inPlace_->setEnabled(!list_->selectedItems().isEmpty());
    Q_EMIT changed();
    Q_EMIT overlayChanged();
  });
}

void ArchivePanel::later() {
  Q_EMIT trouble("");
  soon_.start();
}

void ArchivePanel::forget() {
  answer_.stop();
  soon_.stop();
  const QSignalBlocker quiet(list_);
  list_->clear();
  offers_.clear();
  cancel_->setVisible(false);
}

fs::path ArchivePanel::scenesFolder() const {
  return bench_.study().folder() / "scenes";
}

fs::path ArchivePanel::catalogue() const {
  const Json kept = bench_.place("archive");
  if (!kept.is_string()) return {};
  const fs::path file = (bench_.study().folder() / kept.get<std::string>()).lexically_normal();
  // A study that was moved away from its archive is led back to where that was.
  const QString last = QSettings().value("archiveOf/" + q(bench_.study().name)).toString();
  std::error_code ec;
  return fs::exists(file, ec) || last.isEmpty() ? file : fs::path(last.toStdString());
}

/// Beside the study it is known by the way there, so that both can be moved together.
void ArchivePanel::keepCatalogue(const fs::path& file) {
  const fs::path whole = fs::absolute(file).lexically_normal(),
                 folder = bench_.study().folder().lexically_normal();
  const fs::path way =
      whole.lexically_relative(folder.filename().empty() ? folder.parent_path() : folder);
  const auto up = std::count(way.begin(), way.end(), fs::path(".."));
  bench_.setPlace("archive", way.empty() || up > 1 ? whole.string() : way.generic_string());
}

void ArchivePanel::open(const QString& wanted) {
  if (!wanted.isEmpty()) keepCatalogue(wanted.toStdString());
  const fs::path file = catalogue();
  std::error_code ec;
  if (fs::exists(file, ec))
    QSettings().setValue("archiveOf/" + q(bench_.study().name), q(file.string()));
  where_->setText(file.empty()
                      ? txt("No catalogue is chosen.")
                      : txt("Catalogue: %1").arg(q(file.parent_path().filename().string())));
  where_->setToolTip(q(file.lexically_normal().string()));
  search();
}

void ArchivePanel::chooseCatalogue() {
  const QString file = QFileDialog::getOpenFileName(this, txt("Choose a catalogue"), {},
                                                    txt("STAC catalogues (*.json)"));
  if (!file.isEmpty()) open(file);
}

std::optional<ArchiveQuery> ArchivePanel::query() {
  ArchiveQuery query;
  query.sensor = sensor_->currentData().toString().toStdString();
  for (auto [field, into] : {std::pair{from_, &query.from}, {to_, &query.to}}) {
    const QString text = field->text().trimmed();
    if (!text.isEmpty() && !QDate::fromString(text, Qt::ISODate).isValid()) {
      Q_EMIT trouble(txt("“%1” is no date; write year-month-day, such as 2031-05-01.").arg(text));
      return {};
    }
    *into = text.toStdString();
  }
  query.mostCloud = cloud_->value() / 100.0;
  if (place_->currentIndex() == 0 || view_.crs().empty()) return query;
  std::optional<Extent> where;
  try {
    if (place_->currentIndex() == 2) {
      where = view_.visible();
    } else {
      for (const auto& shape : bench_.studyArea()) {
        const Extent e = shape.extent();
        if (!where) where = e;
        where->include({e.left, e.bottom});
        where->include({e.right, e.top});
      }
      if (!where) {
        Q_EMIT trouble(txt("There is no study area yet; draw or choose one under Study area."));
        return {};
      }
    }
    query.place = broughtTo(*where, view_.crs(), crsFrom("EPSG:4326"));
  } catch (const std::exception& e) {
    Q_EMIT trouble(sentenceOf(e));
    return {};
  }
  return query;
}

ServiceConditions ArchivePanel::conditions() const {
  ServiceConditions c;
  if (service_->currentIndex() == kSlow) c.delay = std::chrono::milliseconds(1500);
  if (service_->currentIndex() == kBreaksOff) c.breaksOffAfter = 3u << 20;
  c.down = service_->currentIndex() == kDown;
  return c;
}

void ArchivePanel::search() {
  if (!bench_.hasStudy()) return;
  const fs::path file = catalogue();
  if (file.empty()) {
    show({});
    said_->setText(txt("Choose a STAC catalogue on this machine to search it."));
    return;
  }
  const auto wanted = query();
  if (!wanted) return;
  said_->setText(txt("Asking the archive…"));
  cancel_->setVisible(true);
  answer_.ask(
      [archive = Archive(file, conditions()), query = *wanted](const Progress& progress) {
        std::vector<Offer> offers;
        for (auto& entry : archive.search(query, progress)) {
          if (offers.size() == kMostShown) break;
          Offer o;
          o.picture = smallPicture(entry.preview);
          try {
            o.bytes = Archive::sizeOf(entry);
          } catch (const Error&) {
            // A file of it is gone: fetching says so.
          }
          o.entry = std::move(entry);
          offers.push_back(std::move(o));
          progress.check();
        }
        return offers;
      },
      [this](const std::vector<Offer>& offers) { show(offers); },
      [this](const QString& sentence) {
        show({});
        said_->setText(sentence);
      });
}

bool ArchivePanel::inStudy(const CatalogueEntry& entry) const {
  const fs::path fetched = Archive::placeOf(entry, scenesFolder());
  const auto isOf = [&](const StudyScene& s) {
    std::error_code ec;
    const fs::path folder = s.scene.bands[0].file.parent_path();
    return folder == fetched ||
           (s.scene.name == entry.title && fs::equivalent(folder, entry.folder, ec));
  };
  const auto& scenes = bench_.study().scenes;
  return std::any_of(scenes.begin(), scenes.end(), isOf);
}

QString ArchivePanel::stateOf(const Offer& o) const {
  std::error_code ec;
  if (fs::exists(Archive::placeOf(o.entry, scenesFolder()), ec)) return txt("fetched");
  uintmax_t part = 0;
  try {
    part = Archive::partFetched(o.entry, scenesFolder());
  } catch (const Error&) {
    return txt("its files are gone");
  }
  return part > 0 ? txt("%1 of it are here").arg(mebibytes(part)) : QString();
}

void ArchivePanel::show(const std::vector<Offer>& offers) {
  cancel_->setVisible(false);
  QStringList kept;  // what was chosen stays chosen
  for (const auto& entry : chosen()) kept << q(entry.id);
  const QSignalBlocker quiet(list_);
  list_->clear();
  offers_ = offers;
  QStringList known;
  for (int i = 1; i < sensor_->count(); ++i) known << sensor_->itemText(i);
  for (const auto& o : offers_) {
    if (const QString id = q(o.entry.sensor); !id.isEmpty() && !known.contains(id))
      sensor_->addItem(id, id), known << id;
    auto* item = new QListWidgetItem;
    if (!o.picture.isNull()) {
      QIcon picture(QPixmap::fromImage(o.picture));
      picture.addPixmap(QPixmap::fromImage(o.picture), QIcon::Selected);  // in its own colours
      item->setIcon(picture);
    }
    item->setSizeHint(QSize(0, kPicture.height() + 8));
    list_->addItem(item);
    item->setSelected(kept.contains(q(o.entry.id)));
  }
  refresh();
  const auto n = offers_.size();
  said_->setText(n == kMostShown
                     ? txt("The newest %1 scenes; ask for less to see older ones.").arg(n)
                 : n == 0 ? txt("No scene of the archive is like that.")
                          : txt("%n scenes, newest first.", "%n scene.", static_cast<qint64>(n)));
  inPlace_->setVisible(n > 0);
  inPlace_->setEnabled(!list_->selectedItems().isEmpty());
  Q_EMIT changed();
  Q_EMIT overlayChanged();
}

void ArchivePanel::refresh() {
  for (size_t i = 0; i < offers_.size(); ++i) {
    const auto& o = offers_[i];
    QStringList facts{niceDate(o.entry.date)};
    if (o.entry.cloud)
      facts << txt("%1 % cloud").arg(decimal(100 * *o.entry.cloud, *o.entry.cloud > 0 ? 1 : 0));
    facts << mebibytes(o.bytes);
    QStringList lines{q(o.entry.title), facts.join(" · ")};
    // What is in the study needs no fetching.
    const bool there = inStudy(o.entry);
    if (const QString state = there ? txt("in the study") : stateOf(o); !state.isEmpty())
      lines << state;
    auto* item = list_->item(static_cast<int>(i));
    item->setText(lines.join("\n"));
    if (there) item->setSelected(false);
    item->setFlags(there ? Qt::ItemIsEnabled : Qt::ItemIsEnabled | Qt::ItemIsSelectable);
  }
}

std::vector<CatalogueEntry> ArchivePanel::chosen() const {
  std::vector<CatalogueEntry> entries;
  for (size_t i = 0; i < offers_.size(); ++i)
    if (list_->item(static_cast<int>(i))->isSelected()) entries.push_back(offers_[i].entry);
  return entries;
}

Panel::Heading ArchivePanel::heading() const {
  return {txt("Archive"), txt("Search a catalogue and fetch scenes into the study.")};
}

QString ArchivePanel::missing() const {
  if (list_->count() == 0) return txt("There is no scene to fetch.");
  return list_->selectedItems().isEmpty() ? txt("Click the scenes to fetch.") : QString();
}

QString ArchivePanel::action() const {
  uintmax_t bytes = 0;
  int n = 0;
  for (size_t i = 0; i < offers_.size(); ++i)
    if (list_->item(static_cast<int>(i))->isSelected()) bytes += offers_[i].bytes, ++n;
  if (n == 0) return txt("Fetch scenes");
  return txt("Fetch %n scenes (%1)", "Fetch %n scene (%1)", n).arg(mebibytes(bytes));
}

void ArchivePanel::act() {
  for (const auto& entry : chosen())
    bench_.fetch(entry, Archive(catalogue(), conditions()), [this] { refresh(); });
}

void ArchivePanel::useInPlace() {
  std::vector<Scene> scenes;
  try {
    for (const auto& entry : chosen()) scenes.push_back(openEntry(entry));
  } catch (const std::exception& e) {
    return Q_EMIT trouble(sentenceOf(e));
  }
  bench_.addScenes(std::move(scenes));
  refresh();
}

std::vector<ViewShape> ArchivePanel::shapes() const {
  std::vector<ViewShape> shapes;
  if (view_.crs().empty()) return shapes;
  for (const auto& entry : chosen()) {
    if (!entry.bounds) continue;
    const Extent& e = *entry.bounds;
    ViewShape v;
    v.colour = tokens().accent;
    v.shape.rings = {{{e.left, e.bottom}, {e.right, e.bottom}, {e.right, e.top}, {e.left, e.top}}};
    try {
      const CrsChange change(crsFrom("EPSG:4326"), view_.crs());
      for (auto& p : v.shape.rings[0]) change.apply(p);
    } catch (const std::exception&) {
      continue;  // a system that no way leads to
    }
    shapes.push_back(std::move(v));
  }
  return shapes;
}

}  // namespace zp
