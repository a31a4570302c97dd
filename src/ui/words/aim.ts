/** Words of the aim. */
const side = (degrees: number) => {
  const names = [
    'the right',
    'above right',
    'above',
    'above left',
    'the left',
    'below left',
    'below',
    'below right',
  ];
  return names[((Math.round(degrees / 45) % 8) + 8) % 8]!;
};
const chance = (p: number) =>
  p < 0.001 ? 'chance alone: under 1 in 1000' : `chance alone: ${Math.round(100 * p) || 1} in 100`;

export const aimWords = {
  title: 'Aim',
  shots: (n: number) => (n === 1 ? 'one shot' : `${n} shots`),
  topic: 'What is asked',
  next: (way: string) => `Next: ${way}`,
  nextOf: (n: number) => `shot ${n}`,
  plan: 'In turn, A B B A: who tires, tires with both.',
  record: 'Listen to the sensor',
  again: 'Next shot',
  keep: 'Keep this shot',
  drop: 'Not this one',
  stop: 'Stop',
  live: (n: number) => `${n} samples`,
  lost: (message: string) => `${message} What came is here: keep it, or shoot again.`,
  bad: (n: number) => `${n} lines could not be read and were passed over.`,
  file: 'Read a trace from a file',
  fileHow: 'CSV with its units in the first line: time_s, right_mrad, up_mrad.',
  save: 'Save this trace',
  none: 'No shot yet. The practice archer aims the job’s bow as it is mounted, so that this can be learned without a sensor.',
  hold: 'Hold',
  radius: 'Radius',
  atDistance: (mm: string, distance: string, spot: string) =>
    `${mm} at ${distance}, their spot is ${spot}`,
  spot: 'Their spot, across',
  wander: 'Wander',
  wanderOf: (sideways: string) => `${sideways} % sideways, the rest up and down`,
  drift: 'Drift',
  driftOf: (right: string, up: string) => `${right} and ${up} in a second`,
  quick: 'Mostly',
  slow: 'slow wander, under half a swing in a second',
  hertz: (hz: string) => `${hz} swings in a second`,
  tremble: (hz: string) => `a tremble, ${hz} in a second`,
  comes: 'Comes on',
  comesFrom: (degrees: number) => `from ${side(degrees)}`,
  leaves: 'Leaves',
  leavesTo: (degrees: number) => `to ${side(degrees)}`,
  play: 'Play',
  slowly: 'Slowly',
  playing: 'Stop',
  leaveOut: 'Leave out',
  why: 'Why it does not count',
  takeIn: 'Take in again',
  out: (reason: string) => `left out: ${reason}`,
  set: 'Every shot',
  repeats: 'What repeats',
  tooFew: (n: number) => `${n} of 5: what repeats is told from five shots on.`,
  nothingRepeats: 'Nothing that chance would not show as well.',
  found: {
    comesOn: (count: number, of: number, degrees: number | null) =>
      `Comes on from ${side(degrees ?? 0)} in ${count} of ${of}: alike, leave it.`,
    comesOnMixed: () =>
      'Comes on now from one side, now from another: the same way each time is worth trying.',
    sideways: (count: number, of: number) =>
      `Wanders sideways in ${count} of ${of}: try the rear bar a notch out, or the feet.`,
    upright: (count: number, of: number) =>
      `Wanders up and down in ${count} of ${of}: try less mass in front, or the draw length a touch shorter.`,
    sinks: (count: number, of: number) =>
      `Sinks in ${count} of ${of} holds: try a disc less in front, or a shorter hold.`,
    climbs: (count: number, of: number) =>
      `Climbs in ${count} of ${of} holds: try a disc more in front.`,
    longer: (_count: number, _of: number, seconds: number | null) =>
      `The longer the hold the wilder: let down and begin anew past ${(seconds ?? 0).toFixed(0)} s.`,
    trembles: (count: number, of: number) =>
      `Trembles in ${count} of ${of}: less weight or a rest between shots is worth trying.`,
  },
  chance,
  compare: 'The two held against each other',
  needTwo: (a: number, b: number) =>
    `${a} and ${b} shots count; two of each are the least, eight of each show a clear difference.`,
  verdict: {
    better: (b: string, a: string) => `Stiller ${b} than ${a}`,
    worse: (b: string, a: string) => `Less still ${b} than ${a}`,
    notShown: () => 'No difference shown',
  },
  means: (a: string, meanA: string, b: string, meanB: string) =>
    `${a} ${meanA}, ${b} ${meanB} mrad`,
  interval: (low: string, high: string) =>
    `The difference lies between ${low} and ${high} mrad, 95 in 100.`,
  needed: (all: number, had: number) =>
    all > had
      ? `${all - had} more of each would show a tenth, ${all} in all.`
      : `${all} of each show a tenth: there are enough.`,
  full: 'That is a full answer: keep what is liked, or shoot more.',
  because: {
    hold: 'The hold is from where the aim settled up to the release; its radius is the root mean square about its middle.',
    test: 'Every way of dividing these shots into two is counted: how many differ as much by chance alone is the p. Under 5 in 100 it is called a difference.',
    score: 'No score: two good archers hold differently, and few shots show little.',
  },
  map: 'The path of the aim',
  legend: 'thin coming on · thick holding · dotted after · cross the release',
} as const;
