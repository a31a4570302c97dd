import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import type { RowFault } from '@/contracts/csv';
import { Text } from '../pieces/Text';
import { bowStock as w } from '../words';
import { GridTable } from '../fields/GridTable';
import stockCss from './stock.module.css';

const SHOWN = 40;

/** What is wrong with a file, by line and column. */
export function Faults({ faults, count }: { faults: readonly RowFault[]; count: number }) {
  return (
    <div
      className={stockCss.faults}
      data-part="faults"
      tabIndex={0}
      role="group"
      aria-label={w.faults}
    >
      <GridTable>
        <TableHead>
          <TableRow>
            {w.faultHeads.map((head) => (
              <TableCell key={head}>{head}</TableCell>
            ))}
          </TableRow>
        </TableHead>
        <TableBody>
          {faults.slice(0, SHOWN).map(({ line, column, message }, i) => (
            <TableRow key={i}>
              <TableCell>
                <Text variant="figure">{line}</Text>
              </TableCell>
              <TableCell>{column}</TableCell>
              <TableCell>{message}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </GridTable>
      {count > SHOWN && (
        <Text variant="small" soft as="p">
          {w.moreFaults(count - SHOWN)}
        </Text>
      )}
    </div>
  );
}
