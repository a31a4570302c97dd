import { readdirSync, readFileSync } from 'node:fs';
import { basename, dirname, join, relative, resolve } from 'node:path';
import { sizes } from './tokens';

const UI = resolve(__dirname, '..');
const files = readdirSync(UI, { recursive: true, encoding: 'utf8' }).map((file) => join(UI, file));
const sheets = files.filter((file) => file.endsWith('.css'));
const components = files.filter((file) => file.endsWith('.tsx') && !file.includes('.test.'));
const bare = (file: string) => readFileSync(file, 'utf8').replace(/\/\*[\s\S]*?\*\//g, '');
const named = (file: string) => relative(UI, file);

/** Classes a sheet has of its own; those of MUI stand in `:global()`. */
const classesOf = (sheet: string): Set<string> =>
  new Set(
    [
      ...bare(sheet)
        .replace(/:global\([^)]*\)/g, '')
        .matchAll(/\.([a-zA-Z]\w*)(?=[^;{}]*\{)/g),
    ].map((match) => match[1]!),
  );

/** Classes components take from each sheet, by where the sheet lies. */
function taken(): Map<string, Set<string>> {
  const found = new Map<string, Set<string>>();
  for (const component of components) {
    const text = readFileSync(component, 'utf8');
    for (const [, name, path] of text.matchAll(/import (\w+) from '(\.[^']+\.module\.css)'/g)) {
      const sheet = resolve(dirname(component), path!);
      const uses = found.get(sheet) ?? new Set<string>();
      for (const [, used] of text.matchAll(new RegExp(`\\b${name}\\.(\\w+)`, 'g'))) uses.add(used!);
      found.set(sheet, uses);
    }
  }
  return found;
}

describe('one styling system', () => {
  const uses = taken();
  test.each(sheets.map((sheet) => [named(sheet), sheet]))(
    '%s: every class is used, no other is asked for, nothing is forced',
    (_, sheet) => {
      const text = bare(sheet);
      expect(text).not.toContain('!important');
      expect(text).not.toMatch(/#[0-9a-f]{3,8}\b|rgba?\(|hsla?\(/i);
      if (basename(sheet) === 'globals.css') return;
      expect([...(uses.get(sheet) ?? [])].sort()).toEqual([...classesOf(sheet)].sort());
    },
  );

  test('type has eight sizes, and nothing is set in another', () => {
    expect(Object.keys(sizes)).toHaveLength(8);
    expect(Math.min(...Object.values(sizes))).toBe(14);
    const others = sheets.flatMap((sheet) =>
      [...bare(sheet).matchAll(/font(?:-size)?:\s*([^;}]+)/g)]
        .map(([, value]) => value!.trim())
        .filter((value) => !/var\(--(size|fraction)-|^inherit$|em$/.test(value))
        .map((value) => `${named(sheet)}: ${value}`),
    );
    // The drawings that are true to size are set in millimetres of their own.
    expect(others.filter((other) => !/\b(3\.4|4\.4)px/.test(other))).toEqual([]);
  });

  test('colours stand in the tokens alone', () => {
    const twice = components
      .filter((file) => /['"`]#[0-9a-f]{6}\b/i.test(readFileSync(file, 'utf8')))
      .map(named);
    expect(twice).toEqual([]);
  });

  test('no class is named as a string where a sheet has it', () => {
    const strings = components.flatMap((file) =>
      [...readFileSync(file, 'utf8').matchAll(/className="([^"]+)"/g)].map(
        ([, value]) => `${named(file)}: ${value}`,
      ),
    );
    expect(strings).toEqual([]);
  });
});
