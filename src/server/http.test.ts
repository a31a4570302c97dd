import { checker } from '@/contracts/ajv';
import { MOST_FAULTS } from '@/contracts/faults';
import { Type } from '@sinclair/typebox';
import { readJson } from './http';
import type { Problem } from './problem';

const post = (body: BodyInit, headers: Record<string, string> = {}) =>
  new Request('http://shop.test/x', { method: 'POST', body, headers, duplex: 'half' } as never);
const refusalOf = (request: Request) =>
  readJson(request).then(
    () => null,
    (problem: Problem) => [problem.status, problem.reason],
  );

/** A body that never ends; counts what was asked of it. */
function endless() {
  const asked = { pieces: 0, cancelled: false };
  const body = new ReadableStream({
    pull(controller) {
      asked.pieces++;
      controller.enqueue(new Uint8Array(100_000).fill(0x20));
    },
    cancel() {
      asked.cancelled = true;
    },
  });
  return { body, asked };
}

test('a body in pieces is read whole, a letter cut in two among them', async () => {
  const bytes = new TextEncoder().encode('{"name":"Ås"}');
  const body = new ReadableStream({
    start(controller) {
      for (const byte of bytes) controller.enqueue(new Uint8Array([byte]));
      controller.close();
    },
  });
  expect(await readJson(post(body))).toEqual({ name: 'Ås' });
});

test('one that says it is too large is refused before anything of it is read', async () => {
  const { body, asked } = endless();
  expect(await refusalOf(post(body, { 'content-length': '1000001' }))).toEqual([413, 'too-large']);
  // The stream itself fills one piece ahead.
  expect(asked.pieces).toBeLessThanOrEqual(1);
});

test('one that does not say is read up to the limit and no further', async () => {
  const { body, asked } = endless();
  expect(await refusalOf(post(body))).toEqual([413, 'too-large']);
  expect(asked.cancelled).toBe(true);
  expect(asked.pieces).toBeLessThan(14);
});

test('exactly a megabyte is taken', async () =>
  expect(await readJson(post(`"${'x'.repeat(999_998)}"`))).toHaveLength(999_998));

test.each<[string, BodyInit, string]>([
  ['nothing', '', 'malformed-json'],
  ['half an object', '{"a":', 'malformed-json'],
  ['Latin-1 bytes', new Uint8Array([0x22, 0xc5, 0x73, 0x22]), 'not-utf-8'],
])('%s is refused with the reason', async (_, body, reason) =>
  expect(await refusalOf(post(body))).toEqual([400, reason]),
);

describe('faults of an input', () => {
  const check = checker(Type.Array(Type.Object({ mm: Type.Number({ minimum: 0 }) })));
  const faults = (count: number) => {
    const checked = check(Array.from({ length: count }, () => ({ mm: -1 })));
    return checked.ok ? [] : checked.errors;
  };
  test('up to twenty are all told', () => {
    expect(faults(MOST_FAULTS)).toHaveLength(20);
    expect(faults(MOST_FAULTS).at(-1)!.pointer).toBe('/19/mm');
  });
  test('more are counted', () => {
    expect(faults(332)).toHaveLength(21);
    expect(faults(332).at(-1)).toEqual({ pointer: '', detail: 'and 312 more' });
  });
});
