// The window killed at any moment of labelling: every label that was given is there.
#include <csignal>

#include "accuracy/labels_file.h"
#include "accuracy_fixture.h"

namespace zp {
namespace {

using namespace testing;

constexpr const char* kStudyOfChild = "ZP_TEST_STUDY";

/// What the test below starts as a process of its own, and kills.
TEST(LabellingProcess, DISABLED_LabelsAndTells) {
  MainWindow window;
  Driver driver(window);
  window.show();
  ASSERT_TRUE(window.bench().open(qEnvironmentVariable(kStudyOfChild)));
  driver.settle();
  window.openLabelling();
  while (window.book().labelling().labelled() < window.book().labelling().points().size()) {
    const size_t n = window.book().labelling().labelled();
    QTest::keyClick(&window.labelling(), static_cast<char>('1' + n % 9));
    std::printf("labelled %zu\n", window.book().labelling().labelled());
    std::fflush(stdout);
    QCoreApplication::processEvents();
  }
  std::puts("all");
}

class LabelKilled : public AccuracyDeskWindow {
 protected:
  /// Labels in a process that is killed `wait` ms after its first label; how many it told of.
  size_t labelUntilKilled(int wait) {
    QProcess child;
    auto environment = QProcessEnvironment::systemEnvironment();
    environment.insert(kStudyOfChild, study());
    child.setProcessEnvironment(environment);
    child.start(QCoreApplication::applicationFilePath(),
                {"--gtest_also_run_disabled_tests", "--gtest_filter=LabellingProcess.*"});
    QByteArray said;
    while (!said.contains("labelled ") && child.waitForReadyRead(60000))
      said += child.readAllStandardOutput();
    QThread::msleep(static_cast<unsigned long>(wait));
    ::kill(static_cast<pid_t>(child.processId()), SIGKILL);
    child.waitForFinished();
    said += child.readAllStandardOutput();
    const auto last = said.lastIndexOf("labelled ");
    EXPECT_GE(last, 0) << said.toStdString();
    return last < 0 ? 0 : said.mid(last + 9).split('\n')[0].toULongLong();
  }
};

TEST_F(LabelKilled, NothingThatWasLabelledIsLost) {
  startLabelling();
  leaveDesk();
  const fs::path file = s().newest(ProductKind::Labels)->file;
  driver_.reset();
  window_->close();
  window_.reset();
  size_t before = 0;
  for (int round = 0; round < 8 && before < 36; ++round) {
    const size_t told = labelUntilKilled(round * 9 % 40);
    const Labelling now = readLabels(file).labelling;
    EXPECT_GE(now.labelled(), told);
    EXPECT_LE(now.labelled(), told + 1);
    EXPECT_GT(now.labelled(), before);
    before = now.labelled();
  }
  open();
  EXPECT_EQ(labelling().labelled(), before);
}

}  // namespace
}  // namespace zp
