'use client';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import { SLOTS, type Slot } from '@/core/kit';
import { REGISTRY, type SetupKey } from '@/core/setup';
import { STEP_TEMPLATES, type OwnStep, type ShopSteps } from '@/core/bench';
import { TextField } from '../fields/TextField';
import { useKept } from '../keep/useKept';
import { Choice } from '../fields/Choice';
import { Panel } from '../frame/Panel';
import { stepWords as w } from '../words';
import { Actions } from '../pieces/layout';
import { type Named, Several, stepsOf, StationField, minutesIn } from './step-fields';

const idOf = (title: string) =>
  title
    .toLowerCase()
    .normalize('NFD')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 40)
    .replace(/-+$/, '');

const BLANK: OwnStep = {
  id: '',
  title: '',
  say: '',
  station: 'vice',
  archer: false,
  tool: '',
  minutes: 5,
  needs: [],
  before: [],
  slot: null,
  dependsOn: [],
};

const VALUES: readonly Named[] = REGISTRY.map(({ key, name }) => ({ id: key, name }));

/** A step of the shop’s own, new or changed. */
export function OwnStepPanel({
  step,
  steps,
  onTake,
  onClose,
}: {
  step: OwnStep | null;
  steps: ShopSteps;
  onTake: (step: OwnStep | null) => void;
  onClose: () => void;
}) {
  const kept = useKept(`own-step.${step?.id ?? 'new'}`, () => {
    const draft = step ?? BLANK;
    return { draft, minutes: String(draft.minutes) };
  });
  const { draft, minutes } = kept.value;
  const set = (part: Partial<OwnStep>) =>
    kept.set((now) => ({ ...now, draft: { ...now.draft, ...part } }));
  const setMinutes = (next: string) => kept.set((now) => ({ ...now, minutes: next }));
  const others = stepsOf(steps, draft.id);
  return (
    <Panel wide typing title={step?.title ?? w.newStep} onClose={onClose}>
      <Stack
        spacing={2}
        component="form"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          // The tick is kept under its first name, so that changing the title loses nothing.
          const id = step?.id ?? idOf(draft.title);
          kept.settled();
          onTake({ ...draft, id, title: draft.title.trim(), minutes: minutesIn(minutes) });
        }}
      >
        <TextField
          id="own-title"
          label={w.stepTitle}
          value={draft.title}
          slotProps={{ htmlInput: { maxLength: 80 } }}
          onChange={({ target }) => set({ title: target.value })}
        />
        <TextField
          id="own-say"
          label={w.say}
          multiline
          value={draft.say}
          slotProps={{ htmlInput: { maxLength: 600 } }}
          onChange={({ target }) => set({ say: target.value })}
        />
        <TextField
          id="own-tool"
          label={w.tool}
          value={draft.tool}
          slotProps={{ htmlInput: { maxLength: 80 } }}
          onChange={({ target }) => set({ tool: target.value })}
        />
        <TextField
          id="own-minutes"
          label={w.minutes}
          value={minutes}
          slotProps={{ htmlInput: { maxLength: 4, inputMode: 'numeric' } }}
          onChange={({ target }) => setMinutes(target.value)}
        />
        <StationField value={draft.station} onChange={(station) => set({ station })} />
        <Choice
          label={w.archer}
          value={draft.archer ? 'yes' : 'no'}
          options={w.archers}
          onChange={(value) => set({ archer: value === 'yes' })}
        />
        <TextField
          select
          id="own-slot"
          label={w.slot}
          value={draft.slot ?? ''}
          onChange={({ target }) => set({ slot: (target.value || null) as Slot | null })}
        >
          <option value="">{w.always}</option>
          {SLOTS.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </TextField>
        <Several
          id="own-needs"
          label={w.needs}
          options={others}
          value={draft.needs}
          onChange={(needs) => set({ needs })}
        />
        <Several
          id="own-before"
          label={w.before}
          options={others.filter(({ id }) => STEP_TEMPLATES.some((other) => other.id === id))}
          value={draft.before}
          onChange={(before) => set({ before })}
        />
        <Several
          id="own-depends"
          label={w.dependsOn}
          options={VALUES}
          value={draft.dependsOn}
          onChange={(keys) => set({ dependsOn: keys as SetupKey[] })}
        />
        <Actions>
          <Button type="submit" variant="contained">
            {w.take}
          </Button>
          {step && (
            <Button variant="outlined" onClick={() => onTake(null)}>
              {w.remove}
            </Button>
          )}
        </Actions>
      </Stack>
    </Panel>
  );
}
