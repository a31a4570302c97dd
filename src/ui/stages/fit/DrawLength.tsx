'use client';
import { useState } from 'react';
import { drawLengthSteps, type BowRecord, type Hand } from '@/core/bow';
import {
  DEFAULT_LOOP_MM,
  doubtful,
  drawLength,
  DRAW_LENGTH_METHODS,
  methodEntry,
  retake,
  shopModules,
  type DrawLengthMethod,
  type DrawLengthReading,
  isChild,
} from '@/core/fit';
import {
  addedTo,
  archerCautions,
  isMethod,
  lengthReadings,
  loopCounts,
  readOptionsFor,
  type FitReading,
} from '@/core/job';
import { mm, read, spoken, write, writeSpread } from '@/core/units';
import { DrawLengthRuler } from '../../drawings/DrawLengthRuler';
import { WithFractions } from '../../fields/Figure';
import { Choice } from '../../fields/Choice';
import { MeasureField } from '../../fields/MeasureField';
import { whenText } from '../../fields/dates';
import { useAsk } from '../../frame/useAsk';
import { Discard } from '../../job/Discard';
import { useJob } from '../../job/JobProvider';
import type { Trouble } from '../../keep/post';
import { Margin } from '../../job/Margin';
import { Dock } from '../../job/Dock';
import { LastValue } from '../../job/LastValue';
import { fit as w } from '../../words';
import { FitHead } from './FitHead';
import { lengthReasons } from './length-reasons';
import { ShopModules } from './ShopModules';

