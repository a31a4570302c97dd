'use client';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import { tearWords } from '@/core/setup';
import type { PaperTuneResult } from '@/core/tuning';
import { Text } from '../../pieces/Text';
import { PaperDrawing } from '../../drawings/PaperDrawing';
import { Choice } from '../../fields/Choice';
import { NumberSet } from '../../fields/NumberSet';
import { SmallNumber } from '../../fields/SmallNumber';
import { Dock } from '../../job/Dock';
import { devices, lane as w, paperWords as p } from '../../words';
import { FieldError, Key, Note } from '../../pieces/texts';
import { PaperAdviceLine } from './PaperAdviceLine';
import { useTear } from './useTear';
import entryCss from './entry.module.css';
import css from './TearEntry.module.css';

/** A tear noted by taps on the sheet, or typed; with what a move is likely to make of it. */
export function TearEntry({ tune }: { tune: PaperTuneResult }) {
  const t = useTear();
  return (
    <div className={entryCss.tearSplit}>
      <Stack spacing={2}>
        <PaperDrawing
          nock={t.tear}
          point={t.point}
          last={t.last}
          expected={t.tear ? null : (tune.advice?.expected ?? null)}
          onTap={t.tap}
        />
        <Text variant="small" soft as="p">
          {w.tapHint}
        </Text>
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
      </Stack>
      <Stack spacing={2}>
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
            {t.tooFar && <Note>{p.far}</Note>}
            <Button type="submit" variant="contained" className={css.enter} data-part="enter">
              <span>{t.tear ? w.note(tearWords(t.tear.rightMm, t.tear.upMm)) : w.noteBlank}</span>
              <Key>Enter</Key>
            </Button>
            <FieldError role={t.trouble ? 'alert' : undefined}>{t.trouble}</FieldError>
          </NumberSet>
        </Dock>
        <PaperAdviceLine tune={tune} />
        <Button
          variant="text"
          className={entryCss.practise}
          disabled={t.practising}
          title={devices.practiceHint}
          onClick={t.practise}
        >
          {devices.practise}
        </Button>
      </Stack>
    </div>
  );
}
