#pragma once
#include "base/progress.h"
#include "outline/class_polygons.h"
#include "study/study.h"
#include "training/signature.h"

namespace zp {

/// Does one step of a study and returns its product, not yet added to the study. The same step with
/// the same inputs gives the same bytes. A step is JSON with "do":
///   index      scene formula name [ramp] [with{name: id}] [inside outline]
///   threshold  product at[] classes[{name colour}] name
///   map        scene bands[] method [priors{} reject] name      (with the study's training areas)
///   points     over plan count seed [apart] [inside outline] name
///   readings   points from[] name
///   labels     points map seed name
///   rules      scene rules[{when name colour}] [otherwise{name colour}] name [with] [inside]
///   change     from to (class maps) [code] name; without a code every change is its own class
///   history    maps[] code what (times, first, last) name
///   series     scenes[] formula at[] classes[] name [inside]
///   compare    product to name
/// New scenes, which join the study's:
///   stack      bands[{scene band}] name [type scale offset]
///   join       scenes[] name           composite  scenes[] how (median, greenest) name
///   sharpen    scene sharp band how (gram-schmidt, brovey) name [bands[]]
///   speckle    scene how (lee, refined-lee) window looks name
///   haze       scene start power dark name
///   normalise  scene reference name
/// With `into`, the product's file is replaced (bringing it up to date); its id and name stay.
/// Nothing is left behind when it fails or is cancelled.
Product runStep(const Study& study, const Json& step, const Progress& progress,
                const Product* into = nullptr);

/// Polygons of chosen classes of a map, to a vector file.
void exportClassPolygons(const Product& map, const std::vector<int>& codes,
                         const std::filesystem::path& target, const Progress& progress,
                         const PolygonOptions& options = {});

/// The signatures of the study's training areas over bands of a scene.
SignatureSet studySignatures(const Study& study, const Scene& scene,
                             const std::vector<size_t>& bands,
                             const Progress& progress = Progress());

}  // namespace zp
