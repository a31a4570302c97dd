'use client';
import Link from 'next/link';
import Button from '@mui/material/Button';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import type { RegisterView } from '@/core/job';
import { dayText } from '../fields/dates';
import { GridTable } from '../fields/GridTable';
import { TextField } from '../fields/TextField';
import { PageHead } from '../frame/PageHead';
import { Page } from '../pieces/Page';
import { Actions } from '../pieces/layout';
import { Note, Tag } from '../pieces/texts';
import { Text } from '../pieces/Text';
import { useSoon } from '../pieces/useSoon';
import { deliveredWords as w, orderWords } from '../words';
import { files, pages as names } from '../words/pages';
import css from './RegisterPage.module.css';

/** More than fit on a usual screen. */
const SEEN_AT_ONCE = 20;

/** The register of bows that left: all, those due, those a word finds, those with one part. */
export function RegisterPage({ view }: { view: RegisterView }) {
  const { rows, count, asked, parts } = view;
  return (
    <>
      <PageHead title={names.delivered} />
      <Page width="wide">
        <form className={css.find} action="/delivered" role="search">
          <TextField
            key={asked.text}
            id="register-find"
            label={w.find}
            helperText={w.findHint}
            autoComplete="off"
            slotProps={{
              htmlInput: { name: 'q', defaultValue: asked.text, maxLength: 100 },
            }}
          />
          <Button type="submit" variant="outlined">
            {w.look}
          </Button>
        </form>
        {rows.length > 0 && (
          <Text className={css.lead}>{w.lead(asked.show, count, asked.what)}</Text>
        )}
        <Ways view={view} />
        {parts.length > 0 && (
          <ul className={css.parts}>
            {parts.map(({ id, name, count: bows }) => (
              <li key={id}>
                <Link href={`/delivered?part=${encodeURIComponent(id)}`} prefetch={false}>
                  {w.withPart(name, bows)}
                </Link>
              </li>
            ))}
          </ul>
        )}
        <div className={css.bows}>
          {rows.length === 0 ? <Note>{w.none[asked.show]}</Note> : <Bows view={view} />}
        </div>
      </Page>
    </>
  );
}

function Ways({ view: { page, pages, count, asked } }: { view: RegisterView }) {
  const at = (to: number) => `/delivered?${[asked.query, `page=${to}`].filter(Boolean).join('&')}`;
  return (
    <Actions>
      {asked.show !== 'all' && (
        <Link href="/delivered" prefetch={false}>
          {w.link}
        </Link>
      )}
      {asked.show !== 'due' && (
        <Link href="/delivered?show=due" prefetch={false}>
          {w.due}
        </Link>
      )}
      {page > 1 && (
        <Link href={at(page - 1)} prefetch={false}>
          {w.newer}
        </Link>
      )}
      {page < pages && (
        <Link href={at(page + 1)} prefetch={false}>
          {w.older}
        </Link>
      )}
      {pages > 1 && <Text soft>{w.page(page, pages)}</Text>}
      {count > 0 && (
        <a href={`/api/v1/delivered?${asked.query}`} download>
          {files.save}
        </a>
      )}
      <Link href="/code" prefetch={false}>
        {w.code}
      </Link>
      <Link href="/" prefetch={false}>
        {orderWords.back}
      </Link>
    </Actions>
  );
}

function Bows({ view: { rows, day } }: { view: RegisterView }) {
  const shown = useSoon(rows.length, SEEN_AT_ONCE);
  return (
    <GridTable data-part="delivered">
      <TableHead>
        <TableRow>
          {w.heads.map((head) => (
            <TableCell key={head}>{head}</TableCell>
          ))}
        </TableRow>
      </TableHead>
      <TableBody>
        {rows.slice(0, shown).map((row) => (
          <TableRow key={row.jobId}>
            <TableCell>
              <Text variant="figure">{row.number}</Text>
            </TableCell>
            <TableCell>
              <Link href={`/jobs/${row.jobId}/handover`} prefetch={false}>
                {row.name || w.nameless}
              </Link>
              {row.guardian && (
                <Text variant="small" soft as="div">
                  {w.guardian(row.guardian)}
                </Text>
              )}
            </TableCell>
            <TableCell>
              {row.bow || w.noBow}
              {row.serial && (
                <Text variant="small" soft as="div">
                  {w.serial(row.serial)}
                </Text>
              )}
            </TableCell>
            <TableCell>
              <Text variant="figure">{dayText(row.leftDay, day)}</Text>
              <Text variant="small" soft as="div">
                {w.sheets(row.sheets, row.visits)}
              </Text>
            </TableCell>
            <TableCell>
              {row.stringDay === null ? (
                <Text soft as="span">
                  {w.cannotTell}
                </Text>
              ) : (
                <Text variant="figure">{dayText(row.stringDay, day)}</Text>
              )}
            </TableCell>
            <TableCell align="right">
              <Text variant="figure">{row.shots > 0 && row.shots.toLocaleString('en')}</Text>
            </TableCell>
            <TableCell>
              {row.inShop ? (
                <Tag kind="waits">{w.inShop}</Tag>
              ) : (
                <>
                  <Text variant="figure" as="span">
                    {row.checkDay && dayText(row.checkDay, day)}
                  </Text>{' '}
                  {row.due && <Tag kind="warn">{w.isDue}</Tag>}
                </>
              )}
            </TableCell>
          </TableRow>
        ))}
      </TableBody>
    </GridTable>
  );
}
