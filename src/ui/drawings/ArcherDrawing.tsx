import type { PosturePlace, PostureSeen } from '@/core/fit';
import { poseOf, VIEW_OF, type Point, type Pose } from './pose';
import css from './ArcherDrawing.module.css';

const path = (...points: readonly Point[]) => `M${points.map(({ x, y }) => `${x} ${y}`).join('L')}`;

/** Which strokes of the figure belong to a place; they are drawn strong. */
const STRONG: Readonly<Record<PosturePlace, readonly Stroke[]>> = {
  bowArm: ['bowArm'],
  elbow: ['drawArm'],
  shoulders: ['shoulders'],
  lean: ['trunk', 'head'],
  anchor: ['hand'],
  stringToNose: ['string'],
  head: ['head'],
};
type Stroke = 'bowArm' | 'drawArm' | 'shoulders' | 'trunk' | 'head' | 'hand' | 'string';

/** An archer at full draw in a few strokes, one place as it is right, too long or too short. */
export function ArcherDrawing({
  place,
  seen,
  mirrored,
}: {
  place: PosturePlace;
  seen: PostureSeen;
  /** A left-handed archer is seen the other way round. */
  mirrored: boolean;
}) {
  const pose = poseOf(place, seen);
  const [x, y, width, height] = VIEW_OF[place];
  const strong = (stroke: Stroke) => (STRONG[place].includes(stroke) ? 'strong' : 'plain');
  return (
    <svg
      className={css.archer}
      data-part="archer"
      viewBox={`${x} ${y} ${width} ${height}`}
      style={mirrored ? { transform: 'scaleX(-1)' } : undefined}
      aria-hidden
    >
      <Ground pose={pose} />
      <path className={css.limb} data-weight={strong('trunk')} d={path(pose.chest, pose.hip)} />
      <Head pose={pose} weight={strong('head')} />
      <path
        className={css.limb}
        data-weight={strong('drawArm')}
        d={path(pose.drawShoulder, pose.drawElbow, pose.anchor)}
      />
      <path
        className={css.limb}
        data-weight={strong('shoulders')}
        d={path(pose.drawShoulder, { x: pose.chest.x, y: pose.chest.y - 4 }, pose.bowShoulder)}
      />
      <path
        className={css.limb}
        data-weight={strong('bowArm')}
        d={path(pose.bowShoulder, pose.bowElbow, pose.grip)}
      />
      <Bow pose={pose} string={strong('string')} />
      <circle
        className={css.hand}
        data-weight={strong('hand')}
        cx={pose.anchor.x}
        cy={pose.anchor.y}
        r={4}
      />
      <circle className={css.hand} data-weight="plain" cx={pose.grip.x} cy={pose.grip.y} r={4} />
    </svg>
  );
}

function Ground({ pose: { hip } }: { pose: Pose }) {
  const feet = [
    { x: 80, y: 188 },
    { x: 114, y: 188 },
  ] as const;
  return (
    <>
      <path className={css.limb} data-weight="plain" d={path(feet[0], hip, feet[1])} />
      {/* Where head, belt and feet would stand over each other. */}
      <path className={css.plumb} d="M97 20V188" />
    </>
  );
}

/** Turned to the target: nose, mouth and jaw to the right. */
function Head({ pose: { head, tip, chest }, weight }: { pose: Pose; weight: string }) {
  return (
    <>
      <path
        className={css.limb}
        data-weight="plain"
        d={path({ x: chest.x, y: chest.y - 4 }, { x: head.x - 2, y: head.y + 10 })}
      />
      <g transform={`rotate(${-tip} ${head.x} ${head.y})`}>
        <path
          className={css.face}
          data-weight={weight}
          d={`M${head.x - 3} ${head.y + 15}c-12 -2 -15 -14 -11 -22c4 -9 19 -11 24 -2c1 3 1 5 1 7l5 6l-5 2l0 6c-1 4 -8 5 -14 3z`}
        />
        <path className={css.mouth} d={`M${head.x + 11} ${head.y + 8}h-5`} />
        <circle className={css.eye} cx={head.x + 6} cy={head.y - 4} r={1.1} />
      </g>
    </>
  );
}

/** Limbs bent by the draw, the string through the anchor, the arrow to the grip. */
function Bow({ pose: { grip, anchor }, string }: { pose: Pose; string: string }) {
  const top = { x: grip.x - 20, y: grip.y - 62 };
  const bottom = { x: grip.x - 20, y: grip.y + 62 };
  return (
    <>
      <path
        className={css.bowLimb}
        d={`M${top.x} ${top.y}C${grip.x + 8} ${grip.y - 50} ${grip.x + 6} ${grip.y - 20} ${grip.x} ${grip.y}C${grip.x + 6} ${grip.y + 20} ${grip.x + 8} ${grip.y + 50} ${bottom.x} ${bottom.y}`}
      />
      <path className={css.bowString} data-weight={string} d={path(top, anchor, bottom)} />
      <path className={css.arrowLine} d={path(anchor, { x: grip.x + 12, y: grip.y - 3 })} />
    </>
  );
}
