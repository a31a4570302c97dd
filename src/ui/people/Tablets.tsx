'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import type { Tablet } from '@/core/people';
import { whenText } from '../fields/dates';
import { post } from '../keep/post';
import { Actions, Block, Rows } from '../pieces/layout';
import { Text } from '../pieces/Text';
import { Note, Tag } from '../pieces/texts';
import { peopleWords as w } from '../words';
import { PairDialog, type Pairing } from './PairDialog';
import { useDismiss, type SendManaged } from './usePeople';
import css from './people.module.css';

/** Browsers the shop knows; another one is paired, a lost one sent away. */
export function Tablets({
  tablets,
  here,
  send,
  address,
  today,
  timeZone,
}: {
  tablets: readonly Tablet[];
  here: string | null;
  send: SendManaged;
  address: string | null;
  today: string;
  timeZone: string;
}) {
  const [pairing, setPairing] = useState<Pairing | null>(null);
  const { dismiss, asking, trouble, setTrouble } = useDismiss(send);
  const when = (at: string) => whenText(at, timeZone, today);
  const pair = async () => {
    const answer = await post<Pairing>('/api/v1/tablets', {});
    setTrouble(answer.ok ? '' : answer.message);
    if (answer.ok) setPairing(answer.body);
  };
  const sendAway = ({ id, name }: Tablet) =>
    dismiss(`/api/v1/tablets/${id}`, w.sendAwayAsk(name), w.sendAwayText, w.sendAwayDo);
  return (
    <Block data-part="tablets">
      <h2>{w.tablets}</h2>
      <Rows className={css.rows}>
        {tablets.length === 0 && (
          <Text soft as="li">
            {w.noTablets}
          </Text>
        )}
        {tablets.map((tablet) => {
          const { id, name, pairedBy, pairedAt, seenAt, sentAwayAt } = tablet;
          return (
            <li key={id} data-left={sentAwayAt !== null}>
              <span>
                <b>{name}</b> {id === here && <Tag>{w.here}</Tag>}
              </span>
              <Text variant="small" soft>
                {sentAwayAt ? `${w.away}, ${when(sentAwayAt)}` : w.seen(when(seenAt))}
              </Text>
              <Text variant="small" soft>
                {w.paired(pairedBy, when(pairedAt))}
              </Text>
              <span className={css.acts}>
                {!sentAwayAt && (
                  <Button variant="text" onClick={() => void sendAway(tablet)}>
                    {w.sendAway}
                  </Button>
                )}
              </span>
            </li>
          );
        })}
      </Rows>
      {trouble && (
        <Note kind="stop" role="alert">
          {trouble}
        </Note>
      )}
      <Actions>
        <Button variant="outlined" onClick={() => void pair()}>
          {w.pair}
        </Button>
      </Actions>
      {pairing && (
        <PairDialog
          pairing={pairing}
          address={address}
          timeZone={timeZone}
          onClose={() => setPairing(null)}
        />
      )}
      {asking}
    </Block>
  );
}
