import { Type } from '@sinclair/typebox';

export const strict = { additionalProperties: false } as const;
export const OneOf = <T extends string>(...names: T[]) =>
  Type.Unsafe<T>({ type: 'string', enum: names });
export const Text = (maxLength: number) => Type.String({ maxLength });
export const NullOr = <T>(schema: object) =>
  Type.Unsafe<T | null>({ anyOf: [schema, { type: 'null' }] });

export const command = <N extends string, P extends Parameters<typeof Type.Object>[0]>(
  name: N,
  fields: P,
) => Type.Object({ name: Type.Literal(name), ...fields }, strict);

const Mm = Type.Number({ minimum: -3000, maximum: 3000 });
const Hits = (minItems: number) =>
  Type.Array(Type.Object({ rightMm: Mm, upMm: Mm }, strict), { minItems, maxItems: 60 });
const Reason = Type.String({ minLength: 3, maxLength: 200, pattern: '\\S' });

/** What is done on the lane; numbers are sent as typed, taps as millimetres. */
export const LANE_COMMANDS = [
  /** A tear, with how far the paper hung. */
  command('takeTear', { right: Text(40), up: Text(40), distance: Text(40) }),
  command('movePaper', {
    adjustment: OneOf('restSideways', 'restHeight', 'nockHeight', 'camShim', 'cableGuard'),
    amount: Type.Number({ minimum: -10, maximum: 10 }),
  }),
  command('takeBareShaft', { distance: Text(40), right: Text(40), up: Text(40) }),
  command('takeWalkBack', {
    hits: Type.Array(Type.Object({ distance: Text(40), right: Text(40) }, strict), {
      minItems: 3,
      maxItems: 40,
    }),
  }),
  command('takeSpeeds', {
    /** Another arrow's mass as typed; left out for the job's own. */
    arrow: Type.Optional(Text(40)),
    shots: Type.Array(
      Type.Object(
        {
          entered: Text(40),
          device: NullOr<string>({ type: 'string', maxLength: 60 }),
          discarded: NullOr<string>(Reason),
        },
        strict,
      ),
      { minItems: 1, maxItems: 40 },
    ),
  }),
  command('takeGroup', {
    distance: Text(40),
    hits: Hits(1),
    /** Where the pin stood below the first distance's place; left out at the first distance. */
    pinDrop: Type.Optional(Text(40)),
    /** Off the aim: the mark is taken where the pin would have to stand. */
    corrected: Type.Optional(Type.Boolean()),
  }),
  command('takeMark', {
    distance: Text(40),
    /** Pin below the first distance's place, as typed. */
    drop: Type.Optional(Text(40)),
    /** Or what the tape reads there, and the speed it was made for. */
    scale: Type.Optional(Text(40)),
    tapeSpeed: Type.Optional(Text(40)),
  }),
  /** By where it stands: one sent later than it was taken stands between two whole numbers. */
  command('discardReading', { seq: Type.Number({ minimum: 1 }), reason: Reason }),
  /** A reading left out counts again. */
  command('takeIn', { seq: Type.Integer({ minimum: 1 }) }),
] as const;
