'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import Close from '@mui/icons-material/Close';
import PushPin from '@mui/icons-material/PushPinOutlined';
import {
  partName,
  sellCents,
  slotName,
  SLOTS,
  type CatalogueItem,
  type KitPackage,
  type PackagePart,
  type PackagesAnswer,
  type RunnerUp,
  type Slot,
  partFacts,
} from '@/core/kit';
import { writeMoney } from '@/core/units';
import { Text } from '../../pieces/Text';
import { WithFractions } from '../../fields/Figure';
import { useJob } from '../../job/JobProvider';
import { useStage } from '../../job/useStage';
import { kitPackages as w } from '../../words';
import { FieldError, Tag } from '../../pieces/texts';
import { More } from '../../pieces/More';
import { useWishes } from './Wishes';
import css from './PackageGrid.module.css';

/** Packages side by side, place beside place, so that what differs meets the eye. */
export function PackageGrid({ answer, why }: { answer: PackagesAnswer; why: boolean }) {
  const { packages } = answer;
  const slots = SLOTS.map(({ id }) => id).filter((id) =>
    packages.some(({ parts }) => parts.some(({ slot }) => slot === id)),
  );
  return (
    <div className={css.packages} data-part="packages" data-columns={packages.length}>
      {packages.map((one, i) => (
        <section
          key={one.kind}
          className={css.package}
          data-part="package"
          aria-label={w.kinds[one.kind]}
          style={{ gridRow: `span ${slots.length + 1}` }}
        >
          <PackageHead one={one} answer={answer} />
          {slots.map((slot) => (
            <Place
              key={slot}
              slot={slot}
              part={partIn(one, slot)}
              same={i > 0 && partIn(packages[i - 1]!, slot)?.item.id === partIn(one, slot)?.item.id}
              why={why}
            />
          ))}
        </section>
      ))}
    </div>
  );
}

const partIn = ({ parts }: KitPackage, slot: Slot) => parts.find((part) => part.slot === slot);

function PackageHead({ one, answer }: { one: KitPackage; answer: PackagesAnswer }) {
  const left = answer.leftCents === null ? null : answer.leftCents - one.priceCents;
  return (
    <header>
      <h3>{w.kinds[one.kind]}</h3>
      <Text variant="small" soft as="p">
        {w.kindSays[one.kind]}
      </Text>
      <Text variant="figure" as="p" className={css.packagePrice}>
        {writeMoney(answer.keptCents + one.priceCents)}
      </Text>
      <Text variant="small" soft as="p">
        {w.ofIt(writeMoney(one.priceCents))}
      </Text>
      {left !== null && (
        <Tag kind={left >= 0 ? 'in' : 'out'}>
          {left >= 0 ? w.left(writeMoney(left)) : w.over(writeMoney(-left))}
        </Tag>
      )}
      <TakePackage
        items={one.parts.map(({ item }) => item)}
        name={w.kinds[one.kind]}
        strong={one.kind === 'balanced'}
      />
      {one.cautions.length + one.unsure.length === 0 && (
        <Text variant="small" as="p">
          {w.nothingAgainst}
        </Text>
      )}
      <Said title={w.cautions(one.cautions.length)} texts={one.cautions} warn />
      <Said title={w.unsure(one.unsure.length)} texts={one.unsure} />
    </header>
  );
}

/** What the rules say of the package as a whole, counted, each in its own words. */
function Said({
  title,
  texts,
  warn = false,
}: {
  title: string;
  texts: readonly string[];
  warn?: boolean;
}) {
  if (texts.length === 0) return null;
  return (
    <More title={title} strong={warn}>
      <Text variant="small" as="ul" className={css.unsure}>
        {texts.map((text) => (
          <li key={text}>
            <WithFractions text={text} />
          </li>
        ))}
      </Text>
    </More>
  );
}

