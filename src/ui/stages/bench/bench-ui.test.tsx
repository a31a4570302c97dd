import { act, fireEvent, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import {
  aBow,
  aFinishedJob,
  aPart,
  aReading,
  aShop,
  someone,
  aSnapshot,
  anItem,
  FINISHED,
  FULL_KIT,
} from '@/core/testing/fixtures';
import type { JobSnapshot } from '@/core/job';
import type { SetupKey } from '@/core/setup';
import { Shell } from '../../frame/Shell';
import { AgainStrip } from '../../job/AgainStrip';
import { useUndo } from '../../job/useUndo';
import { draftOf, keepDraft } from '../../keep/draft';
import { JobProvider } from '../../job/JobProvider';
import { ownClock } from '../../testing/own-clock';
import { LaneStage } from '../lane/LaneStage';
import { BenchStage } from './BenchStage';

let query = '';
const push = jest.fn();
jest.mock('next/navigation', () => ({
  useParams: () => ({ id: 'job-1' }),
  usePathname: () => '/jobs/job-1/bench',
  useSearchParams: () => new URLSearchParams(query),
  useRouter: () => ({ push }),
}));

interface Sent {
  readonly url: string;
  readonly body: {
    readonly place?: string;
    readonly seconds?: number;
    readonly stepId?: string;
    readonly command?: Record<string, unknown>;
  };
}
let sent: Sent[] = [];
/** The answer to every command: the job as it stands afterwards. */
let next: JobSnapshot;

beforeEach(() => {
  sent = [];
  query = '';
  window.sessionStorage.clear();
  global.fetch = jest.fn(async (url: string, init?: { body?: string }): Promise<object> => {
    if (!init?.body) return { ok: url === '/icon.svg', json: async () => null };
    const body = JSON.parse(init.body) as Sent['body'];
    sent.push({ url, body });
    return { ok: true, status: 200, json: async () => next };
  }) as never;
});

const commands = () => sent.flatMap(({ body }) => body.command ?? []);

function show(snapshot: JobSnapshot, at: string, stage = <BenchStage />) {
  query = at;
  next = { ...snapshot, job: { ...snapshot.job, version: snapshot.job.version + 1 } };
  return render(
    <Shell shop={aShop()} someone={someone()}>
      <JobProvider initial={snapshot}>
        {stage}
        <Strip />
      </JobProvider>
    </Shell>,
  );
}

function Strip() {
  const undoing = useUndo();
  return (
    <>
      <AgainStrip undoing={undoing} />
      {undoing.open}
    </>
  );
}

const fresh = (more: Partial<JobSnapshot> = {}) =>
  aSnapshot({
    job: { bowId: 'test-31-r' },
    rest: { bow: aBow(), parts: FULL_KIT, ...more },
  });
const without = (...keys: SetupKey[]) =>
  aFinishedJob({ rest: { readings: FINISHED.filter(({ key }) => !keys.includes(key)) } });
const main = () => within(screen.getByRole('main'));

describe('one step at a time', () => {
  test('what to do, tool, screws, who, how long, and a drawing of how it is measured', () => {
    show(fresh(), 'step=rest&value=restHeight');
    expect(main().getByRole('heading', { name: 'Mount the rest' })).toBeInTheDocument();
    expect(screen.getByText(/Start both screws, then tighten/)).toBeInTheDocument();
    expect(screen.getByText(/5\/32 in hex key · tight · no thread locker/)).toBeInTheDocument();
    expect(screen.getByText(/without the archer · about 9 min/)).toBeInTheDocument();
    expect(screen.getByRole('img', { name: 'Rest height: from behind' })).toBeInTheDocument();
  });

  test('what is missing before it is named', () => {
    show(fresh(), 'step=loop');
    expect(screen.getByText('First:').parentElement).toHaveTextContent('Find the nock height');
  });

  test('a choice is one tap, and says what it was', async () => {
    show(without('loopPlace'), 'step=loop&value=loopPlace');
    const answers = within(screen.getByRole('group', { name: 'Loop’s place' }));
    await userEvent.click(answers.getByRole('button', { name: 'both knots under the nock' }));
    expect(commands()).toEqual([
      { name: 'takeReadings', readings: [{ key: 'loopPlace', entered: '', choice: 'below' }] },
    ]);
  });

  test('a serial number takes every letter, those that are keys elsewhere too', async () => {
    show(without('serialNumber'), 'step=asItCame&value=serialNumber');
    await userEvent.type(screen.getByLabelText('Serial number'), 'ngz.h-31{Enter}');
    expect(commands()).toEqual([
      { name: 'takeReadings', readings: [{ key: 'serialNumber', entered: 'ngz.h-31' }] },
    ]);
  });

  test('digits go into the measuring field wherever the focus is, and a fraction after them', async () => {
    show(fresh(), 'step=brace&value=braceHeight');
    (document.activeElement as HTMLElement).blur();
    await userEvent.keyboard('6 1/2');
    expect(screen.getByLabelText('Brace height')).toHaveValue('6 1/2');
  });

  test('what is again is still so with one tap, and a double tap is one entry', async () => {
    const readings = [
      ...FINISHED,
      { ...FINISHED.find(({ key }) => key === 'limbTurnsUpper')!, seq: 900, si: 4 },
    ];
    ownClock();
    show(aFinishedJob({ rest: { readings } }), 'step=brace&value=braceHeight');
    const [still] = main().getAllByRole('button', { name: /^still/ });
    await userEvent.dblClick(still!);
    expect(commands()).toEqual([{ name: 'confirmReadings', keys: ['braceHeight'] }]);
  });

  test('an old entry is taken back only after a question a second tap does not answer', async () => {
    const event = {
      id: 7,
      version: 2,
      at: '2026-11-24T08:30:00.000Z',
      who: 'T. Okoro',
      summary: 'Brace height: 6 1/2 in',
      stage: 'bench',
      visit: 1,
      canUndo: true,
      canRedo: false,
    };
    const clock = ownClock();
    show(fresh({ events: [event] }), 'step=brace');
    await userEvent.dblClick(screen.getByRole('button', { name: /Undo/ }));
    const dialog = within(await screen.findByRole('dialog'));
    expect(dialog.getByText(/older than ten minutes/)).toBeInTheDocument();
    await userEvent.click(dialog.getByRole('button', { name: 'Take it back' }));
    expect(commands()).toEqual([]);
    await clock.pass(450);
    await userEvent.click(dialog.getByRole('button', { name: 'Take it back' }));
    expect(commands()).toEqual([{ name: 'undo', event: 7 }]);
  });

  test('a tick is one tap', async () => {
    show(without('silencing'), 'step=silence');
    await userEvent.click(screen.getByRole('button', { name: /Done: rest silenced/ }));
    expect(commands()).toEqual([
      { name: 'takeReadings', readings: [{ key: 'silencing', entered: '' }] },
    ]);
  });

  test('the school that decides it is changed for this job, the others stay', async () => {
    const job = fresh();
    show({ ...job, job: { ...job.job, schools: { cage: 'trimmed' } } }, 'step=centreShot');
    expect(screen.getByText(/Move the rest in or out/)).toBeInTheDocument();
    await userEvent.click(screen.getByRole('button', { name: 'by a second arrow' }));
    expect(commands()).toEqual([
      {
        name: 'setAnswers',
        job: { schools: { cage: 'trimmed', centreShot: 'secondArrow' } },
      },
    ]);
  });

  test.each([
    ['thread', /Stretch a thread over the middles/],
    ['secondArrow', /both shafts run side by side/],
    ['eye', /Look from behind/],
  ] as const)('by the school of the %s it says something else', (centreShot, words) => {
    const job = fresh();
    show({ ...job, job: { ...job.job, schools: { centreShot } } }, 'step=centreShot');
    expect(screen.getByText(words)).toBeInTheDocument();
  });

  test('what a change would ask for again stands there before it is done', () => {
    show(aFinishedJob(), 'step=twists');
    expect(
      screen.getByText(/Changed now, these \d+ are to be done again, about \d+ minutes/),
    ).toBeInTheDocument();
  });

  test('it is remembered with its step', () => {
    show(fresh(), 'step=loop');
    expect(sent.map(({ body }) => body.place)).toContain('bench?step=loop');
  });
});

describe('what is typed is kept', () => {
  test('also when another job comes between; taken, it is gone', async () => {
    const job = without('restHeight');
    const first = show(job, 'step=rest&value=restHeight');
    await userEvent.type(screen.getByLabelText('Rest height'), '1.2');
    first.unmount();
    show(job, 'step=rest&value=restHeight');
    expect(screen.getByLabelText('Rest height')).toHaveValue('1.2');
    fireEvent.submit(screen.getByLabelText('Rest height').closest('form')!);
    await screen.findByDisplayValue('');
    expect(commands()).toEqual([
      { name: 'takeReadings', readings: [{ key: 'restHeight', entered: '1.2' }] },
    ]);
    expect(draftOf('job-1.restHeight')).toBe('');
  });
  test('without storage a draft is only as long as its field', () => {
    const broken = jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new Error('switched off');
    });
    expect(() => keepDraft('x', '1')).not.toThrow();
    broken.mockRestore();
    expect(draftOf('x')).toBe('');
  });
});

