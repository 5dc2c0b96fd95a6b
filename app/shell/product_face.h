#pragma once
#include <QStringList>

#include "study/study.h"
#include "view/picture.h"

namespace zp {

/// A row of a fact sheet: what it is, and rich text.
using FactRow = std::pair<QString, QString>;

/// How the window shows one kind of product: a new kind is one row of product_face.cpp.
struct ProductFace {
  ProductKind kind;
  const char* sign;    // the icon on a card without a picture
  const char* word;    // on the card, translated; "" for the kind's own
  const char* group;   // the shelf shows one group alone, called
  const char* groups;  // so, translated
  int stage;           // the station that stands for it, gone to where there is no picture
  bool read;           // the newest one is read by the probe wherever one looks
  bool shelved;        // it has a card; a made scene has that of its scene
  /// None for what has no picture.
  Picture (*picture)(const Study& study, const Product& product);
  /// What its sheet tells beside what is told of all.
  std::vector<FactRow> (*facts)(const Product& product);
};

const std::vector<ProductFace>& productFaces();
const ProductFace& faceOf(ProductKind kind);

/// The classes of a class map with their colours, as its picture has them; empty where they cannot
/// be read.
Legend legendOfMap(const Product& map);

/// "class map", as the card says.
QString cardWord(ProductKind kind);

/// The scene or product as a picture; none when it has none.
Picture pictureOf(const Study& study, const std::string& id);

}  // namespace zp
