#include "desks/sampling/table/chart_panel.h"

#include <QSvgGenerator>

#include "base/outputs.h"
#include "desks/sampling/table/curves_page.h"
#include "desks/sampling/table/relation_page.h"
#include "desks/sampling/table/shares_page.h"
#include "desks/sampling/table/values_page.h"
#include "look/look.h"

namespace zp {

namespace {

constexpr const char* kKept = "table-chart";

/// While it lives, a chart says what it shows above and below itself.
class WithWords {
 public:
  WithWords(QCustomPlot& chart, const QString& title, const QString& said) : chart_(chart) {
    chart_.plotLayout()->insertRow(0);
    add(0, title, textFont(10, QFont::DemiBold), tokens().text);
    add(chart_.plotLayout()->rowCount(), said, figureFont(8.5), tokens().second);
  }
  ~WithWords() {
    for (auto* words : added_) chart_.plotLayout()->remove(words);
    chart_.plotLayout()->simplify();
    chart_.replot();
  }
  WithWords(const WithWords&) = delete;
  WithWords& operator=(const WithWords&) = delete;

 private:
  void add(int row, const QString& text, const QFont& font, const QColor& colour) {
    auto* words = new QCPTextElement(&chart_, text, font);
    words->setTextColor(colour);
    words->setTextFlags(Qt::AlignLeft);
    chart_.plotLayout()->addElement(row, 0, words);
    added_ << words;
  }
  QCustomPlot& chart_;
  QList<QCPTextElement*> added_;
};

}  // namespace

ChartPanel::ChartPanel(Workbench& bench, TableBook& book, SheetModel& sheet, QWidget* parent)
    : QWidget(parent), bench_(bench), book_(book), kinds_(new QButtonGroup(this)) {
  title_ = sectionLabel("");
  title_->setObjectName("chartTitle");
  said_ = secondLabel("");
  said_->setObjectName("chartSaid");
  said_->setFont(figureFont(9));
  pages_ = new QStackedWidget;
  chips_ = new QWidget;
  auto* chips = new QHBoxLayout(chips_);
  chips->setContentsMargins(0, 0, 0, 0);
  chips->setSpacing(6);
  auto* column = columnIn(this, 6);
  column->setContentsMargins(16, 8, 16, 8);
  column->addWidget(chips_);
  column->addWidget(title_);
  column->addWidget(pages_, 1);
  column->addLayout(buildFoot());
  auto* relation = new RelationPage(book, sheet);
  connect(relation, &RelationPage::pictureAsked, this, &ChartPanel::makePicture);
  addPage(relation, "chartRelation", txt("Two columns"));
  addPage(new ValuesPage(book, sheet), "chartValues", txt("One column"));
  addPage(new BoxesPage(book, sheet), "chartBoxes", txt("By group"));
  addPage(new CurvesPage(book, sheet), "chartCurves", txt("Through time"));
  addPage(new SharesPage(book, sheet), "chartShares", txt("Shares"));
  chips->addStretch();
  out_ = linkButton(txt("Picture out…"));
  out_->setObjectName("chartOut");
  connect(out_, &QPushButton::clicked, this, &ChartPanel::save);
  chips->addWidget(out_);
  connect(&book_, &TableBook::changed, this, &ChartPanel::refresh);
  connect(&book_, &TableBook::choiceChanged, this, &ChartPanel::showChoice);
}

QLayout* ChartPanel::buildFoot() {
  foot_ = new QHBoxLayout;
  foot_->addWidget(said_, 1);
  return foot_;
}

void ChartPanel::addPage(ChartPage* page, const char* name, const QString& title) {
  auto* one = chip(title);
  one->setObjectName(name);
  kinds_->addButton(one);
  chips_->layout()->addWidget(one);
  const int at = static_cast<int>(all_.size());
  one->setChecked(at == 0);
  all_.push_back(page);
  pages_->addWidget(page);
  if (page->beside() != nullptr) foot_->addWidget(page->beside(), 0, Qt::AlignBottom);
  connect(one, &QPushButton::clicked, this, [this, at] { show(at); });
  connect(page, &ChartPage::changed, this, [this] {
    remember();
    redraw();
  });
}

void ChartPanel::show(int page) {
  instead_ = false;
  pages_->setCurrentIndex(page);
  remember();
  refresh();
}

void ChartPanel::remember() {
  Json kept = bench_.place(kKept);
  if (!kept.is_object()) kept = Json::object();
  kept["kind"] = pages_->currentIndex();
  kept.update(page().choices());
  bench_.setPlace(kKept, kept);
}

void ChartPanel::refresh() {
  if (book_.product() == nullptr) return;
  const Json kept = bench_.place(kKept);
  const Json choices = kept.is_object() ? kept : Json::object();
  const int kind = choices.contains("kind") && choices["kind"].is_number_integer()
                       ? choices["kind"].get<int>()
                       : 0;
  const bool opened = book_.shown().rows() > 0 && opened_ != book_.product()->id;
  if (opened) opened_ = book_.product()->id;
  instead_ = instead_ && !opened;
  const bool drawn = draw(instead_ ? 0 : std::clamp(kind, 0, pages_->count() - 1), choices);
  if (drawn || !opened) return;
  // Another table, of which the last kind of chart tells nothing.
  instead_ = true;
  draw(0, choices);
}

bool ChartPanel::draw(int kind, const Json& choices) {
  pages_->setCurrentIndex(kind);
  kinds_->buttons()[kind]->setChecked(true);
  page().refresh(choices);
  return redraw();
}

bool ChartPanel::redraw() {
  for (auto* one : all_)
    if (one != &page() && one->beside() != nullptr) one->beside()->hide();
  const bool drawn = book_.shown().rows() > 0 && page().redraw();
  page().chart().setVisible(drawn);
  out_->setEnabled(drawn);
  title_->setText(drawn ? page().title() : txt("Nothing to draw"));
  said_->setText(drawn                       ? page().said()
                 : book_.shown().rows() == 0 ? txt("No row is shown.")
                 : page().said().isEmpty()
                     ? txt("There is no such column; read layers at the places, or add one by a "
                           "formula.")
                     : page().said());
  if (!drawn) return false;
  showChoice();
  const auto shown = page().colours();
  std::vector<QColor> byRow;
  if (!shown.empty()) byRow.resize(book_.chosen().size());
  for (size_t r = 0; r < shown.size(); ++r) byRow[book_.shown().origin[r]] = shown[r];
  Q_EMIT coloured(byRow);
  return drawn;
}

void ChartPanel::showChoice() {
  auto& chart = page().chart();
  if (!chart.isVisibleTo(this)) return;
  if (book_.chosenCount() == 0 && chart.anyChosen()) chart.mark({});
  page().showChoice();
}

/// On the grid of the scene in hand; it comes in front when it is made.
void ChartPanel::makePicture(Json step) {
  const auto* scene = bench_.currentScene();
  if (scene == nullptr) return;
  step["scene"] = scene->id;
  bench_.run(step, q(step["name"].get<std::string>()),
             [this](const QString& id) { Q_EMIT pictureMade(id); });
}

void ChartPanel::save() {
  const QString target = QFileDialog::getSaveFileName(
      this, txt("Chart as a picture"), q(fileStem(title_->text().toStdString())) + ".png",
      txt("Pictures (*.png *.svg *.pdf)"));
  if (!target.isEmpty()) write(target);
}

void ChartPanel::write(const QString& file) {
  constexpr double kScale = 2;  // of a PNG, for print
  auto& chart = page().chart();
  const QString ending = QFileInfo(file).suffix().toLower();
  try {
    const WithWords words(chart, title_->text(), said_->text());
    Outputs outputs(true);
    const QString temporary = q(outputs.add(file.toStdString()).string());
    bool done = false;
    if (ending == "svg") {
      QSvgGenerator svg;
      svg.setFileName(temporary);
      svg.setSize(chart.size());
      svg.setViewBox(chart.rect());
      QCPPainter painter;
      done = painter.begin(&svg);
      painter.setMode(QCPPainter::pmVectorized);
      chart.toPainter(&painter, chart.width(), chart.height());
      painter.end();
    } else if (ending == "pdf") {
      done = chart.savePdf(temporary, chart.width(), chart.height());
    } else {
      done = chart.toPixmap(chart.width(), chart.height(), kScale).save(temporary, "PNG");
    }
    if (!done) throw Error("The picture could not be written; choose another folder.");
    outputs.commit();
    Q_EMIT bench_.notice(txt("The picture is in “%1”.").arg(file));
  } catch (const std::exception& e) {
    Q_EMIT bench_.trouble(sentenceOf(e));
  }
}

}  // namespace zp
