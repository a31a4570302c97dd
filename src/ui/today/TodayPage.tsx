'use client';
import Link from 'next/link';
import Button from '@mui/material/Button';
import type { TodayView } from '@/core/job';
import { Brand } from '../frame/Brand';
import { useShell } from '../frame/useShell';
import { TopTools } from '../frame/TopTools';
import { longDay, plainDay } from '../fields/dates';
import { calendarWords, frame, orderWords, today as w } from '../words';
import { DayChart } from '../calendar/DayChart';
import { PlanState, remedyWords } from '../calendar/PlanState';
import { useCalendar, type Calendar } from '../calendar/useCalendar';
import { TicketList } from './TicketList';

const clock = (minutes: number) =>
  `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`;

/** The home: what to do next, the bench's day, what comes in, who comes back. */
export function TodayPage({ view }: { view: TodayView }) {
  const { open } = useShell();
  const calendar = useCalendar(view.calendar);
  const visits = calendar.plan.visits.filter((visit) => visit.from < 1440);
  const press = visits.filter((visit) => visit.station === 'press');
  const bows = new Set(visits.map((visit) => visit.jobId)).size;
  const isOpen = view.minutesNow >= view.opens && view.minutesNow <= view.closes;
  const late = view.tickets.filter((ticket) => ticket.late);
  return (
    <div className="today">
      <header className="top">
        <Brand />
        <h1>{w.title(longDay(view.day))}</h1>
        <span className="about">
          {view.shopName} · {w.openTill(clock(view.closes))}
        </span>
        <div className="facts">
          <Link href="/shop" prefetch={false} className="plain-button">
            {w.settings}
          </Link>
          <TopTools />
          <Button variant="contained" onClick={() => open('new')}>
            {frame.newJob} <span className="key button-key">n</span>
          </Button>
        </div>
      </header>
      <TicketList tickets={view.tickets} day={view.day} timeZone={view.timeZone} />
      <main className="day">
        <div className="head">
          <h2>{w.bench}</h2>
          <span className="spread">
            {bows > 0 && `${w.visits(press.length, bows)} · `}
            <Link href="/calendar" prefetch={false}>
              {calendarWords.link}
            </Link>
          </span>
        </div>
        {view.unreadable.length > 0 && (
          <p className="note" data-kind="stop" role="alert">
            {w.unreadable(view.unreadable)}
          </p>
        )}
        <PlanState calendar={calendar} />
        {calendar.trouble && (
          <p className="note" data-kind="stop" role="alert">
            {calendar.trouble}
          </p>
        )}
        <DayChart
          visits={visits}
          opens={view.opens}
          closes={view.closes}
          now={isOpen ? view.minutesNow : null}
          onPut={(visit, from) => void calendar.put(visit.jobId, visit.visitId, from)}
        />
        {visits.length === 0 ? (
          <p className="soft">
            {view.closedFor ? calendarWords.closed(view.closedFor) : w.nothingPlanned}
          </p>
        ) : (
          !isOpen && <p className="soft">{w.closed}</p>
        )}
        <div className="split day-lists">
          <section>
            <h3 className="block-title">
              {w.arriving}{' '}
              <Link href="/orders" prefetch={false}>
                {orderWords.link}
              </Link>
            </h3>
            <ul className="rows day-rows">
              {view.arriving.map(({ day, label, name, jobId }) => (
                <li key={`${jobId} ${label} ${day}`}>
                  <span className="figure">{plainDay(day)}</span>
                  <span>{label}</span>
                  {jobId === null ? (
                    <Link href="/orders" prefetch={false}>
                      {orderWords.forShelf}
                    </Link>
                  ) : (
                    <Link href={`/jobs/${jobId}`}>{name}</Link>
                  )}
                </li>
              ))}
              {view.arriving.length === 0 && <li className="soft">{w.noArriving}</li>}
            </ul>
          </section>
          <section>
            <h3 className="block-title">{w.comingBack}</h3>
            <ul className="rows day-rows">
              {view.comingBack.map(({ day, name, jobId, why }) => (
                <li key={`${jobId} ${why}`}>
                  <span className="figure">{plainDay(day)}</span>
                  <span className="soft">{why === 'visit' ? w.checks : w.grows}</span>
                  <Link href={`/jobs/${jobId}`}>{name}</Link>
                </li>
              ))}
              {view.comingBack.length === 0 && <li className="soft">{w.noComingBack}</li>}
            </ul>
          </section>
        </div>
      </main>
      {late.length > 0 && (
        <footer className="strip late-strip">
          {late.map((ticket) => (
            <span key={ticket.jobId}>
              <Link href={`/jobs/${ticket.jobId}`}>{ticket.name}</Link> {ticket.late}
              <CheapestWay calendar={calendar} jobId={ticket.jobId} />
            </span>
          ))}
        </footer>
      )}
    </div>
  );
}

/** The cheapest way to have a bow in time, once the plan stands. */
function CheapestWay({
  calendar: { remedies, view },
  jobId,
}: {
  calendar: Calendar;
  jobId: string;
}) {
  const [first] = remedies.find((other) => other.jobId === jobId)?.remedies ?? [];
  return first ? <span className="soft"> · {remedyWords(first, view.firstDay)}</span> : null;
}
