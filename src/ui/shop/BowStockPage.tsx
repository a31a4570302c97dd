'use client';
import { useState } from 'react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import Button from '@mui/material/Button';
import { bowName, CAM_SYSTEMS, drawLengthSteps, type BowRecord } from '@/core/bow';
import { write, writeMoney, type ShopUnits } from '@/core/units';
import { WithFractions } from '../fields/Figure';
import { PageHead } from '../frame/PageHead';
import { bowStock as w } from '../words';
import { BowForm } from './BowForm';
import { ImportBows } from './ImportBows';
import { GridTable } from '../fields/GridTable';
import { SingleBows, type SingleBow } from './SingleBows';

/** Every bow of the shop: looked over, changed one by one, or by a file. */
export function BowStockPage({
  bows,
  pieces,
  units,
}: {
  bows: readonly BowRecord[];
  pieces: readonly SingleBow[];
  units: ShopUnits;
}) {
  const router = useRouter();
  const [open, setOpen] = useState<BowRecord | 'new' | 'file' | null>(null);
  const done = () => {
    setOpen(null);
    router.refresh();
  };
  return (
    <>
      <PageHead title={w.title} />
      <main className="shop stock">
        <div className="actions">
          <Button variant="contained" onClick={() => setOpen('new')}>
            {w.add}
          </Button>
          <Button variant="outlined" onClick={() => setOpen('file')}>
            {w.fromFile}
          </Button>
          <Button
            variant="outlined"
            component="a"
            href="/api/v1/shop/bows/file"
            download="bows.csv"
          >
            {w.toFile}
          </Button>
          <Link href="/shop" prefetch={false}>
            {w.back}
          </Link>
        </div>
        {bows.length === 0 ? (
          <p className="note">{w.none}</p>
        ) : (
          <GridTable className="stock-table">
            <thead>
              <tr>
                {w.heads.map((head) => (
                  <th key={head}>{head}</th>
                ))}
              </tr>
            </thead>
            <tbody>
              {bows.map((bow) => (
                <BowLine key={bow.id} bow={bow} units={units} onOpen={() => setOpen(bow)} />
              ))}
            </tbody>
          </GridTable>
        )}
        <SingleBows pieces={pieces} bows={bows} units={units} />
        {open === 'file' && <ImportBows onClose={() => setOpen(null)} onDone={done} />}
        {open !== null && open !== 'file' && (
          <BowForm
            bow={open === 'new' ? null : open}
            ids={bows.map(({ id }) => id)}
            units={units}
            onClose={() => setOpen(null)}
            onDone={done}
          />
        )}
      </main>
    </>
  );
}

function BowLine({ bow, units, onOpen }: { bow: BowRecord; units: ShopUnits; onOpen: () => void }) {
  const steps = drawLengthSteps(bow);
  const length = (mm: number) => write(mm, 'length', units);
  const force = (n: number) => write(n, 'force', units, { decimals: 0 });
  const lengths =
    steps.length > 1 ? w.range(length(steps[0]!), length(steps.at(-1)!)) : length(steps[0]!);
  return (
    <tr>
      <td>
        <button type="button" className="link-button" onClick={onOpen}>
          {bowName(bow)}
        </button>
      </td>
      <td>{bow.hand}</td>
      <td>{CAM_SYSTEMS[bow.camSystem]}</td>
      <td className="figure">
        <WithFractions text={lengths} />
      </td>
      <td className="figure">{w.range(force(bow.minPeakN), force(bow.maxPeakN))}</td>
      <td className="figure">
        {bow.maxTurns === null ? (
          <span className="tag" data-kind="warn">
            {w.noTurns}
          </span>
        ) : (
          <WithFractions text={write(bow.maxTurns, 'turns', units)} />
        )}
      </td>
      <td>{bow.stops ? w.stops[bow.stops] : '—'}</td>
      <td className="figure right">{writeMoney(bow.priceCents)}</td>
      <td className="right">{bow.stock > 0 ? bow.stock : w.days(bow.deliveryDays)}</td>
    </tr>
  );
}
