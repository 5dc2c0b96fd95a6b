#include "desks/indices/formula_edit.h"

#include "look/look.h"

namespace zp {

FormulaEdit::FormulaEdit(QWidget* parent) : QPlainTextEdit(parent) {
  setObjectName("formula");
  setAccessibleName(txt("Formula"));
  setFont(figureFont(10));
  setFixedHeight(36);
  connect(document()->documentLayout(), &QAbstractTextDocumentLayout::documentSizeChanged, this,
          [this] {
            const int lines = std::clamp(static_cast<int>(document()->size().height()), 1, 5);
            setFixedHeight(lines * fontMetrics().lineSpacing() + 18);
          });
  setTabChangesFocus(true);
  setVerticalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
  connect(this, &QPlainTextEdit::textChanged, this, &FormulaEdit::colour);
}

void FormulaEdit::setKnown(const std::vector<std::string>& roles) {
  known_ = roles;
  colour();
}

std::optional<FormulaError> FormulaEdit::error() const {
  try {
    parseFormula(toPlainText().toStdString(), known_);
  } catch (const FormulaError& e) {
    return e;
  }
  return {};
}

void FormulaEdit::colour() {
  const QString text = toPlainText();
  const std::string bytes = text.toStdString();
  const auto column = [&](size_t at) {
    return static_cast<int>(
        QString::fromUtf8(bytes.data(), static_cast<qsizetype>(std::min(at, bytes.size()))).size());
  };
  QList<QTextEdit::ExtraSelection> marks;
  const auto mark = [&](size_t at, size_t length, const QTextCharFormat& format) {
    QTextEdit::ExtraSelection s;
    s.cursor = QTextCursor(document());
    s.cursor.setPosition(column(at));
    s.cursor.setPosition(column(at + length), QTextCursor::KeepAnchor);
    s.format = format;
    marks << s;
  };
  // Roles wear the colour of the light they measure, lightened until it reads.
  static const QMap<QString, QColor> inks{
      {"blue", "#8fb4f0"},  {"coastal", "#8fb4f0"}, {"green", "#8fd08a"},
      {"red", "#f0a08a"},   {"rededge", "#f09ab8"}, {"nir", "#f08ab0"},
      {"nir08", "#f08ab0"}, {"swir16", "#e8c070"},  {"swir22", "#e8c070"}};
  const bool light = currentLook() == "daylight";
  for (const auto& t : formulaTokens(bytes, known_)) {
    QTextCharFormat f;
    if (t.kind == FormulaToken::Name) {
      QColor c =
          inks.value(QString::fromStdString(bytes.substr(t.at, t.length)), QColor("#9ad0d0"));
      f.setForeground(light ? c.darker(230) : c);
    } else if (t.kind == FormulaToken::Word || t.kind == FormulaToken::Function) {
      f.setForeground(tokens().accent);
    } else if (t.kind == FormulaToken::Sign) {
      f.setForeground(tokens().second);
    } else {
      continue;
    }
    mark(t.at, t.length, f);
  }
  if (const auto e = error(); e && !bytes.empty()) {
    QTextCharFormat f;
    f.setUnderlineStyle(QTextCharFormat::WaveUnderline);
    f.setUnderlineColor(tokens().warning);
    f.setBackground(
        QColor(tokens().warning.red(), tokens().warning.green(), tokens().warning.blue(), 50));
    const size_t at = std::min(e->at, bytes.size() > 0 ? bytes.size() - 1 : 0);
    mark(at, std::max<size_t>(1, e->length), f);
  }
  setExtraSelections(marks);
}

void FormulaEdit::keyPressEvent(QKeyEvent* e) {
  if (e->key() == Qt::Key_Return || e->key() == Qt::Key_Enter) return Q_EMIT accepted();
  QPlainTextEdit::keyPressEvent(e);
}

}  // namespace zp
