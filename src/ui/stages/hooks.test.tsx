import type { ReactNode } from 'react';
import { act, renderHook } from '@testing-library/react';
import {
  A_FIT,
  aBow,
  aFinishedJob,
  aFitReading,
  aShop,
  someone,
  aSnapshot,
} from '@/core/testing/fixtures';
import type { JobSnapshot } from '@/core/job';
import { mm } from '@/core/units';
import { Shell } from '../frame/Shell';
import { JobProvider } from '../job/JobProvider';
import { useTrials } from './fit/useTrials';
import { useLengthTake } from './fit/useLengthTake';
import { useArrowSet } from './kit/useArrowSet';
import { useGroup } from './lane/useGroup';
import { useTapeWish } from './lane/useTapeWish';
import { useTear } from './lane/useTear';

const push = jest.fn();
jest.mock('next/navigation', () => ({
  useParams: () => ({ id: 'job-1' }),
  usePathname: () => '/jobs/job-1/lane',
  useSearchParams: () => new URLSearchParams(),
  useRouter: () => ({ push }),
}));

let sent: Record<string, unknown>[] = [];
let refuse = '';
let now: JobSnapshot;

beforeEach(() => {
  sent = [];
  refuse = '';
  push.mockClear();
  window.sessionStorage.clear();
  global.fetch = jest.fn(async (url: string, init?: { body?: string }): Promise<object> => {
    if (!init?.body) return { ok: url === '/icon.svg', json: async () => null };
    const { command } = JSON.parse(init.body) as { command?: Record<string, unknown> };
    if (command) sent.push(command);
    return refuse === ''
      ? { ok: true, status: 200, json: async () => now }
      : { ok: false, status: 422, json: async () => ({ detail: refuse, errors: [] }) };
  }) as never;
});

/** A hook as the screens of a job call it. */
function inJob<T>(hook: () => T, snapshot: JobSnapshot) {
  now = { ...snapshot, job: { ...snapshot.job, version: snapshot.job.version + 1 } };
  const wrapper = ({ children }: { children: ReactNode }) => (
    <Shell shop={aShop()} someone={someone()}>
      <JobProvider initial={snapshot}>{children}</JobProvider>
    </Shell>
  );
  const { result } = renderHook(hook, { wrapper });
  return {
    get: () => result.current,
    do: (what: (now: T) => unknown) => act(async () => void (await what(result.current))),
  };
}

describe('a tear', () => {
  test('a tap on the paper is text in whole millimetres, from the point’s hole where that is elsewhere', async () => {
    const tear = inJob(useTear, aFinishedJob());
    await tear.do(({ tap }) => tap({ rightMm: -12.4, upMm: 3.6 }));
    expect(tear.get().text).toEqual({ right: '-12 mm', up: '4 mm' });
    expect(tear.get().tear).toEqual({ rightMm: -12, upMm: 4 });
    await tear.do(({ setTapping }) => setTapping('point'));
    await tear.do(({ tap }) => tap({ rightMm: 5.2, upMm: -1.4 }));
    expect([tear.get().tapping, tear.get().point]).toEqual(['nock', { rightMm: 5, upMm: -1 }]);
    await tear.do(({ tap }) => tap({ rightMm: -12, upMm: 4 }));
    expect(tear.get().text).toEqual({ right: '-17 mm', up: '5 mm' });
  });
  test('what cannot be read is said, and nothing is sent; noted it leaves the fields', async () => {
    const tear = inJob(useTear, aFinishedJob());
    await tear.do(({ setText }) => setText({ right: '900 mm', up: '1 mm' }));
    await tear.do(({ submit }) => submit());
    expect(tear.get().trouble).not.toBe('');
    expect(sent).toEqual([]);
    await tear.do(({ setText }) => setText({ right: '-3 mm', up: '1 mm' }));
    expect(tear.get().trouble).toBe('');
    await tear.do(({ submit }) => submit());
    expect(sent).toEqual([{ name: 'takeTear', right: '-3 mm', up: '1 mm', distance: '2 m' }]);
    expect(tear.get().text).toEqual({ right: '', up: '' });
  });
  test('paper further off than three steps is told', async () => {
    const tear = inJob(useTear, aFinishedJob());
    expect(tear.get().tooFar).toBe(false);
    await tear.do(({ setDistance }) => setDistance('3 m'));
    expect(tear.get().tooFar).toBe(true);
  });
});

