'use client';
import { useState } from 'react';
import Link from 'next/link';
import Button from '@mui/material/Button';
import { leavesBand, paperMove } from '@/core/job';
import { setupValue, tearWords, writeValue } from '@/core/setup';
import { adjustmentRule, CAUSE_LOOKS, type PaperAdvice, type PaperTuneResult } from '@/core/tuning';
import { read, write, TRADE_UNITS } from '@/core/units';
import { WithFractions } from '../../fields/Figure';
import { useJob } from '../../job/JobProvider';
import { useStage } from '../../job/useStage';
import { lane as w, paperWords as p } from '../../words';
import { SmallNumber } from '../../fields/SmallNumber';
import { FieldError, Note } from '../../pieces/texts';
import { Actions } from '../../pieces/layout';
import { RestContradiction } from './RestContradiction';
import css from './PaperAdviceLine.module.css';

const KIND = { tuned: 'good', adjust: 'now', shootMore: 'wait', checkCauses: 'stop' } as const;

/** What to do now, large: one move with its amount, one more shot, go on, or stop and look elsewhere. */
export function PaperAdviceLine({ tune }: { tune: PaperTuneResult }) {
  const { href } = useStage();
  const hint =
    tune.why === 'goodEnough'
      ? p.hints.goodEnough(tune.chanceGood)
      : tune.why === 'tear'
        ? null
        : p.hints[tune.why];
  return (
    <section
      className={css.paperAdvice}
      data-part="paper-advice"
      data-kind={KIND[tune.state]}
      aria-live="polite"
    >
      {tune.advice ? (
        <Move key={`${tune.advice.adjustment}${tune.advice.amount}`} tune={tune} />
      ) : (
        <>
          <h3>{p.states[tune.why]}</h3>
          {hint && <p>{hint}</p>}
        </>
      )}
      {tune.causes && (
        <ol className={css.causes} data-part="causes">
          {tune.causes.map((id) => (
            <li key={id}>
              <b>{CAUSE_LOOKS[id].name}.</b> {CAUSE_LOOKS[id].look}
            </li>
          ))}
        </ol>
      )}
      {tune.state === 'tuned' && (
        <Button
          component={Link}
          variant="outlined"
          href={href('lane', { part: 'speed' })}
          scroll={false}
        >
          {w.speed}
        </Button>
      )}
    </section>
  );
}

function useAdviceWords() {
  const { snapshot } = useJob();
  const { bow, archer, shop } = snapshot;
  const length = (mm: number) =>
    shop.units.length === 'mm'
      ? `${mm}\u00a0mm`
      : `${mm}\u00a0mm (${write(mm, 'length', { ...TRADE_UNITS, length: 'in32' }, { denominator: 64 }).replaceAll(' ', '\u00a0')})`;
  return ({ adjustment, amount }: Pick<PaperAdvice, 'adjustment' | 'amount'>) =>
    p.advice(adjustment, amount, bow?.hand ?? archer.hand, bow?.yokes ?? null, length);
}

function Move({ tune }: { tune: PaperTuneResult }) {
  const { snapshot, derived, send } = useJob();
  const words = useAdviceWords();
  const [instead, setInstead] = useState(false);
  const [other, setOther] = useState<string | null>(null);
  const [trouble, setTrouble] = useState('');
  const advice = (instead && tune.runnerUp) || tune.advice!;
  const { unit, most } = adjustmentRule(
    advice.adjustment,
    snapshot.bow?.hand ?? snapshot.archer.hand,
  );
  const typed = read(other ?? '', {
    quantity: unit === 'mm' ? 'length' : 'turns',
    shop: snapshot.shop.units,
    ...(unit === 'mm' ? { bareUnit: 'mm' as const } : {}),
    min: -2 * most,
    max: 2 * most,
    what: 'amount',
  });
  const move = async () => {
    if (other !== null && !typed.ok) return setTrouble(typed.message);
    const amount = other !== null && typed.ok ? typed.si : advice.amount;
    const answer = await send({ name: 'movePaper', adjustment: advice.adjustment, amount });
    setTrouble(answer?.message ?? '');
  };
  const { expected, sigmaMm } = advice;
  const units = snapshot.shop.units;
  const planned = paperMove(
    snapshot,
    derived.history,
    advice.adjustment,
    other !== null && typed.ok ? typed.si : advice.amount,
  );
  const leaving = planned.ok ? leavesBand(planned, derived.context) : [];
  return (
    <>
      <h3>
        <WithFractions text={words(advice)} />
      </h3>
      <p>{p.expected(tearWords(expected.rightMm, expected.upMm), sigmaMm.toFixed(0))}</p>
      {leaving.map(({ value: { key, to }, target: { low, high } }) => (
        <Note key={key} role="status">
          {p.leaves(
            setupValue(key).name,
            writeValue(key, to, units, true),
            writeValue(key, low, units, true),
            writeValue(key, high, units, true),
          )}
        </Note>
      ))}
      <RestContradiction />
      <Actions>
        <Button variant="contained" onClick={() => void move()}>
          {p.done}
        </Button>
        {other === null ? (
          <Button variant="text" size="small" onClick={() => setOther('')}>
            {p.otherAmount}
          </Button>
        ) : (
          <SmallNumber
            label={p.otherLabel(p.unit[unit])}
            text={other}
            onText={setOther}
            result={typed}
          />
        )}
      </Actions>
      {tune.runnerUp && (
        <Button
          variant="text"
          size="small"
          className={css.instead}
          onClick={() => setInstead(!instead)}
        >
          <WithFractions text={p.instead(words(instead ? tune.advice! : tune.runnerUp))} />
        </Button>
      )}
      <FieldError role={trouble ? 'alert' : undefined}>{trouble}</FieldError>
    </>
  );
}
