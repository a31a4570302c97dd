'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import { clockOfMinute, dayOfMinute, minuteOf, type CalendarView } from '@/core/job';
import { stationName } from '@/core/bench';
import type { PlacedVisit } from '@/core/calendar';
import { TextField } from '../fields/TextField';
import { useKept } from '../keep/useKept';
import { Panel } from '../frame/Panel';
import { calendarWords as w } from '../words';
import { Actions } from '../pieces/layout';

const pad = (n: number) => String(n).padStart(2, '0');

/** A visit put at a time by typing it: what dragging does, for keys and for other days. */
export function MovePanel({
  visit,
  view,
  onPut,
  onClose,
}: {
  visit: PlacedVisit;
  view: CalendarView;
  /** Null lets it go; null comes back when it was done, else why not. */
  onPut: (minute: number | null) => Promise<string | null>;
  onClose: () => void;
}) {
  const clock = clockOfMinute(visit.from);
  const {
    value: text,
    set: setText,
    settled,
  } = useKept(
    `move.${visit.jobId}.${visit.from}`,
    () =>
      `${dayOfMinute(view.firstDay, visit.from)}T${pad(Math.floor(clock / 60))}:${pad(clock % 60)}`,
  );
  const [trouble, setTrouble] = useState('');
  const done = async (minute: number | null) => {
    const wrong = await onPut(minute);
    if (wrong) return setTrouble(wrong);
    settled();
    onClose();
  };
  const match = /^(\d{4}-\d\d-\d\d)T(\d\d):(\d\d)/.exec(text);
  return (
    <Panel
      typing
      title={w.moveTitle(`${visit.name}, ${stationName(visit.station).toLowerCase()}`)}
      onClose={onClose}
    >
      <Stack
        spacing={2}
        component="form"
        onSubmit={(event) => {
          event.preventDefault();
          if (!match) return;
          const minutes = Number(match[2]) * 60 + Number(match[3]);
          void done(minuteOf(view.firstDay, { day: match[1]!, minutes }));
        }}
      >
        <TextField
          id="move-to"
          type="datetime-local"
          label={w.moveTo}
          value={text}
          error={trouble !== ''}
          helperText={trouble}
          slotProps={{ htmlInput: { step: 300 } }}
          onChange={(event) => {
            setText(event.target.value);
            setTrouble('');
          }}
        />
        <Actions>
          <Button type="submit" variant="contained" disabled={!match}>
            {w.put}
          </Button>
          {visit.pinned && (
            <Button variant="outlined" onClick={() => void done(null)}>
              {w.letGo}
            </Button>
          )}
        </Actions>
      </Stack>
    </Panel>
  );
}
