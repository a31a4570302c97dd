'use client';
import { useRef, useState } from 'react';
import { useRouter } from 'next/navigation';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import type { JobSnapshot } from '@/core/job';
import { TextField } from '../fields/TextField';
import { Choice } from '../fields/Choice';
import { newKey } from '../keep/new-key';
import { post } from '../keep/post';
import { useKept } from '../keep/useKept';
import { archerWords, frame, meet } from '../words';
import { Actions } from '../pieces/layout';
import { Panel } from './Panel';
import { takeInArcher } from './take-in-archer';
import { useFind, type Found } from './useFind';
import choiceCss from '../fields/Choice.module.css';
import css from './NewJobDialog.module.css';

/** Opens a job with no more than a name; an archer who was here before is offered. */
export function NewJobDialog({ onClose }: { onClose: () => void }) {
  const router = useRouter();
  const { value: name, set: setName, forget } = useKept('new-job.name', () => '');
  const [hand, setHand] = useState<'right' | 'left'>('right');
  const [minor, setMinor] = useState<'adult' | 'minor'>('adult');
  const [trouble, setTrouble] = useState('');
  const [busy, setBusy] = useState(false);
  const known = archersOf(useFind(name.trim().length >= 3 ? name : ''));
  const wish = useRef({ text: '', key: '' });
  const create = async (body: object) => {
    setBusy(true);
    const asked = { job: {}, ...body };
    const text = JSON.stringify(asked);
    // The same wish once more, its answer having been lost, opens no second job.
    if (wish.current.text !== text) wish.current = { text, key: newKey() };
    const answer = await post<JobSnapshot>('/api/v1/jobs', { ...asked, key: wish.current.key });
    if (answer.ok) {
      forget();
      onClose();
      router.push(`/jobs/${answer.body.job.id}/meet`);
      return;
    }
    setBusy(false);
    setTrouble(answer.message);
  };
  const takeIn = async (file: File | undefined) => {
    if (!file) return;
    setBusy(true);
    const answer = await takeInArcher(file);
    setBusy(false);
    if ('trouble' in answer) return setTrouble(answer.trouble);
    onClose();
    router.push(`/jobs/${answer.jobId}/meet`);
  };
  const submit = () =>
    name.trim() === ''
      ? setTrouble(frame.newNameMissing)
      : void create({ archer: { name: name.trim(), hand, minor: minor === 'minor' } });
  return (
    <Panel title={frame.newTitle} onClose={onClose}>
      <Stack
        spacing={2}
        component="form"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          submit();
        }}
      >
        <TextField
          id="new-name"
          autoFocus
          autoComplete="off"
          label={frame.newName}
          value={name}
          error={trouble !== ''}
          helperText={trouble || ' '}
          slotProps={{ htmlInput: { maxLength: 120 } }}
          onChange={(event) => {
            setName(event.target.value);
            setTrouble('');
          }}
        />
        {known.length > 0 && (
          <div className={css.known} data-part="known">
            <div className={choiceCss.choiceLabel}>{frame.newKnown}</div>
            {known.map(({ archerId, name: full, about }) => (
              <Button
                key={archerId}
                variant="outlined"
                disabled={busy}
                onClick={() => void create({ archerId, archer: {} })}
              >
                {frame.newKnownTake(full, about)}
              </Button>
            ))}
          </div>
        )}
        <Choice label={frame.newHand} value={hand} options={meet.hands} onChange={setHand} />
        <Choice label={frame.newMinor} value={minor} options={meet.ages} onChange={setMinor} />
        <Actions>
          <Button type="submit" variant="contained" disabled={busy}>
            {frame.newOpen}
          </Button>
          <Button variant="text" onClick={onClose}>
            {frame.cancel}
          </Button>
          <Button variant="text" component="label" disabled={busy}>
            {busy ? archerWords.taking : archerWords.take}
            <input
              type="file"
              accept=".zip,application/zip"
              hidden
              onChange={(event) => void takeIn(event.target.files?.[0])}
            />
          </Button>
        </Actions>
      </Stack>
    </Panel>
  );
}

function archersOf(found: readonly Found[] | null): Found[] {
  const byArcher = new Map((found ?? []).map((entry) => [entry.archerId, entry]));
  return [...byArcher.values()].slice(0, 3);
}
