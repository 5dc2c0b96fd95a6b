#pragma once
#include <QObject>
#include <memory>

#include "background/latest.h"
#include "sampling/table_edits.h"
#include "shell/workbench.h"
#include "study/table_places.h"

namespace zp {

/// The table that is looked at: what is done to it, which of its rows are shown and in which order,
/// which are chosen. All but the choice is kept with the study, can be taken back, and leaves the
/// file of the table as it is. Rows are named by their place in that file, columns by their name.
class TableBook : public QObject {
  Q_OBJECT
 public:
  explicit TableBook(Workbench& bench);
  void open(const QString& product);
  void close();
  /// The study changed.
  void refresh();
  /// What is shown is up to date.
  bool ready() const { return !reading_.pending() && !computing_.pending(); }

  /// nullptr while none is open, or it has gone.
  const Product* product() const;
  /// With everything done to it; all rows.
  const Sheet& whole() const { return *whole_; }
  /// The rows that are shown, in their order.
  const Sheet& shown() const { return *shown_; }
  bool isHidden(const std::string& column) const;
  int hiddenColumns() const;
  QString where() const;
  /// Of the column that orders the rows; "" for none.
  std::string sortedBy() const;
  bool sortedDown() const;
  /// The formula that a column was computed by; "" for one that was read.
  std::string formulaOf(const std::string& column) const;

  /// Checks an edit as it would be done next, and tells how many rows it would touch, or what is
  /// wrong with it.
  void look(const TableEdit& edit, std::function<void(size_t rows)> would,
            std::function<void(const QString& sentence)> wrong);
  void edit(const TableEdit& edit, const QString& what);
  void setWhere(const QString& formula);
  /// The rows in the order of a column; "" for that of the file.
  void sortBy(const std::string& column, bool down);
  void hide(const std::string& column);
  void showAllColumns();
  /// What makes the table as it is shown from its file, as edits of a step.
  Json editsShown() const;

  const std::vector<bool>& chosen() const { return chosen_; }
  size_t chosenCount() const { return chosenCount_; }
  void choose(const std::vector<size_t>& rows);

  /// Where the rows lie; nullptr where that is not known.
  const TablePlaces* places() const { return places_ ? &*places_ : nullptr; }
  const Layer* layer() const { return layer_.get(); }

 Q_SIGNALS:
  void opened();   // another table, or its file was made again
  void changed();  // what is shown of it
  void choiceChanged();
  /// "" when all is well.
  void trouble(const QString& sentence);

 private:
  struct Read {
    std::shared_ptr<const Sheet> sheet;
    std::optional<TablePlaces> places;
    std::shared_ptr<const Layer> layer;
  };
  struct Shown {
    std::shared_ptr<const Sheet> whole, shown;
    QString trouble;
  };
  static Read read(const Study& study, const Product& product);
  static Shown shownOf(const Sheet& read, const Json& state);
  std::string key() const { return "table/" + id_.toStdString(); }
  Json state() const;
  void keep(const Json& state, const QString& what);
  void take(Read read);
  void compute();

  Workbench& bench_;
  Latest reading_, computing_, looking_;
  QString id_;
  int revision_ = -1;
  std::shared_ptr<const Sheet> read_, whole_, shown_;
  Json seen_;  // the state that is shown
  std::optional<TablePlaces> places_;
  std::shared_ptr<const Layer> layer_;
  std::vector<bool> chosen_;
  size_t chosenCount_ = 0;
};

}  // namespace zp
