import { Name } from './name';
import { Type, type TInteger } from '@sinclair/typebox';
import { MOST_WEIGHT, SLOTS, type Slot as SlotId } from '@/core/kit';
import { SCHOOLS, type SchoolName, type Schools, type SetupKey } from '@/core/setup';
import { STATIONS, type Station as StationId } from '@/core/bench';
import type { WeekHours } from '@/core/calendar';
import type { Metre, Mm } from '@/core/units';

const strict = { additionalProperties: false } as const;
const OneOf = <T extends string>(...names: T[]) => Type.Unsafe<T>({ type: 'string', enum: names });
const Text = (maxLength: number) => Type.String({ maxLength });
const NullOr = <T>(schema: object) => Type.Unsafe<T | null>({ anyOf: [schema, { type: 'null' }] });

const schoolFields = Object.fromEntries(
  SCHOOLS.map(({ name, choices }) => [name, { type: 'string', enum: choices.map(({ id }) => id) }]),
) as Record<SchoolName, object>;

/** How things are done: all of a shop's schools. */
const SchoolsChoice = Type.Unsafe<Schools>({
  type: 'object',
  additionalProperties: false,
  required: SCHOOLS.map(({ name }) => name),
  properties: schoolFields,
});
/** Those that differ for one job. */
export const SomeSchools = Type.Unsafe<Partial<Schools>>({
  type: 'object',
  additionalProperties: false,
  properties: schoolFields,
});

const Station = OneOf(...STATIONS.map(({ id }) => id));
const Slot = OneOf(...SLOTS.map(({ id }) => id));
const StepIds = Type.Array(Text(40), { maxItems: 20, uniqueItems: true });

const ShopStepsRequest = Type.Object(
  {
    edits: Type.Array(
      Type.Object(
        {
          id: Text(40),
          off: Type.Optional(Type.Boolean()),
          title: Type.Optional(Text(80)),
          say: Type.Optional(Text(600)),
          tool: Type.Optional(Text(80)),
          minutes: Type.Optional(Type.Number()),
          station: Type.Optional(Station),
          needs: Type.Optional(StepIds),
        },
        strict,
      ),
      { maxItems: 100 },
    ),
    own: Type.Array(
      Type.Object(
        {
          id: Text(40),
          title: Text(80),
          say: Text(600),
          station: Station,
          archer: Type.Boolean(),
          tool: Text(80),
          minutes: Type.Number(),
          needs: StepIds,
          before: StepIds,
          slot: NullOr<SlotId>(Slot),
          dependsOn: Type.Array(Type.Unsafe<SetupKey>({ type: 'string', maxLength: 60 }), {
            maxItems: 20,
          }),
        },
        strict,
      ),
      { maxItems: 40 },
    ),
    uses: Type.Optional(
      Type.Array(
        Type.Object(
          {
            stepId: Text(40),
            partId: Text(80),
            lasts: Type.Integer({ minimum: 1, maximum: 1000 }),
          },
          strict,
        ),
        { maxItems: 60 },
      ),
    ),
  },
  strict,
);

const Shift = Type.Object(
  {
    from: Type.Integer({ minimum: 0, maximum: 1439 }),
    to: Type.Integer({ minimum: 1, maximum: 1440 }),
  },
  strict,
);
const Week = Type.Unsafe<WeekHours>({
  type: 'array',
  minItems: 7,
  maxItems: 7,
  items: { anyOf: [Shift, { type: 'null' }] },
});
const ClosedDay = Type.Object(
  { day: Type.String({ format: 'date', pattern: '^20' }), name: Text(80) },
  strict,
);

/** Units a shop writes in. */
export const Units = Type.Object(
  {
    length: OneOf('in16', 'in32', 'mm'),
    force: OneOf('lb', 'N'),
    mass: OneOf('gr', 'g'),
    speed: OneOf('fps', 'm/s'),
    distance: OneOf('m', 'yd'),
  },
  strict,
);

export const ShopRequest = Type.Object(
  {
    name: Name(80),
    address: Text(200),
    phone: Text(40),
    timeZone: Text(60),
    loopCounts: Type.Boolean(),
    schools: SchoolsChoice,
    steps: ShopStepsRequest,
    stations: Type.Object(
      Object.fromEntries(
        STATIONS.map(({ id }) => [id, Type.Integer({ minimum: 1, maximum: 9 })]),
      ) as Record<StationId, TInteger>,
      strict,
    ),
    /** By name; Monday to Sunday, minutes since midnight. */
    hours: Type.Record(Type.String({ maxLength: 60 }), Week),
    closed: Type.Array(ClosedDay, { maxItems: 400 }),
    /** Minutes without a touch after which a tablet locks itself. */
    lockAfterMin: Type.Integer({ minimum: 1, maximum: 240 }),
    persons: Type.Object(
      {
        adultFromYears: Type.Integer({ minimum: 14, maximum: 25 }),
        keepYears: NullOr<number>({ type: 'integer', minimum: 1, maximum: 50 }),
      },
      strict,
    ),
    kit: Type.Object(
      {
        thirdAxisPastM: Type.Unsafe<Metre>({ type: 'number', minimum: 10, maximum: 150 }),
        overhangMm: Type.Unsafe<Mm>({ type: 'number', minimum: 5, maximum: 100 }),
        usualFrontBarMm: Type.Unsafe<Mm>({ type: 'number', minimum: 50, maximum: 1000 }),
        usualRearBarMm: Type.Unsafe<Mm>({ type: 'number', minimum: 50, maximum: 1000 }),
        weights: Type.Unsafe<Partial<Record<SlotId, number>>>({
          type: 'object',
          propertyNames: { enum: SLOTS.map(({ id }) => id) },
          additionalProperties: { type: 'number', minimum: 0, maximum: MOST_WEIGHT },
        }),
      },
      strict,
    ),
    quote: Type.Object(
      {
        taxPct: Type.Number({ minimum: 0, maximum: 50 }),
        depositPct: Type.Number({ minimum: 0, maximum: 100 }),
        validDays: Type.Integer({ minimum: 1, maximum: 180 }),
        hourCents: Type.Integer({ minimum: 0, maximum: 50_000 }),
      },
      strict,
    ),
    units: Units,
  },
  strict,
);

/** Some of the settings, with what stood there when the screen was opened: what others changed since stays. */
export const ShopChange = Type.Partial(
  Type.Object(
    {
      ...ShopRequest.properties,
      seen: Type.Partial(Type.Object(ShopRequest.properties, strict), strict),
    },
    strict,
  ),
  strict,
);
