#pragma once
#include <QLocale>
#include <QString>
#include <exception>
#include <string>
#include <utility>
#include <vector>

#include "base/error.h"
#include "base/words.h"

namespace zp {

// Every word of the window goes through here, so that it can be in another language. Without one
// the words are the English ones of the code; see translations/README.md.

/// Words with %1, %2… for what is filled in.
QString txt(const char* english);
/// The form that the language has for this number; %n stands for it. English has two.
QString txt(const char* many, const char* one, qint64 n);
/// Words of the core, marked there by words() or kept in data/.
QString txt(const std::string& ofCore);
/// A sentence of the core, such as a warning.
QString sentenceOf(const Sentence& sentence);
/// What went wrong, as one sentence.
QString sentenceOf(const std::exception& e);

/// Takes the first of the languages that one of the folders has a file for; English needs none.
/// Before the window is made.
void speak(const QStringList& languages, const QStringList& folders);
/// How numbers and dates are written in it.
QLocale languageOfWords();

/// A title within a sentence: small in English, as it is in a language whose nouns are capitals.
QString withinSentence(const QString& title);

/// What one may choose: "en" and those of the folders, each with its name in itself.
std::vector<std::pair<QString, QString>> languagesIn(const QStringList& folders);
/// Where the files of the languages are: beside the program, else where it is installed.
QStringList languageFolders();

}  // namespace zp
