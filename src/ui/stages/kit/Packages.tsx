'use client';
import { useState } from 'react';
import Link from 'next/link';
import Button from '@mui/material/Button';
import { slotName, slotWeight, SLOTS, type CatalogueItem } from '@/core/kit';
import { Text } from '../../pieces/Text';
import { WithFractions } from '../../fields/Figure';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { useStage } from '../../job/useStage';
import { kitPackages as w } from '../../words';
import { Work } from '../../job/Work';
import { Head, HeadEnd } from '../../pieces/layout';
import { Heard, Note } from '../../pieces/texts';
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
      <Work>
        <Head>
          <h2>{w.title}</h2>
          <Link href={href('kit')} prefetch={false}>
            {w.back}
          </Link>
          {answer && answer.packages.length > 0 && (
            <HeadEnd>
              <Button
                variant="text"

                aria-pressed={why}
                onClick={() => setWhy(!why)}
              >
                {why ? w.hideWhy : w.showWhy}
              </Button>
            </HeadEnd>
          )}
        </Head>
        {!snapshot.bow && <Note>{w.noBow}</Note>}
        <Wishes items={items} />
        {asking && (
          <Text soft as={answer ? Heard : 'p'} role="status">
            {w.asking}
          </Text>
        )}
        {trouble && (
          <Note role="alert">
            {trouble} <Button onClick={again}>{w.again}</Button>
          </Note>
        )}
        {answer?.leftOpen.map(({ slot, name, reason }) => (
          <Note key={slot}>
            <WithFractions text={w.leftOpen(slotName(slot), name, reason)} />{' '}
            {slot === 'arrows' && (
              <Link href={href('kit', { part: 'arrow' })} prefetch={false}>
                {w.buildArrows}
              </Link>
            )}
          </Note>
        ))}
        {answer && <WaysOut answer={answer} items={items} />}
        {answer && answer.packages.length > 0 && (
          <div aria-busy={asking}>
            <PackageGrid answer={answer} why={why} />
            <Frontier points={points} packages={answer.packages} items={items} />
          </div>
        )}
        {answer && answer.packages.length === 0 && !answer.give && <Text soft>{w.allChosen}</Text>}
      </Work>
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
