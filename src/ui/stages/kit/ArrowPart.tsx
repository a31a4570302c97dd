'use client';
import Link from 'next/link';
import Button from '@mui/material/Button';
import type { AnyPart, ArrowChoice } from '@/core/kit';
import { perWeight, write, writeMoney } from '@/core/units';
import { Text } from '../../pieces/Text';
import { Press } from '../../pieces/Press';
import { SpineRuler } from '../../drawings/SpineRuler';
import { WithFractions } from '../../fields/Figure';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { useStage } from '../../job/useStage';
import { arrowWords as w } from '../../words';
import { Work } from '../../job/Work';
import { Actions, Head, HeadEnd } from '../../pieces/layout';
import { FieldError, Note } from '../../pieces/texts';
import { ArrowChanges } from './ArrowChanges';
import { ArrowFacts } from './ArrowFacts';
import { ArrowForm } from './ArrowForm';
import { ArrowSet } from './ArrowSet';
import { CompareBuilds } from './CompareBuilds';
import { useBuilds, type Builds } from './useBuilds';
import css from './ArrowPart.module.css';
import wishCss from './wish.module.css';

/** The arrow from its parts: cut, balanced, held against what the bow needs, several side by side. */
export function ArrowPart({ components }: { components: readonly AnyPart[] }) {
  const { href } = useStage();
  const arrows = useBuilds(components);
  const { choice } = arrows;
  return (
    <>
      <Work>
        <Head>
          <h2>{w.title}</h2>
          <HeadEnd>
            <Link href={href('kit', { slot: 'arrows' })} prefetch={false}>
              {w.back}
            </Link>
          </HeadEnd>
        </Head>
        {choice ? (
          <Build choice={choice} components={components} arrows={arrows} />
        ) : (
          <>
            <Note>{w.noParts}</Note>
            <Link href="/shop/parts">{w.toParts}</Link>
          </>
        )}
      </Work>
      {choice ? <Reasons arrows={arrows} /> : <Margin because={[]} watch={[]} />}
    </>
  );
}

function Build({
  choice,
  components,
  arrows,
}: {
  choice: ArrowChoice;
  components: readonly AnyPart[];
  arrows: Builds;
}) {
  const { units } = useJob().snapshot.shop;
  const { answer, parts, offers, change } = arrows;
  const stop = answer && !answer.ok ? answer.message : parts ? null : w.partGone;
  return (
    <>
      <BuildTabs choice={choice} arrows={arrows} />
      {answer?.ok && <ArrowFacts arrow={answer} units={units} />}
      {stop && (
        <Note kind="stop" role="alert">
          {stop}
        </Note>
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
        safeMm={arrows.safeMm}
        onChange={change}
      />
      <Take choice={choice} arrows={arrows} />
      {answer?.ok && <ArrowChanges changes={answer.changes} units={units} />}
      {arrows.builds.length > 1 && (
        <CompareBuilds
          builds={arrows.builds}
          find={arrows.find}
          ground={arrows.ground}
          current={choice}
          onPick={arrows.pick}
        />
      )}
      <ArrowSet />
    </>
  );
}

function BuildTabs({ choice, arrows }: { choice: ArrowChoice; arrows: Builds }) {
  const { builds, another, drop, pick } = arrows;
  return (
    <div className={css.buildTabs} role="group" aria-label={w.builds}>
      {builds.map((one, i) => (
        <Press
          key={one.name}
          type="button"
          className={wishCss.wish}
          data-part="wish"
          aria-pressed={one === choice}
          onClick={() => pick(i)}
        >
          {w.build(one.name)}
        </Press>
      ))}
      {another && (
        <Button variant="text" onClick={() => void another()}>
          {w.another}
        </Button>
      )}
      {drop && (
        <Button variant="text" onClick={() => void drop()}>
          {w.drop(choice.name)}
        </Button>
      )}
    </div>
  );
}

function Take({ choice, arrows }: { choice: ArrowChoice; arrows: Builds }) {
  const { answer, take, taken, trouble } = arrows;
  return (
    <Actions>
      <Button
        variant="contained"
        disabled={!answer?.ok}
        aria-label={`${w.take}: ${w.build(choice.name)}`}
        onClick={() => void take()}
      >
        {w.take}
        {answer?.ok && (
          <Text variant="figure" className={css.takePrice}>
            {writeMoney(answer.priceCents)}
          </Text>
        )}
      </Button>
      {taken && (
        <Text soft as="span">
          {w.now(taken.label)}
        </Text>
      )}
      {trouble && <FieldError role="alert">{trouble}</FieldError>}
    </Actions>
  );
}

function Reasons({ arrows: { safeMm, ground, short } }: { arrows: Builds }) {
  const { units } = useJob().snapshot.shop;
  const length = (mm: number) => write(mm, 'length', units);
  const safe =
    safeMm === null ? (
      w.because.noLength
    ) : (
      <WithFractions key="safe" text={w.because.safe(length(ground.overhangMm), length(safeMm))} />
    );
  return (
    <Margin
      because={[safe, w.because.spine, w.because.balance, w.because.speed]}
      watch={[
        { id: 'light', text: w.watch.light(perWeight(5, units)), stop: true },
        { id: 'cut', text: w.watch.cut },
        ...(short ? [{ id: 'stock', text: w.watch.stock(short.name, short.stock) }] : []),
      ]}
    />
  );
}
