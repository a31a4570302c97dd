import {
  isOwnKey,
  isSetupKey,
  ownValue,
  setupValue,
  type OwnKey,
  type SetupKey,
  type SetupValue,
} from '../setup';
import { expectedMinutes } from './step-times';
import { STEP_TEMPLATES } from './steps';
import type { StepTemplate } from './steps/types';
import { STATIONS } from './stations';
import { ownKey, type OwnStep, type ShopSteps } from './own-steps';
import type { BuildContext } from './build-context';

/** The steps as this shop does them, with the minutes they take here. */
export function shopTemplates({
  shopSteps,
  stepTimes,
}: Pick<BuildContext, 'shopSteps' | 'stepTimes'>): StepTemplate[] {
  const timed = (template: StepTemplate): StepTemplate => ({
    ...template,
    minutes: expectedMinutes(template.minutes, stepTimes[template.id]),
  });
  return templatesOf(shopSteps).map(timed);
}

/** The steps of a shop, without what its clock learned. */
export function templatesOf({ edits, own }: ShopSteps): StepTemplate[] {
  if (edits.length === 0 && own.length === 0) return [...STEP_TEMPLATES];
  const byId = new Map(edits.map((edit) => [edit.id, edit]));
  const waits = (id: string) => own.filter(({ before }) => before.includes(id)).map((o) => o.id);
  const shipped = STEP_TEMPLATES.filter(({ id }) => !byId.get(id)?.off).map((template) => {
    const edit = byId.get(template.id);
    const { title, say, tool, minutes, station } = edit ?? {};
    return {
      ...template,
      ...(title ? { title } : {}),
      ...(say ? { say: () => say } : {}),
      ...(tool ? { tool } : {}),
      ...(minutes ? { minutes } : {}),
      ...(station ? { station } : {}),
      needs: [...template.needs, ...(edit?.needs ?? []), ...waits(template.id)],
    };
  });
  return [...shipped, ...own.map(ownTemplate)];
}

function ownTemplate(step: OwnStep): StepTemplate {
  const { id, title, say, station, archer, tool, minutes, needs, slot } = step;
  return {
    id,
    title,
    say: () => say,
    stage: 'bench',
    station,
    archer,
    tool,
    minutes,
    reads: [ownKey(id)],
    needs,
    applies: ({ kit }) => slot === null || kit[slot] !== undefined,
    own: true,
    ...(slot === null ? {} : { uses: [slot] }),
  };
}

/** Values by key, the shop's own ticks with what they depend on. */
export function valueLookup({ own }: ShopSteps): (key: SetupKey) => SetupValue {
  if (own.length === 0) return setupValue;
  const ticks = new Map(
    own.map(({ id, dependsOn }) => [ownKey(id), ownValue(ownKey(id), dependsOn)]),
  );
  return (key) => ticks.get(key as OwnKey) ?? setupValue(key);
}

export interface StepFault {
  /** JSON pointer into the shop's steps. */
  readonly pointer: string;
  readonly message: string;
}

const MINUTES = { least: 1, most: 240 };

/**
 * Everything that keeps a shop's steps from working, each with its place: names given twice, needs
 * and values that do not exist, steps left out that others need, circles. Empty when they work.
 */
