'use client';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import { tapeSvg } from '@/core/sheet';
import { write } from '@/core/units';
import { Text } from '../../pieces/Text';
import { TextField } from '../../fields/TextField';
import { Choice } from '../../fields/Choice';
import { useJob } from '../../job/JobProvider';
import { marksWords } from '../../words';
import { Note } from '../../pieces/texts';
import { Actions, Verdict } from '../../pieces/layout';
import { useTapeWish, type NumberKey } from './useTapeWish';
import css from './TapeMaker.module.css';

const w = marksWords.tape;
/** The tape as it will be printed, from the same layout as the print; every wish at once on it. */
export function TapeMaker() {
  const { units } = useJob().snapshot.shop;
  const { wish, change, answer, final, link, ...fields } = useTapeWish();
  const number = (key: NumberKey, label: string) => (
    <TextField
      id={`tape-${key}`}
      label={label}
      value={fields.textOf(key)}
      autoComplete="off"
      error={fields.isWrong(key)}
      slotProps={{ htmlInput: { maxLength: 8, inputMode: 'decimal' } }}
      onChange={(event) => fields.type(key, event.target.value)}
    />
  );
  return (
    <div className={css.tapeSplit}>
      <Stack spacing={2}>
        {!final && <Note>{w.notFinal}</Note>}
        {answer.ok ? (
          <>
            <Verdict role="status">
              <b>{w.length(answer.own.lengthMm.toFixed(1), answer.own.lines.length)}</b>{' '}
              {answer.own.cut &&
                answer.own.furthestClearM !== null &&
                w.cut(write(answer.own.furthestClearM, 'distance', units, { decimals: 0 }))}
            </Verdict>
            {answer.leftOut > 0 && <Note>{w.leftOut(answer.leftOut)}</Note>}
            <Actions>
              <Button variant="contained" component="a" href={link('pdf')} target="_blank">
                {w.pdf}
              </Button>
              <Button variant="outlined" component="a" href={link('svg')} target="_blank">
                {w.svg}
              </Button>
            </Actions>
          </>
        ) : (
          <Note role="alert">{answer.message}</Note>
        )}
        <div className={css.tapeFields}>
          <Choice
            label={w.unit}
            value={wish.unit}
            options={[
              { id: 'm', name: w.units.m },
              { id: 'yd', name: w.units.yd },
            ]}
            onChange={(unit) => change({ unit })}
          />
          <Choice
            label={w.numbers}
            value={String(wish.numbersEvery)}
            options={['5', '10'].map((id) => ({ id, name: id }))}
            onChange={(id) => change({ numbersEvery: Number(id) })}
          />
          <Choice
            label={w.side}
            value={wish.side}
            options={(['left', 'right'] as const).map((id) => ({ id, name: w.sides[id] }))}
            onChange={(side) => change({ side })}
          />
          <Choice
            label={w.neighbours}
            value={String(wish.neighbours)}
            options={([0, 1, 2] as const).map((n) => ({
              id: String(n),
              name: w.neighbourNames[n],
            }))}
            onChange={(id) => change({ neighbours: Number(id) })}
          />
          <Choice
            label={w.paper}
            value={wish.paper}
            options={[
              { id: 'A4', name: 'A4' },
              { id: 'LETTER', name: 'Letter' },
            ]}
            onChange={(paper) => change({ paper })}
          />
        </div>
        <div className={css.tapeNumbers}>
          {number('from', w.from)}
          {number('to', w.to)}
          {number('lineMm', w.line)}
          {number('widthMm', w.width)}
          {number('ratio', w.ratio)}
          {number('temperatureC', w.temperature)}
          {number('heightM', w.height)}
          {wish.neighbours > 0 && number('stepMps', w.step)}
        </div>
      </Stack>
      {answer.ok && (
        <figure className={css.tapeSheet}>
          {/* The very drawing that is printed; there is no file to be optimised. */}
          {/* eslint-disable-next-line @next/next/no-img-element */}
          <img
            alt={w.preview}
            src={`data:image/svg+xml;charset=utf-8,${encodeURIComponent(tapeSvg(answer.sheet, true))}`}
          />
          <Text variant="small" soft as="figcaption">
            {w.preview}
          </Text>
        </figure>
      )}
    </div>
  );
}
