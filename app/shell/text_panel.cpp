#include "shell/text_panel.h"

#include "look/parts.h"

namespace zp {

TextPanel::TextPanel(QWidget* over) : FloatingPanel("", over) {
  setFixedWidth(360);
  text_ = secondLabel("");
  text_->setObjectName("factSheet");
  text_->setTextFormat(Qt::RichText);
  text_->setTextInteractionFlags(Qt::TextSelectableByMouse | Qt::LinksAccessibleByMouse |
                                 Qt::LinksAccessibleByKeyboard);
  connect(text_, &QLabel::linkActivated, this, &TextPanel::linkActivated);
  setTone(text_, "plain");
  body()->addWidget(text_);
}

void TextPanel::show(const QString& title, const QString& html) {
  setTitle(title);
  text_->setText(html);
  setVisible(true);
  layout()->activate();
  place();
  setFocus();
}

}  // namespace zp
