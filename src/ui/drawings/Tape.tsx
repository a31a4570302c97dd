import { ticks, type Scale } from './scale';
import drawingsCss from './drawings.module.css';

const LENGTHS = [25, 17, 13, 8];

/** The edge of a tape: ticks hang from `y`, the numbered ones carry their number below. */
export function Tape({
  scale,
  y,
  major,
  parts,
  every = 1,
}: {
  scale: Scale;
  y: number;
  major: number;
  parts: number;
  /** Numbers only at each so-manieth numbered tick. */
  every?: number;
}) {
  return (
    <g stroke="var(--ink)">
      <path d={`M${scale.x(scale.from)} ${y}H${scale.x(scale.to)}`} strokeWidth={1.2} />
      {ticks(scale, major, parts).map(({ value, rank }) => (
        <g key={value}>
          <path
            d={`M${scale.x(value).toFixed(1)} ${y}v${LENGTHS[rank]}`}
            strokeWidth={rank === 0 ? 2 : 1}
          />
          {rank === 0 && Math.round(value / major) % every === 0 && (
            <text
              x={scale.x(value)}
              y={y + 43}
              textAnchor="middle"
              className={drawingsCss.svgFigure}
              stroke="none"
            >
              {value}
            </text>
          )}
        </g>
      ))}
    </g>
  );
}
