'use client';
import { useEffect, useState } from 'react';
import Button from '@mui/material/Button';
import type { Door } from '@/core/people';
import { TextField } from '../fields/TextField';
import { Actions } from '../pieces/layout';
import { Text } from '../pieces/Text';
import { doorWords as w } from '../words';
import { useDoor } from './useDoor';
import css from './door.module.css';

/** Makes a tablet known by the code its owner sees; a scanned address brings the code along. */
export function PairForm({ onPaired }: { onPaired: (door: Door) => void }) {
  const [code, setCode] = useState('');
  const [name, setName] = useState('');
  const { send, busy, fault, clear, refuse } = useDoor(onPaired);
  useEffect(() => {
    const brought = /^#code=([\w-]{8,12})$/.exec(window.location.hash)?.[1];
    if (!brought) return;
    setCode(brought);
    // Not kept in the list of pages: it pairs once.
    window.history.replaceState(null, '', window.location.pathname + window.location.search);
  }, []);
  const of = (pointer: string) => (fault?.pointer === pointer ? fault.message : '');
  const submit = () => {
    if (code.trim() === '') return refuse({ pointer: '/code', message: w.codeMissing });
    if (name.trim() === '') return refuse({ pointer: '/name', message: w.tabletNameMissing });
    void send('/api/v1/session/pairing', { code: code.trim(), name: name.trim() });
  };
  return (
    <form
      className={css.form}
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        submit();
      }}
    >
      <TextField
        id="pair-code"
        label={w.code}
        value={code}
        autoComplete="off"
        error={of('/code') !== ''}
        helperText={of('/code') || w.codeHint}
        slotProps={{ htmlInput: { maxLength: 20, autoCapitalize: 'characters' } }}
        onChange={(event) => {
          clear();
          setCode(event.target.value);
        }}
      />
      <TextField
        id="pair-name"
        label={w.tabletName}
        value={name}
        autoComplete="off"
        error={of('/name') !== ''}
        helperText={of('/name') || w.tabletNameHint}
        slotProps={{ htmlInput: { maxLength: 60 } }}
        onChange={(event) => {
          clear();
          setName(event.target.value);
        }}
      />
      {fault && !['/code', '/name'].includes(fault.pointer) && (
        <Text role="alert" wrong>
          {fault.message}
        </Text>
      )}
      <Actions>
        <Button type="submit" variant="contained" disabled={busy}>
          {busy ? w.looking : w.pair}
        </Button>
      </Actions>
    </form>
  );
}
