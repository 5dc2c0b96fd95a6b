#include "base/run_program.h"

#include <fcntl.h>
#include <spawn.h>
#include <sys/wait.h>
#include <unistd.h>

#include <array>
#include <chrono>
#include <csignal>
#include <thread>

#include "base/error.h"
#include "base/text.h"

extern char** environ;

namespace zp {
namespace {

/// What a program says, so much of its end as a sentence needs.
std::string lastLine(int from) {
  std::string said;
  std::array<char, 4096> some{};
  for (ssize_t n; (n = read(from, some.data(), some.size())) > 0;) {
    said.append(some.data(), static_cast<size_t>(n));
    if (said.size() > 16384) said.erase(0, said.size() - 8192);
  }
  const std::string text = trimmed(said);
  const size_t at = text.rfind('\n');
  return at == std::string::npos ? text : text.substr(at + 1);
}

int waitFor(pid_t child, const Progress& progress) {
  int status = 0;
  while (waitpid(child, &status, WNOHANG) == 0) {
    try {
      progress.check();
    } catch (...) {
      kill(child, SIGKILL);
      waitpid(child, &status, 0);
      throw;
    }
    std::this_thread::sleep_for(std::chrono::milliseconds(20));
  }
  return status;
}

}  // namespace

bool runProgram(const std::vector<std::string>& command, const Progress& progress) {
  std::vector<char*> arguments;
  for (const auto& a : command) arguments.push_back(const_cast<char*>(a.c_str()));
  arguments.push_back(nullptr);
  // What it says goes to a file that nobody else sees: a full pipe would hold it up.
  const int said = open("/tmp", O_TMPFILE | O_RDWR | O_CLOEXEC, 0600);
  posix_spawn_file_actions_t files;
  posix_spawn_file_actions_init(&files);
  posix_spawn_file_actions_addopen(&files, 0, "/dev/null", O_RDONLY, 0);
  posix_spawn_file_actions_addopen(&files, 1, "/dev/null", O_WRONLY, 0);
  if (said >= 0) posix_spawn_file_actions_adddup2(&files, said, 2);
  pid_t child = 0;
  const int failed = posix_spawnp(&child, arguments[0], &files, nullptr, arguments.data(), environ);
  posix_spawn_file_actions_destroy(&files);
  std::string line;
  int status = 0;
  try {
    if (failed == 0) status = waitFor(child, progress);
  } catch (...) {
    if (said >= 0) close(said);
    throw;
  }
  if (said >= 0) {
    lseek(said, 0, SEEK_SET);
    line = lastLine(said);
    close(said);
  }
  if (failed != 0 || (WIFEXITED(status) && WEXITSTATUS(status) == 127)) return false;
  if (status != 0) throw Error("The program “{}” failed: {}", command[0], line);
  return true;
}

}  // namespace zp
