'use client';
import { useRef } from 'react';
import { scale, ticks } from './scale';
import { useSize } from './useSize';
import css from './NeutralRuler.module.css';

const HEIGHT = 74;
const LINE = 40;
/** Round ends of the ruler, N·mm. */
const STEP = 250;

/** A ruler of torques with every try on it, and the band in which the bow would stay. */
export function NeutralRuler({
  name,
  ends,
  mean,
  sigma,
  tries,
}: {
  name: string;
  /** What lies to the left of it and to the right. */
  ends: readonly [string, string];
  mean: number;
  sigma: number;
  tries: readonly number[];
}) {
  const holder = useRef<HTMLDivElement>(null);
  const { width } = useSize(holder, { width: 260, height: HEIGHT });
  const values = [...tries, mean - 2 * sigma, mean + 2 * sigma, 0];
  const from = Math.floor(Math.min(...values) / STEP) * STEP;
  const to = Math.ceil(Math.max(...values) / STEP) * STEP;
  const ruler = scale(from, to, width);
  const said = `${Math.round(mean / 10) * 10} ± ${Math.round(sigma / 10) * 10} N·mm`;
  return (
    <div ref={holder} className={css.ruler} role="img" aria-label={`${name} ${said}`}>
      <svg width={width} height={HEIGHT} viewBox={`0 0 ${width} ${HEIGHT}`}>
        <text x={0} y={14} className={css.name}>
          {name}
        </text>
        <text x={width} y={14} textAnchor="end" className={css.said}>
          {said}
        </text>
        <rect
          x={ruler.x(mean - sigma)}
          y={LINE - 16}
          width={ruler.x(mean + sigma) - ruler.x(mean - sigma)}
          height={16}
          className={css.band}
        />
        <path d={`M${ruler.x(mean)} ${LINE - 19}v22`} className={css.mean} />
        <path
          d={ticks(ruler, STEP, 10)
            .map(({ value, rank }) => `M${ruler.x(value)} ${LINE}v${[14, 9, 7, 5][rank]}`)
            .join('')}
          stroke="var(--ink-soft)"
          strokeWidth={1}
        />
        <path
          d={`M${ruler.x(from)} ${LINE}H${ruler.x(to)}`}
          stroke="var(--ink)"
          strokeWidth={1.4}
        />
        <path d={`M${ruler.x(0)} ${LINE}v18`} stroke="var(--ink)" strokeWidth={2} />
        {tries.map((value, i) => (
          <circle key={i} cx={ruler.x(value)} cy={LINE - 8} r={4} className={css.try} />
        ))}
        <text x={ruler.x(from)} y={HEIGHT - 4} className={css.end}>
          {from} {ends[0]}
        </text>
        <text x={ruler.x(to)} y={HEIGHT - 4} textAnchor="end" className={css.end}>
          {ends[1]} {to}
        </text>
      </svg>
    </div>
  );
}
