'use client';
import { useState } from 'react';
import { drawLengthSteps, type BowRecord, type Hand } from '@/core/bow';
import {
  DEFAULT_LOOP_MM,
  drawLength,
  DRAW_LENGTH_METHODS,
  methodEntry,
  shopModules,
  type DrawLengthMethod,
  type DrawLengthResult,
} from '@/core/fit';
import {
  addedTo,
  archerCautions,
  isMethod,
  lengthReadings,
  loopCounts,
  nextLengthMethod,
} from '@/core/job';
import { mm, spoken, writeSpread } from '@/core/units';
import { DrawLengthRuler } from '../../drawings/DrawLengthRuler';
import { Choice } from '../../fields/Choice';
import { WithFractions } from '../../fields/Figure';
import { MeasureField } from '../../fields/MeasureField';
import { Dock } from '../../job/Dock';
import { useJob } from '../../job/JobProvider';
import { LastValue } from '../../job/LastValue';
import { Margin } from '../../job/Margin';
import { fit as w } from '../../words';
import { Work } from '../../job/Work';
import { Note } from '../../pieces/texts';
import { Block, BlockTitle, Rows } from '../../pieces/layout';
import { FitHead } from './FitHead';
import { lengthReasons } from './length-reasons';
import { MethodRow } from './MethodRow';
import { ShopModules } from './ShopModules';
import { useLengthTake } from './useLengthTake';
import methodCss from '../../fields/method.module.css';
import css from './DrawLength.module.css';

/** What is shown: the consensus, and while a number is typed where it would lead. */
function useLength(bows: readonly BowRecord[]) {
  const { snapshot, derived } = useJob();
  const readings = snapshot.fitReadings.filter(({ key }) => isMethod(key));
  const [chosen, choose] = useState<DrawLengthMethod | null>(null);
  const [typed, setTyped] = useState<number | null>(null);
  const { fitLength, context } = derived;
  const method =
    chosen ?? nextLengthMethod(readings, fitLength?.apart ?? fitLength?.outlier ?? null);
  const result =
    typed === null
      ? fitLength
      : drawLength([...lengthReadings(readings), { method, valueMm: mm(typed) }], {
          loopCounts: loopCounts(snapshot),
        });
  // Without a bow chosen: the step that would be taken, of the shop's nearest bow.
  const nearest =
    result && shopModules(bows, result.drawLengthMm, snapshot.archer.hand)[0]?.module.stepMm;
  return {
    readings,
    method,
    choose,
    setTyped,
    result,
    moduleMm: context.moduleStepMm ?? nearest ?? null,
  };
}

/** Readings by several methods held against each other on one ruler. */
export function DrawLength({ bows }: { bows: readonly BowRecord[] }) {
  const { snapshot, derived } = useJob();
  const { bow, archer, shop } = snapshot;
  const { readings, method, choose, setTyped, result, moduleMm } = useLength(bows);
  const { take, asking, options } = useLengthTake(method, () => choose(null));
  return (
    <>
      <Work>
        <FitHead
          part="length"
          aside={
            result && (
              <>
                <b>
                  <WithFractions text={writeSpread(result.sigmaMm, 'length', shop.units)} />
                </b>
                {' · '}
                {agreement(result.estimates.length, result.disagree || result.apart !== null)}
              </>
            )
          }
        />
        <DrawLengthRuler
          result={result}
          stepsMm={bow ? drawLengthSteps(bow) : stepsOf(bows, archer.hand)}
          moduleMm={moduleMm}
          shop={shop.units}
        />
        {result && <Disagreement result={result} />}
        {derived.posture.contradiction && (
          <Note role="status">
            <WithFractions text={derived.posture.contradiction} />
          </Note>
        )}
        <Block as="div">
          <section>
            <BlockTitle>{w.readings}</BlockTitle>
            <Rows className={methodCss.methodRows} data-part="method-rows">
              {DRAW_LENGTH_METHODS.map((entry) => (
                <MethodRow
                  key={entry.method}
                  method={entry.method}
                  readings={readings.filter((reading) => reading.key === entry.method)}
                  current={entry.method === method}
                  onChoose={() => choose(entry.method)}
                />
              ))}
            </Rows>
            <School />
          </section>
          <Dock>
            <MeasureField
              key={method}
              last={<LastValue of={method} />}
              label={methodEntry(method).name}
              draft={`${snapshot.job.id}.${method}`}
              options={options}
              onText={(text, answer) => {
                setTyped(answer.ok ? answer.si : null);
                // What is being typed stays, whatever another screen enters meanwhile.
                if (text !== '') choose(method);
              }}
              onTake={take}
              addsMm={addedTo(method)}
            />
          </Dock>
        </Block>
        {result && <ShopModules bows={bows} target={result.drawLengthMm} />}
        {asking}
      </Work>
      <Margin
        because={lengthReasons(snapshot, derived, DEFAULT_LOOP_MM)}
        watch={[
          {
            id: 'stretch',
            text: w.watch.stretch(spoken(12.7, 'length', shop.units, 'half an inch')),
          },
          { id: 'safe', text: w.watch.safe },
          { id: 'tooLong', text: w.watch.tooLong },
          ...archerCautions(snapshot).filter(({ id }) => ['injury', 'minor', 'grows'].includes(id)),
        ]}
      />
    </>
  );
}

function Disagreement({ result: { apart, disagree, outlier } }: { result: DrawLengthResult }) {
  if (apart === null && !disagree) return null;
  return (
    <Note role="status">
      {apart !== null
        ? w.apartText(methodEntry(apart).name)
        : outlier === null
          ? w.disagreeNobody
          : w.disagreeText(methodEntry(outlier).name)}
    </Note>
  );
}

/** The shop's school, or the other one for this archer. */
function School() {
  const { snapshot, send } = useJob();
  const { job, shop } = snapshot;
  const own = job.loopCounts !== null && job.loopCounts !== shop.loopCounts;
  return (
    <div className={css.school}>
      <Choice
        label={w.school}
        value={own ? 'own' : 'shop'}
        options={w.schools(shop.loopCounts)}
        onChange={(value) =>
          void send({
            name: 'setAnswers',
            job: { loopCounts: value === 'own' ? !shop.loopCounts : null },
          })
        }
      />
    </div>
  );
}

/** Every step any bow of this hand has. */
const stepsOf = (bows: readonly BowRecord[], hand: Hand) => [
  ...new Set(bows.filter((bow) => bow.hand === hand).flatMap(drawLengthSteps)),
];

const agreement = (n: number, disagree: boolean) =>
  disagree ? w.disagree : n === 1 ? w.oneMethod : w.agree(n);
