'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import type { ImportLook } from '@/contracts/csv';
import { Panel } from '../frame/Panel';
import { post } from '../keep/post';
import { frame, partStock as w } from '../words';
import { Actions } from '../pieces/layout';
import { Note } from '../pieces/texts';
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
      <Stack spacing={2}>
        <p>{w.listHow}</p>
        <Actions>
          {suppliers.map((supplier) => (
            <Button key={supplier} variant="outlined" onClick={() => void fetchList(supplier)}>
              {supplier}
            </Button>
          ))}
        </Actions>
        {trouble && (
          <Note kind="stop" role="alert">
            {trouble}
          </Note>
        )}
        {look && (
          <p role="status">
            <b>{w.listSays(look.added, look.changed, look.same)}</b>
          </p>
        )}
        {look && (
          <ChangeList {...look} ticks={ticks} onTicks={setTicks} onMore={() => void more()} />
        )}
        <Actions>
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
        </Actions>
      </Stack>
    </Panel>
  );
}