export function TakePackage({
  items,
  name,
  strong,
}: {
  items: readonly CatalogueItem[];
  name: string;
  strong: boolean;
}) {
  const { send } = useJob();
  const { go } = useStage();
  const [trouble, setTrouble] = useState('');
  const take = async () => {
    const answered = await send({
      name: 'choosePackage',
      itemIds: items.map(({ id }) => id),
      fromStock: items.filter(({ stock }) => stock > 0).map(({ id }) => id),
    });
    setTrouble(answered?.message ?? '');
    if (!answered) go('kit');
  };
  return (
    <>
      <Button
        variant={strong ? 'contained' : 'outlined'}
        aria-label={`${w.take}: ${name}`}
        onClick={() => void take()}
      >
        {w.take}
      </Button>
      {trouble && <FieldError role="alert">{trouble}</FieldError>}
    </>
  );
}

function Place({
  slot,
  part,
  same,
  why,
}: {
  slot: Slot;
  part: PackagePart | undefined;
  /** As in the package beside it. */
  same: boolean;
  why: boolean;
}) {
  const { snapshot, send } = useJob();
  const { wishes, change } = useWishes();
  const [trouble, setTrouble] = useState('');
  if (!part)
    return (
      <div className={css.place} data-part="place" data-empty="yes">
        <Text variant="small" soft>
          {slotName(slot)}
        </Text>
        <Text soft>{w.leftEmpty}</Text>
      </div>
    );
  const { item, reasons, runnerUp } = part;
  const name = partName(item);
  const keep = async () => {
    const answer = await send({
      name: 'choosePart',
      slot,
      itemId: item.id,
      owned: false,
      label: '',
      fromStock: item.stock > 0,
    });
    setTrouble(answer?.message ?? '');
  };
  return (
    <div className={css.place} data-part="place" data-same={same ? 'yes' : 'no'}>
      <Text variant="small" soft>
        {slotName(slot)}
      </Text>
      <Text variant="figure" className={css.placePrice}>
        {writeMoney(sellCents(item))}
      </Text>
      <p className={css.placeName} data-part="place-name">
        {name}
      </p>
      <div className={css.placeActs}>
        <Button
          type="button"
          variant="plain"
          aria-label={w.keep(name)}
          title={w.keep(name)}
          onClick={() => void keep()}
        >
          <PushPin fontSize="small" />
        </Button>
        <Button
          type="button"
          variant="plain"
          aria-label={w.notThis(name)}
          title={w.notThis(name)}
          onClick={() => void change({ without: [...wishes.without, item.id] })}
        >
          <Close fontSize="small" />
        </Button>
      </div>
      <Text variant="small" soft as="div" className={css.placeFacts}>
        {!same && <WithFractions text={partFacts(item, snapshot.shop.units)} />}
        {!same && reasons.length > 0 && (
          <span className={css.packageWhy}>
            <WithFractions text={reasons.join('; ')} />
          </span>
        )}
        {item.stock === 0 && <span className={css.packageWhy}>{w.days(item.deliveryDays)}</span>}
      </Text>
      {trouble && (
        <FieldError className={css.placeElse} data-part="place-else" role="alert">
          {trouble}
        </FieldError>
      )}
      {why && (
        <Text variant="small" as="p" className={css.placeElse} data-part="place-else">
          {elseText(runnerUp)}
        </Text>
      )}
    </div>
  );
}

/** The runner-up, what the package costs with it, and what would turn the choice. */
function elseText(runnerUp: RunnerUp | null): string {
  if (!runnerUp) return w.onlyOne;
  const { item, priceCents, lost, tipCents } = runnerUp;
  const other = item ? partName(item) : w.nothingThere;
  const money =
    priceCents === 0
      ? w.samePrice
      : priceCents < 0
        ? w.cheaper(writeMoney(-priceCents))
        : w.dearer(writeMoney(priceCents));
  const tip =
    lost < 1e-6
      ? w.asGood
      : tipCents === null
        ? w.noTip(lost.toFixed(1))
        : w.tip(writeMoney(tipCents));
  return w.elseThen(other, money, tip);
}
