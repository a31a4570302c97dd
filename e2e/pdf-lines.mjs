/** Straight lines of a PDF's first page as JSON, in millimetres from its upper left corner. */
import { readFileSync } from 'node:fs';
import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';

const MM = 25.4 / 72;
const pdf = await getDocument({ data: new Uint8Array(readFileSync(process.argv[2])) }).promise;
const page = await pdf.getPage(1);
const { width, height } = page.getViewport({ scale: 1 });
const { fnArray, argsArray } = await page.getOperatorList();

/** What a point becomes under a matrix [a b c d e f]. */
const apply = ([a, b, c, d, e, f], x, y) => [a * x + c * y + e, b * x + d * y + f];
const times = (m, n) => [
  m[0] * n[0] + m[2] * n[1],
  m[1] * n[0] + m[3] * n[1],
  m[0] * n[2] + m[2] * n[3],
  m[1] * n[2] + m[3] * n[3],
  m[0] * n[4] + m[2] * n[5] + m[4],
  m[1] * n[4] + m[3] * n[5] + m[5],
];

let matrix = [1, 0, 0, 1, 0, 0];
let lineWidth = 1;
const kept = [];
const lines = [];
fnArray.forEach((fn, i) => {
  const args = argsArray[i];
  if (fn === OPS.save) kept.push([matrix, lineWidth]);
  else if (fn === OPS.restore) [matrix, lineWidth] = kept.pop();
  else if (fn === OPS.transform) matrix = times(matrix, args);
  else if (fn === OPS.setLineWidth) lineWidth = args[0];
  else if (fn === OPS.constructPath) {
    const [ops, coordinates] = args;
    let at = 0;
    let from = null;
    for (const op of ops) {
      const point = [coordinates[at], coordinates[at + 1]];
      at += 2;
      if (op === OPS.lineTo && from) {
        const [x1, y1] = apply(matrix, ...from);
        const [x2, y2] = apply(matrix, ...point);
        lines.push({
          x1: x1 * MM,
          y1: (height - y1) * MM,
          x2: x2 * MM,
          y2: (height - y2) * MM,
          widthMm: lineWidth * Math.abs(matrix[0]) * MM,
        });
      }
      from = point;
    }
  }
});
process.stdout.write(JSON.stringify({ widthMm: width * MM, heightMm: height * MM, lines }));
