import type { RowFault } from '@/contracts/csv';
import { bowStock as w } from '../words';
import { GridTable } from '../fields/GridTable';

const SHOWN = 40;

/** What is wrong with a file, by line and column. */
export function Faults({ faults, count }: { faults: readonly RowFault[]; count: number }) {
  return (
    <div className="faults" tabIndex={0} role="group" aria-label={w.faults}>
      <GridTable>
        <thead>
          <tr>
            {w.faultHeads.map((head) => (
              <th key={head}>{head}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {faults.slice(0, SHOWN).map(({ line, column, message }, i) => (
            <tr key={i}>
              <td className="figure">{line}</td>
              <td>{column}</td>
              <td>{message}</td>
            </tr>
          ))}
        </tbody>
      </GridTable>
      {count > SHOWN && <p className="small soft">{w.moreFaults(count - SHOWN)}</p>}
    </div>
  );
}
