#include "shell/keys.h"

#include <QCoreApplication>
#include <utility>
#include <vector>

#include "look/look.h"

namespace zp {
namespace {

struct Key {
  const char *keys, *does;
};

#define K(keys, does) \
  { keys, QT_TRANSLATE_NOOP("Keys", does) }
const std::vector<Key> kAlways{K("F1 … F6", "go to a stage"),
                               K("Ctrl K", "find anything"),
                               K("?", "these keys"),
                               K("Ctrl Z, Ctrl Shift Z", "take back, do again"),
                               K("Ctrl N, Ctrl O", "new study, open one"),
                               K("Ctrl Q", "quit")};
const std::vector<Key> kView{K("drag, arrow keys", "pan"),
                             K("wheel, + −", "zoom"),
                             K("0, Shift 0", "fit, pixel for pixel"),
                             K("C, V, L", "curtain, side by side, loupe"),
                             K("X", "swap front and back"),
                             K("` held", "show the back picture"),
                             K("D", "how the picture is shown"),
                             K("click, P", "pin the profile of a place"),
                             K("click in the key", "one class alone; right click hides it")};
const std::vector<Key> kScenes{K("← →", "the scene before or after, on the time line"),
                               K("Enter", "close the area being drawn"),
                               K("Backspace, Esc", "its last corner back, give it up")};
const std::vector<Key> kIndices{K("Enter", "make the index, in the formula"),
                                K("← →, with Shift finer", "move the chosen threshold"),
                                K("Esc", "let the chosen range of the histogram go")};
const std::vector<Key> kTraining{
    K("click", "choose an area"), K("Enter", "close the area being drawn"),
    K("Backspace, Esc", "its last corner back, give it up"), K("Delete", "remove the chosen area")};
const std::vector<Key> kLabelling{K("1 … 9, a letter", "what is at the point: its class"),
                                  K("Space", "skip"),
                                  K("Backspace", "the point before"),
                                  K("U", "not sure"),
                                  K("N", "write a note"),
                                  K("+ −", "closer, farther"),
                                  K("` held", "the other picture"),
                                  K("Esc", "pause")};
const std::vector<Key> kMatrix{K("arrow keys", "choose a cell"), K("Esc", "to the view")};
#undef K

QString block(const QString& title, const std::vector<Key>& keys) {
  QString html = QString("<b>%1</b><table cellspacing=0 cellpadding=1>").arg(title);
  for (const auto& k : keys)
    html += QString("<tr><td style='padding-right:14px'>%1</td><td style='color:%2'>%3</td></tr>")
                .arg(QString(k.keys).toHtmlEscaped(), tokens().second.name(),
                     QCoreApplication::translate("Keys", k.does).toHtmlEscaped());
  return html + "</table>";
}

QString tr(const char* text) {
  return QCoreApplication::translate("Keys", text);
}

}  // namespace

QString keysOf(Whereabouts place) {
  QString html;
  switch (place) {
    case Whereabouts::Scenes:
      html = block(tr("Scenes"), kScenes);
      break;
    case Whereabouts::Indices:
      html = block(tr("Indices"), kIndices);
      break;
    case Whereabouts::Training:
      html = block(tr("Training"), kTraining);
      break;
    case Whereabouts::Labelling:
      return block(tr("Labelling"), kLabelling) + "<br>" + block(tr("Everywhere"), kAlways);
    case Whereabouts::Matrix:
      return block(tr("Matrix"), kMatrix) + "<br>" + block(tr("Everywhere"), kAlways);
    default:
      break;
  }
  if (!html.isEmpty()) html += "<br>";
  return html + block(tr("View"), kView) + "<br>" + block(tr("Everywhere"), kAlways);
}

}  // namespace zp
