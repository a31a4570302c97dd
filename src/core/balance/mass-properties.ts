import { gram, kgMm2, mm, newtonMm, STANDARD_GRAVITY } from '../units';
import type { MassPart, MassProperties, Place } from './types';

const AXES = ['forwardMm', 'upMm', 'rightMm'] as const;
type Axis = (typeof AXES)[number];

const ends = (part: MassPart): readonly [Place, Place] =>
  'at' in part ? [part.at, part.at] : [part.from, part.to];

/** Mean of the coordinate, and of its square, along a part: exact for a point and for a uniform rod. */
const meanOf = (part: MassPart, axis: Axis): number => {
  const [a, b] = ends(part);
  return (a[axis] + b[axis]) / 2;
};
const meanSquareOf = (part: MassPart, axis: Axis): number => {
  const [from, to] = ends(part);
  const [a, b] = [from[axis], to[axis]];
  return (a * a + a * b + b * b) / 3;
};

/**
 * Mass, centre, torques and moments of inertia about the throat of the grip of parts that are points or
 * uniform rods (docs/models.md section 9; rigid-body mechanics: Goldstein, *Classical Mechanics*, ch. 5).
 * All of it adds up, so a bow is its bare bow plus its parts.
 *
 * @param parts one or more, each of more than 0 g.
 */
export function massProperties(parts: readonly MassPart[]): MassProperties {
  const sum = (of: (part: MassPart) => number) =>
    parts.reduce((total, part) => total + part.massG * of(part), 0);
  const massG = parts.reduce((total, part) => total + part.massG, 0);
  const moment = (axis: Axis) => sum((part) => meanOf(part, axis));
  const square = (axis: Axis) => sum((part) => meanSquareOf(part, axis)) / 1000;
  const [forward, up, right] = AXES.map(square) as [number, number, number];
  const torque = (axis: Axis) => newtonMm((STANDARD_GRAVITY * moment(axis)) / 1000);
  return {
    massG: gram(massG),
    centre: {
      forwardMm: mm(moment('forwardMm') / massG),
      upMm: mm(moment('upMm') / massG),
      rightMm: mm(moment('rightMm') / massG),
    },
    rollTorqueNmm: torque('rightMm'),
    pitchTorqueNmm: torque('forwardMm'),
    yawInertiaKgMm2: kgMm2(forward + right),
    pitchInertiaKgMm2: kgMm2(forward + up),
    rollInertiaKgMm2: kgMm2(up + right),
  };
}
