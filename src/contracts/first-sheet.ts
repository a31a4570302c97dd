import { Type } from '@sinclair/typebox';
import { SHEET_FORMAT } from '@/core/sheet';

const strict = { additionalProperties: false } as const;
const Text = (description: string) => Type.String({ description });
const OrNull = <T extends Parameters<typeof Type.Union>[0][number]>(
  schema: T,
  description: string,
) => Type.Union([schema, Type.Null()], { description });

const Setting = Type.Object(
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
  },
  strict,
);

/** The build sheet as version 1 wrote it, still read; docs/formats/build-sheet-1.schema.json. */
export const FirstSheetSchema = Type.Object(
  {
    format: Type.Literal(SHEET_FORMAT),
    formatVersion: Type.Literal(1),
    revision: Type.Integer({ minimum: 1 }),
    madeAt: Type.String({ format: 'date-time' }),
    madeDay: Type.String({ format: 'date', description: 'The day in the shop’s time zone' }),
    madeBy: Type.String({ minLength: 1 }),
    openReason: OrNull(Type.String(), 'Why it was handed over with work open'),
    shop: Type.Object({ name: Type.String(), address: Type.String() }, strict),
    job: Type.Object(
      {
        number: Type.Integer({ minimum: 1, description: 'Ticket number' }),
        purpose: Type.String(),
        furthestM: OrNull(Type.Number(), 'Furthest distance wanted, m'),
      },
      strict,
    ),
    archer: Type.Object(
      {
        name: Type.String({ minLength: 1 }),
        hand: Type.String(),
        dominantEye: Type.String(),
        guardianName: OrNull(Type.String(), 'Guardian of a minor; null for an adult'),
      },
      strict,
    ),
    bow: OrNull(
      Type.Object(
        {
          name: Type.String(),
          hand: Type.String(),
          camSystem: Type.String(),
          axleToAxleMm: Type.Number(),
          braceHeightMm: Type.Number(),
          letOff: Type.Number({ minimum: 0, exclusiveMaximum: 1 }),
          maxTurns: OrNull(Type.Number(), 'Limit of limb-bolt turns; null when not known'),
          overruled: OrNull(
            Type.String(),
            'What of the fit it does not cover, and why it was taken',
          ),
          condition: Type.Optional(
            Type.Unsafe<'new' | 'used' | 'loan'>({ type: 'string', enum: ['new', 'used', 'loan'] }),
          ),
          serial: Type.Optional(OrNull(Type.String(), 'Its number; null when not known')),
        },
        strict,
      ),
      'The bow',
    ),
    fit: Type.Object(
      {
        drawLengthMm: OrNull(Type.Number(), 'Consensus of the readings, mm'),
        loopCounts: Type.Boolean({ description: 'The school: arm span less the loop' }),
        drawLengthText: OrNull(Type.String(), 'The same in the shop’s units'),
        readings: Type.Array(
          Type.Object({ method: Type.String(), entered: Type.String(), si: Type.Number() }, strict),
        ),
        startN: OrNull(Type.Number(), 'Start weight, N'),
        startText: OrNull(Type.String(), 'The same in the shop’s units'),
        trials: Type.Array(Type.Object({ entered: Type.String(), outcome: Type.String() }, strict)),
        notes: Type.Optional(Type.Array(Type.String())),
      },
      strict,
    ),
    settings: Type.Array(Setting),
    parts: Type.Array(
      Type.Object(
        {
          slot: Type.String(),
          name: Type.String(),
          label: Type.String(),
          owned: Type.Boolean({ description: 'Brought along; costs nothing' }),
          priceCents: Type.Integer({ minimum: 0 }),
        },
        strict,
      ),
    ),
    bowPriceCents: Type.Integer({ minimum: 0 }),
    work: Type.Optional(
      Type.Object(
        { minutes: Type.Number({ minimum: 0 }), cents: Type.Integer({ minimum: 0 }) },
        { ...strict, description: 'Setting up; absent where the total is without it' },
      ),
    ),
    totalCents: Type.Integer({ minimum: 0 }),
    taxCents: Type.Optional(Type.Integer({ minimum: 0, description: 'Held in the total' })),
    taxPct: Type.Optional(Type.Number({ minimum: 0 })),
    marks: OrNull(
      Type.Object(
        {
          rows: Type.Array(
            Type.Object(
              {
                distanceM: Type.Number(),
                distanceText: Type.String(),
                pinAboveArrowMm: Type.Number(),
              },
              strict,
            ),
          ),
          furthestClearM: OrNull(Type.Number(), 'Past it the housing is in the arrow’s way'),
          basis: Type.Array(Type.String()),
        },
        strict,
      ),
      'Sight marks; null when something they rest on is missing',
    ),
    balance: Type.Optional(
      Type.Object(
        {
          massG: Type.Number(),
          centre: Type.Object(
            { forwardMm: Type.Number(), upMm: Type.Number(), rightMm: Type.Number() },
            { ...strict, description: 'From the throat of the grip, bars and all' },
          ),
          rollTorqueNmm: Type.Number({ description: '+ tips to the right' }),
          pitchTorqueNmm: Type.Number({ description: '+ rolls forward' }),
          text: Type.Array(Type.String()),
        },
        { ...strict, description: 'With the bars as noted; absent where nobody looked' },
      ),
    ),
    exceptions: Type.Array(
      Type.Object({ step: Type.String(), reason: Type.String(), who: Type.String() }, strict),
    ),
    open: Type.Array(Type.String(), { description: 'What was still open at handover' }),
    cautions: Type.Array(Type.String(), { minItems: 1, description: 'Told and acknowledged' }),
    comeBackDay: Type.String({ format: 'date' }),
  },
  {
    ...strict,
    $id: 'urn:waffenrad:build-sheet:1',
    title: 'Waffenrad build sheet, version 1',
    description: 'One revision of a build sheet; made at handover and never changed.',
  },
);
