#include "shell/demo_study.h"

#include <QtWidgets>
#include <filesystem>

#include "base/run_program.h"
#include "base/text.h"
#include "look/look.h"

namespace zp {
namespace {

/// Beside this program where it was built, else where it is installed.
QString maker() {
  const QString here = QApplication::applicationDirPath();
  for (const QString& place : {here + "/make-haven", here + "/../libexec/zany-patch/make-haven"})
    if (QFileInfo(place).isExecutable()) return place;
  return {};
}

/// Its archive, which the study fetches from.
QString dataFolder() {
  return QStandardPaths::writableLocation(QStandardPaths::GenericDataLocation) + "/zany-patch/demo";
}

/// "Making Ondrey Haven: 20 %"
void hear(const std::string& line, const Progress& progress) {
  const size_t colon = line.rfind(": "), sign = line.rfind(" %");
  if (colon == std::string::npos || sign == std::string::npos || sign < colon) return;
  if (const auto percent = parseInteger(line.substr(colon + 2, sign - colon - 2)))
    progress.at(static_cast<double>(*percent) / 100);
}

}  // namespace

bool DemoStudy::canBeMade() {
  return !maker().isEmpty();
}

QString DemoStudy::folder() {
  return QStandardPaths::writableLocation(QStandardPaths::DocumentsLocation) +
         "/Zany Patch/Ondrey Haven";
}

bool DemoStudy::isThere() {
  return QFileInfo::exists(folder() + "/study.json");
}

void DemoStudy::open(std::function<void()> opened) {
  const auto show = [this, opened = std::move(opened)] {
    if (bench_.open(folder())) opened();
  };
  if (isThere()) return show();
  QDir().mkpath(QFileInfo(folder()).path());
  const std::vector<std::string> command{maker().toStdString(), "--demo",
                                         dataFolder().toStdString(), folder().toStdString()};
  bench_.background(
      txt("Make Ondrey Haven"),
      [command](const Progress& progress) {
        try {
          runProgram(command, progress,
                     [&progress](const std::string& line) { hear(line, progress); });
        } catch (...) {
          std::error_code ec;  // half of it is of no use
          for (const auto& half : {command[2], command[3] + ".part"})
            std::filesystem::remove_all(half, ec);
          throw;
        }
      },
      show, "demo");
}

void DemoStudy::openAnew(std::function<void()> opened) {
  bench_.close();
  const QString kept = folder() + " " + QDateTime::currentDateTime().toString("yyyy-MM-dd HHmmss");
  if (isThere() && !QDir().rename(folder(), kept)) {
    Q_EMIT bench_.trouble(txt("“%1” cannot be moved; close it elsewhere first.").arg(folder()));
    return;
  }
  open(std::move(opened));
}

}  // namespace zp
