'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import type { ImportLook } from '@/contracts/csv';
import { Panel } from '../frame/Panel';
import { post } from '../keep/post';
import { frame, partStock as w } from '../words';
import { ChangeList, NO_TICKS, ticksBody } from './ChangeList';
import { moreOfLook } from './more-of-look';

/** A supplier's newest list beside what the shop has; only what is ticked is taken. */
export function SupplierList({
  suppliers,
  onClose,
  onDone,
}: {
  suppliers: readonly string[];
  onClose: () => void;
  onDone: () => void;
}) {
  const [look, setLook] = useState<ImportLook | null>(null);
  const [ticks, setTicks] = useState(NO_TICKS);
  const [trouble, setTrouble] = useState('');
  const fetchList = async (supplier: string) => {
    const answer = await post<ImportLook>('/api/v1/shop/parts/supplier', { supplier });
    setTrouble(answer.ok ? '' : answer.message);
    if (!answer.ok) return;
    setLook(answer.body);
    setTicks(NO_TICKS);
  };
  const take = async () => {
    if (!look) return;
    const url = `/api/v1/shop/parts/imports/${look.importId}`;
    const answer = await post(url, { only: null, ...ticksBody(ticks) });
    if (answer.ok) onDone();
    else setTrouble(answer.message);
  };
  const leave = () => {
    if (look) void post(`/api/v1/shop/parts/imports/${look.importId}`, {}, 'DELETE');
    onClose();
  };
  const more = async () => {
    const next = look && (await moreOfLook(look));
    if (next) setLook(next);
    else setTrouble(w.notRead);
  };
  return (
    <Panel wide title={w.supplierList} onClose={leave}>
      <div className="stack">
        <p>{w.listHow}</p>
        <div className="actions">
          {suppliers.map((supplier) => (
            <Button key={supplier} variant="outlined" onClick={() => void fetchList(supplier)}>
              {supplier}
            </Button>
          ))}
        </div>
        {trouble && (
          <p className="note" data-kind="stop" role="alert">
            {trouble}
          </p>
        )}
        {look && (
          <p role="status">
            <b>{w.listSays(look.added, look.changed, look.same)}</b>
          </p>
        )}
        {look && (
          <ChangeList {...look} ticks={ticks} onTicks={setTicks} onMore={() => void more()} />
        )}
        <div className="actions">
          {look && (
            <Button
              variant="contained"
              disabled={look.rowCount + look.jumpCount === 0}
              onClick={() => void take()}
            >
              {w.takeWanted}
            </Button>
          )}
          <Button variant="text" onClick={leave}>
            {frame.cancel}
          </Button>
        </div>
      </div>
    </Panel>
  );
}
