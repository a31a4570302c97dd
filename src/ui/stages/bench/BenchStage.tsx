'use client';
import { useEffect, useState } from 'react';
import Link from 'next/link';
import Button from '@mui/material/Button';
import { archerCautions } from '@/core/job';
import { fastenText, stationName } from '@/core/bench';
import { isFinished, type JobStep } from '@/core/route';
import { SCHOOLS } from '@/core/setup';
import { Text } from '../../pieces/Text';
import { Choice } from '../../fields/Choice';
import { useAsk } from '../../frame/useAsk';
import { useKeys } from '../../frame/useKeys';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { rememberPlace } from '../../keep/remember-place';
import { useStage } from '../../job/useStage';
import { bench as w } from '../../words';
import { Work } from '../../job/Work';
import { Empty, Head, StepSay } from '../../pieces/layout';
import { Key, Tag } from '../../pieces/texts';
import { nextStep } from './next-step';
import { openValue, StepWork } from './StepWork';
import { useStepClock } from './useStepClock';
import { Visits } from './Visits';
import css from './BenchStage.module.css';

/** One step at a time, large, in the order with the fewest changes of station. */
export function BenchStage() {
  const { snapshot, derived } = useJob();
  const { at, href } = useStage();
  const steps = derived.plan.steps.filter((step) => step.template.stage === 'bench');
  const first = nextStep(derived.plan, 'bench');
  // A step stays until one goes on, also when it is done or another screen works on it.
  const [held] = useState(first?.id ?? null);
  const current = steps.find((step) => step.id === (at('step') ?? held)) ?? first;
  if (!snapshot.bow) return <NoBow text={w.noBow} />;
  if (!current) {
    return (
      <>
        <Work>
          <Head>
            <h2>{w.allDone}</h2>
          </Head>
          <Empty>{w.allDoneHint}</Empty>
          <Button variant="contained" component={Link} href={href('lane')}>
            {w.toLane}
          </Button>
          <Visits current={null} />
        </Work>
        <Margin because={[w.because.route]} watch={[]} />
      </>
    );
  }
  return <BenchStep key={current.id} step={current} />;
}

export function NoBow({ text }: { text: string }) {
  const { href } = useStage();
  return (
    <>
      <Work>
        <Empty>{text}</Empty>
        <Button variant="contained" component={Link} href={href('bow', { part: 'choose' })}>
          {w.toBow}
        </Button>
      </Work>
      <Margin because={[]} watch={[]} />
    </>
  );
}

function BenchStep({ step }: { step: JobStep }) {
  const { snapshot, derived } = useJob();
  const { at } = useStage();
  const { template } = step;
  const jobId = snapshot.job.id;
  const seconds = useStepClock(jobId, step);
  // The phone rings, another bow comes: this one is found again at the same step.
  useEffect(() => rememberPlace(jobId, `bench?step=${step.id}`), [jobId, step.id]);
  const value = openValue(step) ?? step.values.at(-1)!;
  const reasons = step.values
    .filter((v) => v.target)
    .map((v) => v.target!.reason)
    .filter((reason, i, all) => all.indexOf(reason) === i);
  return (
    <>
      <Work>
        <p className={css.stepLine}>
          <Tag>{stationName(template.station).toLowerCase()}</Tag>
          <VisitWords step={step} />
          <Text soft as="span">
            {template.archer ? w.withArcher : w.alone} · {w.minutes(template.minutes)}
          </Text>
          {seconds !== null && (
            <Text
              variant="figure"
              className={css.stepClock}
              data-part="step-clock"
              aria-label={w.clockLabel}
            >
              {w.clock(seconds)}
            </Text>
          )}
        </p>
        <h2 className={css.stepTitle} data-part="step-title">
          {template.title}
        </h2>
        <StepSay>{template.say(derived.context)}</StepSay>
        <p className={css.stepTool}>
          <Text soft as="span">
            {w.tool}
          </Text>{' '}
          {template.tool}
          {template.fasten && (
            <>
              <Text soft as="span" className={css.toolScrews}>
                {w.screws}
              </Text>{' '}
              {fastenText(template.fasten, snapshot.shop.units)}
            </>
          )}
        </p>
        <StepSchool step={step} />
        {template.id === 'twists' && <NewString />}
        <StepWork step={step} asked={at('value')} onward={<Onward step={step} />} />
        <Visits current={step.id} />
      </Work>
      <Margin
        first={<ThisVisit step={step} />}
        because={[
          ...(value.stale ? [`${capital(value.stale.sentence)}.`] : []),
          ...(reasons.length > 0 ? reasons.map((reason) => `${reason}.`) : [w.because.none]),
        ]}
        watch={[
          ...(template.watch ?? []).map((text, i) => ({ id: `step-${i}`, text, stop: i === 0 })),
          ...archerCautions(snapshot).filter(({ id }) => template.archer && id !== 'legal'),
        ]}
      />
    </>
  );
}

