#include "mapping/model.h"

#include <fmt/format.h>

#include "base/error.h"
#include "mapping/distance_kernel.h"

namespace zp {

Json toJson(const Model& m) {
  Json priors = Json::object();
  for (const auto& [code, share] : m.options.priors) priors[std::to_string(code)] = share;
  return {{"format", "zany-patch-model"},
          {"version", 1},
          {"method", m.method},
          {"priors", priors},
          {"reject", m.options.reject ? Json(*m.options.reject) : Json(nullptr)},
          {"legend", toJson(m.legend)},
          {"signatures", toJson(m.signatures)}};
}

Model readModel(const std::filesystem::path& file) {
  const Json json = readJson(file, "zany-patch-model", 1, 16u << 20);
  Model m;
  try {
    m.method = json.at("method").get<std::string>();
    for (const auto& [code, share] : json.at("priors").items())
      m.options.priors[classCode(code, "the priors of the model")] = share.get<double>();
    if (json.at("reject").is_number()) m.options.reject = json["reject"].get<double>();
    m.legend = legendFrom(json.at("legend"));
    m.signatures = signaturesFrom(json.at("signatures"));
  } catch (const Json::exception&) {
    throw Error("The model “{}” is not complete; train it again.", file.string());
  }
  method(m.method);
  if (m.signatures.classes.size() > 1024 || m.signatures.bands.size() > kMostBands)
    throw Error(
        "The model “{}” has more classes or bands than a map can use; train it "
        "again.",
        file.string());
  for (const auto& c : m.signatures.classes)
    if (m.legend.find(classCode(std::to_string(c.code), "the model")) == nullptr)
      throw Error("The model “{}” has no legend entry for class {}; train it again.", file.string(),
                  c.code);
  return m;
}

}  // namespace zp
