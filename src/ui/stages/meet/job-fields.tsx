'use client';
import Link from 'next/link';
import Stack from '@mui/material/Stack';
import { PURPOSES } from '@/core/job';
import { read, readMoney, write, writeMoney, type ReadOptions } from '@/core/units';
import { Choice } from '../../fields/Choice';
import { dayText } from '../../fields/dates';
import { TextAnswer } from '../../fields/TextAnswer';
import { useJob } from '../../job/JobProvider';
import { useStage } from '../../job/useStage';
import { meet as w } from '../../words';
import { localInput, localToInstant } from './appointment';
import { useAnswer } from './answer';
import { ArcherField } from './ArcherField';

export function Purpose() {
  const { job } = useJob().snapshot;
  const set = useAnswer().job;
  return (
    <Choice
      wide
      label={w.purpose}
      value={job.purpose}
      options={PURPOSES}
      onChange={(purpose) => void set({ purpose })}
    />
  );
}

/** A number of the job that may be left empty. */
function JobNumber({
  id,
  label,
  field,
  options,
  placeholder,
  hint,
}: {
  id: string;
  label: string;
  field: 'furthestM' | 'legalMinimumN';
  options: ReadOptions;
  placeholder: string;
  hint?: string;
}) {
  const { job } = useJob().snapshot;
  const set = useAnswer().job;
  const value = job[field];
  return (
    <TextAnswer
      id={id}
      label={label}
      placeholder={placeholder}
      {...(hint ? { hint } : {})}
      value={value === null ? '' : write(value, options.quantity, options.shop, { decimals: 0 })}
      maxLength={20}
      check={(text) => {
        const result = read(text, options);
        return text.trim() === '' || result.ok ? null : result.message;
      }}
      onSave={(text) => {
        const result = read(text, options);
        return set({ [field]: result.ok ? result.si : null });
      }}
    />
  );
}

export function Distance() {
  const shop = useJob().snapshot.shop.units;
  return (
    <JobNumber
      id="furthest"
      label={w.furthest}
      field="furthestM"
      placeholder={write(40, 'distance', shop, { decimals: 0 })}
      options={{ quantity: 'distance', shop, min: 5, max: 150, what: 'furthest distance' }}
    />
  );
}

export function Light() {
  const { job } = useJob().snapshot;
  const set = useAnswer().job;
  return (
    <>
      <Choice
        label={w.light}
        value={job.lowLight ? 'yes' : 'no'}
        options={w.lights}
        onChange={(value) => void set({ lowLight: value === 'yes' })}
      />
      <ArcherField field="eyesight" />
    </>
  );
}

export function Rules() {
  const { job, shop } = useJob().snapshot;
  const set = useAnswer().job;
  return (
    <>
      <Choice
        wide
        label={w.electronics}
        value={job.electronicsForbidden ? 'yes' : 'no'}
        options={w.electronicsOptions}
        onChange={(value) => void set({ electronicsForbidden: value === 'yes' })}
      />
      {(job.purpose === 'hunting' || job.legalMinimumN !== null) && (
        <>
          <JobNumber
            id="legal"
            label={w.legal}
            field="legalMinimumN"
            hint={w.legalHint}
            placeholder=""
            options={{
              quantity: 'force',
              shop: shop.units,
              min: 20,
              max: 600,
              what: 'least weight',
            }}
          />
          <TextAnswer
            id="legal-place"
            label={w.legalPlace}
            value={job.legalPlace}
            maxLength={120}
            onSave={(legalPlace) => set({ legalPlace })}
          />
        </>
      )}
    </>
  );
}

/** A longer text of the job. */
export function JobText({
  id,
  field,
  most,
}: {
  id: string;
  field: 'alreadyOwn' | 'notes';
  most: number;
}) {
  const { job } = useJob().snapshot;
  const set = useAnswer().job;
  return (
    <Stack data-wide="" spacing={2}>
      <TextAnswer
        id={id}
        label={field === 'notes' ? w.notes : w.own}
        value={job[field]}
        maxLength={most}
        multiline
        onSave={(text) => set({ [field]: text })}
      />
    </Stack>
  );
}

export function Own() {
  const { href } = useStage();
  return (
    <>
      <JobText id="own" field="alreadyOwn" most={500} />
      <Link data-wide="" href={href('fit', { part: 'old' })} prefetch={false}>
        {w.measureOld}
      </Link>
    </>
  );
}

export function Money() {
  const { job } = useJob().snapshot;
  const set = useAnswer().job;
  return (
    <TextAnswer
      id="budget"
      label={w.budget}
      placeholder="€ 900"
      value={job.budgetCents === null ? '' : writeMoney(job.budgetCents)}
      maxLength={20}
      check={(text) => {
        const result = readMoney(text, { what: 'budget' });
        return text.trim() === '' || result.ok ? null : result.message;
      }}
      onSave={(text) => {
        const result = readMoney(text, { what: 'budget' });
        return set({ budgetCents: result.ok ? result.cents : null });
      }}
    />
  );
}

/** Another century is a slip of the finger. */
const century = (text: string) => (text === '' || text.startsWith('20') ? null : w.dateWrong);

export function Dates() {
  const { job, shop, today } = useJob().snapshot;
  const set = useAnswer().job;
  return (
    <>
      <TextAnswer
        id="promised"
        label={w.promised}
        type="date"
        value={job.promisedDay ?? ''}
        hint={job.promisedDay ? dayText(job.promisedDay, today) : ' '}
        check={century}
        onSave={(text) => set({ promisedDay: text || null })}
      />
      <TextAnswer
        id="appointment"
        label={w.appointment}
        type="datetime-local"
        value={job.appointmentAt ? localInput(job.appointmentAt, shop.timeZone) : ''}
        check={century}
        onSave={(text) => set({ appointmentAt: text ? localToInstant(text, shop.timeZone) : null })}
      />
    </>
  );
}