/** Readings by several methods held against each other on one ruler. */
export function DrawLength({ bows }: { bows: readonly BowRecord[] }) {
  const { snapshot, derived, send } = useJob();
  const { shop, bow } = snapshot;
  const units = shop.units;
  const taken = snapshot.fitReadings.filter(({ key }) => isMethod(key));
  const [chosen, choose] = useState<DrawLengthMethod | null>(null);
  const method =
    chosen ?? nextMethod(taken, derived.fitLength?.apart ?? derived.fitLength?.outlier ?? null);
  const [typed, setTyped] = useState<number | null>(null);
  // While a number is typed the picture already shows where it would lead.
  const result =
    typed === null ? derived.fitLength : withReading(taken, method, typed, loopCounts(snapshot));
  // Without a bow chosen: the step that would be taken, of the shop's nearest bow.
  const module =
    derived.context.moduleStepMm ??
    (result
      ? (shopModules(bows, result.drawLengthMm, snapshot.archer.hand)[0]?.module.stepMm ?? null)
      : null);
  const options = readOptionsFor(method, units, bow)!;
  const { ask, asking } = useAsk();
  /** Nothing usual, or not what this method said before: asked, and done as it is answered. */
  const take = async (entered: string): Promise<Trouble | null> => {
    const answer = read(entered, options);
    if (!answer.ok) return { message: answer.message, pointer: '' };
    const reading = { method, valueMm: mm(answer.si) };
    const doubt = doubtful(
      reading,
      isChild(snapshot.archer.ageBand) ? 'child' : 'adult',
      loopCounts(snapshot),
    );
    if (doubt) {
      const length = write(doubt.drawLengthMm, 'length', units);
      const who = isChild(snapshot.archer.ageBand) ? 'child' : 'adult';
      const sure = await ask({
        title: w.sureTitle,
        text: <WithFractions text={w.sure(length, doubt.side, who)} />,
        answers: [
          { id: 'again', name: w.measureAgain },
          { id: 'right', name: w.isRight },
        ],
      });
      if (sure !== 'right') return { message: w.notTaken, pointer: '' };
    }
    const instead = await wrongOnes(entered, reading);
    if (instead === null) return { message: w.notTaken, pointer: '' };
    const trouble = await send({
      name: 'takeReadings',
      readings: [{ key: method, entered }],
      ...(instead.length > 0 ? { instead } : {}),
    });
    if (!trouble) choose(null);
    return trouble;
  };
  /** Earlier readings of the body said to be wrong; null where the new one is. */
  const wrongOnes = async (
    entered: string,
    reading: DrawLengthReading,
  ): Promise<number[] | null> => {
    // Of a bow the newest counts; nobody has to say so.
    if (method === 'fittingBow') return [];
    const before = retake(lengthReadings(taken), reading, { loopCounts: loopCounts(snapshot) });
    if (!before || before.beside) return [];
    const own = taken.filter(({ key }) => key === method);
    const off = write(Math.abs(before.offMm), 'length', units);
    const name = methodEntry(method).name;
    const said = await ask({
      title: w.retakeTitle(name),
      text: (
        <WithFractions
          text={w.retake(
            own.map((row) => row.entered),
            entered,
            off,
          )}
        />
      ),
      answers: [
        { id: 'both', name: w.bothCount },
        { id: 'first', name: w.firstWrong },
        { id: 'this', name: w.thisWrong },
      ],
    });
    if (said === 'first') return own.map(({ seq }) => seq);
    return said === 'both' ? [] : null;
  };
  return (
    <>
      <main className="work">
        <FitHead
          part="length"
          aside={
            result && (
              <>
                <b>
                  <WithFractions text={writeSpread(result.sigmaMm, 'length', units)} />
                </b>
                {' · '}
                {agreement(result.estimates.length, result.disagree || result.apart !== null)}
              </>
            )
          }
        />
        <DrawLengthRuler
          result={result}
          stepsMm={bow ? drawLengthSteps(bow) : stepsOf(bows, snapshot.archer.hand)}
          moduleMm={module}
          shop={units}
        />
        {result && (result.apart !== null || result.disagree) && (
          <p className="note" role="status">
            {result.apart !== null
              ? w.apartText(methodEntry(result.apart).name)
              : result.outlier === null
                ? w.disagreeNobody
                : w.disagreeText(methodEntry(result.outlier).name)}
          </p>
        )}
        {derived.posture.contradiction && (
          <p className="note" role="status">
            <WithFractions text={derived.posture.contradiction} />
          </p>
        )}
        <div className="block">
          <section>
            <h3 className="block-title">{w.readings}</h3>
            <ul className="rows method-rows">
              {DRAW_LENGTH_METHODS.map((entry) => (
                <MethodRow
                  key={entry.method}
                  method={entry.method}
                  readings={taken.filter((reading) => reading.key === entry.method)}
                  current={entry.method === method}
                  onChoose={() => choose(entry.method)}
                />
              ))}
            </ul>
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
        </div>
        {result && <ShopModules bows={bows} target={result.drawLengthMm} />}
        {asking}
      </main>
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

/** The shop's school, or the other one for this archer. */
function School() {
  const { snapshot, send } = useJob();
  const { job, shop } = snapshot;
  const own = job.loopCounts !== null && job.loopCounts !== shop.loopCounts;
  return (
    <div className="school">
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

/** The first method without a reading; the one furthest out when they disagree. */
function nextMethod(taken: readonly FitReading[], outlier: DrawLengthMethod | null) {
  if (outlier) return outlier;
  const open = DRAW_LENGTH_METHODS.find(({ method }) => !taken.some(({ key }) => key === method));
  return open?.method ?? 'armSpan';
}

function withReading(
  taken: readonly FitReading[],
  method: DrawLengthMethod,
  si: number,
  loopCounts: boolean,
) {
  return drawLength([...lengthReadings(taken), { method, valueMm: mm(si) }], { loopCounts });
}

function MethodRow({
  method,
  readings,
  current,
  onChoose,
}: {
  method: DrawLengthMethod;
  readings: readonly FitReading[];
  current: boolean;
  onChoose: () => void;
}) {
  const { snapshot } = useJob();
  const { name, how } = methodEntry(method);
  const last = readings.at(-1);
  return (
    <li>
      <button
        type="button"
        className="method"
        aria-pressed={current}
        aria-label={w.measure(name)}
        onClick={onChoose}
      >
        <span className="method-name">{name}</span>
        <span className="method-value">
          {readings.length === 0 ? (
            <span className="soft">{w.notYet}</span>
          ) : (
            readings.map((reading) => (
              <span key={reading.seq} className="figure">
                <WithFractions text={reading.entered} />
              </span>
            ))
          )}
        </span>
        {(current || last) && (
          <span className="method-how small soft">
            {current ? `${how}.` : ''}{' '}
            {last && `${last.who}, ${whenText(last.at, snapshot.shop.timeZone, snapshot.today)}`}
          </span>
        )}
      </button>
      {current && readings.length > 0 && (
        <div className="method-readings">
          {readings.map((reading, i) => (
            <span key={reading.seq} className="method-reading">
              <span className="small soft">
                <WithFractions text={reading.entered} />
                {method === 'fittingBow' && i < readings.length - 1 && ` · ${w.older}`}
              </span>
              <Discard seq={reading.seq} />
            </span>
          ))}
        </div>
      )}
    </li>
  );
}
