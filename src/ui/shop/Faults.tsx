import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import type { RowFault } from '@/contracts/csv';
import { Text } from '../pieces/Text';
import { bowStock as w } from '../words';
import { FileTable } from './FileTable';

/** What is wrong with a file, by line and column; `count` is of all faults, those not told among them. */
export function Faults({ faults, count }: { faults: readonly RowFault[]; count: number }) {
  return (
    <FileTable
      label={w.faults}
      heads={w.faultHeads}
      more={
        count > faults.length && (
          <Text variant="small" soft as="p">
            {w.moreFaults(count - faults.length)}
          </Text>
        )
      }
    >
      {faults.map(({ line, column, message }, i) => (
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
