import { Type } from '@sinclair/typebox';
import { command, NullOr, OneOf, strict, Text } from './lane-commands';

const Id = Type.String({ minLength: 1, maxLength: 80 });
const Angle = Type.Number({ minimum: 0, maximum: 90 });

/** A bar as it is to stand: everything by its place or name, so that the server looks up what it weighs. */
const MountBar = Type.Object(
  {
    /** Place of its thread among those of the bow. */
    thread: Type.Integer({ minimum: 0, maximum: 9 }),
    barId: Id,
    mountId: NullOr<string>({ type: 'string', minLength: 1, maxLength: 80 }),
    downDeg: Angle,
    sideDeg: Angle,
    slideMm: Type.Number({ minimum: 0, maximum: 150 }),
    discId: NullOr<string>({ type: 'string', minLength: 1, maxLength: 80 }),
    discs: Type.Integer({ minimum: 0, maximum: 20 }),
  },
  strict,
);

/** A minute at two hundred samples a second. */
const Numbers = (minimum: number, maximum: number) =>
  Type.Array(Type.Number({ minimum, maximum }), { maxItems: 12_000 });

const How = OneOf('slight', 'clear');
const Quiver = OneOf('off', 'empty', 'full');

/** What is done on the stage Steady; numbers are sent as typed. */
export const STEADY_COMMANDS = [
  command('mountBars', {
    front: Type.Union([MountBar, Type.Null()]),
    rear: Type.Union([MountBar, Type.Null()]),
  }),
  command('takeReaction', {
    tip: OneOf('left', 'right', 'stays'),
    tipHow: How,
    pitch: OneOf('forward', 'back', 'stays'),
    pitchHow: How,
    /** Whether it was shot with the bars as they are noted, or with none. */
    bars: Type.Boolean(),
    quiver: Quiver,
  }),
  /** A shot as a sensor saw it, from its first sample on. */
  command('keepAim', {
    topic: Text(20),
    way: Text(20),
    device: NullOr<string>({ type: 'string', maxLength: 60 }),
    /** Null where the sensor did not tell. */
    releaseS: NullOr<number>({ type: 'number', minimum: 0, maximum: 300 }),
    samples: Type.Object(
      { t: Numbers(0, 300), r: Numbers(-1000, 1000), u: Numbers(-1000, 1000) },
      strict,
    ),
  }),
  /** Empty takes it in again. */
  command('leaveOutAim', { id: Type.Integer({ minimum: 1 }), reason: Text(200) }),
  command('takeHang', {
    point: OneOf('hangAxle', 'hangThread', 'hangThird', 'hangBehind'),
    lean: Text(40),
    /** Of a third point, from the throat of the grip. */
    forward: Type.Optional(Text(40)),
    up: Type.Optional(Text(40)),
    /** Whether the bow hung with nothing on it, or as it stands. */
    bare: Type.Boolean(),
    quiver: Quiver,
  }),
] as const;
