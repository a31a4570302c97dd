'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import type { BowRecord } from '@/core/bow';
import { toQuarterTurns, turningPlan, type LimbBoltResult } from '@/core/fit';
import {
  archerCautions,
  countedWeighings,
  limbBoltAdvice,
  readOptionsFor,
  standingTurns,
  weighings,
} from '@/core/job';
import { CONFIRMED, latest } from '@/core/setup';
import { figureText, read, turns, write, writeParts } from '@/core/units';
import { Text } from '../../pieces/Text';
import { LimbBoltChart } from '../../charts/LimbBoltChart';
import { BoltClocks } from '../../drawings/BoltClocks';
import { WithFractions } from '../../fields/Figure';
import { MeasureField } from '../../fields/MeasureField';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { Dock } from '../../job/Dock';
import { LastValue } from '../../job/LastValue';
import { AgainNote } from '../../job/AgainNote';
import { bow as w, devices } from '../../words';
import { draftOf } from '../../keep/draft';
import { useDraft } from '../../keep/useDraft';
import { Discard } from '../../job/Discard';
import { Work } from '../../job/Work';
import { Note } from '../../pieces/texts';
import { Block, BlockTitle, Rows, Split } from '../../pieces/layout';
import { BowParts } from './BowParts';
import { GoalPanel } from './GoalPanel';
import { ScaleReading } from './ScaleReading';
import { TurningPlan } from './TurningPlan';
import { TurnsField } from './TurnsField';
import goalCss from './goal.module.css';

const PEAK = ['peakWeight'] as const;

/** From the scale's readings to the turns still to go, with the bow's hard stop. */
export function LimbBolts({ bow }: { bow: BowRecord }) {
  const { snapshot, derived } = useJob();
  const [overruling, setOverruling] = useState(false);
  const units = snapshot.shop.units;
  const pounds = (n: number, decimals = 1) => write(n, 'force', units, { decimals });
  const target = derived.context.peakTargetN;
  const advice = limbBoltAdvice(snapshot, derived);
  const answer = advice?.ok ? advice : null;
  return (
    <>
      <Work>
        <BowParts current="bolts" />
        <div className={goalCss.goalLine} data-part="goal-line">
          <Text soft as="span">
            {w.goal}
          </Text>
          <Text variant="big">{target === null ? '—' : pounds(target, 0)}</Text>
          <Button variant="outlined" onClick={() => setOverruling(true)}>
            {w.otherWeight}
          </Button>
        </div>
        {target === null && <Note>{w.noTarget}</Note>}
        {answer?.doubt && (
          <Note role="alert">
            {w.doubt[answer.doubt.kind](
              answer.doubt.readings.map((i) => {
                const { turns: at, peakN } = weighings(derived.history)[i]!;
                return `${pounds(peakN)} ${w.at} ${write(at, 'turns', units)}`;
              }),
            )}
          </Note>
        )}
        {advice && !advice.ok && (
          <Note kind="stop" role="alert">
            {advice.message}
          </Note>
        )}
        <div>
          {bow.maxTurns === null ? (
            <Note kind="stop">{w.noLimit}</Note>
          ) : (
            <Plan bow={bow} answer={answer} />
          )}
          <Weigh bow={bow} next={answer ? toQuarterTurns(answer.turns) : null} />
        </div>
        <Block as={Split}>
          {answer && (
            <LimbBoltChart
              bow={bow}
              answer={answer}
              points={weighings(derived.history)}
              targetN={target!}
              shop={units}
            />
          )}
          <Weighings />
        </Block>
        {overruling && <GoalPanel goal="peakWeight" onClose={() => setOverruling(false)} />}
      </Work>
      <LimbBoltMargin bow={bow} answer={answer} />
    </>
  );
}

function Plan({ bow, answer }: { bow: BowRecord; answer: LimbBoltResult | null }) {
  const { snapshot, derived } = useJob();
  const units = snapshot.shop.units;
  const standing = latest(derived.history, 'peakWeight');
  const again = derived.plan.stale.some(({ key }) => key === 'peakWeight');
  const say = (t: number) => write(t, 'turns', units);
  if (!answer) return null;
  const from = standingTurns(derived.history) ?? turns(0);
  const goal = toQuarterTurns(answer.turns);
  const moves = Math.abs(answer.turns - from) < 0.125 ? [] : turningPlan(from, goal);
  return (
    <Split>
      <BoltClocks
        upper={latest(derived.history, 'limbTurnsUpper')?.si ?? 0}
        lower={latest(derived.history, 'limbTurnsLower')?.si ?? 0}
        goal={goal}
        limit={bow.maxTurns!}
      />
      <section>
        <BlockTitle>{w.plan}</BlockTitle>
        <AgainNote of={PEAK} />
        {!standing && <Text soft>{w.weighFirst}</Text>}
        <TurningPlan moves={moves} say={say} reached={answer.reachesTarget && !again} />
        <Text soft>
          {w.predicted(
            write(answer.predictedN, 'force', units),
            write(answer.sigmaN, 'force', units),
          )}
        </Text>
        {!answer.reachesTarget && (
          <Note>{w.notReached(write(answer.predictedN, 'force', units))}</Note>
        )}
      </section>
    </Split>
  );
}

