'use client';
import { useState } from 'react';
import Link from 'next/link';
import Button from '@mui/material/Button';
import { type CalendarView, type Shop } from '@/core/job';
import { stationName } from '@/core/bench';
import { benchDay, type PlacedVisit } from '@/core/calendar';
import { addDays } from '@/core/units';
import { Text } from '../pieces/Text';
import { PageHead } from '../frame/PageHead';
import { calendarWords as w, today } from '../words';
import { Note, Tag } from '../pieces/texts';
import { BlockTitle, Empty, Rows, Split } from '../pieces/layout';
import { clockWords, whenWords } from './clock';
import { DayTabs } from './DayTabs';
import { usePut } from './usePut';
import { DayPlan } from './DayPlan';
import { MovePanel } from './MovePanel';
import { PlanState } from './PlanState';
import { useCalendar, type Calendar } from './useCalendar';
import { LateList } from './LateList';
import css from './CalendarPage.module.css';
import lateCss from './late.module.css';

const DAY = 1440;

/** The bench of the coming days: who does which visit when, and what is late. */
export function CalendarPage({ first, shop }: { first: CalendarView; shop: Shop }) {
  const calendar = useCalendar(first);
  const { plan, view } = calendar;
  const [at, setAt] = useState(0);
  const { put, asking } = usePut(calendar);
  const [moving, setMoving] = useState<PlacedVisit | null>(null);
  const { visits, opens, closes } = benchDay(plan.visits, view.input.people, at);
  const shown = addDays(view.firstDay, at);
  const closed = shop.closed.find(({ day }) => day === shown);
  return (
    <>
      <PageHead title={w.title} />
      <main className={css.calendar}>
        <DayTabs calendar={calendar} shop={shop} at={at} onGo={setAt} />
        <PlanState calendar={calendar} />
        {calendar.trouble && (
          <Note kind="stop" role="alert">
            {calendar.trouble}
          </Note>
        )}
        {closed ? (
          <Empty>{w.closed(closed.name)}</Empty>
        ) : (
          <DayPlan
            visits={visits.map((visit) => ({
              ...visit,
              from: visit.from - at * DAY,
              to: visit.to - at * DAY,
            }))}
            opens={opens}
            closes={closes}
            now={at === 0 ? view.input.now : null}
            onPut={(visit, minute) => void put(visit, minute + at * DAY)}
          />
        )}
        <Text variant="small" soft as="p">
          {w.hint}
        </Text>
        <Split className={css.calendarLists}>
          <div>
            <DayVisits visits={visits} onMove={setMoving} />
            <PutByHand calendar={calendar} onMove={setMoving} />
          </div>
          <div>
            <LateList calendar={calendar} />
            <Arrange calendar={calendar} />
          </div>
        </Split>
      </main>
      {moving && (
        <MovePanel
          visit={moving}
          view={view}
          onPut={(minute) =>
            minute === null ? calendar.put(moving.jobId, moving.visitId, null) : put(moving, minute)
          }
          onClose={() => setMoving(null)}
        />
      )}
      {asking}
    </>
  );
}

function DayVisits({
  visits,
  onMove,
}: {
  visits: readonly PlacedVisit[];
  onMove: (visit: PlacedVisit) => void;
}) {
  return (
    <section>
      <BlockTitle as="h2">{w.all}</BlockTitle>
      <Rows className={css.calendarRows} data-part="calendar-rows">
        {visits.map((visit) => (
          <li key={`${visit.jobId} ${visit.visitId}`}>
            <Text variant="figure">
              {clockWords(visit.from)}–{clockWords(visit.to)}
            </Text>
            <span>
              <Link href={`/jobs/${visit.jobId}`} prefetch={false}>
                {visit.name}
              </Link>{' '}
              <Text soft as="span">
                {stationName(visit.station).toLowerCase()} ·{' '}
                {visit.archer ? today.withArcher : today.steps(visit.steps)} · {visit.person}
              </Text>{' '}
              {visit.pinned && <Tag kind="plain">{w.fixed}</Tag>}
            </span>
            <Button
              size="small"
              variant="text"
              aria-label={`${w.move}: ${visit.name}, ${clockWords(visit.from)}`}
              onClick={() => onMove(visit)}
            >
              {w.move}
            </Button>
          </li>
        ))}
        {visits.length === 0 && (
          <Text soft as="li">
            {w.noVisits}
          </Text>
        )}
      </Rows>
    </section>
  );
}

/** Every visit somebody put somewhere, on whatever day: seen, moved, let go. */
function PutByHand({
  calendar: { plan, view, put },
  onMove,
}: {
  calendar: Calendar;
  onMove: (visit: PlacedVisit) => void;
}) {
  const visits = plan.visits.filter(({ pinned }) => pinned);
  if (visits.length === 0) return null;
  return (
    <section>
      <BlockTitle as="h2">{w.putTitle}</BlockTitle>
      <Rows className={css.calendarRows} data-part="calendar-rows">
        {visits.map((visit) => (
          <li key={`${visit.jobId} ${visit.visitId}`}>
            <Text variant="figure">{whenWords(view.firstDay, visit.from)}</Text>
            <span>
              {visit.name}{' '}
              <Text soft as="span">
                {stationName(visit.station).toLowerCase()}
              </Text>
            </span>
            <span>
              <Button size="small" variant="text" onClick={() => onMove(visit)}>
                {w.move}
              </Button>
              <Button
                size="small"
                variant="text"
                onClick={() => void put(visit.jobId, visit.visitId, null)}
              >
                {w.letGo}
              </Button>
            </span>
          </li>
        ))}
      </Rows>
    </section>
  );
}

/** Visits that need an archer nobody has spoken to yet. */
function Arrange({ calendar: { plan, view } }: { calendar: Calendar }) {
  const open = plan.visits.filter((visit) => visit.toArrange);
  const first = open.filter(
    (visit, i) => open.findIndex(({ jobId }) => jobId === visit.jobId) === i,
  );
  return (
    <section>
      <BlockTitle as="h2">
        {w.arrange}{' '}
        <a href="/api/v1/calendar/appointments" download>
          {w.appointments}
        </a>
      </BlockTitle>
      {first.length > 0 && (
        <Text variant="small" soft as="p">
          {w.arrangeHow}
        </Text>
      )}
      <Rows className={lateCss.lateRows}>
        {first.map((visit) => (
          <li key={visit.jobId}>
            <Link href={`/jobs/${visit.jobId}/meet`} prefetch={false}>
              {visit.name}
            </Link>
            <Text variant="figure">{whenWords(view.firstDay, visit.from)}</Text>
          </li>
        ))}
        {first.length === 0 && (
          <Text soft as="li">
            {w.noArrange}
          </Text>
        )}
      </Rows>
    </section>
  );
}
