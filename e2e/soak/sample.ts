import type { Random } from '@/core/numerics';

/** As much of JSON Schema as the contracts use. */
interface Schema {
  readonly const?: unknown;
  readonly enum?: readonly unknown[];
  readonly anyOf?: readonly Schema[];
  readonly type?: string | readonly string[];
  readonly properties?: Readonly<Record<string, Schema>>;
  readonly required?: readonly string[];
  readonly patternProperties?: Readonly<Record<string, Schema>>;
  readonly propertyNames?: { readonly enum?: readonly string[] };
  readonly additionalProperties?: boolean | Schema;
  readonly items?: Schema;
  readonly minItems?: number;
  readonly maxItems?: number;
  readonly minLength?: number;
  readonly maxLength?: number;
  readonly format?: string;
  readonly minimum?: number;
  readonly maximum?: number;
  readonly exclusiveMinimum?: number;
  readonly exclusiveMaximum?: number;
}

export const oneOf = <T>(random: Random, all: readonly T[]): T =>
  all[Math.floor(random() * all.length)]!;

/** What no clock, list, person or parser expects; each was a fault somewhere once. */
export const NASTY: readonly unknown[] = [
  '',
  ' ',
  'constructor',
  '__proto__',
  'toString',
  '../../../etc/passwd',
  "'; DROP TABLE job; --",
  '"><script>alert(1)</script>',
  '%',
  '%00',
  '\u0000',
  '\u202e',
  '\ud800',
  '𝔘𝔫𝔦𝔠𝔬𝔡𝔢',
  'x'.repeat(5000),
  '2026-02-30',
  '9999-12-31',
  '23:59:60',
  '2026-11-24T23:59:60Z',
  '2026-11-24T10:00:00+01',
  '+01',
  '1e309',
  'NaN',
  '0x10',
  ' 28 ',
  '-0',
  '=1+1',
  null,
  true,
  false,
  [],
  {},
  [[[[]]]],
  { constructor: { prototype: 1 } },
  0,
  -1,
  0.1 + 0.2,
  1e308,
  -1e308,
  2 ** 53,
  5e-324,
];

const bounds = ({ minimum, maximum, exclusiveMinimum, exclusiveMaximum }: Schema) => {
  const from = minimum ?? exclusiveMinimum ?? -1000;
  return [from, Math.max(from, maximum ?? exclusiveMaximum ?? from + 2000)] as const;
};

/** What may stand in a field of this name. */
export type Words = (field: string) => readonly string[];

/** Something a schema takes, or nearly: patterns are met by luck, from `words` that are known. */
export function sampleOf(
  schema: Schema,
  random: Random,
  words: Words,
  field = '',
  deep = 0,
): unknown {
  if ('const' in schema) return schema.const;
  if (schema.enum) return oneOf(random, schema.enum);
  if (schema.anyOf) return sampleOf(oneOf(random, schema.anyOf), random, words, field, deep);
  const type = Array.isArray(schema.type)
    ? oneOf(random, schema.type as readonly string[])
    : (schema.type as string | undefined);
  switch (type) {
    case 'null':
      return null;
    case 'boolean':
      return random() < 0.5;
    case 'integer':
    case 'number': {
      const [from, to] = bounds(schema);
      const dice = random();
      const value = dice < 0.15 ? from : dice < 0.3 ? to : from + random() * (to - from);
      return type === 'integer' ? Math.round(value) : value;
    }
    case 'string': {
      if (schema.format === 'date')
        return `202${6 + Math.floor(random() * 3)}-0${1 + Math.floor(random() * 9)}-1${Math.floor(random() * 9)}`;
      if (schema.format === 'date-time') return '2026-12-01T10:00:00Z';
      const word = oneOf(random, words(field)).padEnd(schema.minLength ?? 0, 'x');
      return word.slice(0, schema.maxLength ?? 5000);
    }
    case 'array': {
      const least = schema.minItems ?? 0;
      const most = Math.min(schema.maxItems ?? 6, least + 5);
      const count = least + Math.floor(random() * (most - least + 1));
      return deep > 6
        ? []
        : Array.from({ length: count }, () =>
            sampleOf(schema.items ?? {}, random, words, field, deep + 1),
          );
    }
    case 'object':
      return objectOf(schema, random, words, field, deep);
    default:
      return oneOf(random, words(field));
  }
}

function objectOf(
  schema: Schema,
  random: Random,
  words: Words,
  field: string,
  deep: number,
): unknown {
  const { properties = {}, required = [], patternProperties, additionalProperties } = schema;
  const entries = Object.entries(properties)
    .filter(([key]) => required.includes(key) || random() < 0.5)
    .map(([key, one]) => [key, sampleOf(one, random, words, key, deep + 1)] as const);
  const open = Object.values(patternProperties ?? {})[0] ?? additionalProperties;
  const others =
    typeof open === 'object'
      ? Array.from(
          { length: Math.floor(random() * 3) },
          () =>
            [
              oneOf(random, schema.propertyNames?.enum ?? words(field)),
              sampleOf(open, random, words, field, deep + 1),
            ] as const,
        )
      : [];
  return Object.fromEntries([...entries, ...others]);
}

/** The same with something nasty in one place. */
export function spoilt(value: unknown, random: Random): unknown {
  if (random() < 0.2) return oneOf(random, NASTY);
  if (Array.isArray(value) && value.length > 0) {
    const at = Math.floor(random() * value.length);
    return value.map((item, i) => (i === at ? spoilt(item, random) : (item as unknown)));
  }
  if (typeof value === 'object' && value !== null && Object.keys(value).length > 0) {
    const at = oneOf(random, Object.keys(value));
    const bag = value as Readonly<Record<string, unknown>>;
    const dice = random();
    if (dice < 0.1) return Object.fromEntries(Object.entries(bag).filter(([key]) => key !== at));
    if (dice < 0.2) return { ...bag, [String(oneOf(random, NASTY))]: 1 };
    return { ...bag, [at]: spoilt(bag[at], random) };
  }
  return oneOf(random, NASTY);
}
