'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import Typography from '@mui/material/Typography';
import type { TapeQuery } from '@/contracts/tape';
import { USUAL_TAPE } from '@/contracts/usual-tape';
import { jobTape, type TapeWish } from '@/core/job';
import { tapeSvg } from '@/core/sheet';
import { metresPer, write } from '@/core/units';
import { TextField } from '../../fields/TextField';
import { Choice } from '../../fields/Choice';
import { draftOf, keepDraft } from '../../keep/draft';
import { useJob } from '../../job/JobProvider';
import { marksWords } from '../../words';
import { Note } from '../../pieces/texts';
import { Actions, Verdict } from '../../pieces/layout';
import css from './TapeMaker.module.css';

const w = marksWords.tape;
type Wish = Omit<TapeQuery, 'format'>;
type NumberKey =
  'stepMps' | 'from' | 'to' | 'lineMm' | 'widthMm' | 'ratio' | 'temperatureC' | 'heightM';

/** The tape as it will be printed, from the same layout as the print; every wish at once on it. */
export function TapeMaker() {
  const { snapshot, derived } = useJob();
  const { shop, job } = snapshot;
  const draft = `${job.id}.tape`;
  const [wish, put] = useState<Wish>(() =>
    startWish(draftOf(draft), shop.units.distance, job.furthestM),
  );
  const [typed, setTyped] = useState<Partial<Record<NumberKey, string>>>({});
  const change = (part: Partial<Wish>) => {
    const next = { ...wish, ...part };
    put(next);
    keepDraft(draft, JSON.stringify(next));
  };
  const answer = jobTape(snapshot, derived, wish as TapeWish);
  const final = derived.history.has('arrowSpeed');
  const link = (format: 'pdf' | 'svg') =>
    `/api/v1/jobs/${job.id}/tape?${new URLSearchParams(
      Object.entries({ format, ...wish }).map(([key, value]) => [key, String(value)]),
    ).toString()}`;
  const number = (key: NumberKey, label: string) => (
    <TextField
      id={`tape-${key}`}
      label={label}
      value={typed[key] ?? String(wish[key])}
      autoComplete="off"
      error={typed[key] !== undefined && asNumber(typed[key]) === null}
      slotProps={{ htmlInput: { maxLength: 8, inputMode: 'decimal' } }}
      onChange={(event) => {
        setTyped({ ...typed, [key]: event.target.value });
        const value = asNumber(event.target.value);
        if (value !== null) change({ [key]: value });
      }}
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
                w.cut(write(answer.own.furthestClearM, 'distance', shop.units, { decimals: 0 }))}
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
          <Typography variant="small" color="textSecondary" component="figcaption">
            {w.preview}
          </Typography>
        </figure>
      )}
    </div>
  );
}

const asNumber = (text: string): number | null => {
  const value = Number(text.trim().replace(',', '.'));
  return text.trim() !== '' && Number.isFinite(value) ? value : null;
};

/** As it was left; else by the shop's unit, to the furthest distance wanted. */
function startWish(kept: string, unit: 'm' | 'yd', furthestM: number | null): Wish {
  const { format: _format, ...usual } = USUAL_TAPE;
  const far = Math.ceil((furthestM ?? 60) / metresPer(unit) / 5) * 5;
  const start = { ...usual, unit, to: Math.max(30, Math.min(120, far)) };
  if (kept === '') return start;
  try {
    return { ...start, ...(JSON.parse(kept) as Partial<Wish>) };
  } catch {
    return start;
  }
}
