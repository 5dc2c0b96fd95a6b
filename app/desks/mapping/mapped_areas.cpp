#include "desks/mapping/mapped_areas.h"

#include "shell/product_face.h"

namespace zp {

MappedAreas::MappedAreas(Workbench& bench) : Panel(bench) {
  box()->addWidget(hairline());
  title_ = sectionLabel("");
  box()->addWidget(title_);
  table_ = plainTable({txt("Class"), txt("pixels"), txt("ha"), txt("km²")});
  table_->setObjectName("areaTable");
  box()->addWidget(table_);
}

namespace {

const Product* newestBy(const Study& study, const std::set<std::string>& steps) {
  const auto& all = study.products;
  for (auto p = all.rbegin(); p != all.rend(); ++p)
    if (p->kind == ProductKind::ClassMap && steps.count(p->step.value("do", "")) > 0) return &*p;
  return nullptr;
}

}  // namespace

const Product* newestMap(const Study& study) {
  return newestBy(study, {"map", "name-clusters", "tidy", "combine", "touch-up"});
}

const Product* newestTrainedMap(const Study& study) {
  return newestBy(study, {"map"});
}

void MappedAreas::refresh() {
  const Study& study = bench_.study();
  const Product* p = newestMap(study);
  title_->setVisible(p != nullptr);
  table_->setVisible(p != nullptr);
  if (p == nullptr) return;
  title_->setText(study.outOfDate(*p) ? txt("%1: out of date").arg(q(p->name)) : q(p->name));
  const Json& classes = p->facts["classes"];
  table_->setRowCount(static_cast<int>(classes.size()));
  const Legend legend = legendOfMap(*p);
  int r = 0;
  for (const auto& c : classes) {
    table_->setItem(r, 0, classItem(legend, c["code"].get<int>(), c["name"].get<std::string>()));
    table_->setItem(r, 1, figureItem(grouped(c["pixels"].get<size_t>())));
    const double m2 = c["area_m2"].is_number() ? c["area_m2"].get<double>() : std::nan("");
    table_->setItem(r, 2, figureItem(areaText(m2)));
    table_->setItem(r, 3, figureItem(std::isnan(m2) ? "–" : decimal(m2 / 1e6, 2)));
    ++r;
  }
  fitHeight(table_);
}

}  // namespace zp
