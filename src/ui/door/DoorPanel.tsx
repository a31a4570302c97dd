'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import type { Door } from '@/core/people';
import { Text } from '../pieces/Text';
import { doorWords as w } from '../words';
import { PinEntry } from './PinEntry';
import { useDoor } from './useDoor';
import css from './door.module.css';

/** Somebody is chosen and types their PIN. At the machine itself, not known yet, that makes it known too. */
export function DoorPanel({
  door,
  first = null,
  onSigned,
}: {
  door: Door;
  /** Chosen from the beginning: who was here last. */
  first?: string | null;
  onSigned: (door: Door) => void;
}) {
  const { people, tablet } = door;
  const only = people.length === 1 ? people[0]!.id : null;
  const [chosen, choose] = useState<string | null>(first ?? only);
  const { send, busy, fault, clear } = useDoor(onSigned);
  const person = people.find(({ id }) => id === chosen);
  if (!person)
    return (
      <ul className={css.people} data-part="people">
        {people.map(({ id, name, role, pin }) => (
          <li key={id}>
            <Button variant="outlined" fullWidth onClick={() => choose(id)}>
              <span className={css.name}>{name}</span>
              <Text variant="small" soft>
                {pin ? `${role} · ${w.shown(pin)}` : role}
              </Text>
            </Button>
          </li>
        ))}
      </ul>
    );
  const say = (secret: string) =>
    tablet === null
      ? send('/api/v1/session/pairing', { personId: person.id, secret, name: w.thisMachine })
      : send('/api/v1/session', { personId: person.id, secret });
  return (
    <PinEntry
      key={person.id}
      person={person}
      busy={busy}
      trouble={fault?.message ?? ''}
      onSecret={say}
      onOthers={
        people.length > 1
          ? () => {
              clear();
              choose(null);
            }
          : undefined
      }
    />
  );
}
