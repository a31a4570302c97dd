'use client';
import { useRef, useState } from 'react';
import Button from '@mui/material/Button';
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
import { FitHead } from './FitHead';

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
  return (
    <>
      <main className="work">
        <FitHead part="weight" />
        <WeightCurve
          result={fitWeight}
          trials={trials}
          shop={units}
          startN={trials.length > 0 ? fitWeight.startN : null}
          legalN={snapshot.job.legalMinimumN}
        />
        {snapshot.job.legalMinimumN !== null && trials.length > 0 && (
          <p className={fitWeight.startN < snapshot.job.legalMinimumN ? 'note' : 'verdict'}>
            {(fitWeight.startN < snapshot.job.legalMinimumN ? w.legalUnder : w.legalOver)(
              say(snapshot.job.legalMinimumN),
              snapshot.job.legalPlace,
            )}
          </p>
        )}
        <div className="block">
          <section>
            <h3 className="block-title">{w.trials}</h3>
            <ul className="rows trial-rows">
              {rows.map((reading) => (
                <li key={reading.seq}>
                  <span className="figure">
                    <WithFractions text={reading.entered} />
                  </span>
                  <span className="tag" data-kind={tagOf(reading.outcome!)}>
                    {w.outcomeNames[reading.outcome!]}
                  </span>
                  <span>
                    {reading.si2 !== null && w.held(secondsText(reading.si2))}
                    {!isOfHand(reading, archer.hand) && w.otherHand(reading.hand!)}
                  </span>
                  <span className="small soft trial-who">
                    {reading.who}, {whenText(reading.at, shop.timeZone, snapshot.today)}
                  </span>
                  <Discard seq={reading.seq} />
                </li>
              ))}
              {rows.length === 0 && <li className="soft">{w.noTrial}</li>}
            </ul>
            <StopWatch key={trial} onSeconds={hold} />
            {trials.length > 0 && snapshot.bow && <Growth bow={snapshot.bow} />}
          </section>
          <Dock>
            {hurt ? (
              <div className="stack" role="alert">
                <p className="note" data-kind="stop">
                  <b>{w.painTitle}</b> {w.painText(next)}
                </p>
                <Button variant="outlined" onClick={() => setAgreed(trials.length)}>
                  {w.painGoOn}
                </Button>
              </div>
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
                  <div className="outcomes" role="group" aria-label={w.howItWent}>
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
        </div>
      </main>
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
      <h3 className="block-title growth-title">{w.growth}</h3>
      <p>{w.holdingNow(say(peakN * (1 - bow.letOff)), say(peakN), Math.round(bow.letOff * 100))}</p>
      {plan.length === 0 ? (
        <p className="soft">{w.noRoom(say(bow.maxPeakN))}</p>
      ) : (
        <>
          <ol className="rows growth-rows">
            {plan.map((step) => (
              <li key={step.day}>
                <span className="figure">{plainDay(step.day)}</span>
                <b className="figure">{say(step.peakN)}</b>
              </li>
            ))}
          </ol>
          <p className="small soft">
            {w.holdTest(HOLD_TEST, say(isStrained ? strainedN : bow.maxPeakN), isStrained)}{' '}
            {child &&
              w.childSlow(spoken(N_PER_POUND, 'force', shop.units, 'a pound', { decimals: 1 }))}
          </p>
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
