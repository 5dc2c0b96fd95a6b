#include "mapping/method.h"

#include <algorithm>

#include "base/error.h"
#include "base/nan.h"
#include "base/text.h"

namespace zp {

void classifySurely(const Classifier& classifier, const std::vector<const float*>& values, size_t n,
                    uint16_t* codes, float* confidence) {
  constexpr size_t kPiece = 4096;
  const auto classes = classifier.classes();
  std::vector<float> support(classes.size() * std::min(n, kPiece));
  std::vector<const float*> at(values.size());
  for (size_t from = 0; from < n; from += kPiece) {
    const size_t some = std::min(kPiece, n - from);
    for (size_t f = 0; f < values.size(); ++f) at[f] = values[f] + from;
    classifier.classify(at, some, codes + from);
    classifier.support(at, some, support.data());
    for (size_t i = 0; i < some; ++i) {
      const int code = codes[from + i];
      const auto c = std::lower_bound(classes.begin(), classes.end(), code) - classes.begin();
      confidence[from + i] = code == 0 ? kNan : support[static_cast<size_t>(c) * some + i];
    }
  }
}

std::vector<uint16_t> codesFrom(const Json& json) {
  std::vector<uint16_t> codes;
  for (const auto& code : json) {
    if (!code.is_number_unsigned() || code < 1 || code > 65535 ||
        (!codes.empty() && code <= codes.back()))
      throw Error("The class codes of the model do not rise from 1 on; train it again.");
    codes.push_back(code);
  }
  return codes;
}

const Method& method(const std::string& id) {
  std::vector<std::string> ids;
  for (const auto* m : methods()) {
    if (m->id == id) return *m;
    ids.push_back(m->id);
  }
  throw Error("There is no method “{}”; the methods are {}.{}", id, listed(ids),
              didYouMean(id, ids));
}

}  // namespace zp
