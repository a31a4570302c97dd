'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import { writeMoney } from '@/core/units';
import { TextField } from '../../fields/TextField';
import { useJob } from '../../job/JobProvider';
import { useKept } from '../../keep/useKept';
import { Rows } from '../../pieces/layout';
import { FieldError } from '../../pieces/texts';
import { Text } from '../../pieces/Text';
import { delivery as w } from '../../words';
import css from './Delivery.module.css';

/** Lines of the bill besides bow, parts and work, and a way to add one. */
export function Extras() {
  const { snapshot, send } = useJob();
  const kept = useKept(`${snapshot.job.id}.extra`, () => ({ text: '', entered: '' }));
  const { text, entered } = kept.value;
  const [trouble, setTrouble] = useState('');
  const add = async () => {
    const refused = await send({ name: 'addExtra', text, entered });
    setTrouble(refused?.message ?? '');
    if (!refused) kept.forget();
  };
  return (
    <>
      {snapshot.job.extras.length > 0 && (
        <Rows className={css.lines} data-part="extras">
          {snapshot.job.extras.map(({ id, text: name, cents }) => (
            <li key={id}>
              <span>{name}</span>
              <Text variant="figure">{writeMoney(cents)}</Text>
              <Button variant="text" onClick={() => void send({ name: 'removeExtra', id })}>
                {w.takeOff}
              </Button>
            </li>
          ))}
        </Rows>
      )}
      <form
        className={css.entry}
        onSubmit={(event) => {
          event.preventDefault();
          void add();
        }}
      >
        <TextField
          id="extra-text"
          label={w.extraText}
          autoComplete="off"
          value={text}
          slotProps={{ htmlInput: { maxLength: 120 } }}
          onChange={({ target }) => kept.set((now) => ({ ...now, text: target.value }))}
        />
        <TextField
          id="extra-amount"
          label={w.extraAmount}
          autoComplete="off"
          value={entered}
          helperText={w.extraHint}
          slotProps={{ htmlInput: { maxLength: 40 } }}
          onChange={({ target }) => kept.set((now) => ({ ...now, entered: target.value }))}
        />
        <Button type="submit" variant="outlined" disabled={entered.trim() === ''}>
          {w.addLine}
        </Button>
      </form>
      <FieldError role={trouble ? 'alert' : undefined}>{trouble}</FieldError>
    </>
  );
}
