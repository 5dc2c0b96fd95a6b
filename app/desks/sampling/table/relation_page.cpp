#include "desks/sampling/table/relation_page.h"

#include "base/text.h"
#include "feature/line_formula.h"
#include "look/look.h"
#include "sampling/readings.h"
#include "sampling/row_formula.h"

namespace zp {

RelationPage::RelationPage(TableBook& book, SheetModel& sheet) : ChartPage(book, sheet) {
  x_ = addChoice("chartX", txt("Across"), Takes::Numbers);
  y_ = addChoice("chartY", txt("Up"), Takes::Numbers);
  by_ = addChoice("chartColour", txt("Colour"), Takes::Any, txt("all alike"));
  chart_ = new RelationChart;
  setRoom(chart_);
  residuals_ = linkButton(txt("Residuals as a column"));
  residuals_->setObjectName("addResiduals");
  connect(residuals_, &QPushButton::clicked, this, &RelationPage::addResiduals);
  picture_ = linkButton(txt("Picture by this line"));
  picture_->setObjectName("linePicture");
  picture_->setToolTip(txt("What the line estimates at every pixel of the picture across"));
  connect(picture_, &QPushButton::clicked, this, [this] {
    picture_->hide();  // the same is not made twice
    Q_EMIT pictureAsked(pictureStep());
  });
  beside_ = new QWidget;
  auto* links = new QHBoxLayout(beside_);
  links->setContentsMargins(0, 0, 0, 0);
  links->addWidget(residuals_);
  links->addWidget(picture_);
  connect(chart_, &BrushedChart::brushed, this, [this](const QRectF& r) {
    const auto *x = columnOf(x_), *y = columnOf(y_);
    if (x != nullptr && y != nullptr)
      chooseShown([&](size_t i) { return r.contains({x->numbers[i], y->numbers[i]}); });
  });
}

std::vector<QColor> RelationPage::colours() const {
  const auto* by = columnOf(by_);
  return by == nullptr ? std::vector<QColor>() : coloursBy(by);
}

bool RelationPage::redraw() {
  line_.reset();
  beside_->hide();
  const auto *x = columnOf(x_), *y = columnOf(y_);
  if (x == nullptr || y == nullptr) return false;
  try {
    line_ = fitLine(x->numbers, y->numbers);
    said_ = figures(*line_);
  } catch (const std::exception& e) {
    said_ = sentenceOf(e);
  }
  title_ = txt("%1 against %2").arg(titleOf(*y), titleOf(*x));
  chart_->setTitles(titleOf(*x), titleOf(*y));
  chart_->show(x->numbers, y->numbers, coloursBy(columnOf(by_)), line_);
  beside_->setVisible(line_.has_value());
  picture_->setVisible(!pictureStep().is_null());
  return true;
}

QString RelationPage::figures(const Line& line) const {
  const auto figure = [](double v) { return std::isnan(v) ? QString("–") : decimal(v, 2); };
  const auto *x = columnOf(x_), *y = columnOf(y_);
  const QString sign = line.slope < 0 ? "−" : "+";
  QString n = txt("n %1").arg(grouped(line.n));
  const size_t ofX = distinctBehind(*x), ofY = distinctBehind(*y);
  if (const size_t least = ofX == 0 ? ofY : ofY == 0 ? ofX : std::min(ofX, ofY); least > 0)
    n += txt(", from %1 different pixels").arg(grouped(least));
  return QStringList(
             {QString("%1 = %2 %3 %4 · %5")
                  .arg(q(y->name), compact(line.intercept), sign, compact(std::abs(line.slope)),
                       q(x->name)),
              txt("\nr %1 [%2, %3]").arg(figure(line.r), figure(line.rLow), figure(line.rHigh)),
              txt(" · R² %1 · RMSE %2").arg(figure(line.rSquared), compact(line.rmse)),
              txt(" · rank r %1").arg(figure(rankCorrelation(x->numbers, y->numbers))), " · " + n})
      .join("");
}

/// 0 where it is not known, or every row has its own.
size_t RelationPage::distinctBehind(const Column& column) const {
  const Json known = book_.product()->facts.value("distinct_pixels", Json::object());
  const auto at = known.find(column.from);
  if (column.from.empty() || at == known.end()) return 0;
  const size_t values = at->value("values", size_t{0}), pixels = at->value("pixels", size_t{0});
  return pixels < values ? pixels : 0;
}

/// The picture that a column was read from: a product of one quantity by a name, or a feature of a
/// scene by its formula. Null where there is none.
Json RelationPage::pictureOf(const Column& column) const {
  const auto& face = sheet_.faceOf(column);
  if (!face.what.empty() && face.what != "mean" && face.what != "median") return {};
  const auto* product = sheet_.productOf(column);
  if (product != nullptr &&
      (product->kind == ProductKind::Index || product->kind == ProductKind::Quantity))
    return {{"formula", "across"}, {"with", {{"across", product->id}}}};
  const Scene* scene = sheet_.sceneOf(column);
  if (scene == nullptr) return {};
  const auto formula = formulaOfLine(face.line, *scene);
  if (!formula) return {};
  return {{"formula", "(" + *formula + ")"}, {"scene", face.of}};
}

Json RelationPage::pictureStep() const {
  const auto *x = columnOf(x_), *y = columnOf(y_);
  if (!line_ || x == nullptr || y == nullptr) return {};
  Json step = pictureOf(*x);
  if (step.is_null()) return {};
  const auto* of = sheet_.productOf(*x);
  step["do"] = "index";
  step["formula"] = fmt::format("{} + {} * {}", shortest(line_->intercept), shortest(line_->slope),
                                step["formula"].get<std::string>());
  step["name"] =
      txt("%1 by %2").arg(q(y->name), q(of == nullptr ? x->name : of->name)).toStdString();
  if (const auto* up = sheet_.productOf(*y); up != nullptr && up->facts.contains("unit"))
    step["unit"] = up->facts["unit"];
  return step;
}

void RelationPage::addResiduals() {
  const auto *x = columnOf(x_), *y = columnOf(y_);
  if (!line_ || x == nullptr || y == nullptr) return;
  const std::string name = columnBeside("residual of " + y->name, book_.whole().names());
  book_.edit({{"add", name},
              {"formula",
               fmt::format("{} - ({} + {} * {})", inFormula(y->name), shortest(line_->intercept),
                           shortest(line_->slope), inFormula(x->name))}},
             txt("Add the residuals of %1").arg(q(y->name)));
}

}  // namespace zp
