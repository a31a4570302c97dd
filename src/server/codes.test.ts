import { codeText } from '@/core/sheet';
import { allJobs } from '@/data/jobs';
import type { Db } from '@/data/db';
import { pretendNow } from './clock';
import { jobsToCompare, readCodeText } from './codes';
import { loadSheet } from './sheets';
import { demoAt, demoJobs } from './testing/demo-db';
import { problemOf } from './testing/problem-of';

let db: Db;
let id: string;
let text: string;
beforeAll(() => {
  db = demoAt();
  id = demoJobs(db).get('Aino')!.job.id;
  text = codeText(loadSheet(id, '1', db))!;
});
afterAll(() => {
  db.close();
  pretendNow(null);
});
const read = (changed: string) => readCodeText({ text: changed }, db);

test('the code of a sheet of this shop leads to its job', () => {
  expect(read(text)).toMatchObject({ jobId: id, code: { ok: true, ticket: 1001, revision: 1 } });
});
test.each<[string, RegExp, string]>([
  ['of another ticket', /sheet 1001\.1/, 'sheet 1002.1'],
  ['of a ticket this shop never had', /sheet 1001\.1/, 'sheet 9001.1'],
  ['of a revision that was never made', /sheet 1001\.1/, 'sheet 1001.7'],
  ['of another day', /(sheet 1001\.1) \S+/, '$1 2025-01-02'],
  ['of another bow', /bow .*, (right|left)/, 'bow Somebody Else, $1'],
  ['of a bow for the other hand', /(bow .*), right/, '$1, left'],
  ['of another number', /\nno .*/, '\nno XX-1'],
])('one %s is read, and is of no job here', (_, was, by) => {
  const other = text.replace(was, by);
  expect(other).not.toBe(text);
  expect(read(other)).toMatchObject({ jobId: null, code: { ok: true } });
});
test('what is no code is refused with what is possible', () => {
  expect(problemOf(() => read('hello')).status).toBe(422);
  expect(problemOf(() => readCodeText({ words: 'hello' }, db)).status).toBe(400);
});
test('open jobs can be compared with, the one handed over not', () => {
  const jobs = jobsToCompare(db);
  expect(jobs).toHaveLength(allJobs(db).filter(({ deliveredAt }) => deliveredAt === null).length);
  expect(Object.keys(jobs[0]!)).toEqual(['id', 'number', 'name']);
});
