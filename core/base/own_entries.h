#pragma once
#include <functional>
#include <string>
#include <vector>

#include "base/json.h"

namespace zp {

/// Hands over each entry of a list in a user's own file (see ownFile); none when there is no file.
/// A file that cannot be read to its end is kept beside its place as NAME.damaged, so that writing
/// anew loses nothing, and `ownTroubles` says so.
void readOwnEntries(const std::string& name, const std::string& format, const std::string& list,
                    const std::function<void(const Json&)>& take);

/// What was wrong with the user's own files when they were read, a sentence each.
const std::vector<Sentence>& ownTroubles();

/// Hands over each entry of a list in a file of ours. Error: which entry is not as it has to be.
void takeEntries(const Json& json, const std::string& name, const std::string& list,
                 const std::function<void(const Json&)>& take);

/// Writes the file anew with these entries; makes its folder when missing.
void writeOwnEntries(const std::string& name, const std::string& format, const std::string& list,
                     const Json& entries);

}  // namespace zp
