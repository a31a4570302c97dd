'use client';
import { useState } from 'react';
import Link from 'next/link';
import Button from '@mui/material/Button';
import type { KnownArcher } from '@/core/erase';
import { BUILDS, EXPERIENCES, EYE_HANDLINGS } from '@/core/fit';
import { AGE_GROUPS, ageGroupOf, type Archer } from '@/core/job';
import { PageHead } from '../frame/PageHead';
import { whenText } from '../fields/dates';
import { Actions, Block, Rows } from '../pieces/layout';
import { Page } from '../pieces/Page';
import { Text } from '../pieces/Text';
import { Note } from '../pieces/texts';
import { archerWords as w, meet } from '../words';
import { EraseForm } from './EraseForm';
import css from './archers.module.css';

type Field = keyof typeof w.fields;
type Named = readonly { readonly id: string; readonly name: string }[];

/** What the conversation calls the answers of a question. */
const ANSWERS: Readonly<Partial<Record<Field, Named>>> = {
  hand: meet.hands,
  dominantEye: meet.eyes,
  eyeHandling: EYE_HANDLINGS,
  build: BUILDS,
  experience: EXPERIENCES,
  injured: meet.injuredOptions,
  release: meet.releases,
  wall: meet.walls,
};

/** An answer in words; empty where nothing was told. */
function told(archer: Archer, field: Field): string {
  if (field === 'ageBand') return AGE_GROUPS.find(({ id }) => id === ageGroupOf(archer))!.name;
  const value = archer[field];
  if (typeof value === 'boolean') return value ? w.yes : w.no;
  return ANSWERS[field]?.find(({ id }) => id === value)?.name ?? value ?? '';
}

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
            const text = told(archer, field);
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
                  {job.handedOverAt
                    ? w.left(when(job.handedOverAt))
                    : job.closedAt
                      ? w.cameToNothing(when(job.closedAt))
                      : w.open}
                </Text>
                {[job.notes, job.alreadyOwn].filter(Boolean).map((words) => (
                  <Text key={words} variant="small" className={css.words}>
                    {words}
                  </Text>
                ))}
              </li>
            ))}
          </Rows>
          <p className={css.held}>
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
