import { partFacts } from '@/core/kit';
import { act, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { bowOutline } from '@/core/bow';
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
import { derive, type JobSnapshot } from '@/core/job';
import { Shell } from '../frame/Shell';
import { nextStep } from '../stages/bench/next-step';
import { TRADE_UNITS } from '@/core/units';
import { JobProvider, useJob } from './JobProvider';
import { type Trouble, post } from '../keep/post';
import { ownClock } from '../testing/own-clock';
import { mapLabels } from './map-parts';

jest.mock('next/navigation', () => ({ useRouter: () => ({ push: jest.fn() }) }));

type Handler = (
  url: string,
  body: { version: number; who: string; command: { name: string } },
) => { status: number; body: unknown } | 'offline';
const calls: { url: string; body: { version: number } }[] = [];

function serve(handler: Handler) {
  const fetched = async (url: string, init?: { body?: string }): Promise<object> => {
    const body = init?.body ? JSON.parse(init.body) : null;
    if (!body) return { ok: url === '/icon.svg', status: 404, json: async () => null };
    calls.push({ url, body });
    const answer = handler(url, body);
    if (answer === 'offline') throw new TypeError('fetch failed');
    return { ok: answer.status < 400, status: answer.status, json: async () => answer.body };
  };
  global.fetch = jest.fn(fetched) as never;
}
beforeEach(() => calls.splice(0));

describe('sending', () => {
  test('a result, a problem with its field, no answer at all', async () => {
    serve((url) =>
      url === '/ok'
        ? { status: 200, body: { a: 1 } }
        : url === '/bad'
          ? { status: 422, body: { detail: 'No', errors: [{ pointer: '/x', detail: 'No' }] } }
          : 'offline',
    );
    expect(await post('/ok', {})).toEqual({ ok: true, body: { a: 1 } });
    expect(await post('/bad', {})).toMatchObject({
      ok: false,
      message: 'No',
      pointer: '/x',
      status: 422,
    });
    expect(await post('/gone', {})).toMatchObject({
      ok: false,
      status: 0,
      message: expect.stringContaining('Not saved'),
    });
  });
});

describe('the job on a screen', () => {
  let send: ReturnType<typeof useJob>['send'];
  function Probe() {
    const job = useJob();
    send = job.send;
    return (
      <p>
        version {job.snapshot.job.version},{' '}
        {job.conflict ? `conflict: ${job.conflict[0]?.summary}` : 'calm'},{' '}
        {job.sending ? 'sending' : 'at rest'}
      </p>
    );
  }
  const show = (initial: JobSnapshot) =>
    render(
      <Shell shop={aShop()} someone={someone()}>
        <JobProvider initial={initial}>
          <Probe />
        </JobProvider>
      </Shell>,
    );
  const withVersion = (version: number) => aSnapshot({ job: { version } });

  test('entries go one after another, each with the version the last one brought', async () => {
    serve((_, { version }) => ({ status: 200, body: withVersion(version + 1) }));
    show(withVersion(4));
    await act(async () => {
      await Promise.all([send({ name: 'undo' }), send({ name: 'undo' }), send({ name: 'undo' })]);
    });
    expect(calls.map(({ body }) => body.version)).toEqual([4, 5, 6]);
    expect(screen.getByText(/version 7, calm, at rest/)).toBeInTheDocument();
  });
  test('a refused entry brings the newest job and what changed; the next one carries its version', async () => {
    serve((_, { version }) =>
      version === 4
        ? {
            status: 409,
            body: {
              detail: 'Quicker',
              snapshot: withVersion(9),
              changed: [{ id: 1, summary: 'arm span: 68 in', who: 'M.' }],
            },
          }
        : { status: 200, body: withVersion(10) },
    );
    show(withVersion(4));
    let trouble: Trouble | null = null;
    await act(async () => {
      trouble = await send({ name: 'undo' });
    });
    expect(trouble).toMatchObject({ message: 'Quicker' });
    expect(screen.getByText(/version 9, conflict: arm span: 68 in/)).toBeInTheDocument();
    await act(async () => void (await send({ name: 'undo' })));
    expect(calls.map(({ body }) => body.version)).toEqual([4, 9]);
  });
  test('an entry that finds nobody leaves the job as it was', async () => {
    serve(() => 'offline');
    show(withVersion(4));
    let trouble: Trouble | null = null;
    await act(async () => {
      trouble = await send({ name: 'undo' });
    });
    expect(trouble!).toMatchObject({ message: expect.stringContaining('broke before this was') });
    expect(screen.getByText(/version 4, calm, at rest/)).toBeInTheDocument();
  });
  test('what becomes of it is asked; the answer goes with the entry, cancelled nothing does', async () => {
    serve((_, body) => {
      const { command } = body as { command: { ordered?: string } };
      return command.ordered === undefined
        ? {
            status: 422,
            body: { type: 'urn:waffenrad:problem:is-ordered', detail: 'It comes on Wed 2 Dec.' },
          }
        : { status: 200, body: withVersion(5) };
    });
    const clock = ownClock();
    show(withVersion(4));
    const put = {
      name: 'choosePart',
      slot: 'rest',
      itemId: null,
      owned: false,
      label: '',
    } as const;
    let answer: Promise<Trouble | null> = Promise.resolve(null);
    act(() => void (answer = send(put)));
    expect(await screen.findByText('It comes on Wed 2 Dec.')).toBeInTheDocument();
    await clock.pass(450);
    await userEvent.click(screen.getByRole('button', { name: 'Cancel' }));
    expect(await answer).toMatchObject({ message: 'Nothing was changed.' });
    act(() => void (answer = send({ ...put, label: ' ' })));
    await screen.findByText('It comes on Wed 2 Dec.');
    await clock.pass(450);
    await userEvent.click(screen.getByRole('button', { name: 'It was called off' }));
    expect(await answer).toBeNull();
    expect(calls.at(-1)!.body).toMatchObject({ command: { ordered: 'calledOff' } });
  });
});

describe('keys everywhere', () => {
  test('?, / and n open their windows; letters typed into a field do not', async () => {
    serve(() => ({ status: 200, body: [] }));
    render(
      <Shell shop={aShop()} someone={someone()}>
        <input aria-label="some field" />
      </Shell>,
    );
    await userEvent.keyboard('?');
    expect(screen.getByRole('dialog', { name: 'Keys' })).toBeInTheDocument();
    await userEvent.keyboard('{Escape}');
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    await userEvent.type(screen.getByLabelText('some field'), 'n/?');
    expect(screen.queryByRole('dialog')).toBeNull();
    await userEvent.keyboard('{Escape}');
    expect(document.body).toHaveFocus();
    await userEvent.keyboard('n');
    expect(screen.getByRole('dialog', { name: 'New job' })).toBeInTheDocument();
  });
});

describe('the bow map', () => {
  const labelsOf = (snapshot: JobSnapshot) =>
    mapLabels(snapshot, derive(snapshot), bowOutline(snapshot.bow ?? aBow()));
  const byPart = (snapshot: JobSnapshot) =>
    Object.fromEntries(
      labelsOf(snapshot).map(({ part, name, value, look }) => [part, [name, value, look]]),
    );

  test('a job just opened: everything planned, by the part’s own name', () => {
    expect(byPart(aSnapshot())).toMatchObject({
      sight: ['sight', 'not chosen', 'planned'],
      arrow: ['arrow', 'not chosen', 'planned'],
      grip: ['draw length', 'to do', 'planned'],
    });
  });
  test('parts chosen are to do, measured ones show their value', () => {
    expect(byPart(aSnapshot({ rest: { bow: aBow(), parts: FULL_KIT } })).sight).toEqual([
      'sight',
      'to do',
      'planned',
    ]);
    expect(byPart(aFinishedJob())).toMatchObject({
      camBottom: ['module', '27 1/2 in', 'measured'],
      limbTop: ['peak', '42.7 lb', 'measured'],
      sight: ['first mark', '18 m', 'measured'],
      rest: ['centre shot', '13/16 in', 'measured'],
    });
  });
  test('what is stale says again; what is out carries a mark', () => {
    const stale = aFinishedJob({
      rest: { readings: [...FINISHED, aReading(90, 'stringTwists', 2)] },
    });
    expect(byPart(stale)).toMatchObject({
      peep: ['peep, true', 'again', 'again'],
      grip: ['draw length', 'again', 'again'],
    });
    const out = aFinishedJob({
      rest: { readings: [...FINISHED, aReading(90, 'centreShot', 30.2)] },
    });
    expect(byPart(out).rest![1]).toBe('1 3/16 in !');
  });
  test('bolts that stand alike are told once; apart, both are', () => {
    expect(byPart(aFinishedJob()).limbBottom).toBeUndefined();
    const apart = aFinishedJob({
      rest: { readings: [...FINISHED, aReading(90, 'limbTurnsLower', 7)] },
    });
    expect(byPart(apart).limbBottom).toEqual(['lower bolt', '7 turns', 'measured']);
  });
  test('quiver and bar stand on it only when there are any', () => {
    expect(byPart(aFinishedJob()).quiver).toBeUndefined();
    const quiver = {
      ...aPart(anItem('quiver'), 'quiver'),
      arrivesDay: null,
      orderedAt: null,
      arrivedAt: null,
      handedOver: false,
      short: [],
      build: null,
    };
    expect(byPart(aFinishedJob({ rest: { parts: [...FULL_KIT, quiver] } })).quiver).toEqual([
      'quiver',
      'to do',
      'planned',
    ]);
  });
  test('every label leads to a step that reads its value', () => {
    for (const label of labelsOf(aFinishedJob()))
      expect(label.step!.values.map(({ key }) => key)).toContain(label.key);
  });
});

describe('what comes next on the bench', () => {
  const plan = derive(aSnapshot({ rest: { bow: aBow(), parts: FULL_KIT } })).plan;
  test('the first step that can be done, then on along the route, then round', () => {
    const first = nextStep(plan, 'bench')!;
    expect(first.missing).toEqual([]);
    const second = nextStep(plan, 'bench', first.id)!;
    expect(second.id).not.toBe(first.id);
    expect(second.missing).toEqual([]);
  });
  test('nothing when the stage is done', () => {
    expect(nextStep(derive(aFinishedJob()).plan, 'bench')).toBeNull();
  });
});

describe('a part at a glance', () => {
  test.each([
    ['rest', 'cable-driven · plunger-hole bolt · 100 g'],
    ['sight', '1 pin, slides · three axes · side plate · 100 g'],
    ['peep', '4.8 mm · 1 g'],
    ['loop', '1/2 in · cord · 0 g'],
    ['arrows', '12 arrows · spine 0.500 · 380 gr · 29 in · shaft 7.0 mm'],
    ['release', 'thumb button · 100 g'],
    ['quiver', 'on the riser · holds 5 · 100 g'],
    ['stabiliser', '10 in · weights 1/4-20 · 100 g'],
    ['rearBar', '7 7/8 in · weights 1/4-20 · 100 g'],
    ['barMount', 'offset · thread 5/16-24 · 100 g'],
    ['weights', '2 in the set · thread 1/4-20 · 100 g'],
    ['nockingPoint', 'tied on · 100 g'],
    ['sling', 'under the bar · 100 g'],
    ['dampeners', '2 in the set · on the string · 100 g'],
    ['stringStop', 'rod 3 15/16 in · 100 g'],
    ['light', 'screws into the housing · 100 g'],
    ['case', '39 3/8 in inside · hard shell · 100 g'],
    ['armGuard', '6 5/16 in · 100 g'],
    ['consumables', 'string wax · 100 g'],
  ] as const)('%s: %s', (slot, text) => {
    expect(partFacts(anItem(slot) as never, TRADE_UNITS).replace(/\u00a0/g, ' ')).toBe(text);
  });
});
