#include "walk/walk_steps.h"

namespace zp {
namespace {

bool made(MainWindow& w, const char* step) {
  const auto& all = w.bench().study().products;
  return std::any_of(all.begin(), all.end(),
                     [&](const Product& p) { return p.step.value("do", "") == step; });
}

bool seen(MainWindow& w, const char* name) {
  for (auto* part : w.findChildren<QWidget*>(name))
    if (part->isVisible()) return true;
  return false;
}

bool checked(MainWindow& w, const char* name) {
  auto* button = w.findChild<QAbstractButton*>(name);
  return button != nullptr && button->isChecked();
}

size_t labelled(MainWindow& w) {
  return w.book().none() ? 0 : w.book().labelling().labelled();
}

bool labelling(MainWindow& w) {
  return w.labelling().isVisible();
}

constexpr size_t kEnough = 10;  // labels, to see how it goes
const char* const kLabel = words(
    "What covers the pixel in the small square? Press its class, or the number on it. The map "
    "stays hidden, so that it cannot lead you. Ten points will do for now; a plan tells how "
    "many a real map needs.");

}  // namespace

const std::vector<WalkStep>& walkSteps() {
  static const std::vector<WalkStep> steps{
      {words("Bands"),
       0,
       {{"composite-vegetation",
         words("A scene is some bands on one grid. What grows is brightest in the near infrared, "
               "which no eye sees: show it as red with this composite.")}},
       nullptr},
      {words("An index"),
       1,
       {{"primary",
         words("An index puts bands against each other, so that light and shade fall out. The one "
               "chosen tells how green a place is, and the view shows its preview. Make it, and it "
               "stays as a card on the shelf below."),
         [](MainWindow& w) {
           return w.view().front().of == "preview" && checked(w, "index-vegetation");
         }},
        {"index-vegetation",
         words("The index book has many more under the search above. Choose this one.")}},
       [](MainWindow& w) { return made(w, "index"); }},
      {words("A threshold"),
       1,
       {{"primary", words("Each line in the histogram above parts the index into classes; drag it "
                          "and see the areas change. Then make the class map.")}},
       [](MainWindow& w) { return made(w, "threshold"); }},
      {words("Training areas"),
       2,
       {{"importGo",
         words("The fields with the code, the class and the subclass were found. Take "
               "the areas over."),
         [](MainWindow& w) { return seen(w, "importGo"); }},
        {"importTraining",
         words("A map is learned from places whose class you know. One draws them; here some are "
               "ready. Choose outlines.gpkg in the folder “outlines” of this study.")}},
       [](MainWindow& w) { return w.bench().study().training.size() > 1; }},
      {words("A trained map"),
       3,
       {{"primary",
         words("The preview follows your choices, and the figures tell how well areas "
               "that were held out are found again. Make the map."),
         [](MainWindow& w) { return checked(w, "method-maximum-likelihood"); }},
        {"method-maximum-likelihood",
         words(
             "Maximum likelihood asks which class a pixel's bands speak for most. Choose it: it is "
             "quick, and good where a class is one kind of ground.")},
        {"trainedMap",
         words("Maps are trained by areas, or clustered without. Choose a trained one.")}},
       [](MainWindow& w) { return made(w, "map"); }},
      {words("Readings"),
       4,
       {{"primary",
         words("Now the pictures are read at the points, one row each. The table opens "
               "from here, and goes out as CSV."),
         [](MainWindow& w) { return made(w, "points") && checked(w, "pageReadings"); }},
        {"pageReadings", words("The points are there. Go on to what is read at them."),
         [](MainWindow& w) { return made(w, "points"); }},
        {"primary", words("A plan says where points lie; you see them before they are made. Make "
                          "them.")}},
       [](MainWindow& w) { return made(w, "readings"); }},
      {words("Labels"),
       5,
       {{"key-9", kLabel, &labelling},  // of the demo: no chart lies under the hint there
        {"labelCount", kLabel, &labelling},
        {"primary", words("A map is as good as points show that were not used to make it. Start "
                          "labelling the points of this plan.")}},
       [](MainWindow& w) { return labelled(w) >= kEnough; }},
      {words("The matrix"),
       5,
       {{"closeLabelling",
         words("Close the labelling. From here on the map is seen, so no more "
               "labels are given blindly."),
         &labelling},
        {"primary", words("The matrix sets what the map says against what you said, with the "
                          "accuracies and areas that follow, each with its interval.")}},
       [](MainWindow& w) { return w.matrix().isVisible(); }}};
  return steps;
}

}  // namespace zp
