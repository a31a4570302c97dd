import { MM_PER_INCH, spoken } from '../../units';
import type { TargetContext } from '../target-context';
import { values, type TargetParts } from '../value-entry';
import { dim, spot } from '../figure';

/** Centre shot where the bow's own figure is not known (13/16 in). */
const USUAL_CENTRE_SHOT_MM = (13 / 16) * MM_PER_INCH;
/** Found another way, the centre shot may stand this far from the figure before it is doubted. */
const OTHER_SCHOOL_MM = 3.5;

/** The bow's own figure, or the school's way of finding it with the figure only as a check. */
function centreShotTarget({ bow, schools, shop }: TargetContext): TargetParts {
  const usual = spoken(USUAL_CENTRE_SHOT_MM, 'length', shop, '13/16 in', { decimals: 1 });
  const known = bow?.centreShotMm ?? null;
  const si = known ?? USUAL_CENTRE_SHOT_MM;
  const source = known === null ? ('shop rule' as const) : ('bow' as const);
  if (schools.centreShot === 'figure')
    return {
      si,
      reason:
        known === null
          ? `No figure for this bow: ${usual} to begin with; paper decides later`
          : 'The bow’s own figure; paper decides later',
      source,
    };
  const how = { thread: 'The thread', secondArrow: 'The second arrow', eye: 'The eye' };
  return {
    si,
    low: si - OTHER_SCHOOL_MM,
    high: si + OTHER_SCHOOL_MM,
    reason: `${how[schools.centreShot]} says where; ${known === null ? `the usual ${usual}` : 'the bow’s own figure'} only shows whether it was read right. Paper decides later`,
    source,
  };
}

/** The rest: where it stands and what belongs to its kind. */
export const REST = values({
  restFitted: {
    name: 'Rest fitted',
    short: 'rest',
    kind: 'check',
    tolerance: 0,
    dependsOn: ['part:rest'],
    stage: 'bench',
    part: 'rest',
    how: 'Bracket square to the riser, secondary screws set',
    tool: 'hex key',
    changed: 'the rest was refitted',
    figure: spot('rest', 92, 78),
    onMap: 3,
    startsPapers: true,
  },
  restHeight: {
    name: 'Rest height',
    short: 'rest height',
    kind: 'length',
    tolerance: 1.5,
    min: -15,
    max: 25,
    bareUnit: 'mm',
    dependsOn: ['restFitted'],
    notice: 0.75,
    stage: 'bench',
    part: 'rest',
    how: 'Middle of the shaft above (+) or below (−) the middle of the plunger hole',
    tool: 'rule',
    changed: 'the rest’s height was moved',
    figure: dim('behind', 100, 75, 100, 84),
    target: () => ({
      si: 0,
      low: -2,
      high: 3,
      reason: 'The shaft’s middle at the plunger hole’s middle; paper decides later',
      source: 'shop rule',
    }),
    paperBand: 4,
    mend: ['raise it', 'lower it'],
  },
  silencing: {
    name: 'Rest silenced',
    short: 'silencing',
    kind: 'check',
    tolerance: 0,
    dependsOn: ['restFitted'],
    stage: 'bench',
    part: 'rest',
    how: 'Arrow slid over every place it can touch: nothing clicks',
    tool: 'felt or shrink tube',
    changed: 'the rest was silenced anew',
    figure: spot('behind', 110, 84),
  },
  cage: {
    name: 'Cage trimmed',
    short: 'cage',
    kind: 'check',
    tolerance: 0,
    dependsOn: ['restFitted'],
    stage: 'bench',
    part: 'rest',
    how: 'The cut is round and smooth, the arrow still cannot fall out sideways',
    tool: 'side cutter, file',
    changed: 'the cage was trimmed',
    figure: spot('behind', 110, 75),
  },
  centreShot: {
    name: 'Centre shot',
    short: 'centre shot',
    kind: 'length',
    tolerance: 0.8,
    min: 10,
    max: 35,
    dependsOn: ['restFitted'],
    notice: 0.75,
    stage: 'bench',
    part: 'rest',
    how: 'Riser to the middle of the shaft',
    tool: 'rule',
    changed: 'the centre shot was moved',
    figure: dim('above', 92, 50, 92, 78),
    onMap: 1,
    target: centreShotTarget,
    paperBand: 3.5,
    mend: ['away from the riser by', 'nearer to the riser by'],
  },
  vaneClearance: {
    name: 'Vane clearance',
    short: 'clearance',
    kind: 'check',
    tolerance: 0,
    dependsOn: [
      'restFitted',
      'restCord',
      'centreShot',
      'restHeight',
      'nockHeight',
      'cableGuard',
      'part:arrows',
    ],
    over: { nockHeight: 1 },
    stage: 'bench',
    part: 'rest',
    how: 'Vanes clear of cables and launcher through the draw',
    tool: 'eyes',
    changed: 'the vane clearance was looked at',
    figure: spot('above', 132, 92),
  },
  launcherSet: {
    name: 'Launcher’s tension',
    short: 'launcher',
    kind: 'check',
    tolerance: 0,
    dependsOn: ['restFitted', 'arrowMass'],
    over: { arrowMass: 1 },
    stage: 'bench',
    part: 'rest',
    how: 'The launcher or spring that suits the arrow’s mass is in',
    tool: 'small hex key',
    changed: 'the launcher was changed',
    figure: spot('behind', 110, 84),
    onMap: 2,
    startsPapers: true,
  },
  cordLed: {
    name: 'Cord led through the riser',
    short: 'cord led',
    kind: 'check',
    tolerance: 0,
    dependsOn: ['restFitted'],
    stage: 'bench',
    part: 'rest',
    how: 'Through the riser’s own way, nothing rubs, no kink; the cord still runs free',
    tool: 'hook',
    changed: 'the cord was led anew',
    figure: spot('rest', 100, 92),
  },
  launcherClear: {
    name: 'Launcher clear of the shelf',
    short: 'launcher way',
    kind: 'check',
    tolerance: 0,
    dependsOn: ['restFitted', 'restHeight', 'centreShot', 'launcherSet'],
    over: { centreShot: 1.5 },
    stage: 'bench',
    part: 'rest',
    how: 'By hand from lying to standing: just off shelf and riser all the way, no click, room for a finger',
    tool: 'fingers',
    changed: 'the launcher’s way was looked at',
    figure: spot('behind', 110, 92),
  },
  walkBack: {
    name: 'Walk-back line',
    short: 'walk-back',
    kind: 'drift',
    tolerance: 0.3,
    dependsOn: ['centreShot', 'paperTear', 'housingWindage', 'sightFitted'],
    stage: 'lane',
    part: 'rest',
    optional: true,
    how: 'One pin on a plumb line from three distances or more: how the hits drift sideways',
    tool: 'plumb line, target',
    archer: true,
    changed: 'the walk-back was shot',
    figure: spot('target', 110, 96),
  },
  setScrews: {
    name: 'Set screws tightened',
    short: 'set screws',
    kind: 'check',
    tolerance: 0,
    dependsOn: ['restFitted', 'sightFitted'],
    stage: 'bench',
    part: 'rest',
    how: 'Secondary set screws of rest and sight against the riser: just so that nothing turns',
    tool: 'small hex key',
    changed: 'the set screws were tightened',
    figure: spot('rest', 92, 66),
  },
});
