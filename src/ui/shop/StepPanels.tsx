'use client';
import { useKept } from '../keep/useKept';
import Autocomplete from '@mui/material/Autocomplete';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { SLOTS, type Slot } from '@/core/kit';
import { REGISTRY, type SetupKey } from '@/core/setup';
import {
  STATIONS,
  STEP_TEMPLATES,
  type OwnStep,
  type ShopSteps,
  type Station,
  type StepEdit,
  type StepTemplate,
} from '@/core/bench';
import { Choice } from '../fields/Choice';
import { Panel } from '../frame/Panel';
import { stepWords as w } from '../words';

interface Named {
  readonly id: string;
  readonly name: string;
}

/** Several of a long list, found by typing. */
function Several({
  id,
  label,
  options,
  value,
  onChange,
}: {
  id: string;
  label: string;
  options: readonly Named[];
  value: readonly string[];
  onChange: (ids: string[]) => void;
}) {
  return (
    <Autocomplete
      multiple
      id={id}
      options={[...options]}
      getOptionLabel={({ name }) => name}
      isOptionEqualToValue={(a, b) => a.id === b.id}
      value={value.map(
        (one) => options.find((other) => other.id === one) ?? { id: one, name: one },
      )}
      onChange={(_, next) => onChange(next.map((one) => one.id))}
      renderInput={(params) => <TextField {...params} label={label} />}
    />
  );
}

const stepsOf = ({ own }: ShopSteps, but: string): Named[] => [
  ...STEP_TEMPLATES.map(({ id, title }) => ({ id, name: title })).filter(({ id }) => id !== but),
  ...own.map(({ id, title }) => ({ id, name: title })).filter(({ id }) => id !== but),
];

function StationField({
  value,
  onChange,
}: {
  value: Station;
  onChange: (station: Station) => void;
}) {
  return (
    <TextField
      select
      id="step-station"
      label={w.station}
      value={value}
      onChange={({ target }) => onChange(target.value as Station)}
    >
      {STATIONS.map(({ id, name }) => (
        <MenuItem key={id} value={id}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
}

const minutesIn = (text: string) => (/^\d+$/.test(text.trim()) ? Number(text) : Number.NaN);

/** A shipped step as this shop does it; an empty field stays as shipped. */
export function ShippedStepPanel({
  template,
  edit,
  steps,
  onTake,
  onClose,
}: {
  template: StepTemplate;
  edit: StepEdit;
  steps: ShopSteps;
  onTake: (edit: StepEdit) => void;
  onClose: () => void;
}) {
  const kept = useKept(`step.${template.id}`, () => ({
    title: edit.title ?? '',
    say: edit.say ?? '',
    tool: edit.tool ?? '',
    minutes: edit.minutes === undefined ? '' : String(edit.minutes),
    station: edit.station ?? template.station,
    needs: edit.needs ?? [],
    off: edit.off === true,
  }));
  const { title, say, tool, minutes, station, needs, off } = kept.value;
  const put = (part: Partial<typeof kept.value>) => kept.set((now) => ({ ...now, ...part }));
  const setTitle = (next: string) => put({ title: next });
  const setSay = (next: string) => put({ say: next });
  const setTool = (next: string) => put({ tool: next });
  const setMinutes = (next: string) => put({ minutes: next });
  const take = () => {
    kept.settled();
    onTake({
      id: template.id,
      ...(off ? { off: true } : {}),
      ...(title.trim() ? { title: title.trim() } : {}),
      ...(say.trim() ? { say: say.trim() } : {}),
      ...(tool.trim() ? { tool: tool.trim() } : {}),
      ...(minutes.trim() ? { minutes: minutesIn(minutes) } : {}),
      ...(station === template.station ? {} : { station }),
      ...(needs.length > 0 ? { needs } : {}),
    });
  };
  const text = (
    id: string,
    label: string,
    value: string,
    set: (text: string) => void,
    most: number,
    shipped: string,
  ) => (
    <TextField
      id={id}
      label={label}
      value={value}
      placeholder={shipped}
      multiline={most > 200}
      slotProps={{ htmlInput: { maxLength: most }, inputLabel: { shrink: true } }}
      onChange={({ target }) => set(target.value)}
    />
  );
  return (
    <Panel wide typing title={template.title} onClose={onClose}>
      <form
        className="stack"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          take();
        }}
      >
        {text('step-title', w.stepTitle, title, setTitle, 80, template.title)}
        {text('step-say', w.say, say, setSay, 600, '')}
        {text('step-tool', w.tool, tool, setTool, 80, template.tool)}
        {text('step-minutes', w.minutes, minutes, setMinutes, 4, String(template.minutes))}
        <StationField value={station} onChange={(next) => put({ station: next })} />
        <Several
          id="step-needs"
          label={w.needs}
          options={stepsOf(steps, template.id)}
          value={needs}
          onChange={(next) => put({ needs: next })}
        />
        <Choice
          label={w.leave}
          value={off ? 'yes' : 'no'}
          options={[
            { id: 'no', name: 'no' },
            { id: 'yes', name: 'yes' },
          ]}
          onChange={(value) => put({ off: value === 'yes' })}
        />
        <div className="actions">
          <Button type="submit" variant="contained">
            {w.take}
          </Button>
          <Button variant="outlined" onClick={() => onTake({ id: template.id })}>
            {w.asShipped}
          </Button>
        </div>
      </form>
    </Panel>
  );
}

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
      <form
        className="stack"
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
          <MenuItem value="">{w.always}</MenuItem>
          {SLOTS.map(({ id, name }) => (
            <MenuItem key={id} value={id}>
              {name}
            </MenuItem>
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
        <div className="actions">
          <Button type="submit" variant="contained">
            {w.take}
          </Button>
          {step && (
            <Button variant="outlined" onClick={() => onTake(null)}>
              {w.remove}
            </Button>
          )}
        </div>
      </form>
    </Panel>
  );
}
