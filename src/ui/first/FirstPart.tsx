'use client';
import { Fragment } from 'react';
import Link from 'next/link';
import Button from '@mui/material/Button';
import type { FirstHourPart, Shop } from '@/core/job';
import { useShell } from '../frame/useShell';
import { People } from '../people/PeoplePage';
import { useManaged, type Managed } from '../people/usePeople';
import { Block, Questions } from '../pieces/layout';
import { Text } from '../pieces/Text';
import { Hours, SchoolFields, StationFields } from '../shop/BenchSettings';
import { QuoteFields } from '../shop/KitSettings';
import { Samples, type SampleCount } from '../shop/Samples';
import { ShopText, UnitFields } from '../shop/ShopFields';
import { useShopDraft } from '../shop/useShopDraft';
import { firstWords as w } from '../words';

/** What one part of the opening asks; the same fields stand in the settings. */
export function FirstPart({
  part,
  shop,
  managed,
  samples,
  onJob,
}: {
  part: FirstHourPart;
  shop: Shop;
  managed: Managed;
  samples: SampleCount;
  onJob: () => Promise<void>;
}) {
  const { open } = useShell();
  const people = useManaged(managed);
  const { draft, change, faults, said, leave, round } = useShopDraft(shop);
  const line = { draft, faults, change };
  const atBench = people.managed.people
    .filter(({ atBench: planned, leftAt }) => planned && !leftAt)
    .map(({ name }) => name);
  if (part === 'people') return <People people={people.managed.people} send={people.send} />;
  if (part === 'stock')
    return (
      <>
        <Block>
          <h3>{w.ownFiles}</h3>
          <p>
            <Link href="/shop/bows" prefetch={false}>
              {w.bowsFile}
            </Link>
          </p>
          <p>
            <Link href="/shop/parts" prefetch={false}>
              {w.partsFile}
            </Link>
          </p>
        </Block>
        <Block>
          <h3>{w.sample}</h3>
          <Samples count={samples} />
        </Block>
      </>
    );
  if (part === 'job')
    return (
      <p>
        <Button variant="contained" onClick={() => void onJob().then(() => open('new'))}>
          {w.newJob}
        </Button>
      </p>
    );
  return (
    <form
      noValidate
      onBlur={leave}
      onSubmit={(event) => {
        event.preventDefault();
        leave();
      }}
    >
      <Fragment key={round}>
        {part === 'shop' && (
          <Block as={Questions}>
            <ShopText field="name" maxLength={80} {...line} />
            <ShopText field="address" maxLength={200} {...line} />
            <ShopText field="phone" maxLength={40} {...line} />
            <ShopText field="timeZone" maxLength={60} {...line} />
          </Block>
        )}
        {part === 'units' && <UnitFields draft={draft} change={change} />}
        {part === 'money' && <QuoteFields shop={draft} change={change} />}
        {part === 'hours' && (
          <>
            <StationFields shop={draft} people={atBench} change={change} />
            <Hours shop={draft} people={atBench} change={change} />
          </>
        )}
        {part === 'schools' && <SchoolFields shop={draft} people={atBench} change={change} />}
      </Fragment>
      {said && (
        <Text role="status" soft={!said.wrong} wrong={said.wrong}>
          {said.text}
        </Text>
      )}
    </form>
  );
}
