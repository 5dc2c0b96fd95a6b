#include "mapping/method.h"

#include "base/error.h"
#include "base/text.h"

namespace zp {

void Classifier::classify(const std::vector<const float*>&, size_t, uint16_t*, float*) const {
  throw Error("This method gives no confidence; leave it out or choose maximum likelihood.");
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

std::unique_ptr<Classifier> trainMethod(const Method& method, const Samples& samples,
                                        const Json& settings, const Progress& progress) {
  return method.train(samples, settingsFrom(method.parameters, settings, method.title), progress);
}

}  // namespace zp
