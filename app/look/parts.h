#pragma once
#include <QtWidgets>

#include "look/words.h"

namespace zp {

// The small parts every desk is made of. All take an object name where tests and the tour need one.
QLabel* headingLabel(const QString& text);
QLabel* sectionLabel(const QString& text);
QLabel* secondLabel(const QString& text);
QPushButton* chip(const QString& text, bool checkable = true);
QPushButton* primaryButton(const QString& text);
QPushButton* quietButton(const QString& text);
QPushButton* linkButton(const QString& text);
QFrame* hairline();
/// A small square in a colour.
QIcon swatch(const QColor& colour, int size = 12);
/// A label with its fields beside it, as one widget; the fields are named by the label where they
/// have no name of their own.
QWidget* fieldRow(const QString& label, std::initializer_list<QWidget*> fields,
                  int labelWidth = 108);
/// The column of a widget, without margins.
QVBoxLayout* columnIn(QWidget* holder, int spacing = 8);
void setTone(QLabel* label, const char* tone);
/// A sheet of two parts with a hairline between them; the left one gets the room there is.
void placeSideBySide(QWidget* sheet, QLayout* left, QWidget* right);
/// Without a sentence the label takes no room.
void tellIn(QLabel* label, const QString& sentence);

/// Children side by side, on as many lines as they need.
class FlowLayout : public QLayout {
 public:
  explicit FlowLayout(int spacing = 8);
  ~FlowLayout() override;
  void addItem(QLayoutItem* item) override;
  int count() const override { return static_cast<int>(items_.size()); }
  QLayoutItem* itemAt(int i) const override { return items_.value(i); }
  QLayoutItem* takeAt(int i) override;
  Qt::Orientations expandingDirections() const override { return {}; }
  bool hasHeightForWidth() const override { return true; }
  int heightForWidth(int width) const override;
  QSize minimumSize() const override;
  QSize sizeHint() const override { return minimumSize(); }
  void setGeometry(const QRect& rect) override;

 private:
  int arrange(const QRect& rect, bool apply) const;
  QList<QLayoutItem*> items_;
  int spacing_;
};

/// Such a row as one widget.
QWidget* wrapping(const QList<QWidget*>& parts, int spacing = 8);

/// A choice between long names: as wide as there is room, a name that is longer ends in … and is
/// told whole as a hint.
class LongChoice : public QComboBox {
 public:
  explicit LongChoice(QWidget* parent = nullptr);

 protected:
  void paintEvent(QPaintEvent* e) override;
  bool event(QEvent* e) override;

 private:
  QString shown() const;
};

/// A paragraph that opens in place below what it explains.
class Paragraph : public QWidget {
  Q_OBJECT
 public:
  explicit Paragraph(const QString& html, QWidget* parent = nullptr);
  QToolButton* opener() const { return opener_; }
  void setText(const QString& html) { text_->setText(html); }

 private:
  QToolButton* opener_;
  QLabel* text_;
};

/// A field of text with its name for tests and a hint of what is written in it.
QLineEdit* lineEdit(const char* name, const QString& hint = {});
/// A choice that is as low as the rows of a table.
QComboBox* choiceInTable(const QString& name, const QString& accessible);

/// A table without a frame: text left, figures right in the figure face.
QTableWidget* plainTable(const QStringList& columns);
/// The same for one that has its columns.
void dressTable(QTableWidget* table);
/// One of two columns with a choice in each row of the second, which is `width` pixels wide.
QTableWidget* tableOfChoices(const QStringList& columns, const char* name, int width);
QTableWidgetItem* figureItem(const QString& text);
/// As tall as its rows.
void fitHeight(QTableWidget* table, int most = 12);
/// So that the desk has the one scroll bar.
void fitHeight(QListWidget* list);

}  // namespace zp
