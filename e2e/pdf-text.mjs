/** Prints the text of a PDF, and the size of its first page: node e2e/pdf-text.mjs FILE */
import { readFileSync } from 'node:fs';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';

const data = new Uint8Array(readFileSync(process.argv[2]));
const pdf = await getDocument({ data, verbosity: 0 }).promise;
const pages = [];
for (let i = 1; i <= pdf.numPages; i++) {
  const page = await pdf.getPage(i);
  const content = await page.getTextContent();
  const [, , width, height] = page.view;
  pages.push({ width, height, text: content.items.map((item) => item.str).join(' ') });
}
console.log(JSON.stringify(pages));
