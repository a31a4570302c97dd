'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Stack from '@mui/material/Stack';
import { RIGHTS, type Right } from '@/core/people';
import { TextField } from '../fields/TextField';
import { Panel } from '../frame/Panel';
import { Actions } from '../pieces/layout';
import { Text } from '../pieces/Text';
import { frame, peopleWords as w } from '../words';
import type { Fault, Managed, SendManaged } from './usePeople';
import css from './people.module.css';

/** What a program is called and may; then its token, shown this once. */
export function ProgramForm({ send, onClose }: { send: SendManaged; onClose: () => void }) {
  const [name, setName] = useState('');
  const [rights, setRights] = useState<readonly Right[]>(['look']);
  const [fault, setFault] = useState<Fault | null>(null);
  const [token, setToken] = useState<string | null>(null);
  const [copied, setCopied] = useState(false);
  const submit = async () => {
    if (name.trim() === '') return setFault({ pointer: '/name', message: w.nameMissing });
    if (rights.length === 0) return setFault({ pointer: '', message: w.programMayMissing });
    const answer = await send<Managed & { token: string }>('/api/v1/programs', {
      name: name.trim(),
      rights,
    });
    if ('fault' in answer) return setFault(answer.fault);
    setToken(answer.saved.token);
  };
  if (token !== null)
    return (
      <Panel title={name} typing onClose={onClose}>
        <p>{w.programToken}</p>
        <output className={css.token}>{token}</output>
        <Actions>
          <Button
            variant="outlined"
            onClick={() => void navigator.clipboard?.writeText(token).then(() => setCopied(true))}
          >
            {copied ? w.copied : w.copy}
          </Button>
          <Button variant="contained" onClick={onClose}>
            {w.pairDone}
          </Button>
        </Actions>
      </Panel>
    );
  return (
    <Panel title={w.addProgram} typing onClose={onClose}>
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
          id="program-name"
          label={w.programName}
          value={name}
          autoFocus
          autoComplete="off"
          error={fault?.pointer === '/name'}
          helperText={fault?.pointer === '/name' ? fault.message : ' '}
          slotProps={{ htmlInput: { maxLength: 60 } }}
          onChange={(event) => {
            setFault(null);
            setName(event.target.value);
          }}
        />
        <fieldset className={css.rights}>
          <legend>{w.programMay}</legend>
          {RIGHTS.map(({ id, name: says }) => (
            <FormControlLabel
              key={id}
              label={says}
              control={
                <Checkbox
                  checked={rights.includes(id)}
                  onChange={(_, checked) => {
                    setFault(null);
                    setRights(
                      RIGHTS.map((right) => right.id).filter((right) =>
                        right === id ? checked : rights.includes(right),
                      ),
                    );
                  }}
                />
              }
            />
          ))}
        </fieldset>
        {fault && fault.pointer !== '/name' && (
          <Text role="alert" wrong>
            {fault.message}
          </Text>
        )}
        <Actions>
          <Button type="submit" variant="contained">
            {w.programMake}
          </Button>
          <Button variant="text" onClick={onClose}>
            {frame.cancel}
          </Button>
        </Actions>
      </Stack>
    </Panel>
  );
}
