#include "desks/mapping/method_choice.h"

#include "base/error.h"
#include "look/look.h"

namespace zp {

MethodChoice::MethodChoice(const QString& name, std::vector<Entry> entries)
    : entries_(std::move(entries)), chosen_(entries_.front().id) {
  explanation_ = new Paragraph("");
  explanation_->opener()->setObjectName("explain-" + name);
  auto* title = new QHBoxLayout;
  title->addWidget(sectionLabel(txt("Method")));
  title->addWidget(explanation_->opener());
  title->addStretch();
  more_ = linkButton("");
  more_->setObjectName("more-" + name);
  title->addWidget(more_);
  connect(more_, &QPushButton::clicked, this, [this] {
    all_ = true;
    showChips();
  });
  auto* row = wrapping({}, 6);
  for (const auto& m : entries_) {
    auto* b = chip(txt(m.title));
    b->setObjectName(name + "-" + q(m.id));
    chips_[m.id] = b;
    row->layout()->addWidget(b);
    connect(b, &QPushButton::clicked, this, [this, id = m.id] { choose(id); });
  }
  settings_ = new SettingsPanel;
  // So that they are found by their names before one has been here.
  settings_->offer(*chosen().parameters, Json::object(), {});
  auto* column = columnIn(this, 4);
  column->addLayout(title);
  column->addWidget(explanation_);
  column->addWidget(row);
  column->addSpacing(2);
  column->addWidget(settings_);
  showChips();
  connect(settings_, &SettingsPanel::changed, this, [this] {
    try {
      values_[chosen_] = settings_->values();
    } catch (const Error&) {
      // Half typed; said when the map is asked for.
    }
    Q_EMIT set();
  });
}

const MethodChoice::Entry& MethodChoice::chosen() const {
  return *std::find_if(entries_.begin(), entries_.end(),
                       [this](const Entry& m) { return m.id == chosen_; });
}

/// The chosen method and each of its parameters.
QString MethodChoice::explanation() const {
  const Entry& m = chosen();
  const auto paragraph = [](const QString& head, const QString& text) {
    return QString("<p><b>%1</b> %2</p>").arg(head, text);
  };
  QString html = "<p>" + txt(m.about) + "</p>";
  html += paragraph(txt("Assumes:"), txt(m.assumes)) + paragraph(txt("Fails:"), txt(m.fails));
  for (const auto& p : *m.parameters) html += paragraph(txt(p.title) + ":", txt(p.about));
  return html + "<p><i>" + txt(m.source) + "</i></p>";
}

void MethodChoice::showChips() {
  constexpr size_t kFew = 3;
  qint64 hidden = 0;
  for (size_t i = 0; i < entries_.size(); ++i) {
    const bool seen = all_ || i < kFew || entries_[i].id == chosen_;
    auto* b = chips_.at(entries_[i].id);
    b->setVisible(seen);
    b->setChecked(entries_[i].id == chosen_);
    hidden += seen ? 0 : 1;
  }
  more_->setVisible(hidden > 0);
  more_->setText(txt("%n more…", "%n more…", hidden));
}

void MethodChoice::choose(const std::string& id) {
  chosen_ = id;
  Q_EMIT changed();
}

void MethodChoice::offer(const SettingsPanel::Around& around, const std::string& of) {
  showChips();
  explanation_->setText(explanation());
  Json now = {chosen_, of};
  for (const auto& c : around.classes) now.push_back({c.code, c.name, toQt(c.colour).rgb()});
  if (now.dump() == offeredFor_) return;
  offeredFor_ = now.dump();
  const Json values = values_[chosen_];
  settings_->offer(*chosen().parameters, values.is_null() ? Json::object() : values, around);
}

void MethodChoice::forget() {
  values_.clear();
  offeredFor_.clear();
}

}  // namespace zp
