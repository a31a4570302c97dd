'use client';
import { useState } from 'react';
import Link from 'next/link';
import Button from '@mui/material/Button';
import {
  arrowParts,
  builtArrow,
  firstChoice,
  partName,
  safeLengthMm,
  sellCents,
  shaftOffers,
  type AnyPart,
  type ArrowChoice,
  type PartOf,
} from '@/core/kit';
import { arrowGround } from '@/core/job';
import { perWeight, write, writeMoney } from '@/core/units';
import { SpineRuler } from '../../drawings/SpineRuler';
import { WithFractions } from '../../fields/Figure';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { useStage } from '../../job/useStage';
import { arrowWords as w } from '../../words';
import { arrowDecimals, ArrowFacts } from './ArrowFacts';
import { ArrowForm } from './ArrowForm';
import { ArrowSet } from './ArrowSet';
import { CompareBuilds } from './CompareBuilds';

const NAMES = ['A', 'B', 'C', 'D'];

/** The arrow from its parts: cut, balanced, held against what the bow needs, several side by side. */
export function ArrowPart({ components }: { components: readonly AnyPart[] }) {
  const { snapshot, derived, send } = useJob();
  const { href } = useStage();
  const [at, setAt] = useState(0);
  const [trouble, setTrouble] = useState('');
  const ground = arrowGround(snapshot, derived);
  const saved = snapshot.job.arrows.builds;
  const start = firstChoice(components, ground, NAMES[0]!);
  const builds = saved.length > 0 ? saved : start ? [start] : [];
  const choice = builds[Math.min(at, builds.length - 1)];
  const find = (id: string) => components.find((part) => part.id === id) ?? null;
  const save = async (next: readonly ArrowChoice[]) => {
    const answer = await send({ name: 'setArrows', builds: next.map((one) => ({ ...one })) });
    setTrouble(answer?.message ?? '');
    return answer;
  };
  const change = (part: Partial<ArrowChoice>) =>
    save(builds.map((one) => (one === choice ? { ...one, ...part } : one)));
  const another = async () => {
    const name = NAMES.find((letter) => !builds.some((one) => one.name === letter))!;
    if (!(await save([...builds, { ...choice!, name }]))) setAt(builds.length);
  };
  const drop = async () => {
    if (!(await save(builds.filter((one) => one !== choice)))) setAt(0);
  };
  const take = async () => {
    if (saved.length === 0 && (await save(builds))) return;
    const answer = await send({ name: 'takeArrows', build: builds.indexOf(choice!) });
    setTrouble(answer?.message ?? '');
  };
  const head = (
    <div className="head">
      <h2>{w.title}</h2>
      <Link className="head-end" href={href('kit', { slot: 'arrows' })} prefetch={false}>
        {w.back}
      </Link>
    </div>
  );
  if (!choice)
    return (
      <>
        <main className="work">
          {head}
          <p className="note">{w.noParts}</p>
          <Link href="/shop/parts">{w.toParts}</Link>
        </main>
        <Margin because={[]} watch={[]} />
      </>
    );
  const parts = arrowParts(choice, find);
  const answer = parts && builtArrow(choice, parts, ground);
  const shafts = components.filter((part) => part.slot === 'shaft') as unknown as PartOf<'shaft'>[];
  const offers = parts ? shaftOffers(shafts, choice, parts, ground) : [];
  const safe = safeLengthMm(ground);
  const taken = snapshot.parts.find(({ slot }) => slot === 'arrows');
  return (
    <>
      <main className="work">
        {head}
        <div className="build-tabs" role="group" aria-label={w.builds}>
          {builds.map((one, i) => (
            <button
              key={one.name}
              type="button"
              className="wish"
              aria-pressed={one === choice}
              onClick={() => setAt(i)}
            >
              {w.build(one.name)}
            </button>
          ))}
          {builds.length < NAMES.length && (
            <Button variant="text" onClick={() => void another()}>
              {w.another}
            </Button>
          )}
          {builds.length > 1 && (
            <Button variant="text" onClick={() => void drop()}>
              {w.drop(choice.name)}
            </Button>
          )}
        </div>
        {answer?.ok && <ArrowFacts arrow={answer} units={snapshot.shop.units} />}
        {answer && !answer.ok && (
          <p className="note" data-kind="stop" role="alert">
            {answer.message}
          </p>
        )}
        {!parts && (
          <p className="note" data-kind="stop" role="alert">
            {w.partGone}
          </p>
        )}
        {answer?.ok && answer.neededSpineIn !== undefined && (
          <SpineRuler
            offers={offers}
            needed={answer.neededSpineIn}
            from={answer.goodFromIn!}
            to={answer.goodToIn!}
            current={choice.shaftId}
            label={w.ruler(
              answer.neededSpineIn.toFixed(3),
              answer.goodFromIn!.toFixed(3),
              answer.goodToIn!.toFixed(3),
            )}
            onPick={(shaftId) => void change({ shaftId })}
          />
        )}
        <ArrowForm
          key={choice.name}
          choice={choice}
          components={components}
          offers={offers}
          safeMm={safe}
          onChange={change}
        />
        <div className="actions">
          <Button
            variant="contained"
            disabled={!answer?.ok}
            aria-label={`${w.take}: ${w.build(choice.name)}`}
            onClick={() => void take()}
          >
            {w.take}
            {answer?.ok && (
              <span className="figure take-price">{writeMoney(answer.priceCents)}</span>
            )}
          </Button>
          {taken && <span className="soft">{w.now(taken.label)}</span>}
          {trouble && (
            <span className="field-error" role="alert">
              {trouble}
            </span>
          )}
        </div>
        {answer?.ok && answer.changes.length > 0 && (
          <section className="block">
            <h3 className="block-title">{w.changes}</h3>
            <ul className="rows change-rows">
              {answer.changes.map(({ name, massG, frontOfCentrePct, neededSpineIn, speedMps }) => (
                <li key={name}>
                  <span>{name}</span>
                  <span className="figure">
                    {signed(
                      write(massG, 'mass', snapshot.shop.units, arrowDecimals(snapshot.shop.units)),
                      massG,
                    )}
                  </span>
                  <span className="figure">
                    {signed(`${frontOfCentrePct.toFixed(1)} %`, frontOfCentrePct)}
                  </span>
                  <span className="figure">
                    {neededSpineIn === null ? '' : signed(neededSpineIn.toFixed(3), neededSpineIn)}
                  </span>
                  <span className="figure">
                    {speedMps === null
                      ? ''
                      : signed(write(speedMps, 'speed', snapshot.shop.units), speedMps)}
                  </span>
                </li>
              ))}
            </ul>
            <p className="small soft">{w.changesKey}</p>
          </section>
        )}
        {builds.length > 1 && (
          <CompareBuilds
            builds={builds}
            find={find}
            ground={ground}
            current={choice}
            onPick={setAt}
          />
        )}
        <ArrowSet />
      </main>
      <Margin
        because={[
          ...(safe === null
            ? [w.because.noLength]
            : [
                <WithFractions
                  key="safe"
                  text={w.because.safe(
                    write(ground.overhangMm, 'length', snapshot.shop.units),
                    write(safe, 'length', snapshot.shop.units),
                  )}
                />,
              ]),
          w.because.spine,
          w.because.balance,
          w.because.speed,
        ]}
        watch={[
          { id: 'light', text: w.watch.light(perWeight(5, snapshot.shop.units)), stop: true },
          { id: 'cut', text: w.watch.cut },
          ...(parts && sellCents(parts.shaft as AnyPart) > 0 && parts.shaft.stock < choice.count
            ? [
                {
                  id: 'stock',
                  text: w.watch.stock(partName(parts.shaft as AnyPart), parts.shaft.stock),
                },
              ]
            : []),
        ]}
      />
    </>
  );
}

const signed = (text: string, value: number) => (value > 0 ? `+${text}` : text.replace(/^-/, '−'));
