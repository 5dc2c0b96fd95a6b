#include "shell/find_box.h"

#include "look/look.h"

namespace zp {

int findRank(const FindOffer& offer, const QString& wanted) {
  const QString name = offer.name.toLower();
  const auto at = name.indexOf(wanted);
  if (at == 0) return 0;
  if (name.contains(" " + wanted)) return 1;
  if (at > 0) return 2;
  // Every word of the question somewhere in it.
  const QString all = name + " " + offer.kind.toLower() + " " + offer.text.toLower();
  for (const auto& word : wanted.split(' ', Qt::SkipEmptyParts))
    if (!all.contains(word)) return -1;
  return offer.text.isEmpty() ? 3 : 4;
}

FindBox::FindBox(QLineEdit* field, QWidget* window, std::function<std::vector<FindOffer>()> offers,
                 std::function<std::vector<FindOffer>(const QString&)> places)
    : QListWidget(window), field_(field), offers_(std::move(offers)), places_(std::move(places)) {
  setObjectName("findList");
  setAccessibleName(txt("What was found"));
  setTextElideMode(Qt::ElideMiddle);  // both ends of a path tell
  setStyleSheet(QString("#findList { background: %1; border: 1px solid %2; border-radius: 4px; }")
                    .arg(tokens().raised.name(), tokens().hairline.name()));
  setVisible(false);
  setFocusPolicy(Qt::NoFocus);
  setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
  connect(field_, &QLineEdit::textChanged, this, &FindBox::fill);
  connect(field_, &QLineEdit::returnPressed, this, [this] { run(std::max(0, currentRow())); });
  connect(this, &QListWidget::itemClicked, this, [this] { run(currentRow()); });
  connect(field_, &QLineEdit::editingFinished, this, [this] {
    if (!field_->hasFocus()) hide();
  });
  // Up, down and Escape while one types.
  for (const auto& [key, step] : {std::pair{Qt::Key_Down, 1}, {Qt::Key_Up, -1}})
    connect(new QShortcut(key, field_, nullptr, nullptr, Qt::WidgetShortcut), &QShortcut::activated,
            this, [this, step = step] {
              setCurrentRow(std::clamp(currentRow() + step, 0, count() - 1));
            });
  connect(new QShortcut(Qt::Key_Escape, field_, nullptr, nullptr, Qt::WidgetShortcut),
          &QShortcut::activated, this, [this] { field_->clear(), hide(); });
}

void FindBox::fill(const QString& text) {
  constexpr size_t kMost = 10;
  clear();
  shown_.clear();
  const QString wanted = text.trimmed().toLower();
  setVisible(!wanted.isEmpty());
  if (wanted.isEmpty()) return;
  std::vector<std::pair<int, FindOffer>> ranked;
  for (auto& place : places_(text)) ranked.emplace_back(-1, std::move(place));
  for (auto& offer : offers_())
    if (const int rank = findRank(offer, wanted); rank >= 0)
      ranked.emplace_back(rank, std::move(offer));
  std::stable_sort(ranked.begin(), ranked.end(),
                   [](const auto& a, const auto& b) { return a.first < b.first; });
  if (ranked.size() > kMost) ranked.resize(kMost);
  for (auto& [rank, offer] : ranked) {
    addItem(offer.kind.isEmpty() ? offer.name : offer.name + "   " + offer.kind);
    item(count() - 1)->setToolTip(item(count() - 1)->text());  // for where it is too long
    shown_.push_back(std::move(offer));
  }
  if (shown_.empty()) addItem(txt("Nothing of that name"));
  setCurrentRow(0);
  setFixedSize(400, 8 + 26 * count());
  const QPoint at = field_->mapTo(parentWidget(), QPoint(field_->width(), field_->height() + 4));
  move(at.x() - width(), at.y());
  raise();
}

void FindBox::run(int row) {
  std::function<void()> action;
  if (row >= 0 && row < static_cast<int>(shown_.size()))
    action = shown_[static_cast<size_t>(row)].action;
  field_->clear();  // which empties the list too
  if (!action) return;
  Q_EMIT chosen();
  action();
}

}  // namespace zp
