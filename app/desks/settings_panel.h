#pragma once
#include <QtWidgets>

#include "base/parameter.h"
#include "legend/legend.h"
#include "look/parts.h"
#include "scene/scene.h"

namespace zp {

/// Controls for parameters, built from their descriptions (base/parameter.h): a method's, a
/// feature's. Each control has its parameter's id as object name.
class SettingsPanel : public QWidget {
  Q_OBJECT
 public:
  explicit SettingsPanel(QWidget* parent = nullptr);

  /// What the choices come from: classes for shares, a scene for bands and indices.
  struct Around {
    std::vector<LegendClass> classes;
    const Scene* scene = nullptr;
  };
  /// Other parameters, as they stand in `values` or from the start.
  void offer(const std::vector<Parameter>& parameters, const Json& values, const Around& around);
  /// What differs from the start. Error with a sentence for the person: what does not fit.
  Json values() const;

 Q_SIGNALS:
  void changed();

 private:
  /// One control: reads itself, or throws.
  struct Control {
    Parameter parameter;
    std::function<Json()> read;
  };
  Control field(const Parameter& p, const Json& value);
  Control choice(const Parameter& p, const Json& value,
                 const std::vector<std::pair<std::string, QString>>& choices);
  Control shares(const Parameter& p, const Json& value, const std::vector<LegendClass>& classes);
  void addRow(const Parameter& p, QWidget* control);
  void addShort(const Parameter& p, QLineEdit* edit);
  void foldSeldom(QWidget* seldom, const Json& values);

  QVBoxLayout* layout_;
  QVBoxLayout* seldom_ = nullptr;  // what is folded away
  bool open_ = false;              // and whether it is seen
  std::vector<Control> controls_;
};

/// What each parameter is, to be opened below its controls.
Paragraph* parameterParagraph(const std::vector<Parameter>& parameters);

}  // namespace zp
