'use client';
import { useRef, useState } from 'react';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import type { BowRecord } from '@/core/bow';
import {
  growthPlan,
  HOLD_TEST,
  type DrawWeightResult,
  type TrialOutcome,
  isChild,
  TRIAL_STEP_N,
} from '@/core/fit';
import { archerCautions, readOptionsFor, weightTrials, firstTrialN, isOfHand } from '@/core/job';
import { N_PER_POUND, spoken, write, type ShopUnits } from '@/core/units';
import { Text } from '../../pieces/Text';
import { WeightCurve } from '../../drawings/WeightCurve';
import { WithFractions } from '../../fields/Figure';
import { MeasureField } from '../../fields/MeasureField';
import { secondsText, StopWatch } from '../../fields/StopWatch';
import { plainDay, whenText } from '../../fields/dates';
import { Discard } from '../../job/Discard';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { Dock } from '../../job/Dock';
import { LastValue } from '../../job/LastValue';
import { fit as w } from '../../words';
import { Work } from '../../job/Work';
import { Block, BlockTitle, Rows, Verdict } from '../../pieces/layout';
import { Note, Tag } from '../../pieces/texts';
import { FitHead } from './FitHead';
import goalCss from '../bow/goal.module.css';
import css from './DrawWeight.module.css';

/** Trials on a shop bow instead of a guess; the start weight follows. */
export function DrawWeight() {
  const { snapshot, derived, send } = useJob();
  const { shop, archer, fitReadings } = snapshot;
  const units = shop.units;
  const { fitWeight } = derived;
  const trials = weightTrials(fitReadings, archer);
  const rows = fitReadings.filter((reading) => reading.key === 'weightTrial');
  const entered = useRef('');
  const [held, hold] = useState<number | null>(null);
  // A new watch after every trial.
  const [trial, setTrial] = useState(0);
  const say = (n: number) => write(n, 'force', units, { decimals: 0 });
  const take = (choice: TrialOutcome) => async () => {
    const timed = held === null ? {} : { entered2: secondsText(held) };
    const trouble = await send({
      name: 'takeReadings',
      readings: [{ key: 'weightTrial', entered: entered.current, choice, ...timed }],
    });
    if (trouble) return trouble;
    hold(null);
    setTrial((n) => n + 1);
    return null;
  };
  const next = say(fitWeight.nextTrialN);
  // Pain stops the trials, until somebody says that a doctor has agreed; the next one that hurts stops
  // them again.
  const [agreed, setAgreed] = useState(0);
  const hurt = trials.slice(agreed).some(({ outcome }) => outcome === 'pain');
  const prior = firstTrialN(archer);
  const Legal = fitWeight.startN < (snapshot.job.legalMinimumN ?? 0) ? Note : Verdict;
  return (
    <>
      <Work>
        <FitHead part="weight" />
        <WeightCurve
          result={fitWeight}
          trials={trials}
          shop={units}
          startN={trials.length > 0 ? fitWeight.startN : null}
          legalN={snapshot.job.legalMinimumN}
        />
        {snapshot.job.legalMinimumN !== null && trials.length > 0 && (
          <Legal>
            {(fitWeight.startN < snapshot.job.legalMinimumN ? w.legalUnder : w.legalOver)(
              say(snapshot.job.legalMinimumN),
              snapshot.job.legalPlace,
            )}
          </Legal>
        )}
        <Block as="div">
          <section>
            <BlockTitle>{w.trials}</BlockTitle>
            <Rows className={goalCss.trialRows} data-part="trial-rows">
              {rows.map((reading) => (
                <li key={reading.seq}>
                  <Text variant="figure">
                    <WithFractions text={reading.entered} />
                  </Text>
                  <Tag kind={tagOf(reading.outcome!)}>{w.outcomeNames[reading.outcome!]}</Tag>
                  <span>
                    {reading.si2 !== null && w.held(secondsText(reading.si2))}
                    {!isOfHand(reading, archer.hand) && w.otherHand(reading.hand!)}
                  </span>
                  <Text variant="small" soft className={css.trialWho}>
                    {reading.who}, {whenText(reading.at, shop.timeZone, snapshot.today)}
                  </Text>
                  <Discard seq={reading.seq} />
                </li>
              ))}
              {rows.length === 0 && (
                <Text soft as="li">
                  {w.noTrial}
                </Text>
              )}
            </Rows>
            <StopWatch key={trial} onSeconds={hold} />
            {trials.length > 0 && snapshot.bow && <Growth bow={snapshot.bow} />}
          </section>
          <Dock>
            {hurt ? (
              <Stack spacing={2} role="alert">
                <Note kind="stop">
                  <b>{w.painTitle}</b> {w.painText(next)}
                </Note>
                <Button variant="outlined" onClick={() => setAgreed(trials.length)}>
                  {w.painGoOn}
                </Button>
              </Stack>
            ) : (
              <MeasureField
                last={<LastValue of="weightTrial" />}
                label={w.trialLabel}
                draft={`${snapshot.job.id}.weightTrial`}
                hint={trials.length === 0 ? w.firstTrial(next) : w.nextTrial(next)}
                options={readOptionsFor('weightTrial', units, snapshot.bow)!}
                onText={(text) => (entered.current = text.trim())}
                // Enter alone says nothing of how it went, and must not be taken for "smooth".
                onTake={async () => ({ message: w.sayHow, pointer: '' })}
                actions={(takeBy) => (
                  <div className={css.outcomes} role="group" aria-label={w.howItWent}>
                    {w.outcomes.map(({ id, name, hint }) => (
                      <Button
                        key={id}
                        variant={id === 'smooth' ? 'contained' : 'outlined'}
                        title={hint}
                        onClick={() => takeBy(take(id))}
                      >
                        {name}
                      </Button>
                    ))}
                  </div>
                )}
              />
            )}
          </Dock>
        </Block>
      </Work>
      <Margin
        because={[
          ...(trials.length > 0 ? [w.because.startWhy(trials.length)] : []),
          w.because.prior(say(prior)),
          nextReason(fitWeight.nextTrialLimit, units),
          ...(trials.some((trial) => trial.outcome === 'strained') ? [w.because.strained] : []),
        ]}
        watch={[
          { id: 'stopAt', text: `${w.stopSigns}: ${w.stopSignList.join('; ')}.`, stop: true },
          { id: 'safe', text: w.watch.safe, stop: true },
          { id: 'over', text: w.watch.overBowed },
          ...archerCautions(snapshot),
        ]}
      />
    </>
  );
}