/** The turns both bolts stand at, then the weight on the scale: one reading of both. */
function Weigh({ bow, next }: { bow: BowRecord; next: number | null }) {
  const { snapshot, derived, send } = useJob();
  const units = snapshot.shop.units;
  const last = latest(derived.history, 'peakWeight');
  const stands = standingTurns(derived.history) ?? 0;
  const start = last && next !== null && Math.abs(next - stands) >= 0.2 ? next : stands;
  // Stands at the plan's turns until somebody says otherwise, also by emptying the field.
  const turnsDraft = `${snapshot.job.id}.boltsStandAt`;
  const [typedTurns, keepTurns] = useDraft(turnsDraft);
  const [emptied, setEmptied] = useState(false);
  const isOwn = typedTurns !== '' || emptied;
  const turnsText = isOwn ? typedTurns : figureText(writeParts(start, 'turns', units));
  const setTurnsText = (text: string | null) => {
    keepTurns(text ?? '');
    setEmptied(text === '');
  };
  const known = bow.maxTurns !== null;
  const options = readOptionsFor('limbTurnsUpper', units, bow)!;
  const turnsRead = read(turnsText, options);
  return (
    <>
      <Dock>
        {known && (
          <TurnsField
            text={turnsText}
            onText={setTurnsText}
            options={options}
            limit={bow.maxTurns!}
          />
        )}
        <MeasureField
          last={<LastValue of="peakWeight" />}
          label={w.weigh}
          draft={`${snapshot.job.id}.peakWeight`}
          options={readOptionsFor('peakWeight', units, bow)!}
          hint={
            known && turnsRead.ok ? `${w.at} ${write(turnsRead.si, 'turns', units)}` : undefined
          }
          onText={(text) => {
            // Where the bolts stand holds still under a weight that is being typed; a weight found again
            // must not put itself over turns that are found after it.
            if (text !== '' && !isOwn && draftOf(turnsDraft) === '') setTurnsText(turnsText);
          }}
          onTake={async (entered) => {
            if (known && !turnsRead.ok) return { message: turnsRead.message, pointer: '' };
            const trouble = await send({
              name: 'takeReadings',
              readings: [{ key: 'peakWeight', entered, ...(known ? { entered2: turnsText } : {}) }],
            });
            if (!trouble) setTurnsText(null);
            return trouble;
          }}
        />
      </Dock>
      <ScaleReading
        turns={known && turnsRead.ok ? turnsRead.si : null}
        onPeak={(forceN, device) => {
          if (known && !turnsRead.ok) return Promise.resolve(turnsRead.message);
          return send({
            name: 'takeReadings',
            readings: [
              {
                key: 'peakWeight',
                entered: `${forceN.toFixed(1)} N`,
                method: device,
                ...(known ? { entered2: turnsText } : {}),
              },
            ],
          }).then((trouble) => {
            if (!trouble) setTurnsText(null);
            return trouble?.message ?? null;
          });
        }}
      />
    </>
  );
}

function Weighings() {
  const { snapshot, derived } = useJob();
  const rows = [...(derived.history.get('peakWeight') ?? [])].reverse();
  const counted = new Set(countedWeighings(derived.history).map(({ seq }) => seq));
  if (rows.length === 0) return null;
  return (
    <section>
      <BlockTitle>{w.weighings}</BlockTitle>
      <Rows className={goalCss.trialRows} data-part="trial-rows">
        {rows.map((reading) => (
          <li key={reading.seq}>
            <Text variant="figure">
              <WithFractions text={reading.entered} />
            </Text>
            <Text soft as="span">
              {reading.si2 === null ? (
                ''
              ) : (
                <WithFractions
                  text={`${w.at} ${write(reading.si2, 'turns', snapshot.shop.units)}`}
                />
              )}
            </Text>
            <Text variant="small" soft>
              {reading.who}
              {reading.method !== 'typed' &&
                reading.method !== CONFIRMED &&
                `, ${devices.fromDevice}`}
              {!counted.has(reading.seq) && ` · ${w.before}`}
            </Text>
            <Discard seq={reading.seq} />
          </li>
        ))}
      </Rows>
    </section>
  );
}

function LimbBoltMargin({ bow, answer }: { bow: BowRecord; answer: LimbBoltResult | null }) {
  const { snapshot, derived } = useJob();
  const units = snapshot.shop.units;
  const n = weighings(derived.history).length;
  const perTurn = answer ? write(answer.perTurnN, 'force', units) : null;
  const upper = latest(derived.history, 'limbTurnsUpper')?.si ?? null;
  const lower = latest(derived.history, 'limbTurnsLower')?.si ?? null;
  const unequal = upper !== null && lower !== null && Math.abs(upper - lower) > 0.13;
  return (
    <Margin
      because={[
        derived.context.peakReason,
        ...(perTurn ? [n > 0 ? w.because.learned(n, perTurn) : w.because.unlearned(perTurn)] : []),
        w.because.order,
      ]}
      watch={[
        ...(unequal ? [{ id: 'unequal', text: w.watch.unequal, stop: true }] : []),
        ...(bow.maxTurns === null
          ? []
          : [
              { id: 'limit', text: w.watch.limit(write(bow.maxTurns, 'turns', units)), stop: true },
            ]),
        { id: 'dryFire', text: w.watch.dryFire },
        { id: 'key', text: w.watch.key },
        ...archerCautions(snapshot).filter(({ id }) => id === 'legal' || id === 'injury'),
      ]}
    />
  );
}
