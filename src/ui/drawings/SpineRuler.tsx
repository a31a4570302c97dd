'use client';
import { useRef } from 'react';
import type { ShaftOffer } from '@/core/kit';
import { scale } from './scale';
import { Tape } from './Tape';
import { useSize } from './useSize';
import css from './SpineRuler.module.css';

const HEIGHT = 128;
const TAPE_Y = 74;
/** The tape carries the spine as it is spoken: thousandths of an inch. */
const PER_INCH = 1000;
const STEP = 100;

/** Spines of the shop on one tape: what is good is shaded, the shaft taken stands out. */
export function SpineRuler({
  offers,
  needed,
  from,
  to,
  current,
  label,
  onPick,
}: {
  offers: readonly ShaftOffer[];
  needed: number;
  from: number;
  to: number;
  current: string;
  label: string;
  onPick: (shaftId: string) => void;
}) {
  const ref = useRef<HTMLDivElement>(null);
  const { width } = useSize(ref, { width: 640, height: HEIGHT });
  const all = [...offers.map(({ shaft }) => shaft.attrs.staticSpineIn), from, to].map(
    (inches) => inches * PER_INCH,
  );
  const at = scale(
    Math.floor((Math.min(...all) - 20) / STEP) * STEP,
    Math.ceil((Math.max(...all) + 20) / STEP) * STEP,
    width,
    24,
  );
  const x = (inches: number) => at.x(inches * PER_INCH);
  return (
    <div ref={ref}>
      <svg
        viewBox={`0 0 ${width} ${HEIGHT}`}
        width={width}
        height={HEIGHT}
        role="img"
        aria-label={label}
      >
        <rect x={x(from)} y={22} width={x(to) - x(from)} height={52} fill="var(--moss-tint)" />
        <path
          d={`M${x(needed)} 14V${TAPE_Y}`}
          stroke="var(--moss)"
          strokeWidth={2.5}
          strokeDasharray="5 3"
        />
        <Tape scale={at} y={TAPE_Y} major={STEP} parts={4} />
        {offers.map(({ shaft, goesIn }) => {
          const mine = shaft.id === current;
          const high = shaft.attrs.outerMm < 6 ? 34 : 56;
          return (
            <g
              key={shaft.id}
              className={css.spineMark}
              onClick={() => goesIn && onPick(shaft.id)}
              opacity={goesIn ? 1 : 0.35}
            >
              <path d={`M${x(shaft.attrs.staticSpineIn)} ${high}V${TAPE_Y}`} stroke="var(--ink)" />
              <circle
                cx={x(shaft.attrs.staticSpineIn)}
                cy={high}
                r={mine ? 9 : 6}
                fill={mine ? 'var(--petrol)' : 'var(--sheet)'}
                stroke={mine ? 'var(--petrol)' : 'var(--ink)'}
                strokeWidth={1.8}
              />
            </g>
          );
        })}
      </svg>
    </div>
  );
}
