#include "look/look.h"

#include <QtSvg/QSvgRenderer>
#include <QtWidgets>
#include <cmath>

#include "base/text.h"

// Resources of a static library are linked only when asked for, outside any namespace.
static void initResources() {
  Q_INIT_RESOURCE(look);
}

namespace zp {
namespace {

Tokens dusk() {
  return {QColor("#1a1a1a"),      QColor("#1e1e1e"), QColor("#262626"), QColor("#323232"),
          QColor("#3a3a3a"),      QColor("#ececec"), QColor("#a8a8a8"), QColor("#b9a0f0"),
          QColor("#7b5cc4"),      QColor("#ffffff"), QColor("#4b3d78"), QColor("#f0b7a4"),
          QColor(24, 24, 24, 205)};
}

Tokens daylight() {
  return {QColor("#dedede"),         QColor("#fafafa"), QColor("#f0f0f0"), QColor("#e2e2e2"),
          QColor("#cbcbcb"),         QColor("#1c1c1c"), QColor("#565656"), QColor("#5b3fa8"),
          QColor("#6a4ab8"),         QColor("#ffffff"), QColor("#d8cdf2"), QColor("#8f3413"),
          QColor(250, 250, 250, 225)};
}

Tokens g_tokens = dusk();
QString g_look = "dusk";

/// Again with every look: Qt forgets them when the last window of a look has gone.
void loadFonts() {
  initResources();
  QFontDatabase::removeAllApplicationFonts();
  for (const char* f : {"Inter-Regular.otf", "Inter-Medium.otf", "Inter-SemiBold.otf",
                        "JetBrainsMono-Regular.ttf", "JetBrainsMono-Medium.ttf"})
    QFontDatabase::addApplicationFont(QString(":/fonts/") + f);
}

/// Longer than a function may be: it is one sheet of style.
QString styleSheet(const Tokens& t) {
  QString s = R"(
* { outline: none; }
QMainWindow, QDialog { background: @panel; }
QToolTip { background: @raised; color: @text; border: 1px solid @hairline; padding: 4px 6px; }
QScrollArea, QScrollArea > QWidget > QWidget { background: transparent; border: none; }
QLabel[tone="second"] { color: @second; }
QLabel[tone="warning"] { color: @warning; }
QPushButton { background: @raised; border: 1px solid transparent; border-radius: 4px; padding: 6px 12px; min-height: 20px; }
QPushButton:hover { border-color: @second; }
QPushButton:focus { border-color: @accent; }
QPushButton:disabled { color: @second; background: @panel; border-color: @hairline; }
QPushButton[part="primary"] { background: @accentFilled; color: @onAccent; font-weight: 600; padding: 8px 14px; }
QPushButton[part="primary"]:hover { border-color: @accent; }
QPushButton[part="primary"]:focus { border: 1px solid @text; }
QPushButton[part="primary"]:disabled { background: @raised; color: @second; border-color: transparent; }
QPushButton[part="chip"] { border-radius: 13px; padding: 3px 11px; min-height: 18px; }
QPushButton[part="chip"]:checked { background: @chosen; color: @text; }
QPushButton[part="chip"]:disabled { color: @second; background: transparent; border: 1px solid @hairline; }
QPushButton[part="link"] { background: transparent; color: @accent; padding: 2px 2px; text-align: left; border: 1px solid transparent; }
QPushButton[part="link"]:hover { text-decoration: underline; border-color: transparent; }
QPushButton[part="link"]:focus { border-color: @accent; }
QPushButton[part="link"]:disabled { color: @second; }
QToolButton { background: transparent; border: 1px solid transparent; border-radius: 4px; padding: 4px; }
QToolButton:hover { background: @raised; }
QToolButton:focus { border-color: @accent; }
QToolButton::menu-indicator { image: none; }
QLineEdit, QPlainTextEdit, QSpinBox, QDoubleSpinBox, QComboBox { background: @sunken; border: 1px solid @hairline; border-radius: 4px; padding: 4px 7px; min-height: 20px; selection-background-color: @accentFilled; selection-color: @onAccent; }
QLineEdit:focus, QPlainTextEdit:focus, QSpinBox:focus, QDoubleSpinBox:focus, QComboBox:focus { border-color: @accent; }
QLineEdit:disabled, QSpinBox:disabled, QDoubleSpinBox:disabled, QComboBox:disabled { color: @second; }
QSpinBox::up-button, QSpinBox::down-button, QDoubleSpinBox::up-button, QDoubleSpinBox::down-button { width: 0; border: none; }
QComboBox::drop-down { border: none; width: 20px; }
QComboBox::down-arrow { image: url(@chevron); width: 12px; height: 12px; }
QComboBox QAbstractItemView { background: @raised; border: 1px solid @hairline; selection-background-color: @chosen; selection-color: @text; }
QMenu { background: @raised; border: 1px solid @hairline; padding: 4px; }
QMenu::item { padding: 5px 22px 5px 12px; border-radius: 3px; }
QMenu::item:selected { background: @chosen; }
QMenu::item:disabled { color: @second; }
QMenu::separator { height: 1px; background: @hairline; margin: 4px 6px; }
QTableWidget, QListWidget, QTableView { background: transparent; border: none; gridline-color: transparent; selection-background-color: @chosen; selection-color: @text; alternate-background-color: transparent; }
QTableWidget:focus, QListWidget:focus { border: 1px solid @accent; border-radius: 4px; }
QHeaderView { background: transparent; }
QHeaderView::section { background: transparent; color: @second; border: none; padding: 3px 4px; font-weight: 400; }
QTableCornerButton::section { background: transparent; border: none; }
QScrollBar:vertical { background: transparent; width: 10px; margin: 0; }
QScrollBar::handle:vertical { background: @hairline; border-radius: 4px; min-height: 30px; margin: 1px; }
QScrollBar:horizontal { background: transparent; height: 10px; margin: 0; }
QScrollBar::handle:horizontal { background: @hairline; border-radius: 4px; min-width: 30px; margin: 1px; }
QScrollBar::handle:hover { background: @second; }
QScrollBar::add-line, QScrollBar::sub-line { width: 0; height: 0; }
QScrollBar::add-page, QScrollBar::sub-page { background: none; }
QAbstractScrollArea::corner { background: transparent; border: none; }
QCheckBox, QRadioButton { spacing: 7px; }
QCheckBox::indicator, QListWidget::indicator { width: 13px; height: 13px; border: 1px solid @second; border-radius: 3px; background: @sunken; }
QCheckBox::indicator:checked, QListWidget::indicator:checked { background: @accentFilled; border-color: @accentFilled; image: url(@tick); }
QTableWidget::item { padding: 0 5px; }
QListWidget::item { padding: 2px 2px; border: none; }
QListWidget::item:selected { background: @chosen; color: @text; }
QCheckBox:focus, QRadioButton:focus { color: @accent; }
QProgressBar { background: @raised; border: none; border-radius: 3px; max-height: 6px; min-height: 6px; }
QProgressBar::chunk { background: @accent; border-radius: 3px; }
QSplitter::handle { background: @hairline; }
)";
  const std::pair<const char*, QColor> names[] = {
      {"@around", t.around},     {"@sunken", t.sunken},
      {"@panel", t.panel},       {"@raised", t.raised},
      {"@hairline", t.hairline}, {"@text", t.text},
      {"@second", t.second},     {"@accentFilled", t.accentFilled},
      {"@accent", t.accent},     {"@onAccent", t.onAccent},
      {"@chosen", t.chosen},     {"@warning", t.warning}};
  for (const auto& [name, colour] : names) s.replace(name, colour.name());
  return s;
}

/// Style sheets take pictures by file only: a sign in a colour is written once a session.
QString signFile(const QString& name, const QColor& colour) {
  static QTemporaryDir folder;
  const QString path = folder.filePath(QString("%1-%2.svg").arg(name, colour.name().mid(1)));
  QFile source(":/icons/" + name + ".svg");
  if (!source.open(QIODevice::ReadOnly)) return {};
  QFile target(path);
  if (target.open(QIODevice::WriteOnly))
    target.write(source.readAll().replace("currentColor", colour.name().toUtf8()));
  return path;
}

}  // namespace

