'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import { ROLES, secretFault, type Person, type Role } from '@/core/people';
import { Choice } from '../fields/Choice';
import { TextField } from '../fields/TextField';
import { Panel } from '../frame/Panel';
import { useAsk } from '../frame/useAsk';
import { Actions } from '../pieces/layout';
import { Text } from '../pieces/Text';
import { frame, peopleWords as w } from '../words';
import type { Fault, SendManaged } from './usePeople';

/** Name, role and PIN of somebody, new or known. */
export function PersonForm({
  person,
  send,
  onClose,
}: {
  person: Person | null;
  send: SendManaged;
  onClose: () => void;
}) {
  const [name, setName] = useState(person?.name ?? '');
  const [role, setRole] = useState<Role>(person?.role ?? 'technician');
  const [bench, setBench] = useState<'yes' | 'no'>((person?.atBench ?? true) ? 'yes' : 'no');
  const [secret, setSecret] = useState('');
  const [fault, setFault] = useState<Fault | null>(null);
  const [busy, setBusy] = useState(false);
  const { ask, asking } = useAsk();
  const leave = async ({ id, name: theirs }: Person) => {
    const said = await ask({
      title: w.leavesAsk(theirs),
      text: w.leavesText,
      answers: [{ id: 'left', name: w.leavesDo }],
    });
    if (said !== 'left') return;
    const answer = await send(`/api/v1/people/${id}`, { left: true }, 'PATCH');
    if ('fault' in answer) setFault(answer.fault);
    else onClose();
  };
  const of = (pointer: string) => (fault?.pointer === pointer ? fault.message : '');
  const submit = async () => {
    if (name.trim() === '') return setFault({ pointer: '/name', message: w.nameMissing });
    const wrong = secret === '' ? null : secretFault(secret);
    if (wrong) return setFault({ pointer: '/secret', message: wrong });
    setBusy(true);
    const body = {
      name: name.trim(),
      role,
      atBench: bench === 'yes',
      ...(secret === '' ? {} : { secret }),
    };
    const answer = person
      ? await send(`/api/v1/people/${person.id}`, body, 'PATCH')
      : await send('/api/v1/people', body);
    setBusy(false);
    if ('fault' in answer) setFault(answer.fault);
    else onClose();
  };
  return (
    <Panel title={person ? w.changeTitle(person.name) : w.addTitle} typing onClose={onClose}>
      <Stack
        spacing={2}
        component="form"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          void submit();
        }}
      >
        <TextField
          id="person-name"
          label={w.name}
          value={name}
          autoFocus
          autoComplete="off"
          error={of('/name') !== ''}
          helperText={of('/name') || ' '}
          slotProps={{ htmlInput: { maxLength: 60 } }}
          onChange={(event) => {
            setFault(null);
            setName(event.target.value);
          }}
        />
        <Choice label={w.role} value={role} options={ROLES} onChange={setRole} />
        <Choice label={w.bench} value={bench} options={w.benches} onChange={setBench} />
        <TextField
          id="person-secret"
          type="password"
          label={w.pin}
          value={secret}
          autoComplete="new-password"
          error={of('/secret') !== ''}
          helperText={of('/secret') || (person?.canSignIn ? w.pinChangeHint : w.pinHint)}
          slotProps={{ htmlInput: { maxLength: 100 } }}
          onChange={(event) => {
            setFault(null);
            setSecret(event.target.value);
          }}
        />
        {fault && !['/name', '/secret'].includes(fault.pointer) && (
          <Text role="alert" wrong>
            {fault.message}
          </Text>
        )}
        <Actions>
          <Button type="submit" variant="contained" disabled={busy}>
            {w.save}
          </Button>
          <Button variant="text" onClick={onClose}>
            {frame.cancel}
          </Button>
          {person && (
            <Button variant="text" onClick={() => void leave(person)}>
              {w.leaves}
            </Button>
          )}
        </Actions>
        {asking}
      </Stack>
    </Panel>
  );
}
