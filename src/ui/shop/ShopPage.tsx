'use client';
import { Fragment } from 'react';
import Link from 'next/link';
import type { Shop } from '@/core/job';
import { Text } from '../pieces/Text';
import { PageHead } from '../frame/PageHead';
import { useShell } from '../frame/useShell';
import { shopWords as w } from '../words';
import { Page } from '../pieces/Page';
import { Actions, Block, Questions } from '../pieces/layout';
import { BackupSettings } from './BackupSettings';
import { BenchSettings } from './BenchSettings';
import { KitSettings } from './KitSettings';
import { PersonSettings } from './PersonSettings';
import { ShopText, UnitFields } from './ShopFields';
import { TabletSettings } from './TabletSettings';
import { plain, TypedField } from './TypedField';
import { useShopDraft } from './useShopDraft';

/** Name, people, units and school of the shop. */
export function ShopPage({ shop }: { shop: Shop }) {
  const { may } = useShell();
  const { draft, change, faults, said, leave, round } = useShopDraft(shop);
  const line = { draft, faults, change };
  return (
    <>
      <PageHead title={w.title} />
      <Page>
        <form
          noValidate
          onBlur={leave}
          onSubmit={(event) => {
            event.preventDefault();
            leave();
          }}
        >
          <Text soft>{w.lead}</Text>
          <p>
            <Link href="/shop/bows" prefetch={false}>
              {w.bows}
            </Link>{' '}
            ·{' '}
            <Link href="/shop/parts" prefetch={false}>
              {w.parts}
            </Link>{' '}
            ·{' '}
            <Link href="/shop/steps" prefetch={false}>
              {w.steps}
            </Link>
            {may('people') && (
              <>
                {' '}
                ·{' '}
                <Link href="/shop/people" prefetch={false}>
                  {w.people}
                </Link>
              </>
            )}
          </p>
          <Block as={Questions}>
            <ShopText field="name" maxLength={80} {...line} />
            <ShopText field="address" maxLength={200} {...line} />
            <ShopText field="phone" maxLength={40} {...line} />
            <ShopText field="timeZone" maxLength={60} {...line} />
            <TypedField
              id="lock"
              label={w.lockAfter}
              value={String(draft.lockAfterMin)}
              reads={(typed) => plain(typed, 1, 240, true)}
              onRead={(lockAfterMin) => change({ lockAfterMin })}
            />
          </Block>
          <PersonSettings rules={draft.persons} change={(persons) => change({ persons })} />
          <UnitFields draft={draft} change={change} />
          <TabletSettings />
          <BackupSettings />
          <Fragment key={round}>
            <BenchSettings shop={draft} people={shop.people} change={change} />
            <KitSettings shop={draft} change={change} />
          </Fragment>
          <Actions>
            <Link href="/">{w.back}</Link>
            {said && (
              <Text role="status" as="span" soft={!said.wrong} wrong={said.wrong}>
                {said.text}
              </Text>
            )}
          </Actions>
        </form>
      </Page>
    </>
  );
}
