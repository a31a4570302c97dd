'use client';
import Link from 'next/link';
import { FIRST_HOUR, type TodayView } from '@/core/job';
import { Text } from '../pieces/Text';
import { backupWords, calendarWords, firstWords as first, today as w } from '../words';
import { useShell } from '../frame/useShell';
import { DayPlan } from '../calendar/DayPlan';
import { PlanState } from '../calendar/PlanState';
import { useCalendarOf } from '../calendar/useCalendar';
import { Note } from '../pieces/texts';
import { Head } from '../pieces/layout';
import { DayLists } from './DayLists';
import { LateStrip } from './LateStrip';
import { TicketList } from './TicketList';
import { TodayTop } from './TodayTop';
import css from './TodayPage.module.css';

/** The home: what to do next, the bench's day, what comes in, who comes back. */
export function TodayPage({
  view,
  opening = null,
}: {
  view: TodayView;
  /** Parts of the guided opening gone through; null where there is none. */
  opening?: number | null;
}) {
  const { may } = useShell();
  const calendar = useCalendarOf(view.calendar);
  const visits = calendar.plan.visits.filter((visit) => visit.from < 1440);
  const press = visits.filter((visit) => visit.station === 'press');
  const bows = new Set(visits.map((visit) => visit.jobId)).size;
  const isOpen = view.minutesNow >= view.opens && view.minutesNow <= view.closes;
  return (
    <div className={css.today}>
      <TodayTop view={view} />
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
        {opening !== null && opening < FIRST_HOUR.length && may('settings') && (
          <Note kind="good">
            {first.open}:{' '}
            <Link href="/shop/first" prefetch={false}>
              {first.goOn(opening, FIRST_HOUR.length)}
            </Link>
          </Note>
        )}
        {view.unreadable.length > 0 && (
          <Note kind="stop" role="alert">
            {w.unreadable(view.unreadable)}
          </Note>
        )}
        {view.backup && (
          <Note kind="care" role="status">
            {backupWords.tooOld(view.backup.days)}{' '}
            <Link href="/shop" prefetch={false}>
              {backupWords.lookAt}
            </Link>
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
        <DayLists arriving={view.arriving} comingBack={view.comingBack} />
      </main>
      <LateStrip tickets={view.tickets} calendar={calendar} />
    </div>
  );
}
