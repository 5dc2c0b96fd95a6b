// What the labelling desk says of a point and of how far one is.
#include "desks/accuracy/labelling_sheet.h"

namespace zp {

/// Which of the points looked at it is, and what both sides say of it.
QString LabellingSheet::tellLooking() const {
  const Labelling& l = book_.labelling();
  size_t number = 0, all = 0;
  for (size_t i = 0; i < l.points().size(); ++i) {
    if (!book_.inCell(l.points()[i])) continue;
    ++all;
    if (i <= l.position()) ++number;
  }
  return txt("Point %1 of %2: mapped as %3, labelled %4. Another label is recorded as a late "
             "change.")
      .arg(number)
      .arg(all)
      .arg(book_.className(l.current().mapped), book_.className(l.current().reference));
}

/// What the two labellers said of the point.
QString LabellingSheet::tellSettling() const {
  const auto agreement = book_.agreement();
  if (!agreement) return {};
  const auto& all = agreement->disagreements;
  for (size_t i = 0; i < all.size(); ++i)
    if (all[i].id == book_.labelling().current().id)
      return txt("Point %1 of %2 that you see differently: %3 says %4, %5 says %6. Which is it?")
          .arg(i + 1)
          .arg(all.size())
          .arg(book_.labellerName(1), book_.className(all[i].first), book_.labellerName(2),
               book_.className(all[i].second));
  return {};
}

QString LabellingSheet::tellMixed() const {
  return mixing_ == kFirstToCome
             ? txt("Mixed: the key of the class that most of it is, then that of the other.")
             : txt("Mixed: mostly %1. Now the key of the other class.").arg(nameOfKey(mixing_));
}

/// Of a map of change: what the keys are for, or what was said.
QString LabellingSheet::tellChange() const {
  const Labelling& l = book_.worked();
  if (was_ != 0)
    return txt("It was %1. Now the key of what came after; the same key if nothing changed.")
        .arg(nameOfKey(was_));
  const QString at = txt("Point %1 of %2").arg(l.position() + 1).arg(l.points().size());
  const QString which = book_.task() == LabelBook::Task::Second
                            ? txt("%1 for %2").arg(at, book_.labellerName(2))
                            : at;
  if (l.current().reference != 0)
    return txt("%1, labelled “%2”.").arg(which, book_.className(l.current().reference));
  return txt("%1: the key of what was here before, then of what came after; twice the same if "
             "nothing changed.")
      .arg(which);
}

QString LabellingSheet::nameOfKey(int code) const {
  const Legend keys = book_.keys();
  const auto* c = keys.find(code);
  return c != nullptr ? q(c->name) : txt("class %1").arg(code);
}

QString LabellingSheet::tellOrder() const {
  const Labelling& l = book_.worked();
  if (mixing_ != kNotMixed) return tellMixed();
  if (was_ != 0) return tellChange();
  if (settling()) return tellSettling();
  if (looking()) return tellLooking();
  const bool second = book_.task() == LabelBook::Task::Second;
  if (l.labelled() == l.points().size())
    return second ? txt("Every point has a label. Say that you are done to see where you differ.")
                  : txt("Every point has a label. Close the labelling to see what the map says.");
  if (book_.ofChange()) return tellChange();
  return (second ? txt("Point %1 of %2 for %3, in an order of your own. What the map and the other "
                       "labeller say stays hidden.")
                       .arg(l.position() + 1)
                       .arg(l.points().size())
                       .arg(book_.labellerName(2))
                 : txt("Point %1 of %2, in shuffled order. What the map says stays hidden "
                       "until you close the labelling.")
                       .arg(l.position() + 1)
                       .arg(l.points().size()));
}

void LabellingSheet::showProgress() {
  const Labelling& l = book_.worked();
  const size_t n = l.points().size(), done = l.labelled();
  const bool all = done == n;
  order_->setText(tellOrder());
  QString left;
  if (paced_ >= 5 && !all) {
    const double minutes = static_cast<double>(pace_.elapsed()) / 60000 /
                           static_cast<double>(paced_) * static_cast<double>(n - done);
    left = txt(" · about %1 min to go").arg(std::max(1, static_cast<int>(std::ceil(minutes))));
  }
  count_->setText(txt("%1 labelled · %2 unsure%3").arg(done).arg(l.unsure()).arg(left));
  bar_->setRange(0, static_cast<int>(n));
  bar_->setValue(static_cast<int>(done));
  close_->setText(settling()                                ? txt("Leave the rest open")
                  : book_.task() == LabelBook::Task::Second ? txt("Done: see where you differ")
                  : l.closed()                              ? txt("See the matrix")
                               : txt("Close the labelling and see the matrix"));
  close_->setProperty("part", all && !settling() ? "primary" : "quiet");
  close_->style()->unpolish(close_);
  close_->style()->polish(close_);
  close_->setEnabled(done > 0);
}

}  // namespace zp
