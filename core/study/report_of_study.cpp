#include "study/report_of_study.h"

#include <fmt/format.h>

#include <algorithm>

#include "accuracy/report_words.h"
#include "base/error.h"
#include "base/text.h"
#include "study/report_pictures.h"
#include "study/step_words.h"

namespace zp {
namespace {

constexpr int kMapPixels = 1400, kChipWidth = 110, kChipHeight = 60;
constexpr size_t kChips = 3;
constexpr double kLeastMark = 0.06;  // of a chip's width, to be seen

std::string counted(size_t n, const char* one, const char* many) {
  return fmt::format("{} {}", n, n == 1 ? one : many);
}

/// Puts a report of one labelling together.
class Gathering {
 public:
  Gathering(const Study& study, const Product& labels, const ReportWish& wish)
      : study_(study),
        product_(labels),
        wish_(wish),
        labels_(readLabels(labels.file)),
        legend_(labels_.legend(study.legend)) {
    if (!labels_.labelling.closed())
      throw Error("The labelling of “{}” is not closed; close it first, then it can be reported.",
                  labels.name);
    map_ = study.product(labels.step.value("map", ""));
    if (map_ == nullptr) throw Error("The map that “{}” judges is gone.", labels.name);
  }

  Report report(const Progress& progress) {
    head();
    judgeMap();
    classes();
    training();
    plan();
    record();
    if (std::filesystem::exists(map_->file))
      r_.mapPng = toPng(classPicture(map_->file, legend_, kMapPixels, progress.part(0, 0.3)));
    chips(progress.part(0.3, 1));
    return std::move(r_);
  }

 private:
  void head() {
    r_.title = wish_.title.empty() ? study_.name : wish_.title;
    r_.author = wish_.author;
    r_.remarks = wish_.remarks;
    r_.about = fmt::format("Map “{}”", map_->name);
    if (std::filesystem::exists(map_->file)) {
      const Grid grid = RasterFile(map_->file).grid();
      r_.about += " · " + crsTitle(grid.crs);
      if (!grid.crs.empty() && !crsIsGeographic(grid.crs))
        r_.about +=
            fmt::format(" · {} m", readable(grid.pixelWidth() * crsMetresPerUnit(grid.crs)));
    }
    r_.about += " · report of " + dayInWords(now());
    tellMaking(*map_);
    for (const auto& o : study_.outlines)
      if (o.studyArea && o.name != "Study area") r_.beside.push_back("Study area: " + o.name + ".");
  }

  /// From what it was first made by to the map itself.
  void tellMaking(const Product& map) {
    for (const auto& input : map.inputs)
      if (const Product* from = study_.product(input.id);
          from != nullptr && from->kind == ProductKind::ClassMap)
        tellMaking(*from);
    const std::string told = map.name + ": " + howMade(study_, map) + ".";
    if (std::find(r_.beside.begin(), r_.beside.end(), told) == r_.beside.end())
      r_.beside.push_back(told);
  }

  void judgeMap() {
    const auto& l = labels_.labelling;
    const Judged j = judge(study_, product_, labels_, wish_.either ? l.drawnEither() : l.drawn());
    r_.matrix = j.matrix;
    r_.assessment = j.first();
    r_.counts = j.counts;
    r_.intervals = withoutInterval(study_, product_).empty();
    if (!j.weighted && !j.whyNotWeighted.empty())
      r_.whyCounted = j.whyNotWeighted.text() + " So every point counts the same.";
    if (j.weighted)
      for (const auto& [code, area] : labels_.strata) r_.wholeArea += area;
    r_.late = l.lateChanges();
    for (size_t i = 0; i < r_.late.size(); ++i)
      r_.overallBefore.push_back(
          judge(study_, product_, labels_, l.drawnBefore(i)).first().overall.value);
    r_.first = labels_.labeller.empty() ? "Labeller 1" : labels_.labeller;
    if (!labels_.second) return;
    r_.second = labels_.second->labeller.empty() ? "labeller 2" : labels_.second->labeller;
    try {
      r_.agreement = agreementOf(l, *labels_.second, legend_);
    } catch (const Error&) {
      // No point that both labelled.
    }
  }

  void classes() {
    std::map<int, double> mapped;
    for (const auto& c : map_->facts.value("classes", Json::array()).get<std::vector<Json>>())
      if (c["area_m2"].is_number()) mapped[c["code"].get<int>()] = c["area_m2"].get<double>();
    for (const auto& c : legend_.classes) {
      ReportClass one{c.code, c.name, c.colour};
      const auto at = mapped.find(c.code);
      one.mapped = at != mapped.end() ? at->second : mapped.empty() ? std::nan("") : 0;
      r_.classes.push_back(one);
    }
  }

