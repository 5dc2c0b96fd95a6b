#include "desks/training/compare_signatures.h"

#include <bit>

#include "base/error.h"
#include "base/random.h"

namespace zp {
namespace {

/// Another one when an area of the set is put, moved or of another class.
uint64_t stampOf(const TrainingSet& set) {
  uint64_t stamp = set.areas.size();
  const auto add = [&stamp](const Place& p) {
    stamp = mix(stamp, std::bit_cast<uint64_t>(p.x));
    stamp = mix(stamp, std::bit_cast<uint64_t>(p.y));
  };
  for (const auto& area : set.areas) {
    stamp = mix(stamp, static_cast<uint64_t>(area.code));
    for (const auto& ring : area.shape.rings)
      for (const auto& p : ring) add(p);
    for (const auto& p : area.shape.points) add(p);
  }
  return stamp;
}

}  // namespace

CompareSignatures::CompareSignatures(Workbench& bench) : bench_(bench), job_(this) {
  choice_ = new LongChoice;
  choice_->setObjectName("compareSignatures");
  choice_->setToolTip(txt("Signatures of a set of areas, or of a file, laid over these"));
  connect(choice_, &QComboBox::activated, this, &CompareSignatures::choose);
  said_ = secondLabel("");
  said_->setObjectName("comparedSaid");
  auto* column = columnIn(this, 6);
  column->addWidget(fieldRow(txt("Compare with"), {choice_}));
  column->addWidget(said_);
}

void CompareSignatures::forget() {
  job_.stop();
  other_.reset();
  set_.clear();
  file_.clear();
  computed_.clear();
  shown_ = nullptr;
}

void CompareSignatures::refresh(const Training* shown, const Json& step) {
  shown_ = shown;
  step_ = step;
  fill();
  if (!set_.isEmpty()) compute();
}

const Signature* CompareSignatures::of(int code) const {
  if (!other_ || shown_ == nullptr || other_->bands != shown_->set.bands) return nullptr;
  for (const auto& c : other_->classes)
    if (c.code == code) return &c;
  return nullptr;
}

void CompareSignatures::fill() {
  const QSignalBlocker quiet(choice_);
  choice_->clear();
  choice_->addItem(txt("nothing"), kNothing);
  int now = 0;
  if (!file_.isEmpty()) {
    choice_->addItem(file_, kLoaded);
    now = 1;
  }
  for (const auto& set : bench_.study().trainingSets) {
    if (q(set.name) == set_) now = choice_->count();
    choice_->addItem(txt("the set %1").arg(q(set.name)), kSet);
    choice_->setItemData(choice_->count() - 1, q(set.name), Qt::UserRole + 1);
  }
  choice_->addItem(txt("a file of signatures…"), kFile);
  choice_->setCurrentIndex(now);
  if (now == 0 && !set_.isEmpty()) set_.clear(), other_.reset();  // it was dropped
}

void CompareSignatures::choose(int index) {
  const int what = choice_->itemData(index).toInt();
  if (what == kLoaded) return;
  if (what == kFile) return load();
  job_.stop();
  other_.reset();
  file_.clear();
  computed_.clear();
  set_ = what == kSet ? choice_->itemData(index, Qt::UserRole + 1).toString() : QString();
  if (!set_.isEmpty()) compute();
  Q_EMIT trouble("");
  Q_EMIT changed();
}

void CompareSignatures::compute() {
  for (const auto& set : bench_.study().trainingSets) {
    if (q(set.name) != set_) continue;
    const QString asked = set_ + "/" + QString::number(stampOf(set), 16) + "/" +
                          sourceOfSamples(bench_.study(), step_);
    if (asked == computed_) return;
    computed_ = asked;
    other_.reset();
    Study study = bench_.study();
    study.setTraining(set.areas, set.crs);
    job_.ask(
        [study, step = step_](const Progress& progress) {
          return signaturesOf(samplesOfStep(study, step, progress));
        },
        [this](const SignatureSet& found) { show(found); },
        [this](const QString& sentence) {
          computed_.clear();  // the next look tries again
          Q_EMIT trouble(sentence);
        });
    return;
  }
}

void CompareSignatures::load() {
  const QString file =
      QFileDialog::getOpenFileName(this, txt("Signatures"), q(bench_.study().folder().string()),
                                   txt("Signatures (*.json);;All files (*)"));
  if (file.isEmpty()) return fill();
  try {
    const SignatureSet read = readSignatures(file.toStdString());
    if (shown_ != nullptr && read.bands != shown_->set.bands)
      throw Error(
          "These signatures are of other features than those shown; choose a scene, or features, "
          "that they are of.");
    job_.stop();
    set_.clear();
    file_ = QFileInfo(file).fileName();
    show(read);
  } catch (const std::exception& e) {
    Q_EMIT trouble(sentenceOf(e));
  }
  fill();
}

void CompareSignatures::show(const SignatureSet& set) {
  other_ = set;
  Q_EMIT trouble("");
  Q_EMIT changed();
}

void CompareSignatures::tell(const Signature* chosen) {
  const QString called = set_.isEmpty() ? file_ : set_;
  said_->setVisible(other_ && chosen != nullptr);
  if (!other_ || chosen == nullptr) return;
  if (shown_ != nullptr && other_->bands != shown_->set.bands)
    return said_->setText(txt("%1 is of other features.").arg(called));
  const Signature* there = of(chosen->code);
  if (there == nullptr)
    return said_->setText(txt("%1 has no training pixels of this class.").arg(called));
  const double distance = jeffriesMatusita(*chosen, *there);
  said_->setText(txt("Dashed: %1, %2 pixels there, %3 here. Jeffries–Matusita distance %4 of 2.")
                     .arg(called, grouped(there->pixels), grouped(chosen->pixels),
                          std::isnan(distance) ? QString("–") : decimal(distance, 2)));
}

}  // namespace zp
