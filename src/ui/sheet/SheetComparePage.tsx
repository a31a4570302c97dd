'use client';
import { useRouter } from 'next/navigation';
import Link from 'next/link';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import type { SheetHead } from '@/core/job';
import { SHEET_GROUPS, sheetChanges, type SheetChange, type SheetDocument } from '@/core/sheet';
import { plainDay } from '../fields/dates';
import { WithFractions } from '../fields/Figure';
import { GridTable } from '../fields/GridTable';
import { TextField } from '../fields/TextField';
import { Text } from '../pieces/Text';
import { Tag } from '../pieces/texts';
import paperPageCss from '../pieces/PaperPage.module.css';
import { sheet as w } from '../words';
import css from './SheetComparePage.module.css';

interface Row {
  readonly key: string;
  readonly name: string;
  readonly from: string;
  readonly to: string;
  readonly change: SheetChange | null;
}

/** Two revisions of one sheet, every setting and part side by side, what differs marked. */
export function SheetComparePage({
  jobId,
  before,
  after,
  sheets,
}: {
  jobId: string;
  before: SheetDocument;
  after: SheetDocument;
  sheets: readonly SheetHead[];
}) {
  const changes = sheetChanges(before, after);
  const moved = changes.filter(({ within }) => !within).length;
  return (
    <main className={paperPageCss.sheet} data-part="sheet-compare">
      <nav className={paperPageCss.sheetTools}>
        <Link href={`/jobs/${jobId}/handover`}>{w.back}</Link>
        <span className={css.choice}>
          <Choice
            jobId={jobId}
            side="from"
            at={before.revision}
            other={after.revision}
            sheets={sheets}
          />
          <Choice
            jobId={jobId}
            side="to"
            at={after.revision}
            other={before.revision}
            sheets={sheets}
          />
        </span>
      </nav>
      <header>
        <div>
          <h1>{after.archer.name}</h1>
          <p>{w.compareTitle(before.revision, after.revision)}</p>
        </div>
        <Text variant="figure" as="p" className={paperPageCss.sheetStamp}>
          {plainDay(before.madeDay, true)}, {before.madeBy}
          <br />
          {plainDay(after.madeDay, true)}, {after.madeBy}
        </Text>
      </header>
      <p className={css.sum}>{w.compareSum(moved, changes.length - moved)}</p>
      <GridTable className={css.table}>
        <TableHead>
          <TableRow>
            <TableCell>{w.value}</TableCell>
            <TableCell>{w.revision(before.revision)}</TableCell>
            <TableCell>{w.revision(after.revision)}</TableCell>
            <TableCell />
          </TableRow>
        </TableHead>
        {sectionsOf(before, after, changes).map(({ title, rows }) => (
          <TableBody key={title}>
            <TableRow className={css.section}>
              <TableCell colSpan={4} component="th">
                {title}
              </TableCell>
            </TableRow>
            {rows.map((row) => (
              <CompareRow key={row.key} row={row} />
            ))}
          </TableBody>
        ))}
      </GridTable>
    </main>
  );
}

function Choice({
  jobId,
  side,
  at,
  other,
  sheets,
}: {
  jobId: string;
  side: 'from' | 'to';
  at: number;
  other: number;
  sheets: readonly SheetHead[];
}) {
  const router = useRouter();
  return (
    <TextField
      id={`compare-${side}`}
      select
      label={side === 'from' ? w.earlier : w.later}
      value={String(at)}
      onChange={(event) => {
        const [from, to] =
          side === 'from' ? [event.target.value, other] : [other, event.target.value];
        router.replace(`/jobs/${jobId}/sheet/compare?from=${from}&to=${to}`);
      }}
    >
      {sheets.map(({ revision }) => (
        <option key={revision} value={revision}>
          {w.revision(revision)}
        </option>
      ))}
    </TextField>
  );
}

function CompareRow({ row: { name, from, to, change } }: { row: Row }) {
  return (
    <TableRow className={change && !change.within ? css.moved : undefined}>
      <TableCell>{name}</TableCell>
      <TableCell>
        <Text variant="figure">
          <WithFractions text={from} />
        </Text>
      </TableCell>
      <TableCell>
        <Text variant="figure">
          <WithFractions text={to} />
        </Text>
      </TableCell>
      <TableCell align="right">
        {change && <Tag>{change.within ? w.within : w.moved}</Tag>}
      </TableCell>
    </TableRow>
  );
}

/** Settings by their part of the bow, then ticks and results, parts, bow and marks. */
function sectionsOf(before: SheetDocument, after: SheetDocument, changes: readonly SheetChange[]) {
  const changed = new Map(changes.map((change) => [change.key, change]));
  const old = new Map(before.settings.map((setting) => [setting.key, setting]));
  const gone = before.settings.filter(({ key }) => !after.settings.some((one) => one.key === key));
  const settingRow = ({ key, name }: SheetDocument['settings'][number]): Row => ({
    key,
    name,
    from: old.get(key)?.text ?? w.notNoted,
    to: after.settings.find((one) => one.key === key)?.text ?? w.gone,
    change: changed.get(key) ?? null,
  });
  const all = [...after.settings, ...gone];
  const rest = changes.filter(
    ({ key }) => key === 'bow' || key === 'marks' || key.startsWith('part:'),
  );
  return [
    ...SHEET_GROUPS.map(({ id, name }) => ({
      title: name,
      rows: all.filter(({ group }) => group === id).map(settingRow),
    })),
    { title: w.ticks, rows: all.filter(({ group }) => group === null).map(settingRow) },
    {
      title: w.partsAndMarks,
      rows: rest.map((change): Row => ({
        ...change,
        from: change.from ?? w.notNoted,
        to: change.to ?? w.gone,
        change,
      })),
    },
  ].filter(({ rows }) => rows.length > 0);
}
