#include "shell/facts.h"

#include <QCoreApplication>
#include <QFileInfo>
#include <QStringList>

#include "base/error.h"
#include "feature/feature_kind.h"
#include "grid/crs.h"
#include "look/look.h"
#include "mapping/cluster_method.h"
#include "mapping/method.h"
#include "scene/band_axis.h"
#include "shell/index_title.h"
#include "shell/product_face.h"
#include "study/study_scope.h"

namespace zp {
namespace {

/// What can be chosen for such a setting.
const std::map<std::string, const char*>& choiceWords() {
  static const std::map<std::string, const char*> all{
      {"stratified", words("stratified, per class")},
      {"random", words("random")},
      {"systematic", words("systematic")},
      {"blocks", words("in blocks drawn first")},
      {"by-hand", words("by hand")},
      {"proportional", words("by the area of each class")},
      {"given", words("a number for each class")},
      {"staggered", words("rows staggered")},
      {"squares", words("squares")},
      {"hexagons", words("hexagons")},
      {"pixels", words("pixels of the layer")},
      {"by-area", words("by the share that lies inside")},
      {"centres", words("whose centre lies inside")},
      {"zones", words("a row a zone")},
      {"zones-and-dates", words("a row a place and date")},
      {"points-and-dates", words("a row a place and date")},
      {"times", words("how many times")},
      {"first", words("at which date first")},
      {"last", words("at which date last")},
      {"median", words("median")},
      {"greenest", words("greenest pixel")},
      {"gram-schmidt", words("Gram–Schmidt")},
      {"brovey", words("Brovey")},
      {"lee", words("Lee")},
      {"together", words("as one with their class")},
      {"apart", words("apart, mapped as their class")},
      {"kept", words("apart, and kept in the map")},
      {"refined-lee", words("refined Lee")},
      {"float32", words("real numbers")},
      {"uint16", words("whole numbers, 16 bit")},
      {"byte", words("whole numbers, 8 bit")},
      {"comma", words("comma")},
      {"semicolon", words("semicolon")},
      {"tab", words("tab")},
      {"point", words("point")},
      {"within", words("within a polygon")},
      {"overlap", words("the largest overlap")},
      {"nearest", words("the nearest")}};
  return all;
}

/// The settings of steps as a person calls them; those not here are not told.
const std::map<std::string, const char*>& settingTitles() {
  static const std::map<std::string, const char*> all{{"formula", words("Formula")},
                                                      {"at", words("Thresholds")},
                                                      {"classes", words("Classes")},
                                                      {"rules", words("Rules")},
                                                      {"otherwise", words("Otherwise")},
                                                      {"method", words("Method")},
                                                      {"bands", words("Bands")},
                                                      {"band", words("Band")},
                                                      {"features", words("Features")},
                                                      {"settings", words("Parameters")},
                                                      {"priors", words("Priors")},
                                                      {"reject", words("Reject distance")},
                                                      {"subclasses", words("Subclasses")},
                                                      {"least", words("No class below")},
                                                      {"inside", words("Inside")},
                                                      {"plan", words("Plan")},
                                                      {"count", words("Count")},
                                                      {"seed", words("Seed")},
                                                      {"apart", words("Smallest spacing")},
                                                      {"split", words("Shared out")},
                                                      {"spacing", words("Spacing")},
                                                      {"across", words("Points across")},
                                                      {"down", words("Points down")},
                                                      {"form", words("Form")},
                                                      {"blocks", words("Blocks")},
                                                      {"block_size", words("Side of a block")},
                                                      {"edge", words("From the edge")},
                                                      {"size", words("Side")},
                                                      {"system", words("Written in")},
                                                      {"statistics", words("Statistics")},
                                                      {"pixels", words("Pixels")},
                                                      {"rows", words("Table")},
                                                      {"code", words("Class")},
                                                      {"what", words("Tells")},
                                                      {"how", words("How")},
                                                      {"window", words("Window, pixels")},
                                                      {"looks", words("Looks")},
                                                      {"elevation", words("Sun’s height, °")},
                                                      {"azimuth", words("Sun’s bearing, °")},
                                                      {"model", words("By the model")},
                                                      {"signatures", words("By the signatures")},
                                                      {"kept", words("Classes kept of")},
                                                      {"kept_classes", words("Kept classes")},
                                                      {"power", words("Power of the scattering")},
                                                      {"dark", words("Value of dark ground")},
                                                      {"start", words("Starting band")},
                                                      {"type", words("Number type")},
                                                      {"scale", words("Scale")},
                                                      {"offset", words("Offset")},
                                                      {"file", words("From the file")},
                                                      {"field", words("Class field")},
                                                      {"separator", words("Parted by")},
                                                      {"decimal", words("Decimal")},
                                                      {"by", words("Told by")},
                                                      {"place", words("Told by place")},
                                                      {"match", words("Classes matched")},
                                                      {"names", words("Clusters named")},
                                                      {"majority", words("Majority in, pixels")},
                                                      {"smallest", words("Smallest patch, pixels")},
                                                      {"unit", words("Unit")},
                                                      {"from", words("From")},
                                                      {"attributes", words("Columns of")},
                                                      {"nearest", words("Nearest of")},
                                                      {"to", words("To")},
                                                      {"date", words("Date")}};
  return all;
}

QString nameOf(const Study& study, const std::string& id) {
  if (const auto* s = study.scene(id)) return q(s->scene.name);
  if (const auto* p = study.product(id)) return q(p->name);
  for (const auto& o : study.outlines)
    if (o.id == id) return q(o.name);
  for (const auto& p : study.bin)
    if (p.id == id) return q(p.name) + txt(" (in the bin)");
  if (id == kTrainingInput) return txt("the training areas");
  if (id == kDeliveryInput) return txt("the delivery grid");
  return {};
}

QString className(const Study& study, int code) {
  const auto* c = study.legend.find(code);
  return c != nullptr ? q(c->name) : txt("class %1").arg(code);
}

QString bandName(const Study& study, const Json& step, size_t band) {
  const auto* s = study.scene(step.value("scene", ""));
  if (s == nullptr || band >= s->scene.bands.size())
    return QString::number(static_cast<int>(band) + 1);
  const auto& b = s->scene.bands[band];
  return q(calledBand(b));
}

QString valueText(const Study& study, const Json& v);
QString settingWords(const Study& study, const Json& step, const std::string& key, const Json& v);

QString wordsOfAll(const Study& study, const Json& list) {
  QStringList all;
  for (const auto& one : list)
    if (const QString text = valueText(study, one); !text.isEmpty()) all << text;
  return all.join(", ");
}

/// Any value without its innards: names for ids, figures, lists.
QString valueText(const Study& study, const Json& v) {
  if (v.is_string()) {
    const auto text = v.get<std::string>();
    const QString name = nameOf(study, text);
    return (name.isEmpty() ? q(text) : name).toHtmlEscaped();
  }
  if (v.is_boolean()) return v.get<bool>() ? txt("yes") : txt("no");
  if (v.is_number()) return compact(v.get<double>());
  if (v.is_array()) return wordsOfAll(study, v);
  if (!v.is_object()) return {};
  if (v.contains("when"))
    return txt("%1 where %2")
        .arg(valueText(study, v.value("name", Json())), q(v.value("when", "")).toHtmlEscaped());
  if (v.contains("name")) return valueText(study, v["name"]);
  if (v.contains("band") && v["band"].is_number_unsigned())
    return bandName(study, v, v["band"].get<size_t>());
  return {};
}

/// Of a feature's line: what is in it without its form and what it is of.
QString featureWords(const FeatureLine& line) {
  const FeatureKind& kind = featureKind(line.kind);
  QStringList parts;
  for (const auto& a : line.arguments) parts << txt(a);
  if (line.kind == "index" && !line.arguments.empty())
    return titleInLists(indexEntry(line.arguments[0]));
  if (line.kind == "season" && parts.size() > 2) parts.removeLast();  // its dates are inputs
  const QString words = parts.join(", ");
  return line.kind == "band" ? words : (txt(kind.title) + " " + words).trimmed();
}

/// Features that are of one scene stand together.
QString featuresWords(const Study& study, const Json& step, const Json& lines) {
  QList<std::pair<std::string, QStringList>> groups;
  for (const auto& text : lines) {
    if (!text.is_string()) continue;
    FeatureLine line;
    QString told = q(text.get<std::string>());
    try {
      line = parseFeature(text.get<std::string>());
      told = featureWords(line);
    } catch (const Error&) {
      // Of another version; told as it stands.
    }
    if (groups.isEmpty() || groups.back().first != line.of) groups.append({line.of, {}});
    groups.back().second << told;
  }
  QStringList all;
  for (const auto& [of, told] : groups) {
    const QString name = nameOf(study, step.value("with", Json::object()).value(of, ""));
    all << (of.empty() ? told.join(", ")
                       : txt("%1 of %2").arg(told.join(", "), name.isEmpty() ? q(of) : name));
  }
  return all.join("; ");
}

/// Of a method of either sort.
const std::vector<Parameter>* parametersOf(const std::string& id) {
  for (const auto* m : methods())
    if (m->id == id) return &m->parameters;
  for (const auto* m : clusterMethods())
    if (m->id == id) return &m->parameters;
  return nullptr;
}

/// Of a method's parameters.
QString settingsWords(const Study& study, const Json& step, const Json& settings) {
  QStringList all;
  if (const auto* parameters = parametersOf(step.value("method", "")))
    for (const auto& p : *parameters)
      if (settings.contains(p.id))
        all << txt("%1: %2").arg(txt(p.title),
                                 p.type == Parameter::Type::Shares
                                     ? settingWords(study, step, "priors", settings[p.id])
                                     : valueText(study, settings[p.id]));
  return all.join("; ").toHtmlEscaped();
}

QString settingWords(const Study& study, const Json& step, const std::string& key, const Json& v) {
  if (key == "formula" && v.is_string()) return q(v.get<std::string>()).toHtmlEscaped();
  if (key == "file" && v.is_string())
    return QFileInfo(q(v.get<std::string>())).fileName().toHtmlEscaped();
  if (key == "method" && v.is_string()) {
    for (const auto* m : methods())
      if (m->id == v) return txt(m->title).toHtmlEscaped();
    for (const auto* m : clusterMethods())
      if (m->id == v) return txt(m->title).toHtmlEscaped();
  }
  static const std::set<std::string> chosen{"how",   "what", "plan",   "type",
                                            "split", "form", "pixels", "rows"};
  if (chosen.count(key) > 0 && v.is_string()) {
    const auto& words = choiceWords();
    const auto at = words.find(v.get<std::string>());
    return (at == words.end() ? q(v.get<std::string>()) : txt(at->second)).toHtmlEscaped();
  }
  if (key == "date" && v.is_string()) return niceDate(v.get<std::string>()).toHtmlEscaped();
  if (key == "code" && v.is_number_integer()) return className(study, v.get<int>()).toHtmlEscaped();
  if ((key == "band" || key == "start") && v.is_number_unsigned())
    return bandName(study, step, v.get<size_t>()).toHtmlEscaped();
  if (key == "bands" && v.is_array() && !v.empty() && v[0].is_number_unsigned()) {
    QStringList all;
    for (const auto& b : v) all << bandName(study, step, b.get<size_t>());
    return all.join(", ").toHtmlEscaped();
  }
  if (key == "features" && v.is_array()) return featuresWords(study, step, v).toHtmlEscaped();
  if (key == "settings" && v.is_object()) return settingsWords(study, step, v);
  if (key == "names" && v.is_object()) {
    QStringList all;
    for (const auto& [cluster, code] : v.items())
      if (code.is_number_integer())
        all << q(cluster) + " → " + (code == 0 ? txt("left out") : className(study, code));
    return all.join(", ").toHtmlEscaped();
  }
  if ((key == "priors" || key == "match") && v.is_object()) {
    QStringList all;
    for (const auto& [code, value] : v.items())
      all << (key == "priors" ? className(study, q(code).toInt()) + " " + valueText(study, value)
                              : q(code) + " → " +
                                    (value.is_number_integer() ? className(study, value.get<int>())
                                                               : QString()));
    return all.join(", ").toHtmlEscaped();
  }
  return valueText(study, v);
}

void addRow(QString& html, const QString& label, const QString& text) {
  if (!text.isEmpty())
    html += QString("<tr><td style='padding-right:12px; color:%1'>%2</td><td>%3</td></tr>")
                .arg(tokens().second.name(), label, text);
}

QString productFacts(const Study& study, const Product& p) {
  QString html =
      QString("<b>%1</b><table cellspacing=0 cellpadding=1>").arg(q(p.name).toHtmlEscaped());
  addRow(html, txt("Is"), txt(titleOf(p.kind)));
  addRow(html, txt("Made"),
         niceDate(p.made.substr(0, 10)) +
             q(p.made.size() > 15 ? ", " + p.made.substr(11, 5) + " UTC" : ""));
  addRow(html, txt("Stands for"), niceDate(p.date));
  QStringList from;
  for (const auto& i : p.inputs) {
    if (i.id == kDeliveryInput && i.revision == 0) continue;
    const QString name = nameOf(study, i.id);
    from << (name.isEmpty() ? txt("something that is gone") : name).toHtmlEscaped() +
                (study.revisionOf(i.id) != i.revision ? txt(" (changed since)") : QString());
  }
  addRow(html, txt("Made from"), from.join(", "));
  const auto& titles = settingTitles();
  for (const auto& [key, value] : p.step.items())
    if (const auto at = titles.find(key);
        at != titles.end() && !(key == "inside" && from.contains(valueText(study, value))))
      addRow(html, txt(at->second), settingWords(study, p.step, key, value));
  for (const auto& [label, text] : faceOf(p.kind).facts(p)) addRow(html, label, text);
  const QFileInfo file(q(p.file.string()));
  addRow(html, txt("File"),
         file.fileName().toHtmlEscaped() + ", " +
             languageOfWords().formattedDataSize(file.size(), 1, QLocale::DataSizeIecFormat));
  return html + "</table>";
}

QString sceneFacts(const StudyScene& s) {
  const Scene& scene = s.scene;
  QString html =
      QString("<b>%1</b><table cellspacing=0 cellpadding=1>").arg(q(scene.name).toHtmlEscaped());
  addRow(html, txt("Date"), niceDate(scene.date));
  addRow(html, txt("Values"), txt(titleOf(scene.state)));
  QStringList bands;
  for (const auto& b : scene.bands) bands << q(calledBand(b));
  addRow(html, txt("Bands"), bands.join(", ").toHtmlEscaped());
  addRow(html, txt("Size"),
         txt("%1 x %2 pixels of %3 %4")
             .arg(grouped(static_cast<qulonglong>(scene.grid.width)))
             .arg(grouped(static_cast<qulonglong>(scene.grid.height)))
             .arg(compact(scene.grid.pixelWidth()), crsIsGeographic(scene.grid.crs) ? "°" : "m"));
  addRow(html, txt("Lies in"), q(crsTitle(scene.grid.crs)).toHtmlEscaped());
  addRow(html, txt("Set aside"),
         scene.mask.empty() ? txt("nothing") : txt("some pixels, see Scenes"));
  return html + "</table>";
}

}  // namespace

QString factsOf(const Study& study, const QString& id) {
  if (const auto* p = study.product(id.toStdString())) return productFacts(study, *p);
  if (const auto* s = study.scene(id.toStdString())) return sceneFacts(*s);
  return {};
}

}  // namespace zp
