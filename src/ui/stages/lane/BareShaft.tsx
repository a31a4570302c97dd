'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import { jobBareShaft, laneEntry } from '@/core/job';
import { latest, readingText } from '@/core/setup';
import { bareShaftTear } from '@/core/tuning';
import { metre, read } from '@/core/units';
import { Text } from '../../pieces/Text';
import { Dock } from '../../job/Dock';
import { useJob } from '../../job/JobProvider';
import { useKept } from '../../keep/useKept';
import { paperWords } from '../../words';
import { NumberSet } from '../../fields/NumberSet';
import { StepSay } from '../../pieces/layout';
import { FieldError, Note } from '../../pieces/texts';
import { RestContradiction } from './RestContradiction';
import css from './BareShaft.module.css';

const p = paperWords.bare;
/** Bare shafts against fletched ones, as the tear they stand for. */
export function BareShaft() {
  const { snapshot, derived, send } = useJob();
  const units = snapshot.shop.units;
  const { value: text, set: setText } = useKept(`${snapshot.job.id}.bareShaft`, () => ({
    distance: units.distance === 'yd' ? '20 yd' : '18 m',
    right: '',
    up: '',
  }));
  const [trouble, setTrouble] = useState('');
  const options = { right: laneEntry('bareRight', units), up: laneEntry('bareUp', units) };
  const far = read(text.distance, laneEntry('bareShaftDistance', units));
  const right = read(text.right, options.right);
  const up = read(text.up, options.up);
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
    <Stack spacing={2} className={css.laneCheck} data-part="lane-check">
      <StepSay>{p.hint}</StepSay>
      <Dock>
        <NumberSet
          first={1}
          numbers={[
            {
              label: p.distance,
              text: text.distance,
              onText: put('distance'),
              result: far,
              options: laneEntry('bareShaftDistance', units),
            },
            {
              label: p.right,
              text: text.right,
              onText: put('right'),
              result: right,
              options: options.right,
            },
            { label: p.up, text: text.up, onText: put('up'), result: up, options: options.up },
          ]}
          onSubmit={() => {
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
          <Button type="submit" variant="contained" fullWidth>
            {p.take}
          </Button>
          <FieldError role={trouble ? 'alert' : undefined}>{trouble}</FieldError>
        </NumberSet>
      </Dock>
      {stands && (
        <Note role="status">
          {p.stands(p.size(stands.rightMm, stands.upMm))} {!stands.tells && p.weak}
        </Note>
      )}
      <BareShaftMove />
      {last && (
        <Text soft>
          {last.who}: <b>{readingText(last, units)}</b>, {last.entered}
        </Text>
      )}
    </Stack>
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
    <Note role="status" kind={advice.state === 'together' ? 'good' : undefined}>
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
    </Note>
  );
}
