#pragma once
#include <filesystem>
#include <string_view>
#include <vector>

#include "base/commit_note.h"

namespace zp {

/// The files that one job makes: all of them appear, complete, at `commit`, or none does.
/// Each is written under a temporary name beside its place; a destructor without commit removes
/// what was written. What a killed run left behind is swept when the folder is next written to.
class Outputs {
 public:
  explicit Outputs(bool replace) : replace_(replace) {}
  ~Outputs();
  Outputs(const Outputs&) = delete;
  Outputs& operator=(const Outputs&) = delete;

  /// Refused (Error): an existing file unless `replace`, a missing or read-only folder, a file
  /// that is also an input.
  std::filesystem::path add(const std::filesystem::path& target,
                            const std::vector<std::filesystem::path>& inputs = {});

  /// Renames everything into place (companions such as `.aux.xml` before their file). One file
  /// takes the old one's place in one rename. Of several, a note on the disk says what is to be
  /// done, so that the next run into the folder ends in all-new, or, without a note, in all-old.
  /// When one rename fails, those already made are taken back.
  void commit();

  std::vector<std::filesystem::path> targets() const;

 private:
  struct File {
    std::filesystem::path target, temporary;
  };
  std::vector<FileMove> moves() const;
  bool replace_;
  bool committed_ = false;
  std::vector<File> files_;
};

/// Copies a file, with the `.aux.xml` beside it, to another place: complete or not at all. An
/// existing file there is replaced; Error when it is the same file.
void copyFile(const std::filesystem::path& file, const std::filesystem::path& target);

/// Writes a file that nobody else sees yet; Error, by the name of what it is to become, when not
/// all of it could be written.
void writeUnseen(const std::filesystem::path& file, std::string_view bytes);
/// Writes a text file in one step (temporary name, flush to disk, rename).
void writeFileAtomically(const std::filesystem::path& target, const std::string& text);

}  // namespace zp
