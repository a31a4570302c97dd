'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import type { Door } from '@/core/people';
import { secretFault } from '@/core/people';
import { Choice } from '../fields/Choice';
import { TextField } from '../fields/TextField';
import { Actions } from '../pieces/layout';
import { Text } from '../pieces/Text';
import { doorWords as w } from '../words';
import { useDoor } from './useDoor';
import css from './door.module.css';

const NEW = 'new';

/** The first owner: one of those written down, or somebody new, with a PIN typed twice. */
export function OwnerForm({ door, onSigned }: { door: Door; onSigned: (door: Door) => void }) {
  const [who, setWho] = useState(door.people.length === 0 ? NEW : null);
  const [name, setName] = useState('');
  const [secret, setSecret] = useState('');
  const [again, setAgain] = useState('');
  const { send, busy, fault, clear, refuse } = useDoor(onSigned);
  const of = (pointer: string) => (fault?.pointer === pointer ? fault.message : '');
  const submit = () => {
    if (who === null || (who === NEW && name.trim() === ''))
      return refuse({ pointer: '/person', message: w.ownerMissing });
    const wrong = secretFault(secret);
    if (wrong) return refuse({ pointer: '/secret', message: wrong });
    if (again !== secret) return refuse({ pointer: '/again', message: w.ownerDiffer });
    void send('/api/v1/session/owner', {
      person: who === NEW ? { name: name.trim() } : { id: who },
      secret,
      tablet: w.thisMachine,
    });
  };
  const change = (set: (text: string) => void) => (event: { target: { value: string } }) => {
    clear();
    set(event.target.value);
  };
  const whoFault = of('/person') || of('/person/name') || of('/person/id');
  return (
    <form
      className={css.form}
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        submit();
      }}
    >
      {door.people.length > 0 && (
        <Choice
          label={w.owner}
          value={who}
          options={[...door.people, { id: NEW, name: w.ownerOther }]}
          onChange={(id) => {
            clear();
            setWho(id);
          }}
        />
      )}
      {who === NEW && (
        <TextField
          id="owner-name"
          label={w.ownerName}
          value={name}
          autoComplete="off"
          error={whoFault !== ''}
          helperText={whoFault || ' '}
          slotProps={{ htmlInput: { maxLength: 60 } }}
          onChange={change(setName)}
        />
      )}
      {who !== NEW && whoFault && (
        <Text role="alert" wrong>
          {whoFault}
        </Text>
      )}
      <TextField
        id="owner-secret"
        type="password"
        label={w.ownerPin}
        value={secret}
        autoComplete="new-password"
        error={of('/secret') !== ''}
        helperText={of('/secret') || w.ownerPinHint}
        slotProps={{ htmlInput: { maxLength: 100 } }}
        onChange={change(setSecret)}
      />
      <TextField
        id="owner-again"
        type="password"
        label={w.ownerAgain}
        value={again}
        autoComplete="new-password"
        error={of('/again') !== ''}
        helperText={of('/again') || ' '}
        slotProps={{ htmlInput: { maxLength: 100 } }}
        onChange={change(setAgain)}
      />
      {fault?.pointer === '' && (
        <Text role="alert" wrong>
          {fault.message}
        </Text>
      )}
      <Actions>
        <Button type="submit" variant="contained" disabled={busy}>
          {busy ? w.looking : w.ownerTake}
        </Button>
      </Actions>
    </form>
  );
}
