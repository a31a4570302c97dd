'use client';
import { useEffect, useState } from 'react';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import type { Door } from '@/core/people';
import { DoorPanel } from '../door/DoorPanel';
import { OwnPin } from '../door/OwnPin';
import { Actions } from '../pieces/layout';
import { Text } from '../pieces/Text';
import { doorWords as w, frame } from '../words';
import { Panel } from './Panel';
import { lockTablet } from './useLock';
import css from './PersonDialog.module.css';

/** Who may sign in here; null until it is known. A tablet that is known no longer goes to the door. */
function useWhoMay(): Door | null {
  const [door, setDoor] = useState<Door | null>(null);
  useEffect(() => {
    fetch('/api/v1/session')
      .then((response) => (response.ok ? (response.json() as Promise<Door>) : null))
      .then((found) => {
        if (found && found.tablet === null) window.location.assign('/sign-in');
        else setDoor(found);
      })
      // Nobody answers: the page says so by itself.
      .catch(() => undefined);
  }, []);
  return door;
}

const stay = () => undefined;

/** Changes who is at the tablet, over the work: what is typed stays. */
export function PersonDialog({ onClose }: { onClose: () => void }) {
  const door = useWhoMay();
  const [own, setOwn] = useState(false);
  const [trouble, setTrouble] = useState('');
  if (own)
    return (
      <Panel title={w.ownPin} typing onClose={onClose}>
        <OwnPin />
      </Panel>
    );
  return (
    <Panel title={w.change} onClose={onClose}>
      {door ? <DoorPanel door={door} onSigned={stay} /> : <Text soft>{w.looking}</Text>}
      {trouble && (
        <Text role="alert" wrong>
          {trouble}
        </Text>
      )}
      <Actions>
        <Button
          variant="outlined"
          onClick={() => void lockTablet().then((done) => setTrouble(done ? '' : w.lockNot))}
        >
          {w.lock}
        </Button>
        <Button variant="text" onClick={() => setOwn(true)}>
          {w.ownPin}
        </Button>
      </Actions>
    </Panel>
  );
}

/** Over everything until somebody signs in: nothing of the work is seen, and nothing of it is lost. */
export function LockedDialog() {
  const door = useWhoMay();
  return (
    <Dialog open fullScreen aria-labelledby="locked-title">
      <div className={css.locked} data-part="locked">
        <p className={css.shop}>{door?.shop || frame.brand}</p>
        <h1 id="locked-title">{w.locked}</h1>
        <p>{w.lockedSays}</p>
        {door ? <DoorPanel door={door} onSigned={stay} /> : <Text soft>{w.looking}</Text>}
      </div>
    </Dialog>
  );
}
