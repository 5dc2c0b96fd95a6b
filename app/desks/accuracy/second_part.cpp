#include "desks/accuracy/second_part.h"

#include "desks/accuracy/percent.h"

namespace zp {

SecondPart::SecondPart(Workbench& bench, LabelBook& book) : bench_(bench), book_(book) {
  auto* column = columnIn(this, 4);
  ask_ = linkButton(txt("Let a second labeller label them too…"));
  ask_->setObjectName("askSecond");
  ask_->setToolTip(
      txt("They see neither the map's class nor your labels. How often you say the same tells "
          "how far the labels can be trusted."));
  told_ = secondLabel("");
  told_->setObjectName("secondTold");
  goOn_ = linkButton("");
  goOn_->setObjectName("goOnSecond");
  settle_ = linkButton("");
  settle_->setObjectName("settle");
  column->addWidget(ask_, 0, Qt::AlignLeft);
  column->addWidget(asking_ = buildAsking());
  column->addWidget(told_);
  column->addWidget(goOn_, 0, Qt::AlignLeft);
  column->addWidget(settle_, 0, Qt::AlignLeft);
  asking_->hide();
  connect(ask_, &QPushButton::clicked, this, [this] {
    asking_->setVisible(!asking_->isVisible());
    if (asking_->isVisible()) name_->setFocus();
  });
  connect(start_, &QPushButton::clicked, this, &SecondPart::begin);
  connect(name_, &QLineEdit::returnPressed, this, &SecondPart::begin);
  connect(goOn_, &QPushButton::clicked, this,
          [this] { Q_EMIT labellingAsked(LabelBook::Task::Second); });
  connect(settle_, &QPushButton::clicked, this,
          [this] { Q_EMIT labellingAsked(LabelBook::Task::Settle); });
}

QWidget* SecondPart::buildAsking() {
  name_ = lineEdit("secondName", txt("Their name or initials"));
  share_ = new QComboBox;
  share_->setObjectName("secondShare");
  share_->setAccessibleName(txt("How many points they get"));
  const std::pair<QString, double> shares[] = {{txt("all points"), 1},
                                               {txt("half of them"), 0.5},
                                               {txt("a fifth of them"), 0.2},
                                               {txt("a tenth of them"), 0.1}};
  for (const auto& [text, share] : shares) share_->addItem(text, share);
  start_ = quietButton(txt("Hand over to them"));
  start_->setObjectName("startSecond");
  auto* asking = new QWidget;
  auto* column = columnIn(asking, 4);
  column->addWidget(fieldRow(txt("Second labeller"), {name_}));
  column->addWidget(fieldRow(txt("labels"), {share_}));
  column->addWidget(start_, 0, Qt::AlignLeft);
  return asking;
}

void SecondPart::begin() {
  const QString name = name_->text().trimmed();
  if (name.isEmpty()) return name_->setFocus();
  asking_->hide();
  book_.addSecond(name.toStdString(), share_->currentData().toDouble());
  Q_EMIT labellingAsked(LabelBook::Task::Second);
}

void SecondPart::refresh() {
  const auto& second = book_.second();
  const bool any = !book_.none() && book_.labelling().labelled() > 0;
  setVisible(any);
  if (!any) return asking_->hide();
  ask_->setVisible(!second);
  if (second) asking_->hide();
  const auto agreement = book_.agreement();
  told_->setVisible(second.has_value());
  goOn_->setVisible(second && !second->labelling.closed());
  settle_->setVisible(agreement && agreement->open() > 0);
  if (!second) return;
  const Labelling& l = second->labelling;
  goOn_->setText(txt("%1 goes on labelling").arg(book_.labellerName(2)));
  if (agreement)
    tellAgreement(*agreement);
  else if (l.closed())
    told_->setText(txt("%1 labelled no point that you labelled too, so nothing is compared.")
                       .arg(book_.labellerName(2)));
  else
    told_->setText(txt("%1 has labelled %2 of %3 points. Until they are done, neither your labels "
                       "nor the map's classes are seen.")
                       .arg(book_.labellerName(2))
                       .arg(l.labelled())
                       .arg(l.points().size()));
}

void SecondPart::tellAgreement(const Agreement& a) {
  QString told = txt("%1 and %2 say the same at <b>%3</b> of %4 points (%5 to %6)")
                     .arg(book_.labellerName(1).toHtmlEscaped(),
                          book_.labellerName(2).toHtmlEscaped(), percent(a.share.value),
                          grouped(a.matrix.total()), percent(a.share.low), percent(a.share.high));
  told +=
      std::isnan(a.kappa.value) ? QString(".") : txt(", kappa %1.").arg(decimal(a.kappa.value, 2));
  const size_t all = a.disagreements.size();
  if (all > 0 && a.open() == 0)
    told += " " + txt("All %1 differences are settled.", "The one difference is settled.",
                      static_cast<qint64>(all))
                      .arg(grouped(all));
  told_->setTextFormat(Qt::RichText);
  told_->setText(told);
  settle_->setText(txt("Settle the %1 that differ, one by one", "Settle the one that differs",
                       static_cast<qint64>(a.open()))
                       .arg(grouped(a.open())));
}

}  // namespace zp
