#include "shell/keys.h"

#include <QCoreApplication>
#include <utility>
#include <vector>

#include "look/look.h"
#include "shell/guide.h"

namespace zp {
namespace {

struct Key {
  const char *keys, *does;
};

const std::vector<Key> kAlways{{words("F1 … F6"), words("go to a stage")},
                               {words("Ctrl K"), words("find anything")},
                               {words("?"), words("these keys")},
                               {words("Ctrl Z, Ctrl Shift Z"), words("take back, do again")},
                               {words("Ctrl N, Ctrl O"), words("new study, open one")},
                               {words("Ctrl Q"), words("quit")}};
const std::vector<Key> kView{
    {words("drag, arrow keys"), words("pan, with Shift finer")},
    {words("Space"), words("a click at the cross, once arrow keys or Space brought it")},
    {words("wheel, + −"), words("zoom")},
    {words("0, Shift 0"), words("fit, pixel for pixel")},
    {words("C, V, L"), words("curtain, side by side, loupe")},
    {words("Ctrl ← →"), words("move the curtain, with Shift finer")},
    {words("X"), words("swap front and back")},
    {words("` held"), words("show the back picture")},
    {words("D"), words("how the picture is shown")},
    {words("click, P"), words("pin the profile of a place")},
    {words("click in the key"), words("one class alone; right click hides it")}};
const std::vector<Key> kScenes{
    {words("← →"), words("the scene before or after, on the time line")},
    {words("Enter"), words("close the area being drawn")},
    {words("Backspace, Esc"), words("its last corner back, give it up")}};
const std::vector<Key> kIndices{
    {words("Enter"), words("make the index, in the formula")},
    {words("← →, with Shift finer"), words("move the chosen threshold")},
    {words("Esc"), words("let the chosen range of the histogram go")}};
const std::vector<Key> kTraining{
    {words("click"), words("choose an area")},
    {words("Enter"), words("close the area being drawn")},
    {words("Backspace, Esc"), words("its last corner back, give it up")},
    {words("Delete"), words("remove the chosen area")},
    {words("Alt ↑, Alt ↓"), words("move the chosen class in the legend")}};
const std::vector<Key> kLabelling{
    {words("1 … 9, a letter"), words("what is at the point: its class")},
    {words("Space"), words("skip")},
    {words("Backspace"), words("the point before")},
    {words("Enter"), words("the next point without a label")},
    {words("M"), words("mixed: its two classes follow")},
    {words("U"), words("not sure")},
    {words("N"), words("write a note")},
    {words("+ −"), words("closer, farther")},
    {words("` held"), words("the other picture")},
    {words("Esc"), words("pause")}};
const std::vector<Key> kNaming{{words("1 … 9, a letter"), words("what the cluster is: its class")},
                               {words("0"), words("leave it out")},
                               {words("↑ ↓"), words("the cluster before or after")},
                               {words("Backspace"), words("not named any more")},
                               {words("` held"), words("the map as it is so far")},
                               {words("click in the picture"), words("the cluster of that pixel")},
                               {words("Esc"), words("later")}};
const std::vector<Key> kMatrix{{words("arrow keys"), words("choose a cell")},
                               {words("click on a name"), words("choose its row or column")},
                               {words("Esc"), words("to the view")}};
const std::vector<Key> kSignatures{{words("↑ ↓"), words("another class")},
                                   {words("Esc"), words("back to training")}};
const std::vector<Key> kTable{
    {words("click on a column's head"), words("order the rows; right click changes the column")},
    {words("Ctrl C"), words("copy the chosen rows, or all")},
    {words("Ctrl A, Esc"), words("choose all rows, none")},
    {words("drag in the chart"), words("choose the rows of what lies there")},
    {words("click in the picture"), words("choose the rows of that place")}};

QString block(const QString& title, const std::vector<Key>& keys) {
  QString html = QString("<b>%1</b><table cellspacing=0 cellpadding=1>").arg(title);
  for (const auto& k : keys)
    html +=
        QString("<tr><td style='padding-right:14px'>%1</td><td style='color:%2'>%3</td></tr>")
            .arg(txt(k.keys).toHtmlEscaped(), tokens().second.name(), txt(k.does).toHtmlEscaped());
  return html + "</table>";
}

}  // namespace

namespace {
QString allKeysOf(Whereabouts place) {
  QString html;
  switch (place) {
    case Whereabouts::Scenes:
      html = block(txt("Scenes"), kScenes);
      break;
    case Whereabouts::Indices:
      html = block(txt("Indices"), kIndices);
      break;
    case Whereabouts::Training:
      html = block(txt("Training"), kTraining);
      break;
    case Whereabouts::Labelling:
      return block(txt("Labelling"), kLabelling) + "<br>" + block(txt("Everywhere"), kAlways);
    case Whereabouts::Naming:
      return block(txt("Naming the clusters"), kNaming) + "<br>" +
             block(txt("Everywhere"), kAlways);
    case Whereabouts::Signatures:
      return block(txt("Signatures"), kSignatures) + "<br>" + block(txt("Everywhere"), kAlways);
    case Whereabouts::Matrix:
      return block(txt("Matrix"), kMatrix) + "<br>" + block(txt("Everywhere"), kAlways);
    case Whereabouts::Table:
      return block(txt("Table"), kTable) + "<br>" + block(txt("Everywhere"), kAlways);
    default:
      break;
  }
  if (!html.isEmpty()) html += "<br>";
  return html + block(txt("View"), kView) + "<br>" + block(txt("Everywhere"), kAlways);
}
}  // namespace

QString keysOf(Whereabouts place) {
  const QString page = guidePageOf(place);
  if (guideUrl(page).isEmpty()) return allKeysOf(place);
  return allKeysOf(place) +
         QString("<br><a href='%1' style='color:%2; text-decoration:none'>%3</a>")
             .arg(page, tokens().accent.name(), txt("What is done here, in the guide"));
}

}  // namespace zp
