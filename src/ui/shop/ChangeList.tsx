import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import type { RowChange } from '@/contracts/csv';
import { GridTable } from '../fields/GridTable';
import { changeList as w } from '../words';

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
      {jumpCount > 0 && (
        <p className="note" data-kind="warn" role="alert">
          {w.jumps(jumpCount)}
        </p>
      )}
      <div className="faults" tabIndex={0} role="group" aria-label={w.title}>
        <GridTable>
          <thead>
            <tr>
              {w.heads.map((head) => (
                <th key={head}>{head}</th>
              ))}
            </tr>
          </thead>
          <tbody>
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
          </tbody>
        </GridTable>
        {jumpCount > jumps.length && (
          <p className="small soft">{w.moreJumps(jumpCount - jumps.length)}</p>
        )}
        {rowCount > rows.length && (
          <Button variant="text" onClick={onMore}>
            {w.more(rowCount - rows.length)}
          </Button>
        )}
      </div>
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
    <tr>
      <td>
        <Checkbox
          checked={ticked}
          slotProps={{ input: { id: `take-${id}`, 'aria-label': w.take(name) } }}
          onChange={onTick}
        />
      </td>
      <td>
        {name}{' '}
        {(isNew || jump) && (
          <span className="tag" data-kind={jump ? 'warn' : 'in'}>
            {jump ? w.jump : w.isNew}
          </span>
        )}
      </td>
      <td>
        <ul className="changes">
          {changes.map(({ column, before, after }) => (
            <li key={column}>
              <span className="soft">{column}</span> <span className="figure">{before || '—'}</span>
              {' → '}
              <b className="figure">{after || '—'}</b>
            </li>
          ))}
        </ul>
      </td>
    </tr>
  );
}
