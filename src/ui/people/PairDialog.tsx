'use client';
import { useEffect, useState } from 'react';
import Button from '@mui/material/Button';
import { timeText } from '../fields/dates';
import { Panel } from '../frame/Panel';
import { Actions } from '../pieces/layout';
import { Text } from '../pieces/Text';
import { Note } from '../pieces/texts';
import { peopleWords as w } from '../words';
import css from './people.module.css';

export interface Pairing {
  readonly code: string;
  readonly endsAt: string;
}

/** The address with its code, to be scanned; null until it is drawn. */
function useDrawn(text: string | null): string | null {
  const [drawn, setDrawn] = useState<string | null>(null);
  useEffect(() => {
    if (text === null) return;
    let gone = false;
    void import('qrcode')
      .then(({ toDataURL }) => toDataURL(text, { margin: 2, width: 220 }))
      .then((url) => gone || setDrawn(url))
      // The code can be typed as well.
      .catch(() => undefined);
    return () => {
      gone = true;
    };
  }, [text]);
  return drawn;
}

/** The code of one tablet, large enough to be read across the counter. */
export function PairDialog({
  pairing: { code, endsAt },
  address,
  timeZone,
  onClose,
}: {
  pairing: Pairing;
  address: string | null;
  timeZone: string;
  onClose: () => void;
}) {
  const drawn = useDrawn(address && `${address}/sign-in#code=${code}`);
  return (
    <Panel title={w.pairTitle} onClose={onClose}>
      <p>{w.pairSays}</p>
      {address ? <p>{w.pairOpen(address)}</p> : <Note>{w.pairAlone}</Note>}
      <div className={css.pairing}>
        <output className={css.code} data-part="code">
          {code}
        </output>
        {/* eslint-disable-next-line @next/next/no-img-element -- drawn here, nothing to make smaller */}
        {drawn && <img src={drawn} width={176} height={176} alt="" />}
      </div>
      <Text soft>{w.pairEnds(timeText(endsAt, timeZone))}</Text>
      <Actions>
        <Button variant="contained" onClick={onClose}>
          {w.pairDone}
        </Button>
      </Actions>
    </Panel>
  );
}
