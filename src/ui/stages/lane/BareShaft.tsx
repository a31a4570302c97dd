'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import { jobBareShaft, readOptionsFor } from '@/core/job';
import { latest, readingText } from '@/core/route';
import { bareShaftTear } from '@/core/tuning';
import { metre, read } from '@/core/units';
import { useJob } from '../../job/JobProvider';
import { paperWords } from '../../words';
import { RestContradiction } from './RestContradiction';
import { SmallNumber } from './SmallNumber';

const p = paperWords.bare;

/** Bare shafts against fletched ones, as the tear they stand for. */
export function BareShaft() {
  const { snapshot, derived, send } = useJob();
  const units = snapshot.shop.units;
  const [text, setText] = useState({
    distance: units.distance === 'yd' ? '20 yd' : '18 m',
    right: '',
    up: '',
  });
  const [trouble, setTrouble] = useState('');
  const options = readOptionsFor('bareShaft', units, snapshot.bow)!;
  const far = read(text.distance, {
    quantity: 'distance',
    shop: units,
    min: 8,
    max: 40,
    what: 'distance',
  });
  const right = read(text.right, options);
  const up = read(text.up, options);
  const ready = far.ok && right.ok && up.ok;
  const stands = ready
    ? bareShaftTear({ distanceM: metre(far.si), rightMm: right.si, upMm: up.si })
    : null;
  const last = latest(derived.history, 'bareShaft');
  const put = (field: keyof typeof text) => (value: string) => {
    setText({ ...text, [field]: value });
    setTrouble('');
  };
  return (
    <form
      className="stack lane-check"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        if (!ready) {
          const wrong = [far, right, up].find((entry) => !entry.ok);
          return setTrouble(wrong && !wrong.ok ? wrong.message : '');
        }
        void send({ name: 'takeBareShaft', ...text }).then((answer) => {
          setTrouble(answer?.message ?? '');
          if (!answer) setText({ ...text, right: '', up: '' });
        });
      }}
    >
      <p className="step-say">{p.hint}</p>
      <div className="tear-fields">
        <SmallNumber
          label={p.distance}
          text={text.distance}
          onText={put('distance')}
          result={far}
        />
        <SmallNumber
          label={p.right}
          text={text.right}
          onText={put('right')}
          result={right}
          current
        />
        <SmallNumber label={p.up} text={text.up} onText={put('up')} result={up} />
      </div>
      {stands && (
        <p className="note" role="status">
          {p.stands(p.size(stands.rightMm, stands.upMm))} {!stands.tells && p.weak}
        </p>
      )}
      <div className="actions">
        <Button type="submit" variant="contained">
          {p.take}
        </Button>
      </div>
      <p className="field-error" role={trouble ? 'alert' : undefined}>
        {trouble}
      </p>
      <BareShaftMove />
      {last && (
        <p className="soft">
          {last.who}: <b>{readingText(last, units)}</b>, {last.entered}
        </p>
      )}
    </form>
  );
}

/** What the pairs ask of the rest: an experiment first, then what this bow answered. */
function BareShaftMove() {
  const { snapshot, derived, send } = useJob();
  const { bow, archer } = snapshot;
  const advice = jobBareShaft(snapshot, derived);
  if (advice.state === 'none') return null;
  const words = paperWords.advice(
    'restSideways',
    advice.restMm,
    bow?.hand ?? archer.hand,
    bow?.yokes ?? null,
    (size) => `${size} mm`,
  );
  const text =
    advice.state === 'experiment'
      ? p.states.experiment(words)
      : advice.state === 'adjust'
        ? p.states.adjust(
            words,
            advice.perMm.toFixed(1).replace('-', '−'),
            advice.sigmaPerMm.toFixed(1),
          )
        : p.states[advice.state];
  return (
    <div
      className="note"
      role="status"
      data-kind={advice.state === 'together' ? 'good' : undefined}
    >
      <p>{text}</p>
      <RestContradiction />
      {advice.restMm !== 0 && (
        <Button
          variant="outlined"
          onClick={() =>
            void send({ name: 'movePaper', adjustment: 'restSideways', amount: advice.restMm })
          }
        >
          {paperWords.done}
        </Button>
      )}
    </div>
  );
}
