import { readdirSync, readFileSync } from 'node:fs';
import Ajv2020 from 'ajv/dist/2020';
import addFormats from 'ajv-formats';
import { Type } from '@sinclair/typebox';
import { Pair } from '@/contracts/compute-parts';
import { openApi } from './openapi';

/** Every part of a document, with the way to it. */
function* partsOf(value: unknown, path = ''): Generator<readonly [string, object]> {
  if (typeof value !== 'object' || value === null) return;
  yield [path, value];
  for (const [key, child] of Object.entries(value)) yield* partsOf(child, `${path}/${key}`);
}

const DOCUMENTS = [
  ['openapi.json', openApi()] as const,
  ...readdirSync('docs/formats')
    .filter((name) => name.endsWith('.schema.json'))
    .map((name) => [name, JSON.parse(readFileSync(`docs/formats/${name}`, 'utf8'))] as const),
];

test.each(DOCUMENTS)(
  '%s has no array form of items, which 2020-12 no longer knows',
  (_, document) => {
    const old = [...partsOf(document)]
      .filter(([, part]) => Array.isArray((part as { items?: unknown }).items))
      .map(([path]) => path);
    expect(old).toEqual([]);
  },
);

describe('the schemas compile as JSON Schema 2020-12', () => {
  const compile = (schema: object) => {
    const ajv = new Ajv2020({ strict: false });
    addFormats(ajv);
    return ajv.compile(schema);
  };
  const bodies = Object.entries(openApi().paths).flatMap(([path, { post }]) => [
    [`${path} request`, post.requestBody.content['application/json'].schema] as const,
    [`${path} answer`, post.responses['200'].content['application/json'].schema] as const,
  ]);
  test.each(bodies)('%s', (_, schema) => expect(() => compile(schema)).not.toThrow());
  test.each([
    [['a', 'b'], true],
    [['a'], false],
    [['a', 'b', 'c'], false],
    [['a', 1], false],
  ])('a pair: %j, %s', (value, is) => expect(compile(Pair(Type.String()))(value)).toBe(is));
});
