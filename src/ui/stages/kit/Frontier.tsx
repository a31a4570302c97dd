'use client';
import { useState } from 'react';
import { partName, type CatalogueItem, type KitPackage, type PackagePoint } from '@/core/kit';
import { writeMoney } from '@/core/units';
import { Text } from '../../pieces/Text';
import { PackageChart } from '../../charts/PackageChart';
import { kitPackages as w } from '../../words';
import { Block, BlockTitle } from '../../pieces/layout';
import { TakePackage } from './PackageGrid';
import css from './Frontier.module.css';
import wishCss from './wish.module.css';

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
    <Block>
      <BlockTitle>{w.frontier}</BlockTitle>
      <div>
        <PackageChart frontier={points} packages={packages} onPick={setAt} />
        <div
          className={css.frontierSteps}
          data-part="frontier-steps"
          role="group"
          aria-label={w.pickPoint}
        >
          {points.map(({ priceCents }, i) => (
            <Text
              key={priceCents}
              type="button"
              variant="figure"
              as="button"
              className={wishCss.wish}
              data-part="wish"
              aria-pressed={i === at}
              onClick={() => setAt(i === at ? null : i)}
            >
              {writeMoney(priceCents)}
            </Text>
          ))}
        </div>
        {point ? (
          <div className={css.frontierPoint} data-part="frontier-point">
            <p>
              <Text variant="figure" as="b">
                {writeMoney(point.priceCents)}
              </Text>{' '}
              {chosen.map(partName).join(' · ')}
            </p>
            <TakePackage items={chosen} name={writeMoney(point.priceCents)} strong={false} />
          </div>
        ) : (
          <Text variant="small" soft as="p">
            {w.pickPoint}
          </Text>
        )}
      </div>
    </Block>
  );
}
