'use client';
import { useMemo, useState, type ReactNode } from 'react';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import { inShopUnits, readCell, writeCell, type Column } from '@/contracts/csv';
import type { ShopUnits } from '@/core/units';
import { TextField } from '../fields/TextField';
import { Panel } from '../frame/Panel';
import { post } from '../keep/post';
import { useKept } from '../keep/useKept';
import { recordForm as w, frame } from '../words';
import { FieldError, Note } from '../pieces/texts';
import { Actions } from '../pieces/layout';
import css from './RecordForm.module.css';

type Cells = Readonly<Record<string, string>>;

/** One record of the shop, every figure as it stands in a file: the same words, units and limits. */
export function RecordForm<R>({
  title,
  save: saveWord,
  columns,
  record,
  urlOf,
  addsNew = true,
  asksFirst = [],
  more = {},
  units,
  leads,
  onClose,
  onDone,
}: {
  title: string;
  save: string;
  /** Those asked for. */
  columns: readonly Column<R>[];
  /** Null for a new one. */
  record: R | null;
  /** Where it is saved, from its cells. */
  urlOf: (cells: Cells) => string;
  /** Columns that matter most, asked for before the rest. */
  asksFirst?: readonly string[];
  /** What is sent beside the cells. */
  more?: Readonly<Record<string, string>>;
  /** A new record must not take the place of another one; false where the number itself says which. */
  addsNew?: boolean;
  /** Measures are shown and read in these; the file’s own columns are what is sent. */
  units: ShopUnits;
  /** Under the fields: where else it leads. */
  leads?: ReactNode;
  onClose: () => void;
  onDone: () => void;
}) {
  const shown = useMemo(
    () => columns.map((column) => inShopUnits(column, units)),
    [columns, units],
  );
  const [first, setFirst] = useState<Cells>(() => cellsOf(shown, record));
  const typed = useKept<Cells>(`form.${title}.${record === null ? 'new' : 'known'}`, () => ({}));
  // Only what differs from what stands there is kept: another screen's changes show through.
  const cells = { ...first, ...typed.value };
  const change = (header: string, value: string) =>
    typed.set((now) => ({ ...now, [header]: value }));
  // As it stood when it was opened, or as another screen made it since.
  const [seen, setSeen] = useState<Cells | null>(() => record && cellsOf(columns, record));
  const [faults, setFaults] = useState<Cells>({});
  const [trouble, setTrouble] = useState('');
  const save = async () => {
    const wrong = faultsOf(shown, cells);
    setFaults(wrong);
    if (Object.keys(wrong).length > 0) return setTrouble(w.seeMarked);
    const sent = asInFile(columns, shown, cells, { first, seen });
    const body = { ...more, cells: sent, ...(seen ? { seen } : addsNew ? { isNew: true } : {}) };
    const answer = await post(urlOf(cells), body, 'PUT');
    if (answer.ok) {
      typed.forget();
      return onDone();
    }
    setTrouble(answer.message);
    const now = (answer.problem.now ?? {}) as Cells;
    setSeen((before) => before && { ...before, ...now });
    setFirst((before) => ({ ...before, ...asShown(columns, shown, now) }));
    const errors = (answer.problem.errors ?? []) as { pointer: string; detail: string }[];
    setFaults(
      Object.fromEntries(
        errors.map(({ pointer, detail }) => [pointer.replace('/cells/', ''), detail]),
      ),
    );
  };
  return (
    <Panel wide typing title={title} onClose={onClose}>
      <Stack
        spacing={2}
        component="form"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          void save();
        }}
      >
        {typed.found && (
          <Note role="status">
            {w.foundAgain}{' '}
            <Button variant="text" onClick={typed.forget}>
              {w.throwAway}
            </Button>
          </Note>
        )}
        {groupsOf(shown, asksFirst).map(({ title: of, columns: some }) => (
          <section key={of}>
            {of && <h3 className={css.group}>{of}</h3>}
            <div className={css.bowForm}>
              {some.map((column) => (
                <Cell
                  key={column.header}
                  column={column}
                  value={cells[column.header] ?? ''}
                  fault={faults[column.header]}
                  onChange={(value) => {
                    change(column.header, value);
                    setFaults(({ [column.header]: _gone, ...rest }) => rest);
                  }}
                />
              ))}
            </div>
          </section>
        ))}
        <Actions>
          <Button type="submit" variant="contained">
            {saveWord}
          </Button>
          <Button variant="text" onClick={onClose}>
            {frame.cancel}
          </Button>
          {leads}
          {trouble && <FieldError role="alert">{trouble}</FieldError>}
        </Actions>
      </Stack>
    </Panel>
  );
}

