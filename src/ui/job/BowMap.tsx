'use client';
import { useEffect, useId, useMemo, useRef, useState, type ReactNode } from 'react';
import Link from 'next/link';
import ExpandLess from '@mui/icons-material/ExpandLess';
import ExpandMore from '@mui/icons-material/ExpandMore';
import { bowOutline, type BowShape } from '@/core/bow';
import { mm } from '@/core/units';
import { BowDrawing, type BowDrawingProps, type PartLook } from '../drawings/BowDrawing';
import { Ticks } from '../drawings/Ticks';
import { spread } from '../drawings/spread';
import { useSize } from '../drawings/useSize';
import { WithFractions } from '../fields/Figure';
import { Press } from '../pieces/Press';
import { Tag } from '../pieces/texts';
import { bow as words, frame } from '../words';
import { useJob } from './JobProvider';
import { mapLabels, type MapLabel } from './map-parts';
import { useStage } from './useStage';
import css from './BowMap.module.css';

/** Drawn while no bow is chosen: thin, and said so. */
const SOME_BOW: BowShape = {
  axleToAxleMm: mm(812),
  braceHeightMm: mm(168),
  camSystem: 'twoCam',
};
const LABEL_WIDTH = 108;
const LABEL_GAP = 46;
const CAPTION = 46;

/** This bow, upright, from its own measures; every part is a place to tap. */
export function BowMap() {
  const { snapshot, derived } = useJob();
  const holder = useRef<HTMLDivElement>(null);
  const size = useSize(holder, { width: 300, height: 672 });
  const { bow, archer } = snapshot;
  const shape = bow ?? SOME_BOW;
  const outline = useMemo(() => bowOutline(shape), [shape]);
  const labels = mapLabels(snapshot, derived, outline);
  const place = placement(outline.box, size);
  const left = archer.hand === 'left';
  const x = (mmX: number) => {
    const px = place.x + mmX * place.scale;
    return left ? size.width - px : px;
  };
  const y = (mmY: number) => place.y + mmY * place.scale;
  const ys = spread(
    [...labels].sort((a, b) => a.anchor.y - b.anchor.y).map((label) => y(label.anchor.y)),
    LABEL_GAP,
    26,
    size.height - CAPTION - 22,
  );
  const sorted = [...labels].sort((a, b) => a.anchor.y - b.anchor.y);
  const edge = left ? LABEL_WIDTH : size.width - LABEL_WIDTH;
  return (
    <Foldable labels={labels} model={bow?.model ?? words.noBowYet}>
      <div className={css.plan} ref={holder}>
        <svg aria-hidden>
          {sorted.map((label, i) => (
            <Leader
              key={label.part}
              look={label.look}
              from={{ x: x(label.anchor.x), y: y(label.anchor.y) }}
              to={{ x: edge + (left ? 2 : -2), y: ys[i]! }}
            />
          ))}
          <g transform={`translate(${left ? size.width : 0} 0) scale(${left ? -1 : 1} 1)`}>
            <g
              transform={`translate(${place.x} ${place.y}) scale(${place.scale})`}
              opacity={bow ? 1 : 0.35}
            >
              <BowDrawing shape={shape} looks={looks(labels, derived.kit.rest !== undefined)} />
            </g>
          </g>
          {sorted.map((label) => (
            <Dot key={label.part} look={label.look} x={x(label.anchor.x)} y={y(label.anchor.y)} />
          ))}
        </svg>
        <div className={css.labels}>
          {sorted.map((label, i) => (
            <PartLink key={label.part} label={label}>
              <span
                className={css.dot}
                style={{ left: x(label.anchor.x), top: y(label.anchor.y) }}
              />
              <span
                className={css.label}
                data-part="label"
                data-state={label.look}
                style={{ top: ys[i]! - 22 }}
              >
                <span className={css.name}>{label.name}</span>
                <span className={css.value}>
                  <WithFractions text={label.value} />
                </span>
              </span>
            </PartLink>
          ))}
        </div>
        <div className={css.caption}>
          {bow ? (
            <>
              <WithFractions text={words.atoA(bow.axleToAxleMm, snapshot.shop.units)} />
              <br />
              <WithFractions text={words.brace(bow.braceHeightMm, snapshot.shop.units)} />
            </>
          ) : (
            words.noBowYet
          )}
        </div>
      </div>
    </Foldable>
  );
}

/** So far a finger goes before a pull is meant. */
const PULL_PX = 24;

