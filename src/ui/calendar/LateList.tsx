'use client';
import Link from 'next/link';
import { dayOfMinute } from '@/core/job';
import { Text } from '../pieces/Text';
import { dayText } from '../fields/dates';
import { calendarWords as w } from '../words';
import { BlockTitle, Rows } from '../pieces/layout';
import { whenWords } from './clock';
import { remedyWords } from './PlanState';
import { type Calendar } from './useCalendar';
import lateCss from './late.module.css';

/** Who is late by the plan, by how much, and the cheapest ways out. */
export function LateList({ calendar: { plan, remedies, view, part } }: { calendar: Calendar }) {
  const { late, unplaced } = plan;
  if (late.length === 0 && unplaced.length === 0) return null;
  const jobs = new Map(view.input.jobs.map((job) => [job.id, job]));
  return (
    <section>
      {late.length > 0 && (
        <>
          <BlockTitle as="h2">{w.lateTitle}</BlockTitle>
          <Rows className={lateCss.lateRows}>
            {late.map(({ jobId, name, endsAt }) => {
              const ways = remedies.find((other) => other.jobId === jobId)?.remedies ?? [];
              const due = jobs.get(jobId)!.due!;
              return (
                <li key={jobId}>
                  <span>
                    <Link href={`/jobs/${jobId}`} prefetch={false}>
                      {name}
                    </Link>{' '}
                    <Text soft as="span">
                      {w.lateBy(whenWords(view.firstDay, endsAt))},{' '}
                      {w.promised(dayText(dayOfMinute(view.firstDay, due - 1), view.firstDay))}
                    </Text>
                  </span>
                  <span>
                    {ways.length === 0 ? (
                      <Text soft as="span">
                        {part !== null ? w.noRemedy : ''}
                      </Text>
                    ) : (
                      <>
                        <Text soft as="span">
                          {w.cheapest}
                        </Text>{' '}
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
          </Rows>
        </>
      )}
      {unplaced.length > 0 && (
        <>
          <BlockTitle as="h2">{w.cannot}</BlockTitle>
          <Rows className={lateCss.lateRows}>
            {unplaced.map(({ jobId, visitId, why }) => (
              <li key={`${jobId} ${visitId}`}>
                <Link href={`/jobs/${jobId}`} prefetch={false}>
                  {jobs.get(jobId)?.name}
                </Link>
                <Text soft as="span">
                  {w.why[why]}
                </Text>
              </li>
            ))}
          </Rows>
        </>
      )}
    </section>
  );
}