  size_t areasOf(int code) const {
    return static_cast<size_t>(std::count_if(study_.training.begin(), study_.training.end(),
                                             [&](const auto& t) { return t.code == code; }));
  }

  void training() {
    const Product* made = map_;
    while (made->step.value("do", "") != "map") {
      const Product* before = nullptr;
      for (const auto& input : made->inputs)
        if (const Product* p = study_.product(input.id);
            p != nullptr && p->kind == ProductKind::ClassMap)
          before = p;
      if (before == nullptr) return;
      made = before;
    }
    std::vector<std::string> perClass;
    for (const auto& c : study_.legend.classes)
      if (const size_t n = areasOf(c.code); n > 0)
        perClass.push_back(fmt::format("{} {}", c.name, n));
    r_.training.push_back(
        fmt::format("{}: {}.", counted(study_.training.size(), "training area", "training areas"),
                    fmt::join(perClass, ", ")));
    if (const size_t pixels = made->facts.value("training_pixels", size_t{0}); pixels > 0)
      r_.training.push_back(counted(pixels, "training pixel.", "training pixels."));
    const Json learned = made->facts.value("training", Json::object());
    if (learned.contains("out_of_bag"))
      r_.training.push_back(fmt::format("Of pixels that a tree had not seen, {} were right.",
                                        percentText(learned["out_of_bag"].get<double>())));
    if (learned.contains("held_out"))
      r_.training.push_back(fmt::format("Of training pixels held out, {} were right.",
                                        percentText(learned["held_out"].get<double>())));
  }

  void plan() {
    const auto& l = labels_.labelling;
    if (const Product* points = pointsOf(study_, product_))
      r_.plan.push_back(fmt::format("{}: {}.", points->name, howMade(study_, *points)));
    r_.plan.push_back(whoLabelled());
    std::vector<Place> places;
    for (const auto& p : l.points()) places.push_back(p.place);
    if (const size_t within = pointsInTraining(study_, places, labels_.crs); within > 0)
      r_.plan.push_back(counted(within,
                                "point lies in a training area, where maps are better than "
                                "elsewhere.",
                                "points lie in training areas, where maps are better than "
                                "elsewhere."));
    if (const size_t left = l.points().size() - l.labelled(); left > 0)
      r_.plan.push_back(counted(left, "point has no label.", "points have no label."));
    if (l.unsure() > 0)
      r_.plan.push_back(
          counted(l.unsure(), "label is marked unsure.", "labels are marked unsure."));
    const auto mixed = std::count_if(l.points().begin(), l.points().end(),
                                     [](const auto& p) { return p.secondary != 0; });
    if (mixed > 0)
      r_.plan.push_back(
          counted(static_cast<size_t>(mixed), "place is mixed;", "places are mixed;") +
          (wish_.either ? " their second class counts as right too."
                        : " the class that most of it is counts."));
  }

  std::string whoLabelled() const {
    const Json& step = product_.step;
    if (step.contains("reference"))
      return fmt::format("The labels are the classes of “{}”.", nameIn(study_, step["reference"]));
    if (step.contains("polygons"))
      return fmt::format("The labels are those of the polygons “{}”.",
                         nameIn(study_, step["polygons"]));
    if (step.contains("field"))
      return fmt::format("The labels came with the points, in their column “{}”.",
                         step["field"].get<std::string>());
    return fmt::format(
        "Each label is of the {}{}. Labelled by {} in shuffled order, without seeing "
        "the map.",
        labels_.change ? "change between the two dates of the " : "",
        labels_.block == 3 ? "block of 3 × 3 pixels around the point"
                           : "pixel that the point lies in",
        labels_.labeller.empty() ? "one labeller" : labels_.labeller);
  }

  void record() {
    std::vector<std::string> scenes;
    for (const auto& s : study_.scenes)
      if (s.product.empty()) scenes.push_back(s.scene.name);
    r_.done.push_back({"Scenes", fmt::format("{}", fmt::join(scenes, ", "))});
    if (!study_.training.empty())
      r_.done.push_back({"Training areas", std::to_string(study_.training.size())});
    for (const auto& p : study_.products) r_.done.push_back({p.name, howMade(study_, p)});
    const auto& closed = labels_.labelling.closedAt();
    r_.done.push_back(
        {"Labelling closed",
         fmt::format("{}{} changed after it", closed.empty() ? "" : dayInWords(closed) + "; ",
                     counted(r_.late.size(), "label", "labels"))});
  }

