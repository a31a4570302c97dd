import { mkdirSync, writeFileSync } from 'node:fs';
import { ArcherBundleSchema } from '@/contracts/archer-bundle';
import { bowFormatPage } from '@/contracts/bow-csv';
import { partFormatPage, partSchemas } from '@/contracts/part-csv';
import { FirstSheetSchema } from '@/contracts/first-sheet';
import { SheetSchema } from '@/contracts/sheet-schema';

/** Publishes the file formats from the schemas and columns the program checks with. */
mkdirSync('docs/formats', { recursive: true });
const publish = (name: string, schema: object) =>
  writeFileSync(
    `docs/formats/${name}`,
    `${JSON.stringify({ $schema: 'http://json-schema.org/draft-07/schema#', ...schema }, null, 2)}\n`,
  );
publish('build-sheet.schema.json', SheetSchema);
publish('build-sheet-1.schema.json', FirstSheetSchema);
publish('archer.schema.json', ArcherBundleSchema);
publish('parts.schema.json', {
  title: 'Parts of the catalogue by slot, in SI and cents',
  definitions: partSchemas(),
});
writeFileSync('docs/formats/bows.md', bowFormatPage());
writeFileSync('docs/formats/parts.md', partFormatPage());
console.log('docs/formats: four schemas, bows.md and parts.md written');
