'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import {
  EYE_HANDLINGS,
  EYE_TEST_STEPS,
  EYE_TEST_TRIES,
  eyeTestResult,
  type EyeHandling,
  type EyeSeen,
} from '@/core/fit';
import { eyeTries } from '@/core/job';
import { Text } from '../../pieces/Text';
import { Press } from '../../pieces/Press';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { fit as w } from '../../words';
import { Work } from '../../job/Work';
import { Block, BlockTitle, Split, Verdict } from '../../pieces/layout';
import { FieldError, Note, Tag } from '../../pieces/texts';
import { FitHead } from './FitHead';
import waysCss from '../kit/ways.module.css';
import stepsCss from './steps.module.css';
import css from './EyeTest.module.css';

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
      <Work>
        <FitHead part="eye" />
        <Split>
          <section>
            <BlockTitle>{w.eyeHow}</BlockTitle>
            <ol className={stepsCss.plainSteps}>
              {EYE_TEST_STEPS.map((step) => (
                <li key={step}>{step}</li>
              ))}
            </ol>
          </section>
          <Stack spacing={2} component="section">
            <BlockTitle>
              {w.eyeTry(Math.min(tries.length + 1, EYE_TEST_TRIES), eyeTestResult(tries).settled)}
            </BlockTitle>
            <div className={css.eyeButtons} role="group" aria-label={w.eyeWhich}>
              {(['left', 'right', 'unsure'] as const).map((seen) => (
                <Button key={seen} variant="outlined" onClick={() => void take(seen)}>
                  {w.eyeSeen[seen]}
                </Button>
              ))}
            </div>
            <p className={css.eyeTries} aria-live="polite">
              {tries.slice(-EYE_TEST_TRIES).map((seen, i) => (
                <Tag key={i} kind="plain">
                  {w.eyeSeen[seen]}
                </Tag>
              ))}
            </p>
            {trouble && <FieldError>{trouble}</FieldError>}
            <Verdict>{w.eyeResult(eyeTestResult(tries), archer.dominantEye)}</Verdict>
          </Stack>
        </Split>
        {archer.dominantEye !== 'unsure' && archer.dominantEye !== archer.hand && <Conflict />}
        {archer.dominantEye === archer.hand && archer.eyeHandling === 'otherHand' && (
          <Note kind="good">{w.handFollows(archer.hand)}</Note>
        )}
      </Work>
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
    <Block>
      <BlockTitle>{w.conflict(hand, dominantEye)}</BlockTitle>
      <ul className={waysCss.ways} data-part="ways" aria-label={w.conflict(hand, dominantEye)}>
        {EYE_HANDLINGS.map(({ id, name, text, then }) => (
          <li key={id}>
            <Press type="button" aria-pressed={eyeHandling === id} onClick={() => choose(id)}>
              <b>{name}</b>
              <span>{text}</span>
              <Text variant="small" soft>
                {then}
              </Text>
            </Press>
          </li>
        ))}
      </ul>
    </Block>
  );
}