/** What matters first, in its own order, then the rest; one group without a heading where nothing does. */
function groupsOf<R>(columns: readonly Column<R>[], first: readonly string[]) {
  if (first.length === 0) return [{ title: '', columns }];
  const early = first.flatMap((header) => columns.filter((column) => column.header === header));
  return [
    { title: w.first, columns: early },
    { title: w.rest, columns: columns.filter((column) => !early.includes(column)) },
  ];
}

/** "camAndAHalf" as it is spoken. */
const spoken = (code: string) =>
  code.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`).trim();

function Cell<R>({
  column: { header, name, about, kind, example, required },
  value,
  fault,
  onChange,
}: {
  column: Column<R>;
  value: string;
  fault: string | undefined;
  onChange: (value: string) => void;
}) {
  const says = fault ? `${name} ${fault}` : value === '' ? about : ' ';
  if (kind.choices)
    return (
      <TextField
        select
        id={`cell-${header}`}
        label={name}
        value={value}
        error={fault !== undefined}
        helperText={says}
        onChange={(event) => onChange(event.target.value)}
      >
        <option value="">{required ? w.choose : w.notKnown}</option>
        {kind.choices.map((choice) => (
          <option key={choice} value={choice}>
            {spoken(choice)}
          </option>
        ))}
      </TextField>
    );
  return (
    <TextField
      id={`cell-${header}`}
      label={name}
      value={value}
      placeholder={required ? w.example(example) : w.notKnown}
      error={fault !== undefined}
      helperText={says}
      title={kind.says}
      autoComplete="off"
      slotProps={{ htmlInput: { maxLength: 1000 } }}
      {...(header === 'modules' ? { 'data-wide': '' } : {})}
      onChange={(event) => onChange(event.target.value)}
    />
  );
}

/** What is sent: a cell left as it stood goes as it was, another one in the file’s own unit. */
function asInFile<R>(
  columns: readonly Column<R>[],
  shown: readonly Column<R>[],
  cells: Cells,
  { first, seen }: { first: Cells; seen: Cells | null },
): Cells {
  return Object.fromEntries(
    columns.map((column, i) => {
      const { header } = column;
      const cell = cells[header] ?? '';
      if (seen && cell === first[header]) return [header, seen[header] ?? cell];
      const value = shown[i]!.kind === column.kind ? null : readCell(shown[i]!, cell);
      return [header, value?.ok ? column.kind.write(value.value) : cell];
    }),
  );
}

/** Cells of the file as the form shows them. */
const asShown = <R,>(
  columns: readonly Column<R>[],
  shown: readonly Column<R>[],
  cells: Cells,
): Cells =>
  Object.fromEntries(
    columns.flatMap((column, i) => {
      const cell = cells[column.header];
      if (cell === undefined) return [];
      const value = readCell(column, cell);
      return [[column.header, value.ok ? shown[i]!.kind.write(value.value) : cell]];
    }),
  );

const cellsOf = <R,>(columns: readonly Column<R>[], record: R | null): Cells =>
  Object.fromEntries(
    columns.map((column) => [column.header, record === null ? '' : writeCell(column, record)]),
  );

function faultsOf<R>(columns: readonly Column<R>[], cells: Cells): Cells {
  return Object.fromEntries(
    columns.flatMap((column) => {
      const answer = readCell(column, cells[column.header] ?? '');
      return answer.ok ? [] : [[column.header, answer.message]];
    }),
  );
}

/** Of a new record: its words as an id, with a number where that is taken. */
export function freshId(words: readonly (string | undefined)[], ids: readonly string[]): string {
  const base =
    words
      .filter(Boolean)
      .join('-')
      .toLowerCase()
      .normalize('NFD')
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '')
      .slice(0, 50) || 'new';
  if (!ids.includes(base)) return base;
  let n = 2;
  while (ids.includes(`${base}-${n}`)) n++;
  return `${base}-${n}`;
}
