import { aBow, aFinishedJob, aReading, FINISHED } from '../testing/fixtures';
import { told } from '../testing/told';
import { OWN_BOW_ID } from '../bow';
import {
  derive,
  drawnBows,
  jobMarks,
  jobSpeed,
  jobTape,
  levelCosts,
  levelFlight,
  limbBoltAdvice,
  markDistances,
  type TapeWish,
} from '.';
import { mps, metre, type Metre } from '../units';

/* Of one finished job: kept as it was when somebody last read it (`npx jest job/kept -u`, then `git diff`). */
const of = (...more: ReturnType<typeof aReading>[]) => {
  const snapshot = aFinishedJob({ rest: { readings: [...FINISHED, ...more] } });
  return [snapshot, derive(snapshot)] as const;
};
const without = (...keys: string[]) => {
  const snapshot = aFinishedJob({
    rest: { readings: FINISHED.filter(({ key }) => !keys.includes(key)) },
  });
  return [snapshot, derive(snapshot)] as const;
};
const heavy = aReading(900, 'speedOther', 66.4, { si2: 27.9 });

test.each<[string, ReturnType<typeof of>]>([
  ['one arrow shot', of()],
  ['two arrows shot', of(heavy)],
  [
    'two arrows shot, the weight changed since',
    of(heavy, aReading(901, 'peakWeight', 210, { si2: 5 })),
  ],
  ['no arrow weighed', without('arrowMass')],
  ['no speed measured', without('arrowSpeed')],
])('speed: %s', (_, [, derived]) => expect(told(jobSpeed(derived))).toMatchSnapshot());

test.each<[string, ReturnType<typeof of>]>([
  ['the first distance alone', of()],
  [
    'three distances',
    of(aReading(900, 'markShot', 30, { si2: 7.6 }), aReading(901, 'markShot', 50, { si2: 23.5 })),
  ],
  [
    'a distance that cannot be',
    of(aReading(900, 'markShot', 30, { si2: 40 }), aReading(901, 'markShot', 50, { si2: 23.5 })),
  ],
  ['no speed', without('arrowSpeed')],
  ['no peep', without('peepTrueHeight', 'peepToPin')],
  ['nothing shot yet', without('firstMark')],
])('marks: %s', (_, [snapshot, derived]) => {
  const marks = jobMarks(derived, markDistances(60, 'm'));
  const level = levelFlight(derived);
  const at: readonly Metre[] = [20, 40].map(metre);
  expect(
    told({
      marks,
      level: level && [
        levelCosts(level.flight, metre(18), at),
        levelCosts(level.flight, metre(18), at, -2),
        level.usual,
      ],
      far: level && levelCosts({ ...level.flight, speedMps: mps(12) }, metre(18), at),
      bolts: limbBoltAdvice(snapshot, derived),
    }),
  ).toMatchSnapshot();
});

test('distances of marks', () => {
  expect(
    [null, 12, 30, 47, 500].flatMap((furthest) =>
      (['m', 'yd'] as const).map((unit) => {
        const all = markDistances(furthest, unit);
        return [furthest, unit, all.length, all[0]!.toFixed(3), all.at(-1)!.toFixed(3)].join(' ');
      }),
    ),
  ).toMatchSnapshot();
});

test('tapes of a job, with its neighbours, in thin air, and where they do not all fit', () => {
  const [snapshot, derived] = of();
  const wish = {
    ...{
      unit: 'm',
      numbersEvery: 10,
      side: 'right',
      lineMm: 0.3,
      widthMm: 12,
      from: 18,
      to: 60,
      ratio: 1,
    },
    ...{ paper: 'A4', neighbours: 1, stepMps: 1.5, temperatureC: 15, heightM: 0 },
  } as const;
  const tape = (changes: object, job = derived) => {
    const answer = jobTape(snapshot, job, { ...wish, ...changes } as TapeWish);
    if (!answer.ok) return answer;
    const { sheet, own, ...rest } = answer;
    const words = sheet.items.flatMap((item) => (item.kind === 'text' ? [item.text] : []));
    return { ...rest, words, length: own.lengthMm, strips: sheet.strips.map(({ x, y }) => [x, y]) };
  };
  expect(
    told([
      tape({}),
      tape({ unit: 'yd', from: 20, to: 50, heightM: 1500, temperatureC: 30, paper: 'LETTER' }),
      tape({ neighbours: 8 }),
      tape({ from: 60, to: 18 }),
      tape({}, without('arrowSpeed', 'peepTrueHeight')[1]),
    ]),
  ).toMatchSnapshot();
});

test('the bows of a draw-off stand in their order; one that left the shop ends it, their own is told apart', () => {
  const bows = [aBow(), aBow({ id: 'other', model: 'Other 33' })];
  const found = drawnBows(['other', OWN_BOW_ID, bows[0]!.id], bows, {
    oldAxle: 812,
    oldPeak: 200,
    oldHolding: 50,
  })!;
  expect(
    found.map(({ id, short, axleToAxleMm, letOff }) => [id, short, axleToAxleMm, letOff]),
  ).toEqual([
    ['other', 'Other 33', 787, 0.8],
    [OWN_BOW_ID, 'their own bow', 812, 0.75],
    [bows[0]!.id, 'Probe 31', 787, 0.8],
  ]);
  expect(drawnBows(['other', 'gone'], bows, {})).toBeNull();
  expect(drawnBows([OWN_BOW_ID], bows, {})).toMatchObject([
    { bow: null, axleToAxleMm: null, letOff: null },
  ]);
});

test.each<[string, number | null, number | null, [number | null, number | null]]>([
  ['no goal, not weighed', null, null, [null, null]],
  ['a goal, not weighed', 200, null, [200, null]],
  ['weighed without a goal: that is what counts', null, 190, [190, null]],
  ['weighed as the goal is, within a fiftieth', 190, 193, [190, null]],
  ['weighed at another', 190, 200, [190, 200]],
])('parts are judged by the weight to be set: %s', (_, goalN, weighedN, wanted) => {
  const readings = FINISHED.filter(({ key }) => key !== 'peakWeight');
  const weighed = weighedN === null ? [] : [aReading(900, 'peakWeight', weighedN, { si2: 6 })];
  const job = aFinishedJob({
    job: { peakTargetN: goalN },
    rest: { readings: [...readings, ...weighed], fitReadings: [] },
  });
  const { peakN, weighedN: other } = derive(job).kitContext;
  expect([peakN, other]).toEqual(wanted);
});
