'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import type { BowRecord } from '@/core/bow';
import { leanOptions } from '@/core/job';
import { latest } from '@/core/setup';
import { hungOf, threadsOf, topAxle } from '@/core/steady';
import { read, type ReadOptions } from '@/core/units';
import { HangDrawing } from '../../drawings/HangDrawing';
import { Choice } from '../../fields/Choice';
import { NumberSet } from '../../fields/NumberSet';
import { Dock } from '../../job/Dock';
import { LastValue } from '../../job/LastValue';
import { useJob } from '../../job/JobProvider';
import { useDraft } from '../../keep/useDraft';
import { useKept } from '../../keep/useKept';
import { Split, StepSay } from '../../pieces/layout';
import { Text } from '../../pieces/Text';
import { FieldError, Key } from '../../pieces/texts';
import { fields, steady as w } from '../../words';
import { useBalance } from './useBalance';
import css from './HangEntry.module.css';

export type HangKey = 'hangAxle' | 'hangThread' | 'hangThird' | 'hangBehind';

/** How the string of a bow with this centre would lean, hung from a point, degrees. */
const expectedLean = (
  centre: { readonly forwardMm: number; readonly upMm: number },
  at: { readonly forwardMm: number; readonly upMm: number },
) => (Math.atan((centre.forwardMm - at.forwardMm) / (at.upMm - centre.upMm || 1)) * 180) / Math.PI;

/** One hang: how it is done, the bow as it hangs, and the lean as it is read. */
export function HangEntry({ point, bow }: { point: HangKey; bow: BowRecord }) {
  const { snapshot, derived, send } = useJob();
  const { bare, quiver } = useBalance(bow);
  const units = snapshot.shop.units;
  const draft = `${snapshot.job.id}.${point}`;
  const [lean, putLean] = useDraft(`${draft}.lean`);
  const [forward, putForward] = useDraft(`${draft}.forward`);
  const [up, putUp] = useDraft(`${draft}.up`);
  const { value: on, set: setOn } = useKept<'bare' | 'asItIs'>(`${snapshot.job.id}.hangOn`, () =>
    // As it hung before: hangs with other parts on the bow do not go together.
    hungOf(derived.history, bow)?.on.length === 0 ? 'bare' : 'asItIs',
  );
  const [trouble, setTrouble] = useState('');
  const options = leanOptions(point, units);
  const along: ReadOptions = {
    quantity: 'length',
    shop: units,
    min: -600,
    max: 600,
    bareUnit: 'mm',
    what: w.ahead.toLowerCase(),
  };
  const [readLean, readForward, readUp] = [
    read(lean, options),
    read(forward, along),
    read(up, { ...along, what: w.above.toLowerCase() }),
  ];
  const last = latest(derived.history, point);
  const kept = last?.data?.kind === 'hang' ? last.data.at : null;
  const at =
    point === 'hangThread'
      ? threadsOf(bow).threads[0]!.at
      : point === 'hangThird'
        ? {
            forwardMm: readForward.ok ? readForward.si : (kept?.forwardMm ?? 0),
            upMm: readUp.ok ? readUp.si : (kept?.upMm ?? 120),
          }
        : topAxle(bow);
  const isUnder = at.upMm < bare.centre.upMm;
  const isBehind = point === 'hangBehind';
  const shown = readLean.ok
    ? readLean.si
    : (last?.si ?? (isBehind ? 0 : expectedLean(bare.centre, at)));
  const submit = async () => {
    if (!readLean.ok) return setTrouble(readLean.message);
    if (point === 'hangThird' && !readForward.ok) return setTrouble(readForward.message);
    if (point === 'hangThird' && !readUp.ok) return setTrouble(readUp.message);
    const answer = await send({
      name: 'takeHang',
      point,
      lean,
      ...(point === 'hangThird' ? { forward, up } : {}),
      bare: on === 'bare',
      quiver,
    });
    setTrouble(answer?.message ?? '');
    if (!answer) putLean('');
  };
  const typing = (put: (text: string) => void) => (text: string) => {
    put(text);
    setTrouble('');
  };
  return (
    <Split>
      <div>
        <StepSay>{w.hangSay[point]}</StepSay>
        <Text soft>{isBehind ? w.signBehind : isUnder ? w.signDown : w.signUp}</Text>
        <Choice label={w.hangBare} value={on} options={w.bareChoices} onChange={setOn} />
        <Dock>
          <LastValue of={point} />
          <NumberSet
            numbers={[
              ...(point === 'hangThird'
                ? [
                    {
                      label: w.ahead,
                      text: forward,
                      onText: typing(putForward),
                      result: readForward,
                      options: along,
                    },
                    {
                      label: w.above,
                      text: up,
                      onText: typing(putUp),
                      result: readUp,
                      options: along,
                    },
                  ]
                : []),
              {
                label: w.lean,
                text: lean,
                onText: typing(putLean),
                result: readLean,
                options,
                placeholder: '0°',
              },
            ]}
            onSubmit={() => void submit()}
          >
            <Button type="submit" variant="contained" className={css.enter} data-part="enter">
              <span>{fields.takeIt}</span>
              <Key>Enter</Key>
            </Button>
            <FieldError role={trouble ? 'alert' : undefined}>{trouble}</FieldError>
          </NumberSet>
        </Dock>
      </div>
      <HangDrawing shape={bow} at={at} leanDeg={shown} upsideDown={!isBehind && isUnder} />
    </Split>
  );
}
