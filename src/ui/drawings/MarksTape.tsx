import { MM_PER_INCH } from '@/core/units';
import { lane as w } from '../words';
import { spread } from './spread';
import drawingsCss from './drawings.module.css';
import css from './MarksTape.module.css';

/** CSS pixels a millimetre is drawn with: three times true size at 96 dots an inch. */
const PX_PER_MM = 3 * (96 / MM_PER_INCH);
const TOP = 22;

/** Where the pin stands for each distance, drawn down a sight's bar. */
export function MarksTape({
  marks,
}: {
  marks: readonly { readonly text: string; readonly dropMm: number }[];
}) {
  const last = Math.max(12, ...marks.map((mark) => mark.dropMm));
  const height = TOP + last * PX_PER_MM + 26;
  const wanted = marks.map((mark) => TOP + mark.dropMm * PX_PER_MM);
  const ys = spread(wanted, 18, 14, height - 8);
  return (
    <svg className={css.marksTape} width={150} height={height} role="img" aria-label={w.tape}>
      <rect
        x={8}
        y={4}
        width={40}
        height={height - 8}
        rx={3}
        fill="var(--sheet)"
        stroke="var(--ink)"
      />
      {Array.from({ length: Math.ceil(last) + 1 }, (_, mm) => (
        <path
          key={mm}
          d={`M8 ${TOP + mm * PX_PER_MM}h${mm % 10 === 0 ? 14 : mm % 5 === 0 ? 10 : 5}`}
          stroke="var(--rule)"
        />
      ))}
      {marks.map(({ text }, i) => (
        <g key={text}>
          <path
            d={`M26 ${wanted[i]}H60L72 ${ys[i]}`}
            fill="none"
            stroke="var(--petrol)"
            strokeWidth={i === 0 ? 2.6 : 1.5}
          />
          <text
            x={77}
            y={ys[i]! + 5}
            className={i % 2 === 0 ? drawingsCss.svgStrong : drawingsCss.svgLabel}
          >
            {text}
          </text>
        </g>
      ))}
    </svg>
  );
}
