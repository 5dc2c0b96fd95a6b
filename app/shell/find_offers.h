#pragma once
#include "shell/find_box.h"
#include "shell/workbench.h"

namespace zp {

/// The paragraphs of the help: indices, methods, features, functions of formulas. `explain` shows
/// one, given its title and rich text.
std::vector<FindOffer> helpOffers(
    const std::function<void(const QString& title, const QString& html)>& explain);

/// What a text may mean as a place in the view's system. `go` moves the view there.
std::vector<FindOffer> placeOffers(const QString& text, const std::string& crs,
                                   const std::function<void(Place)>& go);

/// The scenes and products of the study. `show` gets their ids.
std::vector<FindOffer> studyOffers(const Study& study,
                                   const std::function<void(const QString& id)>& show);

}  // namespace zp
