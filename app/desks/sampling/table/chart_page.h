#pragma once
#include "charts/brushed_chart.h"
#include "desks/sampling/table/sheet_model.h"
#include "look/parts.h"

namespace zp {

/// One kind of chart of the rows that are shown: its choices, the chart, and what is said below it.
/// What is brushed in it chooses rows.
class ChartPage : public QWidget {
  Q_OBJECT
 public:
  ChartPage(TableBook& book, SheetModel& sheet) : book_(book), sheet_(sheet) {}
  /// The table shows something else: the choices, as `kept` says by their names, and the chart.
  void refresh(const Json& kept);
  /// Draws what is chosen; false where there is nothing to draw.
  virtual bool redraw() = 0;
  virtual void showChoice() = 0;
  virtual BrushedChart& chart() = 0;
  /// Of the rows that are shown; none: all alike.
  virtual std::vector<QColor> colours() const { return {}; }
  /// Beside what is said; nullptr for nothing.
  virtual QWidget* beside() { return nullptr; }
  Json choices() const;
  QString title() const { return title_; }
  QString said() const { return said_; }

 Q_SIGNALS:
  void changed();

 protected:
  using Column = SheetColumn;
  enum class Takes { Numbers, Dates, Any };
  /// A choice of one of such columns; with `none`, of no column too.
  QComboBox* addChoice(const char* name, const QString& label, Takes takes,
                       const QString& none = {});
  void addWidget(QWidget* part);
  void setRoom(QWidget* chart);
  const Column* columnOf(const QComboBox* choice) const;
  size_t indexOf(const Column& column) const;
  QString titleOf(const Column& column) const;
  /// Classes in their own colours, other groups in colours that can be told apart.
  std::vector<QColor> coloursBy(const Column* column) const;
  std::vector<bool> chosenShown() const;
  /// Of groups of rows that are shown, those of one; -1 for none.
  void chooseGroup(const std::vector<std::vector<size_t>>& groups, int group);
  void chooseShown(const std::function<bool(size_t row)>& is);

  TableBook& book_;
  SheetModel& sheet_;
  QString title_, said_;

 private:
  struct Choice {
    QComboBox* box;
    Takes takes;
    QString none;
  };
  void build();
  bool isTaken(Takes takes, const Column& column) const;
  bool isRead(const Column& column) const;
  int startOf(const QComboBox& box, int behind) const;
  std::vector<Choice> all_;
  QHBoxLayout* row_ = nullptr;
  QVBoxLayout* column_ = nullptr;
};

}  // namespace zp
