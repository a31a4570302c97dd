import { existsSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { mayOpen } from './may-open';

let folder: string;
beforeEach(() => (folder = mkdtempSync(join(tmpdir(), 'waffenrad-open-'))));
afterEach(() => rmSync(folder, { recursive: true, force: true }));
const file = () => join(folder, 'shop.sqlite');

test('a file with something in it is opened, well or sick', async () => {
  writeFileSync(file(), 'x');
  expect(await mayOpen(file(), false, null)).toBeNull();
});

test.each([
  ['that is not there', () => undefined, 'There is no shop at'],
  ['that is empty', () => writeFileSync(file(), ''), 'is empty'],
])('of a file %s no new shop is made by itself; it says what to do', async (_, make, why) => {
  make();
  const before = existsSync(file());
  const said = await mayOpen(file(), false, null);
  expect(said).toContain(why);
  expect(said).toMatch(/npm start -- --new.*npm run restore.*WAFFENRAD_DB/);
  expect(existsSync(file())).toBe(before);
});

test('a new shop is opened where that is asked for', async () => {
  expect(await mayOpen(file(), true, null)).toBeNull();
});

test('never in the place of a file that holds something', async () => {
  writeFileSync(file(), 'x');
  expect(await mayOpen(file(), true, null)).toContain('There is a file');
});

test('a folder is no file', async () => {
  expect(await mayOpen(folder, false, null)).toContain('is a folder');
  expect(await mayOpen(folder, true, null)).toContain('is a folder');
});

test('who sits at the machine is asked', async () => {
  const asked: string[] = [];
  const says = (answer: string) => (question: string) => {
    asked.push(question);
    return Promise.resolve(answer);
  };
  expect(await mayOpen(file(), false, says(' new '))).toBeNull();
  expect(await mayOpen(file(), false, says('yes'))).toContain('There is no shop');
  expect(asked).toHaveLength(2);
});
