import { degree, gram, mm, type Degree, type Gram, type Mm } from '../units';
import { massProperties } from './mass-properties';
import type { Place } from './types';

/** A thread or slot a bar can stand in, and the angles it holds it at. */
export interface BarPlace {
  readonly id: string;
  readonly at: Place;
  /** Of what holds the bar there, in that place; nothing for a thread of the riser. */
  readonly massG?: Gram;
  /** Below the horizontal. */
  readonly downDeg: readonly Degree[];
  /** Away from the bow’s plane; a front bar has none. */
  readonly sideDeg?: readonly Degree[];
  /** Bars its thread takes; every one where left out. */
  readonly takes?: readonly string[];
}

/** An end weight, up to so many of it on one bar. */
export interface WeightStock {
  readonly id: string;
  readonly massG: Gram;
  readonly most: number;
}

interface BarStock {
  readonly id: string;
  readonly lengthMm: Mm;
  readonly massG: Gram;
  /** End weights its thread takes; those of its side where left out. */
  readonly weights?: readonly WeightStock[];
}

export interface SideStock {
  readonly mounts: readonly BarPlace[];
  readonly bars: readonly BarStock[];
  /** One kind on a bar. */
  readonly weights: readonly WeightStock[];
}

/** A bar as it is mounted; `weight` null where it carries none. */
export interface MountedBar {
  readonly mount: string;
  readonly bar: string;
  readonly downDeg: Degree;
  readonly sideDeg?: Degree;
  readonly weight: string | null;
  readonly count: number;
}

/** One way to fill a side, with what it adds to the bow. */
export interface SideOption {
  /** Null for the side left empty. */
  readonly bar: MountedBar | null;
  readonly massG: number;
  readonly roll: number;
  readonly pitch: number;
  readonly yaw: number;
  readonly pitchInertia: number;
  /** Yaw and pitch inertia together. */
  readonly inertia: number;
}

const EMPTY: SideOption = {
  bar: null,
  massG: 0,
  roll: 0,
  pitch: 0,
  yaw: 0,
  pitchInertia: 0,
  inertia: 0,
};

/** More ways than these are not made. */
const MOST = 200_000;
const radians = (degrees: number) => (degrees * Math.PI) / 180;

/**
 * Where a bar points: a front bar (cos d, −sin d, 0), a rear bar (−cos d·cos s, −sin d, ∓cos d·sin s), to the
 * left on a right-handed bow.
 *
 * @param hand of the bow for a rear bar; null for a front bar.
 */
export function barDirection(
  downDeg: number,
  sideDeg: number,
  hand: 'right' | 'left' | null,
): Place {
  const [down, side] = [radians(downDeg), radians(sideDeg)];
  if (hand === null)
    return { forwardMm: mm(Math.cos(down)), upMm: mm(-Math.sin(down)), rightMm: mm(0) };
  const across = Math.cos(down) * Math.sin(side);
  return {
    forwardMm: mm(-Math.cos(down) * Math.cos(side)),
    upMm: mm(-Math.sin(down)),
    rightMm: mm(hand === 'right' ? -across : across),
  };
}

/** The end of a bar that begins at a place and points in a direction. */
export const barEnd = (at: Place, direction: Place, lengthMm: number): Place => ({
  forwardMm: mm(at.forwardMm + direction.forwardMm * lengthMm),
  upMm: mm(at.upMm + direction.upMm * lengthMm),
  rightMm: mm(at.rightMm + direction.rightMm * lengthMm),
});

/** Every number of every end weight, none first. */
const loadsOf = (weights: readonly WeightStock[]) => [
  { id: null, massG: 0, count: 0 },
  ...weights.flatMap(({ id, massG, most }) =>
    Array.from({ length: most }, (_, i) => ({ id, massG: massG * (i + 1), count: i + 1 })),
  ),
];

/**
 * Every way to fill a side, the empty one first.
 *
 * @returns null where there are more than 200,000.
 */
export function optionsOf(side: SideStock, hand: 'right' | 'left' | null): SideOption[] | null {
  const ways = side.mounts.reduce(
    (sum, { downDeg, sideDeg }) => sum + downDeg.length * (sideDeg?.length ?? 1),
    0,
  );
  const bars = side.bars.map((bar) => ({ ...bar, loads: loadsOf(bar.weights ?? side.weights) }));
  if (ways * bars.reduce((sum, { loads }) => sum + loads.length, 0) >= MOST) return null;
  const options: SideOption[] = [EMPTY];
  for (const mount of side.mounts)
    for (const downDeg of mount.downDeg)
      for (const sideDeg of hand === null ? [degree(0)] : (mount.sideDeg ?? [degree(0)])) {
        const direction = barDirection(downDeg, sideDeg, hand);
        for (const bar of bars) {
          if (mount.takes && !mount.takes.includes(bar.id)) continue;
          const end = barEnd(mount.at, direction, bar.lengthMm);
          const held = mount.massG ?? 0;
          const rod = massProperties([
            { name: bar.id, massG: bar.massG, from: mount.at, to: end },
            ...(held > 0 ? [{ name: mount.id, massG: gram(held), at: mount.at }] : []),
          ]);
          // A gram at the end of the bar: end weights are so many of it.
          const tip = massProperties([{ name: 'weights', massG: gram(1), at: end }]);
          for (const load of bar.loads) {
            const yaw = rod.yawInertiaKgMm2 + load.massG * tip.yawInertiaKgMm2;
            const pitchInertia = rod.pitchInertiaKgMm2 + load.massG * tip.pitchInertiaKgMm2;
            options.push({
              bar: {
                mount: mount.id,
                bar: bar.id,
                downDeg,
                ...(hand === null ? {} : { sideDeg }),
                weight: load.id,
                count: load.count,
              },
              massG: bar.massG + held + load.massG,
              roll: rod.rollTorqueNmm + load.massG * tip.rollTorqueNmm,
              pitch: rod.pitchTorqueNmm + load.massG * tip.pitchTorqueNmm,
              yaw,
              pitchInertia,
              inertia: yaw + pitchInertia,
            });
          }
        }
      }
  return options;
}
