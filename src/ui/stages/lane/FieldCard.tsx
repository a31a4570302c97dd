'use client';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import { slopeTable, weatherTable } from '@/core/flight';
import { levelCosts, type JobMarks } from '@/core/job';
import { M_PER_YARD, metre, write, type Metre } from '@/core/units';
import { Text } from '../../pieces/Text';
import { useJob } from '../../job/JobProvider';
import { marksWords } from '../../words';
import { GridTable } from '../../fields/GridTable';
import { BlockTitle } from '../../pieces/layout';
import css from './FieldCard.module.css';

const w = marksWords.field;
const SLOPES = [-40, -30, -20, -10, 10, 20, 30, 40];

/** What goes on the field card: slopes, weather, and what a level that is off costs. */
export function FieldCard({ marks }: { marks: JobMarks }) {
  const { snapshot } = useJob();
  const units = snapshot.shop.units;
  const perUnit = units.distance === 'yd' ? M_PER_YARD : 1;
  const flight = marks.flight!;
  const distances = cardDistances(snapshot.job.furthestM, perUnit);
  const say = (distanceM: number) => write(distanceM, 'distance', units, { decimals: 0 });
  const bare = (distanceM: number) => (distanceM / perUnit).toFixed(0);
  const slopes = slopeTable(flight, distances, SLOPES);
  const weather = weatherTable(flight, distances);
  const costs = levelCosts(flight, marks.referenceM, distances);
  const head = distances.map(say);
  return (
    <div className={css.fieldCard}>
      <section>
        <BlockTitle>{w.slope}</BlockTitle>
        <Text soft>{w.slopeHint}</Text>
        <CardTable
          head={head}
          rows={SLOPES.map((slope) => ({
            name: slope > 0 ? `+${slope}°` : `−${-slope}°`,
            cells: slopes
              .filter((row) => row.slopeDeg === slope)
              .map((row) => (row.shootAsM === null ? '—' : bare(row.shootAsM))),
          }))}
        />
      </section>
      <section>
        <BlockTitle>{w.weather}</BlockTitle>
        <CardTable
          head={head}
          rows={weather.map((row) => ({ name: w.rows[row.id], cells: row.hitMm.map(hits) }))}
        />
      </section>
      <section>
        <BlockTitle>{w.levels}</BlockTitle>
        <CardTable
          head={head}
          rows={(['second', 'third', 'first'] as const).map((axis) => ({
            name: w.level[axis],
            cells: costs[axis].map((miss) => `${(miss / 10).toFixed(1)} cm`),
          }))}
        />
      </section>
    </div>
  );
}

/** A row for each circumstance, a column for each distance. */
function CardTable({
  head,
  rows,
}: {
  head: readonly string[];
  rows: readonly { readonly name: string; readonly cells: readonly string[] }[];
}) {
  return (
    <GridTable className={css.slopeTable}>
      <TableHead>
        <TableRow>
          <TableCell />
          {head.map((text) => (
            <TableCell key={text} align="right">
              <Text variant="figure">{text}</Text>
            </TableCell>
          ))}
        </TableRow>
      </TableHead>
      <TableBody>
        {rows.map(({ name, cells }) => (
          <TableRow key={name}>
            <TableCell component="th" scope="row">
              {name}
            </TableCell>
            {cells.map((text, i) => (
              <TableCell key={head[i]} align="right">
                <Text variant="figure">{text}</Text>
              </TableCell>
            ))}
          </TableRow>
        ))}
      </TableBody>
    </GridTable>
  );
}

const hits = (mm: number) =>
  Math.abs(mm) < 0.5
    ? w.same
    : mm > 0
      ? w.high(`${mm.toFixed(0)} mm`)
      : w.low(`${(-mm).toFixed(0)} mm`);

/** Five distances to the furthest that is wanted. */
function cardDistances(furthestM: number | null, perUnit: number): Metre[] {
  const most = Math.max(30, Math.round((furthestM ?? 50) / perUnit / 10) * 10);
  return [0.4, 0.55, 0.7, 0.85, 1].map((part) =>
    metre(Math.max(10, Math.round((part * most) / 5) * 5) * perUnit),
  );
}
