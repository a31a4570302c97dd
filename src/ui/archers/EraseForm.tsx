'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import type { KnownArcher } from '@/core/erase';
import { TextField } from '../fields/TextField';
import { forgetPages } from '../keep/forget-pages';
import { post } from '../keep/post';
import { Actions, Block } from '../pieces/layout';
import { Note } from '../pieces/texts';
import { archerWords as w } from '../words';
import css from './archers.module.css';

/** Erases a person once their name was written. */
export function EraseForm({
  known: { archer, jobs },
  onErased,
}: {
  known: KnownArcher;
  onErased: (left: KnownArcher) => void;
}) {
  const [name, setName] = useState('');
  const [trouble, setTrouble] = useState('');
  const [busy, setBusy] = useState(false);
  const open = jobs.filter(
    ({ handedOverAt, closedAt }) => handedOverAt === null && closedAt === null,
  );
  const erase = async () => {
    setBusy(true);
    const answer = await post<KnownArcher>(`/api/v1/archers/${archer.id}`, { name }, 'DELETE');
    setBusy(false);
    if (!answer.ok) return setTrouble(answer.message);
    forgetPages();
    onErased(answer.body);
  };
  return (
    <Block data-part="erase">
      <h2>{w.erase}</h2>
      <Stack spacing={1.5}>
        {w.eraseSays.map((sentence) => (
          <p key={sentence}>{sentence}</p>
        ))}
        {open.length > 0 && <Note>{w.eraseOpen(open.map(({ number }) => number).join(', '))}</Note>}
      </Stack>
      <form
        className={css.eraseForm}
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          if (!busy) void erase();
        }}
      >
        <TextField
          id="erase-name"
          label={w.eraseName(archer.name)}
          value={name}
          autoComplete="off"
          error={trouble !== ''}
          helperText={trouble || ' '}
          slotProps={{ htmlInput: { maxLength: 120 } }}
          onChange={(event) => {
            setName(event.target.value);
            setTrouble('');
          }}
        />
        <Actions>
          <Button type="submit" variant="outlined" color="error" disabled={busy}>
            {w.eraseDo}
          </Button>
        </Actions>
      </form>
    </Block>
  );
}
