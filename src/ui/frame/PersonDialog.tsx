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

const ASK_AGAIN_MS = 3000;

/**
 * Who may sign in here; null until it is known, which without a connection is asked again and again. A tablet
 * that is known no longer goes to the door.
 */
function useWhoMay(): { readonly door: Door | null; readonly lost: boolean } {
  const [door, setDoor] = useState<Door | null>(null);
  const [lost, setLost] = useState(false);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout>;
    const ask = async () => {
      const response = await fetch('/api/v1/session').catch(() => null);
      if (!response?.ok) {
        setLost(true);
        timer = setTimeout(() => void ask(), ASK_AGAIN_MS);
        return;
      }
      const found = (await response.json()) as Door;
      setLost(false);
      if (found.tablet === null) window.location.assign('/sign-in');
      else setDoor(found);
    };
    void ask();
    return () => clearTimeout(timer);
  }, []);
  return { door, lost };
}

const stay = () => undefined;

/** Changes who is at the tablet, over the work: what is typed stays. */
export function PersonDialog({ onClose }: { onClose: () => void }) {
  const { door, lost } = useWhoMay();
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
      {door ? (
        <DoorPanel door={door} onSigned={stay} />
      ) : (
        <Text soft>{lost ? w.lost : w.looking}</Text>
      )}
      {trouble && (
        <Text role="alert" wrong>
          {trouble}
        </Text>
      )}
      {/* With what stands above it: otherwise it would move under the finger. */}
      {(door || lost) && (
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
      )}
    </Panel>
  );
}

/** Over everything until somebody signs in: nothing of the work is seen, and nothing of it is lost. */
export function LockedDialog() {
  const { door, lost } = useWhoMay();
  return (
    <Dialog open fullScreen aria-labelledby="locked-title">
      <div className={css.locked} data-part="locked">
        <p className={css.shop}>{door?.shop || frame.brand}</p>
        <h1 id="locked-title">{w.locked}</h1>
        <p>{w.lockedSays}</p>
        {door ? (
          <DoorPanel door={door} onSigned={stay} />
        ) : (
          <Text soft>{lost ? w.lost : w.looking}</Text>
        )}
      </div>
    </Dialog>
  );
}