describe('a group', () => {
  const hit = (rightMm: number, upMm: number) => ({ rightMm: mm(rightMm), upMm: mm(upMm) });
  test('closer and wider end where there is nothing more to see', async () => {
    const group = inJob(() => useGroup(762), aFinishedJob());
    expect(group.get().halfMm).toBe(300);
    await group.do(({ closer }) => closer!());
    expect([group.get().halfMm, group.get().closer]).toEqual([150, null]);
    for (let i = 0; i < 3; i++) await group.do(({ wider }) => wider!());
    expect([group.get().halfMm, group.get().wider]).toEqual([1200, null]);
  });
  test('hits stay until they are confirmed, and the last can be taken away', async () => {
    const group = inJob(() => useGroup(762), aFinishedJob());
    for (const at of [hit(10, 5), hit(12, 1), hit(8, 3)]) await group.do(({ add }) => add(at));
    expect(group.get().hits).toHaveLength(3);
    await group.do(({ removeLast }) => removeLast());
    expect(group.get().hits).toEqual([hit(10, 5), hit(12, 1)]);
    await group.do(({ confirm }) => confirm(false));
    expect(sent).toHaveLength(1);
    expect(sent[0]).toMatchObject({ name: 'takeGroup', hits: [hit(10, 5), hit(12, 1)] });
    // They stand until the screen is drawn anew; then there is nothing left of them.
    expect(inJob(() => useGroup(762), aFinishedJob()).get().hits).toEqual([]);
  });
  test('refused nothing is lost', async () => {
    refuse = 'Three arrows at least.';
    const group = inJob(() => useGroup(762), aFinishedJob());
    await group.do(({ add }) => add(hit(10, 5)));
    await group.do(({ confirm }) => confirm(false));
    expect([group.get().trouble, group.get().hits]).toEqual([refuse, [hit(10, 5)]]);
  });
});

describe('a tape’s wishes', () => {
  const start = aFinishedJob();
  test('a number half typed stands as typed and changes nothing', async () => {
    const tape = inJob(useTapeWish, start);
    const before = tape.get().wish.widthMm;
    await tape.do(({ type }) => type('widthMm', '1,'));
    expect([tape.get().textOf('widthMm'), tape.get().isWrong('widthMm')]).toEqual(['1,', false]);
    await tape.do(({ type }) => type('widthMm', 'x'));
    expect([tape.get().textOf('widthMm'), tape.get().isWrong('widthMm')]).toEqual(['x', true]);
    expect(tape.get().wish.widthMm).not.toBe(before);
    expect(tape.get().wish.widthMm).toBe(1);
  });
  test('wishes outlive the screen and stand in the link to the print', async () => {
    const tape = inJob(useTapeWish, start);
    await tape.do(({ change }) => change({ side: 'right', neighbours: 2 }));
    const again = inJob(useTapeWish, start);
    expect(again.get().wish).toMatchObject({ side: 'right', neighbours: 2 });
    const query = new URLSearchParams(again.get().link('svg').split('?')[1]);
    expect([query.get('format'), query.get('side'), query.get('neighbours')]).toEqual([
      'svg',
      'right',
      '2',
    ]);
  });
});

