// What find offers of the window.
#include "shell/find_offers.h"
#include "shell/find_widgets.h"
#include "shell/main_window.h"

namespace zp {

void MainWindow::buildFind() {
  find_ = new FindBox(
      trail_->find(), this, [this] { return offers(); },
      [this](const QString& text) {
        if (!bench_.hasStudy()) return std::vector<FindOffer>();
        return placeOffers(text, view_->crs(),
                           [this](Place p) { view_->setCentre(p, view_->unitsPerPixel()); });
      });
  connect(find_, &FindBox::chosen, view_, qOverload<>(&QWidget::setFocus));
}

std::vector<FindOffer> MainWindow::offers() {
  std::vector<FindOffer> all;
  const auto add = [&all](std::vector<FindOffer> more) {
    all.insert(all.end(), std::make_move_iterator(more.begin()),
               std::make_move_iterator(more.end()));
  };
  add(offersOfMenu([this] {
    studyMenu_->fill();
    return studyMenu_;
  }));
  if (bench_.hasStudy()) {
    add(commandOffers());
    for (int i = 0; i < 6; ++i)
      add(offersOfDesk(desk_[static_cast<size_t>(i)], stageName(static_cast<size_t>(i)),
                       [this, i] { goTo(i); }));
    add(studyOffers(bench_.study(), [this](const QString& id) { showFront(id); }));
    add(outlineOffers());
    for (auto* desk : desk_) add(desk->offers());
  }
  // Help paragraphs come after what can be done.
  add(helpOffers([this](const QString& title, const QString& html) { explain(title, html); }));
  return all;
}

std::vector<FindOffer> MainWindow::commandOffers() {
  std::vector<FindOffer> all;
  for (int i = 0; i < 6; ++i)
    all.push_back({stageName(static_cast<size_t>(i)), txt("stage"), [this, i] { goTo(i); }, {}});
  using Mode = MapView::Mode;
  const auto offer = [&](const QString& name, std::function<void()> action) {
    all.push_back({name, txt("command"), std::move(action), {}});
  };
  offer(txt("Fit the picture"), [this] { view_->fit(); });
  offer(txt("Curtain"), [this] { viewTools_->toggleMode(Mode::Curtain); });
  offer(txt("Side by side"), [this] { viewTools_->toggleMode(Mode::SideBySide); });
  offer(txt("Loupe"), [this] { viewTools_->toggleMode(Mode::Loupe); });
  offer(txt("Swap front and back"), [this] { Q_EMIT view_->swapAsked(); });
  offer(txt("How it is shown: stretch, steps, opacity"), [this] { viewTools_->openDisplay(); });
  offer(txt("Unpin all profiles"), [this] { viewTools_->profiles().unpinAll(); });
  if (bench_.hasStudy()) offer(txt("Assess a matrix from elsewhere"), [this] { openTyped(); });
  offer(txt("Undo"), [this] { bench_.undo().undo(); });
  offer(txt("Redo"), [this] { bench_.undo().redo(); });
  return all;
}

std::vector<FindOffer> MainWindow::outlineOffers() {
  std::vector<FindOffer> all;
  for (const auto& o : bench_.study().outlines)
    all.push_back({q(o.name),
                   txt("outline"),
                   [this, id = o.id] {
                     bench_.showOutline(q(id), true);
                     if (const Extent e = outlines_->extentOf(id); !e.empty()) view_->zoomTo(e);
                   },
                   {}});
  return all;
}

}  // namespace zp
