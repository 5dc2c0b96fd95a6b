#pragma once
#include "desks/settings_panel.h"
#include "look/parts.h"

namespace zp {

/// One of several methods, as chips, with a paragraph on the chosen one and its parameters. What
/// was set for each is kept while others are looked at.
class MethodChoice : public QWidget {
  Q_OBJECT
 public:
  struct Entry {
    std::string id, title, about, assumes, fails, source;
    const std::vector<Parameter>* parameters;
  };
  /// Of a Method or a ClusterMethod, which tell the same of themselves.
  template <class AnyMethod>
  static Entry entryOf(const AnyMethod& m) {
    return {m.id, m.title, m.about, m.assumes, m.fails, m.source, &m.parameters};
  }

  /// `name`: of the chips, before the id. The first few stand there at once, the others after a
  /// click.
  MethodChoice(const QString& name, std::vector<Entry> entries);
  const Entry& chosen() const;
  /// What differs from the start. Error with a sentence: what does not fit.
  Json values() const { return settings_->values(); }
  /// Controls are built anew only for another method or other surroundings, which `of` names: what
  /// is being typed stays otherwise.
  void offer(const SettingsPanel::Around& around, const std::string& of);
  void forget();

 Q_SIGNALS:
  void changed();  // another method: offer what stands around it
  void set();      // one of its parameters

 private:
  void choose(const std::string& id);
  void showChips();
  QString explanation() const;

  std::vector<Entry> entries_;
  std::string chosen_;
  std::map<std::string, Json> values_;  // of each method, as they were set last
  std::string offeredFor_;              // what the controls were last built from
  std::map<std::string, QPushButton*> chips_;
  bool all_ = false;  // every method has its chip in sight
  QPushButton* more_;
  Paragraph* explanation_;
  SettingsPanel* settings_;
};

}  // namespace zp
