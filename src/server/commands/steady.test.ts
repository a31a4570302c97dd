import type { JobSnapshot } from '@/core/job';
import { told } from '@/core/testing/told';
import type { Db } from '@/data/db';
import { pretendNow } from '../clock';
import { loadSnapshot } from '../load-snapshot';
import { demoAt, demoJobs } from '../testing/demo-db';
import { problemOf } from '../testing/problem-of';
import { runCommand } from '.';

let db: Db;
let id: string;
beforeEach(() => {
  db = demoAt();
  id = demoJobs(db).get('Ilse')!.job.id;
});
afterEach(() => {
  db.close();
  pretendNow(null);
});
const now = () => loadSnapshot(id, db)!;
const BAR = {
  ...{ thread: 0, barId: 'stabiliser-stab-10', mountId: null },
  ...{ downDeg: 0, sideDeg: 0, slideMm: 0, discId: null, discs: 0 },
};
const rearThread = () => {
  const threads = now().bow!.barThreads ?? [];
  return Math.max(
    0,
    threads.findIndex(({ spot }) => spot === 'rear' || spot === 'side'),
  );
};
const mount = (front: object | null, rear: object | null = null): JobSnapshot =>
  runCommand(
    id,
    { version: now().job.version, who: 'T', command: { name: 'mountBars', front, rear } },
    db,
  );
const values = ({ readings }: JobSnapshot) =>
  Object.fromEntries(
    readings
      .filter(({ key }) => /^(front|rear)(Bar|Discs)/.test(key))
      .map(({ key, si, choice, entered }) => [key, `${si} ${choice} ${entered}`]),
  );

describe('bars that are mounted', () => {
  test('in front alone: its values say which, how it stands, how many discs; the other side is none', () => {
    const then = mount({ ...BAR, discId: 'weights-drei', discs: 2 });
    expect(then.events[0]!.summary).toBe('Bars: Kantholz Stab 10 in front, 2 discs; no rear bar');
    expect(values(then)).toMatchObject({
      frontBarDown: '0 null 0°',
      frontDiscs: '2 null 2',
      rearBar: 'null none none',
      rearDiscs: '0 null 0',
    });
    const { set } = then.readings.findLast(({ key }) => key === 'frontBar')!.data as {
      set: { discs: object; bar: { lengthMm: number }; spot: string };
    };
    expect(set).toMatchObject({ spot: 'front', discs: { id: 'weights-drei', count: 2 } });
    expect(set.bar.lengthMm).toBeCloseTo(254, 0);
  });
  test('one disc is a disc, no disc is not spoken of', () => {
    expect(mount({ ...BAR, discId: 'weights-drei', discs: 1 }).events[0]!.summary).toContain(
      ', 1 disc;',
    );
    expect(mount(BAR).events[0]!.summary).toBe('Bars: Kantholz Stab 10 in front; no rear bar');
    // Discs of a kind, and none of them, are no discs.
    expect(values(mount({ ...BAR, discId: 'weights-drei' }))).toMatchObject({
      frontDiscs: '0 null 0',
    });
  });
  test('at the back in a mount: turned out, down, slid; all of it is kept', () => {
    db.prepare("UPDATE catalogue_item SET stock = 1 WHERE id = 'mount-schiene'").run();
    const rear = {
      ...BAR,
      ...{ thread: rearThread(), barId: 'rear-203', mountId: 'mount-schiene' },
      ...{ downDeg: 20, sideDeg: 30, slideMm: 15, discId: 'weights-fuenf', discs: 2 },
    };
    const then = mount(null, rear);
    expect(told([then.events[0]!.summary, values(then)])).toMatchSnapshot();
    // What hangs on the bow stays known when the same is asked again.
    expect(values(mount(null, { ...rear, discs: 1 }))).toMatchObject({ rearDiscs: '1 null 1' });
  });
  test.each<[string, object | null, object | null, string]>([
    ['a thread the bow has not', { ...BAR, thread: 7 }, null, 'no-thread'],
    ['a bar nobody has', { ...BAR, barId: 'nobody' }, null, 'no-such-bar'],
    ['a rear bar in front', { ...BAR, barId: 'rear-203' }, null, 'no-such-bar'],
    ['a mount nobody has', null, { ...BAR, barId: 'rear-203', mountId: 'nobody' }, 'no-such-mount'],
    ['discs nobody has', { ...BAR, discId: 'nobody', discs: 1 }, null, 'no-such-disc'],
    [
      'more discs than it takes',
      { ...BAR, discId: 'weights-drei', discs: 20 },
      null,
      'too-many-discs',
    ],
    ['down without a mount', { ...BAR, downDeg: 1 }, null, 'angle-too-large'],
    ['to the side in front', { ...BAR, sideDeg: 1 }, null, 'angle-too-large'],
    [
      'further down than the mount goes',
      null,
      { ...BAR, barId: 'rear-203', mountId: 'mount-versatz', downDeg: 90 },
      'angle-too-large',
    ],
  ])('%s is refused, and nothing is kept', (_, front, rear, reason) => {
    const before = now().job.version;
    expect(problemOf(() => mount(front, rear)).reason).toBe(reason);
    expect(now().job.version).toBe(before);
  });
  test('more discs of a kind than there are, both sides together', () => {
    db.prepare("UPDATE catalogue_item SET stock = 1 WHERE id = 'weights-drei'").run();
    const two = { discId: 'weights-drei', discs: 2 };
    const rear = { ...BAR, ...two, thread: rearThread(), barId: 'rear-203' };
    const answer = problemOf(() => mount({ ...BAR, ...two }, rear));
    expect([answer.reason, answer.more.detail]).toMatchSnapshot();
    expect(() => mount({ ...BAR, ...two, discs: 1 }, rear)).not.toThrow();
  });
});
