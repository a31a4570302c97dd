import { act, render } from '@testing-library/react';
import { aShop, someone, aSnapshot } from '@/core/testing/fixtures';
import type { JobSnapshot } from '@/core/job';
import { Shell } from '../frame/Shell';
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
    await new Promise((resolve) => setTimeout(resolve, 250));
  });
  expect(sent.map(({ command }) => [command.name, command.event])).toEqual([
    ['setNotes', undefined],
    ['undo', 2],
    ['undo', 1],
  ]);
});
