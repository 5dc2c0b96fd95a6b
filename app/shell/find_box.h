#pragma once
#include <QtWidgets>
#include <functional>

namespace zp {

/// Something that find can reach.
struct FindOffer {
  QString name, kind;
  std::function<void()> action;
  QString text;  // searched too, after the names: a paragraph
};

/// How well an offer answers a question: the smaller the better, −1 for not at all. Its name first
/// (from its beginning, then from the beginning of a word, then anywhere), then its text.
int findRank(const FindOffer& offer, const QString& wanted);

/// The list under the find field: everything of the study and the application that one can go to,
/// best match first.
class FindBox : public QListWidget {
  Q_OBJECT
 public:
  /// `offers` is asked at each key for what there is now; `places` for what a text may mean as a
  /// place.
  FindBox(QLineEdit* field, QWidget* window, std::function<std::vector<FindOffer>()> offers,
          std::function<std::vector<FindOffer>(const QString&)> places);

 Q_SIGNALS:
  /// Something was chosen; it is done after this.
  void chosen();

 private:
  void fill(const QString& text);
  void run(int row);

  QLineEdit* field_;
  std::function<std::vector<FindOffer>()> offers_;
  std::function<std::vector<FindOffer>(const QString&)> places_;
  std::vector<FindOffer> shown_;
};

}  // namespace zp
