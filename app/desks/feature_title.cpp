#include "desks/feature_title.h"

#include "base/error.h"
#include "feature/feature_kind.h"
#include "look/look.h"

namespace zp {

QString titleOfFeature(const Study& study, const Json& step, size_t feature,
                       const std::string& name) {
  const Json lines = step.value("features", Json::array());
  if (feature >= lines.size() || !lines[feature].is_string()) return q(name);
  try {
    const auto of = parseFeature(lines[feature].get<std::string>()).of;
    const auto* s = study.scene(step.value("with", Json::object()).value(of, ""));
    if (s == nullptr) return q(name);
    const QString date =
        s->scene.date.empty() ? q(s->scene.name) : niceDate(s->scene.date).section(' ', 0, 1);
    QString title = q(name);
    if (const QString layer = " of " + q(of); title.endsWith(layer)) title.chop(layer.size());
    return title + ", " + date;
  } catch (const Error&) {
    return q(name);
  }
}

}  // namespace zp
