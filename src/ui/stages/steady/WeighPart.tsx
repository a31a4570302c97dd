'use client';
import Button from '@mui/material/Button';
import Link from 'next/link';
import type { BowRecord } from '@/core/bow';
import { NO_BARS } from '@/core/balance';
import { readOptionsFor } from '@/core/job';
import { latest, setupValue } from '@/core/setup';
import { hungOf, scaleCheck, threadsOf } from '@/core/steady';
import { BalanceDrawing } from '../../drawings/BalanceDrawing';
import { MeasureField } from '../../fields/MeasureField';
import { Dock } from '../../job/Dock';
import { LastValue } from '../../job/LastValue';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { useStage } from '../../job/useStage';
import { Work } from '../../job/Work';
import { Block, ValueTabs, Verdict } from '../../pieces/layout';
import { Text } from '../../pieces/Text';
import { Note } from '../../pieces/texts';
import { steady as w } from '../../words';
import { grams, mmOf } from './say';
import { HangEntry, type HangKey } from './HangEntry';
import { SteadyParts } from './SteadyParts';
import { useBalance } from './useBalance';
import css from './WeighPart.module.css';

const HANGS: readonly HangKey[] = ['hangAxle', 'hangThread', 'hangThird', 'hangBehind'];
const VALUES = ['bowMass', ...HANGS] as const;
type Value = (typeof VALUES)[number];

/** The bow on the scale and on a cord: what it weighs, where its centre is, what is missing in the list. */
export function WeighPart({ bow }: { bow: BowRecord }) {
  const { snapshot, derived, send } = useJob();
  const { at, href } = useStage();
  const value: Value = VALUES.find((id) => id === at('value')) ?? 'bowMass';
  const { bare, at: stateOf, now } = useBalance(bow);
  const units = snapshot.shop.units;
  return (
    <>
      <Work>
        <SteadyParts current="weigh" bow={bow} />
        <ValueTabs>
          {VALUES.map((id) => (
            <li key={id}>
              <Button
                variant="plain"
                component={Link}
                href={href('steady', { part: 'weigh', value: id })}
                scroll={false}
                aria-current={id === value ? 'step' : undefined}
              >
                {w.values[id]}
                {latest(derived.history, id) && <Text variant="figure"> ✓</Text>}
              </Button>
            </li>
          ))}
        </ValueTabs>
        {value === 'bowMass' ? (
          <Dock>
            <MeasureField
              last={<LastValue of="bowMass" />}
              label={w.mass}
              draft={`${snapshot.job.id}.bowMass`}
              hint={setupValue('bowMass').tool}
              options={readOptionsFor('bowMass', units, bow)!}
              onTake={(entered) =>
                send({ name: 'takeReadings', readings: [{ key: 'bowMass', entered }] })
              }
            />
          </Dock>
        ) : (
          <HangEntry key={value} point={value} bow={bow} />
        )}
        {value === 'bowMass' && <Scale bow={bow} />}
        <Block as="div">
          <h3>{w.centre}</h3>
          <CentreLine bow={bow} />
          <div className={css.drawing}>
            <BalanceDrawing
              shape={bow}
              hand={bow.hand}
              bars={NO_BARS}
              parts={stateOf({ bars: NO_BARS, quiver: 'off', sightOut: false }).parts}
              centre={bare.centre}
              sigma={bare.sigma}
            />
          </div>
          {now.assumed.length > 0 && <Text soft>{w.assumed(now.assumed.join(', '))}</Text>}
          {threadsOf(bow).assumed && <Text soft>{w.threadsAssumed}</Text>}
          <Text soft>{w.inertia[bare.inertiaFrom]}</Text>
        </Block>
      </Work>
      <Margin
        because={[w.because.centre, w.because.sum]}
        watch={[{ id: 'hang', text: w.watch.hang }]}
      />
    </>
  );
}

/** The scale against the sum of what is listed. */
function Scale({ bow }: { bow: BowRecord }) {
  const { derived } = useJob();
  const { bare, now } = useBalance(bow);
  const mass = latest(derived.history, 'bowMass')?.si ?? null;
  if (mass === null) return <Text soft>{w.noMass}</Text>;
  const check = scaleCheck(mass, bare.massG, now);
  const gap = grams(Math.abs(check.gapG));
  return (
    <div data-part="scale-check" data-agrees={check.agrees ? 'yes' : 'no'}>
      <Verdict>
        <Text variant="big" as="b">
          {grams(check.scaleG)}
        </Text>{' '}
        {w.scale(grams(check.sumG))} {check.agrees && w.scaleAgrees}
      </Verdict>
      {!check.agrees && <Note>{check.gapG > 0 ? w.scaleMore(gap) : w.scaleLess(gap)}</Note>}
      {check.unknown.length > 0 && <Text soft>{w.scaleUnknown(check.unknown.join(', '))}</Text>}
    </div>
  );
}

/** Where the centre is, how sure, and what hanging once more would say. */
function CentreLine({ bow }: { bow: BowRecord }) {
  const { derived } = useJob();
  const { bare } = useBalance(bow);
  const hung = hungOf(derived.history, bow);
  const { forwardMm, upMm, rightMm } = bare.centre;
  const right = Math.round(rightMm);
  return (
    <>
      <Verdict data-part="centre-at">
        <b className={css.centre}>
          {w.centreAt(
            mmOf(forwardMm),
            upMm >= 0 ? w.up(mmOf(upMm)) : w.downBy(mmOf(-upMm)),
            right === 0 ? w.inPlane : right > 0 ? w.rightBy(mmOf(right)) : w.leftBy(mmOf(-right)),
          )}
        </b>
        <Text soft as="span">
          {w.from[bare.centreFrom]}
          {bare.sigma && `, ${w.sigma(mmOf(bare.sigma.forwardMm), mmOf(bare.sigma.upMm))}`}
        </Text>
      </Verdict>
      {hung && !hung.result.ok && (
        <Note>{hung.result.reason === 'one-hang' ? w.oneMore : hung.result.message}</Note>
      )}
      {hung && hung.left.length > 0 && (
        <Note>{w.leftOut(hung.left.map((key) => setupValue(key).name).join(', '))}</Note>
      )}
    </>
  );
}
