#include "desks/training/signatures_panel.h"

#include "desks/training/band_figures.h"
#include "scene/band_axis.h"

namespace zp {
SignaturesPanel::SignaturesPanel(Workbench& bench, std::function<int()> chosenClass)
    : Panel(bench), chosenClass_(std::move(chosenClass)), job_(this) {
  title_ = sectionLabel(txt("Signatures"));
  auto* sheet = linkButton(txt("Look closer…"));
  sheet->setObjectName("openSignatures");
  sheet->setToolTip(txt("Histograms, areas, correlation and scatter, over the whole window"));
  connect(sheet, &QPushButton::clicked, this, &SignaturesPanel::sheetAsked);
  auto* head = new QHBoxLayout;
  title_->setWordWrap(true);
  head->addWidget(title_, 1);
  head->addWidget(sheet, 0, Qt::AlignTop);
  box()->addLayout(head);
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
  job_.ask([study, step = Json{{"scene", s->id}}](
               const Progress& progress) { return trainingOver(study, step, progress); },
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

void SignaturesPanel::showCurves(const Scene& scene, int code) {
  const BandAxis axis = bandAxis(scene);
  title_->setText(txt("Signatures: %1").arg(txt(titleOf(scene.state))));
  chart_->show(known_->set, axis.at, bench_.study().legend, code, axis.byWavelength ? "nm" : "");
}

void SignaturesPanel::showBands(const Signature& c) {
  bandTitle_->setText(txt("%1: %2 pixels", "%1: %2 pixel", static_cast<qint64>(c.pixels))
                          .arg(q(c.name), grouped(c.pixels)));
  fillBandFigures(bands_, known_->set.bands, c);
}

}  // namespace zp
