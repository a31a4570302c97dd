'use client';
import Link from 'next/link';
import type { ReactNode } from 'react';
import {
  AGE_GROUPS,
  ageGroupOf,
  ageOn,
  birthDayFault,
  ofAgeGroup,
  PURPOSES,
  type Archer,
  type QuestionId,
} from '@/core/job';
import { BUILDS, EXPERIENCES } from '@/core/fit';
import { read, readMoney, write, writeMoney, type ReadOptions } from '@/core/units';
import { Choice } from '../../fields/Choice';
import { dayText } from '../../fields/dates';
import { TextAnswer } from '../../fields/TextAnswer';
import { useJob } from '../../job/JobProvider';
import { useStage } from '../../job/useStage';
import { meet as w } from '../../words';
import { localInput, localToInstant } from './appointment';
import { useAnswer } from './answer';

type ArcherText =
  'name' | 'phone' | 'email' | 'guardianName' | 'guardianPhone' | 'injury' | 'eyesight';

/** One text of the archer, saved as it is left. */
function ArcherField({
  field,
  check,
  type,
}: {
  field: ArcherText;
  check?: (text: string) => string | null;
  type?: 'tel';
}) {
  const { archer } = useJob().snapshot;
  const set = useAnswer().archer;
  return (
    <TextAnswer
      id={field}
      label={w[field]}
      value={archer[field]}
      maxLength={
        field === 'injury' || field === 'eyesight' ? 300 : field.endsWith('hone') ? 60 : 120
      }
      {...(type ? { type } : {})}
      {...(check ? { check } : {})}
      onSave={(value) => set({ [field]: value })}
    />
  );
}

/** One of a few, of the archer. */
function ArcherChoice<F extends keyof Archer>({
  field,
  label,
  options,
  wide,
}: {
  field: F;
  label: string;
  options: readonly { readonly id: Extract<Archer[F], string>; readonly name: string }[];
  wide?: boolean;
}) {
  const { archer } = useJob().snapshot;
  const set = useAnswer().archer;
  return (
    <Choice
      label={label}
      value={archer[field] as Extract<Archer[F], string>}
      options={options}
      wide={wide ?? false}
      onChange={(value) => void set({ [field]: value })}
    />
  );
}

/** When they were born; where that is not told, about how old. Being of age follows from it. */
function Age() {
  const { archer, today } = useJob().snapshot;
  const set = useAnswer().archer;
  const years = archer.birthDay && ageOn(archer.birthDay, today);
  return (
    <>
      <TextAnswer
        id="birth-day"
        label={w.born}
        type="date"
        value={archer.birthDay ?? ''}
        hint={years === null || years === '' ? w.bornHint : w.years(years, archer.minor)}
        check={(text) => (text === '' ? null : birthDayFault(text, today))}
        onSave={(text) => set({ birthDay: text || null })}
      />
      {archer.birthDay === null && (
        <Choice
          wide
          label={w.aboutAge}
          value={ageGroupOf(archer)}
          options={AGE_GROUPS}
          onChange={(group) => void set(ofAgeGroup(group))}
        />
      )}
    </>
  );
}

function Who() {
  const { archer } = useJob().snapshot;
  return (
    <>
      <ArcherField field="name" check={(value) => (value.trim() === '' ? w.nameMissing : null)} />
      <Age />
      <ArcherField field="phone" type="tel" />
      <ArcherField
        field="email"
        check={(value) =>
          value.trim() !== '' && !/^\S+@\S+$/.test(value.trim()) ? w.emailWrong : null
        }
      />
      {archer.minor && (
        <>
          <ArcherField field="guardianName" />
          <ArcherField field="guardianPhone" type="tel" />
        </>
      )}
    </>
  );
}

function Purpose() {
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

const Experience = () => (
  <>
    <ArcherChoice wide field="experience" label={w.experience} options={EXPERIENCES} />
    <ArcherChoice field="build" label={w.build} options={BUILDS} />
  </>
);

function HandAndEye() {
  const { href } = useStage();
  return (
    <>
      <ArcherChoice field="hand" label={w.hand} options={w.hands} />
      <ArcherChoice field="dominantEye" label={w.eye} options={w.eyes} />
      <Link className="wide" href={href('fit', { part: 'eye' })} prefetch={false}>
        {w.testEye}
      </Link>
    </>
  );
}

function Injury() {
  const { injured } = useJob().snapshot.archer;
  return (
    <>
      <ArcherChoice wide field="injured" label={w.injured} options={w.injuredOptions} />
      {injured !== 'no' && (
        <div className="wide stack">
          <ArcherField field="injury" />
        </div>
      )}
    </>
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

function Distance() {
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

function Light() {
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

function Rules() {
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

const Release = () => (
  <>
    <ArcherChoice wide field="release" label={w.release} options={w.releases} />
    <ArcherChoice wide field="wall" label={w.wall} options={w.walls} />
  </>
);

/** A longer text of the job. */
function JobText({ id, field, most }: { id: string; field: 'alreadyOwn' | 'notes'; most: number }) {
  const { job } = useJob().snapshot;
  const set = useAnswer().job;
  return (
    <div className="wide stack">
      <TextAnswer
        id={id}
        label={field === 'notes' ? w.notes : w.own}
        value={job[field]}
        maxLength={most}
        multiline
        onSave={(text) => set({ [field]: text })}
      />
    </div>
  );
}

function Own() {
  const { href } = useStage();
  return (
    <>
      <JobText id="own" field="alreadyOwn" most={500} />
      <Link className="wide" href={href('fit', { part: 'old' })} prefetch={false}>
        {w.measureOld}
      </Link>
    </>
  );
}

function Money() {
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

function Dates() {
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

/** The fields of every question. */
export const FIELDS: Readonly<Record<QuestionId, () => ReactNode>> = {
  who: Who,
  purpose: Purpose,
  experience: Experience,
  injury: Injury,
  hand: HandAndEye,
  distance: Distance,
  light: Light,
  rules: Rules,
  release: Release,
  own: Own,
  money: Money,
  dates: Dates,
  notes: () => <JobText id="notes" field="notes" most={1000} />,
};
