#include "desks/training/signatures_panel.h"

namespace zp {
namespace {

Training trainingOver(const Study& study, const Scene& scene, const Progress& progress) {
  constexpr size_t kBars = 24;
  Training t;
  t.samples = std::make_shared<const Samples>(studySamples(study, scene, {}, progress));
  const Samples& samples = *t.samples;
  t.set = signaturesOf(samples);
  t.health = healthOf(samples, t.set);
  for (const auto& c : t.set.classes) {
    auto& shapes = t.shapes.emplace_back();
    for (size_t f = 0; f < t.set.bands.size(); ++f) shapes.push_back(shapeOf(samples, c, f, kBars));
  }
  t.pairs = confusablePairs(t.set);
  return t;
}

}  // namespace

SignaturesPanel::SignaturesPanel(Workbench& bench, std::function<int()> chosenClass)
    : Panel(bench), chosenClass_(std::move(chosenClass)), job_(this) {
  title_ = sectionLabel(txt("Signatures"));
  box()->addWidget(title_);
  chart_ = new SignatureChart;
  box()->addWidget(chart_);
  bandTitle_ = sectionLabel("");
  box()->addWidget(bandTitle_);
  bands_ = plainTable({txt("Band"), txt("mean"), txt("spread"), txt("lowest"), txt("highest")});
  bands_->setObjectName("bandStatistics");
  bands_->setSelectionMode(QAbstractItemView::NoSelection);
  box()->addWidget(bands_);
}

void SignaturesPanel::forget() {
  job_.stop();
  known_.reset();
  of_.clear();
}

void SignaturesPanel::refresh() {
  const auto* s = bench_.currentScene();
  const Study& study = bench_.study();
  setVisible(!study.training.empty());
  const QString of = QString("%1/%2/%3").arg(q(s->id)).arg(s->revision).arg(study.trainingRevision);
  if (of == of_) return showClass();
  of_ = of;
  known_.reset();
  Q_EMIT computed();
  showClass();
  if (study.training.empty()) return job_.stop();
  job_.ask([study, scene = s->scene](
               const Progress& progress) { return trainingOver(study, scene, progress); },
           [this](const Training& training) {
             known_ = training;
             const SignatureSet& set = known_->set;
             if (set.conflicts > 0)
               Q_EMIT trouble(txt("%n pixels claimed by two classes are left out.",
                                  "%n pixel claimed by two classes is left out.",
                                  static_cast<qint64>(set.conflicts)));
             Q_EMIT computed();
             showClass();
           },
           [this](const QString& sentence) { Q_EMIT trouble(sentence); });
}

void SignaturesPanel::showClass() {
  const auto* s = bench_.hasStudy() ? bench_.currentScene() : nullptr;
  const int code = chosenClass_();
  bands_->setRowCount(0);
  bandTitle_->clear();
  if (!known_ || s == nullptr) {
    chart_->clearPlottables();
    chart_->replot();
    return fitHeight(bands_);
  }
  showCurves(s->scene, code);
  for (const auto& c : known_->set.classes)
    if (c.code == code) showBands(c);
  if (bandTitle_->text().isEmpty() && code != 0)
    bandTitle_->setText(txt("No training pixels of this class yet."));
  fitHeight(bands_);
}

/// By wavelength where every band has one.
void SignaturesPanel::showCurves(const Scene& scene, int code) {
  std::vector<double> wavelengths;
  bool known = true;
  for (const auto& b : scene.bands)
    wavelengths.push_back(b.wavelength), known = known && b.wavelength > 0;
  if (!known)
    for (size_t i = 0; i < wavelengths.size(); ++i) wavelengths[i] = static_cast<double>(i + 1);
  title_->setText(txt("Signatures: %1").arg(txt(titleOf(scene.state))));
  chart_->show(known_->set, wavelengths, bench_.study().legend, code, known ? "nm" : "");
}

void SignaturesPanel::showBands(const Signature& c) {
  bandTitle_->setText(txt("%1: %2 pixels", "%1: %2 pixel", static_cast<qint64>(c.pixels))
                          .arg(q(c.name), grouped(c.pixels)));
  bands_->setRowCount(static_cast<int>(known_->set.bands.size()));
  const Eigen::VectorXd sd = c.sd();
  for (int b = 0; b < bands_->rowCount(); ++b) {
    bands_->setItem(b, 0, new QTableWidgetItem(q(known_->set.bands[static_cast<size_t>(b)])));
    const double values[] = {c.mean[b], sd[b], c.min[b], c.max[b]};
    for (int k = 0; k < 4; ++k)
      bands_->setItem(
          b, k + 1,
          figureItem(std::abs(values[k]) < 10 ? decimal(values[k], 4) : compact(values[k])));
  }
}

}  // namespace zp
