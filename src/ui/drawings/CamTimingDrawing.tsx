import { twists as w } from '../words';
import drawingsCss from './drawings.module.css';
import css from './CamTimingDrawing.module.css';

const MOST_GAP = 22;
/** px for a millimetre of gap. */
const SCALE = 3.2;

/** Both cams at the wall: the one that leads touches its cable, the other has this much left. */
export function CamTimingDrawing({ gapMm, label }: { gapMm: number; label: string }) {
  const gap = Math.min(MOST_GAP, Math.abs(gapMm) * SCALE);
  const together = Math.abs(gapMm) <= 1;
  return (
    <svg
      className={css.camTiming}
      viewBox="0 0 150 178"
      role="img"
      aria-label={`${w.drawing}: ${together ? w.bothTouch : gapMm > 0 ? w.topFirst : w.bottomFirst}`}
    >
      <path d="M58 8V170" stroke="var(--ink-soft)" strokeWidth={2} />
      <Cam
        y={44}
        gap={gapMm > 0 || together ? 0 : gap}
        label={label}
        touches={gapMm > 0 || together}
      />
      <Cam
        y={134}
        gap={gapMm < 0 || together ? 0 : gap}
        label={label}
        touches={gapMm < 0 || together}
      />
    </svg>
  );
}

function Cam({
  y,
  gap,
  label,
  touches,
}: {
  y: number;
  gap: number;
  label: string;
  touches: boolean;
}) {
  return (
    <g>
      <circle cx={26} cy={y} r={21} fill="none" stroke="var(--ink)" strokeWidth={2.5} />
      <circle cx={26} cy={y} r={3} fill="var(--ink)" />
      {/* The stop peg, drawn up to its cable. */}
      <rect
        x={44 - gap}
        y={y - 7}
        width={13}
        height={14}
        rx={2}
        fill={touches ? 'var(--petrol)' : 'var(--paper)'}
        stroke={touches ? 'var(--petrol)' : 'var(--amber-mark)'}
        strokeWidth={2.5}
      />
      <text x={70} y={y + 5} className={touches ? drawingsCss.svgSoft : drawingsCss.svgStrong}>
        {touches ? w.touches : label}
      </text>
    </g>
  );
}
