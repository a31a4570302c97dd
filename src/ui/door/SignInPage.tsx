'use client';
import { useEffect, useState } from 'react';
import type { Door } from '@/core/people';
import { Text } from '../pieces/Text';
import { Note } from '../pieces/texts';
import { doorWords as w, frame } from '../words';
import { forgetPages } from '../keep/forget-pages';
import { DoorPanel } from './DoorPanel';
import { OwnerForm } from './OwnerForm';
import { PairForm } from './PairForm';
import css from './door.module.css';

/** The door of the shop: naming the first owner, making a tablet known, signing in. */
export function SignInPage({ door: initial, to }: { door: Door; to: string }) {
  const [door, setDoor] = useState(initial);
  useEffect(() => {
    document.documentElement.dataset.ready = 'yes';
    // A tablet that is not known, or no longer, keeps nothing of the shop.
    if (initial.tablet === null) forgetPages();
  }, [initial.tablet]);
  const signed = (next: Door) => {
    setDoor(next);
    if (next.signedIn) window.location.assign(to);
  };
  const demo = door.people.some(({ pin }) => pin !== undefined);
  return (
    <main className={css.door} data-part="door">
      <p className={css.shop}>{door.shop || frame.brand}</p>
      {!door.opened ? (
        door.atMachine ? (
          <>
            <h1>{w.owner}</h1>
            <p>{w.ownerSays}</p>
            <OwnerForm
              door={door}
              onSigned={(next) => next.signedIn && window.location.assign('/shop/first')}
            />
          </>
        ) : (
          <>
            <h1>{w.notOpened}</h1>
            <p>{w.notOpenedSays}</p>
          </>
        )
      ) : door.tablet === null && !demo ? (
        <>
          <h1>{w.pairTitle}</h1>
          <p>{w.pairSays}</p>
          <PairForm onPaired={signed} />
          {door.people.length > 0 && (
            <>
              <p className={css.or}>{w.orOwner}</p>
              <DoorPanel door={door} onSigned={signed} />
            </>
          )}
        </>
      ) : (
        <>
          <h1>{w.title}</h1>
          {demo && <Note kind="good">{w.demo}</Note>}
          <DoorPanel door={door} onSigned={signed} />
          {door.tablet && (
            <Text soft className={css.tablet}>
              {door.tablet}
            </Text>
          )}
        </>
      )}
    </main>
  );
}
