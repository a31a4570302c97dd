import { Type } from '@sinclair/typebox';
import type { CamSystem, QuiverMount, RestMount, SightMount } from '@/core/bow';
import { CAME_AS, LOOKS } from '@/core/job';
import { command, OneOf, strict, Text } from './lane-commands';
import { Name } from './name';

/** As typed; empty is “cannot be told”, where that may be. */
const Typed = Text(40);
const Mounts = <T extends string>(...names: T[]) =>
  Type.Array(OneOf(...names), { maxItems: names.length, uniqueItems: true });

/** A bow that stands in no list, as it was told and measured at rest. */
const Told = Type.Object(
  {
    kind: Type.Literal('told'),
    maker: Name(60),
    model: Name(60),
    hand: OneOf('right', 'left'),
    camSystem: OneOf<CamSystem>('single', 'hybrid', 'camAndAHalf', 'twoCam'),
    shortest: Typed,
    longest: Typed,
    step: OneOf('quarter', 'half', 'whole'),
    bothCams: Type.Boolean(),
    heaviest: Typed,
    lightest: Typed,
    maxTurns: Typed,
    letOff: Typed,
    brace: Typed,
    axles: Typed,
    mass: Typed,
    ratedSpeed: Typed,
    restMounts: Mounts<RestMount>('plungerBolt', 'dovetail'),
    sightMounts: Mounts<SightMount>('sidePlate', 'frontRail'),
    quiverMounts: Mounts<QuiverMount>('riser', 'sight'),
  },
  strict,
);

/** What is done with a bow that was not bought here. */
export const ELSEWHERE_COMMANDS = [
  command('bringBow', {
    came: OneOf(...CAME_AS.map(({ id }) => id)),
    bow: Type.Union([
      Type.Object(
        {
          kind: Type.Literal('listed'),
          bowId: Type.String({ minLength: 1, maxLength: 60, pattern: '\\S' }),
        },
        strict,
      ),
      Told,
    ]),
  }),
  /** What was told of it is corrected, or told at last: the look and the readings stay. */
  command('retellBow', { bow: Told }),
  command('noteLook', {
    place: OneOf(...LOOKS.map(({ id }) => id)),
    seen: OneOf('sound', 'unsound', 'unseen'),
    words: Text(200),
  }),
  /** Steps that are not wanted of the shop, by id. */
  command('chooseService', {
    leftOut: Type.Array(Text(40), { maxItems: 100, uniqueItems: true }),
  }),
] as const;
