#include "tour/driver.h"

namespace zp {

namespace {
#if defined(__SANITIZE_ADDRESS__) || defined(__SANITIZE_THREAD__)
constexpr int kPatience = 1200000;  // milliseconds: everything is ten times as slow
#else
constexpr int kPatience = 120000;
#endif
}  // namespace

void Driver::until(const std::function<bool()>& condition, const char* what) {
  if (!QTest::qWaitFor(condition, kPatience))
    throw std::runtime_error(std::string("waited in vain for ") + what);
}

void Driver::settle() {
  until([this] { return window_.settled(); }, "the window to settle");
  // What arrived is painted, which may ask for more.
  QCoreApplication::processEvents();
  window_.repaint();
  until([this] { return window_.settled(); }, "the window to settle");
  // Layouts within layouts come to rest one after the other.
  for (int i = 0; i < 3; ++i) QCoreApplication::processEvents();
}

void Driver::stage(int index) {
  QTest::mouseClick(&window_.trail(), Qt::LeftButton, {},
                    window_.trail().stationRect(index).center());
  settle();
}

size_t Driver::products() const {
  return window_.bench().study().products.size();
}

void Driver::make(const QString& button, const char* what) {
  const size_t before = products();
  click(button);
  until(
      [&] {
        const bool quiet = !window_.bench().jobs().busy();
        // What failed is said on the desk, and waiting on would be in vain.
        if (quiet && products() == before)
          for (auto* l : window_.findChildren<QLabel*>("deskNotice"))
            if (l->isVisible() && !l->text().isEmpty())
              throw std::runtime_error(std::string(what) + ": " + l->text().toStdString());
        return quiet && products() > before;
      },
      what);
  settle();
}

void Driver::press(const QString& field, const QString& text) {
  auto* w = find<QWidget>(field);
  w->setFocus();
  QTest::keyClick(w, Qt::Key_A, Qt::ControlModifier);
  if (text.isEmpty()) QTest::keyClick(w, Qt::Key_Delete);
  QTest::keyClicks(w, text);
}

}  // namespace zp
