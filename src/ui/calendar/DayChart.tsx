'use client';
import { useRef, type ComponentProps, type ComponentType } from 'react';
import Link from 'next/link';
import { STATIONS, stationName } from '@/core/bench';
import type { PlacedVisit } from '@/core/calendar';
import { useSize } from '../drawings/useSize';
import { calendarWords as w, today } from '../words';
import { clockWords } from './clock';
import drawingsCss from '../drawings/drawings.module.css';
import css from './DayChart.module.css';

const NAMES_WIDTH = 104;
/** Room for half of the first and of the last hour's number. */
const EDGE = 12;
/** An hour is never narrower than this, px; on a telephone an eye and a finger need more. */
const leastHour = (room: number) => (room < 560 ? 120 : 58);
const HEAD = 34;
const ROW = 54;
/** Hours shown at least. */
const LEAST_SHOWN = 360;

interface Row {
  readonly station: string;
  readonly unit: number;
  readonly units: number;
}

/** One row for each thing work is done at that day; a second vice nobody needs has none. */
const rowsOf = (visits: readonly PlacedVisit[]): Row[] =>
  STATIONS.flatMap(({ id }) => {
    const used = visits.filter(({ station }) => station === id).map(({ unit }) => unit);
    const units = Math.max(0, ...used) + 1;
    return Array.from({ length: units }, (_, unit) => ({ station: id, unit, units }));
  });

export interface DayChartProps {
  /** Visits of this day, minutes since its midnight. */
  readonly visits: readonly PlacedVisit[];
  readonly opens: number;
  readonly closes: number;
  /** Null on another day than today. */
  readonly now: number | null;
  /** The visit a hand is moving, and by how many minutes. */
  readonly moving?: { readonly key: string; readonly by: number } | null;
  /** What a visit is drawn with, where it can be taken hold of. */
  readonly Box?: ComponentType<VisitBoxProps>;
  /** Told how many pixels a minute is. */
  readonly scale?: { current: number };
}

/** A day by station on a tape of hours. */
export function DayChart({
  visits,
  opens,
  closes,
  now,
  moving = null,
  Box = VisitBox,
  scale,
}: DayChartProps) {
  const holder = useRef<HTMLDivElement>(null);
  const { width: room } = useSize(holder, { width: 780, height: 400 });
  const [from, to] = hoursShown({ opens, closes, now, visits });
  // Where there is no room for that, the day is pushed sideways under its names.
  const width = Math.max(room, NAMES_WIDTH + 2 * EDGE + ((to - from) / 60) * leastHour(room));
  const perMinute = (width - NAMES_WIDTH - 2 * EDGE) / (to - from);
  const x = (minutes: number) => NAMES_WIDTH + EDGE + (minutes - from) * perMinute;
  const rows = rowsOf(visits);
  const height = HEAD + rows.length * ROW;
  const hours = Array.from({ length: Math.floor((to - from) / 60) + 1 }, (_, i) => from / 60 + i);
  if (scale) scale.current = perMinute;
  return (
    <div
      className={css.dayPlan}
      data-part="day-plan"
      ref={holder}
      role="group"
      aria-label={today.plan}
      tabIndex={width > room ? 0 : undefined}
    >
      <div className={css.tape} style={{ width, height }}>
        <Names rows={rows} height={height} />
        <svg className={css.grid} width={width} height={height} aria-hidden>
          {hours.map((hour) => (
            <g key={hour}>
              <path d={`M${x(hour * 60)} ${HEAD}V${height}`} stroke="var(--rule-soft)" />
              <text
                x={x(hour * 60)}
                y={HEAD - 15}
                textAnchor="middle"
                className={drawingsCss.svgFigure}
              >
                {hour}
              </text>
              {hour * 60 < to &&
                [0, 15, 30, 45].map((quarter) => (
                  <path
                    key={quarter}
                    d={`M${x(hour * 60 + quarter)} ${HEAD}v-${quarter === 0 ? 11 : quarter === 30 ? 7 : 4}`}
                    stroke="var(--ink-soft)"
                  />
                ))}
            </g>
          ))}
          {rows.map(({ station, unit }, i) => (
            <path
              key={`${station}${unit}`}
              d={`M${NAMES_WIDTH} ${HEAD + i * ROW}H${width}`}
              stroke={unit === 0 ? 'var(--rule)' : 'var(--rule-soft)'}
            />
          ))}
        </svg>
        {visits.map((visit) => {
          const key = keyOf(visit);
          const row = rows.findIndex((r) => r.station === visit.station && r.unit === visit.unit);
          return (
            <Box
              key={key}
              visit={visit}
              left={x(visit.from)}
              width={x(visit.to) - x(visit.from) - 2}
              room={roomAfter(visit, visits, to, x)}
              top={HEAD + row * ROW + 5}
              shift={moving?.key === key ? moving.by * perMinute : 0}
              label={moving?.key === key ? clockWords(visit.from + moving.by) : null}
            />
          );
        })}
        {now !== null && now >= from && now <= to && (
          <svg
            className={css.now}
            data-part="now"
            width={12}
            height={height}
            style={{ left: x(now) - 6 }}
            aria-hidden
          >
            <path d={`M0 ${HEAD - 9}h12l-6 9z`} fill="var(--brick)" />
            <path d={`M6 ${HEAD}V${height}`} stroke="var(--brick)" strokeWidth={2} />
          </svg>
        )}
      </div>
    </div>
  );
}

