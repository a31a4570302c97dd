'use client';
import { useRef } from 'react';
import Link from 'next/link';
import type { TodayView } from '@/core/job';
import { STATIONS, type PlannedVisit } from '@/core/route';
import { useSize } from '../drawings/useSize';
import { today as w } from '../words';

const NAMES_WIDTH = 104;
const HEAD = 34;
const ROW = 62;

/** The day by station on a tape of hours; now is a line across it. */
export function DayPlan({ view }: { view: TodayView }) {
  const holder = useRef<HTMLDivElement>(null);
  const { width } = useSize(holder, { width: 780, height: 400 });
  const { minutesNow, visits } = view;
  const [opens, closes] = hoursShown(view);
  const perMinute = (width - NAMES_WIDTH - 12) / (closes - opens);
  const x = (minutes: number) => NAMES_WIDTH + (minutes - opens) * perMinute;
  const height = HEAD + STATIONS.length * ROW;
  const hours = Array.from({ length: (closes - opens) / 60 + 1 }, (_, i) => opens / 60 + i);
  const open = minutesNow >= view.opens && minutesNow <= view.closes;
  return (
    <>
      <div className="day-plan" ref={holder} style={{ height }} role="group" aria-label={w.plan}>
        <svg width={width} height={height} aria-hidden>
          {hours.map((hour) => (
            <g key={hour}>
              <path d={`M${x(hour * 60)} ${HEAD}V${height}`} stroke="var(--rule-soft)" />
              <text x={x(hour * 60)} y={HEAD - 15} textAnchor="middle" className="svg-figure">
                {hour}
              </text>
              {hour * 60 < closes &&
                [0, 15, 30, 45].map((quarter) => (
                  <path
                    key={quarter}
                    d={`M${x(hour * 60 + quarter)} ${HEAD}v-${quarter === 0 ? 11 : quarter === 30 ? 7 : 4}`}
                    stroke="var(--ink-soft)"
                  />
                ))}
            </g>
          ))}
          {STATIONS.map(({ id, name }, i) => (
            <g key={id}>
              <path d={`M0 ${HEAD + i * ROW}H${width}`} stroke="var(--rule)" />
              <text x={0} y={HEAD + i * ROW + ROW / 2 + 5} className="svg-strong">
                {name}
              </text>
            </g>
          ))}
        </svg>
        {visits.map((visit, i) => (
          <VisitBox key={i} visit={visit} x={x} room={roomAfter(visit, visits, closes, x)} />
        ))}
        {open && (
          <svg
            className="now"
            width={12}
            height={height}
            style={{ left: x(minutesNow) - 6 }}
            aria-hidden
          >
            <path d={`M0 ${HEAD - 9}h12l-6 9z`} fill="var(--brick)" />
            <path d={`M6 ${HEAD}V${height}`} stroke="var(--brick)" strokeWidth={2} />
          </svg>
        )}
      </div>
      {visits.length === 0 ? (
        <p className="soft">{w.nothingPlanned}</p>
      ) : (
        !open && <p className="soft">{w.closed}</p>
      )}
    </>
  );
}

/** From this hour on, as long as there is work and at least six hours; the whole day when closed. */
function hoursShown({ opens, closes, minutesNow, visits }: TodayView): [number, number] {
  const from = Math.max(opens, Math.min(Math.floor(minutesNow / 60) * 60, closes - 360));
  const last = Math.max(0, ...visits.map((visit) => visit.to));
  return [from, Math.min(closes, Math.max(from + 360, Math.ceil((last + 45) / 60) * 60))];
}

/** Pixels from a visit's start to the next one at its station. */
function roomAfter(
  visit: PlannedVisit,
  visits: readonly PlannedVisit[],
  closes: number,
  x: (minutes: number) => number,
): number {
  const next = visits
    .filter((other) => other.station === visit.station && other.from > visit.from)
    .reduce((least, other) => Math.min(least, other.from), closes);
  return x(next) - x(visit.from);
}

/** Short visits carry their name beside them where there is room, else their initial. */
function VisitBox({
  visit,
  x,
  room,
}: {
  visit: PlannedVisit;
  x: (minutes: number) => number;
  room: number;
}) {
  const row = STATIONS.findIndex(({ id }) => id === visit.station);
  const width = x(visit.to) - x(visit.from) - 2;
  const beside = width < 86 && room - width > 84;
  const name = visit.name.split(' ').at(-1)!;
  const about = visit.archer ? w.withArcher : w.steps(visit.steps);
  return (
    <Link
      href={`/jobs/${visit.jobId}`}
      prefetch={false}
      className="visit-box"
      data-press={visit.station === 'press' ? 'yes' : 'no'}
      aria-label={`${visit.name}, ${about}`}
      style={{
        left: x(visit.from),
        width: beside ? Math.min(room - 4, width + 96) : width,
        top: HEAD + row * ROW + 7,
        height: ROW - 14,
      }}
    >
      <span className="visit-bar" style={{ width }} />
      <span
        className="visit-text"
        data-inside={beside ? undefined : 'yes'}
        style={{ marginLeft: beside ? width + 6 : Math.min(8, width / 2 - 5) }}
      >
        <b>{beside || width > 60 ? name : name.charAt(0)}</b>
        {(beside || width > 74) && <span>{about}</span>}
      </span>
    </Link>
  );
}
