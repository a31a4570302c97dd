'use client';
import Link from 'next/link';
import Button from '@mui/material/Button';
import type { Ticket } from '@/core/job';
import { Text } from '../pieces/Text';
import { dayOf, dayText, timeText } from '../fields/dates';
import { useShell } from '../frame/useShell';
import { deliveredWords, frame, today as w } from '../words';
import { Actions, Empty } from '../pieces/layout';
import { Tag } from '../pieces/texts';
import { useSoon } from '../pieces/useSoon';
import todayPageCss from './TodayPage.module.css';
import css from './TicketList.module.css';

/** More than fit on the longest screen. */
const SEEN_AT_ONCE = 16;

/** The jobs as tickets, in order of what to do next. */
export function TicketList({
  tickets,
  day,
  timeZone,
}: {
  tickets: readonly Ticket[];
  day: string;
  timeZone: string;
}) {
  const { open } = useShell();
  const shown = useSoon(tickets.length, SEEN_AT_ONCE);
  if (tickets.length === 0) {
    return (
      <nav className={todayPageCss.tickets} data-part="tickets" aria-label={w.jobs}>
        <Empty as="div">
          <b>{w.noJobs}</b>
          <p>{w.noJobsHint}</p>
          <Actions>
            <Button variant="contained" onClick={() => open('new')}>
              {frame.newJob}
            </Button>
          </Actions>
        </Empty>
      </nav>
    );
  }
  return (
    <nav className={todayPageCss.tickets} data-part="tickets" aria-label={w.jobs}>
      {tickets.slice(0, shown).map((ticket) => (
        <Link
          key={ticket.jobId}
          href={`/jobs/${ticket.jobId}`}
          data-state={ticket.state}
          prefetch={false}
        >
          <span className={css.ticketName}>
            <b>{ticket.name}</b>{' '}
            <Text soft as="span">
              {ticket.about}
            </Text>
          </span>
          <Text variant="figure" className={css.ticketDate}>
            {dateOf(ticket, day, timeZone)}
          </Text>
          <span className={css.ticketNext}>
            {ticket.next} {ticket.nextDay && dayText(ticket.nextDay, day)}
          </span>
          <span className={css.ticketTag}>
            <Tag kind={ticket.late ? 'out' : ticket.state}>{ticket.tag}</Tag>
          </span>
        </Link>
      ))}
      {tickets.some(({ state }) => state === 'delivered') && (
        <Link href="/delivered" prefetch={false} className={css.allDelivered}>
          {deliveredWords.link}
        </Link>
      )}
    </nav>
  );
}

/** The appointment when it is today, the second visit once delivered, else the promised day. */
function dateOf(
  { promisedDay, appointmentAt, comeBackDay, state }: Ticket,
  day: string,
  timeZone: string,
) {
  if (comeBackDay) return dayText(comeBackDay, day);
  if (appointmentAt && state !== 'delivered' && dayOf(appointmentAt, timeZone) === day)
    return `today ${timeText(appointmentAt, timeZone)}`;
  return promisedDay ? dayText(promisedDay, day) : w.noDate;
}
