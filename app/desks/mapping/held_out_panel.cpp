#include "desks/mapping/held_out_panel.h"

namespace zp {
namespace {

constexpr int kAreasTold = 2, kClassesTold = 2;

QString wholePercent(double share) {
  return decimal(share * 100, 0) + " %";
}

}  // namespace

HeldOutPanel::HeldOutPanel(Workbench& bench) : Panel(bench, 4) {
  auto* explanation = new Paragraph(
      "<p>" +
      txt("Five times in turn, a fifth of the training areas is kept out, and mapped by the "
          "others. Areas are drawn where a class is plain, so this is an indication while you try, "
          "and no "
          "accuracy assessment.") +
      "</p><p>" +
      txt("The chart tells how many of the pixels were right that were given with so much "
          "confidence. Below the dashed line, the map is surer than it should be.") +
      "</p>");
  explanation->opener()->setObjectName("explain-heldOut");
  share_ = sectionLabel("");
  share_->setObjectName("heldOutShare");
  share_->setFont(figureFont(11));
  auto* head = new QHBoxLayout;
  head->addWidget(sectionLabel(txt("Held-out areas")));
  head->addWidget(explanation->opener());
  head->addStretch();
  head->addWidget(share_);
  box()->addWidget(hairline());
  box()->addLayout(head);
  box()->addWidget(explanation);
  note_ = secondLabel("");
  note_->setObjectName("heldOutNote");
  worst_ = secondLabel("");
  worst_->setObjectName("heldOutWorst");
  auto* texts = new QVBoxLayout;
  texts->setSpacing(4);
  for (auto* label : {note_, worst_}) {
    label->setWordWrap(true);
    texts->addWidget(label);
  }
  areas_ = new QWidget;
  columnIn(areas_, 0);
  texts->addWidget(areas_);
  texts->addStretch();
  chart_ = new ReliabilityChart;
  auto* row = new QHBoxLayout;
  row->addLayout(texts, 1);
  row->addWidget(chart_, 0, Qt::AlignTop);
  box()->addLayout(row);
  hide();
}

void HeldOutPanel::showChecking() {
  share_->setText("…");
  setVisible(true);
  if (note_->text().isEmpty()) note_->setText(txt("of the pixels, an indication only."));
}

void HeldOutPanel::showTrouble(const QString& sentence) {
  share_->clear();
  note_->setText(sentence);
  worst_->clear();
  areas_->hide();
  chart_->hide();
  setVisible(true);
}

void HeldOutPanel::show(const HeldOut& told) {
  share_->setText(wholePercent(told.total.share()));
  note_->setText(txt("of the pixels, an indication only."));
  worst_->setText(worstClasses(told));
  chart_->show(told);
  chart_->setVisible(true);
  showAreas(told);
  setVisible(true);
}

/// "Osier bed 41 %, taken for Saltmarsh."
QString HeldOutPanel::worstClasses(const HeldOut& told) const {
  constexpr double kWell = 0.8;
  auto classes = told.classes;
  std::stable_sort(classes.begin(), classes.end(),
                   [](const auto& a, const auto& b) { return a.share() < b.share(); });
  QStringList lines;
  for (const auto& c : classes) {
    const auto* own = bench_.study().legend.find(c.code);
    const auto* other = bench_.study().legend.find(c.takenFor);
    if (lines.size() == kClassesTold || c.share() >= kWell || own == nullptr) break;
    const QString line = q(own->name) + " " + wholePercent(c.share());
    lines << (other == nullptr ? line + "."
                               : txt("%1, the rest mostly %2.").arg(line, q(other->name)));
  }
  return lines.join("\n");
}

/// Areas that look like another class, each with a way there.
void HeldOutPanel::showAreas(const HeldOut& told) {
  while (auto* item = areas_->layout()->takeAt(0)) {
    item->widget()->hide(), item->widget()->deleteLater();
    delete item;
  }
  const auto& training = bench_.study().training;
  int shown = 0;
  for (const auto& a : told.areas) {
    if (shown == kAreasTold) break;
    if (a.area >= training.size()) continue;
    const auto* c = bench_.study().legend.find(training[a.area].code);
    auto* go = linkButton(txt("Area %1, %2: %3")
                              .arg(a.area + 1)
                              .arg(c == nullptr ? QString() : q(c->name), wholePercent(a.share())));
    go->setObjectName(QString("doubtfulArea-%1").arg(++shown));
    go->setToolTip(txt("So many of its pixels were right. Shows the area in the view."));
    connect(go, &QPushButton::clicked, this, [this, area = a.area] { Q_EMIT areaAsked(area); });
    static_cast<QVBoxLayout*>(areas_->layout())->addWidget(go, 0, Qt::AlignLeft);
  }
  areas_->setVisible(shown > 0);
}

}  // namespace zp