describe('a set of arrows', () => {
  test('masses in the shop’s unit go behind those that are there', async () => {
    const before = aFinishedJob();
    const set = inJob(useArrowSet, {
      ...before,
      job: { ...before.job, arrows: { ...before.job.arrows, massesG: [24.1 as never] } },
    });
    await set.do(({ setTyped }) => setTyped('372 371.5'));
    await set.do(({ enter }) => enter());
    const [command] = sent as { massesG: number[] }[];
    // A grain is 64.79891 mg.
    expect(command!.massesG.map((mass) => mass.toFixed(2))).toEqual(['24.10', '24.11', '24.07']);
    expect(set.get().typed).toBe('');
  });
  test('what is no mass is said and stays typed', async () => {
    const set = inJob(useArrowSet, aFinishedJob());
    await set.do(({ setTyped }) => setTyped('372 abc'));
    await set.do(({ enter }) => enter());
    expect([set.get().typed, set.get().wrong === '', sent]).toEqual(['372 abc', false, []]);
  });
});

describe('a draw-length reading', () => {
  const taken = jest.fn();
  beforeEach(() => taken.mockClear());
  const job = aSnapshot({ rest: { bow: aBow(), fitReadings: [...A_FIT] } });
  test('a usual one is taken without a question', async () => {
    const length = inJob(() => useLengthTake('wallToMouth', taken), {
      ...job,
      fitReadings: [aFitReading(1, 'armSpan', mm(1727))],
    });
    await length.do(({ take }) => take('27 1/2 in'));
    expect(sent).toEqual([
      { name: 'takeReadings', readings: [{ key: 'wallToMouth', entered: '27 1/2 in' }] },
    ]);
    expect(taken).toHaveBeenCalledTimes(1);
  });
  test('one that is no length is refused where it stands', async () => {
    const length = inJob(() => useLengthTake('wallToMouth', taken), job);
    let answer: unknown;
    await length.do(async ({ take }) => {
      answer = await take('27 1/2 lb');
    });
    expect(answer).toMatchObject({ message: expect.any(String) });
    expect([sent, taken.mock.calls]).toEqual([[], []]);
  });
});

describe('trials of the draw weight', () => {
  const fit = (outcome: 'smooth' | 'pain') => {
    const finished = aFinishedJob();
    const hand = finished.archer.hand;
    return { ...finished, fitReadings: [{ ...aFitReading(7, 'weightTrial', 200, outcome), hand }] };
  };
  test('a trial goes with how it went and how long it was held; then the watch is a new one', async () => {
    const trials = inJob(useTrials, fit('smooth'));
    trials.get().entered.current = '42 lb';
    await trials.do(({ hold }) => hold(11.4));
    await trials.do(({ take }) => take('smooth')());
    await trials.do(({ take }) => take('failed')());
    expect(sent.map(({ readings }) => (readings as object[])[0])).toEqual([
      {
        key: 'weightTrial',
        entered: '42 lb',
        choice: 'smooth',
        entered2: expect.stringMatching(/^11/),
      },
      { key: 'weightTrial', entered: '42 lb', choice: 'failed' },
    ]);
    expect(trials.get().watch).toBe(2);
  });
  test('refused, the seconds held stay for the next try', async () => {
    const trials = inJob(useTrials, fit('smooth'));
    refuse = 'Too heavy for this bow';
    await trials.do(({ hold }) => hold(9));
    await trials.do(({ take }) => take('strained')());
    refuse = '';
    // Not the same again: that at once would be a double tap.
    await trials.do(({ take }) => take('failed')());
    const held = sent.map(({ readings }) => (readings as { entered2?: string }[])[0]!.entered2);
    expect(held).toEqual(['9.0', '9.0']);
    expect(trials.get().watch).toBe(1);
  });
  test('what hurt stops the trials until it is agreed to go on', async () => {
    expect(inJob(useTrials, fit('smooth')).get().hurt).toBe(false);
    const trials = inJob(useTrials, fit('pain'));
    expect(trials.get().hurt).toBe(true);
    await trials.do(({ agree }) => agree());
    expect(trials.get().hurt).toBe(false);
  });
});
