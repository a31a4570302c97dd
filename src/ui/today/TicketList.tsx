'use client';
import Link from 'next/link';
import Button from '@mui/material/Button';
import type { Ticket } from '@/core/job';
import { dayOf, dayText, timeText } from '../fields/dates';
import { useShell } from '../frame/useShell';
import { frame, today as w } from '../words';

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
  if (tickets.length === 0) {
    return (
      <nav className="tickets" aria-label={w.jobs}>
        <div className="empty">
          <b>{w.noJobs}</b>
          <p>{w.noJobsHint}</p>
          <div className="actions">
            <Button variant="contained" onClick={() => open('new')}>
              {frame.newJob}
            </Button>
          </div>
        </div>
      </nav>
    );
  }
  return (
    <nav className="tickets" aria-label={w.jobs}>
      {tickets.map((ticket) => (
        <Link
          key={ticket.jobId}
          href={`/jobs/${ticket.jobId}`}
          data-state={ticket.state}
          prefetch={false}
        >
          <span className="ticket-name">
            <b>{ticket.name}</b> <span className="soft">{ticket.about}</span>
          </span>
          <span className="ticket-date figure">{dateOf(ticket, day, timeZone)}</span>
          <span className="ticket-next">
            {ticket.next} {ticket.nextDay && dayText(ticket.nextDay, day)}
          </span>
          <span className="ticket-tag">
            <span className="tag" data-kind={ticket.late ? 'out' : ticket.state}>
              {ticket.tag}
            </span>
          </span>
        </Link>
      ))}
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