const Tokens& tokens() {
  return g_tokens;
}
QString currentLook() {
  return g_look;
}

void applyLook(const QString& look) {
  loadFonts();
  g_look = look == "daylight" ? "daylight" : "dusk";
  g_tokens = g_look == "daylight" ? daylight() : dusk();
  const Tokens& t = g_tokens;
  QPalette p;
  p.setColor(QPalette::Window, t.panel);
  p.setColor(QPalette::WindowText, t.text);
  p.setColor(QPalette::Base, t.sunken);
  p.setColor(QPalette::AlternateBase, t.panel);
  p.setColor(QPalette::Text, t.text);
  p.setColor(QPalette::Button, t.raised);
  p.setColor(QPalette::ButtonText, t.text);
  p.setColor(QPalette::BrightText, t.text);
  p.setColor(QPalette::Highlight, t.accentFilled);
  p.setColor(QPalette::HighlightedText, t.onAccent);
  p.setColor(QPalette::PlaceholderText, t.second);
  p.setColor(QPalette::ToolTipBase, t.raised);
  p.setColor(QPalette::ToolTipText, t.text);
  for (auto role : {QPalette::WindowText, QPalette::Text, QPalette::ButtonText})
    p.setColor(QPalette::Disabled, role, t.second);
  qApp->setStyle(QStyleFactory::create("Fusion"));
  qApp->setPalette(p);
  qApp->setFont(textFont());
  QString sheet = styleSheet(t);
  sheet.replace("@chevron", signFile("chevron", t.second));
  sheet.replace("@tick", signFile("tick", t.onAccent));
  qApp->setStyleSheet(sheet);
}

