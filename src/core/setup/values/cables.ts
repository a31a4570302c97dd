import { HOW_MEASURED } from '../../fit';
import { itemOf } from '../../kit';
import { MM_PER_INCH, spoken, write } from '../../units';
import type { TargetContext } from '../target-context';
import { latest } from '../reading';
import { cableTwistTarget } from '../twist-targets';
import { values, type TargetParts } from '../value-entry';
import { dim, spot } from '../figure';

const CORD_RULE = { shortDraw: 635, longDraw: 787, near: 44, far: 64 };

function restCordTarget({
  kit,
  fitDrawLengthMm,
  history,
  shop,
}: TargetContext): TargetParts | null {
  const rest = itemOf(kit, 'rest');
  if (!rest || rest.attrs.drive === 'containment') return null;
  if (rest.attrs.drive === 'cableDriven') {
    return {
      si: 12.5,
      low: 0,
      high: 25,
      reason: `The marks meet in the last ${spoken(MM_PER_INCH, 'length', shop, 'inch')} before full draw; earlier is a cord too tight`,
      source: 'shop rule' as const,
    };
  }
  const draw = latest(history, 'drawLength')?.si ?? fitDrawLengthMm;
  if (draw === null) return null;
  const { shortDraw, longDraw, near, far } = CORD_RULE;
  const part = Math.min(1, Math.max(0, (draw - shortDraw) / (longDraw - shortDraw)));
  const si = near + part * (far - near);
  return {
    si,
    low: si - 6,
    high: si + 6,
    reason: `From the axle along the limb: 44 mm at ${write(shortDraw, 'length', shop)} of draw to 64 mm at ${write(longDraw, 'length', shop)}`,
    source: 'shop rule' as const,
  };
}

/** Limb-driven cords are measured along the limb, cable-driven ones by where in the draw they come tight. */
const cordDatum = ({ kit }: Pick<TargetContext, 'kit'>) =>
  itemOf(kit, 'rest')?.attrs.drive === 'cableDriven'
    ? 'the marks meet so far before full draw'
    : 'from the axle along the limb';

