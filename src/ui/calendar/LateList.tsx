'use client';
import Link from 'next/link';
import Typography from '@mui/material/Typography';
import { dayOfMinute } from '@/core/job';
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
                    <Typography color="textSecondary" component="span">
                      {w.lateBy(whenWords(view.firstDay, endsAt))},{' '}
                      {w.promised(dayText(dayOfMinute(view.firstDay, due - 1), view.firstDay))}
                    </Typography>
                  </span>
                  <span>
                    {ways.length === 0 ? (
                      <Typography color="textSecondary" component="span">
                        {part !== null ? w.noRemedy : ''}
                      </Typography>
                    ) : (
                      <>
                        <Typography color="textSecondary" component="span">
                          {w.cheapest}
                        </Typography>{' '}
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
                <Typography color="textSecondary" component="span">
                  {w.why[why]}
                </Typography>
              </li>
            ))}
          </Rows>
        </>
      )}
    </section>
  );
}
