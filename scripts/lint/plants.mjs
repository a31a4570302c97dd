/**
 * Plants every kind of forbidden line in files that do not exist and says which of them the lint let
 * through. `node scripts/lint/plants.mjs` prints JSON: how many were planted, those missed, what was
 * refused although it is allowed, and folders that stand in no list.
 */
import { readdirSync, statSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import { ESLint } from 'eslint';
import { CORE, LAYERS, UI } from './layers.mjs';

const eslint = new ESLint();
const PATHS = 'import-x/no-restricted-paths';

/** A file of a folder (or the file itself) that can be imported. */
function aFileOf(path) {
  if (statSync(path).isFile()) return path;
  const entry = readdirSync(path, { withFileTypes: true, recursive: true })
    .filter((file) => file.isFile() && /^[^.]+\.tsx?$/.test(file.name))
    .map((file) => join(file.parentPath, file.name))
    .sort()[0];
  if (!entry) throw new Error(`Nothing to import in ${path}`);
  return entry;
}

const importOf = (from, to) => {
  const path = relative(dirname(from), to).replace(/\.tsx?$/, '');
  return `import ${path.startsWith('.') ? `'${path}'` : `'./${path}'`};`;
};

const aPlantIn = (path) => (path.endsWith('.ts') ? path : `${path}/planted.ts`);
const plant = (from, to) => ({
  path: aPlantIn(from),
  text: importOf(aPlantIn(from), aFileOf(to)),
  rule: PATHS,
});

/** Every area against every one beside and below it. */
const between = (rows, path) =>
  rows.flatMap((row, i) =>
    row.flatMap((area) =>
      rows
        .slice(i)
        .flat()
        .filter((other) => other !== area)
        .map((other) => plant(`${path}/${area}`, `${path}/${other}`)),
    ),
  );

const layers = LAYERS.flatMap(({ name, may }) =>
  LAYERS.filter((other) => other.name !== name && !may.includes(other.name)).map((other) =>
    plant(`src/${name}`, `src/${other.name}`),
  ),
);

const inCore = (text, rule) => ({ path: 'src/core/units/planted.ts', text, rule });
const PLANTS = [
  ...between(CORE, 'src/core'),
  ...between(UI, 'src/ui'),
  ...layers,
  plant('src/server', 'src/core/testing'),
  plant('src/ui/frame', 'src/ui/testing'),
  ...['react', 'next/link', '@mui/material', 'better-sqlite3', 'node:fs', 'fs', 'crypto'].map(
    (name) => inCore(`import '${name}';`, 'no-restricted-imports'),
  ),
  ...['Math.random()', 'new Date()', 'Date.now()', 'performance.now()'].map((text) =>
    inCore(`export const planted = ${text};`, 'no-restricted-syntax'),
  ),
  inCore(`${'\n'.repeat(300)}export const planted = 1;`, 'max-lines'),
  // Both files are there: the second imports the first.
  {
    path: 'src/core/numerics/linear.ts',
    text: "import { paired } from './paired';\nexport const planted = paired;",
    rule: 'house/circle',
  },
  {
    path: 'src/core/units/types.ts',
    text: "import type { ReadOptions } from './read';\nexport type Planted = ReadOptions;",
    rule: 'house/circle',
  },
];

/** What the house allows: a rule that refuses all would find every plant too. */
const ALLOWED = [
  plant('src/core/job', 'src/core/units'),
  plant('src/ui/stages', 'src/ui/fields'),
  plant('src/server', 'src/data'),
  inCore(`${'\n'.repeat(298)}export const planted = 1;`, 'max-lines'),
  inCore("import { refused } from '../outcome';\nexport const planted = refused;", PATHS),
];

const found = async ({ path, text, rule }) => {
  const [result] = await eslint.lintText(`${text}\n`, { filePath: path });
  return result.messages.some(({ ruleId }) => ruleId === rule);
};

/** Folders no list names: nothing would be forbidden there. What Jest keeps holds no code. */
const RECORDS = '__snapshots__';
const unlisted = [
  ['src', LAYERS.map(({ name }) => name)],
  ['src/core', [...CORE.flat(), 'testing', RECORDS]],
  ['src/ui', [...UI.flat(), 'testing']],
].flatMap(([path, names]) =>
  readdirSync(path, { withFileTypes: true })
    .filter((entry) => entry.isDirectory() && !names.includes(entry.name))
    .map((entry) => `${path}/${entry.name}`),
);

const missed = [];
for (const entry of PLANTS) if (!(await found(entry))) missed.push(entry);
const refused = [];
for (const entry of ALLOWED) if (await found(entry)) refused.push(entry);
console.log(JSON.stringify({ planted: PLANTS.length, missed, refused, unlisted }));
