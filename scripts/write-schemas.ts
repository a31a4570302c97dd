import { mkdirSync, writeFileSync } from 'node:fs';
import { SheetSchema } from '@/contracts/sheet';

/** Publishes the file formats' schemas from the ones the program checks with. */
mkdirSync('docs/formats', { recursive: true });
const body = { $schema: 'http://json-schema.org/draft-07/schema#', ...SheetSchema };
writeFileSync('docs/formats/build-sheet.schema.json', `${JSON.stringify(body, null, 2)}\n`);
console.log('docs/formats/build-sheet.schema.json written');