describe('the clock of a step', () => {
  beforeEach(() => jest.useFakeTimers());
  afterEach(() => jest.useRealTimers());
  const clock = () => screen.queryByLabelText('Time on this step')?.textContent;
  const run = (seconds: number) => act(() => jest.advanceTimersByTime(seconds * 1000));

  test('runs by itself, stands while the bow waits, goes on where it stood', () => {
    const job = without('silencing');
    const first = show(job, 'step=silence');
    expect(clock()).toBe('0:00');
    run(65);
    expect(clock()).toBe('1:05');
    first.unmount();
    run(300);
    show(job, 'step=silence');
    run(5);
    expect(clock()).toBe('1:10');
  });

  test('a step that is done already has none', () => {
    show(aFinishedJob(), 'step=silence');
    expect(clock()).toBeUndefined();
  });

  test('once the step is done its time is told to the shop', async () => {
    const job = without('silencing');
    show(job, 'step=silence');
    run(90);
    next = { ...job, readings: [...job.readings, aReading(900, 'silencing', 1)] };
    await act(async () => {
      fireEvent.click(screen.getByRole('button', { name: /Done: rest silenced/ }));
      await jest.advanceTimersByTimeAsync(10);
    });
    const told = sent.find(({ url }) => url.endsWith('/times'));
    expect(told).toMatchObject({
      url: '/api/v1/jobs/job-1/times',
      body: { stepId: 'silence', seconds: 90 },
    });
  });
});

