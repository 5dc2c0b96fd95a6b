#include <fstream>

#include "support/small_study.h"

namespace zp {
namespace {

using namespace zp::testing;

/// Ends as when the program is killed: nothing is saved. What is there after it was opened again.
std::vector<std::string> filesAfterAKill(const Folder& folder, Study& study) {
  study = Study();
  study = Study::open(folder / "study");
  EXPECT_TRUE(study.notice.empty()) << study.notice.text();
  for (const auto& p : study.products) EXPECT_TRUE(fs::exists(p.file)) << p.file;
  std::vector<std::string> all;
  for (const auto& entry : fs::recursive_directory_iterator(folder / "study"))
    if (entry.path().extension() == ".tif" || entry.path().extension() == ".xml" ||
        entry.path().filename() == ".unsaved")
      all.push_back(entry.path().lexically_relative(folder / "study").string());
  std::sort(all.begin(), all.end());
  return all;
}

TEST(UnsavedMoves, KilledBeforeSavingAFileIsWhereTheStudyLooksForIt) {
  Folder folder;
  using Files = std::vector<std::string>;
  Study study = makeStudy(folder);
  Json step = {{"do", "index"}, {"scene", "s1"}, {"formula", "nir"}, {"name", "N"}};
  const auto n = add(study, step);
  study.save();
  std::ofstream(folder / "study/products/mine.tif") << "of a person";
  const auto index = [&] { return textOf(folder / "study/products/n.tif"); };
  const std::string bytes = index();
  step["formula"] = "red";
  add(study, step);  // made and not saved: it is nobody's
  EXPECT_EQ(filesAfterAKill(folder, study), (Files{"products/mine.tif", "products/n.tif"}));
  study.toBin(n);
  EXPECT_EQ(filesAfterAKill(folder, study), (Files{"products/mine.tif", "products/n.tif"}));
  EXPECT_EQ(index(), bytes);
  // Back from the bin under another name, since its own was taken.
  study.toBin(n);
  const auto other = add(study, step);
  study.save();
  study.fromBin(n);
  EXPECT_EQ(filesAfterAKill(folder, study),
            (Files{"bin/" + n + "-n.tif", "products/mine.tif", "products/n.tif"}));
  study.fromBin(n);
  study.save();
  EXPECT_EQ(filesAfterAKill(folder, study),
            (Files{"products/mine.tif", "products/n-2.tif", "products/n.tif"}));
  EXPECT_EQ(study.product(n)->file, folder / "study/products/n-2.tif");
  EXPECT_NE(study.product(other), nullptr);
}

TEST(UnsavedMoves, ANoteFromAStrangerTouchesNothingElse) {
  Folder folder, elsewhere;
  Study study = makeStudy(folder);
  study.save();
  study = Study();
  std::ofstream(elsewhere / "precious") << "mine";
  std::ofstream(folder / "study/note") << "mine";
  fs::create_directory_symlink(elsewhere.path(), folder / "study/products");
  fs::create_directory(folder / "study/.unsaved");
  const std::string out = (elsewhere / "precious").string();
  int n = 0;
  for (const std::string& to : {out, std::string("note"), std::string("products/precious"),
                                std::string("products/../../../precious"),
                                "../" + elsewhere.path().filename().string() + "/precious"})
    writeJson(folder / ("study/.unsaved/" + std::to_string(n++)), {{"from", ""}, {"to", to}});
  writeJson(folder / "study/.unsaved/back", {{"from", out}, {"to", "note"}});
  std::ofstream(folder / "study/.unsaved/half") << "{\"from\": ";
  study = Study::open(folder / "study");
  EXPECT_EQ(textOf(elsewhere / "precious"), "mine");
  EXPECT_EQ(textOf(folder / "study/note"), "mine");
  EXPECT_FALSE(fs::exists(folder / "study/.unsaved"));
}

}  // namespace
}  // namespace zp
