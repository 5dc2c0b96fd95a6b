#include "mapping/grow_forest.h"

#include <oneapi/tbb/parallel_for.h>

#include <algorithm>
#include <atomic>
#include <cmath>
#include <limits>
#include <map>
#include <opencv2/ml.hpp>
#include <vector>

#include "base/error.h"
#include "base/random.h"

namespace zp {
namespace {

constexpr int kTreesAtOnce = 10;

struct Part {
  cv::Ptr<cv::ml::RTrees> trees;
  double wrong = 0;
};

Part grown(const cv::Mat& values, const cv::Mat& classes, const ForestPlan& plan, int trees,
           uint64_t seed) {
  Part part{cv::ml::RTrees::create(), 0};
  part.trees->setMaxDepth(plan.depth);
  part.trees->setMinSampleCount(2);
  part.trees->setActiveVarCount(plan.tried);
  part.trees->setCalculateVarImportance(true);
  part.trees->setTermCriteria({cv::TermCriteria::MAX_ITER, trees, 0});
  cv::theRNG().state = seed;
  part.trees->train(cv::ml::TrainData::create(values, cv::ml::ROW_SAMPLE, classes));
  part.wrong = part.trees->getOOBError();
  return part;
}

std::vector<double> importanceOf(const std::vector<Part>& parts, size_t features) {
  std::vector<double> all(features, 0);
  for (const auto& p : parts) {
    const cv::Mat one = p.trees->getVarImportance();
    for (size_t f = 0; f < features && f < one.total(); ++f)
      all[f] += std::max(0.0, static_cast<double>(one.at<float>(static_cast<int>(f))));
  }
  double sum = 0;
  for (const double v : all) sum += v;
  for (double& v : all) v = sum > 0 ? v / sum : 1.0 / static_cast<double>(features);
  return all;
}

}  // namespace

void addTrees(const cv::ml::RTrees& trained, Forest& forest) {
  const auto& nodes = trained.getNodes();
  const auto& splits = trained.getSplits();
  for (const int root : trained.getRoots()) {
    const size_t first = forest.nodes.size();
    forest.nodes.push_back({});
    int depth = 0;
    struct Open {
      int theirs;
      size_t ours;
      int depth;
    };
    std::vector<Open> open{{root, first, 0}};
    for (size_t i = 0; i < open.size(); ++i) {
      const Open o = open[i];
      const auto& node = nodes[static_cast<size_t>(o.theirs)];
      depth = std::max(depth, o.depth);
      Forest::Node& out = forest.nodes[o.ours];
      if (node.split < 0) {
        out.split = std::numeric_limits<float>::infinity();
        out.next = static_cast<int32_t>(o.ours);
        out.winner = static_cast<uint16_t>(std::lround(node.value));
        continue;
      }
      const auto& split = splits[static_cast<size_t>(node.split)];
      const size_t next = forest.nodes.size();
      out.split = split.c;
      out.feature = static_cast<int16_t>(split.varIdx);
      out.next = static_cast<int32_t>(next);
      forest.nodes.resize(next + 2);
      const int low = split.inversed ? node.right : node.left,
                high = split.inversed ? node.left : node.right;
      open.push_back({low, next, o.depth + 1});
      open.push_back({high, next + 1, o.depth + 1});
    }
    forest.trees.push_back({first, depth});
  }
}

GrownForest growForest(const Samples& samples, const std::vector<size_t>& which,
                       const ForestPlan& plan, const Progress& progress) {
  const size_t features = samples.features.size();
  std::map<int, int> number;
  for (const auto& c : samples.classes) number.emplace(c.code, static_cast<int>(number.size()));
  cv::Mat values(static_cast<int>(which.size()), static_cast<int>(features), CV_32F),
      classes(static_cast<int>(which.size()), 1, CV_32S);
  for (size_t i = 0; i < which.size(); ++i) {
    const int row = static_cast<int>(i);
    std::copy_n(samples.sample(which[i]), features, values.ptr<float>(row));
    classes.at<int>(row) = number.at(samples.codes[which[i]]);
  }
  const int parts = (plan.trees + kTreesAtOnce - 1) / kTreesAtOnce;
  std::vector<Part> all(static_cast<size_t>(parts));
  std::atomic<int> done{0};
  oneapi::tbb::parallel_for(0, parts, [&](int p) {
    progress.check();
    const int trees = std::min(kTreesAtOnce, plan.trees - p * kTreesAtOnce);
    all[static_cast<size_t>(p)] =
        grown(values, classes, plan, trees, mix(plan.seed, static_cast<uint64_t>(p)));
    progress.at(static_cast<double>(++done) / parts);
  });
  GrownForest result;
  result.forest.features = features;
  result.forest.classes = samples.classes.size();
  double wrong = 0;
  for (const auto& part : all) {
    addTrees(*part.trees, result.forest);
    wrong += part.wrong / parts;
  }
  result.outOfBag = 1 - wrong;
  result.importance = importanceOf(all, features);
  return result;
}

}  // namespace zp
