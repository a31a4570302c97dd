import { Type, type Static } from '@sinclair/typebox';

const strict = { additionalProperties: false } as const;
const OneOf = <T extends string>(...names: T[]) => Type.Unsafe<T>({ type: 'string', enum: names });
const Text = (maxLength: number) => Type.String({ maxLength });
const NullOr = <T>(schema: object) => Type.Unsafe<T | null>({ anyOf: [schema, { type: 'null' }] });
/** A shop plans in this century; another year is a slip of the finger. */
const Day = { type: 'string', format: 'date', pattern: '^20' };
const Instant = { type: 'string', format: 'date-time', pattern: '^20' };

/** What is asked of an archer; every field is sent only when it is answered or changed. */
export const ArcherAnswers = Type.Object(
  {
    name: Type.String({ minLength: 1, maxLength: 120, pattern: '\\S' }),
    phone: Text(60),
    email: Text(120),
    minor: Type.Boolean(),
    guardianName: Text(120),
    guardianPhone: Text(60),
    hand: OneOf('right', 'left'),
    dominantEye: OneOf('right', 'left', 'unsure'),
    ageBand: OneOf('under12', '12to15', '16to59', 'from60'),
    build: OneOf('slight', 'medium', 'strong'),
    experience: OneOf('none', 'some', 'regular'),
    injury: Text(300),
    eyesight: Text(300),
  },
  strict,
);

export const JobAnswers = Type.Object(
  {
    purpose: OneOf('target', 'field', 'threeD', 'hunting'),
    loopCounts: NullOr<boolean>({ type: 'boolean' }),
    furthestM: NullOr<number>({ type: 'number', minimum: 5, maximum: 150 }),
    lowLight: Type.Boolean(),
    electronicsForbidden: Type.Boolean(),
    budgetCents: NullOr<number>({ type: 'integer', minimum: 0, maximum: 10_000_000 }),
    promisedDay: NullOr<string>(Day),
    appointmentAt: NullOr<string>(Instant),
    alreadyOwn: Text(500),
    notes: Text(1000),
  },
  strict,
);

const Slot = OneOf('rest', 'sight', 'peep', 'loop', 'arrows', 'release', 'quiver', 'stabiliser');

const command = <N extends string, P extends Parameters<typeof Type.Object>[0]>(
  name: N,
  fields: P,
) => Type.Object({ name: Type.Literal(name), ...fields }, strict);

const ReadingEntry = Type.Object(
  {
    key: Text(40),
    /** As typed; the server reads it with the same code as the field. */
    entered: Text(40),
    /** Second number as typed: turns of a weighing, `up` of a tear. */
    entered2: Type.Optional(Text(40)),
    choice: Type.Optional(Text(40)),
    method: Type.Optional(Text(60)),
  },
  strict,
);

export const Command = Type.Union([
  command('setAnswers', {
    archer: Type.Optional(Type.Partial(ArcherAnswers, strict)),
    job: Type.Optional(Type.Partial(JobAnswers, strict)),
  }),
  command('takeReadings', { readings: Type.Array(ReadingEntry, { minItems: 1, maxItems: 10 }) }),
  command('takeGroup', {
    distance: Text(40),
    hits: Type.Array(
      Type.Object(
        {
          rightMm: Type.Number({ minimum: -3000, maximum: 3000 }),
          upMm: Type.Number({ minimum: -3000, maximum: 3000 }),
        },
        strict,
      ),
      { minItems: 1, maxItems: 60 },
    ),
  }),
  command('chooseBow', {
    bowId: NullOr<string>({ type: 'string', maxLength: 60 }),
    /** Asked for when the bow does not cover the fit. */
    reason: Type.Optional(Text(200)),
  }),
  command('setGoal', {
    goal: OneOf('moduleStep', 'peakWeight'),
    /** As typed; null goes back to the fit's own. */
    entered: NullOr<string>({ type: 'string', maxLength: 40 }),
    reason: Text(200),
  }),
  command('choosePart', {
    slot: Slot,
    itemId: NullOr<string>({ type: 'string', maxLength: 60 }),
    owned: Type.Boolean(),
    /** Name of an own part the catalogue does not know. */
    label: Text(80),
  }),
  command('signStep', {
    stepId: Text(40),
    reason: Type.String({ minLength: 3, maxLength: 200, pattern: '\\S' }),
  }),
  command('acknowledge', { cautionId: Text(40), yes: Type.Boolean() }),
  command('handOver', { openReason: Text(300) }),
  command('undo', {}),
]);
export type Command = Static<typeof Command>;

export const CommandRequest = Type.Object(
  {
    version: Type.Integer({ minimum: 1 }),
    who: Type.String({ minLength: 1, maxLength: 60 }),
    command: Command,
  },
  strict,
);
export type CommandRequest = Static<typeof CommandRequest>;

export const NewJobRequest = Type.Object(
  {
    who: Type.String({ minLength: 1, maxLength: 60 }),
    /** An archer who has been here before. */
    archerId: Type.Optional(Text(60)),
    archer: Type.Partial(ArcherAnswers, strict),
    job: Type.Partial(JobAnswers, strict),
  },
  strict,
);
export type NewJobRequest = Static<typeof NewJobRequest>;

export const ShopRequest = Type.Object(
  {
    name: Type.String({ minLength: 1, maxLength: 80, pattern: '\\S' }),
    address: Text(200),
    timeZone: Text(60),
    loopCounts: Type.Boolean(),
    people: Type.Array(Type.String({ minLength: 1, maxLength: 60, pattern: '\\S' }), {
      minItems: 1,
      maxItems: 20,
    }),
    units: Type.Object(
      {
        length: OneOf('in16', 'in32', 'mm'),
        force: OneOf('lb', 'N'),
        mass: OneOf('gr', 'g'),
        speed: OneOf('fps', 'm/s'),
        distance: OneOf('m', 'yd'),
      },
      strict,
    ),
  },
  strict,
);
