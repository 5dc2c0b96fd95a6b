#include "look/ask.h"

#include <QMessageBox>
#include <QPushButton>

namespace zp {

bool surely(QWidget* parent, const QString& title, const QString& question, const QString& goOn,
            const QString& keep) {
  QMessageBox box(QMessageBox::NoIcon, title, question, QMessageBox::Discard | QMessageBox::Cancel,
                  parent);
  box.setDefaultButton(QMessageBox::Cancel);
  for (const auto& [which, text] :
       {std::pair(QMessageBox::Discard, goOn), {QMessageBox::Cancel, keep}}) {
    box.button(which)->setText(text);
    box.button(which)->setIcon({});
  }
  return box.exec() == QMessageBox::Discard;
}

}  // namespace zp
