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

/// Hands on the lines that have come since it was last asked.
class Lines {
 public:
  Lines(int from, const std::function<void(const std::string&)>& told) : from_(from), told_(told) {}
  void look() {
    std::array<char, 4096> some{};
    for (ssize_t n; from_ >= 0 && (n = pread(from_, some.data(), some.size(), at_)) > 0; at_ += n)
      part_.append(some.data(), static_cast<size_t>(n));
    for (size_t end; (end = part_.find('\n')) != std::string::npos; part_.erase(0, end + 1))
      told_(part_.substr(0, end));
  }

 private:
  int from_;
  const std::function<void(const std::string&)>& told_;
  off_t at_ = 0;
  std::string part_;
};

/// A file that nobody else sees: a full pipe would hold the program up.
class Unseen {
 public:
  Unseen() : file(open("/tmp", O_TMPFILE | O_RDWR | O_CLOEXEC, 0600)) {}
  ~Unseen() {
    if (file >= 0) close(file);
  }
  Unseen(const Unseen&) = delete;
  Unseen& operator=(const Unseen&) = delete;
  const int file;
};

int waitFor(pid_t child, const Progress& progress, Lines* lines) {
  int status = 0;
  while (waitpid(child, &status, WNOHANG) == 0) {
    try {
      if (lines != nullptr) lines->look();
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

bool runProgram(const std::vector<std::string>& command, const Progress& progress,
                const std::function<void(const std::string&)>& told) {
  std::vector<char*> arguments;
  for (const auto& a : command) arguments.push_back(const_cast<char*>(a.c_str()));
  arguments.push_back(nullptr);
  const Unseen said, output;
  posix_spawn_file_actions_t files;
  posix_spawn_file_actions_init(&files);
  posix_spawn_file_actions_addopen(&files, 0, "/dev/null", O_RDONLY, 0);
  if (told && output.file >= 0)
    posix_spawn_file_actions_adddup2(&files, output.file, 1);
  else
    posix_spawn_file_actions_addopen(&files, 1, "/dev/null", O_WRONLY, 0);
  if (said.file >= 0) posix_spawn_file_actions_adddup2(&files, said.file, 2);
  pid_t child = 0;
  const int failed = posix_spawnp(&child, arguments[0], &files, nullptr, arguments.data(), environ);
  posix_spawn_file_actions_destroy(&files);
  int status = 0;
  Lines lines(output.file, told);
  if (failed == 0) status = waitFor(child, progress, told ? &lines : nullptr);
  if (failed != 0 || (WIFEXITED(status) && WEXITSTATUS(status) == 127)) return false;
  if (told) lines.look();
  if (status == 0) return true;
  std::string line;
  if (said.file >= 0) {
    lseek(said.file, 0, SEEK_SET);
    line = lastLine(said.file);
  }
  throw Error("The program “{}” failed: {}", command[0], line);
}

}  // namespace zp
