'use client';
import { archerCautions, PURPOSES, type Archer, type Job } from '@/core/job';
import { AGE_BANDS, BUILDS, EXPERIENCES, priorMedianN } from '@/core/fit';
import { read, readMoney, write, writeMoney, type ReadOptions, type ShopUnits } from '@/core/units';
import { Choice } from '../../fields/Choice';
import { dayText } from '../../fields/dates';
import { TextAnswer } from '../../fields/TextAnswer';
import { useJob, type Trouble } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { meet as w } from '../../words';
import { localInput, localToInstant } from './appointment';

type Answer = {
  archer: (answers: Partial<Archer>) => Promise<Trouble | null>;
  job: (answers: Partial<Job>) => Promise<Trouble | null>;
};

/** A conversation: every answer is saved as it is given, every question can wait. */
export function MeetStage() {
  const { snapshot, send } = useJob();
  const answer: Answer = {
    archer: (archer) => send({ name: 'setAnswers', archer: archer as never }),
    job: (job) => send({ name: 'setAnswers', job: job as never }),
  };
  return (
    <>
      <main className="work">
        <div className="head">
          <h2>{w.title}</h2>
          <span className="spread">{w.lead}</span>
        </div>
        <Who {...answer} />
        <Body {...answer} />
        <Use {...answer} />
        <Terms {...answer} />
      </main>
      <Margin
        because={reasons(snapshot.archer, snapshot.job, snapshot.shop.units)}
        watch={archerCautions(snapshot)}
      />
    </>
  );
}

function Who({ archer: set }: Answer) {
  const { archer } = useJob().snapshot;
  const text = (field: 'name' | 'phone' | 'email' | 'guardianName' | 'guardianPhone') => ({
    id: field,
    label: w[field],
    value: archer[field],
    onSave: (value: string) => set({ [field]: value }),
  });
  return (
    <section className="block questions">
      <h3>{w.who}</h3>
      <TextAnswer
        {...text('name')}
        maxLength={120}
        check={(value) => (value.trim() === '' ? w.nameMissing : null)}
      />
      <Choice
        label={w.age}
        value={archer.minor ? 'minor' : 'adult'}
        options={w.ages}
        onChange={(value) => void set({ minor: value === 'minor' })}
      />
      <TextAnswer {...text('phone')} type="tel" maxLength={60} />
      <TextAnswer
        {...text('email')}
        maxLength={120}
        check={(value) =>
          value.trim() !== '' && !/^\S+@\S+$/.test(value.trim()) ? w.emailWrong : null
        }
      />
      {archer.minor && (
        <>
          <TextAnswer {...text('guardianName')} maxLength={120} />
          <TextAnswer {...text('guardianPhone')} type="tel" maxLength={60} />
        </>
      )}
    </section>
  );
}

function Body({ archer: set }: Answer) {
  const { archer } = useJob().snapshot;
  return (
    <section className="block questions">
      <h3>{w.body}</h3>
      <Choice
        label={w.hand}
        value={archer.hand}
        options={w.hands}
        onChange={(hand) => void set({ hand })}
      />
      <Choice
        label={w.eye}
        value={archer.dominantEye}
        options={w.eyes}
        onChange={(dominantEye) => void set({ dominantEye })}
      />
      <Choice
        wide
        label={w.ageBand}
        value={archer.ageBand}
        options={AGE_BANDS}
        onChange={(ageBand) => void set({ ageBand })}
      />
      <Choice
        label={w.build}
        value={archer.build}
        options={BUILDS}
        onChange={(build) => void set({ build })}
      />
      <Choice
        label={w.experience}
        value={archer.experience}
        options={EXPERIENCES}
        onChange={(experience) => void set({ experience })}
      />
      <TextAnswer
        id="eyesight"
        label={w.eyesight}
        value={archer.eyesight}
        onSave={(eyesight) => set({ eyesight })}
      />
      <TextAnswer
        id="injury"
        label={w.injury}
        value={archer.injury}
        onSave={(injury) => set({ injury })}
      />
    </section>
  );
}

