'use client';
import { useEffect, useState } from 'react';
import Button from '@mui/material/Button';
import { Text } from '../pieces/Text';
import { Actions, Block } from '../pieces/layout';
import { Note } from '../pieces/texts';
import { useShell } from '../frame/useShell';
import { post } from '../keep/post';
import { backupWords as w } from '../words';
import { askShop } from '../keep/ask-shop';
import type { Backup } from '../pieces/BackupRows';
import { PutBack } from './PutBack';

interface State {
  readonly folder: string | null;
  readonly newest: { readonly name: string; readonly bytes: number } | null;
  readonly count: number;
  readonly ageDays: number | null;
  readonly backups: readonly Backup[];
}

/** How old the newest backup is, where it lies, and one more by hand. */
export function BackupSettings() {
  const { may } = useShell();
  const [state, setState] = useState<State | null>(null);
  const [making, setMaking] = useState(false);
  const [trouble, setTrouble] = useState('');
  useEffect(() => {
    askShop('/api/v1/backups')
      .then((response) => (response.ok ? (response.json() as Promise<State>) : null))
      .then(setState)
      .catch(() => undefined);
  }, []);
  const make = async () => {
    setMaking(true);
    const answer = await post<State>('/api/v1/backups', {});
    setMaking(false);
    setTrouble(answer.ok ? '' : answer.message);
    if (answer.ok) setState(answer.body);
  };
  if (!state) return null;
  const { folder, newest, count, ageDays, backups } = state;
  return (
    <Block data-part="backup">
      <h2>{w.title}</h2>
      {folder === null ? (
        <Text soft as="p">
          {w.off}
        </Text>
      ) : (
        <>
          <p role="status">
            {newest ? w.newest(ageDays ?? 0, newest.bytes, count) : w.none}{' '}
            <Text soft as="span">
              {w.folder(folder)}
            </Text>
          </p>
          <Text variant="small" soft as="p">
            {w.how}
          </Text>
          {trouble && (
            <Note kind="stop" role="alert">
              {trouble}
            </Note>
          )}
          <Actions>
            <Button type="button" variant="outlined" disabled={making} onClick={() => void make()}>
              {making ? w.making : w.make}
            </Button>
          </Actions>
          {may('restore') && backups.length > 0 && <PutBack backups={backups} />}
        </>
      )}
      {may('export') && (
        <>
          <Text variant="small" soft as="p">
            {w.wholeHow}
          </Text>
          <Actions>
            <Button variant="outlined" component="a" href="/api/v1/whole" download>
              {w.whole}
            </Button>
          </Actions>
        </>
      )}
    </Block>
  );
}
