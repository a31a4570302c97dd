'use client';
import { useRef } from 'react';
import { barLine, type BarSide, type Bars, type MassPart } from '@/core/balance';
import { bowOutline, type BowShape, type Hand, type Place } from '@/core/bow';
import { steadyDrawing as w } from '../words';
import { Bar, Centre, ellipseOf, MassMark, SideBow } from './balance-marks';
import { BarHandle, type BarTurn } from './BarHandle';
import { BehindBow } from './BehindBow';
import { useSize } from './useSize';
import css from './BalanceDrawing.module.css';

/** The drawing is no higher than this, px: what it says stands beside and under it. */
const MOST_PX = 384;
const GAP_MM = 60;
/** Parts lighter than this are weighed and not drawn, g. */
const LEAST_DRAWN_G = 40;
const LABEL_PX = 22;

interface Box {
  readonly left: number;
  readonly right: number;
}

/** How far the drawing goes to both sides, whatever notch the bars stand in. */
function boxes({ front, rear }: Bars, shape: BowShape, hand: Hand): readonly [Box, Box] {
  const ahead = front ? front.at.forwardMm + front.bar.lengthMm + 40 : 150;
  const behind = rear
    ? rear.bar.lengthMm + (rear.mount?.slide.most ?? 0) - rear.at.forwardMm + 40
    : 0;
  const out = rear ? rear.bar.lengthMm * 0.9 + (rear.mount?.outMm ?? 0) + 40 : 0;
  const side = {
    left: -Math.max(180, ahead),
    right: Math.max(shape.braceHeightMm + 50, behind),
  };
  const wide = Math.max(150, out);
  return [side, hand === 'right' ? { left: -wide, right: 150 } : { left: -150, right: wide }];
}

/** Side and rear view to scale, with every part where its mass sits; bars can be taken hold of. */
export function BalanceDrawing({
  shape,
  hand,
  bars,
  parts,
  centre,
  sigma = null,
  onTurn,
}: {
  shape: BowShape;
  hand: Hand;
  bars: Bars;
  parts: readonly MassPart[];
  centre: Place;
  /** Of the centre, mm. */
  sigma?: {
    readonly forwardMm: number;
    readonly upMm: number;
    readonly correlation: number;
  } | null;
  /** Without it the bars stand still. */
  onTurn?: (side: BarSide, turn: BarTurn) => void;
}) {
  const holder = useRef<HTMLDivElement>(null);
  const { width } = useSize(holder, { width: 560, height: MOST_PX });
  const outline = bowOutline(shape);
  const [side, behind] = boxes(bars, shape, hand);
  const { top, bottom } = outline.box;
  const wideMm = side.right - side.left + GAP_MM + behind.right - behind.left;
  const highMm = bottom - top;
  const k = Math.min(width / wideMm, (MOST_PX - LABEL_PX) / highMm);
  const height = k * highMm + LABEL_PX;
  const sideAt = { x: -side.left * k, y: -top * k };
  const behindAt = { x: (side.right - side.left + GAP_MM - behind.left) * k, y: -top * k };
  const total = wideMm * k;
  /** From a place of the bow to the two views, px of each one’s own middle. */
  const fromSide = ({ forwardMm, upMm }: Place) => ({ x: -forwardMm * k, y: -upMm * k });
  const fromBehind = ({ rightMm, upMm }: Place) => ({ x: rightMm * k, y: -upMm * k });
  const drawn = parts.filter(({ massG }) => massG >= LEAST_DRAWN_G);
  const handles = (['front', 'rear'] as const).flatMap((name) => {
    const set = bars[name];
    return set ? [{ name, set, ...barLine(name, set, hand) }] : [];
  });
  const views = [
    { id: 'side', at: sideAt, project: fromSide, name: w.side },
    { id: 'behind', at: behindAt, project: fromBehind, name: w.behind },
  ] as const;
  return (
    <div ref={holder} className={css.balance} data-part="balance">
      <svg
        width={total}
        height={height}
        viewBox={`0 0 ${total} ${height}`}
        role="group"
        aria-label={w.label}
      >
        {views.map(({ id, at, project, name }) => (
          <g key={id} transform={`translate(${at.x} ${at.y})`} data-view={id}>
            <path
              d={`M0 ${top * k}V${bottom * k}`}
              stroke="var(--petrol)"
              strokeWidth={1.2}
              strokeDasharray="7 5"
            />
            <g transform={`scale(${k})`} opacity={0.5}>
              {id === 'side' ? <SideBow shape={shape} /> : <BehindBow shape={shape} hand={hand} />}
            </g>
            {handles.map(({ name: bar, set, from, to }) => (
              <Bar key={bar} from={project(from)} to={project(to)} discs={set.discs?.count ?? 0} />
            ))}
            {drawn.map((part) => (
              <MassMark key={part.name} part={part} project={project} n={parts.indexOf(part) + 1} />
            ))}
            <Centre
              at={project(centre)}
              sigma={id === 'side' && sigma ? ellipseOf(sigma, k) : null}
            />
            {onTurn &&
              handles.map(({ name: bar, set, from, to }) => (
                <BarHandle
                  key={bar}
                  bar={bar}
                  set={set}
                  view={id}
                  foot={project(from)}
                  end={project(to)}
                  k={k}
                  onTurn={(turn) => onTurn(bar, turn)}
                />
              ))}
            <text y={bottom * k + 17} textAnchor="middle" className={css.view}>
              {name}
            </text>
          </g>
        ))}
      </svg>
    </div>
  );
}
