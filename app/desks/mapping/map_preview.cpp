#include "desks/mapping/map_preview.h"

#include "base/error.h"
#include "desks/training/training_over.h"
#include "legend/class_map.h"
#include "look/look.h"
#include "mapping/derived.h"

namespace zp {
namespace {

/// What the method leaves as it is. Error: the map is gone.
std::optional<TrustedMap> keptOf(const Study& study, const Json& step) {
  if (!step.contains("kept")) return {};
  const Product* map = study.product(step["kept"].get<std::string>());
  if (map == nullptr) throw Error("The map whose classes are kept is gone; choose another.");
  TrustedMap kept{map->file, {}};
  for (const int code : step.value("kept_classes", std::vector<int>())) kept.classes.insert(code);
  return kept;
}

/// Learned by a method of another kind, to see where the two disagree; nullptr where it cannot.
std::shared_ptr<const Classifier> otherMethod(const Samples& samples, const Model& model) {
  try {
    const MapPlan plan{otherThan(model.plan.method), Json::object(), Subclasses::Together, 0};
    return trainOn(samples, plan, model.legend).classifier;
  } catch (const Error&) {
    return nullptr;
  }
}

}  // namespace

std::string otherThan(const std::string& method) {
  return method == "random-forest" ? "maximum-likelihood" : "random-forest";
}

MapPreview::MapPreview(QObject* parent)
    : QObject(parent), learning_(this), checking_(this), doubting_(this) {}

void MapPreview::stop() {
  learning_.stop();
  checking_.stop();
  doubting_.stop();
  asked_.clear();
}

void MapPreview::forget() {
  stop();
  known_.reset();
  heldOut_.reset();
  doubts_.reset();
}

void MapPreview::ask(const Study& study, const Json& step) {
  // What must speak for a class is no part of what is learned.
  Json plan = step;
  plan.erase("least");
  plan.erase("name");
  kept_ = keptOf(study, plan);
  const QString keptNow =
      kept_ ? QString("/%1").arg(study.revisionOf(plan["kept"].get<std::string>())) : QString();
  plan.erase("kept");
  plan.erase("kept_classes");
  const QString samplesOf = sourceOfSamples(study, step), planOf = samplesOf + q(plan.dump()),
                asked = samplesOf + q(step.dump()) + keptNow;
  if (asked == asked_) return;
  asked_ = asked;
  if (known_ != nullptr && known_->planOf == planOf) {
    learning_.stop();
    show(step);
    return check(plan, study.legend);
  }
  checking_.stop();
  doubting_.stop();
  const auto before = known_;
  const auto report = [this](double share) {
    learning_.post([this, share] { Q_EMIT progressed(share); });
  };
  learning_.ask(
      [study, plan, before, samplesOf, planOf, report](const Progress& task) {
        const Progress progress = task.reporting(report);
        auto now = std::make_shared<Learned>();
        now->samplesOf = samplesOf;
        now->planOf = planOf;
        now->samples = before != nullptr && before->samplesOf == samplesOf
                           ? before->samples
                           : std::make_shared<const Samples>(
                                 samplesOfStep(study, plan, progress.part(0, 0.4)));
        now->model = trainOn(*now->samples, planOfStep(plan), study.legend, progress.part(0.4, 1));
        now->features = featuresOfStep(study, plan);
        return std::shared_ptr<const Learned>(now);
      },
      [this, step, plan, legend = study.legend](const std::shared_ptr<const Learned>& now) {
        known_ = now;
        heldOut_.reset();
        doubts_.reset();
        show(step);
        check(plan, legend);
      },
      [this](const QString& sentence) { Q_EMIT failed(sentence); });
}

void MapPreview::show(const Json& step) {
  shown_ = step;
  Q_EMIT learned(picture(nullptr));
}

Picture MapPreview::picture(std::shared_ptr<const Unlikeness> hatched) {
  const Learned& now = *known_;
  std::shared_ptr<const Classifier> classifier = now.model.classifier;
  if (const double least = shown_.value("least", 0.0); least > 0)
    classifier = std::make_shared<OnlySure>(classifier, least);
  Picture p;
  p.kind = Picture::Kind::Classes;
  p.of = "preview";
  p.title = q(shown_.at("name").get<std::string>());
  p.detail = hatched == nullptr ? txt("preview") : txt("preview, hatched where it is a guess");
  p.legend = now.model.legend;
  if (kept_) p.legend.addMissing(legendOf(RasterFile(kept_->file)));
  p.learned = std::make_shared<const LearnedMap>(
      LearnedMap{now.features.scope, now.features.features, classifier, std::move(hatched), kept_});
  QString scenes;
  for (const auto& one : now.features.scope.scenes) scenes += sceneKey(one.scene) + ",";
  p.key = QString("m/%1/%2").arg(scenes).arg(++count_);
  return p;
}

void MapPreview::check(const Json& step, const Legend& legend) {
  if (heldOut_) {
    Q_EMIT checked(*heldOut_);
    return doubt();
  }
  checking_.ask(
      [known = known_, plan = planOfStep(step), legend](const Progress& progress) {
        return heldOut(*known->samples, plan, legend, progress);
      },
      [this](const HeldOut& told) {
        heldOut_ = told;
        Q_EMIT checked(told);
        doubt();
      },
      [this](const QString& sentence) {
        Q_EMIT unchecked(sentence);
        doubt();
      });
}

void MapPreview::doubt() {
  if (doubts_) return Q_EMIT doubted(doubts_->first, picture(doubts_->second));
  doubting_.ask(
      [known = known_](const Progress& progress) {
        const Model& model = known->model;
        const auto unlikeness =
            std::make_shared<const Unlikeness>(*known->samples, importanceOf(*model.classifier));
        const auto other = otherMethod(*known->samples, model);
        return Doubts{doubtsOf(known->features.reader(), *model.classifier, *unlikeness, 8,
                               progress, other.get()),
                      unlikeness};
      },
      [this](const Doubts& told) {
        doubts_ = told;
        Q_EMIT doubted(told.first, picture(told.second));
      },
      [](const QString&) {});  // training that is all the same: the map says so itself
}

}  // namespace zp
