'use client';
import Button from '@mui/material/Button';
import { tearWords } from '@/core/setup';
import type { PaperTuneResult } from '@/core/tuning';
import { PaperDrawing } from '../../drawings/PaperDrawing';
import { Choice } from '../../fields/Choice';
import { NumberSet } from '../../fields/NumberSet';
import { SmallNumber } from '../../fields/SmallNumber';
import { Dock } from '../../job/Dock';
import { devices, lane as w, paperWords as p } from '../../words';
import { PaperAdviceLine } from './PaperAdviceLine';
import { useTear } from './useTear';

/** A tear noted by taps on the sheet, or typed; with what a move is likely to make of it. */
export function TearEntry({ tune }: { tune: PaperTuneResult }) {
  const t = useTear();
  return (
    <div className="tear-split">
      <div className="stack">
        <PaperDrawing
          nock={t.tear}
          point={t.point}
          last={t.last}
          expected={t.tear ? null : (tune.advice?.expected ?? null)}
          onTap={t.tap}
        />
        <p className="small soft">{w.tapHint}</p>
        <Choice
          label={p.tapWhat}
          value={t.tapping}
          options={[
            { id: 'nock', name: p.tapNock },
            { id: 'point', name: p.tapPoint },
          ]}
          onChange={t.setTapping}
        />
        <SmallNumber
          label={p.distance}
          text={t.distance}
          onText={t.setDistance}
          result={t.far}
          placeholder="2 m"
        />
      </div>
      <div className="stack">
        <Dock>
          <NumberSet
            numbers={[
              {
                label: w.right,
                text: t.text.right,
                onText: (right) => t.setText({ ...t.text, right }),
                result: t.right,
                options: t.options.right,
              },
              {
                label: w.up,
                text: t.text.up,
                onText: (up) => t.setText({ ...t.text, up }),
                result: t.up,
                options: t.options.up,
              },
            ]}
            onSubmit={t.submit}
          >
            {t.tooFar && <p className="note">{p.far}</p>}
            <Button type="submit" variant="contained" className="enter">
              <span>{t.tear ? w.note(tearWords(t.tear.rightMm, t.tear.upMm)) : w.noteBlank}</span>
              <span className="key">Enter</span>
            </Button>
            <p className="field-error" role={t.trouble ? 'alert' : undefined}>
              {t.trouble}
            </p>
          </NumberSet>
        </Dock>
        <PaperAdviceLine tune={tune} />
        <Button
          variant="text"
          className="practise"
          disabled={t.practising}
          title={devices.practiceHint}
          onClick={t.practise}
        >
          {devices.practise}
        </Button>
      </div>
    </div>
  );
}
