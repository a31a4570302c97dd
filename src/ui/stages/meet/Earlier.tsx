'use client';
import { useState } from 'react';
import Link from 'next/link';
import Button from '@mui/material/Button';
import { PIVOT_TO_STANDARD_MM } from '@/core/bow';
import { TAKEN_OVER, type EarlierJob } from '@/core/job';
import { Text } from '../../pieces/Text';
import { WithFractions } from '../../fields/Figure';
import { whenText } from '../../fields/dates';
import { useJob } from '../../job/JobProvider';
import { meet as w } from '../../words';
import css from './Earlier.module.css';

/** Worth a word in the margin, in this order. */
const SHOWN = ['drawLength', 'peakWeight', 'arrowSpeed'];

/** What this archer had done here before, with its readings. */
export function Earlier() {
  const { earlier } = useJob().snapshot;
  if (earlier.length === 0) return null;
  return (
    <section className={css.earlier} data-part="earlier">
      <h2>{w.earlier}</h2>
      <ul>
        {earlier.map((job) => (
          <EarlierEntry key={job.jobId} job={job} />
        ))}
      </ul>
    </section>
  );
}

function EarlierEntry({ job }: { job: EarlierJob }) {
  const { snapshot, send } = useJob();
  const [said, say] = useState('');
  const rows = oldBowRows(job);
  const figures = SHOWN.flatMap((key) => job.readings.find((r) => r.key === key)?.entered ?? []);
  return (
    <li>
      <b>{job.bow ?? w.earlierNone}</b>
      <Text variant="small" soft as="div">
        #{job.number}, {whenText(job.createdAt, snapshot.shop.timeZone, snapshot.today)}
      </Text>
      {figures.length > 0 && (
        <Text variant="figure" as="div">
          <WithFractions text={figures.join(' · ')} />
        </Text>
      )}
      <Text variant="small" as="div">
        <Link href={`/jobs/${job.jobId}`} prefetch={false}>
          {w.earlierOpen}
        </Link>
        {job.sheetRevision !== null && (
          <>
            {' · '}
            <Link href={`/jobs/${job.jobId}/sheet/${job.sheetRevision}`} prefetch={false}>
              {w.earlierSheet}
            </Link>
          </>
        )}
      </Text>
      {rows.length > 0 && (
        <Button
          variant="outlined"
          onClick={async () => {
            const trouble = await send({ name: 'takeReadings', readings: rows });
            say(trouble?.message ?? w.takenOver);
          }}
        >
          {w.takeOver}
        </Button>
      )}
      {said && <p role="status">{said}</p>}
    </li>
  );
}

/** Its readings as those of the bow they like; the draw length as groove to plunger hole. */
function oldBowRows({ number, readings }: EarlierJob) {
  const method = `job ${number}`;
  const rows = readings.flatMap(({ key, si, entered }) => {
    const as = TAKEN_OVER[key];
    return as && si !== null ? [{ key: as as string, entered, method }] : [];
  });
  const length = readings.find(({ key, si }) => key === 'drawLength' && si !== null)?.si;
  if (length !== null && length !== undefined) {
    const entered = `${(length - PIVOT_TO_STANDARD_MM).toFixed(1)} mm`;
    rows.push({ key: 'fittingBow', entered, method });
  }
  return rows;
}
