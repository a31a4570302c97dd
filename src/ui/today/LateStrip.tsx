import Link from 'next/link';
import clsx from 'clsx';
import type { Ticket } from '@/core/job';
import { Text } from '../pieces/Text';
import { remedyWords } from '../calendar/PlanState';
import { today as w } from '../words';
import type { Calendar } from '../calendar/useCalendar';
import stripCss from '../frame/strip.module.css';

/** Who will wait longer than promised, with the cheapest way out. */
export function LateStrip({
  tickets,
  calendar,
}: {
  tickets: readonly Ticket[];
  calendar: Calendar;
}) {
  const late = tickets.filter((ticket) => ticket.late);
  if (late.length === 0) return null;
  return (
    <footer className={clsx(stripCss.strip, stripCss.lateStrip)} data-part="strip">
      {late.slice(0, TOLD).map((ticket) => (
        <span key={ticket.jobId}>
          <Link href={`/jobs/${ticket.jobId}`} prefetch={false}>
            {ticket.name}
          </Link>{' '}
          {ticket.late}
          <CheapestWay calendar={calendar} jobId={ticket.jobId} />
        </span>
      ))}
      {late.length > TOLD && <span>{w.moreLate(late.length - TOLD)}</span>}
    </footer>
  );
}

/** The strip is one or two lines; the others say it on their tickets. */
const TOLD = 4;

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
