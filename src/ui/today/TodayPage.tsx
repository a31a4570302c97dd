'use client';
import Link from 'next/link';
import Button from '@mui/material/Button';
import clsx from 'clsx';
import type { TodayView } from '@/core/job';
import { Text } from '../pieces/Text';
import { Brand } from '../frame/Brand';
import { useShell } from '../frame/useShell';
import { TopTools } from '../frame/TopTools';
import { longDay, plainDay } from '../fields/dates';
import { calendarWords, frame, orderWords, today as w } from '../words';
import { DayPlan } from '../calendar/DayPlan';
import { PlanState, remedyWords } from '../calendar/PlanState';
import { useCalendar, type Calendar } from '../calendar/useCalendar';
import { Key, Note } from '../pieces/texts';
import { BlockTitle, Head, Rows, Split } from '../pieces/layout';
import { TicketList } from './TicketList';
import topCss from '../frame/Top.module.css';
import stripCss from '../frame/strip.module.css';
import css from './TodayPage.module.css';

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
    <div className={css.today}>
      <header className={topCss.top} data-part="top">
        <Brand />
        <h1>{w.title(longDay(view.day))}</h1>
        <span className={topCss.about}>
          {view.shopName} · {w.openTill(clock(view.closes))}
        </span>
        <div className={topCss.facts}>
          <Button
            href="/shop"
            prefetch={false}
            variant="plain"
            component={Link}
            className={css.besideTitle}
          >
            {w.settings}
          </Button>
          <TopTools />
          <Button variant="contained" className={topCss.act} onClick={() => open('new')}>
            {frame.newJob} <Key className={clsx(topCss.buttonKey, topCss.key)}>n</Key>
          </Button>
        </div>
      </header>
      <TicketList tickets={view.tickets} day={view.day} timeZone={view.timeZone} />
      <main className={css.day}>
        <Head>
          <h2>{w.bench}</h2>
          <Text variant="aside">
            {bows > 0 && `${w.visits(press.length, bows)} · `}
            <Link href="/calendar" prefetch={false}>
              {calendarWords.link}
            </Link>
            <span className={css.underTitle}>
              {' · '}
              <Link href="/shop" prefetch={false}>
                {w.settings}
              </Link>
            </span>
          </Text>
        </Head>
        {view.unreadable.length > 0 && (
          <Note kind="stop" role="alert">
            {w.unreadable(view.unreadable)}
          </Note>
        )}
        <PlanState calendar={calendar} />
        {calendar.trouble && (
          <Note kind="stop" role="alert">
            {calendar.trouble}
          </Note>
        )}
        <DayPlan
          visits={visits}
          opens={view.opens}
          closes={view.closes}
          now={isOpen ? view.minutesNow : null}
          onPut={(visit, from) => void calendar.put(visit.jobId, visit.visitId, from)}
        />
        {visits.length === 0 ? (
          <Text soft>
            {view.closedFor ? calendarWords.closed(view.closedFor) : w.nothingPlanned}
          </Text>
        ) : (
          !isOpen && <Text soft>{w.closed}</Text>
        )}
        <Split className={css.dayLists}>
          <section>
            <BlockTitle>
              {w.arriving}{' '}
              <Link href="/orders" prefetch={false}>
                {orderWords.link}
              </Link>
            </BlockTitle>
            <Rows className={css.dayRows}>
              {view.arriving.map(({ day, label, name, jobId }) => (
                <li key={`${jobId} ${label} ${day}`}>
                  <Text variant="figure">{plainDay(day)}</Text>
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
              {view.arriving.length === 0 && (
                <Text soft as="li">
                  {w.noArriving}
                </Text>
              )}
            </Rows>
          </section>
          <section>
            <BlockTitle>{w.comingBack}</BlockTitle>
            <Rows className={css.dayRows}>
              {view.comingBack.map(({ day, name, jobId, why }) => (
                <li key={`${jobId} ${why}`}>
                  <Text variant="figure">{plainDay(day)}</Text>
                  <Text soft as="span">
                    {why === 'visit' ? w.checks : w.grows}
                  </Text>
                  <Link href={`/jobs/${jobId}`}>{name}</Link>
                </li>
              ))}
              {view.comingBack.length === 0 && (
                <Text soft as="li">
                  {w.noComingBack}
                </Text>
              )}
            </Rows>
          </section>
        </Split>
      </main>
      {late.length > 0 && (
        <footer className={clsx(stripCss.strip, stripCss.lateStrip)} data-part="strip">
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
  return first ? (
    <Text soft as="span">
      {' '}
      · {remedyWords(first, view.firstDay)}
    </Text>
  ) : null;
}
