import { bowOutline, type BowShape } from '@/core/bow';

export type PartLook = 'planned' | 'fitted' | 'measured' | 'again';

export interface BowDrawingProps {
  readonly shape: BowShape;
  readonly looks: {
    readonly rest: PartLook;
    readonly sight: PartLook;
    readonly peep: PartLook;
    readonly nock: PartLook;
    readonly bar: PartLook | null;
    readonly quiver: PartLook | null;
    readonly cams: PartLook;
    readonly arrow: PartLook;
    readonly string: PartLook;
    readonly cord: PartLook | null;
  };
}

/** State is told by the line: thin planned, solid fitted, broken to do again. */
const stroke = (look: PartLook) =>
  look === 'again'
    ? { stroke: 'var(--plum)', strokeWidth: 4, strokeDasharray: '9 6' }
    : look === 'planned'
      ? { stroke: 'var(--ink-soft)', strokeWidth: 1.6 }
      : { stroke: 'var(--ink)', strokeWidth: 4 };

const fill = (look: PartLook) => (look === 'fitted' || look === 'measured' ? 'var(--ink)' : 'none');

/** The bow itself, upright, target to the left: our own drawing from this bow's measures. */
export function BowDrawing({ shape, looks }: BowDrawingProps) {
  const o = bowOutline(shape);
  const { stringX: x, arrowY } = o;
  return (
    <g fill="none" strokeLinejoin="round" strokeLinecap="round">
      {o.cables.map((path) => (
        <path key={path} d={path} stroke="var(--ink-soft)" strokeWidth={2} opacity={0.75} />
      ))}
      <path
        d={o.string}
        {...stroke(looks.string === 'planned' ? 'fitted' : looks.string)}
        strokeWidth={3.2}
      />
      {o.cams.map((cam) => (
        <g key={cam.edge}>
          <path d={cam.edge} fill="var(--paper-deep)" stroke="var(--ink)" strokeWidth={4} />
          <path d={cam.track} stroke="var(--ink)" strokeWidth={1.4} />
          {cam.holes.map((hole) => (
            <path key={hole} d={hole} stroke="var(--ink)" strokeWidth={2} />
          ))}
          {cam.module && (
            <path
              d={cam.module}
              fill={looks.cams === 'measured' ? 'var(--petrol)' : 'none'}
              {...stroke(looks.cams === 'measured' ? 'planned' : looks.cams)}
              strokeWidth={looks.cams === 'again' ? 4 : 2}
            />
          )}
        </g>
      ))}
      {o.limbs.map((path, i) => (
        <g key={path}>
          <path d={path} fill="var(--ink)" stroke="var(--paper-deep)" strokeWidth={1.6} />
          <path d={o.limbSeams[i]} stroke="var(--paper-deep)" strokeWidth={1.6} />
        </g>
      ))}
      {o.cams.map((cam) => (
        <g key={cam.edge}>
          <circle cx={cam.axle.x} cy={cam.axle.y} r={6} fill="var(--ink)" />
          <circle cx={cam.axle.x} cy={cam.axle.y} r={2} fill="var(--paper-deep)" />
        </g>
      ))}
      <path d={o.guard} stroke="var(--ink)" strokeWidth={5} />
      <path d={o.riser} fill="var(--ink)" />
      {o.riserHoles.map((path) => (
        <path key={path} d={path} fill="var(--paper-deep)" />
      ))}
      <path d={o.grip} fill="var(--ink-soft)" stroke="var(--paper-deep)" strokeWidth={2} />
      {o.pockets.map((path, i) => (
        <g key={path}>
          <path d={path} fill="var(--ink)" stroke="var(--paper-deep)" strokeWidth={1.6} />
          <circle cx={o.bolts[i]!.x} cy={o.bolts[i]!.y} r={8} fill="var(--paper-deep)" />
          <path
            d={`M${o.bolts[i]!.x - 4} ${o.bolts[i]!.y}h8M${o.bolts[i]!.x} ${o.bolts[i]!.y - 4}v8`}
            stroke="var(--ink)"
            strokeWidth={2}
          />
        </g>
      ))}
      <Quiver look={looks.quiver} u={o.pocketY} />
      <Arrow look={looks.arrow} x={x} y={arrowY} />
      <Rest look={looks.rest} x={o.rest.x} y={o.rest.y} cord={looks.cord} />
      <Sight look={looks.sight} x={o.sightBase.x} y={o.sightBase.y} />
      <Bar look={looks.bar} x={o.barBase.x} y={o.barBase.y} />
      <ellipse
        cx={x}
        cy={o.peep.y}
        rx={5}
        ry={10}
        fill="var(--paper-deep)"
        {...stroke(looks.peep)}
      />
      <path d={`M${x} ${arrowY - 9}c13 0 13 18 0 18`} {...stroke(looks.nock)} />
    </g>
  );
}

interface At {
  readonly x: number;
  readonly y: number;
}

const Arrow = ({ look, x, y }: At & { look: PartLook }) => (
  <g {...stroke(look)} strokeWidth={look === 'planned' ? 1.6 : 3}>
    <path d={`M${x - 2} ${y}H-96m-4 -5l-5 10m-4 -10l-5 10M-112 ${y}h-14`} />
    <path d={`M${x - 12} ${y}l-8 -7h-34l-8 7`} fill={fill(look)} strokeDasharray="none" />
  </g>
);

const Rest = ({ look, x, y, cord }: At & { look: PartLook; cord: PartLook | null }) => (
  <g {...stroke(look)}>
    <path d={`M${x - 20} ${y + 9}h14l10 -12m-4 -1l4 1l1 -4`} />
    <circle cx={x - 20} cy={y + 9} r={6} fill={fill(look)} />
    {cord && (
      <path
        d={`M${x - 18} ${y + 14}C${x} ${y + 60} ${x + 70} ${y + 40} ${x + 118} ${y + 92}`}
        fill="none"
        {...stroke(cord)}
        strokeWidth={cord === 'again' ? 4 : 2}
      />
    )}
  </g>
);

const Sight = ({ look, x, y }: At & { look: PartLook }) => (
  <g {...stroke(look)}>
    <path d={`M${x + 8} ${y}H${x - 38}M${x + 4} ${y + 16}H${x - 20}L${x - 30} ${y}`} />
    <circle cx={x - 58} cy={y} r={19} fill="var(--paper-deep)" />
    <path d={`M${x - 58} ${y + 18}V${y + 1}`} strokeWidth={2.4} />
    <circle
      cx={x - 58}
      cy={y - 1}
      r={3.4}
      fill={look === 'planned' ? 'none' : 'var(--ink)'}
      stroke="none"
    />
  </g>
);

const Bar = ({ look, x, y }: At & { look: PartLook | null }) =>
  look && (
    <g {...stroke(look)}>
      <path d={`M${x} ${y - 3.5}H${x - 72}v7H${x}`} />
      <rect x={x - 88} y={y - 12} width={16} height={24} rx={3} fill={fill(look)} />
    </g>
  );

const Quiver = ({ look, u }: { look: PartLook | null; u: number }) =>
  look && (
    <g {...stroke(look)} strokeWidth={look === 'planned' ? 1.4 : 2.4}>
      <path d={`M-112 ${-0.58 * u}c0 -34 44 -34 44 0v34h-44z`} fill="var(--paper-deep)" />
      {[-106, -98, -90, -82, -74].map((x) => (
        <path key={x} d={`M${x} ${-0.58 * u + 34}V${0.78 * u}`} strokeWidth={1.6} />
      ))}
      <path d={`M-112 ${0.36 * u}h44v12h-44z`} fill="var(--paper-deep)" />
    </g>
  );
