'use client';
import { useState } from 'react';
import Box from '@mui/material/Box';
import Stack from '@mui/material/Stack';
import { dayOf, plainDay, timeText } from '../fields/dates';
import { useAsk } from '../frame/useAsk';
import { useShell } from '../frame/useShell';
import { askShop } from '../keep/ask-shop';
import { forgetPages } from '../keep/forget-pages';
import { post } from '../keep/post';
import { BackupRows, type Backup } from '../pieces/BackupRows';
import { Text } from '../pieces/Text';
import { Note } from '../pieces/texts';
import { backupWords as w } from '../words';

interface Look {
  readonly holds: { readonly jobs: number; readonly readings: number; readonly sheets: number };
  readonly since: { readonly entries: number; readonly jobs: number };
}

const addressOf = ({ name }: Backup) => `/api/v1/backups/${encodeURIComponent(name)}`;

async function lookInto(backup: Backup): Promise<Look | string> {
  const response = await askShop(addressOf(backup)).catch(() => null);
  if (!response) return w.notAnswered;
  const answer = (await response.json().catch(() => ({}))) as Look & { readonly detail?: string };
  return response.ok ? answer : (answer.detail ?? w.notAnswered);
}

/** Backups to put in the place of the running shop: looked into and asked about before. */
export function PutBack({ backups }: { backups: readonly Backup[] }) {
  const { shop } = useShell();
  const { ask, asking } = useAsk();
  const [busy, setBusy] = useState<{ readonly name: string; readonly says: string } | null>(null);
  const [trouble, setTrouble] = useState('');
  const whenOf = ({ at }: Backup) =>
    `${plainDay(dayOf(at, shop.timeZone), true)} ${timeText(at, shop.timeZone)}`;
  const put = async (backup: Backup) => {
    const { name } = backup;
    setTrouble('');
    setBusy({ name, says: w.looking });
    const look = await lookInto(backup);
    setBusy(null);
    if (typeof look === 'string') return setTrouble(look);
    const { holds, since } = look;
    const answer = await ask({
      title: w.putBackOf(whenOf(backup)),
      text: (
        <Stack spacing={1.5}>
          <p>{w.holds(holds.jobs, holds.readings, holds.sheets)}</p>
          <p>{w.goes(since.entries, since.jobs)}</p>
          <p>{w.putBackHow}</p>
        </Stack>
      ),
      answers: [
        { id: 'leave', name: w.leave },
        { id: 'put', name: w.putBackNow },
      ],
    });
    if (answer !== 'put') return;
    setBusy({ name, says: w.puttingBack });
    const done = await post(addressOf(backup), { entriesSince: since.entries });
    if (done.ok) {
      // Every page shows what stands there now.
      forgetPages();
      return window.location.assign('/');
    }
    setBusy(null);
    setTrouble(done.message);
  };
  return (
    <Box data-part="put-back" sx={{ mt: 4 }}>
      <h3>{w.putBackTitle}</h3>
      <Text variant="small" soft as="p">
        {w.putBackHow}
      </Text>
      <BackupRows
        backups={backups}
        whenOf={whenOf}
        put={(backup) => ({
          says: busy?.name === backup.name ? busy.says : w.putBack,
          label: w.putBackOf(whenOf(backup)),
        })}
        busy={busy !== null}
        onPut={(backup) => void put(backup)}
      />
      {trouble && (
        <Note kind="stop" role="alert">
          {trouble}
        </Note>
      )}
      {asking}
    </Box>
  );
}
