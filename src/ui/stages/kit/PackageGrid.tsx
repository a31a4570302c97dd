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
import { WithFractions } from '../../fields/Figure';
import { useJob } from '../../job/JobProvider';
import { useStage } from '../../job/useStage';
import { kitPackages as w } from '../../words';
import { useWishes } from './Wishes';

/** Packages side by side, place beside place, so that what differs meets the eye. */
export function PackageGrid({ answer, why }: { answer: PackagesAnswer; why: boolean }) {
  const { packages } = answer;
  const slots = SLOTS.map(({ id }) => id).filter((id) =>
    packages.some(({ parts }) => parts.some(({ slot }) => slot === id)),
  );
  return (
    <div className="packages" data-columns={packages.length}>
      {packages.map((one, i) => (
        <section
          key={one.kind}
          className="package"
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
      <p className="small soft">{w.kindSays[one.kind]}</p>
      <p className="package-price figure">{writeMoney(answer.keptCents + one.priceCents)}</p>
      <p className="small soft">{w.ofIt(writeMoney(one.priceCents))}</p>
      {left !== null && (
        <span className="tag" data-kind={left >= 0 ? 'in' : 'out'}>
          {left >= 0 ? w.left(writeMoney(left)) : w.over(writeMoney(-left))}
        </span>
      )}
      <TakePackage
        items={one.parts.map(({ item }) => item)}
        name={w.kinds[one.kind]}
        strong={one.kind === 'balanced'}
      />
      {one.cautions.length + one.unsure.length === 0 && <p className="small">{w.nothingAgainst}</p>}
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
    <details className="unsure" data-kind={warn ? 'warn' : ''}>
      <summary>{title}</summary>
      <ul className="small">
        {texts.map((text) => (
          <li key={text}>
            <WithFractions text={text} />
          </li>
        ))}
      </ul>
    </details>
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
      {trouble && (
        <p className="field-error" role="alert">
          {trouble}
        </p>
      )}
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
      <div className="place" data-empty="yes">
        <span className="small soft">{slotName(slot)}</span>
        <p className="soft">{w.leftEmpty}</p>
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
    <div className="place" data-same={same ? 'yes' : 'no'}>
      <span className="small soft">{slotName(slot)}</span>
      <span className="figure place-price">{writeMoney(sellCents(item))}</span>
      <p className="place-name">{name}</p>
      <div className="place-acts">
        <button
          type="button"
          className="plain-button"
          aria-label={w.keep(name)}
          title={w.keep(name)}
          onClick={() => void keep()}
        >
          <PushPin fontSize="small" />
        </button>
        <button
          type="button"
          className="plain-button"
          aria-label={w.notThis(name)}
          title={w.notThis(name)}
          onClick={() => void change({ without: [...wishes.without, item.id] })}
        >
          <Close fontSize="small" />
        </button>
      </div>
      <div className="small soft place-facts">
        {!same && <WithFractions text={partFacts(item, snapshot.shop.units)} />}
        {!same && reasons.length > 0 && (
          <span className="package-why">
            <WithFractions text={reasons.join('; ')} />
          </span>
        )}
        {item.stock === 0 && <span className="package-why">{w.days(item.deliveryDays)}</span>}
      </div>
      {trouble && (
        <p className="field-error place-else" role="alert">
          {trouble}
        </p>
      )}
      {why && <p className="small place-else">{elseText(runnerUp)}</p>}
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
