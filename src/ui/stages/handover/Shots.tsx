'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import { CHECK_SHOTS, readShots } from '@/core/job';
import { TextField } from '../../fields/TextField';
import { useJob } from '../../job/JobProvider';
import { useKept } from '../../keep/useKept';
import { FieldError } from '../../pieces/texts';
import { visit as w } from '../../words';
import css from './Shots.module.css';

/** Shots as the archer tells them: they bring the next look nearer. */
export function Shots() {
  const { snapshot, send, sending } = useJob();
  const { job, shotsSince } = snapshot;
  const kept = useKept(`${job.id}.shots`, () => '');
  const [trouble, setTrouble] = useState('');
  const typed = kept.value.trim();
  const count = typed === '' ? null : readShots(typed);
  const tell = async () => {
    const refused = await send({ name: 'reportShots', entered: typed });
    setTrouble(refused?.message ?? '');
    if (!refused) kept.forget();
  };
  return (
    <form
      className={css.shots}
      onSubmit={(event) => {
        event.preventDefault();
        void tell();
      }}
    >
      <TextField
        id="shots-told"
        label={w.shots}
        autoComplete="off"
        value={kept.value}
        error={typed !== '' && count === null}
        helperText={
          typed !== '' && count === null
            ? w.noCount
            : shotsSince
              ? w.shotsTold(shotsSince)
              : w.shotsHint(CHECK_SHOTS)
        }
        slotProps={{ htmlInput: { inputMode: 'numeric', maxLength: 20 } }}
        onChange={({ target }) => kept.set(() => target.value)}
      />
      <Button type="submit" variant="outlined" disabled={count === null || sending}>
        {w.tellShots}
      </Button>
      <FieldError role={trouble ? 'alert' : undefined}>{trouble}</FieldError>
    </form>
  );
}
