'use client';
import type { ReactNode } from 'react';
import Link from 'next/link';
import Stack from '@mui/material/Stack';
import {
  AGE_GROUPS,
  ageGroupOf,
  ageOn,
  birthDayFault,
  ofAgeGroup,
  type Archer,
  type QuestionId,
} from '@/core/job';
import { BUILDS, EXPERIENCES } from '@/core/fit';
import { Choice } from '../../fields/Choice';
import { TextAnswer } from '../../fields/TextAnswer';
import { useJob } from '../../job/JobProvider';
import { useStage } from '../../job/useStage';
import { meet as w } from '../../words';
import { useAnswer } from './answer';
import { Purpose, Distance, Light, Rules, JobText, Own, Money, Dates } from './job-fields';
import { ArcherField } from './ArcherField';

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
      <Link data-wide="" href={href('fit', { part: 'eye' })} prefetch={false}>
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
        <Stack data-wide="" spacing={2}>
          <ArcherField field="injury" />
        </Stack>
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
