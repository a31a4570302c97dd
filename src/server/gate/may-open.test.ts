import { existsSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openShopFile } from '@/data/db';
import { mayOpen } from './may-open';

let folder: string;
beforeEach(() => (folder = mkdtempSync(join(tmpdir(), 'waffenrad-open-'))));
afterEach(() => rmSync(folder, { recursive: true, force: true }));
const file = () => join(folder, 'shop.sqlite');

test('a file with something in it is opened, well or sick', () => {
  writeFileSync(file(), 'x');
  expect(mayOpen(file(), false)).toBeNull();
});

test.each([
  ['that is not there', () => undefined],
  ['that is empty', () => writeFileSync(file(), '')],
])('on a file %s it begins, and no new shop is made by itself', (_, make) => {
  make();
  const before = existsSync(file());
  expect(mayOpen(file(), false)).toBeNull();
  expect(() => openShopFile(file())).toThrow('There is no shop at');
  expect(existsSync(file())).toBe(before);
});

test('a new shop is opened where that is asked for', () =>
  expect(mayOpen(file(), true)).toBeNull());

test('never in the place of a file that holds something', () => {
  writeFileSync(file(), 'x');
  expect(mayOpen(file(), true)).toContain('There is a file');
});

test('a folder is no file', () => {
  expect(mayOpen(folder, false)).toContain('is a folder');
  expect(mayOpen(folder, true)).toContain('is a folder');
});
