'use client';
import { useEffect, useRef, useState } from 'react';
import Button from '@mui/material/Button';
import type { DoorPerson } from '@/core/people';
import { TextField } from '../fields/TextField';
import { Actions } from '../pieces/layout';
import { doorWords as w } from '../words';
import { PinPad } from './PinPad';
import css from './door.module.css';

/** The PIN of one person: by pad, or by keys; letters where it has them. */
export function PinEntry({
  person,
  busy,
  trouble,
  onSecret,
  onOthers,
}: {
  person: DoorPerson;
  busy: boolean;
  trouble: string;
  /** Takes it; true where it was right. */
  onSecret: (secret: string) => Promise<boolean>;
  /** To somebody else; absent where there is nobody. */
  onOthers?: (() => void) | undefined;
}) {
  const [secret, setSecret] = useState('');
  const [letters, setLetters] = useState(false);
  const [missing, setMissing] = useState(false);
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => field.current?.focus(), [person.id, letters]);
  const type = (next: string) => {
    setMissing(false);
    setSecret(next);
    field.current?.focus();
  };
  const submit = async () => {
    if (secret === '') return setMissing(true);
    // A wrong one is typed anew, not mended unseen.
    if (!(await onSecret(secret))) type('');
  };
  return (
    <form
      className={css.entry}
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void submit();
      }}
    >
      <div className={css.secret}>
        <TextField
          id="door-secret"
          type="password"
          label={w.pin(person.name)}
          value={secret}
          error={missing || trouble !== ''}
          helperText={
            (missing ? w.pinMissing : trouble) || (person.pin ? w.shown(person.pin) : ' ')
          }
          autoComplete="off"
          inputRef={field}
          slotProps={{
            htmlInput: { inputMode: letters ? 'text' : 'none', maxLength: 100 },
            formHelperText: { role: trouble ? 'alert' : undefined },
          }}
          onChange={(event) => type(event.target.value)}
        />
        <Actions>
          <Button type="submit" variant="contained" disabled={busy}>
            {busy ? w.looking : w.signIn}
          </Button>
          {onOthers && (
            <Button type="button" variant="text" onClick={onOthers}>
              {w.others}
            </Button>
          )}
          <Button type="button" variant="text" onClick={() => setLetters(!letters)}>
            {letters ? w.digits : w.letters}
          </Button>
        </Actions>
      </div>
      {!letters && (
        <PinPad
          onDigit={(digit) => type(secret + digit)}
          onBack={() => type(secret.slice(0, -1))}
        />
      )}
    </form>
  );
}
