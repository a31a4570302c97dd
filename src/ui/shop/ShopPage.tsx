'use client';
import { Fragment, useEffect, useState } from 'react';
import Link from 'next/link';
import type { Shop } from '@/core/job';
import type { ShopUnits } from '@/core/units';
import { Text } from '../pieces/Text';
import { TextField } from '../fields/TextField';
import { Choice, type ChoiceOption } from '../fields/Choice';
import { PageHead } from '../frame/PageHead';
import { useShell } from '../frame/useShell';
import { shopWords as w } from '../words';
import { Page } from '../pieces/Page';
import { Actions, Block, Questions } from '../pieces/layout';
import { BackupSettings } from './BackupSettings';
import { BenchSettings } from './BenchSettings';
import { TabletSettings } from './TabletSettings';
import { KitSettings } from './KitSettings';
import { plain, TypedField } from './TypedField';
import { unsavedSettings, useSaving } from './useSaving';

/** Name, people, units and school of the shop. */
export function ShopPage({ shop }: { shop: Shop }) {
  const [draft, setDraft] = useState(shop);
  const [round, setRound] = useState(0);
  useEffect(() => {
    const kept = unsavedSettings();
    if (!kept) return;
    const { changed } = kept;
    setDraft((now) => ({ ...now, ...changed }));
    // Fields begin anew with what stood in them.
    setRound((n) => n + 1);
  }, []);
  const { may } = useShell();
  const faults = faultsOf(draft);
  const { said, leave } = useSaving(shop, settled(draft, faults));
  const change = (part: Partial<Shop>) => setDraft((now) => ({ ...now, ...part }));
  const shared = { draft, change };
  const text = (field: 'name' | 'address' | 'phone' | 'timeZone', maxLength: number) => (
    <TextField
      id={`shop-${field}`}
      label={w[field]}
      value={draft[field]}
      error={faults[field] !== undefined}
      helperText={faults[field]}
      slotProps={{ htmlInput: { maxLength } }}
      onChange={(event) => change({ [field]: event.target.value })}
    />
  );
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
            {text('name', 80)}
            {text('address', 200)}
            {text('phone', 40)}
            {text('timeZone', 60)}
            <TypedField
              id="shop-lock"
              label={w.lockAfter}
              value={String(draft.lockAfterMin)}
              reads={(typed) => plain(typed, 1, 240, true)}
              onRead={(lockAfterMin) => change({ lockAfterMin })}
            />
          </Block>
          <Block as={Questions} data-units>
            <h2>{w.units}</h2>
            <UnitChoice {...shared} unit="length" label={w.length} options={w.lengths} />
            <UnitChoice {...shared} unit="force" label={w.force} options={w.forces} />
            <UnitChoice {...shared} unit="mass" label={w.mass} options={w.masses} />
            <UnitChoice {...shared} unit="speed" label={w.speed} options={w.speeds} />
            <UnitChoice {...shared} unit="distance" label={w.distance} options={w.distances} />
          </Block>
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

/** What can be saved: of a field that cannot stand as it is the others go all the same. */
function settled(draft: Shop, faults: Faults): Partial<Shop> {
  const { name, address, phone, timeZone, people: _people, ...rest } = draft;
  return {
    ...rest,
    address,
    phone,
    ...(faults.name ? {} : { name }),
    ...(faults.timeZone ? {} : { timeZone }),
  };
}

type Faults = Partial<Record<'name' | 'address' | 'phone' | 'timeZone', string>>;

/** What cannot be saved as it stands, by field. */
function faultsOf(draft: Shop): Faults {
  return {
    ...(draft.name.trim() === '' ? { name: w.nameMissing } : {}),
    ...(isTimeZone(draft.timeZone) ? {} : { timeZone: w.timeZoneWrong }),
  };
}

function isTimeZone(text: string): boolean {
  try {
    return text !== '' && Boolean(new Intl.DateTimeFormat('en', { timeZone: text }));
  } catch {
    return false;
  }
}

function UnitChoice<K extends keyof ShopUnits>({
  draft,
  change,
  unit,
  label,
  options,
}: {
  draft: Shop;
  change: (part: Partial<Shop>) => void;
  unit: K;
  label: string;
  options: readonly ChoiceOption<ShopUnits[K]>[];
}) {
  return (
    <Choice
      label={label}
      value={draft.units[unit]}
      options={options}
      onChange={(value) => change({ units: { ...draft.units, [unit]: value } })}
    />
  );
}