  /// The scene with the finest pixels that has a composite, else any.
  const Scene* sceneShown() const {
    const Scene* best = nullptr;
    for (const auto& s : study_.scenes) {
      if (s.scene.grid.crs.empty()) continue;
      const bool better = best == nullptr ||
                          compositesOf(s.scene).empty() < compositesOf(*best).empty() ||
                          (compositesOf(s.scene).empty() == compositesOf(*best).empty() &&
                           s.scene.grid.pixelWidth() < best->grid.pixelWidth());
      if (better) best = &s.scene;
    }
    return best;
  }

  void chips(const Progress& progress) {
    const auto& m = r_.matrix;
    std::vector<std::pair<size_t, size_t>> cells;
    for (size_t i = 0; i < m.codes.size(); ++i)
      for (size_t j = 0; j < m.codes.size(); ++j)
        if (i != j && m.counts[i][j] > 0) cells.push_back({i, j});
    std::stable_sort(cells.begin(), cells.end(), [&](const auto& a, const auto& b) {
      return r_.assessment.shares[a.first][a.second] > r_.assessment.shares[b.first][b.second];
    });
    if (cells.size() > kChips) cells.resize(kChips);
    const Scene* scene = sceneShown();
    for (const auto& [i, j] : cells) {
      progress.check();
      ReportChip chip{m.names[i], m.names[j], m.counts[i][j], ""};
      chip.height = static_cast<double>(kChipHeight) / kChipWidth;
      if (scene != nullptr) show(chip, m.codes[i], m.codes[j], *scene);
      r_.chips.push_back(std::move(chip));
    }
  }

  void show(ReportChip& chip, int mapped, int reference, const Scene& scene) {
    for (const auto& p : labels_.labelling.points()) {
      if (p.mapped != mapped || p.reference != reference) continue;
      try {
        // The map's pixels may be larger or smaller than the scene's.
        const double pixels = RasterFile(map_->file).grid().pixelWidth() / scene.grid.pixelWidth();
        const int factor = std::clamp(static_cast<int>(std::lround(pixels)), 1, 4);
        const int width = kChipWidth * factor;
        chip.png = toPng(chipPicture(scene, p.place, labels_.crs, width, kChipHeight * factor));
        chip.pixel = std::max(kLeastMark, pixels * labels_.block / width);
      } catch (const Error&) {
        // The scene is gone, or lies elsewhere: the confusion is told without a picture.
      }
      return;
    }
  }

  const Study& study_;
  const Product& product_;
  const ReportWish& wish_;
  const LabelsFile labels_;
  const Legend legend_;  // of the labels
  const Product* map_ = nullptr;
  Report r_;
};

}  // namespace

Report reportOf(const Study& study, const Product& labels, const ReportWish& wish,
                const Progress& progress) {
  return Gathering(study, labels, wish).report(progress);
}

Layer pointsLayer(const Study& study, const LabelsFile& labels) {
  const auto nameIn = [](const Legend& legend, int code) {
    const auto* c = legend.find(code);
    return c != nullptr ? c->name : std::string();
  };
  const auto name = [&](int code) { return nameIn(labels.legend(study.legend), code); };
  const auto text = [](int code) { return code == 0 ? std::string() : std::to_string(code); };
  Layer layer{"points", labels.crs, {}, {}};
  layer.table.columns = {"id",    "mapped",    "mapped_name", "reference", "reference_name",
                         "right", "secondary", "stratum",     "unsure",    "note"};
  if (labels.change)
    layer.table.columns.insert(layer.table.columns.end(), {"earlier_name", "later_name"});
  for (const auto& p : labels.labelling.points()) {
    Shape shape;
    shape.points.push_back(p.place);
    layer.shapes.push_back(shape);
    const bool both = p.mapped != 0 && p.reference != 0;
    layer.table.rows.push_back({std::to_string(p.id), text(p.mapped), name(p.mapped),
                                text(p.reference), name(p.reference),
                                both ? (p.mapped == p.reference ? "1" : "0") : "",
                                text(p.secondary), text(p.stratum), p.unsure ? "1" : "0", p.note});
    if (!labels.change) continue;
    for (const int code : {p.earlier, p.later})
      layer.table.rows.back().push_back(nameIn(labels.change->classes(), code));
  }
  return layer;
}

std::vector<FieldType> pointsFieldTypes(const LabelsFile& labels) {
  using T = FieldType;
  std::vector<T> types{T::Integer, T::Integer, T::Text,    T::Integer, T::Text,
                       T::Integer, T::Integer, T::Integer, T::Integer, T::Text};
  if (labels.change) types.insert(types.end(), 2, T::Text);
  return types;
}

}  // namespace zp
