#include "shell/index_title.h"

#include "look/look.h"
#include "look/words.h"

namespace zp {

QString titleInLists(const IndexEntry& e) {
  return e.abbreviation.empty() ? txt(e.title)
                                : QString("%1 (%2)").arg(txt(e.title), q(e.abbreviation));
}

}  // namespace zp
