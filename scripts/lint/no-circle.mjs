import { existsSync, readFileSync, statSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import ts from 'typescript';

const SRC = resolve('src');
const ENDS = ['', '.ts', '.tsx', '/index.ts', '/index.tsx'];
const isFile = (path) => existsSync(path) && statSync(path).isFile();

function fileOf(from, name) {
  const base = name.startsWith('@/')
    ? join(SRC, name.slice(2))
    : name.startsWith('.')
      ? resolve(dirname(from), name)
      : null;
  return base === null ? null : (ENDS.map((end) => base + end).find(isFile) ?? null);
}

const importsIn = (text, path) =>
  ts
    .preProcessFile(text, true, true)
    .importedFiles.flatMap(({ fileName }) => fileOf(path, fileName) ?? []);

const known = new Map();
/** Everything a file comes to import, types too, through any number of others. */
function reached(path) {
  const open = [path];
  const seen = new Set();
  while (open.length > 0) {
    const next = open.pop();
    if (!known.has(next)) known.set(next, importsIn(readFileSync(next, 'utf8'), next));
    for (const other of known.get(next))
      if (!seen.has(other)) {
        seen.add(other);
        open.push(other);
      }
  }
  return seen;
}
const reach = new Map();
const reachedFrom = (path) => {
  if (!reach.has(path)) reach.set(path, reached(path));
  return reach.get(path);
};

/** No file imports itself through others, neither by values nor by its types. */
export const noCircle = {
  meta: {
    type: 'problem',
    schema: [],
    messages: {
      circle: '{{name}} imports this file again: what both need belongs below both.',
    },
  },
  create(context) {
    const path = context.physicalFilename;
    const look = (node) => {
      const target = node.source && fileOf(path, node.source.value);
      if (target && target !== path && reachedFrom(target).has(path))
        context.report({ node, messageId: 'circle', data: { name: node.source.value } });
    };
    return {
      ImportDeclaration: look,
      ExportNamedDeclaration: look,
      ExportAllDeclaration: look,
    };
  },
};
