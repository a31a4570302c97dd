'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import { secretFault } from '@/core/people';
import { TextField } from '../fields/TextField';
import { post } from '../keep/post';
import { Actions } from '../pieces/layout';
import { Text } from '../pieces/Text';
import { doorWords as w } from '../words';
import css from './door.module.css';

/** Another PIN for who is signed in, with the old one. */
export function OwnPin() {
  const [old, setOld] = useState('');
  const [secret, setSecret] = useState('');
  const [fault, setFault] = useState<{ pointer: string; message: string } | null>(null);
  const [done, setDone] = useState(false);
  const of = (pointer: string) => (fault?.pointer === pointer ? fault.message : '');
  const submit = async () => {
    const wrong = secretFault(secret);
    if (wrong) return setFault({ pointer: '/secret', message: wrong });
    const answer = await post('/api/v1/session/secret', { old, secret });
    setDone(answer.ok);
    setFault(answer.ok ? null : answer);
    if (answer.ok) {
      setOld('');
      setSecret('');
    }
  };
  const field = (id: 'old' | 'secret', label: string, value: string, set: (to: string) => void) => (
    <TextField
      id={`own-${id}`}
      type="password"
      label={label}
      value={value}
      autoComplete="off"
      error={of(`/${id}`) !== ''}
      helperText={of(`/${id}`) || (id === 'secret' ? w.ownerPinHint : ' ')}
      slotProps={{ htmlInput: { maxLength: 100 } }}
      onChange={(event) => {
        setFault(null);
        setDone(false);
        set(event.target.value);
      }}
    />
  );
  return (
    <form
      className={css.form}
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void submit();
      }}
    >
      {field('old', w.ownPinOld, old, setOld)}
      {field('secret', w.ownPinNew, secret, setSecret)}
      {(done || fault?.pointer === '') && (
        <Text role="status" wrong={!done}>
          {done ? w.ownPinDone : fault?.message}
        </Text>
      )}
      <Actions>
        <Button type="submit" variant="contained">
          {w.ownPinTake}
        </Button>
      </Actions>
    </form>
  );
}
