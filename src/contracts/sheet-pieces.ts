import { Type } from '@sinclair/typebox';
import type { SheetGroup } from '@/core/setup';
import { SHEET_GROUPS } from '@/core/sheet';

export const strict = { additionalProperties: false } as const;
const Text = (description: string) => Type.String({ description });
export const OrNull = <T extends Parameters<typeof Type.Union>[0][number]>(
  schema: T,
  description: string,
) => Type.Union([schema, Type.Null()], { description });

export const Setting = Type.Object(
  {
    key: Text('Set-up value, by the registry of the program'),
    name: Text('Its name in words'),
    text: Text('As the sheet shows it, in the shop’s units'),
    entered: Text('As it was typed'),
    si: OrNull(Type.Number(), 'SI: mm, N, g, m/s, degrees, turns; null for a choice'),
    si2: OrNull(
      Type.Number(),
      'Second number: turns of a weighing, height of a tear (mm), p-value of a group',
    ),
    wanted: OrNull(Type.String(), 'The band it should lie in'),
    reason: OrNull(Type.String(), 'Why that band'),
    standing: Type.Union([Type.Literal('in'), Type.Literal('out'), Type.Literal('noTarget')]),
    stale: OrNull(Type.String(), 'Why it is to be done again; null when it holds'),
    who: Text('Who measured it'),
    at: Type.String({ format: 'date-time', description: 'When, UTC' }),
    group: OrNull(
      Type.Unsafe<SheetGroup>({ type: 'string', enum: SHEET_GROUPS.map(({ id }) => id) }),
      'Heading of page one; null where it is no setting to get back to',
    ),
    datum: OrNull(Type.String(), 'From where to where it is measured'),
    tool: OrNull(Type.String(), 'With what'),
    tolerance: OrNull(Type.String(), 'Its ±, in words'),
  },
  strict,
);

export const Change = Type.Object(
  {
    key: Text('Set-up value, “part:” and a place of the kit, “bow” or “marks”'),
    name: Text('Its name in words'),
    from: OrNull(Type.String(), 'What stood on the revision before; null: nothing'),
    to: OrNull(Type.String(), 'What stands on this one; null: nothing any more'),
    within: Type.Boolean({ description: 'Measured again and within its tolerance' }),
  },
  strict,
);

export const Arrow = Type.Object(
  {
    count: OrNull(Type.Integer({ minimum: 1 }), 'Arrows in the set'),
    shaft: Type.String(),
    staticSpineIn: Type.Number({ description: 'Deflection in inches, ASTM F2031' }),
    shaftLengthMm: Type.Number({ description: 'Cut shaft, without nock and point' }),
    shaftOuterMm: Type.Number(),
    nock: OrNull(Type.String(), 'Null where it is not known, as are the next three'),
    vanes: OrNull(Type.String(), 'How many and which'),
    insert: OrNull(Type.String(), 'Insert'),
    point: OrNull(Type.String(), 'Point'),
    pointAndInsertG: Type.Number(),
    massG: Type.Number(),
    massFrom: Type.Unsafe<'measured' | 'catalogue'>({
      type: 'string',
      enum: ['measured', 'catalogue'],
    }),
    balanceFromNockMm: OrNull(Type.Number(), 'From the nock’s groove'),
    frontOfCentrePct: OrNull(Type.Number(), 'Balance ahead of the middle, part of the length'),
  },
  strict,
);

export const Flight = Type.Object(
  {
    speedMps: Type.Number(),
    dragCoefficient: Type.Number(),
    arrowG: Type.Number(),
    shaftOuterMm: Type.Number(),
    airDensityKgM3: Type.Number(),
    peepHeightMm: Type.Number({ description: 'Peep above the arrow at full draw' }),
    peepToPinMm: Type.Number(),
  },
  strict,
);
