// Forests, support vectors and k-means against the library, on the same model or from the same
// start.
#include <oneapi/tbb/parallel_for.h>

#include "bench.h"
#include "mapping/grow_forest.h"
#include "mapping/k_means.h"
#include "mapping/train_vectors.h"

namespace zp {
namespace {

/// Pieces of the pixels on all cores.
template <class Work>
void inPieces(size_t count, Work work) {
  constexpr size_t kPiece = 1 << 14;
  oneapi::tbb::parallel_for(size_t{0}, (count + kPiece - 1) / kPiece, [&](size_t piece) {
    const size_t from = piece * kPiece;
    std::vector<const float*> at;
    for (const auto& column : pixels().planar) at.push_back(column.data() + from);
    work(at, from, std::min(kPiece, count - from));
  });
}

double percentSame(const std::vector<int>& ours, const cv::Mat& theirs) {
  size_t same = 0;
  for (size_t i = 0; i < ours.size() && !theirs.empty(); ++i) {
    const int row = static_cast<int>(i);
    const int label =
        theirs.type() == CV_32F ? static_cast<int>(theirs.at<float>(row)) : theirs.at<int>(row);
    same += ours[i] == label ? 1 : 0;
  }
  return 100.0 * static_cast<double>(same) / static_cast<double>(ours.size());
}

cv::Mat labelsFromZero() {
  return pixels().labels - 1;
}

// A forest of 100 trees over a million pixels.

struct Trees {
  cv::Ptr<cv::ml::RTrees> theirs = cv::ml::RTrees::create();
  Forest ours;
  std::vector<int> labels = std::vector<int>(Pixels::kCount);
  cv::Mat found;
  Trees() {
    theirs->setMaxDepth(20);
    theirs->setMinSampleCount(2);
    theirs->setTermCriteria({cv::TermCriteria::MAX_ITER, 100, 0});
    theirs->train(
        cv::ml::TrainData::create(pixels().training, cv::ml::ROW_SAMPLE, labelsFromZero()));
    ours.features = Pixels::kBands;
    ours.classes = Pixels::kClasses;
    addTrees(*theirs, ours);
  }
};

Trees& trees() {
  static Trees t;
  return t;
}

void ForestOurs(benchmark::State& state) {
  Trees& t = trees();
  for (auto _ : state)
    inPieces(Pixels::kCount, [&](const std::vector<const float*>& at, size_t from, size_t n) {
      std::vector<uint16_t> votes;
      t.ours.vote(at, n, votes);
      for (size_t i = 0; i < n; ++i) {
        const auto first = votes.begin() + static_cast<std::ptrdiff_t>(i * t.ours.classes);
        t.labels[from + i] = static_cast<int>(
            std::max_element(first, first + static_cast<std::ptrdiff_t>(t.ours.classes)) - first);
      }
    });
}

void ForestOpenCV(benchmark::State& state) {
  Trees& t = trees();
  for (auto _ : state) t.theirs->predict(pixels().all, t.found);
}

// Radial support vectors over a part of them: the library takes minutes for all.

struct Machine {
  static constexpr int kCount = 1 << 16, kTraining = 4000;
  cv::Ptr<cv::ml::SVM> theirs = cv::ml::SVM::create();
  SupportVectors ours;
  std::vector<int> labels = std::vector<int>(kCount);
  cv::Mat found;
  Machine() {
    theirs->setType(cv::ml::SVM::C_SVC);
    theirs->setKernel(cv::ml::SVM::RBF);
    theirs->setC(10);
    theirs->setGamma(20);
    theirs->train(cv::ml::TrainData::create(pixels().training.rowRange(0, kTraining).clone(),
                                            cv::ml::ROW_SAMPLE,
                                            cv::Mat(labelsFromZero().rowRange(0, kTraining))));
    ours = vectorsOf(*theirs, Pixels::kClasses);
  }
};

Machine& machine() {
  static Machine m;
  return m;
}

void VectorsOurs(benchmark::State& state) {
  Machine& m = machine();
  for (auto _ : state)
    inPieces(Machine::kCount, [&](const std::vector<const float*>& at, size_t from, size_t n) {
      std::vector<int16_t> best(n);
      m.ours.decide(at, n, best.data());
      std::copy(best.begin(), best.end(), m.labels.begin() + static_cast<std::ptrdiff_t>(from));
    });
}

void VectorsOpenCV(benchmark::State& state) {
  Machine& m = machine();
  for (auto _ : state) m.theirs->predict(pixels().all.rowRange(0, Machine::kCount), m.found);
}

// k-means, two million pixels, 12 clusters: 11 times to the nearest, with new means between.

struct Heaps {
  static constexpr int kCount = 2 * Pixels::kCount, kClusters = 12;
  Columns columns = Columns(Pixels::kBands);
  cv::Mat rows, first, found;
  std::vector<double> start;
  std::vector<int> labels = std::vector<int>(kCount);
  double ours = 0, theirs = 0;
  Heaps() {
    cv::vconcat(pixels().all, pixels().all * 1.03, rows);
    for (int f = 0; f < Pixels::kBands; ++f)
      for (int i = 0; i < kCount; ++i)
        columns[static_cast<size_t>(f)].push_back(rows.at<float>(i, f));
    assign(spreadStart(columns, kClusters, 1));
    first = cv::Mat(labels, true);
    start = meansOfLabels();  // with which the library begins
  }
  std::vector<double> meansOfLabels() const {
    std::vector<double> sums(static_cast<size_t>(kClusters * Pixels::kBands)), sizes(kClusters);
    for (int i = 0; i < kCount; ++i) {
      const auto k = static_cast<size_t>(labels[static_cast<size_t>(i)]);
      ++sizes[k];
      for (int f = 0; f < Pixels::kBands; ++f)
        sums[k * Pixels::kBands + static_cast<size_t>(f)] +=
            static_cast<double>(rows.at<float>(i, f));
    }
    for (size_t i = 0; i < sums.size(); ++i) sums[i] /= sizes[i / Pixels::kBands];
    return sums;
  }
  /// The library tells the sum of squares to the means of its last labels.
  double aboutTheirMeans() const {
    const auto means = meansOfLabels();
    double sum = 0;
    for (int i = 0; i < kCount; ++i)
      for (int f = 0; f < Pixels::kBands; ++f) {
        const auto k = static_cast<size_t>(labels[static_cast<size_t>(i)]);
        const double gap = static_cast<double>(rows.at<float>(i, f)) -
                           means[k * Pixels::kBands + static_cast<size_t>(f)];
        sum += gap * gap;
      }
    return sum;
  }
  /// Each to the nearest of some means.
  void assign(const std::vector<double>& means) {
    const NearestMean nearest(means, Pixels::kBands);
    constexpr size_t kPiece = 1 << 14;
    oneapi::tbb::parallel_for(size_t{0}, size_t{kCount} / kPiece, [&](size_t piece) {
      std::vector<const float*> at;
      for (const auto& c : columns) at.push_back(c.data() + piece * kPiece);
      std::vector<int16_t> best(kPiece);
      std::vector<float> squared(kPiece);
      nearest.assign(at.data(), kPiece, best.data(), squared.data());
      std::copy(best.begin(), best.end(),
                labels.begin() + static_cast<std::ptrdiff_t>(piece * kPiece));
    });
  }
};

Heaps& heaps() {
  static Heaps h;
  return h;
}

void KMeansOurs(benchmark::State& state) {
  Heaps& h = heaps();
  for (auto _ : state) {
    const Clusters c = kMeans(HeldPixels(h.columns), h.start, 10);
    h.assign(c.means);
  }
  h.ours = h.aboutTheirMeans();
}

void KMeansOpenCV(benchmark::State& state) {
  Heaps& h = heaps();
  for (auto _ : state) {
    h.found = h.first.clone();
    h.theirs = cv::kmeans(h.rows, Heaps::kClusters, h.found,
                          {cv::TermCriteria::COUNT + cv::TermCriteria::EPS, 12, 0}, 1,
                          cv::KMEANS_USE_INITIAL_LABELS);
  }
}

}  // namespace

void addLearners() {
  slow("ForestOurs", &ForestOurs);
  slow("ForestOpenCV", &ForestOpenCV);
  slow("VectorsOurs", &VectorsOurs);
  slow("VectorsOpenCV", &VectorsOpenCV);
  slow("KMeansOurs", &KMeansOurs);
  slow("KMeansOpenCV", &KMeansOpenCV);
}

void tellLearners(std::map<std::string, double>& t) {
  fmt::print(
      "a forest of 100 trees: {:.1f} x faster than cv::ml::RTrees (at least 10), same class for "
      "{:.4f} % (all)\n",
      t["ForestOpenCV"] / t["ForestOurs"], percentSame(trees().labels, trees().found));
  fmt::print(
      "support vectors, radial, {} of them: {:.1f} x faster than cv::ml::SVM (at least 4), same "
      "class for {:.4f} % (at least 99.9)\n",
      machine().ours.count(), t["VectorsOpenCV"] / t["VectorsOurs"],
      percentSame(machine().labels, machine().found));
  fmt::print(
      "k-means: {:.1f} x faster than cv::kmeans (at least 4), same cluster for {:.4f} % (at least "
      "99.9), sum of squares {:.1e} apart (at most 1e-4)\n",
      t["KMeansOpenCV"] / t["KMeansOurs"], percentSame(heaps().labels, heaps().found),
      std::abs(heaps().ours / heaps().theirs - 1));
}

}  // namespace zp
