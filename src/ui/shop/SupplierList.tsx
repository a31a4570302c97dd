'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import { Panel } from '../frame/Panel';
import { post } from '../job/post';
import { frame, partStock as w } from '../words';
import { GridTable } from '../fields/GridTable';

interface Difference {
  readonly id: string;
  readonly part: string;
  readonly column: string;
  readonly before: string;
  readonly after: string;
}
interface Look {
  readonly importId: string;
  readonly added: number;
  readonly changed: number;
  readonly same: number;
  readonly differences: readonly Difference[];
}

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
  const [look, setLook] = useState<Look | null>(null);
  const [wanted, setWanted] = useState<ReadonlySet<string>>(new Set());
  const [trouble, setTrouble] = useState('');
  const fetchList = async (supplier: string) => {
    const answer = await post<Look>('/api/v1/shop/parts/supplier', { supplier });
    setTrouble(answer.ok ? '' : answer.message);
    if (!answer.ok) return;
    setLook(answer.body);
    setWanted(new Set(answer.body.differences.map(({ id }) => id)));
  };
  const take = async () => {
    if (!look) return;
    const answer = await post(`/api/v1/shop/parts/imports/${look.importId}`, { only: [...wanted] });
    if (answer.ok) onDone();
    else setTrouble(answer.message);
  };
  const leave = () => {
    if (look) void post(`/api/v1/shop/parts/imports/${look.importId}`, {}, 'DELETE');
    onClose();
  };
  const tick = (id: string) => {
    const next = new Set(wanted);
    if (!next.delete(id)) next.add(id);
    setWanted(next);
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
        {look && look.differences.length > 0 && (
          <div className="faults" tabIndex={0} role="group" aria-label={w.differences}>
            <GridTable>
              <thead>
                <tr>
                  {w.differenceHeads.map((head) => (
                    <th key={head}>{head}</th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {look.differences.map(({ id, part, column, before, after }) => (
                  <tr key={`${id} ${column}`}>
                    <td>
                      <Checkbox
                        checked={wanted.has(id)}
                        slotProps={{ input: { 'aria-label': w.takeOne(part) } }}
                        onChange={() => tick(id)}
                      />
                    </td>
                    <td>{part}</td>
                    <td>{column || w.isNew}</td>
                    <td className="figure right">{before}</td>
                    <td className="figure right">{after}</td>
                  </tr>
                ))}
              </tbody>
            </GridTable>
          </div>
        )}
        <div className="actions">
          {look && (
            <Button variant="contained" disabled={wanted.size === 0} onClick={() => void take()}>
              {w.takeWanted(wanted.size)}
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
