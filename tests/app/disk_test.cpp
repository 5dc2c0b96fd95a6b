// The disk of the study fills up, turns read-only, or goes away and comes back.
#include <sys/mount.h>
#include <sys/resource.h>

#include <csignal>

#include "window_fixture.h"

namespace zp {
namespace {

using namespace testing;

class Disk : public RealWindow {
 protected:
  void SetUp() override {
    RealWindow::SetUp();
    d().stage(1);
  }
  void TearDown() override {
    restore();
    umount2((folder_ / "study").c_str(), MNT_DETACH);
    RealWindow::TearDown();
  }
  /// Files may have this many bytes, as on a disk that is nearly full.
  void limit(rlim_t bytes) {
    std::signal(SIGXFSZ, SIG_IGN);
    rlimit now{};
    getrlimit(RLIMIT_FSIZE, &now);
    now.rlim_cur = bytes;
    ASSERT_EQ(setrlimit(RLIMIT_FSIZE, &now), 0);
  }
  void restore() { limit(RLIM_INFINITY); }
  /// Where one may mount: what root owns nobody else may change, but root may.
  bool mountReadOnly() {
    const std::string at = (folder_ / "study").string();
    return mount(at.c_str(), at.c_str(), nullptr, MS_BIND, nullptr) == 0 &&
           mount(nullptr, at.c_str(), nullptr, MS_REMOUNT | MS_BIND | MS_RDONLY, nullptr) == 0;
  }
  void mountWritable() {
    const std::string at = (folder_ / "study").string();
    ASSERT_EQ(mount(nullptr, at.c_str(), nullptr, MS_REMOUNT | MS_BIND, nullptr), 0);
  }
  QString state() { return w().trail().findChild<QLabel*>()->text(); }
  void edit(const QString& name) {
    w().bench().changeScene("s3", "Another name",
                            [&](Scene& scene) { scene.name = name.toStdString(); });
  }
  std::string nameOnDisk() { return Study::read(folder_ / "study").scene("s3")->scene.name; }
};

TEST_F(Disk, FullForAProductLeavesTheStudyAsItWas) {
  const size_t before = s().products.size();
  limit(200'000);
  d().click("index-vegetation");
  d().click("primary");
  d().until([&] { return !w().bench().jobs().busy(); }, "the job to end");
  d().until([&] { return said().contains("free some space"); }, "the sentence");
  EXPECT_EQ(s().products.size(), before);
  for (const auto& entry : fs::recursive_directory_iterator(folder_ / "study"))
    EXPECT_EQ(entry.path().filename().string().rfind(".zpatch-", 0), std::string::npos)
        << entry.path();
  restore();
  d().make("primary", "the index");
}

TEST_F(Disk, FullForTheStudyIsToldAndWrittenOnceThereIsRoom) {
  edit("Before");
  EXPECT_TRUE(state().startsWith("saved")) << state().toStdString();
  limit(1000);
  edit("While it was full");
  EXPECT_EQ(state(), "not saved");
  EXPECT_TRUE((said() + w().notice()).contains("not saved")) << w().notice().toStdString();
  EXPECT_EQ(nameOnDisk(), "Before");
  // It is not left for another, nor closed without a word.
  EXPECT_FALSE(w().bench().create(q((folder_ / "other").string()), "Other"));
  EXPECT_EQ(s().folder(), folder_ / "study");
  whenOpen<QMessageBox>([](QMessageBox& box) { box.button(QMessageBox::Cancel)->click(); });
  EXPECT_FALSE(w().close());
  EXPECT_TRUE(w().isVisible());
  edit("Still full");
  restore();
  d().until([&] { return state().startsWith("saved"); }, "the study to be saved by itself");
  EXPECT_EQ(nameOnDisk(), "Still full");
}

TEST_F(Disk, GoneAndBackLosesNothing) {
  edit("Before");
  fs::rename(folder_ / "study", folder_ / "unplugged");
  edit("While it was gone");
  EXPECT_EQ(state(), "not saved");
  for (int stage = 0; stage < 6; ++stage) {
    d().stage(stage);
    QTest::mouseMove(&w().view(), QPoint(200 + 20 * stage, 200));
  }
  EXPECT_FALSE(fs::exists(folder_ / "study")) << "a study of its own where the disk was";
  fs::rename(folder_ / "unplugged", folder_ / "study");
  d().until([&] { return state().startsWith("saved"); }, "the study to be saved by itself");
  EXPECT_EQ(nameOnDisk(), "While it was gone");
  EXPECT_FALSE(said().contains("not saved")) << said().toStdString();
  EXPECT_TRUE(w().notice().contains("saved again")) << w().notice().toStdString();
  reopen();
  EXPECT_EQ(s().scene("s3")->scene.name, "While it was gone");
}

TEST_F(Disk, FullForLabelsKeepsThem) {
  makeMap();
  makePoints("3");
  startLabelling();
  QTest::keyClick(&w().labelling(), Qt::Key_1);
  limit(500);
  QTest::keyClick(&w().labelling(), Qt::Key_2);
  QTest::keyClick(&w().labelling(), Qt::Key_3);
  EXPECT_TRUE(w().bench().unsaved());
  const fs::path file = s().newest(ProductKind::Labels)->file;
  EXPECT_EQ(readLabels(file).labelling.labelled(), 1u);
  restore();
  d().until([&] { return !w().bench().unsaved(); }, "the labels to be saved by themselves");
  EXPECT_EQ(readLabels(file).labelling.labelled(), 3u);
}

TEST_F(Disk, ReadOnlyIsASentence) {
  if (!mountReadOnly()) GTEST_SKIP() << "may not mount here";
  edit("While it was read-only");
  EXPECT_EQ(state(), "not saved");
  EXPECT_TRUE((said() + w().notice()).contains("not saved")) << w().notice().toStdString();
  mountWritable();
  d().until([&] { return state().startsWith("saved"); }, "the study to be saved by itself");
  EXPECT_EQ(nameOnDisk(), "While it was read-only");
}

TEST_F(Disk, ReadOnlyFromTheStartCanBeLookedAtAndGoneOnWithInACopy) {
  w().close();
  if (!mountReadOnly()) GTEST_SKIP() << "may not mount here";
  reopen();
  EXPECT_TRUE((said() + w().notice()).contains("may only be read")) << w().notice().toStdString();
  for (int stage = 0; stage < 6; ++stage) d().stage(stage);
  EXPECT_TRUE(w().view().anything());
  w().view().zoomTo({410000, 5719000, 411000, 5720000});
  w().bench().setPlace("somewhere", 1);
  EXPECT_FALSE(w().bench().unsaved()) << "only looking around";
  edit("In the copy");
  EXPECT_EQ(state(), "not saved");
  ASSERT_TRUE(w().bench().saveCopy(q((folder_ / "copy").string())));
  EXPECT_EQ(Study::read(folder_ / "copy").scene("s3")->scene.name, "In the copy");
  whenOpen<QMessageBox>([](QMessageBox& box) { box.button(QMessageBox::Discard)->click(); });
  EXPECT_TRUE(w().close());
}

TEST_F(Disk, ThePictureIsThereAgainWhenItsFileIs) {
  fs::rename(folder_ / "study", folder_ / "unplugged");
  w().bench().setCurrentScene("s2");
  d().until([&] { return w().notice().contains("does not exist"); }, "the sentence");
  EXPECT_FALSE(w().view().anything());
  fs::rename(folder_ / "unplugged", folder_ / "study");
  d().until([&] { return w().view().anything(); }, "the picture, by itself");
}

}  // namespace
}  // namespace zp
