'use client';
import { useState } from 'react';
import Link from 'next/link';
import Button from '@mui/material/Button';
import type { KnownArcher } from '@/core/erase';
import { PageHead } from '../frame/PageHead';
import { whenText } from '../fields/dates';
import { Actions, Block, Rows } from '../pieces/layout';
import { Page } from '../pieces/Page';
import { Text } from '../pieces/Text';
import { Note } from '../pieces/texts';
import { archerWords as w } from '../words';
import { EraseForm } from './EraseForm';
import css from './archers.module.css';

type Field = keyof typeof w.fields;

const told = (value: string | boolean | null): string =>
  value === true
    ? w.yes
    : value === false
      ? w.no
      : (value ?? '').replace(/[A-Z]/g, (sign) => ` ${sign.toLowerCase()}`);

/** Names and words of somebody's own stand as they are. */
const OWN: readonly Field[] = [
  'name',
  'phone',
  'email',
  'guardianName',
  'guardianPhone',
  'injury',
  'eyesight',
];

/** Everything known of one person; given to them, or erased. */
export function ArcherPage({
  known: initial,
  today,
  timeZone,
}: {
  known: KnownArcher;
  today: string;
  timeZone: string;
}) {
  const [known, setKnown] = useState(initial);
  const { archer, jobs, held, erasedAt } = known;
  const when = (at: string) => whenText(at, timeZone, today);
  return (
    <>
      <PageHead title={w.of(archer.name)} />
      <Page>
        {erasedAt === null ? (
          <Text soft>{w.lead}</Text>
        ) : (
          <Note kind="good" role="status">
            {w.erased(when(erasedAt))}
          </Note>
        )}
        <dl className={css.facts} data-part="facts">
          {(Object.keys(w.fields) as Field[]).map((field) => {
            const text = OWN.includes(field) ? String(archer[field]) : told(archer[field]);
            return (
              <div key={field}>
                <dt>{w.fields[field]}</dt>
                <dd data-empty={text === ''}>{text || w.nothing}</dd>
              </div>
            );
          })}
        </dl>
        <Block data-part="jobs">
          <h2>{w.jobs}</h2>
          {jobs.length === 0 && <Text soft>{w.noJobs}</Text>}
          <Rows className={css.jobs}>
            {jobs.map((job) => (
              <li key={job.id}>
                <Link href={`/jobs/${job.id}`} prefetch={false}>
                  {job.number}
                </Link>
                <span>{job.bow ?? w.noBow}</span>
                <Text soft as="span">
                  {w.opened(when(job.openedAt))} ·{' '}
                  {job.handedOverAt ? w.left(when(job.handedOverAt)) : w.open}
                </Text>
                {[job.notes, job.alreadyOwn].filter(Boolean).map((words) => (
                  <Text key={words} variant="small" className={css.words}>
                    {words}
                  </Text>
                ))}
              </li>
            ))}
          </Rows>
          <p>
            <Text soft as="span">
              {w.held}:
            </Text>{' '}
            {w.counts(held)}
          </p>
        </Block>
        {erasedAt === null && (
          <>
            <Block>
              <h2>{w.give}</h2>
              <p>{w.giveSays}</p>
              <Actions>
                <Button
                  variant="contained"
                  component="a"
                  href={`/api/v1/archers/${archer.id}/bundle`}
                  download
                >
                  {w.giveDo}
                </Button>
              </Actions>
            </Block>
            <EraseForm known={known} onErased={setKnown} />
          </>
        )}
      </Page>
    </>
  );
}
