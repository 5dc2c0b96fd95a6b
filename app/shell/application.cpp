#include "shell/application.h"

#include <new>

#include "look/spoken.h"
#include "look/words.h"

namespace zp {

Application::Application(int& argc, char** argv) : QApplication(argc, argv) {
  speakPainted();
}

bool Application::notify(QObject* receiver, QEvent* event) {
  QString sentence;
  try {
    return QApplication::notify(receiver, event);
  } catch (const std::exception& e) {
    sentence = sentenceOf(e);
  }
  // Told once the event is over, and not again for what the telling itself brings about.
  if (!telling_) {
    telling_ = true;
    QMetaObject::invokeMethod(
        this,
        [this, sentence] {
          Q_EMIT trouble(sentence);
          telling_ = false;
        },
        Qt::QueuedConnection);
  }
  return false;
}

}  // namespace zp
