// Labels of validation points: read, and what is made of them.
#include "accuracy/labels_file.h"
#include "accuracy/second_labeller.h"
#include "fuzz.h"

extern "C" int LLVMFuzzerTestOneInput(const uint8_t* data, size_t size) {
  return onlyErrors(data, size, [](const std::string& text) {
    const zp::LabelsFile labels = zp::readLabels(written("labels.json", text));
    labels.labelling.pairs();
    labels.labelling.drawnEither();
    zp::onChangedMap(labels, labels);
    zp::writeLabels(ownFolder() / "again.json", labels);
    zp::readLabels(ownFolder() / "again.json");
  });
}
