'use client';
import type { PinHousing, PinLayout } from '@/core/flight';
import { Text } from '../pieces/Text';
import { marksWords } from '../words';
import { spread } from './spread';
import css from './PinsDrawing.module.css';

const w = marksWords.pins;
/** Room of the drawing around the housing, mm. */
const SIDE = 12;
const LABEL = 26;
const BAR_MM = 20;

/** The pins in their housing in millimetres of the screen, one drawn unit a millimetre. */
export function PinsDrawing({
  layout,
  housing,
  say,
}: {
  layout: PinLayout;
  housing: PinHousing;
  say: (distanceM: number) => string;
}) {
  const inner = Math.max(housing.roomMm + 6, 26);
  const top = 4;
  const slot = top + (inner - housing.roomMm) / 2;
  const lowest = Math.max(
    slot + housing.roomMm,
    ...layout.pins.map((pin) => slot + layout.firstMm + pin.dropMm),
  );
  const height = Math.max(top + inner, lowest + 4) + 12;
  const width = SIDE + inner + LABEL;
  const centre = SIDE + inner / 2;
  const at = (dropMm: number) => slot + layout.firstMm + dropMm;
  const labels = spread(
    layout.pins.map((pin) => at(pin.dropMm)),
    4.2,
    4,
    height - 10,
  );
  return (
    <figure className={css.pinsFigure} data-part="pins-figure">
      <svg
        width={`${width}mm`}
        height={`${height}mm`}
        viewBox={`0 0 ${width} ${height}`}
        role="img"
        aria-label={w.gaps}
      >
        <circle
          cx={centre}
          cy={top + inner / 2}
          r={inner / 2}
          fill="var(--sheet)"
          stroke="var(--ink)"
          strokeWidth={1.1}
        />
        <path
          d={`M${SIDE - 1.5} ${slot}v${housing.roomMm}M${SIDE - 4} ${slot}h5M${SIDE - 4} ${slot + housing.roomMm}h5`}
          stroke="var(--ink-soft)"
          strokeWidth={0.4}
        />
        {layout.pins.map((pin, i) => {
          const y = at(pin.dropMm);
          return (
            <g key={pin.distanceM} stroke={pin.fits ? 'var(--ink)' : 'var(--brick)'}>
              <path
                d={`M${SIDE + 1} ${y}H${centre}`}
                strokeWidth={0.5}
                strokeDasharray={pin.fits ? undefined : '1.4 1'}
              />
              <circle
                cx={centre}
                cy={y}
                r={housing.pinMm / 2}
                fill={pin.fits ? 'var(--petrol)' : 'var(--sheet)'}
                strokeWidth={pin.fits ? 0 : 0.3}
              />
              <path
                d={`M${centre + 1.5} ${y}H${SIDE + inner - 1}L${SIDE + inner + 3} ${labels[i]}`}
                fill="none"
                stroke="var(--rule)"
                strokeWidth={0.3}
              />
              <text
                x={SIDE + inner + 4}
                y={labels[i]! + 1.3}
                className={css.pinsText}
                stroke="none"
                data-out={pin.fits ? undefined : 'yes'}
              >
                {say(pin.distanceM)}
              </text>
            </g>
          );
        })}
        <path
          d={`M${SIDE} ${height - 5}h${BAR_MM}m0 -1.6v3.2m-${BAR_MM} 0v-3.2`}
          stroke="var(--ink)"
          strokeWidth={0.4}
          fill="none"
        />
        <text x={SIDE + BAR_MM + 2} y={height - 4} className={css.pinsText}>
          {w.bar}
        </text>
      </svg>
      <Text variant="small" soft as="figcaption">
        {w.trueSize}
      </Text>
    </figure>
  );
}
