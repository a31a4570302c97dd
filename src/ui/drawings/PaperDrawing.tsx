'use client';
import clsx from 'clsx';
import { lane as w, paperWords } from '../words';
import { tapped } from './tapped';
import drawingsCss from './drawings.module.css';

const HALF_MM = 48;

interface Tear {
  readonly rightMm: number;
  readonly upMm: number;
}

/** Paper as the archer sees it: the point's hole in the middle, the nock's tear where it was tapped. */
export function PaperDrawing({
  nock,
  last = null,
  point = { rightMm: 0, upMm: 0 },
  expected = null,
  onTap,
  small = false,
}: {
  nock: Tear | null;
  /** The paper before, shown pale until there is a new one. */
  last?: Tear | null;
  /** Where the point went through, from the sheet’s middle. */
  point?: Tear;
  /** Where the nock is likely to go after the advised move. */
  expected?: Tear | null;
  onTap?: (tear: Tear) => void;
  small?: boolean;
}) {
  const shown = nock ?? last;
  // A tear wider than the drawing is shown at its edge; the figures beside it are the record.
  const inside = (value: number) => Math.max(-HALF_MM + 9, Math.min(HALF_MM - 9, value));
  const x = inside(shown?.rightMm ?? 0);
  const y = inside(-(shown?.upMm ?? 0));
  // The word stands on the far side of the tear, off the point's hole.
  const away = y > 0 ? 15 : -12;
  return (
    <svg
      className={clsx(drawingsCss.paper, small && drawingsCss.smallPaper)}
      data-part="paper"
      viewBox={`${-HALF_MM} ${-HALF_MM} ${2 * HALF_MM} ${2 * HALF_MM}`}
      role="img"
      aria-label={w.sheet}
      onPointerDown={(event) => onTap?.(tapped(event, HALF_MM))}
    >
      <rect
        x={-HALF_MM}
        y={-HALF_MM}
        width={2 * HALF_MM}
        height={2 * HALF_MM}
        fill="var(--sheet)"
        stroke="var(--ink)"
        strokeWidth={small ? 2 : 0.8}
      />
      {!small && <Grid />}
      <g transform={`translate(${point.rightMm} ${-point.upMm})`}>
        {shown && (
          <g opacity={nock ? 1 : 0.4}>
            <TearShape x={x} y={y} />
          </g>
        )}
        <circle r={2.9} fill="var(--ink)" />
        {!small && expected && <Expected tear={expected} />}
        {!small && shown && !(expected && !nock) && (
          <text x={x} y={y + away} className={drawingsCss.paperText} textAnchor="middle">
            {nock ? w.nock : w.lastPaper}
          </text>
        )}
      </g>
      {!small && expected && (
        <text
          x={-HALF_MM + 4}
          y={HALF_MM - 4}
          className={clsx(drawingsCss.paperText, drawingsCss.expectedText)}
        >
          {paperWords.expectedShort}
        </text>
      )}
    </svg>
  );
}

/** The nock’s end as the advised move will likely bring it: broken, so that it is no paper yet. */
function Expected({ tear: { rightMm, upMm } }: { tear: Tear }) {
  return (
    <g fill="none" stroke="var(--petrol)" strokeWidth={0.9}>
      <circle cx={rightMm} cy={-upMm} r={4.4} strokeDasharray="2 1.4" />
      <path d={`M${rightMm - 1.6} ${-upMm}h3.2M${rightMm} ${-upMm - 1.6}v3.2`} />
    </g>
  );
}

/** Ticks every 5 mm along the two axes, the ring of what is good enough. */
function Grid() {
  const steps = Array.from({ length: 17 }, (_, i) => -40 + i * 5).filter((mm) => mm !== 0);
  return (
    <g stroke="var(--rule)" strokeWidth={0.35} fill="none">
      <path d={`M${-HALF_MM} 0H${HALF_MM}M0 ${-HALF_MM}V${HALF_MM}`} />
      {steps.map((mm) => (
        <path
          key={mm}
          d={`M${mm} ${mm % 10 === 0 ? -2 : -1}v${mm % 10 === 0 ? 4 : 2}M${mm % 10 === 0 ? -2 : -1} ${mm}h${mm % 10 === 0 ? 4 : 2}`}
        />
      ))}
      <circle r={6} stroke="var(--moss)" strokeDasharray="1.6 1.2" strokeWidth={0.6} />
      {[-40, -20, 20, 40].map((mm) => (
        <text
          key={mm}
          x={mm}
          y={6.6}
          textAnchor="middle"
          className={clsx(drawingsCss.paperText, drawingsCss.softText)}
          stroke="none"
        >
          {Math.abs(mm)}
        </text>
      ))}
    </g>
  );
}

/** A slit from the point to the nock with the three vanes' cuts at its end. */
function TearShape({ x, y }: { x: number; y: number }) {
  const length = Math.hypot(x, y);
  const [nx, ny] = length < 0.1 ? [0, 1] : [-y / length, x / length];
  const at = (r: number, degrees: number) => {
    const a = (degrees * Math.PI) / 180;
    return `${(x + r * Math.sin(a)).toFixed(2)} ${(y - r * Math.cos(a)).toFixed(2)}`;
  };
  return (
    <g stroke="var(--ink)" strokeLinecap="round">
      <path
        d={`M${nx * 2.4} ${ny * 2.4}Q${x / 2 + nx * 3} ${y / 2 + ny * 3} ${x + nx * 2.4} ${y + ny * 2.4}L${x - nx * 2.4} ${y - ny * 2.4}Q${x / 2 - nx * 2.4} ${y / 2 - ny * 2.4} ${-nx * 2.4} ${-ny * 2.4}Z`}
        fill="var(--paper-deep)"
        strokeWidth={0.6}
        strokeLinejoin="round"
      />
      {[0, 120, 240].map((degrees) => (
        <path key={degrees} d={`M${at(1, degrees)}L${at(8.5, degrees)}`} strokeWidth={1.1} />
      ))}
      <circle cx={x} cy={y} r={2.6} fill="none" strokeWidth={0.9} />
    </g>
  );
}
