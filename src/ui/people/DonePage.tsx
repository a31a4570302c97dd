'use client';
import { useState } from 'react';
import Link from 'next/link';
import Button from '@mui/material/Button';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { AUDIT_KINDS, type AuditLine } from '@/core/people';
import { whenText } from '../fields/dates';
import { GridTable } from '../fields/GridTable';
import { TextField } from '../fields/TextField';
import { PageHead } from '../frame/PageHead';
import { Actions } from '../pieces/layout';
import { Page } from '../pieces/Page';
import { Text } from '../pieces/Text';
import { Note } from '../pieces/texts';
import { doneWords as w, peopleWords } from '../words';
import { files } from '../words/pages';
import { useDone, type DonePage as Lines } from './useDone';
import css from './done.module.css';

/** Who did what from where, newest first. */
export function DonePage({
  first,
  people,
  tablets,
  today,
  timeZone,
}: {
  first: Lines;
  people: readonly string[];
  tablets: readonly string[];
  today: string;
  timeZone: string;
}) {
  const { lines, next, asked, set, look, more, busy, trouble } = useDone(first);
  const [words, setWords] = useState('');
  const choice = (
    field: 'who' | 'tablet' | 'kind',
    label: string,
    options: readonly { readonly id: string; readonly name: string }[],
  ) => (
    <TextField
      id={`done-${field}`}
      select
      label={label}
      value={asked[field]}
      onChange={(event) => set({ [field]: event.target.value })}
    >
      <option value="">{w.all}</option>
      {options.map(({ id, name }) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </TextField>
  );
  const named = (names: readonly string[]) => names.map((name) => ({ id: name, name }));
  return (
    <>
      <PageHead title={w.title} />
      <Page width="wide">
        <Text soft>{w.lead}</Text>
        <form
          className={css.find}
          role="search"
          onSubmit={(event) => {
            event.preventDefault();
            look(words);
          }}
        >
          <TextField
            id="done-find"
            label={w.find}
            value={words}
            autoComplete="off"
            slotProps={{ htmlInput: { maxLength: 100 } }}
            onChange={(event) => setWords(event.target.value)}
          />
          {choice('who', w.who, named(people))}
          {choice('tablet', w.tablet, named(tablets))}
          {choice('kind', w.kind, AUDIT_KINDS)}
          <Button type="submit" variant="outlined" disabled={busy}>
            {w.look}
          </Button>
        </form>
        <Actions sx={{ mb: 2 }}>
          <a href="/api/v1/audit/file" download>
            {files.save}
          </a>
          <Link href="/shop/people" prefetch={false}>
            {peopleWords.title}
          </Link>
        </Actions>
        {trouble && (
          <Note kind="stop" role="alert">
            {trouble}
          </Note>
        )}
        {lines.length === 0 ? (
          <Note>{next === null ? w.none : w.noneYet}</Note>
        ) : (
          <Done lines={lines} {...{ today, timeZone }} />
        )}
        {next !== null && (
          <Actions>
            <Button variant="outlined" disabled={busy} onClick={more}>
              {w.more}
            </Button>
          </Actions>
        )}
      </Page>
    </>
  );
}

function Done({
  lines,
  today,
  timeZone,
}: {
  lines: readonly AuditLine[];
  today: string;
  timeZone: string;
}) {
  return (
    <GridTable data-part="done">
      <TableHead>
        <TableRow>
          {w.heads.map((head) => (
            <TableCell key={head}>{head}</TableCell>
          ))}
        </TableRow>
      </TableHead>
      <TableBody>
        {lines.map(({ id, at, who, tablet, what, job, detail }) => (
          <TableRow key={id}>
            <TableCell className={css.when}>{whenText(at, timeZone, today)}</TableCell>
            <TableCell>{who}</TableCell>
            <TableCell>{tablet}</TableCell>
            <TableCell className={css.what}>
              {job && (
                <>
                  <Link href={`/jobs/${job.id}`} prefetch={false}>
                    {w.ticket(job.number)}
                  </Link>{' '}
                </>
              )}
              {what}
              {changesIn(detail).map(([field, before, after]) => (
                <Text key={field} variant="small" soft as="div">
                  {w.was(field, before, after)}
                </Text>
              ))}
            </TableCell>
          </TableRow>
        ))}
      </TableBody>
    </GridTable>
  );
}

const MOST_SHOWN = 80;
const short = (value: unknown) => {
  const text = typeof value === 'string' ? value : JSON.stringify(value);
  return text.length > MOST_SHOWN ? `${text.slice(0, MOST_SHOWN)} …` : text;
};

/** Fields with what stood there before and after, where a line holds such. */
function changesIn(detail: unknown): (readonly [string, string, string])[] {
  if (typeof detail !== 'object' || detail === null) return [];
  return Object.entries(detail).flatMap(([field, pair]) =>
    Array.isArray(pair) && pair.length === 2
      ? [[field, short(pair[0]), short(pair[1])] as const]
      : [],
  );
}