/** On an upright tablet and a telephone the map is a strip that is pulled open, else it stands whole. */
function Foldable({
  labels,
  model,
  children,
}: {
  labels: readonly MapLabel[];
  model: string;
  children: ReactNode;
}) {
  const id = useId();
  const [open, setOpen] = useState(false);
  const { stage, place } = useStage();
  // A tap on a part leads to its step: the map makes room for it.
  useEffect(() => setOpen(false), [stage, place]);
  const from = useRef<number | null>(null);
  const again = labels.filter(({ look }) => look === 'again').length;
  const done = labels.filter(({ look }) => look !== 'planned').length;
  return (
    <nav className={css.map} data-part="map" data-pulled={open} aria-label={frame.map}>
      <Press
        className={css.pull}
        aria-expanded={open}
        aria-controls={id}
        onClick={() => setOpen(!open)}
        onPointerDown={(event) => (from.current = event.clientY)}
        onPointerMove={({ clientY }) => {
          if (from.current === null || Math.abs(clientY - from.current) < PULL_PX) return;
          setOpen(clientY > from.current);
          from.current = null;
        }}
        onPointerUp={() => (from.current = null)}
      >
        <Ticks className={css.pullTicks} />
        <b>{frame.map}</b>
        <span className={css.pullModel}>{model}</span>
        <span>{frame.mapDone(done, labels.length)}</span>
        {again > 0 && <Tag kind="again">{frame.mapAgain(again)}</Tag>}
        {open ? <ExpandLess /> : <ExpandMore />}
      </Press>
      <div className={css.whole} id={id}>
        {children}
      </div>
    </nav>
  );
}

function placement(
  box: ReturnType<typeof bowOutline>['box'],
  size: { width: number; height: number },
) {
  const room = { width: size.width - LABEL_WIDTH - 14, height: size.height - CAPTION - 8 };
  const scale = Math.min(room.width / (box.right - box.left), room.height / (box.bottom - box.top));
  return {
    scale,
    x: 6 + (room.width - (box.right - box.left) * scale) / 2 - box.left * scale,
    y: 6 + room.height / 2,
  };
}

/** A tap on the part or on its label leads to the step that sets it. */
function PartLink({ label, children }: { label: MapLabel; children: ReactNode }) {
  const { href } = useStage();
  const stage = label.step?.template.stage ?? 'kit';
  const target = href(stage, label.step ? { step: label.step.id, value: label.key } : undefined);
  return (
    <Link
      className={css.part}
      href={target}
      scroll={false}
      prefetch={false}
      aria-label={`${label.name}: ${label.value}`}
    >
      {children}
    </Link>
  );
}

interface Px {
  readonly x: number;
  readonly y: number;
}

/** A thin line from part to label, level at the label's end. */
function Leader({ from, to, look }: { from: Px; to: Px; look: PartLook }) {
  const bend = to.x + Math.sign(from.x - to.x) * 12;
  return (
    <path
      d={`M${from.x} ${from.y}L${bend} ${to.y}H${to.x}`}
      fill="none"
      stroke={look === 'again' ? 'var(--plum)' : 'var(--ink-soft)'}
      strokeWidth={look === 'again' ? 1.3 : 0.8}
      opacity={look === 'again' ? 0.7 : 0.45}
    />
  );
}

/** The state at the part itself: ring planned, full fitted or measured, broken ring to do again. */
function Dot({ look, x, y }: Px & { look: PartLook }) {
  if (look === 'planned') {
    return (
      <circle
        cx={x}
        cy={y}
        r={4}
        fill="var(--paper-deep)"
        stroke="var(--ink-soft)"
        strokeWidth={1.4}
      />
    );
  }
  if (look === 'again') {
    return (
      <circle
        cx={x}
        cy={y}
        r={5.5}
        fill="var(--plum-tint)"
        stroke="var(--plum)"
        strokeWidth={1.8}
        strokeDasharray="3.5 2.26"
      />
    );
  }
  const fill = look === 'measured' ? 'var(--petrol)' : 'var(--ink)';
  return <circle cx={x} cy={y} r={5} fill={fill} stroke="var(--paper-deep)" strokeWidth={1.6} />;
}

function looks(labels: readonly MapLabel[], hasRest: boolean): BowDrawingProps['looks'] {
  const of = (part: MapLabel['part']) =>
    labels.find((label) => label.part === part)?.look ?? 'planned';
  const orNull = (part: MapLabel['part']) =>
    labels.find((label) => label.part === part)?.look ?? null;
  const cord = labels.find((label) => label.key === 'restCord');
  return {
    rest: of('rest'),
    sight: of('sight'),
    peep: of('peep'),
    nock: of('nock'),
    arrow: of('arrow'),
    cams: of('camBottom'),
    string: of('string'),
    bar: orNull('bar'),
    quiver: orNull('quiver'),
    cord: cord && hasRest ? cord.look : null,
  };
}