describe('the way from here', () => {
  test('every visit has its reason; the press says what has to be ready, and which parts', () => {
    const { container } = show(fresh(), 'step=rest');
    const visits = [...container.querySelectorAll('[data-part="visits"] > ol > li')];
    expect(visits.length).toBeGreaterThan(4);
    for (const visit of visits)
      expect(visit.querySelector('[data-part="visit-why"]')!.textContent).toMatch(
        /waits? for|again, since|nothing else/,
      );
    const press = visits.find((visit) => visit.textContent!.startsWith('Press'))!;
    expect(press.textContent).toContain('steps in one go');
    expect(press.textContent).toMatch(/Ready before:.*Tie the loop/);
    expect(press.textContent).toContain('at hand: peep.');
  });

  test('nothing left: the bench is done', () => {
    show(aFinishedJob(), '');
    expect(screen.getByText('The bench is done.')).toBeInTheDocument();
  });

  test('a shop’s own step stands among them', () => {
    const wax = {
      id: 'wax',
      title: 'Wax the string',
      say: 'Thinly.',
      station: 'vice' as const,
      archer: false,
      tool: 'wax',
      minutes: 3,
      needs: ['loop'],
      before: [],
      slot: null,
      dependsOn: [],
    };
    show(fresh({ shop: aShop({ steps: { edits: [], own: [wax] } }) }), 'step=wax');
    expect(main().getByRole('heading', { name: 'Wax the string' })).toBeInTheDocument();
    expect(screen.getByText('Thinly.')).toBeInTheDocument();
  });
});

describe('to do again', () => {
  const twisted = () =>
    aFinishedJob({ rest: { readings: [...FINISHED, aReading(900, 'stringTwists', -1)] } });

  test('the chain from what changed down to the value, with who and when', async () => {
    show(twisted(), 'step=rest');
    await userEvent.click(screen.getByRole('button', { name: 'why' }));
    const panel = within(screen.getByRole('dialog', { name: 'To do again, and why' }));
    expect(panel.getByText(/Until then the sheet is not to be handed over/)).toBeInTheDocument();
    expect(panel.getByText(/^twists → draw length · taken .*T\. Okoro$/)).toBeInTheDocument();
    expect(panel.getByRole('link', { name: 'Peep above the arrow' })).toHaveAttribute(
      'href',
      '/jobs/job-1/bench?step=trueHeights&value=peepTrueHeight',
    );
  });
  test('nothing stale: nothing to ask', () => {
    show(aFinishedJob(), 'step=rest');
    expect(screen.getByText('Nothing to do again.')).toBeInTheDocument();
    expect(screen.queryByRole('button', { name: 'why' })).toBeNull();
  });
});

describe('the sight for good, at the lane', () => {
  const lane = (snapshot: JobSnapshot, at = 'part=sight') => show(snapshot, at, <LaneStage />);

  test('a sight that slides: the tape, after the first distance', () => {
    lane(without('tape'));
    expect(
      screen.getByText(/The speed is measured and the first distance settled/),
    ).toBeInTheDocument();
    expect(screen.getByRole('button', { name: /Done: tape on the sight/ })).toBeInTheDocument();
  });

  test('several fixed pins: each settled, then its screw', () => {
    const pins = {
      ...FULL_KIT[1]!,
      ...aPart(anItem('sight', { slides: false, pins: 5, thirdAxis: false }), 'sight'),
    };
    lane(aFinishedJob({ rest: { parts: FULL_KIT.map((p) => (p.slot === 'sight' ? pins : p)) } }));
    expect(screen.getByText(/First pin as high as it goes/)).toBeInTheDocument();
  });

  test('third axis shot in: one more step, and none of it on the bench', () => {
    const job = aFinishedJob({ job: { schools: { thirdAxis: 'shotIn' } } });
    lane(job);
    expect(screen.getByRole('link', { name: /Shoot the third axis in/ })).toBeInTheDocument();
    expect(screen.getByRole('link', { name: /Stick the tape on/ })).toBeInTheDocument();
  });

  test('a sight that brings nothing along says so', () => {
    const own = { ...FULL_KIT[1]!, ...aPart(null, 'sight', { owned: true }) };
    lane(aFinishedJob({ rest: { parts: FULL_KIT.map((p) => (p.slot === 'sight' ? own : p)) } }));
    expect(screen.getByText(/brings nothing along/)).toBeInTheDocument();
  });
});
