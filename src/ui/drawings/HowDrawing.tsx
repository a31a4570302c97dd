import type { ReactNode } from 'react';
import { setupValue, type HowView, type SetupKey } from '@/core/setup';
import { bench as w } from '../words';
import css from './HowDrawing.module.css';

/** Where a value is measured: our own small drawing of the view, with the measure or place marked. */
export function HowDrawing({ of, left }: { of: SetupKey; left: boolean }) {
  const figure = setupValue(of).figure;
  if (!figure) return null;
  const { view, dim, spot } = figure;
  return (
    <svg
      className={css.howDrawing}
      viewBox="0 0 220 150"
      role="img"
      aria-label={`${setupValue(of).name}: ${w.views[view]}`}
    >
      {/* A left-handed bow is the mirror of what is drawn. */}
      <g transform={left ? 'translate(220 0) scale(-1 1)' : undefined}>
        <g fill="none" stroke="var(--ink)" strokeWidth={2.4} strokeLinecap="round">
          {VIEWS[view]}
        </g>
        {dim && <Dimension line={dim} />}
        {spot && (
          <circle
            cx={spot[0]}
            cy={spot[1]}
            r={13}
            fill="none"
            stroke="var(--petrol)"
            strokeWidth={3.2}
          />
        )}
      </g>
    </svg>
  );
}

/** A measure: line with its two ends, as on a drawing board. */
function Dimension({
  line: [x1, y1, x2, y2],
}: {
  line: readonly [number, number, number, number];
}) {
  const upright = x1 === x2;
  const end = (x: number, y: number) => (upright ? `M${x - 7} ${y}h14` : `M${x} ${y - 7}v14`);
  return (
    <path
      d={`M${x1} ${y1}L${x2} ${y2}${end(x1, y1)}${end(x2, y2)}`}
      stroke="var(--petrol)"
      strokeWidth={3.2}
      fill="none"
    />
  );
}

const soft = { stroke: 'var(--ink-soft)', strokeWidth: 1.4 };

const bow = (
  <>
    <path d="M100 44C90 54 88 62 92 70V80C88 88 90 96 100 106" strokeWidth={7} />
    <path d="M100 44C106 36 110 30 118 22M100 106C106 114 110 120 118 128" strokeWidth={5} />
    <circle cx={118} cy={20} r={11} fill="var(--paper)" />
    <circle cx={118} cy={130} r={11} fill="var(--paper)" />
    <path d="M84 62H70M82 62L92 66" />
    <circle cx={62} cy={62} r={8} fill="var(--paper)" />
    <path d="M92 98H52" strokeWidth={3.4} />
    <path d="M92 80h8" />
  </>
);

const arrow = (nock: number) => <path d={`M${nock} 75H24m0 0l8-4m-8 4l8 4`} strokeWidth={2} />;

