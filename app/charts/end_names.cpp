#include "charts/end_names.h"

#include "look/look.h"

namespace zp {

std::vector<QCPItemText*> nameEnds(QCustomPlot& chart, std::vector<EndName> ends) {
  constexpr int kHeight = 14;
  const auto* rect = chart.axisRect();
  const QFont font = textFont(8.5);
  std::stable_sort(ends.begin(), ends.end(),
                   [](const EndName& a, const EndName& b) { return a.y < b.y; });
  // The lowest that each may be so that those below it find room.
  const double bottom = rect->bottom();
  std::vector<QCPItemText*> names;
  double least = rect->top() + kHeight / 2.0;
  for (size_t i = 0; i < ends.size(); ++i) {
    const double below = bottom - kHeight * static_cast<double>(ends.size() - 1 - i);
    const double y = std::max(least, std::min(ends[i].y, below));
    if (y > bottom + kHeight / 2.0) break;
    least = y + kHeight;
    auto* name = new QCPItemText(&chart);
    name->setClipToAxisRect(false);
    name->setFont(font);
    name->setColor(ends[i].colour);
    name->setText(QFontMetrics(font).elidedText(ends[i].text, Qt::ElideRight, kEndNameWidth - 10));
    name->setPositionAlignment(Qt::AlignLeft | Qt::AlignVCenter);
    // With the axes: a picture that is saved has room for words above them.
    name->position->setType(QCPItemPosition::ptAxisRectRatio);
    name->position->setCoords((rect->width() + 8.0) / std::max(1, rect->width()),
                              (y - rect->top()) / std::max(1, rect->height()));
    names.push_back(name);
  }
  return names;
}

}  // namespace zp
