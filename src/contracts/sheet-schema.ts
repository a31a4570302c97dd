import { Type } from '@sinclair/typebox';
import type { CamSystem } from '@/core/bow';
import { VISIT_KINDS, type VisitKind } from '@/core/job';
import { SHEET_FORMAT, SHEET_FORMAT_VERSION } from '@/core/sheet';
import type { ShopUnits } from '@/core/units';
import { Arrow, Change, Flight, OrNull, Setting, strict } from './sheet-pieces';
import { Units } from './shop';

/** The build sheet as a file; published as docs/formats/build-sheet.schema.json. */
export const SheetSchema = Type.Object(
  {
    format: Type.Literal(SHEET_FORMAT),
    formatVersion: Type.Literal(SHEET_FORMAT_VERSION),
    revision: Type.Integer({ minimum: 1 }),
    madeAt: Type.String({ format: 'date-time' }),
    madeDay: Type.String({ format: 'date', description: 'The day in the shop’s time zone' }),
    madeBy: Type.String({ minLength: 1 }),
    openReason: OrNull(Type.String(), 'Why it was handed over with work open'),
    shop: Type.Object(
      { name: Type.String(), address: Type.String(), phone: Type.String() },
      strict,
    ),
    units: Type.Unsafe<ShopUnits>(Units),
    since: OrNull(
      Type.Object({ revision: Type.Integer({ minimum: 1 }), changes: Type.Array(Change) }, strict),
      'What is not as on the revision before; null on the first',
    ),
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
          camCode: Type.Unsafe<CamSystem>({
            type: 'string',
            enum: ['single', 'hybrid', 'camAndAHalf', 'twoCam'],
          }),
          minPeakN: OrNull(Type.Number(), 'Lightest the limbs can be set to; null: not kept'),
          maxPeakN: OrNull(Type.Number(), 'Heaviest the limbs can be set to; null: not kept'),
          stringLengthMm: OrNull(Type.Number(), 'Of the string; null when not known'),
          cableLengthsMm: Type.Array(Type.Number()),
          axleToAxleMm: Type.Number(),
          braceHeightMm: Type.Number(),
          letOff: Type.Number({ minimum: 0, exclusiveMaximum: 1 }),
          maxTurns: OrNull(Type.Number(), 'Limit of limb-bolt turns; null when not known'),
          overruled: OrNull(
            Type.String(),
            'What of the fit it does not cover, and why it was taken',
          ),
          condition: Type.Unsafe<'new' | 'used' | 'loan'>({
            type: 'string',
            enum: ['new', 'used', 'loan'],
          }),
          brought: Type.Optional(
            Type.Literal(true, { description: 'The archer brought it along' }),
          ),
          serial: OrNull(Type.String(), 'Its number; null when not known'),
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
        notes: Type.Array(Type.String()),
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
    extras: Type.Array(Type.Object({ text: Type.String(), cents: Type.Integer() }, strict), {
      description: 'Extra lines, and discounts below nothing',
    }),
    totalCents: Type.Integer({ minimum: 0 }),
    taxCents: Type.Optional(Type.Integer({ minimum: 0, description: 'Held in the total' })),
    taxPct: Type.Optional(Type.Number({ minimum: 0 })),
    fastening: Type.Array(Type.Object({ what: Type.String(), text: Type.String() }, strict), {
      description: 'Keys and screws of what is mounted',
    }),
    arrow: OrNull(Arrow, 'The finished arrow; null where it is not known'),
    marks: OrNull(
      Type.Object(
        {
          firstM: Type.Number({ description: 'The pins are counted from their place for it' }),
          firstText: Type.String(),
          firstConfirmed: OrNull(
            Type.Boolean(),
            'A group was shot there; null where version 1 did not say',
          ),
          pins: OrNull(
            Type.Array(
              Type.Object(
                {
                  distanceM: Type.Number(),
                  distanceText: Type.String(),
                  belowFirstMm: Type.Number(),
                  gapMm: OrNull(Type.Number(), 'To the pin above; null for the first'),
                },
                strict,
              ),
            ),
            'Of a sight with several fixed pins; null for others',
          ),
          flight: OrNull(Flight, 'What the marks are made from'),
          rows: Type.Array(
            Type.Object(
              {
                distanceM: Type.Number(),
                distanceText: Type.String(),
                pinAboveArrowMm: Type.Number(),
                belowFirstMm: Type.Number({ description: 'Pin below its place for the first' }),
                sigmaMm: OrNull(Type.Number(), '1σ of it'),
                confirmed: Type.Boolean(),
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
    signature: OrNull(
      Type.Object(
        {
          by: Type.Unsafe<'archer' | 'guardian'>({ type: 'string', enum: ['archer', 'guardian'] }),
          name: Type.String(),
          width: Type.Integer({ minimum: 1, maximum: 4000 }),
          height: Type.Integer({ minimum: 1, maximum: 4000 }),
          path: Type.String({ pattern: '^[ML0-9. ]*$' }),
        },
        strict,
      ),
      'As drawn on the screen; null where it is signed on paper',
    ),
    cautions: Type.Array(Type.String(), { minItems: 1, description: 'Told and acknowledged' }),
    visit: OrNull(
      Type.Object(
        {
          kind: Type.Unsafe<VisitKind>({ type: 'string', enum: VISIT_KINDS.map(({ id }) => id) }),
          words: Type.String(),
        },
        strict,
      ),
      'Why the bow was back; null on the first handover',
    ),
    comeBackDay: Type.String({ format: 'date' }),
    record: Type.Array(
      Type.Object(
        {
          key: Type.String(),
          name: Type.String(),
          text: Type.String(),
          how: Type.String(),
          who: Type.String(),
          at: Type.String({ format: 'date-time' }),
        },
        strict,
      ),
      { description: 'Every reading in its order' },
    ),
    papers: Type.Array(
      Type.Object(
        {
          rightMm: Type.Number({
            description: 'Nock hole right of the point hole, from the archer',
          }),
          upMm: Type.Number(),
          text: Type.String(),
          moved: OrNull(Type.String(), 'What was moved before it'),
        },
        strict,
      ),
    ),
    aim: Type.Array(Type.String()),
    photos: Type.Array(
      Type.Object(
        {
          id: Type.Integer({ minimum: 1, description: 'GET /api/v1/jobs/JOB/photos/ID, JPEG' }),
          text: Type.String(),
          width: Type.Integer({ minimum: 1 }),
          height: Type.Integer({ minimum: 1 }),
        },
        strict,
      ),
      { description: 'Chosen for the record' },
    ),
    care: Type.Array(
      Type.Object({ day: Type.String({ format: 'date' }), text: Type.String() }, strict),
    ),
    practice: Type.Array(Type.String()),
    growth: OrNull(
      Type.Object(
        {
          steps: Type.Array(
            Type.Object({ day: Type.String({ format: 'date' }), peakN: Type.Number() }, strict),
          ),
          test: Type.String(),
        },
        strict,
      ),
      'Weights to grow into; null where there is no room or nothing was weighed',
    ),
  },
  {
    ...strict,
    $id: 'urn:waffenrad:build-sheet:2',
    title: 'Waffenrad build sheet, version 2',
    description: 'One revision of a build sheet; made at handover and never changed.',
  },
);
