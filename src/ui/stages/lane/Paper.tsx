'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import { archerCautions, readOptionsFor } from '@/core/job';
import { tearWords, type Reading } from '@/core/route';
import { read } from '@/core/units';
import { PaperDrawing } from '../../drawings/PaperDrawing';
import { whenText } from '../../fields/dates';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { lane as w } from '../../words';
import { StepNotes } from './StepNotes';
import { LaneParts } from './LaneParts';
import { SmallNumber } from './SmallNumber';

/** A tear noted by a tap where the nock went, or typed; every paper kept. */
export function Paper() {
  const { snapshot, derived, send } = useJob();
  const [text, setText] = useState({ right: '', up: '' });
  const [trouble, setTrouble] = useState('');
  const options = readOptionsFor('paperTear', snapshot.shop.units, snapshot.bow)!;
  const right = read(text.right, options);
  const up = read(text.up, options);
  const both = right.ok && up.ok;
  const step = derived.plan.steps.find(({ id }) => id === 'paper')!;
  const papers = [...(derived.history.get('paperTear') ?? [])].reverse();
  const note = async () => {
    if (!right.ok || !up.ok) {
      setTrouble(!right.ok ? right.message : !up.ok ? up.message : '');
      return;
    }
    const reading = { key: 'paperTear', entered: text.right, entered2: text.up };
    const answer = await send({ name: 'takeReadings', readings: [reading] });
    setTrouble(answer?.message ?? '');
    if (!answer) setText({ right: '', up: '' });
  };
  const put = (field: 'right' | 'up') => (value: string) => {
    setText({ ...text, [field]: value });
    setTrouble('');
  };
  return (
    <>
      <main className="work">
        <LaneParts current="paper" />
        <div className="split paper-split">
          <PaperDrawing
            nock={both ? { rightMm: right.si, upMm: up.si } : null}
            last={papers[0] ? tearOf(papers[0]) : null}
            onTap={({ rightMm, upMm }) => {
              setText({ right: `${Math.round(rightMm)} mm`, up: `${Math.round(upMm)} mm` });
              setTrouble('');
            }}
          />
          <form
            className="stack"
            noValidate
            onSubmit={(event) => {
              event.preventDefault();
              void note();
            }}
          >
            <p>{w.tapHint}</p>
            <SmallNumber
              label={w.right}
              text={text.right}
              onText={put('right')}
              result={right}
              current
            />
            <SmallNumber label={w.up} text={text.up} onText={put('up')} result={up} />
            <Button type="submit" variant="contained" className="enter">
              <span>{both ? w.note(tearWords(right.si, up.si)) : w.noteBlank}</span>
              <span className="key">Enter</span>
            </Button>
            <p className="field-error" role={trouble ? 'alert' : undefined}>
              {trouble}
            </p>
            <StepNotes step={step} />
          </form>
        </div>
        <section className="block">
          <h3>{w.history}</h3>
          {papers.length === 0 ? (
            <p className="soft">{w.noHistory}</p>
          ) : (
            <ul className="papers">
              {papers.map((reading) => (
                <SmallPaper key={reading.seq} reading={reading} />
              ))}
            </ul>
          )}
        </section>
      </main>
      <Margin
        because={[w.because.tear, w.watch.vanes]}
        watch={[
          { id: 'target', text: w.watch.target, stop: true },
          ...(step.template.watch ?? []).map((entry, i) => ({ id: `s${i}`, text: entry })),
          ...archerCautions(snapshot).filter(({ id }) => id === 'minor' || id === 'injury'),
        ]}
      />
    </>
  );
}

const tearOf = (reading: Reading) => ({ rightMm: reading.si ?? 0, upMm: reading.si2 ?? 0 });

function SmallPaper({ reading }: { reading: Reading }) {
  const { snapshot } = useJob();
  const tear = tearOf(reading);
  const good = Math.hypot(tear.rightMm, tear.upMm) <= 6;
  return (
    <li>
      <PaperDrawing nock={tear} small />
      <b>{tearWords(tear.rightMm, tear.upMm)}</b>
      <span className="tag" data-kind={good ? 'in' : 'warn'}>
        {good ? w.good : w.tearOut}
      </span>
      <span className="small soft">
        {reading.who}, {whenText(reading.at, snapshot.shop.timeZone, snapshot.today)}
      </span>
    </li>
  );
}
