#include "mapping/forest.h"

#include <algorithm>
#include <cmath>
#include <limits>

#include "base/error.h"
#include "mapping/distance_kernel.h"

namespace zp {
namespace {

constexpr float kInfinite = std::numeric_limits<float>::infinity();

/// Eight pixels go down a tree together: none waits for the memory of another.
constexpr size_t kTogether = 8;

void walk(const Forest::Node* nodes, const Forest::Tree& tree, const float* pixels, size_t features,
          int32_t* at) {
  for (size_t k = 0; k < kTogether; ++k) at[k] = static_cast<int32_t>(tree.root);
  for (int step = 0; step < tree.depth; ++step)
    for (size_t k = 0; k < kTogether; ++k) {
      const Forest::Node& node = nodes[at[k]];
      at[k] = node.next + (pixels[k * features + static_cast<size_t>(node.feature)] > node.split);
    }
}

/// Pixel by pixel, and which of them have all features.
void turn(const std::vector<const float*>& values, size_t from, size_t count,
          std::vector<float>& pixels, std::vector<char>& whole) {
  const size_t features = values.size();
  std::fill(whole.begin(), whole.end(), 1);
  for (size_t f = 0; f < features; ++f)
    for (size_t i = 0; i < count; ++i) {
      const float v = values[f][from + i];
      pixels[i * features + f] = v;
      whole[i] = whole[i] && std::isfinite(v);
    }
}

bool leaf(const Forest& f, size_t node) {
  return f.nodes[node].next == static_cast<int32_t>(node);
}

/// The depth below a node; Error for a node that leads anywhere but on in its tree.
int depthOf(const Forest& f, size_t node, size_t end) {
  // Children lie behind their parent, so that going through them backwards meets each before it.
  std::vector<int> depth(end - node, 0);
  for (size_t i = end; i-- > node;) {
    const auto& n = f.nodes[i];
    const auto next = static_cast<size_t>(n.next);
    const bool fits = n.feature >= 0 && static_cast<size_t>(n.feature) < f.features &&
                      n.winner < f.classes && n.next >= 0;
    if (fits && next == i && n.split == kInfinite) continue;
    if (!fits || next <= i || next + 1 >= end || !std::isfinite(n.split))
      throw Error("A tree of the model is not complete; train it again.");
    depth[i - node] = 1 + std::max(depth[next - node], depth[next + 1 - node]);
  }
  return depth.at(0);
}

}  // namespace

void Forest::vote(const std::vector<const float*>& values, size_t n,
                  std::vector<uint16_t>& votes) const {
  votes.assign(n * classes, 0);
  constexpr size_t kChunk = 512;
  std::vector<float> pixels(kChunk * features, 0);
  std::vector<char> whole(kChunk);
  for (size_t from = 0; from < n; from += kChunk) {
    const size_t count = std::min(kChunk, n - from);
    turn(values, from, count, pixels, whole);
    for (const Tree& tree : trees)
      for (size_t p = 0; p < count; p += kTogether) {
        int32_t at[kTogether];
        walk(nodes.data(), tree, pixels.data() + p * features, features, at);
        const size_t here = std::min(kTogether, count - p);
        for (size_t k = 0; k < here; ++k)
          votes[(from + p + k) * classes + nodes[static_cast<size_t>(at[k])].winner] +=
              whole[p + k] != 0;
      }
  }
}

Json toJson(const Forest& f) {
  Json trees = Json::array();
  for (size_t t = 0; t < f.trees.size(); ++t) {
    const size_t from = f.trees[t].root,
                 to = t + 1 < f.trees.size() ? f.trees[t + 1].root : f.nodes.size();
    Json split = Json::array(), next = Json::array(), which = Json::array();
    for (size_t i = from; i < to; ++i) {
      const auto& n = f.nodes[i];
      const bool end = leaf(f, i);
      // A leaf is written by its class, with no split.
      split.push_back(end ? Json(nullptr) : number(static_cast<double>(n.split)));
      next.push_back(end ? size_t{0} : static_cast<size_t>(n.next) - from);
      which.push_back(end ? size_t{n.winner} : static_cast<size_t>(n.feature));
    }
    trees.push_back({{"split", split}, {"next", next}, {"feature_or_class", which}});
  }
  return {{"features", f.features}, {"trees", trees}};
}

namespace {

void readTree(const Json& json, Forest& f) {
  const Json &split = json.at("split"), &next = json.at("next"),
             &which = json.at("feature_or_class");
  const size_t root = f.nodes.size(), n = split.size();
  if (n == 0 || next.size() != n || which.size() != n || root + n > (size_t{1} << 28))
    throw Error("A tree of the model is not complete; train it again.");
  for (size_t i = 0; i < n; ++i) {
    if (!next[i].is_number_unsigned() || next[i] > n || !which[i].is_number_unsigned() ||
        which[i] > 32767)
      throw Error("A tree of the model is not complete; train it again.");
    Forest::Node node;
    if (split[i].is_null()) {
      node.split = kInfinite;
      node.next = static_cast<int32_t>(root + i);
      node.winner = which[i].get<uint16_t>();
    } else {
      node.split = split[i].get<float>();
      node.next = static_cast<int32_t>(root) + next[i].get<int32_t>();
      node.feature = which[i].get<int16_t>();
    }
    f.nodes.push_back(node);
  }
  f.trees.push_back({root, depthOf(f, root, f.nodes.size())});
}

}  // namespace

Forest forestFrom(const Json& json, size_t classes) {
  Forest f;
  if (!json.at("features").is_number_unsigned())
    throw Error("The forest of the model does not tell its features; train it again.");
  f.features = json["features"];
  if (f.features < 1 || f.features > kMostBands)
    throw Error("The forest of the model has {} features, which cannot be; train it again.",
                f.features);
  f.classes = classes;
  for (const auto& tree : json.at("trees")) readTree(tree, f);
  if (f.trees.empty()) throw Error("The forest of the model has no tree; train it again.");
  return f;
}

}  // namespace zp
