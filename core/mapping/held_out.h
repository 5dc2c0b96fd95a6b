#pragma once
#include <array>

#include "mapping/model.h"

namespace zp {

/// How a plan does on training areas it has not seen: an indication while one tries, and no
/// accuracy assessment, for training areas are drawn where a class is plain.
struct HeldOut {
  struct Share {
    size_t all = 0, right = 0;
    double share() const {
      return all == 0 ? 0 : static_cast<double>(right) / static_cast<double>(all);
    }
  };
  struct ClassShare : Share {
    int code = 0;
    int takenFor = 0;  // the class that most of the others were given; 0 for none
  };
  Share total;
  std::vector<ClassShare> classes;
  /// By what spoke for the class that was given: 0 to 0.1, 0.1 to 0.2 … 0.9 to 1.
  std::array<Share, 10> bySupport;
  /// Training areas with fewer than half of their pixels right, by falling share of wrong ones.
  struct AreaShare : Share {
    size_t area = 0;
  };
  std::vector<AreaShare> areas;
};

/// Five times in turn, a fifth of the training areas is kept out and classified by a model of the
/// others (foldsByArea). Of a class, `perClass` samples are looked at, at most. A part that leaves
/// a class without training is left out. Error: see trainOn; no part could be done.
HeldOut heldOut(const Samples& samples, const MapPlan& plan, const Legend& legend,
                const Progress& progress = Progress(), size_t perClass = 1000);

Json toJson(const HeldOut& told);

}  // namespace zp
