'use client';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import { type DrawWeightResult, TRIAL_STEP_N } from '@/core/fit';
import { archerCautions, readOptionsFor, firstTrialN } from '@/core/job';
import { write, type ShopUnits } from '@/core/units';
import { WeightCurve } from '../../drawings/WeightCurve';
import { MeasureField } from '../../fields/MeasureField';
import { StopWatch } from '../../fields/StopWatch';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { Dock } from '../../job/Dock';
import { LastValue } from '../../job/LastValue';
import { fit as w } from '../../words';
import { Work } from '../../job/Work';
import { Block, BlockTitle, Verdict } from '../../pieces/layout';
import { Note } from '../../pieces/texts';
import { FitHead } from './FitHead';
import { Growth } from './Growth';
import { TrialRows } from './TrialRows';
import { useTrials } from './useTrials';
import css from './DrawWeight.module.css';

/** Trials on a shop bow instead of a guess; the start weight follows. */
export function DrawWeight() {
  const { snapshot, derived } = useJob();
  const { shop, archer } = snapshot;
  const units = shop.units;
  const { fitWeight } = derived;
  const { trials, hurt, agree, entered, take, hold, watch } = useTrials();
  const say = (n: number) => write(n, 'force', units, { decimals: 0 });
  const next = say(fitWeight.nextTrialN);
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
            <TrialRows />
            <StopWatch key={watch} onSeconds={hold} />
            {trials.length > 0 && snapshot.bow && <Growth bow={snapshot.bow} />}
          </section>
          <Dock>
            {hurt ? (
              <Stack spacing={2} role="alert">
                <Note kind="stop">
                  <b>{w.painTitle}</b> {w.painText(next)}
                </Note>
                <Button variant="outlined" onClick={agree}>
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

const nextReason = (limit: DrawWeightResult['nextTrialLimit'], shop: ShopUnits) =>
  ({
    none: w.because.nextNone,
    stepAboveSmooth: w.because.nextStep(write(TRIAL_STEP_N, 'force', shop, { decimals: 0 })),
    belowStrained: w.because.nextStrained,
    belowFailed: w.because.nextFailed,
    pain: w.because.nextPain,
  })[limit];
