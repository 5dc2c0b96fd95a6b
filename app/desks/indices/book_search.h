#pragma once
#include <QtWidgets>

#include "index/index_book.h"
#include "scene/scene.h"

namespace zp {

/// Searches the index book: those the scene can do first, then those it cannot, with what they
/// lack.
class BookSearch : public QWidget {
  Q_OBJECT
 public:
  BookSearch();
  /// What the words find for a scene.
  void show(const Scene& scene);
  void search(const QString& words);
  /// The words are written next.
  void takeFocus() { words_->setFocus(); }

 Q_SIGNALS:
  /// Other words: it is to be shown again.
  void asked();
  void chosen(const std::string& id);

 private:
  void choose(const QListWidgetItem* item);

  QLineEdit* words_;
  QListWidget* found_;
};

}  // namespace zp
