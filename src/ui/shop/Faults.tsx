import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import type { RowFault } from '@/contracts/csv';
import { Text } from '../pieces/Text';
import { bowStock as w } from '../words';
import { FileTable } from './FileTable';

const SHOWN = 40;

/** What is wrong with a file, by line and column. */
export function Faults({ faults, count }: { faults: readonly RowFault[]; count: number }) {
  return (
    <FileTable
      label={w.faults}
      heads={w.faultHeads}
      more={
        count > SHOWN && (
          <Text variant="small" soft as="p">
            {w.moreFaults(count - SHOWN)}
          </Text>
        )
      }
    >
      {faults.slice(0, SHOWN).map(({ line, column, message }, i) => (
        <TableRow key={i}>
          <TableCell>
            <Text variant="figure">{line}</Text>
          </TableCell>
          <TableCell>{column}</TableCell>
          <TableCell>{message}</TableCell>
        </TableRow>
      ))}
    </FileTable>
  );
}
