'use client';
import { useState } from 'react';
import Link from 'next/link';
import Button from '@mui/material/Button';
import {
  partName,
  slotName,
  type CatalogueItem,
  type PackagesAnswer,
  type WayOut,
} from '@/core/kit';
import { addDays, write, writeMoney } from '@/core/units';
import { Text } from '../../pieces/Text';
import { dayText } from '../../fields/dates';
import { useJob } from '../../job/JobProvider';
import { useStage } from '../../job/useStage';
import { kitPackages as w } from '../../words';
import { pages } from '../../words/pages';
import { FieldError, Note } from '../../pieces/texts';
import { BlockTitle, Rows } from '../../pieces/layout';
import { useWishes } from './Wishes';
import waysCss from './ways.module.css';

/** What stands in the way, and each single thing that would do, with what it costs. */
export function WaysOut({
  answer: { give, ways, packages },
  items,
}: {
  answer: PackagesAnswer;
  items: readonly CatalogueItem[];
}) {
  if (!give) return null;
  const slots = give.slots.map((slot) => slotName(slot as never).toLowerCase()).join(', ');
  const why =
    packages.length > 0
      ? w.moreMoney(writeMoney(give.budgetCents))
      : give.slots.length > 0
        ? w.nothingFor(slots)
        : w.nothingFits;
  return (
    <section className={waysCss.ways} data-part="ways" aria-label={w.waysTitle}>
      <Note kind={packages.length > 0 ? undefined : 'stop'} role="status">
        {why}
        {packages.length === 0 && (
          <>
            {' '}
            <Link href="/shop/parts" prefetch={false}>
              {pages.parts}
            </Link>
          </>
        )}
      </Note>
      {ways.length > 0 && (
        <>
          <BlockTitle>{w.waysTitle}</BlockTitle>
          <Rows>
            {ways.map((way) => (
              <Way key={JSON.stringify(way)} way={way} items={items} />
            ))}
          </Rows>
        </>
      )}
    </section>
  );
}

function Way({ way, items }: { way: WayOut; items: readonly CatalogueItem[] }) {
  const { snapshot, send } = useJob();
  const { job, shop, today } = snapshot;
  const { go } = useStage();
  const { wishes, change } = useWishes();
  const [trouble, setTrouble] = useState('');
  const say = (): string => {
    switch (way.kind) {
      case 'money':
        return w.ways.money(writeMoney(way.cents));
      case 'distance':
        return w.ways.distance(write(way.distanceM, 'distance', shop.units, { decimals: 0 }));
      case 'days':
        return w.ways.days(way.days, dayText(laterDay(way.days), today));
      case 'mass':
        return w.ways.mass(way.grams);
      case 'bring':
        return w.ways.bring(slotName(way.slot).toLowerCase());
      case 'allow': {
        const item = items.find(({ id }) => id === way.itemId);
        return w.ways.allow(item ? partName(item) : way.itemId);
      }
      case 'putBack':
        return w.ways.putBack(way.label);
    }
  };
  const laterDay = (days: number) => addDays(job.promisedDay ?? today, days);
  const answers = (next: object) => send({ name: 'setAnswers', job: next as never });
  const take = async () => {
    const done = await act();
    setTrouble(done?.message ?? '');
  };
  const act = () => {
    switch (way.kind) {
      case 'money':
        return answers({ budgetCents: (job.budgetCents ?? 0) + way.cents });
      case 'distance':
        return answers({ furthestM: way.distanceM });
      case 'days':
        return answers({ promisedDay: laterDay(way.days) });
      case 'mass':
        return change({ massLimitG: (wishes.massLimitG ?? 0) + way.grams });
      case 'allow':
        return change({ without: wishes.without.filter((id) => id !== way.itemId) });
      case 'putBack': {
        const { slot } = way;
        return send({ name: 'choosePart', slot, itemId: null, owned: false, label: '' });
      }
      case 'bring':
        go('kit', { slot: way.slot, from: 'own' });
        return Promise.resolve(null);
    }
  };
  return (
    <li>
      <div>
        <b>{say()}</b>
        <Text variant="small" soft as="div">
          {w.ways.then(writeMoney(way.priceCents))}
        </Text>
        {trouble && <FieldError role="alert">{trouble}</FieldError>}
      </div>
      <Button
        variant="outlined"
        aria-label={`${w.ways.doIt}: ${say()}`}
        onClick={() => void take()}
      >
        {w.ways.doIt}
      </Button>
    </li>
  );
}
