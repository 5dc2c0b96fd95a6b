#include "desks/training/band_figures.h"

#include "look/look.h"
#include "look/parts.h"

namespace zp {

void fillBandFigures(QTableWidget* table, const std::vector<std::string>& bands,
                     const Signature& c) {
  table->setRowCount(static_cast<int>(bands.size()));
  const Eigen::VectorXd sd = c.sd();
  for (int b = 0; b < table->rowCount(); ++b) {
    table->setItem(b, 0, new QTableWidgetItem(q(bands[static_cast<size_t>(b)])));
    const double values[] = {c.mean[b], sd[b], c.min[b], c.max[b]};
    for (int k = 0; k < 4; ++k)
      table->setItem(
          b, k + 1,
          figureItem(std::abs(values[k]) < 10 ? decimal(values[k], 4) : compact(values[k])));
  }
}

}  // namespace zp
