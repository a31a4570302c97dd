import 'fake-indexeddb/auto';
import { act, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { aBow, aReading, aShop, aSnapshot, someone } from '@/core/testing/fixtures';
import type { JobSnapshot } from '@/core/job';
import { Shell } from '../frame/Shell';
import { WaitingTag } from '../frame/WaitingTag';
import { isConnected } from '../keep/connection';
import { lookAtWaiting, takeOut } from '../keep/outbox';
import type { Trouble } from '../keep/post';
import { eraseSeen, writeSeen } from '../keep/waiting-store';
import { ownClock } from '../testing/own-clock';
import { LastValue } from './LastValue';
import { JobProvider, useJob } from './JobProvider';

jest.mock('next/navigation', () => ({ useRouter: () => ({ push: jest.fn() }) }));

/** Whether the shop’s program answers, and with what. */
let answers: ((body: Sent) => { status: number; body: unknown }) | null;
interface Sent {
  readonly key: string;
  readonly command: { readonly name: string };
  readonly waited?: object;
}
const sent: Sent[] = [];
beforeEach(async () => {
  sent.splice(0);
  answers = null;
  global.fetch = jest.fn(async (url: string, init?: { body?: string }) => {
    if (!answers) throw new TypeError('fetch failed');
    if (!init?.body) return { ok: url === '/icon.svg', status: 404, json: async () => null };
    const body = JSON.parse(init.body) as Sent;
    sent.push(body);
    const answer = answers(body);
    return { ok: answer.status < 400, status: answer.status, json: async () => answer.body };
  }) as never;
  for (const { id } of await lookAtWaiting()) await takeOut(id);
  await eraseSeen();
});

let send: ReturnType<typeof useJob>['send'];
function Probe() {
  const job = useJob();
  send = job.send;
  return (
    <>
      <WaitingTag />
      <p data-testid="readings">{job.snapshot.readings.map(({ entered }) => entered).join(', ')}</p>
      <p data-testid="events">{job.snapshot.events.map(({ summary }) => summary).join(' | ')}</p>
      <LastValue of="peepHeight" />
    </>
  );
}
const job = (version: number, ...entered: string[]): JobSnapshot =>
  aSnapshot({
    job: { version, bowId: 'test-31-r' },
    rest: {
      bow: aBow(),
      readings: entered.map((text, i) =>
        aReading(i + 1, 'peepHeight', Number.parseFloat(text), { entered: text }),
      ),
    },
  });
const show = async (initial: JobSnapshot) => {
  await act(
    async () =>
      void render(
        <Shell shop={aShop()} someone={someone()}>
          <JobProvider initial={initial}>
            <Probe />
          </JobProvider>
        </Shell>,
      ),
  );
  // The first look whether somebody answers, and what this tablet kept.
  await waitFor(() => expect(isConnected()).toBe(answers !== null));
  await act(async () => void (await lookAtWaiting()));
};
const take = (entered: string, more: object = {}) =>
  act(async () => {
    await send({ name: 'takeReadings', readings: [{ key: 'peepHeight', entered }], ...more });
  });
const readings = () => screen.getByTestId('readings').textContent;
const connect = async (with_: NonNullable<typeof answers>) => {
  answers = with_;
  await waitFor(() => expect(isConnected()).toBe(true));
};

test('without a connection a reading stands there, is called not sent, and is sent once there is one', async () => {
  await show(job(4, '150mm'));
  await take('142mm');
  expect(readings()).toBe('150mm, 142mm');
  expect(screen.getByText('not sent yet')).toBeInTheDocument();
  expect(screen.getByRole('status')).toHaveTextContent('not connected, 1 entry waits');
  await take('143mm');
  expect(screen.getByRole('status')).toHaveTextContent('2 entries wait');
  expect(sent).toEqual([]);
  let version = 4;
  await connect(() => ({ status: 200, body: job(++version, '150mm', '142mm', '143mm') }));
  await waitFor(() => expect(screen.getByRole('status')).toBeEmptyDOMElement());
  expect(
    sent.map(
      ({ command }) =>
        (command as never as { readings: [{ entered: string }] }).readings[0].entered,
    ),
  ).toEqual(['142mm', '143mm']);
  expect(sent[0]!.waited).toMatchObject({ saw: { version: 4, seq: 1 } });
  expect(readings()).toBe('150mm, 142mm, 143mm');
  expect(screen.queryByText('not sent yet')).toBeNull();
});

test('taken back before it was sent it is gone, and never sent', async () => {
  await show(job(4, '150mm'));
  await take('142mm');
  await take('143mm');
  const newest = (await lookAtWaiting()).at(-1)!;
  await act(async () => void (await send({ name: 'undo', event: -newest.id })));
  expect(readings()).toBe('150mm, 142mm');
  // The first was a slip: the one that comes now stands instead of it.
  const slip = (await lookAtWaiting())[0]!;
  await take('144mm', { instead: [2 ** 40 + slip.id * 1024] });
  expect(readings()).toBe('150mm, 144mm');
  expect((await lookAtWaiting())[0]!.command).toMatchObject({ instead: [] });
});

test('what is no reading of that value is refused at once, as the program would', async () => {
  await show(job(4));
  let trouble: Trouble | null = null;
  await act(async () => {
    trouble = await send({
      name: 'takeReadings',
      readings: [{ key: 'peepHeight', entered: 'high' }],
    });
  });
  expect(trouble).toMatchObject({ pointer: '/command/readings/0/entered' });
  expect(await lookAtWaiting()).toEqual([]);
});

test('what rests on the shop’s shelves does not wait: it says so, and nothing is kept', async () => {
  await show(job(4));
  await take('142mm');
  let trouble: Trouble | null = null;
  await act(async () => {
    trouble = await send({ name: 'chooseBow', bowId: 'x' });
  });
  expect(trouble!.message).toMatch(/Entries of this job wait|needs the shop’s program/);
  expect(await lookAtWaiting()).toHaveLength(1);
});

test('a page from before shows the job as this tablet saw it last', async () => {
  await writeSeen(job(9, '150mm', '151mm'));
  await show(job(4, '150mm'));
  await waitFor(() => expect(readings()).toBe('150mm, 151mm'));
});

test('of the same version what was read later stands: settings of the shop are no part of the job', async () => {
  const read = (now: string, length: 'mm' | 'in16') => {
    const shop = aShop({ units: { ...aShop().units, length } });
    return { ...job(4, '152.4mm'), now, shop };
  };
  await writeSeen(read('2026-11-24T08:00:00.000Z', 'in16'));
  await show(read('2026-11-24T09:00:00.000Z', 'mm'));
  expect(await screen.findByText('152 mm')).toBeInTheDocument();
  // Kept from a page that was open longer than the one that stands here.
  await writeSeen(read('2026-11-24T09:00:01.000Z', 'in16'));
  await show(read('2026-11-24T09:00:00.000Z', 'mm'));
  expect(await screen.findByText('6 in')).toBeInTheDocument();
});

test('a page asked for anew shows what others did meanwhile; one from before does not', async () => {
  const page = (initial: JobSnapshot) => (
    <Shell shop={aShop()} someone={someone()}>
      <JobProvider initial={initial}>
        <Probe />
      </JobProvider>
    </Shell>
  );
  const { rerender } = render(page(job(4, '150mm')));
  await act(async () => rerender(page(job(6, '150mm', '152mm'))));
  expect(readings()).toBe('150mm, 152mm');
  await act(async () => rerender(page(job(5, '150mm', '151mm'))));
  expect(readings()).toBe('150mm, 152mm');
});

test('where another tablet entered something else it is asked which counts', async () => {
  await show(job(4, '150mm'));
  await take('142mm');
  const meets = [
    {
      name: 'Peep on the string',
      mine: '142mm',
      theirs: '155 mm',
      who: 'M. Lindauer',
      at: '2026-11-24T09:05:00.000Z',
    },
  ];
  await connect(({ waited }) =>
    (waited as { asked?: object }).asked
      ? { status: 200, body: job(6, '150mm', '142mm', '155mm') }
      : {
          status: 409,
          body: {
            type: 'urn:waffenrad:problem:entries-meet',
            detail: 'Another tablet entered something else meanwhile.',
            meets,
            snapshot: job(5, '150mm', '155mm'),
          },
        },
  );
  const user = userEvent.setup();
  await user.click(await screen.findByRole('button', { name: /1 entry asks/ }));
  const panel = await screen.findByRole('dialog');
  expect(panel).toHaveTextContent('155 mm');
  await user.click(within(panel).getByRole('button', { name: 'Theirs counts, both stay' }));
  await waitFor(() => expect(sent).toHaveLength(2));
  expect(sent[1]!.waited).toMatchObject({ asked: { version: 5, counts: 'theirs' } });
  expect(sent[1]!.key).toBe(sent[0]!.key);
  await waitFor(async () => expect(await lookAtWaiting()).toEqual([]));
});

test('taking out is asked first; left, it waits on', async () => {
  const clock = ownClock();
  await show(job(4));
  await take('142mm');
  const user = userEvent.setup();
  await user.click(screen.getByRole('button', { name: /1 entry waits/ }));
  await user.click(await screen.findByRole('button', { name: 'Take it out' }));
  await act(() => clock.pass(450));
  await user.click(await screen.findByRole('button', { name: 'Leave it' }));
  expect(await lookAtWaiting()).toHaveLength(1);
  await user.click(await screen.findByRole('button', { name: 'Take it out' }));
  const question = (await screen.findAllByRole('dialog')).at(-1)!;
  await act(() => clock.pass(450));
  await user.click(within(question).getByRole('button', { name: 'Take it out' }));
  await waitFor(async () => expect(await lookAtWaiting()).toEqual([]));
});
