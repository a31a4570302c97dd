'use client';
import { useMemo, useState } from 'react';
import {
  DataGrid,
  type GridColDef,
  type GridRenderCellParams,
  type GridValidRowModel,
} from '@mui/x-data-grid';
import Button from '@mui/material/Button';
import { readCell, writeCell, type Column } from '@/contracts/csv';
import { partFormat } from '@/contracts/part-csv';
import { partName, slotName, type AnyPart, type PartKind, partFacts } from '@/core/kit';
import type { ShopUnits } from '@/core/units';
import { Text } from '../pieces/Text';
import { Press } from '../pieces/Press';
import { PartDrawing } from '../drawings/PartDrawing';
import { post } from '../keep/post';
import { firstWords, partStock as w } from '../words';
import { PAGE_SIZE, type FoundParts } from '../parts/useParts';
import { Note } from '../pieces/texts';
import css from './PartsGrid.module.css';

interface Row extends GridValidRowModel {
  readonly id: string;
  readonly part: AnyPart;
}

/** Columns every kind of part has that change from day to day. */
const DAILY = ['price_eur', 'close_out_eur', 'stock', 'delivery_days', 'supplier'];
const NUMBERS = ['price_eur', 'close_out_eur', 'stock', 'delivery_days'];

const rowOf = (part: AnyPart): Row => ({
  id: part.id,
  part,
  ...Object.fromEntries(
    partFormat(part.slot).columns.map((column) => [column.header, writeCell(column, part)]),
  ),
});

/** The parts found; a cell is changed where it stands and read like a cell of a file. */
export function PartsGrid({
  kind,
  units,
  parts,
  samples,
  page,
  onPage,
  onOpen,
}: {
  kind: PartKind | null;
  units: ShopUnits;
  parts: FoundParts;
  /** Ids of those of the sample. */
  samples: readonly string[];
  page: number;
  onPage: (page: number) => void;
  onOpen: (part: AnyPart) => void;
}) {
  const [trouble, setTrouble] = useState('');
  const columns = useMemo(
    () => columnsOf(kind, units, new Set(samples), onOpen),
    [kind, units, samples, onOpen],
  );
  const rows = useMemo(() => parts.parts.map(rowOf), [parts.parts]);
  const save = async (row: Row, before: Row): Promise<Row> => {
    const { part } = before;
    const wanted = partFormat(part.slot).columns;
    const changed = wanted.find(({ header }) => row[header] !== before[header]);
    if (!changed) return before;
    const answer = readCell(changed, String(row[changed.header]));
    if (!answer.ok) throw new Error(w.cellFault(changed.name, answer.message));
    const cells = Object.fromEntries(wanted.map(({ header }) => [header, String(row[header])]));
    const seenBy = (from: Row) =>
      Object.fromEntries(wanted.map(({ header }) => [header, String(from[header])]));
    const url = `/api/v1/shop/parts/${encodeURIComponent(part.id)}`;
    const saved = await post<AnyPart>(url, { kind: part.slot, cells, seen: seenBy(before) }, 'PUT');
    if (!saved.ok) {
      if (saved.status === 409) parts.again();
      const errors = (saved.problem.errors ?? []) as { pointer: string; detail: string }[];
      throw new Error(errors[0] ? w.cellFault(changed.name, errors[0].detail) : saved.message);
    }
    setTrouble('');
    parts.put(saved.body);
    return rowOf(saved.body);
  };
  return (
    <div className={css.partsGrid} data-part="parts-grid">
      {trouble && (
        <Note kind="stop" role="alert">
          {trouble}
        </Note>
      )}
      {parts.failed && (
        <Note role="alert">
          {w.failed} <Button onClick={parts.again}>{w.again}</Button>
        </Note>
      )}
      <DataGrid<Row>
        rows={rows}
        columns={columns}
        loading={parts.asking && rows.length === 0}
        rowCount={parts.count}
        paginationMode="server"
        paginationModel={{ page, pageSize: PAGE_SIZE }}
        pageSizeOptions={[PAGE_SIZE]}
        onPaginationModelChange={(next) => onPage(next.page)}
        processRowUpdate={save}
        onProcessRowUpdateError={(error: Error) => setTrouble(error.message)}
        rowHeight={52}
        columnHeaderHeight={44}
        disableColumnSorting
        disableColumnFilter
        disableColumnMenu
        disableRowSelectionOnClick
        hideFooterSelectedRowCount
        localeText={{ noRowsLabel: w.none }}
        aria-label={w.title}
      />
    </div>
  );
}

function columnsOf(
  kind: PartKind | null,
  units: ShopUnits,
  samples: ReadonlySet<string>,
  onOpen: (part: AnyPart) => void,
): GridColDef<Row>[] {
  const name: GridColDef<Row> = {
    field: 'name',
    headerName: w.name,
    minWidth: 400,
    flex: 1,
    renderCell: ({ row: { part } }: GridRenderCellParams<Row>) => (
      <Press type="button" className={css.gridName} onClick={() => onOpen(part)}>
        <PartDrawing part={part} size={34} />
        <span>
          <b>{partName(part)}</b>
          <Text variant="small" soft>
            {samples.has(part.id) ? `${firstWords.sampleTag} · ` : ''}
            {kind === null ? `${slotName(part.slot)} · ` : ''}
            {partFacts(part, units)}
          </Text>
        </span>
      </Press>
    ),
  };
  const daily = partFormat(kind ?? 'rest').columns.filter(({ header }) => DAILY.includes(header));
  const attrs =
    kind === null
      ? []
      : partFormat(kind).columns.filter(
          ({ header }) =>
            !DAILY.includes(header) && !['id', 'slot', 'maker', 'model'].includes(header),
        );
  return [name, ...[...daily, ...attrs].map(cellColumn)];
}

const cellColumn = ({ header, name, about }: Column<AnyPart>): GridColDef<Row> => ({
  field: header,
  headerName: name,
  description: about,
  editable: true,
  width: header === 'supplier' ? 170 : Math.max(104, 34 + name.length * 8),
  align: NUMBERS.includes(header) ? 'right' : 'left',
  headerAlign: NUMBERS.includes(header) ? 'right' : 'left',
});
