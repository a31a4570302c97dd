import type { ReactNode } from 'react';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { GridTable } from '../fields/GridTable';
import stockCss from './stock.module.css';

/** Rows of a file in a box of their own, so that a thousand of them push nothing off the screen. */
export const FileTable = ({
  label,
  heads,
  children,
  more,
}: {
  label: string;
  heads: readonly string[];
  children: ReactNode;
  /** Under the rows: how many there are besides. */
  more?: ReactNode;
}) => (
  <div className={stockCss.faults} data-part="faults" tabIndex={0} role="group" aria-label={label}>
    <GridTable>
      <TableHead>
        <TableRow>
          {heads.map((head) => (
            <TableCell key={head}>{head}</TableCell>
          ))}
        </TableRow>
      </TableHead>
      <TableBody>{children}</TableBody>
    </GridTable>
    {more}
  </div>
);
