'use client';
import { useState } from 'react';
import { partName, type CatalogueItem, type KitPackage, type PackagePoint } from '@/core/kit';
import { writeMoney } from '@/core/units';
import { PackageChart } from '../../charts/PackageChart';
import { kitPackages as w } from '../../words';
import { TakePackage } from './PackageGrid';

/** Price against worth; a point is tapped to see what it holds, and taken from there. */
export function Frontier({
  points,
  packages,
  items,
}: {
  points: readonly PackagePoint[];
  packages: readonly KitPackage[];
  items: readonly CatalogueItem[];
}) {
  const [at, setAt] = useState<number | null>(null);
  if (points.length < 3) return null;
  const point = at === null ? undefined : points[at];
  const chosen = (point?.itemIds ?? []).flatMap((id) => items.find((item) => item.id === id) ?? []);
  return (
    <section className="block">
      <h3 className="block-title">{w.frontier}</h3>
      <div className="frontier">
        <PackageChart frontier={points} packages={packages} onPick={setAt} />
        <div className="frontier-steps" role="group" aria-label={w.pickPoint}>
          {points.map(({ priceCents }, i) => (
            <button
              key={priceCents}
              type="button"
              className="wish figure"
              aria-pressed={i === at}
              onClick={() => setAt(i === at ? null : i)}
            >
              {writeMoney(priceCents)}
            </button>
          ))}
        </div>
        {point ? (
          <div className="frontier-point">
            <p>
              <b className="figure">{writeMoney(point.priceCents)}</b>{' '}
              {chosen.map(partName).join(' · ')}
            </p>
            <TakePackage items={chosen} name={writeMoney(point.priceCents)} strong={false} />
          </div>
        ) : (
          <p className="small soft">{w.pickPoint}</p>
        )}
      </div>
    </section>
  );
}
