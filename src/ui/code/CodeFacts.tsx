'use client';
import Link from 'next/link';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import type { CodeFound } from '@/core/sheet';
import { setupValue, writeValue } from '@/core/setup';
import { write, type ShopUnits } from '@/core/units';
import { plainDay } from '../fields/dates';
import { WithFractions } from '../fields/Figure';
import { GridTable } from '../fields/GridTable';
import { Text } from '../pieces/Text';
import { Verdict } from '../pieces/layout';
import { codeWords as w } from '../words';
import css from './CodePage.module.css';

/** What a code says, in the shop's units. */
export function CodeFacts({
  found: { code, jobId },
  units,
}: {
  found: CodeFound;
  units: ShopUnits;
}) {
  const { bow, hand, ticket, revision, day, shop, serial, values, marks } = code;
  return (
    <section data-part="code">
      <h2 className={css.bow}>{w.title(bow, hand)}</h2>
      <p>
        {serial === null ? w.noSerial : w.serial(serial)},{' '}
        {w.stamp(ticket, revision, plainDay(day, true), shop)}
      </p>
      <Verdict role="status">
        <b>{jobId === null ? w.elsewhere : w.here}</b>{' '}
        {jobId !== null && <Link href={`/jobs/${jobId}`}>{w.open}</Link>}
      </Verdict>
      <div className={css.tables}>
        <Numbers
          title={w.values}
          rows={values.map(({ key, si }) => [setupValue(key).name, writeValue(key, si, units)])}
        />
        {marks && (
          <Numbers
            title={w.marks(write(marks.firstM, 'distance', units, { decimals: 0 }))}
            rows={marks.rows.map(({ distanceM, belowFirstMm }) => [
              write(distanceM, 'distance', units, { decimals: 0 }),
              `${belowFirstMm.toFixed(1).replace('-', '−')} mm`,
            ])}
          />
        )}
      </div>
    </section>
  );
}

const Numbers = ({
  title,
  rows,
}: {
  title: string;
  rows: readonly (readonly [string, string])[];
}) => (
  <div>
    <h3 className={css.title}>{title}</h3>
    <GridTable>
      <TableBody>
        {rows.map(([name, value]) => (
          <TableRow key={name}>
            <TableCell>{name}</TableCell>
            <TableCell align="right">
              <Text variant="figure">
                <WithFractions text={value} />
              </Text>
            </TableCell>
          </TableRow>
        ))}
      </TableBody>
    </GridTable>
  </div>
);
