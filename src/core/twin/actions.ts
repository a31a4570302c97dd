import type { JobDerived, JobSnapshot } from '../job';
import { ripplePreview } from '../ripple';
import { setupValue, type SetupKey } from '../setup';
import type { Ground, Said, TwinAction } from './action-ground';
import { lengthAction } from './length-action';
import { marksAction } from './marks-action';
import { peepAction } from './peep-action';
import { arrowAction, plainAction, sightAction } from './plain-actions';
import { BARS, twinRows, unsettled } from './rows';
import { weightAction } from './weight-action';

export type { TwinAction } from './action-ground';

/**
 * What makes this bow like its model, in the order in which one moves the other: draw length, weight, nock
 * and loop, peep, sight, arrow, bars, marks. What is alike already stays in the list as such.
 *
 * @returns nothing where the job has no model, or no bow.
 */
export function twinActions(snapshot: JobSnapshot, derived: JobDerived): TwinAction[] {
  if (!snapshot.job.like || !snapshot.bow) return [];
  const ground = { snapshot, derived, rows: twinRows(snapshot, derived) };
  const said = [
    lengthAction(ground),
    weightAction(ground),
    plainAction(ground, {
      id: 'nock',
      title: 'Rest, nock and loop',
      keys: [
        'restHeight',
        'nockHeight',
        'centreShot',
        'loop',
        'loopPlace',
        'cordLimb',
        'restCord',
        'cableGuard',
        'kisser',
      ],
    }),
    peepAction(ground),
    sightAction(ground),
    arrowAction(ground),
    plainAction(ground, {
      id: 'bars',
      title: 'Bars and mass',
      keys: BARS,
    }),
    marksAction(ground),
  ];
  const told = (keys: readonly SetupKey[]) =>
    ground.rows.some(({ key, model }) => model !== null && keys.includes(key));
  return said.flatMap((action) =>
    action && (action.id === 'marks' || told(action.keys)) ? [finished(action, ground)] : [],
  );
}

function finished(said: Said, { derived, rows }: Ground): TwinAction {
  const { history, plan } = derived;
  const left = unsettled(rows, said.keys);
  const state = left.some(({ standing }) => standing === 'off')
    ? ('off' as const)
    : left.length > 0 || (said.id === 'marks' && said.say.length > 0)
      ? ('open' as const)
      : ('same' as const);
  const own = new Set(said.keys);
  const again =
    state === 'off' ? left.flatMap(({ key }) => ripplePreview(key, history, plan).keys) : [];
  return {
    ...said,
    state,
    ...(state === 'same' ? { say: [], moves: [], press: false } : {}),
    again: [...new Set(again)]
      .filter((key) => !own.has(key) && setupValue(key).backTo !== undefined)
      .map((key) => setupValue(key).name),
  };
}