const VIEWS: Record<HowView, ReactNode> = {
  rest: (
    <>
      <path d="M129 20L133 128M126 22L124 120" {...soft} />
      {bow}
      <path d="M150 22V128M128 16Q144 14 150 22M128 134Q144 136 150 128" strokeWidth={1.8} />
      {arrow(150)}
      <ellipse cx={150} cy={46} rx={3} ry={6} fill="var(--paper)" />
      <path d="M150 71c7 0 7 8 0 8M106 98H138" strokeWidth={1.8} />
    </>
  ),
  drawn: (
    <>
      <path d="M126 22L124 128" {...soft} />
      {bow}
      <path d="M128 14L206 75L128 136" strokeWidth={1.8} />
      {arrow(206)}
      <ellipse cx={186} cy={60} rx={3} ry={6} fill="var(--paper)" />
    </>
  ),
  behind: (
    <>
      <path
        d="M104 8V44Q96 75 104 106V142M116 8V44Q112 60 112 66M112 92Q112 98 116 106V142"
        strokeWidth={2}
      />
      <path d="M110 8V142" strokeWidth={1.6} />
      <path d="M126 20V130" {...soft} />
      <path d="M104 14h12v12h-12zM104 124h12v12h-12z" fill="var(--paper)" />
      <path d="M112 26L128 62" {...soft} />
      <circle cx={110} cy={75} r={6} fill="var(--paper)" />
      <path d="M110 69V62M105 78L99 83M115 78L121 83" strokeWidth={1.8} />
      <path d="M100 84Q110 92 120 84" />
      <circle cx={84} cy={52} r={13} fill="var(--paper)" />
      <path d="M84 64V54" strokeWidth={1.6} />
    </>
  ),
  above: (
    <>
      <path d="M70 30H108V50H70z" fill="var(--ink-soft)" strokeWidth={1.6} />
      <path d="M12 78H188m-176 0l8-4m-8 4l8 4M150 78l10-7h20l-8 7l8 7h-20z" strokeWidth={2} />
      <path d="M70 108H150" {...soft} />
      <circle cx={120} cy={108} r={4} fill="var(--paper)" />
      <path d="M84 78v12h8" />
    </>
  ),
  cam: (
    <>
      <path d="M172 8V142" strokeWidth={2} />
      <path d="M82 34A44 44 0 1 0 152 90Q150 40 110 30Q94 28 82 34Z" fill="var(--paper)" />
      <circle cx={110} cy={75} r={6} />
      <path d="M110 48Q140 44 142 74" strokeWidth={6} stroke="var(--ink-soft)" />
      <circle cx={116} cy={50} r={2.4} />
      <circle cx={134} cy={60} r={2.4} />
      <rect x={144} y={88} width={12} height={16} rx={2} fill="var(--paper)" />
      <path d="M82 34Q60 20 20 16" {...soft} />
    </>
  ),
  bolt: (
    <>
      <circle cx={110} cy={75} r={44} {...soft} />
      {[0, 30, 60, 90, 120, 150, 180, 210, 240, 270, 300, 330].map((angle) => (
        <path key={angle} d="M110 31v7" transform={`rotate(${angle} 110 75)`} {...soft} />
      ))}
      <path d="M110 60L123 67.5V82.5L110 90L97 82.5V67.5Z" />
      <path d="M110 75V34" strokeWidth={5} />
      <path d="M140 38A48 48 0 0 1 157 66m0 0l-7-5m7 5l4-8" />
    </>
  ),
  knot: (
    <>
      <path d="M96 6V144" strokeWidth={4} />
      <path d="M96 60C166 44 166 106 96 90" strokeWidth={5} />
      <path d="M90 56h12v8H90zM90 86h12v8H90z" fill="var(--paper)" />
      <path d="M88 46h16M88 50h16" strokeWidth={1.6} />
      <path d="M92 75H20M92 70l-12 2v6l12 2" />
    </>
  ),
  housing: (
    <>
      <path d="M54 14V136" strokeWidth={6} />
      {[30, 40, 50, 60, 70, 80, 90, 100].map((y) => (
        <path key={y} d={`M44 ${y}h${y % 20 === 0 ? 8 : 5}`} {...soft} />
      ))}
      <path d="M54 75H74" strokeWidth={4} />
      <circle cx={110} cy={75} r={36} />
      <path d="M110 111V82M110 84h0" strokeWidth={2} />
      <circle cx={110} cy={78} r={4} fill="var(--ink)" />
      <rect x={94} y={104} width={32} height={11} rx={5} fill="var(--paper)" />
      <path d="M105 104v11M115 104v11" strokeWidth={1.2} />
      <circle cx={110} cy={109.5} r={3.4} fill="var(--ink-soft)" stroke="none" />
      <path d="M110 8V24" {...soft} />
    </>
  ),
  scale: (
    <>
      <path d="M60 120H160L150 90H70z" fill="var(--paper)" />
      <path d="M92 104h36" strokeWidth={5} stroke="var(--ink-soft)" />
      <path d="M64 86H156M78 86V70M142 86V70" strokeWidth={2} />
      <path d="M40 62H180m-140 0l8-4m-8 4l8 4M158 62l8-6h12l-6 6l6 6h-12z" />
    </>
  ),
  paper: (
    <>
      <rect x={56} y={16} width={108} height={118} fill="var(--paper)" />
      <path d="M104 82L124 62" strokeWidth={1.6} />
      <circle cx={104} cy={82} r={4.5} />
      <path d="M124 62l8-10M124 62l12 2M124 62l-2 12" strokeWidth={1.8} />
    </>
  ),
  gate: (
    <>
      <path d="M90 120V40Q90 26 104 26H136Q150 26 150 40V120" />
      <path d="M78 120h84" strokeWidth={4} />
      <path d="M20 75H76m-56 0l8-4m-8 4l8 4M160 75h40" {...soft} />
      <path d="M120 44v60" strokeDasharray="4 5" {...soft} />
    </>
  ),
  target: (
    <>
      <circle cx={110} cy={75} r={56} />
      <circle cx={110} cy={75} r={36} {...soft} />
      <circle cx={110} cy={75} r={16} {...soft} />
      <path d="M104 66h0M116 70h0M108 78h0" strokeWidth={7} />
    </>
  ),
};