/** What the bow leaves room for: holding weight now, and two pounds a fortnight from handover on. */
function Growth({ bow }: { bow: BowRecord }) {
  const { snapshot, derived } = useJob();
  const { shop, job, today, archer, fitReadings } = snapshot;
  const peakN = derived.context.peakTargetN;
  if (peakN === null) return null;
  const say = (n: number) => write(n, 'force', shop.units, { decimals: 0 });
  const child = isChild(archer.ageBand);
  const hard = weightTrials(fitReadings, archer).filter(({ outcome }) => outcome !== 'smooth');
  const strainedN = hard.length > 0 ? Math.min(...hard.map((trial) => trial.peakN)) : null;
  const isStrained = strainedN !== null && strainedN < bow.maxPeakN;
  const plan = growthPlan(peakN, bow.maxPeakN, job.promisedDay ?? today, {
    isChild: child,
    strainedN,
  });
  return (
    <>
      <BlockTitle className={css.growthTitle}>{w.growth}</BlockTitle>
      <p>{w.holdingNow(say(peakN * (1 - bow.letOff)), say(peakN), Math.round(bow.letOff * 100))}</p>
      {plan.length === 0 ? (
        <Text soft>{w.noRoom(say(bow.maxPeakN))}</Text>
      ) : (
        <>
          <Rows as="ol" className={css.growthRows} data-part="growth-rows">
            {plan.map((step) => (
              <li key={step.day}>
                <Text variant="figure">{plainDay(step.day)}</Text>
                <Text variant="figure" as="b">
                  {say(step.peakN)}
                </Text>
              </li>
            ))}
          </Rows>
          <Text variant="small" soft as="p">
            {w.holdTest(HOLD_TEST, say(isStrained ? strainedN : bow.maxPeakN), isStrained)}{' '}
            {child &&
              w.childSlow(spoken(N_PER_POUND, 'force', shop.units, 'a pound', { decimals: 1 }))}
          </Text>
        </>
      )}
    </>
  );
}

const tagOf = (outcome: TrialOutcome) =>
  ({ smooth: 'in', strained: 'warn', failed: 'out', pain: 'stop' })[outcome];

const nextReason = (limit: DrawWeightResult['nextTrialLimit'], shop: ShopUnits) =>
  ({
    none: w.because.nextNone,
    stepAboveSmooth: w.because.nextStep(write(TRIAL_STEP_N, 'force', shop, { decimals: 0 })),
    belowStrained: w.because.nextStrained,
    belowFailed: w.because.nextFailed,
    pain: w.because.nextPain,
  })[limit];
