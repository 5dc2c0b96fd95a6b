#include "look/words.h"

#include <QCoreApplication>
#include <QDir>
#include <QLibraryInfo>
#include <QLocale>
#include <QTranslator>
#include <algorithm>
#include <limits>
#include <utility>

namespace zp {
namespace {

constexpr char kContext[] = "zp";

QLocale english() {
  return QLocale(QLocale::English, QLocale::UnitedKingdom);
}

QLocale& spoken() {
  static QLocale locale = english();
  return locale;
}

int asInt(qint64 n) {
  return static_cast<int>(std::min<qint64>(n, std::numeric_limits<int>::max()));
}

}  // namespace

QString txt(const char* english) {
  return QCoreApplication::translate(kContext, english);
}

QString txt(const char* many, const char* one, qint64 n) {
  QString text = QCoreApplication::translate(kContext, many, one, asInt(n));
  // Without a translation it is the English of the code, which has its form for one.
  if (n == 1 && text == QString(many).replace("%n", "1")) return QString(one).replace("%n", "1");
  if (n != asInt(n)) text.replace(QString::number(asInt(n)), QString::number(n));
  return text;
}

QString txt(const std::string& ofCore) {
  return ofCore.empty() ? QString() : txt(ofCore.c_str());
}

QString sentenceOf(const Sentence& sentence) {
  return QString::fromStdString(
      sentence.text([](const std::string& english) { return txt(english).toStdString(); }));
}

QString sentenceOf(const std::exception& e) {
  if (dynamic_cast<const std::bad_alloc*>(&e) != nullptr)
    return txt("There is not enough memory; close other programs or use a smaller part.");
  return sentenceOf(saidBy(e));
}

void speak(const QStringList& languages, const QStringList& folders) {
  static QList<QTranslator*> installed;
  for (auto* before : std::exchange(installed, {})) delete before;
  const auto take = [](const QLocale& locale) {
    spoken() = locale;
    QLocale fields = locale;
    fields.setNumberOptions(QLocale::OmitGroupSeparator | QLocale::RejectGroupSeparator);
    QLocale::setDefault(fields);
  };
  take(english());
  const auto load = [](const QString& file, const QString& folder) {
    auto* words = new QTranslator(qApp);
    if (!words->load(file, folder)) {
      delete words;
      return false;
    }
    QCoreApplication::installTranslator(words);
    installed << words;
    return true;
  };
  for (const QString& language : languages) {
    if (language.startsWith("en")) return;
    const QString name = QString(language).replace('-', '_');
    for (const QString& folder : folders) {
      if (!load("zany-patch_" + name, folder)) continue;
      take(QLocale(name));
      load("qtbase_" + name, QLibraryInfo::path(QLibraryInfo::TranslationsPath));
      return;
    }
  }
}

QLocale languageOfWords() {
  return spoken();
}

QString withinSentence(const QString& title) {
  return spoken().language() == QLocale::English ? title.toLower() : title;
}

std::vector<std::pair<QString, QString>> languagesIn(const QStringList& folders) {
  std::vector<std::pair<QString, QString>> all{{"en", "English"}};
  for (const QString& folder : folders)
    for (const QString& file : QDir(folder).entryList({"zany-patch_*.qm"})) {
      const QString id = file.section('_', 1).section('.', 0, 0);
      if (std::any_of(all.begin(), all.end(), [&](const auto& one) { return one.first == id; }))
        continue;
      const QString name = QLocale(id).nativeLanguageName();
      all.emplace_back(id, name.left(1).toUpper() + name.mid(1));
    }
  return all;
}

QStringList languageFolders() {
  const QString here = QCoreApplication::applicationDirPath();
  return {here + "/translations", here + "/../share/zany-patch/translations"};
}

}  // namespace zp
