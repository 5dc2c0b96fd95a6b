#pragma once
#include "scene/make_scene.h"

namespace zp {

// New scenes out of several. All are written to `temporary` by makeScene, on the grid said, with
// masked pixels left out. What is returned: the values a whole-number type could not hold.

/// Chosen bands, of any scenes, as one file; on the grid of the first.
size_t stackBands(const std::vector<BandSource>& bands, const SceneSpec& spec,
                  const std::filesystem::path& temporary, const Progress& progress = Progress());

/// Adjoining or overlapping scenes as one, on the grid of the first grown over all: a pixel comes
/// from the first scene that has it in every band. The bands are the roles that all have.
/// Error: fewer than two scenes, no common role, a result above 2^31 pixels.
size_t joinScenes(const std::vector<Scene>& scenes, const std::filesystem::path& temporary,
                  const Progress& progress = Progress());

/// The grid of the first, grown by whole pixels over all of them.
Grid gridOver(const std::vector<Scene>& scenes);

/// The roles that every scene has, in the order of the first.
std::vector<std::string> commonRoles(const std::vector<Scene>& scenes);

/// The median of the dates, band by band, of the pixels that are not masked; of an even number the
/// mean of the middle two. On the first's grid.
size_t medianOfDates(const std::vector<Scene>& scenes, const std::filesystem::path& temporary,
                     const Progress& progress = Progress());

/// Every pixel from the date at which it is greenest: with the highest (nir − red) / (nir + red)
/// (maximum-value composite, Holben 1986). Roles nir and red are needed.
size_t greenestOfDates(const std::vector<Scene>& scenes, const std::filesystem::path& temporary,
                       const Progress& progress = Progress());

enum class Sharpening { Brovey, GramSchmidt };
/// Bands on the grid of a sharper one, with its detail. Brovey (Gillespie et al. 1987): each band
/// times the sharp one over the bands' mean. Gram–Schmidt (Laben and Brower 2000, in the form of
/// Aiazzi et al. 2007): to each band, the difference of the sharp one (brought to the bands' mean
/// and the scale at which it follows that) times cov(band, mean) / var(mean); coarse pixels keep
/// their means. For looking and labelling: the file says `fit_for_classes` = no.
size_t sharpen(const Scene& scene, const std::vector<size_t>& bands, const Scene& sharpScene,
               size_t sharpBand, Sharpening how, const std::filesystem::path& temporary,
               const Progress& progress = Progress());

}  // namespace zp
