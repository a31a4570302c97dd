import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { aBow, aFinishedJob, aShop, someone } from '@/core/testing/fixtures';
import { Shell } from '../../frame/Shell';
import { JobProvider } from '../../job/JobProvider';
import { BowStage } from './BowStage';

let query = '';
jest.mock('next/navigation', () => ({
  useParams: () => ({ id: 'job-1' }),
  usePathname: () => '/jobs/job-1/bow',
  useSearchParams: () => new URLSearchParams(query),
  useRouter: () => ({ push: jest.fn() }),
}));
jest.mock('../../charts/LimbBoltChart', () => ({ LimbBoltChart: () => null }));

beforeEach(() => {
  window.sessionStorage.clear();
  global.fetch = jest.fn(async () => ({ ok: false, json: async () => null })) as never;
});

const stage = () => (
  <Shell shop={aShop()} someone={someone()}>
    <JobProvider initial={aFinishedJob()}>
      <BowStage offers={[{ bow: aBow(), piece: null, heldBy: null, serials: [] }]} curves={[]} />
    </JobProvider>
  </Shell>
);
const field = (name: RegExp) => screen.getByLabelText<HTMLInputElement>(name);

describe('the limb bolts', () => {
  test('a link to where one is already leaves field, focus and text alone', async () => {
    query = '';
    const { rerender } = render(stage());
    const peak = field(/^Peak weight on the scale/);
    await userEvent.type(peak, '4');
    query = 'part=bolts';
    rerender(stage());
    await userEvent.keyboard('7 lb');
    expect(field(/^Peak weight on the scale/)).toBe(peak);
    expect(peak).toHaveFocus();
    expect(peak.value).toBe('47 lb');
  });

  test('weight and turns that were typed are there again after another screen', async () => {
    query = 'part=bolts';
    const first = render(stage());
    const turns = field(/^Both bolts stand at/);
    await userEvent.clear(turns);
    // Emptied is not back at the plan's turns.
    expect(turns.value).toBe('');
    await userEvent.type(turns, '3.25');
    await userEvent.type(field(/^Peak weight on the scale/), '47');
    first.unmount();
    render(stage());
    expect(field(/^Both bolts stand at/).value).toBe('3.25');
    expect(field(/^Peak weight on the scale/).value).toBe('47');
  });
});
