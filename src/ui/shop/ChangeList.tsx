import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import type { RowChange } from '@/contracts/csv';
import { Text } from '../pieces/Text';
import { changeList as w } from '../words';
import { Note, Tag } from '../pieces/texts';
import { FileTable } from './FileTable';
import css from './ChangeList.module.css';

/** Which rows are taken: all but those unticked, and of the price jumps only those ticked. */
interface Ticks {
  readonly except: ReadonlySet<string>;
  readonly jumps: ReadonlySet<string>;
}

export const NO_TICKS: Ticks = { except: new Set(), jumps: new Set() };

const toggled = (set: ReadonlySet<string>, id: string) => {
  const next = new Set(set);
  if (!next.delete(id)) next.add(id);
  return next;
};

/** What is sent with the order to take them. */
export const ticksBody = ({ except, jumps }: Ticks) => ({ except: [...except], jumps: [...jumps] });

/** Every row a file would add or change, old beside new; prices far apart stand first, unticked. */
export function ChangeList({
  jumps,
  jumpCount,
  rows,
  rowCount,
  ticks,
  onTicks,
  onMore,
}: {
  jumps: readonly RowChange[];
  jumpCount: number;
  rows: readonly RowChange[];
  rowCount: number;
  ticks: Ticks;
  onTicks: (ticks: Ticks) => void;
  /** Fetches the next rows. */
  onMore: () => void;
}) {
  if (jumpCount + rowCount === 0) return null;
  return (
    <>
      {jumpCount > 0 && <Note role="alert">{w.jumps(jumpCount)}</Note>}
      <FileTable
        label={w.title}
        heads={w.heads}
        more={
          <>
            {jumpCount > jumps.length && (
              <Text variant="small" soft as="p">
                {w.moreJumps(jumpCount - jumps.length)}
              </Text>
            )}
            {rowCount > rows.length && (
              <Button variant="text" onClick={onMore}>
                {w.more(rowCount - rows.length)}
              </Button>
            )}
          </>
        }
      >
        {jumps.map((row) => (
          <ChangeRow
            key={row.id}
            row={row}
            ticked={ticks.jumps.has(row.id)}
            onTick={() => onTicks({ ...ticks, jumps: toggled(ticks.jumps, row.id) })}
          />
        ))}
        {rows.map((row) => (
          <ChangeRow
            key={row.id}
            row={row}
            ticked={!ticks.except.has(row.id)}
            onTick={() => onTicks({ ...ticks, except: toggled(ticks.except, row.id) })}
          />
        ))}
      </FileTable>
    </>
  );
}

function ChangeRow({
  row: { id, name, isNew, changes, jump },
  ticked,
  onTick,
}: {
  row: RowChange;
  ticked: boolean;
  onTick: () => void;
}) {
  return (
    <TableRow>
      <TableCell>
        <Checkbox
          checked={ticked}
          slotProps={{ input: { id: `take-${id}`, 'aria-label': w.take(name) } }}
          onChange={onTick}
        />
      </TableCell>
      <TableCell>
        {name} {(isNew || jump) && <Tag kind={jump ? 'warn' : 'in'}>{jump ? w.jump : w.isNew}</Tag>}
      </TableCell>
      <TableCell>
        <ul className={css.changes}>
          {changes.map(({ column, before, after }) => (
            <li key={column}>
              <Text soft as="span">
                {column}
              </Text>{' '}
              <Text variant="figure">{before || '—'}</Text>
              {' → '}
              <Text variant="figure" as="b">
                {after || '—'}
              </Text>
            </li>
          ))}
        </ul>
      </TableCell>
    </TableRow>
  );
}
