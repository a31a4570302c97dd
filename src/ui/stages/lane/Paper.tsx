'use client';
import Link from 'next/link';
import Button from '@mui/material/Button';
import { archerCautions, jobPaper } from '@/core/job';
import { SCHOOLS } from '@/core/setup';
import { adjustmentRule, ADJUSTMENTS } from '@/core/tuning';
import { Choice } from '../../fields/Choice';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { useStage } from '../../job/useStage';
import { lane as w, paperWords as p } from '../../words';
import { Work } from '../../job/Work';
import { Block, ValueTabs } from '../../pieces/layout';
import { BareShaft } from './BareShaft';
import { LaneParts } from './LaneParts';
import { PaperStrip } from './PaperStrip';
import { StepNotes } from './StepNotes';
import { TearEntry } from './TearEntry';
import { WalkBack } from './WalkBack';
import css from './Paper.module.css';

const TABS = ['paper', 'bare', 'walk'] as const;
type Tab = (typeof TABS)[number];

/** Tears through paper, what to move because of them, and two more checks of the same thing. */
export function Paper() {
  const { derived } = useJob();
  const { at, href } = useStage();
  const tab: Tab = TABS.find((id) => id === at('check')) ?? 'paper';
  const step = derived.plan.steps.find(({ id }) => id === 'paper')!;
  return (
    <>
      <Work>
        <LaneParts current="paper" />
        <ValueTabs>
          {TABS.map((id) => (
            <li key={id}>
              <Button
                variant="plain"
                component={Link}
                href={href('lane', { part: 'paper', ...(id === 'paper' ? {} : { check: id }) })}
                scroll={false}
                aria-current={id === tab ? 'step' : undefined}
              >
                {p.tabs[id]}
              </Button>
            </li>
          ))}
        </ValueTabs>
        {tab === 'paper' && <PaperWork />}
        {tab === 'bare' && <BareShaft />}
        {tab === 'walk' && <WalkBack />}
      </Work>
      <PaperMargin tab={tab} watch={step.template.watch ?? []} />
    </>
  );
}

function PaperWork() {
  const { snapshot, derived, send } = useJob();
  const tune = jobPaper(snapshot, derived);
  const step = derived.plan.steps.find(({ id }) => id === 'paper')!;
  const school = SCHOOLS.find(({ name }) => name === 'paper')!;
  return (
    <>
      <TearEntry tune={tune} />
      <StepNotes step={step} />
      <PaperStrip />
      <Block className={css.paperSchool}>
        <Choice
          label={school.title}
          value={derived.context.schools.paper}
          options={school.choices}
          onChange={(id) =>
            void send({
              name: 'setAnswers',
              job: {
                schools: {
                  ...snapshot.job.schools,
                  paper: id as typeof derived.context.schools.paper,
                },
              },
            })
          }
        />
      </Block>
    </>
  );
}

function PaperMargin({ tab, watch }: { tab: Tab; watch: readonly string[] }) {
  const { snapshot, derived } = useJob();
  const tune = jobPaper(snapshot, derived);
  const { response } = tune;
  const hand = snapshot.bow?.hand ?? snapshot.archer.hand;
  const shots = (derived.history.get('paperTear') ?? []).length;
  // Only what was moved on this bow says more than the rule.
  const learned = ADJUSTMENTS.filter((id) => response.moved[id] !== 0).map((id) => {
    const { axis, unit } = adjustmentRule(id, hand);
    const per = response[axis].per[id]!;
    const sigma = Math.sqrt(response[axis].perVariance[id]!);
    return p.response(p.short[id], per.toFixed(1).replace('-', '−'), sigma.toFixed(1), unit);
  });
  const because =
    tab === 'bare'
      ? [p.bare.rule, p.bare.counted]
      : tab === 'walk'
        ? [p.walk.because]
        : [
            w.because.tear,
            p.because,
            ...(shots > 0 ? [p.why(shots, response.scatterMm.toFixed(1))] : []),
            ...learned,
          ];
  return (
    <Margin
      because={because}
      watch={[
        { id: 'target', text: w.watch.target, stop: true },
        ...watch.map((entry, i) => ({ id: `s${i}`, text: entry })),
        ...(tab === 'bare' ? [{ id: 'bare', text: p.bare.watch }] : []),
        ...(tab === 'paper' ? [{ id: 'ripple', text: p.ripple }] : []),
        ...archerCautions(snapshot).filter(({ id }) => id === 'minor' || id === 'injury'),
      ]}
    />
  );
}
