#pragma once
#include <QString>

#include "index/index_book.h"

namespace zp {

/// An index as lists show it: "Moisture (NDMI)".
QString titleInLists(const IndexEntry& entry);

}  // namespace zp
