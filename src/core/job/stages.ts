import { HANDOVER_CAUTIONS } from './cautions';
import { missingSlots, SLOTS } from '../kit';
import { isFinished, type JobStep } from '../route';
import { setupValue, STAGES, type Stage } from '../setup';
import type { JobDerived } from './derive';
import { weightTrials } from './fit-readings';
import type { JobSnapshot } from './types';

export interface StageState {
  readonly id: Stage;
  readonly name: string;
  /** "2 of 5", "all in", "optional". */
  readonly note: string;
  readonly state: 'done' | 'going' | 'untouched' | 'again';
  /** What is open, one line each, to be read at handover. */
  readonly open: readonly string[];
}

/** The stage rail: what each stage has and still wants. */
export function stageStates(snapshot: JobSnapshot, derived: JobDerived): StageState[] {
  return STAGES.map(({ id, name }) => ({ id, name, ...BY_STAGE[id](snapshot, derived) }));
}

type StageRule = (snapshot: JobSnapshot, derived: JobDerived) => Omit<StageState, 'id' | 'name'>;

function counted(
  checks: readonly (readonly [boolean, string])[],
  again = 0,
): ReturnType<StageRule> {
  const done = checks.filter(([ok]) => ok).length;
  const open = checks.filter(([ok]) => !ok).map(([, text]) => text);
  if (again > 0) return { note: `${again} again`, state: 'again', open };
  if (done === checks.length) return { note: 'all in', state: 'done', open };
  return {
    note: done === 0 ? 'nothing yet' : `${done} of ${checks.length}`,
    state: done === 0 ? 'untouched' : 'going',
    open,
  };
}

const BY_STAGE: Record<Stage, StageRule> = {
  meet: ({ archer, job }) =>
    counted([
      [archer.name !== '', 'the archer’s name'],
      [archer.phone !== '' || archer.email !== '', 'a phone number or an address to write to'],
      [!archer.minor || archer.guardianName !== '', 'the guardian of a minor'],
      [archer.dominantEye !== 'unsure', 'the dominant eye'],
      [job.furthestM !== null, 'the furthest distance'],
      [job.budgetCents !== null, 'the budget'],
      [job.promisedDay !== null, 'the date wanted'],
    ]),
  fit: (snapshot, { fitLength }) =>
    counted([
      [(fitLength?.estimates.length ?? 0) >= 1, 'a draw-length reading'],
      [(fitLength?.estimates.length ?? 0) >= 2, 'a second method for the draw length'],
      [
        fitLength !== null && !fitLength.disagree && fitLength.apart === null,
        'draw-length methods that agree',
      ],
      [weightTrials(snapshot.fitReadings, snapshot.archer).length >= 1, 'a weight trial'],
    ]),
  bow: (snapshot, { plan, context }) => {
    const steps = plan.steps.filter((step) => step.template.stage === 'bow');
    return counted(
      [
        [snapshot.bow !== null, 'a bow'],
        [context.peakTargetN !== null, 'a peak weight to set'],
        ...stepChecks(steps),
      ],
      againIn(steps),
    );
  },
  kit: (_, { kit, findings }) => {
    const missing = missingSlots(kit);
    const wrong = findings.filter((f) => f.verdict === 'doesNotFit' && f.rule.hard);
    return counted([
      ...SLOTS.filter((slot) => slot.required).map(
        ({ id, name }) => [!missing.includes(id), `${name.toLowerCase()}: nothing chosen`] as const,
      ),
      ...wrong.map((finding) => [false, finding.reason] as const),
    ]);
  },
  bench: (_, { plan }) => ofSteps(plan.steps, 'bench'),
  lane: (_, { plan }) => ofSteps(plan.steps, 'lane'),
  steady: (_, { history, plan }) => {
    const again = plan.stale.filter(({ key }) => setupValue(key).stage === 'steady').length;
    if (again > 0) return { note: `${again} again`, state: 'again', open: [] };
    const done = (['bowMass', 'steadyTip'] as const).filter((key) => history.has(key)).length;
    return {
      note: done === 2 ? 'noted' : done === 1 ? '1 of 2' : 'optional',
      state: done === 2 ? 'done' : done === 1 ? 'going' : 'untouched',
      open: [],
    };
  },
  handover: (snapshot, { plan }) => {
    const steps = plan.steps.filter((step) => step.template.stage === 'handover');
    return counted([
      ...stepChecks(steps),
      ...HANDOVER_CAUTIONS.map(
        ({ id, text }) => [snapshot.acknowledged.includes(id), `told: ${text}`] as const,
      ),
      [snapshot.sheets.length > 0, 'the build sheet'],
    ]);
  },
};

const stepChecks = (steps: readonly JobStep[]) =>
  steps.map((step) => [isFinished(step), `${step.template.title}${whyOpen(step)}`] as const);

const againIn = (steps: readonly JobStep[]) =>
  steps.filter((step) => step.state === 'again').length;

function ofSteps(all: readonly JobStep[], stage: Stage) {
  const steps = all.filter((step) => step.template.stage === stage);
  return counted(stepChecks(steps), againIn(steps));
}

function whyOpen(step: JobStep): string {
  if (step.state === 'again') {
    const stale = step.values.find((value) => value.stale)?.stale;
    return stale ? ` again: ${stale.sentence}` : ' again';
  }
  if (step.state === 'out') {
    const out = step.values.filter((value) => value.standing === 'out');
    return `: ${out.map((value) => setupValue(value.key).name.toLowerCase()).join(', ')} out of tolerance`;
  }
  return '';
}

/**
 * What still stands in the way of a sheet: open values of every stage, “Everything tight” too; what
 * is told and signed at the handover itself apart.
 */
export const openWork = (
  states: readonly StageState[],
  { plan }: Pick<JobDerived, 'plan'>,
): string[] => [
  ...states
    .filter((stage) => stage.id !== 'handover' && stage.id !== 'meet')
    .flatMap((stage) => stage.open.map((text) => `${stage.name}: ${text}`)),
  ...plan.steps
    .filter((step) => step.template.stage === 'handover' && !isFinished(step))
    .map((step) => `Handover: ${step.template.title}${whyOpen(step)}`),
];