/** The school that decides how this step is done, changed for this job with one tap. */
function StepSchool({ step: { template } }: { step: JobStep }) {
  const { derived, snapshot, send } = useJob();
  const school = SCHOOLS.find(({ name }) => name === template.school);
  if (!school) return null;
  return (
    <div className={css.stepSchool}>
      <Choice
        label={`${school.title}: ${w.school.charAt(0).toLowerCase()}${w.school.slice(1)}`}
        value={derived.context.schools[school.name]}
        options={school.choices}
        onChange={(id) =>
          void send({
            name: 'setAnswers',
            job: { schools: { ...snapshot.job.schools, [school.name]: id } },
          })
        }
      />
    </div>
  );
}

/** A string or cable that was exchanged: asked once, since much hangs on it. */
function NewString() {
  const { send } = useJob();
  const { ask, asking } = useAsk();
  const put = async () => {
    const answer = await ask({
      title: w.newStringAsk,
      text: <p>{w.newStringText}</p>,
      answers: [
        { id: 'no', name: w.notSo },
        { id: 'yes', name: w.newStringDo },
      ],
    });
    if (answer !== 'yes') return;
    await send({
      name: 'takeReadings',
      readings: [
        { key: 'newString', entered: 'done' },
        { key: 'stringTwists', entered: '0' },
      ],
    });
  };
  return (
    <p>
      <Button variant="text" onClick={() => void put()}>
        {w.newString}
      </Button>
      {asking}
    </p>
  );
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

function VisitWords({ step }: { step: JobStep }) {
  const { visits } = useJob().derived.plan;
  const at = visits.findIndex((visit) => visit.steps.includes(step.id));
  if (at < 0)
    return (
      <Text soft as="span">
        {w.states[step.state]}
      </Text>
    );
  const inVisit = visits[at]!.steps.indexOf(step.id) + 1;
  return (
    <Text soft as="span">
      {w.visitOf(at + 1, visits.length)} · {w.stepOf(inVisit, visits[at]!.steps.length)}
    </Text>
  );
}

/** One key or tap to the next step; on a step of ticks `.` ticks first. */
function Onward({ step }: { step: JobStep }) {
  const { derived, send } = useJob();
  const { go } = useStage();
  const next = nextStep(derived.plan, 'bench', step.id);
  const forward = () => (next ? go(next.template.stage, { step: next.id }) : go('lane'));
  const value = openValue(step);
  const dot = async () => {
    if (!value) return forward();
    if (!step.values.every((v) => v.reading || v.key === value.key)) return;
    const tick = document.querySelector<HTMLElement>('[data-part="tick"]');
    if (!tick) return document.querySelector<HTMLElement>('[data-measure]')?.focus();
    const answer = await send({
      name: 'takeReadings',
      readings: [{ key: value.key, entered: '' }],
    });
    if (!answer) forward();
  };
  useKeys({ '.': () => void dot() });
  return (
    <Button variant={isFinished(step) ? 'contained' : 'outlined'} onClick={forward}>
      <span className={css.onwardText}>{next ? w.next(next.template.title) : w.toLane}</span>
      <Key>.</Key>
    </Button>
  );
}

function ThisVisit({ step }: { step: JobStep }) {
  const { derived } = useJob();
  const { href } = useStage();
  const { visits, steps, doneCount } = derived.plan;
  const visit = visits.find((entry) => entry.steps.includes(step.id));
  const done = steps.filter(
    (entry) =>
      isFinished(entry) &&
      entry.template.station === step.template.station &&
      entry.template.archer === step.template.archer &&
      entry.template.stage === step.template.stage,
  );
  const list = [...done, ...(visit?.steps ?? []).map((id) => steps.find((s) => s.id === id)!)];
  return (
    <section className={css.thisVisit}>
      <h2>
        {w.thisVisit}: {stationName(step.template.station).toLowerCase()}
      </h2>
      <ul>
        {list.map((entry) => (
          <li
            key={entry.id}
            data-state={isFinished(entry) ? 'done' : 'open'}
            aria-current={entry.id === step.id ? 'step' : undefined}
          >
            <Link
              href={href(entry.template.stage, { step: entry.id })}
              scroll={false}
              prefetch={false}
            >
              {entry.template.title}
            </Link>
          </li>
        ))}
      </ul>
      <Text variant="small" soft as="p">
        {w.progress(doneCount, steps.length)}
      </Text>
    </section>
  );
}
