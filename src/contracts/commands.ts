import { Name } from './name';
import { Type, type Static } from '@sinclair/typebox';
import { SLOTS } from '@/core/kit';
import { STAGES } from '@/core/setup';
import type { Mm } from '@/core/units';
import { command, LANE_COMMANDS, NullOr, OneOf, strict, Text } from './lane-commands';
import { SomeSchools } from './shop';
import { DELIVERY_COMMANDS, Signature } from './delivery-commands';
import { ELSEWHERE_COMMANDS } from './elsewhere-commands';
import { PHOTO_COMMANDS } from './photo-commands';
import { STEADY_COMMANDS } from './steady-commands';
import { Waited } from './waited';

/** A shop plans in this century; another year is a slip of the finger. */
const Day = { type: 'string', format: 'date', pattern: '^20' };
/** Of a row the shop has: never empty, or the first row without one would be everybody’s. */
const Id = Type.String({ minLength: 1, maxLength: 60, pattern: '\\S' });
const Instant = { type: 'string', format: 'date-time', pattern: '^20' };

/** What is asked of an archer; every field is sent only when it is answered or changed. */
const ArcherAnswers = Type.Object(
  {
    name: Name(120),
    phone: Text(60),
    email: Text(120),
    minor: Type.Boolean(),
    guardianName: Text(120),
    guardianPhone: Text(60),
    hand: OneOf('right', 'left'),
    dominantEye: OneOf('right', 'left', 'unsure'),
    ageBand: OneOf('under12', '12to15', '16to59', 'from60'),
    build: OneOf('slight', 'medium', 'strong'),
    experience: OneOf('none', 'some', 'returning', 'regular'),
    birthDay: NullOr<string>({ type: 'string', format: 'date', pattern: '^(19|20)' }),
    injured: OneOf('unknown', 'no', 'yes', 'healed'),
    injury: Text(300),
    eyesight: Text(300),
    release: OneOf('thumb', 'index', 'backTension', 'unknown'),
    wall: OneOf('firm', 'soft', 'either', 'unknown'),
    eyeHandling: OneOf('open', 'otherHand', 'closeEye', 'cover', 'train'),
  },
  strict,
);

