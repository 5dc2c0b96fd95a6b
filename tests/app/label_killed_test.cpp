// The window killed at any moment of labelling: every label that was given is there.
#include <csignal>

#include "accuracy/labels_file.h"
#include "accuracy_fixture.h"

namespace zp {
namespace {

using namespace testing;

constexpr const char* kStudyOfChild = "ZP_TEST_STUDY";
constexpr const char* kTaskOfChild = "ZP_TEST_TASK";

using Task = LabelBook::Task;

/// How far a task is.
size_t doneOf(Task task, const Labelling& labelling, const std::optional<SecondLabels>& second) {
  return task == Task::Label    ? labelling.labelled()
         : task == Task::Second ? second->labelling.labelled()
                                : second->settled.size();
}

/// What the tests below start as a process of its own, and kill.
TEST(LabellingProcess, DISABLED_LabelsAndTells) {
  MainWindow window;
  Driver driver(window);
  window.show();
  ASSERT_TRUE(window.bench().open(qEnvironmentVariable(kStudyOfChild)));
  driver.settle();
  auto& book = window.book();
  const auto task = static_cast<Task>(qEnvironmentVariableIntValue(kTaskOfChild));
  book.setTask(task);
  window.openLabelling();
  const auto done = [&] { return doneOf(task, book.labelling(), book.second()); };
  while (done() < book.worked().points().size()) {
    QTest::keyClick(&window.labelling(), static_cast<char>('1' + done() % 9));
    std::printf("labelled %zu\n", done());
    std::fflush(stdout);
    QCoreApplication::processEvents();
  }
  std::puts("all");
}

class LabelKilled : public AccuracyDeskWindow {
 protected:
  void closeWindow() {
    file_ = s().newest(ProductKind::Labels)->file;
    driver_.reset();
    window_->close();
    window_.reset();
  }
  /// Labels in a process that is killed `wait` ms after its first label; how many it told of.
  size_t labelUntilKilled(Task task, int wait) {
    QProcess child;
    auto environment = QProcessEnvironment::systemEnvironment();
    environment.insert(kStudyOfChild, study());
    environment.insert(kTaskOfChild, QString::number(static_cast<int>(task)));
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
  /// Nothing that was told of is missing, and at most one more is there.
  size_t expectNothingLost(Task task, int rounds) {
    size_t before = 0;
    for (int round = 0; round < rounds && before < 36; ++round) {
      const size_t told = labelUntilKilled(task, round * 9 % 40);
      const LabelsFile file = readLabels(file_);
      const size_t now = doneOf(task, file.labelling, file.second);
      EXPECT_GE(now, told);
      EXPECT_LE(now, told + 1);
      EXPECT_GT(now, before);
      before = now;
    }
    return before;
  }
  fs::path file_;
};

TEST_F(LabelKilled, NothingThatWasLabelledIsLost) {
  startLabelling();
  leaveDesk();
  closeWindow();
  const size_t before = expectNothingLost(Task::Label, 8);
  open();
  EXPECT_EQ(labelling().labelled(), before);
}

TEST_F(LabelKilled, NorWhatASecondLabellerSaidAndWhatWasSettled) {
  startLabelling();
  labelAll(99);
  leaveDesk();
  w().book().addSecond("B. Labeller", 1);
  closeWindow();
  const size_t before = expectNothingLost(Task::Second, 4);
  open();
  auto& book = w().book();
  EXPECT_EQ(book.second()->labelling.labelled(), before);
  EXPECT_EQ(labelling().labelled(), 36u);
  // Everything else differs, and is settled in processes that are killed.
  book.setTask(Task::Second);
  for (const auto& p : labelling().points())
    book.worked().labelPoint(p.id, p.reference % 9 + 1, "now");
  book.worked().close("now");
  book.changed();
  ASSERT_EQ(book.agreement()->open(), 36u);
  closeWindow();
  const size_t settled = expectNothingLost(Task::Settle, 4);
  open();
  EXPECT_EQ(w().book().agreement()->open(), 36 - settled);
  EXPECT_EQ(w().book().agreement()->disagreements.size(), 36u);
}

}  // namespace
}  // namespace zp
