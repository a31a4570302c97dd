'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import { VISIT_KINDS, type VisitKind } from '@/core/job';
import { Choice } from '../../fields/Choice';
import { dayText } from '../../fields/dates';
import { TextField } from '../../fields/TextField';
import { useJob } from '../../job/JobProvider';
import { useKept } from '../../keep/useKept';
import { Actions, Block } from '../../pieces/layout';
import { FieldError } from '../../pieces/texts';
import { Text } from '../../pieces/Text';
import { visit as w } from '../../words';
import { Shots } from './Shots';

/** A bow that left is back: why, in a tap and a word. */
export function OpenVisit() {
  const { snapshot, send, sending } = useJob();
  const { job, sheets, today } = snapshot;
  const [kind, setKind] = useState<VisitKind>(sheets.length > 1 ? 'check' : 'settled');
  const kept = useKept(`${job.id}.visit.words`, () => '');
  const [trouble, setTrouble] = useState('');
  if (job.deliveredAt === null) return null;
  const open = async () => {
    const refused = await send({ name: 'openVisit', kind, words: kept.value });
    setTrouble(refused?.message ?? '');
    if (!refused) kept.forget();
  };
  return (
    <Block>
      <h3>{w.title}</h3>
      {job.comeBackDay && (
        <Text soft>
          {w.asked(dayText(job.comeBackDay, today))}{' '}
          <a href={`/api/v1/jobs/${job.id}/come-back`}>{w.ics}</a>
        </Text>
      )}
      <Shots />
      <Choice label={w.why} value={kind} options={VISIT_KINDS} onChange={setKind} />
      <TextField
        id="visit-words"
        label={w.words}
        autoComplete="off"
        value={kept.value}
        slotProps={{ htmlInput: { maxLength: 300 } }}
        onChange={({ target }) => kept.set(() => target.value)}
      />
      <Actions>
        <Button variant="contained" disabled={sending} onClick={() => void open()}>
          {w.open}
        </Button>
      </Actions>
      <FieldError role={trouble ? 'alert' : undefined}>{trouble}</FieldError>
    </Block>
  );
}