const JobAnswers = Type.Object(
  {
    purpose: OneOf('target', 'field', 'threeD', 'hunting'),
    loopCounts: NullOr<boolean>({ type: 'boolean' }),
    schools: SomeSchools,
    /** As the archer states it; read and kept, never judged. */
    legalMinimumN: NullOr<number>({ type: 'number', minimum: 20, maximum: 600 }),
    legalPlace: Text(120),
    asked: Type.Array(Text(30), { maxItems: 30, uniqueItems: true }),
    skipped: Type.Array(Text(30), { maxItems: 30, uniqueItems: true }),
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

const Slot = OneOf(...SLOTS.map(({ id }) => id));
const OrderState = OneOf('toOrder', 'ordered', 'arrived');
/** What becomes of an order under way when what it was for is given up; without it that is asked. */
const OrderFate = Type.Optional(OneOf('keep', 'calledOff'));

const ArrowBuild = Type.Object(
  {
    name: Type.String({ minLength: 1, maxLength: 40 }),
    shaftId: Text(60),
    nockId: Text(60),
    vaneId: Text(60),
    vaneCount: Type.Integer({ minimum: 2, maximum: 6 }),
    insertId: Text(60),
    pointId: Text(60),
    lengthMm: Type.Unsafe<Mm>({ type: 'number', minimum: 350, maximum: 900 }),
    count: Type.Integer({ minimum: 1, maximum: 144 }),
  },
  strict,
);

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

/** A bar the archer owns and no catalogue knows. */
const OwnBar = Type.Object(
  {
    side: OneOf('front', 'rear'),
    name: Name(60),
    lengthMm: Type.Number({ minimum: 40, maximum: 1200 }),
    massG: Type.Number({ minimum: 10, maximum: 1500 }),
  },
  strict,
);

export const Command = Type.Union([
  command('setAnswers', {
    archer: Type.Optional(Type.Partial(ArcherAnswers, strict)),
    job: Type.Optional(Type.Partial(JobAnswers, strict)),
    /** The archer’s answers as the screen showed them: another job may have changed them meanwhile. */
    seen: Type.Optional(Type.Partial(ArcherAnswers, strict)),
  }),
  command('takeReadings', {
    readings: Type.Array(ReadingEntry, { minItems: 1, maxItems: 10 }),
    /** Readings of the same value said to be wrong: left out by the one that comes now. */
    instead: Type.Optional(Type.Array(Type.Number({ minimum: 1 }), { maxItems: 10 })),
  }),
  ...LANE_COMMANDS,
  ...STEADY_COMMANDS,
  ...PHOTO_COMMANDS,
  ...DELIVERY_COMMANDS,
  ...ELSEWHERE_COMMANDS,
  command('startDrawOff', {
    bowIds: Type.Array(Id, { minItems: 2, maxItems: 5, uniqueItems: true }),
  }),
  command('markDrawOff', {
    aspect: OneOf('grip', 'draw', 'wall', 'quiet', 'hold'),
    first: Id,
    second: Id,
    /** Null for alike. */
    better: NullOr<string>({ type: 'string', minLength: 1, maxLength: 60 }),
  }),
  command('setDrawOff', { speedCounts: Type.Boolean() }),
  command('endDrawOff', {}),
  command('keepCurve', {
    source: OneOf('device', 'file'),
    /** What is odd about it was asked about, and it counts all the same. */
    sure: Type.Optional(Type.Boolean()),
    points: Type.Array(Type.Object({ drawnMm: Type.Number(), forceN: Type.Number() }, strict), {
      minItems: 1,
      maxItems: 5000,
    }),
  }),
  command('chooseBow', {
    bowId: NullOr<string>({ type: 'string', minLength: 1, maxLength: 60 }),
    /** Asked for when the bow does not cover the fit. */
    reason: Type.Optional(Text(200)),
    /** One of the single bows; absent or null takes a new one as they stand there. */
    serial: Type.Optional(NullOr<string>({ type: 'string', minLength: 1, maxLength: 60 })),
    /** The screen showed it as standing in the shop: taken by somebody else meanwhile, it is refused. */
    fromStock: Type.Optional(Type.Boolean()),
    ordered: OrderFate,
  }),
  command('orderBow', { state: OrderState }),
  /** The bow this one is made like. */
  command('setModel', {
    from: Type.Union([
      Type.Object(
        {
          kind: Type.Literal('sheet'),
          jobId: Id,
          /** The newest where it is left out. */
          revision: Type.Optional(Type.Integer({ minimum: 1, maximum: 999_999 })),
        },
        strict,
      ),
      /** A build sheet as it was handed in; looked at as a sheet by the command. */
      Type.Object({ kind: Type.Literal('file'), sheet: Type.Unknown() }, strict),
      Type.Object(
        { kind: Type.Literal('code'), text: Type.String({ minLength: 1, maxLength: 4000 }) },
        strict,
      ),
      Type.Object({ kind: Type.Literal('oldBow') }, strict),
      Type.Object({ kind: Type.Literal('none') }, strict),
    ]),
  }),
  command('setGoal', {
    goal: OneOf('moduleStep', 'peakWeight'),
    /** As typed; null goes back to the fit's own. */
    entered: NullOr<string>({ type: 'string', maxLength: 40 }),
    reason: Text(200),
  }),
  command('choosePart', {
    slot: Slot,
    itemId: NullOr<string>({ type: 'string', minLength: 1, maxLength: 60 }),
    owned: Type.Boolean(),
    /** Name of an own part the catalogue does not know. */
    label: Text(80),
    /** The screen showed it as lying in the shop: taken by somebody else meanwhile, it is refused. */
    fromStock: Type.Optional(Type.Boolean()),
    ordered: OrderFate,
  }),
  command('choosePackage', {
    /** Ids of the catalogue, at most one a slot; other slots stay as they are. */
    itemIds: Type.Array(Text(60), { minItems: 1, maxItems: 20, uniqueItems: true }),
    /** Those of them the screen showed as lying in the shop. */
    fromStock: Type.Optional(Type.Array(Text(60), { maxItems: 20 })),
    ordered: OrderFate,
  }),
  command('setArrows', {
    builds: Type.Optional(Type.Array(ArrowBuild, { maxItems: 4 })),
    massesG: Type.Optional(Type.Array(Type.Number({ minimum: 3, maximum: 80 }), { maxItems: 144 })),
    restAheadMm: Type.Optional(Type.Number({ minimum: -60, maximum: 40 })),
  }),
  /** A ticket came to nothing, or goes on after all. */
  command('closeTicket', { reason: Text(200), ordered: OrderFate }),
  command('reopenTicket', {}),
  command('takeArrows', { build: Type.Integer({ minimum: 0, maximum: 3 }), ordered: OrderFate }),
  command('orderPart', { slot: Slot, state: OrderState }),
  command('giveQuote', {}),
  command('setKitWishes', {
    wishes: Type.Partial(
      Type.Object(
        {
          without: Type.Array(Text(60), { maxItems: 100, uniqueItems: true }),
          extra: Type.Array(Slot, { maxItems: 20, uniqueItems: true }),
          massLimitG: NullOr<number>({ type: 'number', minimum: 500, maximum: 10_000 }),
          barLimitMm: NullOr<number>({ type: 'number', minimum: 100, maximum: 1500 }),
          ownBars: Type.Array(OwnBar, { maxItems: 6 }),
        },
        strict,
      ),
      strict,
    ),
  }),
  command('signStep', {
    stepId: Text(40),
    reason: Type.String({ minLength: 3, maxLength: 200, pattern: '\\S' }),
  }),
  command('acknowledge', { cautionId: Text(40), yes: Type.Boolean() }),
  command('handOver', {
    openReason: Text(300),
    /** As drawn on the screen; absent or null where it is signed on paper. */
    signature: Type.Optional(Signature),
    /** On a visit: cautions told again, by id. */
    toldAgain: Type.Optional(Type.Array(Text(40), { maxItems: 20 })),
  }),
  /** The bow came back, or it was signed too early: the job is open again, its sheets stay. */
  command('takeBackHandover', { reason: Text(300) }),
  /** The newest entry, or the one named. */
  command('undo', { event: Type.Optional(Type.Integer({ minimum: 1 })) }),
  command('redo', { event: Type.Optional(Type.Integer({ minimum: 1 })) }),
  /** Values looked at again and found as they were. */
  command('confirmReadings', {
    keys: Type.Array(Text(60), { minItems: 1, maxItems: 20, uniqueItems: true }),
  }),
]);
export type Command = Static<typeof Command>;

const Key = Type.String({ minLength: 8, maxLength: 60 });

/** Who makes the entry and where; put in by the server, never sent. */
const made = { who: Name(60), tablet: Type.Optional(Type.String({ maxLength: 60 })) };

export const CommandRequest = Type.Object(
  {
    ...made,
    version: Type.Integer({ minimum: 1 }),
    /** The stage on the screen as it was entered. */
    stage: Type.Optional(OneOf(...STAGES.map(({ id }) => id))),
    /** Of this one entry: sent a second time, after a break, it counts once. */
    key: Type.Optional(Key),
    /** Of an entry sent later than it was made; then `version` is not looked at. */
    waited: Type.Optional(Waited),
    command: Command,
  },
  strict,
);
export type CommandRequest = Static<typeof CommandRequest>;

export const NewJobRequest = Type.Object(
  {
    ...made,
    /** An archer who has been here before. */
    archerId: Type.Optional(Id),
    archer: Type.Partial(ArcherAnswers, strict),
    job: Type.Partial(JobAnswers, strict),
    /** Of this one wish: sent a second time, after a break, it opens one job. */
    key: Type.Optional(Key),
  },
  strict,
);
export type NewJobRequest = Static<typeof NewJobRequest>;
