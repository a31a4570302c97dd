'use client';
import { useState } from 'react';
import Link from 'next/link';
import Button from '@mui/material/Button';
import { type CalendarView, type Shop } from '@/core/job';
import { stationName } from '@/core/bench';
import { USUAL_SHIFT, type PlacedVisit } from '@/core/calendar';
import { addDays } from '@/core/units';
import { Text } from '../pieces/Text';
import { Press } from '../pieces/Press';
import { dayText, plainDay } from '../fields/dates';
import { PageHead } from '../frame/PageHead';
import { useAsk } from '../frame/useAsk';
import { calendarWords as w, today } from '../words';
import { Note, Tag } from '../pieces/texts';
import { BlockTitle, Empty, Rows, Split } from '../pieces/layout';
import { clockWords, whenWords } from './clock';
import { DayPlan } from './DayPlan';
import { MovePanel } from './MovePanel';
import { PlanState } from './PlanState';
import { useCalendar, type Calendar } from './useCalendar';
import { LateList } from './LateList';
import css from './CalendarPage.module.css';
import lateCss from './late.module.css';

const DAY = 1440;
/** Days to choose from. */
const SHOWN_DAYS = 10;
/** As far as a plan can reach. */
const MOST_DAYS = 400;

/** The bench of the coming days: who does which visit when, and what is late. */
export function CalendarPage({ first, shop }: { first: CalendarView; shop: Shop }) {
  const calendar = useCalendar(first);
  const { plan, view } = calendar;
  const [at, setAt] = useState(0);
  const [from, setFrom] = useState(0);
  const { ask, asking } = useAsk();
  const [moving, setMoving] = useState<PlacedVisit | null>(null);
  const ofDay = (day: number) =>
    plan.visits.filter((visit) => Math.floor(visit.from / DAY) === day);
  const visits = ofDay(at);
  const shifts = view.input.people.flatMap((person) =>
    person.shifts.filter((shift) => Math.floor(shift.from / DAY) === at),
  );
  const opens = Math.min(...shifts.map(({ from }) => from - at * DAY), USUAL_SHIFT.to);
  const closes = Math.max(...shifts.map(({ to }) => to - at * DAY), 0) || USUAL_SHIFT.to;
  const day = addDays(view.firstDay, at);
  const closed = shop.closed.find((other) => other.day === day);
  /** An agreed appointment is not moved by a drag: it is asked whether the archer knows. */
  const put = async (visit: PlacedVisit, minute: number): Promise<string | null> => {
    const { appointment } = view.input.jobs.find(({ id }) => id === visit.jobId) ?? {};
    const until = minute + visit.to - visit.from;
    const agreed = appointment && minute >= appointment.from && until <= appointment.to;
    if (visit.archer && appointment && !agreed) {
      const answer = await ask({
        title: w.agreedTitle,
        text: <p>{w.agreed(visit.name, whenWords(view.firstDay, appointment.from))}</p>,
        answers: [
          { id: 'leave', name: w.agreedLeave },
          { id: 'move', name: w.agreedMove },
        ],
      });
      if (answer !== 'move') return null;
    }
    return calendar.put(visit.jobId, visit.visitId, minute);
  };
  return (
    <>
      <PageHead title={w.title} />
      <main className={css.calendar}>
        <nav className={css.calendarDays} data-part="calendar-days" aria-label={w.day}>
          {from > 0 && (
            <Press type="button" onClick={() => setFrom(Math.max(0, from - SHOWN_DAYS))}>
              {w.earlier}
            </Press>
          )}
          {Array.from({ length: SHOWN_DAYS }, (_, i) => from + i).map((i) => (
            <Press
              key={i}
              type="button"
              aria-pressed={i === at}
              data-closed={
                shop.closed.some((other) => other.day === addDays(view.firstDay, i)) ? 'yes' : 'no'
              }
              onClick={() => setAt(i)}
            >
              <b>
                {i === 0
                  ? dayText(view.firstDay, view.firstDay)
                  : plainDay(addDays(view.firstDay, i))}
              </b>
              <Text soft as="span">
                {ofDay(i).length || '–'}
              </Text>
            </Press>
          ))}
          {from + SHOWN_DAYS < MOST_DAYS && (
            <Press type="button" onClick={() => setFrom(from + SHOWN_DAYS)}>
              {w.later}
            </Press>
          )}
        </nav>
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
