import { act, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { aShop, someone, aSnapshot } from '@/core/testing/fixtures';
import type { JobSnapshot } from '@/core/job';
import { Shell } from '../frame/Shell';
import { HistoryPanel } from './HistoryPanel';
import { JobProvider, useJob } from './JobProvider';
import { useUndo } from './useUndo';

jest.mock('next/navigation', () => ({
  useRouter: () => ({ push: jest.fn() }),
  useParams: () => ({ id: 'job-1' }),
  usePathname: () => '/jobs/job-1/fit',
  useSearchParams: () => new URLSearchParams(),
}));

const WHO = 'T. Okoro';

/** The job with entries 1 to `count`, the newest first, those taken back left out. */
function withEntries(version: number, entries: readonly number[]): JobSnapshot {
  const snapshot = aSnapshot({ job: { version } });
  return {
    ...snapshot,
    events: entries.map((id) => ({
      id,
      version: id,
      at: snapshot.now,
      who: WHO,
      summary: `entry ${id}`,
      stage: 'fit',
      visit: 1,
      canUndo: true,
      canRedo: false,
    })),
  };
}

test('undo waits for what is on its way and takes that back; pressed twice, two entries go', async () => {
  const sent: { command: { name: string; event?: number } }[] = [];
  let entries = [1];
  let version = 4;
  global.fetch = jest.fn(async (url: string, init?: { body?: string }) => {
    if (!init?.body) return { ok: url === '/icon.svg', status: 404, json: async () => null };
    const body = JSON.parse(init.body) as (typeof sent)[number];
    sent.push(body);
    await new Promise((resolve) => setTimeout(resolve, 30));
    const { name, event } = body.command;
    entries = name === 'undo' ? entries.filter((id) => id !== event) : [2, ...entries];
    const answer = withEntries(++version, entries);
    return { ok: true, status: 200, json: async () => answer };
  }) as never;
  let send: ReturnType<typeof useJob>['send'];
  let undo: () => void;
  function Probe() {
    send = useJob().send;
    const undoing = useUndo();
    undo = undoing.undo;
    return undoing.open;
  }
  render(
    <Shell shop={aShop()} someone={someone(WHO)}>
      <JobProvider initial={withEntries(4, [1])}>
        <Probe />
      </JobProvider>
    </Shell>,
  );
  await act(async () => {
    void send({ name: 'setNotes', text: 'grips hard' } as never);
    undo();
    undo();
  });
  await waitFor(() => expect(sent).toHaveLength(3));
  expect(sent.map(({ command }) => [command.name, command.event])).toEqual([
    ['setNotes', undefined],
    ['undo', 2],
    ['undo', 1],
  ]);
});

test('what is looked for last is shown, whatever is answered last; older entries come once', async () => {
  const answers = new Map<string, ((ids: readonly number[]) => void)[]>();
  global.fetch = jest.fn((url: string) => {
    const [path, query] = url.split('?');
    if (!path!.endsWith('/history')) return Promise.resolve({ ok: false, status: 404 });
    const asked = new URLSearchParams(query);
    const key = `${asked.get('words')}<${asked.get('before') ?? ''}`;
    return new Promise((resolve) => {
      const let_ = (ids: readonly number[]) => {
        const { events } = withEntries(4, ids);
        const body = { events, leftOut: [], more: ids.length === 2 };
        resolve({ ok: true, status: 200, json: async () => body });
      };
      answers.set(key, [...(answers.get(key) ?? []), let_]);
    });
  }) as never;
  const answer = async (key: string, ids: readonly number[]) => {
    await waitFor(() => expect(answers.has(key)).toBe(true), { timeout: 5000 });
    await act(async () => answers.get(key)!.forEach((go) => go(ids)));
  };
  const rows = () => screen.queryAllByText(/^entry \d+$/).map((node) => node.textContent);
  render(
    <Shell shop={aShop()} someone={someone(WHO)}>
      <JobProvider initial={withEntries(4, [1])}>
        <HistoryPanel onClose={() => undefined} />
      </JobProvider>
    </Shell>,
  );
  await answer('<', [9, 8]);
  expect(rows()).toEqual(['entry 9', 'entry 8']);
  const more = screen.getByRole('button', { name: 'Earlier entries' });
  await userEvent.dblClick(more);
  await answer('<8', [7, 6]);
  expect(rows()).toEqual(['entry 9', 'entry 8', 'entry 7', 'entry 6']);
  // Looked for while the words before it are still on their way.
  const words = screen.getByRole('textbox');
  await userEvent.type(words, 'peep');
  await waitFor(() => expect(answers.has('peep<')).toBe(true), { timeout: 5000 });
  await userEvent.clear(words);
  await userEvent.type(words, 'loop');
  await answer('loop<', [5]);
  await answer('peep<', [4, 3]);
  expect(rows()).toEqual(['entry 5']);
});
