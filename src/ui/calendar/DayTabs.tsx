'use client';
import { useState } from 'react';
import type { Shop } from '@/core/job';
import { addDays } from '@/core/units';
import { dayText, plainDay } from '../fields/dates';
import { Press } from '../pieces/Press';
import { Text } from '../pieces/Text';
import { calendarWords as w } from '../words';
import type { Calendar } from './useCalendar';
import css from './CalendarPage.module.css';

const DAY = 1440;
/** Days to choose from. */
const SHOWN_DAYS = 10;
/** As far as a plan can reach. */
const MOST_DAYS = 400;

/** Ten days at a time, with how many visits each holds. */
export function DayTabs({
  calendar: { plan, view },
  shop,
  at,
  onGo,
}: {
  calendar: Calendar;
  shop: Pick<Shop, 'closed'>;
  at: number;
  onGo: (day: number) => void;
}) {
  const [from, setFrom] = useState(0);
  const count = (day: number) =>
    plan.visits.filter((visit) => Math.floor(visit.from / DAY) === day).length;
  return (
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
          onClick={() => onGo(i)}
        >
          <b>
            {i === 0 ? dayText(view.firstDay, view.firstDay) : plainDay(addDays(view.firstDay, i))}
          </b>
          <Text soft as="span">
            {count(i) || '–'}
          </Text>
        </Press>
      ))}
      {from + SHOWN_DAYS < MOST_DAYS && (
        <Press type="button" onClick={() => setFrom(from + SHOWN_DAYS)}>
          {w.later}
        </Press>
      )}
    </nav>
  );
}
