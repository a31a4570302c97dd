'use client';
import Link from 'next/link';
import { dayOfMinute } from '@/core/job';
import { dayText } from '../fields/dates';
import { calendarWords as w } from '../words';
import { whenWords } from './clock';
import { remedyWords } from './PlanState';
import { type Calendar } from './useCalendar';

/** Who is late by the plan, by how much, and the cheapest ways out. */
export function LateList({ calendar: { plan, remedies, view, part } }: { calendar: Calendar }) {
  const { late, unplaced } = plan;
  if (late.length === 0 && unplaced.length === 0) return null;
  const jobs = new Map(view.input.jobs.map((job) => [job.id, job]));
  return (
    <section>
      {late.length > 0 && (
        <>
          <h2 className="block-title">{w.lateTitle}</h2>
          <ul className="rows late-rows">
            {late.map(({ jobId, name, endsAt }) => {
              const ways = remedies.find((other) => other.jobId === jobId)?.remedies ?? [];
              const due = jobs.get(jobId)!.due!;
              return (
                <li key={jobId}>
                  <span>
                    <Link href={`/jobs/${jobId}`} prefetch={false}>
                      {name}
                    </Link>{' '}
                    <span className="soft">
                      {w.lateBy(whenWords(view.firstDay, endsAt))},{' '}
                      {w.promised(dayText(dayOfMinute(view.firstDay, due - 1), view.firstDay))}
                    </span>
                  </span>
                  <span>
                    {ways.length === 0 ? (
                      <span className="soft">{part !== null ? w.noRemedy : ''}</span>
                    ) : (
                      <>
                        <span className="soft">{w.cheapest}</span>{' '}
                        {ways
                          .slice(0, 3)
                          .map((way) => remedyWords(way, view.firstDay))
                          .join(`; ${w.or} `)}
                      </>
                    )}
                  </span>
                </li>
              );
            })}
          </ul>
        </>
      )}
      {unplaced.length > 0 && (
        <>
          <h2 className="block-title">{w.cannot}</h2>
          <ul className="rows late-rows">
            {unplaced.map(({ jobId, visitId, why }) => (
              <li key={`${jobId} ${visitId}`}>
                <Link href={`/jobs/${jobId}`} prefetch={false}>
                  {jobs.get(jobId)?.name}
                </Link>
                <span className="soft">{w.why[why]}</span>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}
