'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import { aimFindings, type AimShot, type HoldTrace } from '@/core/hold';
import { AimPath } from '../../drawings/AimPath';
import { TextField } from '../../fields/TextField';
import { useJob } from '../../job/JobProvider';
import { Actions, Block } from '../../pieces/layout';
import { Press } from '../../pieces/Press';
import { Text } from '../../pieces/Text';
import { FieldError } from '../../pieces/texts';
import { aimWords as w } from '../../words';
import { holdShown } from './OneAim';
import css from './AimSet.module.css';

const LEAST = 5;

/** Every shot as a small picture, one of them left out with a reason, and what repeats in the others. */
export function AimSet({
  shots,
  counted,
  picked,
  onPick,
}: {
  shots: readonly AimShot[];
  counted: readonly (AimShot & { readonly result: HoldTrace })[];
  picked: number | null;
  onPick: (id: number) => void;
}) {
  const { send } = useJob();
  const [reason, setReason] = useState('');
  const [trouble, setTrouble] = useState('');
  const one = shots.find(({ id }) => id === picked);
  const found = aimFindings(counted.map(({ result }) => result));
  const leave = async (why: string) => {
    const answer = await send({ name: 'leaveOutAim', id: one!.id, reason: why });
    setTrouble(answer?.message ?? '');
    if (!answer) setReason('');
  };
  return (
    <>
      <Block data-part="aim-set">
        <h3>{w.set}</h3>
        <ul className={css.shots}>
          {shots.map((shot, i) => (
            <li key={shot.id}>
              <Press
                className={css.shot}
                aria-pressed={shot.id === picked}
                data-out={shot.leftOut || shot.refused ? 'yes' : undefined}
                onClick={() => onPick(shot.id)}
              >
                <AimPath path={shot.path} hold={shot.result && holdShown(shot.result)} size={72} />
                <span>
                  {i + 1}
                  {shot.result && ` · ${shot.result.hold.rmsMrad.toFixed(2)}`}
                </span>
              </Press>
            </li>
          ))}
        </ul>
        {one &&
          (one.leftOut ? (
            <Actions>
              <Text soft>{w.out(one.leftOut)}</Text>
              <Button variant="outlined" onClick={() => void leave('')}>
                {w.takeIn}
              </Button>
            </Actions>
          ) : (
            <Actions>
              <TextField
                id="aim-out"
                label={w.why}
                value={reason}
                slotProps={{ htmlInput: { maxLength: 120 } }}
                onChange={({ target }) => setReason(target.value)}
              />
              <Button
                variant="outlined"
                disabled={reason.trim().length < 3}
                onClick={() => void leave(reason)}
              >
                {w.leaveOut}
              </Button>
            </Actions>
          ))}
        <FieldError role={trouble ? 'alert' : undefined}>{trouble}</FieldError>
      </Block>
      <Block data-part="aim-repeats">
        <h3>{w.repeats}</h3>
        {counted.length < LEAST ? (
          <Text soft>{w.tooFew(counted.length)}</Text>
        ) : found.length === 0 ? (
          <Text soft>{w.nothingRepeats}</Text>
        ) : (
          <ul className={css.found}>
            {found.map(({ id, count, of, value, pValue }) => (
              <li key={id}>
                {w.found[id](count, of, value)}{' '}
                {pValue !== null && (
                  <Text variant="small" soft>
                    {w.chance(pValue)}
                  </Text>
                )}
              </li>
            ))}
          </ul>
        )}
      </Block>
    </>
  );
}