function Use({ job: set }: Answer) {
  const { job, shop } = useJob().snapshot;
  const distance: ReadOptions = {
    quantity: 'distance',
    shop: shop.units,
    min: 5,
    max: 150,
    what: 'furthest distance',
  };
  return (
    <section className="block questions">
      <h3>{w.use}</h3>
      <Choice
        wide
        label={w.purpose}
        value={job.purpose}
        options={PURPOSES}
        onChange={(purpose) => void set({ purpose })}
      />
      <TextAnswer
        id="furthest"
        label={w.furthest}
        placeholder={write(40, 'distance', shop.units, { decimals: 0 })}
        value={
          job.furthestM === null
            ? ''
            : write(job.furthestM, 'distance', shop.units, { decimals: 0 })
        }
        maxLength={20}
        check={(text) => {
          const result = read(text, distance);
          return text.trim() === '' || result.ok ? null : result.message;
        }}
        onSave={(text) => {
          const result = read(text, distance);
          return set({ furthestM: result.ok ? result.si : null });
        }}
      />
      <Choice
        label={w.light}
        value={job.lowLight ? 'yes' : 'no'}
        options={w.lights}
        onChange={(value) => void set({ lowLight: value === 'yes' })}
      />
      <Choice
        label={w.electronics}
        value={job.electronicsForbidden ? 'yes' : 'no'}
        options={w.electronicsOptions}
        onChange={(value) => void set({ electronicsForbidden: value === 'yes' })}
      />
    </section>
  );
}

function Terms({ job: set }: Answer) {
  const { job, shop, today } = useJob().snapshot;
  return (
    <section className="block questions">
      <h3>{w.terms}</h3>
      <TextAnswer
        id="budget"
        label={w.budget}
        placeholder="€ 900"
        value={job.budgetCents === null ? '' : writeMoney(job.budgetCents)}
        maxLength={20}
        check={(text) => {
          const result = readMoney(text, 'budget');
          return text.trim() === '' || result.ok ? null : result.message;
        }}
        onSave={(text) => {
          const result = readMoney(text, 'budget');
          return set({ budgetCents: result.ok ? result.cents : null });
        }}
      />
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
      <TextAnswer
        id="own"
        label={w.own}
        value={job.alreadyOwn}
        maxLength={500}
        multiline
        onSave={(alreadyOwn) => set({ alreadyOwn })}
      />
      <TextAnswer
        id="notes"
        label={w.notes}
        value={job.notes}
        maxLength={1000}
        multiline
        onSave={(notes) => set({ notes })}
      />
    </section>
  );
}

/** Another century is a slip of the finger. */
const century = (text: string) => (text === '' || text.startsWith('20') ? null : w.dateWrong);

function reasons(archer: Archer, job: Job, units: ShopUnits): string[] {
  const b = w.because;
  const name = <T extends string>(list: readonly { id: T; name: string }[], id: T) =>
    list.find((entry) => entry.id === id)!.name;
  const { ageBand, build, experience } = archer;
  const median = priorMedianN({ ageBand, build, experience, injury: archer.injury.trim() !== '' });
  const list: string[] = [
    b.start(
      name(AGE_BANDS, ageBand),
      name(BUILDS, build),
      name(EXPERIENCES, experience),
      write(median, 'force', units, { decimals: 0 }),
    ),
  ];
  if (archer.dominantEye === 'unsure' || archer.dominantEye !== archer.hand) list.push(b.hand);
  if (job.lowLight) list.push(b.light);
  if (job.furthestM !== null && job.furthestM > 45) list.push(b.third);
  if (job.alreadyOwn.trim() !== '') list.push(b.own);
  if (job.budgetCents !== null) list.push(b.budget);
  return list;
}
