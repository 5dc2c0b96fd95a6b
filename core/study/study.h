#pragma once
#include <filesystem>
#include <map>
#include <memory>
#include <optional>
#include <string>
#include <vector>

#include "accuracy/labels_file.h"
#include "base/json.h"
#include "legend/legend.h"
#include "scene/scene.h"
#include "study/product.h"
#include "training/training_area.h"

namespace zp {

struct StudyScene {
  std::string id;
  Scene scene;
  int revision = 1;
  std::string product;  // that made it, when it was made here
};

/// A grid that all results of a study lie on, over whatever place.
struct DeliveryGrid {
  std::string crs;  // WKT
  Place origin;     // a corner of a pixel
  double pixel = 10;
  int revision = 1;
};

/// What inputs are called that are no scene, product or outline.
inline constexpr const char* kTrainingInput = "training";
inline constexpr const char* kDeliveryInput = "delivery";

struct StudyOutline {
  std::string id, name;
  std::string layer;  // "FILE:LAYER", absolute
  Colour colour{255, 255, 255};
  bool shown = true, studyArea = false;
  bool filled = false;
  double width = 1.5;      // of its line, in pixels
  std::string label = {};  // field whose text stands on it; ""
};

/// What study.json is marked by.
inline constexpr const char* kStudyFormat = "zany-patch-study";
inline constexpr int kStudyVersion = 1;

/// One piece of work in a folder. A value: copy it to compute on another thread.
/// study.json (format zany-patch-study) names everything; pictures and class maps are ordinary
/// GeoTIFFs below the folder. `save` keeps the last good version as study.json.last.
class Study {
 public:
  /// Error when the folder exists and is not empty, or cannot be made.
  static Study create(const std::filesystem::path& folder, const std::string& name);
  /// Error: not a study, one of a newer version, not to be read, already open elsewhere. A
  /// study.json that is no whole JSON is replaced by the last good version; then `notice` says so.
  /// Missing scene files are named in `notice` too.
  static Study open(const std::filesystem::path& folder);
  /// As it stands on the disk, without holding it: for what only takes from it.
  static Study read(const std::filesystem::path& folder);

  void save() const;
  /// Copies the whole folder; Error when the target exists.
  void saveCopy(const std::filesystem::path& folder) const;

  const std::filesystem::path& folder() const { return folder_; }
  std::string name;
  Sentence notice{""};
  Legend legend;
  std::vector<TrainingArea> training;  // in trainingCrs
  std::string trainingCrs;
  int trainingRevision = 1;
  std::vector<TrainingSet> trainingSets;
  std::vector<StudyScene> scenes;
  std::vector<StudyOutline> outlines;
  std::optional<DeliveryGrid> delivery;
  std::vector<Product> products;  // in order of making
  std::vector<Product> bin;       // deleted, their files in bin/; `file` tells where they stood
  Json place = Json::object();    // where one was: stage, pictures, part of the view

  StudyScene* scene(const std::string& id);
  const StudyScene* scene(const std::string& id) const;
  Product* product(const std::string& id);
  const Product* product(const std::string& id) const;
  /// The product that an input is, or that made it where it is a scene; nullptr for none.
  const Product* maker(const std::string& id) const;
  /// The newest product of a kind; nullptr when there is none.
  const Product* newest(ProductKind kind) const;

  /// Its id. Error: a file of it cannot be named in the study.
  std::string addScene(Scene scene);
  /// One of kind Scene brings its scene with it.
  std::string addProduct(Product product);
  /// A product that was made again; its scene, where it has one, counts as changed.
  void replaceProduct(const Product& product);
  /// Says of a made scene what was said of it before, as toJson(scene) tells it; its files are
  /// those of the product.
  void sayOfMade(const Product& product, Json as);
  std::string addOutline(StudyOutline outline);
  void setTraining(std::vector<TrainingArea> areas, const std::string& crs);
  /// Moves a product and its file to the bin, and takes its scene out; others made from it become
  /// out of date.
  void toBin(const std::string& id);
  /// And back, to where it stood.
  void fromBin(const std::string& id);
  /// Deletes what is in the bin, for good.
  void emptyBin();

  /// Of a scene, product or outline, the training areas or the delivery grid; 0 when it is gone.
  int revisionOf(const std::string& id) const;
  /// An input changed, went, or is out of date itself.
  bool outOfDate(const Product& product) const;
  /// Whether one is out of date because the other is. Points that were labelled stay what they are
  /// when the map they were drawn over changes, or all their labels would be lost.
  static bool followsStateOf(const Product& product, const Product& upstream);

  /// A file or "FILE:LAYER", as it is named below the folder where it lies there; and back.
  std::string relative(const std::string& file) const;
  std::string absolute(const std::string& file) const;
  /// A path below the folder for a new file, not taken yet.
  std::filesystem::path freshFile(const std::string& name, const std::string& ending) const;
  /// An id that nothing in the study has or ever had.
  std::string takeId(const std::string& prefix);

 private:
  struct Lock;
  static Study at(const std::filesystem::path& path);
  /// Named clusters are a step on the way: in the bin, they leave the map of them as it is.
  bool staysWithout(const Product& product, const Input& input) const;
  void bringInMade(const Product& product, const std::string& id, int revision);
  std::filesystem::path fileInBin(const Product& product) const;
  Json toJson() const;
  void readFrom(const Json& json);
  void readScenes(const Json& json, std::vector<std::string>& lost);
  void readProducts(const Json& json, std::vector<std::string>& lost);
  void readRest(const Json& json);

  std::filesystem::path folder_;
  std::shared_ptr<Lock> lock_;
  // Those whose files were missing at opening: written back as they were, for when they return.
  std::vector<Json> missingScenes_, missingProducts_;
};

// Error, in words, when what a step names is gone.
const StudyScene& needScene(const Study& study, const std::string& id);
const Product& needProduct(const Study& study, const std::string& id);

/// The training areas, brought into a system. Error when there are none.
std::vector<TrainingArea> trainingIn(const Study& study, const std::string& crs);

/// Ids of one kind rise in order of making.
int64_t numberOfId(const std::string& id);

/// Now, as ISO 8601 in UTC.
std::string now();

/// "Vegetation, 18 Jul" → "vegetation-18-jul".
std::string fileStem(const std::string& name);

}  // namespace zp
