#include "desks/accuracy/report_part.h"

#include "look/ask.h"
#include "look/look.h"
#include "study/write_report.h"

namespace zp {

ReportPart::ReportPart(Workbench& bench, LabelBook& book) : bench_(bench), book_(book) {
  title_ = lineEdit("reportTitle", txt("What it is of"));
  author_ = lineEdit("reportAuthor", txt("Who reports"));
  remarks_ = lineEdit("reportRemarks", txt("For the reader"));
  auto* write = quietButton(txt("Write it into a folder…"));
  write->setObjectName("writeReport");
  show_ = linkButton(txt("Open it"));
  show_->setObjectName("openReport");
  show_->hide();
  connect(write, &QPushButton::clicked, this, &ReportPart::choose);
  connect(show_, &QPushButton::clicked, this,
          [this] { QDesktopServices::openUrl(QUrl::fromLocalFile(written_)); });
  auto* column = columnIn(this, 4);
  column->addWidget(hairline());
  column->addWidget(fieldRow(txt("Title"), {title_}, 72));
  column->addWidget(fieldRow(txt("By"), {author_}, 72));
  column->addWidget(fieldRow(txt("Remarks"), {remarks_}, 72));
  auto* row = new QHBoxLayout;
  row->addWidget(write, 1);
  row->addWidget(show_);
  column->addLayout(row);
  column->addWidget(
      secondLabel(txt("A page for the browser, the same as PDF, the matrix as CSV, the points as "
                      "GeoPackage, and the run sheet that makes the map again.")));
}

void ReportPart::open() {
  if (title_->text().isEmpty()) title_->setText(q(bench_.study().name));
  const Json who = bench_.place("report-author");
  if (author_->text().isEmpty() && who.is_string()) author_->setText(q(who.get<std::string>()));
  show_->hide();
  show();
  title_->setFocus();
}

void ReportPart::choose() {
  const QString folder = QFileDialog::getExistingDirectory(this, txt("Folder of the report"));
  if (folder.isEmpty()) return;
  QStringList there;
  const ReportFiles files = reportFilesIn(folder.toStdString());
  for (const auto* file : {&files.html, &files.pdf, &files.matrix, &files.points, &files.sheet})
    if (std::filesystem::exists(*file)) there << q(file->filename().string());
  if (!there.isEmpty() &&
      !surely(this, txt("Replace what is there?"),
              txt("In “%1” there is %2 already. Shall the report take its place?")
                  .arg(folder, there.join(", ")),
              txt("Replace"), txt("Keep")))
    return;
  write(folder);
}

void ReportPart::write(const QString& folder) {
  const Product* labels = book_.product();
  if (labels == nullptr) return;
  bench_.setPlace("report-author", author_->text().toStdString());
  const ReportWish wish{title_->text().trimmed().toStdString(),
                        author_->text().trimmed().toStdString(),
                        remarks_->text().trimmed().toStdString(), book_.either()};
  ReportFiles files = reportFilesIn(folder.toStdString());
  const bool paged = !QStandardPaths::findExecutable("weasyprint").isEmpty();
  if (!paged) files.pdf.clear();
  show_->hide();
  bench_.background(
      txt("Write the report"),
      [study = bench_.study(), labels = *labels, wish, files](const Progress& progress) {
        writeReport(study, labels, wish, files, true, progress);
      },
      [this, folder, files, paged] {
        written_ = q(files.html.string());
        show_->show();
        Q_EMIT said(paged ? txt("The report is in “%1”.").arg(folder)
                          : txt("The report is in “%1”, without a PDF: the program that lays it "
                                "out, weasyprint, is not installed.")
                                .arg(folder));
      },
      "report");
}

}  // namespace zp
