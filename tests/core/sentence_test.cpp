#include <gtest/gtest.h>

#include <map>

#include "base/error.h"
#include "base/json.h"
#include "base/text.h"

namespace zp {
namespace {

/// Another language: patterns that it has, the others as they are.
std::string inOther(const Sentence& s, const std::map<std::string, std::string>& patterns) {
  return s.text([&](const std::string& english) {
    const auto at = patterns.find(english);
    return at == patterns.end() ? english : at->second;
  });
}

TEST(Sentence, FillsItsPattern) {
  EXPECT_EQ(Sentence("There is no band.").text(), "There is no band.");
  EXPECT_EQ(Sentence("“{}” has {} bands, {:.2f} nm apart.", "a.tif", 3, 1.5).text(),
            "“a.tif” has 3 bands, 1.50 nm apart.");
  EXPECT_EQ(Sentence("{1} before {0}", "a", "b").text(), "b before a");
  EXPECT_EQ(Sentence("{{{}}}", 1).text(), "{1}");
  EXPECT_EQ(Sentence("a brace { of a name").text(), "a brace { of a name");
}

TEST(Sentence, CanBeSaidInAnotherOrderAndKeepsNames) {
  const Sentence s("“{}” has {:.1f} % cloud.", "has", 12.34);
  EXPECT_EQ(inOther(s, {{"“{}” has {:.1f} % cloud.", "{1} % der Wolken in „{0}“."},
                        {"has", "must stay: it is a name"}}),
            "12.3 % der Wolken in „has“.");
  // A pattern that asks for more than there is says what it can.
  EXPECT_EQ(inOther(s, {{"“{}” has {:.1f} % cloud.", "{} {} {} {7}"}}), "has 12.3  ");
}

TEST(Sentence, WithinASentenceIsSaidInThatLanguageToo) {
  const Sentence s("Roles: {}.", listed({Sentence("first"), Sentence("{}", "nir"), Sentence("b")}));
  EXPECT_EQ(s.text(), "Roles: first, nir and b.");
  EXPECT_EQ(inOther(s, {{"{} and {}", "{} und {}"}, {"first", "erste"}, {"nir", "no"}}),
            "Roles: erste, nir und b.");
  EXPECT_EQ(listed(std::vector<std::string>{}).text(), "");
  EXPECT_EQ(listed(std::vector<std::string>{"and"}).text(), "and");
}

TEST(Sentence, IsKeptInAFile) {
  const Sentence s("Gain: {:.3g}, {}.", 2.0 / 3, Sentence("unsure"));
  const Sentence back = sentenceFrom(Json::parse(toJson(s).dump()));
  EXPECT_EQ(back.text(), s.text());
  EXPECT_EQ(inOther(back, {{"Gain: {:.3g}, {}.", "{1}: {0}"}}), "unsure: 0.667");
  EXPECT_EQ(toJson(Sentence("Plain.")), Json("Plain."));
  EXPECT_EQ(sentenceFrom(Json("Of before.")).text(), "Of before.");
}

TEST(Sentence, IsWhatAnErrorSays) {
  try {
    throw Error("“{}” is gone.", "a.tif");
  } catch (const Error& e) {
    EXPECT_STREQ(e.what(), "“a.tif” is gone.");
    EXPECT_EQ(e.sentence().pattern(), "“{}” is gone.");
    EXPECT_EQ(e.sentence().values(), std::vector<std::string>{"a.tif"});
  }
  EXPECT_STREQ(Error("It holds {braces} of a name.").what(), "It holds {braces} of a name.");
}

}  // namespace
}  // namespace zp
