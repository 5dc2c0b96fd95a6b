#pragma once
#include <QImage>
#include <QRectF>
#include <QRgb>
#include <QString>
#include <array>
#include <memory>
#include <optional>

#include "feature/compute_index.h"
#include "grid/crs.h"
#include "index/histogram.h"
#include "index/trusted_map.h"
#include "legend/legend.h"
#include "mapping/method.h"
#include "mapping/unlikeness.h"
#include "view/display.h"

namespace zp {

/// A trained map before it is made: pixels get their classes while they are looked at.
struct LearnedMap {
  Scope scope;
  Features features;
  std::shared_ptr<const Classifier> classifier;
  /// Hatches what is unlike all training; nullptr: nothing.
  std::shared_ptr<const Unlikeness> unlikeness;
  /// A map whose classes stay as they are.
  std::optional<TrustedMap> kept = {};
};

/// Something the view can show. `key` names its pixels: pictures with the same key look the same.
struct Picture {
  enum class Kind { None, Composite, Formula, Index, Classes };
  Kind kind = Kind::None;
  QString key, title, detail;
  std::string of;  // id of the scene or product
  Scene scene;     // Composite
  std::array<size_t, 3>
      bands{};                 // Composite: as red, green, blue; three times the same is one band
  Scope scope;                 // Formula
  Formula formula;             // Formula
  std::filesystem::path file;  // Index, Classes
  std::string ramp = "grey";
  std::shared_ptr<const LearnedMap> learned;  // Classes: in place of the file
  Legend legend;                              // Classes
  int onlyClass = 0;                          // Classes: show this one alone; 0 all
  bool decibels = false;                      // Composite of backscatter in power
  Display display;

  bool none() const { return kind == Kind::None; }
  bool singleBand() const { return bands[0] == bands[1] && bands[1] == bands[2]; }
};

/// Names the values of a scene: its files, and how their numbers are read.
QString sceneKey(const Scene& scene);

/// The picture displayed in another way, under a key of its own.
Picture displayed(Picture picture, const Display& display);

Picture compositePicture(const std::string& id, const Scene& scene, std::array<size_t, 3> bands,
                         const QString& title);

/// Values at which a picture is darkest and brightest, channel by channel.
struct Stretch {
  std::array<float, 3> low{0, 0, 0}, high{1, 1, 1};
  bool bright = false;       // lifts dark values, as an eye or a camera does; for natural colour
  std::vector<float> edges;  // of the steps of a classed display, rising; empty without steps
};

/// Values of a picture over the whole scene or file, coarsely: for the stretch, the range and the
/// histogram of a preview.
struct Overview {
  Stretch stretch;
  Histogram histogram;                // of the first channel
  std::vector<Histogram> histograms;  // of each
};

/// A piece of the map: centre-to-edge in map units, so that x grows to the right and y upwards.
struct MapPiece {
  double left = 0, top = 0, unitsPerPixel = 1;
  int width = 0, height = 0;
};

/// Paints pictures; reads files. One a thread.
class PicturePainter {
 public:
  /// What is read is kept in `kept`, which several painters may share.
  explicit PicturePainter(std::shared_ptr<KeptBands> kept = nullptr) : kept_(std::move(kept)) {}
  /// Error in words when a file cannot be read.
  Overview overview(const Picture& picture);
  /// ARGB, transparent where there is no data. `crs` is that of the piece; "" takes the picture's.
  QImage paint(const Picture& picture, const Stretch& stretch, const MapPiece& piece,
               const std::string& crs);

 private:
  struct Source;
  Source& source(const Picture& picture);
  std::unique_ptr<FeatureReader> featuresOf(const Picture& picture, const Scope& scope,
                                            const Features& features) const;
  std::vector<std::pair<QString, std::shared_ptr<Source>>> open_;  // latest last
  std::shared_ptr<KeptBands> kept_;
};

Grid gridOf(const Picture& picture);

/// Grey levels and ramps in use: the colour of a value, as 0xffRRGGBB.
QRgb colourOf(const std::array<QRgb, 256>& ramp, const Stretch& stretch, float value);

}  // namespace zp
