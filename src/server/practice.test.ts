import { aFinishedJob, FINISHED, aReading } from '@/core/testing/fixtures';
import { told } from '@/core/testing/told';
import { derive, type JobSnapshot } from '@/core/job';
import { AIM_TOPICS } from '@/core/hold';
import { heldBow, practiceGroup, practiceTear, trueSpeed } from './practice';

const of = (changes: Parameters<typeof aFinishedJob>[0] = {}) => {
  const snapshot = aFinishedJob(changes);
  return [snapshot, derive(snapshot)] as const;
};
const plain = of();
const moved = of({ rest: { readings: [...FINISHED, aReading(900, 'centreShot', 22)] } });
const bowless: JobSnapshot = { ...plain[0], bow: null };
const aim = { distanceM: 30, dropMm: 9, pinRightMm: 0, pinUpMm: 0 };

describe('what a practice bow hides', () => {
  test('its speed is the prediction, some hundredths off, the same each time', () => {
    const speed = trueSpeed(...plain)!;
    const predicted = plain[1].context.predictedSpeed!.speedMps;
    expect(Math.abs(speed / predicted - 1)).toBeLessThan(0.06);
    expect(speed).not.toBe(predicted);
    expect(trueSpeed(...of())).toBe(speed);
    expect(trueSpeed(bowless, derive(bowless))).toBeNull();
  });
  test('another ticket hides another bow', () => {
    const other = of({ job: { number: 2002 } });
    expect(trueSpeed(...other)).not.toBe(trueSpeed(...plain));
    expect(practiceTear(...other)).not.toEqual(practiceTear(...plain));
  });
  test('its tear is long enough to see, and goes with the rest', () => {
    const { rightMm, upMm } = practiceTear(...plain);
    expect(Math.hypot(rightMm, upMm)).toBeGreaterThan(8.9);
    expect(Math.hypot(rightMm, upMm)).toBeLessThan(15.1);
    expect(practiceTear(...moved).upMm).toBeCloseTo(upMm, 9);
  });
  test('a pin a millimetre lower on the sight lifts the group by the eye’s lever', () => {
    const group = practiceGroup(...plain, aim)!;
    const lower = practiceGroup(...plain, { ...aim, dropMm: 10 })!;
    // (30 m + 0.75 m) / 0.75 m.
    expect(lower.upMm - group.upMm).toBeCloseTo(41, 6);
    expect(lower.rightMm).toBe(group.rightMm);
    expect(group).toMatchObject({ rightMm: 0, sigmaMm: 24 });
  });
  test('before the first mark the pin has an error of its own, which moving it takes away', () => {
    const first = of({ rest: { readings: FINISHED.filter(({ key }) => key !== 'firstMark') } });
    const there = practiceGroup(...first, { ...aim, distanceM: 18, dropMm: 0 })!;
    const right = practiceGroup(...first, { ...aim, distanceM: 18, dropMm: 0, pinRightMm: 1 })!;
    const up = practiceGroup(...first, { ...aim, distanceM: 18, dropMm: 0, pinUpMm: 1 })!;
    expect(right.rightMm - there.rightMm).toBeCloseTo(-25, 6);
    expect(up.upMm - there.upMm).toBeCloseTo(-25, 6);
    expect(Math.abs(there.rightMm)).toBeGreaterThan(0.5);
  });
  test('nothing flies without a bow, or past its reach', () => {
    expect(practiceGroup(bowless, derive(bowless), aim)).toBeNull();
    expect(practiceGroup(...plain, { ...aim, distanceM: 5000 })).toBeNull();
  });
  test('of two ways to stand one is weaker; a set-up of the bow and plain shots are held as they are', () => {
    const rest = (topic: string, way: string) => heldBow(...plain, { topic, way })!.archer.restMrad;
    const usual = rest('shots', 'shot');
    for (const { id, ways } of AIM_TOPICS) {
      const [first, second] = ways;
      expect(rest(id, first[0])).toBe(usual);
      if (!second) continue;
      if (id === 'setUps') expect(rest(id, second[0])).toBe(usual);
      else {
        expect(rest(id, second[0])).toBeGreaterThan(usual);
        expect(rest(id, second[0])).toBeLessThan(1.6 * usual + 1e-9);
      }
    }
    expect(rest('nothing', 'such')).toBe(usual);
    expect(heldBow(bowless, derive(bowless), { topic: 'shots', way: 'shot' })).toBeNull();
  });
  test('all of it, as it was when somebody last read it', () => {
    expect(
      told(
        [plain, moved].map((job) => [
          trueSpeed(...job),
          practiceTear(...job),
          practiceGroup(...job, aim),
          heldBow(...job, { topic: 'open', way: 'open' }),
        ]),
      ),
    ).toMatchSnapshot();
  });
});
