#pragma once
#include "background/latest.h"
#include "desks/mapping/cluster_list.h"
#include "desks/panel.h"
#include "mapping/nearest_signature.h"

namespace zp {

/// The naming board: which class each cluster is, said by looking at where its pixels lie and what
/// they are like. What is said is kept at once, and can be taken back.
class NamingSheet : public QWidget {
  Q_OBJECT
 public:
  explicit NamingSheet(Workbench& bench);
  /// Shows the clusters of a product.
  void open(const QString& product);
  /// The study changed.
  void refresh();
  /// Everything shown has been painted.
  bool ready() const { return view_->complete() && !signaturesJob_.pending(); }

 Q_SIGNALS:
  void leaveAsked();

 protected:
  void keyPressEvent(QKeyEvent*) override;
  void keyReleaseEvent(QKeyEvent*) override;

 private:
  QLayout* buildHead();
  QLayout* buildView();
  QLayout* buildList();
  QLayout* buildFoot();
  const Product* product() const;
  void showHead(const Product& clusters);
  void showRows(const Product& clusters);
  void showFoot();
  void fillKeys();
  void askSignatures(const Product& clusters);
  void light(bool all = false);
  void pick(Place place);
  void say(int code);
  void takeBackName();
  void takeNearest();
  void give(ClusterNaming naming, const QString& what);
  void finish();

  Workbench& bench_;
  std::string id_;
  Latest signaturesJob_;
  QString signaturesOf_;  // what they were computed from
  std::optional<SignatureSet> signatures_;
  std::unique_ptr<TileStore> tiles_;
  MapView* view_;
  ClusterList* list_;
  QLabel *about_, *left_, *trouble_;
  QHBoxLayout* keys_;
  QString keysOf_;  // the legend they were built from
  QPushButton *nearest_, *make_;
};

}  // namespace zp
