import type { PosturePlace, PostureSeen } from '@/core/fit';

export interface Point {
  readonly x: number;
  readonly y: number;
}

/** Where everything of an archer at full draw stands, seen from the chest side, target at the right. */
export interface Pose {
  readonly hip: Point;
  readonly chest: Point;
  readonly bowShoulder: Point;
  readonly drawShoulder: Point;
  readonly bowElbow: Point;
  readonly grip: Point;
  readonly drawElbow: Point;
  readonly anchor: Point;
  readonly head: Point;
  /** Degrees the head is tipped back. */
  readonly tip: number;
}

const at = (x: number, y: number): Point => ({ x, y });

/** Everything as it should be. */
const RIGHT: Pose = {
  hip: at(96, 150),
  chest: at(96, 84),
  bowShoulder: at(117, 79),
  drawShoulder: at(75, 79),
  bowElbow: at(147, 79),
  grip: at(178, 77),
  drawElbow: at(46, 70),
  anchor: at(103, 68),
  head: at(97, 54),
  tip: 0,
};

const moved = (pose: Pose, keys: readonly (keyof Pose)[], dx: number, dy = 0): Pose => {
  const shift = (point: Point) => at(point.x + dx, point.y + dy);
  return {
    ...pose,
    ...Object.fromEntries(keys.map((key) => [key, shift(pose[key] as Point)])),
  };
};

const UPPER = [
  'chest',
  'bowShoulder',
  'drawShoulder',
  'bowElbow',
  'grip',
  'drawElbow',
  'anchor',
  'head',
] as const;

/** What a draw too long or too short does at one place, everything else left right. */
const FAULTS: Readonly<
  Record<PosturePlace, Readonly<Record<Exclude<PostureSeen, 'right'>, (pose: Pose) => Pose>>>
> = {
  bowArm: {
    tooLong: (pose) => ({ ...pose, bowElbow: at(147, 87), grip: at(183, 77) }),
    tooShort: (pose) => ({ ...pose, bowElbow: at(140, 101), grip: at(166, 77) }),
  },
  elbow: {
    tooLong: (pose) => ({ ...pose, drawElbow: at(42, 96) }),
    tooShort: (pose) => ({ ...pose, drawElbow: at(66, 52) }),
  },
  shoulders: {
    tooLong: (pose) => ({ ...pose, bowShoulder: at(116, 66), drawShoulder: at(76, 82) }),
    tooShort: (pose) => ({ ...pose, bowShoulder: at(109, 70), drawShoulder: at(83, 70) }),
  },
  lean: {
    tooLong: (pose) => moved(moved(pose, UPPER, -17, 1), ['hip'], 7),
    tooShort: (pose) => moved(pose, UPPER, 14, 2),
  },
  anchor: {
    tooLong: (pose) => ({ ...pose, anchor: at(86, 66), drawElbow: at(34, 70) }),
    tooShort: (pose) => ({ ...pose, anchor: at(119, 71), drawElbow: at(62, 72) }),
  },
  stringToNose: {
    tooLong: (pose) => ({ ...pose, anchor: at(92, 67) }),
    tooShort: (pose) => ({ ...pose, anchor: at(117, 69) }),
  },
  head: {
    tooLong: (pose) => ({ ...pose, tip: 24, head: at(93, 54) }),
    tooShort: (pose) => ({ ...pose, tip: -10, head: at(109, 57) }),
  },
};

export const poseOf = (place: PosturePlace, seen: PostureSeen): Pose =>
  seen === 'right' ? RIGHT : FAULTS[place][seen](RIGHT);

/** The part of the picture worth seeing for a place: x, y, width, height. */
export const VIEW_OF: Readonly<Record<PosturePlace, readonly [number, number, number, number]>> = {
  bowArm: [54, 30, 148, 96],
  elbow: [14, 26, 148, 96],
  shoulders: [28, 30, 148, 96],
  lean: [-26, 10, 280, 182],
  anchor: [48, 30, 111, 72],
  stringToNose: [48, 30, 111, 72],
  head: [46, 26, 111, 72],
};
