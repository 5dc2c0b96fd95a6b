#include "desks/indices/book_search.h"

#include "base/text.h"
#include "look/look.h"
#include "look/parts.h"
#include "shell/index_title.h"

namespace zp {

BookSearch::BookSearch() {
  auto* box = columnIn(this, 6);
  words_ = new QLineEdit;
  words_->setObjectName("bookSearch");
  words_->setAccessibleName(txt("Search the index book"));
  words_->setPlaceholderText(txt("Search: a name, a use, a band, an author"));
  words_->setClearButtonEnabled(true);
  found_ = new QListWidget;
  found_->setObjectName("bookList");
  found_->setAccessibleName(txt("Indices found"));
  found_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
  box->addWidget(words_);
  box->addWidget(found_);
  connect(words_, &QLineEdit::textChanged, this, &BookSearch::asked);
  connect(words_, &QLineEdit::returnPressed, this, [this] {
    for (int i = 0; i < found_->count(); ++i)
      if (found_->item(i)->flags() & Qt::ItemIsEnabled) return choose(found_->item(i));
  });
  connect(found_, &QListWidget::itemClicked, this, &BookSearch::choose);
  connect(found_, &QListWidget::itemActivated, this, &BookSearch::choose);
}

void BookSearch::search(const QString& words) {
  words_->setText(words);
}

void BookSearch::show(const Scene& scene) {
  found_->clear();
  const auto found = searchIndexBook(words_->text().toStdString());
  for (const bool possible : {true, false})
    for (const auto* e : found) {
      const auto missing = missingRoles(*e, scene);
      if (missing.empty() != possible) continue;
      QString title = titleInLists(*e);
      if (!possible) title += txt(": no %1").arg(sentenceOf(listed(missing)));
      auto* item = new QListWidgetItem(title);
      item->setData(Qt::UserRole, q(e->id));
      item->setToolTip(txt(e->name) + ", " + txt(e->source) + "\n" + q(e->formula));
      if (!possible) item->setFlags(item->flags() & ~Qt::ItemIsEnabled);
      found_->addItem(item);
    }
  if (found.empty()) {
    auto* none = new QListWidgetItem(txt("No index of the book has these words."));
    none->setFlags(Qt::NoItemFlags);
    found_->addItem(none);
  }
  fitHeight(found_);
}

void BookSearch::choose(const QListWidgetItem* item) {
  if (item->flags() & Qt::ItemIsEnabled)
    Q_EMIT chosen(item->data(Qt::UserRole).toString().toStdString());
}

}  // namespace zp
