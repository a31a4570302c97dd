import type { SetupKey } from '@/core/route';

/** The views a value is measured in. */
export type HowView =
  | 'rest'
  | 'drawn'
  | 'behind'
  | 'above'
  | 'cam'
  | 'bolt'
  | 'knot'
  | 'housing'
  | 'scale'
  | 'paper'
  | 'gate'
  | 'target';

export interface HowFigure {
  readonly view: HowView;
  /** Measured from here to there: x1, y1, x2, y2 of the view's 220 × 150. */
  readonly dim?: readonly [number, number, number, number];
  /** Looked at here. */
  readonly spot?: readonly [number, number];
}

const dim = (view: HowView, ...line: [number, number, number, number]): HowFigure => ({
  view,
  dim: line,
});
const spot = (view: HowView, x: number, y: number): HowFigure => ({ view, spot: [x, y] });

/** Where each value is measured; a shop’s own tick has none. */
export const HOW_FIGURES: Partial<Record<SetupKey, HowFigure>> = {
  serialNumber: spot('rest', 96, 84),
  foundModule: spot('cam', 128, 58),
  foundTurns: spot('bolt', 110, 28),
  foundBrace: dim('rest', 92, 92, 150, 92),
  foundAxles: dim('rest', 176, 20, 176, 130),
  foundWhole: spot('cam', 110, 96),
  limbLocks: spot('bolt', 132, 46),
  newString: spot('rest', 150, 40),
  moduleTop: spot('cam', 128, 58),
  moduleBottom: spot('cam', 128, 58),
  stops: spot('cam', 150, 96),
  limbTurnsUpper: spot('bolt', 110, 28),
  limbTurnsLower: spot('bolt', 110, 28),
  stringTwists: spot('rest', 150, 108),
  cableTwists: spot('rest', 133, 104),
  inTracks: spot('cam', 82, 75),
  drawLength: dim('drawn', 92, 92, 206, 92),
  peakWeight: spot('drawn', 206, 75),
  holdingWeight: spot('drawn', 206, 75),
  braceHeight: dim('rest', 92, 92, 150, 92),
  axleToAxle: dim('rest', 168, 20, 168, 130),
  timing: dim('cam', 150, 96, 172, 96),
  camLeanUpper: dim('behind', 110, 62, 128, 62),
  camLeanLower: dim('behind', 110, 96, 128, 96),
  leanFixUpper: spot('behind', 110, 20),
  leanFixLower: spot('behind', 110, 130),
  dampenersFitted: spot('rest', 150, 34),
  stringStop: dim('rest', 138, 98, 150, 98),
  restFitted: spot('rest', 92, 78),
  restHeight: dim('behind', 100, 75, 100, 84),
  silencing: spot('behind', 110, 84),
  cage: spot('behind', 110, 75),
  centreShot: dim('above', 92, 50, 92, 78),
  nockHeight: dim('rest', 162, 68, 162, 75),
  nockPoint: spot('knot', 96, 52),
  loop: dim('knot', 96, 96, 152, 96),
  loopPlace: spot('knot', 96, 75),
  kisser: dim('rest', 162, 58, 162, 75),
  cordLed: spot('rest', 100, 92),
  cordLimb: spot('rest', 110, 126),
  launcherClear: spot('behind', 110, 92),
  setScrews: spot('rest', 92, 66),
  restCord: spot('rest', 122, 104),
  launcherSet: spot('behind', 110, 84),
  downCableFound: spot('rest', 133, 104),
  cockVaneDown: spot('behind', 110, 75),
  cordSettled: spot('rest', 122, 104),
  cordTied: spot('rest', 122, 104),
  cableGuard: dim('above', 120, 78, 120, 108),
  vaneClearance: spot('above', 132, 92),
  peepHeight: dim('rest', 162, 46, 162, 75),
  peepTrueHeight: dim('drawn', 186, 60, 186, 75),
  peepRotation: spot('drawn', 186, 60),
  tubeSide: spot('drawn', 176, 52),
  tubeLength: dim('drawn', 186, 60, 150, 40),
  tubeTurn: spot('drawn', 186, 60),
  sightFitted: spot('rest', 82, 62),
  sightBase: spot('rest', 88, 62),
  housingHeight: dim('housing', 40, 50, 40, 75),
  housingWindage: dim('housing', 96, 132, 110, 132),
  lightFitted: spot('housing', 110, 26),
  firstAxis: spot('housing', 54, 75),
  secondAxis: spot('housing', 110, 110),
  thirdAxis: spot('housing', 110, 110),
  thirdAxisShot: spot('target', 110, 72),
  peepToPin: dim('drawn', 62, 46, 184, 46),
  arrowMass: spot('scale', 110, 62),
  arrowsCut: spot('above', 60, 92),
  arrowsGlued: spot('above', 40, 92),
  arrowsFletched: spot('above', 150, 92),
  arrowsSpun: spot('above', 96, 92),
  setWeighed: spot('scale', 110, 62),
  firstArrows: spot('target', 110, 72),
  archerWord: spot('drawn', 120, 80),
  paperTear: spot('paper', 118, 70),
  arrowSpeed: spot('gate', 120, 75),
  firstMark: spot('target', 110, 72),
  markShot: spot('target', 110, 72),
  speedOther: spot('gate', 120, 75),
  bareShaft: spot('target', 128, 60),
  walkBack: spot('target', 110, 96),
  pins: spot('housing', 110, 80),
  tape: spot('housing', 44, 90),
  quiverFitted: spot('rest', 104, 60),
  slingFitted: spot('rest', 88, 96),
  stabiliserFitted: spot('rest', 60, 100),
  bowMass: spot('scale', 110, 62),
  steadyTip: spot('behind', 110, 75),
  fasteners: spot('bolt', 110, 28),
};
