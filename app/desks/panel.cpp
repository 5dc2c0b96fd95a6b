#include "desks/panel.h"

#include "base/error.h"

namespace zp {

QString nameWithDate(const Scene& scene) {
  const QString name = q(scene.name);
  const QDate date = QDate::fromString(q(scene.date).left(10), Qt::ISODate);
  if (!date.isValid() || dateIn(scene.name) == date.toString(Qt::ISODate).toStdString())
    return name;
  // A name that tells the day already, in this language or in English ("24 Sep", "24 Sept"), is
  // followed by the year alone.
  if (!name.contains(QLocale::c().toString(date, "d MMM")) &&
      !name.contains(niceDate(scene.date).chopped(5)))
    return name + "  " + niceDate(scene.date);
  const QString year = QString::number(date.year());
  return name.contains(year) ? name : name + "  " + year;
}

QTableWidgetItem* classItem(const Legend& legend, int code, const std::string& name) {
  const auto* known = legend.find(code);
  auto* item = new QTableWidgetItem(
      swatch(known != nullptr ? toQt(known->colour) : tokens().second), q(name));
  item->setData(Qt::UserRole, code);
  return item;
}

QListWidgetItem* tickItem(const QString& text, const QString& id, bool on) {
  auto* item = new QListWidgetItem(text);
  item->setData(Qt::UserRole, id);
  item->setFlags(item->flags() | Qt::ItemIsUserCheckable);
  item->setCheckState(on ? Qt::Checked : Qt::Unchecked);
  return item;
}

QStringList tickedIn(const QListWidget& list) {
  QStringList all;
  for (int i = 0; i < list.count(); ++i)
    if (list.item(i)->checkState() == Qt::Checked)
      all << list.item(i)->data(Qt::UserRole).toString();
  return all;
}

Panel::Panel(Workbench& bench, int spacing) : bench_(bench) {
  box_ = columnIn(this, spacing);
}

void Panel::act() {
  try {
    bench_.run(step(), action(), [this](const QString& id) { showResult(id); });
  } catch (const Error& e) {
    Q_EMIT trouble(sentenceOf(e));
  }
}

}  // namespace zp
