'use client';
import Button from '@mui/material/Button';
import { dayOfMinute } from '@/core/job';
import type { Remedy } from '@/core/calendar';
import { Text } from '../pieces/Text';
import { dayText } from '../fields/dates';
import { calendarWords as w } from '../words';
import { longWords, whenWords } from './clock';
import type { Calendar } from './useCalendar';
import css from './PlanState.module.css';

/** Less than this is no difference anybody would see. */
const SEEN_MIN = 30;

/** How good the plan is, and that it is still looked for. */
export function PlanState({ calendar: { plan, part, stop } }: { calendar: Calendar }) {
  const { late, lateness, bound } = plan;
  const gap = lateness - bound;
  return (
    <p className={css.planState} data-part="plan-state" role="status">
      <span>{late.length === 0 ? w.nothingLate : w.late(late.length, longWords(lateness))}</span>{' '}
      {part !== null ? (
        <>
          <Text soft as="span">
            {w.looking(Math.round(part * 100))}
          </Text>{' '}
          <Button size="small" variant="text" onClick={stop}>
            {w.stop}
          </Button>
        </>
      ) : late.length === 0 ? null : (
        <Text soft as="span">
          {gap < SEEN_MIN ? w.best : bound < SEEN_MIN ? '' : `${w.mayBe(longWords(bound))} `}
          {gap >= SEEN_MIN && w.gap(longWords(gap))}
        </Text>
      )}
    </p>
  );
}

export function remedyWords(remedy: Remedy, firstDay: string): string {
  const day = (at: number) => dayText(dayOfMinute(firstDay, at * 1440), firstDay);
  switch (remedy.kind) {
    case 'letGo':
      return w.remedies.letGo(whenWords(firstDay, remedy.was));
    case 'appointment':
      return w.remedies.appointment(whenWords(firstDay, remedy.from));
    case 'overtime':
      return w.remedies.overtime(remedy.person, remedy.days.map(day));
    case 'express':
      return w.remedies.express(day(remedy.day));
    case 'promise':
      return w.remedies.promise(day(remedy.day));
  }
}
