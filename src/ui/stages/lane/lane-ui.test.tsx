import { act, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import {
  aBow,
  aFinishedJob,
  aPart,
  aReading,
  aShop,
  someone,
  anItem,
  FINISHED,
  FULL_KIT,
} from '@/core/testing/fixtures';
import type { JobSnapshot } from '@/core/job';
import { MOVED_BY_PAPER, type Reading, type SetupKey } from '@/core/setup';
import { Shell } from '../../frame/Shell';
import { JobProvider } from '../../job/JobProvider';
import { LaneStage } from './LaneStage';

let query = '';
jest.mock('next/navigation', () => ({
  useParams: () => ({ id: 'job-1' }),
  usePathname: () => '/jobs/job-1/lane',
  useSearchParams: () => new URLSearchParams(query),
  useRouter: () => ({ push: jest.fn() }),
}));
jest.mock('next/dynamic', () => () => () => null);

let sent: Record<string, unknown>[] = [];
let next: JobSnapshot;
/** What the next command is refused with; taken where empty. */
let refuse = '';

/** A device under the test's hands: what it says is said by the test. */
class Ear {
  static last: Ear | null = null;
  private readonly heard = new Map<string, (event: { data: string }) => void>();
  onerror: (() => void) | null = null;
  constructor(readonly url: string) {
    Ear.last = this;
  }
  addEventListener(name: string, take: (event: { data: string }) => void) {
    this.heard.set(name, take);
  }
  close() {}
  say(name: string, data: string) {
    act(() => this.heard.get(name)?.({ data: JSON.stringify(data) }));
  }
  cut() {
    act(() => this.onerror?.());
  }
}

beforeEach(() => {
  sent = [];
  query = '';
  refuse = '';
  window.sessionStorage.clear();
  window.localStorage.clear();
  (globalThis as { EventSource?: unknown }).EventSource = Ear;
  global.fetch = jest.fn(async (url: string, init?: { body?: string }): Promise<object> => {
    if (!init?.body) return { ok: url === '/icon.svg', json: async () => null };
    const body = JSON.parse(init.body) as { command?: Record<string, unknown> };
    if (body.command) sent.push(body.command);
    return refuse === ''
      ? { ok: true, status: 200, json: async () => next }
      : { ok: false, status: 422, json: async () => ({ detail: refuse, errors: [] }) };
  }) as never;
});

function show(snapshot: JobSnapshot, at: string) {
  query = at;
  next = { ...snapshot, job: { ...snapshot.job, version: snapshot.job.version + 1 } };
  return render(
    <Shell shop={aShop()} someone={someone()}>
      <JobProvider initial={snapshot}>
        <LaneStage />
      </JobProvider>
    </Shell>,
  );
}
const main = () => within(screen.getByRole('main'));
const type = async (label: string, text: string) => {
  const field = main().getByLabelText(label);
  await userEvent.clear(field);
  await userEvent.type(field, text);
};
const press = (name: string | RegExp) => userEvent.click(main().getByRole('button', { name }));

/** A finished job with more readings after it. */
const after = (...rows: [SetupKey, number | null, Partial<Reading>?][]): JobSnapshot =>
  aFinishedJob({
    rest: {
      readings: [
        ...FINISHED,
        ...rows.map(([key, si, more], i) => aReading(500 + i, key, si, more)),
      ],
    },
  });
const mark = (distanceM: number, dropMm: number) =>
  [
    'markShot',
    distanceM,
    { si2: dropMm, data: { kind: 'mark', hits: [], scaleM: null, offMm: 0 } },
  ] as [SetupKey, number, Partial<Reading>];

describe('paper', () => {
  const unshot = FINISHED.filter(({ key }) => key !== 'paperTear');
  /** Papers and moves in their order, after a bench that is done. */
  const papers = (...rows: [SetupKey, number | null, Partial<Reading>?][]) =>
    aFinishedJob({
      rest: {
        readings: [
          ...unshot,
          ...rows.map(([key, si, more], i) => aReading(500 + i, key, si, more)),
        ],
      },
    });
  const torn = papers(['paperTear', -20, { si2: 1 }]);
  test('one move, large, with how much and which way; done with one tap', async () => {
    show(torn, 'part=paper');
    expect(
      main().getByRole('heading', {
        level: 3,
        name: /^Rest 2.mm.*to the right, towards the riser/,
      }),
    ).toBeVisible();
    expect(main().getByText(/Then likely: nock 1 mm high, 1\d mm left/)).toBeVisible();
    await press('It is moved');
    expect(sent).toEqual([{ name: 'movePaper', adjustment: 'restSideways', amount: 2 }]);
  });
  test('the same for a left-handed bow: its riser stands on the other side', () => {
    const bow = aBow({ hand: 'left' });
    show({ ...torn, bow, archer: { ...torn.archer, hand: 'left' } }, 'part=paper');
    expect(
      main().getByRole('heading', { level: 3, name: /to the right, away from the riser/ }),
    ).toBeVisible();
  });
  test('another amount, another part, what is impossible said at its field', async () => {
    show(torn, 'part=paper');
    await press('By another amount');
    await type('Amount, mm; − the other way', '9');
    await press('It is moved');
    expect(sent).toEqual([]);
    expect(main().getAllByText(/Too large for the amount/).length).toBeGreaterThan(0);
    await type('Amount, mm; − the other way', '1.25');
    await press('It is moved');
    expect(sent).toEqual([{ name: 'movePaper', adjustment: 'restSideways', amount: 1.25 }]);
    sent = [];
    await press(/^Or instead: both cams/);
    expect(
      main().getByRole('heading', { level: 3, name: /Both cams 2 shim steps to the left/ }),
    ).toBeVisible();
  });
  test.each([
    ['rest', /^Rest/],
    ['cams', /^Both cams/],
    ['guard', /cable guard/],
  ] as const)('the school: %s first', (paper, words) => {
    show({ ...torn, job: { ...torn.job, schools: { paper } } }, 'part=paper');
    expect(main().getByRole('heading', { level: 3, name: words })).toBeVisible();
  });
  test('moves without an answer: stop, and where to look, in order', () => {
    const still: [SetupKey, number, Partial<Reading>?] = ['paperTear', -20, { si2: 0 }];
    const paper = { method: MOVED_BY_PAPER };
    show(
      papers(
        still,
        ['centreShot', 18.6, paper],
        still,
        ['leanFixUpper', -2, paper],
        ['leanFixLower', -2, paper],
        still,
        ['cableGuard', 30, paper],
        still,
        still,
      ),
      'part=paper',
    );
    expect(main().getByText('Stop: this bow does not answer the moves')).toBeVisible();
    const causes = [...document.querySelectorAll('[data-part="causes"] b')].map(
      (node) => node.textContent,
    );
    expect(causes).toEqual([
      'Clearance.',
      'Grip and release.',
      'Cam timing and cord.',
      'Arrow spine.',
      'Cam lean.',
    ]);
  });
  test('point and nock tapped: the tear is from one to the other', async () => {
    show(torn, 'part=paper');
    const sheet = main().getAllByRole('img', { name: /Paper with the tear/ })[0]!;
    sheet.getBoundingClientRect = () => ({ left: 0, top: 0, width: 96, height: 96 }) as DOMRect;
    await press('point’s hole');
    const tap = (clientX: number, clientY: number) =>
      fireEvent(sheet, new MouseEvent('pointerdown', { clientX, clientY, bubbles: true }));
    tap(58, 48);
    tap(51, 44);
    await press(/^Note it: nock 4 mm high, 7 mm left/);
    expect(sent).toEqual([{ name: 'takeTear', right: '-7 mm', up: '4 mm', distance: '2 m' }]);
  });
  test('a paper too far off is warned of; one refused keeps what was typed', async () => {
    refuse = 'Somebody was quicker';
    show(torn, 'part=paper');
    await type('Paper hangs at', '5 m');
    expect(main().getByText(/two to two and a half metres/)).toBeVisible();
    await type('Nock right (+) or left (−)', '3');
    await type('Nock high (+) or low (−)', '1');
    await press(/^Note it/);
    expect(main().getByText('Somebody was quicker')).toBeVisible();
    expect(main().getByLabelText('Nock right (+) or left (−)')).toHaveValue('3');
  });
  test('papers and moves in one strip; a paper is left out with a reason', async () => {
    show(
      papers(['paperTear', -8, { si2: 0 }], ['centreShot', 19.1, { method: MOVED_BY_PAPER }]),
      'part=paper',
    );
    const strip = document.querySelector('[data-part="papers"]')!;
    expect(strip.children).toHaveLength(2);
    expect(strip.children[0]).toHaveTextContent('Centre shot');
    await userEvent.click(
      within(strip as HTMLElement).getAllByRole('button', { name: 'Leave out' })[0]!,
    );
    await userEvent.click(
      within(strip as HTMLElement).getAllByRole('button', { name: 'Leave out' })[0]!,
    );
    expect(within(strip as HTMLElement).getByText(/Say why in a word or two/)).toBeVisible();
    expect(sent).toEqual([]);
    await userEvent.type(
      within(strip as HTMLElement).getByLabelText('Why it is left out'),
      'plucked it',
    );
    await userEvent.click(
      within(strip as HTMLElement).getAllByRole('button', { name: 'Leave out' })[0]!,
    );
    expect(sent).toEqual([{ name: 'discardReading', seq: 500, reason: 'plucked it' }]);
  });
  test('a practice shot fills the fields, to be noted like any other', async () => {
    show(torn, 'part=paper');
    await press('Practice shot');
    expect(Ear.last!.url).toContain('practice-archer?what=paper');
    Ear.last!.say('name', 'Practice archer, stand-in');
    Ear.last!.say('line', 'archer 1');
    Ear.last!.say('line', 'tear -11.2 3.4');
    Ear.last!.say('done', '');
    expect(main().getByLabelText('Nock right (+) or left (−)')).toHaveValue('-11 mm');
    expect(sent).toEqual([]);
  });
});

describe('speed', () => {
  const shots = (...mps: number[]) => ({
    data: {
      kind: 'speeds' as const,
      shots: mps.map((v) => ({ mps: v, device: null, discarded: null })),
      arrowG: 24.6,
    },
  });
  test('a typed shot joins the others', async () => {
    show(after(['arrowSpeed', 70.2, shots(70, 70.4)]), 'part=speed');
    await type('Arrow speed', '230 fps');
    await press(/^Take/);
    expect(sent[0]).toMatchObject({
      name: 'takeSpeeds',
      shots: [{ entered: '70 m/s' }, { entered: '70.4 m/s' }, { entered: '230 fps', device: null }],
    });
  });
  test('one that is off is asked about, never left out by itself', async () => {
    show(after(['arrowSpeed', 69, shots(70, 70.4, 66)]), 'part=speed');
    expect(main().getByText(/does not go with the others/)).toBeVisible();
    const rows = main().getAllByRole('button', { name: 'Leave out' });
    await userEvent.click(rows[2]!);
    await userEvent.type(main().getByLabelText('Why it is left out'), 'saw the vanes');
    await userEvent.click(main().getAllByRole('button', { name: 'Leave out' }).at(-1)!);
    expect(sent[0]).toMatchObject({
      shots: [{ discarded: null }, { discarded: null }, { discarded: 'saw the vanes' }],
    });
  });
  test('a device: readings live, junk counted, the cable pulled told; what came is taken', async () => {
    show(after(['arrowSpeed', 70, shots(70)]), 'part=speed');
    await press('Listen to the chronograph');
    Ear.last!.say('name', 'Chronograph, stand-in');
    Ear.last!.say('line', 'chronograph 1');
    Ear.last!.say('line', 'shot 70.50 mps');
    Ear.last!.say('line', '~~ 0x3f ~~');
    expect(main().getByText('Chronograph, stand-in: 1 reading, 1 not to be read')).toBeVisible();
    Ear.last!.say('lost', 'Chronograph, stand-in does not answer any more');
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({
      shots: [{ entered: '70 m/s' }, { entered: '70.5 m/s', device: 'Chronograph, stand-in' }],
    });
    expect(main().getByText(/does not answer any more/)).toBeVisible();
  });
  test('nothing at all, or a stream cut at once: said, and nothing sent', async () => {
    jest.useFakeTimers();
    show(after(), 'part=speed');
    fireEvent.click(main().getByRole('button', { name: 'Listen to the chronograph' }));
    act(() => void jest.advanceTimersByTime(8500));
    expect(main().getByText(/Nothing came for eight seconds/)).toBeVisible();
    fireEvent.click(main().getByRole('button', { name: 'Listen to the chronograph' }));
    Ear.last!.cut();
    expect(main().getByRole('alert')).toBeVisible();
    expect(sent).toEqual([]);
    jest.useRealTimers();
  });
  test('another arrow needs its mass', async () => {
    show(after(), 'part=speed');
    await press('Another arrow on the string');
    await type('Another arrow on the string', '66 m/s');
    await press(/^Take/);
    expect(sent).toEqual([]);
    await type('Its mass', '28 g');
    await press(/^Take/);
    expect(sent[0]).toMatchObject({ name: 'takeSpeeds', arrow: '28 g' });
  });
  test('energy, momentum, grains per pound, and the bow corrected', () => {
    show(after(), 'part=speed');
    expect(main().getByText('44.5 ft·lb', { exact: false })).toBeVisible();
    expect(main().getByText('8.9 gr per lb')).toBeVisible();
    expect(main().getByText(/by its rating/)).toBeVisible();
  });
});

describe('distances', () => {
  const hit = async (right: string, up: string) => {
    await type('Right +, left −', right);
    await type('High +, low −', up);
    await press('Add hit');
  };
  test('too few, then the pin’s move in millimetres and clicks, then shot again', async () => {
    show(after(), 'part=first');
    await type('Distance', '18 m');
    await hit('40', '60');
    await hit('44', '66');
    expect(main().getByText(/more hit before it can be judged/)).toBeVisible();
    await hit('38', '64');
    expect(main().getByText(/Move the pin 2.5 mm up and 1.6 mm right/)).toBeVisible();
    expect(main().getByText(/In clicks of 0.1 mm: 25 up, 16 right/)).toBeVisible();
    expect(main().getByRole('button', { name: 'Confirm the distance 18 m' })).toBeDisabled();
    await press('The pin is moved: shoot again');
    expect(main().getByText('0 hits')).toBeVisible();
  });
  test('a further distance starts where the marks say, and may be taken as corrected', async () => {
    show(after(), 'part=first');
    await type('Distance', '40 m');
    expect((main().getByLabelText('Pin below the first') as HTMLInputElement).value).toMatch(
      /^1\d\.\d mm/,
    );
    await type('Pin below the first', '15 mm');
    for (const up of ['150', '158', '146']) await hit('2', up);
    await press(/^Take 40 m at 12\.\d mm, as corrected/);
    expect(sent[0]).toMatchObject({
      name: 'takeGroup',
      distance: '40 m',
      pinDrop: '15 mm',
      corrected: true,
    });
  });
  test('what is confirmed, what each is off, and the one that does not fit', () => {
    show(after(mark(27, 6.0), mark(36, 12.2), mark(45, 22.5), mark(54, 27)), 'part=first');
    const rows = [...document.querySelectorAll('[data-part="confirmed-rows"] li')];
    expect(rows).toHaveLength(5);
    expect(rows[0]).toHaveTextContent('counted from here');
    expect(main().getByText(/does not fit the others/)).toHaveTextContent('45 m');
    expect(rows[3]).toHaveAttribute('data-out', 'yes');
  });
  test('the scale says 47 at a true 50', async () => {
    show(after(), 'part=first');
    await type('True distance', '50 m');
    await type('The scale reads there', '47 m');
    await press('Take this mark');
    expect(sent[0]).toMatchObject({
      name: 'takeMark',
      distance: '50 m',
      scale: '47 m',
      tapeSpeed: expect.stringContaining('fps') as string,
    });
  });
});

describe('marks', () => {
  test('from the shots, held against the chronograph', () => {
    show(after(mark(50, 18)), 'part=marks');
    expect(main().getByText(/^From the shots: 2\d\d\.\d fps/)).toBeVisible();
    expect(main().getByText(/The chronograph said 229\.7 fps/)).toBeVisible();
    expect(main().getByRole('columnheader', { name: 'Pin below 18 m' })).toBeVisible();
  });
  test('tape: unit, numbers and neighbours change the drawing and the print at once', async () => {
    show(after(), 'part=marks&view=tape');
    const link = () => main().getByRole('link', { name: 'Print (PDF)' }).getAttribute('href')!;
    const drawn = () => decodeURIComponent(main().getByRole('img').getAttribute('src')!);
    expect(link()).toContain('unit=m');
    await press('yard');
    await press('10');
    await press('±2');
    await press('right');
    expect(link()).toMatch(/unit=yd.*numbersEvery=10.*side=right.*neighbours=2/);
    expect(drawn().match(/neighbour</g)).toHaveLength(4);
    await type('Line width, mm', '2');
    expect(main().getByRole('alert')).toHaveTextContent('Lines can be 0.1 to 0.6 mm wide');
    expect(main().queryByRole('link', { name: 'Print (PDF)' })).toBeNull();
  });
  test('what was wished of a tape is still there when one comes back', async () => {
    const { unmount } = show(after(), 'part=marks&view=tape');
    await type('To', '35');
    unmount();
    show(after(), 'part=marks&view=tape');
    expect(main().getByLabelText('To')).toHaveValue('35');
  });
  test('pins: those that do not fit are named, with where the first has to stand', async () => {
    const sight = anItem('sight', { pins: 4, slides: false, travelMm: 30 as never });
    const parts = FULL_KIT.map((part) =>
      part.slot === 'sight' ? { ...part, ...aPart(sight, 'sight') } : part,
    );
    show(aFinishedJob({ job: { furthestM: 50 }, rest: { parts } }), 'part=marks&view=pins');
    expect(document.querySelectorAll('[data-part="pin-rows"] li')).toHaveLength(4);
    expect(main().getByText(/All fit when the first pin stands no lower than/)).toBeVisible();
    await type('Room for pins in the housing, mm', '10');
    expect(main().getByRole('alert')).toHaveTextContent(/Outside the housing: 40 m, 50 m/);
    expect(main().getByRole('alert')).toHaveTextContent(/the housing has 10 mm/);
  });
  test('weather, slope and levels at the archer’s distances', () => {
    show(after(), 'part=marks&view=field');
    expect(main().getByRole('row', { name: /^\+30°/ })).toBeVisible();
    expect(main().getByRole('row', { name: /20 °C warmer.*high/ })).toBeVisible();
    expect(main().getByRole('row', { name: /Bubble off by 1°.*cm/ })).toBeVisible();
  });
  test('nothing is guessed: what is missing is named', () => {
    const readings = FINISHED.filter(({ key }) => key !== 'peepToPin');
    show(aFinishedJob({ rest: { readings } }), 'part=marks');
    expect(main().getByText('Still needed: peep to pin.')).toBeVisible();
  });
});

describe('third axis shot in', () => {
  test('two groups on slopes say how far it is off and which way to turn', async () => {
    const job = aFinishedJob({ job: { schools: { thirdAxis: 'shotIn' } } });
    show(job, 'part=sight&step=thirdAxisShot');
    const [up, down] = main().getAllByLabelText('beside the line, right (+)');
    await userEvent.type(up!, '12');
    await userEvent.type(down!, '-12');
    expect(main().getByText(/The third axis is off by \d\.\d°/)).toBeVisible();
    expect(main().getByText(/right edge comes towards the archer/)).toBeVisible();
    await userEvent.clear(down!);
    await userEvent.type(down!, '12');
    expect(main().getByText(/the groups do not part/)).toBeVisible();
  });
});
