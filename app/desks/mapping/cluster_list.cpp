#include "desks/mapping/cluster_list.h"

#include "look/look.h"
#include "look/parts.h"

namespace zp {
namespace {

constexpr int kRow = 34;

/// Draws one line of the list.
class ClusterLine : public QStyledItemDelegate {
 public:
  explicit ClusterLine(ClusterList& list) : QStyledItemDelegate(&list), list_(list) {}

  QSize sizeHint(const QStyleOptionViewItem&, const QModelIndex&) const override {
    return {list_.viewport()->width(), kRow};
  }

  void paint(QPainter* p, const QStyleOptionViewItem& option,
             const QModelIndex& index) const override {
    const auto& row = list_.rows().at(static_cast<size_t>(index.row()));
    const Tokens& t = tokens();
    const QRect r = option.rect;
    p->save();
    p->setRenderHint(QPainter::Antialiasing);
    if ((option.state & QStyle::State_Selected) != 0)
      p->fillRect(r, t.chosen);
    else if (row.code == list_.hovered())
      p->fillRect(r, t.raised);
    p->setPen(Qt::NoPen);
    p->setBrush(row.colour);
    p->drawRoundedRect(QRect(r.left() + 10, r.center().y() - 7, 16, 16), 3, 3);
    paintShare(*p, r, row);
    paintProfile(*p, r, row);
    paintNearest(*p, r, row);
    paintIs(*p, r, row);
    p->restore();
  }

 private:
  void paintShare(QPainter& p, const QRect& r, const ClusterRow& row) const {
    p.setFont(figureFont(10));
    p.setPen(tokens().text);
    const int x = r.left() + ClusterList::kShare;
    p.drawText(QRect(x, r.top(), 50, r.height()), Qt::AlignVCenter | Qt::AlignRight,
               decimal(row.share * 100, 1) + " %");
    const double largest = list_.rows().front().share;
    p.setPen(Qt::NoPen);
    p.setBrush(tokens().second);
    const double length = largest > 0 ? 46 * row.share / largest : 0;
    p.drawRoundedRect(QRectF(x + 56, r.center().y() - 2, std::max(2.0, length), 5), 2.5, 2.5);
  }

  void paintProfile(QPainter& p, const QRect& r, const ClusterRow& row) const {
    const QRectF box(r.left() + ClusterList::kProfile, r.top() + 4, 120, r.height() - 8);
    const auto placed = [&](const QPolygonF& of) {
      QPolygonF line;
      for (const auto& at : of)
        line << QPointF(box.left() + at.x() * box.width(), box.bottom() - at.y() * box.height());
      return line;
    };
    p.setBrush(Qt::NoBrush);
    p.setPen(QPen(tokens().text, 1.4));
    p.drawPolyline(placed(row.profile));
    if (row.profile.size() == 1) p.drawEllipse(placed(row.profile).first(), 2, 2);
    if (row.nearest.isEmpty()) return;
    p.setPen(QPen(row.nearestColour, 1.4, Qt::DashLine));
    p.drawPolyline(placed(row.nearest));
  }

  void paintName(QPainter& p, const QRect& at, const QString& name, const QColor& colour) const {
    p.setPen(Qt::NoPen);
    p.setBrush(colour);
    p.drawRoundedRect(QRect(at.left(), at.center().y() - 5, 12, 12), 2, 2);
    p.setPen(tokens().text);
    p.drawText(at.adjusted(19, 0, 0, 0), Qt::AlignVCenter,
               p.fontMetrics().elidedText(name, Qt::ElideRight, at.width() - 19));
  }

  void paintNearest(QPainter& p, const QRect& r, const ClusterRow& row) const {
    if (row.nearestName.isEmpty()) return;
    const QRect at(r.left() + ClusterList::kNearest, r.top(), 126, r.height());
    p.setFont(textFont(10));
    paintName(p, at, row.nearestName, row.nearestColour);
    p.setFont(figureFont(10));
    p.setPen(tokens().second);
    p.drawText(QRect(at.right() + 2, r.top(), 40, r.height()), Qt::AlignVCenter | Qt::AlignRight,
               row.distance < 10 ? decimal(row.distance, 1) : QString("> 9"));
  }

  void paintIs(QPainter& p, const QRect& r, const ClusterRow& row) const {
    const QRect at(r.left() + ClusterList::kIs, r.top(), r.width() - ClusterList::kIs - 6,
                   r.height());
    p.setFont(textFont(10));
    if (row.is && *row.is != 0) return paintName(p, at, row.name, row.classColour);
    p.setPen(tokens().second);
    p.drawText(at, Qt::AlignVCenter, row.is ? txt("left out") : txt("not named yet"));
  }

  ClusterList& list_;
};

QString toldOf(const ClusterRow& row) {
  const QString is = row.is ? (*row.is == 0 ? txt("left out") : row.name) : txt("not named yet");
  QStringList told{txt("Cluster %1").arg(row.code), decimal(row.share * 100, 1) + " %", is};
  if (!row.nearestName.isEmpty())
    told << txt("nearest %1, %2 spreads away").arg(row.nearestName, decimal(row.distance, 1));
  return told.join(", ");
}

}  // namespace

ClusterList::ClusterList(QWidget* parent) : QListWidget(parent) {
  setItemDelegate(new ClusterLine(*this));
  setMouseTracking(true);
  setFrameShape(QFrame::NoFrame);
  setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
  setVerticalScrollMode(ScrollPerPixel);
  setAccessibleName(txt("Clusters"));
  setStyleSheet("QListWidget { background: transparent; border: none; }");
  connect(this, &QListWidget::currentRowChanged, this, &ClusterList::lit);
}

void ClusterList::setRows(std::vector<ClusterRow> rows) {
  rows_ = std::move(rows);
  const QSignalBlocker quiet(this);
  while (count() > static_cast<int>(rows_.size())) delete takeItem(count() - 1);
  for (size_t i = 0; i < rows_.size(); ++i) {
    if (static_cast<int>(i) == count()) addItem("");
    item(static_cast<int>(i))->setData(Qt::AccessibleTextRole, toldOf(rows_[i]));
  }
  if (currentRow() < 0 && count() > 0) setCurrentRow(0);
  viewport()->update();
}

int ClusterList::chosen() const {
  const int at = currentRow();
  return at < 0 || at >= static_cast<int>(rows_.size()) ? 0 : rows_[static_cast<size_t>(at)].code;
}

void ClusterList::choose(int code) {
  for (size_t i = 0; i < rows_.size(); ++i)
    if (rows_[i].code == code) setCurrentRow(static_cast<int>(i));
}

void ClusterList::setHovered(int code) {
  if (code == hovered_) return;
  hovered_ = code;
  viewport()->update();
  Q_EMIT lit();
}

bool ClusterList::viewportEvent(QEvent* e) {
  if (e->type() == QEvent::MouseMove) {
    const auto* under = itemAt(static_cast<QMouseEvent*>(e)->pos());
    setHovered(under == nullptr ? 0 : rows_[static_cast<size_t>(row(under))].code);
  }
  if (e->type() == QEvent::Leave) setHovered(0);
  return QListWidget::viewportEvent(e);
}

/// Letters are classes here, not the beginning of a name; the sheet takes them.
void ClusterList::keyPressEvent(QKeyEvent* e) {
  if (!e->text().isEmpty() && e->text()[0].isPrint()) return e->ignore();
  QListWidget::keyPressEvent(e);
}

}  // namespace zp
