// Work beside the window: what runs when, and which answers arrive. Run under the thread sanitizer
// too (preset tsan).
#include <gtest/gtest.h>

#include <QElapsedTimer>
#include <QSignalSpy>
#include <QtTest/QTest>
#include <atomic>
#include <thread>

#include "background/job_runner.h"
#include "background/latest.h"
#include "threads/patience.h"

namespace zp {
namespace {

TEST(BackgroundObject, AnswersArriveOnTheOwnersThreadInOrder) {
  Background background;
  QList<int> order;
  const auto owner = std::this_thread::get_id();
  for (int i = 0; i < 200; ++i)
    background.add([&, i](const Progress&, size_t thread) -> Answer {
      EXPECT_EQ(thread, 0u);
      EXPECT_NE(std::this_thread::get_id(), owner);
      return [&, i] {
        EXPECT_EQ(std::this_thread::get_id(), owner);
        order << i;
      };
    });
  ASSERT_TRUE(QTest::qWaitFor([&] { return background.idle(); }, kPatience));
  ASSERT_EQ(order.size(), 200);
  EXPECT_TRUE(std::is_sorted(order.begin(), order.end()));
}

TEST(BackgroundObject, EveryThreadWorksAndNoneIsAskedTwiceAtOnce) {
  Background background(nullptr, 4);
  std::array<std::atomic<int>, 4> busy{};
  std::atomic<int> together{0}, most{0};
  int answers = 0;
  for (int i = 0; i < 400; ++i)
    background.add([&, i](const Progress&, size_t thread) -> Answer {
      EXPECT_EQ(busy.at(thread)++, 0);
      const int now = ++together;
      int seen = most;
      while (now > seen && !most.compare_exchange_weak(seen, now)) {
      }
      // The first goes on when another works beside it, which one thread alone never would.
      QElapsedTimer waited;
      waited.start();
      while (i == 0 && most < 2 && !waited.hasExpired(kPatience)) std::this_thread::yield();
      --together;
      --busy.at(thread);
      return [&] { ++answers; };
    });
  ASSERT_TRUE(QTest::qWaitFor([&] { return background.idle(); }, kPatience));
  EXPECT_EQ(answers, 400);
  EXPECT_GT(most, 1);
}

TEST(BackgroundObject, WhatIsReplacedNeverBeginsAndWhatRunsGoesOn) {
  Background background;
  std::atomic<bool> begun{false}, go{false};
  QStringList answers;
  const auto named = [&](const QString& name) {
    return [&answers, name](const Progress&, size_t) -> Answer {
      return [&answers, name] { answers << name; };
    };
  };
  background.add([&](const Progress&, size_t) -> Answer {
    begun = true;
    while (!go) std::this_thread::yield();
    return [&] { answers << "running"; };
  });
  background.add(named("waiting"));
  ASSERT_TRUE(QTest::qWaitFor([&] { return begun.load(); }, kPatience));
  background.replace({named("new"), named("newer")});
  EXPECT_FALSE(background.idle());
  go = true;
  ASSERT_TRUE(QTest::qWaitFor([&] { return background.idle(); }, kPatience));
  EXPECT_EQ(answers, (QStringList{"running", "new", "newer"}));
}

TEST(BackgroundObject, OfWhatIsStoppedNothingArrives) {
  Background background(nullptr, 2);
  std::atomic<int> begun{0}, cancelled{0};
  int arrived = 0;
  for (int round = 0; round < 20; ++round) {
    for (int i = 0; i < 10; ++i)
      background.add([&](const Progress& progress, size_t) -> Answer {
        ++begun;
        background.post([&] { ++arrived; });
        for (int k = 0; k < 200; ++k) {
          if (progress.cancelled()) ++cancelled;
          progress.check();
          std::this_thread::yield();
        }
        return [&] { ++arrived; };
      });
    background.stop();
    EXPECT_TRUE(background.idle());
  }
  background.stopAndWait();
  const int after = begun;
  QCoreApplication::processEvents();
  EXPECT_EQ(arrived, 0);
  EXPECT_EQ(begun, after);  // and nothing begins any more
  bool again = false;
  background.add([&](const Progress&, size_t) -> Answer { return [&] { again = true; }; });
  ASSERT_TRUE(QTest::qWaitFor([&] { return again; }, kPatience));
}

TEST(BackgroundObject, APieceThatWasStoppedPostsNothingMore) {
  Background background;
  std::atomic<bool> begun{false}, go{false}, posted{false};
  int stray = 0, mine = 0;
  background.add([&](const Progress&, size_t) -> Answer {
    begun = true;
    while (!go) std::this_thread::yield();
    background.post([&] { ++stray; });
    posted = true;
    return {};
  });
  ASSERT_TRUE(QTest::qWaitFor([&] { return begun.load(); }, kPatience));
  background.stop();
  background.post([&] { ++mine; });  // by somebody else, and after the stop
  go = true;
  ASSERT_TRUE(QTest::qWaitFor([&] { return posted && mine == 1; }, kPatience));
  QCoreApplication::processEvents();
  EXPECT_EQ(stray, 0);
}

TEST(BackgroundObject, AnAnswerThatWaitsHoldsUpNoOther) {
  Background background;
  std::atomic<int> worked{0};
  bool second = false, waitedFor = false;
  background.add([&](const Progress&, size_t) -> Answer {
    ++worked;
    return [&] { waitedFor = QTest::qWaitFor([&] { return second; }, kPatience); };
  });
  background.add([&](const Progress&, size_t) -> Answer {
    ++worked;
    return [&] { second = true; };
  });
  background.add([&](const Progress&, size_t) -> Answer {
    ++worked;
    return {};
  });
  while (worked < 3) std::this_thread::yield();  // the first two have arrived, and wait
  ASSERT_TRUE(QTest::qWaitFor([&] { return background.idle(); }, kPatience));
  EXPECT_TRUE(waitedFor);
}

TEST(BackgroundObject, GoesAwayWhileItWorks) {
  for (int round = 0; round < 50; ++round) {
    int arrived = 0;
    {
      Background background(nullptr, 3);
      for (int i = 0; i < 20; ++i)
        background.add([&](const Progress& progress, size_t) -> Answer {
          for (int k = 0; k < 50; ++k) progress.check();
          return [&] { ++arrived; };
        });
      if (round % 2 == 0) QCoreApplication::processEvents();
    }
    const int then = arrived;
    QCoreApplication::processEvents();
    EXPECT_EQ(arrived, then);
  }
}

TEST(BackgroundObject, AnAnswerMayTakeItAway) {
  auto* background = new Background;
  bool gone = false;
  for (int i = 0; i < 5; ++i)
    background->add([&](const Progress&, size_t) -> Answer {
      return [&] {
        delete background;
        gone = true;
      };
    });
  ASSERT_TRUE(QTest::qWaitFor([&] { return gone; }, kPatience));
  QCoreApplication::processEvents();
}

TEST(JobRunnerObject, RunsOneAfterTheOtherAndTellsTheEnd) {
  JobRunner runner;
  QStringList order;
  std::atomic<int> together{0}, most{0};
  const auto work = [&](const Progress& p) {
    most = std::max<int>(most, ++together);
    for (int i = 0; i <= 100; ++i) p.at(i / 100.0);
    --together;
  };
  runner.start({"a", {}, work, [&] { order << "a"; }, {}});
  runner.start({"b", [&] { order << "prepare b"; }, work, [&] { order << "b"; }, {}});
  EXPECT_TRUE(runner.busy());
  EXPECT_EQ(runner.title(), "a");
  ASSERT_TRUE(QTest::qWaitFor([&] { return !runner.busy(); }, kPatience));
  EXPECT_EQ(order, (QStringList{"a", "prepare b", "b"}));
  EXPECT_EQ(most, 1);
}

TEST(JobRunnerObject, FailuresAreSentencesAndTheNextJobStillRuns) {
  JobRunner runner;
  QString said;
  bool after = false;
  runner.start({"bad",
                {},
                [](const Progress&) { throw Error("It cannot be done; do this instead."); },
                [] { FAIL(); },
                [&](const QString& s) { said = s; }});
  runner.start({"good", {}, [](const Progress&) {}, [&] { after = true; }, {}});
  ASSERT_TRUE(QTest::qWaitFor([&] { return after; }, kPatience));
  EXPECT_EQ(said, "It cannot be done; do this instead.");
}

TEST(JobRunnerObject, CancelEmptiesTheQueue) {
  JobRunner runner;
  QSignalSpy cancelled(&runner, &JobRunner::cancelled);
  bool second = false;
  runner.start({"endless",
                {},
                [](const Progress& p) {
                  for (;;) p.at(0.5);
                },
                [] { FAIL(); },
                {}});
  runner.start({"never", {}, [](const Progress&) {}, [&] { second = true; }, {}});
  ASSERT_TRUE(QTest::qWaitFor([&] { return runner.share() > 0.4; }, kPatience));
  runner.cancel();
  ASSERT_TRUE(QTest::qWaitFor([&] { return !runner.busy(); }, kPatience));
  EXPECT_FALSE(second);
  ASSERT_EQ(cancelled.size(), 1);
  EXPECT_EQ(cancelled[0][0].toString(), "endless");
}

TEST(LatestObject, WhatIsOvertakenBeforeItBeginsNeverDoes) {
  QObject owner;
  auto* latest = new Latest(&owner);
  std::atomic<int> begun{0};
  std::atomic<bool> go{false};
  int got = -1;
  const auto done = [&](int v) { got = v; };
  const auto failed = [](const QString&) {};
  latest->ask(
      [&](const Progress&) {
        ++begun;
        while (!go) std::this_thread::yield();
        return 0;
      },
      done, failed);
  ASSERT_TRUE(QTest::qWaitFor([&] { return begun == 1; }, kPatience));
  for (int i = 1; i <= 50; ++i)
    latest->ask(
        [&begun, i](const Progress&) {
          ++begun;
          return i;
        },
        done, failed);
  go = true;
  ASSERT_TRUE(QTest::qWaitFor([&] { return got == 50; }, kPatience));
  EXPECT_EQ(begun, 2);
}

TEST(LatestObject, OnlyTheNewestAnswerArrives) {
  QObject owner;
  auto* latest = new Latest(&owner);
  QList<int> answers;
  for (int i = 0; i < 20; ++i)
    latest->ask(
        [i](const Progress& p) {
          for (int k = 0; k < 1000; ++k) p.check();
          return i;
        },
        [&](int answer) { answers << answer; }, [](const QString&) { FAIL(); });
  ASSERT_TRUE(QTest::qWaitFor([&] { return !latest->pending(); }, kPatience));
  EXPECT_EQ(answers, QList<int>{19});
  QString said;
  latest->ask([](const Progress&) -> int { throw Error("No."); }, [](int) { FAIL(); },
              [&](const QString& s) { said = s; });
  ASSERT_TRUE(QTest::qWaitFor([&] { return !said.isEmpty(); }, kPatience));
  EXPECT_EQ(said, "No.");
}

}  // namespace
}  // namespace zp