DressedLater::DressedLater() : sheet_(qApp->styleSheet()) {
  qApp->setStyleSheet({});
}

DressedLater::~DressedLater() {
  qApp->setStyleSheet(sheet_);
}

QFont textFont(double points, QFont::Weight weight) {
  QFont f("Inter");
  f.setPixelSize(static_cast<int>(std::lround(points * 1.3)));
  f.setWeight(weight);
  f.setHintingPreference(QFont::PreferNoHinting);
  return f;
}

QFont figureFont(double points) {
  QFont f("JetBrains Mono");
  f.setPixelSize(static_cast<int>(std::lround(points * 1.25)));
  f.setStyleHint(QFont::Monospace);
  return f;
}

namespace {
QIcon drawnIcon(const QString& name) {
  QFile file(":/icons/" + name + ".svg");
  if (!file.open(QIODevice::ReadOnly)) return {};
  const QByteArray source = file.readAll();
  QIcon out;
  for (int scale : {1, 2}) {
    for (const bool off : {false, true}) {
      QByteArray svg = source;
      svg.replace("currentColor", (off ? tokens().second : tokens().text).name().toUtf8());
      QSvgRenderer renderer(svg);
      QPixmap map(20 * scale, 20 * scale);
      map.fill(Qt::transparent);
      QPainter painter(&map);
      renderer.render(&painter);
      painter.end();
      map.setDevicePixelRatio(scale);
      out.addPixmap(map, off ? QIcon::Disabled : QIcon::Normal);
    }
  }
  return out;
}
}  // namespace

QIcon icon(const QString& name) {
  static auto& drawn = *new QHash<QString, QIcon>;  // outlives the application
  const QString key = name + tokens().text.name() + tokens().second.name();
  if (!drawn.contains(key)) drawn[key] = drawnIcon(name);
  return drawn[key];
}

QColor toQt(Colour c) {
  return QColor(c.r, c.g, c.b);
}
Colour fromQt(const QColor& c) {
  return {static_cast<uint8_t>(c.red()), static_cast<uint8_t>(c.green()),
          static_cast<uint8_t>(c.blue())};
}

QString grouped(qulonglong n) {
  QString s = QString::number(n);
  for (qsizetype i = s.size() - 3; i > 0; i -= 3) s.insert(i, ' ');
  return s;
}

QString decimal(double value, int decimals) {
  if (std::isnan(value)) return "–";
  QString s = QString::number(std::abs(value), 'f', decimals);
  const qsizetype dot = s.indexOf('.');
  for (qsizetype i = (dot < 0 ? s.size() : dot) - 3; i > 0; i -= 3) s.insert(i, ' ');
  const bool zero = s.indexOf(QRegularExpression("[1-9]")) < 0;
  s.replace('.', languageOfWords().decimalPoint());
  return (value < 0 && !zero ? QString("−") : QString()) + s;
}

QString fieldNumber(double value) {
  return q(shortest(value)).replace('.', languageOfWords().decimalPoint());
}

std::optional<double> typedNumber(const QString& text) {
  QString plain = text.trimmed().replace("−", "-");
  if (languageOfWords().decimalPoint() == "," && !plain.contains('.')) plain.replace(',', '.');
  return parseNumber(plain.toStdString());
}

QString compact(double value) {
  const double a = std::abs(value);
  if (a != 0 && (a < 1e-3 || a >= 1e6))
    return QString::number(value, 'g', 3)
        .replace("-", "−")
        .replace('.', languageOfWords().decimalPoint());
  return decimal(value, a < 1 ? 3 : a < 10 ? 2 : a < 100 ? 1 : 0);
}

QString niceDate(const std::string& iso) {
  const QDate d = QDate::fromString(q(iso).left(10), Qt::ISODate);
  if (!d.isValid()) return {};
  // The long way of the language, without the day of the week and with the month cut short.
  QString format = languageOfWords().dateFormat(QLocale::LongFormat);
  format.remove(QRegularExpression("^dddd,? *|,? *dddd$")).replace("MMMM", "MMM");
  return languageOfWords().toString(d, format);
}

QString bytesText(double bytes) {
  if (bytes < 999'500) return txt("%1 kB").arg(decimal(bytes / 1e3, 0));
  if (bytes < 999'500'000) return txt("%1 MB").arg(decimal(bytes / 1e6, bytes < 9.95e6 ? 1 : 0));
  return txt("%1 GB").arg(decimal(bytes / 1e9, bytes < 9.995e9 ? 2 : 1));
}

QString areaText(double m2) {
  if (std::isnan(m2)) return "–";
  const double ha = m2 / 1e4;
  return decimal(ha, ha < 10 ? 2 : ha < 100 ? 1 : 0);
}

}  // namespace zp
