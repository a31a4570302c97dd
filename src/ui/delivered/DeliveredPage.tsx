'use client';
import Link from 'next/link';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import type { Ticket } from '@/core/job';
import { dayText } from '../fields/dates';
import { GridTable } from '../fields/GridTable';
import { PageHead } from '../frame/PageHead';
import { Page } from '../pieces/Page';
import { Actions } from '../pieces/layout';
import { Note } from '../pieces/texts';
import { Text } from '../pieces/Text';
import { useSoon } from '../pieces/useSoon';
import { deliveredWords as w, orderWords } from '../words';
import { pages as names } from '../words/pages';

interface View {
  readonly rows: readonly (Ticket & { readonly deliveredDay: string })[];
  readonly page: number;
  readonly pages: number;
  readonly count: number;
  readonly day: string;
}

/** More than fit on a usual screen. */
const SEEN_AT_ONCE = 20;

/** Every bow that has left the shop, a page at a time; a single one is found by its archer. */
export function DeliveredPage({ view: { rows, page, pages, count, day } }: { view: View }) {
  const shown = useSoon(rows.length, SEEN_AT_ONCE);
  return (
    <>
      <PageHead title={names.delivered} />
      <Page width="wide">
        <Text soft>{w.lead(count)}</Text>
        <Actions>
          {page > 1 && (
            <Link href={`/delivered?page=${page - 1}`} prefetch={false}>
              {w.newer}
            </Link>
          )}
          {page < pages && (
            <Link href={`/delivered?page=${page + 1}`} prefetch={false}>
              {w.older}
            </Link>
          )}
          {pages > 1 && <Text soft>{w.page(page, pages)}</Text>}
          <Link href="/" prefetch={false}>
            {orderWords.back}
          </Link>
        </Actions>
        {rows.length === 0 ? (
          <Note>{w.none}</Note>
        ) : (
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
                    <Link href={`/jobs/${row.jobId}`} prefetch={false}>
                      {row.name || w.nameless}
                    </Link>
                  </TableCell>
                  <TableCell>{row.about}</TableCell>
                  <TableCell>
                    <Text variant="figure">{dayText(row.deliveredDay, day)}</Text>
                  </TableCell>
                  <TableCell>
                    <Text variant="figure" soft>
                      {row.comeBackDay && dayText(row.comeBackDay, day)}
                    </Text>
                  </TableCell>
                </TableRow>
              ))}
            </TableBody>
          </GridTable>
        )}
      </Page>
    </>
  );
}
