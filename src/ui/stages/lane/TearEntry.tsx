'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import { readPracticeLine } from '@/contracts/practice-archer';
import { readOptionsFor } from '@/core/job';
import { latest, tearWords } from '@/core/setup';
import type { PaperTuneResult, Tear } from '@/core/tuning';
import { read } from '@/core/units';
import { PaperDrawing } from '../../drawings/PaperDrawing';
import { useDevice } from '../../fields/useDevice';
import { Choice } from '../../fields/Choice';
import { useJob } from '../../job/JobProvider';
import { useKept } from '../../keep/useKept';
import { useDraft } from '../../keep/useDraft';
import { devices, lane as w, paperWords as p } from '../../words';
import { PaperAdviceLine } from './PaperAdviceLine';
import { NumberSet } from '../../fields/NumberSet';
import { Dock } from '../../job/Dock';
import { SmallNumber } from '../../fields/SmallNumber';

const FAR_M = 2.6;
const CENTRE: Tear = { rightMm: 0, upMm: 0 };

/** A tear noted by taps on the sheet, or typed; with what a move is likely to make of it. */
export function TearEntry({ tune }: { tune: PaperTuneResult }) {
  const { snapshot, derived, send } = useJob();
  const units = snapshot.shop.units;
  const draft = `${snapshot.job.id}.tear`;
  const [rightText, putRight] = useDraft(`${draft}.r`);
  const [upText, putUp] = useDraft(`${draft}.u`);
  const text = { right: rightText, up: upText };
  const [tapping, setTapping] = useState<'nock' | 'point'>('nock');
  const [point, setPoint] = useState<Tear>(CENTRE);
  const { value: distance, set: setDistance } = useKept<string>(`${draft}.far`, () =>
    units.distance === 'yd' ? '7 ft' : '2 m',
  );
  const [trouble, setTrouble] = useState('');
  const [again, setAgain] = useState(0);
  const archer = useDevice(snapshot.job.id, 'practice-archer', (line) => {
    const heard = readPracticeLine(line);
    if (heard.kind === 'junk') return 'junk';
    return heard.kind === 'tear' ? { reading: heard } : 'nothing';
  });
  const options = readOptionsFor('paperTear', units, snapshot.bow)!;
  const right = read(text.right, options);
  const up = read(text.up, options);
  const far = read(distance, {
    quantity: 'distance',
    shop: units,
    min: 1,
    max: 150,
    what: 'distance',
  });
  const both = right.ok && up.ok;
  const last = latest(derived.history, 'paperTear');
  const setText = (next: { right: string; up: string }) => {
    putRight(next.right);
    putUp(next.up);
    setTrouble('');
  };
  const note = async (tear: { right: string; up: string }) => {
    const answer = await send({ name: 'takeTear', ...tear, distance });
    setTrouble(answer?.message ?? '');
    if (answer) return;
    setText({ right: '', up: '' });
    setPoint(CENTRE);
  };
  const submit = () => {
    if (!right.ok || !up.ok)
      return setTrouble(!right.ok ? right.message : !up.ok ? up.message : '');
    if (!far.ok) return setTrouble(far.message);
    void note(text);
  };
  const practise = () => {
    setAgain(again + 1);
    archer.start({ what: 'paper', again }, (got) => {
      const { rightMm, upMm } = got[0]!;
      setText({ right: `${Math.round(rightMm)} mm`, up: `${Math.round(upMm)} mm` });
    });
  };
  const tap = (at: Tear) => {
    if (tapping === 'point') {
      setPoint({ rightMm: Math.round(at.rightMm), upMm: Math.round(at.upMm) });
      return setTapping('nock');
    }
    setText({
      right: `${Math.round(at.rightMm - point.rightMm)} mm`,
      up: `${Math.round(at.upMm - point.upMm)} mm`,
    });
  };
  return (
    <div className="tear-split">
      <div className="stack">
        <PaperDrawing
          nock={both ? { rightMm: right.si, upMm: up.si } : null}
          point={point}
          last={last ? { rightMm: last.si ?? 0, upMm: last.si2 ?? 0 } : null}
          expected={both ? null : (tune.advice?.expected ?? null)}
          onTap={tap}
        />
        <p className="small soft">{w.tapHint}</p>
        <Choice
          label={p.tapWhat}
          value={tapping}
          options={[
            { id: 'nock', name: p.tapNock },
            { id: 'point', name: p.tapPoint },
          ]}
          onChange={setTapping}
        />
        <SmallNumber
          label={p.distance}
          text={distance}
          onText={setDistance}
          result={far}
          placeholder="2 m"
        />
      </div>
      <div className="stack">
        <Dock>
          <NumberSet
            numbers={[
              {
                label: w.right,
                text: text.right,
                onText: (value) => setText({ ...text, right: value }),
                result: right,
                options,
              },
              {
                label: w.up,
                text: text.up,
                onText: (value) => setText({ ...text, up: value }),
                result: up,
                options,
              },
            ]}
            onSubmit={submit}
          >
            {far.ok && far.si > FAR_M && <p className="note">{p.far}</p>}
            <Button type="submit" variant="contained" className="enter">
              <span>{both ? w.note(tearWords(right.si, up.si)) : w.noteBlank}</span>
              <span className="key">Enter</span>
            </Button>
            <p className="field-error" role={trouble ? 'alert' : undefined}>
              {trouble || archer.message}
            </p>
          </NumberSet>
        </Dock>
        <PaperAdviceLine tune={tune} />
        <Button
          variant="text"
          className="practise"
          disabled={archer.state === 'live'}
          title={devices.practiceHint}
          onClick={practise}
        >
          {devices.practise}
        </Button>
      </div>
    </div>
  );
}
