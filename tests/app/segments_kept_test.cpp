// Segments and what a map leaves, by mouse on the mapping desk; codes that change and what follows.
#include "legend/class_map.h"
#include "legend/cover_colour.h"
#include "support/rasters.h"
#include "window_fixture.h"

namespace zp {
namespace {

using namespace testing;

class RestWindow : public MappingWindow {
 protected:
  std::vector<uint16_t> codes(const Product& map) { return readCodes(map.file); }
};

TEST_F(RestWindow, SegmentsBecomeASceneToMapFrom) {
  d().click("segmentsPage");
  d().make("primary", "the segments");
  const Product& made = s().products.back();
  EXPECT_EQ(made.kind, ProductKind::Scene);
  EXPECT_GT(made.facts.at("segments"), 1000);
  d().until([&] { return d().find<QLabel>("segmentsSaid")->text().contains("segments of"); },
            "what was found");
  look("segments");
  d().click("mapSegments");
  d().settle();
  EXPECT_EQ(w().bench().currentScene()->product, made.id);
  // The means alone are features from the start.
  d().make("primary", "the map");
  const auto lines = s().products.back().step.at("features");
  ASSERT_EQ(lines.size(), 8u);
  EXPECT_EQ(lines[0], "band(blue)");
  look("segment-map");
}

TEST_F(RestWindow, ClassesOfAMapStayWhileTheRestIsMappedAnew) {
  d().make("primary", "the map");
  const std::string first = s().products.back().id;
  const auto before = codes(s().products.back());
  d().click("mapChoices");
  choose("mapKept", q(s().product(first)->name));
  auto* classes = d().find<QListWidget>("mapKeptClasses");
  // Only the first class stays.
  for (int i = 1; i < classes->count(); ++i) classes->item(i)->setCheckState(Qt::Unchecked);
  const auto kept = static_cast<uint16_t>(classes->item(0)->data(Qt::UserRole).toInt());
  d().settle();
  d().click("method-random-forest");
  look("kept");
  d().make("primary", "the map of the rest");
  const Product& made = s().products.back();
  EXPECT_EQ(made.step.at("kept"), first);
  EXPECT_EQ(made.step.at("kept_classes"), Json({kept}));
  const auto after = codes(made);
  size_t changed = 0;
  for (size_t i = 0; i < after.size(); ++i) {
    if (before[i] == kept) {
      ASSERT_EQ(after[i], kept);
    }
    changed += before[i] != after[i] ? 1 : 0;
  }
  EXPECT_GT(changed, 0u);
  // It depends on the map whose classes it kept.
  EXPECT_TRUE(std::any_of(made.inputs.begin(), made.inputs.end(),
                          [&](const auto& i) { return i.id == first; }));
  // None ticked: refused in a sentence.
  classes->item(0)->setCheckState(Qt::Unchecked);
  d().click("primary");
  EXPECT_TRUE(said().contains("Tick a class")) << said().toStdString();
}

/// Made anew, the map it keeps from is another one, and the preview has to follow.
TEST_F(RestWindow, ThePreviewFollowsTheMapItKeepsFrom) {
  const std::string now = w().bench().currentScene()->id;
  const auto other = std::find_if(s().scenes.begin(), s().scenes.end(), [&](const StudyScene& one) {
    return one.id != now && one.scene.bandOf("nir") >= 0;
  });
  const QString scene = q(other->id);
  w().bench().setCurrentScene(scene);
  d().settle();
  d().make("primary", "the map");
  const std::string id = s().products.back().id;
  w().bench().setCurrentScene(q(now));
  d().settle();
  d().click("mapChoices");
  choose("mapKept", q(s().product(id)->name));
  const auto preview = [&] { return w().view().front().learned; };
  d().until([&] { return preview() != nullptr && preview()->kept; }, "the preview");
  d().settle();
  const auto before = preview();
  w().mapping().refresh();
  d().settle();
  EXPECT_EQ(preview(), before);  // nothing changed
  w().bench().changeScene(scene, "a scene", [](Scene& s) { s.name = "Later"; });
  w().bench().bringUpToDate(q(id));
  d().until([&] { return s().product(id)->revision > 1; }, "the map to be made again");
  d().until([&] { return preview() != nullptr && preview() != before; }, "the preview to follow");
}

TEST_F(RestWindow, NamedClustersOfTheRestAndTheKeptMapAreOneMap) {
  d().make("primary", "the map");
  const Product map = s().products.back();
  d().click("clusteredMap");
  choose("clusterKept", q(map.name));
  auto* classes = d().find<QListWidget>("clusterKeptClasses");
  for (int i = 1; i < classes->count(); ++i) classes->item(i)->setCheckState(Qt::Unchecked);
  const int kept = classes->item(0)->data(Qt::UserRole).toInt();
  d().make("primary", "the clusters");
  const Product clusters = s().products.back();
  ClusterNaming naming;
  const int other = s().legend.classes[1].code;
  naming[1] = other;
  w().bench().nameClusters(q(clusters.id), naming, "name");
  w().bench().run(namingStep(clusters, naming, "Named"), "Named");
  d().until([&] { return s().products.back().name == "Named"; }, "the named map");
  const auto grouped = codes(clusters), before = codes(map), after = codes(s().products.back());
  for (size_t i = 0; i < after.size(); ++i) {
    const int expected = before[i] == kept ? kept : grouped[i] == 1 ? other : 0;
    ASSERT_EQ(after[i], expected) << i;
  }
}

TEST_F(RestWindow, ANewCodeIsFollowedBySetsAndNamedClusters) {
  d().click("clusteredMap");
  d().make("primary", "the clusters");
  const std::string id = s().products.back().id;
  const LegendClass before = s().legend.classes[0];
  w().bench().nameClusters(q(id), {{1, before.code}, {2, 0}}, "name");
  w().bench().keepTrainingSet("all");
  LegendClass as = before;
  as.code = 40;
  w().bench().changeClass(before.code, as);
  EXPECT_EQ(namingOf(*s().product(id), s().legend).at(1), 40);
  const auto of = [&](int code) {
    const auto& areas = s().trainingSets[0].areas;
    return std::count_if(areas.begin(), areas.end(), [&](auto& a) { return a.code == code; });
  };
  EXPECT_GT(of(40), 0);
  EXPECT_EQ(of(before.code), 0);
  key(Qt::Key_Z, Qt::ControlModifier);  // one thing to take back
  EXPECT_NE(s().legend.find(before.code), nullptr);
  EXPECT_EQ(namingOf(*s().product(id), s().legend).at(1), before.code);
  EXPECT_EQ(of(40), 0);
}

TEST_F(RestWindow, ANewCodeIsFollowedByLabels) {
  d().make("primary", "the map");
  makePoints("3");
  startLabelling();
  const int code = s().legend.classes[1].code;
  w().book().labelling().label(code, "2031-08-01T10:00:00");
  w().book().changed();
  LegendClass as = s().legend.classes[1];
  as.code = 41;
  w().bench().changeClass(code, as);
  const auto labels = readLabels(s().newest(ProductKind::Labels)->file).labelling;
  const auto with = [&](int c) {
    return std::count_if(labels.points().begin(), labels.points().end(),
                         [&](const ValidationPoint& p) { return p.reference == c; });
  };
  EXPECT_EQ(with(41), 1);
  EXPECT_EQ(with(code), 0);
  w().bench().undo().undo();
  EXPECT_EQ(w().book().labelling().pairs()[0].reference, code);
}

TEST_F(RestWindow, ColoursAreProposedAndTakenBack) {
  d().stage(2);
  const Legend before = s().legend;
  d().click("editClass");
  d().click("proposeColours");
  Legend proposed = before;
  proposeColours(proposed);
  EXPECT_NE(proposed.classes, before.classes);
  EXPECT_EQ(s().legend.classes, proposed.classes);
  key(Qt::Key_Z, Qt::ControlModifier);
  EXPECT_EQ(s().legend.classes[0].colour, before.classes[0].colour);
}

}  // namespace
}  // namespace zp