export function stepFaults(steps: ShopSteps): StepFault[] {
  const faults: StepFault[] = [];
  const say = (pointer: string, message: string) => faults.push({ pointer, message });
  const shipped = new Map(STEP_TEMPLATES.map((template) => [template.id, template]));
  const off = new Set(steps.edits.filter((edit) => edit.off).map((edit) => edit.id));
  const known = new Set([...shipped.keys()].filter((id) => !off.has(id)));
  for (const { id } of steps.own) known.add(id);
  const title = (id: string) =>
    shipped.get(id)?.title ?? steps.own.find((own) => own.id === id)?.title ?? id;
  const needsOf = (needs: readonly string[] | undefined, pointer: string) =>
    needs?.forEach((id, i) => {
      if (off.has(id)) say(`${pointer}/${i}`, `“${title(id)}” is left out and cannot be needed.`);
      else if (!known.has(id)) say(`${pointer}/${i}`, `There is no step “${id}”.`);
    });
  steps.edits.forEach((edit, i) => {
    const at = `/edits/${i}`;
    if (!shipped.has(edit.id)) say(`${at}/id`, `There is no shipped step “${edit.id}”.`);
    if (steps.edits.findIndex(({ id }) => id === edit.id) !== i)
      say(`${at}/id`, `“${title(edit.id)}” is changed twice.`);
    minutes(edit.minutes, `${at}/minutes`, say);
    station(edit.station, `${at}/station`, say);
    needsOf(edit.needs, `${at}/needs`);
  });
  steps.own.forEach((own, i) => {
    const at = `/own/${i}`;
    if (!/^[a-z0-9]+(-[a-z0-9]+)*$/.test(own.id) || own.id.length > 40)
      say(`${at}/id`, 'A short name of small letters, digits and hyphens is needed.');
    if (shipped.has(own.id) || steps.own.findIndex(({ id }) => id === own.id) !== i)
      say(`${at}/id`, `There is a step “${own.id}” already.`);
    if (own.title.trim() === '') say(`${at}/title`, 'A step needs a title.');
    if (own.say.trim() === '') say(`${at}/say`, 'Say what is to be done.');
    minutes(own.minutes, `${at}/minutes`, say);
    station(own.station, `${at}/station`, say);
    needsOf(own.needs, `${at}/needs`);
    needsOf(own.before, `${at}/before`);
    own.dependsOn.forEach((key, k) => {
      if (!isKnownValue(key, steps)) say(`${at}/dependsOn/${k}`, `There is no value “${key}”.`);
    });
  });
  steps.uses?.forEach(({ stepId, partId }, i) => {
    const at = `/uses/${i}`;
    if (!known.has(stepId)) say(`${at}/stepId`, `There is no step “${stepId}” that is done here.`);
    const same = steps.uses!.findIndex((one) => one.stepId === stepId && one.partId === partId);
    if (same !== i) say(at, `“${title(stepId)}” uses up the same part twice.`);
  });
  for (const id of off) faults.push(...leftOutFaults(id, steps, off, title));
  if (faults.length === 0) {
    const circle = circleIn(templatesOf(steps));
    if (circle)
      say('/own', `These steps need each other in a circle: ${circle.map(title).join(' → ')}.`);
  }
  return faults;
}

function minutes(value: number | undefined, pointer: string, say: (p: string, m: string) => void) {
  if (value !== undefined && !(value >= MINUTES.least && value <= MINUTES.most))
    say(pointer, `Between ${MINUTES.least} and ${MINUTES.most} minutes.`);
}

function station(value: string | undefined, pointer: string, say: (p: string, m: string) => void) {
  if (value !== undefined && !STATIONS.some(({ id }) => id === value))
    say(
      pointer,
      `A station is one of ${STATIONS.map(({ name }) => name.toLowerCase()).join(', ')}.`,
    );
}

const isKnownValue = (key: string, { own }: ShopSteps): boolean =>
  isOwnKey(key) ? own.some(({ id }) => ownKey(id) === key) : isSetupKey(key);

/** A step left out must be missed by no other: neither by its order nor by a value others rest on. */
function leftOutFaults(
  id: string,
  steps: ShopSteps,
  off: ReadonlySet<string>,
  title: (id: string) => string,
): StepFault[] {
  const template = STEP_TEMPLATES.find((entry) => entry.id === id);
  if (!template) return [];
  const pointer = `/edits/${steps.edits.findIndex((edit) => edit.id === id)}/off`;
  const stay = STEP_TEMPLATES.filter((other) => !off.has(other.id));
  const waiting = stay.filter(({ needs }) => needs.includes(id)).map((other) => other.id);
  const taken = new Set(stay.flatMap(({ reads }) => reads));
  const missing = template.reads.filter(
    (key) =>
      !taken.has(key) &&
      stay.some(({ reads }) => reads.some((other) => setupValue(other).dependsOn.includes(key))),
  );
  return [
    ...(waiting.length > 0
      ? [
          {
            pointer,
            message: `“${title(id)}” cannot be left out: ${waiting.map((other) => `“${title(other)}”`).join(', ')} ${waiting.length === 1 ? 'needs' : 'need'} it done before.`,
          },
        ]
      : []),
    ...missing.map((key) => ({
      pointer,
      message: `“${title(id)}” cannot be left out: nobody else takes “${setupValue(key).name}”, and others rest on it.`,
    })),
  ];
}

/** Steps that need each other in a circle, the first one again at the end; null where there is none. */
export function circleIn(
  templates: readonly { readonly id: string; readonly needs: readonly string[] }[],
): string[] | null {
  const needs = new Map(templates.map((template) => [template.id, template.needs]));
  const state = new Map<string, 'open' | 'done'>();
  const path: string[] = [];
  const walk = (id: string): string[] | null => {
    if (state.get(id) === 'done') return null;
    if (state.get(id) === 'open') return [...path.slice(path.indexOf(id)), id];
    state.set(id, 'open');
    path.push(id);
    for (const next of needs.get(id) ?? []) {
      const found = needs.has(next) ? walk(next) : null;
      if (found) return found;
    }
    path.pop();
    state.set(id, 'done');
    return null;
  };
  for (const { id } of templates) {
    const found = walk(id);
    if (found) return found;
  }
  return null;
}