/** The cables, the guard beside them, and a rest’s cord tied to one or to a limb. */
export const CABLES = values({
  cableTwists: {
    name: 'Cable twists',
    short: 'cable',
    kind: 'turns',
    tolerance: 0.24,
    min: -30,
    max: 30,
    fromZero: true,
    dependsOn: ['newString'],
    stage: 'bench',
    part: 'cables',
    how: 'Full twists put in (+) or taken out (−) of the cable that times the cams, since the bow came',
    tool: 'press',
    changed: 'the cable was twisted',
    carries: 'start',
    backTo: { datum: 'timing cable, full twists since the bow came, + put in' },
    figure: spot('rest', 133, 104),
    startsPapers: true,
    target: cableTwistTarget,
    mend: ['put in', 'take out'],
  },
  inTracks: {
    name: 'String and cables in their tracks',
    short: 'tracks',
    kind: 'check',
    tolerance: 0,
    dependsOn: [
      'newString',
      'newModule',
      'newLimb',
      'moduleTop',
      'moduleBottom',
      'stringTwists',
      'cableTwists',
      'leanFixUpper',
      'leanFixLower',
      'part:peep',
    ],
    stage: 'bench',
    part: 'cables',
    how: 'Look along both cams before the press is let go',
    tool: 'eyes',
    changed: 'the tracks were looked at',
    figure: spot('cam', 82, 75),
    onMap: 5,
  },
  holdingWeight: {
    name: 'Holding weight',
    short: 'holding',
    kind: 'force',
    tolerance: 6,
    min: 5,
    max: 250,
    dependsOn: ['newModule', 'peakWeight', 'drawLength', 'stops'],
    over: { peakWeight: 6, drawLength: 3 },
    stage: 'bench',
    part: 'cables',
    how: HOW_MEASURED.holding,
    tool: 'draw board, bow scale',
    changed: 'the holding weight changed',
    backTo: { datum: 'at full draw, against the wall', group: 'limbs' },
    figure: spot('drawn', 206, 75),
    onMap: 6,
    target: ({ bow, peakTargetN, history }) => {
      const peak = latest(history, 'peakWeight')?.si ?? peakTargetN;
      if (!bow || peak === null) return null;
      const percent = Math.round(bow.letOff * 100);
      return {
        si: peak * (1 - bow.letOff),
        ...(bow.untold?.includes('letOff')
          ? {
              low: 0,
              high: peak,
              reason: `Its let-off is not told: ${percent} % is usual. What is read here tells it`,
              source: 'shop rule' as const,
            }
          : { reason: `Peak less the bow’s let-off of ${percent} %`, source: 'bow' as const }),
      };
    },
    mend: ['look at stops and modules: missing', 'look at stops and modules: too much by'],
  },
  restCord: {
    name: 'Rest cord',
    short: 'cord',
    kind: 'length',
    tolerance: 4,
    min: 0,
    max: 300,
    dependsOn: ['restFitted', 'restHeight', 'centreShot', 'drawLength', 'cordLed', 'cordLimb'],
    stage: 'bench',
    part: 'cables',
    how: 'As the rest’s drive asks',
    tool: 'release, arrow, safe target',
    changed: 'the cord was reset',
    carries: 'sameBow',
    backTo: { datum: cordDatum, group: 'rest' },
    figure: spot('rest', 122, 104),
    onMap: 1,
    target: restCordTarget,
    mend: ['move it outwards by', 'move it inwards by'],
  },
  cableGuard: {
    name: 'Cable guard',
    short: 'guard',
    kind: 'length',
    tolerance: 1,
    min: 3,
    max: 80,
    bareUnit: 'mm',
    dependsOn: [],
    stage: 'bench',
    part: 'cables',
    how: 'Middle of the shaft to the nearest cable, beside the rest',
    tool: 'rule',
    changed: 'the cable guard was moved',
    carries: 'sameBow',
    backTo: { datum: 'shaft’s middle to the nearest cable, beside the rest', group: 'rest' },
    figure: dim('above', 120, 78, 120, 108),
    target: ({ bow }) =>
      bow?.cableGapMm
        ? {
            si: bow.cableGapMm,
            low: bow.cableGapMm - 6,
            high: bow.cableGapMm + 10,
            reason:
              'As the guard comes; only as far off as the vanes need, since it leans the cams',
            source: 'bow',
          }
        : null,
    paperBand: 8,
    mend: ['set it on by', 'ease it by'],
  },
  downCableFound: {
    name: 'Down cable found',
    short: 'down cable',
    kind: 'check',
    tolerance: 0,
    dependsOn: ['newString'],
    stage: 'bench',
    part: 'cables',
    how: 'The cable that goes down as the bow is drawn is marked',
    tool: 'draw board',
    changed: 'the down cable was looked for',
    figure: spot('rest', 133, 104),
    onMap: 4,
  },
  cordSettled: {
    name: 'Cord after the first shots',
    short: 'cord again',
    kind: 'check',
    tolerance: 0,
    dependsOn: ['restCord'],
    stage: 'lane',
    part: 'cables',
    how: 'Launcher fully down at rest and up in time, no slack',
    tool: 'eyes',
    changed: 'the cord was taken up',
    figure: spot('rest', 122, 104),
    onMap: 3,
  },
  cordTied: {
    name: 'Cord tied for good',
    short: 'knot',
    kind: 'check',
    tolerance: 0,
    dependsOn: ['restCord', 'paperTear'],
    stage: 'lane',
    part: 'cables',
    how: 'Second knot, end melted',
    tool: 'lighter',
    changed: 'the cord was tied',
    figure: spot('rest', 122, 104),
    onMap: 2,
  },
  cordLimb: {
    name: 'Limb of the cord',
    short: 'cord’s limb',
    kind: 'choice',
    tolerance: 0,
    dependsOn: ['restFitted', 'newLimb'],
    stage: 'bench',
    part: 'cables',
    how: 'Where the cord is tied: the rest’s leaflet says which limb it is made for',
    tool: 'eyes',
    changed: 'the cord’s limb was changed',
    backTo: { datum: 'where the cord is tied', group: 'rest' },
    choices: [
      { id: 'bottom', name: 'bottom limb' },
      { id: 'top', name: 'top limb' },
    ],
    figure: spot('rest', 110, 126),
    applies: ({ kit }) => itemOf(kit, 'rest')?.attrs.drive === 'limbDriven',
  },
});
