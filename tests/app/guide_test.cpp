// The guide, opened at the page for where one is.
#include "shell/guide.h"

#include <QDesktopServices>

#include "window_fixture.h"

namespace zp {
namespace {

using namespace zp::testing;

/// Takes the place of the desktop's browser.
class Browser : public QObject {
  Q_OBJECT
 public:
  Browser() { QDesktopServices::setUrlHandler("file", this, "open"); }
  ~Browser() override { QDesktopServices::unsetUrlHandler("file"); }
  QUrl opened;

 public Q_SLOTS:
  void open(const QUrl& url) { opened = url; }
};

class GuideWindow : public RealWindow {
 protected:
  void linkOfKeys() {
    QTest::keyClick(&w(), Qt::Key_Question);
    QLabel* keys = nullptr;
    for (auto* label : w().findChildren<QLabel*>("factSheet"))
      if (label->isVisible() && label->text().contains("href='")) keys = label;
    ASSERT_NE(keys, nullptr);
    Q_EMIT keys->linkActivated(keys->text().section("href='", 1).section('\'', 0, 0));
    QTest::keyClick(&w(), Qt::Key_Question);  // away again
    EXPECT_FALSE(keys->isVisible());
  }
  Browser browser_;
};

TEST_F(GuideWindow, EveryPlaceHasItsPage) {
  for (int i = 0; i <= static_cast<int>(Whereabouts::Table); ++i) {
    const QUrl url = guideUrl(guidePageOf(static_cast<Whereabouts>(i)));
    ASSERT_FALSE(url.isEmpty()) << i;
    const std::string page = [&] {
      std::ifstream file(url.toLocalFile().toStdString());
      return std::string(std::istreambuf_iterator<char>(file), {});
    }();
    EXPECT_NE(page.find("<h1"), std::string::npos) << i;
    const std::string at = "id=\"" + url.fragment().toStdString() + "\"";
    EXPECT_TRUE(!url.hasFragment() || page.find(at) != std::string::npos)
        << url.toString().toStdString();
  }
}

TEST_F(GuideWindow, TheKeysLeadToThePageOfTheStage) {
  d().stage(2);
  linkOfKeys();
  EXPECT_TRUE(browser_.opened.path().endsWith("stages/training.html"));
  importTraining();
  d().click("openSignatures");
  d().settle();
  linkOfKeys();
  EXPECT_EQ(browser_.opened.fragment(), "are-they-good");
}

TEST_F(GuideWindow, TheStudyMenuOpensItsFirstPage) {
  whenMenuOpens("Guide");
  QTest::mouseClick(w().trail().studyButton(), Qt::LeftButton);
  d().until([&] { return browser_.opened.path().endsWith("guide/site/index.html"); }, "the guide");
}

}  // namespace
}  // namespace zp

#include "guide_test.moc"
