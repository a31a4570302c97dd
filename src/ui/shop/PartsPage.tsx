'use client';
import { useState } from 'react';
import Link from 'next/link';
import Button from '@mui/material/Button';
import { partFormat } from '@/contracts/part-csv';
import { PART_KINDS, partName, slotName, type AnyPart, type PartKind } from '@/core/kit';
import type { ShopUnits } from '@/core/units';
import { TextField } from '../fields/TextField';
import { Press } from '../pieces/Press';
import { PageHead } from '../frame/PageHead';
import { deliveredWords, partStock as w } from '../words';
import { useParts } from '../parts/useParts';
import { Page } from '../pieces/Page';
import { Actions } from '../pieces/layout';
import { ImportParts } from './ImportParts';
import { PartsGrid } from './PartsGrid';
import { freshId, RecordForm } from './RecordForm';
import { countOf, Samples, type SampleIds } from './Samples';
import { SupplierList } from './SupplierList';
import css from './PartsPage.module.css';

type Open = AnyPart | 'new' | 'file' | 'list' | null;

/** Every part of the shop: found by any word, changed in the grid, by a form, by a file, by a list. */
export function PartsPage({
  units,
  suppliers,
  samples,
}: {
  units: ShopUnits;
  suppliers: readonly string[];
  samples: SampleIds;
}) {
  const [kind, setKind] = useState<PartKind | null>('rest');
  const [text, setText] = useState('');
  const [page, setPage] = useState(0);
  const [open, setOpen] = useState<Open>(null);
  const parts = useParts({ text, kind, page });
  const done = () => {
    setOpen(null);
    parts.again();
  };
  const look = (next: PartKind | null) => {
    setKind(next);
    setPage(0);
  };
  return (
    <>
      <PageHead title={w.title} />
      <Page width="all">
        <Actions className={css.tools}>
          <TextField
            id="part-search"
            label={w.search}
            value={text}
            type="search"
            autoComplete="off"
            slotProps={{ htmlInput: { maxLength: 100 } }}
            onChange={(event) => {
              setText(event.target.value);
              setPage(0);
            }}
          />
          <Button variant="contained" disabled={kind === null} onClick={() => setOpen('new')}>
            {kind === null ? w.addAny : w.add(slotName(kind))}
          </Button>
          <Button variant="outlined" onClick={() => setOpen('file')}>
            {w.fromFile}
          </Button>
          {kind !== null && (
            <Button
              variant="outlined"
              component="a"
              href={`/api/v1/shop/parts/file?kind=${kind}`}
              download={`${kind}.csv`}
            >
              {w.toFile}
            </Button>
          )}
          {suppliers.length > 0 && (
            <Button variant="outlined" onClick={() => setOpen('list')}>
              {w.supplierList}
            </Button>
          )}
          <Link href="/shop" prefetch={false}>
            {w.back}
          </Link>
        </Actions>
        <Samples
          key={samples.parts.length}
          count={countOf(samples)}
          offer={text === '' && !parts.asking && parts.count === 0}
          onDone={parts.again}
        />
        <div className={css.partsSplit}>
          <nav className={css.partKinds} data-part="part-kinds" aria-label={w.kinds}>
            <KindButton current={kind === null} onClick={() => look(null)}>
              {w.allKinds}
            </KindButton>
            {PART_KINDS.map(({ id, name }) => (
              <KindButton key={id} current={kind === id} onClick={() => look(id)}>
                {name}
              </KindButton>
            ))}
          </nav>
          <PartsGrid
            key={kind ?? 'all'}
            kind={kind}
            units={units}
            parts={parts}
            samples={samples.parts}
            page={page}
            onPage={setPage}
            onOpen={setOpen}
          />
        </div>
        {open === 'file' && <ImportParts onClose={() => setOpen(null)} onDone={done} />}
        {open === 'list' && (
          <SupplierList suppliers={suppliers} onClose={() => setOpen(null)} onDone={done} />
        )}
        {open !== null && open !== 'file' && open !== 'list' && (
          <PartForm
            part={open === 'new' ? null : open}
            kind={kind}
            units={units}
            onClose={() => setOpen(null)}
            onDone={done}
          />
        )}
      </Page>
    </>
  );
}

function KindButton({
  current,
  onClick,
  children,
}: {
  current: boolean;
  onClick: () => void;
  children: string;
}) {
  return (
    <Press type="button" aria-current={current ? 'true' : undefined} onClick={onClick}>
      {children}
    </Press>
  );
}

function PartForm({
  part,
  kind,
  units,
  onClose,
  onDone,
}: {
  part: AnyPart | null;
  kind: PartKind | null;
  units: ShopUnits;
  onClose: () => void;
  onDone: () => void;
}) {
  const slot = part?.slot ?? kind;
  if (slot === null) return null;
  return (
    <RecordForm
      title={part ? partName(part) : w.add(slotName(slot))}
      save={w.save}
      columns={partFormat(slot).columns.filter(
        ({ header }) => header !== 'id' && header !== 'slot',
      )}
      record={part}
      units={units}
      more={{ kind: slot }}
      leads={
        part && (
          <Link href={`/delivered?part=${encodeURIComponent(part.id)}`} prefetch={false}>
            {deliveredWords.withThisPart}
          </Link>
        )
      }
      urlOf={({ model, maker }) =>
        `/api/v1/shop/parts/${encodeURIComponent(part?.id ?? freshId([slot, maker, model], []))}`
      }
      onClose={onClose}
      onDone={onDone}
    />
  );
}
