#include "desks/settings_panel.h"

#include "base/error.h"
#include "base/text.h"
#include "index/index_book.h"
#include "look/look.h"
#include "look/parts.h"
#include "shell/index_title.h"

namespace zp {
namespace {

using Choices = std::vector<std::pair<std::string, QString>>;

Choices choicesOf(const Parameter& p) {
  Choices all;
  for (const auto& [id, title] : p.choices) all.emplace_back(id, txt(title));
  return all;
}

Choices bandsOf(const Scene& scene) {
  Choices all;
  for (size_t b = 0; b < scene.bands.size(); ++b) {
    const auto& band = scene.bands[b];
    const bool role = !band.role.empty() && scene.bandOf(band.role) == static_cast<int>(b);
    all.emplace_back(role ? band.role : std::to_string(b + 1), q(role ? band.role : band.name));
  }
  return all;
}

/// Those that the scene has the bands for.
Choices indicesOf(const Scene& scene) {
  Choices all;
  for (const auto& e : indexBook())
    if (missingRoles(e, scene).empty()) all.emplace_back(e.id, titleInLists(e));
  return all;
}

}  // namespace

SettingsPanel::SettingsPanel(QWidget* parent) : QWidget(parent) {
  layout_ = new QVBoxLayout(this);
  layout_->setContentsMargins(0, 0, 0, 0);
  layout_->setSpacing(8);
}

void SettingsPanel::offer(const std::vector<Parameter>& parameters, const Json& values,
                          const Around& around) {
  controls_.clear();
  while (auto* item = layout_->takeAt(0)) {
    if (item->widget() != nullptr) item->widget()->hide(), item->widget()->deleteLater();
    delete item;
  }
  auto* seldom = new QWidget;
  seldom_ = columnIn(seldom);
  for (const auto& p : parameters) {
    const Json value = values.value(p.id, p.initial);
    switch (p.type) {
      case Parameter::Type::Choice:
        controls_.push_back(choice(p, value, choicesOf(p)));
        break;
      case Parameter::Type::Band:
        controls_.push_back(choice(p, value, around.scene ? bandsOf(*around.scene) : Choices()));
        break;
      case Parameter::Type::Index:
        controls_.push_back(choice(p, value, around.scene ? indicesOf(*around.scene) : Choices()));
        break;
      case Parameter::Type::Shares:
        controls_.push_back(shares(p, value, around.classes));
        break;
      default:
        controls_.push_back(field(p, value));
    }
  }
  foldSeldom(seldom, values);
}

/// Unfolded where one of them is not as it is from the start.
void SettingsPanel::foldSeldom(QWidget* seldom, const Json& values) {
  layout_->addWidget(seldom);
  bool any = false, own = false;
  for (const auto& c : controls_) {
    any = any || c.parameter.seldom;
    own = own || (c.parameter.seldom && values.contains(c.parameter.id));
  }
  if (!any) return seldom->hide();
  auto* more = linkButton("");
  more->setObjectName("moreSettings");
  layout_->insertWidget(layout_->count() - 1, more, 0, Qt::AlignLeft);
  const auto show = [this, seldom, more](bool open) {
    open_ = open;
    seldom->setVisible(open);
    more->setText(open ? txt("Less") : txt("More…"));
  };
  show(open_ || own);
  connect(more, &QPushButton::clicked, seldom, [this, show] { show(!open_); });
}

Json SettingsPanel::values() const {
  Json all = Json::object();
  for (const auto& c : controls_) {
    const Json value = c.read();
    if (value != c.parameter.initial) all[c.parameter.id] = value;
  }
  return all;
}

void SettingsPanel::addRow(const Parameter& p, QWidget* control) {
  control->setObjectName(q(p.id));
  control->setToolTip(txt(p.about));
  (p.seldom ? seldom_ : layout_)->addWidget(fieldRow(txt(p.title), {control}));
}

/// A few digits do not need a line of their own.
void SettingsPanel::addShort(const Parameter& p, QLineEdit* edit) {
  edit->setObjectName(q(p.id));
  edit->setToolTip(txt(p.about));
  edit->setFixedWidth(QFontMetrics(textFont()).horizontalAdvance("1000000000"));
  auto* layout = p.seldom ? seldom_ : layout_;
  auto* last = layout->count() == 0 ? nullptr : layout->itemAt(layout->count() - 1)->widget();
  if (last == nullptr || last->property("short").isNull()) {
    last = wrapping({}, 12);
    last->setProperty("short", true);
    layout->addWidget(last);
  }
  const QString title = txt(p.title);
  last->layout()->addWidget(
      fieldRow(title, {edit}, QFontMetrics(textFont()).horizontalAdvance(title) + 4));
}

SettingsPanel::Control SettingsPanel::field(const Parameter& p, const Json& value) {
  auto* edit = new QLineEdit(q(textOf(p, value)));
  if (!p.unset.empty()) edit->setPlaceholderText(txt(p.unset));
  const bool few = p.type == Parameter::Type::Whole && p.unset.empty();
  few ? addShort(p, edit) : addRow(p, edit);
  connect(edit, &QLineEdit::textChanged, this, &SettingsPanel::changed);
  return {p, [p, edit]() -> Json {
            const auto text = edit->text().trimmed().toStdString();
            if (text.empty() && (p.initial.is_null() && !p.unset.empty())) return nullptr;
            try {
              return settingFromText(p, text);
            } catch (const Error&) {
              throw p.unset.empty()
                  ? Error("{} has to be {}; mend it.", Sentence(p.title), rangeOf(p))
                  : Error("{} has to be {}; mend it or leave it empty.", Sentence(p.title),
                          rangeOf(p));
            }
          }};
}

SettingsPanel::Control SettingsPanel::choice(const Parameter& p, const Json& value,
                                             const Choices& choices) {
  auto* box = new LongChoice;
  for (const auto& [id, title] : choices) box->addItem(title, q(id));
  if (value.is_string())
    box->setCurrentIndex(std::max(0, box->findData(q(value.get<std::string>()))));
  addRow(p, box);
  connect(box, &QComboBox::currentIndexChanged, this, &SettingsPanel::changed);
  return {p, [p, box]() -> Json {
            if (box->currentIndex() < 0)
              throw Error("There is nothing to choose for {} here.", Sentence(p.title));
            return box->currentData().toString().toStdString();
          }};
}

SettingsPanel::Control SettingsPanel::shares(const Parameter& p, const Json& value,
                                             const std::vector<LegendClass>& classes) {
  auto* box = new QComboBox;
  box->addItems({txt("equal"), txt("shares of my own")});
  addRow(p, box);
  auto* table = plainTable({txt("Class"), txt("share, %")});
  table->setObjectName(q(p.id) + "Table");
  table->setAccessibleName(txt(p.title));
  table->setEditTriggers(QAbstractItemView::AllEditTriggers);
  table->setRowCount(static_cast<int>(classes.size()));
  for (int r = 0; r < table->rowCount(); ++r) {
    const auto& c = classes[static_cast<size_t>(r)];
    auto* name = new QTableWidgetItem(swatch(toQt(c.colour)), q(c.name));
    name->setData(Qt::UserRole, c.code);
    name->setFlags(name->flags() & ~Qt::ItemIsEditable);
    table->setItem(r, 0, name);
    // Shares of one's own stay while the classes are the same; their names may have changed.
    const Json own = value.is_object() ? value.value(std::to_string(c.code), Json()) : Json();
    table->setItem(
        r, 1,
        figureItem(own.is_number()
                       ? fieldNumber(own.get<double>())
                       : QString::number(100.0 / static_cast<double>(classes.size()), 'f', 1)));
  }
  fitHeight(table);
  box->setCurrentIndex(value.is_object() && !value.empty() ? 1 : 0);
  table->setVisible(box->currentIndex() == 1);
  layout_->addWidget(table);
  connect(box, &QComboBox::currentIndexChanged, table, [table](int i) {
    table->setVisible(i == 1);
    fitHeight(table);
  });
  connect(box, &QComboBox::currentIndexChanged, this, &SettingsPanel::changed);
  connect(table, &QTableWidget::itemChanged, this, &SettingsPanel::changed);
  return {p, [p, box, table, classes]() -> Json {
            Json all = Json::object();
            for (int r = 0; box->currentIndex() == 1 && r < table->rowCount(); ++r) {
              const auto& c = classes[static_cast<size_t>(r)];
              const auto share = typedNumber(table->item(r, 1)->text());
              if (!share || !(*share > 0))
                throw Error("The share of {} is not a number above 0.", c.name);
              all[std::to_string(c.code)] = *share;
            }
            return all;
          }};
}

Paragraph* parameterParagraph(const std::vector<Parameter>& parameters) {
  QString html;
  for (const auto& p : parameters)
    html += QString("<p><b>%1</b> %2</p>").arg(txt(p.title) + ":", txt(p.about));
  return new Paragraph(html);
}

}  // namespace zp
