'use client';
import { useState } from 'react';
import Link from 'next/link';
import Button from '@mui/material/Button';
import { slotName, slotWeight, SLOTS, type CatalogueItem } from '@/core/kit';
import { WithFractions } from '../../fields/Figure';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { useStage } from '../../job/useStage';
import { kitPackages as w } from '../../words';
import { Frontier } from './Frontier';
import { PackageGrid } from './PackageGrid';
import { usePackages } from './usePackages';
import { WaysOut } from './WaysOut';
import { Wishes } from './Wishes';

/** Whole packages side by side, each proven the best for its money. */
export function Packages({ items }: { items: readonly CatalogueItem[] }) {
  const { snapshot } = useJob();
  const { href } = useStage();
  const { answer, points, asking, trouble, again } = usePackages();
  const [why, setWhy] = useState(false);
  const { weights } = snapshot.shop.kit;
  return (
    <>
      <main className="work">
        <div className="head">
          <h2>{w.title}</h2>
          <Link href={href('kit')} prefetch={false}>
            {w.back}
          </Link>
          {answer && answer.packages.length > 0 && (
            <Button
              variant="text"
              className="head-end"
              aria-pressed={why}
              onClick={() => setWhy(!why)}
            >
              {why ? w.hideWhy : w.showWhy}
            </Button>
          )}
        </div>
        {!snapshot.bow && <p className="note">{w.noBow}</p>}
        <Wishes items={items} />
        {asking && (
          <p className={answer ? 'visually-hidden' : 'soft'} role="status">
            {w.asking}
          </p>
        )}
        {trouble && (
          <p className="note" role="alert">
            {trouble} <Button onClick={again}>{w.again}</Button>
          </p>
        )}
        {answer?.leftOpen.map(({ slot, name, reason }) => (
          <p key={slot} className="note" data-kind="warn">
            <WithFractions text={w.leftOpen(slotName(slot), name, reason)} />{' '}
            {slot === 'arrows' && (
              <Link href={href('kit', { part: 'arrow' })} prefetch={false}>
                {w.buildArrows}
              </Link>
            )}
          </p>
        ))}
        {answer && <WaysOut answer={answer} items={items} />}
        {answer && answer.packages.length > 0 && (
          <div aria-busy={asking}>
            <PackageGrid answer={answer} why={why} />
            <Frontier points={points} packages={answer.packages} items={items} />
          </div>
        )}
        {answer && answer.packages.length === 0 && !answer.give && (
          <p className="soft">{w.allChosen}</p>
        )}
      </main>
      <Margin
        because={[
          w.because.proven,
          w.because.worth,
          <span key="weights">
            {w.because.weights(
              SLOTS.filter(({ usual }) => usual).map(
                ({ id }) =>
                  `${slotName(id).toLowerCase()} ${slotWeight(id, snapshot.job.purpose, weights)}`,
              ),
            )}{' '}
            <Link href="/shop#kit" prefetch={false}>
              {w.because.change}
            </Link>
          </span>,
          w.because.kept,
        ]}
        watch={[{ id: 'try', text: w.watch.tryIt }]}
      />
    </>
  );
}
