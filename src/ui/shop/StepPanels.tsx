'use client';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import { type ShopSteps, type StepEdit, type StepTemplate } from '@/core/bench';
import { TextField } from '../fields/TextField';
import { useKept } from '../keep/useKept';
import { Choice } from '../fields/Choice';
import { Panel } from '../frame/Panel';
import { stepWords as w } from '../words';
import { Actions } from '../pieces/layout';
import { Several, stepsOf, StationField, minutesIn } from './step-fields';

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
      slotProps={{ htmlInput: { maxLength: most } }}
      onChange={({ target }) => set(target.value)}
    />
  );
  return (
    <Panel wide typing title={template.title} onClose={onClose}>
      <Stack
        spacing={2}
        component="form"
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
        <Actions>
          <Button type="submit" variant="contained">
            {w.take}
          </Button>
          <Button variant="outlined" onClick={() => onTake({ id: template.id })}>
            {w.asShipped}
          </Button>
        </Actions>
      </Stack>
    </Panel>
  );
}