/** What work is done at; it stays where the hours are pushed along under it. */
const Names = ({ rows, height }: { rows: readonly Row[]; height: number }) => (
  <svg className={css.names} width={NAMES_WIDTH} height={height} aria-hidden>
    {rows.map(({ station, unit, units }, i) => (
      <g key={`${station}${unit}`}>
        <path
          d={`M${unit === 0 ? 0 : NAMES_WIDTH - 24} ${HEAD + i * ROW}H${NAMES_WIDTH}`}
          stroke={unit === 0 ? 'var(--rule)' : 'var(--rule-soft)'}
        />
        {unit === 0 && (
          <text x={0} y={HEAD + i * ROW + ROW / 2 + 5} className={drawingsCss.svgStrong}>
            {stationName(station)}
          </text>
        )}
        {units > 1 && (
          <text
            x={NAMES_WIDTH - 14}
            y={HEAD + i * ROW + ROW / 2 + 5}
            textAnchor="end"
            className={drawingsCss.svgSoft}
          >
            {unit + 1}
          </text>
        )}
      </g>
    ))}
  </svg>
);

/** "T. Okoro" is TO: who does it, where there is no room for a name. */
const initials = (name: string) =>
  name
    .split(/[\s.]+/)
    .map((part) => part.charAt(0))
    .join('');

export const keyOf = ({ jobId, visitId }: PlacedVisit) => `${jobId} ${visitId}`;

/** From this hour on, as long as there is work and at least six hours. */
function hoursShown({
  opens,
  closes,
  now,
  visits,
}: Pick<DayChartProps, 'opens' | 'closes' | 'now' | 'visits'>): [number, number] {
  const first = Math.min(opens, ...visits.map((visit) => visit.from));
  const last = Math.max(closes, ...visits.map((visit) => visit.to));
  const start = now === null ? first : Math.min(now, Math.max(first, last - LEAST_SHOWN));
  const from = Math.floor(Math.max(Math.min(first, start), start) / 60) * 60;
  const work = Math.max(0, ...visits.map((visit) => visit.to));
  const to = now === null ? last : Math.max(from + LEAST_SHOWN, Math.ceil((work + 45) / 60) * 60);
  return [
    from,
    Math.ceil(Math.max(from + LEAST_SHOWN, Math.min(Math.max(last, work), to)) / 60) * 60,
  ];
}

/** Pixels from a visit's start to the next one in its row. */
function roomAfter(
  visit: PlacedVisit,
  visits: readonly PlacedVisit[],
  end: number,
  x: (minutes: number) => number,
): number {
  const next = visits
    .filter(
      (other) =>
        other.station === visit.station && other.unit === visit.unit && other.from > visit.from,
    )
    .reduce((least, other) => Math.min(least, other.from), end);
  return x(next) - x(visit.from);
}

interface VisitBoxProps {
  readonly visit: PlacedVisit;
  readonly left: number;
  readonly width: number;
  readonly room: number;
  readonly top: number;
  readonly shift: number;
  readonly label: string | null;
  /** What makes it a thing to take hold of. */
  readonly hold?: Partial<ComponentProps<typeof Link>> | undefined;
  readonly dragging?: boolean;
}

/** Short visits carry their name beside them where there is room, else their initials. */
export function VisitBox({
  visit,
  left,
  width,
  room,
  top,
  shift,
  label,
  hold,
  dragging = false,
}: VisitBoxProps) {
  const beside = width < 86 && room - width > 84;
  const name = visit.name.split(' ').at(-1)!;
  const about = visit.archer ? today.withArcher : today.steps(visit.steps);
  return (
    <Link
      href={`/jobs/${visit.jobId}`}
      prefetch={false}
      className={css.visitBox}
      data-part="visit-box"
      data-press={visit.station === 'press' ? 'yes' : 'no'}
      data-put={visit.pinned ? 'yes' : 'no'}
      data-arrange={visit.toArrange ? 'yes' : 'no'}
      data-dragging={dragging ? 'yes' : 'no'}
      title={`${visit.name}, ${clockWords(visit.from)}, ${visit.person}`}
      style={{
        left,
        width: beside ? Math.min(room - 4, width + 118) : width,
        top,
        height: ROW - 10,
        transform: shift === 0 ? undefined : `translateX(${shift}px)`,
      }}
      draggable={false}
      {...hold}
      aria-label={`${visit.name}, ${clockWords(visit.from)}, ${about}${visit.pinned ? `, ${w.fixed}` : ''}`}
    >
      <span className={css.visitBar} style={{ width }} />
      <span
        className={css.visitText}
        data-inside={beside ? undefined : 'yes'}
        style={{ marginLeft: beside ? width + 6 : Math.min(8, width / 2 - 5) }}
      >
        <b>{label ?? (beside || width > 60 ? name : width > 14 ? name.charAt(0) : '')}</b>
        {(beside || width > 74) && (
          <span>
            {about} · {initials(visit.person)}
          </span>
        )}
      </span>
    </Link>
  );
}
