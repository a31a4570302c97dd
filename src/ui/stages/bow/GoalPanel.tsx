'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import { TextField } from '../../fields/TextField';
import { Panel } from '../../frame/Panel';
import { useKept } from '../../keep/useKept';
import { useJob } from '../../job/JobProvider';
import { bow as w, frame } from '../../words';
import { Actions } from '../../pieces/layout';

/** The technician overrules the fit, with a reason that goes on the sheet. */
export function GoalPanel({
  goal,
  onClose,
}: {
  goal: 'moduleStep' | 'peakWeight';
  onClose: () => void;
}) {
  const { snapshot, send } = useJob();
  const draft = `${snapshot.job.id}.goal.${goal}`;
  const { value: entered, set: setEntered, settled: entryTaken } = useKept(`${draft}.to`, () => '');
  const { value: reason, set: setReason, settled: reasonTaken } = useKept(`${draft}.why`, () => '');
  const [trouble, setTrouble] = useState<{ message: string; pointer: string } | null>(null);
  const overruled =
    goal === 'moduleStep' ? snapshot.job.moduleStepMm !== null : snapshot.job.peakTargetN !== null;
  const save = async (text: string | null) => {
    const answer = await send({ name: 'setGoal', goal, entered: text, reason });
    if (answer) return setTrouble(answer);
    entryTaken();
    reasonTaken();
    onClose();
  };
  const at = (field: string) => (trouble?.pointer.endsWith(field) ? trouble.message : undefined);
  return (
    <Panel title={goal === 'moduleStep' ? w.overruleStep : w.overruleWeight} onClose={onClose}>
      <Stack
        spacing={2}
        component="form"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          void save(entered);
        }}
      >
        <TextField
          id="goal"
          autoFocus
          label={w.goal}
          autoComplete="off"
          value={entered}
          error={at('entered') !== undefined}
          helperText={at('entered') ?? (trouble && !at('reason') ? trouble.message : ' ')}
          slotProps={{ htmlInput: { maxLength: 40 } }}
          onChange={(event) => setEntered(event.target.value)}
        />
        <TextField
          id="goal-reason"
          label={w.reason}
          autoComplete="off"
          value={reason}
          error={at('reason') !== undefined}
          helperText={at('reason') ?? ' '}
          slotProps={{ htmlInput: { maxLength: 200 } }}
          onChange={(event) => setReason(event.target.value)}
        />
        <Actions>
          <Button type="submit" variant="contained">
            {w.overrule}
          </Button>
          {overruled && (
            <Button variant="outlined" onClick={() => void save(null)}>
              {w.backToFit}
            </Button>
          )}
          <Button variant="text" onClick={onClose}>
            {frame.cancel}
          </Button>
        </Actions>
      </Stack>
    </Panel>
  );
}
