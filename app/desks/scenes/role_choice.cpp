#include "desks/scenes/role_choice.h"

#include "look/look.h"
#include "look/parts.h"
#include "scene/sensor.h"

namespace zp {

QComboBox* roleChoice(const QString& name, const QString& accessible, const std::string& role) {
  auto* choice = choiceInTable(name, accessible);
  choice->addItem(txt("no role"));
  for (const auto& r : knownRoles()) choice->addItem(q(r));
  choice->setCurrentIndex(std::max(0, choice->findText(q(role))));
  return choice;
}

void giveRole(Scene& scene, int band, const QComboBox& choice) {
  if (choice.currentIndex() == 0)
    scene.bands[static_cast<size_t>(band)].role.clear();
  else
    setRoles(scene, {{choice.currentText().toStdString(), band + 1}});
}

}  // namespace zp
