#pragma once
#include <filesystem>
#include <vector>

namespace zp {

/// One change to a folder: `from` takes the place of `to`, or, with an empty `from`, `to` goes.
struct FileMove {
  std::filesystem::path from, to;
};

/// Several changes that are made all or not at all, even when the process is killed among them:
/// they stand in a note on the disk before the first is made, and whoever next writes into one of
/// the folders finishes what the note says. The note lies in the folder of the first change; the
/// other folders hold pointers to it, written before it. A note only ever touches its own folder
/// and those that point to it, and puts nothing in place but what a run of ours left there.
class CommitNote {
 public:
  explicit CommitNote(const std::vector<FileMove>& moves);
  /// Puts the moves on the disk, in place of those written before: from here on they will be made.
  void write(const std::vector<FileMove>& moves) const;
  void remove() const;

 private:
  std::filesystem::path note_;
  std::vector<std::filesystem::path> pointers_;
};

/// Makes the changes; the error code tells whether one could not be made.
std::error_code carryOut(const std::vector<FileMove>& moves);

/// A name for a file of this run beside a target; swept once the run is over.
std::filesystem::path temporaryFor(const std::filesystem::path& target);
/// The name of the target of such a file; of any other, its own.
std::string targetNameOf(const std::filesystem::path& file);
std::filesystem::path folderOf(const std::filesystem::path& file);

/// Error when what was written does not reach the disk.
void flushToDisk(const std::filesystem::path& fileOrFolder);

/// Finishes what runs that are over had decided in this folder, and removes what they left.
void sweep(const std::filesystem::path& folder);

}  // namespace zp
