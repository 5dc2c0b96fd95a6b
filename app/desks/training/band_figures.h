#pragma once
#include <QtWidgets>

#include "training/signature.h"

namespace zp {

/// Fills a table of bands with the mean, spread, lowest and highest value of a class.
void fillBandFigures(QTableWidget* table, const std::vector<std::string>& bands,
                     const Signature& signature);

}  // namespace zp
