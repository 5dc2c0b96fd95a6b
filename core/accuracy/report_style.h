#pragma once

namespace zp {

/// How a report looks, on the screen and on paper.
inline constexpr const char* kReportStyle = R"css(
@page { size: A4; margin: 14mm 14mm 16mm 14mm;
  @bottom-left { content: counter(page) " of " counter(pages); font: 8.5pt Inter, sans-serif; color: #6b6b6b; } }
* { box-sizing: border-box; }
html { background: #fff; }
body { font: 9.5pt/1.45 Inter, "Helvetica Neue", Arial, sans-serif; color: #222; margin: 0 auto; max-width: 182mm; }
@media screen { body { padding: 32px 16px 64px; } }
h1 { font-size: 17pt; font-weight: 600; margin: 0 0 1mm; line-height: 1.2; }
h2 { font-size: 11pt; font-weight: 600; margin: 6mm 0 2mm; break-after: avoid; }
p { margin: 0 0 2mm; }
.second { color: #6b6b6b; }
.lead { font-size: 11pt; margin: 4mm 0; }
.figure, td.n, th.n { font-family: "JetBrains Mono", "DejaVu Sans Mono", monospace; font-size: 8.5pt; text-align: right; white-space: nowrap; }
.map { display: flex; align-items: flex-start; }
.map img { width: 116mm; border: 0.3mm solid #ddd; image-rendering: pixelated; }
.map > div { flex: 1; margin-left: 5mm; }
.map.below { display: block; }
.map.below img { width: 100%; }
.map.below > div { columns: 2; margin: 3mm 0 0; }
table { border-collapse: collapse; width: 100%; }
th { font-weight: 400; color: #6b6b6b; text-align: left; font-size: 8.5pt; vertical-align: bottom; }
td, th { padding: 0.9mm 1.5mm; }
tr { break-inside: avoid; }
table + table { margin-top: 4mm; }
table.lines td { border-top: 0.2mm solid #e6e6e6; }
.swatch { display: inline-block; width: 3mm; height: 3mm; border-radius: 0.6mm; margin-right: 2mm; vertical-align: -0.3mm; }
td.right { background: #ebe6fa; }
td.wrong { background: #f7e2da; }
td.none { color: #9a9a9a; }
.matrix th.column { white-space: normal; overflow-wrap: break-word; font-family: inherit; font-size: 0.85em; }
.matrix th.n { font-family: inherit; }
.matrix td:first-child { white-space: nowrap; }
.matrix td, .matrix td.n, .matrix th { font-size: 1em; padding: 0.9mm 1mm; }
.chips { display: flex; flex-wrap: wrap; margin-top: 4mm; }
.chips figure { width: 58mm; margin: 0 2.5mm 2mm 0; break-inside: avoid; }
.chips .chip { position: relative; }
.chips img { width: 58mm; display: block; image-rendering: pixelated; }
.chips .mark { position: absolute; border: 0.5mm solid #fff; outline: 0.2mm solid #000; }
figcaption { font-size: 8.5pt; color: #6b6b6b; margin-top: 1mm; }
figcaption b { color: #222; font-weight: 600; }
ol { padding-left: 6mm; margin: 0; }
li { margin-bottom: 0.8mm; }
)css";

}  // namespace zp
