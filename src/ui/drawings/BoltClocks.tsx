import { bow as w } from '../words';
import css from './BoltClocks.module.css';
import drawingsCss from './drawings.module.css';

/** The two limb bolts as clocks seen by the key, with a gauge of turns up to the hard stop. */
export function BoltClocks({
  upper,
  lower,
  goal,
  limit,
}: {
  upper: number;
  lower: number;
  goal: number;
  limit: number;
}) {
  return (
    <svg viewBox="0 0 330 196" className={css.clocks} role="img" aria-label={w.clocks}>
      <Clock y={52} turns={upper} goal={goal} limit={limit} name={w.upper} />
      <Clock y={148} turns={lower} goal={goal} limit={limit} name={w.lower} />
    </svg>
  );
}

const GAUGE_X = 108;
const GAUGE_WIDTH = 196;

function Clock({
  y,
  turns,
  goal,
  limit,
  name,
}: {
  y: number;
  turns: number;
  goal: number;
  limit: number;
  name: string;
}) {
  const angle = (turns % 1) * 2 * Math.PI;
  const x = (t: number) => GAUGE_X + (Math.min(t, limit * 1.08) / limit) * GAUGE_WIDTH * 0.93;
  return (
    <g>
      <circle cx={46} cy={y} r={32} fill="var(--sheet)" stroke="var(--ink)" strokeWidth={2} />
      {Array.from({ length: 12 }, (_, i) => {
        const a = (i * Math.PI) / 6;
        const inner = i % 3 === 0 ? 24 : 28;
        return (
          <path
            key={i}
            d={`M${(46 + inner * Math.sin(a)).toFixed(1)} ${(y - inner * Math.cos(a)).toFixed(1)}L${(46 + 31 * Math.sin(a)).toFixed(1)} ${(y - 31 * Math.cos(a)).toFixed(1)}`}
            stroke="var(--ink-soft)"
            strokeWidth={i % 3 === 0 ? 2 : 1}
          />
        );
      })}
      <polygon
        points={Array.from({ length: 6 }, (_, i) => {
          const a = angle + (i * Math.PI) / 3;
          return `${(46 + 9 * Math.sin(a)).toFixed(1)},${(y - 9 * Math.cos(a)).toFixed(1)}`;
        }).join(' ')}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={1.6}
      />
      <path
        d={`M46 ${y}L${(46 + 22 * Math.sin(angle)).toFixed(1)} ${(y - 22 * Math.cos(angle)).toFixed(1)}`}
        stroke="var(--petrol)"
        strokeWidth={4}
        strokeLinecap="round"
      />
      <text x={GAUGE_X} y={y - 20} className={drawingsCss.svgLabel}>
        {name}
      </text>
      <path d={`M${GAUGE_X} ${y}H${x(limit)}`} stroke="var(--rule)" strokeWidth={9} />
      <path d={`M${GAUGE_X} ${y}H${x(turns)}`} stroke="var(--petrol)" strokeWidth={9} />
      {Array.from({ length: Math.floor(limit) + 1 }, (_, t) => (
        <g key={t}>
          <path d={`M${x(t)} ${y + 8}v${t % 2 === 0 ? 8 : 5}`} stroke="var(--ink-soft)" />
          {t % 2 === 0 && (
            <text x={x(t)} y={y + 31} textAnchor="middle" className={drawingsCss.svgSmall}>
              {t}
            </text>
          )}
        </g>
      ))}
      <path d={`M${x(goal)} ${y - 8}l6 -9h-12z`} fill="var(--ink)" />
      <path d={`M${x(limit)} ${y - 15}v30`} stroke="var(--brick)" strokeWidth={4} />
    </g>
  );
}
