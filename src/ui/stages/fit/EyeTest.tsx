'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import {
  EYE_HANDLINGS,
  EYE_TEST_STEPS,
  EYE_TEST_TRIES,
  eyeTestResult,
  type EyeHandling,
  type EyeSeen,
} from '@/core/fit';
import { eyeTries } from '@/core/job';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { fit as w } from '../../words';
import { FitHead } from './FitHead';

/** Which eye aims, tested; and what is done when it is not the hand's side. */
export function EyeTest() {
  const { snapshot, send } = useJob();
  const { archer } = snapshot;
  const tries = eyeTries(snapshot.fitReadings);
  const [trouble, setTrouble] = useState('');
  const take = async (seen: EyeSeen) => {
    const answer = await send({
      name: 'takeReadings',
      readings: [{ key: 'eyeTest', entered: '', choice: seen }],
    });
    if (answer) return setTrouble(answer.message);
    setTrouble('');
    const { eye, settled } = eyeTestResult([...tries, seen]);
    if (settled && eye !== archer.dominantEye)
      await send({ name: 'setAnswers', archer: { dominantEye: eye } });
  };
  return (
    <>
      <main className="work">
        <FitHead part="eye" />
        <div className="split">
          <section>
            <h3 className="block-title">{w.eyeHow}</h3>
            <ol className="plain-steps">
              {EYE_TEST_STEPS.map((step) => (
                <li key={step}>{step}</li>
              ))}
            </ol>
          </section>
          <section className="stack">
            <h3 className="block-title">
              {w.eyeTry(Math.min(tries.length + 1, EYE_TEST_TRIES), eyeTestResult(tries).settled)}
            </h3>
            <div className="eye-buttons" role="group" aria-label={w.eyeWhich}>
              {(['left', 'right', 'unsure'] as const).map((seen) => (
                <Button key={seen} variant="outlined" onClick={() => void take(seen)}>
                  {w.eyeSeen[seen]}
                </Button>
              ))}
            </div>
            <p className="eye-tries" aria-live="polite">
              {tries.slice(-EYE_TEST_TRIES).map((seen, i) => (
                <span key={i} className="tag" data-kind="plain">
                  {w.eyeSeen[seen]}
                </span>
              ))}
            </p>
            {trouble && <p className="field-error">{trouble}</p>}
            <p className="verdict">{w.eyeResult(eyeTestResult(tries), archer.dominantEye)}</p>
          </section>
        </div>
        {archer.dominantEye !== 'unsure' && archer.dominantEye !== archer.hand && <Conflict />}
        {archer.dominantEye === archer.hand && archer.eyeHandling === 'otherHand' && (
          <p className="note" data-kind="good">
            {w.handFollows(archer.hand)}
          </p>
        )}
      </main>
      <Margin
        because={[w.because.eye, w.because.eyeTwice]}
        watch={[
          { id: 'noBow', text: w.watch.eyeNoBow },
          { id: 'glasses', text: w.watch.eyeGlasses },
        ]}
      />
    </>
  );
}

/** Right hand, left eye: the usual ways to go on, one of them chosen. */
function Conflict() {
  const { snapshot, send } = useJob();
  const { hand, dominantEye, eyeHandling } = snapshot.archer;
  const choose = (id: Exclude<EyeHandling, 'open'>) => {
    const eye = dominantEye === 'left' ? ('left' as const) : ('right' as const);
    void send({
      name: 'setAnswers',
      archer: { eyeHandling: id, ...(id === 'otherHand' ? { hand: eye } : {}) },
    });
  };
  return (
    <section className="block">
      <h3 className="block-title">{w.conflict(hand, dominantEye)}</h3>
      <ul className="ways" aria-label={w.conflict(hand, dominantEye)}>
        {EYE_HANDLINGS.map(({ id, name, text, then }) => (
          <li key={id}>
            <button type="button" aria-pressed={eyeHandling === id} onClick={() => choose(id)}>
              <b>{name}</b>
              <span>{text}</span>
              <span className="small soft">{then}</span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
