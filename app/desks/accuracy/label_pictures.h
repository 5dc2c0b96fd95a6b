#pragma once
#include <array>

#include "shell/workbench.h"

namespace zp {

/// A picture that a pane of the labelling desk can show.
struct LabelPicture {
  Picture picture;
  std::string scene, composite;  // ids; composite "" of a scene without one
  std::string day;               // "" where the scene has none
  double pixel = 0;              // map units
};

/// Every composite of every scene that has a place.
std::vector<LabelPicture> labelPictures(Workbench& bench);

/// Which of them the three panes show first: the finest in natural colours; the scene that is
/// worked on in false colours, and in natural ones.
std::array<size_t, 3> firstPictures(const std::vector<LabelPicture>& pictures,
                                    const std::string& scene);
/// Of a map of change: natural colours nearest to its earlier day, nearest to its later, and false
/// colours of the later.
std::array<size_t, 3> firstPicturesOfChange(const std::vector<LabelPicture>& pictures,
                                            const std::string& earlier, const std::string& later);

}  // namespace zp
